import type { Kitchen } from '../formula/types.js';
import { scanAmounts } from '../quantity/scan.js';
import { barelyHeat, heatsIn } from '../text/heats.js';
import { plainChars } from './anatomy.js';
import { matchIngredient } from './match.js';
import type { Classified } from './parts.js';
import { bakeNoun } from './titles.js';

/** What makes a line one of the list. */

/** Words by which a line is work, of the languages that are read. */
export const verbs =
  /\b(?:preheat|heat|mix|stir|whisk|beat|cream|fold|bake|pour|spoon|grease|line|rub|add|combine|turn|cool|sift|sieve|melt|mash|knead|divide|spread|serve|leave|rest|put|set|place|toss|soak|make|cover|cut|roll|shape|brush|let|remove|drop|fill|tip|scrape|blend|simmer|boil|bring|sprinkle|drizzle|grate|peel|work|pat|press|dust|rühren|verrühren|mischen|unterheben|unterrühren|backen|füllen|schlagen|mélanger|ajouter|verser|cuire|battre|incorporer|préchauffer|fouetter|mezclar|batir|añadir|verter|hornear|precalentar|montare|unire|aggiungere|mescolare|versare|infornare|cuocere|sbattere)\b/i;
/** How a line begins that tells of the bake, not of a thing. */
export const notListed =
  /^(?:(?:bake|makes|serves|yields?|preheat|heat|oven|prep|total|cook(?:ing)?|time|tin|temperature|calories|ready in|tins?:|in:)\b|\d{1,3}\s+(?:pieces|slices|squares|bars|servings|portions)\W*$)/i;
/** An amount with a unit. */
export const units = /\d\s*(?:g|kg|ml|l|dl|cl|oz|lb|tsp|tbsp|cups?|el|tl)\b/i;

