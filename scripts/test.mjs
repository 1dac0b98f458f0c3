// Sets everything up and runs every check; ends with `N passed, N failed`.
import { spawn } from 'node:child_process';
import { ensureBrowser, ensureInstalled, root } from './lib/ready.mjs';

ensureInstalled();
process.env['CHROME_BIN'] = ensureBrowser();
process.env['NG_CLI_ANALYTICS'] = 'false';

let passed = 0;
let failed = 0;
const count = (text, pattern) => Number(pattern.exec(text)?.[1] ?? 0);

/** One check that is right or wrong as a whole. */
const whole = (_text, ok) => (ok ? [1, 0] : [0, 1]);
const jasmine = (text) => {
  const m = /(\d+) specs?, (\d+) failures?/.exec(text);
  return m ? [Number(m[1]) - Number(m[2]), Number(m[2])] : null;
};
const karma = (text) => {
  const plain = text.replace(/\u001b\[\d+m/g, '');
  const all = [...plain.matchAll(/Executed (\d+) of (\d+)/g)].at(-1);
  const bad = count([...plain.matchAll(/\((\d+) FAILED\)/g)].at(-1)?.[0] ?? '', /(\d+)/);
  return all && all[1] === all[2] ? [Number(all[2]) - bad, bad] : null;
};
const playwright = (text) => {
  const good = count(text, /(\d+) passed/);
  const bad = count(text, /(\d+) failed/) + count(text, /(\d+) did not run/) + count(text, /(\d+) flaky/);
  return good + bad > 0 ? [good, bad] : null;
};

/** Runs a command to its end; what it printed and how it ended. */
function ran(command, args, cwd) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd, env: { ...process.env, NO_COLOR: '1', FORCE_COLOR: undefined } });
    let text = '';
    child.stdout.on('data', (d) => (text += d));
    child.stderr.on('data', (d) => (text += d));
    child.on('error', (e) => done({ status: 1, text: `${text}\n${e.message}` }));
    child.on('close', (status) => done({ status, text }));
  });
}

async function check(name, command, args, read = whole, cwd = root) {
  const start = Date.now();
  const { status, text } = await ran(command, args, cwd);
  const ok = status === 0;
  // a runner that fell over without counting is one failure, whatever it printed
  let [good, bad] = read(text, ok) ?? [0, 1];
  if (!ok && bad === 0) bad = 1;
  passed += good;
  failed += bad;
  console.log(
    `${bad === 0 ? 'ok  ' : 'FAIL'} ${name}: ${good} passed, ${bad} failed (${((Date.now() - start) / 1000).toFixed(0)} s)`,
  );
  if (bad > 0)
    console.log(
      text
        .split('\n')
        .filter((l) => !l.startsWith('npm warn'))
        .slice(-160)
        .join('\n'),
    );
}

/** The quick checks one after another, beside the core's tests, which take one processor for about as long. */
async function quick() {
  await check('lint', 'npx', ['eslint', '.']);
  await check('formatting', 'npx', ['prettier', '--check', '.']);
  await check('arrows between packages', 'npm', ['run', '-s', 'arrows']);
  await check('core as a package', 'npm', ['run', '-s', 'build', '-w', 'core']);
  await check('types', 'npm', ['run', '-s', 'types']);
  await check('kernel, as its source makes it', process.execPath, ['scripts/kernel.mjs', '--check']);
  await check('core used from outside, types', 'npx', ['tsc', '-p', 'core/test/consumer/tsconfig.json']);
  await check('core used from outside, in Node alone', process.execPath, ['core/test/consumer/run.mjs']);
  await check('server', 'npm', ['run', '-s', 'test', '-w', 'server'], jasmine);
  await check('application, built', process.execPath, ['scripts/build.mjs']);
}
await Promise.all([quick(), check('core', 'npm', ['run', '-s', 'test', '-w', 'core'], jasmine)]);
await check('web', 'npx', ['ng', 'test'], karma);
await check('journeys', 'npx', ['playwright', 'test'], playwright, `${root}e2e`);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
