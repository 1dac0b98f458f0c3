import { ingredientFor, isBatter } from '../formula/formula.js';
import type { Formula, Group, Ingredient, Item, Kitchen } from '../formula/types.js';
import { gramsOf } from '../quantity/amount.js';
import { scanAmounts } from '../quantity/scan.js';
import { together } from '../text/together.js';
import { plainText } from '../text/plain.js';
import { harmless } from '../text/harmless.js';
import type { Share } from './types.js';

/** A line that a clause names, and how much of it. */
export interface Named {
  readonly itemId: string;
  readonly share: Share;
  /** False where only its kind is named: "the dry ingredients", "everything". */
  readonly itself: boolean;
  /** How well the words fit it, and which word of the text it was; those of one word are rivals. */
  readonly level: number;
  readonly token: number;
}

interface Known {
  readonly item: Item;
  readonly group: Group;
  readonly ingredient: Ingredient;
  /** Last words of its names, and how well each names it: its own name better than another for it; the others beside them. */
  readonly heads: ReadonlyMap<string, number>;
  readonly beside: ReadonlySet<string>;
}

const stem = (w: string): string =>
  w
    .replace(/(?:ies)$/, 'y')
    .replace(/(?<=(?:sh|ch|x|ss|to))es$/, '')
    .replace(/(?<=[^su])s$/, '');
/** Words that say which or how, but name nothing by themselves. */
const dull = new Set(
  `plain white light dark brown baking fresh dried ground natural fine hard mixed neutral golden cold soft warm hot large small medium whole
  unsalted salted powder extract essence flour sugar free self raising self-raising strong double single heavy full fat semi skimmed ripe sweet
  and of the with for in raw rolled strained low good extra dry wet mix mixture black green red instant active virgin top pure bread`.split(
    /\s+/,
  ),
);

function namesOf(item: Item, ingredient: Ingredient): { heads: Map<string, number>; beside: Set<string> } {
  const heads = new Map<string, number>();
  const beside = new Set<string>();
  const bare = item.words.replace(/\(.*?\)/g, ' ').split(/[,;:]|\b(?:or|plus|that|which|you|for|to|into|with|then|if|until)\b/i)[0] ?? ''; // prettier-ignore
  // "juice of two lemons" is lemon juice
  const own = bare.replace(/^(.*?)\b((?:finely )?(?:grated )?(?:juice|zest|rind)s?)\b(?: and (?:juice|zest|rind))? (?:of|from) (.*)$/i, '$1 $3 $2'); // prettier-ignore
  const mainly = ingredient.name.split(',')[0] ?? '';
  for (const name of [mainly, own, ...ingredient.aliases]) {
    const words = plainText(name)
      .split(' ')
      .filter(
        // in the catalogue's own names every word names; in a line many only say how it is handled
        (w) =>
          w.length > 1 &&
          !/\d/.test(w) &&
          (name !== own || !harmless.has(w) || plainText(ingredient.name).split(' ').includes(w)),
      )
      .map(stem)
      .filter(
        (w) =>
          !/^(?:tsp|tbsp|cup|g|ml|kg|oz|lb|teaspoon|tablespoon|pinch|gram|mil|spoon|teaspoonful|of|ounce|pint|pound|dessertspoon|litre|stick|hundred|one|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)$/.test(
            w,
          ),
      );
    const head = words.at(-1);
    if (head === undefined) continue;
    if (!heads.has(head)) heads.set(head, name === mainly || name === own ? 1 : 0.9);
    for (const w of words.slice(0, -1)) beside.add(w);
  }
  // "the fruit" is all of it, whatever kinds there are
  if (ingredient.role === 'fruit' && !heads.has('fruit')) heads.set('fruit', 0.9);
  return { heads, beside };
}

