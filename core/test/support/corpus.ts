import { readFileSync } from 'node:fs';
import {
  catalogueRow,
  defaultKitchen,
  gramsOf,
  readRecipe,
  type EggSize,
  type Item,
  type Source,
} from '../../src/index.js';
import { oneLine } from './line.js';

/** One line of a corpus file; core/test/corpus/README.md says what the columns mean. */
export interface Case {
  readonly style: string;
  readonly line: string;
  readonly means: string;
}

export interface Judged extends Case {
  readonly right: boolean;
  readonly doubted: boolean;
  /** Wrong and no doubt raised: what must not happen. */
  readonly silent: boolean;
  readonly got: string;
}

export const corpus = (file: string): Case[] =>
  readFileSync(new URL(`../corpus/${file}`, import.meta.url), 'utf8')
    .split('\n')
    .filter((l) => l.trim() !== '' && !l.startsWith('#'))
    .map((l) => {
      const [style = '', line = '', ...means] = l.split(' | ');
      return { style: style.trim(), line, means: means.join(' | ').trim() };
    });

interface Meant {
  readonly ingredient: string;
  readonly grams: number | null;
  readonly unit: string | null;
  readonly optional: boolean;
}

const { measures } = defaultKitchen;

/** Reads one wanted reading, `butter 1 stick + 2 tbsp optional`, into what it weighs by the catalogue. */
export function meant(text: string, of: Source = measures): Meant {
  const optional = /\boptional\b/.test(text);
  const [id = '', ...rest] = text
    .replace(/\boptional\b|\?/g, '')
    .trim()
    .split(/\s+/);
  const amount = rest.join(' ');
  if (amount === '-' || amount === '') return { ingredient: id, grams: 0, unit: null, optional };
  let grams = 0;
  let unit = '';
  const [plain = '', form] = amount.split(' as ');
  for (const part of plain.split(' + ')) {
    const [value = '', u = 'g'] = part.trim().split(/\s+/);
    const [lo, hi] = value.split('..').map(Number);
    const [name = 'g', size] = u.split(':');
    const source = size ? { ...of, eggSize: `${of.eggSize.slice(0, 2)}-${size}` as EggSize } : of;
    const x = hi === undefined ? (lo ?? NaN) : ((lo ?? 0) + hi) / 2;
    unit ||= name;
    if (id === 'unknown') return { ingredient: id, grams: null, unit, optional };
    grams += gramsOf({ value: x, unit: name }, catalogueRow(id), source, (form ?? null) as never) ?? NaN;
  }
  return { ingredient: id, grams, unit, optional };
}

