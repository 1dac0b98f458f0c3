import type { Band, Kitchen, Learned, Rack, Tin } from '../formula/types.js';
import type { BakeInput } from './bake-input.js';
import { sumOf } from './normal.js';
import { priorSd, USUAL_NOISE, Z80, type ParamKey } from './priors.js';

/** Where a bake stands and what it is: all that a learned parameter can hang on. */
export interface Place {
  readonly ovenId: string;
  readonly rack?: Rack;
  readonly tin: Pick<Tin, 'id' | 'shape'>;
  readonly formulaId?: string;
}

/** Where a bake is meant to be made: the kitchen's first oven when none is named. */
export const placeOf = (input: BakeInput, kitchen?: Kitchen): Place => ({
  ovenId: input.ovenId ?? kitchen?.ovens[0]?.id ?? 'oven',
  ...(input.rack && { rack: input.rack }),
  tin: input.tin,
  ...(input.formulaId !== undefined && { formulaId: input.formulaId }),
});

/** How a bake's time follows the parameters: d ln(minutes) by one K more in the oven, by ln of heat transfer, by one K more in the middle. */
export interface Slopes {
  readonly perK: number;
  readonly perSpeed: number;
  readonly perDoneK: number;
}
/** A weighted sum of parameters. */
export type Sum = readonly (readonly [key: ParamKey, slope: number])[];

/** How much hotter the air is than the dial at a place, K times `slope`. */
export const airOf = (p: Pick<Place, 'ovenId' | 'rack'>, slope = 1): Sum => [
  [`bias:${p.ovenId}`, slope],
  ...(p.rack && p.rack !== 'middle' ? [[`rack:${p.ovenId}:${p.rack}`, slope] as const] : []),
];
/** ln of heat transfer of this batter in a tin, times `slope`; what a recipe's own time can speak of. */
export const bodyOf = (p: Pick<Place, 'tin' | 'formulaId'>, slope = 1): Sum => [
  [`shape:${p.tin.shape}`, slope],
  [`tin:${p.tin.id}`, slope],
  ...(p.formulaId !== undefined ? [[`batter:${p.formulaId}`, slope] as const] : []),
];
/** ln of all heat transfer at a place, times `slope`. */
export const speedOf = (p: Place, slope = 1): Sum => [[`pace:${p.ovenId}`, slope], ...bodyOf(p, slope)];
/** The parameters of heat for a place, each with its slope in ln(time). */
export const heatAt = (p: Place, s: Slopes): Sum => [...airOf(p, s.perK), ...speedOf(p, s.perSpeed)];
/** The parameters of doneness for a formula, each with its slope in K times `slope`. */
export const donenessOf = (formulaId: string | undefined, slope = 1): Sum => [
  ['done', slope],
  ...(formulaId !== undefined ? [[`done:${formulaId}`, slope] as const] : []),
];

export const NOTHING: Learned = { keys: [], mean: [], cov: [], bakes: [], noise: USUAL_NOISE };

/** What is known of a parameter, or of a sum of some: its 80 % band, and bakes that speak of it. */
export interface Estimate extends Band {
  readonly bakes: number;
}

/** What is known of one parameter, or of a sum of some, in K or ln as the parameters are. */
export function knownOf(learned: Learned | undefined, keys: readonly ParamKey[]): Estimate {
  const l = learned ?? NOTHING;
  const { mean, sd } = sumOf(
    l,
    keys.map((k) => [k, 1] as const),
    priorSd,
  );
  return {
    low: mean - Z80 * sd,
    typical: mean,
    high: mean + Z80 * sd,
    bakes: Math.max(0, ...keys.map((k) => l.bakes[l.keys.indexOf(k)] ?? 0)),
  };
}

/** One sigma of a band of a normal distribution. */
export const sigmaOf = (b: Band): number => (b.high - b.low) / 2 / Z80;

/** What a figure of a batter is to be multiplied by, as the log has taught of this kitchen and this formula. */
export function learnedFactor(
  kitchen: Kitchen | undefined,
  what: 'dense' | 'rise' | 'loss' | 'stand',
  formulaId: string | undefined,
): number {
  if (!kitchen?.learned) return 1;
  return Math.exp(knownOf(kitchen.learned, [what, ...(formulaId === undefined ? [] : [`${what}:${formulaId}` as const])]).typical); // prettier-ignore
}

/** How far an oven is off its dial in all, K: as declared and as learned; with its rack. */
export function ovenOff(kitchen: Kitchen, ovenId: string, rack?: Rack): Estimate {
  const declared = kitchen.ovens.find((o) => o.id === ovenId)?.biasC ?? 0;
  const b = knownOf(
    kitchen.learned,
    airOf({ ovenId, ...(rack && { rack }) }).map(([k]) => k),
  );
  return { low: declared + b.low, typical: declared + b.typical, high: declared + b.high, bakes: b.bakes };
}
