import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './src/test';
import { bothIntoOven, go, onTo, toTheEnd } from './src/at-counter';
import { bakeLines, complaints, goTo, hang, reload, sampleKitchen } from './src/steps';

test.use({ alone: true });

async function bakeMuffinsToo(page: Page): Promise<void> {
  await page.getByRole('combobox', { name: 'Bake something else too' }).click();
  await page.getByRole('option', { name: 'Parsnip and ginger muffins' }).click();
}
async function twoBakes(page: Page): Promise<void> {
  await goTo(page, '/day/cheese-and-thyme-scones');
  await expect(page.getByRole('region', { name: 'The day, drawn by the hour' })).toBeVisible();
  await bakeMuffinsToo(page);
  await expect(page.locator('.who a')).toHaveText(['Cheese and thyme scones', 'Parsnip and ginger muffins']);
}

test('two bakes in one oven by hand, from the plan to the log', async ({ page }) => {
  test.slow();
  const wrong = complaints(page);
  await page.clock.install({ time: new Date('2026-05-09T08:00:00Z') });
  await sampleKitchen(page);
  await twoBakes(page);
  // the times of both stand below one another, hands never in two places
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Ready today at/);
  await hang(page, 'Counter');
  await expect(page.locator('.start ul:not(.mind) li')).toHaveCount(2);
  await page.getByRole('button', { name: 'Begin' }).click();

  // the first line weighed is too much: the rest grows with it
  await onTo(page, /weigh, 1 of/);
  const flour = Number(/([\d.]+) g/.exec(await page.locator('.amount').innerText())?.[1]);
  await page.getByRole('button', { name: 'the scale shows…' }).click();
  for (const digit of String(Math.round(flour * 1.06)))
    await page.getByRole('button', { name: digit, exact: true }).click();
  await page.getByRole('button', { name: 'take it' }).click();
  await expect(page.locator('section.now')).toContainText('too much');
  await expect(go(page)).toBeDisabled();
  await page.getByRole('button', { name: /^scale all by 1\.06/ }).click();
  await expect(page.locator('.kind')).toHaveText(/weigh, 2 of/);

  // the page is closed in the middle and opened again
  await reload(page);
  await expect(page.locator('.kind')).toHaveText(/weigh, 2 of/);

  // a double tap is one tap; any key goes on; back takes it back
  await go(page).dblclick();
  await expect(page.locator('.kind')).toHaveText(/weigh, 3 of/);
  await page.clock.fastForward(400);
  await page.keyboard.press('PageDown');
  await expect(page.locator('.kind')).toHaveText(/weigh, 4 of/);
  await page.clock.fastForward(400);
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.locator('.kind')).toHaveText(/weigh, 3 of/);

  // both go in; the lower half takes nothing out before the first look
  await bothIntoOven(page, () => expect(go(page)).toBeDisabled());

  // an alarm that came while nobody looked says so and how late
  await page.clock.fastForward('00:40:00');
  await expect(page.getByRole('alert')).toContainText(/It was due at \d\d:\d\d, \d+ min ago/);

  // out, cooled, judged
  await toTheEnd(page);
  await expect(page.getByText('has been made, and nothing else is planned.')).toBeVisible();
  await goTo(page, '/log');
  const lines = bakeLines(page);
  await expect(lines.nth(0)).toContainText(/muffins|scones/);
  await expect(lines.nth(1)).toContainText(/muffins|scones/);
  await expect(lines.nth(0)).toContainText('just right');
  expect(wrong).toEqual([]);
});

