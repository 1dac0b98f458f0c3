import fc from 'fast-check';
import {
  capacityOf,
  families,
  predictBake,
  rangeFrom,
  sampleTimes,
  withRange,
  type BakeInput,
  type FamilyId,
  type Section,
  type Tin,
} from '../src/index.js';
import { browningPace, browningWords } from '../src/bake/browning.js';
import { airAfter, airAtStart } from '../src/bake/oven.js';
import { simulate } from '../src/bake/run.js';
import { typicalComposition } from '../src/bake/composition.js';
import { setupOf } from '../src/bake/setup.js';
import { roundGrid } from '../src/bake/grid.js';
import { HIGHEST, MIN, tabulate } from '../src/bake/physics.js';
import { begin, end, step } from '../src/bake/state.js';
import { crumb, round23 as round, tinned } from './support/heat.js';
import { demoKitchen } from './support/make.js';
import { size } from './support/runs.js';

const kit = demoKitchen().tins;
const walled = kit.filter((t) => t.shape !== 'mound' && t.shape !== 'slab');
const cake: BakeInput = { batterG: 700, tin: round, family: 'butter-cake-lean', ovenC: 177, startC: 21 };
const likely = (x: Partial<BakeInput>): number => predictBake({ ...cake, ...x }).minutes.likely;
const bakes: fc.Arbitrary<BakeInput> = fc
  .record({
    tin: fc.constantFrom(...walled),
    family: fc.constantFrom<FamilyId>('butter-cake-lean', 'quick-bread', 'muffin', 'pound-cake', 'oil-cake'),
    ovenC: fc.integer({ min: 155, max: 215 }),
    fill: fc.double({ min: 0.3, max: 0.7, noNaN: true }),
  })
  .map(({ fill, ...x }) => ({ ...x, batterG: fill * capacityOf(x.tin), startC: 21 }));

