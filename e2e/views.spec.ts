import { expect, test } from './src/test';
import { barriers } from './src/axe';
import { complaints, goTo, gramsField, likelyMinutes, paste, reload, sampleKitchen } from './src/steps';

const views = [
  '/shelf',
  '/bench/cardamom-yogurt-round',
  '/tins/rye-and-pear-loaf',
  '/day/cardamom-yogurt-round',
  '/counter/cheese-and-thyme-scones',
  '/log/rye-and-pear-loaf',
  '/larder',
  '/larder?part=tins',
  '/larder?part=kit',
  '/larder?part=data',
  '/bench/oat-and-rhubarb-muffins',
];
const sizes = [
  [390, 844],
  [1024, 768],
  [1280, 800],
] as const;

// one walk by the router; the dim theme changes colours alone, so it is asked about contrast alone
for (const half of [0, 1])
  test(`on every view nothing scrolls sideways at any size, and axe finds nothing serious, by any light, half ${half + 1}`, async ({
    page,
  }) => {
    const wrong = complaints(page);
    await sampleKitchen(page);
    for (const path of views.filter((_, i) => i % 2 === half)) {
      await goTo(page, path);
      const heading = page.locator('h1:not(.visually-hidden), input.title').first();
      await expect(heading).toBeVisible();
      // with its chart, which comes after the words and takes each width anew
      if (path.startsWith('/tins')) await expect(page.locator('orvin-bake-chart .main-svg').first()).toBeVisible();
      for (const [width, height] of sizes) {
        await page.setViewportSize({ width, height });
        await page.evaluate(() => scrollTo(0, 0));
        await expect(heading).toBeInViewport();
        // drawings take their new width a frame later
        await expect
          .poll(
            () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
            `${path} at ${width}`,
          )
          .toBeLessThanOrEqual(0);
      }
      expect(await barriers(page)).toEqual([]);
      await page.keyboard.press('d');
      await expect(page.locator('html')).toHaveAttribute('data-theme', 'dim');
      expect(await barriers(page, { rules: ['color-contrast'] })).toEqual([]);
      await page.keyboard.press('d');
    }
    if (half === 0) {
      await goTo(page, '/shelf');
      await paste(page, 'Scones\n300 g flour\n2 tbsp baking soda\n60 g glimmer');
      await expect(page.getByText(/places are in doubt/)).toBeVisible();
      expect(await barriers(page)).toEqual([]);
    }
    expect(wrong).toEqual([]);
  });

test('every bad thing that can be pasted or opened gets words, and nothing is lost or stuck', async ({ page }) => {
  const wrong = complaints(page);
  await sampleKitchen(page);
  await page.getByRole('button', { name: 'read it' }).click();
  await expect(page.getByRole('alert')).toContainText('nothing to read yet');
  const pasted: [string, RegExp][] = [
    [
      'The kettle sings, the morning waits,\nand frost has drawn upon the panes.',
      /No line here looks like an ingredient/,
    ],
    [`Cake\n200 g flour\n100 g sugar\n${'stir and stir again '.repeat(110_000)}`, /thousand characters long/],
    ['{"format":"orvin.formula","groups":[', /JSON breaks off/],
    ['Custard\n500 g milk\n5 eggs\n100 g sugar', /Custard/],
  ];
  for (const [text, words] of pasted) {
    await paste(page, text);
    await expect(page.getByText(words).first()).toBeVisible();
    await page.getByRole('button', { name: 'throw it away' }).click();
  }
  const open = (name: string, content: Buffer | string) =>
    page
      .getByLabel('open files')
      .setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(content) });
  await open('photo.png', Buffer.from([137, 80, 78, 71, 0, 1, 2, 3, 0, 0, 255, 254, 1, 0, 7]));
  await expect(page.getByText(/This is not text/)).toBeVisible();
  await page.getByRole('button', { name: 'throw it away' }).click();
  await open('broken.json', '{"format": "orvin.kitchen", "formulas": [');
  await expect(page.getByText(/This file breaks off/)).toBeVisible();
  await open('wrong.json', '{"format": "orvin.formula", "version": 1}');
  await expect(page.getByText(/wrong\.json/)).toBeVisible();
  await expect(page.getByRole('link', { name: /Rye and pear loaf/ })).toBeVisible();
  expect(wrong).toEqual([]);
});

