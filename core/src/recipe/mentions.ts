import { ingredientFor, isBatter } from '../formula/formula.js';
import type { Formula, Ingredient, Item, Kitchen } from '../formula/types.js';
import { harmless } from '../text/harmless.js';
import { plainText } from '../text/plain.js';
import { together } from '../text/together.js';

const tooGeneral = new Set([
  'powder',
  'ground',
  'dried',
  'fresh',
  'whole',
  'plain',
  'white',
  'dark',
  'light',
  'brown',
  'extract',
  'meal',
  'puree',
  'flour',
  'sugar',
  'grated',
  'diced',
  'free',
  'baking',
]);

/** Whether a method, in plain lower-case words, speaks of this item. */
export function speaksOf(method: string, item: Item, ingredient: Ingredient): boolean {
  if (together.some(([re, who]) => who(ingredient) && re.test(method))) return true;
  // "bp", "srf"
  if (ingredient.aliases.some((a) => /^[a-z]{2,3}$/.test(a) && new RegExp(`\\b${a}\\b`).test(method))) return true;
  const names = [ingredient.name, ...ingredient.aliases, item.words.replace(/\(.*?\)/g, ' ').split(',')[0] ?? ''];
  for (const name of names)
    for (const w of plainText(name).split(' ')) {
      if (w.length < 3 || tooGeneral.has(w) || /\d/.test(w)) continue;
      if (harmless.has(w) && !plainText(ingredient.name).split(' ').includes(w)) continue;
      const stem = w.replace(/(?:ies|es|s|y)$/, '');
      if (stem.length > 2 && new RegExp(`\\b${stem.replace(/[^a-z0-9]/g, '')}`).test(method)) return true;
    }
  return false;
}

/** Things a method can hardly mean by another name, and which ingredients would be they. */
const plainThings: readonly (readonly [name: string, said: RegExp, who: (i: Ingredient) => boolean, id: string])[] = [
  [
    'eggs',
    /\b(?:the|in|beat(?:en)?|add|whisk(?:ed)?|with|and)\s+(?:the\s+|in\s+the\s+)?eggs?\b(?! wash)/,
    (i) => i.role === 'egg',
    'egg',
  ],
  ['sugar', /\bsugars?\b/, (i) => i.role === 'sugar' || /sugar/.test(i.id), 'white-sugar'],
  [
    'butter',
    /\bbutter\b(?! (?:the|an?|your|and (?:line|flour)|two|\d+)\b)(?<!peanut butter|nut butter|almond butter|with butter|a little butter)/,
    (i) => /butter|margarine|spread|ghee/.test(i.id),
    'butter',
  ],
  [
    'oil',
    /\b(?:the|add|in|with|and) (?:the )?oil\b(?! (?:the|an?)\b)(?<!with oil)/,
    (i) => i.role === 'fat',
    'neutral-oil',
  ],
  ['milk', /\b(?:buttermilk|milk)\b/, (i) => i.role === 'liquid' || /milk/.test(i.id), 'milk'],
  ['baking powder', /\bbaking powder\b/, (i) => i.leavener === 'powder' || i.co2Mmol !== undefined, 'baking-powder'],
  ['baking soda', /\b(?:baking soda|bicarb\w*|bicarbonate of soda)\b/, (i) => i.leavener === 'soda', 'baking-soda'],
  ['salt', /\b(?:the|and|with|add|in|a pinch of) salt\b/, (i) => i.role === 'salt' || (i.saltG ?? 0) > 0.5, 'salt'],
  ['vanilla', /\bvanilla\b(?! (?:yog|ice|sugar))/, (i) => /vanilla/.test(i.id), 'vanilla-extract'],
  ['cocoa', /\bcocoa\b(?! butter)/, (i) => i.base === 'cocoa' || /cocoa|choc/.test(i.id), 'cocoa-natural'],
  ['yogurt', /\byogh?urt\b|\bcurd\b/, (i) => /yogurt|curd|skyr|kefir|quark/.test(i.id), 'yogurt'],
  ['walnuts', /\bwalnuts?\b/, (i) => /walnut|nuts/.test(i.id), 'walnut'],
  ['raisins', /\braisins?\b|\bsultanas?\b/, (i) => /raisin|sultana|currant|fruit/.test(i.id), 'raisins'],
  ['lemon', /\blemon (?:juice|zest)\b/, (i) => /lemon|citrus/.test(i.id), 'lemon-juice'],
  ['honey', /\bhoney\b/, (i) => i.id === 'honey', 'honey'],
  ['cinnamon', /\bcinnamon\b/, (i) => /cinnamon|spice/.test(i.id), 'cinnamon'],
  ['flour', /\bflour\b(?! (?:the|a|your|lightly))(?<!floured|and flour)/, (i) => i.base !== undefined, 'plain-flour'],
];

export interface Mentions {
  /** Items that the method never speaks of. */
  readonly unused: readonly Item[];
  /** Plain things that the method speaks of and no item is. */
  readonly unlisted: readonly { readonly name: string; readonly id: string; readonly step: number }[];
}

/** Holds the method against the list. Says nothing of a method too short to name its ingredients. */
export function mentions(formula: Formula, kitchen?: Kitchen): Mentions {
  const steps = formula.method.map((m) => plainText(m.text));
  const all = steps.join(' . ');
  if (steps.length < 2 || all.split(' ').length < 20) return { unused: [], unlisted: [] };
  const items = formula.groups.flatMap((g) =>
    g.items.map((item) => ({ item, group: g, ingredient: ingredientFor(formula, item, kitchen) })),
  );
  const groupsSaid = (name: string): boolean => {
    const w = plainText(name)
      .split(' ')
      .filter((x) => x.length > 3)
      .at(-1);
    return w !== undefined && all.includes(w);
  };
  return {
    unused: items
      .filter(
        ({ item, ingredient, group }) =>
          item.grams > 0 &&
          item.ingredient !== 'unknown' &&
          !['grease'].includes(group.role ?? '') &&
          !speaksOf(all, item, ingredient) &&
          !(!isBatter(group) && groupsSaid(group.name)),
      )
      .map(({ item }) => item),
    unlisted: plainThings
      .filter(([, said, who]) => said.test(all) && !items.some(({ ingredient }) => who(ingredient)))
      .map(([name, said, , id]) => ({ name, id, step: steps.findIndex((s) => said.test(s)) })),
  };
}
