// Random bakers in two tabs of a browser that is killed again and again: npm run soak -- --minutes=10 [--kills=500]
// [--edits=5000] [--seed=1]. It ends when one of them is reached. After each kill what is on the disk is held against a model
// of all that was shown as stored, and the databases against the list of kitchens.
import { Profile } from '../e2e/src/killed.mjs';
import { chance } from '../server/src/standins/chance.mjs';
import { Model } from './lib/model.mjs';
import { ensureBuilt } from './lib/ready.mjs';
import { serve } from './lib/serve.mjs';

const argument = (name, usual) => Number(process.argv.find((a) => a.startsWith(`--${name}=`))?.split('=')[1] ?? usual);
const minutes = argument('minutes', 5);
const most = { kills: argument('kills', Infinity), edits: argument('edits', Infinity) };
const seed = argument('seed', Date.now() % 1e6);
const dice = chance(seed);
const upTo = (n) => Math.floor(dice.even(0, n));
const oneOf = (list) => list[upTo(list.length)];
const pause = (ms) => new Promise((done) => setTimeout(done, ms));
const PORT = 4397;

/** The lines that are changed: ids of their ingredients, and what they are called on the Bench. */
const LINES = {
  'rye-and-pear-loaf': { 'plain-flour': 'Plain flour', 'rye-flour': 'Rye flour' },
  'oat-and-rhubarb-muffins': { 'plain-flour': 'Plain flour', salt: 'Fine salt' },
  'cardamom-yogurt-round': { 'plain-flour': 'Plain flour', yogurt: 'Plain yogurt' },
};
/** How long a press may take until it is shown as stored, ms: far more than it does. */
const PATIENCE = 30_000;

/** What is on the disk, read past the application. */
function look(lines) {
  const done = (r) =>
    new Promise((yes, no) => {
      r.onsuccess = () => yes(r.result);
      r.onerror = () => no(r.error);
    });
  const open = async (name) => {
    const asked = indexedDB.open(name);
    asked.onupgradeneeded = () => asked.transaction.abort();
    return done(asked).catch(() => null);
  };
  return (async () => {
    const names = (await indexedDB.databases()).map((d) => d.name);
    const registry = await open('orvin');
    const entries = registry ? await done(registry.transaction('kitchens').objectStore('kitchens').getAll()) : [];
    const current = registry
      ? (await done(registry.transaction('settings').objectStore('settings').get('current')))?.value
      : null;
    registry?.close();
    const unlisted = names.filter((n) => n.startsWith('orvin-kitchen-') && !entries.some((e) => e.db === n));
    const partial = [];
    let grams = null;
    for (const e of entries) {
      const db = names.includes(e.db) ? await open(e.db) : null;
      const has = db?.objectStoreNames.contains('meta') ?? false;
      const whole = has && (await done(db.transaction('meta').objectStore('meta').get('kitchen'))) !== undefined;
      if (!whole || e.state === 'filling' || e.state === 'leaving')
        partial.push(`${e.name} (${e.state ?? 'listed'}${whole ? '' : ', without its kitchen'})`);
      if (e.id === current && whole) {
        const rows = await done(db.transaction('working').objectStore('working').getAll());
        grams = rows.flatMap((w) => {
          const wanted = lines[w.id];
          const items = w.formula.groups.flatMap((g) => g.items);
          return wanted
            ? [[w.id, Object.keys(wanted).map((i) => [i, items.find((x) => x.ingredient === i)?.grams])]]
            : [];
        });
      }
      db?.close();
    }
    return { unlisted, partial, grams };
  })();
}
const found = (grams) => new Map((grams ?? []).map(([id, g]) => [id, new Map(g)]));

/** A tab on the Bench of a formula. */
async function bench(page, id) {
  await page.goto(`/bench/${id}`);
  await page.locator('orvin-row').first().waitFor();
}
const field = (page, name) => page.getByLabel(`${name}, grams; any unit can be typed`);

