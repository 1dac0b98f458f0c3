import type { BakeStage, FamilyId, Rack, Tin } from '../formula/types.js';
import type { Calibration } from './calibrate.js';

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
export interface Composition {
  readonly water: number;
  readonly fat: number;
  readonly sugar?: number;
  readonly egg?: number;
  readonly milk?: number;
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

/** How the heat comes to a bake where that is not the plain air around one rack; each for the whole of it. */
export interface Conditions {
  /** Stands in hot water to half its height, open to the oven; or covered, so that it steams. */
  readonly bath?: 'open' | 'covered';
  /** A tray of boiling water stands in the oven. */
  readonly steam?: true;
  /** What carries it, hot when it comes in: a baking stone, or a tray that was left in the oven. */
  readonly on?: 'stone' | 'hot tray';
  /** Another tray stands over it, under it, or both. */
  readonly shaded?: 'above' | 'below' | 'both';
  /** How much the air moves, 0 of a still oven to 1 of a fan; it takes the place of `fan`. */
  readonly airflow?: number;
  /** Minutes from the start at which the door is opened. */
  readonly openedMin?: readonly number[];
  /** By how much the thermostat swings either way, K. */
  readonly swingK?: number;
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
  readonly conditions?: Conditions;
  /** Without it the family's ordinary batter is taken. */
  readonly composition?: Composition;
  /** What lies on, in or under the batter while it bakes. */
  readonly layers?: readonly Layer[];
  readonly densityGPerMl?: number;
  readonly rise?: number;
  /** When the middle is done, °C at sea level; the family's when left out. */
  readonly doneC?: number;
  readonly stages?: readonly BakeStage[];
  /** A time the baker trusts, for instance the recipe's own. */
  readonly known?: Known;
  /** What known bakes have taught already (`calibrate`); it takes the place of `known`. */
  readonly calibration?: Calibration;
  /** How many samples make the range; without any it is stated from the documented errors. At least 8. */
  readonly samples?: number;
  /** Shifts the samples' design; results repeat for the same seed. */
  readonly seed?: number;
  /** Whether the temperatures through the middle are wanted too. */
  readonly section?: boolean;
}
