import { ingredientOf } from '../ingredient/catalogue.js';
import type { EggSize, Entered, Form, Ingredient, Item, Kitchen, Source } from '../formula/types.js';
import { gramsOf, volumeTolerance } from '../quantity/amount.js';
import { middle, type Found } from '../quantity/scan.js';
import { sizeOf, unitOf } from '../quantity/units.js';
import { anatomyOf, plainChars, type Segment, type Stated } from './anatomy.js';
import type { Doubt, Mark, Place } from './draft.js';
import * as doubt from './line-doubts.js';
import { exactName, isOdd, matchIngredient, misspelt, type Match } from './match.js';
import { plainText } from '../text/plain.js';
import { onTheTin, soldIn } from './words.js';

export interface ReadLine {
  /** Usually one; "zest and juice of a lemon" or "½ tsp each soda and salt" gives more. Never empty. */
  readonly items: readonly Item[];
  readonly doubts: readonly Doubt[];
  readonly marks: readonly Mark[];
}

const eggSizes: readonly (readonly [RegExp, string])[] = [
  [/\bextra[- ]large\b|\bxl\b/i, 'xl'],
  [/\bjumbo\b/i, 'jumbo'],
  [/\b(?:large|lge|lg)\b/i, 'l'],
  [/\bmedium\b/i, 'm'],
  [/\bsmall\b/i, 's'],
];

/** The egg size a line names, in the region of the source's own eggs. */
function sourceFor(line: string, ingredient: Ingredient, source: Source): Source {
  if (ingredient.role !== 'egg') return source;
  const said = eggSizes.find(([re]) => re.test(line))?.[1];
  if (!said) return source;
  const region = source.eggSize.slice(0, 2);
  const size = (region === 'eu' && said === 'jumbo' ? 'eu-xl' : `${region}-${said}`) as EggSize;
  return { ...source, eggSize: size };
}

const formWords: readonly (readonly [RegExp, Form])[] = [
  [/\b(?:un|not |loosely )packed\b|\bloose(?:ly)?\b/i, 'loose'],
  [/\b(?:firmly |lightly |tightly )?packed\b/i, 'packed'],
  [/\bmashed\b|\bpur[ée]+ed?\b|\bcrushed\b/i, 'mashed'],
  [/\bmelted\b/i, 'melted'],
  [/\bwhipped\b/i, 'whipped'],
  [/\bslivered\b/i, 'slivered'],
  [/\bsliced\b|\bflaked\b/i, 'sliced'],
  [/\bgrated\b|\bshredded\b/i, 'grated'],
  [/\bpowder(?:ed)?\b/i, 'powdered'],
  [/\bground\b/i, 'ground'],
  [/\bchopped\b|\bdiced\b|\bcubed\b|\bchunks?\b|\bpieces\b/i, 'chopped'],
  [/\bwhole\b|\bhalves\b/i, 'whole'],
];

/** The state that the line measures in. "1 cup sifted flour" is sifted before it is measured, "1 cup flour, sifted" not. */
function formOf(segment: Segment, ingredient: Ingredient): Form | null {
  const before = `${segment.name} ${segment.brackets.join(' ')}`;
  const all = `${before} ${segment.tail}`;
  if (/\b(?:sifted|sieved) before\b|\bsifted,? then measured\b/i.test(all)) return 'sifted';
  if (/^\s*(?:sifted|sieved)\b/i.test(segment.name)) return 'sifted';
  for (const [re, form] of formWords)
    if (re.test(all) && ingredient.gPerMlAs?.[form] !== undefined)
      // melting and whipping after the measuring do not change what was measured
      if (!['melted', 'whipped'].includes(form) || re.test(before)) return form;
  return null;
}

/** Measures that are a matter of the hand or the cupboard, and so always asked about. */
const byHand = new Set(['spoonful', 'handful', 'knob', 'splash', 'teacup', 'katori']);

interface Weighed {
  readonly grams: number;
  readonly entered: Entered;
  readonly stated: Stated;
}

const dimensionOf = (f: Found): string => (f.unit === null ? 'count' : unitOf(f.unit).dimension);

