import { nutAllergens } from '../ingredient/diet.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, Kitchen } from '../formula/types.js';

export interface Caution {
  readonly id: string;
  readonly words: string;
}

/** The usual cautions that apply to these ingredients. Local advice and qualified people come first, always. */
export function cautionsOf(formula: Formula, kitchen?: Kitchen): Caution[] {
  const items = allItems(formula).map((item) => ({ item, ingredient: ingredientFor(formula, item, kitchen) }));
  const has = (test: (id: string, role: string) => boolean): boolean =>
    items.some(({ ingredient }) => test(ingredient.id, ingredient.role));
  const out: Caution[] = [{ id: 'hot', words: 'The oven, the tin and the steam are hot; lift covers away from you.' }];
  if (has((_, role) => role === 'flour' || role === 'egg'))
    out.push({ id: 'raw', words: 'Do not taste raw batter: flour and egg can carry germs until baked.' });
  if (has((id) => id === 'honey'))
    out.push({ id: 'honey', words: 'No honey for babies under 12 months, baked or not.' });
  if (items.some(({ ingredient }) => ingredient.pieces && ingredient.allergens.some((a) => nutAllergens.has(a))))
    out.push({ id: 'nuts', words: 'Whole nuts and hard pieces are a choking risk for children under 5.' });
  if (has((id) => id === 'spirit' || id === 'liqueur' || id === 'fortified-wine'))
    out.push({
      id: 'alcohol',
      words: 'Alcohol vapour burns: brush spirit on away from flame, on a cake that is warm, not oven-hot.',
    });
  if (has((id) => ['plum', 'cherry', 'apricot', 'peach'].includes(id)))
    out.push({ id: 'stones', words: 'Leave out the stones: their kernels are poisonous raw.' });
  if (has((id) => id === 'salt-low-sodium' || id === 'baking-powder-low-sodium'))
    out.push({
      id: 'potassium',
      words: 'Salt or powder with potassium is not for everyone: ask your doctor or pharmacist.',
    });
  return out;
}

/** Allergens that the listed ingredients contain, in alphabetical order. Traces and brands are the baker's to check. */
export function allergensOf(formula: Formula, kitchen?: Kitchen): string[] {
  const found = new Set<string>();
  for (const item of allItems(formula)) for (const a of ingredientFor(formula, item, kitchen).allergens) found.add(a);
  const gluten = ['wheat', 'rye', 'barley', 'oats'].some((g) => found.has(g));
  if (gluten) found.add('gluten');
  return [...found].sort();
}