test('amounts: typed in any unit, by arrow keys and by pulling the bar; nonsense is refused in words', async ({
  page,
}) => {
  await sampleKitchen(page, '/bench/cardamom-yogurt-round');
  const butter = gramsField(page, 'Butter, unsalted');
  await butter.fill('1 stick');
  await butter.press('Enter');
  await expect(butter).toHaveValue('113');
  await butter.fill('a fair bit');
  await butter.press('Enter');
  await expect(page.getByRole('alert')).toContainText('no amount I can read');
  await expect(butter).toHaveValue('113');
  await butter.fill('-50');
  await butter.press('Enter');
  await butter.fill('9000 kg');
  await butter.press('Enter');
  await expect(page.getByRole('alert')).toContainText('more than a kitchen bakes');
  await butter.focus();
  await butter.press('ArrowUp');
  await expect(butter).toHaveValue('118');
  await butter.press('Shift+ArrowDown');
  await expect(butter).toHaveValue('93');

  const bar = page.getByRole('slider', { name: 'Baking soda', exact: true });
  const box = await bar.boundingBox();
  if (!box) throw new Error('no bar');
  const before = await page.locator('.big').innerText();
  await page.mouse.move(box.x + box.width * 0.5, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.98, box.y + box.height / 2, { steps: 6 });
  await expect(page.locator('.big')).not.toHaveText(before);
  await page.mouse.up();
  // one pull is one step back
  const soda = gramsField(page, 'Baking soda');
  await expect(soda).not.toHaveValue('1.3');
  await page.locator('h2').first().click();
  await page.keyboard.press('Control+z');
  await expect(soda).toHaveValue('1.3');
});

test('two tabs: an edit in one is in the other, and neither loses what the other did', async ({ context, page }) => {
  await sampleKitchen(page, '/bench/rye-and-pear-loaf');
  const other = await context.newPage();
  await other.goto('/bench/rye-and-pear-loaf');
  const set = async (p: typeof page, name: string, to: string): Promise<void> => {
    await gramsField(p, name).fill(to);
    await gramsField(p, name).press('Enter');
  };
  await set(page, 'Plain flour', '160');
  // undo takes back the last change of the formula, whichever tab made it
  await expect(gramsField(other, 'Plain flour')).toHaveValue('160');
  await set(other, 'Rye flour', '110');
  for (const p of [page, other]) {
    await expect(gramsField(p, 'Plain flour')).toHaveValue('160');
    await expect(gramsField(p, 'Rye flour')).toHaveValue('110');
  }
  await other.locator('h2').first().click();
  await other.keyboard.press('Control+z');
  await expect(gramsField(page, 'Rye flour')).toHaveValue('100');
  await expect(gramsField(page, 'Plain flour')).toHaveValue('160');
});

test('keys: the views, the sheet, the finder, and why a figure is what it is', async ({ page }) => {
  await sampleKitchen(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('go to Shelf');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('/');
  await page.getByLabel('Title, family or ingredient').fill('rhubarb');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/bench\/oat-and-rhubarb-muffins/);
  await page.getByRole('button', { name: /Lift .* why\?/ }).click();
  await expect(page.getByRole('dialog')).toContainText('mmol');
  await expect(page.getByRole('dialog')).toContainText('Stoichiometry');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  // advice by keys alone: try, drop, try, keep
  await page.keyboard.press('t');
  await expect(page.getByText('Trying, not stored yet')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('t');
  await expect(page.getByRole('button', { name: 'keep it' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /rdinary for a/ })).toBeVisible();
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/tins\/oat/);
  await page.locator('p.minutes button').click();
  await expect(page.getByRole('dialog')).toContainText('the middle reaches');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /% full/ }).click();
  await expect(page.getByRole('dialog')).toContainText('capacity');
  await page.keyboard.press('Escape');
  await page.keyboard.press('6');
  await expect(page).toHaveURL(/log\/oat/);
});

