// Where the bakers of the soak go, and what they do there. Each act is told to the model before its first press, and as landed
// once it is shown as stored.
import { LINES } from './disk.mjs';
import { kitchens } from './kitchens.mjs';
import { PATIENCE } from './patience.mjs';

const TITLES = {
  'rye-and-pear-loaf': 'Rye and pear loaf',
  'oat-and-rhubarb-muffins': 'Oat and rhubarb muffins',
  'cardamom-yogurt-round': 'Cardamom yogurt round',
};

/**
 * @typedef {object} Round what a round has in hand
 * @property {import('./model.mjs').Model} model
 * @property {readonly import('@playwright/test').Page[]} pages two tabs at the place
 * @property {import('@playwright/test').Page} page the one of them that acts
 * @property {string} db database of the open kitchen
 * @property {string} id the formula it is about
 * @property {(n: number) => number} upTo a whole number below one
 * @property {<T>(list: readonly T[]) => T} oneOf
 * @property {() => Promise<void>} look takes over from the disk what only the disk can tell, once it fits
 *
 * @typedef {object} Place
 * @property {number} weight how often they go there
 * @property {(r: Round) => boolean} [can] whether there is anything to be done
 * @property {(r: Round) => Promise<void>} go
 * @property {(r: Round) => Promise<void>} act one press, until it is shown as stored
 * @property {[number, number]} [presses] how many a round has, from and below; three to five when left out
 * @property {number} [longest] how long after the press the browser is killed at the latest, ms
 */
const at = (r, name) => `${r.db}|${name}`;
export const now = (r, name) => r.model.world.get(at(r, name));
/** What there is of a kind, by its names. */
export const names = (r, kind) =>
  [...r.model.world.keys()].filter((k) => k.startsWith(at(r, kind))).map((k) => k.slice(at(r, kind).length + 1));
/** A stage of an act: names and what becomes of them. */
const stage = (r, pairs) => (w) => Object.entries(pairs).map(([name, to]) => [at(r, name), typeof to === 'function' ? to(w.get(at(r, name))) : to]); // prettier-ignore
const by = (n) => (was) => (was ?? 0) + n;
const until = (page, test, argument) => page.waitForFunction(test, argument, PATIENCE);
const press = (page, name) => page.getByRole('button', { name, exact: true }).first().click(PATIENCE);
/** Fields show no more than tenths. */
const shown = ([label, x]) =>
  Math.abs(Number(document.querySelector(`input[aria-label^="${label}"]`)?.value) - x) < 0.06;
const mine = (r) => names(r, 'stands').filter((id) => id in LINES);

async function fill(page, label, value) {
  const field = page.getByLabel(label);
  await field.fill(String(value), PATIENCE);
  await field.press('Enter', PATIENCE);
}
/** What was pressed can be taken back: it is on the disk. */
const undoable = (page, label) =>
  page.locator(`button[aria-label=${JSON.stringify(`Undo ${label}`)}]:not([disabled])`).waitFor(PATIENCE);
async function undo(r, scope, isShown) {
  const step = r.model.stepsOf(scope).at(-1);
  const a = r.model.begin({ what: `undo ${step[0][0]}`, scope, undo: true });
  await r.page.locator('button[aria-label^="Undo "]:not([disabled])').first().click(PATIENCE);
  await r.page
    .getByText(/^\s*Undone/)
    .first()
    .waitFor(PATIENCE);
  await isShown(step);
  r.model.landed(a);
}

