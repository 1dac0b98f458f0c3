/**
 * Learning as one robust linear model with normal priors: every observation is a weighted sum of parameters that are
 * 0 until something is known, plus noise. Parameters of single tins or formulas and of the whole kitchen stand in the
 * same sums, so that what all share is told from what is one thing's own (hierarchical shrinkage): one bake moves a
 * little, ten move a lot.
 */

/** One observation: y = Σ slope · parameter + noise of one sigma `sd`. */
export interface Row {
  /** What it was seen at; rows of one bake share it. */
  readonly of: string;
  readonly at: readonly (readonly [key: string, slope: number])[];
  readonly y: number;
  readonly sd: number;
  /** Whether a wild value is likely, so that it counts less the farther it is off; a reading's own error is not. */
  readonly robust: boolean;
}

/** A joint normal distribution of named parameters. */
export interface Joint {
  readonly keys: readonly string[];
  readonly mean: readonly number[];
  readonly cov: readonly (readonly number[])[];
}

export interface Fitted extends Joint {
  /** Weight that was left to each row, in the order of `rows`. */
  readonly weights: readonly number[];
  /** Rows in the order they were used: by what they are of, so that the order they came in does not matter. */
  readonly rows: readonly Row[];
}

/** Degrees of freedom of Student's t: below about 5 a value four sigmas off hardly counts; a judgement. */
const NU = 4;
const ROUNDS = 14;

const byName = (a: Row, b: Row): number => (a.of < b.of ? -1 : a.of > b.of ? 1 : a.y - b.y || a.sd - b.sd);

/**
 * Fits all rows at once, with weights of Student's t found by iteration from the prior's middle.
 * @param priorSd one sigma of a parameter before anything is known
 */
export function fitRows(unordered: readonly Row[], priorSd: (key: string) => number): Fitted {
  const rows = [...unordered].sort(byName);
  const keys = [...new Set(rows.flatMap((r) => r.at.map(([k]) => k)))].sort();
  const index = new Map(keys.map((k, i) => [k, i]));
  const n = keys.length;
  const places = rows.map((r) => r.at.map(([k, slope]) => [index.get(k) as number, slope] as const));
  // what even the prior can hardly explain counts little from the start, so that it draws nothing towards itself
  let weights: number[] = rows.map((r) => {
    if (!r.robust) return 1;
    const wide = r.sd ** 2 + r.at.reduce((s, [k, slope]) => s + (slope * priorSd(k)) ** 2, 0);
    return (NU + 1) / (NU + (3 * r.y ** 2) / wide);
  });
  let mean: number[] = keys.map(() => 0);
  let cov: number[][] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const precision = Array.from({ length: n }, (_, i) => {
      const row = new Array<number>(n).fill(0);
      row[i] = 1 / priorSd(keys[i] as string) ** 2;
      return row;
    });
    const right = new Array<number>(n).fill(0);
    rows.forEach((r, k) => {
      const w = (weights[k] as number) / (r.sd * r.sd);
      for (const [i, si] of places[k] as readonly (readonly [number, number])[]) {
        right[i] = (right[i] as number) + w * si * r.y;
        const line = precision[i] as number[];
        for (const [j, sj] of places[k] as readonly (readonly [number, number])[])
          line[j] = (line[j] as number) + w * si * sj;
      }
    });
    cov = inverse(precision);
    mean = cov.map((line) => line.reduce((sum, c, j) => sum + c * (right[j] as number), 0));
    const next = rows.map((r, k) => {
      if (!r.robust) return 1;
      const off = r.y - (places[k] as readonly (readonly [number, number])[]).reduce((s, [i, v]) => s + v * (mean[i] as number), 0); // prettier-ignore
      return (NU + 1) / (NU + (off / r.sd) ** 2);
    });
    const moved = Math.max(0, ...next.map((w, k) => Math.abs(w - (weights[k] as number))));
    weights = next;
    if (moved < 1e-7) break;
  }
  return { keys, mean, cov, weights, rows };
}

