import fc from 'fast-check';
import {
  applyChanges,
  boughtFor,
  catalogueRow,
  cost,
  ingredients,
  nutrition,
  ovenEnergy,
  scale,
  shopOf,
  shopSections,
  shopping,
  stallLabel,
  stockNow,
  usedBy,
  type BakeRecord,
  type Formula,
  type Kitchen,
} from '../src/index.js';
import { plantedBake } from './support/faults.js';
import { demo, demoIds, demoKitchen, formula } from './support/make.js';

const kitchen: Kitchen = { ...demoKitchen(), energyPerKwh: 0.3 };
const all = demoIds.map(demo);
const some = fc.subarray(all, { minLength: 1, maxLength: 5 });
const factor = fc.double({ min: 0.25, max: 4, noNaN: true });

describe('cost', () => {
  it('adds up: the lines make the batch, twice the batch costs twice, pieces share it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...all), factor, (f, k) => {
        const c = cost(f, kitchen);
        expect(c.lines.reduce((s, l) => s + (l.cost ?? 0), 0)).toBeCloseTo(c.ingredients, 9);
        expect(c.perPiece * c.pieces).toBeCloseTo(c.batch, 9);
        const weighed = { ...kitchen, schools: { ...kitchen.schools, eggs: 'weighed' as const } };
        expect(cost(scale(f, { by: 'factor', factor: k }, weighed).formula, kitchen).ingredients).toBeCloseTo(k * c.ingredients, 1); // prettier-ignore
      }),
    );
  });

  it('names what has no price instead of taking it for nothing', () => {
    const f = formula([['plain-flour', 100], ['saffron', 1], ['water', 50]]); // prettier-ignore
    const c = cost(f, { ...kitchen, prices: { 'plain-flour': { price: 1, perG: 1000 } } });
    expect(c.missing).toEqual(['Saffron']);
    expect(c.ingredients).toBeCloseTo(0.1, 9);
  });

  it('takes more energy the hotter, longer and larger, and says how unsure that is', () => {
    const at = (ovenC: number, minutes: number, ovenId = 'big'): number => ovenEnergy({ ovenC, minutes, ovenId }, kitchen).kWh.typical; // prettier-ignore
    expect(at(180, 40)).toBeGreaterThan(0.5);
    expect(at(180, 40)).toBeLessThan(1.6);
    expect(at(220, 40)).toBeGreaterThan(at(180, 40));
    expect(at(180, 90)).toBeGreaterThan(at(180, 40));
    expect(at(180, 40)).toBeGreaterThan(at(180, 40, 'small'));
    const e = ovenEnergy({ ovenC: 180, minutes: 40 }, kitchen);
    expect(e.cost?.typical).toBeCloseTo(0.3 * e.kWh.typical, 9);
    expect(ovenEnergy({ ovenC: 180, minutes: 40 }, demoKitchen()).cost === null).toBe(demoKitchen().energyPerKwh === undefined); // prettier-ignore
  });
});

describe('nutrition', () => {
  it('is the sum of what went in, over what comes out', () => {
    fc.assert(
      fc.property(fc.constantFrom(...all), fc.double({ min: 0, max: 16, noNaN: true }), (f, loss) => {
        const n = nutrition(f, kitchen, loss);
        expect(n.perPiece.fat * n.pieces).toBeCloseTo((n.per100.fat * n.pieceG * n.pieces) / 100, 6);
        const parts = 37 * n.per100.fat + 17 * (n.per100.carbohydrate + n.per100.protein) + 8 * n.per100.fibre;
        expect(n.per100.kJ).toBeCloseTo(parts, 6);
        expect(n.per100.sugars).toBeLessThanOrEqual(n.per100.carbohydrate + 1e-9);
        // what water leaves makes the rest denser
        expect(n.per100.kcal).toBeGreaterThanOrEqual(nutrition(f, kitchen, 0).per100.kcal - 1e-9);
        expect(n.perPiece.kcal).toBeCloseTo(nutrition(f, kitchen, 0).perPiece.kcal, 9);
      }),
    );
    for (const f of all) {
      const n = nutrition(f, kitchen);
      expect(n.per100.kcal).withContext(f.id).toBeGreaterThan(180);
      expect(n.per100.kcal).withContext(f.id).toBeLessThan(520);
      expect(n.per100.salt).withContext(f.id).toBeLessThan(3);
    }
  });

  it('counts soda and powder as salt by their sodium', () => {
    const f = formula([['plain-flour', 200], ['water', 150], ['baking-soda', 4]]); // prettier-ignore
    const more = applyChanges(f, [{ itemId: 'i2', grams: 8 }]);
    // 1 g of soda holds 0.274 g of sodium
    const gained = nutrition(more, kitchen, 0).perPiece.salt - nutrition(f, kitchen, 0).perPiece.salt;
    expect(gained).toBeCloseTo(4 * 0.2737 * 2.5, 1);
  });
});