const restWords =
  /\b(?:the )?(?:rest|remainder|last|remaining|other half|what(?:'s| is) left|left ?over)(?: of)?(?: the| your| it| that)?(?:\s+[\p{L}-]+){0,2}\s*$/iu;
const keptWords = /\b(?:kept[- ]back|reserved|held[- ]back|saved|set[- ]aside|you kept)(?:\s+[\p{L}-]+){0,2}\s*$/iu;
const fractions: readonly (readonly [RegExp, number])[] = [
  [/\b(?:half|one half|1\/2|½)(?: of)?(?: the| your| it| that)?(?:\s+[\p{L}-]+){0,2}\s*$/iu, 1 / 2],
  [/\b(?:two thirds|2\/3|⅔)(?: of)?(?: the| your)?(?:\s+[\p{L}-]+){0,2}\s*$/iu, 2 / 3],
  [/\b(?:three quarters|3\/4|¾)(?: of)?(?: the| your)?(?:\s+[\p{L}-]+){0,2}\s*$/iu, 3 / 4],
  [/\b(?:a third|one third|1\/3|⅓)(?: of)?(?: the| your)?(?:\s+[\p{L}-]+){0,2}\s*$/iu, 1 / 3],
  [/\b(?:a quarter|one quarter|1\/4|¼)(?: of)(?: the| your)?(?:\s+[\p{L}-]+){0,2}\s*$/iu, 1 / 4],
];
const someWords =
  /\b(?:most|some|a little|a bit|a few|a (?:spoonful|spoon|splash|dash|drop|handful|pinch)|\w+ spoonfuls?|enough)(?: of)?(?: the| your| it| that)?(?:\s+[\p{L}-]+){0,2}\s*$/iu;
const behindRest =
  /^[^,;.]{0,24}\b(?:left|you (?:kept|saved|set aside|held back)|kept back|held back|set aside|that(?:'s| is) left)\b/i;

/** The lines of a formula as a method speaks of them. */
export class Things {
  private readonly known: readonly Known[];

  constructor(
    private readonly formula: Formula,
    kitchen?: Kitchen,
  ) {
    this.known = formula.groups
      .filter((g) => g.role !== 'grease')
      .flatMap((group) =>
        group.items.map((item) => {
          const ingredient = ingredientFor(formula, item, kitchen);
          return { item, group, ingredient, ...namesOf(item, ingredient) };
        }),
      );
  }

  private readonly remembered = new Map<string, readonly Named[]>();

  /** All lines that words can name, whichever is meant; remembered, since a method is gone over many times. */
  all(text: string): readonly Named[] {
    const had = this.remembered.get(text);
    if (had) return had;
    const found = this.in(text, () => true);
    this.remembered.set(text, found);
    return found;
  }

  get items(): readonly { readonly item: Item; readonly group: Group; readonly ingredient: Ingredient }[] {
    return this.known;
  }

  /** The group other than the batter that the words speak of: "for the frosting", "the crumble ingredients". */
  groupIn(text: string): Group | null {
    const plain = plainText(text);
    return (
      this.formula.groups.find((g) => {
        if (isBatter(g) || g.role === 'grease') return false;
        const words = plainText(g.name)
          .split(' ')
          .filter((w) => w.length > 3 && !/^(?:ingredients|with|from|made)$/.test(w));
        return (
          words.some((w) => new RegExp(`\\b${stem(w).replace(/[^a-z]/g, '')}`).test(plain)) ||
          roleWords[g.role ?? '']?.test(plain) === true
        );
      }) ?? null
    );
  }

  /** Each word of a text that names lines: which, how well, and where the name stands. */
  private namesIn(text: string): NameAt[] {
    const tokens = [...text.matchAll(/[\p{L}][\p{L}'’-]*/gu)].map((m): Word => ({
      w: stem(plainText(m[0])),
      at: m.index,
      to: m.index + m[0].length,
    }));
    // "everything except the almonds": what comes behind stays out
    const but = /\b(?:except|apart from|all but|leaving out|without)\b/i.exec(text);
    return tokens.flatMap((t, token): NameAt[] => {
      if (but && t.at > but.index) return [];
      let level = 0;
      let these: Known[] = [];
      for (const k of this.known) {
        const fit = levelAt(text, tokens, token, k);
        if (fit > level + 0.01) {
          level = fit;
          these = [k];
        } else if (fit > 0 && fit > level - 0.01) these.push(k);
      }
      return level < 0.5
        ? []
        : [{ token, level, these, at: t.at, to: t.to, from: nameFrom(text, tokens, token, these[0] as Known) }];
    });
  }

  /** Where words name one line and no other: characters `from`–`to`, left to right. */
  alone(text: string): { readonly itemId: string; readonly from: number; readonly to: number }[] {
    return this.namesIn(text).flatMap((n) =>
      n.these.length === 1 ? [{ itemId: (n.these[0] as Known).item.id, from: n.from, to: n.to }] : [],
    );
  }

  /**
   * Lines that a clause names, with how much of each.
   *
   * @param prefer which of several lines with one name is meant: those for which it holds, where any is
   */
  in(text: string, prefer: (k: { item: Item; group: Group }) => boolean): Named[] {
    const out = new Map<string, Named>();
    const amounts = scanAmounts(text);
    for (const { token, level, these, at, to } of this.namesIn(text)) {
      // "the butter" beside "peanut butter": more words tell them apart, and else the place in the work does
      const chosen = these.filter(prefer);
      const said = chosen.length > 0 ? chosen : these;
      const itself = level >= 0.9;
      for (const k of said.length > 1 && !itself ? said.slice(0, 1) : said) {
        const had = out.get(k.item.id);
        if (!had || (itself && !had.itself))
          out.set(k.item.id, {
            itemId: k.item.id,
            share: this.shareAt(text, at, to, k, amounts),
            itself,
            level,
            token,
          });
      }
    }
    const plain = plainText(text.replace(headed, ''));
    for (const [re, who] of together) {
      if (!re.test(plain)) continue;
      for (const k of this.known)
        if (who(k.ingredient) && !out.has(k.item.id) && prefer(k) && !butFor(plain, k))
          out.set(k.item.id, { itemId: k.item.id, share: 1, itself: false, level: 0, token: -1 });
    }
    return [...out.values()];
  }

  private shareAt(text: string, from: number, to: number, k: Known, amounts: ReturnType<typeof scanAmounts>): Share {
    const before = text.slice(Math.max(0, from - 48), from).replace(/^.*[,;.]/s, '');
    const after = text.slice(to, to + 48);
    if (keptWords.test(before)) return 'kept back';
    if (restWords.test(before)) return 'rest';
    if (behindRest.test(after)) return 'rest';
    const measured = amounts.filter((a) => a.to <= from && a.unit !== null).at(-1);
    const between = measured ? text.slice(measured.to, from) : '';
    if (measured && /^\s*(?:of\s+)?(?:the\s+|your\s+|more\s+)?(?:[\p{L}-]+\s+){0,3}$/iu.test(between)) {
      const { value, unit } = measured;
      const g = gramsOf({ value, unit: unit as string }, k.ingredient, this.formula.source, k.item.form ?? null);
      if (g !== null && k.item.grams > 0)
        return g / k.item.grams >= 0.9
          ? 1
          : g / k.item.grams < 0.08
            ? 'some'
            : Math.round((100 * g) / k.item.grams) / 100;
    }
    for (const [re, share] of fractions) if (re.test(before)) return share;
    return someWords.test(before) ? 'some' : 1;
  }
}

/** Whether two words stand in one name: nothing but words between them. */
const oneName = (text: string, a: { to: number } | undefined, b: { at: number }): boolean =>
  a !== undefined && /^[\s\p{L}.-]*$/u.test(text.slice(a.to, b.at));

interface Word {
  readonly w: string;
  readonly at: number;
  readonly to: number;
}
/** A word that names lines; `from` is where the words of the name begin. */
interface NameAt {
  readonly token: number;
  readonly level: number;
  readonly these: readonly Known[];
  readonly at: number;
  readonly from: number;
  readonly to: number;
}

/** What a name before it only says the kind of: "sugar water", "egg wash", "a coffee can", "the milk pan". */
const headOf =
  /^\s(waters?|wash(?:es)?|syrups?|pastes?|solution|bowls?|spoons?|kni(?:fe|ves)|dish(?:es)?|cutters?|jugs?|boards?|cans?|jars?|mugs?|basins?|moulds?|molds?|wrappers?)\b/i;
const headed = new RegExp(String.raw`\p{L}+(?=${headOf.source.slice(1)})`, 'giu');

/** How well the word at a place names a line: by the last word of its name, better with the words beside it; 0 not at all. */
function levelAt(text: string, tokens: readonly Word[], i: number, k: Known): number {
  const t = tokens[i] as Word;
  const beside = (at: number): boolean => k.beside.has(tokens[at]?.w ?? '');
  // half a name is no flour's, no leavener's: "oats" are not the oat flour
  const plain = !['flour', 'leavener', 'salt'].includes(k.ingredient.role);
  const headed = headOf.exec(text.slice(t.to))?.[1];
  if (headed !== undefined && !k.heads.has(stem(headed))) return 0;
  if (!k.heads.has(t.w))
    return plain && k.beside.has(t.w) && !dull.has(t.w) && t.w.length > 2 && !harmless.has(t.w) ? 0.6 : 0;
  let level = dull.has(t.w) && !namesAlone.has(t.w) ? 0.3 : (k.heads.get(t.w) ?? 1);
  // "the juice of both lemons"
  if (/^(?:juice|zest|rind)$/.test(t.w) && /^\s*of\b/.test(text.slice(t.to)) && [1, 2, 3, 4].some((on) => beside(i + on))) level += 0.7; // prettier-ignore
  for (const back of [1, 2]) if (beside(i - back) && oneName(text, tokens[i - back], t)) level += 0.7;
  return level;
}
/** Dull words that name a line all the same when they stand alone. */
const namesAlone: ReadonlySet<string> = new Set(['flour', 'sugar', 'powder']);

/** Where the words of a name begin that ends at a word: "light brown sugar". */
function nameFrom(text: string, tokens: readonly Word[], i: number, k: Known): number {
  let from = (tokens[i] as Word).at;
  for (let b = i - 1; b >= 0 && i - b < 4; b--) {
    const t = tokens[b] as Word;
    if (!k.beside.has(t.w) || !oneName(text, t, { at: from })) break;
    from = t.at;
  }
  return from;
}

/** "everything except the almonds" */
function butFor(plain: string, k: { readonly heads: ReadonlyMap<string, number> }): boolean {
  const but = /\b(?:except|but|apart from|save|bar)\b(?: for)?(.*)$/.exec(plain)?.[1];
  return but !== undefined && but.split(' ').some((w) => k.heads.has(stem(w)));
}

const roleWords: Readonly<Record<string, RegExp>> = {
  icing: /\b(?:icing(?! sugar)|frosting|buttercream|glaze)\b/,
  filling: /\bfilling\b/,
  soak: /\b(?:syrup|soak)\b/,
  top: /\b(?:topping|crumble|streusel|crumb)\b/,
};
