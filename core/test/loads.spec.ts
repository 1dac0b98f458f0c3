import fc from 'fast-check';
import {
  alarmsOf,
  doneTasks,
  fitTins,
  laterOf,
  loadsOf,
  piecesIn,
  somePieces,
  planDay,
  readRecipe,
  shared,
  standingOfBake,
  steps,
  workOf,
  type Formula,
  type Happening,
  type MadeBake,
  type Step,
} from '../src/index.js';
import { demoKitchen, madeOf } from './support/make.js';

const kitchen = demoKitchen();
const list = '300 g plain flour\n3 tsp baking powder\n120 g butter\n100 g sugar\n2 eggs\n150 ml milk\n';
const recipe = (method: string): Formula => readRecipe(`Buns\n\n${list}\nCream the butter and sugar, beat in the eggs, fold in the flour, powder and milk. ${method}`).formula; // prettier-ignore
const trays = recipe('Drop 24 spoonfuls on two trays. Bake one tray at 190C for 14 minutes. Meanwhile keep the other in the fridge, then bake the second.'); // prettier-ignore
const MIN = 60_000;

describe('loads that bake one after another', () => {
  it('share all pieces and all grams, as even as whole pieces allow', () => {
    const fits = fitTins(trays, trays.tins ?? [], kitchen);
    const grams = (x: readonly { batterG: number; count: number }[]): number =>
      x.reduce((s, f) => s + f.batterG * f.count, 0);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 0, max: 24 }), (n, k) => {
        const { each } = loadsOf(fits, n);
        const counts = each.map(piecesIn);
        expect(counts.reduce((a, b) => a + b, 0)).toBe(24);
        expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(Math.ceil(24 / n));
        expect(each.reduce((s, x) => s + grams(x), 0)).toBeCloseTo(grams(fits), 6);
        expect(grams(somePieces(fits, k)) + grams(somePieces(fits, 24 - k, k))).toBeCloseTo(grams(fits), 6);
      }),
    );
  });

  it('are asked for by words, and by nothing else', () => {
    const loads = (method: string): number => shared(workOf(recipe(method)).operations, fitTins(recipe(method), recipe(method).tins ?? [], kitchen)).loads.each.length; // prettier-ignore
    for (const [method, n] of [
      ['Drop 24 spoonfuls on trays. Bake in batches at 190C for 14 minutes.', 2],
      ['Drop 24 spoonfuls on two trays. Bake one tray at a time, 14 minutes at 190C.', 2],
      ['Drop 24 spoonfuls on three trays. Bake one tray at a time, 14 minutes at 190C.', 3],
      ['Drop 24 spoonfuls on two trays. Bake the trays one after the other, 14 minutes each at 190C.', 2],
      ['Drop 12 spoonfuls on a tray. Bake at 190C for 14 minutes. Repeat with the remaining dough.', 2],
      ['Put 12 balls on each of two trays. Bake the first tray at 190C for 12 minutes. Then the second.', 2],
      [
        'Drop 24 spoonfuls on two trays. Bake for 14 minutes at 190C. The second tray waits in the fridge meanwhile.',
        2,
      ],
      ['Divide between two 20 cm tins. Bake at 180C for 25 minutes, both on one shelf.', 1],
      ['Divide into six and roll each to a ball. Bake three at a time, 14 minutes at 190C.', 2],
      ['Fill a 12-hole muffin tin, twice over. Bake at 190C for 14 minutes, then bake the second dozen.', 2],
      ['Drop 24 spoonfuls on a tray. Bake at 190C for 14 minutes, then another 5 at 170C.', 1],
      ['Drop 24 spoonfuls on two trays. Bake at 190C for 14 minutes. If the second tray is pale give it 2 more.', 1],
      ['Drop 24 spoonfuls on two trays. Bake for 14 minutes at 190C, swapping the trays half-way.', 1],
    ] as const)
      expect(loads(method)).withContext(method).toBe(n);
  });

  it('go in, bake and come out one by one at the Counter, and what waiting costs is said', () => {
    const all = steps(trays, {}, kitchen);
    expect(all.filter((s) => ['in', 'bake', 'out'].includes(s.kind)).map((s) => s.id)).toEqual(['in', 'bake', 'out', 'in:2', 'bake:2', 'out:2']); // prettier-ignore
    expect(all.find((s) => s.id === 'in')?.detail).toContain('12 of the 24');
    expect(all.find((s) => s.id === 'in:2')?.detail).toMatch(/other 12 go in.*waited some \d+ minutes in the cold/);
    // the time of the whole is that of one load
    expect(trays.bake?.minutes).toEqual({ early: 14, late: 14 });
    const warm = recipe('Drop 24 spoonfuls on two trays. Bake one tray at 190C for 40 minutes, then bake the second.');
    expect(steps(warm, {}, kitchen).find((s) => s.id === 'in:2')?.detail).toMatch(/lost about \d+ %.*fridge/);
  });

  it('are as many as the oven has room for, and that is said', () => {
    const small = { ...kitchen, ovens: [{ id: 'small', name: 'Small oven', litres: 20, fan: false, racks: 1 }] };
    const many = recipe('Drop 40 spoonfuls on trays. Bake at 190C for 14 minutes.');
    const list = steps(many, {}, small);
    expect(list.filter((s) => s.kind === 'in').length).toBeGreaterThan(1);
    expect(list.find((s) => s.kind === 'in')?.detail).toContain('the oven holds no more at once');
    expect(steps(trays, {}, kitchen).find((s) => s.kind === 'in')?.detail).not.toContain('holds no more');
  });

  it('are where they are by what has happened, with alarms of their own', () => {
    const bake: MadeBake = madeOf(trays, kitchen, 'b');
    const all: Step[] = steps(trays, { fits: bake.fits }, kitchen);
    const log: Happening[] = [];
    const at = (min: number): number => min * MIN;
    const done = (id: string, min: number): void =>
      void log.push({ kind: 'done', at: at(min), bakeId: 'b', stepId: id });
    const standing = (): ReturnType<typeof standingOfBake> => standingOfBake(bake, all, log);
    const ids = (): string[] => alarmsOf({ id: 'm', beganAt: 0, bakes: [bake], happenings: log }, new Map([['b', all]])).map((a) => a.id); // prettier-ignore
    for (const s of all.slice(
      0,
      all.findIndex((x) => x.id === 'in'),
    ))
      done(s.id, 1);
    done('in', 10);
    expect([standing().intoOvenAt, standing().outAt]).toEqual([at(10), null]);
    const one = ids();
    expect(one.length).toBeGreaterThan(0);
    for (const s of all.filter((x) => x.phase === 'oven' && x.kind === 'finish')) done(s.id, 12);
    done('bake', 24);
    done('out', 24);
    expect([standing().intoOvenAt, standing().outAt]).toEqual([at(10), at(24)]);
    expect(standing().step?.id).toBe('in:2');
    done('in:2', 26);
    expect([standing().intoOvenAt, standing().outAt]).toEqual([at(26), null]);
    const two = ids();
    expect(two.length).toBeGreaterThan(0);
    expect(two.filter((x) => one.includes(x))).toEqual([]);
    done('bake:2', 40);
    done('out:2', 40);
    expect(standing().outAt).toBe(at(40));
    const tasks = doneTasks({ id: 'm', beganAt: 0, bakes: [bake], happenings: log }, new Map([['b', all]]));
    expect([tasks['b:in'], tasks['b:in:2'], tasks['b:out:2']]).toEqual([at(10), at(26), at(40)]);
  });

  it('have their places in the day: the second in when the first is out, and ready after both', () => {
    const serve = Date.UTC(2026, 4, 9, 16);
    const plan = planDay([{ id: 'b', formula: trays }], kitchen, serve, 0);
    const of = (id: string): number => plan.tasks.find((t) => t.id === `b:${id}`)?.startsAt ?? NaN;
    expect(plan.problems).toEqual([]);
    const order = ['in', 'out', 'in:2', 'out:2', 'cool', 'ready'].map(of);
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(of('in:2') - of('out')).toBeLessThanOrEqual(3 * MIN);
    // another bake finds the oven taken until the second load is out
    const both = planDay([{ id: 'b', formula: trays }, { id: 'c', formula: recipe('Scrape into a 20 cm round tin. Bake at 150C for 50 minutes.') }], kitchen, serve, 0, {}); // prettier-ignore
    const t = (id: string): number => both.tasks.find((x) => x.id === id)?.startsAt ?? NaN;
    expect(t('c:in') >= t('b:out:2') || t('c:out') <= t('b:in')).toBeTrue();
  });
});

