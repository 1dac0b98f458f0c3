import type { Kitchen } from '../formula/types.js';
import { scanAmounts, type Found } from '../quantity/scan.js';
import { unitOf } from '../quantity/units.js';
import { durations } from '../text/durations.js';
import { heatsIn } from '../text/heats.js';
import { sizesIn } from '../text/lengths.js';
import { matchIngredient, type Match } from './match.js';

/** Finding amounts in sentences, and the food that an amount is of. */

const fillers =
  /\b(?:um+|uh+|er+m?|ah+|hmm+|well|okay|ok|right|so|like|you know|I mean|let me (?:see|think|look)(?: at the card)?|sort of|kind of|basically|actually|just|about|around|roughly|approximately|maybe|say|call it|probably|exactly|good|nice|heaped|level|scant)\b(?=[\s,.…])/gi;
const negated = /\b(?:not|instead of|rather than|never|without)\s+(?:an?\s+|the\s+)?(?:full\s+|whole\s+)?$/i;
/** Without the words that fill a pause; places stay. */
export const plainer = (text: string): string =>
  text
    .replace(/\.{2,}|…/g, (m) => ','.padEnd(m.length))
    .replace(/[’‘]/g, "'")
    .replace(/\bS\.\s?R\.(?=\s)/gi, (m) => 'SR'.padEnd(m.length))
    .replace(fillers, (m) => ' '.repeat(m.length))
    .replace(
      /\b(?:carb|bicarb|conf|cinn|sug|choc|marg|van|nutm|allsp|ging|butt|fl|gran|evap|cond|ingred|br|pwd|pdr|tsp|tbsp|tbs|c|T|t|oz|lb)\./g,
      (m) => `${m.slice(0, -1)} `,
    )
    .replace(/[\u00a0\t]/g, ' ');

/** A vessel behind an amount, with nothing in it. */
const holds =
  /^[\s-]*(?:\p{L}+\s+){0,2}(?:cans?|mugs?|basins?|bowls?|ramekins?|moulds?|molds?|jars?|jugs?|dish(?:es)?)(?=\s*(?:[,.;:)]|$|(?:or|and|with|in|on|to|for|until|till)\b))/iu;

/** Amounts of a sentence that may be of an ingredient: no heat, no time, no size, no number of the trade. */
export function amountsIn(text: string): Found[] {
  const taken = [...heatsIn(text, () => false).filter((h) => h.marked), ...durations(text), ...sizesIn(text)];
  return scanAmounts(text).filter((a) => {
    if (taken.some((t) => t.from < a.to && a.from < t.to)) return false;
    const after = text.slice(a.to, a.to + 26);
    // "a 900 g loaf tin"
    if (
      /^(?:g|kg|lb|oz)$/.test(a.unit ?? '') &&
      /^[\s-]*(?:(?:loaf|bread|cake|deep|lined|greased|bun)\s+)*(?:tins?|pans?)\b(?!\s+of)/i.test(after)
    )
      return false;
    // "a 1-pound coffee can or a tall tin", "a 1.2 litre pudding basin": how much it holds
    if (
      a.unit !== null &&
      /\b(?:an?|the|your|one|two)\s+$/i.test(text.slice(0, a.from)) &&
      holds.test(text.slice(a.to, a.to + 40))
    )
      return false;
    if (
      a.unit === null &&
      /^[\s-]*(?:%|°|º|at a time|by (?:one|two)|after (?:the )?(?:other|another)|x\b|times?\b|ways?\b|people\b|of (?:us|them|you)\b|days?|weeks?|months?|hours?|minutes?|mins?\b|seconds?|turns?\b|strokes|stages|goes\b|lots\b|parts?\b|layers?|bowls?\b|tins?\b|pans?\b|trays?\b|pieces|slices|squares|wedges|rounds|muffins|scones|cases|portions|inch|fingers?\b|folds?\b|hole|wells\b|batches|halves|pounds? tin|lb\b)/i.test(
        after,
      )
    )
      return false;
    // "do you use a spoon for the milk?", "twelve strokes with a spoon"
    if (/\bspoons?$/i.test(text.slice(a.from, a.to)) && !/^\s*of\b/i.test(after)) return false;
    // "this is for the pear one"
    if (
      a.unit === null &&
      /^ones?$/i.test(text.slice(a.from, a.to)) &&
      /\b(?:the|this|that|my|your)\s+(?:[\p{L}-]+\s+){0,2}$/iu.test(text.slice(Math.max(0, a.from - 40), a.from))
    )
      return false;
    if (
      /(?:\bstep|\bgas(?: mark)?|\bmark|\bno\.?|\bnumber|\bpage|\bsize|\bserves|\bmakes|\b(?:one|two) by)\s*$/i.test(
        text.slice(Math.max(0, a.from - 24), a.from),
      )
    )
      return false;
    // "drop, sprinkle" is work
    if (/^drops?$/i.test(text.slice(a.from, a.to)) && /^\s*(?:[,.;]|$|on\b|by\b|into\b)/i.test(after)) return false;
    return !negated.test(text.slice(Math.max(0, a.from - 40), a.from));
  });
}

