import type { BrowserContext, Page } from '@playwright/test';
import { expect, test } from './src/test';
import { onDisk, unlisted } from './src/databases';
import { goTo, gramsField, larder, reload, sampleBench, sampleKitchen, settled, stored } from './src/steps';

const MUFFINS = 'oat-and-rhubarb-muffins';

/** Lets the device be full, or have room again: a write fails as it does then. */
const full = (page: Page, is: boolean): Promise<void> =>
  page.evaluate((full) => {
    const put = Reflect.get(window, 'orvinPut') ?? IDBObjectStore.prototype.put;
    const add = Reflect.get(window, 'orvinAdd') ?? IDBObjectStore.prototype.add;
    Object.assign(window, { orvinPut: put, orvinAdd: add });
    const refuse = (): never => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    Object.assign(IDBObjectStore.prototype, full ? { put: refuse, add: refuse } : { put, add });
  }, is);
/** What may still come into a field that nobody can reach any more. */
const typed = (page: Page, name: string, to: string): Promise<void> =>
  gramsField(page, name).evaluate((field: HTMLInputElement, to) => {
    field.value = to;
    field.dispatchEvent(new Event('input', { bubbles: true }));
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    field.dispatchEvent(new Event('change', { bubbles: true }));
  }, to);
const set = async (page: Page, name: string, to: string): Promise<void> => {
  await gramsField(page, name).fill(to);
  await gramsField(page, name).press('Enter');
};
async function second(context: BrowserContext, path: string): Promise<Page> {
  const other = await context.newPage();
  await other.goto(path);
  await expect(other.locator('orvin-row').first()).toBeVisible();
  return other;
}

for (const [key, tried] of [
  ['a', 'a proposal'],
  ['t', 'advice'],
] as const)
  test(`${tried} that is tried and kept leaves what another tab changed meanwhile`, async ({ page, context }) => {
    await sampleBench(page, MUFFINS);
    await expect(page.getByRole('button', { name: 'try it' })).toBeVisible();
    await page.keyboard.press(key);
    const soda = gramsField(page, 'Baking soda');
    await expect(page.getByRole('button', { name: 'keep it' })).toBeVisible();
    await expect(soda).not.toHaveValue('7.6');
    const to = await soda.inputValue();
    const other = await second(context, `/bench/${MUFFINS}`);
    await set(other, 'Salt', '4');
    await expect(gramsField(page, 'Salt')).toHaveValue('4');
    // what is tried is still tried
    await expect(soda).toHaveValue(to);
    await page.bringToFront();
    await page.getByRole('button', { name: 'keep it' }).click();
    await expect(page.getByRole('button', { name: 'keep it' })).toBeHidden();
    for (const p of [page, other]) {
      await expect(gramsField(p, 'Baking soda')).toHaveValue(to);
      await expect(gramsField(p, 'Salt')).toHaveValue('4');
    }
  });

test('undo says when it takes back what another tab did', async ({ page, context }) => {
  await sampleBench(page, MUFFINS);
  const other = await second(context, `/bench/${MUFFINS}`);
  await set(other, 'Salt', '4');
  await expect(gramsField(page, 'Salt')).toHaveValue('4');
  await page.bringToFront();
  await page.locator('h2').first().click();
  await page.keyboard.press('Control+z');
  await expect(page.locator('.notices')).toContainText('made in another tab');
  await page.keyboard.press('Control+Shift+z');
  await expect(gramsField(page, 'Salt')).toHaveValue('4');
  await set(page, 'Salt', '5');
  await stored(page);
  await page.locator('h2').first().click();
  await page.keyboard.press('Control+z');
  await expect(page.locator('.notices')).toContainText('Undone');
  await expect(page.locator('.notices')).not.toContainText('another tab');
});

