import { covariance, ALIKE, type Ground, type Rows } from './ground.js';
import type { Fitted } from './expect.js';
import { measures, type Measured } from './view.js';

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

/**
 * Fits one measure: kernel regression (a Gaussian process) on the ground, with each formula's error when left out.
 * Takes about n³ steps: half a second for 600 formulas.
 */
export function fitMeasure(ground: Ground, m: Measured): Fitted {
  const { n, traits, family } = ground;
  const { from, is } = ground.of[m];
  const mean = is.reduce((s, y) => s + y, 0) / n;
  const sd = Math.sqrt(is.reduce((s, y) => s + (y - mean) ** 2, 0) / n) + 1e-9;
  const a = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let k = 0; k <= i; k++) {
      const product = dot(traits, i, k) + dot(from, i, k);
      const squares = (r: Rows): number => (r.squares[i] as number) + (r.squares[k] as number);
      const d2 = Math.max(0, squares(traits) + squares(from) - 2 * product);
      a[i * n + k] = covariance(d2, family[i] === family[k] ? 1 : 0, product) + (i === k ? ALIKE.noise : 0);
    }
  cholesky(a, n);
  const inv = inverseLower(a, n);
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
  return { mean, sd, alpha, misses, miss };
}

export const fitAll = (ground: Ground): Record<Measured, Fitted> =>
  Object.fromEntries(measures.map((m) => [m, fitMeasure(ground, m)])) as Record<Measured, Fitted>;

/** An example for the second half of the judgement: what its measures looked like, and which slip is in it (0: none). */
export interface Example {
  readonly clues: Float64Array;
  readonly slip: number;
  readonly weight: number;
}

/** Weights of the clues for each slip: classes × (clues + 1), the first of each row for any formula. */
export interface Telling {
  readonly classes: number;
  readonly mean: Float64Array;
  readonly sd: Float64Array;
  readonly rows: Float64Array;
}

/**
 * Logistic regression over the slips and none, by Adam over small batches in an order that follows from `seed`, with a
 * quadratic penalty.
 * @param penalty per unit of weight²; all examples together count as one
 */
export function fitTelling(examples: readonly Example[], classes: number, penalty = 5, epochs = 24, seed = 1): Telling {
  const p = (examples[0]?.clues.length ?? 0) + 1;
  const mean = new Float64Array(p);
  const sd = new Float64Array(p).fill(1);
  for (let j = 1; j < p; j++) {
    let s = 0;
    for (const e of examples) s += e.clues[j - 1] as number;
    const m = s / examples.length;
    let v = 0;
    for (const e of examples) v += ((e.clues[j - 1] as number) - m) ** 2;
    mean[j] = m;
    sd[j] = Math.sqrt(v / examples.length) + 1e-9;
  }
  const x = examples.map((e) =>
    Float64Array.from({ length: p }, (_, j) =>
      j === 0 ? 1 : ((e.clues[j - 1] as number) - (mean[j] as number)) / (sd[j] as number),
    ),
  );
  const total = examples.reduce((s, e) => s + e.weight, 0);
  const rows = new Float64Array(classes * p);
  const [m1, m2, g] = [new Float64Array(classes * p), new Float64Array(classes * p), new Float64Array(classes * p)];
  const order = examples.map((_, i) => i);
  let state = seed >>> 0;
  const random = (): number => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 4294967296;
  const BATCH = 64;
  const score = new Float64Array(classes);
  let step = 0;
  const steps = epochs * Math.ceil(examples.length / BATCH);
  for (let epoch = 0; epoch < epochs; epoch++) {
    for (let i = order.length - 1; i > 0; i--) {
      const j = Math.floor(random() * (i + 1));
      [order[i], order[j]] = [order[j] as number, order[i] as number];
    }
    for (let at = 0; at < order.length; at += BATCH) {
      step++;
      g.fill(0);
      let share = 0;
      for (const i of order.slice(at, at + BATCH)) {
        const e = examples[i] as Example;
        const row = x[i] as Float64Array;
        let most = -Infinity;
        for (let c = 0; c < classes; c++) {
          let s = 0;
          for (let j = 0, k = c * p; j < p; j++, k++) s += (rows[k] as number) * (row[j] as number);
          score[c] = s;
          if (s > most) most = s;
        }
        let sum = 0;
        for (let c = 0; c < classes; c++) sum += score[c] = Math.exp((score[c] as number) - most);
        share += e.weight;
        for (let c = 0; c < classes; c++) {
          const v = e.weight * ((score[c] as number) / sum - (c === e.slip ? 1 : 0));
          if (Math.abs(v) > 1e-7)
            for (let j = 0, k = c * p; j < p; j++, k++) g[k] = (g[k] as number) + v * (row[j] as number);
        }
      }
      const rate = 0.02 * Math.max(0.02, 1 - step / steps);
      const pull = (2 * penalty * share) / total;
      for (let k = 0; k < g.length; k++) {
        const v = ((g[k] as number) + pull * (rows[k] as number)) / Math.max(share, 1e-9);
        m1[k] = 0.9 * (m1[k] as number) + 0.1 * v;
        m2[k] = 0.999 * (m2[k] as number) + 0.001 * v * v;
        const a = (m1[k] as number) / (1 - 0.9 ** step);
        const b = (m2[k] as number) / (1 - 0.999 ** step);
        rows[k] = (rows[k] as number) - (rate * a) / (Math.sqrt(b) + 1e-8);
      }
    }
  }
  return { classes, mean, sd, rows };
}