describe('a bake in any tin', () => {
  it('never takes less time for being fuller, nor more for a hotter oven or a faster one', () => {
    fc.assert(
      fc.property(bakes, (input) => {
        const t = (x: Partial<BakeInput>): number => predictBake({ ...input, ...x }).minutes.likely;
        const now = t({});
        expect(t({ batterG: input.batterG * 1.12 })).toBeGreaterThan(now);
        expect(t({ ovenC: input.ovenC + 12 })).toBeLessThan(now);
        expect(t({ fan: true })).toBeLessThan(now);
        expect(t({ startC: 8 })).toBeGreaterThan(now);
      }),
      { numRuns: size(12, 6) },
    );
  });

  it('stays between the batter and the oven, however thin the layer and heavy the tin', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Tin['material']>('cast iron', 'light metal', 'glass', 'silicone'),
        fc.constantFrom<Tin['shape']>('round', 'square', 'slab', 'cup'),
        fc.integer({ min: 40, max: 330 }),
        fc.double({ min: 2, max: 12, noNaN: true }),
        fc.integer({ min: 150, max: 245 }),
        (material, shape, topMm, mm, ovenC) => {
          const tin: Tin = { ...round, shape, topMm, baseMm: topMm * 0.9, depthMm: 60, material };
          const batterG = Math.max(3, 0.7 * topMm * topMm * mm * 1e-3);
          const run = simulate(setupOf({ tin, batterG, family: 'muffin', ovenC, startC: 21 }));
          for (const at of run.curve)
            for (const c of [at.centreC, at.meanC, at.crustC]) {
              expect(c).toBeGreaterThan(20);
              expect(c).toBeLessThan(ovenC + 3);
            }
          // and cools without swinging, though its walls change at once
          const after = run.after.map((x) => x.centreC);
          for (const [i, c] of after.entries()) {
            expect(c).toBeGreaterThan(20);
            expect(Math.abs(c - (after[i - 1] ?? c))).toBeLessThan(12);
          }
        },
      ),
      { numRuns: 60, examples: [['light metal', 'slab', 135, 2, 227]] },
    );
  });

  it('keeps every cell of a thin dried layer inside its tables when it comes out into the room', () => {
    const tables = tabulate({ ...crumb, freezes: -5, ice: 0.3 });
    for (const [mm, heatS, air] of [
      [0.8, 90, 260],
      [1.5, 120, 227],
      [1.5, 190, 227],
      [2, 240, 260],
    ] as const) {
      // prettier-ignore
      const grid = roundGrid(0.0675, 0, mm / 1000, 14, 16, 'open');
      const state = begin({ grid, tables, walls: tinned, aw: 0.95, mc: 0.87, waterKgM3: 300, startC: 21 });
      for (let s = 0; s < heatS; s += 1.5) step(state, 1.5, air);
      for (let i = 0; i < 4; i++) {
        step(state, 20, 21);
        expect(Math.min(...state.theta))
          .withContext(`${mm} mm`)
          .toBeGreaterThanOrEqual(MIN);
        expect(Math.max(...state.theta))
          .withContext(`${mm} mm`)
          .toBeLessThanOrEqual(HIGHEST);
      }
      end(state);
    }
  });

  it('is quicker in a tin that was hot before, slower in an oven that was not', () => {
    for (const material of ['light metal', 'cast iron'] as const) {
      const tin = { ...round, material };
      const [now, hot, late] = [{}, { hotTin: true }, { ovenReachedC: 90 }].map((x) => likely({ tin, ...x })) as [
        number,
        number,
        number,
      ];
      expect(hot).toBeLessThan(now);
      expect(late).toBeGreaterThan(now + 2);
      // heavy iron brings more heat along than thin metal
      if (material === 'cast iron') expect(hot).toBeLessThan(0.9 * now);
    }
  });

  it('gives figures that hang together, whatever is asked', () => {
    fc.assert(
      fc.property(bakes, (input) => {
        const p = predictBake(input);
        expect(p.minutes.early).toBeLessThan(p.minutes.likely);
        expect(p.minutes.late).toBeGreaterThan(p.minutes.likely);
        expect(p.lossPct).toBeGreaterThan(1);
        expect(p.lossPct).toBeLessThan(20);
        expect(p.carryK).toBeGreaterThanOrEqual(0);
        expect(p.carryK).toBeLessThan(8);
        const times = p.curve.map((x) => x.s);
        expect(times).toEqual([...times].sort((a, b) => a - b));
        for (const m of p.plan) expect(m.atMin).toBeGreaterThan(0);
        const at = (kind: string): number => p.plan.find((m) => m.kind === kind)?.atMin ?? NaN;
        expect(at('first look')).toBeLessThanOrEqual(at('out'));
        if (p.plan.some((m) => m.kind === 'turn')) expect(at('turn')).toBeLessThan(at('first look'));
      }),
      { numRuns: size(12, 6) },
    );
  });

  it('is scaled cup by cup: a tray of twelve takes as long as one of six as full', () => {
    const tray = kit.find((t) => t.shape === 'cup') as Tin;
    const minutes = (cups: number): number =>
      likely({ tin: { ...tray, cups, capacityMl: undefined } as unknown as Tin, batterG: 70 * cups, family: 'muffin' });
    expect(minutes(12)).toBeCloseTo(minutes(6), 6);
  });
});

