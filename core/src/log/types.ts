import type { BakedAs } from '../bake/bake-input.js';
import type { FamilyId, Rack, TinUse } from '../formula/types.js';
import type { Marks } from './marks.js';
import type { SymptomId } from './symptoms.js';

/** How a bake came out, in one word; `marks` and `symptoms` say more. */
export type Outcome = 'good' | 'fine' | 'under' | 'over' | 'sunk' | 'dense' | 'dry';

/** What was seen while it was made. */
export interface Observed {
  readonly beganAt: number;
  readonly intoOvenAt: number;
  /** Weights as they were taken. */
  readonly weighed: readonly { readonly itemId: string; readonly grams: number }[];
  /** What was added by feel, in words. */
  readonly added: readonly string[];
  /** Ids of steps that were left out. */
  readonly skipped: readonly string[];
  /** The thermometer on the rack, minutes after it went in. */
  readonly ovenReadings: readonly { readonly min: number; readonly ovenC: number }[];
  /** Minutes from the end of mixing until it was in the oven. */
  readonly stoodMin?: number;
  /** What a probe in the cake read, minutes after it went in. */
  readonly probe?: readonly { readonly min: number; readonly c: number }[];
  /** What went into each tin or cup, g. */
  readonly filled?: readonly number[];
  /** What was simulated, for trying out; a simulated bake teaches nothing of a real oven. */
  readonly simulated?: readonly ('scale' | 'probe' | 'clock')[];
}

/** What was found when it was out. Everything may be left away; what is there was measured or seen by the baker. */
export interface Result {
  /** Height in the middle and at the edge when cool, mm. */
  readonly heightMm?: number;
  readonly edgeMm?: number;
  /** What the cake out of one tin (all its cups together) weighed when it came out, g. */
  readonly outG?: number;
  /** What a thermometer read in the middle when it was taken out, °C. */
  readonly centreC?: number;
  /** A measure filled level with batter, and what that weighed. */
  readonly cup?: { readonly ml: number; readonly g: number };
  readonly marks?: Marks;
  readonly symptoms?: readonly SymptomId[];
}

/** A bake that tries what a diagnosis advised. */
export interface Trial {
  /** The bake that was diagnosed, the cause it named, and the one change. */
  readonly from: string;
  readonly cause: string;
  readonly words: string;
}

/** One bake as it went. Times are minutes in the oven until it was taken out. */
export interface BakeRecord extends BakedAs {
  readonly id: string;
  readonly formulaId: string;
  /** The version of the formula that was baked, frozen when the bake was logged. */
  readonly versionId: string | null;
  readonly title: string;
  /** What the batter was like, so that the bake can teach the oven's speed whatever becomes of the formula. */
  readonly family: FamilyId;
  readonly densityGPerMl: number;
  readonly rise: number;
  /** Baked from the freezer: how cold it was is not known, so that it teaches nothing of the oven. */
  readonly fromFreezer?: boolean;
  /** Instant of taking it out, ms since 1970. */
  readonly at: number;
  readonly tin: TinUse;
  /** Batter in one tin, g. */
  readonly batterG: number;
  readonly ovenId: string;
  /** Where it stood; the middle when left out. */
  readonly rack?: Rack;
  readonly ovenC: number;
  readonly fan: boolean;
  /** What was predicted then; null when nothing was. */
  readonly predicted: { readonly early: number; readonly likely: number; readonly late: number } | null;
  readonly minutes: number;
  readonly outcome: Outcome;
  readonly notes: string;
  /** What was seen at the counter; absent in bakes that were logged by hand. */
  readonly observed?: Observed;
  readonly result?: Result;
  /** What went into it, g by ingredient, all tins together; taken from stock. */
  readonly used?: Readonly<Record<string, number>>;
  /** How many times the formula as written it was; 1 when left out. */
  readonly factor?: number;
  /** Ids of photos, kept beside the log. */
  readonly photos?: readonly string[];
  readonly trial?: Trial;
  /** The series of small batches it belongs to, and its label there. */
  readonly experiment?: { readonly id: string; readonly label: string };
  /** The baker has looked at a time that was asked about, and it is right: it counts like any other. */
  readonly confirmed?: boolean;
  /** Left out of learning, at the baker's wish. */
  readonly excluded?: boolean;
}

export const outcomes: readonly { readonly id: Outcome; readonly words: string }[] = [
  { id: 'good', words: 'just right' },
  { id: 'fine', words: 'good enough' },
  { id: 'under', words: 'underbaked' },
  { id: 'over', words: 'overbaked' },
  { id: 'sunk', words: 'sunk in the middle' },
  { id: 'dense', words: 'flat and dense' },
  { id: 'dry', words: 'dry' },
];
