import type { Kitchen, Learned, Rack, Tin } from '../formula/types.js';
import { sumOf } from './normal.js';
import type { BakeInput } from './bake-input.js';
import type { Reckoned } from './reckon.js';

/**
 * The parameters that the log teaches, by the first word of their names, with one sigma before anything is known.
 * Times follow from them through each bake's own sensitivities (`reckon`). All are judgements; the study in
 * docs/science/validation.md says how well they serve kitchens made by another law.
 *
 * - `bias:oven` K by which the air is hotter than the dial, beyond what the baker declared
 * - `rack:oven:rack` K more than that at the top or the bottom
 * - `pace:oven` ln of the factor on heat transfer that an oven has in all tins
 * - `shape:shape` the same for all tins of a shape: mostly the model's own error
 * - `tin:id` the same for one tin: about 8 % in time
 * - `batter:formula` the same for one formula's batter
 * - `done` K by which this baker takes everything out warmer in the middle than its family sets
 * - `done:formula` the same for one formula
 * - `thermometer` K by which the kitchen's rack thermometer reads too much
 * - `dense`, `dense:formula` ln of batter density over the reckoned one
 * - `rise`, `rise:formula` ln of baked height over the reckoned one
 * - `loss`, `loss:formula` ln of water lost over the reckoned one
 * - `stand`, `stand:formula` ln of minutes that a batter waits, over `USUAL_WAIT_MIN`
 */
const PRIORS: Readonly<Record<string, number>> = {
  bias: 10,
  rack: 5,
  pace: 0.1,
  shape: 0.1,
  tin: 0.14,
  batter: 0.08,
  done: 1.5,
  thermometer: 2,
  dense: 0.06,
  rise: 0.1,
  loss: 0.25,
  stand: 0.7,
};
/** A parameter that was to be learned anew is called as before, with a mark at its end (`nameAt`). */
export const priorSd = (key: string): number => PRIORS[key.split(/[:~]/)[0] as string] as number;

/** How long a batter waits between the end of mixing and the oven, min, until a kitchen has shown otherwise. */
export const USUAL_WAIT_MIN = 4;
/** One sigma of ln(time) from bake to bake, before the log has shown its own. */
export const USUAL_NOISE = 0.06;

/** Where a bake stands and what it is: all that a learned parameter can hang on. */
export interface Place {
  readonly ovenId: string;
  readonly rack?: Rack;
  readonly tin: Pick<Tin, 'id' | 'shape'>;
  readonly formulaId?: string;
}

/** Where a bake is meant to be made: the kitchen's first oven when none is named. */
export const placeOf = (input: BakeInput, kitchen: Kitchen): Place => ({
  ovenId: input.ovenId ?? kitchen.ovens[0]?.id ?? 'oven',
  ...(input.rack && { rack: input.rack }),
  tin: input.tin,
  ...(input.formulaId !== undefined && { formulaId: input.formulaId }),
});

/** How a bake's time follows the parameters: d ln(time) by each. */
export type Slopes = Pick<Reckoned, 'perK' | 'perSpeed' | 'perDoneK'>;

/** The parameters of heat for a place, each with its slope in ln(time). */
export const heatAt = (p: Place, s: Slopes): (readonly [string, number])[] => [
  [`bias:${p.ovenId}`, s.perK],
  ...(p.rack && p.rack !== 'middle' ? [[`rack:${p.ovenId}:${p.rack}`, s.perK] as const] : []),
  [`pace:${p.ovenId}`, s.perSpeed],
  [`shape:${p.tin.shape}`, s.perSpeed],
  [`tin:${p.tin.id}`, s.perSpeed],
  ...(p.formulaId !== undefined ? [[`batter:${p.formulaId}`, s.perSpeed] as const] : []),
];
/** The parameters of doneness for a formula, each with its slope in K times `slope`. */
export const donenessOf = (formulaId: string | undefined, slope = 1): (readonly [string, number])[] => [
  ['done', slope],
  ...(formulaId !== undefined ? [[`done:${formulaId}`, slope] as const] : []),
];

export const NOTHING: Learned = { keys: [], mean: [], cov: [], bakes: [], noise: USUAL_NOISE };

/** What is known of one parameter, or of a sum of some: mean, one sigma, and bakes that speak of it. */
export function knownOf(
  learned: Learned | undefined,
  keys: readonly string[],
): { mean: number; sd: number; bakes: number } {
  const l = learned ?? NOTHING;
  const sum = sumOf(
    l,
    keys.map((k) => [k, 1] as const),
    priorSd,
  );
  return { ...sum, bakes: Math.max(0, ...keys.map((k) => l.bakes[l.keys.indexOf(k)] ?? 0)) };
}

/** What a figure of a batter is to be multiplied by, as the log has taught of this kitchen and this formula. */
export function learnedFactor(
  kitchen: Kitchen | undefined,
  what: 'dense' | 'rise' | 'loss' | 'stand',
  formulaId: string | undefined,
): number {
  if (!kitchen?.learned) return 1;
  return Math.exp(knownOf(kitchen.learned, [what, ...(formulaId === undefined ? [] : [`${what}:${formulaId}`])]).mean);
}

/** How far an oven is off its dial in all, K: as declared and as learned; with its rack. */
export function ovenOff(kitchen: Kitchen, ovenId: string, rack?: Rack): { mean: number; sd: number; bakes: number } {
  const declared = kitchen.ovens.find((o) => o.id === ovenId)?.biasC ?? 0;
  const b = knownOf(kitchen.learned, [`bias:${ovenId}`, ...(rack && rack !== 'middle' ? [`rack:${ovenId}:${rack}`] : [])]); // prettier-ignore
  return { ...b, mean: declared + b.mean };
}