/** The Bench: amounts, undo, and both tabs at once. */
const bench = {
  weight: 14,
  presses: [10, 26],
  can: (r) => mine(r).length > 0,
  async go(r) {
    await r.page.goto(`/bench/${r.id}`);
    await r.page.locator('orvin-row').first().waitFor(PATIENCE);
  },
  async act(r) {
    const { id, page, model } = r;
    const scope = at(r, id);
    const what = r.upTo(10);
    if (what === 0) return together(r, scope);
    if (what < 3 && model.stepsOf(scope).length > 0)
      return undo(r, scope, ([[name, from]]) => until(page, shown, [`${LINES[id][name.split(' ').at(-1)]}, grams`, from]));
    const line = r.oneOf(Object.keys(LINES[id]));
    const [name, to] = [`grams ${id} ${line}`, 40 + r.upTo(400)];
    if (now(r, name) === to) return;
    const a = model.begin({ what: `${name} ${to}`, step: [[at(r, name), to]], scope });
    await fill(page, `${LINES[id][line]}, grams; any unit can be typed`, to);
    await page
      .locator(`button[aria-label$="→ ${to} g"][aria-label^="Undo ${LINES[id][line]}"]`)
      .waitFor(PATIENCE);
    model.landed(a);
  },
}; // prettier-ignore
/** At lines of their own; the order of the two steps is nobody's to say. */
async function together(r, scope) {
  const { id, model, pages } = r;
  const acts = Object.entries(LINES[id]).map(([line, label]) => {
    const [name, to] = [`grams ${id} ${line}`, 40 + r.upTo(400)];
    return { label, to, act: model.begin({ what: `${name} ${to}`, step: [[at(r, name), to]], scope }) };
  });
  await Promise.all(acts.map(({ label, to }, i) => fill(pages[i], `${label}, grams; any unit can be typed`, to)));
  // in the other tab only what is on the disk is seen
  await Promise.all(pages.flatMap((p) => acts.map(({ label, to }) => until(p, shown, [`${label}, grams`, to]))));
  for (const { act } of acts) model.landed(act);
  model.stepsOf(scope).length = 0;
}

const there = (r, id, is, grams) =>
  stage(r, {
    shelf: by(is ? 1 : -1),
    [`stands ${id}`]: is || undefined,
    [`bin formula ${id}`]: is ? undefined : JSON.stringify(grams),
    ...Object.fromEntries(grams.map(([line, g]) => [`grams ${id} ${line}`, is ? g : undefined])),
  });

/** The Shelf: formulas are taken away, and put back from the bin in the Larder. */
const shelf = {
  weight: 1,
  can: (r) => mine(r).length > 1,
  async go(r) {
    await r.page.goto('/shelf');
    await r.page.locator('.shelves').waitFor(PATIENCE);
  },
  async act(r) {
    const { page, model } = r;
    if (mine(r).length < 2) return;
    const id = r.oneOf(mine(r));
    const grams = Object.keys(LINES[id]).map((line) => [line, now(r, `grams ${id} ${line}`)]);
    const a = model.begin({ what: `take away ${id}`, stages: [there(r, id, false, grams)] });
    await page.getByRole('button', { name: `Take ${TITLES[id]} off the shelf` }).click(PATIENCE);
    await undoable(page, `take away "${TITLES[id]}"`);
    model.landed(a);
  },
};

/** The bin: whatever lies there is put back. */
const bin = {
  weight: 2,
  can: (r) => names(r, 'bin').length > 0,
  async go(r) {
    await r.page.goto('/larder?part=data');
    await r.page.getByText('What was removed').or(r.page.getByText('Nothing in the bin')).waitFor(PATIENCE);
  },
  async act(r) {
    const { page, model } = r;
    const all = names(r, 'bin');
    if (all.length === 0) return;
    const what = r.oneOf(all);
    const [kind, name] = [what.slice(0, what.indexOf(' ')), what.slice(what.indexOf(' ') + 1)];
    const became = {
      formula: () => there(r, name, true, JSON.parse(now(r, `bin ${what}`))),
      tin: () => stage(r, { [`tin ${name}`]: true, [`bin ${what}`]: undefined }),
      bake: () => stage(r, { bakes: by(1), [`bake ${name}`]: now(r, `bin ${what}`), [`bin ${what}`]: undefined }),
    };
    const title = kind === 'tin' ? name : kind === 'bake' ? titleOf(name) : TITLES[name];
    const took = kind === 'bake' ? `, .* ${now(r, `bin ${what}`)} min` : '';
    const back = page.getByRole('button', { name: new RegExp(`^Put back ${title}${took}$`) });
    await page.getByText('What was removed').waitFor(PATIENCE);
    // several bakes of a formula and of one day may have taken as long
    if ((await back.count()) > 1) return;
    const a = model.begin({ what: `put back ${what}`, stages: [became[kind]()] });
    // for a tin it is a step that the Larder's undo takes back
    if (kind === 'tin') model.stepsOf(at(r, 'kitchen')).length = 0;
    await back.click(PATIENCE);
    await back.waitFor({ ...PATIENCE, state: 'detached' });
    model.landed(a);
  },
}; // prettier-ignore

