import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';
import { browserPath, chromiumArgs } from './src/browser.mjs';

/** Another may be asked for where that one is taken. */
const port = Number(process.env['ORVIN_PORT'] ?? 4380);

/** As many at a time as there are processors. */
const busy = Math.max(1, Math.min(4, availableParallelism()));
/** Journeys that mostly wait, for the devices' own clock or until everything is kept for offline: beside the others. */
const waiting = ['devices.spec.ts', 'offline.spec.ts', 'updates.spec.ts'];

/** The journeys drive the built application on its real server in an installed Chromium. */
export default defineConfig({
  testDir: '.',
  projects: [
    { name: 'waiting', testMatch: waiting, workers: 1 },
    { name: 'busy', testMatch: '*.spec.ts', testIgnore: [...waiting, 'pictures/**'], workers: busy },
    // a study, made by `npm run pictures`
    ...(process.env['ORVIN_PICTURES'] ? [{ name: 'pictures', testMatch: 'pictures/*.spec.ts' }] : []),
  ],
  fullyParallel: true,
  workers: busy + 1,
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
