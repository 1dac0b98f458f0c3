import { families } from '../balance/families.js';
import type { FamilyId } from '../formula/types.js';
import { workings } from './said.js';
import { contexts, measures, type Context, type Measured, type View } from './view.js';

/**
 * How alike two formulas are. Lengths are in standard deviations of the ordinary formulas; traits and the words of the
 * title count less than amounts. All are set by the error on formulas left out; see docs/science/plausibility.md.
 */
export const ALIKE = {
  /** Weight of a trait of the first thirteen, of the others, of the title's kind and words and the way of working, against an amount. */
  traits: 0.3,
  lesser: 0.35,
  kinds: 0.7,
  words: 0.7,
  working: 0.7,
  /** Of what it is cooked in: a batter for the griddle is another thing than one for a tin. */
  cooking: 2.2,
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

/** Titles of the ordinary formulas, to be compared by the words that two or more of them use: rare ones count more. */
export interface Titles {
  /** Which formulas use a word, and its share of the length of each one's title. */
  readonly uses: ReadonlyMap<string, readonly { readonly at: number; readonly share: number }[]>;
  /** Square of a word's weight. */
  readonly weight: ReadonlyMap<string, number>;
  /** n: 1 where any of its words is used elsewhere, else 0. */
  readonly known: Float64Array;
  /** n: the words of each. */
  readonly words: readonly (readonly string[])[];
}

/** Ordinary formulas made ready to be compared with. */
export interface Ground {
  readonly n: number;
  readonly traits: Rows;
  readonly traitScale: Scale;
  /** By family, share of the formulas worked in each way: what stands where it is not known. */
  readonly workings: readonly (readonly number[])[];
  readonly titles: Titles;
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

export function squareOf(r: Iterable<number>): number {
  let s = 0;
  for (const x of r) s += x * x;
  return s;
}

/** Products of a row with each of the rows, n. */
export function along({ d, at, squares }: Rows, row: ArrayLike<number>): Float64Array {
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

function titlesOf(words: readonly (readonly string[])[]): Titles {
  const users = new Map<string, number[]>();
  words.forEach((of, at) => of.forEach((w) => users.set(w, [...(users.get(w) ?? []), at])));
  const weight = new Map<string, number>();
  for (const [w, at] of users) if (at.length >= 2) weight.set(w, Math.log(words.length / at.length));
  const lengths = words.map((of) => Math.sqrt(of.reduce((s, w) => s + (weight.get(w) ?? 0), 0)));
  const uses = new Map<string, { at: number; share: number }[]>();
  for (const w of weight.keys())
    uses.set(w, (users.get(w) ?? []).map((at) => ({ at, share: 1 / (lengths[at] as number) }))); // prettier-ignore
  return { uses, weight, known: Float64Array.from(lengths, (l) => (l > 0 ? 1 : 0)), words };
}

/** Likeness of a title to that of each formula: cosines, 0–1, n; and 1 when any of its words is known, else 0. */
export function alongTitles(
  t: Titles,
  words: readonly string[],
): { readonly by: Float64Array; readonly known: number } {
  const by = new Float64Array(t.known.length);
  let square = 0;
  for (const w of words) {
    const weight = t.weight.get(w);
    if (weight === undefined) continue;
    square += weight;
    for (const { at, share } of t.uses.get(w) ?? []) by[at] = (by[at] as number) + weight * share;
  }
  if (square > 0) for (let i = 0; i < by.length; i++) by[i] = (by[i] as number) / Math.sqrt(square);
  return { by, known: square > 0 ? 1 : 0 };
}

/** What of a view explains and is not judged, but for the words of its title: n products with the ground's, and distances². */
export interface Apart {
  readonly product: Float64Array;
  readonly d2: Float64Array;
}

/** Traits, title and way of working of a view against those of each ordinary formula. */
export const apartOf = (view: View, kin: ArrayLike<number>, ground: Ground): Apart =>
  apartFrom(weighTraits(view, workedAs(view, kin, ground), ground.traitScale), view.words, ground);

/** The same of one of the ordinary formulas themselves. */
export function apartAt(i: number, ground: Ground): Apart {
  const { d, at } = ground.traits;
  return apartFrom(at.subarray(i * d, (i + 1) * d), ground.titles.words[i] ?? [], ground);
}

function apartFrom(
  row: readonly number[] | Float64Array,
  words: readonly string[],
  { n, traits, titles }: Ground,
): Apart {
  const square = squareOf(row);
  const product = along(traits, row);
  const d2 = new Float64Array(n);
  const title = alongTitles(titles, words);
  const w = ALIKE.words * ALIKE.words;
  for (let i = 0; i < n; i++) {
    const cosine = title.by[i] as number;
    const p = product[i] as number;
    d2[i] =
      (traits.squares[i] as number) - 2 * p + square + w * ((titles.known[i] as number) + title.known - 2 * cosine);
    product[i] = p + w * cosine;
  }
  return { product, d2 };
}

/** How a formula is worked, as shares of the ways: as it says, or else as its family mostly is. */
function workedAs({ working }: View, kin: ArrayLike<number>, { workings: by }: Pick<Ground, 'workings'>): number[] {
  if (working !== null) return workings.map((w) => (w === working ? 1 : 0));
  return workings.map((_, i) => by.reduce((s, shares, f) => s + (kin[f] as number) * (shares[i] as number), 0));
}

/** Shares of the ways of working by family, a family of few leaning towards all. */
function workingsOf(views: readonly View[], family: readonly FamilyId[]): number[][] {
  const known = views
    .map((v, i) => ({ working: v.working, at: familyAt(family[i] ?? 'free') }))
    .filter((v) => v.working);
  const all = workings.map((w) => known.filter((v) => v.working === w).length / Math.max(1, known.length));
  return families.map((_, f) => {
    const of = known.filter((v) => v.at === f);
    return workings.map(
      (w, i) => (of.filter((v) => v.working === w).length + FEW * (all[i] as number)) / (of.length + FEW),
    );
  });
}
/** So many formulas' worth of all the families. */
const FEW = 2;

/** Traits, kind and way of working of a view, weighed against amounts. */
const weighTraits = (v: View, worked: readonly number[], scale: Scale): number[] => [
  ...scaled(v.traits, scale).map((x, j) =>
    j < FIRST_TRAITS ? ALIKE.traits * x : ALIKE.lesser * Math.max(-4, Math.min(4, x)),
  ),
  ...v.kinds.map((x) => ALIKE.kinds * x),
  ...v.away.map((x) => ALIKE.cooking * x),
  ...worked.map((x) => ALIKE.working * x),
];
export const weighFrom = (v: View, c: Context, ground: Ground): number[] => scaled(v.from[c], ground.from[c].scale);

export function groundOf(views: readonly View[], family: readonly FamilyId[]): Ground {
  const traitScale = scaleOf(views.map((v) => v.traits));
  const byFamily = { workings: workingsOf(views, family) };
  const from = {} as Record<Context, Ground['from'][Context]>;
  for (const c of contexts) {
    const scale = scaleOf(views.map((v) => v.from[c]));
    from[c] = { scale, rows: rowsOf(views.map((v) => scaled(v.from[c], scale))) };
  }
  const is = {} as Record<Measured, Float64Array>;
  for (const m of measures) is[m] = Float64Array.from(views, (v) => v.is[m]);
  return {
    n: views.length,
    traits: rowsOf(
      views.map((v, i) => weighTraits(v, workedAs(v, onlyKin(family[i] ?? 'free'), byFamily), traitScale)),
    ),
    traitScale,
    ...byFamily,
    titles: titlesOf(views.map((v) => v.words)),
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
