import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, type BrowserContext, type BrowserType } from '@playwright/test';
import { keep, putBack } from './kept';
import { sampleKitchen } from './steps';

export { expect } from './expect';

/** A browser with a profile on disk, as a baker has it: what it has read and compiled once it need not again. */
async function openProfile(chromium: BrowserType) {
  const dir = mkdtempSync(join(tmpdir(), 'orvin-profile-'));
  const context = await chromium.launchPersistentContext(dir);
  return {
    context,
    async close(): Promise<void> {
      await context.close();
      rmSync(dir, { recursive: true, force: true });
    },
  };
}

/** A profile in which the sample kitchen is already there, and is there again after each journey. */
interface Shared {
  readonly context: BrowserContext;
  readonly clear: () => Promise<void>;
  readonly close: () => Promise<void>;
}
async function openShared(chromium: BrowserType): Promise<Shared> {
  const { context, close } = await openProfile(chromium);
  const page = await context.newPage();
  await sampleKitchen(page);
  await page.close();
  const beside = context.pages()[0] ?? (await context.newPage());
  await beside.goto('/health');
  await keep(beside);
  const clear = async (): Promise<void> => {
    await Promise.all(context.pages().flatMap((p) => (p === beside ? [] : [p.close()])));
    await context.unrouteAll();
    await context.setOffline(false);
    await putBack(beside);
  };
  return { context, clear, close };
}

/**
 * The journeys of one worker share a browser profile that holds the sample kitchen. `alone` gives a journey a profile of
 * its own, and an empty one: where it sets the clock, asks for a service worker, or is about a first visit.
 */
export const test = base.extend<{ alone: boolean }, { profile: () => Promise<Shared> }>({
  alone: [false, { option: true }],
  profile: [
    async ({ playwright }, use) => {
      let open: Promise<Shared> | undefined;
      await use(() => (open ??= openShared(playwright.chromium)));
      await (await open)?.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ alone, profile, playwright }, use) => {
    if (alone) {
      const own = await openProfile(playwright.chromium);
      await use(own.context);
      return own.close();
    }
    const shared = await profile();
    await use(shared.context);
    await shared.clear();
  },
  page: async ({ context, viewport }, use) => {
    const page = await context.newPage();
    if (viewport) await page.setViewportSize(viewport);
    await use(page);
  },
});
