import { familyOf } from '../balance/families.js';
import type { Kitchen } from '../formula/types.js';
import { outlineOf } from '../tin/geometry.js';
import type { Browning } from './browning.js';
import { predictBake, type BakeInput, type BakePrediction } from './predict.js';
import { simulate } from './run.js';
import { setupOf } from './setup.js';

export interface EqualHeat {
  /** Dial, °C, in steps of 5. */
  readonly ovenC: number;
  /** How much the crust still differs, ln of its browning over the wanted one. */
  readonly off: number;
}

const STEP_C = 5;
/** How far from the heat it was baked at a search may go, K. */
const REACH_C = 45;
const RESOLUTION = 0.7;

/** One figure for a crust: the logarithm of its browning, the top counting a little more than what touches the tin. */
const crust = (b: Browning, free: boolean): number =>
  free
    ? Math.log(Math.max(1e-3, b.top))
    : 0.6 * Math.log(Math.max(1e-3, b.top)) + 0.4 * Math.log(Math.max(1e-3, (b.side + b.base) / 2));

/**
 * The heat at which another tin gets the crust that is wanted when its middle is done: deeper tins come out lower and
 * longer, shallow ones hotter and shorter. A bounded search over simulations in steps of 5 °C.
 *
 * @param input the other tin with its batter; its `ovenC` is where the search starts
 * @param wanted browning of the bake that is the measure, of the same formula
 */
export function equalHeat(input: BakeInput, wanted: Browning, kitchen?: Kitchen): EqualHeat {
  const family = familyOf(input.family);
  const free = outlineOf(input.tin).free;
  const target = crust(wanted, free);
  const least = Math.max(family.doneC[1] + 40, Math.min(input.ovenC, family.ovenC[0]) - 15);
  const most = Math.min(250, Math.max(input.ovenC, family.ovenC[1]) + 10);
  const known = new Map<number, number>();
  const off = (ovenC: number): number => {
    let x = known.get(ovenC);
    if (x === undefined) {
      const run = simulate({ ...setupOf({ ...input, ovenC }, kitchen), resolution: RESOLUTION }, { untilDone: true });
      x = run.doneMin === null ? 9 : crust(run.browning, free) - target;
      known.set(ovenC, x);
    }
    return x;
  };
  const onStep = (c: number): number => STEP_C * Math.round(c / STEP_C);
  let lo = onStep(Math.max(least, input.ovenC - REACH_C));
  let hi = onStep(Math.min(most, input.ovenC + REACH_C));
  // hotter browns more; bisection over whole steps
  while (hi - lo > STEP_C) {
    const mid = onStep((lo + hi) / 2);
    if (off(mid) < 0) lo = mid;
    else hi = mid;
  }
  const best = Math.abs(off(lo)) <= Math.abs(off(hi)) ? lo : hi;
  // a step that changes next to nothing is not worth turning the dial for
  const stay = onStep(input.ovenC);
  if (stay >= lo - STEP_C && stay <= hi + STEP_C && Math.abs(off(stay)) < Math.abs(off(best)) + 0.15)
    return { ovenC: input.ovenC, off: off(stay) };
  return { ovenC: best, off: off(best) };
}

/** A tin of the kit with this formula in it: at the heat it has now, and at the heat that keeps the crust. */
export interface Conversion {
  readonly same: BakePrediction;
  readonly suited: { readonly ovenC: number; readonly prediction: BakePrediction };
  readonly words: string;
}

/** Converts a bake to another tin: times at the same heat and at the heat that keeps the crust as it was. */
export function convertBake(input: BakeInput, wanted: Browning | null, kitchen?: Kitchen): Conversion {
  const same = predictBake(input, kitchen);
  if (same.minutes.likely === 0)
    return { same, suited: { ovenC: input.ovenC, prediction: same }, words: same.problems[0]?.words ?? '' };
  const heat = wanted ? equalHeat(input, wanted, kitchen) : { ovenC: input.ovenC, off: 0 };
  const by = heat.ovenC - input.ovenC;
  const prediction = by === 0 ? same : predictBake(shifted(input, by), kitchen);
  const words =
    by === 0
      ? 'the same heat keeps the crust'
      : `${Math.abs(Math.round(by))} °C ${by < 0 ? 'lower' : 'hotter'} keeps the crust as it was`;
  return { same, suited: { ovenC: heat.ovenC, prediction }, words };
}

/** All of a bake's heats moved by the same. */
const shifted = (input: BakeInput, by: number): BakeInput => ({
  ...input,
  ovenC: input.ovenC + by,
  ...(input.stages && { stages: input.stages.map((s) => ({ ...s, ovenC: s.ovenC + by })) }),
});
