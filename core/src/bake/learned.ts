import type { Kitchen, Learned, Rack, Tin } from '../formula/types.js';
import { sumOf } from './normal.js';
import type { BakeInput } from './predict.js';
import { degreesMore } from '../quantity/degrees.js';
import type { Calibration, KnownBake } from './calibrate.js';
import { reckon, type Reckoned } from './reckon.js';

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
export const priorSd = (key: string): number =>
  PRIORS[key.slice(0, (key.indexOf(':') + 1 || key.length + 1) - 1)] ?? 0.1;

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

const NOTHING: Learned = { keys: [], mean: [], cov: [], bakes: [], noise: USUAL_NOISE };

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

/** Typical slopes where a bake's own are not worth a simulation: for how sure a time is. See docs/science/bake.md. */
const typicalSlopes = (shape: Tin['shape']): Slopes =>
  shape === 'loaf' || shape === 'tube'
    ? { perK: -0.0072, perSpeed: -0.44, perDoneK: 0.022 }
    : { perK: -0.012, perSpeed: -0.62, perDoneK: 0.02 };

/** One sigma of ln of a recipe's stated time: the spread of recipes, and its author's oven. */
const STATED_SD = 0.12;

/**
 * What the log, and a recipe's own stated time, say of one bake to come: the heat it really gets, and when this baker
 * takes it out. A stated time speaks of the formula and of tins of its shape, not of this kitchen's oven.
 *
 * @param known the formula's stated time in its own tin, if it has one
 */
export function calibrationFor(place: Place, known: KnownBake | null, kitchen: Kitchen | undefined): Calibration {
  const learned = kitchen?.learned ?? NOTHING;
  const slopes = typicalSlopes(place.tin.shape);
  const heat = heatAt(place, slopes);
  const speedKeys = heat.filter(([k]) => !/^(?:bias|rack):/.test(k)).map(([k]) => k);
  const biasKeys = heat.filter(([k]) => /^(?:bias|rack):/.test(k)).map(([k]) => k);
  const all = [...heat, ...donenessOf(place.formulaId, slopes.perDoneK)];
  let speed = knownOf(learned, speedKeys);
  const bias = knownOf(learned, biasKeys);
  const done = knownOf(
    learned,
    donenessOf(place.formulaId).map(([k]) => k),
  );
  let time = sumOf(learned, all, priorSd);
  const doubts: string[] = [];
  let stated = 0;
  const r = known && reckon(known.input, kitchen);
  if (known && r) {
    // of what the stated time can speak: this formula's batter, and the model in tins of that shape or that very tin
    const of = known.input.tin;
    const about = [
      ...(place.formulaId !== undefined ? [`batter:${place.formulaId}`] : []),
      `shape:${of.shape}`,
      `tin:${of.id}`,
    ];
    const shared = about.filter((k) => speedKeys.includes(k));
    const y = Math.log(known.minutes / r.minutes);
    const before = sumOf(
      learned,
      about.map((k) => [k, r.perSpeed] as const),
      priorSd,
    );
    const gap = y - before.mean;
    const spread = Math.hypot(before.sd, STATED_SD);
    if (Math.abs(gap) > 4 * spread)
      doubts.push(
        `${Math.round(known.minutes)} min in ${of.name || 'that tin'} is ${gap > 0 ? 'slower' : 'faster'} than any ordinary oven: check the time, the heat and the tin.`,
      );
    else {
      // how the sum of what is asked moves with the sum that was stated; what the log knows well hardly moves
      const cross = covariance(learned, speedKeys, about) * r.perSpeed;
      const gain = cross / spread ** 2;
      speed = { ...speed, mean: speed.mean + gain * gap, sd: Math.sqrt(Math.max(1e-6, speed.sd ** 2 - gain * cross)) };
      time = { ...time, sd: Math.sqrt(Math.max(1e-6, time.sd ** 2 - gain * cross * slopes.perSpeed ** 2)) };
      stated = shared.length > 0 ? 1 : 0;
    }
  }
  const logged = knownOf(learned, [`bias:${place.ovenId}`]).bakes;
  return {
    speed: Math.exp(Math.max(-0.7, Math.min(0.7, speed.mean))),
    biasC: Math.round(10 * bias.mean) / 10,
    doneK: Math.round(10 * done.mean) / 10,
    sdLog: speed.sd,
    timeSd: Math.hypot(time.sd, learned.noise),
    used: logged + stated,
    learned: true,
    words: wordsOf(place, learned, logged, stated > 0, speed.mean, kitchen),
    doubts,
  };
}

