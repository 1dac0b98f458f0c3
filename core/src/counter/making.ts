import type { DayBake } from '../day/task.js';
import type { BakePrediction, PlanMark } from '../bake/predict.js';
import type { Formula } from '../formula/types.js';
import type { TinFit } from '../tin/fit.js';
import type { Step, StepKind } from './step.js';

/** One bake of a making, as it was when it was begun: later edits of the formula do not reach the counter. */
export interface MadeBake {
  readonly id: string;
  readonly formula: Formula;
  readonly fits: readonly TinFit[];
  readonly minutes: { readonly early: number; readonly likely: number; readonly late: number } | null;
  readonly marks: readonly PlanMark[];
  readonly ovenId: string;
  /** Ids of its steps as the day's plan has them; the order of the work when left out. */
  readonly order?: readonly string[];
}

/** Something that happened at the counter. Instants are ms since 1970. */
export type Happening = { readonly at: number } & (
  | { readonly kind: 'done' | 'skip'; readonly bakeId: string; readonly stepId: string }
  /** The last `done`, `skip`, `weighed` or `scaled` of any bake that still counts is taken back. */
  | { readonly kind: 'back' }
  | {
      readonly kind: 'weighed';
      readonly bakeId: string;
      readonly itemId: string;
      readonly grams: number;
      readonly by: 'hand' | 'scale' | 'simulated scale';
    }
  | { readonly kind: 'felt'; readonly bakeId: string; readonly stepId: string; readonly words: string }
  | { readonly kind: 'oven'; readonly bakeId: string; readonly ovenC: number }
  | { readonly kind: 'not yet'; readonly bakeId: string; readonly minutes: number }
  | { readonly kind: 'timer'; readonly timerId: string; readonly name: string; readonly minutes: number }
  | { readonly kind: 'timer off'; readonly timerId: string }
  | { readonly kind: 'heard'; readonly alarmId: string }
  | { readonly kind: 'scaled'; readonly bakeId: string; readonly factor: number }
);

/** What is being made: the bakes, and all that has happened, oldest first. */
export interface Making {
  readonly id: string;
  readonly beganAt: number;
  readonly bakes: readonly MadeBake[];
  readonly happenings: readonly Happening[];
}

/** An alarm: a moment that the baker is to be told of. */
export interface Alarm {
  readonly id: string;
  readonly bakeId: string | null;
  readonly at: number;
  readonly name: string;
  readonly words: string;
  readonly heard: boolean;
  /** Of a timer that the baker set. */
  readonly own: boolean;
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
  readonly felt: readonly { readonly at: number; readonly stepId: string; readonly words: string }[];
  readonly ovenReadings: readonly { readonly at: number; readonly ovenC: number }[];
  /** The first step that is not done; null when all are. */
  readonly step: Step | null;
  readonly intoOvenAt: number | null;
  readonly outAt: number | null;
}

/** Steps that take time alone: they end by the clock, or when the baker says so. */
export const PASSIVE: ReadonlySet<StepKind> = new Set<StepKind>(['wait', 'bake', 'cool']);

/** What going back takes back. */
export const takesBack = (h: Happening): boolean =>
  h.kind === 'done' || h.kind === 'skip' || h.kind === 'weighed' || h.kind === 'scaled';

/** What still counts: each `back` takes away the last step, weighing or scaling before it that counts. */
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
  const felt: { at: number; stepId: string; words: string }[] = [];
  const ovenReadings: { at: number; ovenC: number }[] = [];
  for (const h of counting(happenings)) {
    if (!('bakeId' in h) || h.bakeId !== bake.id) continue;
    if (h.kind === 'done' || h.kind === 'skip') {
      done.set(h.stepId, h.at);
      if (h.kind === 'skip') skipped.add(h.stepId);
    } else if (h.kind === 'weighed') {
      weighed.set(h.itemId, h.grams);
      if (h.by === 'hand') read.delete(h.itemId);
      else read.add(h.itemId);
    } else if (h.kind === 'felt') felt.push({ at: h.at, stepId: h.stepId, words: h.words });
    else if (h.kind === 'oven') ovenReadings.push({ at: h.at, ovenC: h.ovenC });
  }
  return {
    id: bake.id,
    done,
    skipped,
    weighed,
    read,
    felt,
    ovenReadings,
    step: list.find((s) => !done.has(s.id)) ?? null,
    intoOvenAt: done.get('in') ?? null,
    outAt: done.get('out') ?? null,
  };
}

