import { familyOf } from '../balance/families.js';
import type { Kitchen } from '../formula/types.js';
import { dialStep } from '../quantity/degrees.js';
import { outlineOf } from '../tin/geometry.js';
import type { Browning } from './browning.js';
import type { BakeInput } from './bake-input.js';
import { predictBake, type BakePrediction } from './predict.js';
import { simulate } from './run.js';
import { setupOf } from './setup.js';

export interface EqualHeat {
  /** Dial, °C, in steps of 5. */
  readonly ovenC: number;
  /** How much the crust still differs, ln of its browning over the wanted one. */
  readonly off: number;
}

const STEP_C = 5;
/** Heats at which the crust is tried, K from the one it was baked at; in between it is interpolated. */
const TRIED = [-20, 0, 20] as const;
const FARTHEST_C = 30;
/**
 * A crust within a factor of two counts as alike, and 15 °C away from the heat a bake is known at is as much to be
 * avoided: dome, rise and crumb hang on it too. Judgements; they give the 10 to 15 °C that bakers change.
 */
const ALIKE = { crust: 0.7, heatC: 15 } as const;
const RESOLUTION = 0.7;

/** One figure for a crust: the logarithm of its browning, the top counting a little more than what touches the tin. */
const crust = (b: Browning, free: boolean): number => {
  const ln = (x: number): number => Math.log(Math.max(1e-3, x));
  return free ? ln(b.top) : 0.6 * ln(b.top) + 0.4 * ln((b.side + b.base) / 2);
};

/**
 * The heat at which another tin gets a crust like the one that is wanted when its middle is done, without leaving the
 * known heat by more than that is worth: deeper tins come out lower and longer, shallow ones hotter and shorter. Three
 * simulations, and a search over steps of 5 °C in between.
 *
 * @param input the other tin with its batter; its `ovenC` is where the search starts
 * @param wanted browning of the bake that is the measure, of the same formula
 */
export function equalHeat(input: BakeInput, wanted: Browning, kitchen?: Kitchen): EqualHeat {
  const family = familyOf(input.family);
  const free = outlineOf(input.tin).free;
  const target = crust(wanted, free);
  const tried = TRIED.map((by): readonly [number, number] | null => {
    const run = simulate({ ...setupOf(shifted(input, by), kitchen), resolution: RESOLUTION }, { untilDone: true });
    return run.doneMin === null ? null : [by, crust(run.browning, free) - target];
  }).filter((x) => x !== null);
  const here = tried.find(([by]) => by === 0);
  if (!here || tried.length < 2) return { ovenC: input.ovenC, off: here?.[1] ?? 0 };
  const at = (by: number): number => {
    const right = Math.max(
      1,
      tried.findIndex(([x]) => x >= by) === -1 ? tried.length - 1 : tried.findIndex(([x]) => x >= by),
    );
    const [a, b] = [tried[right - 1] as readonly [number, number], tried[right] as readonly [number, number]];
    return a[1] + ((b[1] - a[1]) * (by - a[0])) / (b[0] - a[0]);
  };
  const cost = (by: number): number => (at(by) / ALIKE.crust) ** 2 + (by / ALIKE.heatC) ** 2;
  let best = 0;
  for (let by = -FARTHEST_C; by <= FARTHEST_C; by += STEP_C) {
    const ovenC = input.ovenC + by;
    if (ovenC < family.doneC[1] + 35 || ovenC > 250) continue;
    if (cost(by) < cost(best) - 0.02) best = by;
  }
  return { ovenC: input.ovenC + best, off: at(best) };
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
      : `${dialStep(kitchen?.display.temperature, Math.abs(by))} ${by < 0 ? 'lower' : 'hotter'} keeps the crust as it was`;
  return { same, suited: { ovenC: heat.ovenC, prediction }, words };
}

/** All of a bake's heats moved by the same. */
const shifted = (input: BakeInput, by: number): BakeInput => ({
  ...input,
  ovenC: input.ovenC + by,
  ...(input.stages && { stages: input.stages.map((s) => ({ ...s, ovenC: s.ovenC + by })) }),
});
