import { along, covariance, errorWeight, squareOf, weighFrom, weighTraits, ALIKE, type Ground } from './ground.js';
import { measures, type Measured, type View } from './view.js';

/** What was fitted for one measure: weights of the formulas, and how far each lies from what the others expect. */
export interface Fitted {
  readonly mean: number;
  readonly sd: number;
  readonly alpha: Float64Array;
  /** |error| of each formula when it is left out, in logarithms. */
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
const FAR = 4;
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
): Record<Measured, Expected> {
  const { n, traits, family } = ground;
  const row = weighTraits(view, ground.traitScale);
  const by = along(traits, row);
  const rowSquare = squareOf(row);
  const apart = by.map((p, i) => (traits.squares[i] as number) - 2 * p + rowSquare);
  const kinOf = Float64Array.from(family, (f) => kin[f] as number);
  const out = {} as Record<Measured, Expected>;
  for (const m of measures) {
    const { from } = ground.of[m];
    const f = fitted[m];
    const x = weighFrom(view, m, ground);
    const products = along(from, x);
    const square = squareOf(x);
    const most = FAR * f.miss;
    let sum = 0;
    let weight: number = ALIKE.general;
    let missed = ALIKE.general * 1.15 * f.miss;
    for (let i = 0; i < n; i++) {
      const p = products[i] as number;
      const d2 = Math.max(0, (apart[i] as number) + (from.squares[i] as number) - 2 * p + square);
      const k = kinOf[i] as number;
      sum += (f.alpha[i] as number) * covariance(d2, k, (by[i] as number) + p);
      const w = errorWeight(d2, k);
      weight += w;
      missed += w * Math.min(f.misses[i] as number, most);
    }
    out[m] = { mean: f.mean + f.sd * sum, spread: (TO_SD * missed) / weight, is: view.is[m] };
  }
  return out;
}
