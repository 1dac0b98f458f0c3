import { spawn, spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from './src/test';
import { nodeTrouble } from '../scripts/lib/node-version.mjs';
import { withPlaces } from '../scripts/lib/packages.mjs';
import { browserPath, lightPath } from './src/browser.mjs';

const root = fileURLToPath(new URL('../', import.meta.url));

test('the commands work in a folder with a space in its name', async ({ baseURL }) => {
  const folder = mkdtempSync(join(tmpdir(), 'orvin '));
  const there = join(folder, 'the kitchen shelf');
  try {
    mkdirSync(there);
    // as it stands, with its times, so that nothing has to be built again
    for (const part of [
      'package.json',
      'package-lock.json',
      'angular.json',
      '.prettierrc.json',
      '.cache/built',
      '.cache/installed',
      'core/src',
      'core/kernel',
      'core/dist',
      'web',
      'demo',
      'server',
      'scripts',
      'e2e/src',
    ])
      // prettier-ignore
      cpSync(join(root, part), join(there, part), { recursive: true, preserveTimestamps: true });
    symlinkSync(join(root, 'node_modules'), join(there, 'node_modules'));
    const kernel = spawnSync(process.execPath, ['scripts/kernel.mjs', '--check'], { cwd: there, encoding: 'utf8' });
    expect(kernel.stderr).toBe('');
    expect(kernel.status).toBe(0);
    const port = Number(new URL(baseURL ?? '').port) + 9;
    const start = spawn(process.execPath, ['scripts/start.mjs', `--port=${port}`], { cwd: there });
    let words = '';
    for (const s of [start.stdout, start.stderr]) s.on('data', (d: Buffer) => (words += String(d)));
    await expect.poll(() => words, { timeout: 60_000 }).toContain(`Orvin is at http://localhost:${port}`);
    expect(words).not.toContain('Building');
    const page = await fetch(`http://localhost:${port}/bench/any.thing`);
    expect(page.status).toBe(200);
    expect(await page.text()).toContain('<orvin-root');
    start.kill('SIGTERM');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

test('a Node that cannot build Orvin is named with those that can', () => {
  const wanted = '^20.19.0 || ^22.12.0 || >=24.0.0';
  for (const bad of ['18.20.4', '20.0.0', '20.18.3', '21.7.3', '22.11.0', '23.11.0'])
    expect(nodeTrouble(bad, wanted), bad).toMatch(new RegExp(`needs Node 20\\.19 .*22\\.12 .*24.*; this is ${bad}`));
  for (const good of ['20.19.0', '20.20.2', '22.12.0', '22.20.1', '24.0.0', '25.1.0', '26.3.2'])
    expect(nodeTrouble(good, wanted), good).toBeNull();
});

test('the browser that is named is taken, and otherwise one that is on the path', () => {
  expect(browserPath({ CHROME_BIN: '/opt/own/browser' })).toBe('/opt/own/browser');
  const folder = mkdtempSync(join(tmpdir(), 'orvin-path-'));
  try {
    const mine = join(folder, 'google-chrome');
    writeFileSync(mine, '#!/bin/sh\n', { mode: 0o755 });
    expect(browserPath({ PATH: folder }, 'plan9')).toBe(mine);
    expect(browserPath({ PATH: '/nowhere' }, 'plan9')).toBeNull();
    // the one without windows is taken where it can be run, and is nobody's browser otherwise
    const light = join(folder, 'chromium-headless-shell');
    expect(lightPath(light)).toBeNull();
    writeFileSync(light, '#!/bin/sh\n', { mode: 0o755 });
    expect(lightPath(light)).toBe(light);
    expect(browserPath({ PATH: folder }, 'plan9')).toBe(mine);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

test('a lock file is told the place of each version, and of nothing that comes from elsewhere', () => {
  const lock = {
    packages: {
      '': { name: 'pantry' },
      core: { version: '1.0.0' },
      'node_modules/@pantry/core': { resolved: 'core', link: true },
      'node_modules/flour': { version: '2.1.0', integrity: 'sha512-f' },
      'node_modules/flour/node_modules/@mill/rye': { version: '3.0.0-rc.1' },
      'node_modules/spelt': { name: 'flour', version: '2.0.9' },
      'node_modules/own': { version: '1.0.0', resolved: 'file:own.tgz' },
    },
  };
  const { packages } = JSON.parse(withPlaces(JSON.stringify(lock), 'https://shop.test/npm/\n')) as typeof lock;
  expect(packages).toEqual({
    ...lock.packages,
    'node_modules/flour': {
      ...lock.packages['node_modules/flour'],
      resolved: 'https://shop.test/npm/flour/-/flour-2.1.0.tgz',
    },
    'node_modules/flour/node_modules/@mill/rye': {
      version: '3.0.0-rc.1',
      resolved: 'https://shop.test/npm/@mill/rye/-/rye-3.0.0-rc.1.tgz',
    },
    'node_modules/spelt': {
      name: 'flour',
      version: '2.0.9',
      resolved: 'https://shop.test/npm/flour/-/flour-2.0.9.tgz',
    },
  });
});
