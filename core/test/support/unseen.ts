import { readdirSync, readFileSync } from 'node:fs';
import { readRecipe, type Formula, type RecipeDraft } from '../../src/index.js';

/** A whole recipe and what it says; core/test/corpus/unseen/README.md describes the lines of facts. */
export interface Unseen {
  readonly id: string;
  readonly style: string;
  readonly text: string;
  readonly families: readonly string[];
  readonly ovenC: number | null;
  readonly minutes: readonly [number, number] | null;
  readonly tin: { readonly count: number | null; readonly shapes: readonly string[] } | null;
  readonly grams: readonly { readonly ids: readonly string[]; readonly g: number }[];
  readonly absent: readonly string[];
}

const folder = new URL('../corpus/unseen/', import.meta.url);
const said = (s: string | undefined): string | null => (s === undefined || s === '-' || s === '' ? null : s);

export function parseUnseen(block: string): Unseen {
  const [head = '', ...lines] = block.split('\n');
  const [name = '', families = '', oven, minutes, tins, grams = '', absent = ''] = head.split('|').map((s) => s.trim());
  const [style, id] = name.includes(': ') ? name.split(': ') : ['plain', name];
  const time = said(minutes)?.split('-').map(Number);
  const tin = /^(?:(\d+)x)?(.+)$/.exec(said(tins) ?? '');
  return {
    id: id ?? name,
    style: style ?? 'plain',
    text: lines.join('\n').trim(),
    families: families.split('/'),
    ovenC: said(oven) === null ? null : Number(oven),
    minutes: time ? [time[0] ?? 0, time[1] ?? time[0] ?? 0] : null,
    tin: tin ? { count: tin[1] ? Number(tin[1]) : null, shapes: (tin[2] ?? '').split('/') } : null,
    grams: grams.split(', ').map((x) => {
      const m = /^(\S+) ([\d.]+)$/.exec(x.trim());
      if (!m) throw new Error(`${name}: cannot read "${x}"`);
      return { ids: (m[1] ?? '').split('/'), g: Number(m[2]) };
    }),
    absent: said(absent.replace(/^absent:\s*/, ''))?.split(/,\s*/) ?? [],
  };
}

export const unseen = (name: 'plain' | 'messy'): Unseen[] =>
  readdirSync(folder)
    .filter((f) => f.startsWith(name))
    .sort()
    .flatMap((f) => readFileSync(new URL(f, folder), 'utf8').split(/^=== /m).slice(1).map(parseUnseen));

export type FactKind = 'amounts' | 'family' | 'heat' | 'minutes' | 'tins' | 'absent';
/** One fact held against a reading. */
export interface Fact {
  readonly kind: FactKind;
  readonly right: boolean;
  /** True when it is not in the reading at all, rather than there and otherwise. */
  readonly lost: boolean;
  readonly words: string;
}

const weightOf = (f: Formula, ids: readonly string[]): number =>
  f.groups
    .flatMap((g) => g.items)
    .filter((i) => ids.includes(i.ingredient))
    .reduce((s, i) => s + i.grams, 0);

/** Every fact of a case against what was read: weights within 14 %, heat within 3 °C, minutes within 1. */
export function judgeUnseen(c: Unseen): { readonly draft: RecipeDraft; readonly facts: readonly Fact[] } {
  const draft = readRecipe(c.text);
  const f = draft.formula;
  const facts: Fact[] = [];
  const put = (kind: FactKind, right: boolean, lost: boolean, words: string): void =>
    void facts.push({ kind, right, lost, words });
  put('family', c.families.includes(f.family), false, `family ${f.family}, not ${c.families.join('/')}`);
  for (const { ids, g } of c.grams) {
    const got = weightOf(f, ids);
    put(
      'amounts',
      got > 0 && Math.abs(Math.log(got / g)) <= 0.14,
      got === 0,
      `${ids.join('/')} ${got.toFixed(1)}, not ${g}`,
    );
  }
  if (c.ovenC !== null) {
    const got = f.bake?.ovenC;
    put('heat', got !== undefined && Math.abs(got - c.ovenC) <= 3, got === undefined, `oven ${got}, not ${c.ovenC}`);
  }
  if (c.minutes) {
    const got = f.bake?.minutes;
    const [early, late] = c.minutes;
    const right = got !== undefined && Math.abs(got.early - early) <= 1 && Math.abs(got.late - late) <= 1;
    put('minutes', right, got === undefined, `minutes ${got?.early}-${got?.late}, not ${early}-${late}`);
  }
  if (c.tin) {
    const { count, shapes } = c.tin;
    const uses = f.tins ?? [];
    // a cup tray counts its cups
    const n = uses.reduce((s, u) => s + u.count * (u.tin.shape === 'cup' ? (u.tin.cups ?? 1) : 1), 0);
    const shape = uses.length > 0 && uses.every((u) => shapes.includes(u.tin.shape));
    const got = uses.map((u) => `${u.count}x${u.tin.shape}`).join('+');
    put(
      'tins',
      shape && (count === null || n === count),
      uses.length === 0,
      `tins ${got || 'none'}, not ${count ?? ''}x${shapes.join('/')}`,
    );
  }
  for (const id of c.absent) put('absent', weightOf(f, [id]) === 0, false, `${id} is there`);
  return { draft, facts };
}
