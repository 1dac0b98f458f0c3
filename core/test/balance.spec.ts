import fc from 'fast-check';
import {
  allItems,
  applyChanges,
  assess,
  defaultKitchen,
  explain,
  explainable,
  explainableOfItem,
  families,
  ingredients,
  OrvinError,
  usualRanges,
  type Formula,
} from '../src/index.js';
import { demo, demoIds, formula } from './support/make.js';
import { every } from './support/runs.js';

const hollin = { ...defaultKitchen, altitudeM: 210 };
const anyFormula = fc
  .array(fc.tuple(fc.constantFrom(...ingredients.map((i) => i.id)), fc.double({ min: 0, max: 600, noNaN: true })), {
    maxLength: 14,
  })
  .chain((items) => fc.constantFrom(...families.map((f) => f.id)).map((family) => formula(items, { family })));

describe('assess', () => {
  it('says of the sample formulas what a good baker would', () => {
    const faulty = ['oat-and-rhubarb-muffins', 'lime-and-coconut-tray-cake'];
    expect(new Set(demoIds.map((id) => demo(id).family)).size).toBeGreaterThanOrEqual(12);
    expect(demoIds.length).toBe(14);
    for (const id of demoIds.filter((x) => !faulty.includes(x))) {
      const a = assess(demo(id), hollin);
      expect(a.merit).withContext(id).toBeLessThan(1);
      expect(a.verdicts.every((v) => v.severity === 'note'))
        .withContext(id)
        .toBeTrue();
      expect(a.family.nearest).withContext(id).toBe(a.family.id);
    }
  });

  it('finds the teaspoon of soda too much, and mends it', () => {
    const f = demo('oat-and-rhubarb-muffins');
    const a = assess(f, hollin);
    expect(a.verdicts.find((v) => v.id === 'ledger')?.severity).toBe('unusual');
    const best = a.advice[0];
    expect(best?.words).toMatch(/less baking soda/i);
    const after = assess(applyChanges(f, best?.changes ?? []), hollin);
    expect(after.verdicts.every((v) => v.severity === 'note')).toBeTrue();
  });

  it('finds the coconut that drinks the cake dry, and waters it', () => {
    const f = demo('lime-and-coconut-tray-cake');
    const a = assess(f, hollin);
    const water = a.verdicts.find((v) => v.id === 'water');
    expect(water?.severity).not.toBe('note');
    expect(water?.suspect?.itemId).toBe(allItems(f).find((i) => i.ingredient === 'milk')?.id);
    expect(a.verdicts.find((v) => v.id === 'hydration')?.words).toMatch(
      /^Desiccated coconut drinks \d+ % of the water/,
    );
    expect(a.advice[0]?.words).toMatch(/^More .*milk/);
    const after = assess(applyChanges(f, a.advice[0]?.changes ?? []), hollin);
    expect(after.verdicts.every((v) => v.severity === 'note')).toBeTrue();
  });

  it('offers only advice after which the whole is less odd', () => {
    const bent = fc
      .tuple(fc.constantFrom(...demoIds), fc.nat(20), fc.double({ min: 0.1, max: 4, noNaN: true }))
      .map(([id, n, k]) => {
        const f = demo(id);
        const items = f.groups.flatMap((g) => g.items);
        const item = items[n % items.length];
        return applyChanges(f, item ? [{ itemId: item.id, grams: item.grams * k }] : []);
      });
    let offered = 0;
    fc.assert(
      fc.property(bent, (f) => {
        const a = assess(f);
        offered += a.advice.length;
        for (const x of a.advice) {
          const after = assess(x.formula ?? applyChanges(f, x.changes));
          expect(after.plausible?.typical).toBeGreaterThanOrEqual(a.plausible?.typical ?? 0);
          expect(after.merit).toBeCloseTo(x.merit, 9);
        }
      }),
      { numRuns: 150 },
    );
    expect(offered).toBeGreaterThan(20);
  });

  it('is total: no figure is ever missing or infinite, whatever is in the bowl', () => {
    const figures = (x: unknown): number[] =>
      typeof x === 'number' ? [x] : x && typeof x === 'object' ? Object.values(x).flatMap(figures) : [];
    fc.assert(
      fc.property(anyFormula, (f) => {
        const odd = [...figures(assess(f)), ...figures(usualRanges(f))].filter((x) => !Number.isFinite(x));
        expect(odd).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });

  it('judges the salt of a savoury and the eggs of an eggless batter by their own rules', () => {
    const base: [string, number][] = [
      ['plain-flour', 250],
      ['white-sugar', 120],
      ['butter', 90],
      ['milk', 230],
      ['baking-powder', 9],
    ];
    const a = assess(formula(base));
    expect(a.verdicts.find((v) => v.id === 'salt')?.severity).toBe('note');
    // what the title says it is without is not missed
    const egg = (title: string): number => assess(formula(base, { title })).plausible?.spans.egg.usual ?? 0;
    expect(egg('Eggless muffins')).toBeLessThan(0.6 * egg('Muffins'));
  });

  it('judges a muffin with hardly any sugar as a savoury one', () => {
    const cheese = (sugar: number, salt: number) =>
      assess(
        formula([
          ['plain-flour', 250],
          ['white-sugar', sugar],
          ['butter', 70],
          ['egg', 100],
          ['milk', 220],
          ['hard-cheese', 100],
          ['baking-powder', 10],
          ['salt', salt],
        ]),
      );
    const savoury = cheese(10, 4);
    expect(savoury.verdicts.filter((v) => v.severity !== 'note').map((v) => v.words)).toEqual([]);
    expect(savoury.verdicts.find((v) => v.id === 'sugar')?.words).toContain('savoury muffin');
    // as little sugar as a savoury may have is little for a sweet one
    expect(cheese(10, 3.8).verdicts.find((v) => v.id === 'salt')?.state).toBe('ok');
    expect(cheese(10, 3.8).plausible?.spans.sugar.usual).toBeLessThan(20);
    expect(savoury.family.id).toBe('muffin');
  });

  it('names what is missing or impossible, and what to do', () => {
    const none = assess(formula([]));
    expect(none.verdicts[0]?.words).toMatch(/paste a recipe/i);
    const noFlour = assess(
      formula([
        ['egg', 100],
        ['white-sugar', 100],
      ]),
    );
    expect(noFlour.verdicts.find((v) => v.id === 'flour')?.severity).toBe('faulty');
    const odd = assess(
      formula([
        ['plain-flour', 250],
        ['white-sugar', -40],
        ['milk', Number.NaN],
        ['butter', 9e9],
      ]),
    );
    expect(odd.verdicts.filter((v) => v.id.startsWith('amount:')).length).toBe(3);
    expect(odd.totals.batterG).toBe(250);
  });

  it('counts what lies on top or between out of the percentages, but not out of the allergens', () => {
    const f = formula([
      ['plain-flour', 200],
      ['milk', 150],
    ]);
    const topped: Formula = {
      ...f,
      groups: [
        ...f.groups,
        {
          id: 't',
          name: 'Topping',
          role: 'top',
          items: [{ id: 'n', ingredient: 'walnut', words: 'walnuts', entered: null, grams: 50 }],
        },
      ],
    };
    expect(assess(topped).totals.batterG).toBe(350);
    expect(assess(topped).allergens).toContain('walnut');
    expect(assess(topped).cautions.map((c) => c.id)).toContain('nuts');
  });

  it('throws only at a programmer', () => {
    const wrong = { ...formula([]), family: 'croissant' } as unknown as Formula;
    expect(() => assess(wrong)).toThrowMatching((e) => e instanceof OrvinError && e.code === 'unknown-family');
  });
});

describe('explain', () => {
  it('explains every figure of every sample formula, with its source', () => {
    for (const id of every(3, demoIds)) {
      const f = demo(id);
      const keys = [
        ...explainable,
        ...f.groups.flatMap((g) => g.items).flatMap((i) => explainableOfItem.map((k) => `${k}:${i.id}`)),
      ];
      for (const key of keys) {
        const e = explain(f, key, hollin);
        expect(e.words.length).withContext(key).toBeGreaterThan(20);
        expect(e.equation).withContext(key).toMatch(/\d/);
        expect(e.equation)
          .withContext(key)
          .not.toMatch(/NaN|undefined|Infinity/);
        expect(e.source).withContext(key).not.toBe('');
      }
    }
    expect(() => explain(demo('rye-and-pear-loaf'), 'mood')).toThrowMatching(
      (e) => e instanceof OrvinError && e.code === 'unknown-key',
    );
  });
});

describe('usual ranges', () => {
  it('put the lift at the edges of its band', () => {
    const f = demo('cardamom-yogurt-round');
    const powder = f.groups.flatMap((g) => g.items).find((i) => i.ingredient === 'baking-powder');
    const u = usualRanges(f, hollin).find((x) => x.itemId === powder?.id);
    const high = assess(applyChanges(f, [{ itemId: powder?.id ?? '', grams: u?.high ?? 0 }]), hollin);
    expect(high.lift.mmolPer100gBase.typical).toBeCloseTo(high.lift.target[1], 1);
  });

  it('shows all that a texture index, merit, density and looseness are worked out from', () => {
    for (const id of demoIds) {
      const f = demo(id);
      const a = assess(f);
      const of = (key: string): readonly number[] => explain(f, key).inputs.map((i) => i.value as number);
      const sum = (x: readonly number[]): number => x.reduce((s, v) => s + v, 0);
      for (const t of a.texture)
        expect(Math.max(-1, Math.min(1, sum(of(`texture:${t.id}`)))))
          .withContext(`${id} ${t.id}`)
          .toBeCloseTo(t.index, 9);
      const [here = 0, there = 0, apart = 0, all = 0] = of('merit');
      expect(Math.max(0, here - there) + Math.max(0, apart - all)).toBeCloseTo(a.merit, 9);
      const [low = 0, high = 0, heavy = 0] = of('density');
      const creamed = a.family.as.creamed;
      expect(low + (high - low) * (creamed ? 0.35 + 0.4 * heavy : 0.3 + 0.5 * heavy)).toBeCloseTo(a.batter.densityGPerMl, 9); // prettier-ignore
      const [water = 0, drunk = 0, fat = 0, sugar = 0, base = 1] = of('consistency');
      expect(explain(f, 'consistency').equation).toContain(((water - 0.6 * drunk + 0.3 * fat + 0.25 * sugar) / base).toFixed(2)); // prettier-ignore
      // room, then each line as it goes in: what they are mixed to lies between
      const at = of('temperature').slice(1);
      expect(a.batter.temperatureC).toBeGreaterThanOrEqual(Math.min(...at) - 0.1);
      expect(a.batter.temperatureC).toBeLessThanOrEqual(Math.max(...at) + 0.1);
    }
  });
});
