import type { Display, Kitchen, Tin } from '../formula/types.js';
import { degreesIn } from './degrees.js';
import { asFraction, plain } from './numbers.js';

/**
 * Figures in the units of a kitchen. Every sentence that names a weight, a length, a height or a capacity takes its words
 * from here, and heats from `degrees.ts`; `typed.ts` reads back what is shown.
 */

export const OZ_G = 28.349523125;
export const LB_OZ = 16;
const IN_MM = 25.4;
export const FT_M = 0.3048;
/** A US cup and an imperial pint, ml. */
const US_CUP_ML = 236.588;
export const PINT_ML = 568.26;

export type Weighs = Pick<Display, 'weight'> | undefined;
export type Long = Pick<Display, 'length'> | undefined;

/** The unit in which a kitchen weighs. */
export const massUnit = (d: Weighs): 'g' | 'oz' => d?.weight ?? 'g';

/** A weight as a number of the kitchen's unit, as fine as its scales show: 240, 0.5, or 8.5, 0.18. */
export function massValue(d: Weighs, g: number): number {
  if (massUnit(d) === 'g') return Number(plain(g));
  const oz = g / OZ_G;
  return Number(oz.toFixed(Math.abs(oz) >= 10 ? 1 : Math.abs(oz) >= 0.1 ? 2 : 3));
}

/** Grams of a number in the kitchen's unit. */
export const massG = (d: Weighs, value: number): number => (massUnit(d) === 'g' ? value : value * OZ_G);

/** A weight in words: `240 g`, `1250 g`; `8.5 oz`, `2 lb 3 oz`, `0.18 oz`. */
export function massIn(d: Weighs, g: number): string {
  if (massUnit(d) === 'g') return `${plain(g)} g`;
  const oz = Math.abs(g) / OZ_G;
  const sign = g < 0 ? '−' : '';
  if (oz < LB_OZ - 0.05) return `${sign}${Number(oz.toFixed(oz >= 1 ? 1 : oz >= 0.1 ? 2 : 3))} oz`;
  if (oz >= 10 * LB_OZ) return `${sign}${Number((oz / LB_OZ).toFixed(1))} lb`;
  const half = Math.round(oz * 2) / 2;
  const rest = half % LB_OZ;
  return `${sign}${Math.floor(half / LB_OZ)} lb${rest > 0 ? ` ${asFraction(rest)} oz` : ''}`;
}

/** The same, of something that nobody weighs finer than by the gram. */
export const wholeMassIn = (d: Weighs, g: number): string => massIn(d, massUnit(d) === 'g' ? Math.round(g) : g);

/** A weight as it is bought or carried: kilograms above 1000 g. */
export const heavyIn = (d: Weighs, g: number): string =>
  massUnit(d) === 'g' && Math.abs(g) >= 1000 ? `${Number((g / 1000).toFixed(2))} kg` : massIn(d, g);

/** From one weight to another: `240 → 300 g`, `8.5 → 10.6 oz`. */
export const massChange = (d: Weighs, fromG: number, toG: number): string =>
  massUnit(d) === 'g' ? `${plain(fromG)} → ${plain(toG)} g` : `${massIn(d, fromG)} → ${massIn(d, toG)}`;

/** A span of weights: `40–60 g`, `1.4–2.1 oz`. */
export const massBetween = (d: Weighs, low: number, high: number): string =>
  massUnit(d) === 'g' ? `${plain(low)}–${plain(high)} g` : `${massIn(d, low)}–${massIn(d, high)}`.replace(/ oz–/, '–'); // prettier-ignore

/** A length in words: `23 cm`, `2.5 cm`, `8 mm`; `9 in`, `2½ in`, `⅓ in`. Half centimetres, quarter inches, finer below 2 cm. */
export function lengthIn(d: Long, mm: number): string {
  if (d?.length !== 'in')
    return Math.abs(mm) < 19.5 ? `${Number(mm.toFixed(mm < 10 ? 1 : 0))} mm` : `${Math.round(mm / 5) / 2} cm`;
  return `${inches(mm)} in`;
}

/** Inches by the half above four, by the quarter above one, by the eighth below. */
function inches(mm: number): string {
  const x = mm / IN_MM;
  const step = Math.abs(x) >= 4 ? 2 : Math.abs(x) >= 1 ? 4 : 8;
  const n = Math.max(mm > 0 ? 1 / 8 : 0, Math.round(x * step) / step);
  return asFraction(n);
}

/** Several lengths across each other: `33 × 23 cm`, `13 × 9 in`. */
export function sizeIn(d: Long, ...mm: readonly number[]): string {
  const one = (x: number): string => (d?.length === 'in' ? inches(x) : String(Math.round(x / 5) / 2));
  return `${mm.map(one).join(' × ')} ${d?.length === 'in' ? 'in' : 'cm'}`;
}

/** A tin's size by its rim. */
export const rimIn = (d: Long, tin: Pick<Tin, 'topMm' | 'top2Mm'>): string =>
  tin.top2Mm !== undefined && Math.abs(tin.topMm - tin.top2Mm) > 8
    ? sizeIn(d, tin.topMm, tin.top2Mm)
    : sizeIn(d, tin.topMm);

