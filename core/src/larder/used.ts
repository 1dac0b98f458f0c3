import { allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, Ingredient, Kitchen } from '../formula/types.js';
import type { BakeRecord } from '../log/types.js';

/** Grams of each ingredient that a formula takes, all its groups together. */
export function usedBy(formula: Formula, factor = 1): Record<string, number> {
  const out: Record<string, number> = {};
  for (const i of allItems(formula))
    if (Number.isFinite(i.grams) && i.grams > 0) out[i.ingredient] = (out[i.ingredient] ?? 0) + i.grams * factor;
  return out;
}

/** What comes out of the tap, and what is brewed or made from something else that is bought. */
const NOT_BOUGHT = new Set(['water', 'unknown']);
/** What is bought for another: brewed drinks as leaves and beans, parts of an egg as eggs. Grams bought for a gram used. */
const BOUGHT_AS: Readonly<Record<string, readonly [id: string, perG: number]>> = {
  // 2 g of leaves for 200 ml, 6 g of instant coffee for 200 ml; what is left of an egg keeps
  tea: ['tea-leaves', 0.01],
  coffee: ['instant-coffee', 0.02],
  'egg-white': ['egg', 50 / 33],
  'egg-yolk': ['egg', 50 / 17],
};

/** The same as what is bought for it. Whites and yolks of one recipe come out of the same eggs. */
export function boughtFor(used: Readonly<Record<string, number>>): Record<string, number> {
  const out: Record<string, number> = {};
  const add = (id: string, g: number): void => void (out[id] = (out[id] ?? 0) + g);
  let [white, yolk] = [0, 0];
  for (const [id, grams] of Object.entries(used)) {
    if (NOT_BOUGHT.has(id)) continue;
    const as = BOUGHT_AS[id];
    if (id === 'egg-white') white += grams * (as?.[1] ?? 1);
    else if (id === 'egg-yolk') yolk += grams * (as?.[1] ?? 1);
    else if (as) add(as[0], grams * as[1]);
    else add(id, grams);
  }
  if (white > 0 || yolk > 0) add('egg', Math.max(white, yolk));
  return out;
}

/**
 * What is left in the cupboard: each entry as it was counted, less what bakes have taken since. Taking a bake out of
 * the log puts it back, and the order of bakes does not matter. Never below nothing; entries from before stock was
 * dated stay as they were entered.
 */
export function stockNow(kitchen: Kitchen, bakes: readonly BakeRecord[]): Record<string, number> {
  const taken: Record<string, number> = {};
  for (const b of bakes) {
    // what was only tried out, with simulated devices or a quick clock, has used nothing
    if (!b.used || (b.observed?.simulated ?? []).length > 0) continue;
    for (const [id, g] of Object.entries(boughtFor(b.used))) {
      const since = kitchen.stockAt?.[id];
      if (since !== undefined && b.at >= since) taken[id] = (taken[id] ?? 0) + g;
    }
  }
  return Object.fromEntries(
    Object.entries(kitchen.stock).map(([id, g]) => [id, Math.max(0, Math.round(100 * (g - (taken[id] ?? 0))) / 100)]),
  );
}

/** Sections of a shop, in the order one walks. */
export const sections = ['fruit and vegetables', 'chilled', 'eggs', 'flour and grain', 'sugar and syrup', 'baking shelf', 'nuts and dried fruit', 'oils and fats', 'spices', 'drinks', 'other'] as const; // prettier-ignore
export type Section = (typeof sections)[number];

const CHILLED = /milk(?!-powder)|^butter|yogurt|kefir|whey|cream|cheese|ricotta|quark|mascarpone|feta|parmesan|spread|margarine|plant-butter|tofu|bacon|ghee|lard|suet/; // prettier-ignore
const DRIED = /raisin|dried-|dates|sultana|currants|mixed-|glace|prune$|banana-chips|stem$|coconut|seed|flax|linseed|nut|almond|pecan|pistachio|cashew|macadamia|chestnut/; // prettier-ignore
const SHELF = /chocolate|cocoa|extract|gelatine|yeast|jam|marmalade|curd|caramel|marzipan|toffee|marshmallow|sprinkles|xanthan|psyllium|egg-replacer|malted-milk|milk-powder|condensed|evaporated|custard|food-colour|lecithin|vanilla/; // prettier-ignore

/** The section that an ingredient stands in; a judgement by its kind. */
export function sectionOf(i: Ingredient): Section {
  if (i.role === 'egg' && !/powder/.test(i.id)) return 'eggs';
  if (i.role === 'flour') return 'flour and grain';
  if (i.role === 'leavener' || SHELF.test(i.id)) return 'baking shelf';
  if (i.role === 'sugar') return 'sugar and syrup';
  if (/drink|juice|stout|cider|wine|spirit|liqueur|cordial|lemonade|soda-water|coffee|tea|coconut-(?:milk|water)/.test(i.id)) return 'drinks'; // prettier-ignore
  if (CHILLED.test(i.id) && i.role !== 'addin') return 'chilled';
  if (/cheese|feta|parmesan|bacon|tofu/.test(i.id)) return 'chilled';
  if (i.role === 'fat' || i.id.includes('vinegar')) return 'oils and fats';
  if (DRIED.test(i.id)) return 'nuts and dried fruit';
  if (i.role === 'fruit' || i.role === 'acid' || /ginger$|zest|herbs$|onion|chilli$|tomato|spinach|pepper-sweet|garlic|sweetcorn|olives/.test(i.id)) return 'fruit and vegetables'; // prettier-ignore
  return i.role === 'flavour' || i.role === 'salt' ? 'spices' : 'other';
}

/** Ingredients by id, as a formula or the kitchen knows them. */
export function named(formulas: readonly Formula[], kitchen: Kitchen, id: string): Ingredient {
  const own = formulas.flatMap((f) => f.ingredients ?? []);
  const f = formulas[0];
  return ingredientFor({ ...(f as Formula), ingredients: own }, { id, ingredient: id, words: '', entered: null, grams: 0 }, kitchen); // prettier-ignore
}
