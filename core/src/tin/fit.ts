import { told, toldAll } from '../quantity/figures.js';
import type { Family } from '../balance/families.js';
import type { Problem } from '../errors.js';
import type { Formula, Kitchen, Tin, TinUse } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { weigh } from '../balance/weigh.js';
import { learnedFactor } from '../bake/learned.js';
import { densityOf } from '../balance/totals.js';
import { domeOf } from './dome.js';
import { shapedTin } from './shaped.js';
import { areaAt, capacityFactor, capacityOf, heightFor, outlineOf, tinProblems, volumeTo } from './geometry.js';

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

const OPENS = { cross: 'its cross', slashes: 'its slashes', wedges: 'the marks' } as const;

/** Baked over raw height: the family's range, placed by where the lift lies in its band. */
export function riseOf(family: Family, liftMmol: number, target: readonly [number, number]): number {
  const [lo, hi] = family.rise;
  const span = Math.max(target[1] - target[0], 1e-6);
  const at = (liftMmol - target[0]) / span;
  const bounded = at < 0 ? 0.5 * Math.max(-1, at) : Math.min(1.25, at);
  return Math.max(1.02, lo + (hi - lo) * bounded);
}

/** Pieces that tins hold together: cups, rounds, loaves; a sheet that is cut later is one. */
export const piecesIn = (fits: readonly TinFit[]): number =>
  fits.reduce((n, f) => n + f.count * (f.perCupG > 0 ? Math.round(f.batterG / f.perCupG) : 1), 0);

/** How a batter is shared over unlike tins: the same share of each, or the same depth in each. */
export type Sharing = 'fill' | 'depth';

/** Shares of a volume for each of some tins, ml in one tin of each kind; together, with their counts, all of it. */
export function shareOut(ml: number, tins: readonly TinUse[], how: Sharing): number[] {
  const capacities = tins.map((t) => Math.max(0, capacityOf(t.tin)));
  const sum = (each: readonly number[]): number => tins.reduce((s, t, i) => s + (each[i] ?? 0) * t.count, 0);
  const total = sum(capacities);
  if (!(total > 0)) return tins.map(() => 0);
  const even = capacities.map((c) => (ml * c) / total);
  if (how === 'fill' || tins.length < 2) return even;
  // the depth at which all of it is in; what lies above a rim stands on as if the wall went on
  const at = (mm: number): number[] => tins.map((t) => volumeAt(t.tin, mm));
  let [lo, hi] = [0, 1];
  while (sum(at(hi)) < ml && hi < 1e5) hi *= 2;
  for (let i = 0; i < 60; i++) {
    const mid = (lo + hi) / 2;
    if (sum(at(mid)) < ml) lo = mid;
    else hi = mid;
  }
  const each = at(hi);
  const k = ml / sum(each);
  return each.map((x) => x * k);
}

/** Volume of the whole tin filled to a depth, ml, by its measured capacity where there is one. */
function volumeAt(tin: Tin, mm: number): number {
  const o = outlineOf(tin);
  const inside = volumeTo(o, Math.min(mm, o.depth));
  const above = (Math.max(0, mm - o.depth) * areaAt(o, o.depth)) / 1000;
  return (inside + above) * o.cups * capacityFactor(tin);
}

/**
 * Divides a batter over tins, at equal fill or at equal depth, and predicts how it stands in each: raw height, risen
 * height, what the filled tin weighs. Grams over all tins add up to the batter.
 */
export function fitTins(
  formula: Formula,
  tins: readonly TinUse[],
  kitchen: Kitchen = defaultKitchen,
  how: Sharing = 'fill',
): TinFit[] {
  const b = batterOf(formula, kitchen);
  const use = tins.filter((t) => t.count > 0);
  const each = shareOut(b.batterG / b.density, use, how);
  return use.map(({ tin, count }, i) => {
    const grams = (each[i] ?? 0) * b.density;
    return toldFit(
      fitOne(shapedTin(tin, grams, b.density), count, grams, b.density, b.rise, b.family, formula.bake?.ovenC),
      kitchen,
    );
  });
}

/** How it stands, in the kitchen's units; what hands shape is named by its size, so that too. */
const toldFit = (fit: TinFit, kitchen: Kitchen): TinFit => {
  const name = told(kitchen, fit.tin.name);
  const tin = name === fit.tin.name ? fit.tin : { ...fit.tin, name };
  return { ...fit, tin, words: told(kitchen, fit.words), problems: toldAll(kitchen, fit.problems) };
};

/** The same tin with another weight of the formula's batter in it, g. */
export function fitWith(formula: Formula, fit: TinFit, batterG: number, kitchen: Kitchen): TinFit {
  const b = batterOf(formula, kitchen);
  return toldFit(
    fitOne(
      shapedTin(fit.tin, batterG, b.density),
      fit.count,
      batterG,
      b.density,
      b.rise,
      b.family,
      formula.bake?.ovenC,
    ),
    kitchen,
  );
}

/** What a formula's batter is, for any tin: weight, density, and how far it rises; as the log has taught, if it has. */
export function batterOf(
  formula: Formula,
  kitchen: Kitchen,
): { batterG: number; density: number; rise: number; family: Family } {
  const w = weigh(formula, kitchen);
  const { family } = w;
  return {
    batterG: w.totals.batterG,
    density: densityOf(w.totals, family) * learnedFactor(kitchen, 'dense', formula.id),
    rise: Math.max(1.02, riseOf(family, w.lift.mmolPer100gBase.typical, w.lift.target) * learnedFactor(kitchen, 'rise', formula.id)), // prettier-ignore
    family,
  };
}

export function fitOne(
  tin: Tin,
  count: number,
  batterG: number,
  density: number,
  rise: number,
  family: Family,
  ovenC = 175,
): TinFit {
  const o = outlineOf(tin);
  const problems = tinProblems(tin);
  const capacity = capacityOf(tin);
  const ml = batterG / density;
  const fill = capacity > 0 ? ml / capacity : 0;
  const batterMm = heightFor(tin, ml);
  const mean = o.free ? batterMm * rise : heightFor(tin, ml * rise);
  const dome = domeOf(family, tin, ovenC) * (mean - batterMm);
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
      ? `${Math.round(batterG / o.cups)} g each, ${Math.round(batterMm)} mm thick${tin.scored ? `, opens along ${OPENS[tin.scored]}` : ''}`
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
