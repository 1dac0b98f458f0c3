import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { chromium, type Page } from '@playwright/test';
import { expect, test } from './src/test';
import { browserPath, chromiumArgs } from './src/browser.mjs';
import { complaints, goTo, gramsField, hang, larder, ownKitchen, paste, sampleKitchen, stored } from './src/steps';

/** A server of its own, until it says that it is there. */
async function served(...more: string[]): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['../server/src/main.mjs', ...more], { stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise<void>((done, fail) => {
    child.stdout?.on('data', (d: Buffer) => /Orvin is at/.test(String(d)) && done());
    child.once('exit', (code) => fail(new Error(`the server ended with ${code}`)));
  });
  return child;
}

test('from another device in the house, over plain http, all of it works that needs no secure address', async ({
  baseURL,
}) => {
  const port = Number(new URL(baseURL ?? '').port) + 7;
  const server = await served('--lan', '--name=kitchen.example', '--code=482915', `--port=${port}`);
  // as a name that is not this machine's own, which browsers do not take for a secure address
  const args = [...chromiumArgs, '--host-resolver-rules=MAP kitchen.example 127.0.0.1'];
  const browser = await chromium.launch({ executablePath: browserPath() ?? undefined, args });
  try {
    const page = await browser.newPage({ baseURL: `http://kitchen.example:${port}` });
    const thrown: string[] = [];
    page.on('pageerror', (e) => thrown.push(e.message));
    // nobody comes in without the code that stands where the server was started
    await page.goto('/shelf');
    await expect(page.getByRole('heading', { name: 'Pair this device' })).toBeVisible();
    await page.getByLabel('Code').fill('111111');
    await page.getByRole('button', { name: 'pair' }).click();
    await expect(page.getByRole('status')).toContainText('not the code');
    await page.getByLabel('Code').fill('482 915');
    await page.getByRole('button', { name: 'pair' }).click();
    await sampleKitchen(page);
    expect(await page.evaluate(() => [isSecureContext, typeof crypto.randomUUID])).toEqual([false, 'undefined']);
    await paste(page, 'Plain scones\n300 g plain flour\n60 g butter\n150 ml milk\n12 g baking powder');
    await page.getByRole('button', { name: 'to the bench' }).click();
    await expect(gramsField(page, 'Plain flour')).toHaveValue('300');
    await gramsField(page, 'Plain flour').fill('320');
    await gramsField(page, 'Plain flour').press('Enter');
    await goTo(page, '/log/rye-and-pear-loaf');
    await page.getByLabel('Minutes in the oven').fill('61');
    await page.getByRole('button', { name: 'log it' }).click();
    await expect(page).toHaveURL(/bake=/);
    await goTo(page, '/counter/rye-and-pear-loaf');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.locator('.goKey')).toBeVisible();
    await goTo(page, '/larder?part=data');
    await page.getByRole('link', { name: 'start another kitchen' }).click();
    await ownKitchen(page, 'Somewhere else', []);
    expect(thrown).toEqual([]);
  } finally {
    await browser.close();
    server.kill('SIGTERM');
  }
});

