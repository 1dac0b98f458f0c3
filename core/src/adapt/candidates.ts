import type { Weighed } from '../balance/weigh.js';
import type { Formula, Item, Kitchen } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { freshId, groupFor } from './bowl.js';
import type { Candidate, Wish } from './types.js';

/** Lines that would mend what is left and are not in the formula at all: a leavener, a liquid, fat, sugar or egg. */
export function missingFrom(formula: Formula, w: Weighed, kitchen: Kitchen): Candidate[] {
  const { totals: t, family: f } = w;
  const has = (test: (l: (typeof w.lines)[number]) => boolean): boolean => w.lines.some((l) => l.grams > 0 && test(l));
  const out: Candidate[] = [];
  const add = (ingredient: string, maxG: number, why: string): void => {
    if (has((l) => l.ingredient.id === ingredient)) return;
    out.push({ ...candidateOf(formula, ingredient, maxG, kitchen), reluctance: 1.6, why });
  };
  const flour = Math.max(t.flourG, 1);
  const left = w.ledger.leftSodaGPer100gBatter.typical;
  if (w.lift.state === 'low' && !has((l) => l.ingredient.leavener === 'powder'))
    add('baking-powder', 0.09 * flour, 'it rises as it should');
  if (left > 0.1) {
    add('cream-of-tartar', 0.05 * flour, 'acid for the soda that has none');
    add('lemon-juice', 0.2 * flour, 'acid for the soda that has none');
  }
  if (f.id === 'free') return out;
  if (t.waterPct < f.water[0] && !has((l) => l.ingredient.role === 'liquid'))
    add('milk', 1.3 * flour, 'enough water for the flour');
  if (t.fatPct < f.fat[0] && !has((l) => l.ingredient.role === 'fat' && !l.whole))
    add(
      f.creamed || f.methods[0] === 'rub-in' ? 'butter' : 'neutral-oil',
      f.fat[1] * 0.012 * flour,
      'tender, and it keeps longer',
    );
  if (t.sugarPct < f.sugar[0] && !has((l) => l.ingredient.role === 'sugar'))
    add('caster-sugar', f.sugar[1] * 0.01 * flour, 'moister and better coloured');
  return out;
}

/** What a wish may bring in that the formula has not: powder, where it is to be lighter. */
export function wantedFor(wishes: readonly Wish[], formula: Formula, w: Weighed, kitchen: Kitchen): Candidate[] {
  const lighter = wishes.some((x) => x.kind === 'trait' && x.trait === 'crumb' && x.min !== undefined);
  const powdered = w.lines.some((l) => l.grams > 0 && l.ingredient.leavener === 'powder');
  if (!lighter || powdered || w.lift.state === 'low') return [];
  return [
    { ...candidateOf(formula, 'baking-powder', 0.05 * Math.max(w.totals.baseG, 1), kitchen), why: 'a more open crumb' },
  ];
}

/** Where powder brings sodium, one that brings potassium may take over a part of its work. */
export function sodiumFreeFor(formula: Formula, w: Weighed, kitchen: Kitchen): Candidate[] {
  const powders = w.lines.filter((l) => l.grams > 0 && l.ingredient.leavener === 'powder');
  if (powders.length === 0 || powders.some((l) => l.ingredient.powder === 'low-sodium')) return [];
  const maxG = 1.5 * powders.reduce((s, l) => s + l.grams, 0);
  const why = 'it lifts with potassium in the place of sodium';
  return [{ ...candidateOf(formula, 'baking-powder-low-sodium', maxG, kitchen), why }];
}

/** A new line of an ingredient, not in the formula yet. */
export function candidateOf(
  formula: Formula,
  ingredient: string,
  maxG: number,
  kitchen: Kitchen,
  taken?: ReadonlySet<string>,
): Candidate {
  const row = ingredientOf(ingredient, formula.ingredients, kitchen);
  const item: Item = {
    id: freshId(formula, ingredient, taken),
    ingredient,
    words: row.name.toLowerCase(),
    entered: null,
    grams: 0,
  };
  return { item, groupId: groupFor(formula, row.role, kitchen), reluctance: 1, maxG };
}
