import { ingredientFor, usableGrams } from '../formula/formula.js';
import type { Formula, Kitchen } from '../formula/types.js';
import type { Line } from '../leavening/parts.js';
import { workOf } from '../method/operations.js';
import { amountsFor } from './amounts.js';
import type { StepAmount } from './step.js';

/** A stretch of the method's own words, and what goes in there. */
export interface Worded {
  readonly text: string;
  readonly amounts: readonly StepAmount[];
}

/** Every line of a formula, of all its groups, with its ingredient and usable grams. */
export const linesOfAll = (formula: Formula, kitchen: Kitchen): Line[] =>
  formula.groups.flatMap((g) =>
    g.items.map((item): Line => {
      const ingredient = ingredientFor(formula, item, kitchen);
      return { item, ingredient, grams: usableGrams(item.grams), whole: item.pieces ?? ingredient.pieces ?? false };
    }),
  );

/**
 * The method's own words, entry by entry, cut behind each operation in which something goes in, with how much of it: to print
 * amounts beside the words. The stretches of an entry put together are its text.
 */
export function wordedMethod(formula: Formula, kitchen: Kitchen): readonly (readonly Worded[])[] {
  const work = workOf(formula, kitchen).operations;
  const amounts = amountsFor(work, linesOfAll(formula, kitchen), kitchen);
  return formula.method.map(({ text }, entry) => {
    const ends = work
      .filter((o) => o.place?.entry === entry && (amounts.get(o.id)?.length ?? 0) > 0)
      .map((o) => ({ to: o.place?.to ?? 0, amounts: amounts.get(o.id) ?? [] }))
      .sort((a, b) => a.to - b.to);
    let from = 0;
    const out = ends.map(({ to, amounts: here }): Worded => {
      // the full stop stays behind the amounts
      const at = Math.max(from, to - (/[\s.,;:]*$/.exec(text.slice(from, to))?.[0].length ?? 0));
      const part = { text: text.slice(from, at), amounts: here };
      from = at;
      return part;
    });
    return from < text.length ? [...out, { text: text.slice(from), amounts: [] }] : out;
  });
}
