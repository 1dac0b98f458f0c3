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
  [
    /\b(?:scatter|sprinkle|dredge|dust|strew|stud|press\b[^.]*\b(?:on|in each|into the top)|lay\b[^.]*\bon top|arrange\b[^.]*\bon|set\b[^.]*\bon top|on (?:the )?top|over the tops?|tops? with|brush)\w*\b/i,
    'top',
  ],
];
const mixing =
  /\b(?:mix|stir|whisk|beat|cream|fold|rub|add|combine|sift|sieve|melt|blend|soak|toss|knead|pour in|tip in|in turns|alternat\w+|batter|dough|cut in|work in|dissolve|everything|all together|all in)\b/i;
const apart: ReadonlySet<string> = new Set(['liquid', 'flour', 'leavener', 'fat', 'egg', 'salt']);

/** Words of the method that speak of an item: the last word of its name, and of the words of its line. */
function wordsFor(item: Item, kitchen: Kitchen): readonly string[] {
  const name = plainText(ingredientOf(item.ingredient, undefined, kitchen).name.replace(/,.*/, ''));
  const head = name.split(' ').at(-1) ?? '';
  return [head.replace(/(?:ies|es|s)$/, '')].filter((w) => w.length > 2);
}

/** Items of the batter that the method only uses outside it, with the part they go to. */
export function usedApart(
  items: readonly Item[],
  all: readonly Item[],
  method: readonly MethodStep[],
  kitchen: Kitchen,
): Map<string, GroupRole> {
  const out = new Map<string, GroupRole>();
  const sentences = method.flatMap((m) => sentencesIn(m.text)).map((s) => s.text);
  if (sentences.length < 2) return out;
  for (const item of items) {
    const i = ingredientOf(item.ingredient, undefined, kitchen);
    const words = wordsFor(item, kitchen);
    const others = all.filter((x) => x !== item && wordsFor(x, kitchen).some((w) => words.includes(w)));
    // two sugars, two kinds of butter: the words do not tell them apart
    if (words.length === 0 || others.length > 0 || apart.has(i.role)) continue;
    const said = sentences.filter((s) => words.some((w) => plainText(s).includes(w)));
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
