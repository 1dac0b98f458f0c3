import fc from 'fast-check';
import type { DayBake, DayPlan, Kitchen, Task } from '../src/index.js';
import { butterWait, defaultKitchen, earliestServe, familyOf, planDay, steps } from '../src/index.js';
import { changeOverMin, dayModel } from '../src/day/model.js';
import { bestDay } from '../src/day/search.js';
import { weigh } from '../src/balance/weigh.js';
import { rackPlan } from '../src/tin/rack.js';
import { bestOfEveryOrder } from './support/every-order.js';
import { demo, demoIds, demoKitchen } from './support/make.js';
import { size } from './support/runs.js';

const MIN = 60_000;
const noon = Date.UTC(2026, 4, 9, 12);
const kitchen = demoKitchen();
const made = new Map(demoIds.map((id) => [id, { id, formula: demo(id) }]));
const bakesOf = (ids: readonly string[]): DayBake[] => ids.map((id) => made.get(id) as DayBake);
const some = (min: number, max: number) =>
  fc.uniqueArray(fc.constantFrom(...demoIds), { minLength: min, maxLength: max }).map(bakesOf);
const kitchens = fc.record({ ovens: fc.integer({ min: 1, max: 2 }), people: fc.integer({ min: 1, max: 2 }) });
const withThings = (k: { ovens: number; people: number }): Kitchen => ({
  ...kitchen,
  ovens: kitchen.ovens.slice(0, k.ovens),
  people: k.people,
});

const at = (tasks: readonly Task[], bakeId: string, kind: Task['kind']): Task =>
  tasks.findLast((t) => t.bakeId === bakeId && t.kind === kind) as Task;
const end = (t: Task): number => t.startsAt + t.minutes * MIN;

/** Most of some stretches of time that overlap at any instant. */
function most(list: readonly { from: number; to: number }[]): number {
  return Math.max(0, ...list.map((a) => list.filter((b) => b.from <= a.from && b.to > a.from).length));
}

/** Everything that must hold of a plan, whatever it is for. */
function expectSound(p: DayPlan, bakes: readonly DayBake[], k: Kitchen): void {
  const hands = p.tasks.filter((t) => t.hands).map((t) => ({ from: t.startsAt, to: end(t) }));
  expect(most(hands)).toBeLessThanOrEqual(k.people ?? 1);
  for (const a of p.stays)
    for (const b of p.stays) {
      if (a === b || a.ovenId !== b.ovenId || a.startsAt > b.startsAt) continue;
      if (a.startsAt === b.startsAt && a.bakeId > b.bakeId) continue;
      const gap = changeOverMin(a.ovenC, b.ovenC);
      if (gap > 0) expect(b.startsAt).toBeGreaterThanOrEqual(a.endsAt + gap * MIN);
    }
  for (const oven of k.ovens) {
    const here = p.stays.filter((s) => s.ovenId === oven.id);
    for (const s of here) {
      const together = here.filter((o) => o.startsAt <= s.startsAt && o.endsAt > s.startsAt);
      const tins = together.flatMap((o) => bakes.find((b) => b.id === o.bakeId)?.formula.tins ?? []);
      if (together.length > 1) expect(rackPlan(tins, oven).left).toBe(0);
    }
  }
  for (const b of bakes) {
    const t = (kind: Task['kind']): Task => at(p.tasks, b.id, kind);
    const first = p.tasks.find((x) => x.bakeId === b.id && x.kind === 'mix') as Task;
    const butter = p.tasks.find((x) => x.bakeId === b.id && x.kind === 'butter out');
    if (butter) {
      const g = steps(b.formula, {}, k)
        .find((s) => s.id === 'take out:butter')
        ?.amounts.reduce((s, a) => s + a.grams, 0);
      expect(first.startsAt - butter.startsAt).toBeGreaterThanOrEqual(butterWait(g ?? 0, k.roomC).minutes * MIN);
    }
    expect(t('in').startsAt - t('oven on').startsAt).toBeGreaterThanOrEqual(25 * MIN);
    expect(t('in').startsAt).toBeGreaterThanOrEqual(end(t('fill')));
    expect(t('fill').startsAt).toBeGreaterThanOrEqual(end(t('tins')));
    expect(first.startsAt).toBeGreaterThanOrEqual(end(t('weigh')));
    const stand = Math.max(Math.floor(weigh(b.formula, k).lift.standMin), t('fill').minutes);
    expect((t('in').startsAt - end(t('mix'))) / MIN).toBeLessThanOrEqual(stand);
    const stay = p.stays.find((s) => s.bakeId === b.id);
    // as the method has it, or its family where the method is silent
    const done = steps(b.formula, {}, k).filter((x) => x.phase === 'after');
    const turned = done.findIndex((x) => x.kind === 'unmould');
    const inTin = done.slice(0, Math.max(0, turned)).reduce((m, x) => m + (x.kind === 'wait' ? x.minutes.typical : 0), 0); // prettier-ignore
    const rack = done.find((x) => x.kind === 'cool')?.minutes.typical ?? NaN;
    if (b.formula.method.every((m) => !/\bcool|\brack/i.test(m.text)))
      expect(rack).toBe(familyOf(b.formula.family).coolRackMin);
    expect(t('ready').startsAt).toBeGreaterThanOrEqual((stay?.endsAt ?? 0) + (inTin + rack) * MIN);
    if (inTin > 0) expect(t('unmould').startsAt - end(t('out'))).toBeGreaterThanOrEqual(inTin * MIN);
    for (const [i, w] of p.tasks.filter((x) => x.bakeId === b.id && x.kind === 'wait').entries()) {
      const next = p.tasks.filter((x) => x.bakeId === b.id && x.kind === 'mix')[i + 1];
      expect(next?.startsAt).toBeGreaterThanOrEqual(end(w));
    }
  }
}