describe('one batter in unlike tins', () => {
  const f = recipe('Fill a 20 cm round tin and put the rest in 6 muffin cases. Bake at 180C: 35 to 40 minutes for the cake, 18 to 20 for the small ones.'); // prettier-ignore
  it('has a time for each, and the small ones are looked at when they are done', () => {
    expect(f.tins?.map((t) => [t.tin.shape, t.minutes])).toEqual([
      ['round', { early: 35, late: 40 }],
      ['cup', { early: 18, late: 20 }],
    ]);
    expect(f.bake?.minutes).toEqual({ early: 35, late: 40 });
    const all = steps(f, {}, kitchen);
    expect(all.find((s) => s.kind === 'bake')?.marks.some((m) => m.atMin === 19 && /muffin/.test(m.words))).toBeTrue();
    expect(all.filter((s) => s.kind === 'fill').map((s) => s.id)).toEqual(['fill:0', 'fill:1']);
  });

  it('is not two tins where one may be taken or another', () => {
    for (const method of [
      'Pour into a 20 cm round tin or a 2 lb loaf tin. Bake at 180C for 40 minutes.',
      'Pour into a 20 cm round tin. Bake at 180C for 40 minutes, or 20 minutes in 12 muffin cases.',
      'Line the holes of a muffin tin with 12 paper cases and fill them. Bake at 180C for 20 minutes.',
    ])
      expect(recipe(method).tins?.length).withContext(method).toBe(1);
  });
});

describe('a dry mix that is put by', () => {
  it('belongs to a day before, and only where nothing wet is in it', () => {
    const ahead = (method: string): boolean =>
      laterOf(readRecipe(`Muffins\n\n${list}\n${method} Bake at 200C for 18 minutes.`).formula, kitchen).some((l) => l.afterDays < 0); // prettier-ignore
    expect(ahead('Mix the flour, powder and sugar and keep it in a jar for a month. To bake, beat the eggs with the milk and butter and stir in the mix.')).toBeTrue(); // prettier-ignore
    expect(ahead('Mix the flour, powder, sugar, eggs, milk and butter. It keeps in the fridge overnight. Fill 12 muffin cases.')).toBeFalse(); // prettier-ignore
  });
});
