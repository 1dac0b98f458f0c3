import { ingredientOf } from '../ingredient/catalogue.js';
import type { Ingredient, Kitchen } from '../formula/types.js';

/** The kind of thing that a plain word of a method means, by what the larder says of it; null where it has no kind. */
function kindOf(i: Ingredient): string | null {
  if (i.id === 'unknown') return null;
  if (i.role === 'sugar') return i.per100.water < 6 ? 'sugar' : null;
  if (i.role === 'flour' || i.base === 'flour') return 'flour';
  if (i.role === 'egg') return 'egg';
  if (i.role === 'salt') return 'salt';
  // spreads of fat and water: butter, salted or not, and what stands in for it
  if (i.role === 'fat') return i.per100.water > 5 ? 'butter' : 'oil';
  if (i.role === 'liquid' && i.allergens.includes('milk') && i.per100.water > 80) return 'milk';
  return null;
}

/** The first word of an id that has letters enough to name a thing: "apple-puree" and "apple" are of one fruit. */
const stem = (id: string): string => id.split('-').find((w) => w.length > 3 && w !== 'dried' && w !== 'fresh') ?? id;

/**
 * Whether a list has the thing that is named, or one of its kind: the method's "sugar" is the list's caster sugar, its
 * "apples" the list's grated ones.
 */
export function hasKind(id: string, there: ReadonlySet<string>, kitchen: Kitchen): boolean {
  if (there.has(id)) return true;
  const of = (x: string): Ingredient => ingredientOf(x, undefined, kitchen);
  const kind = kindOf(of(id));
  return [...there].some((x) => (kind !== null && kindOf(of(x)) === kind) || stem(x) === stem(id));
}
