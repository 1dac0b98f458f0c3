import { expect, test } from './src/test';
import { onDisk } from './src/databases';
import { Profile } from './src/killed.mjs';
import { gramsField, larder, sampleBench, sampleKitchen } from './src/steps';

/** When a browser is killed after the press that began it, ms: before, within and after the work. */
const MOMENTS = [0, 15, 40, 90, 180, 400];

test('what was shown as stored is there after the browser was killed', async ({ baseURL }) => {
  const profile = new Profile();
  try {
    let browser = await profile.start(baseURL ?? '');
    let page = await browser.page();
    await sampleBench(page, 'rye-and-pear-loaf');
    for (const grams of ['161', '162', '163']) {
      await gramsField(page, 'Plain flour').fill(grams);
      await gramsField(page, 'Plain flour').press('Enter');
      await expect(page.getByRole('button', { name: new RegExp(`Undo Plain flour .* ${grams} g`) })).toBeEnabled();
      await browser.kill();
      browser = await profile.start(baseURL ?? '');
      page = await browser.page();
      await sampleBench(page, 'rye-and-pear-loaf');
      await expect(gramsField(page, 'Plain flour')).toHaveValue(grams);
    }
    await browser.kill();
  } finally {
    profile.remove();
  }
});

test('clearing or loading a kitchen that was cut off at any moment leaves whole kitchens, all of them listed', async ({
  baseURL,
}) => {
  test.setTimeout(300_000);
  const profile = new Profile();
  try {
    const amiss: string[] = [];
    for (const [what, press] of [
      ['load', 'load the sample kitchen'],
      ['clear', 'clear it'],
    ] as const)
      for (const moment of MOMENTS) {
        let browser = await profile.start(baseURL ?? '');
        let page = await browser.page();
        await sampleKitchen(page);
        await larder(page, 'Your data');
        if (what === 'clear') await page.getByRole('button', { name: 'clear this kitchen…' }).click();
        await page.getByRole('button', { name: press }).click({ noWaitAfter: true });
        await new Promise((done) => setTimeout(done, moment));
        await browser.kill();
        browser = await profile.start(baseURL ?? '');
        page = await browser.page();
        await page.goto('/shelf');
        await expect(page.locator('.rail .kitchen')).not.toBeEmpty();
        // the start sweeps what was left half done
        const whole = async (): Promise<string> => {
          const { databases, listed } = await onDisk(page);
          const unknown = databases.filter((d) => !listed.some((e) => e.db === d)).length;
          const partial = listed.filter((e) => !e.whole || e.state === 'filling' || e.state === 'leaving').length;
          return `${unknown} unlisted, ${partial} partial`;
        };
        await expect
          .poll(whole, { timeout: 8000 })
          .toBe('0 unlisted, 0 partial')
          .catch(async () => amiss.push(`${what} after ${moment} ms: ${await whole()}`));
        // to begin the next round with a sample kitchen open
        await larder(page, 'Your data');
        await page.getByRole('button', { name: 'load the sample kitchen' }).click();
        await expect(page.locator('.rail .kitchen')).toHaveText('Hollin Lane');
        await browser.kill();
      }
    expect(amiss).toEqual([]);
  } finally {
    profile.remove();
  }
});
