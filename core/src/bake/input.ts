import { assess } from '../balance/assess.js';
import type { Formula, Kitchen } from '../formula/types.js';
import type { TinFit } from '../tin/fit.js';
import { bakedAs, type BakeInput } from './bake-input.js';
import { compositionOf, doneAtC } from './composition.js';
import { layersOf } from './layers.js';
import { learnedFactor } from './learned.js';

/**
 * What the bake model needs of a formula in one of its tins: weight, density, rise, composition, what is laid on it, and heat.
 * @param fit of the formula in the tin, from `fitTins`
 */
export function bakeInputOf(
  formula: Formula,
  fit: TinFit,
  kitchen: Kitchen,
): BakeInput & { readonly densityGPerMl: number; readonly rise: number } {
  const a = assess(formula, kitchen);
  const composition = compositionOf(formula, kitchen, a);
  const layers = layersOf(formula, kitchen, a.totals.batterG > 0 ? fit.batterG / a.totals.batterG : 0);
  return {
    batterG: fit.batterG,
    tin: fit.tin,
    count: fit.count,
    family: formula.family,
    ovenC: formula.bake?.ovenC ?? 180,
    fan: formula.bake?.fan ?? false,
    ...(formula.bake && bakedAs({ stages: formula.bake.stages, startC: formula.bake.startC, hotTin: formula.bake.hotTin || undefined, conditions: formula.bake.conditions })), // prettier-ignore
    ...(composition && { composition, doneC: doneAtC(a.family.as, composition) }),
    ...(layers.length > 0 && { layers }),
    densityGPerMl: a.batter.densityGPerMl * learnedFactor(kitchen, 'dense', formula.id),
    rise: fit.rise,
    formulaId: formula.id,
  };
}
