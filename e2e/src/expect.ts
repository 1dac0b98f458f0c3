import { expect as asked, type Locator } from '@playwright/test';

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