/** The inverse of a symmetric positive definite matrix, by Cholesky's decomposition. */
export function inverse(a: readonly (readonly number[])[]): number[][] {
  const n = a.length;
  const l = Array.from({ length: n }, () => new Float64Array(n));
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      const [li, lj] = [l[i] as Float64Array, l[j] as Float64Array];
      let sum = (a[i] as readonly number[])[j] as number;
      for (let k = 0; k < j; k++) sum -= (li[k] as number) * (lj[k] as number);
      li[j] = i === j ? Math.sqrt(Math.max(sum, 1e-12)) : sum / (lj[j] as number);
    }
  const inv = Array.from({ length: n }, () => new Float64Array(n));
  for (let c = 0; c < n; c++)
    for (let i = c; i < n; i++) {
      let sum = i === c ? 1 : 0;
      for (let k = c; k < i; k++)
        sum -= ((l[i] as Float64Array)[k] as number) * ((inv[k] as Float64Array)[c] as number);
      (inv[i] as Float64Array)[c] = sum / ((l[i] as Float64Array)[i] as number);
    }
  return Array.from({ length: n }, (_, i) =>
    Array.from({ length: n }, (_, j) => {
      let sum = 0;
      for (let k = Math.max(i, j); k < n; k++)
        sum += ((inv[k] as Float64Array)[i] as number) * ((inv[k] as Float64Array)[j] as number);
      return sum;
    }),
  );
}

/** Covariance of two sums of parameters; a parameter of which nothing is known has its prior alone. */
export function covarianceOf(
  joint: Pick<Joint, 'keys' | 'cov'>,
  a: readonly (readonly [key: string, slope: number])[],
  b: readonly (readonly [key: string, slope: number])[],
  priorSd: (key: string) => number,
): number {
  let sum = 0;
  for (const [x, u] of a)
    for (const [y, v] of b) {
      const [i, j] = [joint.keys.indexOf(x), joint.keys.indexOf(y)];
      const shared =
        i >= 0 && j >= 0 ? ((joint.cov[i] as readonly number[])[j] as number) : x === y ? priorSd(x) ** 2 : 0;
      sum += u * v * shared;
    }
  return sum;
}

/** Mean and one sigma of a sum of parameters; those that nothing is known of add their prior. */
export function sumOf(
  fit: Joint,
  at: readonly (readonly [string, number])[],
  priorSd: (key: string) => number,
): { mean: number; sd: number } {
  let mean = 0;
  let variance = 0;
  const known: (readonly [number, number])[] = [];
  for (const [key, slope] of at) {
    const i = fit.keys.indexOf(key);
    if (i < 0) variance += (slope * priorSd(key)) ** 2;
    else {
      mean += slope * (fit.mean[i] as number);
      known.push([i, slope]);
    }
  }
  for (const [i, a] of known)
    for (const [j, b] of known) variance += a * b * ((fit.cov[i] as readonly number[])[j] as number);
  return { mean, sd: Math.sqrt(Math.max(0, variance)) };
}

/**
 * What the fit would say of a sum of parameters without some of its rows (those of one bake): exact for the weights
 * that the other rows have.
 */
export function without(
  fit: Fitted,
  of: string,
  at: readonly (readonly [string, number])[],
  priorSd: (key: string) => number,
): { mean: number; sd: number } {
  const out = fit.rows.flatMap((row, k) => (row.of === of ? [{ row, weight: fit.weights[k] as number }] : []));
  const index = new Map(fit.keys.map((k, i) => [k, i]));
  const vector = (line: readonly (readonly [string, number])[]): (readonly [number, number])[] =>
    line.flatMap(([k, s]) => (index.has(k) ? [[index.get(k) as number, s] as const] : []));
  const across = (a: readonly (readonly [number, number])[], b: readonly (readonly [number, number])[]): number =>
    a.reduce(
      (sum, [i, x]) => sum + b.reduce((s, [j, y]) => s + x * y * ((fit.cov[i] as readonly number[])[j] as number), 0),
      0,
    );
  const rows = out.map((o) => vector(o.row.at));
  const asked = vector(at);
  const base = sumOf(fit, at, priorSd);
  if (rows.length === 0) return base;
  // Woodbury: the covariance without them is C + C A′ (W⁻¹ − A C A′)⁻¹ A C
  const gap = rows.map((a, i) =>
    rows.map((b, j) => (i === j ? (out[i]?.row.sd ?? 1) ** 2 / Math.max(1e-9, out[i]?.weight ?? 1) : 0) - across(a, b)),
  );
  const g = inverse(gap);
  const t = rows.map((r) => across(asked, r));
  const off = out.map((o, i) => (rows[i] ?? []).reduce((s, [k, v]) => s + v * (fit.mean[k] as number), 0) - o.row.y);
  let mean = base.mean;
  let variance = base.sd ** 2;
  for (let i = 0; i < t.length; i++)
    for (let j = 0; j < t.length; j++) {
      const w = (g[i] as number[])[j] as number;
      mean += (t[i] as number) * w * (off[j] as number);
      variance += (t[i] as number) * w * (t[j] as number);
    }
  return { mean, sd: Math.sqrt(Math.max(0, variance)) };
}
