import fc from 'fast-check';
import {
  allItems,
  assess,
  capacityOf,
  defaultKitchen,
  fitTins,
  heightFor,
  outlineOf,
  scale,
  tinProblems,
  volumeTo,
  type Tin,
} from '../src/index.js';
import { capacityFactor } from '../src/tin/geometry.js';
import { demo, demoIds } from './support/make.js';

const base = { id: 't', name: 'tin', material: 'light metal' } as const;
const size = fc.double({ min: 80, max: 400, noNaN: true });
const depth = fc.double({ min: 20, max: 120, noNaN: true });
const tins: fc.Arbitrary<Tin> = fc.oneof(
  fc.record({ topMm: size, depthMm: depth }).map((x): Tin => ({ ...base, shape: 'round', ...x })),
  fc.record({ topMm: size, top2Mm: size, depthMm: depth }).map((x): Tin => ({ ...base, shape: 'loaf', ...x })),
  fc.record({ topMm: size, depthMm: depth }).map((x): Tin => ({ ...base, shape: 'square', ...x })),
  fc
    .record({ topMm: size, depthMm: depth, cups: fc.integer({ min: 1, max: 24 }) })
    .map((x): Tin => ({ ...base, shape: 'cup', ...x })),
  fc.record({ topMm: size, depthMm: depth }).map((x): Tin => ({ ...base, shape: 'tube', ...x })),
);

describe('tin geometry', () => {
  it('knows the capacity of tins that bakers have filled with water', () => {
    expect(capacityOf({ ...base, shape: 'round', topMm: 203, baseMm: 203, depthMm: 51 })).toBeCloseTo(1651, 0);
    expect(
      capacityOf({ ...base, shape: 'rect', topMm: 330, top2Mm: 229, baseMm: 330, base2Mm: 229, depthMm: 51 }),
    ).toBeCloseTo(3854, 0);
    const cone = capacityOf({ ...base, shape: 'cup', topMm: 70, baseMm: 51, depthMm: 36 });
    expect(cone).toBeCloseTo((Math.PI * 36 * (35 * 35 + 35 * 25.5 + 25.5 * 25.5)) / 3 / 1000, 6);
    expect(capacityOf({ ...base, shape: 'tube', topMm: 240, depthMm: 90, capacityMl: 2400 })).toBe(2400);
  });

  it('grows with every dimension', () => {
    fc.assert(
      fc.property(tins, fc.double({ min: 1.01, max: 1.5, noNaN: true }), (tin, k) => {
        const c = capacityOf(tin);
        expect(capacityOf({ ...tin, depthMm: tin.depthMm * k })).toBeGreaterThan(c);
        expect(capacityOf({ ...tin, topMm: tin.topMm * k })).toBeGreaterThan(c);
        expect(capacityOf({ ...tin, cups: (tin.cups ?? 1) + 1 })).toBeGreaterThan(c);
      }),
    );
  });

  it('finds the height that a volume fills, and back', () => {
    fc.assert(
      fc.property(tins, fc.double({ min: 0.02, max: 0.99, noNaN: true }), (tin, share) => {
        const ml = capacityOf(tin) * share;
        const h = heightFor(tin, ml);
        expect(h).toBeGreaterThan(0);
        expect(h).toBeLessThanOrEqual(tin.depthMm);
        expect(Math.abs(volumeTo(outlineOf(tin), h) * outlineOf(tin).cups * capacityFactor(tin) - ml)).toBeLessThan(
          1e-6 * capacityOf(tin) + 1e-6,
        );
      }),
    );
  });

  it('says what is wrong with a tin nobody has', () => {
    const of = (t: Partial<Tin>) =>
      tinProblems({ ...base, shape: 'round', topMm: 200, depthMm: 50, ...t }).map((p) => p.id);
    expect(of({})).toEqual([]);
    expect(of({ topMm: 30 })).toContain('tin-small');
    expect(of({ topMm: 2300 })).toContain('tin-large');
    expect(of({ depthMm: -5 })).toContain('tin-size');
    expect(of({ topMm: Number.NaN })).toContain('tin-size');
    expect(of({ shape: 'tube', tubeMm: 260 })).toContain('tin-tube');
    expect(of({ capacityMl: 9000 })).toContain('tin-capacity');
  });
});

