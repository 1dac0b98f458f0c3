import { powderKind } from '../leavening/powders.js';
import { gasMmolPerG } from '../leavening/thumb.js';
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

/** What a wish may bring in that the formula has not: powder, where it is to be lighter; one of potassium, for less sodium. */
export function wantedFor(wishes: readonly Wish[], formula: Formula, w: Weighed, kitchen: Kitchen): Candidate[] {
  const lighter = wishes.some((x) => x.kind === 'trait' && x.trait === 'crumb' && x.min !== undefined);
  const powdered = w.lines.some((l) => l.grams > 0 && l.ingredient.leavener === 'powder');
  const free = wishes.some(lessSodium) ? sodiumFreeFor(formula, w, kitchen) : [];
  if (!lighter || powdered || w.lift.state === 'low') return free;
  return [
    ...free,
    { ...candidateOf(formula, 'baking-powder', 0.05 * Math.max(w.totals.baseG, 1), kitchen), why: 'a more open crumb' },
  ];
}

/** Whether less sodium is wished for. */
export const lessSodium = (x: Wish): boolean =>
  (x.kind === 'measure' && x.of === 'sodium' && x.max !== undefined) ||
  (x.kind === 'change' && x.of === 'sodium' && x.byPct < 0);

/**
 * Where powder brings sodium, one that brings potassium may take over a part of its work; and of that in self-raising flour
 * too, beside the same flour without it.
 */
export function sodiumFreeFor(formula: Formula, w: Weighed, kitchen: Kitchen): Candidate[] {
  const there = w.lines.filter((l) => l.grams > 0);
  if (there.some((l) => l.ingredient.powder === 'low-sodium')) return [];
  const raised = there.filter((l) => l.ingredient.unraised !== undefined);
  // as much of it as gives the gas of the flour
  const gas = raised.reduce((s, l) => s + ((l.ingredient.co2Mmol?.typical ?? 0) * l.grams) / 100, 0);
  const raisedBy = gas / gasMmolPerG(powderKind('low-sodium'));
  const sum = (of: typeof there): number => of.reduce((s, l) => s + l.grams, 0);
  const maxG = 1.5 * sum(there.filter((l) => l.ingredient.leavener === 'powder')) + raisedBy;
  if (maxG <= 0) return [];
  const why = 'it lifts with potassium in the place of sodium';
  const plain = [...new Set(raised.map((l) => l.ingredient.unraised as string))];
  return [
    { ...candidateOf(formula, 'baking-powder-low-sodium', maxG, kitchen), why },
    ...plain
      .filter((id) => !there.some((l) => l.ingredient.id === id))
      .map((id): Candidate => {
        const most = sum(raised.filter((l) => l.ingredient.unraised === id));
        return { ...candidateOf(formula, id, most, kitchen), why: 'flour without the powder that is in the other' };
      }),
  ];
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
