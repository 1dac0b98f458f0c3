import type { Problem } from '../errors.js';
import type { Composition, Ingredient, Role } from '../formula/types.js';
import { SODA_G_PER_MOL } from '../leavening/powders.js';
import { ingredients } from './catalogue.js';

/** What a nutrition label says, per 100 g. Grams unless named otherwise; leave out what it does not say. */
export interface Label {
  readonly name: string;
  readonly energyKcal?: number;
  readonly energyKj?: number;
  readonly fatG: number;
  readonly carbohydrateG: number;
  readonly sugarsG: number;
  readonly fibreG?: number;
  readonly proteinG: number;
  readonly saltG?: number;
  /** American labels count fibre within carbohydrate, European ones beside it. */
  readonly carbohydrateIncludesFibre?: boolean;
  /** Grams in a millilitre, if it was weighed: a levelled cup divided by the cup. */
  readonly gPerMl?: number;
  readonly allergens?: readonly string[];
  /** Catalogue id of what it behaves like; the nearest in composition when left out. */
  readonly like?: string;
}

/** Something that a label does not say and was taken from elsewhere. */
export interface Inferred {
  readonly field: string;
  readonly words: string;
}

export interface FromLabel {
  readonly ingredient: Ingredient;
  readonly inferred: readonly Inferred[];
  readonly problems: readonly Problem[];
}

const KJ_PER_KCAL = 4.184;
const fields: readonly (readonly [keyof Label, string])[] = [
  ['fatG', 'fat'],
  ['carbohydrateG', 'carbohydrate'],
  ['sugarsG', 'sugars'],
  ['fibreG', 'fibre'],
  ['proteinG', 'protein'],
  ['saltG', 'salt'],
];
const problem = (id: string, place: string, words: string, remedy: string): Problem => ({ id, place, words, remedy });

/**
 * What in a label cannot be, in words. Parts may sum to at most 100 g, and 1 g for rounding; the energy must be within
 * 12 % and 8 kcal of what the parts give. Both limits are judgement.
 */
export function labelProblems(l: Label): Problem[] {
  const out: Problem[] = [];
  if (l.name.trim() === '')
    out.push(problem('name', 'name', 'It has no name.', 'Give the name you would write in a recipe.'));
  for (const [key, name] of fields) {
    const v = l[key];
    if (typeof v === 'number' && !(v >= 0 && v <= 100))
      out.push(
        problem(
          name,
          name,
          `${name} cannot be ${v} g in 100 g.`,
          'Type the figure of the column "per 100 g", not "per portion".',
        ),
      );
  }
  if (out.length > 0) return out;
  if (l.sugarsG > l.carbohydrateG + 0.5)
    out.push(
      problem(
        'sugars',
        'sugars',
        `${l.sugarsG} g sugars are more than the ${l.carbohydrateG} g carbohydrate they are part of.`,
        'Perhaps the two figures are swapped.',
      ),
    );
  const sum =
    l.fatG + l.carbohydrateG + (l.carbohydrateIncludesFibre ? 0 : (l.fibreG ?? 0)) + l.proteinG + (l.saltG ?? 0);
  if (sum > 101)
    out.push(
      problem(
        'sum',
        'all',
        `The parts add up to ${sum.toFixed(1)} g in 100 g.`,
        l.fibreG && !l.carbohydrateIncludesFibre
          ? 'If the label is American its carbohydrate includes the fibre: say so. Otherwise a figure is mistyped.'
          : 'One of the figures is mistyped.',
      ),
    );
  const stated = l.energyKcal ?? (l.energyKj === undefined ? undefined : l.energyKj / KJ_PER_KCAL);
  const parts = energyOf(l);
  if (stated !== undefined && Math.abs(stated - parts) > 0.12 * Math.max(stated, parts) + 8)
    out.push(
      problem(
        'energy',
        'energy',
        `The parts give about ${Math.round(parts)} kcal, the label says ${Math.round(stated)}.`,
        'A figure is mistyped, or it holds alcohol or a sweetener. It can be kept as it is.',
      ),
    );
  return out;
}

/** kcal per 100 g from its parts: 9 for fat, 4 for protein and digestible carbohydrate, 2 for fibre. */
const energyOf = (l: Label): number => {
  const fibre = l.fibreG ?? 0;
  const carbohydrate = l.carbohydrateIncludesFibre ? Math.max(0, l.carbohydrateG - fibre) : l.carbohydrateG;
  return 9 * l.fatG + 4 * (l.proteinG + carbohydrate) + 2 * fibre;
};

