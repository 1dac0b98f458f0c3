// Kitchens are loaded, begun, opened, cleared, taken back and removed for good in one tab, while another has one of them open.
import { NEW } from './model.mjs';
import { PATIENCE } from './patience.mjs';

/** What a kitchen holds that was just made, as it was at the start of the soak. */
const fresh = { sample: [], empty: [] };
const PRESSES = { sample: 'load the sample kitchen', empty: 'start an empty kitchen' };
/** More than these are not made. */
const MOST = 3;

const inState = (world, state) =>
  [...world].filter(([k, v]) => k.startsWith('at|') && v === state).map(([k]) => k.slice(3));
/** Whichever is open, it is one that is there. */
const someOpen = (w) => ['current', (db) => w.get(`at|${db}`) === 'here'];
const entries = (page) => page.locator('.own').first().locator('li');
const openAt = (page) =>
  entries(page).evaluateAll((all) => `${all.length} ${all.findIndex((li) => li.querySelector('b') !== null)}`);
/** Done once another kitchen is open, or there is one more or one less. */
async function changed(page, before) {
  for (const end = Date.now() + PATIENCE.timeout; ;) {
    if ((await openAt(page)) !== before) return;
    if (Date.now() > end) throw new Error(`the kitchens stay as they were: ${before}`);
    await page.waitForTimeout(PATIENCE.polling);
  }
}
async function make(r, kind) {
  const before = await openAt(r.page);
  await r.page.getByRole('button', { name: PRESSES[kind] }).click(PATIENCE);
  await changed(r.page, before);
}
const made = (kind) => [
  (w) => [[`at|${NEW}`, 'here'], ...fresh[kind].map(([k, v]) => [`${NEW}|${k}`, v]), someOpen(w)],
];
const nothingOf = (w, db) =>
  [...w.keys()].filter((k) => k === `at|${db}` || k.startsWith(`${db}|`)).map((k) => [k, undefined]);
const NAME = /Hollin Lane|My kitchen/;

/** What can be done, each with what becomes of the world; one kitchen at a time lies in the bin. */
const acts = {
  sample: { can: (here) => here.length < MOST, stages: () => made('sample'), run: (r) => make(r, 'sample') },
  empty: { can: (here) => here.length < MOST, stages: () => made('empty'), run: (r) => make(r, 'empty') },
  open: {
    can: (here) => here.length > 1,
    stages: () => [(w) => [someOpen(w)]],
    async run({ page, upTo }) {
      const [before, others] = [await openAt(page), entries(page).getByRole('button', { name: /^open / })];
      await others.nth(upTo(await others.count())).click(PATIENCE);
      await changed(page, before);
    },
  },
  clear: {
    can: (here, binned) => here.length > 1 && binned.length === 0,
    stages: (db) => [(w) => [someOpen(w)], (w) => [[`at|${db}`, 'binned'], someOpen(w)]],
    async run({ page }) {
      const before = await openAt(page);
      await page.getByRole('button', { name: 'clear this kitchen…' }).click(PATIENCE);
      await page.getByRole('button', { name: 'clear it' }).click(PATIENCE);
      await changed(page, before);
      await page.getByRole('button', { name: /^Put back / }).and(page.getByLabel(NAME)).first().waitFor(PATIENCE);
    },
  },
  back: {
    can: (_, binned) => binned.length === 1,
    stages: (_, [db]) => [(w) => [[`at|${db}`, 'here'], someOpen(w)], (w) => [someOpen(w)]],
    async run({ page }) {
      const before = await openAt(page);
      await page.getByRole('button', { name: /^Put back / }).and(page.getByLabel(NAME)).first().click(PATIENCE);
      await changed(page, before);
    },
  },
  remove: {
    can: (_, binned) => binned.length === 1,
    stages: (_, [db]) => [(w) => nothingOf(w, db)],
    async run({ page }) {
      const away = page.getByRole('button', { name: /^Remove .* for good/ }).and(page.getByLabel(NAME)).first();
      await away.click(PATIENCE);
      await page.getByRole('button', { name: 'remove it for good' }).click(PATIENCE);
      await page.getByRole('button', { name: /^Put back / }).and(page.getByLabel(NAME)).first().waitFor({ ...PATIENCE, state: 'detached' });
    },
  },
}; // prettier-ignore

/** @type {import('./places.mjs').Place} */
export const kitchens = {
  weight: 3,
  longest: 700,
  /** What was cut off is finished by the next start only. */
  atStart: true,
  async go(r) {
    await r.page.goto('/larder?part=data');
    await r.page.getByText('What was removed').or(r.page.getByText('Nothing in the bin')).waitFor(PATIENCE);
  },
  async act(r) {
    // the other tab may have been shut by what was done here
    r.page = r.pages[0];
    const { world } = r.model;
    // what is open is known from the screen: which one the next start opens is written down a little later
    const [, at] = (await openAt(r.page)).split(' ');
    const [here, binned] = [inState(world, 'here'), inState(world, 'binned')];
    const what = r.oneOf(Object.keys(acts).filter((name) => acts[name].can(here, binned)));
    const stages = acts[what].stages([...here].sort((a, b) => (a < b ? -1 : 1))[Number(at)], binned);
    const a = r.model.begin({ what: `${what} (${here.length} here, ${binned.length} in the bin)`, stages });
    await acts[what].run(r);
    r.model.landed(a);
    await r.look();
  },
};

/** Makes one of each, to know what they hold. */
export async function learn(page, lookAt) {
  await page.goto('/larder?part=data');
  await page.getByText('Nothing in the bin').waitFor(PATIENCE);
  for (const kind of ['sample', 'empty', 'sample']) {
    await make({ page }, kind);
    const { world } = await lookAt(page);
    const prefix = `${world.get('current')}|`;
    fresh[kind] = [...world].filter(([k]) => k.startsWith(prefix)).map(([k, v]) => [k.slice(prefix.length), v]);
  }
}
