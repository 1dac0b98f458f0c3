import { told } from '../quantity/figures.js';
import { outlineOf } from '../tin/geometry.js';
import type { Kitchen, Tin } from '../formula/types.js';

/** How a cake is cut into so many pieces. */
export interface CutPlan {
  readonly kind: 'wedges' | 'grid' | 'slices' | 'pieces';
  readonly pieces: number;
  readonly rows: number;
  readonly columns: number;
  /** Size of one piece: width and length, or the rim of a wedge and its radius, mm. */
  readonly sizeMm: readonly [number, number];
  readonly words: string;
}

/** Slices of a loaf thinner than this fall apart, and wedges narrower at the rim, mm. Judgements. */
const THIN_MM = 9;
const NARROW_MM = 18;

/**
 * Cuts a cake into so many pieces as alike as can be: wedges of a round one, a grid of a flat one with pieces as near
 * square as can be, slices of a loaf. Baked size is taken as the tin's at its rim.
 *
 * @param wanted whole number of pieces; of a grid as near as rows and columns come, never fewer
 */
export function cutPlan(tin: Tin, wanted: number, kitchen?: Pick<Kitchen, 'display' | 'measures'>): CutPlan {
  const n = Math.max(1, Math.round(Number.isFinite(wanted) ? wanted : 1));
  const o = outlineOf(tin);
  const cm = (mm: number): string => `${Math.round(mm) / 10}`;
  const long = (mm: number): string => told(kitchen, `${cm(mm)} cm`);
  if (o.cups > 1 || tin.shape === 'cup')
    return {
      kind: 'pieces',
      pieces: o.cups,
      rows: 1,
      columns: o.cups,
      sizeMm: [o.top, o.top],
      words: `${o.cups} pieces as they are`,
    };
  if (tin.shape === 'loaf') {
    const thick = o.top / n;
    return {
      kind: 'slices',
      pieces: n,
      rows: 1,
      columns: n,
      sizeMm: [thick, o.top2],
      words: `${n} slices of ${long(thick)}${thick < THIN_MM ? ': too thin to hold together' : ''}`,
    };
  }
  if (o.kind === 'round') {
    const rim = (Math.PI * o.top) / n;
    return {
      kind: 'wedges',
      pieces: n,
      rows: 1,
      columns: n,
      sizeMm: [rim, (o.top - o.tube) / 2],
      words: `${n} wedges, ${long(rim)} at the rim, ${Math.round(360 / n)}° each${rim < NARROW_MM ? ': too narrow to stand' : ''}`,
    };
  }
  let best = { rows: 1, columns: n, score: Infinity };
  for (let rows = 1; rows <= n; rows++) {
    const columns = Math.ceil(n / rows);
    const [a, b] = [o.top / columns, o.top2 / rows];
    const score = Math.abs(Math.log(a / b)) + 0.35 * (rows * columns - n);
    if (score < best.score) best = { rows, columns, score };
  }
  const [a, b] = [o.top / best.columns, o.top2 / best.rows];
  const pieces = best.rows * best.columns;
  return {
    kind: 'grid',
    pieces,
    rows: best.rows,
    columns: best.columns,
    sizeMm: [a, b],
    words: `${best.columns} by ${best.rows}: ${pieces} pieces of ${told(kitchen, `${cm(a)} × ${cm(b)} cm`)}${pieces > n ? `, ${pieces - n} more than asked` : ''}`,
  };
}
