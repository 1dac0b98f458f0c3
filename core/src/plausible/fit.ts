import { apartAt, covariance, ALIKE, type Apart, type Ground, type Rows } from './ground.js';
import { FAR, type Fitted } from './expect.js';
import { contextOf, type Context, type Measured } from './view.js';

/** Lower triangle L of a positive definite n × n matrix, L Lᵀ = A, in place. @throws Error when it is not. */
function cholesky(a: Float64Array, n: number): void {
  for (let j = 0; j < n; j++) {
    const row = j * n;
    let s = a[row + j] as number;
    for (let k = 0; k < j; k++) s -= (a[row + k] as number) ** 2;
    if (!(s > 0)) throw new Error('The formulas are too alike to be told apart.');
    const diagonal = Math.sqrt(s);
    a[row + j] = diagonal;
    for (let i = j + 1; i < n; i++) {
      const at = i * n;
      let v = a[at + j] as number;
      for (let k = 0; k < j; k++) v -= (a[at + k] as number) * (a[row + k] as number);
      a[at + j] = v / diagonal;
    }
  }
}

/** Inverse of the lower triangle, in a new matrix. */
function inverseLower(l: Float64Array, n: number): Float64Array {
  const x = new Float64Array(n * n);
  for (let i = 0; i < n; i++) {
    const d = 1 / (l[i * n + i] as number);
    for (let j = 0; j < i; j++) {
      let s = 0;
      for (let k = j; k < i; k++) s += (l[i * n + k] as number) * (x[k * n + j] as number);
      x[i * n + j] = -s * d;
    }
    x[i * n + i] = d;
  }
  return x;
}

/** Product of two of the rows. */
function dot({ d, at }: Rows, i: number, k: number): number {
  let s = 0;
  for (let j = 0; j < d; j++) s += (at[i * d + j] as number) * (at[k * d + j] as number);
  return s;
}

const median = (x: number[]): number => x.sort((a, b) => a - b)[Math.floor(x.length / 2)] ?? 0;

/** What is known of all formulas before a measure is looked at: the inverse of how they covary, as its lower factor L⁻¹. */
function covarying(ground: Ground, c: Context, apart: readonly Apart[]): Float64Array {
  const { n, family } = ground;
  const { rows: from } = ground.from[c];
  const a = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let k = 0; k <= i; k++) {
      const near = apart[i] as Apart;
      const product = dot(from, i, k);
      const d2 = (near.d2[k] as number) + (from.squares[i] as number) + (from.squares[k] as number) - 2 * product;
      const kin = family[i] === family[k] ? 1 : 0;
      a[i * n + k] =
        covariance(Math.max(0, d2), kin, (near.product[k] as number) + product) + (i === k ? ALIKE.noise : 0);
    }
  cholesky(a, n);
  return inverseLower(a, n);
}

/** Fits one measure: kernel regression (a Gaussian process) on the ground, with each formula's error when left out. */
function fitMeasure(is: Float64Array, inv: Float64Array): Fitted {
  const n = is.length;
  const mean = is.reduce((s, y) => s + y, 0) / n;
  const sd = Math.sqrt(is.reduce((s, y) => s + (y - mean) ** 2, 0) / n) + 1e-9;
  // A⁻¹ = L⁻ᵀ L⁻¹: its product with what is to be explained, and its diagonal
  const half = new Float64Array(n);
  for (let i = 0; i < n; i++)
    for (let k = 0; k <= i; k++)
      half[i] = (half[i] as number) + ((inv[i * n + k] as number) * ((is[k] as number) - mean)) / sd;
  const alpha = new Float64Array(n);
  const diagonal = new Float64Array(n);
  for (let i = 0; i < n; i++)
    for (let k = 0; k <= i; k++) {
      const v = inv[i * n + k] as number;
      alpha[k] = (alpha[k] as number) + v * (half[i] as number);
      diagonal[k] = (diagonal[k] as number) + v * v;
    }
  const misses = alpha.map((v, i) => Math.abs((v / (diagonal[i] as number)) * sd));
  const typical = median([...misses]);
  const miss = misses.reduce((s, v) => s + Math.min(v, 3 * typical), 0) / n;
  return { mean, sd, alpha, misses: misses.map((v) => Math.min(v, FAR * miss)), miss };
}

const apartOfAll = (ground: Ground): Apart[] => Array.from({ length: ground.n }, (_, i) => apartAt(i, ground));

/** Fits measures, each from all the rest; those that are expected from the same share its inverse. n³ steps for each of these. */
export function fitMeasures<M extends Measured>(ground: Ground, of: readonly M[]): Record<M, Fitted> {
  const apart = apartOfAll(ground);
  const known = new Map<Context, Float64Array>();
  const out = {} as Record<M, Fitted>;
  for (const m of of) {
    const c = contextOf[m];
    const inv = known.get(c) ?? covarying(ground, c, apart);
    known.set(c, inv);
    out[m] = fitMeasure(ground.is[m], inv);
  }
  return out;
}

/** An example for the second half of the judgement: what its measures looked like, and which slip is in it (0: none). */
export interface Example {
  readonly clues: Float64Array;
  readonly slip: number;
  readonly weight: number;
}

/** Weights of the clues for each slip: (1 + clues) × classes, the first row for any formula; clues count in units of `sd`. */
export interface Telling {
  readonly classes: number;
  readonly sd: Float64Array;
  readonly rows: Float64Array;
}

