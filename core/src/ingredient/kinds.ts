import type { Ingredient, ShopSection } from '../formula/types.js';

/** Water, g per 100 g, from which a sugar pours: honey 17, syrups 20 and more; block jaggery, which does not, has 11. */
const POURS = 14;
export const isSyrup = (i: Ingredient): boolean => i.role === 'sugar' && i.per100.water >= POURS;
export const isDrySugar = (i: Ingredient): boolean => i.role === 'sugar' && i.per100.water < POURS;

/** State of a fat; of an own one that was stored without, by its water: butters and spreads have some, oils none. */
const stateOf = (i: Ingredient): Ingredient['fatState'] => i.fatState ?? (i.per100.water >= 5 ? 'firm' : 'oil');
/** A fat that cannot be rubbed in or creamed: oil, or a paste such as tahini. */
export const isLiquidFat = (i: Ingredient): boolean => i.role === 'fat' && stateOf(i) !== 'firm';
export const isOil = (i: Ingredient): boolean => i.role === 'fat' && stateOf(i) === 'oil';
/** A fat that is firm when cold. */
export const isFirmFat = (i: Ingredient): boolean => i.role === 'fat' && stateOf(i) === 'firm';

/** Chocolate of any colour, and what is broken of it. */
export const isChocolate = (i: Ingredient): boolean => i.chocolate === true || i.kind === 'chocolate';

/** Water, g per 100 g, below which what is no fat, sugar or block of chocolate is a powder or a meal. */
const POWDERY = 12;
/** Fat, g per 100 g, from which chocolate is a block or a spread, and no powder. */
const BLOCK = 25;
/** What goes in with the flour: flours, powders, ground nuts and spices. */
export function isDry(i: Ingredient): boolean {
  if (i.role === 'fat' || i.role === 'sugar' || i.pieces) return false;
  if (i.role === 'flour' || i.role === 'cocoa' || i.role === 'leavener' || i.role === 'salt' || i.base === 'nut') return true; // prettier-ignore
  if (i.kind === 'spice') return true;
  return i.kind !== 'extract' && i.per100.water < POWDERY && !(isChocolate(i) && i.per100.fat > BLOCK);
}

/** Ground from the whole grain: bran and germ are parts of one, and malted flour is mostly white. */
export const isWholeGrain = (i: Ingredient): boolean => i.wholeGrain === 'grain';

/** A gum that holds a dough without gluten: a pinch does it. */
export const isGum = (i: Ingredient): boolean => i.binder === true && (i.drinks ?? 0) >= 10;

/** Stands in for egg or gluten. */
export const isBinder = (i: Ingredient): boolean => i.binder === true || i.kind === 'egg stand-in';

const USUAL_SHOP: Readonly<Record<Ingredient['role'], ShopSection>> = {
  flour: 'flour and grain',
  egg: 'eggs',
  sugar: 'sugar and syrup',
  fat: 'oils and fats',
  leavener: 'baking shelf',
  cocoa: 'baking shelf',
  fruit: 'fruit and vegetables',
  acid: 'fruit and vegetables',
  flavour: 'spices',
  salt: 'spices',
  liquid: 'drinks',
  addin: 'other',
};
/** The section of a shop that it stands in. */
export const shopOf = (i: Ingredient): ShopSection => i.shop ?? USUAL_SHOP[i.role];
/** Kept in the fridge from the shop on. */
export const isChilled = (i: Ingredient): boolean => shopOf(i) === 'chilled';
