import { band } from '../formula/bands.js';
import type { Band, Kitchen } from '../formula/types.js';
import type { BakeInput } from './predict.js';
import type { Sample } from './record.js';
import { stageAt, type OvenStage } from './oven.js';
import { simulate } from './run.js';
import { setupOf } from './setup.js';

/** One reading of a probe in the cake: seconds after the door closed, °C. */
export interface ProbeReading {
  readonly s: number;
  readonly c: number;
}

/** What a thermometer on the rack read: seconds after the door closed, °C. */
export interface RackReading {
  readonly s: number;
  readonly ovenC: number;
}

/** One way that the bake may be going: an oven that is so much hotter than its dial, heat that comes so much faster. */
export interface Course {
  readonly biasC: number;
  readonly logSpeed: number;
  /** Logarithm of how likely it is before anything is read. */
  readonly prior: number;
  readonly doneMin: number;
  /** Temperatures of the middle and of the whole crumb each half minute, °C. */
  readonly centreC: readonly number[];
  readonly meanC: readonly number[];
}

/** What a forecast starts from: the bake's possible courses, worked out once when it goes in. */
export interface ForecastPlan {
  readonly courses: readonly Course[];
  readonly doneC: number;
  /** What the oven should be at, with what is known of its bias. */
  readonly stages: readonly OvenStage[];
  /** Before anything is read, min. */
  readonly minutes: { readonly early: number; readonly likely: number; readonly late: number };
}

export interface Forecast {
  /** Minutes from the door until the middle is done. */
  readonly minutes: Band;
  readonly leftMin: Band;
  /** How much hotter the oven seems than its dial, K, and how fast heat comes, 1 as expected. */
  readonly biasC: Band;
  readonly speed: Band;
  /** How far from the coldest spot the probe seems to be: 0 in it, 1 as warm as the crumb on average. */
  readonly offCentre: number;
  readonly used: number;
  /** Where the probe's reading goes, each minute until all but the slowest are done: °C with four in five between. */
  readonly path: readonly { readonly min: number; readonly c: Band }[];
  readonly words: string;
}

const STEP_S = 30;
/** What is not known of a bake beforehand: the oven's bias, K, and heat transfer, ln; one sigma. As for its range. */
const SD = { bias: 8, logSpeed: 0.2 } as const;
/** What calibrating leaves of the bias: it teaches pace before bias. A judgement. */
const BIAS_LEFT = 0.6;
const COARSE = [-2.2, -1.1, 0, 1.1, 2.2] as const;
/** Points between two coarse ones that are read off straight lines. */
const BETWEEN = 4;
/**
 * How else a bake's curve may run between the same start and the same end: its time bent by this power. The model's curve
 * is one of many that crumbs draw, and what is read before half-time says more of the shape than of the end. A judgement;
 * one sigma of ln is `BENT_SD`.
 */
const BENT = [0.72, 0.85, 1, 1.18, 1.39] as const;
const BENT_SD = 0.18;
/** Where the probe may be, from the coldest spot to the average of the crumb; how much less likely, in ln, all the way off is. */
const OFF_COSTS = 4;
const OFF = [0, 0.1, 0.2, 0.3, 0.45, 0.6, 0.8] as const;
/** A reading is off by this, K, for all that the model does not have; readings within some minutes err alike. Judgements. */
const OFF_K = 2.2;
const ALIKE_S = 300;
/** A single reading shivers by this, K. */
const NOISE_K = 0.4;
/** Readings far from all courses, a door that was open, a probe that slipped, count no more than this many sigmas. */
const ROBUST = 2.5;
/**
 * A thermometer on the rack: its own error and where it hangs, K, and what the thermostat's swing adds to each look at it.
 * While the oven recovers from its door, s, it says nothing. Judgements.
 */
const RACK_K = 4;
const RACK_SWING_K = 6;
const RACK_FROM_S = 480;
/** The model's own error in the time that is left, one sigma of ln. */
const LEFT_SD = 0.07;