/** One press, until it is shown as stored. */
async function act(model, page, id) {
  const line = oneOf(Object.keys(LINES[id]));
  const name = LINES[id][line];
  const what = upTo(10);
  if (what < 2 && model.steps.get(id).length > 0) {
    const a = model.begin({ kind: 'undo', id });
    await page.locator('button[aria-label^="Undo"]').click();
    await page
      .getByText(/^Undone/)
      .first()
      .waitFor({ timeout: PATIENCE, polling: 40 });
    const s = model.steps.get(id).at(-1);
    await page.waitForFunction(
      ([n, x]) => Number(document.querySelector(`input[aria-label^="${n}, grams"]`)?.value ?? x) === x,
      [LINES[id][s.line], s.from],
      { timeout: PATIENCE },
    );
    return model.landed(a);
  }
  const to = 40 + upTo(400);
  if (to === model.grams.get(id).get(line)) return;
  const a = model.begin({ kind: 'set', id, line, to });
  await field(page, name).fill(String(to));
  await field(page, name).press('Enter');
  await page
    .locator(`button[aria-label$="→ ${to} g"][aria-label^="Undo ${name}"]`)
    .waitFor({ timeout: PATIENCE, polling: 40 });
  model.landed(a);
}

/** Both tabs at once, at lines of their own; the order of the two steps is nobody's to say. */
async function together(model, pages, id) {
  const lines = Object.keys(LINES[id]);
  const acts = lines.map((line) => model.begin({ kind: 'set', id, line, to: 40 + upTo(400) }));
  await Promise.all(
    acts.map(async (a, i) => {
      const page = pages[i];
      await field(page, LINES[id][a.line]).fill(String(a.to));
      await field(page, LINES[id][a.line]).press('Enter');
    }),
  );
  await Promise.all(
    pages.flatMap((page) =>
      acts.map((a) =>
        page.waitForFunction(
          ([n, x]) => Number(document.querySelector(`input[aria-label^="${n}, grams"]`)?.value) === x,
          [LINES[id][a.line], a.to],
          { timeout: PATIENCE, polling: 40 },
        ),
      ),
    ),
  );
  // in the other tab only what is on the disk is seen
  for (const a of acts) model.landed(a);
  model.steps.get(id).length = 0;
}

const counts = { kills: 0, edits: 0, lost: 0, unlisted: 0, partial: 0, rounds: 0 };
const wrong = [];
const until = Date.now() + minutes * 60_000;
await ensureBuilt();
const server = await serve(PORT);
const profile = new Profile();
try {
  let browser = await profile.start(server.base);
  let page = await browser.page();
  await page.goto('/shelf');
  await page.getByText('Hollin Lane').first().waitFor();
  await page.goto('/health');
  const model = new Model(found((await page.evaluate(look, LINES)).grams));
  await page.close();
  console.log(`Seed ${seed}: ${[...model.grams].map(([id, g]) => `${id} ${[...g].join(' ')}`).join('; ')}`);
  while (Date.now() < until && counts.kills < most.kills && model.acknowledged < most.edits) {
    counts.rounds++;
    const id = oneOf(Object.keys(LINES));
    const pages = [await browser.page(), await browser.page()];
    await Promise.all(pages.map((p) => bench(p, id)));
    const presses = 4 + upTo(14);
    const fatal = presses - 1;
    for (let i = 0; i < presses; i++) {
      const work = (upTo(8) === 0 ? together(model, pages, id) : act(model, oneOf(pages), id)).then(
        () => null,
        (e) => e,
      );
      // the last press is cut off at any moment of it
      if (i === fatal) await pause(upTo(120));
      const failed = i === fatal ? null : await work;
      if (i === fatal) {
        await browser.kill();
        await work;
        break;
      }
      if (failed) {
        for (const p of pages) console.error(await p.evaluate(() => [...document.querySelectorAll('input[aria-label*=", grams"]')].map((f) => `${f.getAttribute('aria-label')?.split(',')[0]} ${f.value}`).join('; ') + document.querySelector('.notices')?.textContent)); // prettier-ignore
        throw failed;
      }
    }
    counts.kills++;
    browser = await profile.start(server.base);
    page = await browser.page();
    await page.goto('/health');
    const left = await page.evaluate(look, LINES);
    const lost = model.settle(found(left.grams));
    if (lost.length > 0) wrong.push(...lost.map((l) => `after kill ${counts.kills}: ${l}`));
    counts.lost += lost.length;
    counts.unlisted += left.unlisted.length;
    await page.close();
    if (counts.kills % 25 === 0)
      console.log(
        `${counts.kills} kills, ${model.acknowledged} edits, ${counts.lost} lost, ${counts.unlisted} unlisted`,
      );
  }
  counts.edits = model.acknowledged;
  await browser.kill();
} finally {
  profile.remove();
  server.stop();
}
for (const w of wrong) console.error(w);
console.log(
  `${counts.kills} kills, ${counts.edits} edits shown as stored, ${counts.lost} lost, ${counts.unlisted} databases in no list`,
);
process.exitCode = counts.lost + counts.unlisted > 0 ? 1 : 0;
