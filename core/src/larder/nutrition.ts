import { allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { assess, type Assessment } from '../balance/assess.js';
import { piecesOf } from './cost.js';

/** What a weight of food holds, g; energy in kJ and kcal. */
export interface Nutrients {
  readonly kJ: number;
  readonly kcal: number;
  readonly fat: number;
  readonly carbohydrate: number;
  readonly sugars: number;
  readonly fibre: number;
  readonly protein: number;
  readonly salt: number;
}

export interface Nutrition {
  /** Estimates from typical compositions: good to about a tenth, not for a diet or a declaration. */
  readonly per100: Nutrients;
  readonly perPiece: Nutrients;
  readonly pieces: number;
  /** What one piece weighs baked, g; and how much water it lost, % of the batter. */
  readonly pieceG: number;
  readonly lossPct: number;
  readonly words: string;
}

/** Energy of a gram: fat 37 kJ (9 kcal), carbohydrate and protein 17 (4), fibre 8 (2); the usual factors for food labels. */
const KJ = { fat: 37, carbohydrate: 17, protein: 17, fibre: 8 } as const;
const KCAL = { fat: 9, carbohydrate: 4, protein: 4, fibre: 2 } as const;
/** Grams of salt that a gram of sodium is reckoned as on labels. */
const SALT_PER_SODIUM = 2.5;

/**
 * What a piece holds, baked: sums of the ingredients' typical composition, all groups together, over the weight that is
 * left when the water is gone. Soda and powder count as salt by their sodium.
 * @param lossPct water lost in the oven, % of the batter; about a tenth when left out
 * @param a its assessment, where there is one already
 */
export function nutrition(
  formula: Formula,
  kitchen: Kitchen,
  lossPct = 10,
  a: Pick<Assessment, 'crumb' | 'totals'> = assess(formula, kitchen),
): Nutrition {
  const t = { fat: 0, carbohydrate: 0, sugars: 0, fibre: 0, protein: 0, grams: 0 };
  for (const i of allItems(formula)) {
    const g = Math.max(0, i.grams || 0) / 100;
    const c = ingredientFor(formula, i, kitchen).per100;
    t.grams += g * 100;
    t.fat += g * c.fat;
    t.sugars += g * c.sugar;
    t.carbohydrate += g * (c.sugar + c.starch);
    t.fibre += g * c.fibre;
    t.protein += g * c.protein;
  }
  const salt = ((a.crumb.sodium.leavenersMg + a.crumb.sodium.saltMg) * SALT_PER_SODIUM) / 1000;
  const sum = (k: typeof KJ | typeof KCAL): number => t.fat * k.fat + t.carbohydrate * k.carbohydrate + t.protein * k.protein + t.fibre * k.fibre; // prettier-ignore
  const whole: Nutrients = { kJ: sum(KJ), kcal: sum(KCAL), fat: t.fat, carbohydrate: t.carbohydrate, sugars: t.sugars, fibre: t.fibre, protein: t.protein, salt }; // prettier-ignore
  const baked = Math.max(1, t.grams - (a.totals.batterG * Math.max(0, Math.min(40, lossPct))) / 100);
  const pieces = piecesOf(formula);
  return {
    per100: times(whole, 100 / baked),
    perPiece: times(whole, 1 / pieces),
    pieces,
    pieceG: baked / pieces,
    lossPct,
    words: `Estimated from typical ingredients, with ${Math.round(lossPct)} % of the batter lost as water; good to about a tenth. Not for a diet that somebody depends on: ask a dietitian or your clinician.`,
  };
}

const times = (n: Nutrients, k: number): Nutrients => ({
  kJ: n.kJ * k,
  kcal: n.kcal * k,
  fat: n.fat * k,
  carbohydrate: n.carbohydrate * k,
  sugars: n.sugars * k,
  fibre: n.fibre * k,
  protein: n.protein * k,
  salt: n.salt * k,
});
