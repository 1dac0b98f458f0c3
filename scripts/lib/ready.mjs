// What has to be there before anything runs: packages, a browser, a current build. Needs only Node and apt.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { browserPath } from '../../e2e/src/browser.mjs';
import { compressAhead } from './compress.mjs';
import { nodeTrouble } from './node-version.mjs';
import { bundleSample } from './sample.mjs';

/** The repository's folder, with a slash at its end; whatever is in its name. */
export const root = fileURLToPath(new URL('../../', import.meta.url));
const cache = join(root, '.cache');

const quiet = () => ({ ...process.env, NG_CLI_ANALYTICS: 'false', NO_UPDATE_NOTIFIER: '1' });

/** Runs a command in the repository and stops the script when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: quiet(),
    ...options,
  });
  if (done.error) throw done.error;
  return done.status ?? 1;
}

const must = (command, args, why) => {
  if (run(command, args) !== 0) {
    console.error(`${why} failed: ${command} ${args.join(' ')}`);
    process.exit(1);
  }
};

/** The same, beside other work. */
async function mustEnd(command, args, why, env = {}) {
  const child = spawn(command, args, { cwd: root, stdio: 'inherit', env: { ...quiet(), ...env } });
  const [status] = await once(child, 'close');
  if (status === 0) return;
  console.error(`${why} failed: ${command} ${args.join(' ')}`);
  process.exit(1);
}

const stampOf = (parts) => parts.reduce((h, p) => h.update(p), createHash('sha256')).digest('hex');
const same = (name, stamp) => existsSync(join(cache, name)) && readFileSync(join(cache, name), 'utf8') === stamp;
const keep = (name, stamp) => {
  mkdirSync(cache, { recursive: true });
  writeFileSync(join(cache, name), stamp);
};

const readJson = (path) => JSON.parse(readFileSync(join(root, path), 'utf8'));

export function ensureInstalled() {
  const trouble = nodeTrouble(process.versions.node, readJson('package.json').engines.node);
  if (trouble !== null) {
    console.error(trouble);
    process.exit(1);
  }
  const stamp = stampOf([readFileSync(join(root, 'package-lock.json')), process.version]);
  if (existsSync(join(root, 'node_modules')) && same('installed', stamp)) return;
  console.log('Installing packages…');
  // not `npm ci`: it refuses a lock file without the packages of every other platform
  must('npm', ['install', '--no-audit', '--no-fund', '--loglevel=error'], 'Installing packages');
  keep('installed', stamp);
}

/** The browser that the checks drive: CHROME_BIN, one that is installed, or Debian's, where it may be installed. */
export function ensureBrowser() {
  const found = () => browserPath();
  const there = found();
  if (there && existsSync(there)) return there;
  if (there) {
    console.error(`CHROME_BIN names ${there}, which is not there. Set it to a browser's program, or unset it.`);
    process.exit(1);
  }
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
    console.error('The tests need Chromium or Chrome. Install one, for instance with: sudo apt-get install chromium');
    console.error('One in an unusual place is named by CHROME_BIN.');
    process.exit(1);
  }
  console.log('Installing Chromium…');
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  run('apt-get', ['update', '-qq'], { env });
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], { env });
  const now = found();
  if (!now) {
    console.error('Chromium could not be installed. Install it by hand, then run this again.');
    process.exit(1);
  }
  return now;
}

/** Path, size and time of every file the build depends on. */
function sources(dir) {
  return readdirSync(join(root, dir), { withFileTypes: true })
    .filter((e) => e.name !== 'dist' && e.name !== 'node_modules')
    .sort((a, b) => a.name.localeCompare(b.name))
    .flatMap((e) => {
      const path = join(dir, e.name);
      if (e.isDirectory()) return sources(path);
      const s = statSync(join(root, path));
      // tests are not built
      if (/\.spec\.ts$/.test(path)) return [];
      return [`${path}:${s.size}:${Math.round(s.mtimeMs)}`];
    });
}

/** Builds the core and the application side by side, unless what stands there is current. */
export async function ensureBuilt() {
  ensureInstalled();
  const stamp = stampOf([
    ...sources('core/src'),
    ...sources('web'),
    ...sources('demo'),
    ...sources('scripts/lib'),
    readFileSync(join(root, 'angular.json')),
    readFileSync(join(root, 'package-lock.json')),
  ]);
  if (existsSync(join(root, 'web/dist/index.html')) && same('built', stamp)) return;
  console.log('Building Orvin…');
  bundleSample();
  await Promise.all([
    mustEnd('npm', ['run', '-s', 'build', '-w', 'core'], 'Building the core'),
    // fewer, larger files: each request costs more than the bytes in it
    mustEnd('npx', ['ng', 'build'], 'Building the application', { NG_BUILD_OPTIMIZE_CHUNKS: '1' }),
  ]);
  await compressAhead(join(root, 'web/dist'));
  keep('built', stamp);
}
