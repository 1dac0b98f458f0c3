import type { Ingredient } from '../formula/types.js';

/** Allergens that the words of a line name, beyond what its ingredient has: liqueurs of nuts, cream or egg. */
const NAMED: readonly (readonly [RegExp, readonly string[]])[] = [
  [/\bamaretto\b|\balmond liqueur\b|\bmarzipan\b|\borgeat\b/i, ['almond']],
  [/\bhazelnut liqueur\b|\bgianduja\b|\bpraline\b/i, ['hazelnut']],
  [/\bwalnut liqueur\b|\bnocino\b|\borahovac\b/i, ['walnut']],
  [/\bpistachio liqueur\b/i, ['pistachio']],
  [/\bcream liqueur\b|\bcream whiske?y\b|\birish cream\b/i, ['milk']],
  [/\begg ?nog\b|\badvocaat\b|\begg liqueur\b/i, ['egg', 'milk']],
];
const ANY = new RegExp(NAMED.map(([re]) => re.source).join('|'), 'i');

/** An ingredient with what the words of its line name besides, so that label, diets and cautions all know of it. */
export function withNamed(i: Ingredient, words: string): Ingredient {
  if (!ANY.test(words)) return i;
  const more = NAMED.filter(([re]) => re.test(words)).flatMap(([, a]) => a);
  return more.every((a) => i.allergens.includes(a)) ? i : { ...i, allergens: [...new Set([...i.allergens, ...more])] };
}