/** The Larder: how high it stands, which tins hang there, and undo. */
const larder = {
  weight: 2,
  async go(r) {
    const [part, what] = r.oneOf([['kit', '#height'], ['tins', 'ul.wall']]); // prettier-ignore
    r.part = part;
    await r.page.goto(`/larder?part=${part}`);
    await r.page.locator(what).waitFor(PATIENCE);
  },
  async act(r) {
    const { page, model } = r;
    const scope = at(r, 'kitchen');
    const [[last] = []] = [model.stepsOf(scope).at(-1)];
    const kit = (await page.locator('#height').count()) > 0;
    if (r.upTo(3) === 0 && last && kit === last[0].endsWith('|height'))
      return undo(r, scope, ([[name, from]]) =>
        kit
          ? until(page, (x) => Number(document.querySelector('#height')?.value) === x, from)
          : page.locator('ul.wall .name').getByText(name.split('|tin ')[1], { exact: true }).waitFor(PATIENCE),
      );
    if (kit) {
      const to = r.upTo(3000);
      if (to === now(r, 'height')) return;
      const a = model.begin({ what: `height ${to}`, step: [[at(r, 'height'), to]], scope });
      await fill(page, 'Metres above the sea', to);
      await undoable(page, `height ${to}`);
      return model.landed(a);
    }
    const hung = names(r, 'tin');
    if (hung.length < 4) return;
    const tin = r.oneOf(hung);
    await page.locator('ul.wall .hung').filter({ has: page.locator('.name').getByText(tin, { exact: true }) }).click(PATIENCE);
    const card = page.locator(`section.card[aria-label="${tin}"]`);
    await card.waitFor(PATIENCE);
    const a = model.begin({ what: `take down ${tin}`, step: [[at(r, `tin ${tin}`), undefined], [at(r, `bin tin ${tin}`), true]], scope });
    await card.getByRole('button', { name: 'take it down' }).click(PATIENCE);
    await undoable(page, `take away ${tin}`);
    model.landed(a);
  },
}; // prettier-ignore

const titleOf = (notes) => TITLES[notes.split(' ')[1]];
let bakes = 0;
/** The Log: bakes by hand, and bakes taken out again. */
const log = {
  weight: 2,
  can: (r) => mine(r).length > 0,
  async go(r) {
    await r.page.goto(`/log/${r.id}`);
    await r.page.getByText(/\d+–\d+ min foretold, likely \d+/).waitFor(PATIENCE);
  },
  async act(r) {
    const { page, model } = r;
    const sheet = page.getByRole('article').first();
    const notes = r.notesOf?.get(page);
    if (notes) {
      r.notesOf.delete(page);
      if (now(r, `bake ${notes}`) !== undefined && r.upTo(2) === 0) {
        const a = model.begin({ what: `remove ${notes}`, stages: [stage(r, { bakes: by(-1), [`bake ${notes}`]: undefined, [`bin bake ${notes}`]: now(r, `bake ${notes}`) })] });
        await sheet.getByRole('button', { name: 'remove', exact: true }).click(PATIENCE);
        await undoable(page, `remove ${TITLES[r.id]}`);
        return model.landed(a);
      }
      await press(page, 'Close this bake');
    }
    const likely = Number(/likely (\d+)/.exec(await page.getByText(/min foretold, likely/).innerText(PATIENCE))?.[1]);
    const [minutes, name] = [likely - 2 + r.upTo(5), `Soak ${r.id} ${++bakes}`];
    const a = model.begin({ what: `log ${name}`, stages: [stage(r, { bakes: by(1), [`bake ${name}`]: minutes })] });
    await page.getByLabel('Minutes in the oven').fill(String(minutes), PATIENCE);
    await page.locator('#notes').fill(name, PATIENCE);
    await press(page, 'log it');
    await sheet.waitFor(PATIENCE);
    (r.notesOf ??= new Map()).set(page, name);
    model.landed(a);
  },
}; // prettier-ignore

