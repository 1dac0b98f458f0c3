const shapes = {
  /** `26 Nov` */
  day: { day: 'numeric', month: 'short' },
  /** `Thu 26 Nov` */
  weekday: { weekday: 'short', day: 'numeric', month: 'short' },
  /** `Thu 26 Nov 2026` */
  year: { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' },
  /** `Thursday 26 November 2026` */
  long: { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' },
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
