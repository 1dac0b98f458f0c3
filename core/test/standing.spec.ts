import fc from 'fast-check';
import {
  assess,
  defaultKitchen,
  gasMl,
  standingAt,
  type Formula,
  type Kitchen,
  type PowderType,
} from '../src/index.js';
import { BENCH_MIN, crossing, halfLifeMin, STAND_MINUTES, streamAt, streamOf } from '../src/leavening/standing.js';
import { altitudeFactors, dissolvesMmol, steamShare, volumeOf } from '../src/leavening/volume.js';
import { exactly } from '../src/formula/bands.js';
import { formula, nested } from './support/make.js';

const with_ = (type: PowderType): Kitchen => ({
  ...defaultKitchen,
  powders: [{ id: 'p', name: type, type, strength: 'vigorous' }],
});
/** A thin pancake-like batter, and the same flour as a scone dough. */
const thin: [string, number][] = [
  ['plain-flour', 200],
  ['milk', 370],
  ['egg', 50],
  ['neutral-oil', 30],
  ['baking-powder', 9],
];
const dough: [string, number][] = [
  ['plain-flour', 200],
  ['milk', 110],
  ['butter', 50],
  ['baking-powder', 9],
];
const keptAfter = (f: Formula, min: number, kitchen?: Kitchen): number => {
  const { lift } = assess(f, kitchen);
  return standingAt(lift, min).kept / lift.mmolPer100gBase.typical;
};
const anyStream = fc.record({
  mmol: fc.double({ min: 0, max: 30, noNaN: true }),
  bench: fc.double({ min: 0, max: 1, noNaN: true }),
  quick: fc.double({ min: 0.05, max: 2, noNaN: true }),
  slow: fc.double({ min: 0, max: 0.04, noNaN: true }),
  leak: fc.double({ min: 0.003, max: 0.2, noNaN: true }),
});

describe('gas over time, as laws', () => {
  it('is conserved: what is to come, held and lost make up the whole, and only ever moves that way', () => {
    fc.assert(
      fc.property(anyStream, fc.double({ min: 0, max: 200, noNaN: true }), (x, t) => {
        const s = streamOf(x.mmol, x.bench, x.quick, x.slow);
        const [a, b] = [streamAt(s, x.leak, t), streamAt(s, x.leak, t + 5)];
        expect(a.toCome + a.held).toBeLessThanOrEqual(x.mmol + 1e-9);
        expect(Math.min(a.toCome, a.held)).toBeGreaterThanOrEqual(-1e-9);
        expect(b.toCome).toBeLessThanOrEqual(a.toCome + 1e-9);
        expect(b.toCome + b.held).toBeLessThanOrEqual(a.toCome + a.held + 1e-9);
      }),
    );
  });

  it('releases at the bench the share that its acid is known for', () => {
    for (const bench of [0.05, 0.28, 0.65, 0.9]) {
      const s = streamOf(10, bench, 0.35, 0.004);
      expect(1 - streamAt(s, 1e-9, BENCH_MIN).toCome / 10).toBeCloseTo(bench, 2);
    }
  });

  it('never gains by waiting, keeps its bands nested, and parts add up at any minute', () => {
    for (const items of [thin, dough]) {
      const { lift } = assess(formula(items));
      const curve = lift.standing.map((p) => p.mmol);
      expect(lift.standing.map((p) => p.min)).toEqual([...STAND_MINUTES]);
      expect(curve.every(nested)).toBeTrue();
      for (let i = 1; i < curve.length; i++)
        expect(curve[i]?.typical).toBeLessThanOrEqual((curve[i - 1]?.typical ?? 0) + 1e-9);
      for (const p of lift.standing) {
        const s = standingAt(lift, p.min);
        expect(s.kept).toBeCloseTo(p.mmol.typical, 6);
        expect(s.kept + s.lost).toBeCloseTo(lift.mmolPer100gBase.typical, 6);
        expect(s.bySource.reduce((a, x) => a + x.held + x.toCome, 0)).toBeCloseTo(s.kept, 9);
        expect(s.dissolved).toBeLessThanOrEqual(s.held + 1e-9);
      }
      expect(nested(lift.bestBeforeMin)).toBeTrue();
    }
  });

  it('holds a stiffer batter’s gas longer, without a jump between classes', () => {
    let last = Infinity;
    for (let l = 0.3; l < 3; l += 0.01) {
      const h = halfLifeMin(l).typical;
      expect(h).toBeLessThanOrEqual(last);
      if (last < Infinity) expect(last / h).toBeLessThan(1.08);
      last = h;
    }
    expect(crossing([10, 9, 8, 7], 8.5)).toBeCloseTo(3, 6);
    expect(crossing([10, 9], 2)).toBe(120);
  });
});

