import { statedSetting } from '../bake/stages.js';
import { familyOf } from '../balance/families.js';
import { weigh } from '../balance/weigh.js';
import type { Problem } from '../errors.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { dialIn } from '../quantity/degrees.js';
import { outlineOf } from '../tin/geometry.js';

export interface DayBake {
  readonly id: string;
  readonly formula: Formula;
  /** Likely minutes in the oven; the formula's own time, or its family's usual, when absent. */
  readonly minutes?: { readonly early: number; readonly likely: number; readonly late: number };
}

export type TaskKind =
  'butter out' | 'eggs out' | 'oven on' | 'tins' | 'weigh' | 'mix' | 'in' | 'look' | 'out' | 'unmould' | 'ready';

export interface Task {
  readonly id: string;
  readonly bakeId: string;
  readonly kind: TaskKind;
  readonly words: string;
  readonly detail: string;
  /** Minutes before serving at which it starts; negative offsets never occur. */
  readonly beforeMin: number;
  readonly minutes: number;
  /** Instant, ms since 1970. */
  readonly startsAt: number;
  /** Whether it needs hands, rather than waiting. */
  readonly hands: boolean;
}

export interface DayPlan {
  readonly tasks: readonly Task[];
  readonly problems: readonly Problem[];
}

const PREHEAT_MIN = 25;
const MIX_MIN: Readonly<Record<string, number>> = {
  'rub-in': 12,
  muffin: 8,
  creaming: 18,
  'one-bowl': 8,
  'melt-and-stir': 12,
  coating: 14,
};

/** Minutes for butter to reach 18–20 °C from the fridge, by room temperature; cut in pieces. */
export const softenMin = (roomC: number): number =>
  Math.round(Math.min(180, Math.max(30, 60 * Math.pow(20 / Math.max(12, roomC), 2.2))));

function bakeMinutes(b: DayBake): { early: number; likely: number; late: number } {
  if (b.minutes) return b.minutes;
  const m = statedSetting(b.formula.bake)?.minutes;
  if (m) return { early: m.early, likely: (m.early + m.late) / 2, late: m.late };
  const free = b.formula.tins?.[0] ? outlineOf(b.formula.tins[0].tin).free : false;
  return free ? { early: 14, likely: 18, late: 24 } : { early: 30, likely: 40, late: 55 };
}

