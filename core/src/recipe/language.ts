import { ingredients } from '../ingredient/catalogue.js';
import { namesAbroad, type Language } from '../ingredient/names-abroad.js';
import { plainText } from '../text/plain.js';

const names: Readonly<Record<Language, string>> = {
  en: 'English',
  de: 'German',
  fr: 'French',
  es: 'Spanish',
  it: 'Italian',
};
/** "German" for "de". */
export const languageName = (l: Language): string => names[l];

/** Words for ingredients that are English as well tell nothing: "butter", "polenta". */
const english = new Set(ingredients.flatMap((i) => [i.name, ...i.aliases].map(plainText)));
const abroad: ReadonlyMap<string, readonly (readonly [Language, string])[]> = new Map(
  namesAbroad.map(([id, ...lists]) => [
    id,
    lists.flatMap((list, i) =>
      list
        .split('|')
        .map(plainText)
        .filter((n) => !english.has(n))
        .map((n) => [(['de', 'fr', 'es', 'it'] as const)[i] as Language, ` ${n} `] as const),
    ),
  ]),
);

/**
 * The language that a list of ingredients seems to be in: that whose names of these very ingredients stand in most of
 * its lines, if two and a third of the lines at least; else English. Judgement.
 */
export function languageOf(items: readonly { readonly ingredient: string; readonly words: string }[]): Language {
  const count = new Map<Language, number>();
  for (const { ingredient, words } of items) {
    const said = ` ${plainText(words)} `;
    const mine = (abroad.get(ingredient) ?? []).filter(([, n]) => said.includes(n)).map(([l]) => l);
    for (const l of new Set(mine)) count.set(l, (count.get(l) ?? 0) + 1);
  }
  const [first] = [...count].sort((a, b) => b[1] - a[1]);
  return first && first[1] >= Math.max(2, items.length / 3) ? first[0] : 'en';
}
