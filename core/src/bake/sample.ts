import { familyOf } from '../balance/families.js';
import type { Kitchen } from '../formula/types.js';
import type { Calibration } from './calibrate.js';
import { evenNormal, type Dimension } from './even.js';
import type { BakeInput } from './bake-input.js';
import { simulate, type Setup } from './run.js';
import { setupOf } from './setup.js';

/**
 * One sigma of what is not known of a bake, in the order of the design's dimensions: the oven against its dial (K),
 * convection and the tin's emissivity (ln), the start (K), doneness (share of the family's range), density and rise
 * (share of the family's range). `known` holds once a time in this oven has calibrated it: only what differs from tin
 * to tin is left. Judgements; together with `MODEL_SD` they make the 13 and 8 % that docs/science/bake.md reports.
 */
const WIDTHS = {
  unknown: [7, 0.2, 0.2, 2, 0.25, 0.25, 0.25],
  known: [2.5, 0.08, 0.12, 2, 0.25, 0.25, 0.25],
} as const;
/** One sigma of ln(time) that no parameter explains: the model's own error. */
export const MODEL_SD = { unknown: 0.06, known: 0.055 } as const;
/** Half-width of an 80 % range in sigmas. */
export const Z80 = 1.2816;
/** Samples only have to agree with each other, so a coarser grid does. */
const RESOLUTION = 0.6;

/** The bake of sample `i` of the design: a fixed quasi-random point, shifted by the seed. */
function sampled(setup: Setup, input: BakeInput, i: number, seed: number, known: boolean): Setup {
  const family = familyOf(input.family);
  const widths = known ? WIDTHS.known : WIDTHS.unknown;
  const z = (d: Dimension): number => widths[d as 0] * evenNormal(i, d, seed);
  const [oven, convection, emissivity, start, done, density, rise] = [z(0), z(1), z(2), z(3), z(4), z(5), z(6)];
  const span = ([a, b]: readonly [number, number]): number => b - a;
  return {
    ...setup,
    resolution: RESOLUTION,
    stages: setup.stages.map((s) => ({ ...s, ovenC: s.ovenC + oven })),
    convection: Math.exp(convection),
    emissivity: (setup.emissivity ?? 1) * Math.exp(emissivity),
    startC: setup.startC + start,
    doneC: setup.doneC + done * span(family.doneC),
    densityGPerMl: setup.densityGPerMl + density * span(family.density),
    rise: Math.max(1.02, setup.rise + rise * span(family.rise)),
  };
}

/** How many samples make a range on the screen. */
export const SAMPLES = 32;

/**
 * Samples `from` to `to` (without) of a bake's time, as ln(time / likely time), both on the same grid. Together they
 * make a range (`rangeFrom`); apart they can be spread over workers.
 */
export function sampleTimes(input: BakeInput, kitchen: Kitchen | undefined, from: number, to: number): number[] {
  const setup = setupOf(input, kitchen);
  const known = (input.calibration?.used ?? 0) > 0;
  const likely = simulate({ ...setup, resolution: RESOLUTION }, { untilDone: true }).doneMin;
  if (likely === null) return [];
  const out: number[] = [];
  for (let i = from; i < to; i++) {
    const run = simulate(sampled(setup, input, i, input.seed ?? 0, known), { untilDone: true });
    // one that is never done counts as very late
    out.push(run.doneMin === null ? Math.log(3) : Math.log(run.doneMin / likely));
  }
  return out;
}

export interface Range {
  readonly early: number;
  readonly likely: number;
  readonly late: number;
  /** One sigma of ln(time): half the range's width in sigmas of a normal distribution. */
  readonly timeSd: number;
}

/**
 * The 80 % range of a time from samples, with the model's own error added on either side.
 * @param logs from `sampleTimes`; without any, the documented error is taken instead
 */
export function rangeFrom(likely: number, logs: readonly number[], calibration: Calibration | null): Range {
  const known = calibration !== null && calibration.used > 0;
  if (logs.length < 8) {
    const timeSd = calibration?.timeSd ?? UNCALIBRATED_SD;
    return { early: likely * Math.exp(-Z80 * timeSd), likely, late: likely * Math.exp(Z80 * timeSd), timeSd };
  }
  const sorted = [...logs].sort((a, b) => a - b);
  const at = (p: number): number => {
    const x = p * sorted.length - 0.5;
    const i = Math.max(0, Math.min(sorted.length - 2, Math.floor(x)));
    const [a, b] = [sorted[i] as number, sorted[i + 1] as number];
    return a + (b - a) * (x - i);
  };
  const model = known ? MODEL_SD.known : MODEL_SD.unknown;
  const [down, up] = [Math.hypot(Math.max(0, -at(0.1)) / Z80, model), Math.hypot(Math.max(0, at(0.9)) / Z80, model)];
  // what the log leaves unsure is known as a whole; the samples say how it lies on either side
  const whole = calibration?.learned ? (2 * calibration.timeSd) / (down + up) : 1;
  const [low, high] = [whole * down, whole * up];
  return {
    early: likely * Math.exp(-Z80 * low),
    likely,
    late: likely * Math.exp(Z80 * high),
    timeSd: (low + high) / 2,
  };
}

/** One sigma of ln(time) when nothing is known: 13 % on tins the model had not seen. */
export const UNCALIBRATED_SD = 0.13;
