// Sets everything up and runs every check; ends with `N passed, N failed`.
import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { ensureLightBrowser } from './lib/browser.mjs';
import { ensureInstalled } from './lib/packages.mjs';
import { root } from './lib/run.mjs';
import { bundleSample } from './lib/sample.mjs';

const [browser] = await Promise.all([ensureLightBrowser(), ensureInstalled()]);
process.env['CHROME_BIN'] = browser;
process.env['NG_CLI_ANALYTICS'] = 'false';
bundleSample();

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
function ran(command, args, cwd, env) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd, env: { ...process.env, ...env, NO_COLOR: '1', FORCE_COLOR: undefined } });
    let text = '';
    child.stdout.on('data', (d) => (text += d));
    child.stderr.on('data', (d) => (text += d));
    child.on('error', (e) => done({ status: 1, text: `${text}\n${e.message}` }));
    child.on('close', (status) => done({ status, text }));
  });
}

async function check({ name, command, args, read = whole, cwd = root, env = {} }) {
  const start = Date.now();
  const { status, text } = await ran(command, args, cwd, env);
  const ok = status === 0;
  // a runner that fell over without counting is one failure, whatever it printed
  const [good, counted] = read(text, ok) ?? [0, 1];
  const bad = !ok && counted === 0 ? 1 : counted;
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
  return bad === 0;
}

const node = (...args) => ({ command: process.execPath, args });
const npx = (...args) => ({ command: 'npx', args });
const npm = (...args) => ({ command: 'npm', args: ['run', '-s', ...args] });
/** One check more at a time than there are processors: each of them waits for a part of its time. */
const LANES = 1 + Math.max(1, Math.min(4, availableParallelism()));
/** Every check, the long ones first, and of those what waits most; `after` names what has to have ended before. */
const checks = [
  { name: 'web', ...npx('ng', 'test'), read: karma },
  { name: 'types, and the core as a package', ...npm('types') },
  { name: 'core', ...npm('test', '-w', 'core'), read: jasmine },
  { name: 'application, built', ...node('scripts/build.mjs'), after: ['types, and the core as a package'] },
  { name: 'formatting', ...npm('formatted') },
  { name: 'lint', ...npm('lint:code') },
  { name: 'lint of components and templates', ...npm('lint:angular') },
  { name: 'arrows between packages', ...npm('arrows') },
  { name: 'server', ...npm('test', '-w', 'server'), read: jasmine, after: ['types, and the core as a package'] },
  { name: 'kernel, as its source makes it', ...node('scripts/kernel.mjs', '--check') },
  { name: 'core used from outside, types', ...npm('types:consumer'), after: ['types, and the core as a package'] }, // prettier-ignore
  { name: 'core used from outside, in Node alone', ...node('core/test/consumer/run.mjs'), after: ['types, and the core as a package'] }, // prettier-ignore
];
/** After all of them, since they take every processor: none waits for the last of a part. */
const journeys = {
  name: 'journeys',
  ...npx('playwright', 'test'),
  read: playwright,
  cwd: `${root}e2e`,
  after: ['application, built'],
};

/** How each check ended: true when all of it passed; null while it has not. */
const ended = new Map(checks.map((c) => [c.name, null]));

/** Makes a check, unless one that has to come before it failed: that is said, and counts as a failure. */
async function made(c) {
  const without = (c.after ?? []).find((name) => !ended.get(name));
  if (without === undefined) return check(c);
  failed++;
  console.log(`FAIL ${c.name}: not run, since "${without}" failed`);
  return false;
}

/** One lane a processor: each takes the next check whose turn it can be. */
async function lanes(many) {
  const waiting = [...checks];
  const running = new Set();
  const ready = (c) => (c.after ?? []).every((name) => ended.get(name) !== null);
  while (waiting.length > 0 || running.size > 0) {
    for (let i = waiting.findIndex(ready); i >= 0 && running.size < many; i = waiting.findIndex(ready)) {
      const [c] = waiting.splice(i, 1);
      const run = made(c).then((ok) => {
        ended.set(c.name, ok);
        running.delete(run);
      });
      running.add(run);
    }
    if (running.size === 0) throw new Error(`nothing can follow: ${waiting.map((c) => c.name).join(', ')}`);
    await Promise.race(running);
  }
}
await lanes(LANES);
await made(journeys);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