/** Covariance of two sums of parameters; each parameter that nothing is known of has its prior alone. */
function covariance(l: Learned, a: readonly string[], b: readonly string[]): number {
  let sum = 0;
  for (const x of a)
    for (const y of b) {
      const [i, j] = [l.keys.indexOf(x), l.keys.indexOf(y)];
      sum += i >= 0 && j >= 0 ? ((l.cov[i] as readonly number[])[j] as number) : x === y ? priorSd(x) ** 2 : 0;
    }
  return sum;
}

/** How far an oven is off its dial in all, K: as declared and as learned; with its rack. */
export function ovenOff(kitchen: Kitchen, ovenId: string, rack?: Rack): { mean: number; sd: number; bakes: number } {
  const declared = kitchen.ovens.find((o) => o.id === ovenId)?.biasC ?? 0;
  const b = knownOf(kitchen.learned, [`bias:${ovenId}`, ...(rack && rack !== 'middle' ? [`rack:${ovenId}:${rack}`] : [])]); // prettier-ignore
  return { ...b, mean: declared + b.mean };
}

const bakesWords = (n: number): string => (n === 1 ? 'one bake' : `${n} bakes`);

function wordsOf(
  place: Place,
  learned: Learned,
  logged: number,
  stated: boolean,
  logSpeed: number,
  kitchen: Kitchen | undefined,
): string {
  const out: string[] = [];
  const slope = typicalSlopes(place.tin.shape).perSpeed;
  const pct = Math.round(100 * Math.abs(Math.exp(slope * logSpeed) - 1));
  const slower = slope * logSpeed > 0;
  if (logged > 0 && kitchen) {
    const off = ovenOff(kitchen, place.ovenId, place.rack);
    const name = kitchen.ovens.find((o) => o.id === place.ovenId)?.name;
    const oven =
      kitchen.ovens.length > 1 && name ? `Your ${name.charAt(0).toLowerCase()}${name.slice(1)}` : 'Your oven';
    const about = Math.round(Math.abs(off.mean));
    out.push(
      about < 2
        ? `${oven} keeps to its dial, from ${bakesWords(logged)}.`
        : `${oven} runs about ${degreesMore(kitchen.display.temperature, about)} ${off.mean > 0 ? 'hot' : 'cool'}, from ${bakesWords(logged)}.`,
    );
    if (pct >= 3) out.push(`In this tin this batter takes ${pct} % ${slower ? 'longer' : 'less'} than reckoned${stated ? ', its stated time counted' : ''}.`); // prettier-ignore
    const done = knownOf(
      learned,
      donenessOf(place.formulaId).map(([k]) => k),
    ).mean;
    if (Math.abs(done) >= 1) out.push(`You take it out about ${degreesMore(kitchen.display.temperature, Math.abs(done))} ${done > 0 ? 'warmer' : 'cooler'} in the middle than usual.`); // prettier-ignore
    return out.join(' ');
  }
  if (!stated) return 'No known time yet: an ordinary oven is assumed.';
  return pct < 3
    ? 'Its stated time agrees with an ordinary oven.'
    : `By its stated time it takes ${pct} % ${slower ? 'longer' : 'less'} than in an ordinary oven.`;
}

/** A part of what was learned: the parameters by these names and those of the whole kitchen. */
export function learnedOf(l: Learned, wanted: (key: string) => boolean): Learned {
  const at = l.keys.flatMap((k, i) => (wanted(k) ? [i] : []));
  return {
    keys: at.map((i) => l.keys[i] as string),
    mean: at.map((i) => l.mean[i] as number),
    cov: at.map((i) => at.map((j) => (l.cov[i] as readonly number[])[j] as number)),
    bakes: at.map((i) => l.bakes[i] as number),
    noise: l.noise,
  };
}