/** Each half minute of a course, straight between its samples, and on with its last slope where it ends. */
function resampled(curve: readonly Sample[], pick: (x: Sample) => number, n: number): number[] {
  const out: number[] = [];
  let k = 0;
  for (let i = 0; i < n; i++) {
    const s = i * STEP_S;
    while (k < curve.length - 2 && (curve[k + 1] as Sample).s < s) k++;
    const [a, b] = [curve[k] as Sample, curve[k + 1] ?? (curve[k] as Sample)];
    const slope = b.s > a.s ? (pick(b) - pick(a)) / (b.s - a.s) : 0;
    out.push(pick(a) + slope * (s - a.s));
  }
  return out;
}

/**
 * The courses a bake may take, for the forecast: the model run over oven bias and heat transfer, 25 times, and read off
 * between. A second's work for a loaf; it belongs in a worker. Null when the bake cannot be.
 */
export function forecastPlan(input: BakeInput, kitchen?: Kitchen): ForecastPlan | null {
  const own = input.calibration;
  const known = own !== undefined && own.used > 0;
  const sd = { bias: known ? BIAS_LEFT * SD.bias : SD.bias, logSpeed: known ? Math.max(0.1, own.sdLog) : SD.logSpeed };
  const runs = COARSE.map((b) =>
    COARSE.map((v) => {
      const calibration = {
        ...(own ?? { sdLog: SD.logSpeed, timeSd: 0.1, used: 0, words: '', doubts: [] }),
        speed: (own?.speed ?? 1) * Math.exp(v * sd.logSpeed),
        biasC: (own?.biasC ?? 0) + b * sd.bias,
      };
      return simulate(setupOf({ ...input, calibration }, kitchen), { section: false });
    }),
  );
  const longest = Math.max(...runs.flat().map((r) => r.curve.at(-1)?.s ?? 0));
  const middle = runs[2]?.[2];
  if (!middle || middle.doneMin === null || runs.flat().some((r) => r.doneMin === null)) return null;
  const n = Math.ceil(longest / STEP_S) + 40;
  const whole = runs.map((row) =>
    row.map((r) => ({
      doneMin: r.doneMin ?? 0,
      centreC: resampled(r.curve, (x) => x.centreC, n),
      meanC: resampled(r.curve, (x) => x.meanC, n),
    })),
  );
  const courses: Course[] = [];
  const fine = (COARSE.length - 1) * BETWEEN;
  for (let i = 0; i <= fine; i++)
    for (let j = 0; j <= fine; j++) {
      const [bi, bj] = [
        Math.min(COARSE.length - 2, Math.floor(i / BETWEEN)),
        Math.min(COARSE.length - 2, Math.floor(j / BETWEEN)),
      ];
      const [u, v] = [i / BETWEEN - bi, j / BETWEEN - bj];
      const four = [
        [whole[bi]?.[bj], (1 - u) * (1 - v)],
        [whole[bi + 1]?.[bj], u * (1 - v)],
        [whole[bi]?.[bj + 1], (1 - u) * v],
        [whole[bi + 1]?.[bj + 1], u * v],
      ] as const;
      const mix = (pick: (w: { doneMin: number; centreC: number[]; meanC: number[] }) => number): number =>
        four.reduce((s, [w, share]) => s + (w ? share * pick(w) : 0), 0);
      const at = (bk: number, part: number): number =>
        (COARSE[bk] as number) * (1 - part) + (COARSE[bk + 1] as number) * part;
      const [zb, zv] = [at(bi, u), at(bj, v)];
      courses.push({
        biasC: zb * sd.bias,
        logSpeed: zv * sd.logSpeed,
        prior: -0.5 * (zb * zb + zv * zv),
        doneMin: Math.exp(mix((w) => Math.log(w.doneMin))),
        centreC: Array.from({ length: n }, (_, k) => mix((w) => w.centreC[k] as number)),
        meanC: Array.from({ length: n }, (_, k) => mix((w) => w.meanC[k] as number)),
      });
    }
  const { doneC, stages } = setupOf(input, kitchen);
  const start = spread(courses.map((c) => ({ x: c.doneMin, w: Math.exp(c.prior), sd: 0.04 * c.doneMin })));
  return { courses, doneC, stages, minutes: { early: start.low, likely: start.typical, late: start.high } };
}

