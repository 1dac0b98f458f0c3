import type { Assessment } from '../balance/assess.js';
import { familyOf, type Family } from '../balance/families.js';
import type { FamilyId, Formula, Kitchen } from '../formula/types.js';
import { linesOf } from '../leavening/parts.js';
import type { BakeInput, BatterParts } from './bake-input.js';

/** Mass fractions of a formula's batter, and what its soda leaves; undefined when it weighs nothing. */
export function compositionOf(formula: Formula, kitchen: Kitchen, a: Assessment): BatterParts | undefined {
  let [all, water, fat, sugar, egg, milk] = [0, 0, 0, 0, 0, 0];
  const pieces = { water: 0, sugar: 0 };
  for (const { ingredient, grams, whole } of linesOf(formula, kitchen)) {
    const c = ingredient.per100;
    all += grams;
    water += (grams * c.water) / 100;
    fat += (grams * c.fat) / 100;
    sugar += (grams * c.sugar) / 100;
    if (whole) {
      pieces.water += (grams * c.water) / 100;
      pieces.sugar += (grams * c.sugar) / 100;
    }
    if (ingredient.role === 'egg') egg += grams;
    if (ingredient.role === 'egg' || ingredient.allergens.includes('milk'))
      milk += (grams * (100 - c.water - c.fat)) / 100;
  }
  if (!(all > 0)) return undefined;
  return {
    water: water / all,
    fat: fat / all,
    sugar: sugar / all,
    egg: egg / all,
    milk: milk / all,
    ...(pieces.water + pieces.sugar > 0 && { pieces: { water: pieces.water / all, sugar: pieces.sugar / all } }),
    leftSoda: a.ledger.leftSodaGPer100gBatter.typical,
    leftAcid: a.ledger.leftAcidMeqPer100gBatter.typical,
  };
}

const middle = ([a, b]: readonly [number, number]): number => (a + b) / 2;

/** Flour's own water, share of its weight, and egg's solids and fat; general knowledge. */
const FLOUR_WATER = 0.13;
const EGG = { water: 0.75, fat: 0.1 } as const;
/** An ordinary cake. */
const NOTHING_KNOWN = { water: 0.38, fat: 0.13, sugar: 0.2, egg: 0.12 } as const;

/** Mass fractions of a family's ordinary batter, from the middles of its ranges; for bakes of which no more is known. */
export function typicalComposition(id: FamilyId): Required<Pick<BatterParts, 'water' | 'fat' | 'sugar' | 'egg'>> {
  const family = familyOf(id);
  const [fat, sugar, egg, water] = (['fat', 'sugar', 'egg', 'water'] as const).map((k) => middle(family[k])) as [
    number,
    number,
    number,
    number,
  ];
  if (!(water < 400 && fat < 400 && sugar < 400)) return NOTHING_KNOWN;
  const all = 100 + fat + sugar + egg * (1 - EGG.water) + water + 4;
  return {
    water: (water + 100 * FLOUR_WATER) / all,
    fat: (fat + egg * EGG.fat + 1.5) / all,
    sugar: sugar / all,
    egg: egg / all,
  };
}

/** Molar masses, kg/mol: water, and sugars on average between sucrose (0.342) and fruit's and honey's (0.180). */
const MOLAR = { water: 0.018015, sugar: 0.27 } as const;
/** Norrish's constant of sugars, between 2.3 for glucose and 6.5 for sucrose. General food chemistry, not looked up. */
const NORRISH = 4;
/** What salt, leavener and milk's salts take off besides. A judgement. */
const SALTS = 0.98;

/**
 * Water activity of a batter, 0–1, by Norrish's equation for its sugar in its water: 0.97 of a plain dough, 0.93 of a
 * cake, 0.85 of a rich fruit cake.
 */
export function waterActivity({ water, sugar = 0.2 }: Pick<BatterParts, 'water' | 'sugar'>): number {
  const [w, s] = [Math.max(0.05, water) / MOLAR.water, Math.max(0, sugar) / MOLAR.sugar];
  const x = s / (w + s);
  return SALTS * (1 - x) * Math.exp(-NORRISH * x * x);
}

/** Freezing point depression of water, K for a mole of what is dissolved in a kilo of it; and what salts bring, mol/kg. */
const CRYOSCOPIC = 1.86;
const SALTS_MOLAL = 0.4;

/** Where the water of a batter begins to freeze, °C: −2 of a dough, −6 of a cake. */
export const freezesAt = ({ water, sugar = 0.2 }: Pick<BatterParts, 'water' | 'sugar'>): number =>
  -CRYOSCOPIC * Math.min(8, Math.max(0, sugar) / MOLAR.sugar / Math.max(0.1, water) + SALTS_MOLAL);

/** Wheat starch in water sets at about 64 °C, and 22 K later for each gram of sugar to a gram of water; general food science. */
const STARCH_C = 64;
const STARCH_PER_SUGAR = 22;
/** Egg sets at about 70 °C, and sugar delays it less. */
const EGG_C = 70;
const EGG_PER_SUGAR = 8;
/** A share of egg at which egg sets the crumb as much as starch does. A judgement. */
const EGG_HALF = 0.35;
/** Acid that is left opens proteins, so that they set sooner: K for each meq per 100 g, and the most of it. A judgement. */
const PER_ACID = 0.8;
const MOST_ACID_K = 4;

/**
 * Temperature at which the crumb sets, °C: starch in its sugar and water, and egg, by their shares. 66 of a plain dough, 78 of a cake,
 * 95 and more of one with twice its sugar, which the middle hardly outlives.
 */
export function setsAtC(c: BatterParts): number {
  const { water, sugar } = c.pieces ?? { water: 0, sugar: 0 };
  const perWater = Math.min(2, Math.max(0, (c.sugar ?? 0.2) - sugar) / Math.max(0.1, c.water - water));
  const egg = Math.max(0, c.egg ?? 0.12);
  const ofEgg = egg / (egg + EGG_HALF);
  const [starch, white] = [STARCH_C + STARCH_PER_SUGAR * perWater, EGG_C + EGG_PER_SUGAR * perWater];
  return starch + (white - starch) * ofEgg - Math.min(MOST_ACID_K, PER_ACID * Math.max(0, c.leftAcid ?? 0));
}

/** By how much a crumb that sets a kelvin later than its family's is baked on, K, and the most of it. A judgement. */
const FOLLOWS = 0.15;
const MOST_LATER_K = 2.5;

/** When a formula's middle is done, °C at sea level: as its family is, and a little later or sooner as its crumb sets. */
export function doneAtC(family: Family, c: BatterParts): number {
  const later = FOLLOWS * (setsAtC(c) - setsAtC(typicalComposition(family.id)));
  return middle(family.doneC) + Math.max(-MOST_LATER_K, Math.min(MOST_LATER_K, later));
}

/** When the middle of a bake is done, °C at sea level: its formula's temperature, or its family's. */
export const doneOf = (input: Pick<BakeInput, 'family' | 'doneC'>): number =>
  input.doneC ?? middle(familyOf(input.family).doneC);
