import { stageAt, type OvenStage } from './oven.js';

/** One reading of a probe in the cake: seconds after the door closed, °C. */
export interface ProbeReading {
  readonly s: number;
  readonly c: number;
}

/** Where the probe may be, from the coldest spot to the average of the crumb; how much less likely, in ln, all the way off is. */
const OFF_COSTS = 2.5;
const OFF = [0, 0.05, 0.1, 0.15, 0.2, 0.25, 0.3, 0.35, 0.45] as const;
/** The share of what a probe shows that its stem brings in from the oven; the last is e^`STEM_COSTS` less likely. Judgements. */
const STEM = [0, 0.012, 0.024, 0.036] as const;
const STEM_COSTS = 0.9;
/** Around the stem the oven is cooler than its dial by this, K: it is cold at first and loses heat by its door. */
const STEM_K = 15;
/** The batter differs from what it should be by this, K; what differs by more than the second is read before the probe was in. */
const START_SD = 2;
const STARTS_K = 15;
/** Readings far from all curves, a door that was open, a probe that slipped, count no more than this many sigmas. */
export const ROBUST = 3;
/** A probe shows what was so long ago, s. */
export const PROBE_LAG_S = 15;

/** The middle one of each stretch's readings: many in it say no more, and a wild one is passed over. */
export function thinned(readings: readonly ProbeReading[], grainS: number): ProbeReading[] {
  const stretches = new Map<number, ProbeReading[]>();
  for (const r of readings) {
    if (!Number.isFinite(r.s) || !Number.isFinite(r.c) || r.s < 0 || r.c < -30 || r.c > 130) continue;
    const n = Math.floor(r.s / grainS);
    stretches.set(n, [...(stretches.get(n) ?? []), r]);
  }
  return [...stretches]
    .sort(([a], [b]) => a - b)
    .map(
      ([, all]) => [...all].sort((a, b) => a.c - b.c || a.s - b.s)[Math.floor((all.length - 1) / 2)] as ProbeReading,
    );
}

/** What a probe is stuck into: what it starts from, where it is done, and the oven around it. */
export interface Stuck {
  readonly startC: number;
  readonly doneC: number;
  /** As the model has it, min. */
  readonly doneMin: number;
  readonly stages: readonly OvenStage[];
}

/**
 * How a probe may show something else than the middle: off it, heat from its stem, a batter that went in warmer or colder.
 * What it shows is straight in both temperatures of the crumb, the middle's and the mean.
 */
export interface Shown {
  readonly off: number;
  readonly cost: number;
  readonly baseC: number;
  readonly ofCentre: number;
  readonly ofMean: number;
}

/** The ways a probe may show the crumb, from its first readings: what it shows too much, the stem brings in or the batter had. */
export function waysOf(list: readonly ProbeReading[], stuck: Stuck, aroundC: number): Shown[] {
  const first = list.filter((r) => r.s <= Math.min(150, 0.06 * 60 * stuck.doneMin)).map((r) => r.c);
  const showed = first.length > 0 ? first.reduce((a, b) => a + b, 0) / first.length : null;
  return STEM.flatMap((stem, i) => {
    const warmer = showed === null ? 0 : (showed - stem * aroundC) / (1 - stem) - stuck.startC;
    const believed = Math.abs(warmer) <= STARTS_K ? warmer : 0;
    const cost = (STEM_COSTS * i) / (STEM.length - 1) + 0.5 * Math.min(ROBUST, Math.abs(warmer) / START_SD) ** 2;
    // what is still to be gained at any time, as a share of what the curve has
    const toGain = (stuck.doneC - stuck.startC - believed) / (stuck.doneC - stuck.startC);
    const crumb = (1 - stem) * toGain;
    return OFF.map((off) => ({
      off,
      cost: cost + OFF_COSTS * off,
      baseC: (1 - stem) * stuck.doneC * (1 - toGain) + stem * aroundC,
      ofCentre: crumb * (1 - off),
      ofMean: crumb * off,
    }));
  });
}

/** What the probe shows where a curve's middle and mean are at these temperatures, °C. */
export const shownBy = (w: Shown, centreC: number, meanC: number): number =>
  w.baseC + w.ofCentre * centreC + w.ofMean * meanC;

/** What is around the stem of a probe after so many seconds, °C. */
export const aroundStem = (stuck: Stuck, s: number): number => stageAt(stuck.stages, s).ovenC - STEM_K;
