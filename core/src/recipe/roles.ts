import { ingredientOf } from '../ingredient/catalogue.js';
import type { GroupRole, Item, Kitchen, MethodStep } from '../formula/types.js';
import { sentencesIn } from './bake/sentences.js';
import { plainText } from './match.js';

/**
 * What the method makes of a thing that the list does not put apart: jam that is only ever spread between, almonds only
 * scattered. A thing that any sentence mixes in stays in the batter.
 */
const uses: readonly (readonly [RegExp, GroupRole])[] = [
  [/\b(?:between|sandwich\w*|in the middle|fill\w* with|fill and)\b/i, 'filling'],
  [/\b(?:icing|frosting|buttercream|glaze)\b|\bice (?:the|it|them|with|when)\b|\bfrost\b/i, 'icing'],
  [
    /\b(?:pour|spoon|drizzle|ladle)\w*\b[^.]*\b(?:over|on)\b[^.]*\b(?:(?:hot|warm) (?:cakes?|loa(?:f|ves)|buns?|sponge|slab|scones)|while (?:it is |they are |it's |still )?(?:hot|warm)|as it comes out|when it comes out)\b|\b(?:make|for) (?:the|a) syrup\b|\bbrush\w*\b[^.]*\b(?:while|when)\b[^.]*\b(?:hot|warm|out)\b/i,
    'soak',
  ],
  // a glaze made in the same breath: "mix the icing sugar with the juice and drizzle over"
  [
    /\bdrizzl\w*\b(?! in\b)[^.]*\b(?:over|on)\b|\bspread\b[^.]*\b(?:over|on) (?:the )?(?:cooled?|cold|tops?)\b/i,
    'icing',
  ],
  [
    /\b(?:scatter|sprinkle|dredge|dust|strew|stud|press\b[^.]*\b(?:on|in each|into the top)|lay\b[^.]*\bon top|arrange\b[^.]*\bon|set\b[^.]*\bon top|on (?:the )?top|over the tops?|tops? with|brush)\w*\b/i,
    'top',
  ],
];
const mixing =
  /\b(?:mix|stir|whisk|beat|cream|fold|rub|add|combine|sift|sieve|melt|blend|soak|toss|knead|pour in|tip in|in turns|alternat\w+|batter|dough|cut in|work in|dissolve|everything|all together|all in)\b/i;
const apart: ReadonlySet<string> = new Set(['liquid', 'flour', 'leavener', 'fat', 'egg', 'salt']);

/** A name as it is looked for in the method: its singular, without what follows a comma. */
const bare = (name: string): readonly string[] =>
  plainText(name.replace(/[,(].*/, ''))
    .replace(/(?:ies|es|s)$/, '')
    .split(' ');

/** The last word of an item's name, by which the method speaks of it where nothing else ends so. */
const headOf = (item: Item, kitchen: Kitchen): string =>
  bare(ingredientOf(item.ingredient, undefined, kitchen).name).at(-1) ?? '';

/** Its last two words, by its name and by what its line calls it: "icing sugar", "powdered sugar". */
function pairsOf(item: Item, kitchen: Kitchen): readonly string[] {
  return [ingredientOf(item.ingredient, undefined, kitchen).name, item.words]
    .map((n) => bare(n).slice(-2))
    .filter((w) => w.length === 2 && !w.some((x) => /\d/.test(x)))
    .map((w) => w.join(' '));
}

/** For each item the words of a method that speak of it, and of no other of the list. */
function wordsIn(all: readonly Item[], kitchen: Kitchen): (item: Item) => readonly string[] {
  const counted = (words: readonly string[]): ReadonlyMap<string, number> =>
    words.reduce((m, w) => m.set(w, (m.get(w) ?? 0) + 1), new Map<string, number>());
  const heads = counted(all.map((x) => headOf(x, kitchen)));
  const pairs = counted(all.flatMap((x) => [...new Set(pairsOf(x, kitchen))]));
  return (item) => {
    const head = headOf(item, kitchen);
    if (heads.get(head) === 1) return head.length > 2 ? [head] : [];
    // two sugars, two kinds of butter: only more words tell them apart
    return pairsOf(item, kitchen).filter((w) => pairs.get(w) === 1);
  };
}
/** More things than these are no recipe's, and no method tells where each of them goes. */
const MOST_ITEMS = 120;

/** Items of the batter that the method only uses outside it, with the part they go to. */
export function usedApart(
  items: readonly Item[],
  all: readonly Item[],
  method: readonly MethodStep[],
  kitchen: Kitchen,
): Map<string, GroupRole> {
  const out = new Map<string, GroupRole>();
  const sentences = method.flatMap((m) => sentencesIn(m.text)).map((s) => s.text);
  if (sentences.length < 2 || all.length > MOST_ITEMS) return out;
  const wordsOf = wordsIn(all, kitchen);
  const plain = sentences.map(plainText);
  for (const item of items) {
    const i = ingredientOf(item.ingredient, undefined, kitchen);
    const words = apart.has(i.role) ? [] : wordsOf(item);
    if (words.length === 0) continue;
    const said = sentences.filter((_, n) => words.some((w) => plain[n]?.includes(w)));
    if (said.length === 0) continue;
    const roles = said.map((s) => {
      // "mix everything except the almonds"
      const but = new RegExp(`\\b(?:except|but|save|apart from|bar)\\b[^.]*${words[0]}`, 'i').test(s);
      const use = uses.find(([re]) => re.test(s))?.[1] ?? null;
      return but
        ? 'none'
        : use && !(mixing.test(s) && use === 'top' && !/^\s*(?:scatter|sprinkle|top|dust|press)/i.test(s.trim()))
          ? use
          : null;
    });
    const known = roles.filter((r) => r !== 'none');
    const [first] = known;
    if (first && known.every((r) => r !== null)) out.set(item.id, first as GroupRole);
  }
  return out;
}
