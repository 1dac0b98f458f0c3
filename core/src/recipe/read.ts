import { kitchenPlace } from '../kitchen/places.js';
import { told } from '../quantity/figures.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { assemble } from './assemble.js';
import { classify, isCard } from './classify.js';
import type { Doubt, RecipeDraft } from './draft.js';
import { alone, emptyFormula } from './empty.js';
import { catalogueRow } from '../ingredient/catalogue.js';
import { readHeat } from './bake/course.js';
import { matchIngredient } from './match.js';
import { afterHeading, groupHead, methodHeading, noteHeading, roleOfHeading } from './headings.js';
import { fromCsv, looksLikeCsv } from './shape/csv.js';
import { looksLikeHtml, pageOf } from './shape/html.js';
import { fromJson, fromJsonLd, unwrapped } from './shape/json.js';
import type { RegionId } from './origin.js';
import { inPlain, ownMeasure } from './own-measures.js';
import { unrowed } from './shape/rows.js';
import { unshared, untabled } from './shape/table.js';
import { scanMended, tidy } from './shape/tidy.js';

/** More text than this is not one recipe; the rest is left unread, and a doubt says so. */
const MAX_CHARS = 60_000;
const MAX_LINES = 1000;
const MAX_FILE = 1_000_000;

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

export interface ReadOptions {
  /** Where the recipe is from, as its baker says: its cups, spoons, eggs and plain words are taken from there. */
  readonly region?: RegionId;
}

/**
 * Reads a recipe from plain text, Markdown, a page's HTML, CSV or JSON. Every text gives a valid formula, perhaps without
 * items; whatever is unclear becomes a doubt with its place, the likely reading and the alternatives. Never throws.
 *
 * @param kitchen whose cups, spoons, flour habit and eggs the words are taken in, unless the text gives away its own
 * @param options where it is from, when the reader knows better than the text
 */
export function readRecipe(text: string, kitchen: Kitchen = defaultKitchen, options: ReadOptions = {}): RecipeDraft {
  return inUnits(inMetric(text, kitchen, options), kitchen);
}

/** A tin's name in the kitchen's unit, and in America's word for muffins. */
export const tinNameIn = (kitchen: Kitchen, name: string): string => {
  const here = told(kitchen, name);
  return kitchenPlace(kitchen.locale.place)?.tins === 'US and Canada'
    ? here.replace(/^(\d+)-hole (mini )?muffin tray$/, '$1-cup $2muffin pan')
    : here;
};

/**
 * What is asked and named, in the kitchen's units. Whether a heat is in Celsius or Fahrenheit is asked in both.
 */
function inUnits(draft: RecipeDraft, kitchen: Kitchen): RecipeDraft {
  const tins = draft.formula.tins?.map((u) => ({ ...u, tin: { ...u.tin, name: tinNameIn(kitchen, u.tin.name) } }));
  return {
    ...draft,
    ...(tins && { formula: { ...draft.formula, tins } }),
    doubts: draft.doubts.map((d) =>
      d.id === 'heat'
        ? d
        : {
            ...d,
            words: told(kitchen, d.words),
            choices: d.choices.map((c) => ({ ...c, words: told(kitchen, c.words) })),
          },
    ),
  };
}

