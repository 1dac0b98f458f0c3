import fc from 'fast-check';
import {
  allItems,
  assess,
  defaultKitchen,
  ingredients,
  readRecipe,
  scale,
  write,
  type Formula,
  type Tin,
} from '../src/index.js';
import { formula } from './support/make.js';

const known = ingredients.filter((i) => !['unknown'].includes(i.id));
const someItems = fc
  .uniqueArray(fc.constantFrom(...known.map((i) => i.id)), { minLength: 1, maxLength: 12 })
  .chain((ids) => fc.tuple(...ids.map((id) => fc.integer({ min: 1, max: 900 }).map((g): [string, number] => [id, g]))));
const tins: readonly Tin[] = [
  { id: 'a', name: '20 cm round', shape: 'round', topMm: 200, depthMm: 50, material: 'light metal' },
  { id: 'b', name: '23 × 13 cm loaf', shape: 'loaf', topMm: 222, top2Mm: 120, depthMm: 68, material: 'light metal' },
  { id: 'c', name: '33 × 23 cm sheet', shape: 'rect', topMm: 330, top2Mm: 230, depthMm: 50, material: 'light metal' },
  {
    id: 'd',
    name: '12-hole muffin tray',
    shape: 'cup',
    topMm: 70,
    baseMm: 51,
    depthMm: 36,
    cups: 12,
    material: 'light metal',
  },
];
const bakes = fc.record({
  ovenC: fc.integer({ min: 140, max: 230 }),
  early: fc.integer({ min: 10, max: 90 }),
  more: fc.integer({ min: 0, max: 20 }),
  tin: fc.constantFrom(...tins),
});

const by = (f: Formula): string[] =>
  allItems(f)
    .map((i) => `${i.ingredient} ${i.grams}`)
    .sort();

describe('a recipe card that is written and read again', () => {
  it('has the same ingredients, weighing the same, for anything in the catalogue', () => {
    for (const i of known) {
      const back = readRecipe(
        write(
          formula([
            [i.id, 137],
            ['plain-flour', 250],
          ]),
          'text',
        ),
      );
      expect(by(back.formula))
        .withContext(i.id)
        .toEqual([`${i.id} 137`, 'plain-flour 250'].sort());
    }
  });

  it('and in any mixture', () => {
    fc.assert(
      fc.property(someItems, (items) => {
        const f = formula(items);
        const back = readRecipe(write(f, 'text'));
        expect(by(back.formula)).toEqual(by(f));
        expect(back.doubts.filter((d) => d.kind === 'unknown-ingredient' || d.kind === 'disagree')).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });

  it('keeps heat, time and tin', () => {
    fc.assert(
      fc.property(bakes, ({ ovenC, early, more, tin }) => {
        const f = formula(
          [
            ['plain-flour', 250],
            ['milk', 200],
            ['baking-powder', 9],
            ['white-sugar', 80],
          ],
          {
            bake: { ovenC, fan: false, minutes: { early, late: early + more } },
            tins: [{ tin, count: 1 }],
          },
        );
        const back = readRecipe(write(f, 'text')).formula;
        expect(back.bake).toEqual(f.bake);
        expect(back.tins?.[0]?.tin.shape).toBe(tin.shape);
        expect(Math.abs((back.tins?.[0]?.tin.topMm ?? 0) - tin.topMm)).toBeLessThan(0.06 * tin.topMm);
      }),
      { numRuns: 80 },
    );
  });

  it('is judged alike, however large the batch was written', () => {
    fc.assert(
      fc.property(someItems, fc.integer({ min: 1, max: 5 }), (items, factor) => {
        const f = formula([...items.filter(([id]) => id !== 'plain-flour'), ['plain-flour', 250]]);
        const big = scale(f, { by: 'factor', factor }, defaultKitchen).formula;
        const back = readRecipe(write(big, 'text')).formula;
        expect(
          allItems(back)
            .map((i) => i.ingredient)
            .sort(),
        ).toEqual(
          allItems(f)
            .map((i) => i.ingredient)
            .sort(),
        );
        const [a, b] = [assess(f), assess({ ...back, family: f.family })];
        expect(b.totals.fatPct).toBeCloseTo(a.totals.fatPct, 1);
        expect(b.totals.waterPct).toBeCloseTo(a.totals.waterPct, 1);
        expect(b.lift.mmolPer100gBase.typical).toBeCloseTo(a.lift.mmolPer100gBase.typical, 1);
      }),
      { numRuns: 80 },
    );
  });
});
