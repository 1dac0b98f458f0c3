import fc from 'fast-check';
import type { FinishId, Tin, TinFit } from '../src/index.js';
import {
  asGroup,
  assess,
  builds,
  cutPlan,
  families,
  finish,
  fitTins,
  ingredients,
  keepingOf,
  steps,
} from '../src/index.js';
import { demo, demoKitchen } from './support/make.js';

const kitchen = demoKitchen();
const tin = (id: string): Tin => kitchen.tins.find((t) => t.id === id) as Tin;
const fitsOf = (id: string, tinId: string, count: number): TinFit[] =>
  fitTins(demo(id), [{ tin: tin(tinId), count }], kitchen);
const ids = builds.map((b) => b.id);

describe('a finish', () => {
  it('weighs what its surfaces and thickness take, and its lines add up to it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ids),
        fc.constantFrom('round-23', 'round-18', 'square-20', 'sheet-33', 'muffin-12'),
        fc.integer({ min: 1, max: 3 }),
        fc.boolean(),
        (id, tinId, count, stacked) => {
          const f = finish(fitsOf('cardamom-yogurt-round', tinId, count), { id, stacked }, kitchen);
          const lines = f.lines.reduce((s, l) => s + l.grams, 0);
          expect(lines).toBeCloseTo(f.grams.typical, 6);
          expect(f.grams.low).toBeLessThanOrEqual(f.grams.typical);
          expect(f.grams.typical).toBeLessThanOrEqual(f.grams.high);
          for (const c of f.covers)
            if (c.mm > 0) expect(c.grams).toBeCloseTo((c.areaCm2 * c.mm * f.build.gPerMl) / 10, 6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('of a stack counts what lies between and round it: two layers take about twice one, never guessed', () => {
    const fits = (n: number) => fitsOf('cardamom-yogurt-round', 'round-18', n);
    const one = finish(fits(1), { id: 'buttercream' }, kitchen);
    const two = finish(fits(2), { id: 'buttercream', stacked: true, sides: false }, kitchen);
    const area = (Math.PI / 4) * 18.2 * 18.2;
    expect(one.covers[0]?.areaCm2).toBeGreaterThan(0.97 * area);
    expect(one.covers[0]?.areaCm2).toBeLessThan(1.01 * area);
    expect(two.grams.typical / one.grams.typical).toBeGreaterThan(1.8);
    expect(two.grams.typical / one.grams.typical).toBeLessThan(2);
    expect(finish(fits(2), { id: 'buttercream', stacked: true }, kitchen).grams.typical).toBeGreaterThan(
      two.grams.typical,
    );
    expect(finish(fits(2), { id: 'buttercream', stacked: true }, kitchen).crumbCoat).toContain('fridge');
    // twice as thick is twice as much
    expect(finish(fits(1), { id: 'buttercream', thickness: 2 }, kitchen).grams.typical).toBeCloseTo(
      2 * one.grams.typical,
      6,
    );
  });

  it('is by the piece on cups, by weight for a soak, by surface for a dusting', () => {
    const cups = finish(fitsOf('parsnip-and-ginger-muffins', 'muffin-12', 1), { id: 'cream-cheese' }, kitchen);
    expect(cups.grams.typical).toBeCloseTo(12 * 40 * 1.05, 6);
    const fits = fitsOf('cardamom-yogurt-round', 'round-23', 1);
    const soak = finish(fits, { id: 'syrup' }, kitchen);
    expect(soak.grams.low / (1.05 * (fits[0]?.batterG ?? 1))).toBeCloseTo(0.05, 6);
    expect(soak.grams.high / (1.05 * (fits[0]?.batterG ?? 1))).toBeCloseTo(0.15, 6);
    const dust = finish(fits, { id: 'dusting' }, kitchen);
    expect(dust.grams.typical).toBeLessThan(35);
  });

  it('says what is to be minded, and goes into the formula apart from the batter', () => {
    const fits = fitsOf('cardamom-yogurt-round', 'round-23', 1);
    expect(finish(fits, { id: 'egg-white-buttercream' }, kitchen).build.caution).toContain('pasteurised');
    expect(builds.filter((b) => b.fridge).every((b) => b.caution !== null)).toBeTrue();
    const f = demo('cardamom-yogurt-round');
    const iced = { ...f, groups: [...f.groups, asGroup(finish(fits, { id: 'cream-cheese' }, kitchen))] };
    expect(assess(iced, kitchen).totals.batterG).toBeCloseTo(assess(f, kitchen).totals.batterG, 9);
    const list = steps(iced, {}, kitchen);
    expect(list.find((s) => s.kind === 'finish')?.amounts.length).toBe(3);
    expect(list.find((s) => s.kind === 'weigh')?.amounts.length).toBe((steps(f, {}, kitchen).find((s) => s.kind === "weigh")?.amounts.length ?? 0) + 3); // prettier-ignore
    expect(() => finish(fits, { id: 'glue' as FinishId }, kitchen)).toThrow();
    const known = new Set(ingredients.map((i) => i.id));
    for (const b of builds)
      for (const p of b.parts) expect(known.has(p.ingredient)).withContext(p.ingredient).toBeTrue();
  });
});

describe('portions', () => {
  it('are alike, cover the whole cake, and are never fewer than asked', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('round-23', 'square-20', 'sheet-33', 'loaf-900', 'ring-24'),
        fc.integer({ min: 1, max: 60 }),
        (id, n) => {
          const c = cutPlan(tin(id), n);
          expect(c.pieces).toBeGreaterThanOrEqual(n);
          if (c.kind === 'grid') {
            expect(c.rows * c.columns).toBe(c.pieces);
            expect(c.sizeMm[0] * c.columns).toBeCloseTo(tin(id).topMm, 6);
            // a grid of nearly square pieces wastes few
            expect(c.pieces).toBeLessThanOrEqual(n + 4);
          } else expect(c.pieces).toBe(n);
        },
      ),
    );
    expect(cutPlan(tin('sheet-33'), 24).words).toBe('6 by 4: 24 pieces of 5.5 × 5.8 cm');
    expect(cutPlan(tin('round-23'), 40).words).toContain('wedges');
  });
});

describe('keeping', () => {
  it('is said of every family, with its cautions; a frosted cake goes into the fridge', () => {
    for (const f of families) {
      const k = keepingOf({ ...demo('cardamom-yogurt-round'), family: f.id });
      for (const words of [k.cool, k.keep, k.freeze, k.thaw]) expect(words.length).toBeGreaterThan(6);
      expect(k.cautions.join(' ')).toContain('jars');
    }
    const cheese = builds.find((b) => b.id === 'cream-cheese') ?? null;
    expect(keepingOf(demo('cardamom-yogurt-round'), cheese).keep).toContain('fridge');
    expect(keepingOf(demo('cheese-and-thyme-scones')).freeze).toContain('raw');
  });
});
