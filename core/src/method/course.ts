import type { BakeSetting, BakeStage } from '../formula/types.js';
import type { Operation } from './types.js';

/** Time and stages in the oven as a run of operations has them, minutes over all of it. */
export interface Course {
  readonly minutes: { readonly early: number; readonly late: number };
  readonly stages: readonly BakeStage[];
  /** How many times of the bake were said one after another. */
  readonly parts: number;
}

const timedIn = (o: Operation): boolean =>
  o.forMin !== null &&
  (o.verb === 'bake' || o.verb === 'put in' || o.verb === 'lower' || o.verb === 'raise' || o.verb === 'uncover');

/**
 * The course of a bake from its operations: each time follows the one before; heat and cover change where they are said, or at
 * the minute that is said. Null when no time is.
 *
 * @param startC heat at the start, °C on the dial
 */
export function courseOf(ops: readonly Operation[], startC: number): Course | null {
  // "if the middle wobbles, another ten" is not of its time
  const oven = ops.filter(
    (o) => o.phase === 'oven' && !o.meanwhile && o.load === undefined && o.place !== null && !(o.onlyIf && timedIn(o)),
  );
  let early = 0;
  let late = 0;
  let parts = 0;
  let heatC = startC;
  let cover: NonNullable<BakeStage['cover']> = 'none';
  const stages: BakeStage[] = [];
  const fromEnd: { readonly min: number; readonly cover: 'tent' | 'lid' }[] = [];
  const change = (fromMin: number): void => {
    const last = stages.at(-1);
    const stage: BakeStage = {
      fromMin: Math.round(fromMin),
      ovenC: heatC,
      ...((cover !== 'none' || (last?.cover ?? 'none') !== 'none') && { cover }),
    };
    if (last && last.fromMin === stage.fromMin) stages[stages.length - 1] = stage;
    else stages.push(stage);
  };
  for (const o of oven) {
    const now = (early + late) / 2;
    const laid = o.cover === 'tent' || o.cover === 'lid' ? o.cover : null;
    if (o.heatC !== undefined && Math.abs(o.heatC - heatC) > 2 && now > 0) {
      heatC = o.heatC;
      change(now);
    }
    if (o.verb === 'uncover') {
      cover = 'none';
      change(o.atMin !== undefined && !o.beforeEnd ? o.atMin : now);
    } else if (laid && !o.onlyIf) {
      if (o.beforeEnd && o.atMin !== undefined) fromEnd.push({ min: o.atMin, cover: laid });
      else {
        cover = laid;
        change(o.atMin ?? now);
      }
    }
    if (timedIn(o) && o.forMin) {
      early += o.forMin.low;
      late += o.forMin.high;
      parts++;
    }
  }
  if (late <= 0) return null;
  const whole = (early + late) / 2;
  for (const c of fromEnd)
    stages.push({ fromMin: Math.max(0, Math.round(whole - c.min)), ovenC: heatC, cover: c.cover });
  const sorted = stages.filter((s) => s.fromMin < late).sort((a, b) => a.fromMin - b.fromMin);
  const all =
    sorted.length > 0 && (sorted[0] as BakeStage).fromMin > 0 ? [{ fromMin: 0, ovenC: startC }, ...sorted] : sorted;
  return { minutes: { early: Math.round(early), late: Math.round(late) }, stages: all, parts };
}

/**
 * A bake as its sentences were read, with what the run of operations tells beyond that: further stages, and so a longer time; or
 * that one of the times is of something done later, a rest in a cloth or a second drying, and so a shorter one.
 */
export function withCourse(bake: BakeSetting, ops: readonly Operation[]): BakeSetting {
  const c = courseOf(ops, bake.ovenC);
  if (!c) return bake;
  const { minutes } = bake;
  const more = minutes ? c.parts >= 2 && c.minutes.late > minutes.late + 1 : c.parts >= 1;
  const over = minutes ? minutes.late - c.minutes.late : 0;
  const afterwards = ops.filter((o) => (o.phase === 'after' || o.phase === 'later') && o.forMin !== null);
  const less = over > 1 && afterwards.some((o) => Math.abs((o.forMin?.high ?? 0) - over) <= 1);
  if (!more && !less) return bake;
  const { stages: _, ...rest } = bake;
  return { ...rest, minutes: c.minutes, ...(c.stages.length > 0 && { stages: c.stages }) };
}
