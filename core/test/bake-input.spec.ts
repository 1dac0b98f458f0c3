import fc from 'fast-check';
import {
  bakeInputOf,
  convertBake,
  defaultKitchen,
  finish,
  fitTins,
  forecast,
  forecastPlan,
  divideAlike,
  OrvinError,
  predictBake,
  scale,
  type BakeInput,
  type Formula,
  type Kitchen,
  type Tin,
  type TinFit,
} from '../src/index.js';
import { problemsOf } from '../src/bake/problems.js';
import { demo, demoIds } from './support/make.js';
import { round23 as round } from './support/heat.js';
import { size } from './support/runs.js';

const cake: BakeInput = { batterG: 700, tin: round, family: 'butter-cake-lean', ovenC: 177, startC: 21 };

/** Numbers that come out of broken files, forms and arithmetic, beside ordinary ones. */
const odd = fc.constantFrom(NaN, Infinity, -Infinity, -1, 0, 1e-9, 0.5, 1, 20, 100, 177, 700, 1e4, 1e9, -40);
const said = <T>(right: T): fc.Arbitrary<T> => fc.oneof({ weight: 3, arbitrary: fc.constant(right) }, { weight: 1, arbitrary: odd as unknown as fc.Arbitrary<T> }); // prettier-ignore
const word = fc.constantFrom('', 'wood', 'light metal', '__proto__', 'glass');

const tins: fc.Arbitrary<Tin> = fc
  .record({
    shape: fc.oneof(fc.constantFrom<Tin['shape']>('round', 'loaf', 'cup', 'tube', 'rect', 'slab', 'mound'), word as unknown as fc.Arbitrary<Tin['shape']>),
    topMm: said(220),
    top2Mm: fc.option(said(120), { nil: undefined }),
    baseMm: fc.option(said(200), { nil: undefined }),
    depthMm: said(60),
    tubeMm: fc.option(said(70), { nil: undefined }),
    cups: fc.option(said(12), { nil: undefined }),
    capacityMl: fc.option(said(2000), { nil: undefined }),
    material: fc.oneof({ weight: 4, arbitrary: fc.constant<Tin['material']>('light metal') }, { weight: 1, arbitrary: word as unknown as fc.Arbitrary<Tin['material']> }),
    lining: fc.option(word as unknown as fc.Arbitrary<Tin['lining']>, { nil: undefined }),
  }, { requiredKeys: ['shape', 'topMm', 'depthMm', 'material'] })
  .map((t) => ({ id: 't', name: 't', ...JSON.parse(JSON.stringify(t, (_, x: unknown) => (typeof x === 'number' && !Number.isFinite(x) ? String(x) : x)), (_, x: unknown) => (x === 'NaN' ? NaN : x === 'Infinity' ? Infinity : x === '-Infinity' ? -Infinity : x)) })) as fc.Arbitrary<Tin>; // prettier-ignore

const inputs: fc.Arbitrary<BakeInput> = fc.record(
  {
    batterG: said(900),
    tin: tins,
    family: fc.constantFrom<BakeInput['family']>('muffin', 'quick-bread', 'scone', 'free', 'fruit-cake-rich'),
    ovenC: said(180),
    startC: said(20),
    ovenReachedC: said(120),
    doneC: said(96),
    densityGPerMl: said(1),
    rise: said(1.7),
    samples: fc.constantFrom(0, 8, NaN, -3),
    seed: said(1),
    composition: fc.record({ water: said(0.35), fat: said(0.15), sugar: said(0.2), egg: said(0.1) }),
    layers: fc.array(fc.record({ where: fc.constantFrom('over' as const, 'under' as const), g: said(200), water: said(0.85), fat: said(0), sugar: said(0.1) }), { maxLength: 2 }),
    stages: fc.array(fc.record({ fromMin: said(10), ovenC: said(160), cover: fc.constantFrom('tent' as const, 'lid' as const, 'hat' as 'lid') }), { maxLength: 2 }),
    conditions: fc.record({ bath: fc.constantFrom('open' as const, 'covered' as const), airflow: said(0.5), openedMin: fc.array(said(10), { maxLength: 2 }), swingK: said(5) }, { requiredKeys: [] }),
    known: fc.record({ tin: fc.constant(round), batterG: said(700), ovenC: said(177), minutes: said(30) }),
  },
  { requiredKeys: ['batterG', 'tin', 'family', 'ovenC'] },
) as fc.Arbitrary<BakeInput>; // prettier-ignore

