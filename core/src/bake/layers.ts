import { batterItems, ingredientFor, usableGrams } from '../formula/formula.js';
import type { Formula, Group, Item, Kitchen, Role } from '../formula/types.js';
import { operations } from '../method/operations.js';
import type { Operation } from '../method/types.js';
import type { BatterParts, Layer } from './bake-input.js';

const LAID: ReadonlySet<string> = new Set(['top', 'filling']);
/** Once these begin, batter is in the tin; what was laid there before lies under it. */
const POURS: ReadonlySet<string> = new Set(['fill', 'pour', 'spread', 'scrape', 'divide', 'drop', 'level']);
const BEFORE_OVEN: ReadonlySet<string> = new Set(['ahead', 'mix', 'shape']);

/** Where an item lies while it bakes, as the work has it; null of what only meets the baked cake, or a bake half done. */
function whereOf(
  item: Item,
  group: Group,
  work: readonly Operation[],
  raw: boolean,
  spread: boolean,
  into: number,
): Layer['where'] | null {
  // what is melted or mixed is laid down later: its last work before the oven tells
  const at = work.findLastIndex((o) => o.takes.some((t) => t.itemId === item.id));
  const op = work[at];
  if (!op || op.by === 'orvin') {
    // nothing is said: a top is baked with what it lies on unless it is a caramel or a glaze, and of fillings raw fruit is
    if (group.role === 'top') return spread ? null : 'over';
    return raw ? 'within' : null;
  }
  if (!BEFORE_OVEN.has(op.phase)) return null;
  if (group.role === 'filling') return 'within';
  return at < into ? 'under' : 'over';
}

/**
 * What of a formula is baked with its batter without being mixed into it: toppings and fillings that go into the oven, by
 * the order of the work.
 *
 * @param share of the whole formula that one tin gets, 0–1
 */
export function layersOf(formula: Formula, kitchen: Kitchen, share: number): Layer[] {
  const groups = formula.groups.filter((g) => LAID.has(g.role ?? '') && g.items.length > 0);
  if (groups.length === 0) return [];
  const work = operations(formula, kitchen);
  // batter goes in once all of it is mixed
  const batter = new Set(batterItems(formula).map((i) => i.id));
  const mixed = work.findLastIndex((o) => o.takes.some((t) => batter.has(t.itemId)));
  const into = work.findIndex((o, i) => i > mixed && POURS.has(o.verb));
  const sums = new Map<Layer['where'], { g: number; water: number; fat: number; sugar: number }>();
  for (const group of groups) {
    const parts = group.items.map((item) => ingredientFor(formula, item, kitchen));
    const has = (role: Role): boolean => parts.some((i) => i.role === role);
    // fat and sugar without flour or fruit are cooked or creamed, and go on what is baked
    const spread = has('fat') && has('sugar') && !has('flour') && !has('fruit');
    for (const item of group.items) {
      const ingredient = ingredientFor(formula, item, kitchen);
      const grams = usableGrams(item.grams) * share;
      const where = whereOf(
        item,
        group,
        work,
        ingredient.role === 'fruit' && ingredient.per100.water > 60,
        spread,
        into,
      );
      if (where === null || grams === 0) continue;
      const sum = sums.get(where) ?? { g: 0, water: 0, fat: 0, sugar: 0 };
      const { water, fat, sugar } = ingredient.per100;
      sum.g += grams;
      sum.water += (grams * water) / 100;
      sum.fat += (grams * fat) / 100;
      sum.sugar += (grams * sugar) / 100;
      sums.set(where, sum);
    }
  }
  return [...sums].map(([where, s]) => ({
    where,
    g: s.g,
    water: s.water / s.g,
    fat: s.fat / s.g,
    sugar: s.sugar / s.g,
  }));
}

/** Density of moist fruit with batter in its gaps, and of dry crumble, nuts and seeds, g/ml. Judgements. */
const MOIST = 1;
const LOOSE = 0.65;
const MOIST_FROM = 0.5;

/** What stands in a tin: its weight, g, its density, how far it rises, and what it is made of. */
export interface Filling {
  readonly batterG: number;
  readonly densityGPerMl: number;
  readonly rise: number;
  readonly composition: BatterParts;
}

/**
 * Batter and layers as one body: weights and water add up, a layer itself does not rise. The model's grid has one kind of
 * matter; a layer counts by the heat and the water it takes and by the depth it adds, not by where in the depth it lies.
 */
export function withLayers(batter: Filling, layers: readonly Layer[] = []): Filling {
  return layers.reduce((b, l): Filling => {
    if (!(l.g > 0)) return b;
    const g = b.batterG + l.g;
    const ml = b.batterG / b.densityGPerMl;
    const more = l.g / (l.water >= MOIST_FROM ? MOIST : LOOSE);
    const mix = (a: number, x: number): number => (a * b.batterG + x * l.g) / g;
    return {
      batterG: g,
      densityGPerMl: g / (ml + more),
      rise: (b.rise * ml + more) / (ml + more),
      composition: {
        ...b.composition,
        water: mix(b.composition.water, l.water),
        fat: mix(b.composition.fat, l.fat),
        ...(b.composition.sugar !== undefined && { sugar: mix(b.composition.sugar, l.sugar) }),
      },
    };
  }, batter);
}
