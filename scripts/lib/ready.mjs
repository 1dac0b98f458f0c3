// A current build. Needs only Node.
import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { compressAhead } from './compress.mjs';
import { ensureInstalled } from './packages.mjs';
import { keep, must, root, same, stampOf } from './run.mjs';
import { bundleSample } from './sample.mjs';

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
  await ensureInstalled();
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
    must('npm', ['run', '-s', 'build', '-w', 'core'], 'Building the core'),
    // fewer, larger files: each request costs more than the bytes in it
    must('npx', ['ng', 'build'], 'Building the application', { NG_BUILD_OPTIMIZE_CHUNKS: '1' }),
  ]);
  await compressAhead(join(root, 'web/dist'));
  keep('built', stamp);
}
