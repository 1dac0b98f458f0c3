import type { Locator, Page } from '@playwright/test';
import { expect, test } from './src/test';
import { barriers } from './src/axe';
import { complaints, gramsField, reload, sampleBench, settled } from './src/steps';

/** Pulls something by so many pixels from its middle. */
async function pull(page: Page, what: Locator, dx: number, dy = 0): Promise<void> {
  await settled(page);
  // clear of the bar at the foot
  await what.evaluate((e) => e.scrollIntoView({ block: 'center', behavior: 'instant' }));
  const box = await what.boundingBox();
  if (!box) throw new Error('nothing to pull');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx, y + dy, { steps: 5 });
  await page.mouse.up();
}
const handle = (page: Page, name: string): Locator => page.getByRole('slider', { name, exact: true });
const undo = async (page: Page): Promise<void> => {
  await page.locator('h2').first().click();
  await page.keyboard.press('Control+z');
};

test('every drawing is a handle: pulled, it changes its line, and one undo takes it back', async ({ page }) => {
  const wrong = complaints(page);
  await sampleBench(page, 'cardamom-yogurt-round');
  const lift = page.locator('.big');
  for (const [name, line, dx, from] of [
    ['Baking soda, soda', 'Baking soda', 40, '1.3'],
    ['Plain yogurt, acid', 'Plain yogurt', -40, '200'],
    ['Butter, unsalted, pull', 'Butter, unsalted', 15, '120'],
    ['Plain flour, pull', 'Plain flour', -15, '250'],
    ['Plain yogurt, water', 'Plain yogurt', 30, '200'],
  ] as const) {
    const field = gramsField(page, line);
    await expect(field).toHaveValue(from);
    await pull(page, handle(page, name), dx);
    await expect(field, name).not.toHaveValue(from);
    expect(Number(await field.inputValue()), name).toBeGreaterThan(Number(from));
    await undo(page);
    await expect(field, name).toHaveValue(from);
  }
  // the point of the map takes sugar and fat with it
  const point = page.locator('circle.point');
  await pull(page, point, 25, -12);
  await expect(gramsField(page, 'Caster sugar')).not.toHaveValue('200');
  expect(Number(await gramsField(page, 'Caster sugar').inputValue())).toBeGreaterThan(200);
  expect(Number(await gramsField(page, 'Butter, unsalted').inputValue())).toBeGreaterThan(120);
  await undo(page);
  await expect(gramsField(page, 'Butter, unsalted')).toHaveValue('120');
  // standing costs lift, and changes no line
  const full = await lift.innerText();
  await pull(page, page.locator('.knob circle'), 90);
  await expect(lift).not.toHaveText(full);
  await expect(page.getByText(/min standing: .+ lost/).first()).toBeVisible();
  expect(wrong).toEqual([]);
});

