import Papa from 'papaparse';

type Row = Readonly<Record<string, string>>;

const column = (row: Row, names: RegExp): string => {
  for (const [k, v] of Object.entries(row)) if (names.test(k.trim())) return String(v ?? '').trim();
  return '';
};

const heads = {
  title: /^(?:title|recipe|recipe name|name)$/i,
  ingredients: /^ingredients?(?: list)?$/i,
  ingredient: /^(?:ingredient|item|food|what|name|product)$/i,
  amount: /^(?:amount|quantity|qty|how much|menge)$/i,
  unit: /^(?:units?|measure)$/i,
  grams: /^(?:grams?|g|weight(?: \(?g\)?)?|weight in g)$/i,
  group: /^(?:group|section|part)$/i,
  note: /^(?:notes?|comment|preparation|remark)$/i,
  method: /^(?:method|instructions?|directions?|steps?)$/i,
};

/** Whether a text is a table: a first line of at least two column names that a recipe would have. */
export function looksLikeCsv(text: string): boolean {
  const first = text.trimStart().split(/\r?\n/, 1)[0] ?? '';
  const cells = first.split(/[,;\t]/).map((c) => c.replace(/^"|"$/g, '').trim());
  return (
    cells.length > 1 &&
    cells.filter((c) => Object.values(heads).some((h) => h.test(c)) || /^(?:kind|role|text|id)$/i.test(c)).length >= 2
  );
}

/**
 * Turns a table into the lines of recipes. A table with a row a line of one recipe gives one; a table with a row a recipe
 * (title and ingredients in columns) gives one for each.
 */
export function fromCsv(text: string): string[] {
  const { data, meta } = Papa.parse<Row>(text.trim(), { header: true, skipEmptyLines: 'greedy' });
  const fields = meta.fields ?? [];
  const has = (re: RegExp): boolean => fields.some((f) => re.test(f.trim()));
  if (has(/^kind$/i) && has(/^text$/i)) return [ownTable(data)];
  if (has(heads.title) && has(heads.ingredients) && !has(heads.amount))
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
  let group = '';
  const lines = ['Ingredients'];
  for (const r of data) {
    const g = column(r, heads.group);
    if (g !== group && g !== '') lines.push('', `${g}:`);
    group = g;
    const weight = column(r, heads.grams);
    const name = column(r, heads.ingredient) || column(r, heads.ingredients);
    const amount = [column(r, heads.amount), column(r, heads.unit)].filter((x) => x !== '').join(' ');
    const note = column(r, heads.note);
    if (name === '') continue;
    const stated = amount === '' ? (weight === '' ? '' : `${weight.replace(/\s*g$/i, '')} g`) : amount;
    lines.push(
      `${stated} ${name}${amount !== '' && weight !== '' ? ` (${weight.replace(/\s*g$/i, '')} g)` : ''}${note === '' ? '' : `, ${note}`}`.trim(),
    );
  }
  return [lines.join('\n')];
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
