import { inferFamily } from '../balance/infer.js';
import { weigh } from '../balance/weigh.js';
import type { FamilyId, Formula, Group, Item, Kitchen, MethodStep } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { defaultKitchen } from '../kitchen/default.js';
import { scanAmounts } from '../quantity/scan.js';
import { across, type Places } from './across.js';
import { readBaking } from './baking.js';
import { readFamilyLine, readMeasuresLine, readOvenLine, readStatedLine, readYieldLine } from './cards.js';
import { classify, type Classified } from './classify.js';
import { unshared, untabled } from './shape/table.js';
import { tidy } from './shape/tidy.js';
import { fromCsv, looksLikeCsv } from './shape/csv.js';
import type { Doubt, Mark, Place, RecipeDraft } from './draft.js';
import { intoGroups } from './groups.js';
import { looksLikeHtml, pageOf } from './shape/html.js';
import { fromJson, fromJsonLd, unwrapped } from './shape/json.js';
import { readLine, type RegionWords } from './line.js';
import { plainText } from './match.js';
import { kitchenSource, originOf, regionOf, sourceIn, type RegionId } from './origin.js';
import { measuresIn } from './measures.js';

/** More text than this is not one recipe; the rest is left unread, and a doubt says so. */
const MAX_CHARS = 60_000;
const MAX_LINES = 600;
/** Longer lines are cut for reading; their words are kept whole in the notes. */
const MAX_LINE = 1000;

const hash = (s: string): string => {
  let h = 0x811c9dc5;
  for (let i = 0; i < s.length; i++) h = Math.imul(h ^ s.charCodeAt(i), 0x01000193);
  return (h >>> 0).toString(36);
};

const slug = (s: string): string =>
  s
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40) || 'formula';

const wordsOf = (region: RegionId | undefined): RegionWords => (region && regionOf(region)?.words) ?? [];

function emptyFormula(title: string, text: string, kitchen: Kitchen): Formula {
  return {
    format: 'orvin.formula',
    version: 1,
    id: `${slug(title)}-${hash(text)}`,
    title,
    family: 'free',
    source: kitchenSource(kitchen),
    groups: [],
    method: [],
  };
}

const alone = (id: Doubt['kind'], words: string): Doubt => ({
  id,
  place: null,
  kind: id,
  words,
  likely: 'keep',
  choices: [{ id: 'keep', words: 'understood', edit: { kind: 'keep' } }],
});

const refuse = (kind: Doubt['kind'], words: string, text: string, kitchen: Kitchen): RecipeDraft => ({
  formula: {
    ...emptyFormula('Untitled', text.slice(0, 5000), kitchen),
    ...(text.trim() !== '' && { notes: text.slice(0, 4000) }),
  },
  doubts: [alone(kind, words)],
  confidence: 0,
});

type Sources =
  | { readonly kind: 'formula'; readonly formula: Formula }
  | { readonly kind: 'refused'; readonly draft: RecipeDraft }
  | { readonly kind: 'texts'; readonly texts: readonly string[] };

