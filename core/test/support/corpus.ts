import { readFileSync } from 'node:fs';
import { catalogueRow, defaultKitchen, gramsOf, type EggSize, type Item } from '../../src/index.js';
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
export function meant(text: string): Meant {
  const optional = /\boptional\b/.test(text);
  const [id = '', ...rest] = text.replace(/\boptional\b|\?/g, '').trim().split(/\s+/);
  const amount = rest.join(' ');
  if (amount === '-' || amount === '') return { ingredient: id, grams: 0, unit: null, optional };
  let grams = 0;
  let unit = '';
  const [plain = '', form] = amount.split(' as ');
  for (const part of plain.split(' + ')) {
    const [value = '', u = 'g'] = part.trim().split(/\s+/);
    const [lo, hi] = value.split('..').map(Number);
    const [name = 'g', size] = u.split(':');
    const source = size ? { ...measures, eggSize: `eu-${size}` as EggSize } : measures;
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
  (m.unit === null || m.grams === null || item.entered?.unit === m.unit || item.entered?.unit === 'g' || /[(/=]|, /.test(item.words)) &&
  (item.optional ?? false) === m.optional;

export function judge(c: Case): Judged {
  const { items, doubts } = oneLine(c.line);
  const wanted = c.means.replace(/\?/g, '').split(' & ').map(meant);
  const reads = wanted.length === items.length && wanted.every((m, i) => fits(items[i], m));
  const doubted = doubts.length > 0;
  const right = reads && (doubted || !c.means.includes('?'));
  return {
    ...c,
    right,
    doubted,
    silent: !right && !doubted,
    got: items.map((i) => `${i.ingredient} ${i.grams} g (${JSON.stringify(i.entered)})${i.optional ? ' optional' : ''}`).join(' & ') + (doubted ? ` ? ${doubts.map((d) => d.kind).join(',')}` : ''),
  };
}
