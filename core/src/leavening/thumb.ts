import { atQuantile } from '../formula/bands.js';
import type { Band, FamilyId, Kitchen } from '../formula/types.js';
import { catalogueRow } from '../ingredient/catalogue.js';
import { asFraction } from '../quantity/numbers.js';
import { teaspoonMl } from '../quantity/units.js';
import { CO2_G_PER_MOL, SODA_G_PER_MOL } from './acids.js';
import { powderIn, type Line } from './parts.js';
import { powderKind, type PowderKind } from './powders.js';

/** Flour that the per-cup rules mean by a cup, g (120–125). */
const CUP_G = 122.5;
/** The kitchen's saying that a teaspoon of soda does what four of powder do. */
const SODA_AS_POWDER = 4;

/** The rule of thumb of spoons per cup of flour, beside the chemistry. */
export interface Thumb {
  readonly powderTspPerCup: number;
  readonly sodaTspPerCup: number;
  /** All of it counted as teaspoons of powder, as the rule does: a quarter teaspoon of soda is one of powder. */
  readonly asPowder: number;
  /** What the rule allows; null where it does not speak of this family. */
  readonly range: readonly [number, number] | null;
  readonly state: 'low' | 'ok' | 'high';
  readonly words: string;
  /** Teaspoons of double-acting powder, in the whole batch, that give 1 mmol of gas to 100 g of flour and cocoa. */
  readonly tspPerMmol: number;
}

/** Teaspoons as a baker says them: eighths below one, quarters above, `a trace` of less. */
export function spoonsOf(tsp: number): string {
  const step = tsp < 1 ? 8 : 4;
  const x = Math.round(tsp * step) / step;
  return x > 0 ? `${asFraction(x)} tsp` : tsp > 0.01 ? 'a trace' : '0 tsp';
}

const SCONES: readonly FamilyId[] = ['biscuit', 'drop-biscuit', 'scone'];
const SILENT: readonly FamilyId[] = ['pound-cake', 'fruit-cake-rich', 'free'];

const spoons = (x: number): string => asFraction(Math.round(Math.max(0, x) * 8) / 8);

/**
 * Teaspoons of powder and soda per cup of flour (cocoa counts as flour). Rules of thumb, general knowledge: 1–1¼ tsp of
 * powder, or ¼ tsp of soda, per cup in muffins, breads and cakes; 1½–2½ in scones and biscuits. It cannot see whether
 * the soda has acid to meet.
 */
export function thumbOf(lines: readonly Line[], baseG: number, family: FamilyId, kitchen: Kitchen): Thumb {
  const spoonMl = teaspoonMl(kitchen.measures);
  const cups = baseG / CUP_G;
  let powder = 0;
  let soda = 0;
  for (const line of lines) {
    const { ingredient, grams } = line;
    if (ingredient.leavener === 'soda') soda += grams / (spoonMl * ingredient.gPerMl);
    else if (ingredient.leavener === 'powder') powder += grams / (spoonMl * ingredient.gPerMl);
    else if (ingredient.co2Mmol) {
      const kind = powderIn(line, kitchen) as PowderKind;
      powder += (grams * ingredient.co2Mmol.typical) / 100 / gasMmolPerG(kind) / (spoonMl * 0.91);
    }
  }
  const per = (x: number): number => (cups > 0 ? x / cups : 0);
  const asPowder = per(powder) + SODA_AS_POWDER * per(soda);
  const range = SILENT.includes(family) ? null : SCONES.includes(family) ? ([1.5, 2.5] as const) : ([1, 1.25] as const);
  // a rule in quarter teaspoons is met within an eighth
  const state = !range ? 'ok' : asPowder < range[0] - 0.125 ? 'low' : asPowder > range[1] + 0.125 ? 'high' : 'ok';
  const have = [
    ...(powder > 0 ? [`${spoons(per(powder))} tsp powder`] : []),
    ...(soda > 0 ? [`${spoons(per(soda))} tsp soda`] : []),
  ].join(' and ');
  const rule = range
    ? `the rule of thumb says ${spoons(range[0])}–${spoons(range[1])} tsp of powder, soda counting four times`
    : 'the rule of thumb does not speak of this kind';
  return {
    powderTspPerCup: per(powder),
    sodaTspPerCup: per(soda),
    asPowder,
    range,
    state,
    words: `${have === '' ? 'No leavener' : have} per cup of flour; ${rule}.`,
    tspPerMmol:
      baseG / 100 / gasMmolPerG(powderKind('double-acting')) / (spoonMl * catalogueRow('baking-powder').gPerMl),
  };
}

/** mmol CO2 that a gram of powder gives when its acids are all used. */
export const gasMmolPerG = (kind: PowderKind): number => (kind.soda.typical / kind.gPerMol) * 1000 * kind.met;
/** Available CO2 of a powder, share of its weight. */
export const availableCo2 = (kind: PowderKind): number => (gasMmolPerG(kind) * CO2_G_PER_MOL) / 1000;

/**
 * Grams of powder that give as much gas as a weight of soda fully met by acid. The acid that the soda used up is then
 * left over as tang.
 */
export function sodaInPowder(sodaG: number, kind: PowderKind = powderKind('double-acting')): Band {
  const mmol = (sodaG / SODA_G_PER_MOL) * 1000;
  const per = (soda: number): number => mmol / ((soda / kind.gPerMol) * 1000 * kind.met);
  return { low: per(kind.soda.high), typical: per(kind.soda.typical), high: per(kind.soda.low) };
}

/** Grams of an acid ingredient that meet a weight of soda, from its acid value (meq per 100 g). */
export function acidToMeet(sodaG: number, acidMeq: Band): Band {
  const g = (meq: number): number => ((sodaG / SODA_G_PER_MOL) * 1000 * 100) / Math.max(meq, 1e-6);
  return { low: g(atQuantile(acidMeq, 0.9)), typical: g(acidMeq.typical), high: g(atQuantile(acidMeq, 0.1)) };
}

/** Home-made powder that uses its soda up: grams of cream of tartar and starch for a weight of soda. */
export const homeMade = (sodaG: number): { readonly tartarG: number; readonly starchG: number } => ({
  tartarG: sodaG * 2.24,
  starchG: sodaG * 0.5,
});