/** What one statement of an amount weighs as this ingredient; null when it cannot say. */
function weighed(stated: Stated, ingredient: Ingredient, source: Source, form: Form | null): Weighed | null {
  if (stated.container && stated.parts[0]?.unit === null) return null;
  let grams = 0;
  for (const p of stated.parts) {
    const g = gramsOf({ value: p.value, unit: p.unit ?? 'piece' }, ingredient, source, form);
    if (g === null) return null;
    grams += g;
  }
  return { grams: grams * stated.times, entered: enteredOf(stated, source), stated };
}

/** The amount as entered: sums in the first part's unit, counts of containers as their sum. */
function enteredOf({ parts, times }: Stated, source: Source): Entered {
  const first = parts[0] as Found;
  const unit = first.unit ?? 'piece';
  if (parts.length === 1 && times === 1) return { value: first.value, unit };
  if (parts.length === 1) return { value: round4(middle(first.value) * times), unit };
  const size = (f: Found): number => middle(f.value) * sizeOf(unitOf(f.unit ?? 'piece'), source);
  const same = parts.every((p) => dimensionOf(p) === dimensionOf(first));
  if (!same) return { value: 0, unit: 'g' };
  return { value: round4((times * parts.reduce((t, p) => t + size(p), 0)) / sizeOf(unitOf(unit), source)), unit };
}

const round4 = (x: number): number => Math.round(x * 1e4) / 1e4;
const round2 = (x: number): number => Math.round(x * 100) / 100;
/** Which of several statements is the surest: weight, millilitres, cups and spoons, sticks, counts. */
const weightFirst = (w: Weighed): number => {
  const f = w.stated.parts[0] as Found;
  if (f.unit === 'stick') return 3;
  const dimension = dimensionOf(f);
  // millilitres are the same in every kitchen, cups and spoons are not
  return dimension === 'mass' ? 0 : dimension !== 'volume' ? 4 : f.unit && /^(?:ml|l|dl|cl)$/.test(f.unit) ? 1 : 2;
};

const citrus = /\b(lemon|lime|orange|grapefruit|clementine|mandarin|tangerine|satsuma)s?\b/i;
const juiceOf: Readonly<Record<string, string>> = {
  lemon: 'lemon-juice',
  lime: 'lime-juice',
  grapefruit: 'grapefruit-juice',
};

/** Juice and zest are two ingredients of one fruit, whatever the order of the words. */
function ofCitrus(text: string): Match[] | null {
  const fruit = citrus.exec(text)?.[1]?.toLowerCase();
  if (!fruit) return null;
  const zest = /\b(?:zest|rind|peel)(?:ed)?\b/i.test(text) && !/candied|mixed peel|\bpeeled\b/i.test(text);
  const juice = /\b(?:juice|juiced|squeezed)\b/i.test(text);
  if (!zest && !juice) return null;
  const odd = plainText(text)
    .split(' ')
    .filter(
      (w) =>
        isOdd(w) &&
        !/^(?:zest(?:ed)?|rind|peel|juic(?:e|ed)|squeezed|blood|navel|lemons?|limes?|oranges?|grapefruits?|clementines?|mandarins?|tangerines?|satsumas?)$/.test(
          w,
        ),
    );
  const as = (id: string): Match => ({ id, words: fruit, odd });
  return [...(juice ? [as(juiceOf[fruit] ?? 'orange-juice')] : []), ...(zest ? [as('citrus-zest')] : [])];
}

/** Of these a recipe gives weights or measures, and no numbers. */
const NEVER_COUNTED: ReadonlySet<string> = new Set([
  'leavener',
  'salt',
  'flour',
  'sugar',
  'fat',
  'liquid',
  'cocoa',
  'flavour',
]);

interface Named {
  readonly matches: readonly Match[];
  /** Another ingredient that the line allows instead. */
  readonly other: Match | null;
  readonly slip: boolean;
}