describe('gas over time, as bakers know it', () => {
  it('lets a tartrate powder in a thin batter lose most of its lift in half an hour, a slow pyrophosphate not', () => {
    const f = formula(thin);
    expect(assess(f).batter.consistency).toBe('pourable');
    expect(keptAfter(f, 30, with_('single-acting tartrate'))).toBeLessThan(0.5);
    expect(keptAfter(f, 30, with_('pyrophosphate'))).toBeGreaterThan(0.65);
    // double-acting powder is made to wait
    expect(keptAfter(f, 30, with_('double-acting'))).toBeGreaterThan(keptAfter(f, 30, with_('single-acting tartrate')));
  });

  it('lets a dough wait far longer than a batter', () => {
    expect(assess(formula(dough, { family: 'scone' })).lift.standMin).toBeGreaterThan(
      2 * assess(formula(thin)).lift.standMin,
    );
  });

  it('hurries soda with buttermilk more than powder', () => {
    const soda = formula([
      ['plain-flour', 250],
      ['buttermilk', 300],
      ['egg', 50],
      ['baking-soda', 2.2],
    ]);
    const powder = formula([
      ['plain-flour', 250],
      ['milk', 300],
      ['egg', 50],
      ['baking-powder', 7],
    ]);
    expect(keptAfter(soda, 20)).toBeLessThan(keptAfter(powder, 20));
  });

  it('keeps up to a third of a small lift dissolved in the cold batter', () => {
    const { lift } = assess(formula(thin));
    const s = standingAt(lift, 0);
    expect(s.dissolved).toBeGreaterThan(0);
    expect(dissolvesMmol(1000, 22, 0)).toBeCloseTo(36, 0);
    expect(dissolvesMmol(1000, 5, 0)).toBeGreaterThan(50);
    expect(dissolvesMmol(1000, 22, 2000)).toBeLessThan(30);
  });

  it('loses gas of soda fizzed up in vinegar before there is a batter, and says where to put the soda', () => {
    const items: [string, number][] = [
      ['plain-flour', 250],
      ['white-sugar', 180],
      ['neutral-oil', 80],
      ['water', 240],
      ['vinegar', 15],
      ['baking-soda', 5],
    ];
    const dry = formula(items, {
      family: 'oil-cake',
      method: [{ text: 'Whisk flour, sugar and soda. Stir in the oil, water and vinegar.', itemIds: [] }],
    });
    const cup = formula(items, {
      family: 'oil-cake',
      method: [
        { text: 'Stir the soda into the vinegar until it foams up.', itemIds: [] },
        { text: 'Mix everything with the flour.', itemIds: [] },
      ],
    });
    const [a, b] = [assess(dry), assess(cup)];
    expect(a.lift.fizzedMmol.typical).toBe(0);
    expect(b.lift.mmolPer100gBase.typical).toBeLessThan(0.75 * a.lift.mmolPer100gBase.typical);
    expect(b.lift.mmolPer100gBase.typical + b.lift.fizzedMmol.typical).toBeCloseTo(a.lift.mmolPer100gBase.typical, 6);
    expect(b.verdicts.find((v) => v.id === 'fizzed')?.words).toMatch(/into the flour/);
    expect(b.ledger.leftSodaGPer100gBatter.typical).toBeCloseTo(a.ledger.leftSodaGPer100gBatter.typical, 9);
    // the baker's own word on the line wins over the text
    const said = (premixed: boolean, f: Formula): Formula => ({
      ...f,
      groups: f.groups.map((g) => ({
        ...g,
        items: g.items.map((i) => (i.ingredient === 'baking-soda' ? { ...i, premixed } : i)),
      })),
    });
    expect(assess(said(false, cup)).lift.fizzedMmol.typical).toBe(0);
    expect(assess(said(true, dry)).lift.fizzedMmol.typical).toBeGreaterThan(0);
  });
});

describe('volume of gas', () => {
  it('grows with height and heat, from the same gas', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 200, noNaN: true }),
        fc.integer({ min: -200, max: 5500 }),
        fc.integer({ min: 20, max: 92 }),
        (mmol, h, c) => {
          expect(gasMl(mmol, c, h + 100)).toBeGreaterThanOrEqual(gasMl(mmol, c, h));
          expect(gasMl(mmol, c + 1, h)).toBeGreaterThan(gasMl(mmol, c, h));
        },
      ),
    );
  });

  it('is a mole in 22.4 litres when there is no steam to speak of, and steam’s known share when there is', () => {
    expect(gasMl(1000, 0.01, 0) / 1000).toBeCloseTo(22.5, 0);
    const dry = (c: number): number => 8.314 * (c + 273.15) * (1000 / 101.325) * 1e-3;
    expect(gasMl(1000, 80, 0) / 1000 / dry(80)).toBeCloseTo(1.77, 1);
    expect(gasMl(1000, 85, 0) / 1000 / dry(85)).toBeCloseTo(2.13, 1);
    expect(gasMl(1000, 90, 0) / 1000 / dry(90)).toBeCloseTo(2.81, 1);
    expect(steamShare(85, 0)).toBeCloseTo(0.53, 1);
  });

  it('wants less powder higher up: the kitchen factor and the wet ratio at 1500 m', () => {
    expect(altitudeFactors(1500).dry).toBeCloseTo(0.835, 2);
    expect(altitudeFactors(1500).wet).toBeCloseTo(0.66, 1);
    expect(altitudeFactors(0)).toEqual({ dry: 1, wet: 1 });
  });

  it('gives a pound cake more of its dry gas as beaten-in air than any powder does', () => {
    const pound = assess(
      formula(
        [
          ['butter', 200],
          ['caster-sugar', 200],
          ['egg', 200],
          ['plain-flour', 200],
          ['baking-powder', 2],
        ],
        { family: 'pound-cake', method: [{ text: 'Cream butter and sugar until pale and fluffy.', itemIds: [] }] },
      ),
    );
    expect(pound.lift.volume.airShare).toBeGreaterThan(0.5);
    // stirred with melted butter, the same batter has none of it
    const melted = assess(
      formula(
        [
          ['butter', 200],
          ['plain-flour', 200],
          ['caster-sugar', 200],
          ['egg', 200],
        ],
        {
          family: 'pound-cake',
          method: [{ text: 'Melt the butter and stir everything in.', itemIds: [] }],
        },
      ),
    );
    expect(melted.lift.airMl.typical).toBe(0);
    expect(volumeOf(exactly(0), exactly(0), 100, 0).mlPer100gBatter.typical).toBe(0);
  });
});