/** The Counter: what is begun in one tab goes on in both; a bake that has come out is logged or put down. */
const counter = {
  weight: 2,
  can: (r) => now(r, 'counter') !== undefined || mine(r).length > 0,
  async go(r) {
    await r.page.goto(`/counter/${r.id ?? mine(r)[0]}`);
    await r.page.locator('.run, .start .big').first().waitFor(PATIENCE);
  },
  async act(r) {
    const { model, page, pages } = r;
    const other = pages.find((p) => p !== page);
    const [was, before] = [now(r, 'counter'), await other.evaluate(STATE)];
    const key = await page.evaluate(
      ([began, half]) => {
        const all = [...document.querySelectorAll('.run button, .start .big')].filter((b) => !b.disabled);
        const named = (n) => all.find((b) => b.textContent.trim() === n);
        if (!began) return named('Begin') ? 'Begin' : null;
        if (named('do not log it')) return half ? 'do not log it' : 'just right';
        return ['out already', 'on with it'].find(named) ?? (all.some((b) => b.classList.contains('goKey')) ? '.goKey' : null);
      },
      [was !== undefined, r.upTo(2) === 0],
    );
    if (key === null) return void (await page.waitForTimeout(200));
    const became =
      key === 'Begin' ? { counter: 0 }
      : key === 'just right' ? { counter: undefined, bakes: by(1) }
      : key === 'do not log it' ? { counter: undefined }
      : { counter: () => (n) => n > was };
    const a = model.begin({ what: `counter: ${key}`, stages: [stage(r, became)] });
    await (key === '.goKey' ? page.locator(key).click(PATIENCE) : press(page, key));
    // in the other tab only what is on the disk is seen
    if (key === 'Begin') await other.locator('.run').waitFor(PATIENCE);
    else if (was !== undefined && 'counter' in became && became.counter === undefined) await other.locator('.start').waitFor(PATIENCE);
    else
      for (const end = Date.now() + PATIENCE.timeout; (await other.evaluate(STATE)) === before; ) {
        if (Date.now() > end) throw new Error(`the other tab does not see ${key}: ${before}`);
        await other.waitForTimeout(PATIENCE.polling);
      }
    model.landed(a);
    await r.look();
    // two taps within a third of a second are one
    await page.waitForTimeout(350);
  },
}; // prettier-ignore
const STATE = () =>
  [...document.querySelectorAll('.run .tab.on b, .run section.now, .run .goKey, .start')].map((e) => e.textContent.replaceAll(/\d+/g, '')).join('|'); // prettier-ignore

let recipes = 0;
/** Many recipes at once; what was cut short is gone on with. */
const many = {
  weight: 1,
  longest: 1500,
  can: (r) => now(r, 'shelf') > 0 && now(r, 'shelf') < 40,
  go: shelf.go,
  async act(r) {
    const { page, model } = r;
    const left = now(r, 'taking');
    const good = page.getByRole('button', { name: 'good', exact: true });
    if ((await good.count()) > 0) await good.click(PATIENCE);
    const one = stage(r, { taking: by(-1), shelf: by(1) });
    if (left > 0) {
      const a = model.begin({ what: 'go on with the import', stages: Array.from({ length: left }, () => one) });
      await press(page, 'go on with it');
      await page.getByText(/recipes read/).waitFor(PATIENCE);
      return model.landed(a);
    }
    const titles = Array.from({ length: 3 + r.upTo(4) }, () => `Soak scones ${++recipes}`);
    const text = titles.map((t) => `${t}\n300 g plain flour\n60 g butter\n150 ml milk\n12 g baking powder\nBake at 210 °C for 14 minutes.`); // prettier-ignore
    const a = model.begin({ what: `import ${titles.join(', ')}`, stages: [stage(r, { taking: titles.length }), ...titles.map(() => one)] });
    await page.getByLabel('A recipe to read').fill(text.join('\n---\n'), PATIENCE);
    await press(page, 'read it');
    await page.getByText(`${titles.length} recipes read`).waitFor(PATIENCE);
    model.landed(a);
  },
}; // prettier-ignore

/** @type {Record<string, Place>} */
export const places = { bench, shelf, bin, larder, log, counter, many, kitchens };