const fits = (item: Item | undefined, m: Meant): boolean =>
  item !== undefined &&
  item.ingredient === m.ingredient &&
  (m.grams === null || Math.abs(item.grams - m.grams) <= 0.015 * m.grams + 0.02) &&
  // a line that states its amount twice is entered as it was said first
  (m.unit === null ||
    m.grams === null ||
    item.entered?.unit === m.unit ||
    item.entered?.unit === 'g' ||
    /[(/=]|, | - /.test(item.words)) &&
  (item.optional ?? false) === m.optional;

export function judge(c: Case): Judged {
  const { items, doubts } = oneLine(c.line);
  const wanted = c.means
    .replace(/\?/g, '')
    .split(' & ')
    .map((w) => meant(w));
  const reads = wanted.length === items.length && wanted.every((m, i) => fits(items[i], m));
  const doubted = doubts.length > 0;
  const right = reads && (doubted || !c.means.includes('?'));
  return {
    ...c,
    right,
    doubted,
    silent: !right && !doubted,
    got:
      items
        .map((i) => `${i.ingredient} ${i.grams} g (${JSON.stringify(i.entered)})${i.optional ? ' optional' : ''}`)
        .join(' & ') + (doubted ? ` ? ${doubts.map((d) => d.kind).join(',')}` : ''),
  };
}

/** A whole recipe of the corpus and what it means. */
export interface RecipeCase {
  readonly style: string;
  readonly text: string;
  readonly means: readonly string[];
}

export interface JudgedRecipe {
  readonly style: string;
  readonly title: string;
  /** What was read otherwise, in words; empty when all is right. */
  readonly wrong: readonly string[];
  readonly facts: number;
  /** Wrong readings on lines that no doubt speaks of. */
  readonly silent: readonly string[];
}

export const recipeCorpus = (): RecipeCase[] =>
  ['us', 'uk', 'india', 'australia', 'metric', 'spoken', 'faults', 'page'].flatMap((style) =>
    readFileSync(new URL(`../corpus/recipes/${style}.txt`, import.meta.url), 'utf8')
      .split(/^@@@@\n/m)
      .map((c) => {
        const [text = '', means = ''] = c.split(/^%%\n/m);
        return { style, text, means: means.split('\n').filter((l) => l.trim() !== '') };
      }),
  );

const apartRoles = new Set(['top', 'filling', 'icing', 'soak', 'grease']);

/** Reads a recipe of the corpus and holds every stated fact against what was read. */
export function judgeRecipe(c: RecipeCase): JudgedRecipe {
  const { formula: f, doubts } = readRecipe(c.text);
  const items = f.groups.flatMap((g) => g.items.map((item) => ({ item, role: g.role ?? 'batter' })));
  const left = new Set(items);
  const wrong: string[] = [];
  const silent: string[] = [];
  const fail = (fact: string, got: string, doubted: boolean): void => {
    wrong.push(`${fact}, got ${got}`);
    if (!doubted) silent.push(`${fact}, got ${got}`);
  };
  const about = (kind: string): boolean => doubts.some((d) => d.kind === kind);
  for (const line of c.means) {
    const [head = '', ...parts] = line.split(': ');
    const rest = parts.join(': ');
    if (head === 'family') {
      if (f.family !== rest) fail(line, f.family, about('family'));
    } else if (head === 'bake') {
      const m = /^(\d+)( fan)? (?:(\d+)-(\d+)|-)(?: stage (\d+):(\d+))?$/.exec(rest);
      const [lo, hi] = [Number(m?.[3] ?? NaN), Number(m?.[4] ?? NaN)];
      const b = f.bake;
      const heat = b !== undefined && Math.abs(b.ovenC - Number(m?.[1])) <= 1 && b.fan === (m?.[2] !== undefined);
      const time = Number.isNaN(lo) || (b?.minutes?.early === lo && b.minutes.late === hi);
      const stage =
        m?.[5] === undefined || (b?.stages?.[1]?.fromMin === Number(m[5]) && b.stages[1].ovenC === Number(m[6]));
      if (!heat || !time || !stage) fail(line, JSON.stringify(b), about('temperature'));
    } else if (head === 'tin') {
      const m = /^(\w+) (\d+) x(\d+)$/.exec(rest);
      const t = f.tins?.[0];
      const fits =
        t?.tin.shape === m?.[1] && Math.abs((t?.tin.topMm ?? 0) - Number(m?.[2])) <= 4 && t?.count === Number(m?.[3]);
      if (!fits) fail(line, JSON.stringify(t), about('tin'));
    } else if (head === 'yield') {
      if (f.yield?.pieces !== Number(rest)) fail(line, JSON.stringify(f.yield), false);
    } else if (head === 'doubts') {
      for (const kind of rest.split(', '))
        if (!about(kind)) fail(`doubt ${kind}`, doubts.map((d) => d.kind).join(',') || 'none', false);
    } else {
      const role = apartRoles.has(line.split(' ')[0] ?? '') ? (line.split(' ')[0] as string) : null;
      const m = meant(role ? line.slice(role.length + 1) : line, f.source);
      const found = [...left].find(
        ({ item, role: r }) => fits(item, m) && (role === null ? !apartRoles.has(r) : r === role),
      );
      if (found) left.delete(found);
      else {
        const near = items.filter(({ item }) => item.ingredient === m.ingredient);
        fail(
          line,
          near.map(({ item, role: r }) => `${r} ${item.grams} g`).join(' / ') || 'nothing',
          near.some(({ item }) => doubts.some((d) => d.itemId === item.id)),
        );
      }
    }
  }
  for (const { item } of left)
    if (item.grams > 0 && !doubts.some((d) => d.itemId === item.id)) silent.push(`not on the list: ${item.words}`);
  return {
    style: c.style,
    title: f.title,
    wrong: [...wrong, ...silent.filter((s) => s.startsWith('not on'))],
    facts: c.means.length,
    silent,
  };
}
