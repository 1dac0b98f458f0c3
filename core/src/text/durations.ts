import { numberPattern, readNumber } from '../quantity/numbers.js';
import { remembered } from '../quantity/remember.js';
import { readSpoken, spokenPattern } from '../quantity/spoken.js';
import { at, type Took } from './sticky.js';

/** A time as a text says it, minutes. `early` and `late` are equal where one time is given. */
export interface Duration {
  readonly early: number;
  readonly late: number;
  /** False where the text leaves the unit out: "400 20-25". */
  readonly unit: boolean;
  readonly from: number;
  readonly to: number;
}

type Unit = 'min' | 'h' | 's' | null;
interface One {
  /** The figure as said. */
  readonly n: number;
  readonly unit: Unit;
  /** In minutes, where the unit is known. */
  readonly minutes: number | null;
  /** True when the figure is in digits. */
  readonly digits: boolean;
}

const numeric = new RegExp(`(?:${numberPattern})`, 'y');
const twoFigures = /\d{2,3}(?=\s*\/\s*\d{2})/y;
const spoken = new RegExp(`(?:${spokenPattern})(?![\\p{L}])`, 'yiu');
const unitWord =
  /\s*-?\s*(?:(h(?:ou)?rs?|h|stunden?|std|heures?|horas?|or[ae])|(min(?:ut(?:e[ns]?|os?|i))?s?|mn|m)|(sec(?:ond)?s?|s|sekunden?))(?![\p{L}])\.?/iuy;
const minuteMark = /\s?[’'′](?![’'′\p{L}\d])/uy;
const article = /(?:an?|one)\s+(?=(?:hour|hr|minute|min)\b)/iy;
const loosely = /\s*-?\s*(?:ish|odd|or so)\b/iy;
const inMinutes = { min: 1, h: 60, s: 1 / 60 } as const;

/** "half an hour", "three quarters of an hour", "¾ hour", "a quarter of an hour". */
const partOfHour =
  /(?:(half)|(an?\s+quarter|quarter|one quarter|1\/4|¼)|(three[\s-]quarters?|3\/4|¾))\s*(?:of\s+)?(?:an?\s+)?(?:hour|hr)\b\.?/iy;
const hourTail =
  /\s*(?:(?:and|&|,|plus)\s+)?(?:an?\s+|one\s+)?(?:(half)|(quarter)|(three\s+quarters))(?!\s*(?:of\s+an?\s+)?(?:hour|an hour|cup|tea|table))\b/iy;
const less = /\s*(?:less|minus)\s+/iy;

function figure(text: string, from: number): Took<{ n: number; digits: boolean }> | null {
  // "35/40 minutes" is a range, "3/4 hour" a fraction
  const d = at(twoFigures, text, from) ?? at(numeric, text, from);
  if (d) {
    const n = readNumber(d[0]);
    return n === null ? null : { value: { n, digits: true }, to: from + d[0].length };
  }
  const w = at(spoken, text, from);
  const n = w ? readSpoken(w[0]) : null;
  return w && n !== null ? { value: { n, digits: false }, to: from + w[0].length } : null;
}

function unitAt(text: string, from: number): Took<Unit> | null {
  const u = at(unitWord, text, from);
  if (u) return { value: u[1] ? 'h' : u[2] ? 'min' : 's', to: from + u[0].length };
  const mark = at(minuteMark, text, from);
  return mark ? { value: 'min', to: from + mark[0].length } : null;
}

/** One time: "1 hr 10", "an hour and a quarter", "half an hour", "45 min", or a bare figure. */
function one(text: string, from: number): Took<One> | null {
  const part = at(partOfHour, text, from);
  if (part) {
    const n = part[1] ? 30 : part[2] ? 15 : 45;
    return { value: { n, unit: 'min', minutes: n, digits: false }, to: from + part[0].length };
  }
  const a = at(article, text, from);
  const f = a ? { value: { n: 1, digits: false }, to: from + a[0].trimEnd().length } : figure(text, from);
  if (!f) return null;
  const so = at(loosely, text, f.to);
  const behind = so ? f.to + so[0].length : f.to;
  const unit = unitAt(text, behind);
  if (!unit?.value) return { value: { ...f.value, unit: null, minutes: null }, to: behind };
  const more = unit.value === 'h' ? tailOf(text, unit.to) : null;
  const minutes = f.value.n * inMinutes[unit.value] + (more?.value ?? 0);
  return { value: { ...f.value, unit: unit.value, minutes }, to: more?.to ?? unit.to };
}

