import { band, exactly } from '../formula/bands.js';
import type { Band } from '../formula/types.js';
import { durationAt, durations, type Duration } from '../text/durations.js';
import type { LaidOver } from './types.js';

/** A night's rest, min: from the evening until the oven is on. A judgement. */
const NIGHT = band(480, 600, 840);
const DAY_MIN = 24 * 60;

const numberWords: Readonly<Record<string, number>> = {
  a: 1, an: 1, one: 1, two: 2, couple: 2, three: 3, few: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, twelve: 12, fourteen: 14,
}; // prettier-ignore
const count = (w: string | undefined): number =>
  w === undefined ? 1 : (numberWords[w.toLowerCase()] ?? (Number(w) || 1));
const figure = String.raw`(\d+|an?|one|two|a couple of|couple of|three|a few|few|four|five|six|seven|eight|nine|ten|twelve|fourteen)`;
const plainCount = (w: string): number => count(w.replace(/^a (?=couple|few)/i, '').replace(/ of$/i, ''));

/** What a clause says of time, but for the oven's heat. */
export interface Clock {
  readonly forMin: Band | null;
  readonly atMin?: number;
  readonly beforeEnd?: boolean;
  /** As a part of the time in the oven: half-way. */
  readonly atShare?: number;
  readonly repeat?: { readonly everyDays: number; readonly forDays: number };
  readonly days?: number;
}

