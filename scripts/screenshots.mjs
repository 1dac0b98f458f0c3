// Remakes docs/screenshots from the demo kitchen at a fixed time.
import { browserPath, chromiumArgs } from '../e2e/src/browser.mjs';
import { ensureBrowser } from './lib/browser.mjs';
import { ensureBuilt } from './lib/ready.mjs';
import { serve } from './lib/serve.mjs';

const out = process.argv.find((a) => a.startsWith('--out='))?.slice(6) ?? 'docs/screenshots';
const only = process.argv.find((a) => a.startsWith('--only='))?.slice(7);
await ensureBuilt();
await ensureBrowser();
const { chromium } = await import('@playwright/test');
const { base, stop } = await serve(4391);

const recipe = `Parsnip and ginger muffins
Makes 12

2 cups (180 g) plain flour
1 Tbsp baking powder
1/4 tsp salt
2 heaped tsp ground ginger
2 large eggs, beaten
1/2 cup oil or melted butter
3/4 cup plain yogurt
150g/5oz light brown sugar
3 parsnips, peeled and grated (about 250 g)
a handful of walnuts (optional)

For the topping:
2 tbsp demerara sugar

1. Whisk the dry things together. Whisk eggs, oil, yogurt, vanilla and sugar.
2. Stir the wet into the dry, then fold in the parsnip and walnuts.
3. Bake at 400°F for 10 minutes, then 350°F for 12-15 more, in a 12-hole muffin tin.`;

const card = `Caraway supper loaf

350 g plain flour
2½ tsp baking powder
½ tsp salt
90 g butter
80 g caster sugar
2 eggs
180 ml milk
2 tsp caraway seeds

Rub the butter into the flour, salt and baking powder.
Stir in everything else. Bake in a 900 g loaf tin
at 180°C for 50 minutes.`;
/** Draws a card in the page, as a photo takes it: a little askew, in uneven light. */
const drawCard = (text) => {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [1300, 1200];
  const c = canvas.getContext('2d');
  const light = c.createLinearGradient(0, 0, 1300, 500);
  for (const [at, tone] of [[0, '#fdfaf0'], [0.6, '#efe8d6'], [1, '#b8ae98']]) light.addColorStop(at, tone); // prettier-ignore
  c.fillStyle = light;
  c.fillRect(0, 0, 1300, 1200);
  c.rotate(-0.02);
  c.fillStyle = '#2b2622';
  c.font = '40px serif';
  text.split('\n').forEach((line, i) => c.fillText(line, 110, 150 + i * 66));
  return canvas.toDataURL('image/png');
};

/** Until the bake has been worked out, its range too; the clock stands still, so nothing on the page can tell. */
const sampled = (p) => p.waitForTimeout(3000);

/** Takes the simulated scale and probe. */
const tryDevices = async (p) => {
  await p.getByRole('button', { name: 'scale, probe' }).click();
  await p.getByRole('button', { name: 'try the simulated scale and probe' }).click();
  await p.waitForSelector('orvin-devices-panel h3 >> text=/\\d g/');
};

/** Begins, and goes on until something is on the screen. */
const atTheCounter = async (p, what) => {
  await p.waitForSelector('.big');
  await sampled(p);
  await p.click('.big');
  for (let i = 0; i < 60; i++) {
    await p.waitForSelector('.goKey');
    if (what.test(await p.textContent('section.now'))) break;
    await p.click('.goKey');
    // a second tap within a third of a second does not count
    await p.waitForTimeout(420);
  }
};

/** An act for which time goes on. */
const ticking = (act) => Object.assign(act, { ticks: true });

