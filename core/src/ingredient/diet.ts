import type { Ingredient } from '../formula/types.js';

export type Diet = 'vegan' | 'vegetarian' | 'gluten-free' | 'dairy-free' | 'egg-free' | 'nut-free';

const glutenous = new Set(['wheat', 'rye', 'barley', 'oats']);
/** Allergens that are nuts, peanut with them since the caution is the same. */
export const nutAllergens: ReadonlySet<string> = new Set([
  'almond',
  'walnut',
  'hazelnut',
  'pecan',
  'pistachio',
  'cashew',
  'macadamia',
  'brazil nut',
  'pine nut',
  'nuts',
  'peanut',
]);

/**
 * Diets that an ingredient suits by what it is made of. What else a factory handles is on the packet, not here; whoever
 * has an allergy follows their clinician and the label. Oats count as containing gluten unless bought as free of it.
 */
export function dietsOf(i: Ingredient): Diet[] {
  const has = (set: ReadonlySet<string>): boolean => i.allergens.some((a) => set.has(a));
  const milk = i.allergens.includes('milk');
  const egg = i.allergens.includes('egg');
  const meat = i.from === 'meat' || i.id === 'lard';
  const animal = meat || i.from === 'animal' || i.id === 'honey';
  const out: Diet[] = [];
  if (!milk && !egg && !animal) out.push('vegan');
  if (!meat) out.push('vegetarian');
  if (!has(glutenous)) out.push('gluten-free');
  if (!milk) out.push('dairy-free');
  if (!egg) out.push('egg-free');
  if (!has(nutAllergens)) out.push('nut-free');
  return out;
}
