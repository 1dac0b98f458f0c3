import { expect, test } from './src/test';
import { barriers } from './src/axe';
import { complaints, goTo, ownKitchen, reload, sampleKitchen, settled } from './src/steps';

test('a formula goes into a link and comes out of it whole, in another kitchen; a torn link says so', async ({
  page,
  context,
}) => {
  const wrong = complaints(page);
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await sampleKitchen(page, '/card/cardamom-yogurt-round');
  await page.getByRole('button', { name: 'copy a link' }).click();
  await expect(page.getByText('The link is copied; it holds the whole formula.')).toBeVisible();
  const link = await page.evaluate(() => navigator.clipboard.readText());
  await page.getByRole('button', { name: 'show a code' }).click();
  await expect(page.getByRole('img', { name: 'A code that holds Cardamom yogurt round' })).toBeVisible();
  const drawn = page.waitForEvent('download');
  await page.getByRole('button', { name: 'save as a picture' }).click();
  expect((await drawn).suggestedFilename()).toBe('cardamom-yogurt-round.png');
  expect(await barriers(page)).toEqual([]);

  // whoever opens it sees it in their own measures before it is on their shelf
  await goTo(page, '/own');
  await ownKitchen(page, 'United States', ['9 × 2 in round']);
  const asked: string[] = [];
  page.on('request', (r) => asked.push(r.url()));
  await page.goto(link);
  await expect(page.getByRole('heading', { name: 'Cardamom yogurt round' })).toBeVisible();
  await page.getByRole('button', { name: 'to the bench' }).click();
  await settled(page);
  await expect(page.locator('orvin-row')).toHaveCount(11);
  await expect(page.locator('orvin-row').filter({ hasText: 'All-purpose flour' }).locator('input')).toHaveValue('8.82');
  expect(asked.some((url) => url.includes('f1.'))).toBe(false);

  await page.goto('/shelf');
  await page.goto(link.slice(0, -50));
  await expect(page.getByRole('alert')).toContainText('Part of this link is missing');
  expect(wrong).toEqual([]);
});

test('all twelve exercises can be got right, by light and dim, and are remembered', async ({ page }) => {
  const wrong = complaints(page);
  await sampleKitchen(page);
  await page.getByRole('link', { name: 'Learn by trying' }).click();
  const list = page.getByRole('list', { name: 'Exercises' }).getByRole('button');
  await expect(list).toHaveCount(12);
  for (let n = 0; n < 12; n++) {
    await list.nth(n).click();
    await expect(page.locator('.one > h2')).toHaveText(
      ((await list.nth(n).textContent()) ?? '').replace(', got right', '').trim(),
    );
    const choices = page.locator('.choice');
    await expect(choices.first()).toBeVisible();
    if (n === 0) expect(await barriers(page)).toEqual([]);
    for (let i = 0; (await page.getByText('Right.', { exact: true }).count()) === 0; i++) {
      await choices.nth(i).click();
      await expect(choices.nth(i)).toHaveAttribute('aria-pressed', 'true');
    }
  }
  await expect(page.getByText('12 of 12 got right.')).toBeVisible();
  await expect(page.getByText('That was the last of them.')).toBeVisible();
  await reload(page);
  await expect(page.getByText('12 of 12 got right.')).toBeVisible();
  expect(wrong).toEqual([]);
});
