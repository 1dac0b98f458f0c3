import type { Locator, Page } from '@playwright/test';
import { expect } from './expect';

/** Twelve lines and one contradiction: a cup and a half of flour does not weigh 300 g. */
/** Sweet milk where the soda asks for sour. */
export const sweetSodaBread = `Soda bread
450 g plain flour
1 tsp baking soda
1 tsp salt
350 ml milk

Heat the oven to 200C. Mix the dry things, pour in the milk and bring together. Shape a round, cut a cross and bake for 40 minutes.`;

export const pearLoaf = `Pear and rye loaf

Ingredients
1 1/2 cups (300 g) plain flour
3/4 cup rye flour
1 tsp baking soda
1 tsp baking powder
1/2 tsp salt
2 tsp ground cinnamon
2 eggs
150 g light brown sugar
1/2 cup neutral oil
3/4 cup plain yogurt
2 pears, diced
60 g walnuts, chopped

Method
Heat the oven to 350F.
Whisk the dry things. Whisk eggs, sugar, oil and yogurt, pour into the dry and stir until just combined.
Fold in pears and walnuts. Bake at 350F for 55-60 minutes in a 9x5 inch loaf tin.`;

/** Anything the page complains about while a journey is on. */
export function complaints(page: Page): string[] {
  const list: string[] = [];
  page.on('console', (m) => {
    if (m.type() === 'error') list.push(m.text());
  });
  page.on('pageerror', (e) => list.push(e.message));
  return list;
}

/** Opens the sample kitchen at an address of its own, and waits until all of it is stored. */
export async function sampleKitchen(page: Page, path = '/shelf'): Promise<void> {
  await page.goto(path);
  if (path === '/shelf') await expect(page.getByRole('link', { name: /Rye and pear loaf/ })).toBeVisible();
  // it is shown while it is being written; the rail names it once it is there
  await expect(page.locator('.rail .kitchen')).toHaveText('Hollin Lane');
}

/** The same, at a formula's Bench. */
export async function sampleBench(page: Page, id: string): Promise<void> {
  await sampleKitchen(page, `/bench/${id}`);
  await expect(page.locator('orvin-row').first()).toBeVisible();
  await settled(page);
}

/** Waits until the Bench has been judged and all of its instruments stand, so that nothing moves under the hand. */
export async function settled(page: Page): Promise<void> {
  await expect(page.locator('orvin-advice, orvin-proposals')).toBeAttached();
  await expect(page.getByText('Not judged yet.')).toHaveCount(0);
  await expect(page.locator('section[aria-label="Instruments"]')).not.toHaveAttribute('aria-busy');
}

export async function emptyKitchen(page: Page): Promise<void> {
  await sampleKitchen(page);
  await larder(page, 'Your data');
  await page.getByRole('link', { name: 'start another kitchen' }).click();
  await ownKitchen(page, 'Somewhere else', []);
  await larder(page, 'Tins');
  const words = page.getByLabel('A tin in words');
  for (const tin of ['20 cm round', '20 cm square', '12-hole muffin']) {
    await words.fill(tin);
    await words.press('Enter');
    await expect(words).toHaveValue('');
  }
  await hang(page, 'Shelf');
}

/** Says where one bakes and in what, and has the kitchen made; how often was pressed. */
export async function ownKitchen(page: Page, place: string, tins: readonly string[]): Promise<number> {
  await page.getByRole('button', { name: place, exact: true }).click();
  for (const t of tins) await page.getByRole('button', { name: t }).click();
  await page.getByRole('button', { name: 'this is my kitchen' }).click();
  await expect(page.getByRole('heading', { name: 'Paste your first recipe' })).toBeVisible();
  await expect(page.locator('.rail .kitchen')).toHaveText('My kitchen');
  return tins.length + 2;
}

/** Goes to an address as the browser's own back and forward keys do: by the router, without loading the page anew. */
export async function goTo(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: null }));
  }, path);
}

/** What was changed last is on disk once undo can take it back. */
export const stored = (page: Page): Promise<void> =>
  expect(page.getByRole('button', { name: /^Undo ./ })).toBeEnabled();

/**
 * Loads the page anew once all that was under way has been written: a hand needs longer from a press to a reload than a
 * journey does, and a write that a reload cuts off is as if it had never been. What waits in line behind the writes of all
 * databases comes after them.
 */
export async function reload(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const done = <T>(asked: IDBRequest<T>): Promise<T> =>
      new Promise((resolve, reject) => {
        asked.onsuccess = () => resolve(asked.result);
        asked.onerror = () => reject(asked.error ?? new Error('no database'));
      });
    for (const { name } of await indexedDB.databases()) {
      const db = await done(indexedDB.open(name ?? ''));
      const stores = [...db.objectStoreNames];
      if (stores.length > 0)
        await done(
          db
            .transaction(stores, 'readwrite')
            .objectStore(stores[0] ?? '')
            .count(),
        );
      db.close();
    }
  });
  await page.reload();
}

/** Goes to a view by the rail. */
export async function hang(page: Page, view: string): Promise<void> {
  await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: view, exact: true }).click();
}

/** The lines of the log's timeline that are on the screen. */
export const bakeLines = (page: Page): Locator => page.getByRole('region', { name: 'Bakes' }).locator('.line');

/** Opens a part of the larder by its name. */
export async function larder(
  page: Page,
  part: 'Ingredients' | 'Shopping' | 'Tins' | 'Kit and measures' | 'Your data',
): Promise<void> {
  await hang(page, 'Larder');
  await page.getByRole('navigation', { name: 'Parts of the larder' }).getByRole('link', { name: part }).click();
}

export async function paste(page: Page, text: string): Promise<void> {
  await hang(page, 'Shelf');
  await page.getByLabel('A recipe to read').fill(text);
  await page.getByRole('button', { name: 'read it' }).click();
}

/** The numbers in the time range on the Tins view. */
export async function timeRange(page: Page): Promise<[number, number]> {
  const text = await page.locator('p.minutes').innerText();
  const [a, b] = [...text.matchAll(/\d+/g)].map((m) => Number(m[0]));
  return [a ?? 0, b ?? 0];
}

/** The likely time; unlike the range it does not change once samples have come in. */
export async function likelyMinutes(page: Page): Promise<number> {
  const text = await page.getByText(/^likely \d+/).innerText();
  return Number(/\d+/.exec(text)?.[0]);
}

export const gramsField = (page: Page, name: string) => page.getByLabel(`${name}, grams; any unit can be typed`);
