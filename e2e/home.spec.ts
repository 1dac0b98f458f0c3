import { expect, test } from './src/test';
import { barriers } from './src/axe';
import { complaints, goTo, ownKitchen, sampleKitchen, settled } from './src/steps';
import { foreign } from './src/units';

interface Home {
  readonly place: string;
  /** Three tins as shops there call them. */
  readonly tins: readonly string[];
  /** Another of them that the first recipe is fitted to. */
  readonly into: string;
  readonly heat: RegExp;
  readonly weighs: RegExp;
  readonly calls: string;
}

const homes: readonly Home[] = [
  {
    place: 'United States',
    tins: ['9 × 5 in loaf pan', '12-cup muffin pan', '9 × 13 in pan'],
    into: '9 × 5 in loaf pan',
    heat: /^400 °F/,
    weighs: /oz/,
    calls: 'All-purpose flour',
  },
  {
    place: 'United Kingdom',
    tins: ['2 lb (900 g) loaf tin', '12-hole muffin tray', 'Deep 20 cm (8 in) round'],
    into: '2 lb (900 g) loaf tin',
    heat: /^200 °C/,
    weighs: /^g$/,
    calls: 'Plain flour',
  },
  {
    place: 'Australia',
    tins: ['21 × 11 cm loaf tin', '12-hole ⅓ cup muffin tray', '20 cm round'],
    into: '21 × 11 cm loaf tin',
    heat: /^200 °C/,
    weighs: /^g$/,
    calls: 'Plain flour',
  },
  {
    place: 'India',
    tins: ['7 in round', '8 × 4 in bread tin', '6-cup muffin tray'],
    into: '8 × 4 in bread tin',
    heat: /^180 °C/,
    weighs: /^g$/,
    calls: 'Maida (plain flour)',
  },
];

for (const home of homes)
  test(`from the sample to a fitted tin, at home in ${home.place}: few presses, no foreign unit on any screen`, async ({
    page,
  }) => {
    const wrong = complaints(page);
    await sampleKitchen(page);
    await expect(page.getByText('This is a sample kitchen to look round in.')).toBeVisible();
    await page.getByRole('link', { name: 'start your own' }).click();
    let presses = 1 + (await ownKitchen(page, home.place, home.tins));

    await page.getByRole('button', { name: 'try it with one of ours' }).click();
    await expect(page.getByRole('button', { name: 'to the bench' })).toBeVisible();
    await expect(page.getByText('Nothing left in doubt')).toBeVisible();
    expect(await foreign(page, home.place)).toEqual([]);
    await page.getByRole('button', { name: 'to the bench' }).click();
    await settled(page);
    await expect(page.locator('orvin-row').first()).toContainText(home.calls);
    await expect(page.locator('orvin-row .unit').first()).toHaveText(home.weighs);
    expect(await foreign(page, home.place)).toEqual([]);

    await page.getByRole('link', { name: 'Tins', exact: true }).click();
    await page.getByRole('list').getByRole('button', { name: home.into, exact: true }).click();
    presses += 4;
    await expect(page.locator('h1')).toContainText(home.into);
    await expect(page.getByLabel('dial')).toHaveValue(home.heat);
    await expect(page.getByText(/^likely \d+/)).toBeVisible();
    expect(await foreign(page, home.place)).toEqual([]);
    expect(presses).toBeLessThan(25);

    const id = page.url().split('/').pop() ?? '';
    for (const view of ['day', 'counter', 'card', 'label', 'versions', 'log']) {
      await goTo(page, `/${view}/${id}`);
      await expect(page.locator('h1').first()).toBeVisible();
      expect({ view, foreign: await foreign(page, home.place) }).toEqual({ view, foreign: [] });
    }
    for (const part of ['ingredients', 'shopping', 'tins', 'kit', 'data']) {
      await goTo(page, `/larder?part=${part}`);
      await expect(page.locator('.parts .on')).toBeVisible();
      expect({ part, foreign: await foreign(page, home.place) }).toEqual({ part, foreign: [] });
    }
    expect(wrong).toEqual([]);
  });

test('axe finds nothing at all, slight or serious, on any view or dialog, on a phone or wide', async ({ page }) => {
  test.slow();
  await sampleKitchen(page);
  const formula = 'cardamom-yogurt-round';
  const views = ['/shelf', '/own', '/try', '/compose', ...['bench', 'tins', 'day', 'counter', 'card', 'label', 'versions', 'beside', 'log'].map((v) => `/${v}/${formula}`), ...['ingredients', 'shopping', 'tins', 'kit', 'data'].map((p) => `/larder?part=${p}`)]; // prettier-ignore
  for (const [i, view] of views.entries()) {
    await goTo(page, view);
    await expect(page.locator('h1').first()).toBeAttached();
    for (const width of i % 2 === 0 ? [1280, 390] : [390, 1280]) {
      await page.setViewportSize({ width, height: 844 });
      await expect.poll(() => barriers(page, { slight: true }), view).toEqual([]);
    }
  }
  await goTo(page, `/bench/${formula}`);
  await settled(page);
  for (const [key, title] of [
    ['?', 'Keys'],
    ['/', 'Find a formula'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page.getByRole('dialog', { name: title })).toBeVisible();
    expect(await barriers(page, { slight: true })).toEqual([]);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await page.locator('button.why').first().click();
  await expect(page.getByRole('dialog', { name: 'Where this comes from' })).toBeVisible();
  expect(await barriers(page, { slight: true })).toEqual([]);
});
