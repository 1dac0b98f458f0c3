import type { Page } from '@playwright/test';
import { expect, test } from './src/test';
import { bakeLines, complaints, goTo, hang, larder, reload, sampleKitchen } from './src/steps';

const sheet = (page: Page) => page.getByRole('article').first();
const opened = async (page: Page, title: string): Promise<void> => {
  await page.getByLabel('Find a bake').fill(title);
  await bakeLines(page).filter({ hasText: title }).first().click();
  await page.getByLabel('Find a bake').fill('');
  await expect(sheet(page).getByRole('heading', { level: 2 })).toContainText(title);
};
/** A picture as a camera would give it, larger than what is kept. */
const camera = async (page: Page): Promise<Buffer> => {
  const base64 = await page.evaluate(async () => {
    const c = new OffscreenCanvas(2400, 1800);
    const x = c.getContext('2d');
    for (let i = 0; x && i < 600; i++) {
      x.fillStyle = `hsl(${20 + (i % 40)} 60% ${20 + ((i * 7) % 60)}%)`;
      x.fillRect((i * 97) % 2400, (i * 61) % 1800, 260, 200);
    }
    const bytes = new Uint8Array(await (await c.convertToBlob({ type: 'image/png' })).arrayBuffer());
    let text = '';
    for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
    return btoa(text);
  });
  return Buffer.from(base64, 'base64');
};

test('a bad bake is logged, its cause named, the advice baked, and the better bake speaks for it', async ({ page }) => {
  const wrong = complaints(page);
  await sampleKitchen(page, '/log/malt-and-fig-tea-loaf');
  await expect(page.getByText(/\d+–\d+ min foretold, likely \d+/)).toBeVisible();
  const likely = Number(/likely (\d+)/.exec((await page.getByRole('region', { name: 'Log a bake' }).textContent()) ?? '')?.[1]); // prettier-ignore
  await page.getByLabel('Minutes in the oven').fill(String(Math.round(likely * 0.8)));
  await page.getByRole('button', { name: 'underbaked', exact: true }).click();
  await page.getByRole('button', { name: 'log it' }).click();

  // what was seen, by looking, and what was measured
  await expect(sheet(page).getByRole('heading', { level: 2 })).toContainText('Malt and fig tea loaf');
  await page.getByRole('button', { name: 'what went wrong?' }).click();
  const looks = page.locator('orvin-symptom-picker');
  await looks.getByRole('button', { name: /^sunk/ }).click();
  await looks.getByRole('button', { name: /^gummy/ }).click();
  await page.getByRole('button', { name: 'that is all' }).click();
  await page.getByLabel('Its middle when out').fill('87');
  await page.getByLabel('Its middle when out').press('Tab');
  const why = page.getByRole('region', { name: 'Why' });
  await expect(why.getByRole('heading')).toContainText('taken out too soon');
  await expect(why).toContainText(/The middle was 87 °C; it sets at/);

  // the one change becomes a version, and the next bake is known to try it
  await why.getByRole('button', { name: 'try it as a new version' }).click();
  await expect(page).toHaveURL(/bench\/malt/);
  await hang(page, 'Log');
  await expect(page.getByText(/A trial\..*Only this: \d+–\d+ min/)).toBeVisible();
  await page.getByLabel('Minutes in the oven').fill(String(likely));
  await page.getByRole('button', { name: 'log it' }).click();
  await expect(sheet(page)).toContainText('A trial: Only this');
  await page.getByRole('group', { name: 'Taste' }).getByRole('button', { name: 'make it again' }).click();
  await expect(sheet(page)).toContainText('It is gone: that speaks for taken out too soon');

  // the first one tells of it, over a reload too; the next bake is no trial any more
  await page.getByRole('button', { name: /the bake before/ }).click();
  await reload(page);
  await expect(sheet(page)).toContainText(/Tried on .*It is gone/);
  await expect(why).toContainText('It was tried');
  await page.getByRole('button', { name: 'Close this bake' }).click();
  await expect(page.getByRole('region', { name: 'Log a bake' })).not.toContainText('A trial');
  expect(wrong).toEqual([]);
});

