import type { Locator, Page } from '@playwright/test';
import { expect } from './expect';

/** What is to be done, in the middle of the counter. */
export const now = (page: Page): Locator => page.locator('section.now');
/** The big key in its lower half. */
export const go = (page: Page): Locator => page.locator('.goKey');
/** Two taps within a third of a second would be one. */
export const breath = (page: Page): Promise<void> => page.clock.fastForward(400);

/** What tells the counter's states apart, without its clock: another is there once a press has been taken. */
const STATE = '.run .tab.on b, .run section.now, .run .goKey, .start';
const state = (page: Page): Promise<string> =>
  page.evaluate((of) => [...document.querySelectorAll(of)].map((e) => e.textContent).join('|'), STATE);

/**
 * Presses the first of these keys that takes a press, unless what is looked for is there already, and waits until the
 * press has been taken; whether it was there. Looking, pressing and what stood there before are one, since what the press
 * before brings may come in between, and so may a day that is planned anew: what is to be touched as soon as it is there
 * is touched in the same moment. Where no key takes a press, half a minute passes.
 */
async function press(
  page: Page,
  keys: readonly string[],
  sought: RegExp | null = null,
  touch: string | null = null,
): Promise<boolean> {
  await breath(page);
  const { found, was } = await page.evaluate(
    ({ wanted, source, flags, of, there }) => {
      const was = [...document.querySelectorAll(of)].map((e) => e.textContent).join('|');
      const shown = document.querySelector<HTMLElement>('section.now')?.innerText ?? '';
      if (source !== null && new RegExp(source, flags).test(shown)) {
        if (there !== null) document.querySelector<HTMLElement>(there)?.click();
        return { found: 'there', was };
      }
      const all = [...document.querySelectorAll<HTMLButtonElement>('.run button')].filter((b) => !b.disabled);
      const named = (name: string): HTMLButtonElement | undefined =>
        all.find((b) => (name === 'go' ? b.classList.contains('goKey') : b.textContent?.trim() === name));
      const key = wanted.map(named).find((b) => b !== undefined);
      key?.click();
      return { found: key === undefined ? 'no key' : 'pressed', was };
    },
    { wanted: keys, source: sought?.source ?? null, flags: sought?.flags ?? '', of: STATE, there: touch },
  );
  if (found === 'pressed') await expect.poll(() => state(page)).not.toBe(was);
  if (found === 'no key') await page.clock.fastForward(30_000);
  return found === 'there';
}

/** Goes on by the big key until something is on the screen, and touches what is to be touched there. */
export async function onTo(page: Page, what: RegExp, touch: string | null = null): Promise<void> {
  await expect(now(page)).toBeVisible();
  for (let i = 0; i < 80; i++) if (await press(page, ['go'], what, touch)) return;
  throw new Error(`${what.source} did not come; there is: ${await now(page).innerText()}`);
}

/** Goes on until two bakes are in the oven, whatever is to be looked at in each; their titles, as they went in. */
export async function bothIntoOven(page: Page, inOven?: () => Promise<void>): Promise<readonly string[]> {
  const seen: string[] = [];
  for (let i = 0; i < 150; i++) {
    if (await press(page, ['go'], /^\s*Bake at/)) {
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