test('the day: a block is held and let go, what cannot be is said, and the calendar has it all', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-05-09T08:00:00Z') });
  await sampleKitchen(page);
  await twoBakes(page);
  // left out, and chosen again after all
  await page.getByRole('button', { name: 'Leave out Parsnip and ginger muffins' }).click();
  await expect(page.locator('.who a')).toHaveText(['Cheese and thyme scones']);
  await bakeMuffinsToo(page);
  const weigh = page.getByRole('button', { name: /^Weigh everything out, .* minutes/ }).first();
  const time = async (): Promise<string> => /\d\d:\d\d/.exec((await weigh.getAttribute('aria-label')) ?? '')?.[0] ?? '';
  await page.getByRole('textbox', { name: 'Serve at' }).fill('15:00');
  await page.getByRole('textbox', { name: 'Serve at' }).press('Tab');
  await expect(page.locator('.who', { hasText: /\d+–\d+ min/ })).toHaveCount(2);
  // the plan for then, no longer the one for as soon as can be
  await expect.poll(async () => Number((await time()).slice(0, 2))).toBeGreaterThanOrEqual(12);
  const was = await time();
  // pulled along the hours, the rest follows
  const box = await weigh.boundingBox();
  if (!box) throw new Error('no block');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 60, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect.poll(time).not.toBe(was);
  await expect(weigh).toHaveAttribute('aria-label', /held there/);
  // by the keys too, and let go
  const held = await time();
  await weigh.focus();
  await page.keyboard.press('ArrowLeft');
  await expect.poll(time).not.toBe(held);
  await page.keyboard.press('Delete');
  await expect.poll(time).toBe(was);
  await page.keyboard.press('Control+z');
  await expect(weigh).toHaveAttribute('aria-label', /held there/);
  await page.getByRole('button', { name: 'let go of all that is held' }).click();

  // too early: why, and what could be given way on; pressed, it is so
  await page.getByRole('textbox', { name: 'Serve at' }).fill('9:40');
  await page.getByRole('textbox', { name: 'Serve at' }).press('Tab');
  await expect(page.getByRole('alert')).toContainText(/should have begun \d+ minutes ago/);
  await page.getByRole('button', { name: /^Serve \d+ minutes later$/ }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'calendar file' }).click(),
  ]);
  const text = readFileSync(await file.path(), 'utf8');
  expect(text).toMatch(/^BEGIN:VCALENDAR/);
  expect(text).toContain('SUMMARY:Into the oven: Parsnip and ginger muffins');
  expect(text.match(/BEGIN:VALARM/g)?.length).toBeGreaterThan(10);
});

test('the night the clocks change: the plan counts hours that pass, the days after count the wall clock', async ({
  page,
}) => {
  // in the kitchen's zone clocks go from 01:00 to 02:00 on 29 March 2026
  await page.clock.install({ time: new Date('2026-03-28T21:00:00Z') });
  await sampleKitchen(page, '/day/malt-and-fig-tea-loaf');
  const serve = async (hour: string): Promise<void> => {
    await page.getByRole('textbox', { name: 'Serve at' }).fill(`tomorrow ${hour}`);
    await page.getByRole('textbox', { name: 'Serve at' }).press('Tab');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(`Ready tomorrow at ${hour}`);
    await expect(times.last()).toContainText(hour);
  };
  const times = page.locator('ol time');
  const minutes = async (i: number): Promise<number> => {
    const [h, m] =
      /(\d\d):(\d\d)/
        .exec(await times.nth(i).innerText())
        ?.slice(1)
        .map(Number) ?? [];
    return (h ?? 0) * 60 + (m ?? 0);
  };
  await expect(page.locator('.who', { hasText: /\d+–\d+ min/ })).toHaveCount(1);
  const onTheWall = async (): Promise<number> => {
    const [from, to] = [await minutes(0), await minutes((await times.count()) - 1)];
    return (to - from + 1440) % 1440;
  };
  // while the bake's own range is still being worked out, a plan may change between the two
  await expect(async () => {
    await serve('03:00');
    const night = await onTheWall();
    await serve('23:00');
    expect(await onTheWall()).toBe(night - 60);
  }).toPass();
  // it is to be kept a day: at ten by the clock on the wall
  await expect(page.getByRole('region', { name: 'In the days after' })).toContainText('10:00');
});
