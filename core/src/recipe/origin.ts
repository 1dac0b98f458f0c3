import { massIn } from '../quantity/figures.js';
import type { Formula, Kitchen, Source } from '../formula/types.js';
import { eggG } from '../quantity/amount.js';
import { tablespoonMl } from '../quantity/units.js';
import type { Place } from './draft.js';

/** Where a recipe was written, as far as its measures and words of the trade differ. */
export type RegionId = 'us' | 'ca' | 'uk' | 'ie' | 'au' | 'nz' | 'za' | 'in' | 'eu' | 'other';

interface Region {
  readonly id: RegionId;
  readonly name: string;
  /** Measures of its recipes; what is left out stays the kitchen's. */
  readonly source: Partial<Source>;
  /** Ingredients that its plain words mean: the words a line says, and the id. */
  readonly words: readonly (readonly [said: RegExp, id: string])[];
}

const cocoa = [/^(?:baking )?cocoa(?: powder)?$|^cacao$/i, 'cocoa-alkalised'] as const;

/**
 * Cups, spoons and eggs by country, and the words that name another thing there. Sizes are the countries' own
 * definitions; what plain cocoa, cream and cake flour mean is general knowledge, not looked up.
 */
export const regions: readonly Region[] = [
  {
    id: 'us',
    name: 'the United States',
    source: { cupMl: 240, spoonMl: 5, eggSize: 'us-l' },
    words: [[/^(?:shredded |flaked )?coconut$/i, 'coconut-sweetened']],
  },
  { id: 'ca', name: 'Canada', source: { cupMl: 250, spoonMl: 5, eggSize: 'us-l' }, words: [] },
  { id: 'uk', name: 'Britain', source: { spoonMl: 5, eggSize: 'eu-m' }, words: [cocoa] },
  { id: 'ie', name: 'Ireland', source: { spoonMl: 5, eggSize: 'eu-m' }, words: [cocoa] },
  { id: 'au', name: 'Australia', source: { cupMl: 250, spoonMl: 20, eggSize: 'eu-m' }, words: [cocoa] },
  { id: 'nz', name: 'New Zealand', source: { cupMl: 250, spoonMl: 5, eggSize: 'eu-m' }, words: [cocoa] },
  {
    id: 'za',
    name: 'South Africa',
    source: { cupMl: 250, spoonMl: 5, eggSize: 'eu-m' },
    words: [cocoa, [/^(?:white )?cake (?:wheat )?flour$/i, 'plain-flour']],
  },
  { id: 'in', name: 'India', source: { cupMl: 240, spoonMl: 5, eggSize: 'eu-m' }, words: [] },
  { id: 'eu', name: 'continental Europe', source: { cupMl: 250, spoonMl: 5, eggSize: 'eu-m' }, words: [cocoa] },
];
export const regionOf = (id: RegionId): Region | undefined => regions.find((r) => r.id === id);

