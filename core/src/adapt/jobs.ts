import { pullOf } from '../balance/pulls.js';
import { familyOf } from '../balance/families.js';
import type { FamilyId, Ingredient } from '../formula/types.js';
import { powderTypeOf } from '../leavening/parts.js';
import { powderKind, SODA_G_PER_MOL } from '../leavening/powders.js';
import { gasMmolPerG } from '../leavening/thumb.js';
import { isBinder, isChocolate, isLiquidFat, isSyrup } from '../ingredient/kinds.js';

/** What an ingredient does in a batter, as far as another can do it instead. */
export type Job =
  | 'flour'
  | 'starch'
  | 'egg'
  | 'solid fat'
  | 'oil'
  | 'dry sugar'
  | 'syrup'
  | 'milk'
  | 'sour milk'
  | 'cream'
  | 'water'
  | 'purée'
  | 'grated'
  | 'cocoa'
  | 'soda'
  | 'powder'
  | 'acid'
  | 'salt'
  | 'nut flour'
  | 'nuts'
  | 'dried fruit'
  | 'fresh fruit'
  | 'chocolate'
  | 'cheese'
  | 'alcohol'
  | 'flavour';

/** The job an ingredient does; null where nothing does it instead. */
export function jobOf(i: Ingredient): Job | null {
  if (i.leavener) return i.leavener === 'soda' ? 'soda' : i.leavener === 'powder' ? 'powder' : 'acid';
  if (i.alcohol) return 'alcohol';
  switch (i.role) {
    case 'flour':
      return 'flour';
    case 'egg':
      return 'egg';
    case 'fat':
      return isLiquidFat(i) ? 'oil' : 'solid fat';
    case 'sugar':
      return isSyrup(i) ? 'syrup' : 'dry sugar';
    case 'cocoa':
      return 'cocoa';
    case 'salt':
      return 'salt';
    case 'acid':
      return 'acid';
    case 'liquid':
      if (isBinder(i)) return 'egg';
      if (i.kind === 'sour milk') return 'sour milk';
      if (i.kind === 'cream') return 'cream';
      return i.per100.protein > 0.25 || i.per100.fat > 0.5 ? 'milk' : 'water';
    case 'fruit':
      if (i.kind === 'grated') return 'grated';
      if (i.pieces) return i.per100.water < 45 ? 'dried fruit' : 'fresh fruit';
      return 'purée';
    case 'addin':
      if (i.base === 'nut') return 'nut flour';
      if (isChocolate(i)) return 'chocolate';
      if (i.kind === 'cheese') return 'cheese';
      if (isBinder(i)) return 'egg';
      if (i.per100.fat > 30 && i.pieces) return 'nuts';
      return null;
    case 'flavour':
      return 'flavour';
    default:
      return null;
  }
}

/** Whether a family's crumb is a bread's or a cake's, for how much of a weak flour it bears. */
export const isBread = (family: FamilyId): boolean => familyOf(family).bread;

/** Gas that a gram of soda, or of a powder of its type, gives once acid has met it, mmol CO2; 0 for anything else. */
export const gasPerG = (i: Ingredient): number =>
  i.leavener === 'soda'
    ? 1000 / SODA_G_PER_MOL
    : i.leavener === 'powder'
      ? gasMmolPerG(powderKind(powderTypeOf(i)))
      : 0;

/** How much a gram of each must weigh the same as, by the job: pure fat, sugar, salt, gas or plain weight. */
export function equalG(job: Job, from: Ingredient, to: Ingredient, grams: number): number {
  const by = (a: number, b: number): number => (a > 0 && b > 0 ? (grams * a) / b : grams);
  switch (job) {
    case 'solid fat':
    case 'oil':
      return by(from.per100.fat, to.per100.fat);
    case 'dry sugar':
    case 'syrup':
      return by(from.per100.sugar, to.per100.sugar);
    case 'salt':
      return by(from.saltG ?? 0, to.id === 'salt-low-sodium' ? (from.saltG ?? 0) : (to.saltG ?? 0));
    case 'acid':
      return by(from.acidMeq?.typical ?? 0, to.acidMeq?.typical ?? 0);
    case 'soda':
    case 'powder':
      return by(gasPerG(from), gasPerG(to));
    case 'cream':
      return clamp(by(from.per100.fat, to.per100.fat), 0.6 * grams, 1.6 * grams);
    default:
      return grams;
  }
}
const clamp = (x: number, lo: number, hi: number): number => Math.min(Math.max(x, lo), hi);

/** Points of structure that 100 g hold, for the distance between two ingredients. */
export const holdOf = (i: Ingredient): number =>
  pullOf({
    item: { id: '', ingredient: i.id, words: '', entered: null, grams: 100 },
    ingredient: i,
    grams: 100,
    whole: false,
  }).holds;
