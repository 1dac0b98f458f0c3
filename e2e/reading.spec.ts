import { readFile } from 'node:fs/promises';
import { expect, test } from './src/test';
import { complaints, emptyKitchen, gramsField, hang, paste, reload, sampleKitchen } from './src/steps';

test('a proof sheet is corrected: doubts settled, a line mended, a press taken back, and all of it kept over a reload', async ({
  page,
}) => {
  const wrong = complaints(page);
  await sampleKitchen(page);
  await paste(
    page,
    'Ginger cups\n\n2 cups (180 g) plain flour\n2 tsp baking powder\n1/2 cup oil or melted butter\n2 tsp ground ginjer\n2 eggs\n150 ml milk\n100 g sugar\n\nBake at 190C for 20 minutes in a 12-hole muffin tin.',
  );
  await expect(page.getByRole('status').filter({ hasText: '3 places are in doubt' })).toBeVisible();
  await page.getByRole('button', { name: '180 g, as weighed' }).click();
  // the next open place is under the finger
  await expect(page.getByRole('button', { name: 'Neutral oil' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'One place is in doubt' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('status').filter({ hasText: '2 places' })).toBeVisible();
  await page.getByRole('button', { name: 'Neutral oil' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'One place is in doubt' })).toBeVisible();
  await reload(page);
  await expect(page.getByRole('status').filter({ hasText: 'One place is in doubt' })).toBeVisible();
  await page.getByText('ground ginjer', { exact: true }).hover();
  await page.getByRole('button', { name: 'Correct: 2 tsp ground ginjer' }).click();
  await page.getByLabel('The line as it should read').fill('2 tsp ground ginger');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Nothing left in doubt')).toBeVisible();
  await page.getByRole('button', { name: 'to the bench' }).click();
  await expect(gramsField(page, 'Plain flour')).toHaveValue('180');
  await expect(gramsField(page, 'Ginger, ground')).not.toHaveValue('0');
  expect(wrong).toEqual([]);
});

test('a page is read without being run, and a thrown-away sheet can be taken back', async ({ page }) => {
  const wrong = complaints(page);
  let asked = false;
  await page.route('**/never.example/**', (route) => {
    asked = true;
    return route.abort();
  });
  await sampleKitchen(page);
  await paste(
    page,
    '<html><body><script>document.title="taken"</script><img src="http://never.example/x.png" onerror="document.title=\'taken\'"><h1>Plum squares</h1><ul><li>200 g plain flour</li><li>2 tsp baking powder</li><li>120 g butter</li><li>120 g sugar</li><li>2 eggs</li><li>100 ml milk</li></ul><p>Bake at 180&deg;C for 30 minutes in a 20 cm square tin.</p></body></html>',
  );
  await expect(page.getByRole('heading', { level: 1, name: 'Plum squares' })).toBeVisible();
  await expect(page.getByText('6 ingredients')).toBeVisible();
  expect(await page.title()).not.toBe('taken');
  await page.getByRole('button', { name: 'throw it away' }).click();
  await page.getByRole('button', { name: 'take it back' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Plum squares' })).toBeVisible();
  expect(asked).toBe(false);
  expect(wrong).toEqual([]);
});

test('several files at once: the clear ones stand on the shelf, the doubtful ones wait to be gone through', async ({
  page,
}) => {
  await emptyKitchen(page);
  await hang(page, 'Shelf');
  const clear = (n: number): string =>
    `Plain scones ${n}\n300 g plain flour\n60 g butter\n150 ml milk\n12 g baking powder\nBake at 210 °C for 14 minutes.`;
  const ld = {
    '@type': 'Recipe',
    name: 'Table oat cups',
    recipeIngredient: [
      '100 g oats',
      '180 g plain flour',
      '2 tsp baking powder',
      '2 eggs',
      '200 ml milk',
      '80 g sugar',
      '60 ml oil',
    ],
    recipeInstructions: 'Stir all the ingredients together. Bake at 190 °C for 20 minutes in a muffin tin.',
  };
  await page.getByLabel('open files').setInputFiles([
    { name: 'many.txt', mimeType: 'text/plain', buffer: Buffer.from([1, 2, 3, 4].map(clear).join('\n-----\n')) },
    { name: 'oats.jsonld', mimeType: 'application/ld+json', buffer: Buffer.from(JSON.stringify([ld, ld])) },
    { name: 'doubt.txt', mimeType: 'text/plain', buffer: Buffer.from(clear(9).replace('60 g butter', '60 g buttter')) },
  ]);
  await expect(page.getByRole('heading', { name: '7 recipes read' })).toBeVisible();
  await expect(page.getByText('One recipe waits')).toBeVisible();
  await page.getByRole('button', { name: 'good' }).click();
  await expect(page.getByRole('link', { name: /Plain scones/ })).toHaveCount(4);
  await reload(page);
  await page.getByRole('button', { name: 'go through them' }).click();
  await page.getByRole('button', { name: 'Butter, unsalted' }).first().click();
  await page.getByRole('button', { name: 'to the shelf, next' }).click();
  await expect(page.getByText('That was the last of the pile.')).toBeVisible();
  await expect(page.getByRole('link', { name: /Plain scones/ })).toHaveCount(5);
});

test('a card is one page on A5 and A6, and every format it can be saved in is read back alike', async ({ page }) => {
  await sampleKitchen(page);
  await page.goto('/bench/rye-and-pear-loaf');
  await page.getByRole('link', { name: 'card', exact: true }).click();
  const card = page.getByRole('article', { name: 'Card: Rye and pear loaf' });
  await expect(card.getByText('150 g')).toBeVisible();
  await expect(card.getByText(/Contains .*walnut/)).toBeVisible();
  for (const size of ['A5', 'A6']) {
    await page.getByRole('button', { name: size }).click();
    await expect(page.locator('.paper')).toHaveClass(new RegExp(size.toLowerCase()));
    await expect(page.getByText(/One page, [\d.]+ point/)).toBeVisible();
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b/g)?.length).toBe(1);
    const [, w] = /\/MediaBox\s*\[\s*0 0 ([\d.]+)/.exec(pdf) ?? [];
    expect(Math.round((Number(w) / 72) * 25.4)).toBe(size === 'A5' ? 148 : 105);
  }
  for (const format of ['plain text', 'Markdown', 'table (CSV)', 'schema.org JSON-LD']) {
    await page.goto('/card/rye-and-pear-loaf');
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name: format }).click();
    const path = await (await waiting).path();
    await hang(page, 'Shelf');
    await page.getByLabel('open files').setInputFiles({
      name: 'card.txt',
      mimeType: 'text/plain',
      buffer: await readFile(path),
    });
    await expect(page.getByRole('heading', { level: 1, name: 'Rye and pear loaf' })).toBeVisible();
    await expect(page.getByText('12 ingredients')).toBeVisible();
    await expect(page.getByText('Nothing left in doubt')).toBeVisible();
    await expect(page.getByText('makes 12 slices')).toBeVisible();
    await page.getByRole('button', { name: 'throw it away' }).click();
  }
});
