import fc from 'fast-check';
import { readRecipe, readRecipes } from '../src/index.js';
import { corpus, recipeCorpus } from './support/corpus.js';
import { oneLine } from './support/line.js';
import { runs, size } from './support/runs.js';

const lines = [...corpus('lines.txt'), ...corpus('held-out.txt')].map((c) => c.line);
const recipes = recipeCorpus().map((r) => r.text);

/** What holds of any reading of any text at all. */
function sound(text: string): void {
  const { formula, doubts, confidence, marks = [], lines: read } = readRecipe(text);
  expect(formula.format).toBe('orvin.formula');
  expect(confidence).toBeGreaterThanOrEqual(0);
  expect(confidence).toBeLessThanOrEqual(1);
  for (const g of formula.groups)
    for (const i of g.items) {
      if (!(Number.isFinite(i.grams) && i.grams >= 0)) fail(`${i.grams} g from ${JSON.stringify(text)}`);
      if (typeof i.words !== 'string' || i.words.length > 2000) fail(`words of ${i.id}`);
    }
  const shown = (read ?? text.split(/\r\n?|\n/)).map((l) => l.length);
  for (const m of marks)
    if (m.from < 0 || m.to < m.from || m.to > (shown[m.line] ?? -1))
      fail(`mark ${JSON.stringify(m)} in ${JSON.stringify(text)}`);
  for (const d of doubts) if (!d.choices.some((c) => c.id === d.likely)) fail(`no likely choice: ${d.words}`);
  // no markup of a page ever reaches a formula as markup that could run
  if (/<\s*(?:script|img|svg|iframe|a\s)/i.test(JSON.stringify(formula.groups)) && /^\s*<(?:html|!doctype)/i.test(text))
    fail('markup survived');
}

const bits = fc.constantFrom(
  '1',
  '½',
  '1/2',
  '⅓',
  '2-3',
  '0',
  '-4',
  '1e9',
  '999999999',
  'a',
  'cup',
  'cups',
  'g',
  'kg',
  'tsp',
  'of',
  'flour',
  'sugar',
  'soda',
  '(',
  ')',
  '[',
  ',',
  ';',
  ':',
  '/',
  '+',
  'plus',
  'and',
  'or',
  'each',
  'x',
  '%',
  '°C',
  '°F',
  'bake',
  'at',
  'for',
  'min',
  'hour',
  'zest',
  'juice',
  'lemon',
  'egg',
  'can',
  'to taste',
  'optional',
  '\n',
  '\t',
  '\u00a0',
  '—',
  '…',
  '🍌',
  '\u202e',
  '\0',
  'NaN',
  'Infinity',
  '٣',
  '三',
  'ß',
  'é',
);
const tags = fc.constantFrom(
  '<p>',
  '</p>',
  '<li>',
  '<script>',
  '</script>',
  '<script type="application/ld+json">',
  '<img src=x onerror=alert(1)>',
  '<a href="javascript:alert(1)">',
  '<svg/onload=alert(1)>',
  '<!--',
  '-->',
  '<![CDATA[',
  '&#x3c;script&#x3e;',
  '&frac12;',
  '&',
  '<',
  '<html>',
  '<body>',
  '<h1>',
  '<table><tr><td>',
  '<iframe srcdoc="',
  '"',
  '>',
  '<style>*{}',
  '{"@type":"Recipe","recipeIngredient":["1 cup flour"]}',
  '2 cups flour',
);
const jsonish = fc.constantFrom(
  '{',
  '}',
  '[',
  ']',
  '"@type":"Recipe"',
  '"recipeIngredient":',
  '"format":"orvin.formula"',
  '"version":1',
  '"groups":',
  '"__proto__":',
  '"constructor":',
  ',',
  ':',
  'null',
  '1e999',
  '"1 cup flour"',
  '["2 eggs"]',
  '{}',
  '[]',
  '"name":"x"',
);

describe('whatever is pasted', () => {
  it('words of recipes in any order give a formula', () => {
    fc.assert(
      fc.property(fc.array(bits, { maxLength: 24 }), (w) => sound(w.join(' '))),
      { numRuns: runs(6000) },
    );
  });
  it('any string at all', () => {
    fc.assert(fc.property(fc.string({ unit: 'binary', maxLength: 160 }), sound), { numRuns: runs(5000) });
  });
  it('real lines cut, doubled and run together', () => {
    const cut = fc
      .tuple(fc.constantFrom(...lines), fc.constantFrom(...lines), fc.nat(40), fc.nat(40))
      .map(([a, b, i, j]) => a.slice(0, i) + b.slice(j));
    fc.assert(
      fc.property(cut, (l) => {
        const { items } = oneLine(l);
        expect(items.length > 0 && items.every((i) => Number.isFinite(i.grams)))
          .withContext(l)
          .toBeTrue();
      }),
      { numRuns: runs(5000) },
    );
  });
  it('real recipes with lines dropped, swapped and broken', () => {
    const broken = fc
      .tuple(fc.constantFrom(...recipes), fc.array(fc.tuple(fc.nat(1500), fc.nat(60), bits), { maxLength: 6 }))
      .map(([text, edits]) => edits.reduce((t, [at, n, s]) => t.slice(0, at) + s + t.slice(at + n), text));
    fc.assert(fc.property(broken, sound), { numRuns: size(20_000, 50) });
  });
  it('hostile pages', () => {
    fc.assert(
      fc.property(fc.array(tags, { maxLength: 20 }), (t) => sound(`<html>${t.join('')}`)),
      { numRuns: runs(2500) },
    );
  });
  it('hostile JSON', () => {
    fc.assert(
      fc.property(fc.array(jsonish, { maxLength: 16 }), (t) => sound(`{${t.join('')}`)),
      { numRuns: runs(2500) },
    );
    fc.assert(
      fc.property(fc.jsonValue(), (v) =>
        sound(JSON.stringify({ '@type': 'Recipe', recipeIngredient: v, recipeInstructions: v, name: v })),
      ),
      { numRuns: runs(1000) },
    );
  });

  it('takes bounded time and memory on texts made to hurt', () => {
    // a half as long hurts a quarter as much, and would still run away
    const times = (n: number): number => size(n, n / 2);
    const hurt = [
      '1'.repeat(times(50_000)),
      '1 '.repeat(times(20_000)),
      '('.repeat(times(20_000)),
      '1/'.repeat(times(20_000)),
      'a cup and a half and '.repeat(times(3000)),
      'flour and sugar 200 g mixed. '.repeat(times(2000)),
      '<div>'.repeat(times(50_000)),
      '<p>2 cups flour '.repeat(times(20_000)),
      '['.repeat(times(100_000)),
      '{"@graph":'.repeat(times(20_000)),
      `${'flour '.repeat(times(10_000))}\n`.repeat(3),
      '½'.repeat(times(10_000)),
      'and '.repeat(times(10_000)),
      '2 cups '.repeat(times(5000)),
      '"'.repeat(times(60_000)),
      'a,b,ingredient,amount\n'.repeat(times(5000)),
      ` ${' '.repeat(times(50_000))}x`,
      'one hundred '.repeat(times(4000)),
      '- '.repeat(times(20_000)),
      'bake at 180 for 20 min then '.repeat(times(1500)),
    ];
    // the runner's own time limit is the bound: a reader that ran away would never come back
    for (const text of hurt) sound(text);
    expect(readRecipes('---\n'.repeat(20_000)).length).toBeGreaterThan(0);
  });
});
