/**
 * What a bake is cooked in, by the words of whoever wrote it down. All but the oven are told by what one does there: a waffle
 * iron or griddle is named; in a pan one turns things over; one fries in fat that has its own heat; one steams over water.
 */
export const cookings = ['oven', 'griddle', 'fat', 'steam', 'microwave'] as const;
export type Cooking = (typeof cookings)[number];

/** In words for the baker, behind "it is cooked". */
export const cookingWords: Readonly<Record<Cooking, string>> = {
  oven: 'in the oven',
  griddle: 'on a griddle, in a pan or an iron',
  fat: 'in hot fat',
  steam: 'in steam',
  microwave: 'in the microwave',
};

const KEPT_WARM =
  /\b(?:keep|kept|hold|stay)\b[^.;]*\bwarm\b|\b(?:low|warm|cool) oven\b|\boven\b[^.;]*\bto (?:keep|hold)\b/i;
const OVEN =
  /\bovens?\b(?![- ](?:gloves?|proof|safe|mitts?))|\bgas\s*(?:mark\s*)?\d|\b(?:re-?)?bak(?:e|ed|es|ing)\b(?!\s*(?:-?powder|-?soda|paper|parchment|trays?|sheets?|tins?|dish|pans?|stones?|spread|beans?|chocolate|spray|blind))|\b(?:au|le|du) four\b|\bofen\b|\b(?:al |il )?forno\b|\bhorno\b|\bugn/i;
/** "180C, 35-40 min": so long at a heat in degrees is baked, whatever was melted or fried before. */
const LONG_AT_HEAT =
  /\b\d{3}\s*(?:°|º|˚|[CF]\b)[^.;]*?\b[1-9]\d\s*(?:(?:-|–|to)\s*\d{2,3}\s*)?-?\s*min|\b[1-9]\d\s*(?:(?:-|–|to)\s*\d{2,3}\s*)?min\w*[^.;]{0,12}\b\d{3}\s*(?:°|º|˚|[CF]\b)/i;
const IRON = /\bwaffle[\s-]*(?:irons?|makers?|machines?|plates?)\b|\b(?:iron|waffler)\b(?=[^.;]*\bwaffles?\b)/i;
const GRIDDLE = /\b(?:griddles?|girdles?|bakestones?|planks? of iron|tawa|comal)\b/i;
const PAN =
  /\b(?:skillets?|(?:frying|non-?stick|heavy(?:-bottomed|-based)?|cr[eê]pe|large|small|wide|hot|greased|oiled)[\s-]+pans?|pans?)\b/i;
const HOB =
  /\b(?:over|on|to)\b[^.;]{0,24}\b(?:medium|moderate|gentle|low|high)\b|\b(?:medium|moderate)(?:[- ](?:low|high))?(?: heat)?\b|\bhob\b|\bstove\b/i;
const TURNED =
  /\b(?:flip(?:ped)?|turn(?:ed)?)\b(?! (?:out|off|on|the (?:tin|cake|oven|dough|mixture|batter|heat)|down|up|into|it out|them out|onto))|\b(?:each|other|second|both|per|a) sides?\b|\bbubbles?\b[^.;]*\b(?:form|appear|show|rise|break|burst|surface|top)|\bcook until bubbl/i;
const FRIED =
  /\bdeep[\s-]*fr(?:y|ied|yer|ying)\b|\bfry\b(?! (?:the )?(?:onions?|bacon|leeks?|garlic|apples?|chorizo|spices|mushrooms?|peppers?))|\bfor (?:deep[\s-])?frying\b|\b(?:oil|fat|lard|shortening) to fry\b/i;
const STEAMED =
  /\bsteam\s+(?:(?:it|them|the \w+|for|at|over|until|till|in|on|gently|about|covered|over)\b|\d)|\b(?:and|then|to) steam\b|\bsteam(?:er|ers)\b|\bsteamed? (?:pudding|bread|sponge|cakes?|buns?)\b|\bsteaming (?:rack|basket|tray)\b/i;