function inMetric(text: string, kitchen: Kitchen, options: ReadOptions): RecipeDraft {
  // a single recipe is never so long; a file of many is taken apart by `recipeTexts`
  const clipped = text.length > MAX_FILE && !/^\s*[{[]/.test(text) ? text.slice(0, MAX_FILE) : text;
  const source = open(clipped, kitchen);
  if (source.kind === 'formula') return { formula: source.formula, doubts: [], confidence: 1 };
  if (source.kind === 'refused') return source.draft;
  const several =
    source.texts.length > 1
      ? source.texts
      : source.texts[0] === clipped
        ? clipped === text
          ? recipeTexts(text)
          : [clipped]
        : source.texts;
  const [first = ''] = several;
  // with one recipe in it the text is read as it was pasted
  const draft = fromText(
    several.length > 1 ? first : (source.texts[0] ?? ''),
    several.length === 1 && first === text,
    kitchen,
    clipped,
    options,
  );
  if (several.length < 2) return draft;
  const words = `There are ${several.length} recipes in this text; the first is shown. Bring the others in one at a time.`;
  return { ...draft, doubts: [...draft.doubts, alone('several', words)] };
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
  const recipes = byRules(text);
  const apart = recipes.length > 1 ? recipes : byTitles(text);
  return apart.length > 1 ? apart : [text];
}

/** Recipes parted by lines of dashes, equals signs or asterisks. */
function byRules(text: string): string[] {
  const recipes: string[] = [];
  for (const part of text.split(/^\s*(?:-{3,}|={3,}|\*{3,}|_{3,})\s*$/m).filter((p) => p.trim() !== '')) {
    const last = recipes.at(-1);
    // a rule may also part the list from the method: only a title with a list of its own begins another recipe
    const begins = standsAlone(part) || /^\s*#\s/.test(part);
    if (last !== undefined && !(begins && standsAlone(last))) recipes[recipes.length - 1] = `${last}\n\n${part}`;
    else recipes.push(part);
  }
  return recipes;
}

/** Recipes one below the other: a new title stands behind a blank line, once the one before it was baked. */
function byTitles(text: string): string[] {
  const lines = text.slice(0, MAX_CHARS).split(/\r\n?|\n/);
  if (lines.length < 6 || lines.length > 1200 || lines.some((l) => l.length > MAX_LINE)) return [text];
  const kinds = classify(lines, defaultKitchen);
  const at = (no: number): string | undefined => kinds.find((p) => p.no === no)?.kind;
  let [listed, baked] = [0, false];
  for (const [no, line] of lines.entries()) {
    const kind = at(no);
    if (kind === 'ingredient') listed++;
    if (kind === 'method' || /\d\s*(?:min|mins|minutes|hrs?|hours?)\b/i.test(line)) baked ||= listed > 1;
    const before = (lines[no - 1] ?? '').trim();
    const title = line.trim();
    if (!baked || before !== '' || title === '' || title.length > 60 || /^[\d½¼¾•*-]|[.:!?,]$/.test(title)) continue;
    if (
      groupHead(line, title, true) !== null ||
      noteHeading.test(title) ||
      afterHeading.test(title) ||
      methodHeading.test(title)
    )
      continue;
    // a frosting or a sauce below its cake is a part of it: another recipe has flour and an oven of its own
    if (roleOfHeading(title) !== 'batter' || !bakes(lines.slice(no + 1))) continue;
    const below = lines.slice(no + 1, no + 9).join('\n');
    if (!standsAlone(`${title}\n\n${below}`)) continue;
    // what follows is looked through anew: its list stands behind a method, and is one
    const [head, rest] = [lines.slice(0, no), lines.slice(no)].map((part) => part.join('\n').trim());
    return [head ?? '', ...byTitles(rest ?? '')];
  }
  return [text];
}

/** Whether lines have flour and an oven, whatever else they have. */
const bakes = (lines: readonly string[]): boolean => {
  const floured = lines.slice(0, 12).some((l) => {
    const m = matchIngredient(l.replace(/[\d.,/½¼¾⅓⅔]+\s*\p{L}{0,4}\s/gu, ' '), defaultKitchen);
    return m !== null && catalogueRow(m.id).base === 'flour';
  });
  return floured && readHeat(lines.slice(0, 40).map((text, no) => ({ text, no, at: 0 }))).bake !== null;
};

/** Whether a text has a title and a list of ingredients. */
function standsAlone(text: string): boolean {
  const kinds = classify(
    text
      .slice(0, MAX_CHARS)
      .split(/\r\n?|\n/)
      .slice(0, 200)
      .map((l) => bearable(l).slice(0, MAX_LINE)),
    defaultKitchen,
  ).map((p) => p.kind);
  return kinds.includes('title') && kinds.filter((k) => k === 'ingredient').length > 1;
}

/** A line longer than this is read in pieces that end with a sentence, or at least with a word. */
const MAX_LINE = 1600;
/** What no baker types: words of hundreds of letters and hundreds of spaces are shortened, and the line shown so. */
const bearable = (line: string): string =>
  line.length < 200 ? line : line.replace(/\S{200,}/g, (m) => `${m.slice(0, 80)}…`).replace(/\s{40,}/g, '    ');
function inPieces(line: string): string[] {
  if (line.length <= MAX_LINE) return [line];
  const out: string[] = [];
  let rest = line;
  while (rest.length > MAX_LINE) {
    const head = rest.slice(0, MAX_LINE);
    const at =
      Math.max(head.lastIndexOf('. '), head.lastIndexOf('? '), head.lastIndexOf('! ')) + 1 || head.lastIndexOf(' ');
    const to = at > MAX_LINE / 3 ? at : MAX_LINE;
    out.push(rest.slice(0, to));
    rest = rest.slice(to).trimStart();
  }
  return [...out, rest];
}

function fromText(text: string, asPasted: boolean, kitchen: Kitchen, whole: string, options: ReadOptions): RecipeDraft {
  const all = (text.length > MAX_CHARS ? text.slice(0, MAX_CHARS) : text).split(/\r\n?|\n/);
  const long = text.length > MAX_CHARS || all.length > MAX_LINES;
  const pasted = all.slice(0, MAX_LINES);
  const typed = pasted.map(bearable).flatMap(inPieces);
  const card = isCard(typed);
  const measure = card ? null : ownMeasure(typed.join('\n'));
  const plain = measure ? typed.map((l) => inPlain(l, measure)) : typed;
  const shared = card
    ? { lines: typed, flourG: null, guessed: false }
    : unshared(untabled(tidy(unrowed(plain, kitchen))));
  const lines = shared.lines;
  const asTyped = lines.length === pasted.length && lines.every((l, i) => l === pasted[i]);
  const draft = assemble(whole, lines, kitchen, options.region);
  const mended = card ? [] : scanMended(unrowed(plain, kitchen));
  const shortened = typed.some((l, i) => l.endsWith('…') && l !== pasted[i]) || pasted.some((l) => /\S{200,}/.test(l));
  const noted = [
    ...(mended.length > 0
      ? [
          alone(
            'scan',
            `What a scan misread was mended: ${mended.slice(0, 6).join(', ')}${mended.length > 6 ? ' and more' : ''}.`,
          ),
        ]
      : []),
    ...(shortened ? [alone('too-long', 'A word of more than 200 letters was shortened for reading.')] : []),
    ...(measure?.guessed
      ? [alone('amount', `A ${measure.word} is taken as ${measure.is}; the text does not say what it holds.`)]
      : []),
    ...(shared.guessed
      ? [alone('amount', `The text gives shares and no weight; ${shared.flourG} g of flour are taken.`)]
      : []),
  ];
  const doubted = noted.length > 0 ? { ...draft, doubts: [...noted, ...draft.doubts] } : draft;
  const shown = asPasted && asTyped ? doubted : { ...doubted, lines };
  if (!long) return shown;
  const words =
    text.length > MAX_CHARS
      ? `This text is ${Math.round(text.length / 1000)} thousand characters long; the first ${MAX_CHARS / 1000} thousand were read. If it holds several recipes, paste them one at a time.`
      : `This text has more than ${MAX_LINES} lines; the first ${MAX_LINES} were read. If it holds several recipes, paste them one at a time.`;
  return { ...shown, doubts: [...shown.doubts, alone('too-long', words)] };
}
