import fc from 'fast-check';
import {
  asFraction,
  asMeasured,
  catalogueRow,
  convert,
  defaultKitchen,
  gramsOf,
  OrvinError,
  printEntered,
  readAmount,
  readNumber,
  scanAmounts,
  units,
} from '../src/index.js';

const m = defaultKitchen.measures;

describe('numbers', () => {
  it('reads every form in which a recipe writes them', () => {
    const forms: [string, number][] = [
      ['2', 2],
      ['1/2', 0.5],
      ['1 1/2', 1.5],
      ['1-1/2', 1.5],
      ['1½', 1.5],
      ['½', 0.5],
      ['2.5', 2.5],
      ['2,5', 2.5],
      ['1,500', 1500],
      ['3 ¾', 3.75],
      ['1⁄3', 1 / 3],
    ];
    for (const [text, value] of forms) expect(readNumber(text)).withContext(text).toBeCloseTo(value, 3);
  });

  it('prints what it can read again, within the step of the spoons', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 160 }), (eighths) => {
        const x = eighths / 8;
        expect(Math.abs((readNumber(asFraction(x)) ?? 0) - x)).toBeLessThanOrEqual(0.021 * x);
      }),
    );
  });
});

describe('units', () => {
  it('convert there and back', () => {
    const pairs = units.flatMap((a) =>
      units.filter((b) => a.dimension === b.dimension).map((b) => [a.id, b.id] as const),
    );
    fc.assert(
      fc.property(fc.constantFrom(...pairs), fc.double({ min: 0.01, max: 1e4, noNaN: true }), ([a, b], x) => {
        const back = convert(convert(x, a, b, m), b, a, m);
        expect(Math.abs(back - x)).toBeLessThan(1e-9 * Math.max(1, x) + 1e-9);
      }),
    );
  });

  it('never turn a mass into a volume', () => {
    expect(() => convert(1, 'g', 'ml', m)).toThrowMatching((e) => e instanceof OrvinError && e.code === 'dimension');
    expect(() => convert(1, 'g', 'hogshead', m)).toThrowMatching(
      (e) => e instanceof OrvinError && e.code === 'unknown-unit',
    );
  });

  it('keep the definitions', () => {
    expect(convert(350, 'F', 'C', m)).toBeCloseTo(176.67, 2);
    expect(convert(1, 'lb', 'oz', m)).toBeCloseTo(16, 6);
    expect(convert(1, 'tbsp', 'tsp', m)).toBeCloseTo(3, 9);
  });
});

describe('amounts', () => {
  const flour = catalogueRow('plain-flour');
  const cup = { value: 1, unit: 'cup' };

  it('weigh a cup of flour by the habit that filled it', () => {
    const at = (flourHabit: 'sifted' | 'spooned' | 'dipped' | 'packed'): number =>
      gramsOf(cup, flour, { ...m, cupMl: 236.6, flourHabit }) ?? 0;
    expect(at('sifted')).toBeGreaterThan(100);
    expect(at('sifted')).toBeLessThan(110);
    expect(at('spooned')).toBeCloseTo(122, 0);
    expect(at('dipped')).toBeGreaterThan(140);
    expect(at('dipped')).toBeLessThan(150);
    expect(at('packed')).toBeLessThan(165);
  });

  it('know eggs, sticks and spoons', () => {
    expect(gramsOf({ value: 3, unit: 'piece' }, catalogueRow('egg'), { ...m, eggSize: 'us-l' })).toBeCloseTo(150, 6);
    expect(gramsOf({ value: 1, unit: 'stick' }, catalogueRow('butter'), m)).toBeCloseTo(113.4, 1);
    const soda = gramsOf({ value: 1, unit: 'tsp' }, catalogueRow('baking-soda'), { ...m, spoonMl: 4.93 }) ?? 0;
    expect(soda).toBeGreaterThan(4.6);
    expect(soda).toBeLessThan(6);
    expect(gramsOf({ value: 2, unit: 'piece' }, flour, m)).toBeNull();
  });

  it('read what a baker types', () => {
    const butter = catalogueRow('butter');
    const cases: [string, number][] = [
      ['240', 240],
      ['1/2 cup', 115],
      ['1 stick', 113.4],
      ['100 g + 1 tbsp', 114.4],
      ['4 oz', 113.4],
    ];
    for (const [text, g] of cases)
      expect(readAmount(text, butter, m)?.grams)
        .withContext(text)
        .toBeCloseTo(g, -0.5);
    expect(readAmount('2 eggs', catalogueRow('egg'), m)?.grams).toBeCloseTo(100, 0);
    for (const text of ['', 'lots', 'two handfuls', '-50', '− 2 cups'])
      expect(readAmount(text, butter, m))
        .withContext(text)
        .toBeNull();
  });

  it('find amounts with their spans', () => {
    const line = '½ cup plus 2 tablespoons (125 g) sugar';
    expect(scanAmounts(line).map((f) => [f.value, f.unit, line.slice(f.from, f.to)])).toEqual([
      [0.5, 'cup', '½ cup'],
      [2, 'tbsp', '2 tablespoons'],
      [125, 'g', '125 g'],
    ]);
    expect(scanAmounts('2-3 tbsp milk')[0]?.value).toEqual([2, 3]);
    expect(scanAmounts('a pinch of salt')[0]?.unit).toBe('pinch');
    expect(scanAmounts('1 T oil')[0]?.unit).toBe('tbsp');
    expect(scanAmounts('1 t oil')[0]?.unit).toBe('tsp');
    expect(printEntered({ value: 1.5, unit: 'cup' })).toBe('1½ cups');
  });

  it('show a weight in measures that weigh the same again, within a coarse spoon', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('plain-flour', 'caster-sugar', 'milk', 'butter', 'neutral-oil'),
        fc.integer({ min: 15, max: 900 }),
        (id, g) => {
          const i = catalogueRow(id);
          const back = readAmount(asMeasured(g, i, m), i, m)?.grams ?? 0;
          expect(Math.abs(back - g))
            .withContext(`${g} g ${id}: ${asMeasured(g, i, m)}`)
            .toBeLessThan(Math.max(4, 0.09 * g));
        },
      ),
    );
  });
});
