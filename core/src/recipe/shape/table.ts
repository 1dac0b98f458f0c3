import { readNumber } from '../../quantity/numbers.js';

/** What a column of a table of ingredients holds. */
type Kind = 'name' | 'amount' | 'unit' | 'percent' | 'note' | 'group' | 'kind' | 'text' | 'other';
interface Column {
  readonly kind: Kind;
  /** The unit that the head of the column gives its figures. */
  readonly unit?: string;
}

const heads: readonly (readonly [RegExp, Kind])[] = [
  [
    /^(?:ingredients?|items?|foods?|what|names?|product|article|zutat(?:en)?|ingr[eé]dients?|ingredientes?|ingredienti?|formula|mix|raw materials?|material)$/i,
    'name',
  ],
  [/^(?:units?|measure|einheit|unit[eé]|unidad|unit[aà]|(?:us|metric|imperial)[ _-]*units?)$/i, 'unit'],
  [
    /^(?:%|% (?:of|on) (?:total )?flour|flour ?%|percent|per cent|baker'?s ?%|bakers? ?%|b ?%|% flour|baker'?s percent(?:age)?|ratio)$/i,
    'percent',
  ],
  [/^(?:notes?|comments?|preparation|remarks?|how|prep|bemerkung(?:en)?|notas?|note|remarque)$/i, 'note'],
  [/^(?:group|section|part|stage|component|for)$/i, 'group'],
  [
    /^(?:amounts?|quantity|quantities|qty|how much|menge|quantit[eé]|cantidad|quantit[aà]|weight|(?:us|metric|imperial|home|volume)[ _-]*(?:qty|quantity|amount|measures?)?|measures?|volume|spoons and cups|dose|dosi)$/i,
    'amount',
  ],
];
const unitHeads: readonly (readonly [RegExp, string])[] = [
  [/^(?:grams?|g|gr|weight(?: \(?g\)?| in g)?|metric \(g\)|mass g|gramm)$/i, 'g'],
  [/^(?:kg|kilos?|kilograms?)$/i, 'kg'],
  [/^(?:lbs?|pounds?)$/i, 'lb'],
  [/^(?:oz|ounces?)$/i, 'oz'],
  [/^(?:ml|millilit(?:re|er)s?)$/i, 'ml'],
  [/^cups?$/i, 'cup'],
];

function columnOf(head: string): Column {
  const h = head
    .trim()
    .replace(/^\*+|\*+$/g, '')
    .replace(/\s+/g, ' ');
  const unit = unitHeads.find(([re]) => re.test(h) || re.test(h.replace(/^.*[([]([^)\]]+)[)\]]$/, '$1')));
  if (unit) return { kind: 'amount', unit: unit[1] };
  return { kind: heads.find(([re]) => re.test(h))?.[1] ?? 'other' };
}

/** Whether a row of cells is the head of a table of ingredients: it names at least two columns that one would have. */
export function isHead(cells: readonly string[]): boolean {
  const kinds = cells.map(columnOf);
  const known = kinds.filter((k) => k.kind !== 'other').length;
  return known >= 2 && kinds.some((k) => k.kind === 'amount' || k.kind === 'percent');
}

const figure = /^[\d.,½¼¾⅓⅔⅛ /–-]+$/;

/**
 * Rows of a table of ingredients as the lines of a list: amount, name, and in brackets what else the row says of the
 * amount. A row that is no ingredient (a total, a method in the first cell) is given back as it stands.
 */
