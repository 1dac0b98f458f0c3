import type { Page } from '@playwright/test';
import { expect, test } from './src/test';
import { onTo } from './src/at-counter';
import { complaints, goTo, gramsField, hang, larder, reload, sampleKitchen } from './src/steps';

test.describe('with the clock in hand', () => {
  test.use({ alone: true });

  test('at the counter everything to press is large enough for a floury knuckle', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.clock.install();
    await sampleKitchen(page, '/counter/rye-and-pear-loaf');
    await page.getByRole('button', { name: 'Begin' }).click();
    const presses = page.locator('.run button');
    const least = (): Promise<number> =>
      presses.evaluateAll((all) => Math.min(...all.map((b) => b.getBoundingClientRect().height)));
    await expect(presses.first()).toBeVisible();
    // each may come a frame before it has its size
    await expect.poll(least).toBeGreaterThanOrEqual(80);
    for (const [press, where] of [
      ['timer', /./],
      ['the scale shows…', /weigh, 1 of/],
    ] as const) {
      await onTo(page, where);
      await page.getByRole('button', { name: press }).click();
      await expect.poll(least).toBeGreaterThanOrEqual(80);
    }
  });
});

test('the larder changes what every figure is worked out for, and undo takes it back', async ({ page }) => {
  await sampleKitchen(page);
  const lift = async (): Promise<string> => {
    await goTo(page, '/bench/cardamom-yogurt-round');
    return page.locator('orvin-lift svg').getAttribute('aria-label') as Promise<string>;
  };
  const before = await lift();
  await larder(page, 'Kit and measures');
  const height = page.getByLabel('Above the sea');
  await height.fill('a hill');
  await height.press('Tab');
  await expect(page.getByRole('alert')).toContainText('It stays 210 m');
  await height.fill('1800');
  await height.press('Tab');
  await expect(page.getByRole('button', { name: 'Undo height 1800 m' })).toBeEnabled();
  expect(await lift()).not.toBe(before);
  await larder(page, 'Kit and measures');
  await expect(page.getByLabel('Above the sea')).toHaveValue('1800 m');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Above the sea')).toHaveValue('210 m');
  expect(await lift()).toBe(before);
});

test('another cup shows amounts anew and leaves every gram as it was', async ({ page }) => {
  await sampleKitchen(page, '/bench/cardamom-yogurt-round');
  const row = page.locator('orvin-row', { hasText: 'Plain flour' });
  await expect(row.locator('.measured')).toHaveText('2 cups');
  await larder(page, 'Kit and measures');
  await page.getByRole('combobox', { name: 'Cup', exact: true }).click();
  await page.getByRole('option', { name: '284 ml, imperial' }).click();
  await expect(page.getByRole('button', { name: 'Undo cup 284 ml' })).toBeEnabled();
  await goTo(page, '/bench/cardamom-yogurt-round');
  await expect(row.locator('.measured')).not.toHaveText('2 cups');
  await expect(gramsField(page, 'Plain flour')).toHaveValue('250');
});

test('a formula taken off the shelf can be put back, and one that is gone says so', async ({ page }) => {
  await sampleKitchen(page);
  const loaf = page.getByRole('link', { name: /Rye and pear loaf/ });
  await page.getByRole('button', { name: 'Take Rye and pear loaf off the shelf' }).click();
  await expect(loaf).toHaveCount(0);
  await page.getByRole('button', { name: 'put it back' }).click();
  await expect(loaf).toBeVisible();
  const gone = page.getByRole('heading', { name: 'This formula is not in this kitchen' });
  for (const view of ['bench', 'tins', 'versions', 'beside', 'card', 'label']) {
    await goTo(page, `/${view}/nobody-baked-this`);
    await expect(gone).toHaveCount(1);
    await expect(page.getByRole('link', { name: 'To the Shelf' })).toBeVisible();
  }
  // what lies in the bin can be had back from there
  await hang(page, 'Shelf');
  await page.getByRole('button', { name: 'Take Rye and pear loaf off the shelf' }).click();
  await expect(loaf).toHaveCount(0);
  await goTo(page, '/tins/rye-and-pear-loaf');
  await expect(gone).toBeVisible();
  await page.getByRole('button', { name: 'put it back' }).first().click();
  await expect(gone).toHaveCount(0);
  await expect(page.getByText(/^likely \d+/)).toBeVisible();
});

test('what was removed lies in the bin and is put back from there, also when undo is past it', async ({ page }) => {
  await sampleKitchen(page);
  await page.getByRole('button', { name: 'Take Rye and pear loaf off the shelf' }).click();
  await expect(page.getByRole('link', { name: /Rye and pear loaf/ })).toHaveCount(0);
  await larder(page, 'Tins');
  const down = page.getByRole('button', { name: 'take it down' });
  const card = page.locator('section.card', { has: down });
  const name = (await card.getAttribute('aria-label')) ?? '';
  await down.click();
  await expect(card).not.toHaveAttribute('aria-label', name);
  await larder(page, 'Your data');
  await reload(page);
  for (const what of [name, 'Rye and pear loaf']) {
    const back = page.getByRole('button', { name: `Put back ${what}`, exact: true });
    await back.click();
    await expect(back).toHaveCount(0);
  }
  await expect(page.getByRole('heading', { name: 'Nothing in the bin' })).toBeVisible();
  await hang(page, 'Shelf');
  await expect(page.getByRole('link', { name: /Rye and pear loaf/ })).toBeVisible();
  await larder(page, 'Tins');
  await expect(page.getByRole('button', { name }).first()).toBeVisible();
});

