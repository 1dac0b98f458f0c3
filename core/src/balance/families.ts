import { OrvinError } from '../errors.js';
import type { FamilyId } from '../formula/types.js';

type Range = readonly [number, number];
export type MixingMethod = 'rub-in' | 'muffin' | 'creaming' | 'one-bowl' | 'melt-and-stir' | 'coating';
export type Consistency = 'dough' | 'drop' | 'thick' | 'pourable';

/**
 * What a family of bakes expects of a formula. Ranges are baker's percentages (flour = 100), lift is mmol CO2 per 100 g
 * of flour and cocoa, temperatures °C in a still oven. Ordinary good formulas of several countries nearly all lie
 * inside; outside is unusual, not wrong. Basis: general baking literature, not looked up; see docs/science/balance.md.
 */
export interface Family {
  readonly id: FamilyId;
  readonly name: string;
  readonly plural: string;
  readonly fat: Range;
  readonly sugar: Range;
  readonly egg: Range;
  readonly water: Range;
  readonly salt: Range;
  readonly lift: Range;
  readonly doneC: Range;
  readonly ovenC: Range;
  /** Raw batter density, g/ml. */
  readonly density: Range;
  /** Baked height over batter height. */
  readonly rise: Range;
  /** Share of the tin's depth that batter may take. */
  readonly fill: Range;
  readonly methods: readonly MixingMethod[];
  /** Flour in the ratio school's parts: the unit that the other parts are counted in. */
  readonly flourParts: number;
  /** True when fat and sugar are creamed and the batter lives partly on that air. */
  readonly creamed: boolean;
  /** Minutes in the tin, then on a rack. */
  readonly coolTinMin: number;
  readonly coolRackMin: number;
  readonly keeps: string;
  readonly signs: string;
  readonly lossPct: Range;
}

const all: Range = [0, 1e6];