/** Names the ingredient of a phrase: inverted names first ("flour, plain"), then as it stands, then by its brackets. */
function nameIn(segment: Segment, kitchen?: Kitchen): Named {
  const { name, tail, brackets } = segment;
  const first = tail.split(/[,;]/)[0] ?? '';
  const words = name
    .replace(/\beach\b(?:\s+of)?/i, ' ')
    .replace(/^\s*of\s+/i, '')
    .trim();
  const exact =
    exactName(`${words}, ${tail}`, kitchen) ??
    exactName(`${first} ${words}`, kitchen) ??
    exactName(`${words} ${first}`, kitchen);
  if (exact && first !== '') return { matches: [exact], other: null, slip: false };
  const peel = ofCitrus(
    `${words} ${citrus.test(words) && /\b(?:juice|zest|rind)/i.test(`${tail} ${brackets.join(' ')}`) && !/juice|zest|rind/i.test(words) ? `${tail} ${brackets.join(' ')}` : ''}`,
  );
  if (peel && !/\b(?:extract|curd|oil|essence|yogh?urt|marmalade|sugar|cordial|blossom)\b/i.test(words))
    return { matches: peel, other: null, slip: false };
  const ways = words.split(/\s+or\s+|\s*\/\s*/i).map((w) => w.replace(/^(?:either|some)\s+/i, '').trim());
  const head = ways.length > 1 ? shared(ways, kitchen) : null;
  const main = head ?? matchIngredient(ways[0] ?? words, kitchen);
  const other =
    ways.length > 1 ? otherThan(main, ways, kitchen) : otherIn(main, `${tail} ${segment.brackets.join(' ')}`, kitchen);
  for (const b of brackets) {
    const finer =
      exactName(`${b.split(/[,;]/)[0] ?? ''} ${words}`, kitchen) ?? (main ? null : matchIngredient(b, kitchen));
    if (finer) return { matches: [finer], other: null, slip: false };
  }
  if (main && main.odd.length === 0) return { matches: [main], other, slip: false };
  // the comma may part a list of adjectives: "large, ripe bananas"
  const long = matchIngredient(`${words} ${tail}`, kitchen);
  if (!main && long && long.odd.length === 0) return { matches: [long], other: null, slip: false };
  const slip = misspelt(words);
  if (slip && (!main || slip.words.split(' ').length > main.words.split(' ').length))
    return { matches: [slip], other: null, slip: true };
  // "vetemjöl / plain flour": of two names the one that is known
  if (!main && other) return { matches: [other], other: null, slip: false };
  const likely = main ?? long;
  return { matches: likely && !likely.behind ? [likely] : [], other, slip: false };
}

/** "vegetable or sunflower oil": the head noun of the last way belongs to the first as well. */
function shared(ways: readonly string[], kitchen?: Kitchen): Match | null {
  const last = ways.at(-1)?.split(/\s+/) ?? [];
  for (let n = Math.min(3, last.length - 1); n > 0; n--) {
    const m =
      exactName(`${ways[0] ?? ''} ${last.slice(-n).join(' ')}`, kitchen) ??
      exactName(`${(ways[0] ?? '').split(/\s+/).at(-1) ?? ''} ${last.slice(-n).join(' ')}`, kitchen);
    if (m) return m;
  }
  return null;
}

function otherThan(main: Match | null, ways: readonly string[], kitchen?: Kitchen): Match | null {
  for (const w of ways.slice(1)) {
    const m = matchIngredient(w, kitchen);
    if (m && m.id !== main?.id && m.odd.length === 0) return m;
  }
  return null;
}

