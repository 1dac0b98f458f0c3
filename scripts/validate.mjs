// Runs the long studies and keeps their result in docs/science/validation.md.
import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { ensureInstalled } from './lib/packages.mjs';
import { root, run } from './lib/run.mjs';

await ensureInstalled();
// the core's specs at their full length, of which the gate tries a part
const specs = run('npm', ['run', '-s', 'test', '-w', 'core'], { env: { ...process.env, ORVIN_FULL: '1' } });
if (specs !== 0) process.exit(1);
const done = spawnSync(process.execPath, ['--import', 'tsx', 'core/bench/validate.ts'], {
  cwd: root,
  encoding: 'utf8',
});
process.stderr.write(done.stderr);
if (done.status !== 0) process.exit(1);
const text = `# Validation\n\nMade by \`npm run validate\`. Nothing here was tuned after looking at it except what docs/science/bake.md names as fitted.\n\n${done.stdout}`;
writeFileSync(`${root}docs/science/validation.md`, text);
run('npx', ['oxfmt', 'docs/science/validation.md']);
console.log(text);
