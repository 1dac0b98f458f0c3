import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { connect as dial } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import WebSocket from 'ws';
import { makeApp } from '../src/app.mjs';
import { hostsOf } from '../src/hosts.mjs';
import { Bucket } from '../src/rate.mjs';
import { defaultKitchen } from '@orvin/core';

const PORT = 4392;
const here = `localhost:${PORT}`;
const away = `192.168.7.20:${PORT}`;

/** A folder with what a build leaves. */
function built(files = {}) {
  const root = mkdtempSync(join(tmpdir(), 'orvin-built-'));
  mkdirSync(join(root, 'icons'));
  const all = {
    'index.html': '<!doctype html><title>Orvin</title>',
    'main-Z5LW4DH6.js': '1',
    'icons/icon-maskable.png': 'x',
    'early.js': '2',
    'ngsw-worker.js': '3',
    ...files,
  };
  for (const [name, text] of Object.entries(all)) writeFileSync(join(root, name), text);
  return root;
}

describe('the doors of the server', () => {
  let root;
  let app;
  const ask = (url, headers = {}, method = 'GET', more = {}) =>
    app.inject({ method, url, headers: { host: here, ...headers }, ...more });

  beforeAll(async () => {
    root = built();
    app = await makeApp({ root, port: PORT });
    await app.listen({ port: PORT, host: 'localhost' });
  });
  afterAll(async () => {
    await app.close();
    rmSync(root, { recursive: true });
  });

  it('answers to its own names alone, and sends all of them to one', async () => {
    expect((await ask('/shelf')).statusCode).toBe(200);
    for (const host of [`127.0.0.1:${PORT}`, `[::1]:${PORT}`]) {
      const r = await ask('/shelf?x=1', { host });
      expect([r.statusCode, r.headers.location]).toEqual([308, `http://${here}/shelf?x=1`]);
    }
    for (const host of ['evil.example', `evil.example:${PORT}`, away, `localhost:${PORT + 1}`, ''])
      expect((await ask('/shelf', { host })).statusCode)
        .withContext(host)
        .toBe(421);
  });

  it('says of everything what a browser may do with it, also of what it refuses', async () => {
    for (const [url, code] of [
      ['/shelf', 200],
      ['/nothing.js', 404],
      ['/%', 400],
      ['/%c0%af', 400],
    ]) {
      const r = await ask(url);
      expect(r.statusCode).withContext(url).toBe(code);
      expect(r.headers['content-security-policy']).withContext(url).toContain("default-src 'none'");
      expect(r.headers['x-content-type-options']).withContext(url).toBe('nosniff');
    }
    const raw = await new Promise((done) => {
      let heard = '';
      const socket = dial(PORT, 'localhost', () => socket.write('porridge\r\n\r\n'));
      socket.on('data', (d) => (heard += d));
      socket.on('close', () => done(heard));
    });
    expect(raw).toMatch(/^HTTP\/1\.1 400/);
    expect(raw).toContain("default-src 'none'");
  });

  it('answers HEAD as it would GET, without the body', async () => {
    for (const url of ['/', '/bench/aunt.isolde', '/main-Z5LW4DH6.js', '/nothing.js']) {
      const [get, head] = [await ask(url), await ask(url, {}, 'HEAD')];
      expect(head.statusCode).withContext(url).toBe(get.statusCode);
      expect(head.body).toBe('');
      expect(head.headers['cache-control']).toBe(get.headers['cache-control']);
    }
  });

  it('lets only that be kept whose name carries its hash', async () => {
    for (const [url, kept] of [
      ['/main-Z5LW4DH6.js', true],
      ['/index.html', false],
      ['/', false],
      ['/bench/x-12345678', false],
      ['/icons/icon-maskable.png', false],
      ['/early.js', false],
      ['/ngsw-worker.js', false],
    ])
      expect((await ask(url)).headers['cache-control'].includes('immutable'))
        .withContext(url)
        .toBe(kept);
  });

  it('says when there is nothing built to serve', async () => {
    const empty = mkdtempSync(join(tmpdir(), 'orvin-empty-'));
    const bare = await makeApp({ root: empty, port: PORT });
    const r = await bare.inject({ url: '/shelf', headers: { host: here } });
    expect([r.statusCode, r.body]).toEqual([503, jasmine.stringContaining('npm start')]);
    await bare.close();
    rmSync(empty, { recursive: true });
  });

  const refused = (path, origin, host = here) =>
    new Promise((done) => {
      const socket = new WebSocket(`ws://localhost:${PORT}${path}`, { ...(origin && { origin }), headers: { host } });
      socket.on('open', () => (done('open'), socket.close()));
      socket.on('unexpected-response', (_, r) => done(r.statusCode));
      socket.on('error', () => undefined);
    });

  it('opens its socket for its own page alone, however the address is written', async () => {
    for (const path of ['/devices?kitchen=k', '/%64evices?kitchen=k', '/devices/?kitchen=k', '/d%65vices?kitchen=k']) {
      expect(await refused(path, 'http://evil.example'))
        .withContext(path)
        .toBe(403);
      expect(await refused(path, undefined))
        .withContext(path)
        .toBe(403);
    }
    expect(await refused('/devices?kitchen=k', `http://${here}`)).toBe('open');
    expect(await refused('/devices?kitchen=k', 'http://evil.example', 'evil.example')).toBe(421);
  });

  it('is not kept from its work by one that says too much', async () => {
    const socket = new WebSocket(`ws://localhost:${PORT}/devices?kitchen=loud`, { origin: `http://${here}` });
    const heard = [];
    await new Promise((done) => socket.on('open', done));
    socket.on('message', (d) => heard.push(JSON.parse(d.toString())));
    const gone = new Promise((done) => socket.on('close', done));
    const tin = defaultKitchen.tins[0];
    const input = { batterG: 600, tin, family: 'muffin', ovenC: 180, fan: false };
    for (let i = 0; i < 300; i++)
      socket.send(JSON.stringify({ do: 'in', bake: { id: `b${i}`, input, roomC: 21, altitudeM: 0 }, elapsedS: 0 }));
    await gone;
    expect(heard.filter((m) => m.problem).length).toBeGreaterThan(0);
    // few of the cakes were worked out
    const baked = new Set(heard.flatMap((m) => (m.state?.bake ? [m.state.bake] : [])));
    expect(baked.size).toBeLessThan(7);
    // others are heard
    expect(await refused('/devices?kitchen=k', `http://${here}`)).toBe('open');
  });

  it('has room for so many pages of a kitchen, and says so to the next', async () => {
    const open = () =>
      new Promise((done) => {
        const socket = new WebSocket(`ws://localhost:${PORT}/devices?kitchen=full`, { origin: `http://${here}` });
        socket.on('message', () => done({ socket }));
        socket.on('close', (code) => done({ code }));
      });
    const all = [];
    for (let i = 0; i < 9; i++) all.push(await open());
    expect(all.map((o) => o.code)).toEqual([...Array(8).fill(undefined), 1008]);
    for (const o of all) o.socket?.close();
  });
});

