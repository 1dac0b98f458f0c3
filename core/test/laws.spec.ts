import fc from 'fast-check';
import {
  allItems,
  applyChanges,
  assess,
  defaultKitchen,
  explain,
  families,
  powders,
  type Assessment,
  type Band,
  type Formula,
  type Kitchen,
  type PowderType,
} from '../src/index.js';
import { atQuantile, band, bandOfReadings, mapped, quantilesOf, READINGS, readings } from '../src/formula/bands.js';
import { premixed, linesOf } from '../src/leavening/parts.js';
import { demo, demoIds, formula, nested } from './support/make.js';

const anyDemo = fc.constantFrom(...demoIds).map(demo);
const anyBand = fc
  .tuple(
    fc.double({ min: 0, max: 50, noNaN: true }),
    fc.double({ min: 0, max: 50, noNaN: true }),
    fc.double({ min: 0, max: 50, noNaN: true }),
  )
  .map((x): Band => {
    const [a, b, c] = [...x].sort((p, q) => p - q) as [number, number, number];
    return band(a, b, c);
  });

/** Every number of an assessment that must not depend on how the sheet is laid out. */
const figures = (a: Assessment): Record<string, number> => ({
  batter: a.totals.batterG,
  water: a.totals.waterPct,
  fat: a.totals.fatPct,
  sugar: a.totals.sugarPct,
  available: a.totals.availablePct,
  lift: a.lift.mmolPer100gBase.typical,
  liftLow: a.lift.mmolPer100gBase.low,
  liftHigh: a.lift.mmolPer100gBase.high,
  stand: a.lift.bestBeforeMin.typical,
  left: a.ledger.leftSodaGPer100gBatter.typical,
  leftLow: a.ledger.leftSodaGPer100gBatter.low,
  acid: a.ledger.acidMeq.typical,
  acidHigh: a.ledger.acidMeq.high,
  tender: a.beam.index,
  temperature: a.batter.temperatureC,
  density: a.batter.densityGPerMl,
  merit: a.merit,
  sodium: a.crumb.sodium.mgPer100gBatter,
});
function alike(a: Assessment, b: Assessment, context: string): void {
  const [x, y] = [figures(a), figures(b)];
  for (const k of Object.keys(x))
    expect(y[k])
      .withContext(`${context}: ${k}`)
      .toBeCloseTo(x[k] as number, 6);
}

