import { numericQuantity } from 'numeric-quantity';

const vulgar = '¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞';
/** Source of a regular expression for one number: `2`, `2.5`, `2,5`, `1/2`, `1 1/2`, `1½`, `½`. */
export const numberPattern = `(?:\\d+\\s*[${vulgar}]|[${vulgar}]|\\d+[ -]\\d+\\s*[/⁄]\\s*\\d+|\\d+\\s*[/⁄]\\s*\\d+|\\d{1,3}(?:,\\d{3})+(?!\\d)|\\d+(?:[.,]\\d+)?|\\.\\d+)`;

/** Reads one number in any of those forms; null when it is none. `1,500` is fifteen hundred, `1,5` one and a half. */
export function readNumber(text: string): number | null {
  let t = text
    .trim()
    .replace(/⁄/g, '/')
    .replace(/\s*\/\s*/g, '/');
  t = t.replace(/^(\d+)-(\d+\/\d+)$/, '$1 $2');
  t = /^\d{1,3}(,\d{3})+$/.test(t) ? t.replace(/,/g, '') : t.replace(',', '.');
  const n = numericQuantity(t);
  return Number.isFinite(n) ? n : null;
}

/** Eighths and thirds with their signs. */
export const fractions: readonly (readonly [number, string])[] = [
  [1 / 8, '⅛'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [3 / 8, '⅜'],
  [1 / 2, '½'],
  [5 / 8, '⅝'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
  [7 / 8, '⅞'],
];

/** Prints a number as a baker says it: `1½`, `⅔`, `2`; decimals when no eighth or third is within 2 %. */
export function asFraction(x: number): string {
  if (!Number.isFinite(x)) return '?';
  const whole = Math.floor(x + 1e-9);
  const rest = x - whole;
  // within 2 %, and never further than a spoon's edge shows
  const near = Math.min(0.02 * Math.max(x, 0.1), 0.04);
  if (rest < near / 2 || rest < Math.min(0.02 * x, 0.04)) return String(whole);
  if (1 - rest < Math.min(0.02 * x, 0.04)) return String(whole + 1);
  const [value, sign] = fractions.reduce((best, f) => (Math.abs(f[0] - rest) < Math.abs(best[0] - rest) ? f : best));
  if (Math.abs(rest - value) < near) return whole === 0 ? sign : `${whole}${sign}`;
  return x < 10 ? String(Math.round(x * 100) / 100) : String(Math.round(x * 10) / 10);
}

/** Rounds to a whole number of steps. */
export const roundTo = (x: number, step: number): number => Math.round(x / step) * step;

/** A figure as it is fit to be read: 3 significant digits below 100 g, whole grams above. */
export function plain(x: number): string {
  if (!Number.isFinite(x)) return '–';
  const a = Math.abs(x);
  const digits = a >= 100 ? 0 : a >= 10 ? 1 : a >= 1 ? 1 : 2;
  return String(Number(x.toFixed(digits)));
}
