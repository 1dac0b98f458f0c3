import { LEFT_SODA_STEPS } from '../leavening/ledger.js';
import type { Ledger } from '../leavening/ledger.js';
import type { Lift } from '../leavening/lift.js';
import type { Line } from '../leavening/parts.js';
import { hasRanges, type Family, type MixingMethod } from './families.js';
import type { Beam, WaterLine } from './pulls.js';
import type { Totals } from './totals.js';
import type { Ingredient } from '../formula/types.js';

/** One trait of the crumb: from −1 to +1 between two words, 0 being usual for the family. */
export interface Trait {
  readonly id: 'crumb' | 'bite' | 'mouth' | 'colour';
  readonly low: string;
  readonly high: string;
  readonly index: number;
  readonly words: string;
  readonly because: string;
  /** What the index is the sum of, before it is kept within ±1. */
  readonly terms: readonly (readonly [value: number, words: string])[];
}

/** Least egg of a family, % of flour, from which it counts as one that egg holds up. Judgement. */
const EGGED = 15;

const clamp = (x: number): number => Math.max(-1, Math.min(1, x));
/** Where x stands in a range: −1 at its low edge, 0 in the middle, +1 at its high edge. */
const stand = (x: number, [lo, hi]: readonly [number, number]): number =>
  (2 * (x - (lo + hi) / 2)) / Math.max(hi - lo, 1e-6);
/** The same where a range begins at nothing: to have none of it is usual then, and counts only half. */
const standFrom = (x: number, r: readonly [number, number]): number => {
  const s = stand(x, r);
  return r[0] < 1 && s < 0 ? s / 3 : s;
};

const trait = (id: Trait['id'], low: string, high: string, terms: Trait['terms']): Trait => {
  const index = clamp(terms.reduce((s, [v]) => s + v, 0));
  const strong = Math.abs(index) > 0.6 ? '' : 'a little ';
  const words = Math.abs(index) < 0.25 ? 'as usual' : `${strong}${index < 0 ? low : high}`;
  const main = terms
    .filter(([w]) => Math.sign(w) === Math.sign(index))
    .sort((a, b) => Math.abs(b[0]) - Math.abs(a[0]))[0];
  return { id, low, high, index, words, because: Math.abs(index) < 0.25 || !main ? '' : main[1], terms };
};

/**
 * Words for the crumb to expect, from documented sums of where this formula stands among its family's ranges: opener
 * with lift, water and a stirred method, tighter with creaming and acid; tender by the beam; moist by available water,
 * fat and sugar; dark by left-over soda, reducing sugars and cocoa, pale by acid. Indices, not measurements.
 */
export function textureOf(
  lines: readonly Line[],
  t: Totals,
  lift: Lift,
  ledger: Ledger,
  beam: Beam,
  water: WaterLine,
  family: Family,
  method: MixingMethod,
): Trait[] {
  if (t.baseG <= 0 || !hasRanges(family)) return [];
  const grams = (is: (i: Ingredient) => unknown): number =>
    lines.filter((l) => is(l.ingredient)).reduce((s, l) => s + l.grams, 0);
  const flour = Math.max(1, t.flourG);
  const gas = 0.8 * stand(lift.mmolPer100gBase.typical, lift.target);
  const stirred = method === 'muffin' ? 0.25 : method === 'creaming' || method === 'coating' ? -0.25 : 0;
  const usualStir = family.methods[0] === 'muffin' ? 0.25 : family.creamed ? -0.25 : 0;
  // what is folded in stands on the crumb and closes it
  const load = -0.6 * Math.max(0, t.piecesG / Math.max(1, t.batterG) - family.carries[0]);
  // where its kind has egg, the crumb holds its bubbles by it
  const eggless = family.egg[0] < EGGED ? 0 : -0.35 * Math.max(0, 1 - t.eggPct / family.egg[0]);
  const tang = ledger.leftAcidMeqPer100gBatter.typical;
  const sourTight = -0.12 * Math.min(4, tang);
  // fruit folded in whole gives a part of its juice to the crumb around it
  const juice = lines.reduce(
    (s, l) => s + (l.whole && l.ingredient.role === 'fruit' ? (0.3 * l.grams * l.ingredient.per100.water) / 100 : 0),
    0,
  );
  const wet = 0.7 * stand(water.availablePct + (100 * juice) / flour, water.usual);
  const fat = 0.1 * standFrom(t.fatPct, family.fat);
  const sweet = 0.1 * standFrom(t.sugarPct, family.sugar);
  // syrup and honey draw water, and hold it
  const syrup = Math.min(0.25, (0.3 * t.syrupG) / flour);
  const left = ledger.leftSodaGPer100gBatter.typical;
  const alkali = Math.min(1.2, left / LEFT_SODA_STEPS.dark) * 0.7;
  const reducing = Math.min(0.8, (2.2 * grams((i) => i.browns)) / flour);
  const sugar = 0.2 * stand(t.sugarPct, family.sugar);
  const cocoa = Math.min(0.9, (3 * t.cocoaG) / flour) - Math.min(0.75, (3 * family.cocoaPct) / 100);
  const whole = Math.min(0.5, (0.5 * grams((i) => i.wholeGrain)) / flour);
  return [
    trait('crumb', 'tight', 'open', [
      [gas, gas > 0 ? 'much gas' : 'little gas'],
      [stirred - usualStir, stirred > usualStir ? 'stirred, not creamed' : 'creamed fine'],
      [load, 'much folded in'],
      [eggless, 'little egg to hold its bubbles'],
      [sourTight, 'left-over acid sets it early'],
    ]),
    trait('bite', 'firm', 'tender', [
      [
        0.6 * beam.lean,
        beam.lean > 0 ? 'fat and sugar outweigh flour and egg' : 'flour and egg outweigh fat and sugar',
      ],
      [0.3 * gas, gas > 0 ? 'much gas' : 'little gas'],
    ]),
    trait('mouth', 'dry', 'moist', [
      [wet, wet > 0 ? 'plenty of free water' : 'little free water'],
      [fat, fat > 0 ? 'plenty of fat' : 'little fat'],
      [sweet, sweet > 0 ? 'sugar holds water' : 'little sugar to hold water'],
      [syrup, 'syrup or honey holds water'],
    ]),
    trait('colour', 'pale', 'dark', [
      [alkali, 'left-over soda browns'],
      [reducing, 'honey, syrup or brown sugar'],
      [cocoa, cocoa > 0 ? 'cocoa' : 'little cocoa'],
      [whole, 'whole grain'],
      [sugar, sugar > 0 ? 'much sugar' : 'little sugar'],
      [-0.15 * Math.min(4, tang), 'left-over acid'],
      [-family.dark, 'little that browns'],
    ]),
  ];
}
