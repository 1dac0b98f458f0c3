import fc from 'fast-check';
import {
  acidToMeet,
  assess,
  catalogueRow,
  defaultKitchen,
  homeMade,
  powders,
  sodaInPowder,
  type Kitchen,
} from '../src/index.js';
import { typically } from '../src/formula/bands.js';
import { acidById, acidOfIngredient, acids, meqPer100G } from '../src/leavening/acids.js';
import { acidOf, linesOf } from '../src/leavening/parts.js';
import { CO2_G_PER_MOL, SODA_G_PER_MOL } from '../src/leavening/powders.js';
import { formula, nested } from './support/make.js';

/** Tenths of a gram: what is below a hundredth counts as nothing, on purpose. */
const grams = fc.integer({ min: 0, max: 4000 }).map((x) => x / 10);
const leaven = fc.integer({ min: 0, max: 250 }).map((x) => x / 10);
/** Any batter of flour, milk product, soda, powder, sugar and cocoa. */
const batters = fc
  .record({
    flour: fc.double({ min: 50, max: 500, noNaN: true }),
    yogurt: grams,
    milk: grams,
    soda: leaven,
    powder: leaven,
    honey: grams,
    cocoa: leaven,
    white: grams,
  })
  .map((b) =>
    formula([
      ['plain-flour', b.flour],
      ['yogurt', b.yogurt],
      ['milk', b.milk],
      ['baking-soda', b.soda],
      ['baking-powder', b.powder],
      ['honey', b.honey],
      ['cocoa-natural', b.cocoa],
      ['egg-white', b.white],
    ]),
  );
const at = (f: ReturnType<typeof formula>, k: Kitchen = defaultKitchen) => assess(f, k);

describe('gas and ledger, as laws', () => {
  it('never gives more gas than the bicarbonate holds carbon', () => {
    fc.assert(
      fc.property(batters, (f) => {
        const a = at(f);
        const gas = (a.lift.mmolPer100gBase.typical * a.totals.baseG) / 100;
        expect(gas).toBeLessThanOrEqual(a.ledger.bicarbonateMmol + 1e-6);
      }),
    );
  });

  it('adds its sources up to the total, with bands that nest', () => {
    fc.assert(
      fc.property(batters, (f) => {
        const a = at(f);
        const sum = a.lift.bySource.reduce((s, x) => s + x.mmol.typical, 0);
        expect(sum).toBeCloseTo(a.lift.mmolPer100gBase.typical, 6);
        expect(nested(a.lift.mmolPer100gBase)).toBeTrue();
        expect(a.lift.bySource.every((x) => nested(x.mmol))).toBeTrue();
        expect(
          [a.ledger.acidMeq, a.ledger.leftSodaGPer100gBatter, a.ledger.leftAcidMeqPer100gBatter].every(nested),
        ).toBeTrue();
      }),
    );
  });

  it('does not change with the size of the batch', () => {
    fc.assert(
      fc.property(batters, fc.double({ min: 0.2, max: 8, noNaN: true }), (f, k) => {
        const big = {
          ...f,
          groups: f.groups.map((g) => ({ ...g, items: g.items.map((i) => ({ ...i, grams: i.grams * k })) })),
        };
        const [a, b] = [at(f), at(big)];
        expect(b.lift.mmolPer100gBase.typical).toBeCloseTo(a.lift.mmolPer100gBase.typical, 6);
        expect(b.ledger.leftSodaGPer100gBatter.typical).toBeCloseTo(a.ledger.leftSodaGPer100gBatter.typical, 6);
      }),
    );
  });

  it('never leaves more soda when acid is added, nor lifts less when powder is', () => {
    fc.assert(
      fc.property(batters, fc.double({ min: 1, max: 100, noNaN: true }), (f, more) => {
        const plus = (ingredient: string) => ({
          ...f,
          groups: f.groups.map((g) => ({
            ...g,
            items: [...g.items, { id: 'x', ingredient, words: '', entered: null, grams: more }],
          })),
        });
        const left = (x: typeof f) => (at(x).ledger.leftSodaGPer100gBatter.typical * at(x).totals.batterG) / 100;
        expect(left(plus('lemon-juice'))).toBeLessThanOrEqual(left(f) + 1e-9);
        expect(at(plus('baking-powder')).lift.mmolPer100gBase.typical).toBeGreaterThanOrEqual(
          at(f).lift.mmolPer100gBase.typical - 1e-9,
        );
      }),
    );
  });

  it('wants less lift higher up', () => {
    const f = formula([
      ['plain-flour', 200],
      ['baking-powder', 8],
      ['milk', 150],
    ]);
    const target = (altitudeM: number) => at(f, { ...defaultKitchen, altitudeM }).lift.target[1];
    expect(target(1500) / target(0)).toBeCloseTo(0.835, 2);
    expect(target(3000)).toBeLessThan(target(1500));
  });
});

