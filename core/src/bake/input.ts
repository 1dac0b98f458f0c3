import { assess, type Assessment } from '../balance/assess.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { linesOf } from '../leavening/parts.js';
import type { TinFit } from '../tin/fit.js';
import { learnedFactor } from './learned.js';
import type { BakeInput } from './predict.js';

/** Mass fractions of a batter that conduct, store and colour: all water, all fat, sugar, milk's and egg's solids. */
export function compositionOf(formula: Formula, kitchen: Kitchen, a: Assessment): BakeInput['composition'] {
  let [all, water, fat, sugar, milk] = [0, 0, 0, 0, 0];
  for (const { ingredient, grams } of linesOf(formula, kitchen)) {
    const c = ingredient.per100;
    all += grams;
    water += (grams * c.water) / 100;
    fat += (grams * c.fat) / 100;
    sugar += (grams * c.sugar) / 100;
    if (ingredient.role === 'egg' || ingredient.allergens.includes('milk'))
      milk += (grams * (100 - c.water - c.fat)) / 100;
  }
  if (!(all > 0)) return undefined;
  return {
    water: water / all,
    fat: fat / all,
    sugar: sugar / all,
    milk: milk / all,
    leftSoda: a.ledger.leftSodaGPer100gBatter.typical,
  };
}

/**
 * What the bake model needs of a formula in one of its tins: weight, density, rise, composition and heat.
 * @param fit of the formula in the tin, from `fitTins`
 */
export function bakeInputOf(
  formula: Formula,
  fit: TinFit,
  kitchen: Kitchen,
): BakeInput & { readonly densityGPerMl: number; readonly rise: number } {
  const a = assess(formula, kitchen);
  const composition = compositionOf(formula, kitchen, a);
  return {
    batterG: fit.batterG,
    tin: fit.tin,
    count: fit.count,
    family: formula.family,
    ovenC: formula.bake?.ovenC ?? 180,
    fan: formula.bake?.fan ?? false,
    ...(formula.bake?.stages && { stages: formula.bake.stages }),
    ...(formula.bake?.hotTin && { hotTin: true }),
    ...(composition && { composition }),
    densityGPerMl: a.batter.densityGPerMl * learnedFactor(kitchen, 'dense', formula.id),
    rise: fit.rise,
    formulaId: formula.id,
  };
}
