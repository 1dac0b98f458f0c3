import fc from 'fast-check';
import {
  allItems,
  drawnSigns,
  fractionReadings,
  lastSigns,
  mayBeFraction,
  readPicture,
  readRecipe,
  recipesSeen,
  settle,
  written,
  type Drawn,
  type Greys,
  type RecipeDraft,
  type SeenLine,
  type SeenPage,
} from '../src/index.js';
import { size } from './support/runs.js';

const ASPECT = 0.75;
/** A page of print as a recogniser sees it: each word in its place, sure of every sign unless said. */
function page(lines: readonly string[], sure: (word: string, line: number) => number = () => 0.99): SeenPage {
  const seen = lines.flatMap((text, no): SeenLine[] => {
    if (text === '') return [];
    const y = 0.05 + no * 0.03;
    const words = [...text.matchAll(/\S+/g)].map((m) => ({
      text: m[0],
      box: { x: 0.05 + m.index * 0.012, y, w: m[0].length * 0.012, h: 0.02 },
      signs: [...m[0]].map(() => sure(m[0], no)),
    }));
    return [{ words, box: { x: 0.05, y, w: text.length * 0.012, h: 0.02 } }];
  });
  return { lines: seen, aspect: ASPECT };
}

const card = [
  'Plum tray cake',
  '',
  '250 g plain flour',
  '3 tsp baking powder',
  '130 g caster sugar',
  '120 g butter',
  '2 eggs',
  '150 ml milk',
  '',
  'Bake in a 20 x 30 cm tin at 180 °C for 35 minutes.',
];
const read = (lines: readonly string[], sure?: (word: string, line: number) => number): RecipeDraft =>
  readPicture(written([page(lines, sure)]));
const grams = (d: RecipeDraft, ingredient: string): number | undefined =>
  allItems(d.formula).find((i) => i.ingredient === ingredient)?.grams;