describe('a stall label', () => {
  it('lists all by falling weight, allergens in capitals, traces as said, and always defers to the law', () => {
    for (const f of all) {
      const l = stallLabel({ ...f, mayContain: ['sesame', 'milk'] }, kitchen);
      const heaviest = f.groups.flatMap((g) => g.items).reduce((a, b) => (b.grams > a.grams ? b : a));
      const name = (catalogueRow(heaviest.ingredient)?.name ?? '').replace(/,.*/, '').toLowerCase();
      expect(l.ingredients.startsWith(name)).withContext(`${f.id}: ${l.ingredients}`).toBeTrue();
      for (const a of l.contains.filter((x) => x !== 'gluten')) expect(l.ingredients).toContain(a.toUpperCase());
      expect(l.mayContain).toContain('sesame');
      expect(l.mayContain.some((a) => l.contains.includes(a))).toBeFalse();
      expect(l.caution).toContain('local');
      expect(l.text).toContain('Contains: ');
    }
  });

  it('calls nothing free of what may be in it', () => {
    const f = formula([['rice-flour', 200], ['water', 100], ['neutral-oil', 40]]); // prettier-ignore
    expect(stallLabel(f, kitchen).diets).toEqual(['vegan', 'vegetarian', 'gluten-free', 'dairy-free', 'egg-free', 'nut-free']); // prettier-ignore
    const traced = stallLabel({ ...f, mayContain: ['hazelnut', 'wheat'] }, kitchen).diets;
    expect(traced).not.toContain('nut-free');
    expect(traced).not.toContain('gluten-free');
    expect(traced).toContain('vegan');
  });
});

