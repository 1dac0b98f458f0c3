import type { DayBake, DayPlan, Kitchen, Task } from '@orvin/core';

const MIN = 60_000;

/** How a stretch of a lane is drawn: work, a wait in the room, oven, its uncertain end, cooling in the tin, on the rack. */
export type Look = 'hands' | 'wait' | 'oven' | 'late' | 'tin' | 'rack';

export interface Block {
  readonly key: string;
  readonly look: Look;
  /** Left edge and width, % of the lane. */
  readonly left: number;
  readonly width: number;
  readonly label: string;
  readonly task: Task;
  /** Which of several thin lines above one another, from 0. */
  readonly line: number;
}

export interface BakeLane {
  readonly id: string;
  readonly title: string;
  readonly minutes: string;
  /** Only what was frozen raw. */
  readonly frozen: boolean;
  readonly blocks: readonly Block[];
}

/** An oven's heat through the day, as a line: points in % of the lane and °C. */
export interface OvenLane {
  readonly id: string;
  readonly name: string;
  readonly points: readonly { readonly x: number; readonly c: number }[];
  readonly heats: readonly { readonly x: number; readonly c: number }[];
  readonly most: number;
}

export interface Span {
  readonly from: number;
  readonly to: number;
}

/** The hours that a plan is drawn in: from a little before its first task to a little after it is served. */
export function spanOf(plan: DayPlan): Span {
  const half = 30 * MIN;
  const pad = Math.max(10 * MIN, (plan.serveAt - plan.startsAt) * 0.02);
  return { from: Math.floor((plan.startsAt - pad) / half) * half, to: plan.serveAt + Math.max(12 * MIN, 2 * pad) };
}

export const share = (at: number, s: Span): number => (100 * (at - s.from)) / (s.to - s.from);

const shortly: Partial<Record<Task['kind'], string>> = {
  'butter out': 'butter out',
  'eggs out': 'eggs out',
  freeze: 'fat in the freezer',
  tins: 'tin',
  weigh: 'weigh',
  mix: 'mix',
  wait: 'wait',
  fill: 'fill',
  in: 'in',
  out: 'out',
  unmould: 'turn out',
  finish: 'finish',
};

/** One lane a bake, with all that happens to it from the fridge to the rack. */
export function bakeLanes(plan: DayPlan, bakes: readonly DayBake[], s: Span): BakeLane[] {
  return bakes.map((b): BakeLane => {
    const mine = plan.tasks.filter((t) => t.bakeId === b.id);
    const stay = plan.stays.find((x) => x.bakeId === b.id);
    const blocks: Block[] = [];
    const add = (task: Task, look: Look, from: number, to: number, label: string, line = 0): void =>
      void blocks.push({ key: `${task.id}:${look}`, look, left: share(from, s), width: Math.max(0.35, share(to, s) - share(from, s)), label, task, line }); // prettier-ignore
    let line = 0;
    for (const t of mine) {
      const end = t.startsAt + t.minutes * MIN;
      if (t.kind === 'butter out' || t.kind === 'eggs out' || t.kind === 'freeze')
        add(t, 'wait', t.startsAt, end, shortly[t.kind] ?? '', line++);
      else if (t.kind === 'wait') add(t, 'wait', t.startsAt, end, t.words.toLowerCase());
      else if (t.kind === 'cool') add(t, 'rack', t.startsAt, end, 'cools on the rack');
      else if (t.hands) add(t, 'hands', t.startsAt, end, shortly[t.kind] ?? t.kind);
    }
    const ins = mine.filter((t) => t.kind === 'in');
    const outs = mine.filter((t) => t.kind === 'out');
    const unmould = mine.find((t) => t.kind === 'unmould');
    // one load after another
    ins.forEach((into, i) => {
      const out = outs[i];
      if (out && stay) add(into, 'oven', into.startsAt + into.minutes * MIN, out.startsAt, `${Math.round((out.startsAt - into.startsAt) / MIN)} min`); // prettier-ignore
    });
    const out = outs.at(-1);
    if (out && stay) {
      add(out, 'late', out.startsAt, Math.max(stay.endsAt, out.startsAt), '');
      if (unmould) add(out, 'tin', out.startsAt + out.minutes * MIN, unmould.startsAt, 'in its tin');
    }
    const m = b.minutes;
    return {
      id: b.id,
      title: b.formula.title,
      frozen: b.from === 'freezer',
      minutes: m ? `${Math.round(m.early)}–${Math.round(m.late)} min` : '',
      blocks: blocks.sort((a, c) => a.left - c.left),
    };
  });
}

/** The heat of each oven that is used: cold, up, held, changed. */
export function ovenLanes(plan: DayPlan, kitchen: Kitchen, s: Span): OvenLane[] {
  const most = Math.max(200, ...plan.stays.map((x) => x.ovenC));
  return kitchen.ovens.flatMap((o): OvenLane[] => {
    const stays = plan.stays.filter((x) => x.ovenId === o.id);
    if (stays.length === 0) return [];
    const points: { x: number; c: number }[] = [];
    const heats: { x: number; c: number }[] = [];
    let held = 20;
    let until = 0;
    for (const stay of stays) {
      const on = plan.tasks.find((t) => t.bakeId === stay.bakeId && t.kind === 'oven on');
      const from = points.length === 0 ? (on?.startsAt ?? stay.startsAt) : Math.max(until, Math.min(stay.startsAt, on?.startsAt ?? 0)); // prettier-ignore
      if (points.length === 0 || Math.abs(stay.ovenC - held) > 5) {
        points.push({ x: share(from, s), c: held });
        points.push({ x: share(Math.min(stay.startsAt, from + (points.length < 2 ? 18 : 8) * MIN), s), c: stay.ovenC });
        heats.push({ x: share(from, s), c: stay.ovenC });
        held = stay.ovenC;
      }
      until = Math.max(until, stay.endsAt);
      points.push({ x: share(until, s), c: held });
    }
    return [{ id: o.id, name: o.name, points, heats, most }];
  });
}

/** Full hours, or half ones, to mark. */
export function ticksOf(s: Span): number[] {
  const hours = (s.to - s.from) / 3_600_000;
  const step = hours <= 4 ? 30 * MIN : hours <= 10 ? 60 * MIN : hours <= 24 ? 180 * MIN : 720 * MIN;
  const out: number[] = [];
  for (let t = Math.ceil(s.from / step) * step; t < s.to - step * 0.15; t += step) out.push(t);
  return out;
}
