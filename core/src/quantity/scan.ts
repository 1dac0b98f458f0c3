import { numberPattern, readNumber } from './numbers.js';
import { readSpoken, spokenPattern, spokenTail } from './spoken.js';
import { remembered } from './remember.js';
import { units } from './units.js';

/** An amount found in a text, with the span it came from. `unit` is null for a bare number. */
export interface Found {
  readonly value: number | readonly [number, number];
  readonly unit: string | null;
  readonly from: number;
  readonly to: number;
  /** How full the spoon or cup is said to be: "heaped", "scant", "rounded". */
  readonly filled?: string;
}

const escape = (s: string): string => s.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const kitchen = units.filter((u) => ['mass', 'volume', 'count'].includes(u.dimension));
const spelled = new Map<string, string>();
for (const u of kitchen) for (const w of u.words) if (!spelled.has(w)) spelled.set(w, u.id);
const words = [...spelled.keys()].sort((a, b) => b.length - a.length).map(escape);
/** `T` and `t` differ, everything else is read in any case; so the pattern is case-blind and the look-up is not. */
const unitPattern = `(?:${words.join('|')})(?![\\p{L}])\\.?`;
const filling =
  '(?:more|extra|full|further|level(?:led)?|scant|rounded|generous|heaped|heaping|heaping full|well-heaped|brimming|packed|good|big|small|large)';
const to = '(?:-|–|—|−|to|or|~)';
const number = `(?:${numberPattern}(?:\\s+(?:and|&)\\s+(?:${numberPattern})(?=\\s*(?:${words.join('|')})))?|${spokenPattern}(?![\\p{L}]))`;
/** Digits or words, a range of them, and a unit that may stand behind a hyphen or "of a". */
const amount = new RegExp(
  `(?<![\\p{L}\\d.,])(?<!\\p{L}-)(?<!\\d\\s*[/⁄])(${number})(?:\\s*${to}\\s*(${number}))?(?:\\s*-\\s*|\\s*)(?:(?:of\\s+)?an?\\s+)?(?:(${filling})\\s+)?(${unitPattern})?(?:(?<=\\p{L}\\.?)(${spokenTail})(?![\\p{L}]))?`,
  'giu',
);
/** "a cup", "a good pinch", "an ounce and a half": an article counts as one only before a unit. */
const article = new RegExp(
  `(?<![\\p{L}])(?<!(?:half|halves|thirds?|quarters?|eighths?)(?:\\s+of)?\\s+)an?\\s+(?:(${filling}|tiny|very small)\\s+)?(${unitPattern})(?:(${spokenTail})(?![\\p{L}]))?`,
  'giu',
);

/** "pinch salt", "handful of nuts": measures of the hand that stand without a number; a few drops are counted as four. */
const byHand =
  /(?<![\p{L}])(?<!\d\s*)(pinch|dash|splash|glug|handful|knob|(?:few )?drops?(?!\s+(?:biscuit|scone|cake|cookie|dough)))(?![\p{L}])/giu;

function unitId(word: string | undefined): string | null {
  if (!word) return null;
  const bare = word.replace(/\.$/, '');
  return spelled.get(bare) ?? spelled.get(bare.toLowerCase()) ?? spelled.get(word.toLowerCase()) ?? null;
}

function valueOf(text: string): number | null {
  const and = /^(.*\d)\s+(?:and|&)\s+(.*\d.*|[¼-¾⅐-⅞])$/u.exec(text);
  if (and?.[1] && and[2]) {
    const [a, b] = [readNumber(and[1]), readNumber(and[2])];
    if (a !== null && b !== null && b < 1) return a + b;
  }
  return readNumber(text) ?? readSpoken(text);
}

const tailOf = (text: string | undefined): number =>
  text ? (readSpoken(text.trim().replace(/^and\s+/i, '')) ?? 0) : 0;

/**
 * Finds every amount in a line, left to right: `2-3 tbsp`, `1 1/2 cups`, `½ tsp`, `a pinch`, `200g`, `one and a half
 * cups`, `a cup and a quarter`. Never throws.
 */
