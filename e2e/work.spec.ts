import type { Page } from '@playwright/test';
import { onTo, toTheEnd } from './src/at-counter';
import { expect, test } from './src/test';
import { bakeLines, complaints, goTo, hang, paste, reload, sampleKitchen, stored } from './src/steps';

test.use({ alone: true });

const round = `Barley soda round
350 g plain flour
100 g barley flour
1 tsp bicarbonate of soda
1 tsp salt
40 g butter
300 ml buttermilk
60 g strong cheddar, grated

Heat the oven to 210C. Mix the flours, soda and salt and rub in the butter. Add two thirds of the cheese. Pour in the buttermilk and bring it together with one hand. Shape it into a round, put it on a floured tray and let it stand for 10 minutes. Cut a deep cross, scatter with the rest of the cheese. Cover with foil and bake for 20 minutes, take the foil off and bake for 15 minutes more. Wrap in a cloth and leave for half an hour.`;

const fruitCake = `Cake for the new year
225 g butter
225 g dark brown sugar
4 eggs
225 g plain flour
1 tsp mixed spice
600 g mixed dried fruit
100 ml brandy

The day before, put the fruit in a bowl with the brandy, cover and leave overnight. Next day heat the oven to 150C and line a deep 20 cm round tin with double paper. Cream the butter and sugar. Beat in the eggs one by one. Fold in the flour and spice, then the fruit. Spoon into the tin and level the top. Bake for 2 hours 45 minutes. Cool in the tin. Wrap in paper and foil and feed with a tablespoon of brandy once a week for four weeks.`;

const biscuits = `Chive biscuits, half for the freezer
300 g plain flour
1 tbsp baking powder
1 tsp salt
90 g cold butter
2 tbsp chopped chives
220 ml milk

Whisk the flour, baking powder and salt. Rub in the butter. Stir in the chives and the milk. Pat to 2 cm thick and cut 12 squares of 6 cm. Freeze half of them on a tray, then bag them. Set the others on a lined sheet and chill for 15 minutes. Brush with a little milk. Bake at 220C for 14 minutes. From frozen, bake at 200C for 20 minutes.`;

const scones = `Seedy scones, glazed
400 g self-raising flour
1 tsp baking powder
80 g butter
50 g caster sugar
1 egg
180 ml milk
1 tbsp poppy seeds

Heat the oven to 220C and dust a tray. Beat the egg with the milk and keep back two tablespoons of it. Rub the butter into the flour and baking powder, then stir in the sugar and the seeds. Pour in the rest of the egg and milk and bring it together with a knife. Roll out to 2.5 cm and cut 8 rounds of 6 cm. Gather up the scraps, re-roll them once and cut 3 more. Brush the tops with what was kept back. Bake for 13 minutes.`;

const loaf = `Oat and treacle loaf
300 g plain flour
100 g rolled oats
2 tsp baking powder
1/2 tsp bicarbonate of soda
60 g black treacle
2 eggs
250 ml buttermilk
50 g butter, melted

Heat the oven to 180C and line a 2 lb loaf tin. Stir the dry things together. Whisk the eggs, buttermilk, treacle and butter and fold them in. Scrape into the tin. Cover with foil and bake for 30 minutes. Take the foil off, turn the tin round and bake for 20 minutes more. Cool in the tin for 10 minutes, then turn out.`;

const piece = (page: Page, words: RegExp) => page.locator('orvin-work-strip .piece').filter({ hasText: words }); // eslint-disable-line @typescript-eslint/explicit-function-return-type
const zone = (page: Page, name: string) => page.locator('orvin-work-strip').getByRole('region', { name }); // eslint-disable-line @typescript-eslint/explicit-function-return-type