// prettier-ignore
const table: readonly Family[] = [
  f('biscuit', 'biscuit', 'biscuits', [20, 50], [0, 15], [0, 20], [50, 80], [0, 2.2], [13, 30], [93, 96], [200, 250], [1.05, 1.15], [1.6, 2.2], [0, 1], ['rub-in'], 3, 0, 20, '1–2 days; freeze shaped and raw', 'tall, sides dry, golden top', [10, 16]),
  f('drop-biscuit', 'drop biscuit', 'drop biscuits', [15, 45], [0, 15], [0, 25], [75, 105], [0, 2.2], [13, 28], [93, 96], [200, 235], [1.0, 1.12], [1.5, 2.0], [0, 1], ['rub-in', 'melt-and-stir'], 3, 0, 20, '1–2 days', 'craggy top well coloured, dry inside', [10, 16]),
  f('scone', 'scone', 'scones', [12, 50], [4, 25], [0, 30], [48, 80], [0, 2], [13, 30], [93, 96], [190, 230], [1.1, 1.2], [1.6, 2.2], [0, 1], ['rub-in', 'coating'], 3, 0, 20, '1–2 days; best the same day', 'risen, sides spring back, base sounds light', [10, 16]),
  f('soda-bread', 'soda bread', 'soda breads', [0, 18], [0, 18], [0, 15], [60, 88], [0.8, 2.2], [7, 16], [94, 98], [180, 230], [1.0, 1.12], [1.4, 1.8], [0, 1], ['one-bowl', 'rub-in'], 3, 0, 45, '1–2 days', 'hollow knock on the base, cross well opened', [10, 15]),
  f('soda-loaf', 'soda loaf', 'soda loaves', [0, 18], [0, 18], [0, 20], [80, 115], [0.8, 2.2], [8, 18], [95, 98], [180, 220], [1.0, 1.12], [1.3, 1.6], [0.5, 0.85], ['one-bowl'], 3, 10, 60, '2–4 days', 'hollow knock, sides come away', [8, 14]),
  f('muffin', 'muffin', 'muffins', [16, 60], [12, 95], [18, 60], [85, 140], [0, 2], [10, 22], [94, 97], [170, 220], [0.95, 1.1], [1.6, 2.0], [0.6, 1], ['muffin', 'creaming'], 2, 5, 30, '2–3 days', 'clean pick or a few dry crumbs; top springs back', [9, 13]),
  f('quick-bread', 'quick bread', 'quick breads', [18, 70], [30, 125], [22, 60], [75, 170], [0, 2], [7, 18], [94, 97], [150, 190], [1.0, 1.15], [1.4, 1.7], [0.6, 0.75], ['muffin', 'creaming', 'one-bowl'], 2, 10, 90, '3–5 days', 'clean pick in several places; crack on top looks dry', [5, 10]),
  f('tea-loaf', 'tea loaf', 'tea loaves', [0, 15], [30, 85], [0, 35], [70, 130], [0, 1.5], [10, 20], [94, 97], [150, 180], [1.05, 1.2], [1.25, 1.5], [0.6, 0.8], ['one-bowl'], 2, 10, 90, '5–7 days, better on the second', 'firm in the middle, clean pick', [5, 10]),
  f('maize-bread', 'maize bread', 'maize breads', [8, 45], [0, 60], [20, 60], [100, 175], [0.8, 2.4], [11, 24], [93, 96], [190, 230], [1.0, 1.12], [1.3, 1.6], [0.4, 0.75], ['muffin', 'melt-and-stir'], 2, 10, 20, '1–2 days', 'edges browned and leaving the pan', [7, 12]),
  f('treacle-cake', 'treacle cake', 'treacle cakes', [30, 65], [75, 130], [12, 50], [75, 145], [0, 1.8], [7, 19], [95, 98], [150, 180], [1.0, 1.12], [1.3, 1.6], [0.45, 0.7], ['melt-and-stir'], 1, 15, 90, '5–7 days, better on the third', 'springs back; pick clean but sticky', [6, 10]),
  f('butter-cake-lean', 'lean butter cake', 'lean butter cakes', [25, 65], [50, 100], [28, 70], [75, 130], [0, 1.8], [8, 19], [95, 98], [160, 190], [0.8, 1.0], [1.6, 2.0], [0.4, 0.66], ['creaming', 'coating'], 1, 10, 90, '3–4 days', 'springs back, edges leave the tin', [7, 12], true),
  f('butter-cake-high-ratio', 'high-ratio butter cake', 'high-ratio butter cakes', [38, 75], [100, 155], [45, 100], [95, 165], [0, 2.5], [7, 20], [95, 98], [160, 190], [0.8, 1.0], [1.6, 2.0], [0.4, 0.66], ['creaming', 'coating'], 1, 10, 90, '3–4 days', 'springs back, edges leave the tin', [7, 12], true),
  f('equal-weight-sponge', 'equal-weight sponge', 'equal-weight sponges', [72, 92], [85, 115], [85, 120], [80, 115], [0, 1.8], [10, 24], [95, 98], [160, 190], [0.8, 0.98], [1.5, 1.9], [0.4, 0.66], ['creaming', 'one-bowl'], 1, 10, 90, '2–3 days', 'springs back, edges leave the tin', [7, 12], true),
  f('pound-cake', 'pound cake', 'pound cakes', [48, 110], [65, 170], [60, 125], [55, 125], [0, 1.6], [0, 12], [96, 99], [145, 180], [0.82, 1.0], [1.3, 1.5], [0.6, 0.75], ['creaming'], 1, 15, 120, '4–6 days', 'clean pick; crack on top dry', [5, 10], true),
  f('oil-cake', 'oil cake', 'oil cakes', [42, 105], [80, 170], [40, 95], [85, 175], [0, 2], [8, 23], [95, 98], [160, 185], [0.95, 1.1], [1.5, 1.9], [0.4, 0.66], ['one-bowl', 'muffin'], 1, 10, 90, '4–5 days', 'springs back, clean pick', [7, 12]),
  f('chocolate-cake', 'chocolate cake', 'chocolate cakes', [30, 100], [90, 200], [35, 150], [95, 260], [0, 2.6], [8, 26], [95, 98], [150, 185], [0.9, 1.08], [1.4, 1.9], [0.4, 0.66], ['creaming', 'one-bowl', 'melt-and-stir'], 1, 10, 90, '4–5 days', 'springs back; a few moist crumbs on the pick', [6, 12]),
  f('fruit-cake-rich', 'rich fruit cake', 'rich fruit cakes', [40, 95], [45, 115], [45, 115], [50, 125], [0, 1.5], [0, 9], [95, 98], [120, 165], [1.1, 1.25], [1.1, 1.25], [0.7, 0.9], ['creaming'], 1, 720, 120, 'weeks, well wrapped', 'stops singing; pick clean between the fruit', [3, 7], true),
  f('fruit-cake-light', 'light fruit cake', 'light fruit cakes', [25, 70], [40, 100], [25, 80], [60, 130], [0, 1.5], [5, 18], [95, 98], [140, 175], [1.05, 1.2], [1.2, 1.45], [0.6, 0.8], ['creaming', 'melt-and-stir', 'rub-in'], 1, 20, 120, '5–7 days', 'clean pick between the fruit; springs back', [4, 9], true),
  f('free', 'free formula', 'free formulas', all, all, all, all, all, [0, 1e6], [95, 98], [120, 250], [0.9, 1.15], [1.2, 1.9], [0.3, 0.8], ['one-bowl'], 1, 10, 60, 'not known', 'clean pick', [4, 14]),
];

