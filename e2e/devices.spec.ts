import type { Page } from '@playwright/test';
import { expect, test } from './src/test';
import { barriers } from './src/axe';
import { bothIntoOven, breath, go, now, onTo, toTheEnd } from './src/at-counter';
import { bakeLines, complaints, goTo, hang, reload, sampleKitchen } from './src/steps';

const does = (page: Page, words: string) =>
  page.locator('orvin-devices-panel').getByRole('button', { name: words, exact: true }).click();

test.use({ alone: true });

test('two bakes with a simulated scale and probe, from the plan to the log', async ({ page }) => {
  test.setTimeout(240_000);
  const wrong = complaints(page);
  const asked = async (): Promise<void> => {
    await expect(page.getByRole('button', { name: /^scale all by 1\./ })).toBeInViewport({ ratio: 1 });
    await expect
      .poll(async () => {
        const [said, keys] = [
          await now(page).locator('.say').boundingBox(),
          await now(page).locator('.acts').boundingBox(),
        ];
        return (said?.y ?? 0) + (said?.height ?? 9999) <= (keys?.y ?? 0) + 1;
      })
      .toBe(true);
  };
  await page.clock.install();
  await sampleKitchen(page, '/day/cheese-and-thyme-scones');
  await page.getByRole('combobox', { name: 'Bake something else too' }).click();
  await page.getByRole('option', { name: 'Parsnip and ginger muffins' }).click();
  await expect(page.locator('.who a')).toHaveCount(2);
  await hang(page, 'Counter');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'scale, probe' }).click();
  await page.getByRole('button', { name: 'try the simulated scale and probe' }).click();
  await expect(page.locator('orvin-devices-panel h3').first()).toContainText(/\d g/);

  // what is set out is ticked off, and stays so; then the bowl counts as nothing; too much of the first line, and all the rest grows with it
  await onTo(page, /set out, 0 of/, 'orvin-set-out-part button');
  await expect(page.locator('.kind')).toContainText('set out, 1 of');
  await onTo(page, /Bowl on the scale/);
  await does(page, 'put a bowl on');
  await go(page).click();
  await expect(page.locator('.amount')).toContainText(/g more/);
  await does(page, 'pour too much');
  await expect(now(page)).toContainText(/you poured \d+ g: scale all by/);
  // what is asked is in reach without scrolling, on a phone too
  await page.getByRole('button', { name: 'scale, probe' }).click();
  await page.setViewportSize({ width: 390, height: 844 });
  await asked();
  await page.setViewportSize({ width: 1280, height: 800 });
  await asked();
  await page.getByRole('button', { name: /^scale all by 1\./ }).click();
  await page.getByRole('button', { name: 'scale, probe' }).click();
  await expect(page.locator('.kind')).toContainText(/weigh, 2 of/);

  // the scale goes silent in the middle of a pour, and comes back
  await does(page, 'pour half of it');
  await expect.poll(async () => Number(/(\d+) g of/.exec(await now(page).innerText())?.[1])).toBeGreaterThan(3);
  await expect(page.locator('orvin-devices-panel h3').first()).toContainText(/\d g$/);
  await does(page, 'unplug the scale');
  await expect(now(page)).toContainText('The scale is silent');
  await does(page, 'plug the scale in');
  await expect(now(page)).toContainText(/[1-9]\d* g of/);
  await does(page, 'pour what is wanted');
  expect(await barriers(page)).toEqual([]);
  // at rest and right it goes on without a touch
  await expect(page.locator('.kind')).toContainText(/weigh, 3 of/);
  await reload(page);
  await expect(page.locator('.kind')).toContainText(/weigh, 3 of .*simulated scale/s);

  // both into the oven, time runs
  await bothIntoOven(page);
  const withProbe = page.locator('orvin-wait-part .probe');
  // it is in the one that went in first, and is put into this one
  await page.getByRole('button', { name: 'the probe is in it' }).click();
  await expect(withProbe).toContainText(/\d+ °C/);
  await page.getByRole('button', { name: 'scale, probe' }).click();
  // no faster than a worker that is busy can follow: at a faster clock the other bake is due before it is foretold
  await does(page, '10 ×');
  await expect(page.locator('orvin-probe-chart')).toBeVisible();
  await expect(withProbe).toContainText(/min more|done, or nearly/, { timeout: 60_000 });
  expect(await barriers(page)).toEqual([]);
  await does(page, 'unplug the probe');
  await expect(withProbe).toContainText('The probe is silent');
  await does(page, 'plug the probe in');
  await expect(withProbe).toContainText(/\d+ °C/);
  await does(page, '60 ×');

  // what is due rings; out, cooled, judged
  await expect(page.getByRole('alert')).toBeVisible({ timeout: 60_000 });
  await does(page, '10 ×');
  await toTheEnd(page);
  await expect(page.getByText('has been made, and nothing else is planned.')).toBeVisible();
  await goTo(page, '/log');
  const said: string[] = [];
  for (const title of ['Cheese and thyme scones', 'Parsnip and ginger muffins']) {
    await bakeLines(page).filter({ hasText: title }).first().click();
    const measured = page.getByRole('article', { name: title }).getByRole('region', { name: 'Measured' });
    await expect(measured).toContainText('was foretold');
    said.push((await measured.textContent()) ?? '');
  }
  expect(said.join('\n')).toMatch(/simulated: scale.*clock; teaches nothing/);
  expect(said.join('\n')).toMatch(/probe: \d+ °C after \d+ min/);
  expect(wrong).toEqual([]);
});

test('without the server that has the devices the counter goes by hand, and takes them up when it is back', async ({
  page,
}) => {
  await page.clock.install();
  let gone = true;
  await page.routeWebSocket(/\/devices/, (socket) => {
    if (gone) void socket.close();
    else socket.connectToServer();
  });
  await sampleKitchen(page, '/counter/spelt-stout-gingerbread');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'scale, probe' }).click();
  await page.getByRole('button', { name: 'try the simulated scale and probe' }).click();
  await expect(page.locator('orvin-devices-panel')).toContainText('cannot be reached');
  await onTo(page, /weigh, 1 of/);
  await expect(now(page)).toContainText('The scale is silent');
  await go(page).click();
  await breath(page);
  await expect(page.locator('.kind')).toContainText('weigh, 2 of');
  gone = false;
  await page.clock.fastForward(11_000);
  await expect(now(page)).toContainText('Bowl on the scale?');
  await expect(page.locator('orvin-devices-panel')).not.toContainText('cannot be reached');
  // left again, it all goes by hand
  await does(page, 'leave the simulated devices');
  await expect(go(page)).toContainText('is in');
});
