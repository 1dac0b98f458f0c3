import type { Happening, MadeBake, Making, Step } from '../src/index.js';
import { alarmsOf, counting, defaultKitchen, doneTasks, heldEven, nextFirst, pausedSince, probeIn, SET_OUT, standingOfBake, steps, takenUp, teaches, timeOf, type BakeRecord } from '../src/index.js'; // prettier-ignore
import { checkMaking } from '../src/format/index.js';
import { demo, madeOf } from './support/make.js';

const MIN = 60_000;
const t0 = Date.UTC(2026, 4, 9, 9);
const formula = demo('oat-and-rhubarb-muffins');
const bake = (id: string): MadeBake => madeOf(formula, defaultKitchen, id);
const [a, b] = [bake('a'), bake('b')];
const list: Step[] = steps(formula, { fits: a.fits }, defaultKitchen);
const at = (min: number, h: object): Happening => ({ at: t0 + min * MIN, ...h }) as Happening;
const into = (id: string, min: number): Happening[] =>
  list
    .slice(
      0,
      list.findIndex((s) => s.kind === 'bake'),
    )
    .map((s) => at(min, { kind: 'done', bakeId: id, stepId: s.id }));
const making = (happenings: readonly Happening[]): Making => ({ id: 'm', beganAt: t0, bakes: [a, b], happenings });
const stand = (m: Making) => m.bakes.map((x) => standingOfBake(x, list, m.happenings));
const lists = new Map([
  ['a', list],
  ['b', list],
]);

