import fc from 'fast-check';
import {
  asFraction,
  catalogueRow,
  convert,
  defaultKitchen,
  findIngredients,
  ingredients,
  readRecipe,
  scanAmounts,
  teaspoonMl,
} from '../src/index.js';
import { matchIngredient } from '../src/recipe/match.js';
import { measuresIn } from '../src/recipe/measures.js';
import { readSpoken } from '../src/quantity/spoken.js';
import { tablespoonMl } from '../src/quantity/units.js';
import { oneLine } from './support/line.js';

const ones = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];
const quarters = ['', ' and a quarter', ' and a half', ' and three quarters'];
const figures = ['', ' 1/4', ' 1/2', ' 3/4'];

describe('amounts in any dress', () => {
  it('are one amount: said, in fractions, in decimals, with a comma', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 0, max: 3 }),
        fc.constantFrom('cups', 'tsp', 'tablespoons'),
        (n, q, unit) => {
          const value = n + q / 4;
          const ways = [
            `${ones[n - 1] ?? ''}${quarters[q] ?? ''} ${unit} milk`,
            `${n}${figures[q] ?? ''} ${unit} milk`,
            `${value} ${unit} milk`,
            `${String(value).replace('.', ',')} ${unit} milk`,
            `${asFraction(value)} ${unit} milk`,
          ];
          for (const w of ways) {
            const found = scanAmounts(w);
            expect(found.length).withContext(w).toBe(1);
            expect(found[0]?.value).withContext(w).toBeCloseTo(value, 3);
          }
        },
      ),
    );
  });

  it('hundreds are said in several ways', () => {
    for (const [words, n] of [
      ['two hundred and fifty', 250],
      ['a hundred and twenty', 120],
      ['one hundred', 100],
      ['seventy five', 75],
      ['half a dozen', 6],
      ['three quarters', 0.75],
      ['a dozen', 12],
    ] as const)
      expect(readSpoken(words)).withContext(words).toBe(n);
  });

  it('weigh the same before the name and behind it, plain or decorated', () => {
    const plain = ingredients.filter((i) => i.role === 'flour' || i.role === 'sugar' || i.role === 'liquid');
    fc.assert(
      fc.property(fc.constantFrom(...plain), fc.integer({ min: 2, max: 900 }), (i, g) => {
        const name = i.name.replace(/,.*/, '');
        if (matchIngredient(name)?.id !== i.id || / (?:with|from) /.test(name)) return;
        for (const line of [
          `${g} g ${name}`,
          `${name} ${g} g`,
          `${name}: ${g}g`,
          `- ${g}g ${name.toUpperCase()}`,
          `${g} grams of ${name}`,
          `about ${g} g ${name}, sifted`,
          `${name} - ${g} g`,
        ]) {
          const { items, doubts } = oneLine(line);
          expect(items.map((x) => [x.ingredient, x.grams]))
            .withContext(line)
            .toEqual([[i.id, g]]);
          expect(doubts).withContext(line).toEqual([]);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('of two parts weigh their sum', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 6 }), (a, b) => {
        const one = (line: string): number => oneLine(line).item.grams;
        expect(one(`${a} cups plus ${b} tbsp milk`)).toBeCloseTo(one(`${a} cups milk`) + one(`${b} tbsp milk`), 1);
        expect(one(`${a} lb ${b} oz flour`)).toBeCloseTo(one(`${a} lb flour`) + one(`${b} oz flour`), 1);
        expect(one(`${a} x ${b}00 g tins coconut milk`)).toBeCloseTo(a * b * 100, 1);
      }),
    );
  });
});

