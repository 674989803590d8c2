import { defineConfig } from '@playwright/test';

// A server makes its pages beside its taps a minute after its start, and few journeys are as long: where all are asked, they have it.
if (process.env.ROAN_TEST_ALL) process.env.ROAN_PAGES_AFTER_MS ??= '10000';

/** Debian's Chromium, headless, against a production build; each journey starts a server and a database of its own. */
export default defineConfig({
  testDir: './e2e',
  outputDir: './test-results',
  timeout: 240_000,
  expect: { timeout: 20_000 },
  globalSetup: './e2e/support/builtFirst.mjs',
  // Mostly they wait for a page: two cores carry three of them.
  fullyParallel: true,
  workers: 3,
  // On a loaded machine a page may be late; a journey that fails three times has failed, and one that needed it is named.
  retries: 2,
  // Those that are marked so are asked by `npm run test:all`: a change of what they journey through asks for them.
  grepInvert: process.env.ROAN_TEST_ALL ? [] : /@full/,
  reporter: [['list'], ['json', { outputFile: '.test-output/playwright.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // Whoever waits longer for a key waits for one that is not there.
    actionTimeout: 60_000,
    launchOptions: {
      executablePath: process.env.ROAN_CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
});
