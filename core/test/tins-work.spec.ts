import fc from 'fast-check';
import {
  allItems,
  assess,
  bakeAndFreeze,
  bakeInputOf,
  bowlPlan,
  convertBake,
  capacityOf,
  cutSlab,
  cutTin,
  defaultKitchen,
  divideAlike,
  fitTins,
  footprint,
  matchTin,
  predictBake,
  rackPlan,
  rankTins,
  readTin,
  roundToKitchen,
  scale,
  scoopsFor,
  shareOut,
  sizeWords,
  tinWords,
  wholeEggFactors,
  type Formula,
  type Kitchen,
  type Tin,
  type TinFit,
  type TinUse,
} from '../src/index.js';
import { demo, demoIds, demoKitchen } from './support/make.js';

const kitchen: Kitchen = demoKitchen();
const tin = (id: string): Tin => kitchen.tins.find((t) => t.id === id) as Tin;
const fitOf = (f: Formula, use: TinUse): TinFit => fitTins(f, [use], kitchen)[0] as TinFit;

describe('sharing a batter out', () => {
  const inKit = fc.constantFrom(...kitchen.tins);
  it('leaves nothing over, at equal fill and at equal depth', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ tin: inKit, count: fc.integer({ min: 1, max: 3 }) }), { minLength: 1, maxLength: 4 }),
        fc.double({ min: 100, max: 6000, noNaN: true }),
        fc.constantFrom('fill' as const, 'depth' as const),
        (uses, ml, how) => {
          const each = shareOut(ml, uses, how);
          expect(uses.reduce((s, u, i) => s + (each[i] ?? 0) * u.count, 0)).toBeCloseTo(ml, 4);
          expect(Math.min(...each)).toBeGreaterThan(0);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('stands equally deep when that is wanted', () => {
    const f = demo('cardamom-yogurt-round');
    const fits = fitTins(
      f,
      [
        { tin: tin('round-18'), count: 1 },
        { tin: tin('square-20'), count: 1 },
      ],
      kitchen,
      'depth',
    );
    expect(fits[0]?.batterMm).toBeCloseTo(fits[1]?.batterMm ?? 0, 1);
  });

  it('is done together when that is wanted, or says how far apart it stays', () => {
    const f = demo('cardamom-yogurt-round');
    const uses = [
      { tin: tin('round-18'), count: 1 },
      { tin: tin('loaf-450'), count: 1 },
    ];
    const inputs = fitTins(f, uses, kitchen).map((fit) => bakeInputOf(f, fit, kitchen));
    const t = divideAlike(inputs, kitchen);
    const whole = inputs.reduce((s, i) => s + i.batterG, 0);
    expect(t.grams.reduce((s, g) => s + g, 0)).toBeCloseTo(whole, 4);
    expect(Math.abs((t.minutes[0] ?? 0) - (t.minutes[1] ?? 9))).toBeLessThan(2);
    expect(t.words).toMatch(/all done together/);
    const unlike = divideAlike(
      fitTins(
        f,
        [
          { tin: tin('muffin-12'), count: 1 },
          { tin: tin('round-23'), count: 1 },
        ],
        kitchen,
      ).map((fit) => ({
        ...bakeInputOf(f, fit, kitchen),
        batterG: 800,
      })),
      kitchen,
    );
    expect(unlike.words).toMatch(/cannot be done together: \d+ min/);
  });
});

describe('cutting a slab', () => {
  it('never makes more dough than there is, and knows what is left', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 200, max: 3000, noNaN: true }),
        fc.constantFrom('rounds' as const, 'squares' as const, 'wedges' as const),
        fc.double({ min: 40, max: 120, noNaN: true }),
        fc.double({ min: 12, max: 40, noNaN: true }),
        (g, shape, size, thick) => {
          const c = cutSlab(g, 1.12, shape, size, thick);
          expect((c.first + c.second) * c.pieceG + c.leftG).toBeCloseTo(g, 6);
          expect(c.leftG).toBeGreaterThanOrEqual(-1e-6);
          if (shape === 'rounds' && c.first > 0)
            expect(cutSlab(g, 1.12, shape, size, thick * 1.5).first).toBeLessThanOrEqual(c.first);
          // as pieces on a tray they hold all of the dough, as thick as it was rolled
          const piece = cutTin(c, shape, size, thick, g / 1.12, 0.9);
          expect(piece ? (0.9 * capacityOf(piece) * 1.12) / g : 1).toBeCloseTo(1, 2);
          expect(piece ? 0.9 * piece.depthMm : thick).toBeCloseTo(thick, 1);
        },
      ),
      { numRuns: 80 },
    );
    expect(cutSlab(700, 1.12, 'rounds', 65, 28).words).toMatch(/^\d+( and \d+ from the scraps)?, 104 g each/);
    expect(cutSlab(0, 1.12, 'rounds', 65, 28).words).toBe('nothing to cut');
  });
});

