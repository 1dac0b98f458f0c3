const PRIMES = [2, 3, 5, 7, 11, 13, 17, 19] as const;
/** How many dimensions `evenNormal` has. */
export type Dimension = 0 | 1 | 2 | 3 | 4 | 5 | 6 | 7;

/** Element i of the van der Corput sequence in a base; together in several prime bases it fills space evenly (Halton). */
function corput(i: number, base: number): number {
  let f = 1;
  let x = 0;
  for (let n = i; n > 0; n = Math.floor(n / base)) {
    f /= base;
    x += f * (n % base);
  }
  return x;
}

/** Inverse of the standard normal distribution; rational approximation, absolute error below 5e-4 (Hastings' form). */
function normal(p: number): number {
  const q = p < 0.5 ? p : 1 - p;
  const t = Math.sqrt(-2 * Math.log(Math.max(q, 1e-12)));
  const x = t - (2.515517 + t * (0.802853 + t * 0.010328)) / (1 + t * (1.432788 + t * (0.189269 + t * 0.001308)));
  return p < 0.5 ? -x : x;
}

/**
 * Coordinate of point `i` (0, 1, ...) of a design that fills a standard normal distribution evenly, shifted by a seed; the
 * same each time.
 */
export function evenNormal(i: number, d: Dimension, seed = 0): number {
  // the first points of the sequence lie on a diagonal, so it starts further on
  return normal((corput(i + 20, PRIMES[d]) + corput(seed, PRIMES[((d + 3) % 7) as Dimension])) % 1);
}
