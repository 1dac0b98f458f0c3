import type { Locator, Page } from '@playwright/test';
import { expect } from './expect';

/** What is to be done, in the middle of the counter. */
export const now = (page: Page): Locator => page.locator('section.now');
/** The big key in its lower half. */
export const go = (page: Page): Locator => page.locator('.goKey');
/** Two taps within a third of a second would be one. */
export const breath = (page: Page): Promise<void> => page.clock.fastForward(400);

/** The counter without its clock: another is there once a press has been taken. */
const state = (page: Page): Promise<string> =>
  page.evaluate(() =>
    [...document.querySelectorAll('.run .tab.on b, .run section.now, .run .goKey, .start')]
      .map((e) => e.textContent)
      .join('|'),
  );

/**
 * Presses the first of these keys that takes a press as the counter stands, in one go with looking, since an alarm may
 * come between the two; then waits until the press has been taken. Where none takes one, half a minute passes.
 */
async function press(page: Page, keys: readonly string[]): Promise<void> {
  await breath(page);
  const was = await state(page);
  const pressed = await page.evaluate((wanted) => {
    const all = [...document.querySelectorAll<HTMLButtonElement>('.run button')].filter((b) => !b.disabled);
    const named = (name: string): HTMLButtonElement | undefined =>
      all.find((b) => (name === 'go' ? b.classList.contains('goKey') : b.textContent?.trim() === name));
    const key = wanted.map(named).find((b) => b !== undefined);
    key?.click();
    return key !== undefined;
  }, keys);
  if (pressed) await expect.poll(() => state(page)).not.toBe(was);
  else await page.clock.fastForward(30_000);
}

/** Goes on by the big key until something is on the screen. */
export async function onTo(page: Page, what: RegExp): Promise<void> {
  for (let i = 0; i < 80; i++) {
    // whoever presses next does so a breath later
    if (what.test(await now(page).innerText())) return breath(page);
    await press(page, ['go']);
  }
  throw new Error(`${what.source} did not come`);
}

/** Goes on until two bakes are in the oven, whatever is to be looked at in each; their titles, as they went in. */
export async function bothIntoOven(page: Page, inOven?: () => Promise<void>): Promise<readonly string[]> {
  const seen: string[] = [];
  for (let i = 0; i < 150; i++) {
    if (!/^\s*Bake at/.test(await now(page).innerText())) await press(page, ['go']);
    else {
      const title = await page.locator('.tab.on b').innerText();
      if (!seen.includes(title)) {
        await inOven?.();
        seen.push(title);
      }
      if (seen.length === 2) return seen;
      await page.locator('.tab:not(.on)').click();
      await breath(page);
    }
  }
  throw new Error(`only ${seen.join()} went into the oven`);
}

/** Out, cooled and judged, until nothing is being made. */
export async function toTheEnd(page: Page): Promise<void> {
  const run = page.locator('.run');
  for (let i = 0; i < 80 && (await run.count()) > 0; i++) await press(page, ['just right', 'out already', 'go']);
  await expect(run).toHaveCount(0);
}
