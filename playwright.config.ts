import { defineConfig } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from './scripts/lib/browser.mjs'

export default defineConfig({
  testDir: 'test/e2e',
  fullyParallel: false,
  workers: 1,
  // Real time is part of these tests (10 Hz instruments, painted frames): one retry on a busy machine, and it
  // is counted aloud.
  retries: 1,
  timeout: 180_000,
  expect: { timeout: 10_000 },
  reporter: [['list'], ['json', { outputFile: '.cache/e2e.json' }]],
  outputDir: '.cache/e2e',
  // A control that does not come is named at once, not when the time of the whole test is over.
  use: {
    actionTimeout: 30_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: CHROMIUM, args: CHROMIUM_ARGS },
    trace: 'off',
    // What a test takes away from a page must not come from the browser's own store; serverAway.spec allows it.
    serviceWorkers: 'block',
  },
})
