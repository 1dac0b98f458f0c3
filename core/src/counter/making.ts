import type { DayBake } from '../day/task.js';
import type { BakePrediction, PlanMark } from '../bake/predict.js';
import type { Formula } from '../formula/types.js';
import type { TinFit } from '../tin/fit.js';
import type { Calibration } from '../bake/bake-input.js';
import type { Step, StepKind } from './step.js';

/** Minutes from the door: 80 of 100 bakes are done between `early` and `late`. */
export interface Range {
  readonly early: number;
  readonly likely: number;
  readonly late: number;
}

/** One bake of a making, as it was when it was begun: later edits of the formula do not reach the counter. */
export interface MadeBake {
  readonly id: string;
  readonly formula: Formula;
  readonly fits: readonly TinFit[];
  readonly minutes: Range | null;
  readonly marks: readonly PlanMark[];
  readonly ovenId: string;
  /** Ids of its steps as the day's plan has them; the order of the work when left out. */
  readonly order?: readonly string[];
  /** What known bakes had taught of it when it was begun, for the forecast. */
  readonly calibration?: Calibration | null;
  /** Only what its method froze raw on another day. */
  readonly from?: 'freezer';
}

/** Who said so; what a simulated device said stays marked as that for ever. */
export type By<Device extends string> = Device | `simulated ${Device}`;
export const isSimulated = (by: string): boolean => by.startsWith('simulated ');

/** Something that happened at the counter. Instants are ms since 1970. */
export type Happening = { readonly at: number } & (
  | { readonly kind: 'done' | 'skip'; readonly bakeId: string; readonly stepId: string }
  /** The last `done`, `skip`, `weighed`, `filled` or `scaled` of any bake that still counts is taken back. */
  | { readonly kind: 'back' }
  | {
      readonly kind: 'weighed';
      readonly bakeId: string;
      readonly itemId: string;
      readonly grams: number;
      readonly by: 'hand' | By<'scale'>;
    }
  /** A line's ingredient was seen to stand ready; said again, it was not. */
  | { readonly kind: 'there'; readonly bakeId: string; readonly itemId: string }
  /** One tin or cup of a filling step, in their order, with what went in. */
  | {
      readonly kind: 'filled';
      readonly bakeId: string;
      readonly stepId: string;
      /** How many were filled before it: of two tabs that follow one scale, the second says nothing new. */
      readonly n: number;
      readonly grams: number;
      readonly by: By<'scale'>;
    }
  /** The probe was put into this bake; it stays there until the bake is out or it is put into another. */
  | { readonly kind: 'probe in'; readonly bakeId: string }
  | { readonly kind: 'probe'; readonly bakeId: string; readonly c: number; readonly by: By<'probe'> }
  /** What the readings until then say of when it is done, minutes from the door. */
  | {
      readonly kind: 'forecast';
      readonly bakeId: string;
      readonly early: number;
      readonly likely: number;
      readonly late: number;
    }
  | { readonly kind: 'felt'; readonly bakeId: string; readonly stepId: string; readonly words: string }
  | { readonly kind: 'oven'; readonly bakeId: string; readonly ovenC: number }
  | { readonly kind: 'not yet'; readonly bakeId: string; readonly minutes: number }
  | { readonly kind: 'timer'; readonly timerId: string; readonly name: string; readonly minutes: number }
  | { readonly kind: 'timer off'; readonly timerId: string }
  /** The hands are away, and are back; what takes time alone goes on. */
  | { readonly kind: 'pause' | 'resume' }
  | { readonly kind: 'heard'; readonly alarmId: string }
  | { readonly kind: 'scaled'; readonly bakeId: string; readonly factor: number }
);

/**
 * A clock of a making's own: at the instant `realAt` of the device's clock it showed `at`, and since then it has gone `pace`
 * times as fast. It runs faster for trying out; and it goes on evenly when the device's clock is set back, which is `even`:
 * what is measured by it then is as true as by any clock.
 */
export interface TrialClock {
  readonly realAt: number;
  readonly at: number;
  readonly pace: number;
  readonly even?: true;
}

/** What is being made: the bakes, and all that has happened, oldest first. Its instants are of its own clock. */
export interface Making {
  readonly id: string;
  readonly beganAt: number;
  readonly clock?: TrialClock;
  readonly bakes: readonly MadeBake[];
  readonly happenings: readonly Happening[];
}