export function rowsToLines(head: readonly string[], rows: readonly (readonly string[])[]): string[] {
  const columns = head.map(columnOf);
  // without a column that says so the first is the name
  const nameAt = Math.max(
    0,
    columns.findIndex((c) => c.kind === 'name'),
  );
  const out: string[] = [];
  let group = '';
  // a head gives its unit to bare figures only where the column is of bare figures
  const bare = columns.map((_, i) => {
    const cells = rows.map((r) => (r[i] ?? '').trim()).filter((c) => c !== '');
    return cells.filter((c) => figure.test(c)).length * 2 > cells.length;
  });
  const percents = columns.findIndex((c) => c.kind === 'percent');
  const weighed = columns.some((c) => c.kind === 'amount');
  for (const row of rows) {
    const cell = (i: number): string => (row[i] ?? '').trim().replace(/^\*+|\*+$/g, '');
    const name = cell(nameAt);
    if (row.every((c) => c.trim() === '')) continue;
    const others = row.filter((c, i) => i !== nameAt && c.trim() !== '');
    if (others.length === 0) {
      out.push(name);
      continue;
    }
    if (/^(?:totals?|sum|gesamt|yield)\b/i.test(name)) continue;
    const g = columns.findIndex((c) => c.kind === 'group');
    if (g >= 0 && cell(g) !== '' && cell(g) !== group) {
      group = cell(g);
      out.push('', `${group}:`);
    }
    const amounts: string[] = [];
    const notes: string[] = [];
    for (const [i, c] of columns.entries()) {
      const text = cell(i);
      if (i === nameAt || text === '') continue;
      if (c.kind === 'amount') {
        const next = columns[i + 1];
        const unit = (bare[i] ? c.unit : undefined) ?? (next?.kind === 'unit' ? cell(i + 1) : '');
        amounts.push(figure.test(text) && unit !== '' ? `${text} ${unit}` : text);
      } else if (c.kind === 'unit') {
        // a unit that stands in front of its figure
        const before = columns[i - 1];
        const after = columns[i + 1];
        if (before?.kind !== 'amount' && after?.kind === 'amount') notes.push(text);
      } else if (c.kind === 'note') notes.push(text);
      else if (c.kind === 'percent' && !weighed) amounts.push(/%/.test(text) ? text : `${text} %`);
    }
    const [first, ...more] = amounts;
    if (first === undefined && percents < 0) {
      out.push(
        row
          .map((c) => c.trim())
          .filter((c) => c !== '')
          .join(' '),
      );
      continue;
    }
    out.push(
      `${first ?? ''} ${name}${more.length > 0 ? ` (${more.join('; ')})` : ''}${notes.length > 0 ? `, ${notes.join(', ')}` : ''}`.trim(),
    );
  }
  return out;
}

const cellsOf = (line: string): string[] =>
  line
    .trim()
    .replace(/^\||\|$/g, '')
    .split('|')
    .map((c) => c.trim());
const spaced = (line: string): string[] => line.trim().split(/\t+|\s{2,}/);
const rule = /^\s*\|?\s*:?-{2,}:?\s*(?:\|\s*:?-{2,}:?\s*)*\|?\s*$/;

/** Tables in the middle of a text (ruled with bars, or set with tabs or wide spaces) become lines of the list. */
export function untabled(lines: readonly string[]): readonly string[] {
  const out: string[] = [];
  let i = 0;
  let found = false;
  while (i < lines.length) {
    const line = lines[i] ?? '';
    const next = lines[i + 1] ?? '';
    if (/\|/.test(line) && (rule.test(next) || (/\|/.test(next) && isHead(cellsOf(line))))) {
      const head = cellsOf(line);
      let j = i + (rule.test(next) ? 2 : 1);
      const rows: string[][] = [];
      while (j < lines.length && /\|/.test(lines[j] ?? '')) {
        if (!rule.test(lines[j] ?? '')) rows.push(cellsOf(lines[j] ?? ''));
        j++;
      }
      out.push('', ...(isHead(head) ? rowsToLines(head, rows) : headless(head, rows)), '');
      i = j;
      found = true;
      continue;
    }
    const cells = spaced(line);
    const named = cells.length > 1 && isHead(cells);
    // "MUFFIN BASE    %    kg": the title stands over the names
    const titled = !named && cells.length > 2 && isHead(['name', ...cells.slice(1)]);
    if (named || titled) {
      const rows: string[][] = [];
      let j = i + 1;
      while (j < lines.length && spaced(lines[j] ?? '').length > 1 && /\d/.test(lines[j] ?? '')) {
        rows.push(spaced(lines[j] ?? ''));
        j++;
      }
      if (rows.length >= 2) {
        const head = titled ? ['name', ...cells.slice(1)] : cells;
        if (titled) out.push(cells[0] ?? '');
        out.push('', ...rowsToLines(head, rows), '');
        i = j;
        found = true;
        continue;
      }
    }
    out.push(line);
    i++;
  }
  return found ? out : lines;
}

/** A ruled table whose head says nothing: the column with figures is the amount. */
function headless(head: readonly string[], rows: readonly (readonly string[])[]): string[] {
  const all = isFigures(head) ? [head, ...rows] : rows;
  const amountAt = head.findIndex((_, i) => rows.filter((r) => /^[\d½¼¾⅓⅔]/.test(r[i] ?? '')).length > rows.length / 2);
  const kinds = head.map((_, i) => (i === amountAt ? 'amount' : i === (amountAt === 0 ? 1 : 0) ? 'name' : 'note'));
  return amountAt < 0 ? all.map((r) => r.filter((c) => c !== '').join(' ')) : rowsToLines(kinds, all);
}
const isFigures = (cells: readonly string[]): boolean => cells.some((c) => /^[\d½¼¾⅓⅔]/.test(c));

const share =
  /^\s*(?:[-*•]\s*)?(?:(?<name>[^\d%]{2,48}?)\s*[:=–-]?\s*(?<pct>\d+(?:[.,]\d+)?)\s*%|(?<pct2>\d+(?:[.,]\d+)?)\s*%\s+(?<name2>[^%]{2,60}?))\s*(?<rest>\(.*\))?\s*$/;