describe('a recipe in a picture', () => {
  it('reads as its text does where the recogniser is sure, with a place for every line', () => {
    const seen = written([page(card)]);
    expect(seen.text).toBe(card.join('\n'));
    expect(seen.lines.map((l) => l.place !== null)).toEqual(card.map((l) => l !== ''));
    const draft = readPicture(seen);
    const { pictured, ...rest } = draft;
    expect(rest).toEqual(readRecipe(card.join('\n')));
    expect(pictured?.map((p) => p.length)).toEqual(card.map((l) => (l === '' ? 0 : 1)));
  });

  it('asks about a number it was not sure of, where it stands, with what it may be instead', () => {
    const draft = read(card, (word) => (word === '130' ? 0.9 : 0.99));
    const [doubt, ...others] = draft.doubts;
    expect(others).toEqual([]);
    expect(doubt?.kind).toBe('scan');
    expect(doubt?.place).toEqual({ line: 4, from: 0, to: 3 });
    expect(doubt?.choices.map((c) => c.words)).toEqual(['130 g, as read', '730 g', '180 g']);
    expect(grams(draft, 'caster-sugar')).toBe(130);
    const other = settle(draft, doubt?.id ?? '', doubt?.choices.find((c) => c.words === '180 g')?.id ?? '');
    expect(grams(other, 'caster-sugar')).toBe(180);
    expect(other.doubts).toEqual([]);
    expect(allItems(settle(draft, doubt?.id ?? '', 'keep').formula)).toEqual(allItems(draft.formula));
  });

  it('asks alike about a heat, and about nothing that no figure was read from', () => {
    const draft = read(card, (word) => (word === '180' ? 0.8 : 0.99));
    const [doubt] = draft.doubts.filter((d) => d.kind === 'scan');
    expect(doubt?.place?.line).toBe(9);
    const other = settle(draft, doubt?.id ?? '', doubt?.choices[1]?.id ?? '');
    expect(other.formula.bake?.ovenC).toBe(130);
    expect(read(card, (word) => (/^\p{L}+/u.test(word) ? 0.5 : 0.99)).doubts).toEqual([]);
  });

  it('takes what stands where a fraction should for one, and asks which', () => {
    const lines = card.map((l) => l.replace('3 tsp', 'Y% tsp').replace('120 g butter', '1% cups butter'));
    const draft = read(lines);
    expect(grams(draft, 'baking-powder')).toBeCloseTo((grams(read(card), 'baking-powder') ?? 0) / 6, 1);
    const asked = draft.doubts.filter((d) => d.kind === 'scan').map((d) => d.choices.map((c) => c.words));
    expect(asked).toContain(['½ tsp, as read', '¼ tsp', '¾ tsp', '⅓ tsp', '⅔ tsp']);
    expect(asked).toContain(['1½ cups, as read', '1¼ cups', '1¾ cups', '1⅓ cups', '1⅔ cups']);
  });

  it('believes what the picture said when it was looked at again: one reading is sure, several are asked', () => {
    const again = (readings: readonly string[]): RecipeDraft => {
      const seen = page(card.map((l) => l.replace('3 tsp', '5 tsp')));
      const lines = seen.lines.map((l) => ({
        ...l,
        words: l.words.map((w) => (w.text === '5' ? { ...w, again: readings } : w)),
      }));
      return readPicture(written([{ ...seen, lines }]));
    };
    const whole = grams(read(card), 'baking-powder') ?? 0;
    expect(grams(again(['¾']), 'baking-powder')).toBeCloseTo(whole / 4, 1);
    // that so little powder is odd is another question
    expect(again(['¾']).doubts.filter((d) => d.kind === 'scan')).toEqual([]);
    const asked = again(['¾', '¼', '5']).doubts.find((d) => d.kind === 'scan');
    expect(asked?.choices.map((c) => c.words)).toEqual(['¾ tsp, as read', '¼ tsp', '5 tsp']);
  });

  it('mends counts and measures that a lens misspells, and drops the marks of a list', () => {
    const lines = ['Plum cake', '', '• 250 g plain flour', '3 thsp sugar', 'Legg', '2 0z butter', '11/2 cups milk', '3 ozsultanas']; // prettier-ignore
    const clean = 'Plum cake\n\n250 g plain flour\n3 tbsp sugar\n1 egg\n2 oz butter\n1 1/2 cups milk\n3 oz sultanas';
    const meant = (d: RecipeDraft): unknown => allItems(d.formula).map((i) => [i.ingredient, i.grams]);
    expect(meant(read(lines))).toEqual(meant(readRecipe(clean)));
    expect(allItems(readRecipe(clean).formula).length).toBe(6);
  });

  it('says what it mended and how much more it is unsure of, and takes no year for a weight', () => {
    const mended = read(card.map((l) => l.replace('35 minutes', '3S minutes').replace('120 g butter', '12 02 butter')));
    expect(mended.formula.bake?.minutes).toEqual({ early: 35, late: 35 });
    expect(mended.doubts.filter((d) => d.kind === 'scan' && d.place?.line === 9).length).toBe(1);
    expect(mended.doubts.some((d) => d.words.includes('02 → oz'))).toBe(true);
    const long = [...card.slice(0, 2), ...Array.from({ length: 30 }, (_, i) => `${31 + i} g raisins`)];
    const unsure = read(long, () => 0.8);
    expect(unsure.doubts.some((d) => d.words.includes('6 more of its numbers'))).toBe(true);
    const years = page(['1959 Winning cake', '', '2509 plain flour']);
    expect(written([years]).text.split(/\n+/)).toEqual(['1959 Winning cake', '250 g plain flour']);
  });

  it('keeps columns and pages in their order, and parts several recipes with the places of each', () => {
    const right = page(card.slice(2)).lines.map((l) => ({ ...l, box: { ...l.box, x: 0.6 } }));
    const columns = written([{ aspect: ASPECT, lines: [...page(card).lines, ...right] }]);
    expect(columns.text).toContain('35 minutes.\n\n250 g plain flour');
    const scones = ['Rye scones', '', '300 g rye flour', '4 tsp baking powder', '60 g butter', '160 ml milk', '', 'Bake at 210 °C for 15 minutes.']; // prettier-ignore
    const parts = recipesSeen(written([page(card), page(scones)]));
    expect(parts.map((p) => readPicture(p).formula.title)).toEqual(['Plum tray cake', 'Rye scones']);
    for (const [n, p] of parts.entries()) {
      expect(p.lines.length).toBe(p.text.split('\n').length);
      expect(new Set(p.lines.flatMap((l) => l.place?.page ?? []))).toEqual(new Set([n]));
    }
  });

  it('never throws, whatever was seen, and every place it asks about is in the text', () => {
    const word = fc.oneof(
      fc.constantFrom('250', 'g', 'flour', 'Y%', '|', 'tsp', '1%', '4SOF.', '20', 'x', '30', 'cm', 'tin', 'eggs', 'Bake', '½', '~', '2509', 'min'), // prettier-ignore
      fc.string({ minLength: 1, maxLength: 8 }).filter((s) => !/\s/.test(s)),
    );
    const lines = fc.array(
      fc.array(word, { minLength: 1, maxLength: 9 }).map((w) => w.join(' ')),
      { maxLength: 14 },
    );
    fc.assert(
      fc.property(lines, fc.double({ min: 0, max: 1, noNaN: true }), (text, sure) => {
        const draft = read(text, () => sure);
        const shown = draft.lines ?? written([page(text)]).text.split('\n');
        for (const d of draft.doubts)
          if (d.place) expect(shown[d.place.line]?.length).toBeGreaterThanOrEqual(d.place.to);
        for (const d of draft.doubts) for (const c of d.choices) settle(draft, d.id, c.id);
      }),
      { numRuns: size(1000, 40) },
    );
  });
});