describe('what changes a bake', () => {
  it('a lining, a cold oven, a lid at first, and a height above the sea: longer; a dark tin: shorter', () => {
    const now = likely({});
    expect(likely({ tin: { ...round, lining: 'double' } })).toBeGreaterThan(1.04 * now);
    expect(likely({ tin: { ...round, lining: 'paper' } })).toBeGreaterThan(now);
    expect(likely({ ovenReachedC: 90 })).toBeGreaterThan(now + 2);
    expect(likely({ tin: { ...round, material: 'dark metal' } })).toBeLessThan(now);
    expect(likely({ tin: { ...round, material: 'silicone' } })).toBeGreaterThan(now);
    const lid = predictBake({ ...cake, stages: [{ fromMin: 0, ovenC: 177, cover: 'lid' }] });
    expect(lid.lossPct).toBeLessThan(predictBake(cake).lossPct - 1);
  });

  it('foil over the second half keeps the top paler, and a hotter start colours it more', () => {
    const top = (x: Partial<BakeInput>): number => predictBake({ ...cake, ...x }).browning.top;
    expect(top({ stages: [{ fromMin: 15, ovenC: 177, cover: 'tent' }] })).toBeLessThan(0.8 * top({}));
    expect(top({ ovenC: 200, stages: [{ fromMin: 10, ovenC: 177 }] })).toBeGreaterThan(top({}));
    expect(top({ composition: { water: 0.34, fat: 0.15, sugar: 0.3, milk: 0.06, leftSoda: 0.2 } })).toBeGreaterThan(
      top({ composition: { water: 0.34, fat: 0.15, sugar: 0.05, milk: 0.01, leftSoda: 0 } }),
    );
    expect(browningPace(undefined)).toBe(1);
    expect(browningWords({ top: 0.05, side: 0.05, base: 0.05 })).toBe('pale all round');
    expect(browningWords({ top: 9, side: 1, base: 1 })).toBe('top dark, sides and base golden');
  });

  it('asks for foil over a loaf that is long in a hot oven, not over a layer', () => {
    const loaf = kit.find((t) => t.id === 'loaf-900') as Tin;
    const hot = predictBake({ ...cake, tin: loaf, batterG: 1200, family: 'quick-bread', ovenC: 195 });
    expect(hot.plan.map((m) => m.kind)).toContain('tent');
    expect(predictBake(cake).plan.map((m) => m.kind)).not.toContain('tent');
  });

  it('the oven recovers from the door, heats no faster than it can, and never passes its dial', () => {
    expect(airAtStart(180)).toBeCloseTo(140, 6);
    expect(airAtStart(180, 20)).toBe(20);
    let air = airAtStart(180, 60);
    let before = air;
    for (let s = 0; s < 3600; s += 10) {
      air = airAfter(air, 180, 10);
      expect(air).toBeGreaterThanOrEqual(before);
      expect(air - before).toBeLessThanOrEqual(2 + 1e-9);
      expect(air).toBeLessThanOrEqual(180);
      before = air;
    }
    expect(air).toBeGreaterThan(175);
  });

  it('every family has an ordinary composition to fall back on', () => {
    for (const f of families) {
      const { water, fat } = typicalComposition(f.id);
      expect(water).withContext(f.id).toBeGreaterThan(0.15);
      expect(water).withContext(f.id).toBeLessThan(0.6);
      expect(fat).withContext(f.id).toBeGreaterThan(0.01);
      expect(fat + water)
        .withContext(f.id)
        .toBeLessThan(0.85);
    }
  });
});

describe('the range of a time', () => {
  it('repeats, is the same whether sampled at once or in parts, and moves with the seed', () => {
    const whole = sampleTimes(cake, undefined, 0, 12);
    const parts = [...sampleTimes(cake, undefined, 0, 5), ...sampleTimes(cake, undefined, 5, 12)];
    expect(parts).toEqual(whole);
    expect(sampleTimes({ ...cake, seed: 3 }, undefined, 0, 12)).not.toEqual(whole);
    const p = predictBake({ ...cake, samples: 12 });
    expect(withRange(predictBake(cake), whole, cake).minutes).toEqual(p.minutes);
    expect(p.minutes.likely).toBe(predictBake(cake).minutes.likely);
  });

  it('lies about the likely time, as wide as bakers’ own experience, and narrower once the oven is known', () => {
    const width = (m: { early: number; late: number }): number => Math.log(m.late / m.early);
    const free = predictBake({ ...cake, samples: 32 });
    expect(free.minutes.early).toBeLessThan(free.minutes.likely);
    expect(free.minutes.late).toBeGreaterThan(free.minutes.likely);
    expect(width(free.minutes) / 2.563).toBeGreaterThan(0.08);
    expect(width(free.minutes) / 2.563).toBeLessThan(0.17);
    const known = predictBake({ ...cake, samples: 32, known: { tin: round, batterG: 700, ovenC: 177, minutes: 29 } });
    expect(width(known.minutes)).toBeLessThan(0.81 * width(free.minutes));
    expect(known.confidence).toBeGreaterThan(free.confidence);
    // too few samples for a quantile: the documented error stands in
    expect(rangeFrom(30, [0.1, -0.1], null).late).toBeCloseTo(30 * Math.exp(1.2816 * 0.1), 6);
  });
});

describe('the field through the middle', () => {
  const p = predictBake({ ...cake, section: true });
  const s = p.section as Section;
  it('comes only when asked for, one frame a time, coldest inside', () => {
    expect(predictBake(cake).section).toBeNull();
    expect(s.frames.length).toBe(s.times.length * s.nx * s.nz);
    expect(s.x.length).toBe(s.nx);
    expect(s.z.at(-1)).toBeCloseTo(p.batterMm, 0);
    expect(s.x.at(-1)).toBeCloseTo(114.5, 0);
    const last = s.frames.slice(-s.nx * s.nz);
    expect(last[(s.nz - 1) * s.nx] ?? 0).toBeGreaterThan(last[Math.floor(s.nz / 2) * s.nx] ?? 0);
    expect(s.risen[0]).toBeCloseTo(1, 6);
    expect(s.risen.at(-1) ?? 0).toBeGreaterThan(1.5);
  });
});
