import { withItem } from '../formula/formula.js';
import type { Formula, Ingredient, Item, Kitchen } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import type { Line } from '../leavening/parts.js';
import { matters, type Suspect } from '../plausible/suspects.js';
import type { SuspectRole } from '../plausible/sums.js';
import { asMeasured, pieceGrams } from '../quantity/amount.js';
import { comesInAs, onStep, tidy } from '../quantity/steps.js';
import { capital } from '../text/plain.js';
import type { Family } from './families.js';
import type { Weighed } from './weigh.js';

/** A formula with one suspect put right. */
export interface Mended {
  readonly formula: Formula;
  /** The line as it stood; null where it came in anew. */
  readonly line: Line | null;
  readonly ingredient: Ingredient;
  /** What it weighs now, g, as this kitchen measures it. */
  readonly grams: number;
}

/** Whole eggs stay whole eggs; all else as it is measured. */
function asItWas({ ingredient, grams: was }: Line, grams: number, batterG: number, kitchen: Kitchen): number {
  const piece = pieceGrams(ingredient, kitchen.measures)?.typical;
  const whole =
    ingredient.role === 'egg' &&
    kitchen.schools.eggs === 'whole' &&
    piece !== undefined &&
    Math.abs(was / piece - Math.round(was / piece)) < 0.03;
  return whole ? tidy(Math.max(1, Math.round(grams / piece)) * piece) : onStep(ingredient, grams, batterG, kitchen);
}

/**
 * Undoes what a suspect is suspected of, in its one line and in amounts that this kitchen measures.
 * @returns null where that comes to the same as what stands there, and for a hint of which no line stands out
 */
export function mended(formula: Formula, s: Suspect, w: Weighed, kitchen: Kitchen): Mended | null {
  if (s.sure === 'hint' && !matters(s, w.lines)) return null;
  const { batterG } = w.totals;
  const likely = s.likely ? ingredientOf(s.likely, formula.ingredients, kitchen) : undefined;
  // a line that stands there at nothing is where what is missing belongs
  const emptied =
    s.slip === 'missing' ? w.lines.find((l) => l.grams <= 0 && stoodFor(l.ingredient, likely)) : undefined;
  const line = w.lines.find((l) => l.item.id === s.itemId) ?? emptied ?? null;
  const ingredient = emptied ? emptied.ingredient : (likely ?? line?.ingredient);
  if (!ingredient) return null;
  const grams =
    line && line.grams > 0 && ingredient === line.ingredient
      ? asItWas(line, s.likelyG, batterG, kitchen)
      : comesInAs(ingredient, s.likelyG, batterG, kitchen);
  const entered = { value: grams, unit: 'g' };
  if (!line) {
    if (grams <= 0) return null;
    const name = nameOf(ingredient);
    const item: Item = { id: 'i1', ingredient: ingredient.id, words: `${grams} g ${name}`, entered, grams };
    return { formula: withItem(formula, item), line, ingredient, grams };
  }
  if (ingredient.id === line.ingredient.id && Math.abs(grams - line.grams) < 0.005) return null;
  const groups = formula.groups.map((g) => ({
    ...g,
    items: g.items.map((i): Item => (i.id === line.item.id ? { ...i, ingredient: ingredient.id, grams, entered } : i)),
  }));
  return { formula: { ...formula, groups }, line, ingredient, grams };
}

/** Whether one ingredient has the place of another: of leaveners only what is one of its kind. */
const stoodFor = (is: Ingredient, wanted: Ingredient | undefined): boolean =>
  is.role === wanted?.role && is.leavener === wanted.leavener;

export const nameOf = (i: Ingredient): string => i.name.replace(/,.*/, '').toLowerCase();

/** What more and less of a role does, in a few words. */
const reasons: Readonly<Record<SuspectRole, readonly [more: string, less: string]>> = {
  flour: ['holds its shape and sets', 'not dry and tough'],
  fat: ['more tender, keeps longer', 'less greasy, holds up better'],
  sugar: ['moister and better coloured', 'sets sooner and will not sink'],
  egg: ['more to hold it up', 'less springy'],
  liquid: ['a softer crumb', 'sets through the middle'],
  leavener: ['it will rise as it should', 'it will not rise and fall back'],
  salt: ['not bland', 'not salty'],
};

/** What it is for: of soda the taste first; what hands shape opens where a batter falls back. */
export function reasonFor({ role, slip }: Suspect, { line, ingredient, grams }: Mended, family: Family): string {
  // one press must not bring what someone is allergic to without a word
  const brings = ingredient.allergens.filter((x) => line !== null && !line.ingredient.allergens.includes(x));
  const sour = `the acid that the soda needs to rise${brings.length > 0 ? `; it brings ${brings.join(' and ')}` : ''}`;
  if (ingredient.leavener === 'acid') return sour;
  if (slip === 'name') {
    if (role !== 'leavener') return sour;
    return ingredient.leavener === 'powder' ? 'no soda is left to taste' : 'as much as its acid asks for';
  }
  const more = grams > (line?.grams ?? 0);
  if (role !== 'leavener' || more) return reasons[role][more ? 0 : 1];
  if (ingredient.leavener === 'soda') return 'no more than its acid can meet';
  return family.shaped ? 'it will not open sideways' : reasons[role][1];
}

/** What is done, in a few words: "less plain flour, 375 → 250 g"; null where it reads the same as before. */
export function changeWords({ line, ingredient, grams }: Mended, kitchen: Kitchen): string | null {
  const said = (g: number, i: Ingredient): string =>
    g < 0.05 ? 'none' : asMeasured(g, i, kitchen.measures, line?.item.form);
  const is = said(grams, ingredient);
  if (!line || line.grams <= 0) return `add ${nameOf(ingredient)}, ${is}`;
  const was = said(line.grams, line.ingredient);
  if (line.ingredient.id !== ingredient.id)
    return `${nameOf(ingredient)}, ${is}, instead of ${line.ingredient.name.toLowerCase()}`;
  return was === is ? null : `${grams < line.grams ? 'less' : 'more'} ${nameOf(ingredient)}, ${was} → ${is}`;
}

export const sentence = (words: string, why: string): string => `${capital(words)}: ${why}.`;