const MICROWAVED =
  /\bmicrowave\b(?=[^.;]*(?:\bhigh\b|\b\d+\s*w(?:atts?)?\b|\bfull power\b|\b\d+\s*(?:-\s*\d+\s*)?(?:s|secs?|seconds|mins?|minutes)\b))/i;

const TITLES: readonly (readonly [Cooking, RegExp])[] = [
  [
    'griddle',
    /\bpan\s?cakes?\b|\bhot\s?cakes?\b|\bpikelets?\b|\bwaffles?\b|\bgriddle\b|\bdrop(?:ped)? scones?\b|\bwelsh cakes?\b|\bdorayaki\b|\bblini\b|\bsinging hinn/i,
  ],
  [
    'fat',
    /\bdough\s?nuts?\b|\bdonuts?\b|\bfritters?\b|\bhush\s?pupp|\bfr(?:ied|y) (?:bakes?|bread|dumplings?|dough)\b|\bbeignets?\b|\bfunnel cakes?\b/i,
  ],
  ['steam', /\bsteamed\b|\bputo\b|\bclootie\b|\bdhokla\b|\broly[\s-]poly\b/i],
  ['microwave', /\bmug cakes?\b|\bmicrowave\b/i],
];
const IN_OVEN = /\b(?:oven|baked)\b/i;

/**
 * What a bake is cooked in.
 * @param method its steps, sentence after sentence
 * @returns what the steps say, or the title where there are none; null where neither tells
 */
export function cookedIn(title: string, method: string): Cooking | null {
  const said = method.split(/(?<=[.;!?])\s+|\n/).filter((s) => s.trim() !== '');
  if (said.length === 0)
    return IN_OVEN.test(title) ? 'oven' : (TITLES.find(([, words]) => words.test(title))?.[0] ?? null);
  if (said.some((s) => IRON.test(s))) return 'griddle';
  const oven = said.some((s) => (OVEN.test(s) && !KEPT_WARM.test(s)) || LONG_AT_HEAT.test(s));
  if (oven) return 'oven';
  if (said.some((s) => MICROWAVED.test(s)) && !said.some((s) => STEAMED.test(s))) return 'microwave';
  if (said.some((s) => STEAMED.test(s))) return 'steam';
  if (said.some((s) => GRIDDLE.test(s))) return 'griddle';
  if (said.some((s) => FRIED.test(s)) && !said.some((s) => /\bfr(?:y|ied) in (?:a little )?butter\b/i.test(s)))
    return 'fat';
  const [pan, turned] = [said.some((s) => PAN.test(s) && HOB.test(s)), said.some((s) => TURNED.test(s))];
  if (pan && turned) return 'griddle';
  // steps that tell of no heat leave it to the title
  return /\b\d{3}\s*(?:°|º|˚|[CF]\b)/.test(method)
    ? null
    : (TITLES.find(([c, words]) => c === 'microwave' && words.test(title))?.[0] ?? null);
}

interface Worked {
  readonly title: string;
  readonly method: readonly { readonly text: string }[];
}
/** Steps stay the same while amounts are pulled: what they say is remembered with them. */
const said = new WeakMap<Worked['method'], { readonly title: string; readonly cooking: Cooking | null }>();

/** What a formula is cooked in, by its title and its steps; null where neither tells, and then the oven is likeliest. */
export function cookingOf({ title, method }: Worked): Cooking | null {
  const had = said.get(method);
  if (had && had.title === title) return had.cooking;
  const cooking = cookedIn(title, method.map((s) => s.text).join('\n'));
  said.set(method, { title, cooking });
  return cooking;
}

/** Where something is cooked that is not baked. */
export type Away = Exclude<Cooking, 'oven'>;
/** The same where it is no oven; null for what is baked, or likeliest is. */
export function awayOf(f: Worked): Away | null {
  const cooking = cookingOf(f);
  return cooking === 'oven' ? null : cooking;
}