/** Words that give a country away, how strongly, and what to call them. */
type Clue = readonly [region: RegionId, weight: number, said: RegExp];
const clues: readonly Clue[] = [
  ['us', 3, /\ball[- ]purpose\b|\bAP flour\b/i],
  [
    'us',
    3,
    /\b(?:sticks?|half a stick)\b(?=[^.\n]{0,24}\b(?:butter|oleo|margarine)\b)|\b(?:butter|oleo|margarine)\b[^.\n]{0,12}\bsticks?\b/i,
  ],
  ['us', 3, /\bhalf[- ]and[- ]half\b|\bkosher salt\b|\bconfectioners?['’]?s?\b|\bpowdered sugar\b|\bconf\.? sugar/i],
  ['us', 2, /\b(?:[2-5]\d0|[2-5]25|[2-5]75)\s*(?:°|º|degrees?\s*)?\s*F\b|\bdegrees? F\b/],
  [
    'us',
    2,
    /\b(?:three|four)[\s-]+(?:twenty|fifty|seventy)(?:[\s-]five)?\b(?!\s*(?:g\b|grams?|ml|minutes?|mins?|grammes))/i,
  ],
  ['us', 2, /\bheavy (?:whipping )?cream\b|\bcorn\s?starch\b|\boleo\b|\bself-rising\b|\bbuttermilk biscuits?\b/i],
  ['us', 1.5, /\b(?:oven|bake|preheat\w*|heat)\b[^.\n]{0,30}\b(?:3[0-9][05]|4[0-7][05])\b(?!\s*(?:g|ml|C\b|°\s*C))/i],
  [
    'us',
    1,
    /\bmolasses\b|\bshortening\b|\bgranulated sugar\b|\bcilantro\b|\bzucchini\b|\bbroil|\bskillet\b|\bcanola\b|\bbaking soda\b|\bpan\b|\bcupcake\b|\b9\s*x\s*13\b|\b13\s*x\s*9\b/i,
  ],
  ['us', 1, /(?:^|\n)\s*(?:\d+ )?[\d/½¼¾⅓⅔]+\s*(?:cups?|c\.?|T\.?|Tbsp\.?|t\.?)\s/],
  ['ca', 4, /\(\s*(?:125|250|500|175|75|375|60|30|15|20|5|2)\s*mL\s*\)/],
  ['uk', 3, /\bgas(?:\s*mark)?\s*\d|\breg(?:ulo)?\.?\s*\d|\bmark \d\b/i],
  [
    'uk',
    2,
    /\bsandwich tins?\b|\b[12]\s*lb\s+(?:loaf )?tin\b|\btraybake\b|\bdouble cream\b|\b\d+\s*ozs?\b[^\n]{0,24}\b(?:caster|castor|plain flour|self[- ]raising|S\.?R\.?)\b/i,
  ],
  [
    'uk',
    1,
    /\bcaster\b|\bplain flour\b|\bself[- ]raising\b|\bicing sugar\b|\bdemerara\b|\bmuscovado\b|\bbicarb\w*|\bsultanas?\b|\bgolden syrup\b|\bblack treacle\b|\bcourgettes?\b|\bmixed spice\b|\bsponge\b|\bflapjack|\bwholemeal\b|\bmarg\b|\btin\b|\bcooking apples?\b/i,
  ],
  ['ie', 4, /\bbread soda\b|\bcream flour\b|\bwheaten\b|\bstrong white\b.*\bbuttermilk\b/i],
  ['au', 4, /\b(?:tablespoons?|tbsp)\s*\(?\s*(?:20|40|60|80)\s*ml\b|\bcopha\b|\blamington\b|\bthickened cream\b/i],
  [
    'au',
    2,
    /\bcups?\b[^\n]{0,30}\b(?:caster|self[- ]raising|SR flour|plain flour|desiccated)\b|\bfan[- ]forced\b|\bslice (?:pan|tin)\b|\bSR flour\b[^\n]*\bcups?\b/i,
  ],
  ['nz', 4, /\btasty cheese\b|\bkumara\b|\bfeijoa/i],
  ['nz', 1.5, /\bTbsp\b[\s\S]{0,400}\bcaster\b|\bstandard flour\b/],
  [
    'za',
    4,
    /\bcake wheat flour\b|\bmealie|\bmielie|\b(?:2|7|12),5\s*ml\b|\bamasi\b|\bmaas\b|\bbraai\b|\bbuttermilk rusks?\b/i,
  ],
  [
    'za',
    2,
    /\b(?:5|10|15|25|30|125|250|375|500|625)\s*ml\s*(?:\(\d[^)]*\)\s*)?(?:bicarb|baking powder|salt|cake flour|sugar|castor)/i,
  ],
  [
    'in',
    4,
    /\bmaida\b|\batta\b|\bsooji\b|\brava\b|\belaichi\b|\bghee\b|\bbesan\b|\bjaggery\b|\bsaunf\b|\bdalda\b|\bkatori\b|\bragi\b|\bkhoya\b|\bmawa\b|\bcurd\b(?! cheese)/i,
  ],
  ['in', 1, /\bgms?\b|\bpreheated oven\b|\beggless\b/i],
  [
    'eu',
    3,
    /\b\d+(?:[.,]\d+)?\s*(?:dl|cl)\b|\bvanill?(?:a|in)[ -]?sugar\b|\bquark\b|\btop and bottom heat\b|\bober-?\/?\s*unterhitze\b|\bpackets? (?:\(?\d+ g\)? )?(?:of )?baking powder\b|\bsachets? (?:\(?\d+ g\)? )?(?:of )?baking powder\b/i,
  ],
  ['eu', 1.5, /\bwheat flour\b|\beggs?\s*\(?(?:size )?[ML]\)?\b|\bspringform\b|\bpotato (?:flour|starch)\b/i],
];

/** What made a recipe out to be from somewhere. */
export interface Because {
  readonly words: string;
  readonly place: Place;
}

export interface OriginFound {
  readonly region: RegionId;
  readonly because: readonly Because[];
}

/** Where the text seems to be from, by the words that differ between countries. */
export function originOf(lines: readonly string[]): OriginFound {
  const text = lines.join('\n');
  const starts: number[] = [];
  let n = 0;
  for (const l of lines) {
    starts.push(n);
    n += l.length + 1;
  }
  const placeOf = (index: number, length: number): Place => {
    let line = starts.findIndex((s, i) => s <= index && (starts[i + 1] ?? Infinity) > index);
    line = Math.max(0, line);
    const from = index - (starts[line] ?? 0);
    return { line, from, to: from + length };
  };
  const score = new Map<RegionId, number>();
  const because = new Map<RegionId, Because[]>();
  const metric = (text.match(/\d\s*(?:g|ml|kg|gms?|dl|cl)\b/gi) ?? []).length;
  const cups = (text.match(/[\d½¼¾⅓⅔]\s*(?:cups?|c\.?|tbsp|T\.)\s/gi) ?? []).length;
  for (const [region, weight, said] of clues) {
    const m = new RegExp(said.source, said.flags.replace('g', '')).exec(text);
    if (!m) continue;
    score.set(region, (score.get(region) ?? 0) + weight);
    because.set(region, [
      ...(because.get(region) ?? []),
      { words: m[0].trim().replace(/\s+/g, ' '), place: placeOf(m.index, m[0].length) },
    ]);
  }
  const add = (r: RegionId, by: number): void => void score.set(r, (score.get(r) ?? 0) + by);
  // cups alone are American, grams alone are anybody's but
  if (cups >= 3 && metric === 0) add('us', 1);
  if (metric >= 4 && cups === 0) add('us', -1.5);
  // what is said in Britain is said in its neighbours as well
  const british = score.get('uk') ?? 0;
  for (const r of ['ie', 'au', 'nz', 'za'] as const) if (score.has(r)) add(r, Math.min(british, 2));
  if ((score.get('ca') ?? 0) > 0) add('ca', score.get('us') ?? 0);
  const ranked = [...score].sort((a, b) => b[1] - a[1]);
  const [first] = ranked;
  if (!first || first[1] < 1.5) return { region: 'other', because: [] };
  return { region: first[0], because: (because.get(first[0]) ?? []).slice(0, 3) };
}

/** Measures of a region, over those of the kitchen; pints of 568 ml go with the cup of 284. */
export function sourceIn(region: RegionId, source: Source, text: string): Source {
  const of = regionOf(region);
  if (!of) return source;
  const imperial = (region === 'uk' || region === 'ie') && /\b(?:pints?|pt|gills?|fl\.? ?oz|fluid)\b/i.test(text);
  // the same market's eggs are the kitchen's own where no size is said
  const eggs = of.source.eggSize?.slice(0, 2) === source.eggSize.slice(0, 2) ? { eggSize: source.eggSize } : {};
  return { ...source, ...of.source, ...eggs, ...(imperial && { cupMl: 284 }) };
}

/** The kitchen's own region, by its eggs and spoons: what it would be taken for without the text. */
export const kitchenSource = (kitchen: Kitchen): Source => {
  const { cupMl, spoonMl, flourHabit, saltKind, eggSize } = kitchen.measures;
  return { cupMl, spoonMl, flourHabit, saltKind, eggSize };
};

/** A US fluid ounce, ml. */
const FL_OZ_ML = 29.5735;

/** What a formula's measures mean for the lines it has: "cup 240 ml, tablespoon 15 ml; an egg 50 g where no size is said". */
export function measuresMean(formula: Formula, kitchen?: Kitchen): string {
  const ounces = kitchen?.display.weight === 'oz';
  // whoever weighs in ounces knows cups by their country
  const vessel = (ml: number): string => (ounces ? `${Number((ml / FL_OZ_ML).toFixed(1))} fl oz` : `${ml} ml`);
  const items = formula.groups.flatMap((g) => g.items);
  const { cupMl, eggSize } = formula.source;
  const cups = items.some((i) => i.entered?.unit === 'cup');
  const spoons = items.some((i) => i.entered?.unit === 'tbsp' || i.entered?.unit === 'tsp');
  const eggs = items.some((i) => i.ingredient === 'egg' && i.entered?.unit === 'piece');
  const vessels = [
    ...(cups ? [`cup ${vessel(cupMl)}`] : []),
    ...(spoons ? [`tablespoon ${vessel(tablespoonMl(formula.source))}`] : []),
  ].join(', ');
  return [
    ...(vessels === '' ? [] : [vessels]),
    ...(eggs ? [`an egg ${massIn(kitchen?.display, eggG[eggSize])} where no size is said`] : []),
  ].join('; ');
}
