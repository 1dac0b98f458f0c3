import type { DayBake, DayPlan, Later } from '@orvin/core';
import { createEvents } from 'ics';
import type { DateTime } from 'luxon';

interface Entry {
  readonly title: string;
  readonly detail: string;
  readonly at: DateTime;
  readonly minutes: number;
}

const MOMENTS = new Set(['butter out', 'eggs out', 'freeze', 'oven on']);

/** The tasks of a day, and of the days after, as an iCalendar file with an alarm at each. */
export function calendarOf(
  plan: DayPlan,
  bakes: readonly DayBake[],
  later: readonly { readonly title: string; readonly item: Later; readonly at: DateTime }[],
  at: (ms: number) => DateTime,
): string {
  const title = (id: string): string => bakes.find((b) => b.id === id)?.formula.title ?? '';
  const entries: Entry[] = [
    ...plan.tasks
      .filter((t) => t.hands || MOMENTS.has(t.kind) || t.kind === 'ready')
      .map((t) => ({
        title: bakes.length > 1 ? `${t.words}: ${title(t.bakeId)}` : t.words,
        detail: t.detail,
        at: at(t.startsAt),
        minutes: MOMENTS.has(t.kind) ? 5 : Math.max(1, t.minutes),
      })),
    ...later.map(({ item, at: when }) => ({
      title: item.words,
      detail: item.caution ? `${item.detail}. ${item.caution}` : item.detail,
      at: when,
      minutes: 10,
    })),
  ];
  const made = createEvents(
    entries.map((e) => {
      const t = e.at.toUTC();
      return {
        title: e.title,
        description: e.detail,
        start: [t.year, t.month, t.day, t.hour, t.minute],
        startInputType: 'utc',
        startOutputType: 'utc',
        duration: { minutes: e.minutes },
        alarms: [{ action: 'display', description: e.title, trigger: { before: true, minutes: 0 } }],
      };
    }),
  );
  if (made.error || !made.value) throw made.error ?? new Error('no calendar');
  return made.value;
}
