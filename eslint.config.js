import reactHooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

const clockless = [
  { name: 'window', message: 'Core knows no page.' },
  { name: 'document', message: 'Core knows no page.' },
  { name: 'process', message: 'Core knows no process.' },
  { name: 'fetch', message: 'Core does no input and output.' },
]

export default tseslint.config(
  { ignores: ['dist', 'node_modules', 'coverage', 'server/migrations', 'test-results', 'playwright-report'] },
  ...tseslint.configs.strict,
  ...tseslint.configs.stylistic,
  {
    rules: {
      '@typescript-eslint/consistent-type-definitions': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-invalid-void-type': 'off',
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', ...clockless],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Take a Random made from a seed.' },
        { object: 'Date', property: 'now', message: 'Take the time as an argument.' },
      ],
    },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', '**/testing/**', 'e2e/**/*.ts'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  // typed arrays, walked by indices that their own lengths bound: a fallback there would hide a fault
  {
    files: ['core/rig/engine/*.ts', 'core/waterside/beat.ts'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  { files: ['tools/**/*.mjs', 'server/upkeep.ts', 'bench/**'], rules: { 'no-console': 'off' } },
)
