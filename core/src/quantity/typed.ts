import type { Display, HeatScale, Kitchen } from '../formula/types.js';
import { GAS_C } from './degrees.js';
import { FT_M, LB_OZ, massUnit, OZ_G, PINT_ML, type Long, type Weighs } from './figures.js';
import { readNumber } from './numbers.js';
import { convert, toCelsius, unitOf } from './units.js';

/** Figures as they are typed, in any unit; bare numbers are in the kitchen's. What `figures.ts` shows is read back here. */

const figure = /^\s*([^a-z°"”″'’]*?)\s*([a-z°"”″][a-z. ]*)?\s*$/i;

/** A number and the unit behind it, by the unit's id; null where either cannot be read. */
function read(text: string, bare: string, among: 'mass' | 'length' | 'volume'): { value: number; unit: string } | null {
  const m = figure.exec(text);
  const value = m?.[1] === undefined ? null : readNumber(m[1]);
  if (value === null) return null;
  const word = (m?.[2] ?? '').trim().toLowerCase().replace(/\.$/, '').replace(/^["”″]$/, 'in'); // prettier-ignore
  if (word === '') return { value, unit: bare };
  const unit = wordsOf[among].get(word);
  return unit === undefined ? null : { value, unit };
}
const named = (ids: readonly string[]): ReadonlyMap<string, string> => new Map(ids.flatMap((id) => unitOf(id).words.map((w) => [w, id] as const))); // prettier-ignore
const wordsOf = {
  mass: named(['g', 'kg', 'mg', 'oz', 'lb']),
  length: named(['mm', 'cm', 'in']),
  volume: named(['ml', 'cl', 'dl', 'l', 'cup', 'pint', 'quart', 'fl-oz', 'teacup', 'katori']),
};

/** Grams of a typed weight: `240`, `8.5 oz`, `2 lb 3 oz`, `1.2 kg`; a bare number is in the kitchen's unit. Null where it is none. */
export function readMass(text: string, d: Weighs): number | null {
  const both = /^\s*(.+?)\s*(?:lbs?|pounds?)\.?\s*(?:and\s+)?(\S.*)$/i.exec(text);
  if (both?.[1] && both[2] && /^[\d¼-¾⅐-⅞]/.test(both[2])) {
    const [lb, oz] = [readNumber(both[1]), read(both[2], 'oz', 'mass')];
    return lb === null || oz?.unit !== 'oz' ? null : (lb * LB_OZ + oz.value) * OZ_G;
  }
  const found = read(text, massUnit(d), 'mass');
  return found && convert(found.value, found.unit, 'g', NO_CUPS);
}

/** Millimetres of a typed length: `23 cm`, `9 in`, `1/4"`, `8`; a bare number is in the given unit, the kitchen's larger one unless said. */
export function readLength(
  text: string,
  d: Long,
  bare: 'mm' | 'cm' | 'in' = d?.length === 'in' ? 'in' : 'cm',
): number | null {
  const found = read(text, bare, 'length');
  return found && convert(found.value, found.unit, 'mm', NO_CUPS);
}
const NO_CUPS = { cupMl: 240, spoonMl: 5 };

/** Millilitres of a typed capacity: `1600`, `1.6 l`, `8 cups`, `2 pints`, which are imperial where the kitchen's cup is. */
export function readCapacity(text: string, kitchen: Pick<Kitchen, 'display' | 'measures'>): number | null {
  const found = read(text, 'ml', 'volume');
  if (!found) return null;
  if (kitchen.measures.cupMl > 270 && found.unit === 'pint') return found.value * PINT_ML;
  return convert(found.value, found.unit, 'ml', kitchen.measures);
}

/** Metres of a typed height: `1600 m`, `5280 ft`; a bare number is in the kitchen's unit. */
export function readHeight(text: string, d: Long): number | null {
  const m = /^\s*([-−]?)\s*(.+?)\s*(m|metres?|meters?|ft|feet|foot|['’′])?\s*$/i.exec(text);
  const value = m?.[2] === undefined ? null : readNumber(m[2]);
  if (value === null) return null;
  const feet = m?.[3] === undefined ? d?.length === 'in' : !/^m/i.test(m[3]);
  return (m?.[1] ? -1 : 1) * value * (feet ? FT_M : 1);
}

/** °C of a typed temperature: `20`, `68 F`, `gas 4` is none; a bare number is in the kitchen's scale. */
export function readTemperature(text: string, d: Pick<Display, 'temperature'>): number | null {
  const m = /^\s*([-−]?)\s*([\d.,]+)\s*(?:°|degrees?)?\s*(c|f|celsius|fahrenheit)?\s*$/i.exec(text);
  const value = m?.[2] === undefined ? null : readNumber(m[2]);
  if (value === null) return null;
  const t = (m?.[1] ? -1 : 1) * value;
  const scale = (m?.[3] ?? (d.temperature === 'F' ? 'F' : 'C')).slice(0, 1).toUpperCase();
  return scale === 'F' ? convert(t, 'F', 'C', NO_CUPS) : t;
}

/** °C of a typed gas mark: `gas 4`, `mark ½`, and a bare `4` where the dial has marks; null where it is none. */
export function readGas(text: string, bare: boolean): number | null {
  const m = /^\s*(gas(?:\s*mark)?|mark|reg(?:ulo)?\.?)?\s*(¼|½|1\/[24]|10|\d)\s*$/i.exec(text);
  return m?.[2] !== undefined && (bare || m[1] !== undefined) ? (GAS_C[m[2]] ?? null) : null;
}

/** A heat typed for an oven: `180`, `350 F`, `160 fan`, `gas 4`; a bare number is in the dial's scale. Null where it is none. */
export function readDial(text: string, scale: HeatScale): { readonly ovenC: number; readonly fan: boolean } | null {
  const marked = readGas(text, scale === 'gas');
  if (marked !== null) return { ovenC: marked, fan: false };
  const m = /(\d{2,3}(?:[.,]\d+)?)\s*°?\s*([cf])?(?![a-z])/i.exec(text);
  if (!m?.[1]) return null;
  const value = Number(m[1].replace(',', '.'));
  const said = (m[2] ?? (scale === 'F' ? 'F' : 'C')).toUpperCase();
  return { ovenC: said === 'F' ? Math.round(toCelsius(value)) : value, fan: /fan/i.test(text) };
}