describe('a day planned back from serving', () => {
  it('books nothing twice, waits as long as it must, lets no batter stand too long, and is ready in time', () => {
    fc.assert(
      fc.property(some(1, 4), kitchens, (bakes, things) => {
        const k = withThings(things);
        const p = planDay(bakes, k, noon, 0, { maxNodes: 400 });
        expectSound(p, bakes, k);
        expect(p.problems).toEqual([]);
        for (const b of bakes) expect(at(p.tasks, b.id, 'ready').startsAt).toBeLessThanOrEqual(noon);
      }),
      { numRuns: size(60, 20) },
    );
  });

  it('moves as one with the serving time, and does not depend on the order in which bakes are named', () => {
    fc.assert(
      fc.property(some(1, 3), fc.integer({ min: -600, max: 600 }), (bakes, shift) => {
        const p = planDay(bakes, kitchen, noon, 0);
        const q = planDay(bakes, kitchen, noon + shift * MIN, 0);
        expect(q.tasks.map((t) => [t.id, t.startsAt - shift * MIN])).toEqual(p.tasks.map((t) => [t.id, t.startsAt]));
        const r = planDay([...bakes].reverse(), kitchen, noon, 0);
        expect([r.waitingMin, r.startsAt, r.heatings]).toEqual([p.waitingMin, p.startsAt, p.heatings]);
        expect(p.exact).toBeTrue();
      }),
      { numRuns: size(25, 8) },
    );
  });

  it('is as good as trying every order, on a hundred days of up to three bakes', () => {
    const short = demoIds.filter((id) => /scone|biscuit|cocoa/.test(id));
    const days = fc.sample(
      fc.record({
        two: fc.uniqueArray(fc.constantFrom(...demoIds), { minLength: 2, maxLength: 2 }),
        three: fc.uniqueArray(fc.constantFrom(...short), { minLength: 3, maxLength: 3 }),
        // either nothing goes in beside another, or everything does
        litres: fc.constantFrom(12, 300),
        ovens: fc.integer({ min: 1, max: 2 }),
        late: fc.array(fc.integer({ min: 0, max: 90 }), { minLength: 3, maxLength: 3 }),
      }),
      { numRuns: size(100, 30), seed: 7 },
    );
    days.forEach((d, i) => {
      const bakes = bakesOf(i % 20 === 0 ? d.three : d.two).map((b, n) => ({
        ...b,
        serveAt: noon + (d.late[n] ?? 0) * MIN,
      }));
      const ovens = kitchen.ovens.slice(0, d.ovens).map((o) => ({ ...o, litres: d.litres, racks: 2 }));
      const k: Kitchen = { ...kitchen, ovens, bowls: [], coolingRacks: 50 };
      const m = dayModel(bakes, k, noon, null, {});
      const found = bestDay(m.model, 'waiting first', 60_000);
      expect(found?.exact).toBeTrue();
      expect(found?.score).toEqual(bestOfEveryOrder(m) ?? undefined);
    });
  });

  it('is never worse than one bake after another, on large days, and says how far from the best it may be', () => {
    const days = fc.sample(some(4, 8), { numRuns: size(200, 40), seed: 11 });
    const alone = new Map(demoIds.map((id) => [id, planDay(bakesOf([id]), kitchen, noon, 0)]));
    let better = 0;
    for (const bakes of days) {
      const p = planDay(bakes, kitchen, noon, 0, { maxNodes: 8, concede: false });
      const greedy = oneAfterAnother(bakes, alone);
      expect(p.waitingMin).toBeLessThanOrEqual(greedy);
      if (p.waitingMin < greedy) better++;
      expect(p.gapMin).toBeGreaterThanOrEqual(0);
      expect(p.waitingMin - p.gapMin).toBeLessThanOrEqual(p.waitingMin);
    }
    expect(better).toBeGreaterThan(days.length / 2);
  });
});