test.describe('in a profile of its own', () => {
  test.use({ alone: true });

  test('a kitchen that is cleared in one tab is not brought back by the other', async ({ page, context }) => {
    await sampleBench(page, MUFFINS);
    const other = await second(context, `/bench/${MUFFINS}`);
    await page.bringToFront();
    await larder(page, 'Your data');
    await page.getByRole('button', { name: 'clear this kitchen…' }).click();
    await page.getByRole('button', { name: 'clear it' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'My kitchen' })).toBeVisible();
    // the other tab says so, and takes nothing more
    const shut = other.getByRole('alertdialog');
    await expect(shut).toContainText('Hollin Lane');
    await expect(shut).toContainText('another tab');
    await expect(other.locator('main')).toHaveAttribute('inert');
    await typed(other, 'Salt', '9');
    expect(await unlisted(page)).toEqual([]);
    // for good, while the other tab still stands there
    await page.getByRole('button', { name: 'Remove Hollin Lane for good' }).click();
    await page.getByRole('button', { name: 'remove it for good' }).click();
    await expect.poll(async () => (await onDisk(page)).databases.length).toBe(1);
    await shut.getByRole('button', { name: /My kitchen/ }).click();
    await expect(other.locator('.rail .kitchen')).toHaveText('My kitchen');
    expect(await unlisted(page)).toEqual([]);
    expect((await onDisk(page)).databases.length).toBe(1);
  });

  test('once a newer Orvin has taken a kitchen over, an old tab writes no more and says so', async ({ page }) => {
    await sampleBench(page, MUFFINS);
    await set(page, 'Salt', '4');
    await stored(page);
    const salt = (): Promise<unknown> =>
      page.evaluate(async (id) => {
        const name = (await indexedDB.databases()).find((d) => d.name?.startsWith('orvin-kitchen-'))?.name ?? '';
        const db = await new Promise<IDBDatabase>((yes, no) => {
          // without an upgrade the first time it is asked, so that it can be looked at again
          const r = indexedDB.open(name, 990);
          r.onsuccess = () => yes(r.result);
          r.onerror = () => no(new Error(String(r.error)));
        });
        const row = await new Promise<{ formula: { groups: { items: { ingredient: string; grams: number }[] }[] } }>(
          (yes) => {
            const r = db.transaction('working').objectStore('working').get(id);
            r.onsuccess = () => yes(r.result);
          },
        );
        db.close();
        return row.formula.groups.flatMap((g) => g.items).find((i) => i.ingredient === 'salt')?.grams;
      }, MUFFINS);
    expect(await salt()).toBe(4);
    await expect(page.getByRole('alertdialog')).toContainText('newer Orvin');
    // what may still come from under the dialog is not written
    await typed(page, 'Salt', '9');
    await expect(page.getByRole('button', { name: 'reload' })).toBeVisible();
    expect(await salt()).toBe(4);
    // the next start finds the same, says the same, and can be left for another kitchen
    await page.getByRole('button', { name: 'reload' }).click();
    await expect(page.getByRole('alertdialog')).toContainText('newer Orvin has taken Hollin Lane over');
    await expect(page.locator('.not-started')).toHaveCount(0);
    expect(await salt()).toBe(4);
    await goTo(page, '/larder?part=data');
    await expect(page.getByRole('button', { name: 'reload' })).toBeVisible();
  });
});

test('on a full device what was typed stays on the screen, is said, and is stored once there is room', async ({
  page,
}) => {
  await sampleBench(page, MUFFINS);
  await full(page, true);
  {
    await set(page, 'Salt', '4');
    const said = page.locator('.notice.problem', { hasText: 'no room' });
    await expect(said).toContainText('no room');
    await expect(said).toContainText(/salt/i);
    await expect(gramsField(page, 'Salt')).toHaveValue('4');
    // the next change goes onto it, and both wait
    await set(page, 'Baking soda', '5');
    await expect(gramsField(page, 'Salt')).toHaveValue('4');
    await expect(gramsField(page, 'Baking soda')).toHaveValue('5');
    // the file that is handed over is what is on the screen
    const waiting = page.waitForEvent('download');
    await said.getByRole('button', { name: 'export the kitchen' }).click();
    const file = await (await waiting).createReadStream();
    let text = '';
    for await (const part of file) text += String(part);
    const kitchen = JSON.parse(text) as {
      formulas: { formula: { id: string; groups: { items: { ingredient: string; grams: number }[] }[] } }[];
    };
    const items = kitchen.formulas.find((f) => f.formula.id === MUFFINS)?.formula.groups.flatMap((g) => g.items) ?? [];
    expect(items.find((i) => i.ingredient === 'salt')?.grams).toBe(4);
    expect(items.find((i) => i.ingredient === 'baking-soda')?.grams).toBe(5);
  }
  await full(page, false);
  await page.getByRole('button', { name: 'store it now' }).click();
  await expect(page.locator('.unstored')).toHaveCount(0);
  await expect(page.locator('.notice.problem')).toHaveCount(0);
  await reload(page);
  await expect(gramsField(page, 'Salt')).toHaveValue('4');
  await expect(gramsField(page, 'Baking soda')).toHaveValue('5');
  // two steps, as they were made
  await settled(page);
  await page.locator('h2').first().click();
  await page.keyboard.press('Control+z');
  await expect(gramsField(page, 'Baking soda')).toHaveValue('7.6');
  await expect(gramsField(page, 'Salt')).toHaveValue('4');
});