describe('other devices in the house', () => {
  let root;
  let app;
  beforeAll(async () => {
    root = built();
    app = await makeApp({ root, port: PORT, lan: ['192.168.7.20'], code: '482915' });
  });
  afterAll(async () => {
    await app.close();
    rmSync(root, { recursive: true });
  });
  const ask = (url, { host = away, from = '192.168.7.31', cookie, method = 'GET', payload } = {}) =>
    app.inject({
      method,
      url,
      remoteAddress: from,
      headers: {
        host,
        ...(cookie && { cookie }),
        ...(payload && { 'content-type': 'application/x-www-form-urlencoded' }),
      },
      ...(payload && { payload }),
    });
  const say = (code) => ask('/pair', { method: 'POST', payload: `code=${encodeURIComponent(code)}` });

  it('see nothing until they are paired, whatever name they come by', async () => {
    for (const url of ['/', '/main-Z5LW4DH6.js', '/health', '/devices?kitchen=k', '/bench/x'])
      expect((await ask(url)).statusCode)
        .withContext(url)
        .toBe(401);
    // one that says it is this machine
    expect((await ask('/', { host: here })).statusCode).toBe(401);
    expect((await ask('/', { cookie: 'orvin-paired=no' })).statusCode).toBe(401);
    expect((await ask('/', { host: 'evil.example' })).statusCode).toBe(421);
    // this machine itself need not
    expect((await ask('/', { host: here, from: '127.0.0.1' })).statusCode).toBe(200);
  });

  it('are let in with the code, and not with guesses', async () => {
    const right = await say(' 482 915 ');
    expect([right.statusCode, right.headers.location]).toEqual([303, '/']);
    const cookie = right.headers['set-cookie'].split(';')[0];
    expect(right.headers['set-cookie']).toMatch(/HttpOnly; SameSite=Strict/);
    for (const url of ['/', '/main-Z5LW4DH6.js', '/bench/x']) expect((await ask(url, { cookie })).statusCode).toBe(200);
    const codes = [];
    for (let i = 0; i < 12; i++) codes.push((await say(String(100000 + i))).statusCode);
    expect(codes.slice(0, 9)).toEqual(Array(9).fill(403));
    expect(codes.slice(9)).toEqual([429, 429, 429]);
    // the right one has to wait as well
    expect((await say('482915')).statusCode).toBe(429);
  });
});

describe('hosts and rates', () => {
  it('know the bare name at port 80', () => {
    const hosts = hostsOf(80, ['kitchen.local']);
    expect(['localhost', 'localhost:80', 'kitchen.local'].map(hosts.known)).toEqual([true, true, true]);
    expect(hosts.aside('localhost')).toBeFalse();
  });

  it('give back so much a second, and never more than there was', () => {
    let now = 0;
    const bucket = new Bucket(3, 2, () => now);
    expect([1, 1, 1, 1].map((n) => bucket.take(n))).toEqual([true, true, true, false]);
    now += 500;
    expect([bucket.take(), bucket.take()]).toEqual([true, false]);
    now += 60_000;
    expect([1, 1, 1, 1].map((n) => bucket.take(n))).toEqual([true, true, true, false]);
    now -= 60_000;
    expect(bucket.take()).toBeFalse();
  });
});