test('tins: one named in words, an impossible one refused, the formula rewritten for it and brought back', async ({
  page,
}) => {
  await sampleKitchen(page, '/tins/cardamom-yogurt-round');
  const other = page.getByLabel('Another tin');
  await other.fill('3 cm round');
  await other.press('Enter');
  await expect(page.getByRole('alert')).toContainText(/no tin I can picture|too small/);
  await other.fill('two 8 inch square');
  await other.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Two 20 cm squares/);
  await expect(page.locator('p.minutes')).toBeVisible();
  await page.getByRole('button', { name: 'write it for these tins' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^In two 20 cm squares/i);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/instead of/);
  await page.getByLabel('dial').fill('20 C');
  await page.getByLabel('dial').press('Enter');
  await expect(page.getByText(/the middle never reaches/)).toBeVisible();
});

test('tins: two kinds in one oven share the batter, the kit is converted, and the section can be scrubbed', async ({
  page,
}) => {
  await sampleKitchen(page, '/tins/cardamom-yogurt-round');
  await expect(page.locator('p.minutes')).toBeVisible();
  // the range that samples give comes with the section of the bake
  const slider = page.getByRole('slider', { name: 'Minute of the bake' });
  await slider.fill('5');
  const early = await slider.getAttribute('aria-valuetext');
  await slider.fill('30');
  await expect(slider).not.toHaveAttribute('aria-valuetext', early ?? '');
  await expect(slider).toHaveAttribute('aria-valuetext', /At 30 minutes: middle \d+ °C, top \d+ °C, side \d+ °C/);

  // every tin of the kit, as they come in; the pound of the matter is the own one at its own heat
  await page.getByRole('region', { name: 'In every tin of the kit' }).scrollIntoViewIfNeeded();
  const table = page.getByRole('table').filter({ hasText: 'how it fits' });
  await expect(table.getByRole('row')).toHaveCount(15);
  await expect(table.locator('td.strong').first()).toHaveText(/\d+–\d+ min/);
  await expect(table.getByText('…')).toHaveCount(0, { timeout: 30_000 });
  await expect(table.getByRole('row', { name: /Free-form round/ })).toContainText('run off the tray');

  // a second tin beside the first, by key, then dragged out of the rack
  await page.getByRole('button', { name: 'Put the 18 cm round in beside' }).press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^The 23 cm round and the 18 cm round together/);
  const rows = page.getByRole('table', { name: 'Tins in the oven together' }).getByRole('row');
  await expect(rows).toHaveCount(2);
  const grams = async (): Promise<number[]> =>
    (await rows.locator('td:nth-of-type(2)').allInnerTexts()).map((t) => parseInt(t, 10));
  const [a = 0, b = 0] = await grams();
  await page.getByLabel('Share the batter', { exact: true }).selectOption('together');
  await expect(page.getByText(/done together/).last()).toBeVisible();
  await expect.poll(async () => (await grams())[0]).not.toBe(a);
  const [c = 0, d = 0] = await grams();
  expect(Math.abs(a + b - c - d)).toBeLessThanOrEqual(2);
  await reload(page);
  await expect(page.getByLabel('Share the batter', { exact: true })).toHaveValue('together');
  await page.getByRole('button', { name: '20 cm square', exact: true }).dragTo(page.locator('.tins-part'));
  await expect(rows).toHaveCount(3);
  await page.keyboard.press('Control+z');
  await expect(rows).toHaveCount(2);
  // the bake of either can be looked at, and is followed then
  const time = page.locator('.time-part');
  await rows.nth(1).getByRole('button', { name: '18 cm round', exact: true }).click();
  await expect(time).toContainText('Time and heat, 18 cm round');
  await expect(page.locator('orvin-section-picture')).toHaveCount(2);
});

