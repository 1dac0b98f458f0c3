import { OrvinError } from '../errors.js';
import type { FamilyId, Tin } from '../formula/types.js';
import { relatives, rows, type Amounts, type Relative } from './family-rows.js';

type Range = readonly [number, number];
export type MixingMethod = 'rub-in' | 'muffin' | 'creaming' | 'one-bowl' | 'melt-and-stir' | 'coating' | 'whisking';
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
  /** Doughs that hands shape, and how: they spread where a batter would sink. */
  readonly shaped?: NonNullable<Tin['shaped']>;
  /** The shapes of tin it is usually baked in, in the order of liking. Judgement. */
  readonly bakedIn: readonly Tin['shape'][];
  /** What it folds in: usual share of the batter where any is, and the most that 97 in 100 fold in, to its flour and cocoa. */
  readonly carries: Range;
  /** How open its crumb usually is, −1 close to 1 open; judgement. */
  readonly open: number;
  /** How dark its crust usually is, on the index of colour. */
  readonly dark: number;
  /** Cocoa that it is named for, % of flour. */
  readonly cocoaPct: number;
  /** A bread rather than a cake, for how much of a weak flour it bears. */
  readonly bread: boolean;
  /** Share of its rise by which its crown stands over the mean, where that is not 0.14. */
  readonly dome?: number;
  /** A cracked top belongs to it. */
  readonly cracks?: boolean;
  readonly lossPct: Range;
}

/** All families, in the order of the table in docs/science/balance.md. */
export const families: readonly Family[] = rows;
const byId = new Map(rows.map((x) => [x.id, x]));

/** @throws OrvinError `unknown-family` */
export function familyOf(id: FamilyId): Family {
  const family = byId.get(id);
  if (!family) throw new OrvinError('unknown-family', `There is no family '${String(id)}'.`);
  return family;
}

/**
 * The family as a formula is to be judged by: its relative where title and amounts tell one, such as a savoury muffin, a
 * brownie, a whisked sponge or rusks, with its own ranges and signs; else the family itself. The id is the family's.
 * @throws OrvinError `unknown-family`
 */
export function familyFor(id: FamilyId, t: Amounts, title = ''): Family {
  const family = familyOf(id);
  return kinsmen.find((k) => k.as.id === id && (!k.of.titled || k.of.titled.test(title)) && k.of.when(t))?.as ?? family;
}

/** Each relative as one of each family that it is found among. */
const kinsmen: readonly { readonly of: Relative; readonly as: Family }[] = relatives.flatMap((of) =>
  of.among.map((id) => {
    const { among: _among, titled: _titled, when: _when, ...own } = of;
    return { of, as: { ...familyOf(id), ...own } };
  }),
);

/** False for a free formula that is no known relative either: it has no ranges to be held against. */
export const hasRanges = (f: Family): boolean => f.fat[1] < 1e6;

/** `a muffin`, `an oil cake`. */
export const aFamily = (family: Family): string => `${/^[aeiou]/.test(family.name) ? 'an' : 'a'} ${family.name}`;