describe('shopping', () => {
  const stockOf = fc.dictionary(fc.constantFrom(...ingredients.map((i) => i.id)), fc.double({ min: 0, max: 2000, noNaN: true })); // prettier-ignore

  it('covers the plan exactly: what is there and what is bought reach, and no pack could be left away', () => {
    fc.assert(
      fc.property(some, factor, stockOf, (list, k, stock) => {
        const s = shopping(list.map((formula) => ({ formula, factor: k })), stock, kitchen); // prettier-ignore
        for (const l of [...s.buy, ...s.have]) {
          const bought = l.packs !== null && l.packG !== null ? l.packs * l.packG : l.buyG;
          expect(l.haveG + bought).toBeGreaterThan(l.needG - 0.51);
          if (l.packs !== null && l.packs > 0 && l.packG !== null) expect(l.haveG + (l.packs - 1) * l.packG).toBeLessThan(l.needG); // prettier-ignore
          expect(l.takenBy.reduce((a, x) => a + x.grams, 0)).toBeCloseTo(l.needG, 6);
        }
        const wanted = list.map((f) => boughtFor(usedBy(f, k)));
        for (const id of new Set(wanted.flatMap(Object.keys))) {
          const need = wanted.reduce((a, w) => a + (w[id] ?? 0), 0);
          expect([...s.buy, ...s.have].find((l) => l.ingredient === id)?.needG).toBeCloseTo(need, 6);
        }
        expect(s.cost).toBeCloseTo(
          s.buy.reduce((a, l) => a + (l.cost ?? 0), 0),
          9,
        );
      }),
      { numRuns: 60 },
    );
  });

  it('merges, in any order, and walks the shop section by section', () => {
    const plan = all.map((formula) => ({ formula }));
    const [a, b] = [shopping(plan, {}, kitchen), shopping([...plan].reverse(), {}, kitchen)];
    expect(b.buy.map((l) => [l.ingredient, Math.round(l.buyG)])).toEqual(a.buy.map((l) => [l.ingredient, Math.round(l.buyG)])); // prettier-ignore
    expect(new Set(a.buy.map((l) => l.ingredient)).size).toBe(a.buy.length);
    const walked = a.buy.map((l) => shopSections.indexOf(l.section));
    expect(walked).toEqual([...walked].sort((x, y) => x - y));
    expect(a.buy.find((l) => l.ingredient === 'egg')?.words).toMatch(/^\d+ eggs/);
    expect(a.buy.some((l) => l.ingredient === 'water' || l.ingredient === 'tea')).toBeFalse();
  });

  it('knows where everything stands', () => {
    const at = (id: string): string => shopOf(catalogueRow(id) as NonNullable<ReturnType<typeof catalogueRow>>);
    for (const [id, section] of [
      ['butter', 'chilled'], ['buttermilk', 'chilled'], ['hard-cheese', 'chilled'], ['egg', 'eggs'], ['rye-flour', 'flour and grain'],
      ['treacle', 'sugar and syrup'], ['baking-soda', 'baking shelf'], ['dark-chocolate', 'baking shelf'], ['walnut', 'nuts and dried fruit'],
      ['dried-fig', 'nuts and dried fruit'], ['pear', 'fruit and vegetables'], ['neutral-oil', 'oils and fats'], ['cardamom', 'spices'],
      ['stout', 'drinks'], ['peanut-butter', 'oils and fats'], ['milk-powder', 'baking shelf'], ['cocoa-butter', 'baking shelf'],
    ] as const) expect(at(id)).withContext(id).toBe(section); // prettier-ignore
    for (const i of ingredients) expect(shopSections).toContain(shopOf(i));
  });
});

describe('stock', () => {
  const f = demo('rye-and-pear-loaf');
  const bake = (id: string, at: number, of: Formula = f): BakeRecord => ({ ...plantedBake(3, null).bake, id, at, used: usedBy(of) }); // prettier-ignore
  const counted: Kitchen = { ...kitchen, stock: { 'plain-flour': 1000, egg: 600, butter: 250 }, stockAt: { 'plain-flour': 100, egg: 100 } }; // prettier-ignore

  it('is drawn down by bakes since it was counted, in any order, and comes back when one is taken out', () => {
    const bakes = [bake('a', 50), bake('b', 150), bake('c', 200)];
    const now = stockNow(counted, bakes);
    expect(now['plain-flour']).toBe(1000 - 2 * 150);
    expect(now['egg']).toBe(600 - 2 * 100);
    // not dated: as it was entered
    expect(now['butter']).toBe(250);
    expect(stockNow(counted, [...bakes].reverse())).toEqual(now);
    expect(stockNow(counted, bakes.slice(0, 2))['plain-flour']).toBe(850);
    expect(stockNow(counted, [])).toEqual(counted.stock);
  });

  it('gives nothing for what was only tried out', () => {
    const observed = { beganAt: 0, intoOvenAt: 0, weighed: [], added: [], skipped: [], ovenReadings: [] };
    const tried = (['scale', 'probe', 'clock'] as const).map((x, i) => ({ ...bake(`t${i}`, 200), observed: { ...observed, simulated: [x] } })); // prettier-ignore
    expect(stockNow(counted, tried)).toEqual(counted.stock);
    expect(stockNow(counted, [{ ...bake('real', 200), observed }])['plain-flour']).toBe(850);
  });

  it('never falls below nothing, and takes eggs for their parts', () => {
    expect(
      stockNow(
        counted,
        Array.from({ length: 20 }, (_, i) => bake(`x${i}`, 200)),
      )['plain-flour'],
    ).toBe(0);
    expect(boughtFor({ 'egg-white': 66, 'egg-yolk': 34 })).toEqual({ egg: 100 });
  });
});
