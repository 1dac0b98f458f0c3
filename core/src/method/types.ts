import type { Band } from '../formula/types.js';
import type { VerbId } from './verbs.js';

/** When an operation is done, seen from the oven: before everything, in the bowl, on the board or in the tin, while it bakes, after, on later days. */
export const phases = ['ahead', 'mix', 'shape', 'oven', 'after', 'later'] as const;
export type Phase = (typeof phases)[number];

/** How much of a line goes in: a part of one, or as the words have it. */
export type Share = number | 'some' | 'rest' | 'kept back';

export interface Take {
  readonly itemId: string;
  readonly share: Share;
}

/** Characters `from`–`to` of an entry of the formula's method. */
export interface Place {
  readonly entry: number;
  readonly from: number;
  readonly to: number;
}

/** Something laid over it: loose foil or paper, a lid or a bowl, a cloth or film outside the oven. */
export type LaidOver = 'tent' | 'lid' | 'cloth';

/** One thing that is done or waited for, as the baker's words have it. */
export interface Operation {
  /** Unique within the formula's operations; the same as long as the words of the method are. */
  readonly id: string;
  readonly verb: VerbId;
  readonly phase: Phase;
  /** What goes in here; shares of a line over all operations add to one. */
  readonly takes: readonly Take[];
  /** What it is done in, in the baker's words. */
  readonly vessel?: string;
  /** Minutes it lasts, where the words say so or can only mean so ("overnight"). */
  readonly forMin: Band | null;
  /** The sign by which it is done: "until pale". */
  readonly until?: string;
  /** Heat of the oven that it sets or asks for, °C on the dial. */
  readonly heatC?: number;
  readonly cover?: LaidOver;
  /** Minutes after what it counts from (the oven's door in the oven, its coming out after it) at which it begins. */
  readonly atMin?: number;
  /** The same as a part of the whole time in the oven: half-way. */
  readonly atShare?: number;
  /** Such an `atMin` is counted back from the end. */
  readonly beforeEnd?: boolean;
  /** Done while the one before it runs by itself. */
  readonly meanwhile?: boolean;
  /** Of a further load that goes into the oven once the one before is out: 2 for the second tray. */
  readonly load?: number;
  /** Only where this holds: "if it browns". */
  readonly onlyIf?: string;
  /** Days between, and days in all. */
  readonly repeat?: { readonly everyDays: number; readonly forDays: number };
  /** Days after the bake that it asks to wait, of `later`. */
  readonly days?: number;
  /** What is said beside it and is no work of its own. */
  readonly remark?: string;
  /** The baker's own words, or Orvin's. */
  readonly words: string;
  /** Said in one breath with the next: one thing to the hands. */
  readonly joined?: boolean;
  readonly place: Place | null;
  readonly by: 'baker' | 'orvin';
}

/** Words of the method that are no operation, and why. */
export interface Unworked {
  readonly place: Place;
  readonly reason: 'remark' | 'not to be done' | 'what went before' | 'about the ingredients';
}
