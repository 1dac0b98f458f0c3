import type { Line } from '../leavening/parts.js';
import type { Consistency, Family } from './families.js';
import { isDrySugar, isSyrup } from '../ingredient/kinds.js';

export interface Totals {
  readonly batterG: number;
  readonly flourG: number;
  /** Flour + cocoa, and nut flour where flour is under a fifth of it: the base of lift. */
  readonly baseG: number;
  /** All water but flour's own and that of whole pieces. */
  readonly waterG: number;
  readonly waterPct: number;
  readonly fatPct: number;
  readonly sugarPct: number;
  readonly eggPct: number;
  readonly saltPct: number;
  /** Water that cocoa, bran, coconut and the like drink beyond plain flour's share, g. */
  readonly drunkG: number;
  /** Water that is left for the flour once they have drunk, g and per 100 flour: the true hydration. */
  readonly availableG: number;
  readonly availablePct: number;
  /** Fat, sugar and egg as weighed, g, for figures that need them. */
  readonly fatG: number;
  readonly sugarG: number;
  readonly eggG: number;
  readonly saltG: number;
  readonly cocoaG: number;
  /** Ground nuts, g. */
  readonly nutG: number;
  /** Fat of milk, yolk, nuts and cheese, which the fat figure leaves out, g. */
  readonly otherFatG: number;
  readonly proteinG: number;
  /** Milk, buttermilk, water, juice and the like as weighed, g. */
  readonly liquidG: number;
  /** What is folded in whole: fruit, nuts, chips, cheese, g. */
  readonly piecesG: number;
  /** What names some families: maize meal (not its starch), and syrups and treacle, g. */
  readonly maizeG: number;
  readonly semolinaG: number;
  readonly syrupG: number;
  /** Fat and sugar that can be creamed together, g. */
  readonly creamableG: number;
}

/**
 * Sums a batter. Percentages are baker's percentages: flours, meals and starches together are 100. A formula without
 * flour is counted against its base, so that nothing divides by zero; a verdict says that the flour is missing.
 */
export function totalsOf(lines: readonly Line[]): Totals {
  let batterG = 0,
    flourG = 0,
    nutG = 0,
    cocoaG = 0,
    waterG = 0,
    fatG = 0,
    otherFatG = 0,
    sugarG = 0,
    eggG = 0,
    saltG = 0,
    drunkG = 0,
    proteinG = 0,
    liquidG = 0,
    piecesG = 0,
    maizeG = 0,
    semolinaG = 0,
    syrupG = 0,
    creamableG = 0;
  for (const { ingredient, grams, whole } of lines) {
    const c = ingredient.per100;
    const share = grams / 100;
    batterG += grams;
    proteinG += c.protein * share;
    if (ingredient.base === 'flour') flourG += grams;
    if (ingredient.base === 'nut') nutG += grams;
    if (ingredient.base === 'cocoa') cocoaG += grams;
    if (ingredient.role === 'egg') eggG += grams;
    if (ingredient.grain === 'maize') maizeG += grams;
    if (ingredient.grain === 'semolina') semolinaG += grams;
    if (isSyrup(ingredient)) syrupG += grams;
    if (ingredient.role === 'liquid') liquidG += grams;
    if (ingredient.role === 'fat' || isDrySugar(ingredient)) creamableG += grams;
    saltG += (ingredient.saltG ?? 0) * share;
    if (whole) {
      piecesG += grams;
      continue;
    }
    if (ingredient.base !== 'flour') waterG += c.water * share;
    if (ingredient.fatCounts) fatG += c.fat * share;
    else otherFatG += c.fat * share;
    if (ingredient.sugarCounts) sugarG += c.sugar * share;
    drunkG += (ingredient.drinks ?? 0) * grams;
  }
  const nutCounts = nutG > 0 && flourG < nutG / 5 ? nutG : 0;
  const baseG = flourG + cocoaG + nutCounts;
  const per = flourG > 0 ? 100 / flourG : baseG > 0 ? 100 / baseG : 0;
  return {
    batterG,
    flourG,
    baseG,
    waterG,
    drunkG,
    availableG: waterG - drunkG,
    availablePct: (waterG - drunkG) * per,
    fatG,
    otherFatG,
    sugarG,
    eggG,
    saltG,
    cocoaG,
    nutG,
    proteinG,
    liquidG,
    piecesG,
    maizeG,
    semolinaG,
    syrupG,
    creamableG,
    waterPct: waterG * per,
    fatPct: fatG * per,
    sugarPct: sugarG * per,
    eggPct: eggG * per,
    saltPct: saltG * per,
  };
}

/** How loose a batter is: free water, a share of fat and of dissolved sugar, over flour and cocoa. */
export const looseness = (t: Totals): number =>
  t.baseG > 0 ? (Math.max(0, t.waterG - 0.6 * t.drunkG) + 0.3 * t.fatG + 0.25 * t.sugarG) / t.baseG : 0;

/** Class of a batter by looseness; the edges are set between families whose batters bakers name so. */
export function consistencyOf(t: Totals): Consistency {
  // without flour there is nothing to thicken it
  if (t.baseG <= 0) return 'pourable';
  const l = looseness(t);
  return l < 0.82 ? 'dough' : l < 1.15 ? 'drop' : l < 1.72 ? 'thick' : 'pourable';
}

export const consistencyWords: Readonly<Record<Consistency, string>> = {
  dough: 'a dough that holds its shape',
  drop: 'drops in lumps from the spoon',
  thick: 'thick, falls slowly from the spoon',
  pourable: 'pours',
};

/** How heavy a batter is for its family, 0–1, by how loose it is. */
export const heaviness = (t: Totals): number => Math.min(1, Math.max(0, (looseness(t) - 0.7) / 1.4));

/** Raw density, g/ml: the family's range, towards its dense end as the batter gets wetter and less creamed. */
export function densityOf(t: Totals, family: Family): number {
  const [lo, hi] = family.density;
  const heavy = heaviness(t);
  return lo + (hi - lo) * (family.creamed ? 0.35 + 0.4 * heavy : 0.3 + 0.5 * heavy);
}
