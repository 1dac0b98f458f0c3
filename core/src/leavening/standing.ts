import { atQuantile, band, bandOfReadings, quantilesOf } from '../formula/bands.js';
import type { Band } from '../formula/types.js';

/** Minutes of mixing before a batter begins to stand. */
export const MIXING_MIN = 2;
/** Mixing and standing that the shares "at the bench" are given for: two minutes and eight. */
export const BENCH_MIN = 10;
/** Nothing is said of longer standing than this. */
export const MAX_STAND_MIN = 120;
/** The readings of the curve, minutes of standing. */
export const STAND_MINUTES: readonly number[] = [0, 2, 4, 6, 8, 10, 13, 16, 20, 25, 30, 36, 43, 50, 60, 75, 90, 120];

/**
 * Half-life of released gas in a standing batter by how loose it is (see `looseness`), minutes; between the points it
 * is read off on a logarithmic scale. General knowledge: 8–15 min thin, 20–40 thick, 60 and more for a dough.
 */
const LEAK: readonly (readonly [looseness: number, halfLife: number])[] = [
  [0.7, 90],
  [0.9, 65],
  [1.1, 42],
  [1.45, 28],
  [1.9, 12],
  [2.5, 8],
];
/** Beside the half-life itself, how far it may be off. */
const LEAK_OFF = band(0.7, 1, 1.45);

export function halfLifeMin(looseness: number): Band {
  const first = LEAK[0] as readonly [number, number];
  let typical = first[1];
  for (let i = 1; i < LEAK.length; i++) {
    const [x0, y0] = LEAK[i - 1] as readonly [number, number];
    const [x1, y1] = LEAK[i] as readonly [number, number];
    if (looseness <= x0) break;
    const part = Math.min(1, (looseness - x0) / (x1 - x0));
    typical = Math.exp(Math.log(y0) + part * (Math.log(y1) - Math.log(y0)));
  }
  return { low: typical * LEAK_OFF.low, typical, high: typical * LEAK_OFF.high };
}

/** One stream of gas: how much in all, how much of it comes quickly and how fast, and how the rest follows. */
export interface Stream {
  readonly mmol: number;
  /** Share that comes by the fast reaction. */
  readonly quick: number;
  readonly quickPerMin: number;
  readonly slowPerMin: number;
}

/**
 * A stream whose released share after `BENCH_MIN` is `bench`, as the sum of a fast and a slow first-order reaction.
 * @param bench 0–1
 */
export function streamOf(mmol: number, bench: number, quickPerMin: number, slowPerMin: number): Stream {
  const fast = 1 - Math.exp(-quickPerMin * BENCH_MIN);
  const slow = 1 - Math.exp(-slowPerMin * BENCH_MIN);
  const quick = fast > slow ? Math.min(1, Math.max(0, (bench - slow) / (fast - slow))) : 0;
  return { mmol, quick, quickPerMin, slowPerMin };
}

/** Share of gas of first-order reaction `rate` that is released and still in a batter leaking at `leak`, after t minutes. */
function heldOf(rate: number, leak: number, t: number, gone: number): number {
  const left = Math.exp(-rate * t);
  const d = leak - rate;
  return Math.abs(d) < 1e-9 ? rate * t * left : (rate * (left - gone)) / d;
}

/** Gas of a stream `t` minutes after mixing began: still to come, and released and still in the batter. mmol. */
export function streamAt(s: Stream, leakPerMin: number, t: number): { toCome: number; held: number } {
  const gone = Math.exp(-leakPerMin * t);
  let toCome = 1;
  let held = 0;
  if (s.quick > 0 && s.quickPerMin > 0) {
    toCome -= s.quick * (1 - Math.exp(-s.quickPerMin * t));
    held += s.quick * heldOf(s.quickPerMin, leakPerMin, t, gone);
  }
  if (s.quick < 1 && s.slowPerMin > 0) {
    toCome -= (1 - s.quick) * (1 - Math.exp(-s.slowPerMin * t));
    held += (1 - s.quick) * heldOf(s.slowPerMin, leakPerMin, t, gone);
  }
  return { toCome: s.mmol * toCome, held: s.mmol * held };
}

/** What a batter still has after standing, as a share of all its gas. */
export function keptShare(streams: readonly Stream[], leakPerMin: number, standMin: number): number {
  let all = 0;
  let kept = 0;
  for (const s of streams) {
    const x = streamAt(s, leakPerMin, MIXING_MIN + standMin);
    all += s.mmol;
    kept += x.toCome + x.held;
  }
  return all > 0 ? kept / all : 1;
}

/** Lift against minutes of standing, with its band, mmol per 100 g of base. */
export interface StandPoint {
  readonly min: number;
  readonly mmol: Band;
}

/** The minute at which a falling curve first meets a level, straight between its points. */
export function crossing(kept: readonly number[], level: number): number {
  if ((kept[0] ?? 0) <= level) return 0;
  for (let i = 1; i < kept.length; i++) {
    const [a, b] = [kept[i - 1] as number, kept[i] as number];
    if (b > level) continue;
    const [t0, t1] = [STAND_MINUTES[i - 1] as number, STAND_MINUTES[i] as number];
    return t0 + ((a - level) / Math.max(1e-9, a - b)) * (t1 - t0);
  }
  return MAX_STAND_MIN;
}

/** One joint reading of a batter that stands: its streams, per 100 g of base, and how fast it leaks. */
export interface Standing {
  readonly streams: readonly Stream[];
  readonly leakPerMin: number;
}

export const leakAt = (halfLife: Band, reading: number): number =>
  Math.LN2 / Math.max(1, atQuantile(halfLife, quantilesOf('leak')[reading] as number));

const keptCurve = (s: Standing): number[] => {
  const all = s.streams.reduce((sum, x) => sum + x.mmol, 0);
  return STAND_MINUTES.map((m) => all * keptShare(s.streams, s.leakPerMin, m));
};

/**
 * How lift falls while a batter stands, and until when it had best be in the oven: where a fifth of what it had at
 * first is lost, or where it falls out of the family's band, whichever comes first; 0 when it is below the band already.
 */
export function standingOf(
  typical: Standing,
  readings: readonly Standing[],
  low: number,
): { curve: StandPoint[]; bestBeforeMin: Band } {
  const curves = readings.map(keptCurve);
  const mid = keptCurve(typical);
  // the band speaks of lift before any is lost, so its edge is lowered by what mixing itself lets go
  const all = (s: Standing): number => s.streams.reduce((sum, x) => sum + x.mmol, 0);
  const until = (c: readonly number[], s: Standing): number =>
    all(s) <= low ? 0 : crossing(c, (c[0] ?? 0) * Math.max(low / all(s), 0.8));
  return {
    curve: STAND_MINUTES.map((min, i) => ({
      min,
      mmol: bandOfReadings(
        curves.map((c) => c[i] as number),
        mid[i] as number,
      ),
    })),
    bestBeforeMin: bandOfReadings(
      curves.map((c, i) => until(c, readings[i] as Standing)),
      until(mid, typical),
    ),
  };
}
