import type {
  Band,
  EggSize,
  Entered,
  FlourHabit,
  Form,
  Ingredient,
  Item,
  SaltKind,
  Source,
  Vessel,
} from '../formula/types.js';
import { asFraction, plain, roundTo } from './numbers.js';
import { middle, scanAmounts } from './scan.js';
import { sizeOf, tablespoonMl, teaspoonMl, unitOf } from './units.js';

/** Weight of a cup of flour by habit, against spooned and levelled (100–110, 120–125, 140–150, 155–165 g). */
export const habitFactor: Readonly<Record<FlourHabit, number>> = {
  sifted: 0.86,
  spooned: 1,
  dipped: 1.185,
  packed: 1.31,
};

/** Grams of a shelled egg by market size; typical US and European weight classes less 11–12 % shell. */
export const eggG: Readonly<Record<EggSize, number>> = {
  'us-s': 38,
  'us-m': 44,
  'us-l': 50,
  'us-xl': 56,
  'us-jumbo': 63,
  'eu-s': 43,
  'eu-m': 50,
  'eu-l': 60,
  'eu-xl': 66,
};

/** Grams of salt in a millilitre by kind: 5.85, 4.9 and 3.0 g a US teaspoon. */
export const saltGPerMl: Readonly<Record<SaltKind, number>> = { fine: 1.187, coarse: 0.99, flake: 0.61 };

/** Grams per millilitre of an ingredient as these measures fill a cup or spoon. */
export function densityIn(ingredient: Ingredient, source: Source, form?: Form | null): number {
  if (ingredient.id === 'salt') return saltGPerMl[source.saltKind];
  const as = form ? ingredient.gPerMlAs?.[form] : undefined;
  if (as !== undefined) return as;
  const loose = ingredient.base === 'flour' && ingredient.gPerMl < 0.6 && !ingredient.flakes;
  const habit = form === 'sifted' ? 'sifted' : form === 'packed' ? 'packed' : source.flourHabit;
  return loose ? ingredient.gPerMl * habitFactor[habit] : ingredient.gPerMl;
}

/** Grams of one piece; eggs by the source's size. Null when pieces make no sense for it. */
export function pieceGrams(ingredient: Ingredient, source: Source): Band | null {
  if (!ingredient.pieceG) return null;
  const share = { egg: 1, 'egg-white': 0.66, 'egg-yolk': 0.34 }[ingredient.id];
  if (share === undefined) return ingredient.pieceG;
  const g = eggG[source.eggSize] * share;
  return { low: g * 0.94, typical: g, high: g * 1.06 };
}

/** The unit as it is meant under this source: a pint of 568 ml goes with a cup of 284. */
function size(unitId: string, source: Source): number {
  if (source.cupMl > 270 && unitId === 'pint') return 568.26;
  if (source.cupMl > 270 && unitId === 'fl-oz') return 28.413;
  return sizeOf(unitOf(unitId), source);
}

/**
 * Grams of an amount, or null when the unit says nothing about weight (a count of something without a piece weight,
 * a length). The middle of a range is taken.
 */
export function gramsOf(entered: Entered, ingredient: Ingredient, source: Source, form?: Form | null): number | null {
  const value = middle(entered.value);
  const unit = unitOf(entered.unit);
  // a stick is a quarter pound of butter; of cinnamon it is a count of something else
  if (unit.id === 'stick' && ingredient.role !== 'fat') return null;
  switch (unit.dimension) {
    case 'mass':
      return value * size(unit.id, source);
    case 'volume':
      return value * size(unit.id, source) * densityIn(ingredient, source, form);
    case 'count': {
      const piece = pieceGrams(ingredient, source);
      return piece ? value * piece.typical : null;
    }
    default:
      return null;
  }
}

/** How far a volume may honestly be off by habit of filling, as a factor below and above. */
export function volumeTolerance(ingredient: Ingredient): readonly [number, number] {
  if (ingredient.base === 'flour') return [0.8, 1.35];
  if (ingredient.role === 'leavener' || ingredient.role === 'salt') return [0.7, 1.35];
  if (ingredient.pieces || ingredient.role === 'addin' || ingredient.role === 'fruit') return [0.65, 1.5];
  return [0.82, 1.22];
}

const cupSteps = [1, 3 / 4, 2 / 3, 1 / 2, 1 / 3, 1 / 4];
/** Decilitre measures come whole and by halves. */
const dlSteps = [1, 1 / 2];
const DL_ML = 100;

