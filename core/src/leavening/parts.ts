import { batterItems, ingredientFor, usableGrams } from '../formula/formula.js';
import type { Band, Formula, Ingredient, Item, Kitchen, PowderType } from '../formula/types.js';
import { powderKind, SODA_G_PER_MOL, strengthShare } from './powders.js';

/** Three joint readings of everything uncertain: all acids and strengths at their low, typical or high end. */
export const scenarios = ['low', 'typical', 'high'] as const;
export type Scenario = (typeof scenarios)[number];

/** Share of a whole piece's acid (berry, chip, raisin) that meets the batter: 0–20 %. */
const PIECES_SHARE: Band = { low: 0, typical: 0.1, high: 0.2 };

export interface Line {
  readonly item: Item;
  readonly ingredient: Ingredient;
  readonly grams: number;
}

export const linesOf = (formula: Formula, kitchen?: Kitchen): Line[] =>
  batterItems(formula).map((item) => ({
    item,
    ingredient: ingredientFor(formula, item, kitchen),
    grams: usableGrams(item.grams),
  }));

/** Milliequivalents of acid that an item lends to the batter, in one scenario; negative when it is alkaline. */
export function acidOf({ item, ingredient, grams }: Line, s: Scenario): number {
  const acid = ingredient.acidMeq;
  if (!acid) return 0;
  const whole = item.pieces ?? ingredient.pieces ?? false;
  return (acid[s] * grams * (whole ? PIECES_SHARE[s] : 1)) / 100;
}

/** Bicarbonate (mmol) that an item brings, apart by where its acid comes from, in one scenario. */
export interface Bicarbonate {
  readonly free: number;
  readonly powder: number;
  /** mmol that the powder's own acids can meet. */
  readonly ownAcid: number;
  /** Share of the powder's gas that comes at the bench. */
  readonly bench: number;
}

const none: Bicarbonate = { free: 0, powder: 0, ownAcid: 0, bench: 0 };

export function powderTypeOf(ingredient: Ingredient, kitchen?: Kitchen): PowderType {
  return ingredient.powder ?? kitchen?.powders[0]?.type ?? 'double-acting';
}

export function bicarbonateOf({ ingredient, grams }: Line, s: Scenario, kitchen?: Kitchen): Bicarbonate {
  if (grams === 0) return none;
  if (ingredient.leavener === 'soda') return { ...none, free: (grams / SODA_G_PER_MOL) * 1000 };
  if (ingredient.leavener === 'powder') {
    const kind = powderKind(powderTypeOf(ingredient, kitchen));
    const strength = strengthShare[kitchen?.powders[0]?.strength ?? 'vigorous'][s];
    const powder = ((grams * kind.soda[s]) / kind.gPerMol) * 1000 * strength;
    return { free: 0, powder, ownAcid: powder * kind.met, bench: kind.bench.typical };
  }
  if (ingredient.co2Mmol) {
    const powder = (grams * ingredient.co2Mmol[s]) / 100;
    return { free: 0, powder, ownAcid: powder, bench: powderKind('aluminium-free').bench.typical };
  }
  return none;
}
