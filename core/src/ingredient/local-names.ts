import type { Ingredient } from '../formula/types.js';

/**
 * What things are called in the shops of a place, where that is not the catalogue's own name. A column a place, by the id of
 * `kitchen/places.ts`; general knowledge, not looked up.
 */
const columns = ['us', 'ca', 'uk', 'ie', 'au', 'nz', 'za', 'in', 'de', 'fr', 'nordic'] as const;
type Column = (typeof columns)[number];

type Row = readonly [id: string, names: Partial<Record<Column, string>>];

const america = (name: string): Partial<Record<Column, string>> => ({ us: name, ca: name });
const mainland = (name: string): Partial<Record<Column, string>> => ({ de: name, fr: name, nordic: name });

const rows: readonly Row[] = [
  ['plain-flour', { ...america('All-purpose flour'), za: 'Cake wheat flour', in: 'Maida (plain flour)', de: 'Wheat flour, type 405', fr: 'Wheat flour, T55', nordic: 'Wheat flour' }],
  ['bread-flour', { uk: 'Strong white flour', ie: 'Strong white flour', de: 'Wheat flour, type 550', fr: 'Wheat flour, T65' }],
  ['self-raising-flour', { ...america('Self-rising flour, unsalted') }],
  ['wholemeal-flour', { ...america('Whole wheat flour'), za: 'Brown bread flour', in: 'Atta (wholemeal flour)', ...mainland('Whole-grain wheat flour') }],
  ['self-raising-wholemeal', { ...america('Self-rising whole wheat flour') }],
  ['wholemeal-spelt-flour', { ...america('Whole spelt flour') }],
  ['maize-meal', { ...america('Cornmeal'), ie: 'Polenta', uk: 'Polenta', au: 'Polenta', nz: 'Polenta', za: 'Mealie meal', in: 'Makki atta (maize meal)' }],
  ['maize-starch', { ...america('Cornstarch'), uk: 'Cornflour', ie: 'Cornflour', au: 'Cornflour', nz: 'Cornflour', in: 'Cornflour' }],
  ['semolina', { in: 'Sooji (semolina)' }],
  ['chickpea-flour', { uk: 'Gram flour', ie: 'Gram flour', au: 'Besan', nz: 'Besan', in: 'Besan' }],
  ['ragi-flour', { in: 'Ragi flour' }],
  ['oatmeal', { ...america('Oatmeal, medium ground') }],
  ['baking-soda', { uk: 'Bicarbonate of soda', ie: 'Bread soda', au: 'Bicarb soda', za: 'Bicarbonate of soda' }],
  ['caster-sugar', { ...america('Superfine sugar'), ...mainland('Fine sugar') }],
  ['icing-sugar', { us: 'Powdered sugar', de: 'Powdered sugar', nordic: 'Powdered sugar' }],
  ['white-sugar', { au: 'White sugar', nz: 'White sugar', za: 'White sugar', in: 'Sugar', ...mainland('Sugar') }],
  ['demerara-sugar', { ...america('Turbinado sugar'), au: 'Raw sugar', nz: 'Raw sugar' }],
  ['treacle', { ...america('Molasses'), uk: 'Black treacle', ie: 'Black treacle' }],
  ['corn-syrup', { ...america('Corn syrup') }],
  ['cream-whipping', { ...america('Heavy cream'), au: 'Thickened cream', nz: 'Cream for whipping', za: 'Fresh cream', in: 'Fresh cream' }],
  ['cream-single', { ...america('Light cream') }],
  ['milk-semi', { ...america('Reduced-fat milk, 2 %'), au: 'Reduced-fat milk', nz: 'Reduced-fat milk', za: 'Low-fat milk', in: 'Toned milk' }],
  ['milk-skimmed', { ...america('Skim milk'), au: 'Skim milk', nz: 'Trim milk' }],
  ['yogurt', { in: 'Curd (plain yogurt)' }],
  ['milk-powder', { ...america('Dry milk powder') }],
  ['neutral-oil', { ...america('Vegetable oil'), uk: 'Sunflower or vegetable oil', ie: 'Sunflower oil', in: 'Refined oil' }],
  ['margarine', { ...america('Stick margarine') }],
  ['salt', { ...america('Table salt') }],
  ['salt-coarse', { ...america('Kosher salt') }],
  ['courgette', { ...america('Zucchini, grated'), au: 'Zucchini, grated', de: 'Zucchini, grated' }],
  ['beetroot', { ...america('Beet, grated') }],
  ['spring-onion', { ...america('Scallions') }],
  ['sultana', { ...america('Sultana raisins') }],
  ['currants', { ...america('Zante currants') }],
  ['glace-cherry', { ...america('Candied cherries') }],
  ['mixed-peel', { ...america('Candied peel') }],
  ['mixed-spice', { ...america('Pumpkin pie spice') }],
  ['ginger-stem', { ...america('Ginger in syrup') }],
  ['desiccated-coconut', { ...america('Dried unsweetened coconut, fine') }],
  ['ground-almond', { ...america('Almond flour'), au: 'Almond meal' }],
  ['dark-chocolate', { us: 'Bittersweet chocolate' }],
  ['pepper-sweet', { ...america('Bell pepper'), au: 'Capsicum', nz: 'Capsicum', in: 'Capsicum' }],
  ['sweetcorn', { ...america('Corn kernels') }],
  ['cocoa-alkalised', { ...america('Dutch-process cocoa') }],
]; // prettier-ignore

/** Every such name with what it names. */
export const localNames: readonly (readonly [id: string, name: string])[] = rows.flatMap(([id, names]) =>
  Object.values(names).map((name) => [id, name] as const),
);

const byPlace: ReadonlyMap<string, ReadonlyMap<string, string>> = new Map(
  columns.map((c) => [
    c,
    new Map(rows.flatMap(([id, names]) => (names[c] === undefined ? [] : [[id, names[c]] as const]))),
  ]),
);

/** The catalogue as a place calls it, made once a place; an ingredient keeps its id, and its identity where its name stays. */
const told = new Map<string, Map<Ingredient, Ingredient>>();

/** An ingredient by the name that it has in a place; as it is where the place has none of its own. */
export function namedIn(place: string | undefined, i: Ingredient): Ingredient {
  const name = place === undefined ? undefined : byPlace.get(place)?.get(i.id);
  if (place === undefined || name === undefined) return i;
  const known = told.get(place) ?? new Map<Ingredient, Ingredient>();
  told.set(place, known);
  const had = known.get(i) ?? { ...i, name };
  known.set(i, had);
  return had;
}