describe('bands of joint readings', () => {
  it('are read at quantiles that rise, meet their own three figures and never turn a positive figure negative', () => {
    fc.assert(
      fc.property(
        anyBand,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (b, p, q) => {
          expect(atQuantile(b, 0.1)).toBeCloseTo(b.low, 9);
          expect(atQuantile(b, 0.5)).toBeCloseTo(b.typical, 9);
          expect(atQuantile(b, 0.9)).toBeCloseTo(b.high, 9);
          expect(atQuantile(b, Math.min(p, q))).toBeLessThanOrEqual(atQuantile(b, Math.max(p, q)) + 1e-9);
          expect(atQuantile(b, p)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('use each stratum once, the same for the same name, another order for another', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1 }), fc.string({ minLength: 1 }), (a, b) => {
        const q = [...quantilesOf(a)].sort((x, y) => x - y);
        q.forEach((x, i) => expect(x).toBeCloseTo((i + 0.5) / READINGS, 12));
        expect(quantilesOf(a)).toBe(quantilesOf(a));
        if (a !== b) expect([...quantilesOf(a)]).not.toEqual([...quantilesOf(b)]);
      }),
      { numRuns: 50 },
    );
  });

  it('give back the band of a single uncertain figure, and less than the sum for two that are independent', () => {
    fc.assert(
      fc.property(anyBand, anyBand, (a, b) => {
        const one = bandOfReadings(
          readings.map((read) => read(a, 'one')),
          a.typical,
        );
        // between the strata next to the 10th and 90th percentile
        expect(one.low).toBeCloseTo(atQuantile(a, 0.113), 1);
        expect(one.high).toBeCloseTo(atQuantile(a, 0.887), 1);
        const both = bandOfReadings(
          readings.map((read) => read(a, 'one') + read(b, 'two')),
          a.typical + b.typical,
        );
        expect(nested(both)).toBeTrue();
        expect(both.high).toBeLessThanOrEqual(a.high + b.high + 1e-9);
        expect(both.low).toBeGreaterThanOrEqual(Math.max(0, a.low + b.low) - 1e-9);
      }),
      { numRuns: 60 },
    );
    expect(mapped(band(1, 2, 4), (x) => 10 * x)).toEqual(band(10, 20, 40));
  });
});

describe('an assessment does not depend on how the sheet is laid out', () => {
  it('nor on the order of lines or groups', () => {
    fc.assert(
      fc.property(anyDemo, fc.integer({ min: 1, max: 1e6 }), (f, seed) => {
        const shuffled = <T>(list: readonly T[]): T[] =>
          list
            .map((x, i) => ({ x, k: (Math.imul(seed, i + 7) ^ (seed >>> 3)) % 97 }))
            .sort((a, b) => a.k - b.k)
            .map(({ x }) => x);
        const other: Formula = { ...f, groups: shuffled(f.groups).map((g) => ({ ...g, items: shuffled(g.items) })) };
        alike(assess(f), assess(other), f.id);
      }),
      { numRuns: 40 },
    );
  });

  it('nor on whether an ingredient stands on one line or on two: both rise and fall together', () => {
    fc.assert(
      fc.property(anyDemo, fc.nat(20), fc.double({ min: 0.05, max: 0.95, noNaN: true }), (f, n, k) => {
        const items = allItems(f);
        const target = items[n % items.length];
        if (!target) return;
        const split: Formula = {
          ...f,
          groups: f.groups.map((g) => ({
            ...g,
            items: g.items.flatMap((i) =>
              i.id === target.id
                ? [
                    { ...i, grams: i.grams * k },
                    { ...i, id: `${i.id}-rest`, grams: i.grams * (1 - k) },
                  ]
                : [i],
            ),
          })),
        };
        alike(assess(f), assess(split), `${f.id}, ${target.ingredient}`);
      }),
      { numRuns: 60 },
    );
  });

  it('nor on lines that weigh nothing', () => {
    for (const id of demoIds) {
      const f = demo(id);
      const first = f.groups[0];
      if (!first) continue;
      const nothing = ['baking-soda', 'vinegar', 'cocoa-natural', 'oil'].map((ingredient, i) => ({
        id: `none-${i}`,
        ingredient,
        words: ingredient,
        entered: null,
        grams: 0,
      }));
      alike(
        assess(f),
        assess({ ...f, groups: [{ ...first, items: [...first.items, ...nothing] }, ...f.groups.slice(1)] }),
        id,
      );
    }
  });
});

describe('powder of a kitchen', () => {
  const withPowder = (type: PowderType, strength: 'vigorous' | 'weak' | 'none'): Kitchen => ({
    ...defaultKitchen,
    powders: [{ id: 'powder', name: 'Powder', type, strength }],
  });
  const scones = formula(
    [
      ['plain-flour', 300],
      ['butter', 75],
      ['caster-sugar', 30],
      ['milk', 170],
      ['baking-powder', 14],
      ['salt', 3],
    ],
    { family: 'scone' },
  );

  it('lifts less the weaker its test, and leaves no alkali that it does not hold', () => {
    for (const { type } of powders) {
      const lifts = (['none', 'weak', 'vigorous'] as const).map(
        (s) => assess(scones, withPowder(type, s)).lift.mmolPer100gBase.typical,
      );
      expect(lifts)
        .withContext(type)
        .toEqual([...lifts].sort((a, b) => a - b));
      expect(lifts[0])
        .withContext(type)
        .toBeLessThan(0.25 * (lifts[2] as number));
    }
  });

  it('is alike in all its gas, but not in when it comes', () => {
    const early = (type: PowderType): number => {
      const { lift } = assess(scones, withPowder(type, 'vigorous'));
      const bowl = lift.bySource.filter((s) => s.when === 'bowl').reduce((sum, s) => sum + s.mmol.typical, 0);
      return bowl / lift.mmolPer100gBase.typical;
    };
    expect(early('single-acting tartrate')).toBeGreaterThan(early('aluminium-free'));
    expect(early('aluminium-free')).toBeGreaterThan(early('double-acting'));
    expect(early('pyrophosphate')).toBeLessThan(0.4);
    const total = (type: PowderType): number =>
      assess(scones, withPowder(type, 'vigorous')).lift.mmolPer100gBase.typical;
    for (const type of ['double-acting', 'aluminium-free', 'low-sodium'] as const)
      expect(total(type) / total('single-acting tartrate'))
        .withContext(type)
        .toBeGreaterThan(0.95);
  });

  it('brings potassium, not sodium, when it is a low-sodium one', () => {
    const sodium = (type: PowderType): number => assess(scones, withPowder(type, 'vigorous')).crumb.sodium.leavenersMg;
    expect(sodium('low-sodium')).toBe(0);
    // 14 g of powder with 29 % soda: 48 mmol, and what its aluminium salt adds
    expect(sodium('double-acting')).toBeGreaterThan(48 * 22.99);
    expect(sodium('aluminium-free')).toBeGreaterThan(sodium('double-acting'));
  });
});

describe('soda, asked what could meet it', () => {
  it('names tartar, sour things and powder by their own values', () => {
    const f = formula([
      ['plain-flour', 250],
      ['baking-soda', 5],
      ['water', 200],
    ]);
    const why = explain(f, 'entry:i1');
    const of = (name: string): number => why.inputs.find((i) => i.name.includes(name))?.value ?? NaN;
    expect(of('tartar')).toBeCloseTo(11.2, 1);
    // 14 g of vinegar or lemon juice, some 130 g of buttermilk, three to four and a half of powder a gram of soda
    expect(of('vinegar') / 5).toBeCloseTo(14, 0);
    expect(of('lemon juice') / 5).toBeCloseTo(14, 0);
    expect(of('buttermilk') / 5).toBeGreaterThan(110);
    expect(of('buttermilk') / 5).toBeLessThan(150);
    expect(of('powder') / 5).toBeGreaterThan(3.2);
    expect(of('powder') / 5).toBeLessThan(4.5);
    // and with that much vinegar the soda is met
    const met = formula([
      ['plain-flour', 250],
      ['baking-soda', 5],
      ['water', 130],
      ['vinegar', of('vinegar')],
    ]);
    expect(assess(met).ledger.leftSodaGPer100gBatter.typical).toBeLessThan(0.02);
  });
});

describe('soda stirred into acid', () => {
  const with_ = (words: string, steps: string[]): boolean => {
    const f = formula([
      ['plain-flour', 250],
      ['baking-soda', 4],
      ['buttermilk', 240],
      ['egg', 50],
    ]);
    const g: Formula = {
      ...f,
      groups: f.groups.map((x) => ({
        ...x,
        items: x.items.map((i) => (i.ingredient === 'baking-soda' ? { ...i, words } : i)),
      })),
      method: steps.map((text) => ({ text, itemIds: [] })),
    };
    return premixed(g, linesOf(g));
  };
  for (const [is, words, ...steps] of [
    [true, '1 tsp baking soda, dissolved in the buttermilk'],
    [true, '1 tsp baking soda', 'Stir the soda into the buttermilk; it will foam.', 'Pour onto the flour.'],
    [true, '1 tsp soda', 'Dissolve the bicarb in the vinegar and add at the end.'],
    [false, '1 tsp baking soda', 'Whisk the soda into the flour.', 'Stir in the buttermilk.'],
    [false, '1 tsp baking soda', 'Mix the dry things with the soda.', 'Stir the buttermilk and soda mixture through.'],
    [false, '1 tsp baking soda, dissolved in a little hot water'],
    [false, '1 tsp baking soda', 'Beat the eggs and buttermilk.', 'Fold into the dry mix.'],
  ] as const satisfies readonly (readonly [boolean, ...string[]])[])
    it(`${is ? 'is' : 'is not'} meant by: ${[words, ...steps].join(' / ')}`, () => {
      expect(with_(words, [...steps])).toBe(is);
    });
});

describe('advice on a formula that was put out of balance', () => {
  it('leads, followed to its end, in a few steps to where there is none, and never round in a circle', () => {
    fc.assert(
      fc.property(anyDemo, fc.nat(30), fc.double({ min: 0.2, max: 3.5, noNaN: true }), (f, n, k) => {
        const items = allItems(f);
        const target = items[n % items.length];
        if (!target) return;
        let now = applyChanges(f, [{ itemId: target.id, grams: target.grams * k }]);
        let typical = assess(now).plausible?.typical ?? 0;
        for (let step = 0; step < 12; step++) {
          const [best] = assess(now).advice;
          if (!best) return;
          now = best.formula ?? applyChanges(now, best.changes);
          const next = assess(now);
          expect(next.merit).toBeCloseTo(best.merit, 6);
          expect(next.plausible?.typical).withContext(`${f.id}, ${best.words}`).toBeGreaterThanOrEqual(typical);
          typical = next.plausible?.typical ?? 0;
        }
        fail(`${f.id}: still advice after twelve steps`);
      }),
      { numRuns: 60 },
    );
  });
});

describe('the sample kitchen', () => {
  const all = demoIds.map(demo);

  it('has fourteen formulas in twelve families or more, each with a method that names lines it has', () => {
    expect(all.length).toBe(14);
    expect(new Set(all.map((f) => f.family)).size).toBeGreaterThanOrEqual(12);
    expect(new Set(all.map((f) => f.title)).size).toBe(14);
    for (const f of all) {
      const ids = new Set(allItems(f).map((i) => i.id));
      expect(f.method.length).withContext(f.id).toBeGreaterThan(1);
      for (const s of f.method)
        for (const id of s.itemIds) expect(ids.has(id)).withContext(`${f.id}: ${id}`).toBeTrue();
      expect(f.bake?.minutes?.early).withContext(f.id).toBeGreaterThan(5);
      expect(f.tins?.length).withContext(f.id).toBeGreaterThan(0);
    }
  });

  it('is sound but for the two faults planted in it, and each formula fits its own family best', () => {
    const faulty = all.filter((f) => assess(f).verdicts.some((v) => v.severity !== 'note'));
    expect(faulty.map((f) => f.id).sort()).toEqual(['lime-and-coconut-tray-cake', 'oat-and-rhubarb-muffins']);
    for (const f of all) {
      const a = assess(f);
      expect(a.family.nearest).withContext(f.id).toBe(f.family);
      if (!faulty.includes(f)) expect(a.merit).withContext(f.id).toBeLessThan(1);
      const oven = families.find((x) => x.id === f.family)?.ovenC ?? [0, 0];
      expect(f.bake?.ovenC)
        .withContext(f.id)
        .toBeGreaterThanOrEqual(oven[0] - 3);
      expect(f.bake?.ovenC)
        .withContext(f.id)
        .toBeLessThanOrEqual(oven[1] + 3);
    }
  });
});
