import type { BakeConditions, BakeStage, FamilyId, Rack, Tin } from '../formula/types.js';

/** A bake whose time is known: a recipe's own, or one of this kitchen. */
export interface KnownBake {
  readonly input: BakeInput;
  readonly minutes: number;
  readonly kind: 'stated' | 'logged';
}

/** What is believed of a bake to come: the heat it gets, and when it is taken out. */
export interface Calibration {
  /** Factor on heat transfer: above 1, this oven and tin heat faster than the model thought. */
  readonly speed: number;
  /** How much hotter the air is than the dial, K, beyond the declared bias. */
  readonly biasC?: number;
  /** Factor on the tin's emissivity. */
  readonly emissivity?: number;
  /** One sigma that is left of ln(speed), and of the bias, K. */
  readonly sdLog: number;
  readonly sdK?: number;
  /** One sigma of ln(time) for a prediction made with it. */
  readonly timeSd: number;
  /** Bakes and stated times that speak of it. */
  readonly used: number;
  /** K by which this baker takes it out warmer in the middle than the family's temperature. */
  readonly doneK?: number;
  readonly words: string;
  /** Observations that no plausible oven explains. */
  readonly doubts: readonly string[];
}

/** A time the baker trusts: of so much batter in one tin at one heat, minutes. */
export interface Known {
  readonly tin: Tin;
  readonly batterG: number;
  readonly ovenC: number;
  readonly minutes: number;
}

/**
 * Mass fractions of what conducts, stores, boils, sets and colours: all water, flour's own too, all fat, and sugar; egg as
 * weighed; milk's and egg's solids. Left-over soda in g and acid in meq per 100 g.
 */
export interface BatterParts {
  readonly water: number;
  readonly fat: number;
  readonly sugar?: number;
  readonly egg?: number;
  readonly milk?: number;
  /** Water and sugar that pieces of fruit keep to themselves while the crumb sets; within the figures above. */
  readonly pieces?: { readonly water: number; readonly sugar: number };
  readonly leftSoda?: number;
  readonly leftAcid?: number;
}

/** What is baked with a batter without being part of it, in one tin: fruit or crumble over, under or in the middle of it. */
export interface Layer {
  readonly where: 'over' | 'within' | 'under';
  readonly g: number;
  readonly water: number;
  readonly fat: number;
  readonly sugar: number;
}

/** All that the bake model is told. Weights g, lengths mm, temperatures °C, times min. */
export interface BakeInput {
  /** Batter in one tin, all its cups together, g. */
  readonly batterG: number;
  readonly tin: Tin;
  readonly count?: number;
  readonly family: FamilyId;
  /** Dial temperature, °C. */
  readonly ovenC: number;
  readonly fan?: boolean;
  readonly ovenId?: string;
  /** Where it stands in the oven; the middle when left out. */
  readonly rack?: Rack;
  /** Whose batter it is, for what the log has taught of it. */
  readonly formulaId?: string;
  readonly startC?: number;
  /** What the oven has really reached when the tin goes in, °C; when left out, the dial. */
  readonly ovenReachedC?: number;
  /** Whether the empty tin was heated in the oven first. */
  readonly hotTin?: boolean;
  readonly conditions?: BakeConditions;
  /** Without it the family's ordinary batter is taken. */
  readonly composition?: BatterParts;
  /** What lies on, in or under the batter while it bakes. */
  readonly layers?: readonly Layer[];
  readonly densityGPerMl?: number;
  readonly rise?: number;
  /** When the middle is done, °C at sea level; the family's when left out. */
  readonly doneC?: number;
  readonly stages?: readonly BakeStage[];
  /** A time the baker trusts, for instance the recipe's own. */
  readonly known?: Known;
  /** What is believed already (`calibrationFor`); it takes the place of `known`. */
  readonly calibration?: Calibration;
  /** How many samples make the range; without any it is stated from the documented errors. At least 8. */
  readonly samples?: number;
  /** Shifts the samples' design; results repeat for the same seed. */
  readonly seed?: number;
  /** Whether the temperatures through the middle are wanted too. */
  readonly section?: boolean;
}

/** What of a bake's input is the batter's and the baker's, and not the kitchen's: what a log keeps beside tin, weight and heat. */
export type BakedAs = Pick<BakeInput, (typeof BAKED_AS)[number]>;
const BAKED_AS = [
  'composition',
  'layers',
  'doneC',
  'stages',
  'startC',
  'hotTin',
  'conditions',
  'ovenReachedC',
] as const;

/** Those parts of an input that are given. */
export const bakedAs = (input: BakedAs): BakedAs =>
  Object.fromEntries(BAKED_AS.flatMap((k) => (input[k] === undefined ? [] : [[k, input[k]]])));

/** All that goes into the oven in one tin, its batter and what lies on it, g. */
export const weightIn = (x: Pick<BakeInput, 'batterG' | 'layers'>): number =>
  (x.layers ?? []).reduce((g, l) => g + l.g, x.batterG);
