import { OrvinError } from '../errors.js';
import type { Source } from '../formula/types.js';

export type Dimension = 'mass' | 'volume' | 'count' | 'temperature' | 'length' | 'time';

export interface Unit {
  readonly id: string;
  readonly dimension: Dimension;
  /** Size in the dimension's own unit: g, ml, pieces, °C (by formula), mm, min. Null when the source decides it. */
  readonly size: number | null;
  /** Words that name it, lower case, longest forms included. */
  readonly words: readonly string[];
}

/**
 * Units as data. Sizes: international avoirdupois and US customary definitions (exact), metric by definition; the
 * stick is a quarter of a pound; a pinch is taken as 1/12 teaspoon, between the 1/16 and 1/8 of spoon sets, since bakers
 * who weigh one find half a gram of salt; a dash as 1/8. A dessertspoon is 10 ml; a splash (5 ml), a spoonful of no size (15 ml), a handful (60 ml),
 * a teacup (180 ml), a katori (150 ml) and a knob (15 g) are guesses that the reader always raises as a doubt.
 */
export const units: readonly Unit[] = [
  {
    id: 'g',
    dimension: 'mass',
    size: 1,
    words: ['g', 'gr', 'gm', 'gms', 'grm', 'grms', 'gram', 'grams', 'gramme', 'grammes'],
  },
  { id: 'kg', dimension: 'mass', size: 1000, words: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'] },
  { id: 'mg', dimension: 'mass', size: 0.001, words: ['mg'] },
  { id: 'oz', dimension: 'mass', size: 28.349523125, words: ['oz', 'ozs', 'ounce', 'ounces'] },
  { id: 'lb', dimension: 'mass', size: 453.59237, words: ['lb', 'lbs', 'pound', 'pounds'] },
  { id: 'stick', dimension: 'mass', size: 113.398, words: ['stick', 'sticks'] },
  {
    id: 'ml',
    dimension: 'volume',
    size: 1,
    words: ['ml', 'mls', 'mil', 'mils', 'cc', 'millilitre', 'millilitres', 'milliliter', 'milliliters'],
  },
  { id: 'cl', dimension: 'volume', size: 10, words: ['cl', 'centilitre', 'centilitres'] },
  { id: 'dl', dimension: 'volume', size: 100, words: ['dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters'] },
  { id: 'l', dimension: 'volume', size: 1000, words: ['l', 'litre', 'litres', 'liter', 'liters'] },
  {
    id: 'tsp',
    dimension: 'volume',
    size: null,
    words: [
      'tl',
      'teel',
      'teelöffel',
      'c. à c',
      'c. à café',
      'c à café',
      'càc',
      'cc à café',
      'cuillère à café',
      'cuillères à café',
      'cuil. à café',
      'cuillerée à café',
      'cdta',
      'cdita',
      'cucharadita',
      'cucharaditas',
      'cucchiaino',
      'cucchiaini',
      'tsk',
      'tsp',
      'tsps',
      'teaspoon',
      'teaspoons',
      'teaspoonful',
      'teaspoonfuls',
      'tspn',
      'teasp',
      'ts',
      't',
      'tspns',
      'tspful',
      'teaspn',
      'tea spoon',
      'tea spoons',
      'tea-spoon',
    ],
  },
  {
    id: 'tbsp',
    dimension: 'volume',
    size: null,
    words: [
      'el',
      'essl',
      'esslöffel',
      'c. à s',
      'c. à soupe',
      'c à soupe',
      'càs',
      'cuillère à soupe',
      'cuillères à soupe',
      'cuil. à soupe',
      'cuillerée à soupe',
      'cuillerées à soupe',
      'cda',
      'cdas',
      'cucharada',
      'cucharadas',
      'cucchiaio',
      'cucchiai',
      'msk',
      'tblspn',
      'tblspns',
      'tblspoon',
      'tbspns',
      'tbspful',
      'table spoon',
      'table spoons',
      'table-spoon',
      'soup spoon',
      'soup spoons',
      'tablesp',
      'tbsp',
      'tbsps',
      'tbs',
      'tbl',
      'tb',
      'tbls',
      'tblsp',
      'tblsps',
      'tbspn',
      'tablespoon',
      'tablespoons',
      'tablespoonful',
      'tablespoonfuls',
      'T',
    ],
  },
  {
    id: 'cup',
    dimension: 'volume',
    size: null,
    words: [
      'cup',
      'cups',
      'c',
      'cupful',
      'cupfuls',
      'tasse',
      'tassen',
      'tasses',
      'taza',
      'tazas',
      'tazza',
      'tazze',
      'measuring cup',
    ],
  },
  {
    id: 'teacup',
    dimension: 'volume',
    size: 180,
    words: ['teacup', 'teacups', 'tea cup', 'tea cups', 'teacupful', 'teacupfuls'],
  },
  { id: 'katori', dimension: 'volume', size: 150, words: ['katori', 'katoris', 'vati'] },
  {
    id: 'fl-oz',
    dimension: 'volume',
    size: 29.5735295625,
    words: ['fl oz', 'fl. oz', 'fl. oz.', 'fluid ounce', 'fluid ounces', 'floz'],
  },
  { id: 'pint', dimension: 'volume', size: 473.176473, words: ['pint', 'pints', 'pt'] },
  { id: 'gill', dimension: 'volume', size: 142.065, words: ['gill', 'gills'] },
  {
    id: 'dsp',
    dimension: 'volume',
    size: 10,
    words: [
      'dsp',
      'dsps',
      'dstsp',
      'dessertsp',
      'dess. spoon',
      'dessert spoon',
      'dessert spoons',
      'dessertspoon',
      'dessertspoons',
      'dessertspoonful',
      'dessertspoonfuls',
    ],
  },
  { id: 'drop', dimension: 'volume', size: 0.05, words: ['drop', 'drops'] },
  { id: 'quart', dimension: 'volume', size: 946.352946, words: ['quart', 'quarts', 'qt'] },
  {
    id: 'pinch',
    dimension: 'volume',
    size: 0.41,
    words: [
      'pinch',
      'pinches',
      'prise',
      'prisen',
      'pincée',
      'pincées',
      'pizca',
      'pizcas',
      'pizzico',
      'pizzichi',
      'good pinch',
      'nip',
    ],
  },
  {
    id: 'dash',
    dimension: 'volume',
    size: 0.616,
    words: ['dash', 'dashes', 'knife point', 'msp', 'messerspitze', 'messerspitzen', 'shake', 'shakes'],
  },
  {
    id: 'splash',
    dimension: 'volume',
    size: 5,
    words: ['splash', 'splashes', 'glug', 'glugs', 'drizzle', 'schuss', 'filet', 'chorro', 'goccio', 'spritzer'],
  },
  { id: 'spoonful', dimension: 'volume', size: 15, words: ['spoonful', 'spoonfuls', 'spoon', 'spoons'] },
  { id: 'handful', dimension: 'volume', size: 60, words: ['handful', 'handfuls'] },
  { id: 'knob', dimension: 'mass', size: 15, words: ['knob', 'knobs'] },
  { id: 'piece', dimension: 'count', size: 1, words: ['piece', 'pieces', 'whole'] },
  { id: 'C', dimension: 'temperature', size: null, words: ['°c', 'c', 'celsius', 'centigrade'] },
  { id: 'F', dimension: 'temperature', size: null, words: ['°f', 'f', 'fahrenheit'] },
  { id: 'mm', dimension: 'length', size: 1, words: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'] },
  { id: 'cm', dimension: 'length', size: 10, words: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'] },
  { id: 'in', dimension: 'length', size: 25.4, words: ['in', 'inch', 'inches', '"', '″', '”'] },
  { id: 'min', dimension: 'time', size: 1, words: ['min', 'mins', 'minute', 'minutes'] },
  { id: 'h', dimension: 'time', size: 60, words: ['h', 'hr', 'hrs', 'hour', 'hours'] },
];

const byId = new Map(units.map((u) => [u.id, u]));

/** @throws OrvinError `unknown-unit` */
export function unitOf(id: string): Unit {
  const unit = byId.get(id);
  if (!unit) throw new OrvinError('unknown-unit', `There is no unit '${id}'.`);
  return unit;
}

/** Millilitres in a level tablespoon: three teaspoons, or what is given when it can only be a tablespoon (above 10 ml). */
export const tablespoonMl = (s: Pick<Source, 'spoonMl'>): number => (s.spoonMl > 10 ? s.spoonMl : 3 * s.spoonMl);
/** Millilitres in a level teaspoon: a third of the tablespoon, a quarter of the Australian one of 20 ml. */
export const teaspoonMl = (s: Pick<Source, 'spoonMl'>): number =>
  s.spoonMl > 10 ? s.spoonMl / (s.spoonMl >= 19 ? 4 : 3) : s.spoonMl;

/** Size of a unit in g, ml, pieces, mm or min under these measures. @throws OrvinError for a temperature unit */
export function sizeOf(unit: Unit, measures: Pick<Source, 'cupMl' | 'spoonMl'>): number {
  if (unit.size !== null) return unit.size;
  if (unit.id === 'tsp') return teaspoonMl(measures);
  if (unit.id === 'tbsp') return tablespoonMl(measures);
  if (unit.id === 'cup') return measures.cupMl;
  throw new OrvinError('dimension', `'${unit.id}' has no fixed size; convert temperatures with toCelsius.`);
}

export const toCelsius = (f: number): number => ((f - 32) * 5) / 9;
export const toFahrenheit = (c: number): number => (c * 9) / 5 + 32;

/**
 * Converts between units of one dimension.
 * @throws OrvinError `dimension` when the dimensions differ: a mass never turns into a volume without an ingredient.
 */
export function convert(
  value: number,
  fromId: string,
  toId: string,
  measures: Pick<Source, 'cupMl' | 'spoonMl'>,
): number {
  const from = unitOf(fromId);
  const to = unitOf(toId);
  if (from.dimension !== to.dimension)
    throw new OrvinError('dimension', `${from.dimension} cannot become ${to.dimension}.`);
  if (from.dimension === 'temperature') {
    const c = from.id === 'F' ? toCelsius(value) : value;
    return to.id === 'F' ? toFahrenheit(c) : c;
  }
  return (value * sizeOf(from, measures)) / sizeOf(to, measures);
}
