import { familyOf } from '../balance/families.js';
import { weigh } from '../balance/weigh.js';
import { butterWait, eggWait } from '../counter/prepare.js';
import { PREHEAT_MIN } from '../counter/ready.js';
import type { Step } from '../counter/step.js';
import { steps } from '../counter/steps.js';
import type { Kitchen } from '../formula/types.js';
import { dialIn } from '../quantity/degrees.js';
import { outlineOf } from '../tin/geometry.js';
import type { Link } from './network.js';
import type { DayBake, TaskKind } from './task.js';

/** An activity of the day before it has its time. */
export interface Activity {
  readonly id: string;
  readonly kind: TaskKind;
  readonly words: string;
  readonly detail: string;
  readonly minutes: number;
  readonly hands: boolean;
  readonly movable: boolean;
}

/** How much longer than it must something may stay in its tin, or soak, before it suffers or sticks, min. Judgements. */
const UNMOULD_SLACK = 15;
const WAIT_SLACK = 45;
/** A cake out of its tin is warm enough to soak for so many minutes. A judgement. */
const WARM_MIN = 15;

const up = (x: number): number => Math.max(1, Math.ceil(x - 1e-9));
const minutesOf = (s: Step): number => up(s.minutes.typical);

/** A bake as activities and links, its variables numbered from 0. */
export interface Built {
  readonly activities: Activity[];
  readonly links: Link[];
  readonly into: number;
  readonly blockStart: number;
  readonly blockEndVar: number;
  readonly blockEndBy: number;
  readonly tins: number;
  readonly rackVar: number;
  readonly rackBy: number;
  readonly ready: number;
  readonly begin: number;
  readonly late: number;
  readonly need: number;
  /** Hands' work from weighing until it is in, min. */
  readonly front: number;
  readonly mixers: readonly number[];
}

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** What a task's id is made of, so that it stays the same when the day is planned again. */
const idOf = (bake: DayBake, kind: TaskKind, n = 0): string => `${bake.id}:${kind}${n > 0 ? `:${n + 1}` : ''}`;

