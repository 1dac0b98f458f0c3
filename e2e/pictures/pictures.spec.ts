import { mkdirSync, writeFileSync } from 'node:fs';
import type { RecipeDraft } from '@orvin/core';
import { expect, test, type Page } from '@playwright/test';
import { sampleKitchen } from '../src/steps';
import { cards, fresh } from './cards';
import { measured, type Measured } from './measure';
import { manners, printed } from './print';

/** Every card in every manner, taken in as a baker does; how much of each is right is kept for `npm run pictures`. */
for (const manner of manners)
  test(manner.name, async ({ browser, page }) => {
    test.setTimeout(900_000);
    const studio = await (await browser.newContext({ deviceScaleFactor: manner.scale ?? 2 })).newPage();
    await sampleKitchen(page);
    const all: Measured[] = [];
    for (const [n, card] of [...cards, ...fresh].entries()) {
      const buffer = await printed(studio, card, manner);
      await page.goto('/shelf');
      await page.getByLabel('from a picture').setInputFiles({ name: `${n}.png`, mimeType: 'image/png', buffer });
      await expect(page).toHaveURL(/\/read$/, { timeout: 120_000 });
      const { text, draft } = await reading(page);
      all.push(measured(card, text, draft));
      await page.getByRole('button', { name: 'throw it away' }).click();
    }
    await studio.context().close();
    mkdirSync('../.cache/pictures', { recursive: true });
    writeFileSync(
      `../.cache/pictures/${manners.indexOf(manner)}.json`,
      JSON.stringify({ name: manner.name, all: all.slice(0, cards.length), fresh: all.slice(cards.length) }),
    );
  });

/** The sheet in hand, as it is kept. */
async function reading(page: Page): Promise<{ text: string; draft: RecipeDraft }> {
  const kept = (): Promise<{ text: string; draft: RecipeDraft } | null> =>
    page.evaluate(async () => {
      const name = (await indexedDB.databases()).find((d) => d.name?.startsWith('orvin-kitchen'))?.name ?? '';
      const db = await new Promise<IDBDatabase>((done, fail) => {
        const open = indexedDB.open(name);
        open.onsuccess = () => done(open.result);
        open.onerror = () => fail(open.error ?? new Error('not opened'));
      });
      const row = await new Promise<{ value?: { text: string; draft: RecipeDraft } } | undefined>((done) => {
        const get = db.transaction('meta').objectStore('meta').get('reading');
        get.onsuccess = () => done(get.result as { value?: { text: string; draft: RecipeDraft } } | undefined);
      });
      db.close();
      return row?.value ? { text: row.value.text, draft: row.value.draft } : null;
    });
  await expect.poll(async () => (await kept()) !== null).toBe(true);
  return (await kept()) as { text: string; draft: RecipeDraft };
}