/** A share without its sign: a name, leaders or wide space, and a figure. */
const led =
  /^\s*(?:[-*•]\s*)?(?<name>\p{L}[^\d%=]{1,46}?)\s*(?:\.{2,}|…+|\s{3,}|\t+|\s[-–—:=]\s)\s*(?<pct>\d+(?:[.,]\d+)?)\s*%?\s*$/u;
const flourName = /\b(?:flour|meal|semolina|mehl|farine|harina|farina)\b/i;

const baseLine =
  /^\s*(?<name>[\p{L} -]{0,20}(?:flour|meal)[\p{L} -]{0,16}?)\s*\(?\s*(?<pct>100)\s*%\s*\)?(?<rest>[^\n]*)$/iu;

export interface Shared {
  readonly lines: readonly string[];
  /** The weight of flour that the shares were worked out with, g; null when the lines hold no shares. */
  readonly flourG: number | null;
  /** True where the text gives neither flour nor total, so that the weight is a guess. */
  readonly guessed: boolean;
}

/**
 * Baker's percentages as weights. Flour is a hundred; its weight stands in the text ("flour 600 g"), or follows from a
 * total weight, or is taken as 500 g and asked about.
 */
export function unshared(lines: readonly string[]): Shared {
  // "Flour (100%) = 12 lb": the other figures of the list are shares of it
  const base = /\b(?:flour|meal|mehl|farine|harina|farina)\b[^\n]{0,16}\b100\s*%|100\s*%[^\n]{0,12}\bflour\b/i.test(
    lines.join('\n'),
  );
  const based = base && lines.filter((l) => led.test(l)).length >= 3;
  const found = lines.map(
    (l) => share.exec(l)?.groups ?? (based ? (led.exec(l)?.groups ?? baseLine.exec(l)?.groups) : undefined),
  );
  const rows = found.filter((g) => g !== undefined);
  const isTotal = (name: string): boolean => /^\s*(?:total|sum|yield|gesamt)/i.test(name);
  const nameOf = (g: Record<string, string | undefined>): string => (g['name'] ?? g['name2'] ?? '').trim();
  const pctOf = (g: Record<string, string | undefined>): number => readNumber(g['pct'] ?? g['pct2'] ?? '') ?? 0;
  const flours = rows.filter((g) => g && flourName.test(nameOf(g)));
  const flourPct = flours.reduce((s, g) => s + (g ? pctOf(g) : 0), 0);
  if (rows.length < 3 || Math.abs(flourPct - 100) > 1) return { lines, flourG: null, guessed: false };
  const text = lines.join('\n');
  const grams = (m: RegExpExecArray | null): number | null =>
    m?.[1]
      ? (readNumber(m[1]) ?? 0) *
        (/^k/i.test(m[2] ?? '') ? 1000 : /^l/i.test(m[2] ?? '') ? 453.59 : /^o/i.test(m[2] ?? '') ? 28.35 : 1)
      : null;
  const said =
    grams(/flour[^\n%]{0,16}?(\d+(?:[.,]\d+)?)\s*(kg|g|lbs?|oz)\b/i.exec(text)) ??
    grams(/flour[^\n]{0,14}100\s*%[^\n\d]{0,6}(\d+(?:[.,]\d+)?)\s*(kg|g|lbs?|oz)\b/i.exec(text)) ??
    grams(/(\d+(?:[.,]\d+)?)\s*(kg|g)\s+(?:of\s+)?(?:\w+\s+)?flour/i.exec(text));
  const total =
    grams(/(?:total|batch|dough|batter|yield|makes)[^\n%]{0,30}?(\d+(?:[.,]\d+)?)\s*(kg|g)\b/i.exec(text)) ??
    grams(/(\d+(?:[.,]\d+)?)\s*(kg|g)\s+(?:of\s+)?(?:dough|batter|in all|altogether|total)\b/i.exec(text));
  const sum = rows.reduce((s, g) => s + (g && !isTotal(nameOf(g)) ? pctOf(g) : 0), 0);
  const flourG = said ?? (total !== null && sum > 0 ? (100 * total) / sum : 500);
  const out = lines.flatMap((l, i) => {
    const g = found[i];
    if (!g) return [l];
    if (isTotal(nameOf(g))) return [];
    const weight = Number(((flourG * pctOf(g)) / 100).toFixed(2));
    const rest = (g['rest'] ?? '').trim();
    // what stands behind the flour's hundred says its weight, and perhaps more
    const more = baseLine.test(l) ? (/[.;]\s+(\S.*)$/.exec(rest)?.[1] ?? '') : '';
    return [`${weight} g ${nameOf(g)}${rest && !baseLine.test(l) ? ` ${rest}` : ''}`, ...(more ? [more] : [])];
  });
  return { lines: out, flourG, guessed: said === null && total === null };
}