describe('fitting batter to tins', () => {
  it('divides all of it, and a bigger tin is never fuller', () => {
    fc.assert(
      fc.property(fc.constantFrom(...demoIds), tins, tins, fc.integer({ min: 1, max: 4 }), (id, a, b, n) => {
        const f = demo(id);
        const fits = fitTins(f, [
          { tin: a, count: n },
          { tin: { ...b, id: 'b' }, count: 1 },
        ]);
        const sum = fits.reduce((s, x) => s + x.batterG * x.count, 0);
        expect(sum).toBeCloseTo(assess(f).totals.batterG, 6);
        const [small] = fitTins(f, [{ tin: a, count: 1 }]);
        const [big] = fitTins(f, [{ tin: { ...a, topMm: a.topMm * 1.2 }, count: 1 }]);
        expect(big?.fill).toBeLessThan(small?.fill ?? 0);
        expect(small?.crownMm).toBeGreaterThanOrEqual(small?.batterMm ?? 0);
      }),
      { numRuns: 60 },
    );
  });

  it('warns before a tin runs over', () => {
    const [fit] = fitTins(demo('rye-and-pear-loaf'), [
      { tin: { ...base, shape: 'round', topMm: 150, depthMm: 40 }, count: 1 },
    ]);
    expect(fit?.state).toBe('overflow');
    expect(fit?.words).toMatch(/run over/);
  });
});

describe('scaling', () => {
  it('keeps every percentage, and scaling by one changes nothing', () => {
    fc.assert(
      fc.property(fc.constantFrom(...demoIds), fc.double({ min: 0.1, max: 20, noNaN: true }), (id, factor) => {
        const f = demo(id);
        const s = scale(f, { by: 'factor', factor }).formula;
        const [a, b] = [assess(f), assess(s)];
        expect(b.totals.batterG / a.totals.batterG).toBeCloseTo(factor, 6);
        a.items.forEach((x, i) => expect(b.items[i]?.bakersPct).toBeCloseTo(x.bakersPct, 6));
        expect(scale(f, { by: 'factor', factor: 1 }).formula).toEqual(f);
      }),
      { numRuns: 60 },
    );
  });

  it('reaches what it is asked for: pieces, batter, an ingredient, tins', () => {
    const f = demo('cardamom-yogurt-round');
    const egg = allItems(f).find((i) => i.ingredient === 'egg');
    expect(scale(f, { by: 'pieces', pieces: 20 }).factor).toBeCloseTo(2, 9);
    const small = scale(f, { by: 'pieces', pieces: 30, pieceG: 40 }).formula;
    expect(assess(small).totals.batterG).toBeCloseTo(1200, 6);
    expect(small.yield?.pieces).toBe(30);
    expect(assess(scale(f, { by: 'batterG', batterG: 500 }).formula).totals.batterG).toBeCloseTo(500, 6);
    expect(scale(f, { by: 'item', itemId: egg?.id ?? '', grams: 100 }).factor).toBeCloseTo(2 / 3, 9);
    const two: Tin = { ...base, shape: 'round', topMm: 182, baseMm: 180, depthMm: 50 };
    const s = scale(f, { by: 'tins', tins: [{ tin: two, count: 2 }] });
    const [own] = fitTins(f, f.tins ?? []);
    const [fit] = fitTins(s.formula, s.formula.tins ?? []);
    expect(fit?.fill).toBeCloseTo(own?.fill ?? 0, 6);
    expect(s.eggs[0]?.words).toMatch(/eggs/);
  });

  it('refuses what cannot be, and leaves the formula alone', () => {
    const f = demo('cardamom-yogurt-round');
    for (const factor of [0, -2, Number.NaN, Infinity]) {
      const s = scale(f, { by: 'factor', factor }, defaultKitchen);
      expect(s.formula).toEqual(f);
      expect(s.problems[0]?.remedy).toMatch(/amount above zero/);
    }
  });
});
