import type { Expected } from './expect.js';
import { measures, toLog, type Measured } from './view.js';

/** Where a clue begins to count more, in spreads, on either side. */
const BENDS = [1, 2.2, 4] as const;
/** The same for the plain logarithm: a third more or less, and a factor of 2.7. */
const PLAIN_BENDS = [0.3, 1] as const;
const plain: readonly Measured[] = ['flour', 'water', 'fat', 'sugar', 'egg', 'salt', 'gas', 'leftSoda', 'soda'];
const widths: readonly Measured[] = ['flour', 'water', 'fat', 'sugar', 'egg', 'salt', 'gas'];

/**
 * Where a figure itself, whatever is expected of it, begins to tell more, each in its measure's own unit (view.ts): about the
 * 0.5th, 3rd, 10th, 30th, 50th, 70th, 90th, 97th and 99.5th percentiles of the ordinary formulas, rounded.
 */
const MARKS: Readonly<Record<Measured, readonly number[]>> = {
  flour: [20, 28, 36, 46, 64, 100, 130, 155],
  water: [4, 20, 50, 70, 90, 120, 150, 185],
  fat: [5, 25, 37, 52, 80, 100, 160],
  sugar: [5, 30, 65, 90, 120, 160, 300],
  egg: [5, 20, 40, 64, 100, 160, 400],
  salt: [0.1, 0.7, 1.25, 1.9, 2.4, 3.4],
  gas: [2, 4, 8, 12.5, 15, 18, 21, 25, 30],
  leftSoda: [0.05, 0.2, 0.35, 0.5, 0.7],
  leftAcid: [0.2, 0.5, 0.9, 2, 3.5, 5.5],
  soda: [1, 8, 18, 26, 35],
  powder: [1, 8, 12.5, 14, 18, 21, 25],
};
const marks = measures.map((m) => MARKS[m].map((x) => toLog(m, x)));

/** Most that a measure can be out, in spreads. */
const MOST = 8;

/** How far a measure is from what the rest expects, in spreads: + is more. */
export const outBy = (e: Expected): number => Math.max(-MOST, Math.min(MOST, (e.is - e.mean) / e.spread));

const over = (x: number, from: number): number => Math.max(0, x - from);

/** All that the slips are told by: how far each measure is out, in spreads and plainly, how sure each is, and what it is. */
export function cluesOf(expected: Readonly<Record<Measured, Expected>>): Float64Array {
  const out: number[] = [];
  for (const m of measures) {
    const t = outBy(expected[m]);
    out.push(t);
    for (const b of BENDS) out.push(over(t, b), over(-t, b));
  }
  for (const m of plain) {
    const d = expected[m].is - expected[m].mean;
    out.push(Math.max(-3, Math.min(3, d)));
    for (const b of PLAIN_BENDS) out.push(over(d, b), over(-d, b));
  }
  for (const m of widths) out.push(Math.log(Math.max(0.05, expected[m].spread)));
  measures.forEach((m, n) => {
    const { is } = expected[m];
    const from = marks[n] as readonly number[];
    out.push(is - (from[from.length >> 1] as number));
    for (const at of from) out.push(over(is, at));
  });
  return Float64Array.from(out);
}
