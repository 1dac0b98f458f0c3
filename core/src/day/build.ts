import { wholeMassIn } from '../quantity/figures.js';
import { familyOf } from '../balance/families.js';
import { weigh } from '../balance/weigh.js';
import { butterWait, eggWait } from '../counter/prepare.js';
import { PREHEAT_MIN } from '../method/added.js';
import type { Step } from '../counter/step.js';
import { elsewhere } from '../counter/elsewhere.js';
import { frozenFits, settingOf } from '../counter/from-freezer.js';
import { steps } from '../counter/steps.js';
import type { Kitchen, TinUse } from '../formula/types.js';
import { togetherIn } from '../method/together.js';
import { dialIn } from '../quantity/degrees.js';
import { isEarlyFinish, stretchesOf } from '../counter/stretches.js';
import type { Link } from './network.js';
import type { DayBake, TaskKind } from './task.js';
import { capital } from '../text/plain.js';

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

/** From a pan or hot fat until it does not burn the mouth, min. A judgement. */
const UP_TO_EAT_MIN = 5;

/** How much longer than it must something may stay in its tin, or soak, before it suffers or sticks, min. Judgements. */
const UNMOULD_SLACK = 15;
const WAIT_SLACK = 45;
/** A cake out of its tin is warm enough to soak for so many minutes. A judgement. */
const WARM_MIN = 15;
/** What is to be done straight away may wait so many minutes for a hand. A judgement. */
const AT_ONCE_MIN = 3;
const COLD = /\b(?:fridge|cold|chill)\b/i;
/** Soon after the door has closed, min. */
const SOON_MIN = 4;

const up = (x: number): number => Math.max(1, Math.ceil(x - 1e-9));
const up0 = (x: number): number => Math.max(0, Math.ceil(x - 1e-9));
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
  /** Minutes from the door until the last load is out, at the latest. */
  readonly late: number;
  readonly need: number;
  /** What stands in the oven at once. */
  readonly together: readonly TinUse[];
  /** Hands' work from weighing until it is in, min. */
  readonly front: number;
  readonly mixers: readonly number[];
}

/** What a task's id is made of, so that it stays the same when the day is planned again. */
const idOf = (bake: DayBake, kind: TaskKind, n = 0): string => `${bake.id}:${kind}${n > 0 ? `:${n + 1}` : ''}`;

