import { massIn } from '../quantity/figures.js';
import { allergensOf } from '../balance/cautions.js';
import { keepingOf } from '../finish/keeping.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { dietsOf, type Diet } from '../ingredient/diet.js';
import { nutrition } from './nutrition.js';

/** What a stall's label says of a bake, as text, with what it leaves to the law of the place. */
export interface StallLabel {
  readonly title: string;
  /** In falling order of weight, allergens in capitals. */
  readonly ingredients: string;
  readonly contains: readonly string[];
  readonly mayContain: readonly string[];
  readonly diets: readonly Diet[];
  readonly weight: string;
  readonly keeps: string;
  /** Always there: what a label by law needs besides is not known here. */
  readonly caution: string;
  readonly text: string;
}

const DIETS: readonly Diet[] = ['vegan', 'vegetarian', 'gluten-free', 'dairy-free', 'egg-free', 'nut-free'];

/** `Ginger, ground` as one says it, without what was only done to it in the kitchen. */
const plainly = (name: string): string =>
  name
    .replace(/, (?:diced|grated|mashed|stoned|crushed|chopped|sliced|shredded|cooked)$/, '')
    .replace(/^([^,]+), ([a-z -]+)$/i, (_, what: string, how: string) => `${how} ${what.toLowerCase()}`);

/** Diets that all ingredients suit by what they are made of. */
export function dietsOfFormula(f: Formula, kitchen: Kitchen): Diet[] {
  const each = allItems(f).filter((i) => i.grams > 0).map((i) => dietsOf(ingredientFor(f, i, kitchen))); // prettier-ignore
  // what may be there in traces is not free of it
  const traces = f.mayContain ?? [];
  const without: Partial<Record<Diet, RegExp>> = { 'gluten-free': /gluten|wheat|rye|barley|oats/, 'dairy-free': /milk/, 'egg-free': /egg/, 'nut-free': /nut|almond|pecan|pistachio|cashew|macadamia/ }; // prettier-ignore
  return DIETS.filter((d) => each.every((x) => x.includes(d)) && !traces.some((t) => without[d]?.test(t)));
}

export const STALL_CAUTION =
  'Selling home baking falls under local food law: ask your local authority what a label, a kitchen and a price list must have before you sell. Allergens here come from the ingredients as typed; check every packet.';

/** Label text for a stall: name, ingredients by weight with allergens in capitals, may contain, weight, keeping. */
export function stallLabel(f: Formula, kitchen: Kitchen, lossPct?: number): StallLabel {
  const sums = new Map<string, { name: string; grams: number; allergens: readonly string[] }>();
  for (const item of allItems(f)) {
    if (!(item.grams > 0)) continue;
    const i = ingredientFor(f, item, kitchen);
    const name = plainly(i.name);
    const had = sums.get(i.id);
    const allergens = [...new Set([...(had?.allergens ?? []), ...i.allergens])];
    sums.set(i.id, { name, grams: (had?.grams ?? 0) + item.grams, allergens });
  }
  const ingredients = [...sums.values()]
    .sort((a, b) => b.grams - a.grams)
    .map((x) =>
      x.allergens.length > 0
        ? `${x.name.toLowerCase()} (${x.allergens.map((a) => a.toUpperCase()).join(', ')})`
        : x.name.toLowerCase(),
    ) // prettier-ignore
    .join(', ');
  const contains = allergensOf(f, kitchen);
  const mayContain = [...(f.mayContain ?? [])].filter((a) => !contains.includes(a)).sort();
  const n = nutrition(f, kitchen, lossPct);
  const grams = n.pieceG >= 200 ? Math.round(n.pieceG / 10) * 10 : Math.round(n.pieceG / 5) * 5;
  const weight =
    n.pieces > 1
      ? `${n.pieces} pieces of about ${massIn(kitchen.display, grams)}`
      : `about ${massIn(kitchen.display, grams)}`;
  const keeps = `${keepingOf(f).keep}.`;
  const text = [
    f.title,
    `Ingredients: ${ingredients}.`,
    contains.length > 0 ? `Contains: ${contains.join(', ')}.` : 'No listed allergen among the ingredients.',
    ...(mayContain.length > 0 ? [`May contain: ${mayContain.join(', ')}.`] : []),
    `Weight: ${weight}.`,
    `Keeping: ${keeps}`,
  ].join('\n');
  return { title: f.title, ingredients, contains, mayContain, diets: dietsOfFormula(f, kitchen), weight, keeps, caution: STALL_CAUTION, text }; // prettier-ignore
}
