// Times what is wished for in the real application: from the press to the proposal, and the longest task as it lands.
import { at } from './pulling.mjs';

/** Presses of the bar, one at a time. */
const WISHES = [
  'less sugar',
  'less fat',
  'less salt',
  'make it lighter',
  'make it moister',
  'make it softer',
  'without egg',
  'without milk',
  'without anything animal',
  'without gluten',
  'for more whole grain',
];
const JOBS = ['orvin rebalance', 'orvin adapt'];

/** Durations of all searches so far, in order, ms. */
const searched = (page) =>
  page.evaluate(
    (jobs) =>
      jobs
        .flatMap((job) => performance.getEntriesByName(job))
        .sort((a, b) => a.startTime - b.startTime)
        .map((e) => e.duration),
    JOBS,
  );

async function wish(page, name) {
  await page.keyboard.press('a');
  await page.locator('.answer[aria-busy="false"]').waitFor();
  const before = (await searched(page)).length;
  // what is put right is shown at once, and folds the presses away
  const unfold = page.getByRole('button', { name: 'ask for something else' });
  if (await unfold.isVisible()) await unfold.click();
  await page.getByRole('button', { name, exact: true }).click();
  await page.waitForFunction(
    ([jobs, count]) => jobs.flatMap((job) => performance.getEntriesByName(job)).length > count,
    [JOBS, before],
  );
  await page.locator('.answer[aria-busy="false"]').waitFor();
  await page.locator('.offer, .no, .answer p').first().waitFor();
  await page.waitForTimeout(150);
  await page.keyboard.press('Escape');
  await page.waitForTimeout(80);
  return (await searched(page)).slice(before);
}

/** Each wish of each formula, by its id, in ms; the first is the first search of a fresh page, pressed at once. */
export async function wishesOf(context, base, ids, say) {
  const firsts = [];
  for (const id of ids.slice(0, 3)) {
    const fresh = await context.newPage();
    await fresh.goto(`${base}/bench/${id}`);
    await fresh.locator('orvin-row').first().waitFor();
    firsts.push((await wish(fresh, 'less sugar'))[0]);
    await fresh.close();
  }
  const page = await context.newPage();
  await page.goto(`${base}/bench/${ids[0]}`);
  await page.locator('orvin-row').first().waitFor();
  await page.waitForTimeout(3000);
  await page.evaluate(() => {
    window['landings'] = [];
    new PerformanceObserver((l) => window['landings'].push(...l.getEntries().map((e) => e.duration))).observe({
      type: 'longtask',
    });
  });
  const all = [];
  for (const id of ids) {
    await page.evaluate((to) => {
      history.pushState({}, '', `/bench/${to}`);
      dispatchEvent(new PopStateEvent('popstate'));
    }, id);
    await page.waitForTimeout(1200);
    await page.evaluate(() => (window['landings'].length = 0));
    for (const name of WISHES) all.push(...(await wish(page, name)));
  }
  const landings = await page.evaluate(() => window['landings']);
  await page.close();
  say(
    `wishes in the worker: first of a fresh page, median ${at(firsts, 0.5).toFixed(0)} ms (${firsts.map((x) => x.toFixed(0)).join(', ')}); then ${all.length} of ${ids.length} formulas, median ${at(all, 0.5).toFixed(0)} ms, 95th percentile ${at(all, 0.95).toFixed(0)} ms; tasks over 50 ms on the page ${landings.length}, longest ${Math.max(0, ...landings).toFixed(0)} ms  aim 700, 300, 1000, 0`,
  );
}