test('a full device opens its kitchen all the same, says how full it is, and hands over the file', async ({ page }) => {
  await sampleKitchen(page);
  await page.addInitScript(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.reload();
  await expect(page.getByRole('link', { name: /Rye and pear loaf/ })).toBeVisible();
  const notice = page.locator('.notice.problem');
  await expect(notice).toContainText('no room left for Orvin. It holds');
  await expect(notice).toContainText(/of the [\d.]+ [MG]B that the browser allows/);
  // what is on the screen can be looked at, and taken away as a file
  await page.getByRole('link', { name: /Rye and pear loaf/ }).click();
  await expect(gramsField(page, 'Rye flour')).toHaveValue('100');
  const waiting = page.waitForEvent('download');
  await notice.getByRole('button', { name: 'export the kitchen' }).click();
  const file = JSON.parse(await readFile(await (await waiting).path(), 'utf8')) as { formulas: unknown[] };
  expect(file.formulas.length).toBe(14);
});

test.describe('with the clock in hand', () => {
  test.use({ alone: true });

  test('a storage that never answers is said, and once it answers the kitchen opens by itself', async ({ page }) => {
    await page.clock.install();
    await page.addInitScript(() => {
      const open = IDBFactory.prototype.open;
      const held: (() => void)[] = [];
      Object.assign(window, { answer: () => held.splice(0).forEach((go) => go()) });
      IDBFactory.prototype.open = function (name: string, version?: number): IDBOpenDBRequest {
        // a request that stays pending; asked for in earnest only when it is let go
        const pending = new EventTarget() as unknown as IDBOpenDBRequest;
        held.push(() => {
          const real = open.call(this, name, version);
          for (const kind of ['success', 'error', 'upgradeneeded', 'blocked'] as const)
            real.addEventListener(kind, () => {
              Object.defineProperties(pending, {
                result: { get: () => real.result, configurable: true },
                error: { get: () => real.error, configurable: true },
                transaction: { get: () => real.transaction, configurable: true },
              });
              const told = { type: kind, target: pending, oldVersion: 0, preventDefault: () => undefined, stopPropagation: () => undefined }; // prettier-ignore
              (pending as unknown as Record<string, ((e: unknown) => void) | undefined>)[`on${kind}`]?.(told);
            });
        });
        return pending;
      };
    });
    await page.goto('/shelf');
    await expect(page.getByRole('navigation', { name: 'Views' })).toBeVisible();
    await page.clock.fastForward(9000);
    const said = page.getByRole('alert');
    await expect(said).toContainText('storage does not answer');
    await expect(said).toContainText('Nothing is lost');
    await expect(said.getByRole('button', { name: 'try again' })).toBeVisible();
    await page.evaluate(() => {
      const { answer } = window as unknown as { answer: () => void };
      setInterval(answer, 50);
    });
    await page.clock.fastForward(2000);
    await expect(said).toHaveCount(0);
  });
});

/** A kitchen's file, as it was exported and then spoiled. */
async function spoiled(page: Page): Promise<string> {
  await larder(page, 'Your data');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'export without photos' }).click();
  const file = JSON.parse(await readFile(await (await waiting).path(), 'utf8')) as {
    kitchen: Record<string, unknown>;
    bakes: Record<string, unknown>[];
    formulas: { formula: Record<string, unknown>; plan: Record<string, unknown> }[];
  };
  Object.assign(file.kitchen, {
    name: 'Spoiled',
    powders: [null],
    bowls: null,
    locale: { language: '??', currency: 'Euro', temperature: 'C', zone: 'Mars/Olympus' },
  });
  Object.assign(file.bakes[0] ?? {}, { at: 1e20 });
  for (const f of file.formulas) f.plan = { ...f.plan, locked: 5 };
  Object.assign(file.formulas.find((f) => f.formula['id'] === 'rye-and-pear-loaf')?.formula ?? {}, { id: 'aunt.isolde' }); // prettier-ignore
  return JSON.stringify(file);
}