/** What every prediction must be: ordered minutes, or none and a reason. */
function sound(input: BakeInput, kitchen?: Kitchen): void {
  const p = predictBake(input, kitchen);
  const { early, likely, late } = p.minutes;
  if (likely === 0) {
    expect(p.problems.length).toBeGreaterThan(0);
    for (const x of p.problems) {
      expect(x.words).toMatch(/\w.*[.!]$/s);
      expect(x.remedy).not.toBe('');
      expect(`${x.words} ${x.remedy}`).not.toMatch(/NaN|undefined|Infinity|null/);
    }
    return;
  }
  for (const x of [early, likely, late, p.lossPct, p.batterMm, p.carryK, p.browning.top, p.doneC])
    expect(Number.isFinite(x)).toBeTrue();
  expect(early).toBeGreaterThan(0);
  expect(early).toBeLessThan(likely);
  expect(likely).toBeLessThan(late);
  expect(likely).toBeLessThanOrEqual(12 * 60);
  expect(p.lossPct).toBeGreaterThanOrEqual(0);
  expect(p.lossPct).toBeLessThan(60);
  for (const at of p.curve) expect(Number.isFinite(at.centreC) && at.centreC < 330).toBeTrue();
}

describe('whatever is asked of a bake', () => {
  it('is answered with minutes in order, or with what is wrong and what to do', () => {
    fc.assert(
      fc.property(inputs, (input) => sound(input, defaultKitchen)),
      { numRuns: size(900, 220) },
    );
  });

  it('names what is wrong: a batter that is cooked, a tin of nothing, shares beyond the whole, a heat that does nothing', () => {
    const stops = (x: Partial<BakeInput>): string[] => problemsOf({ ...cake, ...x }).stops.map((p) => p.id);
    expect(stops({})).toEqual([]);
    expect(stops({ startC: 100 })).toEqual(['start']);
    expect(stops({ startC: -18 })).toEqual([]);
    expect(stops({ tin: { ...round, material: 'wood' as Tin['material'] } })).toEqual(['tin-material']);
    expect(stops({ tin: { ...round, shape: 'star' as Tin['shape'] } })).toEqual(['tin-shape']);
    expect(stops({ composition: { water: 0.8, fat: 0.5 } })).toEqual(['composition']);
    expect(stops({ ovenC: 60 })).toEqual(['oven-cold']);
    expect(stops({ ovenC: 450 })).toEqual(['oven-hot']);
    expect(stops({ doneC: 160 })).toEqual(['done']);
    expect(stops({ stages: [{ fromMin: 5, ovenC: 170, cover: 'hat' as 'lid' }] })).toEqual(['stage']);
    expect(stops({ calibration: { speed: NaN, sdLog: 0.1, timeSd: 0.1, used: 1, words: '', doubts: [] } })).toEqual(['calibration']); // prettier-ignore
    expect(() => predictBake({ ...cake, family: 'pie' as BakeInput['family'] })).toThrowError(OrvinError);
    // a slow night in a cool oven is doubted, not refused
    expect(problemsOf({ ...cake, ovenC: 103 }).doubts.map((p) => p.id)).toEqual(['oven-slow']);
    expect(predictBake({ ...cake, ovenC: 105 }).minutes.likely).toBeGreaterThan(60);
  });

  it('speaks of heat as the kitchen does', () => {
    const us: Kitchen = { ...defaultKitchen, display: { ...defaultKitchen.display, temperature: 'F' } };
    for (const x of [{ startC: 100 }, { ovenC: 60 }, { ovenC: 450 }, { doneC: 30 }])
      expect(predictBake({ ...cake, ...x }, us).problems[0]?.words).toMatch(/°F/);
  });

  it('leaves out a known time that is none, says so, and goes on', () => {
    const free = predictBake(cake).minutes.likely;
    for (const known of [
      { tin: round, batterG: NaN, ovenC: 177, minutes: 30 },
      { tin: round, batterG: 700, ovenC: 177, minutes: 0 },
      { tin: { ...round, topMm: 0 }, batterG: 700, ovenC: 177, minutes: 30 },
    ]) {
      const p = predictBake({ ...cake, known });
      expect(p.minutes.likely).toBeCloseTo(free, 6);
      expect(p.problems.map((x) => x.id)).toContain('known-time');
    }
  });

  it('holds for converting, dividing and following it too', () => {
    const wanted = predictBake(cake).browning;
    fc.assert(
      fc.property(inputs, (input) => {
        const c = convertBake(input, wanted, defaultKitchen);
        expect(c.words).not.toMatch(/NaN|undefined/);
        const t = divideAlike([input, cake], defaultKitchen);
        for (const g of t.grams) if (Number.isFinite(input.batterG)) expect(Number.isFinite(g)).toBeTrue();
        expect(t.words).not.toMatch(/NaN|undefined/);
      }),
      { numRuns: size(60, 12) },
    );
    expect(forecastPlan({ ...cake, startC: 100 })).toBeNull();
    const plan = forecastPlan(cake);
    if (!plan) throw new Error('no plan');
    const f = forecast([{ s: NaN, c: 50 }, { s: 600, c: NaN }, { s: 600, c: 60 }, { s: -5, c: 1e9 }], plan); // prettier-ignore
    for (const x of [f.minutes.low, f.minutes.typical, f.minutes.high, f.leftMin.typical])
      expect(Number.isFinite(x)).toBeTrue();
  });
});