/** Whole, half and third cups first, then spoons: an amount as it is measured with what the baker owns. */
export function asMeasured(
  grams: number,
  ingredient: Ingredient,
  source: Source & { readonly vessel?: Vessel },
  form?: Form,
): string {
  if (!(grams > 0)) return grams === 0 ? 'none' : '–';
  const piece = pieceGrams(ingredient, source);
  if (piece && !ingredient.pieces && (ingredient.role === 'egg' || ingredient.role === 'fruit')) {
    const n = grams / piece.typical;
    if (ingredient.role === 'egg' || Math.abs(n - roundTo(n, 0.5)) < 0.12)
      return n < 0.2
        ? `${plain(grams)} g beaten`
        : `${asFraction(roundTo(n, n < 1 ? 0.25 : 0.5))} ${eggWord(ingredient, n)}`;
  }
  const ml = grams / densityIn(ingredient, source, form);
  const tsp = ml / teaspoonMl(source);
  if (tsp < 0.11) return 'a pinch';
  if (tsp < 2.9) return `${asFraction(roundTo(tsp, tsp < 1.1 ? 1 / 8 : 1 / 4))} tsp`;
  const dl = source.vessel === 'dl';
  const vesselMl = dl ? DL_ML : source.cupMl;
  if (ml < vesselMl * (dl ? 0.46 : 0.23)) return spoons(tsp, source);
  const cups = ml / vesselMl;
  const whole = Math.floor(cups + 0.02);
  const rest = cups - whole;
  const step = rest < 0.03 ? 0 : ((dl ? dlSteps : cupSteps).find((s) => s <= rest + 0.02) ?? 0);
  const left = (rest - step) * vesselMl;
  const word = dl ? 'dl' : whole + step > 1.001 ? 'cups' : 'cup';
  const head = whole + step > 0 ? `${asFraction(whole + step)} ${word}` : '';
  const leftTsp = left / teaspoonMl(source);
  if (leftTsp < 0.9 || left < cups * vesselMl * 0.02) return head;
  // beside a cup, half teaspoons and then half tablespoons are as fine as it makes sense to measure
  const half = tablespoonMl(source) / teaspoonMl(source) / 2;
  return `${head} + ${spoons(roundTo(leftTsp, leftTsp < 2 ? 0.5 : half), source)}`;
}

/** Tablespoons and the teaspoons left over, to a quarter; a half tablespoon is said as such. */
function spoons(tsp: number, source: Source): string {
  const per = tablespoonMl(source) / teaspoonMl(source);
  const quarters = roundTo(tsp, tsp < 6 ? 0.25 : 0.5);
  if (quarters < per) return `${asFraction(quarters)} tsp`;
  const whole = Math.floor(quarters / per + 1e-9);
  const rest = quarters - whole * per;
  if (rest < 0.2) return `${whole} tbsp`;
  if (Math.abs(rest - per / 2) < 0.01) return `${asFraction(whole + 0.5)} tbsp`;
  return `${whole} tbsp + ${asFraction(rest)} tsp`;
}

function eggWord(ingredient: Ingredient, n: number): string {
  const many = n > 1.25;
  const name = { egg: 'egg', 'egg-white': 'white', 'egg-yolk': 'yolk' }[ingredient.id] ?? '';
  return name === '' ? (many ? 'pieces' : 'piece') : many ? `${name}s` : name;
}

/** Prints an entered amount in the baker's words: `1½ cups`, `2–3 tbsp`, `2`. */
export function printEntered(entered: Entered | null): string {
  if (!entered) return '';
  const v =
    typeof entered.value === 'number'
      ? asFraction(entered.value)
      : `${asFraction(entered.value[0])}–${asFraction(entered.value[1])}`;
  return entered.unit === 'piece' ? v : `${v} ${printUnit(entered)}`;
}

const plurals = new Set([
  'cup',
  'stick',
  'pint',
  'quart',
  'gill',
  'drop',
  'spoonful',
  'handful',
  'knob',
  'teacup',
  'katori',
]);

/** The unit of an amount as a word: `cups` of more than one, `fl oz`. */
export function printUnit(entered: Entered): string {
  const { unit } = entered;
  if (unit === 'fl-oz') return 'fl oz';
  const many = middle(entered.value) > 1.001;
  if ((unit === 'pinch' || unit === 'dash' || unit === 'splash') && many) return `${unit}es`;
  return many && plurals.has(unit) ? `${unit}s` : unit;
}

/**
 * Reads what a baker types into an amount: `240` is grams, or ounces where `bare` says so, `1 1/2 c`, `2 eggs`, `1 stick`, `½ tsp + 10 g`.
 * Returns null when it cannot be read, so that the old amount stays and a message can say why.
 */
export function readAmount(
  text: string,
  ingredient: Ingredient,
  source: Source,
  bare: 'g' | 'oz' = 'g',
): { grams: number; entered: Entered } | null {
  // a minus sign is a slip, not an amount; reading it as the number behind it would change what was meant
  if (/^\s*[-−–]\s*[\d.¼-¾⅐-⅞]/.test(text)) return null;
  const found = scanAmounts(text.replace(/\beggs?\b|\bwhites?\b|\byolks?\b/gi, ' piece '));
  // a handful is a guess that a recipe line raises as a doubt; typed as an amount it says nothing
  if (
    found.length === 0 ||
    found.some((f) => f.unit === 'spoonful' || f.unit === 'handful' || f.unit === 'knob' || f.unit === 'splash')
  )
    return null;
  let grams = 0;
  for (const f of found) {
    const g = gramsOf({ value: f.value, unit: f.unit ?? bare }, ingredient, source);
    if (g === null || !Number.isFinite(g)) return null;
    grams += g;
  }
  const first = found[0];
  const entered: Entered =
    found.length === 1 && first ? { value: first.value, unit: first.unit ?? bare } : { value: grams, unit: 'g' };
  return { grams, entered };
}

/** A new amount for a line, in words that match its new weight. */
export function withGrams(item: Item, grams: number): Item {
  if (item.grams === grams) return item;
  return { ...item, grams, entered: { value: Math.round(grams * 100) / 100, unit: 'g' } };
}