const otherIn = (main: Match | null, text: string, kitchen?: Kitchen): Match | null => {
  const said = /\bor\s+(?:use\s+|the same (?:of|weight of)\s+)?([\p{L}' -]{3,40})/iu.exec(text)?.[1];
  const m = said ? matchIngredient(said, kitchen) : null;
  return m && main && m.id !== main.id && m.odd.length === 0 ? m : null;
};

/** "1 batch streusel topping", "half the lemon icing": a thing with a recipe of its own, not half a cup of syrup. */
const subRecipe =
  /\b(?:(?:batch|quantity|recipe|portion)\b.*|half the )\b(?:\w+ )?(?:topping|streusel|crumble|pastry|icing|frosting|buttercream|filling|glaze|custard|syrup|ganache|dough|batter)\b/i;

/** "salt and pepper", "½ tsp each soda and salt": several names for one amount. */
function severally(segment: Segment, kitchen?: Kitchen): readonly Match[] | null {
  const all = `${segment.name} ${segment.tail}`.trim();
  const each = /\beach\b/i.test(all) || segment.brackets.some((b) => /\beach\b/i.test(b));
  if (!each && !(segment.stated.length === 0 && /\band\b|&/.test(segment.name))) return null;
  const list = (each ? `${segment.name}, ${segment.tail}` : segment.name)
    .replace(/\beach\b(?:\s*(?:of|:))?/gi, ' ')
    .split(/,|\band\b|&|\+/i)
    .map((s) => s.trim())
    .filter((s) => s !== '');
  const found = list.map((s) => matchIngredient(s, kitchen)).filter((m): m is Match => m !== null);
  return found.length > 1 && new Set(found.map((m) => m.id)).size > 1 && found.length >= list.length - 1 ? found : null;
}

/**
 * Reads one ingredient line. Grams come from a weight when there is one, else from the volume or count by the source's
 * measures. When weight and volume disagree by more than honest filling explains, or the name or amount is unclear,
 * a doubt says so; nothing is guessed silently.
 *
 * @param meant what plain words mean where the recipe is from: "cake flour" in South Africa
 * @param at where the text begins in its line, so that places point into the line as it was pasted
 */
export function readLine(
  text: string,
  lineNo: number,
  id: string,
  source: Source,
  kitchen?: Kitchen,
  at = 0,
  meant: RegionWords = [],
): ReadLine {
  const named = (s: string): boolean => matchIngredient(s, kitchen) !== null;
  const made = madeUp(text);
  if (made) return bothOf(made, lineNo, id, source, kitchen, at, meant);
  const { segments, aside } = anatomyOf(text, named);
  const items: Item[] = [];
  const doubts: Doubt[] = [];
  const marks: Mark[] = [];
  const place = (from: number, to: number): Place => ({ line: lineNo, from: at + from, to: at + to });
  const first = segments[0];
  for (const [n, raw] of segments.entries()) {
    // "juice of a lemon and 2 limes": what is done to the first is done to the second
    const inherits =
      n > 0 &&
      first &&
      /^\s*(?:juice|zest)\s+(?:of\b|\d|½|an?\b)/i.test(plainChars(text)) &&
      !/juice|zest/i.test(raw.name);
    const segment: Segment = inherits
      ? { ...raw, name: `${/^\s*juice/i.test(text) ? 'juice' : 'zest'} of ${raw.name}` }
      : raw;
    const made = subRecipe.test(text);
    const several = severally(segment, kitchen);
    const { matches, other, slip } = made
      ? { matches: [], other: null, slip: false }
      : several
        ? { matches: several, other: null, slip: false }
        : inRegion(nameIn(flourOf(yolks(segment, segments[n - 1]), items, kitchen), kitchen), meant);
    const list: readonly (Match | null)[] = matches.length > 0 ? matches : [null];
    for (const match of list) {
      const itemId = items.length === 0 ? id : `${id}-${items.length + 1}`;
      // in a line that is a whole list each thing has words of its own
      const [begin, end] = segments.length > 2 ? ownStretch(text, segment) : [0, text.trimEnd().length];
      const own = text.slice(begin, end);
      const context: doubt.LineContext = {
        itemId,
        place: place(begin, end),
        namePlace: place(segment.nameSpan.from, segment.nameSpan.to),
        text: own.trim(),
      };
      const read = readItem(segment, match, context, {
        source,
        aside: segments.length > 2 && n < segments.length - 1 ? '' : aside,
        text: own,
        weighed0: n > 0 && segments.slice(0, n).some((x) => x.stated[0]?.parts[0]?.unit === 'g'),
        ...(kitchen && { kitchen }),
      });
      items.push(read.item);
      doubts.push(...(made ? [doubt.subRecipe(read.item, context)] : read.doubts));
      if (match && slip) doubts.push(doubt.misspelling(segment.name.trim(), match, read.item, context, kitchen));
      else if (match && match.odd.length > 0)
        doubts.push(doubt.oddName(segment.name.trim(), match, read.item, context, kitchen));
      if (match && other) doubts.push(doubt.alternative(match, other, read.item, context, segment, source, kitchen));
      for (const s of segment.stated) marks.push({ ...place(s.from, s.to), what: 'amount', itemId });
      if (segment.nameSpan.to > segment.nameSpan.from)
        marks.push({ ...place(segment.nameSpan.from, segment.nameSpan.to), what: 'ingredient', itemId });
    }
  }
  return { items, doubts, marks };
}

/** Where a thing's own words begin and end in a line of several. */
function ownStretch(text: string, { from, to }: Segment): [from: number, to: number] {
  const raw = text.slice(from, to);
  const lead = /^[\s,;/|+&]*(?:and\s+|plus\s+)?/i.exec(raw)?.[0].length ?? 0;
  return [from + lead, from + Math.max(lead, raw.replace(/[\s,;/|+&]+$/, '').length)];
}

/** "1 egg made up to 225 ml with milk": the second thing is what is left of the measure. */
function madeUp(
  text: string,
): { readonly first: string; readonly upTo: string; readonly second: string; readonly at: number } | null {
  const m =
    /^(.*?)[,;]?\s*(?:(?:lightly )?beaten,?\s+(?:and\s+)?)?(?:and\s+)?(?:made|brought|topped|make|bring|fill(?:ed)?)\s+up\s+to\s+(.*?(?:ml|fl\.? ?oz|cups?|pint|dl|l))\s+with\s+(.+)$/i.exec(
      text,
    );
  // "2 eggs, beaten, with enough milk to make 1/2 pint"
  const n =
    /^(.*?)[,;]?\s*(?:(?:lightly )?beaten,?\s+)?(?:and|plus|with)\s+(?:enough\s+|sufficient\s+)?(\p{L}+(?: \p{L}+)?)\s+to (?:make|bring (?:it|them) (?:up )?to|come to|give)\s+(?:up\s+)?(?:to\s+)?(.*?(?:ml|fl\.? ?oz|cups?|pint|dl|l))\s*$/iu.exec(
      text,
    );
  if (!m && n?.[1] && n[2] && n[3])
    return { first: n[1], upTo: n[3], second: n[2], at: text.indexOf(n[2], n[1].length) };
  return m?.[1] && m[2] && m[3]
    ? { first: m[1], upTo: m[2], second: m[3], at: m.index + m[0].length - m[3].length }
    : null;
}

function bothOf(
  made: NonNullable<ReturnType<typeof madeUp>>,
  lineNo: number,
  id: string,
  source: Source,
  kitchen: Kitchen | undefined,
  at: number,
  meant: RegionWords,
): ReadLine {
  const first = readLine(made.first, lineNo, id, source, kitchen, at, meant);
  const second = readLine(
    `${made.upTo} ${made.second}`,
    lineNo,
    `${id}-${first.items.length + 1}`,
    source,
    kitchen,
    at,
    meant,
  );
  const before = first.items.reduce((s, i) => s + i.grams, 0);
  const items = second.items.map((i, n) => {
    const grams = round2(Math.max(0, i.grams - (n === 0 ? before : 0)));
    return { ...i, grams, entered: { value: grams, unit: 'g' } };
  });
  // the places of the second are those of its words, not of the measure in front of them
  const marks = second.marks.map((x) => ({ ...x, from: at + made.at, to: at + made.at + made.second.length }));
  return {
    items: [...first.items, ...items],
    doubts: [...first.doubts, ...second.doubts.map((d) => ({ ...d, place: null }))],
    marks: [...first.marks, ...marks],
  };
}

/** What plain words name in a region, and the ingredient that is meant there. */
export type RegionWords = readonly (readonly [said: RegExp, id: string])[];

const inRegion = (named: Named, meant: RegionWords): Named => ({
  ...named,
  matches: named.matches.map((m) => {
    const id = meant.find(([said]) => said.test(m.words))?.[1];
    return id ? { ...m, id } : m;
  }),
});

/** "2 eggs plus 1 yolk", "1 egg and 2 whites": the second name leans on the first. */
const yolks = (segment: Segment, before: Segment | undefined): Segment =>
  before && /\begg/i.test(before.name) && /^\s*(?:yolks?|whites?)\b/i.test(segment.name)
    ? { ...segment, name: `egg ${segment.name}` }
    : segment;

/** "150 g rye flour, 150 g plain": behind a flour its kind alone is a flour too. */
const flourOf = (segment: Segment, before: readonly Item[], kitchen?: Kitchen): Segment =>
  /^\s*(?:white|brown|plain|strong|wholemeal|whole|light|dark|rye|spelt|self[- ]raising|SR)\s*$/i.test(segment.name) &&
  before.some((i) => ingredientOf(i.ingredient, undefined, kitchen).base === 'flour')
    ? { ...segment, name: `${segment.name.trim()} flour` }
    : segment;

interface Around {
  readonly source: Source;
  readonly kitchen?: Kitchen;
  readonly aside: string;
  readonly text: string;
  /** True when an earlier thing of the line was given in grams. */
  readonly weighed0: boolean;
}

function readItem(
  segment: Segment,
  match: Match | null,
  context: doubt.LineContext,
  { source, kitchen, aside, text, weighed0 }: Around,
): { readonly item: Item; readonly doubts: readonly Doubt[] } {
  const { itemId } = context;
  const ingredient = ingredientOf(match?.id ?? 'unknown', undefined, kitchen);
  // the size said of these eggs, before any said in a remark
  const measures = sourceFor(eggSizes.some(([re]) => re.test(segment.name)) ? segment.name : text, ingredient, source);
  const form = formOf(segment, ingredient);
  const doubts: Doubt[] = [];
  const inShell = ingredient.id === 'egg' ? segment.stated.map(shelled) : segment.stated;
  const all = inShell.map((s) => weighed(s, ingredient, measures, form)).filter((w): w is Weighed => w !== null);
  // "a handful of sultanas (about 3 oz)": a weight beside a measure of the hand tells what it holds
  const inHand = (w: Weighed): boolean => w.stated.parts.every((x) => byHand.has(x.unit ?? ''));
  const ways = all.some((w) => weightFirst(w) === 0 && !inHand(w)) ? all.filter((w) => !inHand(w)) : all;
  const chosen = [...ways].sort((a, b) => weightFirst(a) - weightFirst(b))[0] ?? null;
  let grams = chosen?.grams ?? 0;
  // weighed by the surest statement, entered as the baker said it first
  let entered = ways[0]?.entered ?? null;
  if (entered && entered.value === 0) entered = { value: round2(grams), unit: 'g' };

  const byWeight = ways.find((w) => weightFirst(w) === 0);
  const byVolume = ways.find((w) => [1, 2, 3].includes(weightFirst(w)) && w.grams > 0);
  if (match && byWeight && byVolume) {
    const [lo, hi] = volumeTolerance(ingredient);
    const ratio = byWeight.grams / byVolume.grams;
    // a spoon is heaped or scant by more than a cup is
    const spoon = byVolume.stated.parts.every((x) => x.unit === 'tbsp' || x.unit === 'tsp');
    const slack = spoon ? 1.25 : 1;
    if (ratio < lo / slack || ratio > hi * slack) {
      doubts.push(doubt.disagree(byWeight, byVolume, ingredient, context));
      grams = byVolume.grams;
      entered = byVolume.entered;
    }
  }
  const weights = ways.filter((w) => weightFirst(w) === 0);
  const [w1, w2] = weights;
  if (w1 && w2 && Math.abs(Math.log(w1.grams / w2.grams)) > 0.18)
    doubts.push(doubt.twoWeights(w1, w2, ingredient, context));

  const unclear = segment.stated.find((s) => s.perEach === 'unclear');
  if (match && unclear && chosen?.stated === unclear) doubts.push(doubt.eachOrAll(chosen, ingredient, context));
  const boxed = segment.stated.find((s) => s.container && s.parts[0]?.unit === null);
  if (match && !chosen && boxed) {
    const sizes = soldIn.find(
      (s) => s.what.test(ingredient.id) && s.in.test(boxed.container ?? '') && (s.said?.test(text) ?? true),
    )?.g ?? [100];
    const count = middle(boxed.parts[0]?.value ?? 1);
    grams = count * (sizes[0] ?? 100);
    entered = { value: round2(grams), unit: 'g' };
    doubts.push(doubt.container(boxed.container ?? 'pack', count, sizes, ingredient, context));
  }
  const outside = onTheTin.test(text) && segment.stated.length === 0;
  const bare = segment.stated[0]?.parts[0];
  const likeFirst = weighed0 && bare?.unit === null;
  // "walnuts 60" are grams; "60 walnuts" are counted
  const behind = bare !== undefined && ingredient.role !== 'egg' && bare.from >= segment.nameSpan.to;
  // "baking powder 6": a figure behind a name that is never counted is grams, however small
  const weighedOnly = behind && ingredient.pieceG === undefined && NEVER_COUNTED.has(ingredient.role);
  if (match && (!chosen || behind) && bare?.unit === null && !boxed && (middle(bare.value) >= 20 || weighedOnly)) {
    grams = middle(bare.value);
    entered = { value: bare.value, unit: 'g' };
    // "200 g butter, 200 of sugar": what is not said again is as before
    if (!likeFirst) doubts.push(doubt.noUnit(grams, ingredient, context, measures));
  }
  const dotted = /(?<![\d.,])\d{1,3}\.\d{3}(?=\s*(?:g|ml)\b)/.exec(text)?.[0];
  if (match && dotted && chosen && grams > 0) doubts.push(doubt.thousands(dotted, grams, ingredient, context));
  if (!match) {
    const plainWeight = byWeight?.grams ?? 0;
    if (grams === 0) grams = plainWeight;
    doubts.push(doubt.unknown(segment, grams, context, measures, kitchen));
  } else if (!(grams > 0) && !outside) {
    doubts.push(doubt.noAmount(segment.stated[0], ingredient, context, measures));
  } else if (!(grams < 50_000)) {
    doubts.push(doubt.tooMuch(grams, ingredient, context));
  }
  const found = chosen?.stated.parts[0];
  if (match && grams > 0 && found?.filled && /heap|round|brim/.test(found.filled))
    doubts.push(doubt.heaped(grams, found.filled, ingredient, context));
  else if (match && grams > 0 && /\bheap(?:ed|ing)\b|\brounded\b/i.test(text) && !byWeight)
    doubts.push(doubt.heaped(grams, 'heaped', ingredient, context));
  if (match && found && byHand.has(found.unit ?? ''))
    doubts.push(doubt.byHand(grams, found.unit ?? 'piece', ingredient, context));
  const optional = /\boptional(?:ly)?\b|\(opt\.?\)|\bif (?:you )?(?:like|liked|want|wish|desired|using)\b/i.test(text);
  const note = [segment.tail, ...segment.brackets.filter((b) => !/^[\d\s./,½¼¾⅓⅔-]*\p{L}{0,12}\.?$/u.test(b)), aside]
    .filter((s) => s !== '')
    .join('; ');
  const whole = wholePieces(text, ingredient);
  return {
    item: {
      id: itemId,
      ingredient: match ? ingredient.id : 'unknown',
      words: text.trim(),
      entered,
      grams: Number.isFinite(grams) ? Math.max(0, round2(grams)) : 0,
      ...(optional && { optional }),
      ...(whole !== (ingredient.pieces ?? false) && { pieces: whole }),
      ...(note !== '' && { note: note.slice(0, 160) }),
      ...(form && { form }),
    },
    doubts,
  };
}

/** "2 x 59g eggs" weighs them in the shell: a count, not a weight. */
function shelled(s: Stated): Stated {
  const p = s.parts[0];
  const g = p && p.unit === 'g' ? middle(p.value) : 0;
  if (!p || s.times === 1 || g < 40 || g > 80) return s;
  return { ...s, parts: [{ value: s.times, unit: null, from: s.from, to: s.to }], times: 1 };
}

function wholePieces(line: string, ingredient: Ingredient): boolean {
  if (/mashed|pur[ée]+/i.test(line) && ingredient.role === 'fruit') return false;
  if (/melted/i.test(line) && /chocolate/.test(ingredient.id)) return false;
  return ingredient.pieces ?? false;
}