describe('what scales and covers', () => {
  const plain: Formula = { ...demo(demoIds[0] as string) };
  const { yield: _y, ...bare } = plain;

  it('asks how many pieces there are before it makes more of them', () => {
    const loaf: Formula = { ...bare, tins: [{ tin: { ...round, shape: 'loaf', topMm: 220, top2Mm: 120 }, count: 1 }] };
    for (const f of [{ ...bare, tins: [] }, loaf]) {
      const s = scale(f, { by: 'pieces', pieces: 18 });
      expect(s.problems.map((p) => p.id)).toEqual(['pieces']);
      expect(s.formula).toBe(f);
      expect(scale(f, { by: 'pieces', pieces: 18, pieceG: 60 }).problems).toEqual([]);
    }
    const cups: Formula = { ...bare, tins: [{ tin: { ...round, shape: 'cup', topMm: 70, cups: 12 }, count: 1 }] };
    expect(scale(cups, { by: 'pieces', pieces: 18 }).factor).toBeCloseTo(1.5, 9);
  });

  it('gives a target that is none back untouched, in words', () => {
    fc.assert(
      fc.property(odd, fc.constantFrom('factor', 'pieces', 'batterG', 'item'), (x, by) => {
        const target = { by, factor: x, pieces: x, batterG: x, itemId: 'none', grams: x } as unknown as Parameters<
          typeof scale
        >[1];
        const s = scale({ ...plain, yield: { pieces: 12 } }, target);
        if (s.problems.length > 0) expect(s.factor).toBe(1);
        else expect(s.factor).toBeGreaterThan(0);
        for (const g of s.formula.groups) for (const i of g.items) expect(Number.isFinite(i.grams)).toBeTrue();
      }),
    );
  });

  it('covers the whole outside of a ring', () => {
    const wall = (tin: Tin): number => {
      const fit = fitTins(plain, [{ tin, count: 1 }])[0] as TinFit;
      const plan = finish([{ ...fit, edgeMm: 60 }], { id: 'buttercream', sides: true });
      return plan.covers.find((c) => c.where === 'round the sides')?.areaCm2 ?? 0;
    };
    const ring: Tin = { ...round, shape: 'tube', topMm: 240, tubeMm: 72, depthMm: 90 };
    expect(wall(ring)).toBeCloseTo((Math.PI * 240 * 60) / 100, 3);
    expect(wall(ring)).toBeCloseTo(wall({ ...ring, shape: 'round' }), 3);
  });

  it('bakes what is laid on with what it lies on: fruit makes it longer, sugar on top hardly', () => {
    const on = (ingredient: string, grams: number): number => {
      const f: Formula = { ...plain, method: [], groups: [...plain.groups, { id: 'top', name: 'top', role: 'top', items: [{ id: 'x', ingredient, words: ingredient, entered: null, grams }] }] }; // prettier-ignore
      const fit = fitTins(f, f.tins ?? [])[0] as TinFit;
      return predictBake(bakeInputOf(f, fit, defaultKitchen)).minutes.likely;
    };
    const free = on('peach', 0);
    expect(on('peach', 400)).toBeGreaterThan(1.15 * free);
    expect(on('demerara-sugar', 15)).toBeLessThan(1.04 * free);
    // what comes out is weighed against all that went in
    const layers = [{ where: 'over' as const, g: 300, water: 0.85, fat: 0, sugar: 0.1 }];
    expect(predictBake({ ...cake, layers }).intoG).toBe(1000);
    expect(
      problemsOf({ ...cake, layers: [{ ...layers[0], g: 9000 } as (typeof layers)[0]] }).stops.map((p) => p.id),
    ).toEqual(['too-deep']);
  });
});
