import { accessSync, constants } from 'node:fs';
import { delimiter, join } from 'node:path';

/** Where Chromium and its relatives are installed, by platform; besides, whatever of `NAMES` is on the path. */
const PLACES = {
  linux: ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome', '/usr/bin/google-chrome-stable', '/snap/bin/chromium'], // prettier-ignore
  darwin: ['/Applications/Chromium.app/Contents/MacOS/Chromium', '/Applications/Google Chrome.app/Contents/MacOS/Google Chrome'], // prettier-ignore
  win32: ['PROGRAMFILES', 'PROGRAMFILES(X86)', 'LOCALAPPDATA'].flatMap((base) =>
    ['Google\\Chrome', 'Chromium'].map((p) => join(process.env[base] ?? 'C:\\', p, 'Application', 'chrome.exe')),
  ),
};
const NAMES = ['chromium', 'chromium-browser', 'google-chrome', 'google-chrome-stable'];

/** @param {string} path */
const runs = (path) => {
  try {
    accessSync(path, constants.X_OK);
    return true;
  } catch {
    return false;
  }
};

/**
 * The browser to drive: what CHROME_BIN names, or one that is installed; null when there is none.
 *
 * @param {Record<string, string | undefined>} env
 * @param {string} platform
 * @returns {string | null}
 */
export function browserPath(env = process.env, platform = process.platform) {
  const named = env['CHROME_BIN'];
  if (named) return named;
  const onPath = (env['PATH'] ?? '').split(delimiter).flatMap((dir) => NAMES.map((name) => join(dir, name)));
  const places = /** @type {Record<string, string[]>} */ (PLACES)[platform] ?? [];
  return [...places, ...onPath].find(runs) ?? null;
}

/**
 * Chromium without its windows, where Debian puts it, or null. The program itself: the script on the path, when it is
 * ended, leaves it running.
 *
 * @param {string} place
 * @returns {string | null}
 */
export const lightPath = (place = '/usr/lib/chromium/chromium-headless-shell') => (runs(place) ? place : null);

/** Runs as root in a box without a graphics card and without a network. */
export const chromiumArgs = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-dev-shm-usage',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
  '--disable-quic',
  '--force-color-profile=srgb',
];