const after = /\b(?:after|at|past|for the first)\s+(?:about |around |roughly |the first |another )?$/i;
const last = /\b(?:the )?(?:last|final)\s+(?:of\s+)?$/i;
const behindAfter = /^\s*(?:before (?:the end|it(?:'s| is) done)|to go|from the end)\b/i;
const sinceOut = /^\s*(?:after|later|ago)\b|^\s*(?:out|from the oven)\b/i;
const each = /\b(?:every|each|per)\s+$/i;
const atLeast = /\bat least\b|\bor (?:more|longer)\b|\bminimum\b/i;

const dayWord = /\b(\d+|an?|one|two|three|four|five|six|seven|ten|a couple of|a few)\s+(day|week|month)s?\b/gi;

/** Times of a clause: how long it lasts, when it begins, how often. */
export function clockOf(text: string): Clock {
  const out: { -readonly [K in keyof Clock]: Clock[K] } = { forMin: null };
  const repeat = repeatOf(text);
  if (repeat) out.repeat = repeat;
  const times = [...durations(text), ...bareMinutes(text)].filter((d) => d.late < 3 * DAY_MIN);
  for (const d of times) {
    const before = text.slice(Math.max(0, d.from - 40), d.from);
    const behind = text.slice(d.to, d.to + 40);
    if (each.test(before)) continue;
    const middle = Math.round((d.early + d.late) / 2);
    if (behindAfter.test(behind)) {
      out.atMin = middle;
      out.beforeEnd = true;
    } else if (last.test(before)) {
      out.atMin = middle;
      out.beforeEnd = true;
    } else if (after.test(before) || sinceOut.test(behind)) out.atMin ??= middle;
    else if (out.forMin === null) out.forMin = lasting(d, atLeast.test(text));
  }
  if (/\bhalf[- ]?(?:way|time)\b|\bmid-?way\b/i.test(text)) out.atShare = 0.5;
  if (out.forMin === null && /\bovernight\b|\ball night\b|\b(?:till|until) (?:the )?(?:next )?morning\b/i.test(text))
    out.forMin = NIGHT;
  if (!repeat) {
    const days = [...text.matchAll(dayWord)]
      .filter((m) => !/\b(?:lasts?|keeps? (?:for )?(?:up to )?)\s*$/i.test(text.slice(0, m.index)) || true)
      .map((m) => plainCount(m[1] ?? '1') * (/^w/i.test(m[2] ?? '') ? 7 : /^m/i.test(m[2] ?? '') ? 30 : 1));
    if (days.length > 0) out.days = Math.max(...days);
    else if (/\b(?:next|following) (?:day|morning)\b|\bthe day after\b|\btomorrow\b|\btmrw\b/i.test(text)) out.days = 1;
  }
  return out;
}

/** "have a look at fifty", "turn the trays at 10", "leave them another 22 to 25": minutes without their unit. */
function bareMinutes(text: string): Duration[] {
  const m =
    /\b(?:at|after|(?:for )?another|a further)\s+(?:about\s+)?(?=\d{1,2}(?!\d)|[a-z]+(?:ty|teen|ten)\b|ten\b|five\b)/i.exec(
      text,
    );
  if (!m) return [];
  const d = durationAt(text, m.index + m[0].length);
  return d && !d.unit && d.early >= 5 && d.early <= 90 && /^\s*(?:[.,;)]|$|min|more)/i.test(text.slice(d.to))
    ? [d]
    : [];
}

function lasting(d: Duration, least: boolean): Band {
  if (d.early !== d.late) return band(d.early, (d.early + d.late) / 2, d.late);
  return least ? band(d.early, d.early, 1.5 * d.early) : exactly(d.early);
}

function repeatOf(text: string): Clock['repeat'] {
  const every = new RegExp(
    String.raw`\b(?:(once|twice|three times)\s+(?:a|each|every|per)\s+(day|week)|every\s+(?:${figure}\s+)?(day|week|fortnight)s?|(?:each|once (?:a|each|every))\s+(day|week)|(daily|weekly))\b`,
    'i',
  ).exec(text);
  if (!every) return undefined;
  const times = every[1] ? ({ once: 1, twice: 2, 'three times': 3 }[every[1].toLowerCase()] ?? 1) : 1;
  const unit = (every[2] ?? every[4] ?? every[5] ?? every[6] ?? 'day').toLowerCase();
  const unitDays = unit.startsWith('w') ? 7 : unit.startsWith('f') ? 14 : 1;
  const everyDays = (unitDays * (every[3] ? plainCount(every[3]) : 1)) / times;
  const long = new RegExp(
    String.raw`\bfor\s+(?:about\s+|at least\s+)?${figure}(?:\s*(?:-|–|to)\s*(\d+))?\s+(day|week|month)s?\b`,
    'i',
  ).exec(text);
  const span = long
    ? plainCount(long[2] ?? long[1] ?? '1') * (/^w/i.test(long[3] ?? '') ? 7 : /^m/i.test(long[3] ?? '') ? 30 : 1)
    : 21;
  return { everyDays, forDays: span };
}

/** The sign by which it is done. */
export const untilOf = (text: string): string | null =>
  /\b(?:until|till|'til|til)\b\s+([^;.()]*?)(?=,?\s+then\b|[;.()]|$)/i.exec(text)?.[0].trim() ?? null;

export const onlyIfOf = (text: string): string | null =>
  /\b(?:if|unless|in case)\b\s+(?!you (?:are|like|have|want|'re)\b)[^,;.]*/i.exec(text)?.[0].trim() ?? null;

export function coverOf(text: string): LaidOver | null {
  if (/\blid\b|\b(?:upturned|upside[- ]down|inverted)\b|\bsecond tin\b|\bbowl over\b/i.test(text)) return 'lid';
  if (/\bfoil\b|\bpaper\b|\bparchment\b|\btent\b/i.test(text)) return 'tent';
  return /\bcloth\b|\btowel\b|\bfilm\b|\bcling|\bplate\b|\bcover/i.test(text) ? 'cloth' : null;
}

/** What it is done in, as the words have it. */
export const vesselOf = (text: string): string | null =>
  /\b(?:in|into|to)\s+((?:a|an|the|another|your|one)\s+(?:[\p{L}-]+\s+){0,2}?(?:bowl|jug|saucepan|pan|basin|mug|cup|processor|mixer|tin|tray|skillet|dish|sheet)s?)\b/iu.exec(
    text,
  )?.[1] ?? null;
