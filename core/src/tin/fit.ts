import { familyOf, type Family } from '../balance/families.js';
import type { Problem } from '../errors.js';
import type { Formula, Kitchen, Tin, TinUse } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { weigh } from '../balance/weigh.js';
import { densityOf } from '../balance/totals.js';
import { capacityOf, heightFor, outlineOf, tinProblems } from './geometry.js';

export interface TinFit {
  readonly tin: Tin;
  readonly count: number;
  /** Batter in each tin (all its cups together), g. */
  readonly batterG: number;
  /** Batter in each cup or piece, g; the same as `batterG` for a tin of one hollow. */
  readonly perCupG: number;
  /** What the filled tin reads on the scale, g; null when its tare is not known. */
  readonly tinReadsG: number | null;
  readonly capacityMl: number;
  /** Batter volume over capacity. */
  readonly fill: number;
  readonly batterMm: number;
  /** Baked height at the edge and at the crown, mm above the base. */
  readonly edgeMm: number;
  readonly crownMm: number;
  readonly rise: number;
  readonly state: 'low' | 'ok' | 'high' | 'overflow';
  readonly words: string;
  readonly problems: readonly Problem[];
}

/** Share of the mean rise by which the crown stands above the mean, and the edge below. */
const DOME: Readonly<Record<string, number>> = {
  muffin: 0.28,
  'quick-bread': 0.22,
  'pound-cake': 0.2,
  'soda-bread': 0.3,
};

/** Baked over raw height: the family's range, placed by where the lift lies in its band. */
export function riseOf(family: Family, liftMmol: number, target: readonly [number, number]): number {
  const [lo, hi] = family.rise;
  const span = Math.max(target[1] - target[0], 1e-6);
  const at = (liftMmol - target[0]) / span;
  const bounded = at < 0 ? 0.5 * Math.max(-1, at) : Math.min(1.25, at);
  return Math.max(1.02, lo + (hi - lo) * bounded);
}

/**
 * Divides a batter over tins at equal fill and predicts how it stands in each: raw height, risen height, what the
 * filled tin weighs. Grams over all tins add up to the batter.
 */
export function fitTins(formula: Formula, tins: readonly TinUse[], kitchen: Kitchen = defaultKitchen): TinFit[] {
  const w = weigh(formula, kitchen);
  const family = familyOf(formula.family);
  const density = densityOf(w.totals, family);
  const rise = riseOf(family, w.lift.mmolPer100gBase.typical, w.lift.target);
  const use = tins.filter((t) => t.count > 0);
  const capacities = use.map((t) => Math.max(0, capacityOf(t.tin)));
  const total = use.reduce((s, t, i) => s + (capacities[i] ?? 0) * t.count, 0);
  return use.map(({ tin, count }, i) => {
    const capacity = capacities[i] ?? 0;
    const batterG = total > 0 ? (w.totals.batterG * capacity) / total : 0;
    return fitOne(tin, count, batterG, density, rise, family);
  });
}

export function fitOne(
  tin: Tin,
  count: number,
  batterG: number,
  density: number,
  rise: number,
  family: Family,
): TinFit {
  const o = outlineOf(tin);
  const problems = tinProblems(tin);
  const capacity = capacityOf(tin);
  const ml = batterG / density;
  const fill = capacity > 0 ? ml / capacity : 0;
  const batterMm = heightFor(tin, ml);
  const mean = o.free ? batterMm * rise : heightFor(tin, ml * rise);
  const dome = (DOME[family.id] ?? 0.14) * (mean - batterMm);
  const crownMm = mean + dome;
  const edgeMm = Math.max(batterMm * 0.95, mean - dome);
  const [lo, hi] = family.fill;
  const state = o.free
    ? 'ok'
    : edgeMm > o.depth * (tin.shape === 'cup' ? 1.35 : 1.08) || fill > 1
      ? 'overflow'
      : fill > hi + 0.06
        ? 'high'
        : fill < lo - 0.06
          ? 'low'
          : 'ok';
  const pct = Math.round(fill * 100);
  const clear = Math.round(o.depth - crownMm);
  const words = problems[0]
    ? problems[0].words
    : o.free
      ? `${Math.round(batterG / o.cups)} g each, ${Math.round(batterMm)} mm thick`
      : state === 'overflow'
        ? `${pct} % full: it will run over the rim. Fill less, or take a bigger tin.`
        : state === 'high'
          ? `${pct} % full: fuller than usual, the crown may crack or lean over the rim.`
          : state === 'low'
            ? `${pct} % full: shallow, it will bake fast and dry.`
            : `${pct} % full, crown ${clear >= 0 ? `${clear} mm under` : `${-clear} mm above`} the rim`;
  return {
    tin,
    count,
    batterG,
    perCupG: batterG / o.cups,
    tinReadsG: tin.tareG === undefined ? null : tin.tareG + batterG,
    capacityMl: capacity,
    fill,
    batterMm,
    edgeMm,
    crownMm,
    rise,
    state,
    words,
    problems,
  };
}