export const scanAmounts = (line: string): readonly Found[] => scanned(line);

function scan(line: string): readonly Found[] {
  const found: Found[] = [];
  for (const m of line.matchAll(article)) {
    const [whole, filled, unit, tail] = m;
    const from = m.index;
    const end = from + whole.trimEnd().length;
    found.push({
      value: 1 + tailOf(tail),
      unit: unitId(unit),
      from,
      to: end,
      ...(filled && { filled: filled.toLowerCase() }),
    });
  }
  for (const m of line.matchAll(amount)) {
    const [whole, first, second, filled, unit, tail] = m;
    if (found.some((f) => m.index < f.to && f.from < m.index + whole.length && f.from <= m.index)) continue;
    const a = valueOf(first ?? '');
    if (a === null) continue;
    const b = second === undefined ? null : valueOf(second);
    // "170 C" is a heat; nobody measures so many cups with one letter
    if (unit && ((/^c\.?$/i.test(unit) && a >= 60) || (unit === 'C' && a >= 10))) continue;
    const value = b !== null && b > a ? ([a, b] as const) : a + (b === null ? tailOf(tail) : 0);
    // "1 large" is a size unless a unit follows
    const text = unit ? whole : whole.slice(0, whole.length - trailing(whole, first ?? '', second));
    found.push({
      value,
      unit: unitId(unit),
      from: m.index,
      to: m.index + text.trimEnd().length,
      ...(unit && filled && { filled: filled.toLowerCase() }),
    });
  }
  for (const m of line.matchAll(byHand)) {
    const [from, to] = [m.index, m.index + m[0].length];
    // "100 g chocolate drops" has its amount already; in a list of several a pinch is one of them
    const another = /^(?:pinch|dash|splash|glug|knob)/i.test(m[0]) && /(?:[,;+&]|\band)\s*$/.test(line.slice(0, from));
    const overlaps = found.some((f) => f.from < to && from < f.to);
    // "pinch of salt, 1/2 tsp mustard": the first of several
    const behind = found.find((f) => f.from >= to);
    const first = behind && line.slice(0, from).trim() === '' && /[,;+&]|\band\b/i.test(line.slice(to, behind.from));
    if (found.length === 0 || ((another || first) && !overlaps))
      found.push({ value: /^few/i.test(m[0]) ? 4 : 1, unit: unitId(m[0].replace(/^few\s/i, '')), from, to });
  }
  const both = joined(line);
  const single = both.length === 0 ? found : found.filter((f) => !both.some((r) => f.from < r.to && r.from < f.to));
  return [...single, ...both].sort((x, y) => x.from - y.from);
}

/** "850ml-1L", "3/4 cup to 1 cup": two ends that each have their unit are one range, in the unit of the first. */
const twoUnits = new RegExp(
  `(?<![\\p{L}\\d.,/])(${numberPattern})\\s*(${unitPattern})\\s*${to}\\s*(${numberPattern})\\s*(${unitPattern})`,
  'giu',
);
function joined(line: string): Found[] {
  return [...line.matchAll(twoUnits)].flatMap((m): Found[] => {
    const [first, second] = [unitId(m[2]), unitId(m[4])].map((id) => units.find((u) => u.id === id));
    const [a, b] = [readNumber(m[1] ?? ''), readNumber(m[3] ?? '')];
    if (!first || !second || a === null || b === null || first.dimension !== second.dimension) return [];
    const per = first === second ? 1 : first.size && second.size ? second.size / first.size : null;
    if (per === null || b * per <= a) return [];
    return [{ value: [a, b * per], unit: first.id, from: m.index, to: m.index + m[0].trimEnd().length }];
  });
}

const scanned = remembered(scan);

/** How much of a match without a unit lies behind its number. */
function trailing(whole: string, first: string, second: string | undefined): number {
  const last = second ?? first;
  return whole.length - (whole.lastIndexOf(last) + last.length);
}

/** The middle of a range, or the value itself. */
export const middle = (v: number | readonly [number, number]): number =>
  typeof v === 'number' ? v : (v[0] + v[1]) / 2;
