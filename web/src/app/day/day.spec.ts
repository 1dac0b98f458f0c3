import { defaultKitchen, planDay, type Formula } from '@orvin/core';
import { DateTime } from 'luxon';
import { base } from '../ui/testing/muffins';
import { calendarOf } from './calendar';
import { readWhen } from './day';
import { bakeLanes, ovenLanes, share, spanOf, ticksOf } from './lanes';

const zone = 'Europe/Dublin';
const at = (iso: string): DateTime => DateTime.fromISO(iso, { zone });

describe('a typed time', () => {
  const now = at('2026-05-09T10:00');
  const read = (text: string, was = now): string | null => readWhen(text, now, was)?.toFormat('ccc d HH:mm') ?? null;
  it('is read however it is written; what is past is tomorrow’s', () => {
    for (const [text, is] of [
      ['15:30', 'Sat 9 15:30'],
      ['3.30 pm', 'Sat 9 15:30'],
      ['1530', 'Sat 9 15:30'],
      ['9', 'Sun 10 09:00'],
      ['12 am', 'Sun 10 00:00'],
      ['tomorrow 9:00', 'Sun 10 09:00'],
      ['sat 15', 'Sat 9 15:00'],
      ['monday 8:15', 'Mon 11 08:15'],
      ['tea time', null],
      ['25:00', null],
      ['12:75', null],
    ] as const)
      expect(read(text)).withContext(text).toBe(is);
    // it stays on the day that was planned for
    expect(read('11:00', at('2026-05-12T09:00'))).toBe('Tue 12 11:00');
  });
});

describe('the drawing of a day', () => {
  const f: Formula = { ...base, id: 'm', bake: { ovenC: 190, fan: false, minutes: { early: 17, late: 20 } } };
  const bakes = [
    { id: 'm', formula: f },
    { id: 'n', formula: { ...f, id: 'n', bake: { ovenC: 170, fan: false, minutes: { early: 40, late: 46 } } } },
  ];
  const serve = at('2026-05-09T16:00').toMillis();
  const plan = planDay(bakes, defaultKitchen, serve, 0);
  const span = spanOf(plan);

  it('has each task in its lane, in the order of the hours, within the span', () => {
    const lanes = bakeLanes(plan, bakes, span);
    expect(lanes.map((l) => l.id)).toEqual(['m', 'n']);
    for (const l of lanes)
      for (const b of l.blocks) {
        expect(b.left).toBeGreaterThanOrEqual(0);
        expect(b.left + b.width).toBeLessThanOrEqual(100);
        expect(b.task.bakeId).toBe(l.id);
      }
    // no two pieces of work lie over one another, in whichever lane
    const work = lanes.flatMap((l) => l.blocks.filter((b) => b.look === 'hands')).sort((a, b) => a.left - b.left);
    work
      .slice(1)
      .forEach((b, i) => expect(b.left).toBeGreaterThanOrEqual((work[i]?.left ?? 0) + (work[i]?.width ?? 0) - 0.01));
    expect(share(span.from, span)).toBe(0);
    expect(share(span.to, span)).toBe(100);
    expect(ticksOf(span).every((t) => t % (30 * 60_000) === 0)).toBeTrue();
  });

  it('has an oven that is hot when something is in it, at the heat it wants', () => {
    const [oven] = ovenLanes(plan, defaultKitchen, span);
    for (const s of plan.stays) {
      const x = share(s.startsAt, span);
      const before = oven?.points.filter((p) => p.x <= x + 1e-6).at(-1);
      expect(before?.c).toBe(s.ovenC);
    }
  });

  it('is written as a calendar in which the wall clock of a later day is kept through a change of clocks', () => {
    const item = { id: 'feed', afterDays: 1, hour: 18, words: 'Feed it', detail: 'brush it', caution: 'no flame' };
    const night = at('2026-10-24T18:00');
    const text = calendarOf(plan, bakes, [{ title: 't', item, at: night.plus({ days: 1 }) }], (ms) => DateTime.fromMillis(ms, { zone })); // prettier-ignore
    expect(text).toContain('BEGIN:VCALENDAR');
    expect(text).toContain('SUMMARY:Feed it');
    // 18:00 of summer time is 17:00 UTC, 18:00 of winter time is 18:00 UTC
    expect(night.toUTC().hour).toBe(17);
    expect(text).toContain('DTSTART:20261025T180000Z');
  });
});
