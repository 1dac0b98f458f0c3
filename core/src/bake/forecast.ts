import { band } from '../formula/bands.js';
import type { Band, Kitchen } from '../formula/types.js';
import { curvesOf, type LikelyCurve } from './curves.js';
import { stageAt } from './oven.js';
import { PER_BAKE } from './plain-body.js';
import type { BakeInput, Calibration } from './bake-input.js';
import {
  aroundStem,
  PROBE_LAG_S,
  ROBUST,
  shownBy,
  thinned,
  waysOf,
  type ProbeReading,
  type Shown,
  type Stuck,
} from './probe.js';
import { UNKNOWN_SD, USUAL_NOISE, Z80 } from './priors.js';
import { unsureOf } from './sample.js';
import { setupOf } from './setup.js';

/** What a thermometer on the rack read: seconds after the door closed, °C. */
export interface RackReading {
  readonly s: number;
  readonly ovenC: number;
}

/** What a forecast starts from: how the bake's middle may warm and how long it may take, worked out once when it goes in. */
export interface ForecastPlan extends Stuck {
  readonly curves: readonly LikelyCurve[];
  /** What 1 K more in the oven and 1 more of ln(heat transfer) do to ln(time). */
  readonly perK: number;
  readonly perSpeed: number;
  /** One sigma of what is not known: the oven's bias, K, and heat transfer, ln. */
  readonly sd: { readonly biasK: number; readonly logSpeed: number };
  /** Before anything is read, min. */
  readonly minutes: { readonly early: number; readonly likely: number; readonly late: number };
}

export interface Forecast {
  /** Minutes from the door until the middle is done. */
  readonly minutes: Band;
  readonly leftMin: Band;
  /**
   * How much hotter the oven seems than its dial, K, and how fast heat comes, 1 as expected: what the time says of either,
   * which is not much, since both make it.
   */
  readonly biasC: Band;
  readonly speed: Band;
  /** How far from the coldest spot the probe seems to be: 0 in it, 1 as warm as the crumb on average. */
  readonly offCentre: number;
  readonly used: number;
  /** Where the probe's reading goes, each minute until all but the slowest are done: °C with four in five between. */
  readonly path: readonly { readonly min: number; readonly c: Band }[];
  readonly words: string;
}

/** What neither the oven's bias nor heat transfer explains of a time, ln, one sigma. */
const MODEL_SD = USUAL_NOISE;

/** What is not known of a bake beforehand, one sigma: in the proportions of what is believed, and as wide as the prediction. */
function unsureIn(c: Calibration | undefined, perK: number, perSpeed: number): ForecastPlan['sd'] {
  const { biasK, logSpeed } = unsureOf(c);
  const explained = Math.sqrt(Math.max(0.04 ** 2, (c?.timeSd ?? UNKNOWN_SD) ** 2 - MODEL_SD ** 2));
  const k = explained / Math.max(1e-6, Math.hypot(perK * biasK, perSpeed * logSpeed));
  return { biasK: k * biasK, logSpeed: k * logSpeed };
}

/** Times that are tried, in sigmas of what is not known, the likeliest first: further out late, as where the oven was not on. */
const TIMES = Array.from({ length: 41 }, (_, i) => i / 5 - 3).sort((a, b) => Math.abs(a) - Math.abs(b));
/** A curve's time may be bent by a power, this far on either side, ln; one sigma. A judgement. */
const BENT_SD = 0.1;
const BENT = [-1.2, 0, 1.2] as const;
/**
 * A reading is off by this, K, for all that no curve has; readings within a twelfth of a bake err alike. Judgements, as
 * the others here chosen on bakes of seeds that docs/science/validation.md does not report.
 */
const OFF_K = 0.7;
const ALIKE = 1 / 12;
/** What was read this share of a bake ago says less of the end: it counts by e less. A judgement. */
const RECENT = 0.7;
/** One reading stands for so much of a bake, at least a minute. */
const GRAIN = 1 / 60;
/** A single reading shivers by this, K. */
const NOISE_K = 0.4;
/**
 * A thermometer on the rack: its own error and where it hangs, K, and what the thermostat's swing adds to each look at it.
 * While the oven recovers from its door, s, it says nothing. Judgements.
 */
const RACK_K = 4;
const RACK_SWING_K = 6;
const RACK_FROM_S = 480;
/**
 * The forecast's own error, one sigma: of the time that is left, and of the whole, since the last degrees depend on where
 * the probe is. Judgements.
 */
const LEFT_SD = 0.1;
const WHOLE_SD = 0.035;

interface Normal {
  readonly mean: number;
  readonly sd: number;
}

/** What is believed of the oven's bias, K, with what a thermometer on the rack read. */
function biasBy(rack: readonly RackReading[], plan: ForecastPlan): Normal {
  const beyond = rack.filter((r) => r.s >= RACK_FROM_S).map((r) => r.ovenC - stageAt(plan.stages, r.s).ovenC);
  const { biasK } = plan.sd;
  if (beyond.length === 0) return { mean: 0, sd: biasK };
  const sd = Math.hypot(RACK_K, RACK_SWING_K / Math.sqrt(beyond.length));
  const most = ROBUST * Math.hypot(sd, biasK);
  const read = Math.max(-most, Math.min(most, beyond.reduce((a, b) => a + b, 0) / beyond.length));
  const trust = biasK ** 2 / (biasK ** 2 + sd ** 2);
  return { mean: trust * read, sd: biasK * Math.sqrt(1 - trust) };
}