test('by keys alone: a segment, a pull, the water, the point and the minutes can be reached and stepped', async ({
  page,
}) => {
  await sampleBench(page, 'rye-and-pear-loaf');
  for (const [name, line] of [
    ['Buttermilk, acid', 'Buttermilk'],
    ['Neutral oil, pull', 'Neutral oil'],
    ['Egg, water', 'Egg'],
  ] as const) {
    const field = gramsField(page, line);
    const before = Number(await field.inputValue());
    await handle(page, name).focus();
    await page.keyboard.press('ArrowUp');
    await expect.poll(async () => Number(await field.inputValue()), { message: name }).toBeGreaterThan(before);
    await page.keyboard.press('ArrowDown');
    await expect(field).toHaveValue(String(before));
  }
  await page.locator('circle.point').focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(gramsField(page, 'Light brown sugar')).not.toHaveValue('140');
  const knob = handle(page, 'Minutes standing before the oven');
  await knob.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(knob).toHaveAttribute('aria-valuenow', '6');
  // L locks the line whose bar has the focus; then nothing pulls it
  await handle(page, 'Neutral oil').focus();
  await page.keyboard.press('l');
  await expect(page.getByRole('button', { name: 'Lock Neutral oil', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(handle(page, 'Neutral oil, pull')).toHaveCount(0);
  // the rest of the Bench by single keys
  await page.keyboard.press('h');
  await expect(page.getByRole('button', { name: 'held' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('p');
  await expect(page.getByRole('button', { name: /^Shares as parts/ })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('c');
  await expect(page.getByRole('heading', { name: 'Side by side' })).toBeVisible();
});

test('locked lines, a held total and a typed total stay true over a reload and undo', async ({ page }) => {
  await sampleBench(page, 'cheese-and-thyme-scones');
  await page.locator('orvin-row', { hasText: 'Egg' }).hover();
  await page.getByRole('button', { name: 'Lock Egg', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Undo lock Egg' })).toBeEnabled();
  await reload(page);
  await expect(page.getByRole('button', { name: 'Lock Egg', exact: true })).toHaveAttribute('aria-pressed', 'true');
  const total = page.getByLabel(/^Batter in all/);
  await expect(total).toHaveValue('698 g');
  await total.fill('1.4 kg');
  await total.press('Enter');
  await expect(total).toHaveValue('1 400 g');
  await expect(gramsField(page, 'Egg')).toHaveValue('50');
  await expect.poll(async () => Number(await gramsField(page, 'Plain flour').inputValue())).toBeGreaterThan(600);
  await total.fill('a bowlful');
  await total.press('Enter');
  await expect(page.getByRole('alert')).toContainText('no weight of batter');
  await expect(total).toHaveValue('1 400 g');
  await undo(page);
  await expect(total).toHaveValue('698 g');
  await page.getByRole('button', { name: 'hold', exact: true }).click();
  await gramsField(page, 'Buttermilk').fill('190');
  await gramsField(page, 'Buttermilk').press('Enter');
  await expect.poll(async () => Number(await gramsField(page, 'Plain flour').inputValue())).toBeLessThan(300);
  await expect(total).toHaveValue('698 g');
  await expect(gramsField(page, 'Egg')).toHaveValue('50');
});

test('each figure explains itself on one press, with an equation and where it comes from', async ({ page }) => {
  const wrong = complaints(page);
  await sampleBench(page, 'buckwheat-cocoa-squares');
  const instruments = page.locator('section[aria-label="Instruments"]');
  const asks = instruments.locator('button.why, button.line, button.trait');
  const many = await asks.count();
  expect(many).toBeGreaterThan(12);
  for (let i = 0; i < many; i++) {
    await asks.nth(i).click();
    const dialog = page.getByRole('dialog');
    const name = (await asks.nth(i).innerText()) || String(i);
    await expect(dialog.locator('.equation'), name).not.toBeEmpty();
    await expect(dialog.locator('p').last(), name).toContainText(/[a-z]{4}/);
    expect(await dialog.innerText(), name).not.toMatch(/NaN|undefined|Infinity/);
    await page.keyboard.press('Escape');
    await expect(dialog).toHaveCount(0);
  }
  // a bar that is only pressed, not pulled, says what it stands for; so does Enter on it
  for (const [name, words] of [
    ['Cocoa, natural, acid', 'can meet'],
    ['Baking soda, soda', 'bicarbonate'],
    ['Light brown sugar, pull', 'points'],
    ['Brewed coffee, water', 'drunk'],
  ] as const) {
    await handle(page, name).click();
    await expect(page.getByRole('dialog'), name).toContainText(words);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await expect(gramsField(page, 'Baking soda')).toHaveValue('2.5');
  await handle(page, 'Baking soda, soda').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('bicarbonate');
  await page.keyboard.press('Escape');
  expect(wrong).toEqual([]);
});

test('what changed is seen for a moment, a line says what a little more of it would do, shares can be parts', async ({
  page,
}) => {
  await sampleBench(page, 'parsnip-and-ginger-muffins');
  await gramsField(page, 'Baking powder').fill('4');
  await gramsField(page, 'Baking powder').press('Enter');
  await expect(page.locator('orvin-lift .ghost')).toHaveCount(1);
  await expect(page.locator('orvin-lift .ghost')).toHaveCount(0);
  await page.locator('orvin-row', { hasText: 'Neutral oil' }).hover();
  await expect(page.locator('orvin-effect-line')).toContainText(/10 g more neutral oil:.*tenderness \+.*batch \+€\d/);
  const flour = page.locator('orvin-row', { hasText: 'Plain flour' }).locator('.pct');
  const percent = await flour.innerText();
  await page.getByRole('button', { name: /^Shares as parts/ }).click();
  await expect(flour).not.toHaveText(percent);
  await expect(page.getByRole('button', { name: /^Shares as parts/ })).toHaveAttribute('aria-pressed', 'true');
});

test('two versions and two formulas side by side, with the difference in words; versions are points on the map', async ({
  page,
}) => {
  const wrong = complaints(page);
  await sampleBench(page, 'oat-and-rhubarb-muffins');
  await page.getByRole('button', { name: 'try it' }).click();
  expect(await barriers(page)).toEqual([]);
  await page.getByRole('button', { name: 'keep it' }).click();
  await expect(page.getByRole('heading', { name: /rdinary for a/ })).toBeVisible();
  await gramsField(page, 'Light brown sugar').fill('150');
  await gramsField(page, 'Light brown sugar').press('Enter');
  await expect(page.locator('.dot.past')).toHaveCount(2);
  await expect(page.locator('orvin-family-map .path')).toHaveCount(1);
  await page.getByRole('link', { name: 'compare' }).click();
  await expect(page.getByRole('heading', { name: 'Side by side' })).toBeVisible();
  // the version kept, beside the formula as it is now: less sweet
  await expect(page.locator('.summary')).toContainText('version 2');
  await expect(page.locator('.summary')).toContainText('less sweet');
  await page.getByLabel('Formula on the right').click();
  await page.getByRole('option', { name: 'Plum and almond pound cake' }).click();
  await expect(page.locator('.summary')).toContainText('rises less');
  await expect(page.locator('.lines').getByRole('row', { name: /^Plum/ })).toContainText('none');
  await expect(page.locator('orvin-lift')).toHaveCount(2);
  // a figure on either side is explained for that side
  await page.locator('orvin-lift').nth(1).locator('.big').click();
  await expect(page.getByRole('dialog')).toContainText('A pound cake usually wants');
  await page.keyboard.press('Escape');
  await page.locator('orvin-lift').nth(0).locator('.big').click();
  await expect(page.getByRole('dialog')).toContainText('A muffin usually wants');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  // the library's closed list still names its last option while it has the focus
  await page.getByRole('heading', { name: 'Side by side' }).click();
  await page.getByLabel('Formula on the right').blur();
  expect(await barriers(page)).toEqual([]);
  expect(wrong).toEqual([]);
});
