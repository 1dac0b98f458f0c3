// The packages that the lock file names. Needs only Node.
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { nodeTrouble } from './node-version.mjs';
import { keep, must, ran, root, same, stampOf } from './run.mjs';

const LOCK = join(root, 'package-lock.json');

/**
 * A lock file with the place of every version in a registry, by the convention that registries keep to:
 * `<registry>/<name>/-/<last part of the name>-<version>.tgz`. The checksums in it hold wherever a package comes from.
 *
 * @param {string} text of the lock file
 * @param {string} registry its address
 */
export function withPlaces(text, registry) {
  const lock = JSON.parse(text);
  const at = registry.trim().replace(/\/+$/, '');
  for (const [path, p] of Object.entries(lock.packages)) {
    const inside = path.lastIndexOf('node_modules/');
    if (inside < 0 || p.link || p.resolved) continue;
    const name = p.name ?? path.slice(inside + 'node_modules/'.length);
    p.resolved = `${at}/${name}/-/${name.split('/').at(-1)}-${p.version}.tgz`;
  }
  return `${JSON.stringify(lock, null, 2)}\n`;
}

/**
 * Installs what the lock file names. It names no registry, and npm would first ask for the whole list of versions of
 * every package, which takes longer than all the rest; so it is told the places for as long as it runs. It leaves them
 * out of the file again when it writes it (.npmrc). A registry that keeps its packages elsewhere is asked the long way.
 */
async function install() {
  // not `npm ci`: it refuses a lock file without the packages of every other platform
  const args = ['install', '--no-audit', '--no-fund', '--loglevel=error'];
  const plain = readFileSync(LOCK, 'utf8');
  const stopped = () => {
    writeFileSync(LOCK, plain);
    process.exit(130);
  };
  const signals = ['SIGINT', 'SIGTERM'];
  for (const s of signals) process.once(s, stopped);
  try {
    const registry = execFileSync('npm', ['config', 'get', 'registry'], { cwd: root, encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }); // prettier-ignore
    writeFileSync(LOCK, withPlaces(plain, registry));
    if ((await ran('npm', args)) === 0) {
      // an npm that does not know that setting, or has nothing to write
      if (readFileSync(LOCK, 'utf8').includes(registry.trim())) writeFileSync(LOCK, plain);
      return;
    }
  } catch {
    // asked the long way
  } finally {
    for (const s of signals) process.off(s, stopped);
  }
  writeFileSync(LOCK, plain);
  await must('npm', args, 'Installing packages');
}

export async function ensureInstalled() {
  const wanted = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')).engines.node;
  const trouble = nodeTrouble(process.versions.node, wanted);
  if (trouble !== null) {
    console.error(trouble);
    process.exit(1);
  }
  const stamp = stampOf([readFileSync(LOCK), process.version]);
  if (existsSync(join(root, 'node_modules')) && same('installed', stamp)) return;
  console.log('Installing packages…');
  await install();
  keep('installed', stamp);
}
