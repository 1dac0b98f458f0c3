const shapes = {
  /** `26 Nov` */
  day: { day: 'numeric', month: 'short' },
  /** `Thu 26 Nov` */
  weekday: { weekday: 'short', day: 'numeric', month: 'short' },
  /** `Thu 26 Nov 2026` */
  year: { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' },
  /** `Thursday 26 November 2026` */
  long: { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' },
  /** `07:20` */
  time: { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>;

/** By zone and shape: a formatter is dear to make and cheap to use. */
const made = new Map<string, Intl.DateTimeFormat>();

/** A date in words, in the kitchen's time zone. */
export function dateWords(at: number, zone: string, shape: keyof typeof shapes = 'day'): string {
  const key = `${shape} ${zone}`;
  const format = made.get(key) ?? new Intl.DateTimeFormat('en-GB', { timeZone: zone, ...shapes[shape] });
  made.set(key, format);
  return format.format(at).replaceAll(',', '');
}

/** The time of day in words, in the kitchen's time zone. */
export const timeWords = (at: number, zone: string): string => dateWords(at, zone, 'time');

/** The calendar day at an instant, in a time zone, counted from 1970. */
function dayOf(at: number, zone: string): number {
  const key = `parts ${zone}`;
  const format = made.get(key) ?? new Intl.DateTimeFormat('en-GB', { timeZone: zone, year: 'numeric', month: 'numeric', day: 'numeric' }); // prettier-ignore
  made.set(key, format);
  const of = Object.fromEntries(format.formatToParts(at).map((p) => [p.type, Number(p.value)]));
  return Math.round(Date.UTC(of['year'] ?? 1970, (of['month'] ?? 1) - 1, of['day'] ?? 1) / 86_400_000);
}
const before = (n: number, unit: string): string => `${n} ${unit}${n === 1 ? '' : 's'} ago`;

/** How long ago, by the kitchen's calendar: in days up to three weeks, then in weeks, months and years. */
export function ago(at: number, now: number, zone: string): string {
  const days = dayOf(now, zone) - dayOf(at, zone);
  if (days < 1) return 'today';
  if (days < 2) return 'yesterday';
  if (days < 21) return before(days, 'day');
  if (days < 60) return before(Math.round(days / 7), 'week');
  return days < 365 ? before(Math.round(days / 30.4), 'month') : before(Math.round(days / 365.25), 'year');
}
