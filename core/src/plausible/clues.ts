import type { Expected } from './expect.js';
import { measures, type Measured } from './view.js';

/** Where a clue begins to count more, in spreads, on either side. */
const BENDS = [1, 2.2, 4] as const;
/** The same for the plain logarithm: a third more or less, and a factor of 2.7. */
const PLAIN_BENDS = [0.3, 1] as const;
const plain: readonly Measured[] = ['flour', 'water', 'fat', 'sugar', 'egg', 'salt', 'gas', 'leftSoda', 'soda'];
const widths: readonly Measured[] = ['flour', 'water', 'fat', 'sugar', 'egg', 'salt', 'gas'];

/** Most that a measure can be out, in spreads. */
const MOST = 8;

/** How far a measure is from what the rest expects, in spreads: + is more. */
export const outBy = (e: Expected): number => Math.max(-MOST, Math.min(MOST, (e.is - e.mean) / e.spread));

const over = (x: number, from: number): number => Math.max(0, x - from);

/** All that the slips are told by: how far each measure is out, in spreads and plainly, and how sure each is. */
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
  return Float64Array.from(out);
}
