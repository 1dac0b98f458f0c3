/** Numbers as people say them: "one and a half", "three quarters", "two hundred and fifty", "a dozen". */

const ones: Readonly<Record<string, number>> = {
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
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
};
const tens: Readonly<Record<string, number>> = {
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
};
const parts: Readonly<Record<string, number>> = {
  half: 1 / 2,
  halves: 1 / 2,
  third: 1 / 3,
  thirds: 1 / 3,
  quarter: 1 / 4,
  quarters: 1 / 4,
  eighth: 1 / 8,
  eighths: 1 / 8,
};

const one = Object.keys(ones).join('|');
const ten = Object.keys(tens).join('|');
const part = Object.keys(parts).join('|');
const small = `(?:(?:${ten})(?:[- ](?:${one}))?|${one})`;
const whole = `(?:(?:${one})\\s+(?:${ten})(?:[- ](?:${one}))?(?!-(?:gram|g\\b))|(?:(?:a|one|${one})\\s+)?(?:thousand|hundred)(?:\\s+(?:and\\s+)?(?:(?:${one})\\s+hundred(?:\\s+and)?\\s+)?${small})?|${small})`;
const fraction = `(?:(?:two|three|five|seven)[ -](?:thirds|quarters?|eighths)|(?:(?:an?|one)[ -])?(?:half|third|quarter|eighth))`;
/** Source of a regular expression for a spoken number, without the articles that alone mean one. */
export const spokenPattern = `(?:half a dozen|an? couple of|an? dozen|${fraction}(?![a-z])|${whole}(?:\\s+and\\s+${fraction})?)`;
/** Source for what may follow a unit: "a cup **and a half**". */
export const spokenTail = `\\s+and\\s+(?:${fraction})`;

function wholeOf(words: readonly string[]): number {
  let total = 0;
  let here = 0;
  // "two fifty" is two hundred and fifty
  const [first = '', second = ''] = words;
  if (words.length <= 3 && ones[first] !== undefined && (ones[first] ?? 10) < 10 && tens[second] !== undefined)
    return (ones[first] ?? 0) * 100 + (tens[second] ?? 0) + (ones[words[2] ?? ''] ?? 0);
  for (const w of words) {
    if (w === 'hundred') here = (here || 1) * 100;
    else if (w === 'thousand') {
      total += (here || 1) * 1000;
      here = 0;
    } else here += ones[w] ?? tens[w] ?? 0;
  }
  return total + here;
}

/** The value of a spoken number that `spokenPattern` found; null when it is none. */
export function readSpoken(text: string): number | null {
  const t = text.toLowerCase().trim().replace(/\s+/g, ' ');
  if (t === 'half a dozen') return 6;
  if (/^an? couple of$/.test(t)) return 2;
  if (/^an? dozen$/.test(t)) return 12;
  const m = new RegExp(`^(?:(.*?)\\s+and\\s+)?((?:an?|one|two|three|five|seven)[ -])?(${part})$`).exec(t);
  if (m?.[3]) {
    const times = m[2] ? (ones[m[2].trim().replace('-', '')] ?? 1) : 1;
    const of = (parts[m[3]] ?? 0) * times;
    return m[1] === undefined ? of : wholeOf(m[1].split(/[ -]/)) + of;
  }
  const n = wholeOf(t.split(/[ -]/).filter((w) => w !== 'and'));
  return n > 0 ? n : null;
}
