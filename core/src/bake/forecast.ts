import { band } from '../formula/bands.js';
import type { Band, Kitchen, Tin } from '../formula/types.js';
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

/** A body that only conducts: its middle and its mean, each hundredth of its time until done. */
export interface Plain {
  readonly centreC: readonly number[];
  readonly meanC: readonly number[];
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
  readonly startC: number;
  readonly doneC: number;
  /** A body that only conducts, from the start until it is done at 1, each hundredth: another curve that crumbs may draw. */
  readonly plain: readonly Plain[];
  /** How much of that curve is likely in this one. */
  readonly mixed: number;
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
/**
 * What is not known of a bake beforehand: the oven's bias, K, and heat transfer, ln; one sigma. Together they make a band
 * about as wide as the prediction's own.
 */
const SD = { bias: 8, logSpeed: 0.13 } as const;
/** What calibrating leaves of the bias: it teaches pace before bias. A judgement. */
const BIAS_LEFT = 0.85;
/** However well a pace is known, a bake differs from the last one by this, ln. A judgement. */
const LEAST_LOG_SPEED = 0.08;
const COARSE = [-2.2, -1.1, 0, 1.1, 2.2] as const;
/** Points between two coarse ones that are read off straight lines. */
const BETWEEN = 3;
/**
 * How else a bake's curve may run between the same start and the same end. The model's is one of many that crumbs draw,
 * and what is read before half-time says more of the shape than of the end. Its time may be bent by a power, and it may
 * be mixed with the curve of a body that only conducts, whose outside is at one of `OUTSIDE_C` from the beginning. Judgements,
 * chosen on bakes of seeds that docs/science/validation.md does not report; one sigma of ln is `BENT_SD`.
 */
const BENT = [0.85, 0.98, 1.12, 1.28, 1.47] as const;
const BENT_MIDDLE = 1.12;
const BENT_SD = 0.14;
const MIXED = [0, 0.35, 0.7] as const;
const OUTSIDE_C = [106, 122, 160] as const;
/** How much of it is likely, by the dimensions from which heat comes: in small cups the middle warms soonest. Judgements. */
const MIXED_MIDDLE = [0, 0.1, 0.25, 0.5] as const;
const MIXED_SD = 0.3;
/** Where the probe may be, from the coldest spot to the average of the crumb; how much less likely, in ln, all the way off is. */
const OFF_COSTS = 4;
const OFF = [0, 0.08, 0.16, 0.25, 0.35, 0.5, 0.7] as const;
/** A reading is off by this, K, for all that the model does not have; readings within a twelfth of a bake err alike. Judgements. */
const OFF_K = 1.6;
const ALIKE = 1 / 12;
/** What was read a third of a bake ago says less of the end: it counts by e less. A judgement. */
const RECENT = 0.33;
/** A probe shows what was so long ago, s. */
const PROBE_LAG_S = 15;
/** The first readings tell the batter's own temperature, unless they are this far from what it should be, K. */
const STARTS_K = 8;
/** A single reading shivers by this, K. */
const NOISE_K = 0.4;
/** Readings far from all courses, a door that was open, a probe that slipped, count no more than this many sigmas. */
const ROBUST = 3;
/**
 * A thermometer on the rack: its own error and where it hangs, K, and what the thermostat's swing adds to each look at it.
 * While the oven recovers from its door, s, it says nothing. Judgements.
 */
const RACK_K = 4;
const RACK_SWING_K = 6;
const RACK_FROM_S = 480;
/**
 * The forecast's own error, one sigma: of the time that is left, and of the whole, since the last degrees depend on where
 * the probe is. Judgements, chosen as those above.
 */
const LEFT_SD = 0.1;
const WHOLE_SD = 0.035;

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
 * between. Some seconds' work for a loaf; it belongs in a worker. Null when the bake cannot be.
 */
export function forecastPlan(input: BakeInput, kitchen?: Kitchen): ForecastPlan | null {
  const own = input.calibration;
  const known = own !== undefined && own.used > 0;
  const sd = {
    bias: known ? BIAS_LEFT * SD.bias : SD.bias,
    logSpeed: known ? Math.min(SD.logSpeed, Math.max(LEAST_LOG_SPEED, own.sdLog)) : SD.logSpeed,
  };
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
  const { doneC, startC, stages } = setupOf(input, kitchen);
  const start = spread(courses.map((c) => ({ x: c.doneMin, w: Math.exp(c.prior), sd: WHOLE_SD * c.doneMin })));
  const plain = OUTSIDE_C.map((c) => conducting(input.tin.shape, c, startC, doneC));
  const mixed = MIXED_MIDDLE[dimensions(input.tin.shape)] ?? 0;
  return {
    courses,
    mixed,
    startC,
    doneC,
    plain,
    stages,
    minutes: { early: start.low, likely: start.typical, late: start.high },
  };
}

/** Dimensions from which a tin's batter is heated: a layer from its faces, a loaf from its sides too, a cup from all round. */
const dimensions = (shape: Tin['shape']): number =>
  shape === 'cup' || shape === 'mound' ? 3 : shape === 'loaf' ? 2 : 1;

/**
 * A body that only conducts, whose outside is at `outsideC` from the beginning: the series for a plate, as a product for
 * more dimensions (Carslaw and Jaeger, Conduction of Heat in Solids, chapters III and V); its time is such that it is done at 1.
 */
function conducting(shape: Tin['shape'], outsideC: number, startC: number, doneC: number): Plain {
  const n = dimensions(shape);
  /** Middle and mean of a plate at a Fourier number, 1 at first, 0 in the end. */
  const plate = (fourier: number): [number, number] => {
    let [middle, mean] = [0, 0];
    for (let i = 0; i < 8; i++) {
      const q = ((2 * i + 1) * Math.PI) / 2;
      const e = Math.exp(-q * q * fourier);
      middle += (i % 2 === 0 ? 2 : -2) * (e / q);
      mean += (2 * e) / (q * q);
    }
    return [Math.min(1, middle), Math.min(1, mean)];
  };
  const at = (share: number): number => outsideC - (outsideC - startC) * share ** n;
  let [lo, hi] = [0.01, 6];
  for (let i = 0; i < 40; i++) {
    const mid = (lo + hi) / 2;
    if (at(plate(mid)[0]) < doneC) lo = mid;
    else hi = mid;
  }
  const all = Array.from({ length: 141 }, (_, i) => plate(Math.max(1e-3, (lo * i) / 100)));
  return { centreC: all.map(([c]) => at(c)), meanC: all.map(([, m]) => at(m)) };
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

/** Straight between the samples of a series, and on with its last slope where it ends. */
const readAt = (series: readonly number[], x: number): number => {
  const i = Math.max(0, Math.min(series.length - 2, Math.floor(x)));
  const [a, b] = [series[i] as number, series[i + 1] as number];
  return a + (b - a) * Math.min(2, x - i);
};

/** Middle and mean of a course, its time bent and it mixed, so many seconds after the door closed. */
function curveAt(course: Course, plain: Plain, power: number, mixed: number, s: number): [number, number] {
  const end = 60 * course.doneMin;
  const u = Math.max(0, s / end);
  const x = (u < 1 ? end * Math.pow(u, power) : s) / STEP_S;
  const y = Math.min(140, 100 * u);
  return [
    (1 - mixed) * readAt(course.centreC, x) + mixed * readAt(plain.centreC, y),
    (1 - mixed) * readAt(course.meanC, x) + mixed * readAt(plain.meanC, y),
  ];
}

/** The curves that a crumb may draw: what is mixed with the model's, how much of it, and how unlikely that is, ln. */
function shapesOf(plan: ForecastPlan): { plain: Plain; mixed: number; cost: number }[] {
  const n = plan.plain.length;
  return MIXED.flatMap((mixed) =>
    plan.plain.slice(0, mixed === 0 ? 1 : n).map((plain) => ({
      plain,
      mixed,
      cost: 0.5 * ((mixed - plan.mixed) / MIXED_SD) ** 2 + (mixed === 0 ? 0 : Math.log(n)),
    })),
  );
}

/**
 * When the middle will be done, from what a probe has read so far: every possible course, with the probe in the middle or
 * off it, weighed by how near the readings lie to it. Drop-outs are gaps, an open door or a slipped probe moves the
 * result little (a reading counts at most three sigmas), and readings within a twelfth of the bake err alike. The
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
  const alikeS = ALIKE * 60 * plan.minutes.likely;
  const bins = new Map<number, number>();
  for (const r of list) bins.set(Math.floor(r.s / alikeS), (bins.get(Math.floor(r.s / alikeS)) ?? 0) + 1);
  // a batter that was warmer or colder than it should be: what is still to be gained is gained in proportion
  const first = list.filter((r) => r.s <= Math.min(150, 0.06 * 60 * plan.minutes.likely)).map((r) => r.c);
  const startC = first.length > 0 ? first.reduce((a, b) => a + b, 0) / first.length : plan.startC;
  const toGain = Math.abs(startC - plan.startC) <= STARTS_K ? (plan.doneC - startC) / (plan.doneC - plan.startC) : 1;
  const shown = (c: number): number => plan.doneC - (plan.doneC - c) * toGain;
  const scored = plan.courses.flatMap((course) =>
    BENT.flatMap((power) =>
      shapesOf(plan).flatMap(({ plain, mixed, cost }) => {
        const at = list.map((r) => {
          const [centre, mean] = curveAt(course, plain, power, mixed, r.s - PROBE_LAG_S);
          return {
            c: r.c,
            centre: shown(centre),
            mean: shown(mean),
            share:
              Math.exp((r.s - now) / (RECENT * 60 * plan.minutes.likely)) / (bins.get(Math.floor(r.s / alikeS)) ?? 1),
          };
        });
        const bent = Math.log(power / BENT_MIDDLE) / BENT_SD;
        const before = course.prior + byRack(course) - 0.5 * bent * bent - cost;
        return OFF.map((off): Scored => {
          let fit = before - OFF_COSTS * off;
          for (const r of at) {
            const z = Math.min(ROBUST, Math.abs(r.c - (1 - off) * r.centre - off * r.mean) / OFF_K);
            fit -= 0.5 * z * z * r.share;
          }
          return { course, plain, off, power, mixed, fit };
        });
      }),
    ),
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
  const minutes = of((c) => c.doneMin, (c) => Math.max(0.4, Math.hypot(LEFT_SD * Math.max(0, c.doneMin - now / 60), WHOLE_SD * c.doneMin))); // prettier-ignore
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
    path: pathOf(scored, best, minutes.high).map((x) => ({
      ...x,
      c: band(shown(x.c.low), shown(x.c.typical), shown(x.c.high)),
    })),
    words: wordsFor(minutes, now, list.length + beyond.length),
  };
}

interface Scored {
  readonly course: Course;
  readonly off: number;
  readonly power: number;
  readonly plain: Plain;
  readonly mixed: number;
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
      drawn.map(({ course, plain, off, power, mixed }) => {
        const [centre, mean] = curveAt(course, plain, power, mixed, 60 * min - PROBE_LAG_S);
        return { x: (1 - off) * centre + off * mean, w: 1, sd: NOISE_K };
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
