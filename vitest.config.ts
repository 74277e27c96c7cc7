import { defineConfig } from 'vitest/config'

const ON_THE_DEMO = ['web/**/*.test.tsx', 'demo/reads.test.ts']

export default defineConfig({
  test: {
    testTimeout: 20_000,
    hookTimeout: 60_000,
    projects: [
      {
        extends: true,
        test: {
          name: 'alone',
          include: ['{core,contract,server,web,demo}/**/*.test.ts'],
          exclude: ['node_modules/**', ...ON_THE_DEMO],
        },
      },
      {
        extends: true,
        test: { name: 'on the demo', include: ON_THE_DEMO, globalSetup: 'demo/testing/serveCopies.ts' },
      },
    ],
  },
})