const parts: readonly (keyof Composition)[] = ['water', 'fat', 'sugar', 'protein', 'starch', 'fibre'];
const distance = (a: Composition, b: Composition): number => parts.reduce((s, p) => s + Math.abs(a[p] - b[p]), 0);

/** Catalogue ingredients most like a composition, best first; those of a role only, when one is given. */
export const nearest = (c: Composition, role?: Role): Ingredient[] =>
  ingredients
    .filter((i) => (role === undefined || i.role === role) && i.leavener === undefined)
    .map((i) => ({ i, d: distance(i.per100, c) }))
    .sort((a, b) => a.d - b.d)
    .slice(0, 8)
    .map(({ i }) => i);

/**
 * Makes an own ingredient from its nutrition label. Water is what the parts leave; how it fills a cup, its acid and what
 * it drinks come from the catalogue's nearest, and each such figure is named in `inferred`.
 *
 * @param id id for the new ingredient, kebab case
 */
export function fromLabel(l: Label, id: string): FromLabel {
  const fibre = l.fibreG ?? 0;
  const carbohydrate = Math.max(0, l.carbohydrateIncludesFibre ? l.carbohydrateG - fibre : l.carbohydrateG);
  const sugar = Math.min(l.sugarsG, carbohydrate);
  const starch = carbohydrate - sugar;
  const salt = l.saltG ?? 0;
  const solids = l.fatG + sugar + starch + fibre + l.proteinG + salt;
  // minerals that no label names: 0.3 to 2 g in ordinary foods, general knowledge
  const ash = solids > 0 ? 0.6 : 0;
  const water = Math.max(0, 100 - solids - ash);
  const rest = Math.max(0, 100 - water - (solids - salt));
  const round = (x: number): number => Math.round(10 * x) / 10;
  const per100: Composition = {
    water: round(water),
    fat: l.fatG,
    sugar: round(sugar),
    protein: l.proteinG,
    starch: round(starch),
    fibre,
    other: round(rest),
  };
  const like = ingredients.find((i) => i.id === l.like) ?? nearest(per100)[0];
  const inferred: Inferred[] = [
    {
      field: 'water',
      words: `${round(water)} g water: what fat, carbohydrate, fibre, protein and salt leave of 100 g.`,
    },
    { field: 'starch', words: `${round(starch)} g starch: carbohydrate that is not sugar.` },
  ];
  const name = like?.name.toLowerCase() ?? 'nothing known';
  if (l.fibreG === undefined) inferred.push({ field: 'fibre', words: 'Fibre 0 g: the label does not say.' });
  if (l.gPerMl === undefined)
    inferred.push({
      field: 'density',
      words: `${like?.gPerMl ?? 0.8} g a millilitre, as ${name}. Weigh a levelled cup to be sure.`,
    });
  if (like?.acidMeq && like.acidMeq.high > 0) {
    const soda = (meq: number): string => ((Math.max(0, meq) * SODA_G_PER_MOL) / 1000).toFixed(2);
    inferred.push({
      field: 'acid',
      words: `Its acid meets ${soda(like.acidMeq.low)}–${soda(like.acidMeq.high)} g soda for each 100 g, as ${name}.`,
    });
  }
  if (like?.drinks) inferred.push({ field: 'drinks', words: `Drinks ${like.drinks} g water a gram, as ${name}.` });
  inferred.push({
    field: 'role',
    words: `Counts as ${like?.base === 'flour' ? 'flour' : (like?.role ?? 'add-in')}, as ${name} does.`,
  });
  const ingredient: Ingredient = {
    ...(like ?? ({} as Ingredient)),
    id,
    name: l.name.trim(),
    aliases: [],
    role: like?.role ?? 'addin',
    per100,
    gPerMl: l.gPerMl ?? like?.gPerMl ?? 0.8,
    allergens: l.allergens ?? like?.allergens ?? [],
    basis: "from the baker's label",
    ...(salt > 0 && { saltG: salt }),
  };
  const { gPerMlAs: _forms, pieceG: _piece, ...plain } = ingredient;
  return {
    ingredient: l.gPerMl === undefined ? { ...ingredient } : (plain as Ingredient),
    inferred,
    problems: labelProblems(l),
  };
}