/** 10, 50 and 90 % of a weighted mixture, each of whose parts is itself uncertain by `sd`. */
function spread(all: readonly { readonly x: number; readonly w: number; readonly sd: number }[]): Band {
  const parts = all.flatMap(({ x, w, sd }) => [-1.4, -0.7, 0, 0.7, 1.4].map((z) => ({ x: x + z * sd, w: w * Math.exp(-0.5 * z * z) }))); // prettier-ignore
  parts.sort((a, b) => a.x - b.x);
  const total = parts.reduce((s, p) => s + p.w, 0);
  const at = (q: number): number => {
    let sum = 0;
    for (const p of parts) {
      sum += p.w;
      if (sum >= q * total) return p.x;
    }
    return parts.at(-1)?.x ?? 0;
  };
  return band(at(0.1), at(0.5), at(0.9));
}

/** The middle one of each minute's readings: many in a minute say no more, and a wild one is passed over. */
function thinned(readings: readonly ProbeReading[]): ProbeReading[] {
  const minutes = new Map<number, ProbeReading[]>();
  for (const r of readings) {
    if (!Number.isFinite(r.s) || !Number.isFinite(r.c) || r.s < 0 || r.c < -30 || r.c > 130) continue;
    const m = Math.floor(r.s / 60);
    minutes.set(m, [...(minutes.get(m) ?? []), r]);
  }
  return [...minutes]
    .sort(([a], [b]) => a - b)
    .map(
      ([, all]) => [...all].sort((a, b) => a.c - b.c || a.s - b.s)[Math.floor((all.length - 1) / 2)] as ProbeReading,
    );
}

const readAt = (series: readonly number[], s: number): number => {
  const x = s / STEP_S;
  const i = Math.max(0, Math.min(series.length - 2, Math.floor(x)));
  const [a, b] = [series[i] as number, series[i + 1] as number];
  return a + (b - a) * Math.min(2, x - i);
};

/**
 * When the middle will be done, from what a probe has read so far: every possible course, with the probe in the middle or
 * off it, weighed by how near the readings lie to it. Drop-outs are gaps, an open door or a slipped probe moves the
 * result little (a reading counts at most 2.5 sigmas), and readings within five minutes of each other err alike. The
 * band narrows as readings come; it never is narrower than what the model itself is off by.
 *
 * @param readings of one bake, any number, in any order; s from the closing of the door
 * @param rack what a thermometer beside it read; it speaks of the oven's bias
 */
