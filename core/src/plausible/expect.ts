import { along, apartOf, covariance, errorWeight, squareOf, weighFrom, ALIKE, type Ground } from './ground.js';
import { contextOf, contexts, measures, type Measured, type View } from './view.js';

/** What was fitted for one measure: weights of the formulas, and how far each lies from what the others expect. */
export interface Fitted {
  readonly mean: number;
  readonly sd: number;
  readonly alpha: Float64Array;
  /** |error| of each formula when it is left out, in logarithms; far ones as FAR typical ones. */
  readonly misses: Float64Array;
  /** Typical miss of all. */
  readonly miss: number;
}

/** What the rest of a formula leads one to expect of a measure, in logarithms. */
export interface Expected {
  readonly mean: number;
  /** About one standard deviation: as wide as formulas like this one differ from what is expected of them. */
  readonly spread: number;
  readonly is: number;
}

/** A miss beyond so many typical ones is a formula of its own kind, and widens no more. */
export const FAR = 4;
/** The general error, a little on the safe side. */
const GENERAL_MISS = 1.15;
/** Mean absolute error to standard deviation. */
const TO_SD = 1.25;

/**
 * @param kin how much the formula belongs to each family, by index; one family 1 and all others 0 where it is plain
 */
export function expectedOf(
  view: View,
  kin: ArrayLike<number>,
  ground: Ground,
  fitted: Readonly<Record<Measured, Fitted>>,
  { product: by, d2: apart } = apartOf(view, kin, ground),
): Record<Measured, Expected> {
  const { n, family } = ground;
  const kinOf = new Float64Array(n);
  for (let i = 0; i < n; i++) kinOf[i] = kin[family[i] as number] as number;
  const out = {} as Record<Measured, Expected>;
  const likeness = new Float64Array(n);
  const weights = new Float64Array(n);
  for (const c of contexts) {
    const { rows } = ground.from[c];
    const x = weighFrom(view, c, ground);
    const products = along(rows, x);
    const square = squareOf(x);
    let weight: number = ALIKE.general;
    for (let i = 0; i < n; i++) {
      const p = products[i] as number;
      const d2 = Math.max(0, (apart[i] as number) + (rows.squares[i] as number) - 2 * p + square);
      const k = kinOf[i] as number;
      likeness[i] = covariance(d2, k, (by[i] as number) + p);
      const w = errorWeight(d2, k);
      weights[i] = w;
      weight += w;
    }
    for (const m of measures) {
      if (contextOf[m] !== c) continue;
      const { alpha, misses, mean, sd, miss } = fitted[m];
      let sum = 0;
      let missed = ALIKE.general * GENERAL_MISS * miss;
      for (let i = 0; i < n; i++) {
        sum += (alpha[i] as number) * (likeness[i] as number);
        missed += (weights[i] as number) * (misses[i] as number);
      }
      out[m] = { mean: mean + sd * sum, spread: (TO_SD * missed) / weight, is: view.is[m] };
    }
  }
  return out;
}
