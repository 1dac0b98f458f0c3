import type { Formula } from '../formula/types.js';
import type { BakePrediction } from '../bake/predict.js';
import type { Problem } from '../errors.js';

/** One bake of the day. */
export interface DayBake {
  readonly id: string;
  /** As it is to be made: scaled, with its tins. */
  readonly formula: Formula;
  /** Minutes in the oven; the prediction's, the formula's own or its family's usual, when absent. */
  readonly minutes?: { readonly early: number; readonly likely: number; readonly late: number };
  readonly prediction?: BakePrediction | null;
  /** When it is to be ready, when not with the others; ms since 1970. */
  readonly serveAt?: number;
  /** Ids of ovens it may go in; all of the kitchen's when absent. */
  readonly ovenIds?: readonly string[];
  /** Waits that are shortened by hand: butter cut in cubes, eggs in hot tap water. */
  readonly quick?: boolean;
  /** Only what its method froze raw on another day. */
  readonly from?: 'freezer';
}

export const taskKinds = [
  'butter out',
  'eggs out',
  'freeze',
  'oven on',
  'tins',
  'weigh',
  'mix',
  'wait',
  'fill',
  'in',
  'look',
  'change',
  'beside',
  'out',
  'unmould',
  'soak',
  'cool',
  'finish',
  'ready',
] as const;
export type TaskKind = (typeof taskKinds)[number];

/** One thing to do or to wait for, at its time. */
export interface Task {
  readonly id: string;
  readonly bakeId: string;
  readonly kind: TaskKind;
  readonly words: string;
  readonly detail: string;
  /** Minutes before serving at which it starts. */
  readonly beforeMin: number;
  readonly minutes: number;
  /** Instant, ms since 1970. */
  readonly startsAt: number;
  /** Whether it needs a pair of hands all the while; the rest is waiting, or a moment in passing. */
  readonly hands: boolean;
  /** Whether it can be moved by itself; the rest follows what it hangs on. */
  readonly movable: boolean;
  /** Why it is not later: what it waits for, in words. */
  readonly why: string;
  /** True when it has been done already. */
  readonly done: boolean;
  /** True when the baker holds it where it is. */
  readonly pinned: boolean;
}

/** A stretch of time that a bake spends in an oven. */
export interface OvenStay {
  readonly bakeId: string;
  readonly ovenId: string;
  readonly ovenC: number;
  readonly startsAt: number;
  /** Until the late end of its range. */
  readonly endsAt: number;
}

/** A smaller wish that can be met. */
export interface Concession {
  readonly id: string;
  readonly words: string;
  /** How much later it is ready, min; 0 when it keeps the time. */
  readonly laterMin: number;
  readonly change:
    | { readonly kind: 'later'; readonly serveAt: number }
    | { readonly kind: 'quick' }
    | { readonly kind: 'people'; readonly people: number }
    | { readonly kind: 'leave out'; readonly bakeId: string }
    | { readonly kind: 'unpin' };
}

export interface DayPlan {
  readonly tasks: readonly Task[];
  readonly stays: readonly OvenStay[];
  readonly problems: readonly Problem[];
  /** When it is all ready as planned, ms since 1970; later than asked when that cannot be met. */
  readonly serveAt: number;
  readonly startsAt: number;
  /** Minutes things wait beyond their need, all bakes together. */
  readonly waitingMin: number;
  /** How often an oven is brought to a heat, from cold or from another. */
  readonly heatings: number;
  /** True when no better day exists; else `gapMin` says by how many minutes of waiting it may be off at most. */
  readonly exact: boolean;
  readonly gapMin: number;
  readonly nodes: number;
  /** What could be given way on when the time cannot be met, the smallest first. */
  readonly concessions: readonly Concession[];
}

export interface DayOptions {
  /** Pairs of hands; 1, or the kitchen's. */
  readonly people?: number;
  /** Tasks that stay where they are, by id: dragged there. */
  readonly pins?: Readonly<Record<string, Pin>>;
  /** Tasks that are done, by id, with when they began: facts, which the rest follows. */
  readonly done?: Readonly<Record<string, number>>;
  /** Nodes to search, at most; 60,000 for up to three bakes, 2,500 for more. */
  readonly maxNodes?: number;
  /** Whether to look for concessions; true when left out. */
  readonly concede?: boolean;
}

export interface Pin {
  readonly at: number;
}