/** Where a phrase that names a thing ends. */
const phraseEnd =
  /[.;:!?()+]|\s[-–—]\s|,|\b(?:and|with|into|in|until|till?|sorry|wait|hang on|hold on|make (?:that|it)|no(?! (?:salt|sugar))|to|for|from|plus|then|on|over|but|which|that's|that|it|they|goes?|go|you|I|we|beaten|creamed|rubbed|stirred|mixed|melted|together|or so|if|so|as|at|through|alternat\w+|by|the)\b/i;
const leadIn =
  /^\s*(?:,?\s*(?:there,?\s+|now,?\s+)*(?=that'?s\s))?(?:of\s+|each\s+of\s+|each\s+|worth\s+of\s+|more\s+(?:of\s+)?|extra\s+|the\s+|some\s+|my\s+|your\s+|good\s+|that'?s\s+|it'?s\s+|full of\s+|do\s+|de\s+)*/i;

export interface Phrase {
  readonly match: Match;
  readonly from: number;
  readonly to: number;
}

/** The food named right behind a place. */
export function foodBehind(text: string, from: number, limit: number, unit: boolean, kitchen: Kitchen): Phrase | null {
  const lead = leadIn.exec(text.slice(from, limit))?.[0].length ?? 0;
  const begin = from + lead;
  let end = limit;
  // "melted butter", "mixed spice": what ends a phrase elsewhere begins a name here
  const skip = /^(?:beaten|creamed|stirred|mixed|melted)\s+/i.exec(text.slice(begin, limit))?.[0].length ?? 0;
  const found = phraseEnd.exec(text.slice(begin + skip, limit));
  const stop = found && Object.assign(found, { index: found.index + skip });
  if (stop) end = begin + stop.index;
  const words = text.slice(begin, end);
  let match = words.trim() === '' ? null : matchIngredient(words, kitchen);
  // "large, ripe bananas": a comma between adjectives
  if (!match && stop?.[0] === ',' && (words.trim() !== '' || unit) && words.trim().split(/\s+/).length <= 3) {
    const next = phraseEnd.exec(text.slice(end + 1, limit));
    const to = next ? end + 1 + next.index : limit;
    match = matchIngredient(text.slice(begin, to), kitchen);
    if (match) end = to;
  }
  if (!match || match.odd.length > 2 || (match.behind && match.odd.length > 1)) return null;
  return { match, from: begin, to: end };
}

/** The food that was named just before a place, with nothing but small words between. */
export function foodBefore(text: string, from: number, to: number, kitchen: Kitchen): Phrase | null {
  const said = text.slice(from, to);
  const bare = said.replace(
    /(?:[\s,:;.–—-]|\b(?:it'?s|that'?s|is|was|would be|it would be|they'?re|there'?s|of|the|a|in it|I use|we use|use|you want|take|make it|made it|sometimes|never measured it but|I never measured it|but|be|an|and|comes to|I put in|which is)\b)*$/i,
    '',
  );
  if (bare.trim() === '') return null;
  const clause = Math.max(
    bare.lastIndexOf('. '),
    bare.lastIndexOf(', '),
    bare.lastIndexOf('; '),
    bare.lastIndexOf(' and '),
    bare.lastIndexOf(': '),
    bare.lastIndexOf('? '),
  );
  const begin = clause < 0 ? 0 : clause + (bare.slice(clause).startsWith(' and ') ? 5 : 2);
  const words = bare.slice(begin);
  if (words.trim().split(/\s+/).length > 6) return null;
  const match = matchIngredient(words, kitchen);
  return match && !match.behind ? { match, from: from + begin, to: from + bare.length } : null;
}

/** The last thing named in a stretch that leads up to an amount: "the buttermilk, I'd say three hundred mils". */
export function lastNamed(text: string, from: number, to: number, kitchen: Kitchen): Phrase | null {
  if (to - from > 130) return null;
  let end = to;
  for (const clause of text
    .slice(from, to)
    .split(/[,;:]|\band\b|\bbut\b/)
    .reverse()) {
    const begin = text.lastIndexOf(clause, end);
    end = begin;
    const words = clause.trim().split(/\s+/);
    if (words.length === 0 || words.length > 6) continue;
    const match = matchIngredient(clause, kitchen);
    if (match && match.odd.length === 0) return { match, from: begin, to: begin + clause.length };
  }
  return null;
}

/** What an amount may be of without being a thing of the list. */
const ofWhole =
  /^\s*(?:each|more|extra|less|at a time|of|it|them|this|that|these|all|batter|dough|mix\w*|paste|filling|icing|frosting|glaze|syrup|topping|crumble|streusel|liquid|portions?|pieces?|balls?|rounds?|heaps?|dollops?|tins?|pans?|loa(?:f|ves)|cakes?|bread|deep|high|thick|wide|across|apart)\b/i;
/** Words that are no part of a name. */
const noName =
  /(?:^|\s)(?:once|when|if|they|they're|it's|that's|I|you|we|is|are|was|be|at|back|kind|size|sort|ones?|for|on|so|as|or|but|just|not|with|without|in|into|to|of|from|by|up|the|while|until|till|then|here|there|now|too|only|pot|jar|tub|bag|packet)(?:\s|$)/i;
/** A name behind an amount that the larder does not know: "50 g carob powder", where a list is told. */
export function strangeBehind(
  text: string,
  a: Found,
  limit: number,
): { readonly name: string; readonly to: number } | null {
  if (a.unit === null || /ful$/.test(a.unit) || !['mass', 'volume'].includes(unitOf(a.unit).dimension)) return null;
  const from = a.to + (leadIn.exec(text.slice(a.to, limit))?.[0].length ?? 0);
  const m = /^(?:[\p{L}'-]+\s+){0,3}?[\p{L}'-]{3,}(?=\s*(?:[,.;!?(]|$|\band\b))/iu.exec(text.slice(from, limit));
  if (!m || ofWhole.test(m[0]) || noName.test(m[0])) return null;
  return { name: m[0], to: from + m[0].length };
}
