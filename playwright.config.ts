import { defineConfig } from '@playwright/test';
import { E2E_URL, STAGES, stageAt } from './e2e/address.ts';
import { chromiumFlags, chromiumPath } from './tools/chromium.ts';

export default defineConfig({
  testDir: 'e2e',
  // Each has an application and a database of its own, which its tests change, and stop, in turns.
  workers: STAGES,
  // What is long runs in `npm run suites` alone.
  ...(process.env.YC_ALL ? {} : { grepInvert: /@long/ }),
  retries: process.env.CI ? 1 : 0,
  // Limits for what hangs, not measures: a busy machine takes many times as long as an idle one.
  timeout: 240_000,
  expect: { timeout: 20_000 },
  reporter: [
    ['list'],
    ...(process.env.YC_E2E_REPORT ? [['json', { outputFile: process.env.YC_E2E_REPORT }] as const] : []),
  ],
  use: {
    baseURL: E2E_URL,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // Tests that need the application without a network allow it for themselves.
    serviceWorkers: 'block',
    timezoneId: 'Europe/Vienna',
    launchOptions: { executablePath: chromiumPath, args: chromiumFlags },
    actionTimeout: 20_000,
    // A trace of every test takes as long again as the test.
    trace: 'on-first-retry',
  },
  webServer: Array.from({ length: STAGES }, (_, index) => ({
    command: `node --import tsx e2e/serve.ts ${index}`,
    url: `${stageAt(index).url}/api/health`,
    timeout: 120_000,
    gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 10_000 },
  })),
});