describe('measures', () => {
  const { measures } = defaultKitchen;
  it('keep to a spoon of three or, in Australia, four', () => {
    expect(tablespoonMl({ spoonMl: 5 })).toBe(15);
    expect([teaspoonMl({ spoonMl: 20 }), tablespoonMl({ spoonMl: 20 })]).toEqual([5, 20]);
    expect([teaspoonMl({ spoonMl: 15 }), tablespoonMl({ spoonMl: 17.7 })]).toEqual([5, 17.7]);
    expect(convert(1, 'tbsp', 'ml', { ...measures, spoonMl: 20 })).toBe(20);
  });
  it('are taken from the text when it gives them away', () => {
    expect(measuresIn('1 cup (250ml) milk\n½ cup (125 ml) oil', measures).cupMl).toBe(250);
    expect(measuresIn('1 cup (240 ml) milk, ¼ cup (60 ml) oil, ⅓ cup (80 ml) syrup', measures).cupMl).toBe(240);
    expect(measuresIn('2 tablespoons (40ml) milk', measures).spoonMl).toBe(20);
    // two sizes in one text say nothing
    expect(measuresIn('1 cup (250 ml) milk, 1 cup (236 ml) oil', measures).cupMl).toBe(measures.cupMl);
    const australian = readRecipe(
      'Cups\n2 cups plain flour\n1 cup (250ml) milk\n1 tablespoon (20 ml) oil\n2 tsp baking powder',
    ).formula;
    expect(australian.source.cupMl).toBe(250);
    expect(australian.groups.flatMap((g) => g.items).find((i) => i.ingredient === 'plain-flour')?.grams).toBeCloseTo(
      2 * 250 * 0.515,
      0,
    );
  });
});

describe('names', () => {
  it('of every ingredient are its own, singular or plural, in any case and among words that change nothing', () => {
    for (const i of ingredients)
      for (const name of [i.name.replace(/,.*/, ''), ...i.aliases]) {
        const own = matchIngredient(name)?.id;
        for (const line of [
          name.toUpperCase(),
          `fresh ${name}`,
          `${name} at room temperature`,
          `the best ${name} you have`,
        ]) {
          const m = matchIngredient(line);
          // "fresh figs" is a name of its own
          if (m && m.odd.length === 0 && !m.words.startsWith('fresh'))
            expect([own, i.id]).withContext(line).toContain(m.id);
        }
      }
  });

  it('with a strange word beside them are never taken without asking', () => {
    const strange = fc.constantFrom('glimmer', 'zorb', 'quonk', 'frimble');
    fc.assert(
      fc.property(fc.constantFrom(...ingredients), strange, fc.boolean(), (i, word, before) => {
        const name = i.name.replace(/,.*/, '');
        // what follows "from" or "with" is a remark, not the name
        if (!before && / (?:with|from|in) /.test(name)) return;
        expect(oneLine(before ? `100 g ${word} ${name}` : `100 g ${name} ${word}`).doubts.length)
          .withContext(`${word} ${name}`)
          .toBeGreaterThan(0);
      }),
      { numRuns: 200 },
    );
  });

  it('with a slip of the keyboard are found, and asked about', () => {
    for (const [typed, id] of [
      ['buttter', 'butter'],
      ['cinamon', 'cinnamon'],
      ['vanila extract', 'vanilla-extract'],
      ['baking sodda', 'baking-soda'],
      ['buttermlk', 'buttermilk'],
      ['wallnuts', 'walnut'],
    ] as const) {
      const { item, doubts } = oneLine(`100 g ${typed}`);
      expect(item.ingredient).withContext(typed).toBe(id);
      expect(doubts.map((d) => d.kind))
        .withContext(typed)
        .toEqual(['unknown-ingredient']);
      expect(findIngredients(typed, undefined, 5).map((i) => i.id))
        .withContext(typed)
        .toContain(id);
    }
  });

  it('of the kitchen’s own ingredients come first', () => {
    const own = { ...catalogueRow('plain-flour'), id: 'own-flour', name: 'Flour', aliases: ['house flour'] };
    const kitchen = { ...defaultKitchen, ownIngredients: [own] };
    expect(oneLine('100 g flour', kitchen).item.ingredient).toBe('own-flour');
    expect(oneLine('100 g house flour', kitchen).item.ingredient).toBe('own-flour');
    expect(oneLine('100 g flour').item.ingredient).toBe('plain-flour');
  });
});