test('the timeline: found by words, left out, put right, taken away and put back; two stand side by side', async ({
  page,
}) => {
  const wrong = complaints(page);
  await sampleKitchen(page, '/log');
  const count = page.locator('.count');
  await expect(count).toHaveText('24');
  await page.getByLabel('Find a bake').fill('muffins soapy');
  await expect(count).toHaveText('2 of 24');
  await page.getByLabel('Find a bake').fill('no such thing');
  await expect(page.getByText('No bake is like that.')).toBeVisible();
  await page.getByLabel('Find a bake').fill('');
  await page.getByRole('button', { name: 'what went wrong', exact: true }).click();
  await expect(count).not.toHaveText('24');
  await page.getByRole('button', { name: 'what went wrong', exact: true }).click();

  // a time that is an hour too long is asked about, and put right with one press
  const slip = bakeLines(page).filter({ hasText: 'is that right?' });
  await expect(slip).toContainText('93 min');
  await slip.click();
  await sheet(page)
    .getByRole('alert')
    .getByRole('button', { name: /it was \d+ min/ })
    .click();
  await expect(bakeLines(page).filter({ hasText: 'is that right?' })).toHaveCount(0);

  // one that is left out teaches nothing; one that is removed comes back
  await expect(page.getByText(/from 23 bakes/)).toBeVisible();
  await opened(page, 'Wholemeal seeded soda loaf');
  await sheet(page).getByRole('button', { name: 'do not learn from it' }).click();
  await expect(page.getByText(/from 22 bakes/)).toBeVisible();
  await sheet(page).getByRole('button', { name: 'remove' }).click();
  await expect(count).toHaveText('23');
  await page.getByRole('button', { name: 'put it back' }).click();
  await expect(count).toHaveText('24');
  // back, away and left out are three steps
  for (const n of ['23', '24']) {
    await page.keyboard.press('Control+z');
    await expect(count).toHaveText(n);
  }
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/from 23 bakes/)).toBeVisible();

  // side by side: formula, making, outcome
  await goTo(page, '/log?bake=demo-3');
  await sheet(page).getByRole('button', { name: 'beside another…' }).click();
  await page.getByLabel('Find a bake').fill('gingerbread');
  await bakeLines(page).filter({ hasText: 'Stands now, and no soap' }).click();
  const both = page.getByRole('article', { name: 'Two bakes side by side' });
  await expect(both).toContainText(/Baking soda 6\.3 → 3\.8 g/);
  await expect(both.getByRole('row', { name: /wrong/ })).toContainText('soapy');
  await page.getByLabel('Find a bake').fill('');
  await page.locator('h1').click();
  await page.keyboard.press('Escape');
  await expect(both).toHaveCount(0);

  // the keyboard goes up and down
  await page.keyboard.press('ArrowDown');
  await expect(page).toHaveURL(/bake=demo-2$/);
  expect(wrong).toEqual([]);
});

test('what it taught is drawn, can be learned anew, and every view foretells by it', async ({ page }) => {
  await sampleKitchen(page, '/log?part=taught');
  await expect(page.getByRole('heading', { name: /Runs about \d+ °C hot/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'What it was worth' })).toContainText('before learning');
  const told = async (): Promise<string> => {
    await goTo(page, '/tins/cardamom-yogurt-round');
    await expect(page.locator('p.minutes')).toBeVisible();
    return (await page.locator('p.minutes').textContent()) ?? '';
  };
  await goTo(page, '/tins/cardamom-yogurt-round');
  await expect(page.getByText(/Your big oven runs about \d+ °C hot, from \d+ bakes/)).toBeVisible();
  // the top rack is hotter still, and the one bake there says so
  await page.getByRole('button', { name: 'change', exact: true }).click();
  await page.getByLabel('Where it stands in the oven').selectOption('top');
  await expect(page.getByText(/Your big oven runs about 1\d °C hot/)).toBeVisible();
  await page.getByLabel('Where it stands in the oven').selectOption('middle');
  await expect(page.getByText(/Your big oven runs about \d °C hot/)).toBeVisible();
  const learned = await told();
  await larder(page, 'Kit and measures');
  await expect(page.getByRole('link', { name: /in all \+\d+ °C, from \d+ bakes/ })).toBeVisible();
  await goTo(page, '/log?part=taught');
  await page.getByRole('button', { name: 'it was mended: learn it anew' }).first().click();
  await expect(page.getByText('Nothing logged in it yet.')).toBeVisible();
  await expect.poll(told).not.toBe(learned);
  await goTo(page, '/log?part=taught');
  await page.getByRole('button', { name: 'count the older bakes again' }).click();
  await expect(page.getByRole('heading', { name: /Runs about \d+ °C hot/ })).toBeVisible();
  await goTo(page, '/log/cardamom-yogurt-round?part=pictures');
  await expect(page.getByRole('img', { name: /bakes, time taken against/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /Marks of \d+ bakes/ })).toBeVisible();
});

