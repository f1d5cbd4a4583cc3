import { defineConfig } from '@playwright/test'
import { findChromium } from './bin/prepare.mjs'

/** Debian's Chromium, with what it needs to run as root and without a network. */
export const CHROMIUM = {
  executablePath: findChromium() ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/template.ts',
  // What takes long is for the long run.
  ...(process.env.YARROWFINCH_PROOF ? {} : { grepInvert: /@proof/ }),
  fullyParallel: true,
  workers: 2,
  retries: 0,
  // Limits that only a hang meets, on however busy a machine.
  timeout: 300_000,
  expect: { timeout: 120_000 },
  reporter: [[process.env.CI ? 'dot' : 'line'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    acceptDownloads: true,
    extraHTTPHeaders: { 'Accept-Encoding': 'identity' },
  },
})
