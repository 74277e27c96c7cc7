import type { Plugin } from 'vite'
import { defineConfig } from 'vitest/config'

const ON_THE_DEMO = ['web/**/*.test.tsx', 'demo/reads.test.ts', 'demo/undo.test.ts']

const URL_OF = '?url'

/** What a page would fetch from the server lies on this machine's disk while it is tested. */
const assetsOnDisk: Plugin = {
  name: 'assets-on-disk',
  enforce: 'pre',
  load: (id) => (id.endsWith(URL_OF) ? `export default ${JSON.stringify(id.slice(0, -URL_OF.length))}` : null),
}

export default defineConfig({
  plugins: [assetsOnDisk],
  // faults are tried in copies whose packages are linked from here
  server: { fs: { strict: false } },
  test: {
    // two cores, two at once: the usual is one fewer than there are
    maxWorkers: 2,
    // bounds against a hang, never a measure of speed: a loaded machine takes its time
    testTimeout: 180_000,
    hookTimeout: 180_000,
    // what was made of a file stands until the file changes: a second run, or one of a few files, starts at once
    experimental: { fsModuleCache: true, fsModuleCachePath: '.cache/vitest' },
    projects: [
      {
        extends: true,
        test: {
          name: 'alone',
          include: ['{core,contract,server,web,demo}/**/*.test.ts'],
          exclude: ['node_modules/**', ...ON_THE_DEMO],
          // they leave nothing behind: what they import is read once, not once a file
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'on the demo',
          include: ON_THE_DEMO,
          globalSetup: 'demo/testing/serveCopies.ts',
          // what is imported from packages is read once for all files; what is ours, anew with each
          isolate: false,
          setupFiles: ['web/testing/apart.ts', 'web/testing/drawn.ts'],
          // whole pages and real servers
          testTimeout: 300_000,
          // styles go in as rules, not as text that is read anew with each
          env: { SC_DISABLE_SPEEDY: 'false' },
        },
      },
    ],
  },
})