/** Tasks of one bake, each so many minutes before serving, latest last. */
function tasksOf(b: DayBake, kitchen: Kitchen, serveAt: number): Task[] {
  const f = b.formula;
  const family = familyOf(f.family);
  const w = weigh(f, kitchen);
  const time = bakeMinutes(b);
  const has = (test: (role: string, id: string) => boolean): boolean =>
    allItems(f).some((i) => {
      const g = ingredientFor(f, i, kitchen);
      return test(g.role, g.id);
    });
  const creamed = family.methods[0] === 'creaming';
  const rubbed = family.methods[0] === 'rub-in';
  const out: Task[] = [];
  const add = (
    kind: TaskKind,
    beforeMin: number,
    minutes: number,
    words: string,
    detail: string,
    hands: boolean,
  ): void =>
    void out.push({
      id: `${b.id}:${kind}`,
      bakeId: b.id,
      kind,
      words,
      detail,
      beforeMin,
      minutes,
      hands,
      startsAt: serveAt - Math.round(beforeMin * 60_000),
    });
  const ready = family.coolRackMin;
  const unmould = ready + family.coolTinMin;
  // counts on the late end, so that serving is met when the bake takes its time
  const inAt = unmould + time.late;
  const mixMin = MIX_MIN[family.methods[0] ?? 'muffin'] ?? 10;
  const mixAt = inAt + mixMin;
  const ovenC = f.bake ? `${dialIn(kitchen.display.temperature, f.bake.ovenC)}${f.bake.fan ? ' fan' : ''}` : 'its heat';
  const soft = softenMin(kitchen.roomC);
  if (creamed && has((r) => r === 'fat'))
    add(
      'butter out',
      mixAt + soft,
      soft,
      'Butter out of the fridge',
      `to be soft, 18–20 °C, in ${soft} minutes at ${Math.round(kitchen.roomC)} °C`,
      false,
    );
  if (!rubbed && has((r) => r === 'egg'))
    add('eggs out', mixAt + 45, 45, 'Eggs and dairy out', 'or eggs 5–10 minutes in hot tap water', false);
  add(
    'oven on',
    inAt + PREHEAT_MIN,
    PREHEAT_MIN,
    `Oven on, ${ovenC}`,
    'a thermometer on the rack is the truth, not the beep',
    false,
  );
  add(
    'weigh',
    mixAt + 12,
    12,
    'Weigh everything out',
    `${w.lines.length} ingredients, ${Math.round(w.totals.batterG)} g`,
    true,
  );
  const tin = f.tins?.[0];
  add(
    'tins',
    mixAt + 18,
    6,
    tin ? `Prepare ${tin.count === 1 ? 'the' : tin.count} ${tin.tin.name}` : 'Prepare the tin',
    tin && outlineOf(tin.tin).free ? 'line the tray' : 'grease and line',
    true,
  );
  add(
    'mix',
    mixAt,
    mixMin,
    `Mix, ${family.methods[0] ?? 'one-bowl'} method`,
    w.lift.standMin < 30
      ? `straight into the oven: the batter may stand ${w.lift.standMin} minutes at most`
      : 'no hurry after mixing',
    true,
  );
  add('in', inAt, 2, 'Into the oven', 'quickly; the door costs heat', true);
  add('look', inAt - Math.max(1, time.early * 0.95), 1, 'First look', family.signs, true);
  add(
    'out',
    inAt - time.likely,
    2,
    'Likely out',
    `${Math.round(time.early)}–${Math.round(time.late)} minutes in the oven; ${family.signs}`,
    true,
  );
  if (family.coolTinMin > 0)
    add('unmould', ready, 3, 'Out of the tin, onto a rack', `after ${family.coolTinMin} minutes`, true);
  add('ready', 0, 0, 'Ready to cut', `keeps ${family.keeps}`, false);
  return out;
}

/**
 * Plans bakes back from the serving time: each bake's tasks with their offsets. This first version plans every bake by
 * itself and reports bakes that want the oven at different heats at the same time; it does not move them yet.
 *
 * @param serveAt instant when everything is to be ready, ms since 1970
 * @param now instant of planning, ms since 1970; handed in, core has no clock
 */
export function planDay(bakes: readonly DayBake[], kitchen: Kitchen, serveAt: number, now: number): DayPlan {
  const tasks = bakes
    .flatMap((b) => tasksOf(b, kitchen, serveAt))
    .sort((a, b) => a.startsAt - b.startsAt || a.id.localeCompare(b.id));
  const problems: Problem[] = [];
  const first = tasks[0];
  if (first && first.startsAt < now) {
    const late = Math.ceil((now - first.startsAt) / 60_000);
    problems.push({
      id: 'late',
      place: 'day',
      words: `To be ready then, "${first.words}" should have begun ${late} minutes ago.`,
      remedy: `Serve ${late} minutes later, or shorten the waits: warm the eggs in hot tap water, cut the butter small.`,
    });
  }
  const inOven = bakes.map((b) => {
    const start = tasks.find((t) => t.id === `${b.id}:in`)?.startsAt ?? 0;
    return { b, start, end: start + bakeMinutes(b).late * 60_000 };
  });
  inOven.forEach((x, i) =>
    inOven.slice(i + 1).forEach((y) => {
      const apart = Math.abs((x.b.formula.bake?.ovenC ?? 180) - (y.b.formula.bake?.ovenC ?? 180)) > 10;
      if (apart && x.start < y.end && y.start < x.end && kitchen.ovens.length < 2)
        problems.push({
          id: `oven:${x.b.id}:${y.b.id}`,
          place: 'day',
          words: `${x.b.formula.title} and ${y.b.formula.title} want the oven at the same time at different heats.`,
          remedy: 'Bake one of them earlier, or plan it for another serving time.',
        });
    }),
  );
  return { tasks, problems };
}