export function forecast(
  readings: readonly ProbeReading[],
  plan: ForecastPlan,
  rack: readonly RackReading[] = [],
): Forecast {
  const list = thinned(readings);
  const now = [...readings, ...rack].reduce((m, r) => Math.max(m, Number.isFinite(r.s) ? r.s : 0), 0);
  const beyond = rack.filter((r) => r.s >= RACK_FROM_S).map((r) => r.ovenC - stageAt(plan.stages, r.s).ovenC);
  const hotter = beyond.reduce((s, x) => s + x, 0) / Math.max(1, beyond.length);
  const rackSd = Math.hypot(RACK_K, RACK_SWING_K / Math.sqrt(Math.max(1, beyond.length)));
  const byRack = (c: Course): number =>
    beyond.length === 0 ? 0 : -0.5 * Math.min(ROBUST, Math.abs(hotter - c.biasC) / rackSd) ** 2;
  // one weight for each stretch in which errors are alike, however many readings fall into it
  const bins = new Map<number, number>();
  for (const r of list) bins.set(Math.floor(r.s / ALIKE_S), (bins.get(Math.floor(r.s / ALIKE_S)) ?? 0) + 1);
  const scored = plan.courses.flatMap((course) =>
    BENT.flatMap((power) => {
      const end = 60 * course.doneMin;
      const at = list.map((r) => {
        const s = r.s < end ? end * Math.pow(r.s / end, power) : r.s;
        return { c: r.c, centre: readAt(course.centreC, s), mean: readAt(course.meanC, s), share: 1 / (bins.get(Math.floor(r.s / ALIKE_S)) ?? 1) }; // prettier-ignore
      });
      const bent = Math.log(power) / BENT_SD;
      return OFF.map((off) => {
        let fit = course.prior + byRack(course) - OFF_COSTS * off - 0.5 * bent * bent;
        for (const r of at) {
          const z = Math.min(ROBUST, Math.abs(r.c - (1 - off) * r.centre - off * r.mean) / OFF_K);
          fit -= 0.5 * z * z * r.share;
        }
        return { course, off, power, fit };
      });
    }),
  );
  const best = scored.reduce((m, x) => Math.max(m, x.fit), -Infinity);
  // wherever the probe is and however the curve bends, a course ends when it ends
  const weights = new Map<Course, number>();
  let [total, off] = [0, 0];
  for (const x of scored) {
    const w = Math.exp(x.fit - best);
    weights.set(x.course, (weights.get(x.course) ?? 0) + w);
    total += w;
    off += w * x.off;
  }
  const of = (x: (c: Course) => number, sd: (c: Course) => number): Band =>
    spread([...weights].filter(([, w]) => w > 1e-6 * total).map(([c, w]) => ({ x: x(c), w, sd: sd(c) })));
  const minutes = of((c) => c.doneMin, (c) => Math.max(0.4, LEFT_SD * Math.max(0, c.doneMin - now / 60))); // prettier-ignore
  const left = (x: number): number => Math.max(0, x - now / 60);
  const biasC = of((c) => c.biasC, () => 1); // prettier-ignore
  const speed = of((c) => Math.exp(c.logSpeed), () => 0.02); // prettier-ignore
  return {
    minutes,
    leftMin: band(left(minutes.low), left(minutes.typical), left(minutes.high)),
    biasC,
    speed,
    offCentre: off / total,
    used: list.length,
    path: pathOf(scored, best, minutes.high),
    words: wordsFor(minutes, now, list.length + beyond.length),
  };
}

interface Scored {
  readonly course: Course;
  readonly off: number;
  readonly power: number;
  readonly fit: number;
}
/** So many ways stand for all of them where the path is drawn. */
const DRAWN = 96;

/** What the probe would show, minute by minute: over ways drawn evenly by their weight. */
function pathOf(scored: readonly Scored[], best: number, untilMin: number): { min: number; c: Band }[] {
  const total = scored.reduce((s, x) => s + Math.exp(x.fit - best), 0);
  const drawn: Scored[] = [];
  let sum = 0;
  for (const x of scored) {
    sum += Math.exp(x.fit - best) / total;
    while (drawn.length < DRAWN && sum >= (drawn.length + 0.5) / DRAWN) drawn.push(x);
  }
  return Array.from({ length: Math.ceil(untilMin) + 1 }, (_, min) => ({
    min,
    c: spread(
      drawn.map(({ course, off, power }) => {
        const end = 60 * course.doneMin;
        const s = 60 * min < end ? end * Math.pow((60 * min) / end, power) : 60 * min;
        return { x: (1 - off) * readAt(course.centreC, s) + off * readAt(course.meanC, s), w: 1, sd: NOISE_K };
      }),
    ),
  }));
}

function wordsFor(m: Band, now: number, n: number): string {
  const [a, b] = [Math.max(0, m.low - now / 60), Math.max(0, m.high - now / 60)];
  if (n === 0) return 'nothing read yet';
  if (b < 1.5) return 'done, or nearly';
  const [lo, hi] = [Math.floor(a), Math.ceil(b)];
  return lo === hi ? `${hi} min more` : `${lo}–${hi} min more`;
}
