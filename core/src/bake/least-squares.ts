/**
 * One damped Gauss–Newton step of a weighted least-squares fit with a quadratic prior about zero:
 * (J′WJ + P) dx = −J′W e − P x. For a handful of parameters.
 *
 * @param jacobian one row a parameter: the slopes of all residuals with it
 * @param residuals the residuals now
 * @param weights of the residuals, one over variance
 * @param prior of the parameters, one over variance
 * @param x the parameters now, measured from the prior's middle
 */
export function gaussNewton(
  jacobian: readonly (readonly number[])[],
  residuals: readonly number[],
  weights: readonly number[],
  prior: readonly number[],
  x: readonly number[],
): number[] {
  const dot = (a: readonly number[], b: readonly number[]): number =>
    weights.reduce((sum, w, i) => sum + w * (a[i] ?? 0) * (b[i] ?? 0), 0);
  return solve(
    jacobian.map((row, r) => [
      ...jacobian.map((column, c) => dot(row, column) + (r === c ? (prior[r] ?? 0) : 0)),
      -dot(row, residuals) - (prior[r] ?? 0) * (x[r] ?? 0),
    ]),
  );
}

/** Solves a small positive definite system given as rows with the right side last. */
function solve(rows: readonly (readonly number[])[]): number[] {
  const a = rows.map((r) => [...r]);
  const n = a.length;
  for (let i = 0; i < n; i++)
    for (let r = i + 1; r < n; r++) {
      const f = (a[r]?.[i] ?? 0) / (a[i]?.[i] ?? 1);
      for (let c = i; c <= n; c++) (a[r] as number[])[c] = (a[r]?.[c] ?? 0) - f * (a[i]?.[c] ?? 0);
    }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    let v = a[i]?.[n] ?? 0;
    for (let c = i + 1; c < n; c++) v -= (a[i]?.[c] ?? 0) * (x[c] as number);
    x[i] = v / (a[i]?.[i] ?? 1);
  }
  return x;
}
