import type { FamilyId } from '../formula/types.js';
import { families, familyFor, type Family } from './families.js';
import type { Totals } from './totals.js';
import { outside } from './verdict.js';
import { measures, pctOf, rangeOf } from './verdicts.js';

const mid = ([a, b]: readonly [number, number]): number => (a + b) / 2;

/** How badly a formula fits a family by its numbers alone: distance outside the ranges, and a little from their middles. */
export function misfit(t: Totals, liftMmol: number, family: Family): number {
  if (family.id === 'free') return 1.2;
  let sum = 0;
  const add = (x: number, r: readonly [number, number]): void => {
    sum += outside(x, r) + 0.12 * Math.min(2, (2 * Math.abs(x - mid(r))) / Math.max(r[1] - r[0], 1e-6));
  };
  for (const m of measures) if (m !== 'salt') add(pctOf(t, m), rangeOf(family, m, t));
  add(liftMmol, family.lift);
  const share = (g: number): number => g / Math.max(1, t.flourG);
  // some families are named for what is in them
  if (family.id === 'chocolate-cake' && share(t.cocoaG) < 0.06) sum += 1.5;
  if (family.id === 'maize-bread' && share(t.maizeG) < 0.2) sum += 1;
  if (family.id === 'treacle-cake' && share(t.syrupG) < 0.15) sum += 1;
  if (family.id.startsWith('fruit-cake') && share(t.piecesG) < 0.4) sum += 1;
  return sum;
}

/** How much better another family must fit before it is named. */
export const FITS_BETTER = 0.35;

export interface FamilyGuess {
  readonly id: FamilyId;
  /** 0–1: how clearly the best fit stands out from the next. */
  readonly confidence: number;
  readonly nearest: FamilyId;
}

/** Judges the formula's own family by its numbers: how sure, and which family they fit best. */
export function judgeFamily(id: FamilyId, t: Totals, liftMmol: number): FamilyGuess {
  if (t.baseG <= 0) return { id, confidence: 0, nearest: id };
  const own = misfit(t, liftMmol, familyFor(id, t));
  let best: FamilyId = id;
  let least = own;
  for (const f of families) {
    if (f.id === 'free') continue;
    const m = misfit(t, liftMmol, familyFor(f.id, t));
    if (m < least - (best === id ? FITS_BETTER : 0)) [best, least] = [f.id, m];
  }
  return { id, confidence: Math.round(100 * Math.exp(-Math.max(0, own - 0.3))) / 100, nearest: best };
}