/** What follows an hour: "and a half", "15 min", "and ten", "less ten minutes". */
function tailOf(text: string, from: number): Took<number> | null {
  const t = at(hourTail, text, from);
  if (t) return { value: t[1] ? 30 : t[2] ? 15 : 45, to: from + t[0].length };
  const minus = at(less, text, from);
  const join = /\s*(?:(?:and|&|,|plus)\s+(?=\S))?/y;
  const j = at(join, text, from);
  const begin = minus ? from + minus[0].length : from + (j?.[0].length ?? 0);
  const f = figure(text, begin);
  if (!f) return null;
  const unit = unitAt(text, f.to);
  const next = text.slice(f.to, f.to + 14);
  if (unit && unit.value === 'min') {
    // "1 hour, 10 minutes cooling" has a comma and another matter behind it
    if (/,/.test(text.slice(from, begin)) && /^\s*(?:to|of|for)?\s*(?:cool|rest|stand)/i.test(text.slice(unit.to)))
      return null;
    // "1 hour 15 to 20 min": the range is of the minutes
    return { value: (minus ? -1 : 1) * f.value.n, to: unit.to };
  }
  const said = text.slice(from, f.to);
  // "1h15", "an hour and ten", "1 hr 15 to 20 min"
  const close = /^h?\d{2}$/i.test(said.trim()) || /^\s*and\s/i.test(said);
  const plainly = f.value.n >= 5 && f.value.n < 60 && Number.isInteger(f.value.n);
  if (!close && !/^\s*(?:-|–|to)\s*\d+\s*min/i.test(next)) return null;
  return plainly && !/^\s*(?:°|[cf]\b|g\b|ml\b|cm\b|x\b|%|\/|eggs?|tsp|tbsp|cups?)/i.test(next)
    ? { value: f.value.n, to: f.to }
    : null;
}

const ranged =
  /\s*(?:-\s+to|-|–|—|−|to|or|bis(?:\s+zu)?|à|a(?=\s+\d)|until|up to|and(?=\s+(?:an?\s+hour|\w+\s+(?:hour|minute|min))))\s*(?:up to\s+|about\s+|a full\s+|a\s+)?/iy;
const slash = /\s*\/\s*/y;
const comma = /\s*,\s*(?:or\s+|maybe\s+|perhaps\s+|sometimes\s+|even\s+|could be\s+|might be\s+)?/iy;
/** Longest time that is read: three days of a rest in hours. */
const mostMinutes = 72 * 60;

/** Minutes of a bare figure beside another that has its unit: hours only where so many make sense. */
const beside = (n: number, unit: Unit): number => n * (unit === 'h' && n > 9 ? 1 : inMinutes[unit ?? 'min']);

/** A time or a range of times that begins at this place; null when there is none. */
export function durationAt(text: string, from: number): Duration | null {
  const a = one(text, from);
  if (!a) return null;
  const range = at(ranged, text, a.to) ?? at(slash, text, a.to);
  // said aloud: "thirty, thirty-five minutes"
  const aloud = !range && !a.value.digits ? at(comma, text, a.to) : null;
  const join = range ?? aloud;
  const b = join ? one(text, a.to + join[0].length) : null;
  if (b && !/^\s*(?:°|º|˚|degr|grad|[CF]\b)/i.test(text.slice(b.to))) {
    const early = a.value.minutes ?? beside(a.value.n, b.value.unit);
    let late = b.value.minutes ?? beside(b.value.n, a.value.unit);
    // "1 hour 15 to 20 min": the end of the range leaves the hour out
    if (late < early && a.value.unit === 'h' && early >= 60 && late < 60) late += 60 * Math.floor(early / 60);
    const near = aloud ? late > early && late <= early * 1.7 : late >= early && late < early * 6;
    if (near && early > 0 && late <= mostMinutes)
      return { early, late, unit: (a.value.unit ?? b.value.unit) !== null, from, to: b.to };
  }
  const minutes = a.value.minutes ?? a.value.n;
  if (minutes <= 0 || minutes > mostMinutes) return null;
  return { early: minutes, late: minutes, unit: a.value.unit !== null, from, to: a.to };
}

/** Every time in a text, left to right; figures without a unit are left out unless `bare` asks for them. */
export const durations = (text: string, bare = false): readonly Duration[] => (bare ? scan(text, true) : sure(text));
const sure = remembered((text): readonly Duration[] => scan(text, false));

function scan(text: string, bare: boolean): Duration[] {
  const out: Duration[] = [];
  const start = /[\p{L}\p{N}]+/gu;
  let end = 0;
  for (const m of text.matchAll(start)) {
    if (m.index < end || /[\d.,/]$/.test(text.slice(Math.max(0, m.index - 1), m.index).replace(/[,]$/, ''))) continue;
    const d = durationAt(text, m.index);
    if (!d || (!d.unit && !bare)) continue;
    // a full stop behind the unit ends the sentence, or nothing
    out.push(text[d.to - 1] === '.' ? { ...d, to: d.to - 1 } : d);
    end = d.to;
  }
  return out;
}
