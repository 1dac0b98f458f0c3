import {
  assess,
  bakeInputOf,
  beside,
  bowlPlan,
  builds,
  cost,
  cutPlan,
  cutSlab,
  diagnose,
  explain,
  explainable,
  explainableOfItem,
  explainBake,
  explainFit,
  allItems,
  finish,
  fitTins,
  ingredients,
  keepingOf,
  laterOf,
  madeAndBaked,
  nutrition,
  planDay,
  predictBake,
  rankTins,
  roundings,
  scale,
  shopping,
  sliceOf,
  stallLabel,
  steps,
  symptoms,
  workOf,
  type Formula,
  type Kitchen,
} from '../../src/index.js';

/** One text that a baker may be shown, and where it comes from. */
export interface Sentence {
  readonly from: string;
  readonly text: string;
}

/** Values that hold the baker's own words, names of the kit, or what no screen shows. */
const OWN = new Set(['formula', 'item', 'items', 'ingredient', 'tin', 'tins', 'title', 'id', 'key', 'method', 'groups', 'source', 'kitchen', 'step', 'said', 'place', 'edit', 'unit', 'text', 'input', 'build']); // prettier-ignore

/** Every string within a value but the baker's own. */
export function stringsOf(from: string, value: unknown, out: Sentence[] = [], seen = new Set<object>()): Sentence[] {
  if (typeof value === 'string') out.push({ from, text: value });
  else if (value !== null && typeof value === 'object' && !seen.has(value)) {
    seen.add(value);
    for (const [k, v] of Object.entries(value))
      if (!OWN.has(k) || Array.isArray(value)) stringsOf(`${from}.${Array.isArray(value) ? '' : k}`, v, out, seen);
  }
  return out;
}

/** What the core says of a formula in a kitchen, wherever it speaks without being asked for a search. */
export function sentencesOf(f: Formula, kitchen: Kitchen): Sentence[] {
  const out: Sentence[] = [];
  const hear = (from: string, of: () => unknown): void => void stringsOf(from, of(), out);
  const a = assess(f, kitchen);
  hear('assess', () => ({ ...a, family: null }));
  hear('slice', () => sliceOf(f, a, kitchen));
  for (const key of explainable) hear(`explain ${key}`, () => explain(f, key, kitchen));
  for (const i of allItems(f).slice(0, 6)) for (const key of explainableOfItem) hear(`explain ${key}`, () => explain(f, `${key}:${i.id}`, kitchen)); // prettier-ignore
  hear('work', () => workOf(f, kitchen));
  hear('steps', () => steps(f, {}, kitchen));
  hear('day', () => planDay([{ id: 'a', formula: f }], kitchen, 1e12, 1e12 - 9e7));
  hear('later', () => laterOf(f, kitchen));
  hear('later, frozen', () => laterOf(f, kitchen, { frozen: true }));
  hear('bowls', () => bowlPlan(scale(f, { by: 'factor', factor: 9 }, kitchen).formula, kitchen));
  hear('scale', () => scale(f, { by: 'factor', factor: 1.37 }, kitchen).eggs);
  hear('portions', () => madeAndBaked(f, kitchen));
  hear('tins ranked', () => rankTins(f, kitchen.tins, kitchen));
  hear('cost', () => cost(f, kitchen));
  hear('nutrition', () => nutrition(f, kitchen));
  hear('label', () => stallLabel(f, kitchen));
  hear('shopping', () => shopping([{ formula: f }], {}, kitchen));
  hear('beside', () => beside(f, scale(f, { by: 'factor', factor: 2 }, kitchen).formula, kitchen));
  hear('keeping', () => keepingOf(f));
  for (const i of ingredients.slice(0, 6))
    hear('roundings', () => roundings(123, i, kitchen.measures, kitchen.display));
  const uses = f.tins ?? [];
  if (uses.length > 0) {
    const fits = fitTins(f, uses, kitchen);
    hear('fit', () => fits);
    for (const build of builds.slice(0, 8))
      hear('finish', () => finish(fits, { id: build.id, stacked: true, sides: true }, kitchen));
    const [fit] = fits;
    if (fit) {
      hear('fit explained', () => explainFit(fit, kitchen));
      const input = bakeInputOf(f, fit, kitchen);
      const p = predictBake(input, kitchen);
      hear('bake', () => ({ ...p, curve: [], after: [] }));
      hear('bake explained', () => explainBake(fit, p, kitchen));
      hear('cut', () => cutPlan(fit.tin, 12, kitchen));
      if (fit.tin.shape === 'slab') hear('slab', () => cutSlab(fit.batterG, 1.1, 'rounds', 60, 22, 8, kitchen));
    }
  }
  for (const s of symptoms.slice(0, 4)) hear('diagnosis', () => diagnose({ formula: f }, [s.id], kitchen));
  return out;
}
