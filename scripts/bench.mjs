// Speed: the core by itself, then the application in the browser. Prints figures; judges nothing.
import { readFileSync, readdirSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { browserPath, chromiumArgs } from '../e2e/src/browser.mjs';
import { firstVisits } from './lib/first-visit.mjs';
import { longLog } from './lib/long-log.mjs';
import { ensureBrowser } from './lib/browser.mjs';
import { ensureBuilt } from './lib/ready.mjs';
import { root, run } from './lib/run.mjs';
import { at, pullOf, referenceIn } from './lib/pulling.mjs';
import { serve } from './lib/serve.mjs';
import { wishesOf } from './lib/wishing.mjs';

await ensureBuilt();
await ensureBrowser();
// `--browser` leaves the core out
if (!process.argv.includes('--browser')) run(process.execPath, ['--import', 'tsx', 'core/bench/bench.ts']);

const { chromium } = await import('@playwright/test');
const { base, stop } = await serve(4392);
await firstVisits(chromium, base, (line) => console.log(line));
const browser = await chromium.launch({ executablePath: browserPath() ?? undefined, args: chromiumArgs });
/** A cake of thirty lines: the cardamom round with a little of everything. */
function thirtyLines() {
  const f = JSON.parse(readFileSync(`${root}demo/formulas/cardamom-yogurt-round.json`, 'utf8'));
  const more =
    'cocoa-natural rolled-oats banana apple-puree milk buttermilk lemon-juice honey treacle sour-cream walnut raisins wholemeal-flour neutral-oil blueberry ginger-ground cinnamon orange-juice carrot'.split(
      ' ',
    );
  const items = more.map((id, i) => ({
    id: `more-${i}`,
    ingredient: id,
    words: id,
    entered: { value: 12, unit: 'g' },
    grams: 12,
  }));
  return {
    ...f,
    id: 'thirty-lines',
    title: 'Thirty lines',
    groups: [...f.groups, { id: 'more', name: 'A little of everything', role: 'batter', items }],
  };
}
const ms = (x) => `${x.toFixed(1)} ms`;
try {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(`${base}/shelf`);
  await page.waitForSelector('.shelves li');

  const paints = [];
  for (let i = 0; i < 7; i++) {
    const fresh = await context.newPage();
    await fresh.goto(`${base}/shelf`);
    await fresh.waitForSelector('.shelves li');
    paints.push(
      await fresh.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN),
    );
    await fresh.close();
  }
  console.log(`first contentful paint of the shelf: median ${ms(at(paints, 0.5))}  aim < 1000 ms`);

  const reference = await referenceIn(page);
  console.log(`reference loop in the browser: ${ms(reference)}`);
  const report = (name, r) =>
    console.log(
      `one step of pulling ${name}: median ${ms(r.median)} (${(r.median / reference).toFixed(1)} × reference), 95th percentile ${ms(r.p95)}; tasks over 50 ms: ${r.long}  aim 8, 16, 0`,
    );

  // thirty lines, so that every instrument has all it can be asked to draw
  await page.setInputFiles('input[type=file]', {
    name: 'thirty.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(thirtyLines())),
  });
  // a single file opens on the Bench
  await page.waitForSelector('orvin-row');
  const slider = (name) => page.getByRole('slider', { name, exact: true });
  for (const [name, handle, how] of [
    ['sugar, of 30 lines', slider('Caster sugar'), { reach: 30 }],
    ['flour, which moves every percentage, of 30 lines', slider('Plain flour'), { reach: 30 }],
    ['soda in the ledger, of 30 lines', slider('Baking soda, soda'), { reach: 30 }],
    ['yogurt’s acid in the ledger, of 30 lines', slider('Plain yogurt, acid'), { reach: 30 }],
    ['butter’s pull on the beam, of 30 lines', slider('Butter, unsalted, pull'), { reach: 20 }],
    ['yogurt’s water, of 30 lines', slider('Plain yogurt, water'), { reach: 20 }],
    ['the point on the map, of 30 lines', page.locator('circle.point'), { reach: 25, rise: 15 }],
    ['the minutes of standing', page.locator('.knob .reach'), { reach: 60 }],
  ])
    report(name, await pullOf(page, handle, how));

  // proposals for thirty lines of which one is badly off, solved in the worker while the page stays free
  await page.evaluate(() => {
    window.blocked = 0;
    new PerformanceObserver((l) => {
      for (const e of l.getEntries()) window.blocked = Math.max(window.blocked, e.duration);
    }).observe({ entryTypes: ['longtask'] });
  });
  for (const [name, grams] of [
    ['Caster sugar', '620'],
    ['Plain flour', '90'],
    ['Baking soda', '9'],
    ['Butter, unsalted', '400'],
    ['Egg', '420'],
    ['Plain yogurt', '560'],
    ['Baking powder', '30'],
    ['Rolled oats', '190'],
  ]) {
    const field = page.getByLabel(`${name}, grams; any unit can be typed`);
    await field.fill(grams);
    await field.press('Enter');
    await page.keyboard.press('a');
    await page.locator('.answer[aria-busy="false"]').waitFor();
    await page.locator('.offer, .no, .answer p').first().waitFor();
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
    await page.waitForTimeout(300);
  }
  const solved = await page.evaluate(() => performance.getEntriesByName('orvin rebalance').map((e) => e.duration));
  const blocked = await page.evaluate(() => window.blocked);
  const [cold, ...warm] = solved;
  console.log(
    `proposals for 30 lines in the worker: first, with the solver's cold start, ${ms(cold)}; then median ${ms(at(warm, 0.5))} (${(at(warm, 0.5) / reference).toFixed(1)} × reference), 95th percentile ${ms(at(warm, 0.95))}; longest task on the page ${blocked.toFixed(0)} ms  aim 300, 1000, 50`,
  );

  await wishesOf(
    context,
    base,
    [
      'cardamom-yogurt-round',
      'oat-and-rhubarb-muffins',
      'rye-and-pear-loaf',
      'cheese-and-thyme-scones',
      'thirty-lines',
    ],
    (line) => console.log(line),
  );

  await page.goto(`${base}/bench/cardamom-yogurt-round`);
  await slider('Caster sugar').waitFor();
  report('sugar, of 11 lines', await pullOf(page, slider('Caster sugar'), { reach: 30 }));
  // the bakery follows the formula once the Tins view has woken it
  await page.goto(`${base}/tins/cardamom-yogurt-round`);
  await page.waitForSelector('p.minutes');
  // the range of the bake in the tins and all tins of the kit, in workers, on a fresh page
  const tins = await context.newPage();
  await tins.addInitScript(() => {
    window.longest = 0;
    new PerformanceObserver((l) => {
      for (const e of l.getEntries()) window.longest = Math.max(window.longest, e.duration);
    }).observe({ entryTypes: ['longtask'] });
  });
  await tins.goto(`${base}/tins/rye-and-pear-loaf`);
  await tins.locator('.kit-part').scrollIntoViewIfNeeded();
  await tins.waitForSelector('orvin-kit-table tbody tr');
  await tins.evaluate(() => (window.longest = 0));
  await tins.waitForFunction(() => !document.querySelector('orvin-kit-table')?.textContent.includes('…'));
  const spans = await tins.evaluate(() =>
    ['predict', 'sample', 'choices', 'convert'].map((job) =>
      performance.getEntriesByName(`orvin ${job}`).map((e) => ({ from: e.startTime, ms: e.duration })),
    ),
  );
  const [predicted, sampled, , converted] = spans;
  const whole = (list) => Math.max(...list.map((x) => x.from + x.ms)) - Math.min(...list.map((x) => x.from));
  const longestTask = await tins.evaluate(() => window.longest);
  console.log(
    `a loaf in the worker: likely time ${ms(
      at(
        predicted.map((x) => x.ms),
        0.5,
      ),
    )}, its range of 32 samples ${ms(Math.max(...sampled.map((x) => x.ms)))}; ${converted.length} tins of the kit converted in ${ms(whole(converted))}; longest task on the page ${longestTask.toFixed(0)} ms  aim 50, 2000, 3000, 50`,
  );
  await tins.close();
  await page.getByRole('navigation').getByRole('link', { name: 'Bench' }).click();
  await slider('Caster sugar').waitFor();
  report(
    'sugar once the Tins view has woken the bake model',
    await pullOf(page, slider('Caster sugar'), { reach: 30 }),
  );

  const many = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await many.goto(`${base}/shelf`);
  await many.waitForSelector('.stand');
  await many.evaluate(() => {
    window.longest = 0;
    new PerformanceObserver((l) => {
      for (const e of l.getEntries()) window.longest = Math.max(window.longest, e.duration);
    }).observe({ entryTypes: ['longtask'] });
  });
  const recipe = (n) =>
    `Scones ${n}\n300 g plain flour\n60 g ${n % 7 === 0 ? 'buttter' : 'butter'}\n150 ml milk\n12 g baking powder\n40 g sugar\nBake at 210 °C for 14 minutes.`;
  const from = Date.now();
  await many.setInputFiles('input[type=file]', {
    name: 'many.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from(Array.from({ length: 1000 }, (_, n) => recipe(n)).join('\n---\n')),
  });
  await many.getByText('1000 recipes read').waitFor({ timeout: 180_000 });
  const longest = await many.evaluate(() => window.longest);
  console.log(
    `1,000 recipes read and stored: ${((Date.now() - from) / 1000).toFixed(1)} s; longest task on the main thread ${longest.toFixed(0)} ms  aim 50`,
  );
  await longLog(browser, base, (line) => console.log(line));
} finally {
  await browser.close();
  stop();
}

const dist = `${root}web/dist/`;
const html = readFileSync(`${dist}index.html`, 'utf8');
const gzip = (f) => gzipSync(readFileSync(dist + f)).length;
/** Everything that is fetched before the first view: what the page names, and all that those import statically. */
function initial(files, seen = new Set()) {
  for (const f of files.filter((x) => !seen.has(x))) {
    seen.add(f);
    if (f.endsWith('.js'))
      initial(
        [...readFileSync(dist + f, 'utf8').matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g)].map((m) => m[1]),
        seen,
      );
  }
  return [...seen];
}
const first = initial([...html.matchAll(/(?:src|href)="([^"]+\.(?:js|css))"/g)].map((m) => m[1]));
const size = first.reduce((s, f) => s + gzip(f), 0);
const all = readdirSync(dist)
  .filter((f) => f.endsWith('.js'))
  .reduce((s, f) => s + gzip(f), 0);
console.log(`initial code ${(size / 1000).toFixed(0)} kB gzip of ${(all / 1000).toFixed(0)} kB in all  aim < 250 kB`);