describe('racks', () => {
  it('hold no more than there is room for, and nothing overlaps', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ tin: fc.constantFrom(...kitchen.tins), count: fc.integer({ min: 1, max: 4 }) }), {
          minLength: 1,
          maxLength: 3,
        }),
        fc.double({ min: 15, max: 110, noNaN: true }),
        (uses, litres) => {
          const p = rackPlan(uses, { litres, racks: 2 });
          // pieces of a dough may stand on several trays; all of them are somewhere, or said to be left
          const hollows = (t: Tin): number => t.cups ?? 1;
          const placed = p.racks.flat().reduce((s, x) => s + hollows(x.tin), 0);
          const all = uses.reduce((s, u) => s + u.count * hollows(u.tin), 0);
          expect(placed).toBeLessThanOrEqual(all);
          expect(p.left === 0).toBe(placed === all);
          for (const rack of p.racks)
            for (const [i, a] of rack.entries()) {
              expect(a.x - a.wide / 2).toBeGreaterThanOrEqual(-1);
              expect(a.x + a.wide / 2).toBeLessThanOrEqual(p.wideMm + 1);
              expect(a.y + a.deep / 2).toBeLessThanOrEqual(p.deepMm + 1);
              for (const b of rack.slice(i + 1))
                expect(
                  Math.abs(a.x - b.x) >= (a.wide + b.wide) / 2 - 1e-6 ||
                    Math.abs(a.y - b.y) >= (a.deep + b.deep) / 2 - 1e-6,
                ).toBeTrue();
            }
        },
      ),
      { numRuns: 60 },
    );
    expect(rackPlan([{ tin: tin('round-18'), count: 2 }], { litres: 60 }).words).toMatch(/one rack/);
    expect(rackPlan([{ tin: tin('sheet-33'), count: 1 }], { litres: 15 }).words).toBe('it does not fit this oven');
    expect(footprint(tin('muffin-12')).wide).toBeGreaterThan(300);
  });
});

describe('which tin', () => {
  it('puts first a tin it is made for, and says why the others do not suit', () => {
    for (const id of demoIds) {
      const f = demo(id);
      const choices = rankTins(f, kitchen.tins, kitchen);
      expect(choices.length).toBe(kitchen.tins.length);
      for (const c of choices) expect(c.reason).withContext(id).not.toBe('');
      const own = choices.findIndex((c) => c.use.tin.id === f.tins?.[0]?.tin.id);
      // a tin that the formula names, and that the kit has, is among the better ones
      if (own >= 0) expect(own).withContext(`${id} in ${f.tins?.[0]?.tin.name}`).toBeLessThan(7);
    }
    const pours = rankTins(demo('cardamom-yogurt-round'), kitchen.tins, kitchen);
    expect(pours.find((c) => c.use.tin.id === 'free-18')?.reason).toMatch(/run off the tray/);
    expect(pours.find((c) => c.use.tin.id === 'cut-8')?.suits).toBeFalse();
  });

  it('knows a kit’s tin by its name in inches or centimetres', () => {
    const named = (words: string): string | undefined => {
      const use = readTin(words);
      return use ? matchTin(use.tin, kitchen.tins)?.id : undefined;
    };
    expect(named('9 inch round tin')).toBe('round-23');
    expect(named('23 cm round tin')).toBe('round-23');
    expect(named('8 inch square tin')).toBe('square-20');
    expect(named('13 x 9 inch tin')).toBe('sheet-33');
    expect(named('2 lb loaf tin')).toBe('loaf-900');
    expect(named('15 cm round tin')).toBeUndefined();
    expect(named('glass 9x5 inch loaf tin')).toBe('loaf-glass');
    expect(named('glass 9 inch round tin')).toBeUndefined();
    expect(sizeWords(tin('sheet-33'), 'in')).toBe('13 × 9 in');
    expect(sizeWords(tin('round-23'), 'cm')).toBe('23 cm');
  });

  it('portions cups by the scoop', () => {
    expect(scoopsFor(62)?.words).toMatch(/60 ml scoop/);
    expect(scoopsFor(30)?.count).toBe(1);
    expect(scoopsFor(0)).toBeNull();
    fc.assert(
      fc.property(fc.double({ min: 8, max: 400, noNaN: true }), (ml) => expect(scoopsFor(ml)?.words).toBeTruthy()),
    );
  });
});