/** What is believed of ln(time over the model's) before the probe is read. */
const timeBy = (bias: Normal, plan: ForecastPlan): Normal => ({
  mean: plan.perK * bias.mean,
  sd: Math.hypot(plan.perK * bias.sd, plan.perSpeed * plan.sd.logSpeed, MODEL_SD),
});

/** The forecast's own error of a bake's minutes, one sigma, min. */
const ownSd = (left: number, whole: number): number => Math.max(0.4, Math.hypot(LEFT_SD * Math.max(0, left), WHOLE_SD * whole)); // prettier-ignore

/**
 * What a bake's forecast starts from; the curves take the model some forty runs. A second or two for a loaf; it belongs
 * in a worker. Null when the bake cannot be.
 */
export function forecastPlan(input: BakeInput, kitchen?: Kitchen): ForecastPlan | null {
  const curves = curvesOf(input, kitchen);
  if (!curves) return null;
  const { doneC, startC, stages } = setupOf(input, kitchen);
  const plan = {
    curves: curves.list,
    startC,
    doneC,
    stages,
    doneMin: curves.doneMin,
    perK: curves.perK,
    perSpeed: curves.perSpeed,
    sd: unsureIn(input.calibration, curves.perK, curves.perSpeed),
    minutes: { early: 0, likely: 0, late: 0 },
  };
  const { low, typical, high } = forecast([], plan).minutes;
  return { ...plan, minutes: { early: low, likely: typical, late: high } };
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

/** Straight between the points of a curve, and on with its last slope where it ends. */
const readAt = (curve: readonly number[], x: number): number => {
  const i = Math.max(0, Math.min(curve.length - 2, Math.floor(x)));
  const [a, b] = [curve[i] as number, curve[i + 1] as number];
  return a + (b - a) * Math.min(2, x - i);
};

/** Where on a curve a bake of `endS` is so many seconds after the door closed, its time bent by a power. */
const placeOn = (s: number, endS: number, power: number): number => {
  const u = Math.max(0, s - PROBE_LAG_S) / endS;
  return PER_BAKE * (u < 1 ? Math.pow(u, power) : u);
};

/** One way in which the bake may be going. */
interface Going {
  readonly curve: LikelyCurve;
  readonly power: number;
  readonly shown: Shown;
  readonly endS: number;
  readonly fit: number;
}
/** Ways that are this much less likely than the likeliest, ln, are left out. */
const NEGLIGIBLE = 7;

/**
 * When the middle will be done, from what a probe has read so far: every curve that the crumb may draw, in every time it
 * may take, with the probe in the middle or off it and its stem warmed by the oven, weighed by how near the readings lie.
 * Drop-outs are gaps, an open door or a slipped probe moves the result little (a reading counts at most three sigmas), and
 * readings within a twelfth of the bake err alike. The band narrows as readings come; it never is narrower than what the
 * forecast itself is off by.
 *
 * @param readings of one bake, any number, in any order; s from the closing of the door
 * @param rack what a thermometer beside it read; it speaks of the oven's bias
 */
export function forecast(
  readings: readonly ProbeReading[],
  plan: ForecastPlan,
  rack: readonly RackReading[] = [],
): Forecast {
  const likelyS = 60 * plan.doneMin;
  const list = thinned(readings, Math.max(60, GRAIN * likelyS));
  const now = [...readings, ...rack].reduce((m, r) => Math.max(m, Number.isFinite(r.s) ? r.s : 0), 0);
  const bias = biasBy(rack, plan);
  const prior = timeBy(bias, plan);
  // one weight for each stretch in which errors are alike, however many readings fall into it
  const stretch = (r: ProbeReading): number => Math.floor(r.s / (ALIKE * likelyS));
  const together = new Map<number, number>();
  for (const r of list) together.set(stretch(r), (together.get(stretch(r)) ?? 0) + 1);
  const share = Float64Array.from(
    list,
    (r) => Math.exp((r.s - now) / (RECENT * likelyS)) / (together.get(stretch(r)) ?? 1),
  );
  const aroundC = aroundStem(plan, now);
  const ways = waysOf(list, plan, aroundC);
  const n = list.length;
  const readC = Float64Array.from(list, (r) => r.c);
  const [centreC, meanC] = [new Float64Array(n), new Float64Array(n)];
  const going: Going[] = [];
  let best = -Infinity;
  for (const z of TIMES) {
    const endS = likelyS * Math.exp(prior.mean + z * prior.sd);
    for (const bent of BENT) {
      const power = Math.exp(bent * BENT_SD);
      const places = list.map((r) => placeOn(r.s, endS, power));
      for (const curve of plan.curves) {
        const before = -0.5 * z * z - 0.5 * bent * bent - curve.cost;
        if (before <= best - NEGLIGIBLE) continue;
        for (let i = 0; i < n; i++) {
          centreC[i] = readAt(curve.centreC, places[i] as number);
          meanC[i] = readAt(curve.meanC, places[i] as number);
        }
        for (const shown of ways) {
          let fit = before - shown.cost;
          // the last readings say most
          for (let i = n - 1; i >= 0 && fit > best - NEGLIGIBLE; i--) {
            const off =
              Math.abs((readC[i] as number) - shownBy(shown, centreC[i] as number, meanC[i] as number)) / OFF_K;
            fit -= 0.5 * (off > ROBUST ? ROBUST * ROBUST : off * off) * (share[i] as number);
          }
          if (fit <= best - NEGLIGIBLE) continue;
          best = Math.max(best, fit);
          going.push({ curve, power, shown, endS, fit });
        }
      }
    }
  }
  // however the curve runs and wherever the probe is, a bake ends when it ends
  const weights = new Map<number, number>();
  let [total, off] = [0, 0];
  for (const x of going) {
    const w = Math.exp(x.fit - best);
    weights.set(x.endS / 60, (weights.get(x.endS / 60) ?? 0) + w);
    total += w;
    off += w * x.shown.off;
  }
  const ends = [...weights].sort(([a], [b]) => a - b);
  const minutes = spread(ends.map(([x, w]) => ({ x, w, sd: ownSd(x - now / 60, x) })));
  const left = (x: number): number => Math.max(0, x - now / 60);
  return {
    minutes,
    leftMin: band(left(minutes.low), left(minutes.typical), left(minutes.high)),
    ...causes(ends, total, bias, prior, plan),
    offCentre: off / total,
    used: list.length,
    path: pathOf(going, best, minutes.high),
    words: wordsFor(
      minutes,
      now,
      list,
      plan,
      rack.some((r) => r.s >= RACK_FROM_S),
    ),
  };
}

/** What the time says of the oven's bias and of heat transfer: a normal distribution of both, given its sum. */
function causes(
  ends: readonly (readonly [number, number])[],
  total: number,
  bias: Normal,
  before: Normal,
  plan: ForecastPlan,
): Pick<Forecast, 'biasC' | 'speed'> {
  const logs = ends.map(([min, w]) => ({ x: Math.log(min / plan.doneMin), w: w / total }));
  const mean = logs.reduce((s, l) => s + l.w * l.x, 0);
  const variance = logs.reduce((s, l) => s + l.w * (l.x - mean) ** 2, 0);
  const given = (prior: Normal, per: number): Band => {
    const gain = (per * prior.sd ** 2) / before.sd ** 2;
    const typical = prior.mean + gain * (mean - before.mean);
    const sd = Math.sqrt(Math.max(0, prior.sd ** 2 - gain ** 2 * (before.sd ** 2 - variance)));
    return band(typical - Z80 * sd, typical, typical + Z80 * sd);
  };
  const speed = given({ mean: 0, sd: plan.sd.logSpeed }, plan.perSpeed);
  return {
    biasC: given(bias, plan.perK),
    speed: band(Math.exp(speed.low), Math.exp(speed.typical), Math.exp(speed.high)),
  };
}

/** So many ways stand for all of them where the path is drawn. */
const DRAWN = 96;

/** What the probe would show, minute by minute: over ways drawn evenly by their weight. */
function pathOf(going: readonly Going[], best: number, untilMin: number): { min: number; c: Band }[] {
  const total = going.reduce((s, x) => s + Math.exp(x.fit - best), 0);
  const drawn: Going[] = [];
  let sum = 0;
  for (const x of going) {
    sum += Math.exp(x.fit - best) / total;
    while (drawn.length < DRAWN && sum >= (drawn.length + 0.5) / DRAWN) drawn.push(x);
  }
  return Array.from({ length: Math.ceil(untilMin) + 1 }, (_, min) => ({
    min,
    c: spread(
      drawn.map(({ curve, power, shown, endS }) => {
        const x = placeOn(60 * min, endS, power);
        const c = shownBy(shown, readAt(curve.centreC, x), readAt(curve.meanC, x));
        return { x: c, w: 1, sd: NOISE_K };
      }),
    ),
  }));
}

/** A reading this long ago, s, says nothing of now; one this far below doneness, K, is of a middle that is not done. */
const OLD_S = 180;
const RAW_K = 10;

function wordsFor(m: Band, now: number, list: readonly ProbeReading[], plan: ForecastPlan, byRack: boolean): string {
  const [a, b] = [Math.max(0, m.low - now / 60), Math.max(0, m.high - now / 60)];
  if (list.length === 0 && !byRack) return 'nothing read yet';
  const last = list.at(-1);
  if (b < 1.5 && last && now - last.s < OLD_S && last.c < plan.doneC - RAW_K) return 'far from done, look at the oven';
  if (b < 1.5) return 'done, or nearly';
  const [lo, hi] = [Math.floor(a), Math.ceil(b)];
  return lo === hi ? `${hi} min more` : `${lo}–${hi} min more`;
}
