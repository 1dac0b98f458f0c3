import { familyOf } from '../balance/families.js';
import type { Kitchen } from '../formula/types.js';
import { evenNormal, type Dimension } from './even.js';
import type { BakeInput, Calibration } from './bake-input.js';
import { PRIORS, UNKNOWN_SD, Z80 } from './priors.js';
import { simulate } from './run.js';
import type { Setup } from './setup.js';
import { setupOf } from './setup.js';

/**
 * One sigma of what varies from bake to bake whatever is known, in the order of the design's dimensions after the oven and its heat: the
 * start (K), doneness, density and rise (shares of the family's range). Judgements.
 */
const VARIES = { startK: 2, done: 0.25, density: 0.25, rise: 0.25 } as const;
/** How much of what is unsure of heat transfer is convection's, the rest the tin's emissivity's. A judgement. */
const OF_AIR = 0.5;
/** One sigma of ln(time) that no parameter explains, before samples are scaled to how sure a time is. A judgement. */
const MODEL_SD = 0.05;
/** Samples only have to agree with each other, so a coarser grid does. */
const RESOLUTION = 0.6;

/** The bake of sample `i` of the design: a fixed quasi-random point, shifted by the seed. */
function sampled(setup: Setup, input: BakeInput, i: number, seed: number): Setup {
  const family = familyOf(input.family);
  const unsure = unsureOf(input.calibration);
  const z = (d: Dimension, width: number): number => width * evenNormal(i, d, seed);
  const oven = z(0, unsure.biasK);
  // both halves of heat transfer together vary as much as it does
  const [convection, emissivity] = [z(1, unsure.logSpeed * Math.SQRT2 * OF_AIR), z(2, unsure.logSpeed * Math.SQRT2 * (1 - OF_AIR))]; // prettier-ignore
  const [start, done, density, rise] = [z(3, VARIES.startK), z(4, VARIES.done), z(5, VARIES.density), z(6, VARIES.rise)]; // prettier-ignore
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

/** What is not known of an oven's bias, K, and of heat transfer, ln, one sigma: the priors', or what known bakes leave of them. */
export const unsureOf = (c: Calibration | undefined): { readonly biasK: number; readonly logSpeed: number } => ({
  biasK: c?.sdK ?? PRIORS.bias.sd,
  logSpeed: c?.sdLog ?? Math.hypot(PRIORS.pace.sd, PRIORS.shape.sd, PRIORS.tin.sd, PRIORS.batter.sd),
});

/** How many samples make a range on the screen. */
export const SAMPLES = 32;

/**
 * Samples `from` to `to` (without) of a bake's time, as ln(time / likely time), both on the same grid. Together they
 * make a range (`rangeFrom`); apart they can be spread over workers.
 */
export function sampleTimes(input: BakeInput, kitchen: Kitchen | undefined, from: number, to: number): number[] {
  const setup = setupOf(input, kitchen);
  const likely = simulate({ ...setup, resolution: RESOLUTION }, { untilDone: true }).doneMin;
  if (likely === null) return [];
  const out: number[] = [];
  for (let i = from; i < to; i++) {
    const run = simulate(sampled(setup, input, i, input.seed ?? 0), { untilDone: true });
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
 * The 80 % range of a time. How wide it is in all follows from what is known (`timeSd`); samples say how it lies on either side.
 * @param logs from `sampleTimes`; without any it lies alike on both
 */
export function rangeFrom(likely: number, logs: readonly number[], calibration: Calibration | null): Range {
  const timeSd = calibration?.timeSd ?? UNKNOWN_SD;
  const [low, high] = logs.length < 8 ? [timeSd, timeSd] : sides(logs, timeSd);
  return { early: likely * Math.exp(-Z80 * low), likely, late: likely * Math.exp(Z80 * high), timeSd };
}

/** One sigma on either side, together twice `timeSd`. */
function sides(logs: readonly number[], timeSd: number): readonly [number, number] {
  const sorted = [...logs].sort((a, b) => a - b);
  const at = (p: number): number => {
    const x = p * sorted.length - 0.5;
    const i = Math.max(0, Math.min(sorted.length - 2, Math.floor(x)));
    const [a, b] = [sorted[i] as number, sorted[i + 1] as number];
    return a + (b - a) * (x - i);
  };
  const [down, up] = [
    Math.hypot(Math.max(0, -at(0.1)) / Z80, MODEL_SD),
    Math.hypot(Math.max(0, at(0.9)) / Z80, MODEL_SD),
  ];
  const whole = (2 * timeSd) / (down + up);
  return [whole * down, whole * up];
}