test('a spoiled kitchen comes in but for what does not fit, which is named; every view opens on it, and a name with a dot', async ({
  page,
}) => {
  const wrong = complaints(page);
  await sampleKitchen(page);
  const text = await spoiled(page);
  await page.locator('input[type=file]').setInputFiles({ name: 'spoiled.json', mimeType: 'application/json', buffer: Buffer.from(text) }); // prettier-ignore
  const notice = page.locator('.notice.problem');
  await expect(notice).toContainText('kitchen › powders › 0');
  const waiting = page.waitForEvent('download');
  await notice.getByRole('button', { name: 'save the list' }).click();
  const list = await readFile(await (await waiting).path(), 'utf8');
  for (const place of [
    'kitchen › bowls',
    'locale › currency',
    'locale › zone',
    'locale › language',
    'bakes › 0 › at',
    'formulas › 3 › plan › locked',
  ])
    // prettier-ignore
    expect(list).toContain(place);
  await expect(page.getByRole('link', { name: /Rye and pear loaf/ })).toBeVisible();
  for (const view of ['bench', 'tins', 'day', 'counter', 'log', 'card', 'label', 'versions', 'beside']) {
    await goTo(page, `/${view}/aunt.isolde`);
    await expect(page.locator('h1, input.title').first(), view).toBeVisible();
  }
  for (const part of ['', '?part=shopping', '?part=tins', '?part=kit', '?part=data']) {
    await goTo(page, `/larder${part}`);
    await expect(page.getByRole('heading', { level: 1, name: 'Spoiled' }), part).toBeVisible();
  }
  // a name with a dot in it is no file's
  await page.goto('/bench/aunt.isolde');
  await expect(page.getByLabel('Title')).toHaveValue('Rye and pear loaf');
  expect(wrong).toEqual([]);
});

test('undo on the proof sheet takes back answers there and nothing else', async ({ page }) => {
  await sampleKitchen(page, '/bench/rye-and-pear-loaf');
  const rye = gramsField(page, 'Rye flour');
  await rye.fill('130');
  await rye.press('Enter');
  await expect(page.getByRole('button', { name: /^Undo Rye flour/ })).toBeEnabled();
  await paste(
    page,
    'Small muffins\n2 cups (180 g) plain flour\n2 tsp baking powder\n2 eggs\n150 ml milk\n90 g sugar\n70 g butter\n60 g glimmer',
  );
  await expect(page.getByText('2 places are in doubt')).toBeVisible();
  await page.getByRole('button', { name: '180 g, as weighed' }).click();
  await expect(page.getByText('One place is in doubt')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('2 places are in doubt')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Nothing to undo here.')).toBeVisible();
  await hang(page, 'Bench');
  await expect(rye).toHaveValue('130');
});

/** How many rows a store of the one kitchen there is has. */
const rows = (page: Page, store: string): Promise<number> =>
  page.evaluate(async (from) => {
    const done = <T>(r: IDBRequest<T>): Promise<T> => new Promise((yes) => (r.onsuccess = () => yes(r.result)));
    const name = (await indexedDB.databases()).find((d) => d.name?.startsWith('orvin-kitchen-'))?.name ?? '';
    const db = await done(indexedDB.open(name));
    const n = await done(db.transaction(from).objectStore(from).count());
    db.close();
    return n;
  }, store);

test.describe('without a kitchen before', () => {
  test.use({ alone: true });

  test('a formula pressed before the kitchen is stored opens, and what is changed in it stays', async ({ page }) => {
    const wrong = complaints(page);
    await page.goto('/shelf');
    await page.getByRole('link', { name: /Rye and pear loaf/ }).click();
    await gramsField(page, 'Rye flour').fill('123');
    await gramsField(page, 'Rye flour').press('Enter');
    await stored(page);
    await page.reload();
    await expect(gramsField(page, 'Rye flour')).toHaveValue('123');
    await expect(page.locator('.rail .kitchen')).toHaveText('Hollin Lane');
    expect(wrong).toEqual([]);
  });

  test('a first start reckons nothing: what the sample’s log taught comes with it', async ({ page }) => {
    await sampleKitchen(page, '/log?part=taught');
    await expect(page.getByText(/min is far off/).first()).toBeVisible();
    const jobs = await page.evaluate(() => performance.getEntriesByType('measure').map((m) => m.name));
    expect(jobs).toContain('orvin lesson');
    // what a worker had to reckon it would have kept beside what came with the sample
    const sample = JSON.parse(readFileSync('../demo/taught.json', 'utf8')) as { readonly reckoned: unknown[] };
    expect(await rows(page, 'reckoned')).toBe(sample.reckoned.length);
  });
});
