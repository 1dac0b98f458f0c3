import Papa from 'papaparse';
import { isHead, rowsToLines } from './table.js';

type Row = Readonly<Record<string, string>>;

const column = (row: Row, names: RegExp): string => {
  for (const [k, v] of Object.entries(row)) if (names.test(k.trim())) return String(v ?? '').trim();
  return '';
};

const heads = {
  title: /^(?:title|recipe|recipe name|name)$/i,
  ingredients: /^ingredients?(?: list)?$/i,
  method: /^(?:method|instructions?|directions?|steps?)$/i,
};
const own = /^(?:kind|text)$/i;

const firstRow = (text: string): string[] => {
  const line =
    text
      .replace(/^\ufeff/, '')
      .trimStart()
      .split(/\r?\n/, 1)[0] ?? '';
  const by = [',', ';', '\t'].map((d) => [d, line.split(d).length] as const).sort((a, b) => b[1] - a[1])[0];
  return by && by[1] > 1 ? line.split(by[0]).map((c) => c.replace(/^"|"$/g, '').trim()) : [];
};

/** Whether a text is a table: a first line of at least two column names that a recipe would have. */
export function looksLikeCsv(text: string): boolean {
  const cells = firstRow(text);
  if (cells.length < 2 || cells.some((c) => c.length > 40)) return false;
  if (cells.filter((c) => own.test(c)).length === 2) return true;
  const whole = cells.some((c) => heads.title.test(c)) && cells.some((c) => heads.ingredients.test(c));
  return whole || isHead(cells);
}

/**
 * Turns a table into the lines of recipes. A table with a row a line of one recipe gives one; a table with a row a recipe
 * (title and ingredients in columns) gives one for each. What stands below the table is kept as it is.
 */
export function fromCsv(text: string): string[] {
  const clean = text.replace(/^\ufeff/, '').trim();
  const { data, meta } = Papa.parse<Row>(clean, { header: true, skipEmptyLines: 'greedy' });
  const fields = meta.fields ?? [];
  const has = (re: RegExp): boolean => fields.some((f) => re.test(f.trim()));
  if (has(/^kind$/i) && has(/^text$/i)) return [ownTable(data)];
  if (has(heads.title) && has(heads.ingredients) && !isHead(fields))
    return data.map((r) =>
      [
        column(r, heads.title) || 'Untitled',
        '',
        'Ingredients',
        ...column(r, heads.ingredients).split(/\n|\s*[|;]\s*/),
        '',
        'Method',
        ...column(r, heads.method).split(/\n|\s*\|\s*/),
        ...Object.entries(r)
          .filter(([k]) => /^(?:yield|makes|serves|oven|bake|tin|temperature)$/i.test(k.trim()))
          .map(([k, v]) => `${k}: ${v}`),
      ].join('\n'),
    );
  const grid = Papa.parse<string[]>(clean, { header: false, skipEmptyLines: 'greedy', delimiter: meta.delimiter }).data;
  const [head = [], ...rest] = grid;
  // prose below the table has commas of its own: it is no row of it
  const last = rest.findLastIndex(
    (r) => r.length >= 2 && /\d/.test(r.slice(1, 4).join(' ')) && (r[0] ?? '').length < 60,
  );
  const list: string[][] = [];
  const below: string[] = [];
  for (const [i, r] of rest.entries()) {
    const prose =
      r.length > head.length || (r[0] ?? '').length > 60 || /^(?:method|pat|bake|mix|oven)\b/i.test(r[0] ?? '');
    if (i > last || prose) below.push(r.join(meta.delimiter === ';' ? '; ' : ', ').replace(/[,;\s]+$/, ''));
    else list.push(r);
  }
  return [
    ['Ingredients', ...rowsToLines(head, list), ...(below.length > 0 ? ['', 'Method', ...below] : [])].join('\n'),
  ];
}

/** Orvin's own table: a row each for title, head, group, ingredient, step and note, in the words of the card. */
function ownTable(rows: readonly Row[]): string {
  const out: string[] = [];
  let section = '';
  for (const r of rows) {
    const kind = column(r, /^kind$/i);
    // the guard against spreadsheet formulas that writing puts on
    const said = column(r, /^text$/i).replace(/^'(?=[=+\-@])/, '');
    if (kind === 'ingredient' && section === '') {
      section = 'i';
      out.push('', 'Ingredients');
    }
    if (kind === 'group') {
      if (section === '') out.push('', 'Ingredients');
      section = 'i';
      out.push('', `${said}:`);
    } else if (kind === 'step') {
      if (section !== 'm') out.push('', 'Method');
      section = 'm';
      out.push(`1. ${said}`);
    } else if (kind === 'note') {
      if (section !== 'n') out.push('', 'Notes');
      section = 'n';
      out.push(said);
    } else out.push(said);
  }
  return out.join('\n');
}