describe('what devices add to a making', () => {
  it('the probe stays in a bake until that is out or it is put into another', () => {
    const inA = at(1, { kind: 'probe in', bakeId: 'a' });
    const m = making([...into('a', 0), inA]);
    expect(probeIn(m, stand(m))).toBe('a');
    const two = making([...m.happenings, ...into('b', 5), at(6, { kind: 'probe in', bakeId: 'b' })]);
    expect(probeIn(two, stand(two))).toBe('b');
    const out = making([...m.happenings, at(20, { kind: 'done', bakeId: 'a', stepId: 'bake' }), at(20, { kind: 'done', bakeId: 'a', stepId: 'out' })]); // prettier-ignore
    expect(probeIn(out, stand(out))).toBeNull();
  });

  it('a forecast moves the look and the end, and nothing is due before it was foretold', () => {
    const early = at(10, { kind: 'forecast', bakeId: 'a', early: 31, likely: 33.5, late: 36 });
    const times = (extra: readonly Happening[]): number[] =>
      alarmsOf(making([...into('a', 0), ...extra]), lists)
        .filter((x) => x.bakeId === 'a')
        .map((x) => (x.at - t0) / MIN);
    expect(times([])).toEqual([35, 40]);
    expect(times([early])).toEqual([31, 33.5]);
    expect(times([early, at(25, { kind: 'forecast', bakeId: 'a', early: 38, likely: 42, late: 46 })])).toEqual([38, 42]); // prettier-ignore
    // foretold late that it was done already: due when that was known, not before
    expect(times([at(25, { kind: 'forecast', bakeId: 'a', early: 22, likely: 23, late: 24 })])).toEqual([25, 25]);
    // an alarm that was heard stays heard when the forecast moves
    const heard = at(11, { kind: 'heard', alarmId: 'a:first look:35' });
    const left = alarmsOf(making([...into('a', 0), early, heard]), lists).filter((x) => !x.heard);
    expect(left.map((x) => (x.at - t0) / MIN)).toEqual([33.5]);
  });

  it('what went into each cup is kept in order, and back takes the last one back', () => {
    const cup = (n: number, grams: number): Happening => at(2, { kind: 'filled', bakeId: 'a', stepId: 'fill:0', n, grams, by: 'simulated scale' }); // prettier-ignore
    // a second tab follows the same scale
    const happenings = [cup(0, 74), cup(0, 74), cup(1, 81), at(3, { kind: 'back' }), cup(1, 76)];
    const s = standingOfBake(a, list, happenings);
    expect(s.filled.get('fill:0')).toEqual([74, 76]);
    expect([...s.simulated]).toEqual(['scale']);
    expect(counting(happenings).length).toBe(3);
  });

  it('what stands ready is ticked, and unticked when it is touched again', () => {
    const there = (itemId: string): Happening => at(1, { kind: 'there', bakeId: 'a', itemId });
    const happenings = [there('x'), there('y'), there('x'), at(2, { kind: 'done', bakeId: 'a', stepId: SET_OUT })];
    const s = standingOfBake(a, list, happenings);
    expect([...s.there]).toEqual(['y']);
    // it is no step: the first one is still to be done, and the day knows nothing of it
    expect(s.step?.id).toBe(list[0]?.id);
    expect(doneTasks(making(happenings), lists)).toEqual({});
  });

  it('the hands may go away and come back; what is loose may change places, what is not may not', () => {
    expect(pausedSince(making([at(3, { kind: 'pause' })]))).toBe(t0 + 3 * MIN);
    expect(pausedSince(making([at(3, { kind: 'pause' }), at(9, { kind: 'resume' })]))).toBeNull();
    const done: Happening[] = [];
    for (const step of list) {
      const s = standingOfBake(a, list, done);
      const order = nextFirst(list, s);
      if (order) {
        const left = order.filter((id) => !s.done.has(id));
        expect(left[1]).toBe(step.id);
        expect([...order].sort()).toEqual(list.map((x) => x.id).sort());
      } else expect(/^(take out|oven on|tins|weigh)/.test(step.kind)).toBeFalse();
      done.push(at(1, { kind: 'done', bakeId: 'a', stepId: step.id }));
    }
    expect(nextFirst(list, standingOfBake(a, list, into('a', 0)))).toBeNull();
  });

  it('a clock that runs faster goes on from where it was, and is let in with what is imported', () => {
    const clock = { realAt: t0, at: t0 + 5 * MIN, pace: 60 };
    expect(timeOf({ clock }, t0 + 1000)).toBe(t0 + 6 * MIN);
    expect(timeOf(null, t0)).toBe(t0);
    const m = { ...making([at(1, { kind: 'probe in', bakeId: 'a' })]), clock };
    expect(checkMaking(JSON.parse(JSON.stringify(m))).ok).toBeTrue();
    expect(checkMaking({ ...m, clock: { ...clock, pace: -1 } }).ok).toBeFalse();
    // a day in a file is no sixty days at the counter
    const later = takenUp(m, t0 + 2000, t0 + 24 * 60 * MIN);
    expect(timeOf(later, t0 + 24 * 60 * MIN)).toBe(t0 + 7 * MIN);
    expect(timeOf(later, t0 + 24 * 60 * MIN + 1000)).toBe(t0 + 7 * MIN + 1000);
    expect(takenUp(making([]), t0, t0 + MIN)).toEqual(making([]));
  });

  it('goes on evenly when the device’s clock is set back, whichever tab sees to it, and that is no trial', () => {
    const hour = 60 * MIN;
    // the device shows an hour less than a moment ago
    const real = t0 + 20 * MIN - hour;
    const held = heldEven(making([]), real, t0 + 20 * MIN);
    expect(timeOf(held, real + 5 * MIN)).toBe(t0 + 25 * MIN);
    expect(held.clock?.even).toBeTrue();
    expect(checkMaking(JSON.parse(JSON.stringify(held))).ok).toBeTrue();
    // another tab notices a little later, and changes nothing
    expect(heldEven(held, real + 900, t0 + 20 * MIN + 900)).toBe(held);
    // one that runs faster goes on as fast, and stays a trial
    const fast = heldEven({ ...making([]), clock: { realAt: t0, at: t0, pace: 10 } }, t0 - hour, t0 + MIN);
    expect(timeOf(fast, t0 - hour + 1000)).toBe(t0 + MIN + 10_000);
    expect(fast.clock?.even).toBeUndefined();
  });

  it('a bake in a simulated oven, or by a faster clock, teaches nothing; a simulated scale does no harm', () => {
    const record = { ovenId: 'big', outcome: 'good', minutes: 20, at: t0 } as BakeRecord;
    const observed = { beganAt: t0, intoOvenAt: t0, weighed: [], added: [], skipped: [], ovenReadings: [] };
    const with_ = (simulated: ('scale' | 'probe' | 'clock')[]): BakeRecord => ({ ...record, observed: { ...observed, simulated } }); // prettier-ignore
    const of = (r: BakeRecord): number => Number(teaches(r));
    expect([record, with_(['scale'])].map(of)).toEqual([1, 1]);
    expect([with_(['probe']), with_(['scale', 'clock'])].map(of)).toEqual([0, 0]);
  });
});
