import { spawn } from 'node:child_process';
import { expect, test } from './src/test';

test('the server names the taken port and the remedy, and refuses a port that is none', async ({ baseURL }) => {
  const port = new URL(baseURL ?? '').port;
  const run = (arg: string): Promise<{ code: number | null; words: string }> =>
    new Promise((done) => {
      const child = spawn(process.execPath, ['../server/src/main.mjs', `--port=${arg}`]);
      let words = '';
      child.stderr.on('data', (d: Buffer) => (words += d.toString()));
      child.on('exit', (code) => done({ code, words }));
    });
  const taken = await run(port);
  expect(taken.code).toBe(3);
  expect(taken.words).toContain(`Port ${port} is taken`);
  expect(taken.words).toContain(`--port=${Number(port) + 1}`);
  const none = await run('porridge');
  expect(none.code).toBe(2);
  expect(none.words).toContain('is no port');
});

test('the server keeps to one origin, a strict policy and the right caches', async ({ request, baseURL }) => {
  const port = new URL(baseURL ?? '').port;
  const away = await request.get(`http://127.0.0.1:${port}/shelf`, { maxRedirects: 0 });
  expect(away.headers()['location']).toBe(`http://localhost:${port}/shelf`);
  const page = await request.get('/bench/anything');
  expect(page.status()).toBe(200);
  expect(page.headers()['content-security-policy']).toContain("default-src 'none'");
  expect(page.headers()['content-security-policy']).not.toContain('unsafe');
  expect(page.headers()['cache-control']).toBe('no-cache');
  expect(page.headers()['content-encoding']).toMatch(/br|gzip/);
  const script = /src="(main-[^"]+)"/.exec(await page.text())?.[1] ?? '';
  expect((await request.get(`/${script}`)).headers()['cache-control']).toContain('immutable');
  expect((await request.get('/nothing.js')).status()).toBe(404);
});
