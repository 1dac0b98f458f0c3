import { expect, test } from './src/test';
import { breath, go, now, onTo, toTheEnd } from './src/at-counter';
import { complaints, goTo, sampleKitchen } from './src/steps';

test('a bake that was begun is stopped, gone on with, begun anew, and leaves the day once it is in the log', async ({
  page,
}) => {
  test.slow();
  const wrong = complaints(page);
  await page.clock.install({ time: new Date('2026-05-09T08:00:00Z') });
  await sampleKitchen(page, '/counter/cheese-and-thyme-scones');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(go(page)).toBeVisible();
  const first = await now(page).locator('h1').textContent();
  await breath(page);
  await go(page).click();
  await expect(now(page).locator('h1')).not.toHaveText(first ?? '');
  const second = (await now(page).locator('h1').textContent()) ?? '';

  // stopped, and had back where it was
  await breath(page);
  await page.getByRole('button', { name: 'stop this bake…' }).click();
  await expect(now(page)).toContainText('Nothing of it goes into the log.');
  await breath(page);
  await page.getByRole('button', { name: 'stop it' }).click();
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
  await page.getByRole('button', { name: 'go on with it' }).click();
  await expect(now(page).locator('h1')).toHaveText(second);

  // it is offered from anywhere, and from the shelf
  await goTo(page, '/shelf');
  await expect(page.getByText('Being made: Cheese and thyme scones.')).toBeVisible();
  await page.getByRole('link', { name: 'go on at the counter' }).click();
  await expect(now(page).locator('h1')).toHaveText(second);

  // begun anew from its first step
  await breath(page);
  await page.getByRole('button', { name: 'stop this bake…' }).click();
  await breath(page);
  await page.getByRole('button', { name: 'start it again' }).click();
  await expect(now(page).locator('h1')).toHaveText(first ?? '');

  // once it is logged nothing is planned any more, and it can be made again
  await onTo(page, /^\s*Bake at|Into the oven/);
  await toTheEnd(page);
  await expect(page.getByText('has been made, and nothing else is planned.')).toBeVisible();
  await goTo(page, '/day/cheese-and-thyme-scones');
  await expect(page.getByRole('heading', { name: 'Nothing is planned' })).toBeVisible();
  await page.getByRole('button', { name: 'plan Cheese and thyme scones' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Ready today/);
  expect(wrong).toEqual([]);
});
