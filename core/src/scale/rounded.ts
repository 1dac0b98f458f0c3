import { assess } from '../balance/assess.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { onStep } from '../quantity/steps.js';
import { totalsOf } from '../balance/totals.js';
import { linesOf } from '../leavening/parts.js';

/** How one figure of the balance moves when amounts are rounded. */
export interface Shift {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly unit: string;
  /** Whether a baker would notice. */
  readonly matters: boolean;
}

export interface RoundedFormula {
  readonly formula: Formula;
  /** Lines whose grams changed. */
  readonly changed: readonly { readonly itemId: string; readonly fromG: number; readonly toG: number }[];
  readonly shifts: readonly Shift[];
  readonly words: string;
}

/** Changes beyond these are felt: lift by 6 %, water, fat and sugar by 3 points of flour. Judgements. */
const FELT = { lift: 0.06, points: 3 } as const;

/**
 * Every line on the steps this kitchen measures in (eighths of a teaspoon, half eggs, whole grams of the scale), and
 * what that does to the balance. Nothing is rounded to zero.
 */
export function roundToKitchen(formula: Formula, kitchen: Kitchen): RoundedFormula {
  const batterG = totalsOf(linesOf(formula, kitchen)).batterG;
  const changed: { itemId: string; fromG: number; toG: number }[] = [];
  const rounded: Formula = {
    ...formula,
    groups: formula.groups.map((g) => ({
      ...g,
      items: g.items.map((item) => {
        const toG = onStep(ingredientFor(formula, item, kitchen), item.grams, batterG, kitchen);
        if (toG <= 0 || Math.abs(toG - item.grams) < 0.005) return item;
        changed.push({ itemId: item.id, fromG: item.grams, toG });
        return { ...item, grams: toG, entered: null };
      }),
    })),
  };
  const shifts = shiftsOf(formula, rounded, kitchen);
  const felt = shifts.filter((s) => s.matters);
  const words =
    changed.length === 0
      ? 'every line can be measured as it is'
      : felt.length === 0
        ? 'rounding changes nothing a baker would notice'
        : `rounding moves ${felt.map((s) => `${s.name} from ${s.from.toFixed(1)} to ${s.to.toFixed(1)} ${s.unit}`).join(', ')}`;
  return { formula: rounded, changed, shifts, words };
}

function shiftsOf(before: Formula, after: Formula, kitchen: Kitchen): Shift[] {
  const [a, b] = [assess(before, kitchen), assess(after, kitchen)];
  const lift: Shift = {
    name: 'lift',
    from: a.lift.mmolPer100gBase.typical,
    to: b.lift.mmolPer100gBase.typical,
    unit: 'mmol per 100 g of flour',
    matters:
      Math.abs(b.lift.mmolPer100gBase.typical - a.lift.mmolPer100gBase.typical) >
      FELT.lift * Math.max(1, a.lift.mmolPer100gBase.typical),
  };
  const points = (['waterPct', 'fatPct', 'sugarPct', 'eggPct'] as const).map((key): Shift => {
    const [from, to] = [a.totals[key], b.totals[key]];
    return { name: key.replace('Pct', ''), from, to, unit: '% of flour', matters: Math.abs(to - from) > FELT.points };
  });
  return [lift, ...points];
}

/** Factors near the one wanted at which every egg of the formula is a whole one, nearest first. */
export function wholeEggFactors(formula: Formula, factor: number, eggG: number): { factor: number; eggs: number }[] {
  const grams = allItems(formula)
    .filter((i) => i.ingredient === 'egg')
    .reduce((s, i) => s + i.grams, 0);
  if (!(grams > 0) || !(eggG > 0) || !(factor > 0)) return [];
  const wanted = (grams * factor) / eggG;
  return [Math.floor(wanted), Math.ceil(wanted)]
    .filter((n, i, all) => n > 0 && all.indexOf(n) === i)
    .map((eggs) => ({ eggs, factor: (eggs * eggG) / grams }))
    .sort((x, y) => Math.abs(x.factor - factor) - Math.abs(y.factor - factor));
}