/** The clues of an example that are not 0, the constant first: most of them begin to tell only far out. */
interface Sparse {
  readonly at: Int32Array;
  readonly x: Float64Array;
}

/**
 * Logistic regression over the slips and none with a quadratic penalty, by limited-memory quasi-Newton steps.
 * @param penalty per unit of weight², beside the sum over the examples
 */
export function fitTelling(examples: readonly Example[], classes: number, penalty = 7, steps = 180): Telling {
  const p = (examples[0]?.clues.length ?? 0) + 1;
  const sd = deviations(examples, p);
  const sparse = examples.map((e) => sparseOf(e.clues, sd));
  const score = new Float64Array(classes);
  const value = (rows: Float64Array, slope: Float64Array): number => {
    let loss = 0;
    slope.fill(0);
    for (const [i, e] of examples.entries()) {
      const { at, x } = sparse[i] as Sparse;
      score.fill(0);
      for (let n = 0; n < at.length; n++) {
        const v = x[n] as number;
        for (let c = 0, k = (at[n] as number) * classes; c < classes; c++, k++)
          score[c] = (score[c] as number) + v * (rows[k] as number);
      }
      let most = -Infinity;
      for (let c = 0; c < classes; c++) most = Math.max(most, score[c] as number);
      let sum = 0;
      for (let c = 0; c < classes; c++) sum += score[c] = Math.exp((score[c] as number) - most);
      loss -= e.weight * Math.log((score[e.slip] as number) / sum + 1e-12);
      for (let c = 0; c < classes; c++) score[c] = e.weight * ((score[c] as number) / sum - (c === e.slip ? 1 : 0));
      for (let n = 0; n < at.length; n++) {
        const v = x[n] as number;
        for (let c = 0, k = (at[n] as number) * classes; c < classes; c++, k++)
          slope[k] = (slope[k] as number) + v * (score[c] as number);
      }
    }
    for (let k = classes; k < p * classes; k++) {
      loss += penalty * (rows[k] as number) ** 2;
      slope[k] = (slope[k] as number) + 2 * penalty * (rows[k] as number);
    }
    return loss;
  };
  return { classes, sd, rows: least(value, classes * p, steps) };
}

function sparseOf(clues: Float64Array, sd: Float64Array): Sparse {
  const at = [0];
  const x = [1];
  clues.forEach((v, j) => {
    if (v === 0) return;
    at.push(j + 1);
    x.push(v / (sd[j + 1] as number));
  });
  return { at: Int32Array.from(at), x: Float64Array.from(x) };
}

/** Standard deviation of each clue, 1 for the constant. */
function deviations(examples: readonly Example[], p: number): Float64Array {
  const sum = new Float64Array(p);
  const squares = new Float64Array(p);
  for (const { clues } of examples)
    for (let j = 1; j < p; j++) {
      const v = clues[j - 1] as number;
      sum[j] = (sum[j] as number) + v;
      squares[j] = (squares[j] as number) + v * v;
    }
  const n = examples.length;
  return sum.map((s, j) => (j === 0 ? 1 : Math.sqrt(Math.max(0, (squares[j] as number) / n - (s / n) ** 2)) + 1e-9));
}

/** Least value of a smooth convex function from 0 on: quasi-Newton steps from the last dozen slopes, halved until they go down. */
function least(value: (at: Float64Array, slope: Float64Array) => number, n: number, steps: number): Float64Array {
  const dot2 = (a: Float64Array, b: Float64Array): number => a.reduce((s, v, i) => s + v * (b[i] as number), 0);
  let at = new Float64Array(n);
  let slope = new Float64Array(n);
  let now = value(at, slope);
  const past: { s: Float64Array; y: Float64Array; r: number }[] = [];
  for (let step = 0; step < steps; step++) {
    const way = slope.map((v) => -v);
    const a: number[] = [];
    for (const h of [...past].reverse()) {
      const q = dot2(h.s, way) / h.r;
      a.push(q);
      h.y.forEach((v, i) => (way[i] = (way[i] as number) - q * v));
    }
    const last = past.at(-1);
    const scale = last ? last.r / dot2(last.y, last.y) : 1 / Math.sqrt(dot2(slope, slope));
    way.forEach((v, i) => (way[i] = v * scale));
    past.forEach((h, k) => {
      const q = (a[past.length - 1 - k] as number) - dot2(h.y, way) / h.r;
      h.s.forEach((v, i) => (way[i] = (way[i] as number) + q * v));
    });
    const down = dot2(way, slope);
    if (!(down < 0)) break;
    let t = 1;
    for (; t > 1e-6; t /= 2) {
      const next = at.map((v, i) => v + t * (way[i] as number));
      const nextSlope = new Float64Array(n);
      const then = value(next, nextSlope);
      if (then > now + 1e-4 * t * down) continue;
      const s = next.map((v, i) => v - (at[i] as number));
      const y = nextSlope.map((v, i) => v - (slope[i] as number));
      const r = dot2(s, y);
      if (r > 1e-12) past.push({ s, y, r });
      if (past.length > 12) past.shift();
      [at, slope, now] = [next, nextSlope, then];
      break;
    }
    if (t <= 1e-6) break;
  }
  return at;
}
