import { inferFamily } from '../balance/infer.js';
import { weigh } from '../balance/weigh.js';
import type { Formula, Group, GroupRole, Item, Kitchen, MethodStep, Source } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { defaultKitchen } from '../kitchen/default.js';
import { across } from './across.js';
import { readBaking } from './baking.js';
import { classify } from './classify.js';
import type { Doubt, Mark, RecipeDraft } from './draft.js';
import { intoGroups } from './groups.js';
import { fromJson } from './json.js';
import { readLine } from './line.js';

/** More text than this is not one recipe; the rest is left unread, and a doubt says so. */
const MAX_CHARS = 60_000;
const MAX_LINES = 600;

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

const sourceOf = (kitchen: Kitchen): Source => {
  const { cupMl, spoonMl, flourHabit, saltKind, eggSize } = kitchen.measures;
  return { cupMl, spoonMl, flourHabit, saltKind, eggSize };
};

function emptyFormula(title: string, text: string, kitchen: Kitchen): Formula {
  return {
    format: 'orvin.formula',
    version: 1,
    id: `${slug(title)}-${hash(text)}`,
    title,
    family: 'free',
    source: sourceOf(kitchen),
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

/**
 * Reads a recipe from plain text, Markdown or JSON. Every text gives a valid formula, perhaps without items; whatever
 * is unclear becomes a doubt with its place, the likely reading and the alternatives. Never throws.
 *
 * @param kitchen whose cups, spoons, flour habit and eggs the words are taken in
 */
export function readRecipe(text: string, kitchen: Kitchen = defaultKitchen): RecipeDraft {
  const refuse = (kind: Doubt['kind'], words: string): RecipeDraft => ({
    formula: emptyFormula('Untitled', text.slice(0, 5000), kitchen),
    doubts: [alone(kind, words)],
    confidence: 0,
  });
  if (text.trim() === '')
    return refuse(
      'empty',
      'There is nothing here yet. Paste a recipe: a title, the ingredients one to a line, and how it is baked.',
    );

  const strange = text.slice(0, 4000).match(/[\u0000-\u0008\u000e-\u001f\ufffd]/g)?.length ?? 0;
  if (strange > 3)
    return refuse(
      'not-text',
      'This is not text: it looks like a picture, a document or another kind of file. Open it where it came from and copy its words, or save it as plain text.',
    );
  if (/^\s*[{[]/.test(text)) {
    const json = fromJson(text, kitchen);
    if (json.kind === 'formula') return { formula: json.formula, doubts: [], confidence: 1 };
    if (json.kind === 'broken') return refuse('broken-json', json.words);
    if (json.kind === 'text') return readRecipe(json.text, kitchen);
  }
  const long = text.length > MAX_CHARS;
  const lines = (long ? text.slice(0, MAX_CHARS) : text).split(/\r\n?|\n/).slice(0, MAX_LINES);
  return assemble(text, lines, long, kitchen);
}

function assemble(text: string, lines: readonly string[], long: boolean, kitchen: Kitchen): RecipeDraft {
  const source = sourceOf(kitchen);
  const parts = classify(lines, kitchen);
  const title =
    parts
      .find((p) => p.kind === 'title')
      ?.text.replace(/[:#*]+$/, '')
      .trim() ?? 'Untitled';
  const doubts: Doubt[] = [];
  const marks: Mark[] = [];
  const sections: { name: string; role: GroupRole; items: Item[] }[] = [{ name: '', role: 'batter', items: [] }];
  const lineOf = new Map<string, number>();
  let n = 0;
  for (const p of parts) {
    if (p.group) sections.push({ ...p.group, items: [] });
    if (p.kind !== 'ingredient') continue;
    const read = readLine(p.text, p.no, `i${++n}`, source, kitchen, p.at);
    for (const item of read.items) lineOf.set(item.id, p.no);
    sections.at(-1)?.items.push(...read.items);
    doubts.push(...read.doubts);
    marks.push(...read.marks);
  }
  const methodLines = parts.filter((p) => p.kind === 'method' || p.kind === 'other');
  const baking = readBaking(parts.filter((p) => p.kind !== 'ingredient').map((p) => p.text));
  const batter = sections.filter((s) => s.role === 'batter').flatMap((s) => s.items);
  const method = methodLines
    .filter((p) => p.kind === 'method')
    .map((p) => step(p.text, [...sections.flatMap((s) => s.items)], kitchen));
  const bare: Formula = {
    ...emptyFormula(title, text, kitchen),
    groups: [{ id: 'g1', name: 'Batter', role: 'batter', items: batter }],
    method,
    ...(baking.bake && { bake: baking.bake }),
    ...(baking.tins.length > 0 && { tins: baking.tins }),
    ...(baking.pieces && { yield: baking.pieces }),
  };
  if (n === 0) {
    doubts.unshift(
      alone(
        'no-ingredients',
        'No line here looks like an ingredient. Give amounts and names one to a line, for instance "240 g plain flour" or "1 1/2 cups oats".',
      ),
    );
    return { formula: { ...bare, groups: [], notes: text.slice(0, 4000) }, doubts, confidence: 0 };
  }
  const w = weigh(bare, kitchen);
  const guess = inferFamily(title, baking.tins[0]?.tin.shape, w.totals, w.lift.mmolPer100gBase.typical);
  const apart: Group[] = sections
    .filter((s) => s.role !== 'batter' && s.items.length > 0)
    .map((s, i) => ({ id: `a${i + 1}`, name: s.name, role: s.role, items: s.items }));
  const formula: Formula = {
    ...bare,
    family: guess.family,
    groups: [...intoGroups(batter, bare, guess.family, method, kitchen), ...apart],
  };
  doubts.push(...across(formula, baking, guess.confidence, lineOf, kitchen));
  if (long)
    doubts.push(
      alone(
        'too-long',
        `This text is ${Math.round(text.length / 1000)} thousand characters long; the first ${MAX_CHARS / 1000} thousand were read. If it holds several recipes, paste them one at a time.`,
      ),
    );
  const confidence = Math.max(0, Math.min(1, 1 - doubts.length / (n + 2)));
  return { formula, doubts, marks, confidence };
}

const step = (text: string, items: readonly Item[], kitchen: Kitchen): MethodStep => {
  const said = text.toLowerCase();
  const named = (item: Item): boolean => {
    const name = ingredientOf(item.ingredient, undefined, kitchen).name.toLowerCase().replace(/,.*/, '');
    return said.includes(name.split(' ').at(-1) ?? name);
  };
  return { text: text.replace(/^\d+[.)]\s*/, ''), itemIds: items.filter(named).map((i) => i.id) };
};

/** Reads several recipes from one text, divided by lines of three or more dashes, equals signs or asterisks. */
export function readRecipes(text: string, kitchen: Kitchen = defaultKitchen): RecipeDraft[] {
  const parts = text.split(/^\s*(?:-{3,}|={3,}|\*{3,})\s*$/m).filter((p) => p.trim() !== '');
  return (parts.length === 0 ? [text] : parts).map((p) => readRecipe(p, kitchen));
}