test('tins: into an oven not hot yet, under foil later; the time follows, is kept, and is taken back', async ({
  page,
}) => {
  await sampleKitchen(page, '/tins/rye-and-pear-loaf');
  const hot = await likelyMinutes(page);
  await page.getByRole('button', { name: 'change', exact: true }).click();
  await page.getByLabel('The oven when it goes in').selectOption('warming');
  await expect.poll(() => likelyMinutes(page)).toBeGreaterThan(hot);
  await page.getByLabel('The oven when it goes in').selectOption('hot');
  await expect.poll(() => likelyMinutes(page)).toBe(hot);

  await page.getByRole('button', { name: 'then change heat or cover' }).click();
  const minutes = page.getByRole('spinbutton', { name: 'after min' });
  await minutes.fill('20');
  await minutes.press('Enter');
  await page.getByLabel('Heat after 20 minutes').fill('150');
  await page.getByLabel('Heat after 20 minutes').press('Enter');
  await expect.poll(() => likelyMinutes(page)).toBeGreaterThan(hot + 5);
  await expect(page.locator('.chart-part')).toContainText('after 20 min turn the dial to 150 °C and lay loose foil');
  // a heat that is none says so, and what stands is what was
  await page.getByLabel('Heat after 20 minutes').fill('warm');
  await page.getByLabel('Heat after 20 minutes').press('Enter');
  await expect(page.getByRole('alert')).toContainText('is no heat I can read');
  await goTo(page, '/day/rye-and-pear-loaf');
  await expect(page.getByText(/Turn the dial to 150 °C and lay loose foil over it/)).toBeVisible();
  await goTo(page, '/tins/rye-and-pear-loaf');
  await expect(page.locator('orvin-heat-steps')).toContainText('after 20 min 150 °C, loose foil over it');
  await page.getByRole('button', { name: 'change', exact: true }).click();
  await page.getByRole('button', { name: 'Leave out the change after 20 minutes' }).click();
  await expect.poll(() => likelyMinutes(page)).toBe(hot);
});

test('tins: a slab is cut anew, and so many pieces of a weight are made', async ({ page }) => {
  await sampleKitchen(page, '/tins/cheese-and-thyme-scones');
  await expect(page.getByText(/8 of \d+ g as it is/)).toBeVisible();
  await page.getByLabel('Shape of the pieces').selectOption('squares');
  await page.getByLabel('Size in cm').fill('5');
  await expect(page.getByText(/Rolled 23 mm thick it cuts into \d+, \d+ g each/)).toBeVisible();
  await page.getByRole('button', { name: 'cut it so' }).press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^The \d+ squares of 5 cm instead of/);
  await expect(page.locator('.head')).toContainText('the batter as it is');
  await expect(page.locator('orvin-pair')).toContainText(/squares of 5 cm/);
  await page.getByRole('button', { name: 'back to its own tin' }).click();

  const bar = page.getByRole('region', { name: 'Scale' });
  await bar.getByLabel('scale by').selectOption('pieces');
  await bar.getByLabel('how much').fill('10 of 60 g');
  await expect(bar.getByText(/600 g of batter/)).toBeVisible();
  await bar.getByRole('button', { name: 'scale it' }).click();
  await expect(page.getByText(/The formula is scaled × 0\.\d+/)).toBeVisible();
  await goTo(page, '/counter/cheese-and-thyme-scones');
  await expect(page.getByText(/^\d+–\d+ min in the oven/)).toBeVisible();
});

test('tins: the formula is scaled to what there is, refused what cannot be, and rounded to the kitchen', async ({
  page,
}) => {
  await sampleKitchen(page, '/tins/rye-and-pear-loaf');
  const bar = page.getByRole('region', { name: 'Scale' });
  await bar.getByLabel('scale by').selectOption('item');
  await bar.getByLabel('the ingredient there is little of').selectOption({ index: 1 });
  await bar.getByLabel('how much').fill('plenty');
  await expect(bar.getByText(/no amount I can scale to/)).toBeVisible();
  await expect(bar.getByRole('button', { name: 'scale it' })).toBeDisabled();
  await bar.getByLabel('how much').fill('77 g');
  await expect(bar.getByText(/g of batter;/)).toBeVisible();
  await bar.getByLabel('how much').press('Enter');
  await expect(page.getByText(/The formula is scaled × \d/)).toBeVisible();
  await bar.getByRole('button', { name: /to this kitchen’s measures/ }).click();
  await expect(bar.getByText('Every line can be measured as it is.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(bar.getByRole('button', { name: /to this kitchen’s measures/ })).toBeVisible();

  // whole eggs, and a part of the batch for the freezer
  await goTo(page, '/tins/oat-and-rhubarb-muffins');
  await expect(page.getByRole('link', { name: 'Oat and rhubarb muffins' })).toBeVisible();
  await bar.getByLabel('how much').fill('1.3');
  await bar
    .getByRole('button', { name: /^\d+ eggs?, × / })
    .first()
    .click();
  await expect(bar.getByText(/beat \d+ and weigh/)).toHaveCount(0);
  await bar.getByLabel('bake now').fill('6');
  await expect(bar.getByText(/the rest: bake all, cool right through, freeze wrapped/)).toBeVisible();
});
