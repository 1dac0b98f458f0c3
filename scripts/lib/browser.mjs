// A browser for what drives one. Needs only Node and apt.
import { existsSync } from 'node:fs';
import { browserPath, lightPath } from '../../e2e/src/browser.mjs';
import { ran } from './run.mjs';

const debian = () => process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');

async function fromDebian(name) {
  console.log(`Installing ${name}…`);
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  await ran('apt-get', ['update', '-qq'], env);
  await ran('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], env);
}

/** What CHROME_BIN names; null when it names nothing. */
function named() {
  const path = process.env['CHROME_BIN'] || null;
  if (path === null || existsSync(path)) return path;
  console.error(`CHROME_BIN names ${path}, which is not there. Set it to a browser's program, or unset it.`);
  process.exit(1);
}

function none() {
  console.error('The tests need Chromium or Chrome. Install one, for instance with: sudo apt-get install chromium');
  console.error('One in an unusual place is named by CHROME_BIN.');
  process.exit(1);
}

/** The browser as a baker has it: CHROME_BIN, one that is installed, or Debian's, where it may be installed. */
export async function ensureBrowser() {
  const there = named() ?? browserPath();
  if (there) return there;
  if (debian()) await fromDebian('chromium');
  return browserPath() ?? none();
}

/**
 * The browser for the checks: CHROME_BIN, or Chromium without its windows, which does the same pages in three quarters of
 * the time; where that cannot be had, any.
 */
export async function ensureLightBrowser() {
  const there = named() ?? lightPath();
  if (there) return there;
  if (debian()) await fromDebian('chromium-headless-shell');
  return lightPath() ?? ensureBrowser();
}
