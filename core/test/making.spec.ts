import fc from 'fast-check';
import type { Happening, MadeBake, Making, Step } from '../src/index.js';
import {
  alarmsOf,
  asGroup,
  counting,
  doneTasks,
  endsAt,
  finish,
  fitTins,
  planDay,
  pour,
  standingOfBake,
  steps,
} from '../src/index.js';
import { lost, unsaid, uneven } from './support/method-laws.js';
import { demo, demoIds, demoKitchen, madeOf } from './support/make.js';

const MIN = 60_000;
const t0 = Date.UTC(2026, 4, 9, 9);
const kitchen = demoKitchen();

const made = (id: string): MadeBake => madeOf(demo(id), kitchen, id);
const listOf = (b: MadeBake): Step[] => steps(b.formula, { fits: b.fits }, kitchen);
const doneAt = (b: MadeBake, stepId: string, min: number): Happening => ({
  kind: 'done',
  at: t0 + min * MIN,
  bakeId: b.id,
  stepId,
});
const makingOf = (bakes: readonly MadeBake[], happenings: readonly Happening[]): Making => ({
  id: 'm',
  beganAt: t0,
  bakes,
  happenings,
});

describe('the steps of a formula', () => {
  it('name every line in the weighing, and each in the work with shares that add to one', () => {
    for (const id of demoIds) {
      const f = demo(id);
      const list = steps(f, {}, kitchen);
      const all = f.groups.flatMap((g) => g.items.map((i) => i.id)).sort();
      const of = (...kinds: Step['kind'][]): string[] => list.filter((s) => kinds.includes(s.kind)).flatMap((s) => s.amounts.map((a) => a.itemId)).sort(); // prettier-ignore
      expect(of('weigh')).withContext(id).toEqual(all);
      expect([...new Set(of('mix', 'fill'))])
        .withContext(id)
        .toEqual(all);
      expect(uneven(f)).withContext(id).toEqual([]);
      expect(new Set(list.map((s) => s.id)).size)
        .withContext(id)
        .toBe(list.length);
    }
  });

  it('keep the baker’s own words, all of them', () => {
    for (const id of demoIds) {
      const f = demo(id);
      expect(unsaid(f)).withContext(id).toBe('');
      expect(lost(f, steps(f, {}, kitchen)))
        .withContext(id)
        .toEqual([]);
    }
  });

  it('go in the order of the work, from the fridge to keeping, with amounts that scale', () => {
    const order = ['take out', 'oven on', 'tins', 'weigh', 'mix', 'fill', 'in', 'bake', 'out', 'cool', 'keep'];
    for (const id of demoIds) {
      const list = steps(demo(id), {}, kitchen);
      const at = order.map((k) => list.findIndex((s) => s.kind === k)).filter((i) => i >= 0);
      expect(at)
        .withContext(id)
        .toEqual([...at].sort((a, b) => a - b));
      for (const s of list) {
        expect(s.minutes.low).toBeLessThanOrEqual(s.minutes.typical);
        expect(s.minutes.typical).toBeLessThanOrEqual(s.minutes.high);
      }
    }
  });

  it('soak a cake while it is warm, ice it when it is cold, and say how the finish is made', () => {
    const f = demo('cardamom-yogurt-round');
    const fits = fitTins(f, f.tins ?? [], kitchen);
    const groups = (['syrup', 'cream-cheese'] as const).map((id) => asGroup(finish(fits, { id }, kitchen)));
    const iced = { ...f, groups: [...f.groups, ...groups] };
    const list = steps(iced, {}, kitchen);
    const at = (id: string): number => list.findIndex((s) => s.id === id);
    expect(at('unmould')).toBeLessThan(at('finish:finish-syrup'));
    expect(at('finish:finish-syrup')).toBeLessThan(at('cool'));
    expect(at('cool')).toBeLessThan(at('finish:finish-cream-cheese'));
    expect(list[at('finish:finish-cream-cheese')]?.detail).toContain('cold cheese');
    expect(list[at('finish:finish-cream-cheese')]?.caution).toContain('fridge');
    expect(list[at('finish:finish-syrup')]?.caution).toContain('burns');
    // and so does the day: the soak within a quarter of an hour, the icing when it has cooled
    const p = planDay([{ id: 'c', formula: iced }], kitchen, t0 + 900 * MIN, t0);
    const task = (kind: string): number => p.tasks.find((t) => t.kind === kind)?.startsAt ?? NaN;
    expect(task('soak') - task('unmould')).toBeLessThanOrEqual(17 * MIN);
    expect(task('finish') - task('cool')).toBeGreaterThanOrEqual(90 * MIN);
    expect(task('ready')).toBeGreaterThan(task('finish'));
  });

  it('leave nut butters in the cupboard: only what is hard in the fridge comes out of it', () => {
    const f = demo('cardamom-yogurt-round');
    const out = (ingredient: string): string[] => {
      const swapped = { ...f, groups: f.groups.map((g) => ({ ...g, items: g.items.map((i) => (i.ingredient === 'butter' ? { ...i, ingredient } : i)) })) }; // prettier-ignore
      return steps(swapped, {}, kitchen).filter((s) => s.id === 'take out:butter').map((s) => s.words); // prettier-ignore
    };
    expect(out('butter')).toEqual(['Butter from the fridge, to soften']);
    expect(out('almond-butter')).toEqual([]);
  });

  it('are made up from the way of mixing when there is no method, and prepare the tin as it needs', () => {
    const bare = { ...demo('cardamom-yogurt-round'), method: [] };
    const words = steps(bare, {}, kitchen).map((s) => s.words);
    expect(words.some((w) => /Cream the fat and sugar/.test(w))).toBeTrue();
    expect(words.some((w) => /eggs one at a time/.test(w))).toBeTrue();
    const tin = (id: string): string => steps(demo(id), {}, kitchen).find((s) => s.kind === 'tins')?.words ?? '';
    expect(tin('buckwheat-cocoa-squares')).toContain('cocoa');
    expect(tin('oat-and-rhubarb-muffins')).toContain('paper cups');
    expect(tin('maize-and-chive-skillet-bread')).toContain('in the oven to heat');
  });
});

