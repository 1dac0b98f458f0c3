import { expect, test } from './src/test';
import { complaints, goTo, gramsField, larder, paste, reload, sampleKitchen } from './src/steps';

test('an own ingredient, typed off its packet, is read in the next recipe; what cannot be is refused', async ({
  page,
}) => {
  const wrong = complaints(page);
  await sampleKitchen(page);
  await larder(page, 'Ingredients');
  await page.getByRole('button', { name: 'new, from its label' }).click();
  const form = page.getByRole('form', { name: 'A new ingredient from its label' });
  await form.getByLabel('Name').fill('Einer mill flour');
  await form.getByLabel('Fat').fill('2,3');
  await form.getByLabel('Carbohydrate', { exact: true }).fill('161');
  await form.getByLabel('Protein').fill('12.4');
  await expect(form.getByRole('alert')).toContainText('cannot be 161 g in 100 g');
  await expect(form.getByRole('button', { name: 'keep it' })).toBeDisabled();
  await form.getByLabel('Carbohydrate', { exact: true }).fill('61');
  await form.getByLabel('of which sugars').fill('1.1');
  await form.getByLabel('Fibre', { exact: true }).fill('10.5');
  await expect(form.getByText(/g water: what fat/)).toBeVisible();
  await form.getByLabel('A levelled cup weighs').fill('132');
  await form.getByRole('button', { name: 'keep it' }).click();
  await expect(page.getByRole('heading', { level: 2, name: 'Einer mill flour' })).toBeVisible();
  await expect(page.getByText('132 g')).toBeVisible();
  await paste(
    page,
    'Mill loaf\n2 cups einer mill flour\n1 tsp baking soda\n300 ml buttermilk\nBake at 200 °C for 40 minutes in a 900 g loaf tin.',
  );
  await page.getByRole('button', { name: /to the bench/ }).click();
  await expect(gramsField(page, 'Einer mill flour')).toHaveValue('264');
  expect(wrong).toEqual([]);
});

test('search finds a thing by any of its names; stock and price take any unit, stay over a reload, and undo', async ({
  page,
}) => {
  await sampleKitchen(page);
  await larder(page, 'Ingredients');
  const find = page.getByPlaceholder(/Find one of/);
  for (const [typed, name] of [
    ['maida', 'Plain flour'],
    ['zuchini', 'Courgette, grated'],
    ['bicarb', 'Baking soda'],
  ] as const) {
    await find.fill(typed);
    await expect(page.getByRole('button', { name: new RegExp(name) }).first()).toBeVisible();
  }
  await find.fill('egg');
  await page
    .getByRole('button', { name: /^Egg\b/ })
    .first()
    .click();
  // the card is the egg's before anything is typed into it
  await expect(page.getByRole('heading', { level: 2, name: 'Egg', exact: true })).toBeVisible();
  await page.getByLabel('in stock').fill('a lot');
  await page.getByLabel('in stock').press('Tab');
  await expect(page.getByRole('alert')).toContainText('no amount I can read');
  await page.getByLabel('in stock').fill('12 eggs');
  await page.getByLabel('in stock').press('Tab');
  await expect(page.getByLabel('in stock')).toHaveValue('600 g');
  await page.getByLabel('costs').fill('3,60');
  await page.getByLabel('for', { exact: true }).fill('12 eggs');
  await page.getByLabel('for', { exact: true }).press('Tab');
  await expect(page.getByText('€6.00 a kg').first()).toBeVisible();
  await reload(page);
  await find.fill('egg');
  await page
    .getByRole('button', { name: /^Egg\b/ })
    .first()
    .click();
  await expect(page.getByLabel('in stock')).toHaveValue('600 g');
  await page.getByRole('heading', { level: 1 }).click();
  // the sum and the pack were two steps
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByText('€8.00 a kg').first()).toBeVisible();
});

test('a tin is hung up in words, redrawn as it is measured, and its water fill is believed', async ({ page }) => {
  await sampleKitchen(page);
  await larder(page, 'Tins');
  const words = page.getByLabel('A tin in words');
  await words.fill('something round');
  await words.press('Enter');
  await expect(page.getByRole('alert')).toContainText('names no tin');
  await words.fill('8 inch square');
  await words.press('Enter');
  const card = page.getByRole('region', { name: '20 cm square', exact: true }).last();
  await expect(card.getByLabel('side at the rim, mm')).toHaveValue('203');
  const drawn = await card.locator('svg path').first().getAttribute('d');
  const depth = card.getByLabel('deep, mm');
  await depth.fill('3 in');
  await depth.press('Tab');
  await expect(depth).toHaveValue('76.2');
  expect(await card.locator('svg path').first().getAttribute('d')).not.toBe(drawn);
  const water = card.getByLabel('water it holds');
  await water.fill('2950');
  await water.press('Tab');
  await expect(card.getByText('2950 ml')).toBeVisible();
  await expect(card.getByText(/its sizes give/)).toBeVisible();
  await water.fill('900');
  await water.press('Tab');
  await expect(card.getByRole('alert')).toContainText('by your measure');
});

test('a common tin is picked by its picture and a formula fitted to it, over a reload', async ({ page }) => {
  await sampleKitchen(page);
  await larder(page, 'Tins');
  await page.getByRole('button', { name: 'pick from common tins' }).click();
  await page.getByRole('button', { name: 'US and Canada' }).click();
  await page.getByRole('button', { name: 'Hang up: 12-cup fluted tube pan' }).click();
  await expect(page.getByRole('button', { name: 'Hang up one more: 12-cup fluted tube pan' })).toBeVisible();
  await expect(page.getByRole('region', { name: '12-cup fluted tube pan' })).toContainText('2840 ml');
  await reload(page);
  await goTo(page, '/tins/plum-and-almond-pound-cake');
  // the larder has a press of the same name until then
  await expect(page.getByText(/^likely \d+/).first()).toBeVisible();
  await page
    .getByRole('button', { name: /12-cup fluted tube pan/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: /12-cup fluted tube pan/i })).toBeVisible();
  // asked for in steam it takes longer, and undo takes that back
  const likely = page.getByText(/^likely \d+/).first();
  await expect(likely).toBeVisible();
  const plain = Number(/\d+/.exec((await likely.textContent()) ?? '')?.[0]);
  await page.getByRole('button', { name: 'change', exact: true }).click();
  await page.getByRole('button', { name: /in water, in steam/ }).click();
  await page.getByLabel('The batter when it goes in').selectOption('freezer');
  await expect
    .poll(async () => Number(/\d+/.exec((await likely.textContent()) ?? '')?.[0]))
    .toBeGreaterThan(1.15 * plain);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => Number(/\d+/.exec((await likely.textContent()) ?? '')?.[0])).toBe(plain);
});