const sameWords =
  /^(?:and\s+)?(?:(?:the\s+|an?\s+)?(?:same|equal)(?:\s+(?:weight|amount|quantity|again))?|(?:their|its|the eggs['’]?)\s+weight)\s*(?:of|in|again of|again)?\s+(?=\p{L})/iu;
/** What a line says there is as much of as of the thing before it: "the same of sugar". Null when it says nothing of the kind. */
export function sameAs(text: string): string | null {
  const m = sameWords.exec(text);
  return m ? text.slice(m[0].length) : null;
}

/** A question, with or without its answer: no title. */
export const asks =
  /\?\s+\S|^(?:so,?\s+|and,?\s+|but,?\s+)?(?:what|how|which|who|when|where|why|do|does|can|could|is|are)\b.*\?|\b(?:what|how|which|where)\b[^.]*\?\s*$/i;
/** Things of a line that have both an amount and a known name. */
export function listedIn(text: string, kitchen: Kitchen): number {
  const plain = plainChars(text);
  const amounts = scanAmounts(plain);
  return amounts.filter((a, i) => {
    const end = amounts[i + 1]?.from ?? plain.length;
    return matchIngredient(plain.slice(a.to, end).split(/[,;(]/)[0] ?? '', kitchen) !== null;
  }).length;
}

/** A tin by its size, got ready. */
const ofTin =
  /^(?:\d+\s*x\s*)?[\d½¼.,]+\s*-?(?:lb|g|kg|cm|in|inch|")\s*(?:\w+ )?(?:tins?|pans?|moulds?)\s*(?:$|[,.;+&]|(?:well )?(?:oiled|greased|buttered|lined|floured|papered)\b)/i;

/** Whether a line is one of the list: an amount and a known name, or what lists have in place of them. */
export function looksLikeIngredient(text: string, kitchen: Kitchen, bareList: boolean): boolean {
  if (notListed.test(text)) return false;
  const same = sameAs(text);
  if (same !== null && text.length < 60 && matchIngredient(same, kitchen) !== null) return true;
  const plain = plainChars(text);
  // "2.5 cm, 6 cm cutter" is a size
  const amounts = scanAmounts(plain).filter((a) => a.unit !== null || !/^\s*(?:cm|mm|inch|min(?:ute)?s?\b|hours?\b|hrs?\b|°)/i.test(plain.slice(a.to))); // prettier-ignore
  // "400 - 20-25 min. 12 cups." is an oven and its time
  if (/\d\s*(?:min|mins|minutes|hrs?|hours?)\b/i.test(text) && listedIn(text, kitchen) === 0) return false;
  // "2lb tin oiled + lined, seeds on top" and "180 (160 fan) 22 mins, don't open" are no things
  if (ofTin.test(text) || heatsIn(plain, (from, to) => barelyHeat(plain, from, to)).some((h) => h.from < 3))
    return false;
  // a question and its answer, or sentences that each tell of amounts, are told, not listed
  if (/\?\s+\S/.test(text) || asks.test(text)) return false;
  const sentences = text.split(/(?<=[\p{L})][.!])\s+(?=\p{Lu})/u).filter((s) => scanAmounts(plainChars(s)).length > 0);
  if (sentences.length > 1 && text.length > 40) return false;
  // "The one with sprinkles. Cuts into 20 squares."
  if (/^(?:the|this|that|these|it|we|i|my|you|if|when|they)\s/i.test(text) && /[.!]\s+\p{Lu}/u.test(text)) return false;
  const head = text.split(',')[0] ?? text;
  const known = matchIngredient(head, kitchen) !== null || matchIngredient(text, kitchen) !== null;
  const leading = amounts[0] !== undefined && amounts[0].from <= 6;
  const withUnit = amounts.some((a) => a.unit !== null);
  // "My neighbour drinks 2 cups of coffee before starting!"
  if (!leading && /[.!?]$/.test(text) && /^(?:my|our|i|we|she|he|they|when|if|this|it|you|some|people)\b/i.test(text) && text.split(' ').length > 5) return false; // prettier-ignore
  if (/^\d+[.)]\s+\p{Lu}/u.test(text) && verbs.test(text)) return false;
  const first = /^[\p{L}]+/u.exec(text)?.[0] ?? '';
  if (verbs.test(first) && !known) return false;
  const sentence = verbs.test(text) && (/[.!]$/.test(text) || verbs.test(first)) && text.split(' ').length > 5;
  const run = text.length > 60 ? listedIn(text, kitchen) : 0;
  const list = run > 1 && leading && !/[.!]\s+\p{Lu}/u.test(text);
  if (/^(?:the )?(?:yolks?|whites?) (?:of|from) \w+(?: eggs?)?(?:,|$)/i.test(text)) return true;
  if (sentence && !list && !/^(?:the )?(?:juice|zest|grated)/i.test(text)) return false;
  // so long a line is a list, or no line of one
  if (text.length > 140 && !(leading && withUnit && (run > 1 || known))) return false;
  return (
    (leading && (withUnit || known)) ||
    (withUnit && known) ||
    (bareList && known && amounts.length === 1 && text.length < 60) ||
    (known &&
      (amounts.length > 0 ||
        (/\bof (?:an?|both|half an?) \p{L}+/iu.test(text) && text.split(' ').length <= 9 && !/[.!?]$/.test(text))) &&
      /^(?:the |finely |freshly |coarsely )?(?:grated|zest|juice|rind|peel)\b/i.test(text)) ||
    (known &&
      /to taste|a pinch|for dusting|for greasing|for the (?:tin|pan|board)|as needed|as required|to glaze/i.test(
        text,
      )) ||
    (/^an?\s/i.test(text) && known && text.split(' ').length < 8)
  );
}

/** Whether a line is an amount and a name the larder knows, and nothing else: "10 oz self-raising flour", among steps too. */
export function nothingElse(text: string, kitchen: Kitchen): boolean {
  if (text.split(' ').length > 7 || /[.!?;:,]/.test(text.replace(/\d[.,]\d/g, '')) || verbs.test(text)) return false;
  const plain = plainChars(text);
  const amounts = scanAmounts(plain);
  const [first] = amounts;
  if (amounts.length !== 1 || first?.from !== 0) return false;
  const match = matchIngredient(plain.slice(first.to), kitchen);
  return match !== null && !match.behind && match.odd.length === 0;
}

/** Whether the list gives its amounts behind the names and without units: "butter 100". */
export const bareAmounts = (lines: readonly string[], kitchen: Kitchen): boolean =>
  lines.filter(
    (l) =>
      /^\s*[\p{L}][\p{L} ,.'-]{2,40}\s\d{1,4}(?:\s+[\p{L} .]{1,24})?\s*$/u.test(l) &&
      !units.test(l) &&
      matchIngredient(l.replace(/\d.*$/, ''), kitchen) !== null,
  ).length >= 3;

/** A known name with its figure behind it: "butter 100". */
const figureLast = (text: string, kitchen: Kitchen): boolean =>
  /^\p{L}[\p{L} ,.'’-]{1,40}\s\d{1,4}(?:\s+[\p{L} .]{1,24})?$/u.test(text) &&
  !notListed.test(text) &&
  matchIngredient(text.replace(/\d.*$/, ''), kitchen) !== null;

/** Whether a part is a thing with a bare figure behind its name, beside lines of the list or others of its kind that are. */
export function besideList(all: readonly Classified[], i: number, kitchen: Kitchen): boolean {
  if (!figureLast((all[i] as Classified).text, kitchen)) return false;
  for (const step of [-1, 1])
    for (let k = i + step; k >= 0 && k < all.length; k += step) {
      const { kind, text } = all[k] as Classified;
      if (kind === 'ingredient') return true;
      if (kind !== 'other' || !figureLast(text, kitchen)) break;
    }
  return false;
}

/** Whether a part is a count of something that nobody knows, in the midst of a list: "2 quinces". */
export function countedIn(all: readonly Classified[], i: number): boolean {
  const { text } = all[i] as Classified;
  const [first] = scanAmounts(plainChars(text));
  return (
    all[i - 1]?.kind === 'ingredient' &&
    first?.from === 0 &&
    /^[\s.]*\p{L}{2}/u.test(text.slice(first.to)) &&
    text.split(' ').length <= 8 &&
    !/[.!?:]$/.test(text) &&
    !verbs.test(text) &&
    !notListed.test(text) &&
    !bakeNoun.test(text) &&
    !/\b(?:min|mins|minutes|hrs?|hours?|days?|servings?|portions?|pieces|serves|people|calories|kcal|degrees|cm|inch(?:es)?|mm|tins?|pans?|°)\b/i.test(text) // prettier-ignore
  );
}
