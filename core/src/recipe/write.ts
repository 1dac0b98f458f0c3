import Papa from 'papaparse';
import type { Formula, Group, Kitchen } from '../formula/types.js';
import { headLines, itemLine, oneLine } from './cards.js';

export type WriteAs = 'text' | 'json' | 'markdown' | 'csv' | 'json-ld';

/** What a group is called on a card: its name, and its role where only the role says how it is judged. */
const groupTitle = (g: Group): string => `${g.name || 'Batter'} (${g.role ?? 'batter'})`;
const noteLines = (f: Formula): string[] =>
  (f.notes ?? '')
    .split(/\r?\n/)
    .map((l) => l.trim())
    .filter((l) => l !== '');

/**
 * Writes a formula. `'json'` is Orvin's own open format and lossless; the others are read back by `readRecipe` equal in
 * title, family, measures, groups and their order, ingredients, entered amounts, grams, method, heat, tins and yield.
 * docs/formats/README.md lists what each cannot carry.
 *
 * @param kitchen for the names of the kitchen's own ingredients
 */
export function write(formula: Formula, as: WriteAs, kitchen?: Kitchen): string {
  switch (as) {
    case 'json':
      return `${JSON.stringify(carryOwn(formula, kitchen), null, 2)}\n`;
    case 'text':
      return asText(formula, kitchen);
    case 'markdown':
      return asMarkdown(formula, kitchen);
    case 'csv':
      return asCsv(formula, kitchen);
    case 'json-ld':
      return asJsonLd(formula, kitchen);
  }
}

/** The formula with the kitchen's own ingredients that it uses, so that it can travel alone. */
function carryOwn(f: Formula, kitchen?: Kitchen): Formula {
  const used = new Set(f.groups.flatMap((g) => g.items.map((i) => i.ingredient)));
  const there = new Set((f.ingredients ?? []).map((i) => i.id));
  const own = (kitchen?.ownIngredients ?? []).filter((i) => used.has(i.id) && !there.has(i.id));
  return own.length === 0 ? f : { ...f, ingredients: [...(f.ingredients ?? []), ...own] };
}

function asText(f: Formula, kitchen?: Kitchen): string {
  const lines = [oneLine(f.title), '', ...headLines(f), '', 'Ingredients'];
  for (const g of f.groups) lines.push('', `${groupTitle(g)}:`, ...g.items.map((i) => itemLine(f, i, kitchen)));
  if (f.method.length > 0) lines.push('', 'Method', ...f.method.map((m, n) => `${n + 1}. ${oneLine(m.text)}`));
  const notes = noteLines(f);
  if (notes.length > 0) lines.push('', 'Notes', ...notes);
  return `${lines.join('\n')}\n`;
}

function asMarkdown(f: Formula, kitchen?: Kitchen): string {
  const lines = [`# ${oneLine(f.title)}`, '', ...headLines(f).map((l) => `- ${l}`), '', '## Ingredients'];
  for (const g of f.groups)
    lines.push('', `### ${groupTitle(g)}`, '', ...g.items.map((i) => `- ${itemLine(f, i, kitchen)}`));
  if (f.method.length > 0) lines.push('', '## Method', '', ...f.method.map((m, n) => `${n + 1}. ${oneLine(m.text)}`));
  const notes = noteLines(f);
  if (notes.length > 0) lines.push('', '## Notes', '', ...notes.map((l) => `- ${l}`));
  return `${lines.join('\n')}\n`;
}

/**
 * A row each, guarded so that no spreadsheet takes a pasted line for a formula. The last columns are for spreadsheets and are
 * not needed to read it back.
 */
function asCsv(f: Formula, kitchen?: Kitchen): string {
  const row = (kind: string, text: string, more: Record<string, unknown> = {}): Record<string, unknown> => ({
    kind,
    text,
    grams: '',
    id: '',
    ...more,
  });
  const rows = [row('title', oneLine(f.title)), ...headLines(f).map((l) => row('head', l))];
  for (const g of f.groups) {
    rows.push(row('group', groupTitle(g)));
    for (const i of g.items)
      rows.push(row('ingredient', itemLine(f, i, kitchen), { grams: i.grams, id: i.ingredient }));
  }
  for (const m of f.method) rows.push(row('step', oneLine(m.text)));
  for (const l of noteLines(f)) rows.push(row('note', l));
  return `${Papa.unparse(rows, { newline: '\n', escapeFormulae: true })}\n`;
}

/** schema.org Recipe. What it has no word for stands in `additionalProperty`, in the words of the card. */
function asJsonLd(f: Formula, kitchen?: Kitchen): string {
  const property = (name: string, value: string): object => ({ '@type': 'PropertyValue', name, value });
  let at = 0;
  const groups = f.groups.map((g) => {
    const p = property('group', `${at} ${groupTitle(g)}`);
    at += g.items.length;
    return p;
  });
  const minutes = f.bake?.minutes;
  const data = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: oneLine(f.title),
    ...(f.yield && { recipeYield: `${f.yield.pieces}${f.yield.name ? ` ${f.yield.name}` : ''}` }),
    ...(f.about?.by && { author: { '@type': 'Person', name: oneLine(f.about.by) } }),
    ...(f.about?.description && { description: oneLine(f.about.description) }),
    ...(f.about?.prepMinutes && { prepTime: `PT${f.about.prepMinutes}M` }),
    ...(minutes && { cookTime: `PT${Math.round((minutes.early + minutes.late) / 2)}M` }),
    ...(f.about?.totalMinutes && { totalTime: `PT${f.about.totalMinutes}M` }),
    recipeIngredient: f.groups.flatMap((g) => g.items.map((i) => itemLine(f, i, kitchen))),
    recipeInstructions: f.method.map((m) => ({ '@type': 'HowToStep', text: oneLine(m.text) })),
    additionalProperty: [
      ...headLines(f).map((l) => property('head', l)),
      ...groups,
      ...noteLines(f).map((l) => property('note', l)),
    ],
  };
  return `${JSON.stringify(data, null, 2)}\n`;
}
