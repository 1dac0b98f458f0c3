import { spawn, type ChildProcess } from 'node:child_process';
import type { Browser, Page } from '@playwright/test';
import { printed } from './pictures/print';
import { expect, test } from './src/test';
import { gramsField, stored } from './src/steps';

test.use({ serviceWorkers: 'allow', alone: true });
const port = Number(process.env['ORVIN_PORT'] ?? 4380) + 1;
const base = `http://localhost:${port}`;

async function serve(): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['../server/src/main.mjs', `--port=${port}`], { stdio: 'ignore' });
  await expect
    .poll(
      async () => {
        // another one at its port would answer in its place, and never be gone
        if (child.exitCode !== null) throw new Error(`no server at ${base}: ${child.exitCode}`);
        return fetch(`${base}/health`).then(
          (r) => r.ok,
          () => false,
        );
      },
      { timeout: 60_000 },
    )
    .toBe(true);
  return child;
}

/** Takes in a picture of a card, printed beside. */
async function fromPicture(page: Page, browser: Browser, card: string): Promise<void> {
  const studio = await browser.newPage({ deviceScaleFactor: 2 });
  const buffer = await printed(studio, card, { name: 'book', face: 'book', size: 22 });
  await studio.close();
  await page.getByLabel('from a picture').setInputFiles({ name: 'card.png', mimeType: 'image/png', buffer });
}

const stop = (child: ChildProcess): Promise<void> =>
  new Promise((done) => {
    // one that has gone already would never say so again
    if (child.exitCode !== null || child.signalCode !== null) return done();
    child.once('exit', () => done());
    child.kill('SIGTERM');
  });

test('starts, edits and restarts with the server gone', async ({ page, browser }) => {
  // two servers, a picture read and a whole application kept: slow on a slow machine
  test.setTimeout(300_000);
  let server = await serve();
  try {
    await page.goto(`${base}/shelf`);
    await expect(page.getByRole('link', { name: /Rye and pear loaf/ })).toBeVisible();
    // the worker has everything once it is active and its caches hold every file it was told of
    const wanted = await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
      const told = (await (await fetch('/ngsw.json')).json()) as {
        assetGroups: { installMode: string; urls: string[] }[];
      };
      // the reader of pictures is kept from when it is first asked for
      return told.assetGroups.reduce((n, g) => n + (g.installMode === 'lazy' ? 0 : g.urls.length), 0);
    });
    await expect
      .poll(
        () =>
          page.evaluate(async () => {
            const names = (await caches.keys()).filter((n) => /:assets:.*:cache$/.test(n));
            const sizes = await Promise.all(names.map(async (n) => (await (await caches.open(n)).keys()).length));
            return sizes.reduce((a, b) => a + b, 0);
          }),
        { timeout: 60_000 },
      )
      .toBeGreaterThanOrEqual(wanted);
    await page.reload();
    const sight = (): Promise<number> =>
      page.evaluate(async () => {
        const names = (await caches.keys()).filter((n) => n.includes(':assets:sight:cache'));
        return (await Promise.all(names.map(async (n) => (await (await caches.open(n)).keys()).length)))[0] ?? 0;
      });
    expect(await sight()).toBe(0);
    await fromPicture(page, browser, 'Plain scones\n\n300 g flour\n4 tsp baking powder\n60 g butter\n160 ml milk');
    await expect(page.getByRole('heading', { level: 1, name: 'Plain scones' })).toBeVisible();
    await page.getByRole('button', { name: 'throw it away' }).click();
    await expect.poll(sight).toBe(4);
    await stop(server);

    await page.goto(`${base}/bench/rye-and-pear-loaf`);
    const powder = gramsField(page, 'Baking powder');
    await powder.fill('2 tsp');
    await powder.press('Enter');
    await expect(powder).toHaveValue('9.1');
    await expect(page.getByRole('heading', { name: /Lift Right for/ })).toBeVisible();
    await stored(page);

    // the bake model's worker starts offline too
    await page.goto(`${base}/tins/rye-and-pear-loaf`);
    await expect(page.locator('p.minutes')).toBeVisible();
    await page.reload();
    await expect(page.locator('p.minutes')).toBeVisible();
    await page.goto(`${base}/bench/rye-and-pear-loaf`);
    await expect(powder).toHaveValue('9.1');
    // the solver and its compiled part come from the cache
    await page.keyboard.press('a');
    await page.getByRole('button', { name: 'less sugar' }).click();
    await expect(page.locator('.offer')).toContainText('25 % less sugar');
    await page.keyboard.press('Escape');

    // and so do the readers, of pictures and of text
    await page.goto(`${base}/shelf`);
    await fromPicture(page, browser, 'Rye scones\n\n300 g rye flour\n4 tsp baking powder\n60 g butter\n160 ml milk');
    await expect(page.getByRole('heading', { level: 1, name: 'Rye scones' })).toBeVisible();
    await page.getByRole('button', { name: 'throw it away' }).click();
    await page.goto(`${base}/shelf`);
    await page
      .getByLabel('A recipe to read')
      .fill('Plain cups\n200 g plain flour\n2 tsp baking powder\n2 eggs\n200 ml milk');
    await page.getByRole('button', { name: 'read it' }).click();
    await expect(page.getByText('4 ingredients')).toBeVisible();
    await page.goto(`${base}/bench/rye-and-pear-loaf`);
    // a name with a dot in it is no file's, offline too
    await page.goto(`${base}/bench/aunt.isolde`);
    await expect(page.getByRole('heading', { name: 'This formula is not in this kitchen' })).toBeVisible();
    await page.goto(`${base}/bench/rye-and-pear-loaf`);

    server = await serve();
    await page.reload();
    await expect(powder).toHaveValue('9.1');
  } finally {
    await stop(server).catch(() => undefined);
  }
});