/** Figures of 3 by 5 cells, a fraction's one above the other about a stroke. */
const figures: Readonly<Record<string, string>> = {
  1: '.#.##..#..#.###',
  2: '##...#.#.#..###',
  3: '##...#.#...###.',
  4: '#.##.####..#..#',
};
function drawing(
  parts: readonly { readonly figure: string; readonly x: number; readonly y: number }[],
  stroke: boolean,
): Greys {
  // prettier-ignore
  const [width, height, k] = [60, 44, 4];
  const data = new Uint8ClampedArray(width * height).fill(250);
  const dot = (x: number, y: number): void => {
    for (let i = 0; i < k; i++) for (let j = 0; j < k; j++) data[(y + i) * width + x + j] = 20;
  };
  for (const p of parts)
    [...(figures[p.figure] ?? '')].forEach((c, i) => c === '#' && dot(p.x + (i % 3) * k, p.y + Math.floor(i / 3) * k));
  if (stroke) for (let i = 0; i < 36; i++) dot(40 - Math.floor(i * 0.6), i + 2);
  return { width, height, data };
}
const fraction = (upper: string, lower: string): Greys =>
  drawing([{ figure: upper, x: 12, y: 2 }, { figure: lower, x: 36, y: 22 }], true); // prettier-ignore

describe('a fraction that has no letter', () => {
  const pairs: Readonly<Record<string, readonly [string, string]>> = { '½': ['1', '2'], '¼': ['1', '4'], '¾': ['3', '4'], '⅓': ['1', '3'], '⅔': ['2', '3'] }; // prettier-ignore
  const drawn: readonly Drawn[] = [
    ...Object.entries(pairs).map(([sign, [a, b]]) => ({ sign, drawn: lastSigns(fraction(a, b)).at(-1) })),
    ...Object.keys(figures).map((f) => ({ sign: f, drawn: lastSigns(drawing([{ figure: f, x: 20, y: 10 }], false)).at(-1) })), // prettier-ignore
  ].flatMap((d) => (d.drawn ? [{ sign: d.sign, drawn: d.drawn }] : []));

  it('is told by its likeness to those that were drawn, and from a figure', () => {
    expect(drawn.every((d) => drawnSigns.includes(d.sign))).toBe(true);
    for (const [sign, [a, b]] of Object.entries(pairs))
      expect(fractionReadings(fraction(a, b), 'Y%', drawn)[0])
        .withContext(sign)
        .toBe(sign);
    expect(fractionReadings(drawing([{ figure: '4', x: 20, y: 10 }], false), '4', drawn)).toEqual([]);
    expect(fractionReadings(drawing([], false), '5', drawn)).toEqual([]);
  });

  it('is looked for only before a measure, in place of a number', () => {
    const at = (words: string): boolean => mayBeFraction(page([words]).lines[0] as SeenLine, 0);
    for (const words of ['Y% tsp soda', '% cup milk', '1% cups flour', 'Y, tsp salt', '8% x 4 inch']) expect(at(words)).withContext(words).toBe(true); // prettier-ignore
    for (const words of ['Yolks of eggs', '100 % rye', '250 g flour', 'Vanilla tsp']) expect(at(words)).withContext(words).toBe(false); // prettier-ignore
  });
});
