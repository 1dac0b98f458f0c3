import type { Phase } from '../method/types.js';
import type { Into } from './vessels.js';
import type { PlanMark } from '../bake/plan.js';
import type { Band } from '../formula/types.js';

/** In the order of the work. `wait` is a rest that the method asks for: soaking, chilling, cooling until warm. */
export const stepKinds = [
  'take out',
  'oven on',
  'tins',
  'weigh',
  'mix',
  'wait',
  'fill',
  'in',
  'bake',
  'out',
  'unmould',
  'cool',
  'finish',
  'keep',
] as const;
export type StepKind = (typeof stepKinds)[number];

/** What a line contributes to one step. */
export interface StepAmount {
  readonly itemId: string;
  readonly name: string;
  readonly grams: number;
  /** As the kitchen's cups and spoons measure it. */
  readonly measured: string;
  /** What the line calls for besides: "softened", "sifted". */
  readonly note: string | null;
  /** When a part of it belongs to a later step: what to keep back, in words. */
  readonly keepBack: string | null;
  /** Which part of the line this is, in words: "half of it", "the rest"; null when it is all of it. */
  readonly part?: string | null;
  /** Of weighing: what it is weighed into, and what that holds when it is in, g. */
  readonly into?: Into;
}

/** What can go wrong, by its sign, and what saves it. */
export interface Rescue {
  readonly sign: string;
  readonly rescue: string;
}

/** One thing to do or to wait for. */
export interface Step {
  /** Unique and stable within the steps of a formula. */
  readonly id: string;
  readonly kind: StepKind;
  /** When it is, seen from the oven. */
  readonly phase: Phase;
  /** What to do; the baker's own words where the method has them. */
  readonly words: string;
  readonly own: boolean;
  /** How it is to be done, where there is more to say than `words`. */
  readonly detail: string | null;
  /** Minutes it takes. */
  readonly minutes: Band;
  /** Whether it takes hands, rather than time alone. */
  readonly hands: boolean;
  readonly amounts: readonly StepAmount[];
  /** What it looks like when it is right. */
  readonly looks: string | null;
  readonly wrong: readonly Rescue[];
  /** Temperatures it wants of what goes in. */
  readonly wanted: string | null;
  /** What may be added by feel here, in words. */
  readonly feel: readonly string[];
  readonly mixer: boolean;
  /** Of `bake`: what to do when, minutes from the door. */
  readonly marks: readonly PlanMark[];
  readonly caution: string | null;
  /** Of `finish`: whether it is brushed on while the cake is warm, rather than put on a cold one. */
  readonly soak: boolean;
  /** Of `in`, `bake` and `out`: which of several loads, from 2 on. */
  readonly load?: number;
  /** What it is called where its kind does not say it. */
  readonly called?: string;
  /** Ids of the operations it is made of. */
  readonly operations?: readonly string[];
}