/** Minutes of waiting when bakes are made one after another, each wholly before the next, as short as each can be. */
function oneAfterAnother(bakes: readonly DayBake[], alone: ReadonlyMap<string, DayPlan>): number {
  let back = 0;
  let waits = 0;
  for (const b of bakes) {
    const p = alone.get(b.id) as DayPlan;
    waits += back + p.waitingMin;
    back += (noon - Math.min(...p.tasks.filter((t) => t.hands).map((t) => t.startsAt))) / MIN;
  }
  return waits;
}

describe('a day that cannot be as it is wished', () => {
  it('says by how much it is too late and what takes so long; what it offers instead is so', () => {
    fc.assert(
      fc.property(some(1, 3), fc.integer({ min: 1, max: 200 }), (bakes, minutes) => {
        const soonest = earliestServe(bakes, kitchen, noon);
        const wish = soonest - minutes * MIN;
        const p = planDay(bakes, kitchen, wish, noon);
        expect(p.problems[0]?.id).toBe('late');
        expect(p.problems[0]?.words).toMatch(/should have begun \d+ minutes ago/);
        expectSound(p, bakes, kitchen);
        for (const t of p.tasks) expect(t.startsAt).toBeGreaterThanOrEqual(noon);
        const later = p.concessions.find((c) => c.change.kind === 'later');
        expect(later?.laterMin).toBe(minutes);
        for (const c of p.concessions) {
          const q =
            c.change.kind === 'later'
              ? planDay(bakes, kitchen, c.change.serveAt, noon, { concede: false })
              : c.change.kind === 'quick'
                ? planDay(bakes.map((b) => ({ ...b, quick: true })), kitchen, wish + c.laterMin * MIN, noon, { concede: false })
                : c.change.kind === 'people'
                  ? planDay(bakes, kitchen, wish + c.laterMin * MIN, noon, { people: c.change.people, concede: false })
                  : planDay(bakes.filter((b) => c.change.kind !== 'leave out' || b.id !== c.change.bakeId), kitchen, wish + c.laterMin * MIN, noon, { concede: false }); // prettier-ignore
          expect(q.problems).toEqual([]);
        }
      }),
      { numRuns: size(20, 6) },
    );
    expect(planDay(bakesOf(['cheese-and-thyme-scones']), kitchen, noon, 0).problems).toEqual([]);
  });

  it('keeps what is held where it is and moves the rest; what has happened stays as it happened', () => {
    const bakes = bakesOf(['cardamom-yogurt-round', 'cheese-and-thyme-scones']);
    const p = planDay(bakes, kitchen, noon, 0);
    const weighing = at(p.tasks, 'cheese-and-thyme-scones', 'weigh');
    const earlier = weighing.startsAt - 47 * MIN;
    const q = planDay(bakes, kitchen, noon, 0, { pins: { [weighing.id]: { at: earlier } } });
    expect(at(q.tasks, 'cheese-and-thyme-scones', 'weigh').startsAt).toBe(earlier);
    expect(at(q.tasks, 'cheese-and-thyme-scones', 'weigh').pinned).toBeTrue();
    expect(q.problems).toEqual([]);
    expectSound(q, bakes, kitchen);
    // it came out seven minutes after it was planned: what follows moves, and it says how late it will be
    const into = at(p.tasks, 'cardamom-yogurt-round', 'in');
    const done = Object.fromEntries(
      p.tasks
        .filter((t) => t.startsAt <= into.startsAt)
        .map((t) => [t.id, { at: t.startsAt + (t === into ? 7 * MIN : 0) }]),
    );
    const r = planDay(bakes, kitchen, noon, into.startsAt + 7 * MIN, { pins: done });
    expect(r.problems.map((x) => x.id)).toEqual(['late']);
    expect(at(r.tasks, 'cardamom-yogurt-round', 'ready').startsAt).toBe(noon + 7 * MIN);
    expect(at(r.tasks, 'cheese-and-thyme-scones', 'ready').startsAt).toBeLessThanOrEqual(noon);
  });

  it('plans without what is held when it stands against itself, and says so', () => {
    const bakes = bakesOf(['cheese-and-thyme-scones']);
    const p = planDay(bakes, kitchen, noon, 0);
    const id = (kind: Task['kind']): string => at(p.tasks, 'cheese-and-thyme-scones', kind).id;
    const q = planDay(bakes, kitchen, noon, 0, {
      pins: { [id('weigh')]: { at: noon - 60 * MIN }, [id('in')]: { at: noon - 65 * MIN } },
    });
    expect(q.problems[0]?.id).toBe('held');
    expectSound(q, bakes, kitchen);
  });

  it('says when a bake does not fit the oven at once', () => {
    const small = { ...kitchen, ovens: [{ id: 'o', name: 'Toaster', litres: 8, fan: false }] };
    const p = planDay(bakesOf(['lime-and-coconut-tray-cake']), small, noon, 0);
    expect(p.problems[0]?.words).toContain('does not fit');
  });
});