const MIN = 60_000;

/** When a waiting step began: with the step before it. */
function beganAt(list: readonly Step[], s: Standing, step: Step): number | null {
  const before = list[list.indexOf(step) - 1];
  return before ? (s.done.get(before.id) ?? null) : null;
}

/** When a step that takes time alone is over; null while it has not begun. */
export function endsAt(list: readonly Step[], s: Standing, step: Step): number | null {
  const from = beganAt(list, s, step);
  return from === null ? null : from + step.minutes.typical * MIN;
}

/** The alarms of a bake and of the baker's own timers, soonest first. */
export function alarmsOf(making: Making, lists: ReadonlyMap<string, readonly Step[]>): Alarm[] {
  const happenings = counting(making.happenings);
  const heard = new Set(happenings.flatMap((h) => (h.kind === 'heard' ? [h.alarmId] : [])));
  const off = new Set(happenings.flatMap((h) => (h.kind === 'timer off' ? [h.timerId] : [])));
  const out: Alarm[] = [];
  const add = (id: string, bakeId: string | null, at: number, name: string, words: string, own = false): void =>
    void out.push({ id, bakeId, at, name, words, heard: heard.has(id), own });
  for (const bake of making.bakes) {
    const list = lists.get(bake.id) ?? [];
    const s = standingOfBake(bake, list, happenings);
    const title = bake.formula.title;
    if (s.intoOvenAt !== null && s.outAt === null) {
      const into = s.intoOvenAt;
      for (const m of bake.marks)
        if (m.kind !== 'carry-over')
          add(`${bake.id}:${m.kind}:${m.atMin}`, bake.id, into + m.atMin * MIN, title, m.words);
      if (bake.marks.length === 0 && bake.minutes) {
        add(
          `${bake.id}:look`,
          bake.id,
          into + 0.95 * bake.minutes.early * MIN,
          title,
          'a first look, through the glass',
        );
        add(`${bake.id}:out`, bake.id, into + bake.minutes.likely * MIN, title, 'likely done');
      }
      for (const h of happenings)
        if (h.kind === 'not yet' && h.bakeId === bake.id)
          add(`${bake.id}:again:${h.at}`, bake.id, h.at + h.minutes * MIN, title, 'look again');
    }
    for (const step of list) {
      if ((step.kind !== 'wait' && step.kind !== 'cool') || s.done.has(step.id)) continue;
      const at = endsAt(list, s, step);
      if (at !== null && list.indexOf(step) === list.findIndex((x) => !s.done.has(x.id)))
        add(
          `${bake.id}:${step.id}`,
          bake.id,
          at,
          title,
          step.kind === 'cool' ? 'cold enough to go on' : step.words.toLowerCase(),
        );
    }
  }
  for (const h of happenings)
    if (h.kind === 'timer' && !off.has(h.timerId))
      add(h.timerId, null, h.at + h.minutes * MIN, h.name, 'time is up', true);
  return out.sort((a, b) => a.at - b.at);
}