function f(
  id: FamilyId,
  name: string,
  plural: string,
  fat: Range,
  sugar: Range,
  egg: Range,
  water: Range,
  salt: Range,
  lift: Range,
  doneC: Range,
  ovenC: Range,
  density: Range,
  rise: Range,
  fill: Range,
  methods: readonly MixingMethod[],
  flourParts: number,
  coolTinMin: number,
  coolRackMin: number,
  keeps: string,
  signs: string,
  lossPct: Range,
  creamed = false,
): Family {
  return {
    id,
    name,
    plural,
    fat,
    sugar,
    egg,
    water,
    salt,
    lift,
    doneC,
    ovenC,
    density,
    rise,
    fill,
    methods,
    flourParts,
    creamed,
    coolTinMin,
    coolRackMin,
    keeps,
    signs,
    lossPct,
  };
}

/** All families, in the order of the table in docs/science/balance.md. */
export const families: readonly Family[] = table;
const byId = new Map(table.map((x) => [x.id, x]));

/** @throws OrvinError `unknown-family` */
export function familyOf(id: FamilyId): Family {
  const family = byId.get(id);
  if (!family) throw new OrvinError('unknown-family', `There is no family '${String(id)}'.`);
  return family;
}

/** Sugar, % of flour, below which a muffin is meant to be savoury. */
const SAVOURY_BELOW = 12;
const muffin = byId.get('muffin') as Family;
const savouryMuffin: Family = {
  ...muffin,
  name: 'savoury muffin',
  plural: 'savoury muffins',
  sugar: [0, SAVOURY_BELOW],
  salt: [0.6, 2.4],
};

/**
 * The family as it is to be judged by: a muffin with hardly any sugar is a savoury one, with its own sugar and salt.
 * @throws OrvinError `unknown-family`
 */
export function familyFor(id: FamilyId, t: { readonly flourG: number; readonly sugarPct: number }): Family {
  const family = familyOf(id);
  return family === muffin && t.flourG > 0 && t.sugarPct < SAVOURY_BELOW ? savouryMuffin : family;
}

/** `a muffin`, `an oil cake`. */
export const aFamily = (family: Family): string => `${/^[aeiou]/.test(family.name) ? 'an' : 'a'} ${family.name}`;
