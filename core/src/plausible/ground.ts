import { families } from '../balance/families.js';
import type { FamilyId } from '../formula/types.js';
import { contexts, measures, type Context, type Measured, type View } from './view.js';

/**
 * How alike two formulas are. Lengths are in standard deviations of the ordinary formulas; traits and the words of the
 * title count less than amounts. All are set by the error on formulas left out; see docs/science/plausibility.md.
 */
export const ALIKE = {
  /** Weight of a trait of the first thirteen, of the other traits, and of a word of the title, against an amount. */
  traits: 0.3,
  lesser: 0.35,
  said: 0.7,
  /** Two lengths of likeness, near and far, and that at which errors are compared. */
  near: 1.7,
  far: 4.5,
  errors: 1.5,
  /** What the family alone, the near likeness, the far one and a straight line each explain. */
  family: 0.5,
  nearShare: 1,
  farShare: 1,
  line: 0.02,
  /** Share of what is not explained. */
  noise: 0.1,
  /** So many formulas' worth of the general error, before an own one is believed. */
  general: 1.5,
} as const;
const FIRST_TRAITS = 13;

const familyIndex = new Map<FamilyId, number>(families.map((f, i) => [f.id, i]));
const familyAt = (id: FamilyId): number => familyIndex.get(id) ?? familyIndex.get('free') ?? 0;

/** How much a formula belongs to each family, where it is plain which. */
export const onlyKin = (id: FamilyId): Float64Array => {
  const kin = new Float64Array(families.length);
  kin[familyAt(id)] = 1;
  return kin;
};

/** A column of figures as multiples of their standard deviation from their mean. */
interface Scale {
  readonly mean: readonly number[];
  readonly sd: readonly number[];
}

/** Rows of figures, n × d, and the squared length of each row. */
export interface Rows {
  readonly d: number;
  readonly at: Float64Array;
  readonly squares: Float64Array;
}

/** Ordinary formulas made ready to be compared with. */
export interface Ground {
  readonly n: number;
  readonly traits: Rows;
  readonly traitScale: Scale;
  /** n: which family each is named for. */
  readonly family: Int32Array;
  readonly from: Readonly<Record<Context, { readonly rows: Rows; readonly scale: Scale }>>;
  readonly is: Readonly<Record<Measured, Float64Array>>;
}

function scaleOf(rows: readonly (readonly number[])[]): Scale {
  const d = rows[0]?.length ?? 0;
  const mean = new Array<number>(d).fill(0);
  const sd = new Array<number>(d).fill(0);
  for (const r of rows) for (let j = 0; j < d; j++) mean[j] = (mean[j] as number) + (r[j] as number) / rows.length;
  for (const r of rows)
    for (let j = 0; j < d; j++) sd[j] = (sd[j] as number) + ((r[j] as number) - (mean[j] as number)) ** 2 / rows.length;
  return { mean, sd: sd.map((v) => Math.sqrt(v) + 1e-9) };
}

function rowsOf(rows: readonly (readonly number[])[]): Rows {
  const d = rows[0]?.length ?? 0;
  const at = new Float64Array(rows.length * d);
  const squares = new Float64Array(rows.length);
  rows.forEach((r, i) => {
    at.set(r, i * d);
    squares[i] = squareOf(r);
  });
  return { d, at, squares };
}

export const squareOf = (r: readonly number[]): number => r.reduce((s, x) => s + x * x, 0);

/** Products of a row with each of the rows, n. */
export function along({ d, at, squares }: Rows, row: readonly number[]): Float64Array {
  const n = squares.length;
  const x = Float64Array.from(row);
  const out = new Float64Array(n);
  for (let i = 0, k = 0; i < n; i++) {
    let s = 0;
    for (let j = 0; j < d; j++, k++) s += (at[k] as number) * (x[j] as number);
    out[i] = s;
  }
  return out;
}

const scaled = (x: readonly number[], { mean, sd }: Scale): number[] =>
  x.map((v, j) => (v - (mean[j] as number)) / (sd[j] as number));

/** Traits and title of a view, weighed against amounts. */
export const weighTraits = (v: View, scale: Scale): number[] => [
  ...scaled(v.traits, scale).map((x, j) =>
    j < FIRST_TRAITS ? ALIKE.traits * x : ALIKE.lesser * Math.max(-4, Math.min(4, x)),
  ),
  ...v.said.map((x) => ALIKE.said * x),
];
export const weighFrom = (v: View, c: Context, ground: Ground): number[] => scaled(v.from[c], ground.from[c].scale);

export function groundOf(views: readonly View[], family: readonly FamilyId[]): Ground {
  const traitScale = scaleOf(views.map((v) => v.traits));
  const from = {} as Record<Context, Ground['from'][Context]>;
  for (const c of contexts) {
    const scale = scaleOf(views.map((v) => v.from[c]));
    from[c] = { scale, rows: rowsOf(views.map((v) => scaled(v.from[c], scale))) };
  }
  const is = {} as Record<Measured, Float64Array>;
  for (const m of measures) is[m] = Float64Array.from(views, (v) => v.is[m]);
  return {
    n: views.length,
    traits: rowsOf(views.map((v) => weighTraits(v, traitScale))),
    traitScale,
    family: Int32Array.from(family, familyAt),
    from,
    is,
  };
}

const NEAR = 1 / (2 * ALIKE.near * ALIKE.near);
const FAR = 1 / (2 * ALIKE.far * ALIKE.far);
const ERRORS = 1 / (2 * ALIKE.errors * ALIKE.errors);

/**
 * Covariance of what two formulas are expected to have, by squared distance, family likeness (0–1) and product: what the
 * family explains, what a near and a far likeness do, and a straight line.
 */
export function covariance(d2: number, kin: number, product: number): number {
  const [near, far] = [1 + d2 * NEAR, 1 + d2 * FAR];
  // both fractions over one denominator: a division is the dearest step
  const likeness = (ALIKE.nearShare * (0.5 + 0.5 * kin) * far + ALIKE.farShare * near) / (near * far);
  return ALIKE.family * kin + likeness + ALIKE.line * product + 1;
}

/** Weight of another formula's error in one's own. */
export function errorWeight(d2: number, kin: number): number {
  const x = 1 + d2 * ERRORS;
  return (0.15 + 0.85 * kin) / (x * x);
}
