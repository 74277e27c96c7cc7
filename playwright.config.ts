import { defineConfig } from '@playwright/test'
import { CHROMIUM_ARGS, chromiumPath } from './e2e/chromium.ts'

/** The real interface in real Chromium, against servers that the tests start themselves. */
export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/fill.ts',
  testMatch: '*.spec.ts',
  workers: 2,
  fullyParallel: true,
  // once more where a machine stood still; `npm test` names what passed only so, with its error
  retries: 1,
  // bounds against a hang, never a measure of speed: a slow machine gets its time
  timeout: 300_000,
  expect: { timeout: 60_000 },
  reporter: [['json', { outputFile: 'test-results/e2e.json' }], ['line']],
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    launchOptions: { executablePath: chromiumPath(), args: CHROMIUM_ARGS },
    contextOptions: { reducedMotion: 'reduce' },
    screenshot: 'only-on-failure',
  },
})