export function build(bake: DayBake, kitchen: Kitchen): Built {
  const f = bake.formula;
  const setting = settingOf(bake, kitchen);
  const list = steps(f, { prediction: bake.prediction ?? null, ...(bake.from && { from: bake.from }) }, kitchen);
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
  const nameOf = (v: number): string => (activities[v]?.words ?? '').toLowerCase().replace(/[.;,]+$/, '');
  /** What comes next begins as soon as what was before is done; after a wait, not long after its time. */
  const follows = (from: number, to: number, wait: { readonly minutes: number } | null, why: string): void => {
    if (wait) {
      after(from, to, wait.minutes, `${nameOf(from)}: ${wait.minutes} minutes`);
      after(to, from, -(wait.minutes + WAIT_SLACK), 'it should not stand much longer');
    } else {
      after(from, to, lasts(from), why);
      after(to, from, -lasts(from), why);
    }
  };

  const find = (kind: Step['kind']): Step[] => list.filter((s) => s.kind === kind);
  const place = elsewhere(f);
  // what no tin takes has none to get ready
  const tinsStep = find('tins')[0];
  const weighStep = find('weigh')[0];
  const weighs = weighStep
    ? add('weigh', weighStep.words, `${w.lines.length} ingredients, ${wholeMassIn(kitchen.display, w.totals.batterG)}`, minutesOf(weighStep), true) // prettier-ignore
    : null;
  const tinsV =
    weighs !== null && !tinsStep
      ? weighs
      : add(
          'tins',
          tinsStep?.words ?? 'All at hand',
          tinsStep?.detail ?? null,
          tinsStep ? minutesOf(tinsStep) : 1,
          true,
        );
  // what comes from the freezer is not weighed: the tray is its first work
  const weighV = weighs ?? tinsV;

  // hands' work between the waits that the method asks for; the last stretch puts it where it bakes
  const made = stretchesOf(list);
  const stretches = made.some((s) => s.kind === 'fill') ? made : [...made, { kind: 'fill' as const, n: 1, steps: [] }];
  let last = weighV;
  let firstMix = -1;
  let fillV = -1;
  let waited: { readonly v: number; readonly minutes: number } | null = null;
  const mixers: number[] = [];
  const filling = stretches.findLastIndex((s) => s.kind === 'fill');
  stretches.forEach((stretch, i) => {
    const minutes = up(stretch.steps.reduce((s, x) => s + x.minutes.typical, 0));
    if (stretch.kind === 'wait') {
      const [step] = stretch.steps;
      const waitV = add('wait', step?.words ?? 'Let it rest', null, minutes, false, false);
      follows(last, waitV, waited, 'it follows the work before it');
      waited = { v: waitV, minutes };
      last = waitV;
      if (firstMix < 0) firstMix = waitV;
      return;
    }
    const said = stretch.steps.map((s) => `${s.words.replace(/[.;,]+$/, '')}.`).join(' ');
    const more = stretches.slice(i + 1).some((x) => x.kind === stretch.kind);
    const before = stretches.slice(0, i).some((x) => x.kind === stretch.kind);
    const words = bake.from
      ? 'Onto the tray'
      : stretch.kind === 'fill'
        ? w.methods.chosen === 'rub-in'
          ? 'Shape'
          : place && !tinsStep
            ? 'Portion'
            : 'Fill'
        : before && !more
          ? 'Finish mixing'
          : 'Mix';
    // with what each tin takes, where it is filled
    const portion = stretch.steps.find((x) => x.id === 'fill:0')?.detail;
    const detail = [said, ...(portion ? [`${portion}.`] : [])].join(' ');
    const v = add(
      stretch.kind,
      words,
      detail.length > 160 ? `${detail.slice(0, 157)}…` : detail,
      minutes,
      true,
      stretch.kind === 'mix',
    );
    if (stretch.steps.some((s) => s.mixer)) mixers.push(v);
    if (firstMix < 0) {
      firstMix = v;
      after(last, v, lasts(last), weighs === null ? 'the tray is got ready first' : 'everything is weighed first');
    } else follows(last, v, waited, 'it follows the mixing');
    if (i === filling) fillV = v;
    if (stretch.kind === 'fill' && tinsV !== weighV) after(tinsV, v, lasts(tinsV), 'the tin is got ready first');
    waited = null;
    last = v;
  });
  const fillMin = lasts(fillV);
  // then the batter may stand only so long, beside what the method itself asks for
  const stand = Math.max(0, Math.floor(w.lift.standMin) - fillMin);
  const inV = add(
    'in',
    place ? (find('in')[0]?.words ?? place.words) : 'Into the oven',
    bake.from
      ? 'straight from the freezer'
      : `the batter may stand ${Math.max(fillMin, Math.floor(w.lift.standMin))} minutes in all`,
    1,
    true,
  );
  const lastMin = lasts(last);
  after(last, inV, lastMin, waited === null ? 'the tin is filled first' : `${nameOf(last)}: ${lastMin} minutes`);
  after(inV, last, -(lastMin + stand), 'the batter would lose its gas standing longer');

  const m = bakeMinutes(bake, list);
  const dial = setting
    ? `${dialIn(kitchen.display.temperature, setting.ovenC)}${setting.fan ? ' fan' : ''}`
    : 'its heat';
  const heatingMin = place ? up(place.readyMin.typical) : PREHEAT_MIN;
  const ovenV = add(
    'oven on',
    place ? (find('oven on')[0]?.words ?? 'Heat on') : `Oven on, ${dial}`,
    place?.ready ?? 'a thermometer on the rack is the truth, not the beep',
    heatingMin,
    false,
    false,
  );
  after(
    ovenV,
    inV,
    heatingMin,
    place ? 'it gets hot first' : `the oven needs ${PREHEAT_MIN} minutes to be hot through`,
  );

  const family = familyOf(f.family);
  const done = list.filter((x) => x.phase === 'after');
  const unmould = done.findIndex((x) => x.kind === 'unmould');
  const inTin = Math.round(
    done.slice(0, Math.max(0, unmould)).reduce((t, x) => t + (x.kind === 'wait' ? x.minutes.typical : 0), 0),
  );
  const coolStep = done.find((x) => x.kind === 'cool');
  const coolMin = coolStep ? up(coolStep.minutes.typical) : place ? UP_TO_EAT_MIN : family.coolRackMin;
  const look = (place ? null : bake.prediction)?.plan.find((p) => p.kind === 'first look')?.atMin ?? m.early * 0.95;
  const lookV = add('look', 'First look', family.signs, 1, false, false);
  const lookAt = Math.max(1, Math.floor(look));
  after(inV, lookV, lookAt, 'it has to set first');
  after(lookV, inV, -lookAt, 'it has to set first');
  // changes of heat and cover, at their minutes from the door
  for (const mark of list.find((x) => x.kind === 'bake')?.marks ?? []) {
    if (mark.kind !== 'change' && mark.own !== true) continue;
    if (mark.kind === 'first look') continue;
    const v = add('change', capital(mark.words), '', 1, false, false);
    after(inV, v, mark.atMin, 'it is a stage of the bake');
    after(v, inV, -mark.atMin, 'it is a stage of the bake');
  }
  const between = [Math.round(m.early), Math.round(m.late)];
  const inOven = `${[...new Set(between)].join('–')} minutes${place ? ' a batch' : ' in the oven'}; ${family.signs}`;
  const outV = add('out', 'Likely out', inOven, 2, true, false);
  const likely = up(m.likely);
  const late = Math.max(likely, up(m.late));
  after(inV, outV, likely, `it bakes ${likely} minutes`);
  after(outV, inV, -likely, `it bakes ${likely} minutes`);
  // further loads go in as soon as the one before is out
  let [lastIn, lastOut] = [inV, outV];
  const outs = find('out').slice(1);
  find('in')
    .slice(1)
    .forEach((step, i) => {
      const v = add('in', step.words, step.detail, 1, true, false);
      after(lastOut, v, lasts(lastOut), 'the one before comes out first');
      after(v, lastOut, -lasts(lastOut), 'the oven stays hot');
      const out = add('out', outs[i]?.words ?? 'Likely out', inOven, 2, true, false); // prettier-ignore
      after(v, out, likely, `it bakes ${likely} minutes`);
      after(out, v, -likely, `it bakes ${likely} minutes`);
      [lastIn, lastOut] = [v, out];
    });
  const loads = outs.length + 1;
  const before = (loads - 1) * (likely + lasts(outV) + 1);
  let rackVar = lastOut;
  let rackBy = 2;
  for (const x of list.filter((y) => y.phase === 'oven' && y.kind === 'finish')) {
    const v = add('beside', x.words, 'while it bakes', minutesOf(x), true);
    after(inV, v, 1, 'it is done while it bakes');
    // what is to stay cold goes there at once
    if (COLD.test(x.words)) after(v, inV, -SOON_MIN, 'it would warm up outside');
    after(v, outV, minutesOf(x), 'it is ready when the bake is');
  }
  if (unmould >= 0 && done[unmould]) {
    const step = done[unmould];
    const v = add('unmould', step.words, inTin > 0 ? `after ${inTin} minutes in it` : null, 2, true);
    after(lastOut, v, 2 + inTin, inTin > 0 ? `it rests ${inTin} minutes in its tin` : 'it comes out first');
    after(v, lastOut, -(2 + inTin + UNMOULD_SLACK), 'it sticks when it stays in the tin too long');
    rackVar = v;
    rackBy = 2;
  }
  const cooled = late + 2 + inTin + coolMin;
  const coolV = add(
    'cool',
    'Cooling',
    coolStep?.own ? coolStep.words : place && !coolStep ? 'Cool enough to eat' : `${coolMin} minutes on the rack`,
    coolMin,
    false,
    false,
  );
  after(rackVar, coolV, rackBy, 'it cools on the rack');
  after(coolV, rackVar, -rackBy, 'it cools on the rack');
  const coolAt = done.findIndex((x) => x.kind === 'cool');
  const finishes = done.filter((x) => x.kind === 'finish');
  const soaks = finishes.filter((x) => isEarlyFinish(x, list));
  const finish = finishes.filter((x) => !isEarlyFinish(x, list));
  // a glaze that has to set, a frosted cake that is chilled
  const settles = done
    .slice(Math.max(0, coolAt))
    .reduce((t, x) => t + (x.kind === 'wait' && coolAt >= 0 ? x.minutes.typical : 0), 0);
  let soaked: number | null = null;
  if (soaks.length > 0) {
    const minutes = up(soaks.reduce((s, x) => s + x.minutes.typical, 0));
    soaked = add('soak', soaks.map((s) => s.words).join(', '), soaks[0]?.detail ?? null, minutes, true);
    after(rackVar, soaked, rackBy, 'it is out of the tin first');
    const atOnce = soaks.some((s) => /\b(?:straight|at once|as soon as|the (?:minute|moment)|immediately|right away)\b/i.test(s.words)); // prettier-ignore
    after(soaked, rackVar, -(rackBy + (atOnce ? AT_ONCE_MIN : WARM_MIN)), atOnce ? 'it is done straight away' : 'it soaks only while it is warm'); // prettier-ignore
  }
  const readyV = activities.length + (finish.length > 0 ? 1 : 0);
  let whole = cooled;
  if (finish.length > 0) {
    const minutes = up(finish.reduce((s, x) => s + x.minutes.typical, 0));
    const v = add('finish', finish.map((s) => s.words).join(', '), finish[0]?.detail ?? null, minutes, true);
    after(lastIn, v, cooled, 'it is cold before it is finished');
    after(coolV, v, coolMin, 'it is cold before it is finished');
    after(v, readyV, minutes + up0(settles), settles > 0 ? 'it is finished, and has set' : 'it is finished first');
    whole += minutes + up0(settles);
  }
  if (soaked !== null) after(soaked, readyV, lasts(soaked), 'it is soaked first');
  add('ready', 'Ready to cut', `keeps ${family.keeps}`, 0, false, false);
  after(
    lastIn,
    readyV,
    cooled,
    `even at the late end of its ${Math.round(m.early)}–${Math.round(m.late)} minutes it has to cool`,
  );
  after(coolV, readyV, coolMin + (finish.length > 0 ? 0 : up0(settles)), `it cools ${coolMin} minutes`);

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

  const mixed = stretches.reduce((t, x) => t + up(x.steps.reduce((q, y) => q + y.minutes.typical, 0)), 0) - fillMin;
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
    late: before + late,
    need: lasts(weighV) + mixed + fillMin + before + whole,
    together: bake.from ? frozenFits(f, kitchen).map(({ tin, count }) => ({ tin, count })) : togetherIn(f, kitchen),
    front: activities
      .filter((a) => a.kind === 'weigh' || a.kind === 'mix' || a.kind === 'fill' || a.kind === 'in')
      .reduce((s, a) => s + a.minutes, 0),
    mixers,
  };
}

/** Minutes in the oven: as handed in, as predicted, as stated, or as the steps have it. */
export function bakeMinutes(b: DayBake, list: readonly Step[]): { early: number; likely: number; late: number } {
  // what was reckoned for an oven says nothing of a pan
  if (b.minutes && !b.from && !elsewhere(b.formula)) return b.minutes;
  const s = list.find((x) => x.kind === 'bake');
  return { early: s?.minutes.low ?? 30, likely: s?.minutes.typical ?? 40, late: s?.minutes.high ?? 55 };
}