test('photos are made small, travel in the backup, and come back into a kitchen of their own', async ({
  page,
}, info) => {
  const wrong = complaints(page);
  await sampleKitchen(page, '/log?bake=demo-7');
  const photo = await camera(page);
  await sheet(page)
    .locator('input[type=file]')
    .setInputFiles({ name: 'crumb.png', mimeType: 'image/png', buffer: photo });
  await expect(sheet(page).locator('figure img')).toBeVisible();
  const kept = await sheet(page).locator('figure img').evaluate((i: HTMLImageElement) => [i.naturalWidth, i.naturalHeight]); // prettier-ignore
  expect(kept).toEqual([1400, 1050]);
  await sheet(page).locator('input[type=file]').setInputFiles({ name: 'cake.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture at all') }); // prettier-ignore
  await expect(page.getByText('“cake.jpg” could not be read as a picture.')).toBeVisible();
  await sheet(page).getByLabel('Notes').fill('Cut at noon.');
  await sheet(page).getByLabel('Notes').press('Tab');

  await larder(page, 'Your data');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'back up everything' }).click();
  const zip = info.outputPath('all.zip');
  await (await waiting).saveAs(zip);
  const choose = page.locator('orvin-own-data input[type=file]');

  // what is no backup, or a broken one, changes nothing
  await choose.setInputFiles({ name: 'other.zip', mimeType: 'application/zip', buffer: Buffer.from('PK no zip') });
  await expect(page.getByText('This zip file breaks off or is damaged.')).toBeVisible();
  await expect(page.getByText('open, the sample')).toBeVisible();

  await choose.setInputFiles(zip);
  await expect(page.getByText(/Hollin Lane is restored, with 9 photos/)).toBeVisible();
  await goTo(page, '/log?bake=demo-7');
  await expect(sheet(page).getByLabel('Notes')).toHaveValue('Cut at noon.');
  await expect(sheet(page).locator('figure img')).toBeVisible();
  const widthBack = () =>
    sheet(page)
      .locator('figure img')
      .evaluate((i: HTMLImageElement) => i.naturalWidth);
  await expect.poll(widthBack).toBe(1400);
  // the kitchen it came from is still there, untouched
  await larder(page, 'Your data');
  await expect(page.getByRole('button', { name: 'open Hollin Lane' })).toBeVisible();
  expect(wrong).toEqual([]);
});

test('a series of small batches is planned, tasted blind, and says what it can', async ({ page }) => {
  const wrong = complaints(page);
  await sampleKitchen(page, '/log/parsnip-and-ginger-muffins?part=series');
  await page.getByRole('button', { name: /plan 2 batches/ }).click();
  await expect(page.getByRole('alert')).toContainText('Choose the ingredient');
  await page.getByLabel('Ingredient').selectOption({ label: 'Light brown sugar' });
  await page.getByRole('button', { name: /plan 2 batches/ }).click();
  const table = page.locator('orvin-series article');
  await expect(table.locator('.bakeIt .tag')).toHaveCount(2);
  const labels = await table.locator('.bakeIt .tag').allTextContents();
  for (const name of ['Ada', 'Bo', 'Cy', 'Di', 'Em', 'Flo']) {
    await page.getByPlaceholder('who tastes').fill(name);
    await page.getByRole('button', { name: 'add a taster' }).click();
    for (const [i, label] of labels.entries())
      await page
        .getByRole('group', { name: `${name}, ${label}` })
        .getByRole('button')
        .nth(i === 0 ? 7 : 3)
        .click();
  }
  await expect(table.locator('.likes [aria-pressed=true]')).toHaveCount(12);
  await reload(page);
  await page.getByRole('button', { name: /Parsnip and ginger muffins.*6 tasters/ }).click();
  await page.getByRole('button', { name: 'open the labels' }).click();
  await expect(table.locator('.result h3')).toContainText(/liked better/);
  await expect(table.locator('.likes button').first()).toBeDisabled();
  expect(wrong).toEqual([]);
});