test('one formula travels as a file and comes back the same', async ({ page }) => {
  const wrong = complaints(page);
  await sampleKitchen(page, '/bench/buckwheat-cocoa-squares');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'save as file' }).click();
  const saved = await waiting;
  expect(saved.suggestedFilename()).toBe('buckwheat-cocoa-squares.formula.json');
  await hang(page, 'Shelf');
  await page.getByLabel('open files').setInputFiles(await saved.path());
  await expect(page).toHaveURL(/bench\/buckwheat-cocoa-squares-/);
  await expect(gramsField(page, 'Buckwheat flour')).toHaveValue('100');
  await hang(page, 'Shelf');
  await expect(page.getByRole('link', { name: /Buckwheat cocoa squares/ })).toHaveCount(2);
  expect(wrong).toEqual([]);
});

test.describe('at a time of its own', () => {
  test.use({ alone: true });

  test('the day: counted back from the time that was typed, however it was typed', async ({ page }) => {
    await page.clock.setFixedTime(new Date('2026-10-03T06:00:00Z'));
    await sampleKitchen(page, '/day/cheese-and-thyme-scones');
    const serve = page.getByLabel('Serve at');
    const type = async (text: string): Promise<void> => {
      await serve.fill(text);
      await serve.press('Tab');
    };
    const heading = page.getByRole('heading', { level: 1 });
    for (const [text, at] of [
      ['15:30', '15:30'],
      ['4.15 pm', '16:15'],
      ['1100', '11:00'],
      ['9', '09:00'],
    ] as const) {
      await type(text);
      await expect(heading).toHaveText(new RegExp(`at ${at}$`));
    }
    const first = async (p: Page): Promise<string> => p.locator('ol time').first().innerText();
    const minutes = (t: string): number => Number(t.slice(0, 2)) * 60 + Number(t.slice(3));
    const startFor = async (text: string): Promise<number> => {
      await type(text);
      await expect(page.locator('ol time').last()).toContainText(text);
      return minutes(await first(page));
    };
    // the bake's own time may come in between the two, and then both are asked again
    await expect.poll(async () => -(await startFor('09:00')) + (await startFor('10:00'))).toBe(60);
    await type('half past tea');
    await expect(page.getByRole('alert')).toContainText('is no time');
    await expect(heading).toHaveText(/10:00$/);
    await type('07:10');
    await expect(page.getByText(/should have begun \d+ minutes ago/)).toBeVisible();
  });
});

test('lines: one added in words goes where it is mixed, a doubtful one asks, one taken out comes back', async ({
  page,
}) => {
  await sampleKitchen(page, '/bench/cardamom-yogurt-round');
  const line = page.getByLabel('Another line');
  await line.fill('1 tsp ground cinnamon');
  await line.press('Enter');
  const dry = page.locator('section', { has: page.getByRole('heading', { name: 'Dry', exact: true }) }).last();
  await expect(dry.getByText('Cinnamon, ground')).toBeVisible();
  await line.fill('30 g glimmer');
  await line.press('Enter');
  await expect(page.getByText('"glimmer" is not in the larder. What is it?')).toBeVisible();
  await page.getByRole('button', { name: 'not an ingredient' }).click();
  await expect(page.getByText('glimmer')).toHaveCount(0);
  const egg = page.locator('orvin-row', { hasText: 'Egg' });
  await page.getByRole('button', { name: 'Take Egg out' }).click();
  await expect(egg).toHaveCount(0);
  await expect(page.getByRole('heading', { name: /^Balance (In balance|A shade)/ })).toBeVisible();
  await page.locator('h2').first().click();
  await page.keyboard.press('Control+z');
  await expect(egg).toHaveCount(1);
});

test('a formula without flour is never called well', async ({ page }) => {
  await sampleKitchen(page);
  await page.getByLabel('A recipe to read').fill('Custard\n500 g milk\n5 eggs\n100 g sugar');
  await page.getByRole('button', { name: 'read it' }).click();
  await page.getByRole('button', { name: /to the bench/ }).click();
  await expect(page.getByRole('heading', { name: /No flour/ }).first()).toBeVisible();
  await expect(page.getByText(/rdinary for a/)).toHaveCount(0);
  const line = page.getByLabel('Another line');
  await line.fill('250 g plain flour');
  await line.press('Enter');
  await expect(page.getByRole('heading', { name: /No flour/ })).toHaveCount(0);
});
