import { numberPattern, readNumber } from './numbers.js';
import { units } from './units.js';

/** An amount found in a text, with the span it came from. `unit` is null for a bare number. */
export interface Found {
  readonly value: number | readonly [number, number];
  readonly unit: string | null;
  readonly from: number;
  readonly to: number;
}

const escape = (s: string): string => s.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const kitchen = units.filter((u) => ['mass', 'volume', 'count'].includes(u.dimension));
const spelled = new Map<string, string>();
for (const u of kitchen) for (const w of u.words) if (!spelled.has(w)) spelled.set(w, u.id);
const words = [...spelled.keys()].sort((a, b) => b.length - a.length).map(escape);
/** `T` and `t` differ, everything else is read in any case; so the pattern is case-blind and the look-up is not. */
const unitPattern = `(?:${words.join('|')})(?![\\p{L}])\\.?`;
const range = `(${numberPattern})(?:\\s*(?:-|–|—|to|or)\\s*(${numberPattern}))?`;
const amount = new RegExp(
  `(?<![\\p{L}\\d.,/])${range}\\s*(?:(?:level|scant|rounded|generous|heaped|heaping)\\s+)?(${unitPattern})?`,
  'giu',
);

function unitId(word: string | undefined): string | null {
  if (!word) return null;
  const bare = word.replace(/\.$/, '');
  return spelled.get(bare) ?? spelled.get(bare.toLowerCase()) ?? spelled.get(word.toLowerCase()) ?? null;
}

const numberWords: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
  half: 0.5,
  quarter: 0.25,
};
const spoken = new RegExp(
  `^\\s*(half a|half an|a quarter|quarter|${Object.keys(numberWords).join('|')})\\s+(?:(?:of\\s+)?an?\\s+)?(${unitPattern})`,
  'iu',
);

/** Finds every amount in a line, left to right. `2-3 tbsp`, `1 1/2 cups`, `½ tsp`, `a pinch`, `200g`. Never throws. */
export function scanAmounts(line: string): Found[] {
  const found: Found[] = [];
  const said = spoken.exec(line);
  if (said?.[1] && said[2]) {
    const word = said[1]
      .toLowerCase()
      .replace(/^half an?$/, 'half')
      .replace('a quarter', 'quarter');
    const from = said[0].length - said[0].trimStart().length;
    found.push({ value: numberWords[word] ?? 1, unit: unitId(said[2]), from, to: said[0].length });
  }
  for (const m of line.matchAll(amount)) {
    const from = m.index;
    const last = found.at(-1);
    if (last && from < last.to) continue;
    const a = readNumber(m[1] ?? '');
    if (a === null) continue;
    const b = m[2] === undefined ? null : readNumber(m[2]);
    found.push({
      value: b !== null && b > a ? [a, b] : a,
      unit: unitId(m[3]),
      from,
      to: from + m[0].trimEnd().length,
    });
  }
  return found;
}

/** The middle of a range, or the value itself. */
export const middle = (v: number | readonly [number, number]): number =>
  typeof v === 'number' ? v : (v[0] + v[1]) / 2;
