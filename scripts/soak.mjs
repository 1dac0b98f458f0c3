// Random bakers in two tabs of a browser that is killed again and again: npm run soak -- --minutes=10 [--kills=500]
// [--edits=5000] [--seed=1] [--only=bench,log]. It ends when all that is asked for has been reached, or the minutes are over.
// After each kill what is on the disk is held against a model of all that was shown as stored, and the databases against the
// list of kitchens.
import { Profile } from '../e2e/src/killed.mjs';
import { chance } from '../server/src/standins/chance.mjs';
import { ensureBuilt } from './lib/ready.mjs';
import { serve } from './lib/serve.mjs';
import { LINES, lookAt } from './soak/disk.mjs';
import { learn } from './soak/kitchens.mjs';
import { Model } from './soak/model.mjs';
import { names, places } from './soak/places.mjs';

const given = (name, usual) => process.argv.find((a) => a.startsWith(`--${name}=`))?.split('=')[1] ?? usual;
const minutes = Number(given('minutes', 5));
const wanted = { kills: Number(given('kills', 0)), edits: Number(given('edits', 0)) };
/** Whether all that was asked for has been reached; where nothing was, the minutes count. */
const reached = () =>
  wanted.kills + wanted.edits > 0 && counts.kills >= wanted.kills && model.acknowledged >= wanted.edits;
const only = given('only', '').split(',').filter(Boolean);
const seed = given('seed', Date.now() % 1e6);
const dice = chance(Number(seed));
const upTo = (n) => Math.floor(dice.even(0, n));
const oneOf = (list) => list[upTo(list.length)];
const pause = (ms) => new Promise((done) => setTimeout(done, ms));
const PORT = 4397;
/** How long what was cut off may take to be finished after a start, ms. */
const SWEPT_MS = 10_000;

const counts = { kills: 0, lost: 0, unlisted: 0, partial: 0, stalled: 0 };
const visits = new Map();
const say = () =>
  `${counts.kills} kills, ${model.acknowledged} changes shown as stored, ${counts.lost} lost or made up, ` +
  `${counts.unlisted} databases in no list, ${counts.partial} kitchens left by half, ${counts.stalled} presses that came to nothing`;
function note(list) {
  counts.lost += list.length;
  for (const l of list) console.error(`after kill ${counts.kills}: ${l}`);
}

/** A place to go, by how often they go there. */
function placeFor(r) {
  const able = Object.entries(places).filter(([n, p]) => (only.length === 0 || only.includes(n)) && (p.can?.(r) ?? true));
  const all = able.flatMap(([n, p]) => Array.from({ length: p.weight }, () => n));
  return oneOf(all.length > 0 ? all : ['kitchens']);
} // prettier-ignore

let model = new Model(new Map());
/** Some presses at one place in two tabs; the last is cut off at any moment of it. Resolves to the place. */
async function round(browser) {
  const db = model.world.get('current');
  const r = { model, db, upTo, oneOf };
  r.id = oneOf(names(r, 'stands').filter((id) => id in LINES));
  const name = placeFor(r);
  const place = places[name];
  visits.set(name, (visits.get(name) ?? 0) + 1);
  r.pages = [await browser.page(), await browser.page()];
  r.look = async () => note(model.settle((await lookAt(r.pages[0])).world));
  const caught = (work) =>
    work.then(
      () => null,
      (e) => e,
    );
  const presses = place.presses ?? [3, 6];
  const last = presses[0] + upTo(presses[1] - presses[0]);
  let failed = await caught(Promise.all(r.pages.map((page) => place.go({ ...r, page }))));
  // until a baker can do nothing more there
  for (let i = 0; failed === null && i <= last && (place.can?.(r) ?? true); i++) {
    r.page = oneOf(r.pages);
    const work = caught(place.act(r));
    if (i < last) failed = await work;
    else {
      await pause(upTo(place.longest ?? 120));
      await browser.kill();
      await work;
      return place;
    }
  }
  if (failed) {
    counts.stalled++;
    console.error(
      `${name}: ${failed.message}`,
      model.flying.map((a) => a.what),
    );
    for (const p of r.pages) console.error(await p.evaluate(() => `${document.querySelector('main')?.innerText.slice(0, 600)}\n-- ${document.querySelector('.notices')?.innerText}`).catch(String)); // prettier-ignore
  }
  await browser.kill();
  return place;
}

await ensureBuilt();
const server = await serve(PORT);
const profile = new Profile();
let until = Date.now() + minutes * 60_000;
// ends after the kill that is under way, with what has been counted
process.once('SIGINT', () => (until = 0));
try {
  let browser = await profile.start(server.base);
  let page = await browser.page();
  await page.goto('/shelf');
  await page.getByText('Hollin Lane').first().waitFor();
  await learn(page, lookAt);
  model = new Model((await lookAt(page)).world);
  await page.close();
  console.log(`Seed ${seed}: ${model.world.size} things to be minded`);
  while (Date.now() < until && !reached()) {
    const place = await round(browser);
    counts.kills++;
    browser = await profile.start(server.base);
    page = await browser.page();
    await page.goto(place.atStart ? '/shelf' : '/health');
    let left = await lookAt(page);
    for (const end = Date.now() + SWEPT_MS; place.atStart && left.partial.length > 0 && Date.now() < end;) {
      await pause(100);
      left = await lookAt(page);
    }
    note(model.settle(left.world));
    counts.unlisted += left.unlisted.length;
    counts.partial += left.partial.length;
    await page.close();
    if (counts.kills % 25 === 0) console.log(say());
  }
  await browser.kill();
} finally {
  profile.remove();
  server.stop();
}
console.log([...visits].map(([n, x]) => `${n} ${x}`).join(', '));
console.log(say());
process.exitCode = counts.lost + counts.unlisted + counts.partial + counts.stalled > 0 ? 1 : 0;