test('shopping is what the bakes take less what is there; the stock follows the log', async ({ page }) => {
  const wrong = complaints(page);
  await sampleKitchen(page);
  await larder(page, 'Shopping');
  await page.getByLabel('Add a bake').selectOption({ label: 'Cheese and thyme scones' });
  await page.getByLabel('Add a bake').selectOption({ label: 'Rye and pear loaf' });
  const list = page.getByRole('region', { name: 'Shopping list' });
  await expect(list.getByRole('checkbox', { name: /Buttermilk.*Cheese and thyme scones 150 g, Rye and pear loaf 160 g/ })).toBeVisible(); // prettier-ignore
  await page.getByRole('button', { name: 'More of Rye and pear loaf' }).click();
  await expect(list.getByRole('checkbox', { name: /Buttermilk.*Rye and pear loaf 320 g/ })).toBeVisible();
  await list.getByRole('checkbox', { name: /Buttermilk/ }).check();
  await page.getByRole('button', { name: 'put the basket away' }).click();
  await expect(list.getByRole('checkbox', { name: /Buttermilk/ })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Undo empty the basket' })).toBeEnabled();
  await reload(page);
  await expect(page.getByText('2 ×')).toBeVisible();
  await expect(list.getByRole('checkbox', { name: /Buttermilk/ })).toHaveCount(0);

  // a bake takes from the stock, and gives it back when it leaves the log
  const butter = async (): Promise<string> => {
    await larder(page, 'Ingredients');
    await page.getByRole('button', { name: /^Buttermilk/ }).click();
    return page.getByLabel('in stock').inputValue();
  };
  await expect.poll(butter).toBe('500 g');
  await goTo(page, '/log/rye-and-pear-loaf');
  await expect(page.getByText(/min foretold/)).toBeVisible();
  await page.getByLabel('Minutes in the oven').fill('62');
  await page.getByRole('button', { name: 'log it' }).click();
  await expect(sheet(page).getByRole('heading', { level: 2 })).toContainText('Rye and pear loaf');
  await expect.poll(butter).toBe('340 g');
  await hang(page, 'Log');
  await page.keyboard.press('Control+z');
  await expect.poll(butter).toBe('500 g');
  expect(wrong).toEqual([]);
});

test('a label lists what is in it, what may be, and leaves the law to the place', async ({ page }) => {
  await sampleKitchen(page, '/bench/parsnip-and-ginger-muffins');
  await page.getByRole('link', { name: /kcal each/ }).click();
  const label = page.getByRole('region', { name: 'Label for a stall' });
  await expect(label).toContainText('Contains: egg, gluten, milk, wheat.');
  await expect(label).toContainText('local food law');
  await page.getByRole('button', { name: 'sesame' }).click();
  await expect(label).toContainText('May contain: sesame.');
  await expect(page.getByRole('button', { name: 'Undo may contain sesame' })).toBeEnabled();
  await reload(page);
  await expect(label).toContainText('May contain: sesame.');
  await expect(page.getByRole('region', { name: 'Cost' })).toContainText(/€\d\.\d\d the batch, €0\.\d\d each/);
  await expect(page.getByRole('region', { name: 'Nutrition' }).getByRole('row', { name: /kcal/ })).toContainText(/[23]\d\d kcal/); // prettier-ignore
});
