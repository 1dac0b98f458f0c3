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

const words: readonly (readonly [RegExp, FamilyId, number])[] = [
  [/\bmuffins?\b|\bcup\s?cakes?\b/i, 'muffin', 1.1],
  [/\bdrop (biscuits?|scones?)\b/i, 'drop-biscuit', 1.6],
  [/\bscones?\b/i, 'scone', 1.2],
  [/\bbiscuits?\b/i, 'biscuit', 0.9],
  [/\bsoda (bread|farl)|bannock/i, 'soda-bread', 1.2],
  [/\bsoda loaf\b|\bwheaten\b/i, 'soda-loaf', 1.3],
  [/\btea (loaf|bread)\b|malt loaf|bara/i, 'tea-loaf', 1.3],
  [/\b(corn|maize)\s?(bread|meal|loaf)?\b|skillet bread/i, 'maize-bread', 0.8],
  [/gingerbread|ginger cake|treacle|parkin/i, 'treacle-cake', 1],
  [/pound cake|madeira/i, 'pound-cake', 1.3],
  [/sponge|sandwich cake/i, 'equal-weight-sponge', 0.8],
  [/chocolate|cocoa|brownie/i, 'chocolate-cake', 0.8],
  [/fruit\s?cake/i, 'fruit-cake-light', 0.9],
  [/\bloaf\b|\bbread\b/i, 'quick-bread', 0.6],
  [/\bcake\b|\bround\b|\btray\b|\bsheet\b/i, 'butter-cake-lean', 0.2],
];

/** Infers the family of a formula that was just read, from its numbers, its title and its tins. */
export function inferFamily(
  title: string,
  shape: string | undefined,
  t: Totals,
  liftMmol: number,
): { family: FamilyId; confidence: number } {
  const score = new Map<FamilyId, number>();
  for (const f of families)
    if (f.id !== 'free') score.set(f.id, t.baseG > 0 ? -misfit(t, liftMmol, familyFor(f.id, t)) : 0);
  const add = (id: FamilyId, by: number): void => void score.set(id, (score.get(id) ?? 0) + by);
  for (const [re, id, by] of words) if (re.test(title)) add(id, by);
  if (/\b(cake|round|tray|sheet)\b/i.test(title) && !/pound|fruit/i.test(title))
    for (const id of ['butter-cake-high-ratio', 'oil-cake', 'chocolate-cake'] as const) add(id, 0.2);
  if (shape === 'cup') add('muffin', 0.8);
  if (shape === 'loaf') for (const id of ['quick-bread', 'tea-loaf', 'soda-loaf', 'pound-cake'] as const) add(id, 0.35);
  if (shape === 'mound' || shape === 'slab')
    for (const id of ['biscuit', 'scone', 'soda-bread', 'drop-biscuit'] as const) add(id, 0.5);
  const ranked = [...score].sort((a, b) => b[1] - a[1]);
  const [first, second] = ranked;
  if (!first || t.baseG <= 0) return { family: first && first[1] > 0.5 ? first[0] : 'free', confidence: 0.2 };
  const lead = first[1] - (second?.[1] ?? 0);
  return { family: first[0], confidence: Math.round(100 * (1 - Math.exp(-2.5 * Math.max(0.08, lead)))) / 100 };
}
