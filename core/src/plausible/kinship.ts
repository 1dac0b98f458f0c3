import { families } from '../balance/families.js';
import type { FamilyId } from '../formula/types.js';
import { along, squareOf, weighFrom, type Apart, type Ground } from './ground.js';
import type { View } from './view.js';

/** Length at which formulas are of one kind, in standard deviations. */
const NEAR = 0.8;

/** What a formula is by its figures and its title alone, whatever it is called: families by their share of what is like it. */
export interface Kinship {
  readonly id: FamilyId;
  /** 0–1; all together 1. */
  readonly weight: number;
}

/**
 * Each ordinary formula counts (1 + d²/2·0.8²)⁻⁴ for the family it is named for, with d the distance of fat, sugar, egg,
 * free water, pieces, acid, traits and title. Of the formulas of other hands, each left out, 80 % come out as what their
 * authors call them, or could.
 *
 * @param d2 how far its traits, title and way of working are from each formula's, as `apartOf` has it
 * @returns likeliest first; and how far the third nearest formula is, in standard deviations
 */
export function kinshipOf(
  view: View,
  { d2 }: Pick<Apart, 'd2'>,
  ground: Ground,
): { readonly kin: Kinship[]; readonly apart: number } {
  const { rows } = ground.from.sour;
  const x = weighFrom(view, 'sour', ground);
  const products = along(rows, x);
  const square = squareOf(x);
  const sums = new Float64Array(families.length);
  let all = 0;
  const nearest = [Infinity, Infinity, Infinity];
  for (let i = 0; i < ground.n; i++) {
    const apart = (d2[i] as number) + (rows.squares[i] as number) - 2 * (products[i] as number) + square;
    if (apart < (nearest[2] as number)) {
      nearest[2] = apart;
      nearest.sort((a, b) => a - b);
    }
    // to the fourth, without a power: it is the dearest step
    const near = 1 / (1 + Math.max(0, apart) / (2 * NEAR * NEAR));
    const k = near * near * near * near;
    const f = ground.family[i] as number;
    sums[f] = (sums[f] as number) + k;
    all += k;
  }
  const kin = families
    .map((f, i) => ({ id: f.id, weight: (sums[i] as number) / all }))
    .sort((a, b) => b.weight - a.weight);
  return { kin, apart: Math.sqrt(Math.max(0, nearest[2] as number)) };
}

/** Another family is named where it has more than half of the likeness and its own hardly any: of ordinary formulas, 2 %. */
const HALF = 0.5;
const HARDLY = 0.05;

export interface FamilyGuess {
  readonly id: FamilyId;
  /** 0–1: its share of the likeness. */
  readonly confidence: number;
  /** What it plainly is by its figures; the family itself where nothing says otherwise. */
  readonly nearest: FamilyId;
}

/** How sure a formula's own family is, and which it plainly is instead, if any. */
export function nearestFamily(id: FamilyId, kin: readonly Kinship[]): FamilyGuess {
  const own = kin.find((k) => k.id === id)?.weight ?? 0;
  const best = kin[0];
  const other = best && best.id !== 'free' && id !== 'free' && best.weight > HALF && own < HARDLY;
  return { id, confidence: Math.round(100 * own) / 100, nearest: other ? best.id : id };
}
