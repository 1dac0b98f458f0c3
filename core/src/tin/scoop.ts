import type { Kitchen } from '../formula/types.js';

/** Scoops and measures that kitchens have, ml. */
const SIZES: readonly { readonly ml: number; readonly name: string; readonly cup?: string }[] = [
  { ml: 15, name: 'tablespoon' },
  { ml: 30, name: '30 ml scoop', cup: 'eighth-cup scoop' },
  { ml: 45, name: '45 ml scoop', cup: '3 tbsp scoop' },
  { ml: 60, name: '60 ml scoop or quarter cup', cup: 'quarter cup' },
  { ml: 80, name: '80 ml scoop or third of a cup', cup: 'third of a cup' },
  { ml: 120, name: 'half cup' },
];

export interface Scoops {
  readonly ml: number;
  readonly count: number;
  readonly words: string;
}

/** The scoop that portions a cup in the fewest whole scoops within 8 % of what is wanted, or the nearest there is. */
export function scoopsFor(mlEach: number, kitchen?: Pick<Kitchen, 'display'>): Scoops | null {
  if (!(mlEach > 0)) return null;
  const tried = SIZES.flatMap(({ ml, name, cup }) =>
    [1, 2, 3].map((count) => ({
      ml,
      count,
      name: kitchen?.display.weight === 'oz' ? (cup ?? name) : name,
      off: Math.abs((ml * count) / mlEach - 1),
    })),
  );
  const near = tried.filter((t) => t.off <= 0.08);
  const best = (near.length > 0 ? near : tried).reduce((a, b) =>
    near.length > 0 ? (b.count < a.count || (b.count === a.count && b.off < a.off) ? b : a) : b.off < a.off ? b : a,
  );
  const about = best.off > 0.08 ? (best.ml * best.count > mlEach ? 'a scant ' : 'a full ') : '';
  const words =
    best.count === 1
      ? `${about}${/^\d/.test(best.name) || about !== '' ? best.name : `a ${best.name}`}`
      : `${best.count} × ${best.name}`;
  return { ml: best.ml, count: best.count, words };
}
