import type { Locator, Page } from '@playwright/test';

/** What is to be done, in the middle of the counter. */
export const now = (page: Page): Locator => page.locator('section.now');
/** The big key in its lower half. */
export const go = (page: Page): Locator => page.locator('.goKey');
/** Two taps within a third of a second would be one. */
export const breath = (page: Page): Promise<void> => page.clock.fastForward(400);

/** Touches what can be touched: what was touched before may have brought something else on the screen meanwhile. */
async function touch(page: Page, key: Locator): Promise<void> {
  await key.click({ timeout: 1500 }).catch(() => undefined);
  await breath(page);
}

/** Goes on by the big key until something is on the screen. */
export async function onTo(page: Page, what: RegExp): Promise<void> {
  for (let i = 0; i < 80; i++) {
    if (what.test(await now(page).innerText())) return;
    await touch(page, go(page));
  }
  throw new Error(`${what.source} did not come`);
}

/** Goes on until two bakes are in the oven; what is to be looked at in each, is. */
export async function bothIntoOven(page: Page, inOven?: () => Promise<void>): Promise<void> {
  const seen = new Set<string>();
  for (let i = 0; i < 150; i++) {
    if (!/^\s*Bake at/.test(await now(page).innerText())) await touch(page, go(page));
    else {
      const title = await page.locator('.tab.on b').innerText();
      if (!seen.has(title)) await inOven?.();
      seen.add(title);
      if (seen.size === 2) return;
      await touch(page, page.locator('.tab:not(.on)'));
    }
  }
  throw new Error(`only ${[...seen].join()} went into the oven`);
}

/** Out, cooled and judged, until nothing is being made. */
export async function toTheEnd(page: Page): Promise<void> {
  for (let i = 0; i < 80 && (await page.locator('.run').count()) > 0; i++) {
    const right = page.getByRole('button', { name: 'just right' });
    const early = page.getByRole('button', { name: 'out already' });
    await touch(page, (await right.isVisible()) ? right : (await early.isVisible()) ? early : go(page));
  }
}