test('a crossed and rested round under foil is read in its order, put right by keys, and made in it', async ({
  page,
}) => {
  test.slow();
  const wrong = complaints(page);
  await page.clock.install({ time: new Date('2026-05-09T08:00:00Z') });
  await sampleKitchen(page);
  await paste(page, round);
  // the cross comes before the oven, with the rest of the cheese; the foil comes off in it
  await expect(zone(page, 'Before the oven').locator('.verb')).toContainText(['rest', 'score', 'sprinkle', 'cover']);
  await expect(piece(page, /^sprinkle/)).toContainText('rest Hard cheese');
  await expect(zone(page, 'In the oven').locator('.verb')).toContainText(['bake', 'uncover', 'bake']);
  // put elsewhere by keys, and kept over a reload
  await piece(page, /^cover/).focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(
    zone(page, 'In the oven')
      .locator('.piece')
      .filter({ hasText: /^cover/ }),
  ).toBeFocused();
  await reload(page);
  await expect(
    zone(page, 'In the oven')
      .locator('.piece')
      .filter({ hasText: /^cover/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'to the bench' }).click();
  await expect(page.locator('orvin-row').first()).toBeVisible();
  // on the Bench it is a change like any other
  await page.getByRole('button', { name: /^Scatter with the rest of the cheese|^scatter with/i }).focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await stored(page);
  await page.keyboard.press('Control+z');
  // the method's own words are re-read as they are changed
  await page.getByRole('button', { name: 'change the words' }).click();
  const words = page.getByLabel('The method, a line a step');
  await words.fill((await words.inputValue()).replace('let it stand for 10 minutes', 'let it stand for 15 minutes'));
  await words.blur();
  await expect(piece(page, /^rest/).first()).toContainText('15 min');
  await hang(page, 'Counter');
  await page.getByRole('button', { name: 'Begin' }).click();
  // each comes after the one before it
  for (const what of [
    /Mix the flours/i,
    /rub in the butter/i,
    /Shape it/i,
    /stand for 15 minutes/i,
    /deep cross/i,
    /Scatter with the rest/i,
    /Cover with foil/i,
  ])
    // prettier-ignore
    await onTo(page, what);
  // what was put into the oven by hand is asked for at its door
  await onTo(page, /cover with foil/i);
  expect(wrong).toEqual([]);
});

test('a fed fruit cake over weeks and a frozen half a week later stand in the days after', async ({ page }) => {
  const wrong = complaints(page);
  await page.clock.install({ time: new Date('2026-05-09T08:00:00Z') });
  await sampleKitchen(page);
  for (const [text, says] of [
    [fruitCake, /Feed Cake for the new year/],
    [biscuits, /the other 6 .* from the freezer/],
  ] as const) {
    await goTo(page, '/shelf');
    await paste(page, text);
    await page.getByRole('button', { name: /to the bench/ }).click();
    await expect(page.locator('orvin-row').first()).toBeVisible();
    await hang(page, 'Day');
    await expect(page.getByText(says).first()).toBeVisible();
  }
  await expect(page.getByText(/chill for 15 minutes/i).first()).toBeVisible();
  expect(wrong).toEqual([]);
});

for (const [what, text, before, steps] of [
  [
    'scones that are rolled again and glazed with what was kept back',
    scones,
    ['roll', 'cut', 'roll', 'cut', 'brush'],
    [/Beat the egg/i, /Rub the butter/i, /Roll out/i, /re-roll/i, /Brush the tops/i, /^\s*Bake at/],
  ],
  [
    'a loaf under foil, then bare and turned',
    loaf,
    ['line', 'fill', 'cover'],
    [
      /Stir the dry/i,
      /Whisk the eggs/i,
      /Scrape into/i,
      /Cover with foil/i,
      /^\s*Bake at/,
      /take the foil off/i,
      /turn the tin round/i,
    ],
  ],
] as const)
  test(`${what}: read in order, and made in it`, async ({ page }) => {
    test.slow();
    const wrong = complaints(page);
    await page.clock.install({ time: new Date('2026-05-09T08:00:00Z') });
    await sampleKitchen(page);
    await paste(page, text);
    await expect(zone(page, 'Before the oven').locator('.verb')).toContainText([...before]);
    await page.getByRole('button', { name: /to the bench/ }).click();
    await expect(page.locator('orvin-row').first()).toBeVisible();
    await hang(page, 'Counter');
    await page.getByRole('button', { name: 'Begin' }).click();
    for (const step of steps) await onTo(page, step);
    expect(wrong).toEqual([]);
  });

const drops = `Oat drops on two trays
250 g plain flour
2 tsp baking powder
100 g rolled oats
120 g butter, melted
110 g light brown sugar
2 eggs
80 ml milk

Heat the oven to 190C and line two trays. Stir the flour, baking powder, oats and sugar together. Whisk the eggs, milk and butter and stir them in. Drop 20 heaped spoonfuls on the trays. Bake one tray for 14 minutes; keep the other in the fridge meanwhile. Then bake the second. Cool on a rack for 15 minutes.`;

test('two trays go in one after the other, each with its own time and bell', async ({ page }) => {
  test.slow();
  const wrong = complaints(page);
  await page.clock.install({ time: new Date('2026-05-09T08:00:00Z') });
  await sampleKitchen(page);
  await paste(page, drops);
  await page.getByRole('button', { name: /to the bench/ }).click();
  await expect(page.locator('orvin-row').first()).toBeVisible();
  await hang(page, 'Day');
  await expect(page.getByText('Into the oven: the second tray').first()).toBeVisible();
  await hang(page, 'Counter');
  await page.getByRole('button', { name: 'Begin' }).click();
  await onTo(page, /10 of the 20 go in/);
  await onTo(page, /^\s*Bake at/);
  await onTo(page, /the other 10 go in/);
  await onTo(page, /Bake the second tray at/);
  // after a reload it is still the second one that bakes
  await reload(page);
  await onTo(page, /Bake the second tray at/);
  await toTheEnd(page);
  expect(wrong).toEqual([]);
});

test('half is baked, and what was frozen a week later', async ({ page }) => {
  test.slow();
  const wrong = complaints(page);
  await page.clock.install({ time: new Date('2026-05-09T08:00:00Z') });
  await sampleKitchen(page);
  await paste(page, biscuits);
  await page.getByRole('button', { name: /to the bench/ }).click();
  await expect(page.locator('orvin-row').first()).toBeVisible();
  await hang(page, 'Counter');
  await page.getByRole('button', { name: 'Begin' }).click();
  await onTo(page, /Freeze half of them/);
  await onTo(page, /6 go in, 6 stay in the freezer/);
  await toTheEnd(page);
  await page.clock.fastForward(7 * 24 * 3_600_000);
  await hang(page, 'Day');
  await page.getByRole('button', { name: 'bake those now' }).click();
  await expect(page.getByRole('button', { name: 'make it fresh instead' })).toBeVisible();
  await expect(page.getByText(/Weigh everything out/)).toHaveCount(0);
  await hang(page, 'Counter');
  await page.getByRole('button', { name: 'Begin' }).click();
  await onTo(page, /The 6 from the freezer onto the tray/);
  await onTo(page, /^\s*Bake at/);
  await toTheEnd(page);
  // the log has both, and that the second came from the freezer
  await hang(page, 'Log');
  await bakeLines(page).filter({ hasText: 'Chive biscuits' }).first().click();
  await expect(page.getByText(/from the freezer, so nothing is learned of the oven/)).toBeVisible();
  // made anew, it is fresh again when one says so
  await hang(page, 'Day');
  await page.getByRole('button', { name: /^plan Chive biscuits/ }).click();
  await page.getByRole('button', { name: 'make it fresh instead' }).click();
  await expect(page.getByText(/Weigh everything out/).first()).toBeVisible();
  expect(wrong).toEqual([]);
});