/** name, size, path, and what to do before the picture is taken */
const shots = [
  ['shelf', 1280, 800, '/shelf'],
  ['shelf-phone', 390, 844, '/shelf'],
  [
    'read',
    1280,
    800,
    '/shelf',
    async (p) => {
      await p.fill('#paste', recipe);
      await p.click('text=read it');
      await p.waitForSelector('.proof');
    },
  ],
  [
    'picture',
    1280,
    800,
    '/shelf',
    ticking(async (p) => {
      const address = await p.evaluate(drawCard, card);
      const buffer = Buffer.from(address.split(',')[1], 'base64');
      await p.getByLabel('from a picture').setInputFiles({ name: 'card.png', mimeType: 'image/png', buffer });
      await p.waitForSelector('.proof', { timeout: 60_000 });
      await p.hover('.line.item:nth-of-type(5)');
    }),
  ],
  ['bench', 1280, 800, '/bench/cardamom-yogurt-round'],
  [
    'proposals',
    1280,
    800,
    '/bench/cardamom-yogurt-round',
    async (p) => {
      await p.waitForSelector('orvin-advice');
      await p.keyboard.press('a');
      await p.click('text=anything animal');
      await p.waitForSelector('.offer');
    },
  ],
  [
    'replace',
    1280,
    800,
    '/bench/rye-and-pear-loaf',
    async (p) => {
      await p.locator('orvin-row', { hasText: 'Egg' }).hover();
      await p.click('[aria-label="Limit or replace Egg"]');
      await p.waitForFunction(() => document.querySelectorAll('.swaps .swap:not([disabled])').length > 6);
      await p.mouse.move(400, 780);
    },
  ],
  [
    'versions',
    1280,
    800,
    '/bench/oat-and-rhubarb-muffins',
    async (p) => {
      const keep = async (ask) => {
        await p.waitForSelector('orvin-advice');
        await p.keyboard.press('a');
        if (ask) await p.click(`[aria-label="${ask}"]`);
        await p.waitForSelector('.offer');
        await p.click('text=keep it');
        await p.waitForSelector('orvin-advice');
      };
      await keep(null);
      await keep('make it moister');
      await p.click('text=versions');
      await p.click('[aria-label="Go back to version 2"]');
      await keep('without egg');
      await p.click('text=versions');
      await p.waitForSelector('.tree > li:nth-child(4)');
    },
  ],
  [
    'compose',
    1280,
    800,
    '/compose',
    async (p) => {
      await p.waitForSelector('.line');
      for (const taste of ['pear', 'cardamom']) {
        await p.fill('#taste', taste);
        await p
          .locator('[role=option]', { hasText: new RegExp(taste, 'i') })
          .first()
          .waitFor();
        await p.keyboard.press('Enter');
        await p.waitForFunction(() => document.querySelector('#taste').value === '');
      }
      await p.waitForFunction(() => document.querySelector('.made h2')?.textContent.includes('cardamom'));
    },
  ],
  [
    'work',
    1280,
    800,
    '/bench/spelt-stout-gingerbread',
    async (p) => {
      await p.keyboard.press('d');
      await p.locator('.piece', { hasText: 'melt' }).click();
      await p.locator('orvin-work-strip').scrollIntoViewIfNeeded();
    },
  ],
  [
    'tins',
    1280,
    800,
    '/tins/cardamom-yogurt-round',
    async (p) => {
      await p.click('.rack button:has-text("18 cm round")');
      await p.click('[aria-label="One tin more"]');
      await p.waitForSelector('p.minutes');
      await p.waitForSelector('.plot .main-svg');
      await p.waitForTimeout(1500);
    },
  ],
  [
    'day',
    1280,
    800,
    '/day/cardamom-yogurt-round',
    async (p) => {
      await p.waitForSelector('.chart');
      for (const also of ['Cheese and thyme scones', 'Rye and pear loaf']) {
        await p.click('p-select');
        await p.click(`li[role=option]:has-text("${also}")`);
        await p.waitForSelector(`.who:has-text("${also}")`);
      }
      await p.fill('.serve input', '16:30');
      await p.keyboard.press('Tab');
      await p.mouse.move(640, 770);
      await sampled(p);
    },
  ],
  [
    'counter',
    1280,
    800,
    '/counter/parsnip-and-ginger-muffins',
    ticking(async (p) => {
      await atTheCounter(p, /weigh, 1/);
      await tryDevices(p);
      await p.getByRole('button', { name: 'put a bowl on' }).click();
      await p.click('.goKey');
      await p.waitForSelector('.amount:has-text("more")');
      await p.getByRole('button', { name: 'pour half of it' }).click();
      await p.waitForTimeout(4500);
      await p.getByRole('button', { name: 'close', exact: true }).click();
    }),
  ],
  [
    'counter-phone',
    390,
    844,
    '/counter/rye-and-pear-loaf',
    ticking(async (p) => {
      await atTheCounter(p, /Bake at/);
      await tryDevices(p);
      await p.getByRole('button', { name: '60 ×' }).click();
      await p.waitForTimeout(34_000);
      await p.getByRole('button', { name: 'real time' }).click();
      await p.getByRole('button', { name: 'close', exact: true }).click();
    }),
  ],
  [
    'log',
    1280,
    800,
    '/log?bake=demo-15',
    async (p) => {
      await p.waitForSelector('orvin-why-bake h3');
      await p.waitForSelector('.line .faulty');
      await p.locator('orvin-why-bake').evaluate((el) => el.scrollIntoView({ block: 'center' }));
      await p.evaluate(() => scrollTo(0, 0));
    },
  ],
  [
    'taught',
    1280,
    800,
    '/log?part=taught',
    async (p) => {
      await p.waitForSelector('.groups .row');
    },
  ],
  [
    'shopping',
    1280,
    800,
    '/larder?part=shopping',
    async (p) => {
      for (const label of ['Cheese and thyme scones', 'Rye and pear loaf', 'Parsnip and ginger muffins']) {
        await p.getByLabel('Add a bake').selectOption({ label });
        await p.waitForSelector(`.bakes .name:has-text("${label}")`);
      }
      await p.getByRole('button', { name: 'More of Cheese and thyme scones' }).click();
      await p
        .getByRole('checkbox', { name: /Buttermilk/ })
        .first()
        .check();
    },
  ],
  ['label', 1280, 800, '/label/parsnip-and-ginger-muffins', sampled],
  ['larder', 1280, 800, '/larder'],
];

const browser = await chromium.launch({ executablePath: browserPath() ?? undefined, args: chromiumArgs });
try {
  for (const [name, width, height, path, act] of shots) {
    if (only && !only.split(',').includes(name)) continue;
    const context = await browser.newContext({
      viewport: { width, height },
      serviceWorkers: 'block',
      reducedMotion: 'reduce',
      locale: 'en-GB',
      timezoneId: 'Europe/Dublin',
      colorScheme: 'light',
    });
    const page = await context.newPage();
    page.on('console', (m) => m.type() === 'error' && console.log(`${name}: ${m.text()}`));
    page.on('pageerror', (e) => console.log(`${name}: ${e.message}`));
    const time = new Date('2026-10-03T09:10:00Z');
    // devices speak only while time goes on
    if (act?.ticks) await page.clock.install({ time });
    else await page.clock.setFixedTime(time);
    await page.goto(`${base}/shelf`);
    await page.waitForSelector('.shelves li');
    if (path !== '/shelf') await page.goto(base + path);
    await page.waitForSelector('h1, .title');
    await act?.(page);
    // each bake on a shelf is drawn once it has been judged
    await page.waitForFunction(() =>
      [...document.querySelectorAll('.shelves li')].every((li) => li.querySelector('svg') !== null),
    );
    await page.waitForTimeout(500);
    await page.screenshot({ path: `${out}/${name}.png` });
    await context.close();
  }
} finally {
  await browser.close();
  stop();
}