export function build(bake: DayBake, kitchen: Kitchen): Built {
  const f = bake.formula;
  const list = steps(f, { prediction: bake.prediction ?? null }, kitchen);
  const w = weigh(f, kitchen);
  const activities: Activity[] = [];
  const links: Link[] = [];
  const counts = new Map<TaskKind, number>();
  const add = (
    kind: TaskKind,
    words: string,
    detail: string | null,
    minutes: number,
    hands: boolean,
    movable = true,
  ): number => {
    const n = counts.get(kind) ?? 0;
    counts.set(kind, n + 1);
    activities.push({
      id: idOf(bake, kind, n),
      kind,
      words,
      detail: detail ?? '',
      minutes,
      hands,
      movable,
    });
    return activities.length - 1;
  };
  const after = (from: number, to: number, min: number, why: string): void => void links.push({ from, to, min, why });
  const lasts = (v: number): number => activities[v]?.minutes ?? 0;

  const find = (kind: Step['kind']): Step[] => list.filter((s) => s.kind === kind);
  const tinsStep = find('tins')[0] as Step;
  const weighStep = find('weigh')[0] as Step;
  const weighV = add(
    'weigh',
    weighStep.words,
    `${w.lines.length} ingredients, ${Math.round(w.totals.batterG)} g`,
    minutesOf(weighStep),
    true,
  );
  const tinsV = add('tins', tinsStep.words, tinsStep.detail, minutesOf(tinsStep), true);

  // mixing: hands' work between the waits that the method asks for
  const stretches: { steps: Step[]; wait: Step | null }[] = [{ steps: [], wait: null }];
  for (const s of list) {
    if (s.kind === 'mix') stretches.at(-1)?.steps.push(s);
    else if (s.kind === 'wait' && s.id !== 'wait:tin') {
      (stretches.at(-1) as { wait: Step | null }).wait = s;
      stretches.push({ steps: [], wait: null });
    }
  }
  let last = weighV;
  let firstMix = weighV;
  const mixers: number[] = [];
  stretches.forEach((stretch, i) => {
    const end = i === stretches.length - 1;
    const minutes = up(stretch.steps.reduce((s, x) => s + x.minutes.typical, 0));
    const words = end && stretches.length > 1 ? 'Finish mixing' : 'Mix';
    const detail = stretch.steps.map((s) => s.words).join(' ');
    const v = add('mix', words, detail.length > 160 ? `${detail.slice(0, 157)}…` : detail, minutes, true);
    if (stretch.steps.some((s) => s.mixer)) mixers.push(v);
    if (i === 0) {
      firstMix = v;
      after(last, v, lasts(last), 'everything is weighed first');
    }
    last = v;
    if (!stretch.wait || end) return;
    const waits = up(stretch.wait.minutes.typical);
    const waitV = add('wait', stretch.wait.words, null, waits, false, false);
    after(v, waitV, lasts(v), 'it follows the mixing');
    after(waitV, v, -lasts(v), 'it follows the mixing');
    // the next stretch ends the wait: not before its time, and not long after
    const next = activities.length;
    after(waitV, next, waits, `${stretch.wait.words.toLowerCase()}: ${waits} minutes`);
    after(next, waitV, -(waits + WAIT_SLACK), 'it should not stand much longer');
  });
  // filling follows at once; then the batter may stand only so long
  const fillMin = up(list.filter((s) => s.kind === 'fill').reduce((s, x) => s + x.minutes.typical, 0));
  const fillV = add('fill', w.methods.chosen === 'rub-in' ? 'Shape' : 'Fill', list.find((s) => s.kind === 'fill')?.detail ?? null, fillMin, true, false); // prettier-ignore
  after(last, fillV, lasts(last), 'it follows the mixing');
  after(fillV, last, -lasts(last), 'it follows the mixing');
  after(tinsV, fillV, lasts(tinsV), 'the tin is got ready first');
  const stand = Math.max(0, Math.floor(w.lift.standMin) - fillMin);
  const inV = add(
    'in',
    'Into the oven',
    `the batter may stand ${Math.max(fillMin, Math.floor(w.lift.standMin))} minutes in all`,
    1,
    true,
  );
  after(fillV, inV, fillMin, 'the tin is filled first');
  after(inV, fillV, -(fillMin + stand), 'the batter would lose its gas standing longer');

  const m = bakeMinutes(bake, list);
  const dial = f.bake ? `${dialIn(kitchen.display.temperature, f.bake.ovenC)}${f.bake.fan ? ' fan' : ''}` : 'its heat';
  const ovenV = add(
    'oven on',
    `Oven on, ${dial}`,
    'a thermometer on the rack is the truth, not the beep',
    PREHEAT_MIN,
    false,
    false,
  );
  after(ovenV, inV, PREHEAT_MIN, `the oven needs ${PREHEAT_MIN} minutes to be hot through`);

  const family = familyOf(f.family);
  const free = f.tins?.[0] ? outlineOf(f.tins[0].tin).free || f.tins[0].tin.shape === 'slab' : false;
  const inTin = free ? 0 : family.coolTinMin;
  const look = bake.prediction?.plan.find((p) => p.kind === 'first look')?.atMin ?? m.early * 0.95;
  const lookV = add('look', 'First look', family.signs, 1, false, false);
  const lookAt = Math.max(1, Math.floor(look));
  after(inV, lookV, lookAt, 'it has to set first');
  after(lookV, inV, -lookAt, 'it has to set first');
  // changes of heat and cover, at their minutes from the door
  for (const mark of bake.prediction?.plan ?? []) {
    if (mark.kind !== 'change') continue;
    const v = add('change', capital(mark.words), '', 1, false, false);
    after(inV, v, mark.atMin, 'it is a stage of the bake');
    after(v, inV, -mark.atMin, 'it is a stage of the bake');
  }
  const outV = add(
    'out',
    'Likely out',
    `${Math.round(m.early)}–${Math.round(m.late)} minutes in the oven; ${family.signs}`,
    2,
    true,
    false,
  );
  const likely = up(m.likely);
  const late = Math.max(likely, up(m.late));
  after(inV, outV, likely, `it bakes ${likely} minutes`);
  after(outV, inV, -likely, `it bakes ${likely} minutes`);
  let rackVar = outV;
  let rackBy = 2;
  if (inTin > 0) {
    const v = add('unmould', 'Out of the tin, onto a rack', `after ${inTin} minutes in it`, 2, true);
    after(outV, v, 2 + inTin, `it rests ${inTin} minutes in its tin`);
    after(v, outV, -(2 + inTin + UNMOULD_SLACK), 'it sticks when it stays in the tin too long');
    rackVar = v;
    rackBy = 2;
  }
  const cooled = late + 2 + inTin + family.coolRackMin;
  const coolV = add('cool', 'Cooling', `${family.coolRackMin} minutes on the rack`, family.coolRackMin, false, false);
  after(rackVar, coolV, rackBy, 'it cools on the rack');
  after(coolV, rackVar, -rackBy, 'it cools on the rack');
  const soaks = find('finish').filter((s) => s.soak);
  const finish = find('finish').filter((s) => !s.soak);
  let soaked: number | null = null;
  if (soaks.length > 0) {
    const minutes = up(soaks.reduce((s, x) => s + x.minutes.typical, 0));
    soaked = add('soak', soaks.map((s) => s.words).join(', '), soaks[0]?.detail ?? null, minutes, true);
    after(rackVar, soaked, rackBy, 'it is out of the tin first');
    after(soaked, rackVar, -(rackBy + WARM_MIN), 'it soaks only while it is warm');
  }
  const readyV = activities.length + (finish.length > 0 ? 1 : 0);
  let whole = cooled;
  if (finish.length > 0) {
    const minutes = up(finish.reduce((s, x) => s + x.minutes.typical, 0));
    const v = add('finish', finish.map((s) => s.words).join(', '), finish[0]?.detail ?? null, minutes, true);
    after(inV, v, cooled, 'it is cold before it is finished');
    after(coolV, v, family.coolRackMin, 'it is cold before it is finished');
    after(v, readyV, minutes, 'it is finished first');
    whole += minutes;
  }
  if (soaked !== null) after(soaked, readyV, lasts(soaked), 'it is soaked first');
  add('ready', 'Ready to cut', `keeps ${family.keeps}`, 0, false, false);
  after(
    inV,
    readyV,
    cooled,
    `even at the late end of its ${Math.round(m.early)}–${Math.round(m.late)} minutes it has to cool`,
  );
  after(coolV, readyV, family.coolRackMin, `it cools ${family.coolRackMin} minutes on the rack`);

  // what comes out of the fridge: moments, with the least wait before the mixing
  const outOf = (kind: TaskKind, step: Step | undefined, full: number, quick: number | null): void => {
    if (!step) return;
    const wait = bake.quick && quick !== null ? quick : full;
    const v = add(kind, step.words, step.detail, wait, false);
    after(v, firstMix, wait, `${step.words.toLowerCase()}: ${wait} minutes`);
  };
  const fats = list.find((s) => s.id === 'take out:butter');
  const fatG = fats?.amounts.reduce((s, a) => s + a.grams, 0) ?? 0;
  const butter = butterWait(fatG, kitchen.roomC);
  outOf('butter out', fats, butter.minutes, butter.short?.minutes ?? null);
  const eggs = eggWait(kitchen.roomC);
  outOf(
    'eggs out',
    list.find((s) => s.id === 'take out:eggs'),
    eggs.minutes,
    eggs.short?.minutes ?? null,
  );
  outOf(
    'freeze',
    list.find((s) => s.id === 'take out:cold'),
    12,
    null,
  );

  const mixed = stretches.reduce(
    (s, x) => s + up(x.steps.reduce((q, y) => q + y.minutes.typical, 0)) + (x.wait ? up(x.wait.minutes.typical) : 0),
    0,
  );
  return {
    activities,
    links,
    into: inV,
    blockStart: firstMix,
    blockEndVar: fillV,
    blockEndBy: fillMin,
    tins: tinsV,
    rackVar,
    rackBy,
    ready: readyV,
    begin: weighV,
    late,
    need: lasts(weighV) + mixed + fillMin + whole,
    front: activities
      .filter((a) => a.kind === 'weigh' || a.kind === 'mix' || a.kind === 'fill' || a.kind === 'in')
      .reduce((s, a) => s + a.minutes, 0),
    mixers,
  };
}

/** Minutes in the oven: as handed in, as predicted, as stated, or as the steps have it. */
export function bakeMinutes(b: DayBake, list: readonly Step[]): { early: number; likely: number; late: number } {
  if (b.minutes) return b.minutes;
  const s = list.find((x) => x.kind === 'bake');
  return { early: s?.minutes.low ?? 30, likely: s?.minutes.typical ?? 40, late: s?.minutes.high ?? 55 };
}