/** Of each bake, the tasks of a day's plan that are done, by id, with when they began. */
export function doneTasks(making: Making, lists: ReadonlyMap<string, readonly Step[]>): Record<string, number> {
  const out: Record<string, number> = {};
  for (const bake of making.bakes) {
    const list = lists.get(bake.id) ?? [];
    const s = standingOfBake(bake, list, making.happenings);
    const put = (kind: string, at: number): void => void (out[`${bake.id}:${kind}`] = at);
    let stretch = 1;
    for (const step of list) {
      const at = s.done.get(step.id);
      if (step.kind === 'wait' && step.id !== 'wait:tin') {
        if (at !== undefined) put(`wait${stretch > 1 ? `:${stretch}` : ''}`, beganAt(list, s, step) ?? at);
        stretch++;
      }
      if (at === undefined) continue;
      const from = at - step.minutes.typical * MIN;
      if (step.id === 'take out:butter') put('butter out', at);
      else if (step.id === 'take out:eggs') put('eggs out', at);
      else if (step.id === 'take out:cold') put('freeze', at);
      else if (step.kind === 'oven on') put('oven on', at);
      else if (step.kind === 'in' || step.kind === 'out') put(step.kind, at);
      else if (step.kind === 'tins' || step.kind === 'weigh' || step.kind === 'unmould' || step.kind === 'cool')
        put(step.kind, from); // prettier-ignore
      else if (step.kind === 'fill' && list.filter((x) => x.kind === 'fill').every((x) => s.done.has(x.id)))
        put('fill', from); // prettier-ignore
      else if (step.kind === 'finish') {
        const kind = step.soak ? 'soak' : 'finish';
        if (list.filter((x) => x.kind === 'finish' && x.soak === step.soak).every((x) => s.done.has(x.id)))
          put(kind, from);
      } else if (step.kind === 'mix') {
        // a stretch of mixing is over when its last step before a wait, or before filling, is
        const next = list[list.indexOf(step) + 1];
        if (next?.kind !== 'mix') put(`mix${stretch > 1 ? `:${stretch}` : ''}`, from);
      }
    }
    if (s.done.has('in')) put('look', (s.done.get('in') ?? 0) + (bake.minutes?.early ?? 0) * MIN);
    if (!s.done.has('out')) delete out[`${bake.id}:look`];
  }
  return out;
}

/** Poured against wanted: fine, short, or over; when over, the factor by which all would have to grow instead. */
export interface Poured {
  readonly state: 'short' | 'right' | 'over';
  /** What is missing (positive) or too much (negative), g. */
  readonly missingG: number;
  readonly factor: number;
  readonly words: string;
}

/** Nobody wants to grow a batter by more than this because too much was poured. A judgement. */
export const MOST_SCALED = 1.5;

/** A weight is right within 2 %, and within half a step of the scale. */
export function pour(wantedG: number, pouredG: number, scaleG: number): Poured {
  const within = Math.max(0.02 * wantedG, scaleG / 2);
  const missingG = wantedG - pouredG;
  const factor = wantedG > 0 ? pouredG / wantedG : 1;
  const g = (x: number): string =>
    `${Math.abs(x) < 10 ? Math.round(Math.abs(x) * 10) / 10 : Math.round(Math.abs(x))} g`;
  if (Math.abs(missingG) <= within) return { state: 'right', missingG, factor, words: 'right' };
  if (missingG > 0) return { state: 'short', missingG, factor, words: `${g(missingG)} more` };
  return {
    state: 'over',
    missingG,
    factor,
    words:
      factor <= MOST_SCALED
        ? `you poured ${g(pouredG)}: scale all by ${factor.toFixed(2)}, or take ${g(missingG)} out`
        : `you poured ${g(pouredG)}: take ${g(missingG)} out. Was the bowl’s own weight taken off?`,
  };
}

/** The day's bake that a made one goes back to. */
export const dayBakeOf = (b: MadeBake): DayBake => ({
  id: b.id,
  formula: b.formula,
  ...(b.minutes && { minutes: b.minutes }),
});

/** What a prediction leaves for the counter. */
export const marksOf = (p: BakePrediction | null | undefined): readonly PlanMark[] => p?.plan ?? [];