/** A height above the sea: `1600 m`, `5250 ft`. */
export const heightIn = (d: Long, m: number): string =>
  d?.length === 'in' ? `${Math.round(m / FT_M)} ft` : `${Math.round(m)} m`;

/** What a tin or bowl holds: `1600 ml`; in cups where weights are in ounces, in pints where a cup is imperial. */
export function capacityIn(kitchen: Pick<Kitchen, 'display' | 'measures'> | undefined, ml: number): string {
  if (kitchen?.display.weight !== 'oz') return `${Math.round(ml)} ml`;
  const [size, one, many] = kitchen.measures.cupMl > 270 ? [PINT_ML, 'pint', 'pints'] : [US_CUP_ML, 'cup', 'cups'];
  const n = ml / size;
  const told = n >= 4 ? Math.round(n * 2) / 2 : n >= 0.25 ? Math.round(n * 4) / 4 : Math.round(n * 8) / 8;
  return `${asFraction(told)} ${told > 1 ? many : one}`;
}

const number = '\\d+(?:[.,]\\d+)?';
/** One figure or several before their unit: `45 °C`, `40–60 g`, `240 → 300 g`, `33 × 23 cm`, `15 to 90 cm`. */
const metric = new RegExp(
  `(?<![\\p{L}\\d.,])(${number})(?:(\\s?(?:–|→|×)\\s?| to | and | or )(${number}))? ?(°C|kg|g|ml|cm|mm)(?![\\p{L}\\d/²³]| per g)`,
  'gu',
);
const inHundred = new RegExp(
  `(${number}(?:(?:–| to )${number})?) g((?: of)? \\p{L}+)? (in|to|for each) 100 g(?: of)?\\b`,
  'gu',
);
const quoted = /(“[^”]*”|"[^"]*")/;

const isMetric = (d: Display): boolean => d.temperature !== 'F' && d.length === 'cm' && massUnit(d) === 'g';

/**
 * A sentence of the core, which is composed in metric units, in the units of a kitchen. What stands within quotation marks is
 * the baker's and stays; figures of a hundred ("0.2 g in 100 g batter") become parts. A kitchen of grams, centimetres
 * and °C gets the sentence as it is.
 */
export function told(kitchen: Pick<Kitchen, 'display' | 'measures'> | undefined, words: string): string {
  const d = kitchen?.display;
  if (!d || isMetric(d)) return words;
  return words
    .split(quoted)
    .map((part, i) => (i % 2 === 1 ? part : toldPlain(kitchen, part)))
    .join('');
}

function toldPlain(kitchen: Pick<Kitchen, 'display' | 'measures'>, words: string): string {
  const d = kitchen.display;
  const ounces = massUnit(d) === 'oz';
  const parts = ounces ? words.replace(inHundred, (_, n: string, of = '', to: string) => `${n} parts${of} ${to} 100 of`) : words; // prettier-ignore
  return parts.replace(
    metric,
    (all: string, a: string, between: string | undefined, b: string | undefined, unit: string) => {
      const say = sayOf(kitchen, unit, ounces);
      if (!say) return all;
      const [x, y] = [a, b].map((n) => (n === undefined ? undefined : say(Number(n.replace(',', '.')))));
      if (x === undefined || y === undefined || between === undefined) return x ?? all;
      // the unit once, behind both, where it is the same
      const [ux, uy] = [x, y].map((w) => / (\S+)$/.exec(w)?.[1]);
      return `${ux === uy && !/^\d+ lb \S/.test(x) ? x.slice(0, x.lastIndexOf(' ')) : x}${between}${y}`;
    },
  );
}

/** How a number of a metric unit is said; null where the kitchen has that unit itself. */
function sayOf(
  kitchen: Pick<Kitchen, 'display' | 'measures'>,
  unit: string,
  ounces: boolean,
): ((x: number) => string) | null {
  const d = kitchen.display;
  if (unit === '°C') return d.temperature === 'F' ? (x) => degreesIn('F', x) : null;
  if (unit === 'cm' || unit === 'mm') return d.length === 'in' ? (x) => lengthIn(d, unit === 'cm' ? 10 * x : x) : null;
  if (!ounces) return null;
  if (unit === 'ml') return (x) => capacityIn(kitchen, x);
  return (x) => massIn(d, unit === 'kg' ? 1000 * x : x);
}

/** A value with every text of it told in the kitchen's units; what is the baker's own is left out by `except`. */
export function toldAll<T>(
  kitchen: Pick<Kitchen, 'display' | 'measures'> | undefined,
  value: T,
  except: readonly string[] = [],
): T {
  const d = kitchen?.display;
  if (!d || isMetric(d)) return value;
  const walk = (v: unknown): unknown => {
    if (typeof v === 'string') return told(kitchen, v);
    if (Array.isArray(v)) return v.map(walk);
    if (v === null || typeof v !== 'object') return v;
    return Object.fromEntries(Object.entries(v).map(([k, x]) => [k, except.includes(k) ? x : walk(x)]));
  };
  return walk(value) as T;
}