/** Where a bake is. */
export interface Standing {
  readonly id: string;
  /** Steps that are done or skipped, with when. */
  readonly done: ReadonlyMap<string, number>;
  readonly skipped: ReadonlySet<string>;
  /** What is in, g by line; of those in `read` a scale said so, the others were tapped as being right. */
  readonly weighed: ReadonlyMap<string, number>;
  readonly read: ReadonlySet<string>;
  /** Lines whose ingredients stand ready. */
  readonly there: ReadonlySet<string>;
  readonly felt: readonly { readonly at: number; readonly stepId: string; readonly words: string }[];
  readonly ovenReadings: readonly { readonly at: number; readonly ovenC: number }[];
  readonly probe: readonly { readonly at: number; readonly c: number }[];
  /** The last forecast by the probe, and when it was made. */
  readonly forecast: (Range & { readonly at: number }) | null;
  /** What went into each tin or cup of a filling step, g, in their order. */
  readonly filled: ReadonlyMap<string, readonly number[]>;
  /** Which devices were simulated ones. */
  readonly simulated: ReadonlySet<'scale' | 'probe'>;
  /** The first step that is not done; null when all are. */
  readonly step: Step | null;
  readonly intoOvenAt: number | null;
  readonly outAt: number | null;
}

/** What is done once everything for the weighing stands ready; no step of its own, since the day has no time for it. */
export const SET_OUT = 'set out';

/** Steps that take time alone: they end by the clock, or when the baker says so. */
export const PASSIVE: ReadonlySet<StepKind> = new Set<StepKind>(['wait', 'bake', 'cool']);

/** What going back takes back. */
export const takesBack = (h: Happening): boolean =>
  h.kind === 'done' || h.kind === 'skip' || h.kind === 'weighed' || h.kind === 'filled' || h.kind === 'scaled';

/** What still counts: each `back` takes away the last step, weighing, filling or scaling before it that counts. */
export function counting(happenings: readonly Happening[]): Happening[] {
  const out: Happening[] = [];
  for (const h of happenings) {
    if (h.kind !== 'back') {
      out.push(h);
      continue;
    }
    const i = out.findLastIndex(takesBack);
    if (i >= 0) out.splice(i, 1);
  }
  return out;
}

/**
 * Where a bake is, from what has happened. All follows from the instants, so that nothing is lost when the screen sleeps
 * or the page is closed.
 */
export function standingOfBake(bake: MadeBake, list: readonly Step[], happenings: readonly Happening[]): Standing {
  const done = new Map<string, number>();
  const skipped = new Set<string>();
  const weighed = new Map<string, number>();
  const read = new Set<string>();
  const there = new Set<string>();
  const felt: { at: number; stepId: string; words: string }[] = [];
  const ovenReadings: { at: number; ovenC: number }[] = [];
  const probe: { at: number; c: number }[] = [];
  const filled = new Map<string, number[]>();
  const simulated = new Set<'scale' | 'probe'>();
  let forecast: Standing['forecast'] = null;
  for (const h of counting(happenings)) {
    if (!('bakeId' in h) || h.bakeId !== bake.id) continue;
    if (h.kind === 'done' || h.kind === 'skip') {
      done.set(h.stepId, h.at);
      if (h.kind === 'skip') skipped.add(h.stepId);
    } else if (h.kind === 'weighed') {
      weighed.set(h.itemId, h.grams);
      if (h.by === 'hand') read.delete(h.itemId);
      else read.add(h.itemId);
      if (h.by === 'simulated scale') simulated.add('scale');
    } else if (h.kind === 'there') {
      if (!there.delete(h.itemId)) there.add(h.itemId);
    } else if (h.kind === 'filled') {
      const before = filled.get(h.stepId) ?? [];
      if (h.n === before.length) filled.set(h.stepId, [...before, h.grams]);
      if (h.by === 'simulated scale') simulated.add('scale');
    } else if (h.kind === 'probe') {
      probe.push({ at: h.at, c: h.c });
      if (h.by === 'simulated probe') simulated.add('probe');
    } else if (h.kind === 'forecast') forecast = { early: h.early, likely: h.likely, late: h.late, at: h.at };
    else if (h.kind === 'felt') felt.push({ at: h.at, stepId: h.stepId, words: h.words });
    else if (h.kind === 'oven') ovenReadings.push({ at: h.at, ovenC: h.ovenC });
  }
  // of several loads, the one that went in last
  const into = list.findLast((s) => s.kind === 'in' && done.has(s.id));
  const intoOvenAt = into ? (done.get(into.id) ?? null) : null;
  const out = into && list.find((s) => s.kind === 'out' && list.indexOf(s) > list.indexOf(into));
  const since = (at: number): boolean => intoOvenAt === null || at >= intoOvenAt;
  return {
    id: bake.id,
    done,
    skipped,
    weighed,
    read,
    there,
    felt,
    ovenReadings: ovenReadings.filter((r) => into?.load === undefined || since(r.at)),
    probe: probe.filter((r) => since(r.at)),
    forecast: forecast && since(forecast.at) ? forecast : null,
    filled,
    simulated,
    step: list.find((s) => !done.has(s.id)) ?? null,
    intoOvenAt,
    outAt: out ? (done.get(out.id) ?? null) : null,
  };
}