describe('a making', () => {
  const bake = made('cardamom-yogurt-round');
  const list = listOf(bake);

  it('is where its happenings put it, and back takes the last step away', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('done', 'back', 'skip'), { maxLength: 40 }), (moves) => {
        const log: Happening[] = [];
        let reached = 0;
        moves.forEach((m, i) => {
          const s = standingOfBake(bake, list, log);
          expect(s.step?.id).toBe(list[reached]?.id);
          if (m === 'back') {
            log.push({ kind: 'back', at: t0 + i });
            reached = Math.max(0, reached - 1);
          } else if (s.step) {
            log.push({ kind: m as 'done', at: t0 + i, bakeId: bake.id, stepId: s.step.id });
            reached++;
          }
        });
        expect(counting(log).some((h) => h.kind === 'back')).toBeFalse();
      }),
      { numRuns: 60 },
    );
  });

  it('has alarms at instants, to the second, whatever was asleep meanwhile', () => {
    const upTo = list.slice(
      0,
      list.findIndex((s) => s.kind === 'bake'),
    );
    const log = upTo.map((s, i) => doneAt(bake, s.id, i));
    const at = t0 + (upTo.length - 1) * MIN;
    const lists = new Map([[bake.id, list]]);
    const alarms = alarmsOf(makingOf([bake], log), lists);
    expect(alarms.map((a) => [a.words, a.at - at])).toEqual([
      ['look', 35 * MIN],
      ['likely done', 40 * MIN],
    ]);
    // three minutes more, and the first look heard
    const more: Happening[] = [...log, { kind: 'heard', at: at + 35 * MIN, alarmId: alarms[0]?.id ?? '' }];
    expect(alarmsOf(makingOf([bake], more), lists)[0]?.heard).toBeTrue();
    // not done yet at the likely minute: a new look, three minutes from then, and what has been said stays said
    const wait: Happening[] = [...log, { kind: 'not yet', at: at + 40 * MIN, bakeId: bake.id, minutes: 3 }];
    expect(alarmsOf(makingOf([bake], wait), lists).map((a) => [a.words, a.at - at])).toEqual([
      ['look', 35 * MIN],
      ['likely done', 40 * MIN],
      ['look again', 43 * MIN],
    ]);
    // a bake without a plan still rings, by its stated time
    const bare = { ...bake, marks: [] };
    expect(alarmsOf(makingOf([bare], log), lists).map((a) => (a.at - at) / MIN)).toEqual([34.2, 40]);
    const timer: Happening[] = [...log, { kind: 'timer', at, timerId: 't', name: 'syrup', minutes: 4 }];
    expect(alarmsOf(makingOf([bake], timer), lists)[0]).toEqual(
      jasmine.objectContaining({ name: 'syrup', at: at + 4 * MIN, own: true }),
    );
    expect(alarmsOf(makingOf([bake], [...timer, { kind: 'timer off', at, timerId: 't' }]), lists).length).toBe(2);
  });

  it('takes back a scaling as it does a step, and knows which weights a scale said', () => {
    const weigh = (itemId: string, by: 'hand' | 'scale'): Happening => ({ kind: 'weighed', at: t0, bakeId: bake.id, itemId, grams: 5, by }); // prettier-ignore
    const log: Happening[] = [
      weigh('a', 'hand'),
      weigh('b', 'scale'),
      { kind: 'scaled', at: t0, bakeId: bake.id, factor: 1.1 },
    ];
    expect(standingOfBake(bake, list, log).read).toEqual(new Set(['b']));
    expect(counting([...log, { kind: 'back', at: t0 }])).toEqual(log.slice(0, 2));
    // tapped as right afterwards, it is no reading any more
    expect(standingOfBake(bake, list, [...log, weigh('b', 'hand')]).read.size).toBe(0);
  });

  it('counts a wait from the step before it', () => {
    const muffins = made('oat-and-rhubarb-muffins');
    const l = listOf(muffins);
    const soak = l.find((s) => s.kind === 'wait') as Step;
    const before = l[l.indexOf(soak) - 1] as Step;
    const log = l.slice(0, l.indexOf(soak)).map((s) => doneAt(muffins, s.id, s === before ? 50 : 10));
    const s = standingOfBake(muffins, l, log);
    expect(s.step).toBe(soak);
    expect(endsAt(l, s, soak)).toBe(t0 + 60 * MIN);
    expect(alarmsOf(makingOf([muffins], log), new Map([[muffins.id, l]]))[0]?.at).toBe(t0 + 60 * MIN);
  });

  it('is followed by the day’s plan at every step, early or late', () => {
    const bakes = ['cardamom-yogurt-round', 'oat-and-rhubarb-muffins'].map(made);
    const lists = new Map(bakes.map((b) => [b.id, listOf(b)]));
    const day = bakes.map((b) => ({ id: b.id, formula: b.formula, minutes: { early: 36, likely: 40, late: 46 } }));
    const serve = t0 + 8 * 60 * MIN;
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 1 }), fc.integer({ min: 0, max: 25 })), {
          minLength: 1,
          maxLength: 30,
        }),
        (moves) => {
          const log: Happening[] = [];
          let now = t0;
          for (const [which, minutes] of moves) {
            now += minutes * MIN;
            const b = bakes[which] as MadeBake;
            const s = standingOfBake(b, lists.get(b.id) ?? [], log);
            if (s.step) log.push({ kind: 'done', at: now, bakeId: b.id, stepId: s.step.id });
          }
          const making = makingOf(bakes, log);
          const done = doneTasks(making, lists);
          const plan = planDay(day, kitchen, serve, now, { done, concede: false, maxNodes: 300 });
          expect(plan.problems.filter((p) => p.id === 'none' || p.id === 'held')).toEqual([]);
          for (const t of plan.tasks) {
            if (t.done) expect(t.startsAt).toBeLessThanOrEqual(now + 46 * MIN);
            else expect(t.startsAt).toBeGreaterThanOrEqual(now);
          }
          expect(plan.tasks.filter((t) => t.done).length).toBe(
            Object.keys(done).filter((k) => plan.tasks.some((t) => t.id === k)).length,
          );
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('pouring', () => {
  it('is right within the scale’s step and 2 %, and offers to scale all when over', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 2000, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (wanted, share) => {
          const p = pour(wanted, wanted * share, 1);
          if (p.state === 'right')
            expect(Math.abs(p.missingG)).toBeLessThanOrEqual(Math.max(0.5, 0.02 * wanted) + 1e-9);
          if (p.state === 'over') {
            expect(p.factor).toBeGreaterThan(1);
            // scaled by the factor, what was poured is right
            expect(pour(wanted * p.factor, wanted * share, 1).state).toBe('right');
          }
          if (p.state === 'short') expect(p.missingG).toBeGreaterThan(0);
        },
      ),
    );
    expect(pour(250, 262, 1).words).toBe('you poured 262 g: scale all by 1.05, or take 12 g out');
  });
});
