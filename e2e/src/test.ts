import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  expect as asked,
  test as base,
  type BrowserContext,
  type BrowserType,
  type CDPSession,
  type Locator,
} from '@playwright/test';

/** A browser with a profile on disk, as a baker has it: what it has read and compiled once it need not again. */
interface Profile {
  readonly context: BrowserContext;
  /** Ends what a journey left: its pages, its storage; what the browser keeps of the application's files stays. */
  clear(): Promise<void>;
  close(): Promise<void>;
}

async function openProfile(chromium: BrowserType): Promise<Profile> {
  const dir = mkdtempSync(join(tmpdir(), 'orvin-profile-'));
  const context = await chromium.launchPersistentContext(dir);
  const first = context.pages()[0] ?? (await context.newPage());
  let devtools: CDPSession | undefined;
  return {
    context,
    async clear() {
      await Promise.all(context.pages().map((p) => (p === first ? p.goto('about:blank') : p.close())));
      await context.unrouteAll();
      await context.setOffline(false);
      await context.clearCookies();
      devtools ??= await context.newCDPSession(first);
      await devtools.send('Storage.clearDataForOrigin', {
        origin: base.info().project.use.baseURL ?? '',
        storageTypes: 'indexeddb,local_storage,cache_storage,service_workers',
      });
    },
    async close() {
      await context.close();
      rmSync(dir, { recursive: true, force: true });
    },
  };
}

/**
 * The journeys of one worker share a browser profile, emptied after each. `alone` gives a journey a profile of its own:
 * one that sets the clock, asks for a service worker, or is about a first visit.
 */
export const test = base.extend<{ alone: boolean }, { profile: () => Promise<Profile> }>({
  alone: [false, { option: true }],
  profile: [
    async ({ playwright }, use) => {
      let open: Promise<Profile> | undefined;
      await use(() => (open ??= openProfile(playwright.chromium)));
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

/** As Playwright's own, but looks at every frame; that one draws the whole page's tree for its message at every miss. */
export const expect = asked.extend({
  async toBeVisible(locator: Locator, options?: { readonly timeout?: number }) {
    const state = this.isNot ? 'hidden' : 'visible';
    const timeout = options?.timeout ?? this.timeout;
    const there = await locator.waitFor({ state, timeout }).then(
      () => true,
      (e: Error) => e.message,
    );
    return {
      pass: there === true ? !this.isNot : this.isNot,
      message: () => `expected to be ${state}: ${String(locator)}\n${String(there)}`,
    };
  },
});
