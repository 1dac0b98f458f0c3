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

/** Ingredients by id, as a formula or the kitchen knows them. */
export function named(formulas: readonly Formula[], kitchen: Kitchen, id: string): Ingredient {
  const own = formulas.flatMap((f) => f.ingredients ?? []);
  const f = formulas[0];
  return ingredientFor({ ...(f as Formula), ingredients: own }, { id, ingredient: id, words: '', entered: null, grams: 0 }, kitchen); // prettier-ignore
}
