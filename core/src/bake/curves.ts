import type { Kitchen, Tin } from '../formula/types.js';
import { evenNormal, type Dimension } from './even.js';
import { ON, PER_BAKE, plainCurve, type Curve } from './plain-body.js';
import type { BakeInput } from './bake-input.js';
import type { Sample } from './record.js';
import { problemsOf } from './problems.js';
import { simulate, type Run } from './run.js';
import type { Setup } from './setup.js';
import { setupOf } from './setup.js';

/** A curve that a crumb may draw, and how unlikely it is beforehand, ln. */
export interface LikelyCurve extends Curve {
  readonly cost: number;
}

/** How a bake's middle may warm, apart from how long it takes. */
export interface Curves {
  readonly list: readonly LikelyCurve[];
  /** As the model has it, min. */
  readonly doneMin: number;
  /** What 1 K more in the oven, and 1 more of ln(heat transfer), do to ln(time). */
  readonly perK: number;
  readonly perSpeed: number;
}

/** Bakes of the model under other laws. */
const MODELLED = 40;
/**
 * One sigma of what those laws differ by: oven K, and the logarithms of convection, the tin's emissivity, what vapour
 * carries, how far it rises above its raw height and heat transfer; water and fat as shares of the weight. Judgements:
 * wide, since what is sought are all curves that crumbs may draw.
 */
const WIDTHS = { oven: 10, convection: 0.2, emissivity: 0.2, vapour: 0.4, rise: 0.25, speed: 0.1, water: 0.03, fat: 0.03 } as const; // prettier-ignore
/** A coarser grid draws the same curve. */
const RESOLUTION = 0.6;
/** Steps for the slopes: oven K, ln of heat transfer. */
const SLOPE = { oven: 8, speed: 0.12 } as const;

/**
 * Bodies that only conduct, from a surface that is wet from the beginning to one that is slow to warm: what heats them,
 * °C, through which Biot number (a small one warms evenly); each conducting evenly, and better as it warms. Judgements.
 */
const AROUND = [
  [106, 50],
  [125, 5],
  [190, 1],
  [220, 0.35],
] as const;
const VAPOUR = [0, 2] as const;
/** How much of such a body's curve is mixed with the model's. */
const MIXED = [0.35, 0.7, 1] as const;
/**
 * How likely it is that a crumb draws such a mixture, by the dimensions from which heat comes: the model keeps the middle
 * of small cups cold for long, and no table of times says whether it is right in that. Judgements.
 */
const MIXED_SHARE = { 1: 0.3, 2: 0.4, 3: 0.6 } as const;

/** Dimensions from which a tin's batter is heated: a layer from its faces, a loaf from its sides too, a cup from all round. */
const dimensions = (shape: Tin['shape']): 1 | 2 | 3 =>
  shape === 'cup' || shape === 'mound' ? 3 : shape === 'loaf' ? 2 : 1;

/** A run's curve in its own time until done; straight between its samples and on with its last slope where it ends. */
function inOwnTime(run: Run): Curve {
  const { curve } = run;
  const end = 60 * (run.doneMin ?? 0);
  const pick = (of: (x: Sample) => number): number[] => {
    let k = 0;
    return Array.from({ length: Math.round(ON * PER_BAKE) + 1 }, (_, i) => {
      const s = (i * end) / PER_BAKE;
      while (k < curve.length - 2 && (curve[k + 1] as Sample).s < s) k++;
      const [a, b] = [curve[k] as Sample, curve[k + 1] ?? (curve[k] as Sample)];
      return of(a) + (b.s > a.s ? ((of(b) - of(a)) / (b.s - a.s)) * (s - a.s) : 0);
    });
  };
  return { centreC: pick((x) => x.centreC), meanC: pick((x) => x.meanC) };
}

const hotter = (setup: Setup, k: number): Setup => ({
  ...setup,
  stages: setup.stages.map((s) => ({ ...s, ovenC: s.ovenC + k })),
});

/** Point `i` of the design: the bake under other laws. */
function altered(setup: Setup, i: number): Setup {
  const z = (d: Dimension, width: number): number => width * evenNormal(i, d);
  return {
    ...hotter(setup, z(0, WIDTHS.oven)),
    resolution: RESOLUTION,
    convection: Math.exp(z(1, WIDTHS.convection)),
    emissivity: (setup.emissivity ?? 1) * Math.exp(z(2, WIDTHS.emissivity)),
    vapour: Math.exp(z(3, WIDTHS.vapour)),
    rise: 1 + (setup.rise - 1) * Math.exp(z(4, WIDTHS.rise)),
    speed: setup.speed * Math.exp(z(5, WIDTHS.speed)),
    water: Math.max(0.15, setup.water + z(6, WIDTHS.water)),
    fat: Math.max(0.01, setup.fat + z(7, WIDTHS.fat)),
  };
}

const mix = (a: readonly number[], b: readonly number[], share: number): number[] =>
  a.map((x, i) => (1 - share) * x + share * (b[i] as number));

/**
 * The curves a bake's middle may draw between its start and its end: the model's under 40 sets of other laws, and mixtures
 * of it with bodies that only conduct. A second or two for a loaf; it belongs in a worker. Null when the bake cannot be.
 */
export function curvesOf(input: BakeInput, kitchen?: Kitchen): Curves | null {
  if (problemsOf(input, kitchen).stops.length > 0) return null;
  const setup = setupOf(input, kitchen);
  const usual = simulate(setup, { section: false });
  const { doneMin } = usual;
  if (doneMin === null || doneMin <= 0) return null;
  const modelled = Array.from({ length: MODELLED }, (_, i) => simulate(altered(setup, i), { section: false }))
    .filter((r) => r.doneMin !== null)
    .map(inOwnTime);
  const base = inOwnTime(usual);
  const slope = (other: Setup, by: number, or: number): number => {
    const min = simulate(other, { untilDone: true }).doneMin;
    return min === null ? or : Math.log(min / doneMin) / by;
  };
  const n = dimensions(input.tin.shape);
  const { startC, doneC, tinC } = setup;
  // what a hot tin brings may be gone before the middle feels it
  const skins = tinC === undefined ? [startC] : [startC, (startC + tinC) / 2];
  const plain = AROUND.flatMap(([aroundC, biot]) =>
    VAPOUR.flatMap((vapour) =>
      skins.map((skinC) => plainCurve({ dimensions: n, aroundC, biot, vapour, startC, skinC, doneC })),
    ),
  ).flatMap((c) => (c ? [c] : []));
  const mixed = plain.flatMap((c) =>
    MIXED.map((share) => ({ centreC: mix(base.centreC, c.centreC, share), meanC: mix(base.meanC, c.meanC, share) })),
  );
  const all = [base, ...modelled];
  const likely = MIXED_SHARE[n];
  return {
    list: [
      ...all.map((c) => ({ ...c, cost: -Math.log((1 - likely) / all.length) })),
      ...mixed.map((c) => ({ ...c, cost: -Math.log(likely / mixed.length) })),
    ],
    doneMin,
    perK:
      (slope(hotter(setup, SLOPE.oven), SLOPE.oven, -0.01) + slope(hotter(setup, -SLOPE.oven), -SLOPE.oven, -0.01)) / 2,
    perSpeed: slope({ ...setup, speed: setup.speed * Math.exp(SLOPE.speed) }, SLOPE.speed, -0.6),
  };
}