/** The day's bake that a made one goes back to. */
export const dayBakeOf = (b: MadeBake): DayBake => ({
  id: b.id,
  formula: b.formula,
  ...(b.minutes && { minutes: b.minutes }),
  ...(b.from && { from: b.from }),
});

/** What a prediction leaves for the counter. */
export const marksOf = (p: BakePrediction | null | undefined): readonly PlanMark[] => p?.plan ?? [];

/** What a making's clock shows at a real instant, ms. */
export const timeOf = (making: Pick<Making, 'clock'> | null, real: number): number => {
  const c = making?.clock;
  return c ? c.at + (real - c.realAt) * c.pace : real;
};

/** A clock that is put right by the network is shifted by less, ms. */
export const JUMP_MS = 1500;

/**
 * A making after the device's clock was set back: its own goes on from `at`, which is what it would show by now. One whose
 * clock is right already, as another tab has seen to it, stays as it is.
 *
 * @param real what the device's clock shows now, ms since 1970
 */
export function heldEven(making: Making, real: number, at: number): Making {
  if (timeOf(making, real) > at - JUMP_MS) return making;
  const { clock } = making;
  const even = clock === undefined || clock.even === true;
  return { ...making, clock: { realAt: real, at, pace: clock?.pace ?? 1, ...(even && { even }) } };
}

/**
 * A making that was put into a file at `exportedAt` and is taken up now: a clock that ran faster does not run on while it
 * lies in the file, and goes on at its own pace.
 */
export const takenUp = (making: Making, exportedAt: number, now: number): Making =>
  making.clock ? { ...making, clock: { realAt: now, at: timeOf(making, exportedAt), pace: 1 } } : making;

/** The bake that the probe is in, which is still in the oven; null when it is in none. */
export function probeIn(making: Making, standings: readonly Standing[]): string | null {
  const last = counting(making.happenings).findLast((h) => h.kind === 'probe in');
  const s = last && standings.find((x) => x.id === last.bakeId);
  return s && s.intoOvenAt !== null && s.outAt === null ? s.id : null;
}

/** Since when the hands are away, ms; null while they are there. */
export const pausedSince = (making: Making | null): number | null => {
  const last = making?.happenings.findLast((h) => h.kind === 'pause' || h.kind === 'resume');
  return last?.kind === 'pause' ? last.at : null;
};

/** Steps that are not bound to come after one another: getting ready, and mixing what is mixed apart. */
const LOOSE: ReadonlySet<StepKind> = new Set<StepKind>(['take out', 'oven on', 'tins', 'weigh', 'mix']);

/**
 * Ids of a bake's steps with the next one that is not done put before the one that is to be done now; null where the order
 * is not the baker's to choose.
 */
export function nextFirst(list: readonly Step[], s: Standing): string[] | null {
  const [now, next] = list.filter((x) => !s.done.has(x.id));
  if (!now || !next || !LOOSE.has(now.kind) || !LOOSE.has(next.kind)) return null;
  return list.map((x) => (x === now ? next.id : x === next ? now.id : x.id));
}
