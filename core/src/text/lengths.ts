import { numberPattern, readNumber } from '../quantity/numbers.js';
import { remembered } from '../quantity/remember.js';
import { readSpoken, spokenPattern } from '../quantity/spoken.js';

/** A length or several across each other: "8½ x 4½ inch", "23 cm", "13x9x2". */
export interface Size {
  /** Millimetres, one to three of them, in the order of the text. */
  readonly mm: readonly number[];
  /** True where the text names the unit. */
  readonly unit: boolean;
  readonly from: number;
  readonly to: number;
}

const number = `(?:\\d+\\s*-\\s*\\d\\s*[/⁄]\\s*\\d|${numberPattern}|(?:${spokenPattern})(?=[\\s-]*(?:inch|cm|centimet)))`;
const unit = `(cm|cms|centimet(?:re|er)s?|mm|millimet(?:re|er)s?|inch(?:es)?|in(?:s\\b)?(?=[.\\s,;)x×-]|$)(?!\\s+(?:a|an|the|your|it|this|that|half|two|three|four|which|and|one|milk|water|oil|my|our|hot|warm)\\b)|"|”|″|''|’’|“)`;
const cross = '(?:x|×|\\*|by)';
const sizes = new RegExp(
  `(?<![\\p{L}\\d.,/])(${number})\\s*-?\\s*${unit}?(?:\\s*${cross}\\s*(${number})\\s*-?\\s*${unit}?(?:\\s*${cross}\\s*(${number})\\s*-?\\s*${unit}?)?)?`,
  'giu',
);
const valueOf = (s: string | undefined): number | null => (s === undefined ? null : (readNumber(s) ?? readSpoken(s)));

function scaleOf(word: string | undefined, largest: number): number {
  const u = (word ?? '').toLowerCase();
  if (u.startsWith('cm') || u.startsWith('cent')) return 10;
  if (u.startsWith('mm') || u.startsWith('milli')) return 1;
  if (u !== '') return 25.4;
  return largest <= 18 ? 25.4 : 10;
}

/** Every size in a text. A single figure needs its unit; figures across each other may leave it out. */
export const sizesIn = (text: string): readonly Size[] => found(text);

const found = remembered((text): readonly Size[] => {
  const out: Size[] = [];
  for (const m of text.matchAll(sizes)) {
    const [said, a, ua, b, ub, c, uc] = m;
    const values = [valueOf(a), valueOf(b), valueOf(c)].filter((x): x is number => x !== null);
    const named = ua ?? ub ?? uc;
    const [first] = values;
    if (first === undefined || (values.length === 1 && named === undefined)) continue;
    // "180 in a 20 cm tin": no tin is a hundred inches wide
    if (values.length === 1 && first >= 60 && /^in/i.test(named ?? '')) continue;
    // "2 x 20 cm": so many tins of that size
    const many =
      values.length === 2 && ua === undefined && ub !== undefined && first <= 6 && (values[1] ?? 0) >= first * 2.4;
    const scale = scaleOf(named, Math.max(...values));
    const used = many ? values.slice(1) : values;
    const from = many ? m.index + said.search(new RegExp(cross, 'i')) + 1 : m.index;
    out.push({ mm: used.map((v) => v * scale), unit: named !== undefined, from, to: m.index + said.trimEnd().length });
  }
  return out;
});

/** "an inch", "half an inch", "an inch and a half", "a centimetre": a length that words give. */
const worded =
  /\b(?:(half)(?:\s+an?)?|((?:a\s+)?quarter)\s+of\s+an?|(three[- ]quarters)\s+of\s+an?|an?|one)\s+(inch|centimet(?:re|er)|cm)\b(\s+and\s+a\s+half\b|\s+and\s+a\s+quarter\b)?/gi;

/** By the hand: "three fingers high", "as thick as your thumb"; a finger 18 mm broad, a thumb 20. General knowledge. */
const byHand = new RegExp(
  `\\b(${numberPattern}|${spokenPattern}|an?)\\s+fingers?['’]?(?=\\s+(?:high|thick|deep|tall|wide|broad)\\b)|\\bas (?:thick|high) as (?:your|a|my) thumb\\b|\\ba thumb(?=\\s+(?:thick|high|deep)\\b)`,
  'giu',
);
const FINGER_MM = 18;
const THUMB_MM = 20;
/** What the hand measures, mm. */
const handMm = (m: RegExpMatchArray): number => (m[1] === undefined ? THUMB_MM : FINGER_MM * (/^an?$/i.test(m[1]) ? 1 : (valueOf(m[1]) ?? 1))); // prettier-ignore

/** Every length in a text, in figures and in words, in order. */
export function lengthsIn(text: string): readonly Size[] {
  const inFigures = sizesIn(text);
  const inWords = [...text.matchAll(worded)].map((m): Size => {
    const of = m[1] ? 0.5 : m[2] ? 0.25 : m[3] ? 0.75 : 1;
    const more = /quarter/i.test(m[5] ?? '') ? 0.25 : m[5] ? 0.5 : 0;
    const unitMm = /^inch/i.test(m[4] ?? '') ? 25.4 : 10;
    return { mm: [(of + more) * unitMm], unit: true, from: m.index, to: m.index + m[0].length };
  });
  for (const m of text.matchAll(byHand))
    inWords.push({ mm: [handMm(m)], unit: true, from: m.index, to: m.index + m[0].length });
  const alone = inWords.filter((w) => !inFigures.some((f) => f.from < w.to && w.from < f.to));
  return [...inFigures, ...alone].sort((a, b) => a.from - b.from);
}