describe('gas and ledger, as bakers know them', () => {
  it('holds half the soda as carbon dioxide and a powder to at least 12 %', () => {
    expect(CO2_G_PER_MOL / SODA_G_PER_MOL).toBeCloseTo(0.524, 3);
    for (const p of powders) {
      const available = ((p.soda.typical * p.met) / p.gPerMol) * CO2_G_PER_MOL;
      expect(available)
        .withContext(p.type)
        .toBeGreaterThan(p.type === 'home-made 1:2:1' ? 0.1 : 0.12);
      expect(available).withContext(p.type).toBeLessThan(0.17);
    }
  });

  it('lets 240 g buttermilk use 1.4 to 2.2 g of soda, a little under the half teaspoon of the kitchen rule', () => {
    const [line] = linesOf(formula([['buttermilk', 240]]));
    const acid = line?.ingredient.acidMeq;
    const soda = (meq: number) => (meq * 2.4 * SODA_G_PER_MOL) / 1000;
    expect(soda(acid?.low ?? 0)).toBeCloseTo(1.41, 2);
    expect(((line ? acidOf(line, typically) : 0) * SODA_G_PER_MOL) / 1000).toBeCloseTo(1.81, 2);
    expect(soda(acid?.high ?? 0)).toBeCloseTo(2.22, 2);
    // and so the ledger of a batter says, line by line
    const entry = at(
      formula([
        ['plain-flour', 250],
        ['buttermilk', 240],
        ['baking-soda', 2.5],
      ]),
    ).ledger.entries.find((e) => e.itemId === 'i1');
    expect(
      [entry?.sodaG.low, entry?.sodaG.typical, entry?.sodaG.high].map((x) => Math.round((x ?? 0) * 10) / 10),
    ).toEqual([1.4, 1.8, 2.2]);
    expect(entry?.sodaG.typical).toBeLessThan(2.5);
  });

  it('counts what each acid can meet by its formula, where the reaction is a plain titration', () => {
    for (const a of acids.filter((x) => x.molar)) {
      const nv = (100 * (a.molar?.equivalents ?? 0) * SODA_G_PER_MOL) / (a.molar?.gPerMol ?? 1);
      expect(Math.abs(nv - a.nv))
        .withContext(a.name)
        .toBeLessThan(0.3);
    }
    // the catalogue's acids carry the same figures, as milliequivalents
    for (const [id, acid] of Object.entries(acidOfIngredient)) {
      const row = catalogueRow(id).acidMeq;
      expect(Math.abs((row?.typical ?? 0) / meqPer100G(acidById(acid)) - 1))
        .withContext(id)
        .toBeLessThan(0.02);
    }
  });

  it('makes up powders that weigh no more than themselves, with a share of starch', () => {
    for (const p of powders) {
      const starch = 100 - 100 * p.soda.typical - p.acidGPer100;
      expect(starch).withContext(p.type).toBeGreaterThan(5);
      expect(starch).withContext(p.type).toBeLessThan(55);
      expect(p.acidShares.reduce((s, [, share]) => s + share, 0)).toBeCloseTo(1, 9);
    }
  });

  it('replaces one part of soda by three to four of powder, and meets it as the kitchen rules say', () => {
    for (const p of powders.filter((x) => x.met === 1)) {
      const g = sodaInPowder(1, p).typical;
      expect(g).withContext(p.type).toBeGreaterThan(2.9);
      expect(g).withContext(p.type).toBeLessThan(4.4);
    }
    const g = (id: string) => acidToMeet(1, catalogueRow(id).acidMeq ?? { low: 1, typical: 1, high: 1 }).typical;
    expect(g('buttermilk')).toBeCloseTo(132, 0);
    expect(g('vinegar')).toBeCloseTo(14.3, 0);
    expect(g('lemon-juice')).toBeCloseTo(14, 0);
    expect(g('cream-of-tartar')).toBeCloseTo(2.24, 2);
    expect(homeMade(1).tartarG).toBeCloseTo(g('cream-of-tartar'), 2);
  });

  it('does not let carrot neutralise a teaspoon of soda', () => {
    const a = at(
      formula(
        [
          ['plain-flour', 250],
          ['carrot', 300],
          ['baking-soda', 5],
        ],
        { family: 'oil-cake' },
      ),
    );
    expect(a.ledger.unmetShare).toBeGreaterThan(0.75);
    expect(a.ledger.state).toBe('excess soda');
  });

  it('tells natural cocoa from alkalised', () => {
    const cake = (cocoa: string) =>
      at(
        formula(
          [
            ['plain-flour', 200],
            [cocoa, 60],
            ['white-sugar', 250],
            ['egg', 100],
            ['milk', 200],
            ['neutral-oil', 120],
            ['baking-soda', 4],
          ],
          { family: 'chocolate-cake' },
        ),
      );
    expect(cake('cocoa-alkalised').ledger.unmetShare).toBeGreaterThan(cake('cocoa-natural').ledger.unmetShare + 0.2);
  });

  it('gives no lift to a batter whose powder is dead', () => {
    const f = formula([
      ['plain-flour', 250],
      ['baking-powder', 10],
      ['milk', 200],
    ]);
    const dead: Kitchen = {
      ...defaultKitchen,
      powders: [{ id: 'p', name: 'old', type: 'double-acting', strength: 'none' }],
    };
    expect(at(f, dead).lift.mmolPer100gBase.typical).toBeLessThan(0.2 * at(f).lift.mmolPer100gBase.typical);
    expect(at(f, dead).lift.state).toBe('low');
  });
});
