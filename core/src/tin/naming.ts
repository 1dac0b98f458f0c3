import type { Tin } from '../formula/types.js';
import { outlineOf } from './geometry.js';

const IN = 25.4;
const half = (x: number): string => {
  const r = Math.round(x * 2) / 2;
  return Number.isInteger(r) ? String(r) : r < 1 ? '½' : `${Math.floor(r)}½`;
};
/** Centimetres by the half. */
export const cm = (mm: number): string => String(Math.round(mm / 5) / 2);

/** A tin's size by its rim, as bakers name it: "23 cm", "33 × 23 cm", "9 in", "13 × 9 in". */
export function sizeWords(tin: Tin, unit: 'cm' | 'in'): string {
  const o = outlineOf(tin);
  const one = (mm: number): string => (unit === 'cm' ? cm(mm) : half(mm / IN));
  const both = o.kind !== 'round' && Math.abs(o.top - o.top2) > 8;
  return `${both ? `${one(o.top)} × ${one(o.top2)}` : one(o.top)} ${unit}`;
}

/**
 * The tin of a kit that a tin named in words is: the same shape, and no dimension off by more than a bakery's sloppy
 * inch (7 %), since 9 in is called 23 cm though it is 22.9. Null when none is.
 */
export function matchTin(named: Tin, kit: readonly Tin[]): Tin | null {
  const like = (a: Tin, b: Tin): number => {
    const [x, y] = [outlineOf(a), outlineOf(b)];
    const round = (t: Tin): boolean => t.shape === 'round';
    const same =
      a.shape === b.shape ||
      (['rect', 'sheet', 'square'].includes(a.shape) && ['rect', 'sheet', 'square'].includes(b.shape)) ||
      (round(a) && round(b));
    if (!same) return Infinity;
    // pieces of another outline are another thing
    if (a.cut !== b.cut || a.shaped !== b.shaped) return Infinity;
    // one that was named as glass, dark or iron is not one of light metal
    if (a.material !== 'light metal' && a.material !== b.material) return Infinity;
    const off = [x.top / y.top, x.top2 / y.top2].map((r) => Math.abs(Math.log(r)));
    return x.cups !== y.cups ? Infinity : Math.max(...off);
  };
  const best = kit.map((tin) => ({ tin, off: like(named, tin) })).sort((a, b) => a.off - b.off)[0];
  return best && best.off < 0.07 ? best.tin : null;
}

/** Edge of a square, and diameter of the round that wedges come from, for a piece that as a round is `topMm` across; mm. */
export const acrossOf = (tin: Tin): number =>
  tin.cut === 'squares'
    ? (tin.topMm * Math.sqrt(Math.PI)) / 2
    : tin.cut === 'wedges'
      ? tin.topMm * Math.sqrt((tin.cups ?? 1) / (tin.rounds ?? 1))
      : tin.topMm;

/** What cut pieces are called: "12 cut rounds, 6 cm", "8 wedges of a round of 20 cm". */
export function cutName(tin: Tin, about = false): string {
  const n = tin.cups ?? 1;
  const size = `${about ? 'about ' : ''}${cm(acrossOf(tin))} cm`;
  const many = (one: string): string => `${n} ${n === 1 ? one : `${one}s`}`;
  switch (tin.cut) {
    case 'wedges':
      return `${many('wedge')} of ${(tin.rounds ?? 1) > 1 ? `${tin.rounds} rounds` : 'a round'} of ${size}`;
    case 'squares':
      return `${many('square')} of ${size}`;
    case 'fingers':
      return many('finger');
    default:
      return `${many('cut round')}, ${size}`;
  }
}