describe('the kitchen of a day', () => {
  it('has tins that are used by one after the other', () => {
    const bakes = bakesOf(['oat-and-rhubarb-muffins', 'parsnip-and-ginger-muffins']);
    const p = planDay(bakes, kitchen, noon, 0);
    const [a, b] = bakes.map((x) => ({
      from: at(p.tasks, x.id, 'tins').startsAt,
      to: end(at(p.tasks, x.id, 'unmould')),
    }));
    expect(a && b && (a.to <= b.from || b.to <= a.from)).toBeTrue();
  });

  it('is warmer or colder: butter takes longer in a cold one, and longer in a large piece', () => {
    for (const [g, c] of [
      [100, 20],
      [250, 22],
      [60, 24],
    ] as const) {
      // prettier-ignore
      expect(butterWait(g, c - 1).minutes).toBeGreaterThanOrEqual(butterWait(g, c).minutes);
      expect(butterWait(2 * g, c).minutes).toBeGreaterThanOrEqual(butterWait(g, c).minutes);
      expect(butterWait(g, c).short?.minutes).toBeLessThan(butterWait(g, c).minutes);
    }
  });

  it('does more with two pairs of hands than with one, never less', () => {
    fc.assert(
      fc.property(some(2, 3), (bakes) => {
        const one = planDay(bakes, { ...defaultKitchen, people: 1 }, noon, 0);
        const two = planDay(bakes, { ...defaultKitchen, people: 2 }, noon, 0);
        expect(two.waitingMin).toBeLessThanOrEqual(one.waitingMin);
      }),
      { numRuns: size(15, 5) },
    );
  });
});
