import { expect, test } from './src/test';
import { complaints, gramsField, reload, sampleKitchen } from './src/steps';
import { printed } from './pictures/print';

const card = `Caraway supper loaf

350 g plain flour
2½ tsp baking powder
90 g butter
80 g caster sugar
2 eggs
180 ml milk
2 tsp caraway seeds

Rub the butter into the flour and baking powder.
Stir in everything else. Bake in a 2 lb loaf tin
at 180°C for 50 minutes.`;

test('a picture of a card is read on this device, kept beside its sheet over a reload, and settled from its strips', async ({
  browser,
  page,
}) => {
  const wrong = complaints(page);
  const asked: string[] = [];
  page.on('request', (r) => asked.push(new URL(r.url()).origin));
  const studio = await browser.newPage({ deviceScaleFactor: 2 });
  const buffer = await printed(studio, card, { name: 'typewriter', face: 'type', size: 19 });
  await studio.close();
  await sampleKitchen(page);
  await page.getByLabel('from a picture').setInputFiles({ name: 'card.png', mimeType: 'image/png', buffer });
  await expect(page.getByRole('heading', { level: 1, name: 'Caraway supper loaf' })).toBeVisible();
  await expect(page.getByText('7 ingredients')).toBeVisible();
  // nothing was asked of anyone but Orvin itself; pictures are blobs of this page
  expect([...new Set(asked.filter((o) => o !== 'null'))]).toEqual([new URL(page.url()).origin]);

  const note = page.getByRole('group', { name: /The picture is hard to read at “2½ tsp”|at “2. tsp”/ });
  await expect(note.getByRole('img', { name: 'The line in the picture' })).toBeVisible();
  await reload(page);
  await expect(page.getByRole('img', { name: 'The picture', exact: true })).toBeVisible();
  await note.getByRole('button', { name: /^2½ tsp/ }).click();
  await expect(note).toBeHidden();

  // a place in the picture leads to its line
  const place = page.locator('.place').nth(2);
  await place.click();
  await expect(page.locator('.line.lit')).toContainText('2½ tsp baking powder');

  // a line put right by hand is sure, and the rest stays
  await page.getByText('caster sugar', { exact: true }).last().hover();
  await page.getByRole('button', { name: 'Correct: 80 g caster sugar' }).click();
  await page.getByLabel('The line as it should read').fill('85 g caster sugar');
  // straight on: what was typed is not left behind
  await page.getByRole('button', { name: /^to the bench/ }).click();
  await expect(gramsField(page, 'Plain flour')).toHaveValue('350');
  await expect(gramsField(page, 'Caster sugar')).toHaveValue('85');
  expect(wrong).toEqual([]);
});

test('what is no picture, and a picture without print, are said to be so', async ({ page }) => {
  await sampleKitchen(page);
  const choose = page.getByLabel('from a picture');
  await choose.setInputFiles({ name: 'card.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') });
  await expect(page.getByText('“card.png” could not be read as a picture.')).toBeVisible();
  const blank = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    canvas.width = 900;
    canvas.height = 600;
    return canvas.toDataURL('image/png').split(',')[1] ?? '';
  });
  await choose.setInputFiles({ name: 'blank.png', mimeType: 'image/png', buffer: Buffer.from(blank, 'base64') });
  await expect(page.getByText('No print was found in this picture.')).toBeVisible();
  await expect(page.getByRole('heading', { level: 1, name: 'On the shelf' })).toBeVisible();
});
