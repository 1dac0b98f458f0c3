import type { Kitchen } from '../formula/types.js';
import { capacityOf } from '../tin/geometry.js';
import type { BakeInput } from './bake-input.js';
import { problemsOf } from './problems.js';
import { simulate } from './run.js';
import { setupOf } from './setup.js';

export interface Together {
  /** Batter in each tin, g, in the order given; with their counts all of the batter. */
  readonly grams: readonly number[];
  /** Minutes each takes then. */
  readonly minutes: readonly number[];
  readonly words: string;
}

const RESOLUTION = 0.6;
/** Tins are filled between these shares of their capacity. */
const FILL = [0.25, 0.85] as const;
const POINTS = 5;
const FREE_FILL = [0.5, 1.5] as const;

/**
 * Divides one batter over unlike tins in one oven so that all are done together, as far as their sizes allow: time
 * against weight is simulated at five fills of each tin and interpolated.
 *
 * @param inputs one entry a kind of tin, `count` of each; their `batterG` add up, with the counts, to the whole batter
 */
export function divideAlike(inputs: readonly BakeInput[], kitchen?: Kitchen): Together {
  const counts = inputs.map((i) => i.count ?? 1);
  const whole = inputs.reduce((s, x, i) => s + x.batterG * (counts[i] as number), 0);
  const wrong = inputs.flatMap((input) => problemsOf(input, kitchen).stops)[0];
  if (wrong) return { grams: inputs.map((x) => x.batterG), minutes: inputs.map(() => 0), words: wrong.words };
  const curves = inputs.map((input) => curveOf(input, kitchen));
  if (inputs.length === 0 || curves.some((c) => c.length < 2))
    return { grams: inputs.map((x) => x.batterG), minutes: inputs.map(() => 0), words: 'no tin to divide over' };
  const total = (minutes: number): number =>
    curves.reduce((s, c, i) => s + gramsAt(c, minutes) * (counts[i] as number), 0);
  let lo = Math.min(...curves.map((c) => (c[0] as Point).minutes));
  let hi = Math.max(...curves.map((c) => (c.at(-1) as Point).minutes));
  for (let i = 0; i < 40; i++) {
    const mid = (lo + hi) / 2;
    if (total(mid) < whole) lo = mid;
    else hi = mid;
  }
  const raw = curves.map((c) => gramsAt(c, hi));
  const sum = raw.reduce((s, g, i) => s + g * (counts[i] as number), 0);
  const grams = raw.map((g) => (g * whole) / sum);
  const minutes = curves.map((c, i) => minutesAt(c, grams[i] as number));
  const apart = Math.max(...minutes) - Math.min(...minutes);
  return {
    grams,
    minutes,
    words:
      apart < 2
        ? `all done together after about ${Math.round(Math.max(...minutes))} min`
        : `they cannot be done together: ${Math.round(apart)} min lie between the first and the last`,
  };
}

interface Point {
  readonly grams: number;
  readonly minutes: number;
}

function curveOf(input: BakeInput, kitchen: Kitchen | undefined): Point[] {
  const setup = setupOf(input, kitchen);
  const full = capacityOf(input.tin) * setup.densityGPerMl;
  const [from, to] = input.tin.shape === 'mound' || input.tin.shape === 'slab' ? FREE_FILL : FILL;
  const out: Point[] = [];
  for (let i = 0; i < POINTS; i++) {
    const grams = full * (from + ((to - from) * i) / (POINTS - 1));
    const run = simulate({ ...setup, batterG: grams, resolution: RESOLUTION }, { untilDone: true });
    const before = out.at(-1)?.minutes ?? 0;
    if (run.doneMin !== null) out.push({ grams, minutes: Math.max(before + 0.01, run.doneMin) });
  }
  return out;
}

const between = (points: readonly Point[], of: keyof Point, to: keyof Point, x: number): number => {
  let i = points.findIndex((p) => p[of] >= x);
  if (i < 0) i = points.length - 1;
  const [a, b] = [points[Math.max(0, i - 1)] as Point, points[Math.max(1, i)] as Point];
  const share = (x - a[of]) / Math.max(1e-9, b[of] - a[of]);
  return a[to] + (b[to] - a[to]) * share;
};
const clamp = (x: number, lo: number, hi: number): number => Math.min(hi, Math.max(lo, x));
const gramsAt = (c: readonly Point[], minutes: number): number =>
  clamp(between(c, 'minutes', 'grams', minutes), (c[0] as Point).grams, (c.at(-1) as Point).grams);
const minutesAt = (c: readonly Point[], grams: number): number => between(c, 'grams', 'minutes', grams);
