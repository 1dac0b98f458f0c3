import type { BakeInput } from '../bake/predict.js';
import type { BakeStage, FamilyId, TinUse } from '../formula/types.js';

/** How a bake came out, from the baker's own eyes: one word, and the marks that explain it. */
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

/** One bake as it went. Times are minutes in the oven until it was taken out. */
export interface BakeRecord {
  readonly id: string;
  readonly formulaId: string;
  /** The version of the formula that was baked, frozen when the bake was logged. */
  readonly versionId: string | null;
  readonly title: string;
  /** What the batter was like, so that the bake can teach the oven's speed whatever becomes of the formula. */
  readonly family: FamilyId;
  readonly densityGPerMl: number;
  readonly rise: number;
  /** What the batter held, and stages of heat; absent in bakes logged before they were kept. */
  readonly composition?: BakeInput['composition'];
  readonly stages?: readonly BakeStage[];
  /** What the oven had reached when the tin went in, °C, when it was not hot yet; whether the tin was hot. */
  readonly ovenReachedC?: number;
  readonly hotTin?: boolean;
  /** Instant of taking it out, ms since 1970. */
  readonly at: number;
  readonly tin: TinUse;
  /** Batter in one tin, g. */
  readonly batterG: number;
  readonly ovenId: string;
  readonly ovenC: number;
  readonly fan: boolean;
  /** What was predicted then; null when nothing was. */
  readonly predicted: { readonly early: number; readonly likely: number; readonly late: number } | null;
  readonly minutes: number;
  readonly outcome: Outcome;
  readonly notes: string;
  /** What was seen at the counter; absent in bakes that were logged by hand. */
  readonly observed?: Observed;
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