describe('scaling in a kitchen', () => {
  it('rounds every line to what can be measured, and says what that does', () => {
    for (const id of demoIds) {
      const s = scale(demo(id), { by: 'factor', factor: 0.37 }, kitchen).formula;
      const r = roundToKitchen(s, kitchen);
      for (const i of allItems(r.formula)) expect(i.grams).withContext(`${id} ${i.words}`).toBeGreaterThan(0);
      expect(r.words).not.toBe('');
      expect(roundToKitchen(r.formula, kitchen).changed.length).withContext(id).toBeLessThanOrEqual(1);
    }
  });

  it('mixes as often as the bowls and the mixer ask, in equal parts', () => {
    const f = demo('cardamom-yogurt-round');
    expect(bowlPlan(f, kitchen).mixes).toBe(1);
    const large = scale(f, { by: 'factor', factor: 9 }, kitchen).formula;
    const plan = bowlPlan(large, kitchen);
    expect(plan.mixes).toBeGreaterThan(1);
    expect(plan.mixes * plan.share).toBeCloseTo(1, 12);
    expect(plan.words).toMatch(/^mix \d+ times|^mix twice/);
    expect(bowlPlan(f, { ...kitchen, bowls: [] }).mixes).toBe(1);
  });

  it('finds factors with whole eggs, and parts a batch to bake and to freeze', () => {
    const f = demo('cardamom-yogurt-round');
    const near = wholeEggFactors(f, 1.19, 50);
    expect(near.length).toBe(2);
    for (const n of near) expect(Number.isInteger(n.eggs)).toBeTrue();
    const parts = bakeAndFreeze(demo('cheese-and-thyme-scones'), 0.5, kitchen);
    expect(parts.reduce((s, p) => s + p.batterG, 0)).toBeCloseTo(
      assess(demo('cheese-and-thyme-scones')).totals.batterG,
      6,
    );
    expect(parts[1]?.words).toMatch(/raw/);
    expect(bakeAndFreeze(f, 0.5, kitchen)[1]?.words).toMatch(/bake all, cool right through/);
    expect(bakeAndFreeze(f, 1, kitchen).map((p) => p.name)).toEqual(['bake now']);
  });

  it('a commercial formula in kilos down to one loaf keeps its percentages', () => {
    const big = scale(demo('rye-and-pear-loaf'), { by: 'batterG', batterG: 45_000 }, kitchen).formula;
    const one = scale(big, { by: 'tins', tins: [{ tin: tin('loaf-900'), count: 1 }] }, kitchen);
    expect(one.problems).toEqual([]);
    const [a, b] = [assess(big), assess(one.formula)];
    a.items.forEach((x, i) => expect(b.items[i]?.bakersPct).toBeCloseTo(x.bakersPct, 6));
  });

  it('what covers a surface goes with the surface, not with the batter', () => {
    const f = demo('cardamom-yogurt-round');
    const iced: Formula = {
      ...f,
      groups: [
        ...f.groups,
        {
          id: 'i',
          name: 'Icing',
          role: 'icing',
          items: [{ id: 'ic', ingredient: 'icing-sugar', words: 'icing sugar', entered: null, grams: 200 }],
        },
      ],
    };
    const s = scale(iced, { by: 'tins', tins: [{ tin: tin('muffin-12'), count: 2 }] }, kitchen);
    const icing = allItems(s.formula).find((i) => i.id === 'ic');
    expect((icing?.grams ?? 0) / 200).toBeGreaterThan(s.factor * 1.1);
  });
});

describe('converting a bake', () => {
  it('lowers the heat for a deeper tin and raises it for a shallow one, to keep the crust', () => {
    const f = demo('cardamom-yogurt-round');
    const own = bakeInputOf(f, fitOf(f, { tin: tin('round-23'), count: 1 }), kitchen);
    const wanted = predictBake(own, kitchen).browning;
    const deep = convertBake(bakeInputOf(f, fitOf(f, { tin: tin('loaf-900'), count: 1 }), kitchen), wanted, kitchen);
    expect(deep.suited.ovenC).toBeLessThan(own.ovenC);
    expect(deep.suited.prediction.minutes.likely).toBeGreaterThan(deep.same.minutes.likely);
    const shallow = convertBake(bakeInputOf(f, fitOf(f, { tin: tin('sheet-33'), count: 1 }), kitchen), wanted, kitchen);
    expect(shallow.suited.ovenC).toBeGreaterThanOrEqual(own.ovenC);
    expect(convertBake(own, wanted, kitchen).suited.ovenC).toBe(own.ovenC);
    expect(convertBake({ ...own, batterG: 0 }, wanted, defaultKitchen).words).toMatch(/no batter/);
  });

  it('a tin written out and read back is the same tin, lining and all', () => {
    const lined: TinUse = { tin: { ...tin('round-20'), lining: 'double' }, count: 2 };
    expect(readTin(tinWords(lined))).toEqual(lined);
  });
});