test('on a full device no kitchen is begun, loaded or taken in without a word', async ({ page }) => {
  const thrown: string[] = [];
  page.on('pageerror', (e) => thrown.push(e.message));
  await sampleKitchen(page);
  await larder(page, 'Your data');
  await full(page, true);
  {
    for (const press of ['this is my kitchen', 'load the sample kitchen']) {
      if (press === 'this is my kitchen') {
        await page.getByRole('link', { name: 'start another kitchen' }).click();
        await page.getByRole('button', { name: 'Ireland' }).click();
      }
      await page.getByRole('button', { name: press }).click();
      const said = page.locator('.notice.problem').last();
      await expect(said).toContainText('no room');
      await said.getByRole('button', { name: 'put away' }).click();
      await expect(page.locator('.rail .kitchen')).toHaveText('Hollin Lane');
      await larder(page, 'Your data');
    }
    expect(thrown).toEqual([]);
    expect(await unlisted(page)).toEqual([]);
    expect((await onDisk(page)).listed.map((e) => e.name)).toEqual(['Hollin Lane']);
  }
  await full(page, false);
});

test('an import that was cut short says so, goes on and doubles nothing', async ({ page, context }) => {
  await sampleKitchen(page);
  const titles = Array.from({ length: 150 }, (_, i) => `Plain scones number ${i + 1}`);
  const text = titles
    // every third has something to settle, and goes to the pile
    .map((t, i) => {
      const flour = i % 3 === 2 ? '2 cups (180 g)' : '300 g';
      return `${t}\n${flour} plain flour\n60 g butter\n150 ml milk\n12 g baking powder\nBake at 210 °C for 14 minutes.`;
    })
    .join('\n---\n');
  await page.getByLabel('A recipe to read').fill(text);
  await page.getByRole('button', { name: 'read it' }).click();
  await expect(page.getByText(/^\s*Reading \d+ of 150/)).toBeVisible();
  await expect(page.locator('section.import b').first()).not.toHaveText('0');
  await page.close();
  const again = await context.newPage();
  await again.goto('/shelf');
  await expect(again.getByText(/cut short/)).toBeVisible();
  await again.getByRole('button', { name: 'go on with it' }).click();
  await expect(again.getByText('150 recipes read')).toBeVisible();
  await goTo(again, '/shelf');
  const there = await again.evaluate(async () => {
    const name = (await indexedDB.databases()).find((d) => d.name?.startsWith('orvin-kitchen-'))?.name ?? '';
    const db = await new Promise<IDBDatabase>((yes) => {
      const r = indexedDB.open(name);
      r.onsuccess = () => yes(r.result);
    });
    const get = (store: string): Promise<unknown[]> =>
      new Promise((yes) => {
        const r = db.transaction(store).objectStore(store).getAll();
        r.onsuccess = () => yes(r.result);
      });
    const shelf = (await get('working')) as { formula: { title: string } }[];
    const meta = (await get('meta')) as { key: string; value: { draft?: { formula: { title: string } } } }[];
    db.close();
    return [
      ...shelf.map((w) => w.formula.title),
      ...meta.filter((m) => m.key.startsWith('pile:')).map((m) => m.value.draft?.formula.title ?? ''),
    ].filter((t) => t.startsWith('Plain scones number'));
  });
  expect([...there].sort()).toEqual([...titles].sort());
});
