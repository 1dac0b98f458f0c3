import { defineConfig } from '@playwright/test';
import { browserPath, chromiumArgs } from './src/browser.mjs';

/** Another may be asked for where that one is taken. */
const port = Number(process.env['ORVIN_PORT'] ?? 4380);

/** The journeys drive the built application on its real server in an installed Chromium. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  fullyParallel: true,
  workers: 2,
  preserveOutput: 'failures-only',
  forbidOnly: true,
  retries: 0,
  // limits, not expectations: a machine that runs all checks at once takes its time
  timeout: 150_000,
  expect: { timeout: 30_000 },
  reporter: [['list']],
  outputDir: '../test-results',
  use: {
    baseURL: `http://localhost:${port}`,
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    colorScheme: 'light',
    reducedMotion: 'reduce',
    launchOptions: { executablePath: browserPath() ?? undefined, args: chromiumArgs },
    trace: 'off',
  },
  webServer: {
    command: `node ../server/src/main.mjs --port=${port}`,
    url: `http://localhost:${port}/health`,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 2000 },
  },
});