/** What a pasted text or file is, and the plain texts of the recipes in it. */
function open(text: string, kitchen: Kitchen): Sources {
  const refused = (kind: Doubt['kind'], words: string): Sources => ({
    kind: 'refused',
    draft: refuse(kind, words, text, kitchen),
  });
  if (text.trim() === '')
    return refused(
      'empty',
      'There is nothing here yet. Paste a recipe: a title, the ingredients one to a line, and how it is baked.',
    );
  const strange = text.slice(0, 4000).match(/[\u0000-\u0008\u000e-\u001f\ufffd]/g)?.length ?? 0;
  if (strange > 3)
    return refused(
      'not-text',
      'This is not text: it looks like a picture, a document or another kind of file. Open it where it came from and copy its words, or save it as plain text.',
    );
  if (/^\s*[{[]/.test(unwrapped(text))) {
    const json = fromJson(text);
    if (json.kind === 'formula') return json;
    if (json.kind === 'broken') return refused('broken-json', json.words);
    if (json.kind === 'text') return { kind: 'texts', texts: [json.text, ...json.more] };
  }
  if (looksLikeHtml(text)) {
    const page = pageOf(text);
    const embedded = fromJsonLd(page.data);
    return { kind: 'texts', texts: embedded.length > 0 ? embedded : [page.text] };
  }
  return { kind: 'texts', texts: looksLikeCsv(text) ? fromCsv(text) : [text] };
}

/**
 * Reads a recipe from plain text, Markdown, a page's HTML, CSV or JSON. Every text gives a valid formula, perhaps without
 * items; whatever is unclear becomes a doubt with its place, the likely reading and the alternatives. Never throws.
 *
 * @param kitchen whose cups, spoons, flour habit and eggs the words are taken in, unless the text says its own
 */
export function readRecipe(text: string, kitchen: Kitchen = defaultKitchen): RecipeDraft {
  const source = open(text, kitchen);
  if (source.kind === 'formula') return { formula: source.formula, doubts: [], confidence: 1 };
  if (source.kind === 'refused') return source.draft;
  const [first = ''] = source.texts;
  return fromText(first, first === text, kitchen, text);
}

/**
 * Reads several recipes from one text: a list of them in JSON-LD or a table, or texts divided by lines of three or more
 * dashes, equals signs or asterisks.
 */
export function readRecipes(text: string, kitchen: Kitchen = defaultKitchen): RecipeDraft[] {
  return recipeTexts(text).map((t) => readRecipe(t, kitchen));
}

/** The texts of the recipes in a file, for reading one at a time. One that cannot be taken apart is returned whole. */
export function recipeTexts(text: string): string[] {
  const source = open(text, defaultKitchen);
  if (source.kind !== 'texts') return [text];
  if (source.texts.length > 1) return [...source.texts];
  if (source.texts[0] !== text) return [text];
  const recipes: string[] = [];
  for (const part of text.split(/^\s*(?:-{3,}|={3,}|\*{3,})\s*$/m).filter((p) => p.trim() !== '')) {
    const last = recipes.at(-1);
    // a rule may also part the list from the method: only a title with a list of its own begins another recipe
    const begins = standsAlone(part) || /^\s*#\s/.test(part);
    if (last !== undefined && !(begins && standsAlone(last))) recipes[recipes.length - 1] = `${last}\n\n${part}`;
    else recipes.push(part);
  }
  return recipes.length > 1 ? recipes : [text];
}

/** Whether a text has a title and a list of ingredients. */
function standsAlone(text: string): boolean {
  const kinds = classify(
    text
      .slice(0, MAX_CHARS)
      .split(/\r\n?|\n/)
      .slice(0, MAX_LINES),
    defaultKitchen,
  ).map((p) => p.kind);
  return kinds.includes('title') && kinds.filter((k) => k === 'ingredient').length > 1;
}

function fromText(text: string, asPasted: boolean, kitchen: Kitchen, whole: string): RecipeDraft {
  const long = text.length > MAX_CHARS;
  const typed = (long ? text.slice(0, MAX_CHARS) : text).split(/\r\n?|\n/).slice(0, MAX_LINES);
  const shared = unshared(untabled(tidy(typed)));
  const lines = shared.lines.length === typed.length && shared.lines.every((l, i) => l === typed[i]) ? typed : shared.lines;
  const straight = assemble(whole, lines, kitchen);
  // one paragraph from title to oven: commas and full stops are its line breaks
  const parted = straight.formula.groups.length === 0 ? paragraphs(lines) : lines;
  const draft = parted === lines ? straight : assemble(whole, parted, kitchen);
  const shown = asPasted && parted === typed ? draft : { ...draft, lines: parted };
  if (!long) return shown;
  const words = `This text is ${Math.round(text.length / 1000)} thousand characters long; the first ${MAX_CHARS / 1000} thousand were read. If it holds several recipes, paste them one at a time.`;
  return { ...shown, doubts: [...shown.doubts, alone('too-long', words)] };
}

/** A recipe told in running text, a line for each amount and each sentence; the lines themselves when it is none. */
function paragraphs(lines: readonly string[]): readonly string[] {
  const text = lines.join('\n');
  if (scanAmounts(text.slice(0, 4000)).filter((a) => a.unit !== null).length < 3) return lines;
  return lines
    .flatMap((l) =>
      l.split(
        /(?<=[.!])\s+(?=\p{Lu})|\s+[-–—:]\s+|:\s+(?=\d)|,\s*(?=(?:\d|½|¼|¾|⅓|⅔|an?\s|one\s|two\s|three\s|half\s|(?:plus|and)\s+\d))|\s+and\s+(?=\d)/u,
      ),
    )
    .map((l) => l.trim().replace(/(?<=\d\s*(?:g|ml|kg|tsp|tbsp|cups?|eggs?)[^.]{0,40})\.$/, ''))
    .filter((l) => l !== '')
    .slice(0, MAX_LINES);
}

interface Section {
  readonly name: string;
  readonly role: NonNullable<Group['role']>;
  /** True when the text gives the group its role outright, so that it is kept as it stands. */
  readonly said: boolean;
  readonly items: Item[];
}

function assemble(text: string, lines: readonly string[], kitchen: Kitchen): RecipeDraft {
  const parts = classify(
    lines.map((l) => l.slice(0, MAX_LINE)),
    kitchen,
  );
  const head = parts.filter((p) => p.kind !== 'ingredient' && p.kind !== 'method' && p.kind !== 'story');
  const firstOf = <T>(read: (s: string) => T | null): T | null =>
    head.reduce<T | null>((found, p) => found ?? read(p.text), null);
  const said = firstOf(readMeasuresLine);
  const origin = said ? null : originOf(lines);
  const all = parts.map((p) => p.text).join('\n');
  const source = said ?? measuresIn(all, sourceIn(origin?.region ?? 'other', kitchenSource(kitchen), all));
  const meant = wordsOf(origin?.region);
  const titled = parts.find((p) => p.kind === 'title');
  const title =
    titled?.text
      .replace(/[:#*]+$/, '')
      .replace(/^\*+/, '')
      .trim() ?? 'Untitled';
  const doubts: Doubt[] = [];
  const marks: Mark[] = titled
    ? [{ line: titled.no, from: titled.at, to: titled.at + titled.text.length, what: 'title' }]
    : [];
  const sections: Section[] = [{ name: '', role: 'batter', said: false, items: [] }];
  const placeOf = new Map<string, Place>();
  let around: Section | undefined;
  let n = 0;
  for (const p of parts) {
    if (p.group) {
      if (p.inline) around = sections.at(-1);
      sections.push({ ...p.group, items: [] });
      marks.push({ line: p.no, from: p.at, to: p.at + p.text.length, what: 'group' });
    }
    if (p.kind !== 'ingredient') continue;
    // a group on one line ends with it: the list goes on where it was
    if (around && !p.inline) {
      sections.push({ name: around.name, role: around.role, said: around.said, items: [] });
      around = undefined;
    }
    const read = readLine(p.text, p.no, `i${++n}`, source, kitchen, p.at, meant);
    for (const item of read.items) placeOf.set(item.id, { line: p.no, from: p.at, to: p.at + p.text.length });
    sections.at(-1)?.items.push(...read.items);
    doubts.push(...read.doubts);
    marks.push(...read.marks);
  }
  const items = sections.flatMap((s) => s.items);
  const steps = parts.filter((p) => p.kind === 'method');
  const method = steps.map((p) => step(p.text, items, kitchen));
  const prose = parts.filter(
    (p) => p.kind !== 'ingredient' && p.kind !== 'note' && p.kind !== 'story' && !readMeasuresLine(p.text),
  );
  const baking = readBaking(prose.filter((p) => !readOvenLine(p.text) && !readStatedLine(p.text)));
  marks.push(...baking.marks);
  for (const p of steps) marks.push({ line: p.no, from: p.at, to: p.at + p.text.length, what: 'method' });
  const stated = firstOf(readStatedLine);
  const set = firstOf(readOvenLine) ?? baking.bake;
  const bake = set && stated ? { ...set, stated } : set;
  const makes = firstOf(readYieldLine) ?? baking.pieces;
  const notes = notesOf(parts, baking.marks);
  const bare: Formula = {
    ...emptyFormula(title, text, kitchen),
    source,
    groups: [
      {
        id: 'g1',
        name: 'Batter',
        role: 'batter',
        items: items.filter((i) => sections.some((s) => s.role !== 'grease' && isMixed(s) && s.items.includes(i))),
      },
    ],
    method,
    ...(bake && { bake }),
    ...(baking.tins.length > 0 && { tins: baking.tins }),
    ...(makes && { yield: makes }),
    ...(notes !== '' && { notes }),
  };
  if (items.length === 0) {
    doubts.unshift(
      alone(
        'no-ingredients',
        'No line here looks like an ingredient. Give amounts and names one to a line, for instance "240 g plain flour" or "1 1/2 cups oats".',
      ),
    );
    return { formula: { ...bare, groups: [], notes: text.slice(0, 4000) }, doubts, marks, confidence: 0 };
  }
  const w = weigh(bare, kitchen);
  const family = firstOf(readFamilyLine);
  const guess = family
    ? { family, confidence: 1 }
    : inferFamily(title, baking.tins[0]?.tin.shape, w.totals, w.lift.mmolPer100gBase.typical);
  const formula: Formula = {
    ...bare,
    family: guess.family,
    groups: groupsOf(sections, bare, guess.family, method, kitchen),
  };
  const places: Places = {
    item: (id) => placeOf.get(id) ?? { line: 0, from: 0, to: 0 },
    step: (i) => {
      if (i < 0) return baking.marks.find((m) => m.what === 'heat') ?? null;
      const p = steps[i];
      return p ? { line: p.no, from: p.at, to: p.at + p.text.length } : null;
    },
  };
  doubts.push(
    ...across(
      formula,
      { ...baking, ...(firstOf(readOvenLine) && { heatDoubt: null }) },
      guess.confidence,
      places,
      kitchen,
    ),
  );
  const confidence = Math.max(0, Math.min(1, 1 - doubts.length / (items.length + 2)));
  return { formula, doubts, marks, confidence };
}

const mixedRoles = new Set(['batter', 'dry', 'wet', 'fat-sugar', 'egg', 'fold-in']);
const isMixed = (s: { readonly role: string }): boolean => mixedRoles.has(s.role);

/**
 * Groups as the text gives them when it names them by what is done with them ("Dry", "Fold in"); else the batter is put
 * into mixing order, and toppings, icings and the like stay apart.
 */
function groupsOf(
  sections: readonly Section[],
  bare: Formula,
  family: FamilyId,
  method: readonly MethodStep[],
  kitchen: Kitchen,
): Group[] {
  const filled = sections.filter((s) => s.items.length > 0);
  const mixed = filled.filter(isMixed);
  const asGiven = mixed.some((s) => s.said) || (mixed.length > 1 && mixed.every((s) => s.role !== 'batter'));
  // what goes on the tin is no part of the batter, wherever the list has it
  const onTin = (i: Item): boolean =>
    i.grams === 0 && /\bfor\s+(?:the\s+)?(?:greas|dust|tin|pan|board|lining)/i.test(i.words);
  const tinItems = asGiven ? [] : mixed.flatMap((s) => s.items).filter(onTin);
  const batter: Group[] = asGiven
    ? mixed.map((s, i) => ({ id: `g${i + 1}`, name: s.name || 'Batter', role: s.role, items: s.items }))
    : intoGroups(
        mixed.flatMap((s) => s.items).filter((i) => !onTin(i)),
        bare,
        family,
        method,
        kitchen,
      );
  const apart = filled
    .filter((s) => !isMixed(s))
    .map((s, i): Group => ({ id: `a${i + 1}`, name: s.name, role: s.role, items: s.items }));
  if (asGiven) {
    // in the order of the text
    const order = filled.map((s) =>
      isMixed(s) ? batter.find((g) => g.items === s.items) : apart.find((g) => g.items === s.items),
    );
    return order.filter((g): g is Group => g !== undefined);
  }
  return [
    ...batter,
    ...apart,
    ...(tinItems.length > 0 ? [{ id: 'tin', name: 'For the tin', role: 'grease' as const, items: tinItems }] : []),
  ];
}

/** What was read but has no place of its own: kept, so that nothing pasted is lost. */
function notesOf(parts: readonly Classified[], marks: readonly Mark[]): string {
  const used = new Set(marks.map((m) => m.line));
  return parts
    .filter(
      (p) =>
        p.kind === 'note' ||
        (p.kind === 'other' &&
          !used.has(p.no) &&
          !readMeasuresLine(p.text) &&
          !readFamilyLine(p.text) &&
          !readOvenLine(p.text) &&
          !readStatedLine(p.text) &&
          !readYieldLine(p.text)),
    )
    .map((p) => p.text)
    .join('\n')
    .slice(0, 8000);
}

const step = (text: string, items: readonly Item[], kitchen: Kitchen): MethodStep => {
  const bare = text.replace(/^(?:step\s*)?\d+[.):]\s*/i, '');
  const said = plainText(bare);
  const named = (item: Item): boolean => names(said, ingredientOf(item.ingredient, undefined, kitchen).name);
  return { text: bare, itemIds: items.filter(named).map((i) => i.id) };
};

/** A step belongs to an item when it names it, not when it only says "the dry ingredients". */
function names(said: string, name: string): boolean {
  const head = plainText(name.replace(/,.*/, '')).split(' ').at(-1) ?? '';
  return head.length > 2 && said.includes(head.replace(/(?:ies|s)$/, ''));
}
