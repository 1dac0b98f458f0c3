import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './src/test';
import { barriers } from './src/axe';
import { complaints, goTo, gramsField, larder, reload, sampleBench, sampleKitchen } from './src/steps';

async function bench(page: Page, id: string): Promise<void> {
  await goTo(page, `/bench/${id}`);
  await expect(page.locator('orvin-row').first()).toBeVisible();
}
const offer = (page: Page) => page.locator('.offer');

test('a faulty formula is put right by keys alone, kept with its reasons, and gone back from', async ({ page }) => {
  const wrong = complaints(page);
  await sampleBench(page, 'oat-and-rhubarb-muffins');
  const soda = gramsField(page, 'Baking soda');
  await expect(soda).toHaveValue('7.6');
  await page.keyboard.press('a');
  await expect(offer(page)).toContainText('soda high, lift high');
  await expect(offer(page)).toContainText('in balance');
  // on the instruments already, and nowhere else
  await expect(soda).not.toHaveValue('7.6');
  await expect(page.getByRole('heading', { name: /Right for a muffin/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(soda).toHaveValue('7.6');

  await page.keyboard.press('a');
  await expect(offer(page).getByRole('button', { name: 'keep it' })).toBeFocused();
  const kept = await soda.inputValue();
  await page.keyboard.press('Enter');
  await expect(offer(page)).toBeHidden();
  await expect(soda).toHaveValue(kept);
  await reload(page);
  await expect(soda).toHaveValue(kept);

  await page.keyboard.press('v');
  await expect(page.getByRole('heading', { name: /Versions of Oat/ })).toBeVisible();
  const newest = page.locator('.tree > li').first();
  await expect(newest).toContainText('on the Bench');
  await expect(newest).toContainText('Baking soda 7.6');
  await newest.getByText('why each line').click();
  await expect(newest).toContainText('no more than its acid can meet');
  await newest.getByRole('button', { name: /Name or note/ }).click();
  await page.getByPlaceholder('a name').fill('for Saturday');
  await page.keyboard.press('Enter');
  await expect(newest).toContainText('for Saturday');
  expect(await barriers(page, { slight: true })).toEqual([]);
  await page.getByRole('button', { name: 'Go back to version 1' }).click();
  await expect(soda).toHaveValue('7.6');
  await page.keyboard.press('Control+z');
  await expect(soda).toHaveValue(kept);
  expect(wrong).toEqual([]);
});

test('butter gives way to oil with what follows from it, line by line, and two tabs agree', async ({
  page,
  context,
}) => {
  const wrong = complaints(page);
  await sampleBench(page, 'cardamom-yogurt-round');
  await page.locator('orvin-row', { hasText: 'Butter' }).hover();
  await page.getByRole('button', { name: 'Limit or replace Butter, unsalted' }).click();
  const oil = page.locator('.swap', { hasText: 'Neutral oil' });
  await expect(oil).toContainText('needs');
  await expect(oil).toContainText('mix it by');
  await oil.click();
  await expect(offer(page).getByRole('checkbox')).toHaveCount(2);
  const before = await gramsField(page, 'Plain yogurt').inputValue();
  expect(Number(before)).toBeGreaterThan(200);
  // the oil, but not the yogurt that goes with it
  await offer(page)
    .getByRole('checkbox', { name: /plain yogurt/ })
    .uncheck();
  await expect(gramsField(page, 'Plain yogurt')).toHaveValue('200');
  await page.getByRole('button', { name: 'keep it' }).click();
  await expect(offer(page)).toBeHidden();
  await expect(gramsField(page, 'Neutral oil')).toBeVisible();
  const other = await context.newPage();
  await other.goto('/bench/cardamom-yogurt-round');
  await expect(gramsField(other, 'Neutral oil')).toBeVisible();
  await page.bringToFront();
  await page.locator('h2').first().click();
  await page.keyboard.press('Control+z');
  await expect(gramsField(page, 'Butter, unsalted')).toHaveValue('120');
  await expect(gramsField(other, 'Butter, unsalted')).toHaveValue('120');
  expect(wrong).toEqual([]);
});

test('asks join, presets and limits are kept to, and what cannot be had is said', async ({ page }) => {
  await sampleBench(page, 'cardamom-yogurt-round');
  await page.keyboard.press('a');
  await expect(page.getByText('It is in balance as it is.')).toBeVisible();
  await page.getByRole('button', { name: 'without egg' }).click();
  await expect(offer(page)).toContainText('for egg, 3 eggs');
  await expect(offer(page)).toContainText('follow your clinician');
  expect(await barriers(page, { within: 'orvin-proposals', slight: true })).toEqual([]);
  await page.getByRole('button', { name: 'ask for something else' }).click();
  await page.getByRole('button', { name: 'less sugar' }).click();
  await expect(offer(page)).toContainText('less caster sugar, 200 g →');
  await expect(offer(page)).toContainText('For diabetes');
  // by how much, with keys: Escape leaves the list alone first, and everything only then
  const how = page.getByRole('combobox', { name: 'How much less' });
  await how.press('Space');
  await expect(page.getByRole('option', { name: 'by half' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('option')).toHaveCount(0);
  await expect(offer(page)).toBeVisible();
  await how.press('Space');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect(offer(page)).toContainText('10 % less sugar');
  // all of the sugar, and yet a quarter less of it
  await page.locator('orvin-row', { hasText: 'Caster sugar' }).hover();
  await page.getByRole('button', { name: 'Limit or replace Caster sugar' }).click();
  await page.getByLabel('Of it there is to be').fill('200 g');
  await page.getByRole('button', { name: 'exactly' }).click();
  await page.getByRole('button', { name: 'exactly 200 g of caster sugar; take this limit away' }).waitFor();
  // the wish is still in force beside the limit, and what is shown keeps to both as far as it says
  await expect(page.getByRole('button', { name: 'less sugar' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.locator('.answer[aria-busy="false"]').locator('.no, .offer').first()).toBeVisible();
  await expect(page.getByLabel('Caster sugar, grams')).toHaveValue('200');
});

test('a new formula takes shape from wishes, and is put on the Shelf with its method', async ({ page }) => {
  const wrong = complaints(page);
  await sampleKitchen(page);
  await page.getByRole('link', { name: 'make up a new one' }).click();
  const made = page.getByRole('region', { name: 'The new formula' });
  await expect(made).toContainText('In balance');
  const taste = page.getByRole('combobox', { name: 'What it is to taste of' });
  await taste.pressSequentially('pear');
  await page.getByRole('option', { name: 'Pear, diced' }).click();
  await expect(made.getByRole('heading', { name: 'Pear muffins' })).toBeVisible();
  await page.getByRole('button', { name: 'gluten', exact: true }).click();
  await expect(made).toContainText('Xanthan gum');
  await expect(made).not.toContainText('wheat');
  expect(await barriers(page, { slight: true })).toEqual([]);
  await page.getByRole('button', { name: 'put it on the Shelf' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Pear gluten-free muffins');
  await expect(page.getByRole('heading', { name: /rdinary for a/ })).toBeVisible();
  await goTo(page, '/shelf');
  await expect(page.getByRole('link', { name: /Pear gluten-free muffins/ })).toBeVisible();
  expect(wrong).toEqual([]);
});

test('only a worker may compile: its script says so, and no page does', async ({ page, request }) => {
  await sampleBench(page, 'cardamom-yogurt-round');
  const worker = page.waitForEvent('worker', { predicate: (w) => /worker-/.test(w.url()) });
  await page.keyboard.press('a');
  const script = (await worker).url();
  expect((await request.get(script)).headers()['content-security-policy']).toContain("'wasm-unsafe-eval'");
  expect((await request.get('/bench/anything')).headers()['content-security-policy']).not.toContain('wasm');
  expect((await request.get('/wasm/highs.wasm')).headers()['cache-control']).toBe('no-cache');
});

test('by keys alone: a line is replaced, the choice flicked through, a wish made and taken back', async ({ page }) => {
  await sampleBench(page, 'rye-and-pear-loaf');
  await page.getByRole('slider', { name: 'Egg', exact: true }).focus();
  await page.keyboard.press('r');
  const limit = page.getByLabel('Of it there is to be');
  await expect(limit).toBeFocused();
  await expect(limit).toHaveValue('100');
  await expect(page.locator('.swaps .swap').first()).toBeEnabled();
  // three ways of limiting, then the replacements
  for (let i = 0; i < 4; i++) await page.keyboard.press('Tab');
  await expect(page.locator('.swaps .swap').first()).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(offer(page)).toContainText('for egg, 2 eggs');
  await page.keyboard.press('Escape');
  await expect(gramsField(page, 'Egg')).toHaveValue('100');

  await page.keyboard.press('a');
  const vegan = page.getByRole('button', { name: 'without anything animal' });
  await vegan.focus();
  await page.keyboard.press('Space');
  await expect(offer(page)).toContainText('1 of 2');
  const first = await offer(page).innerText();
  await page.keyboard.press('n');
  await expect(offer(page)).toContainText('2 of 2');
  expect(await offer(page).innerText()).not.toBe(first);
  await page.keyboard.press('Shift+N');
  await expect(offer(page)).toContainText('1 of 2');
  await page.getByRole('button', { name: 'vegan; take this wish away' }).press('Enter');
  await expect(page.getByText('It is in balance as it is.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.locator('orvin-proposals')).toHaveCount(0);
});

test('what a family forbids is said, with the nearest that can be had, and can be had anyway', async ({ page }) => {
  await sampleBench(page, 'lime-and-coconut-tray-cake');
  await page.keyboard.press('a');
  await expect(offer(page)).toContainText('water low');
  await page.getByRole('button', { name: 'ask for something else' }).click();
  await page.getByRole('button', { name: 'less sugar' }).click();
  await expect(offer(page)).toContainText('less caster sugar');
  const how = page.getByRole('combobox', { name: 'How much less' });
  await how.press('Space');
  await page.getByRole('option', { name: 'by half' }).click();
  await expect(page.locator('.no')).toContainText('50 % less sugar');
  await expect(page.locator('.no')).toContainText('as much sugar as a high-ratio butter cake has');
  await page.getByRole('button', { name: 'do it anyway' }).click();
  await expect(offer(page)).toContainText('All of it, anyway');
  await expect(page.locator('.no')).toHaveCount(0);
  await page.getByRole('button', { name: 'less sugar; take this wish away' }).click();
  await expect(page.locator('.no')).toHaveCount(0);
  // a limit that nothing can keep to: no flour to speak of
  await page.getByRole('slider', { name: 'Plain flour', exact: true }).focus();
  await page.keyboard.press('r');
  await page.getByLabel('Of it there is to be').fill('a bucket');
  await page.getByRole('button', { name: 'at most' }).click();
  await expect(page.getByRole('alert')).toContainText('a bucket');
});

test('versions with their names, notes and reasons travel in the kitchen’s file', async ({ page }) => {
  await sampleBench(page, 'oat-and-rhubarb-muffins');
  await page.keyboard.press('a');
  await expect(offer(page)).toBeVisible();
  await page.getByRole('button', { name: 'keep it' }).click();
  await expect(offer(page)).toBeHidden();
  await page.keyboard.press('v');
  const newest = page.locator('.tree > li').first();
  await newest.getByRole('button', { name: /Name or note/ }).click();
  await page.getByPlaceholder('a name').fill('Saturday’s');
  await page.getByPlaceholder(/a note/).fill('no soap, at last');
  await page.getByRole('button', { name: 'that is it' }).click();
  await expect(newest).toContainText('no soap, at last');
  await larder(page, 'Your data');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'export without photos' }).click();
  const path = await (await saved).path();
  const file = JSON.parse(readFileSync(path, 'utf8')) as { versions: Record<string, unknown>[] };
  const last = file.versions.find((v) => v['name'] === 'Saturday’s');
  expect(last?.['note']).toBe('no soap, at last');
  expect(last?.['parent']).toBe('oat-and-rhubarb-muffins@1');
  expect(last?.['reasons']).toEqual([expect.stringContaining('its acid can meet')]);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('asking, replacing and making up fit the screen, and can be pressed', async ({ page }) => {
    await sampleKitchen(page);
    const fits = async (what: string): Promise<void> => {
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(over, what).toBeLessThanOrEqual(0);
    };
    await bench(page, 'oat-and-rhubarb-muffins');
    await page.getByRole('button', { name: /other ways|change it|put it right/ }).click();
    await expect(offer(page)).toBeVisible();
    await fits('a proposal');
    await page.getByRole('button', { name: 'ask for something else' }).click();
    await page.getByRole('button', { name: 'without egg' }).click();
    await expect(offer(page)).toContainText('in balance');
    // the slice at the head is out of sight here: it is drawn beside what it costs
    await expect(offer(page).getByRole('img', { name: 'The slice to come' })).toBeVisible();
    await fits('the asks');
    await page.getByRole('button', { name: 'drop it' }).click();
    await goTo(page, '/versions/oat-and-rhubarb-muffins');
    await expect(page.getByRole('heading', { name: /Versions/ })).toBeVisible();
    await fits('versions');
    await goTo(page, '/compose');
    await expect(page.getByRole('region', { name: 'The new formula' })).toContainText('In balance');
    await fits('a new formula');
  });
});
