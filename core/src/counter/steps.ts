import { told, toldAll } from '../quantity/figures.js';
import { weigh } from '../balance/weigh.js';
import type { BakePrediction } from '../bake/predict.js';
import type { PlanMark } from '../bake/plan.js';
import type { Formula, Kitchen, Oven } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { operations } from '../method/operations.js';
import { shared } from '../method/together.js';
import { fitTins, type TinFit } from '../tin/fit.js';
import { after } from './after.js';
import { amountsFor } from './amounts.js';
import { linesOfAll } from './worded.js';
import { beforeOven, fillingsOf } from './bowl.js';
import { fromFreezer, onlyFrozen } from './from-freezer.js';
import { baking } from './oven.js';
import type { Parts } from './parts.js';
import { ovenOn, takeOut, tinsReady, weighIn } from './ready.js';
import type { Step } from './step.js';

/** What the steps are for: the tins as they are filled, and the bake as it is predicted. */
export interface CounterPlan {
  /** Of the formula in its tins, from `fitTins`; worked out from the formula's own tins when left out. */
  readonly fits?: readonly TinFit[];
  readonly prediction?: BakePrediction | null;
  /** What a prediction left for the counter: its marks and its time; they take its place. */
  readonly marks?: readonly PlanMark[];
  readonly minutes?: { readonly early: number; readonly likely: number; readonly late: number } | null;
  /** The oven it goes into: its dial is what the words say. */
  readonly oven?: Oven;
  /** Only what the method froze raw, on another day. */
  readonly from?: 'freezer';
}

const READY = new Set(['heat', 'grease', 'line', 'take from the cold', 'weigh']);

/**
 * The full list of steps of a formula: its operations in working order as the hands do them, one thing in each, in the baker's
 * own words with the amounts that go in; what to take out, the oven, the tins, weighing; waits; the bake with what to do when;
 * cooling, finishing, keeping. Amounts are the formula's as it stands: hand in the scaled one.
 */
export function steps(formula: Formula, plan: CounterPlan = {}, kitchen: Kitchen = defaultKitchen): Step[] {
  const w = weigh(formula, kitchen);
  const work = operations(formula, kitchen);
  const all = linesOfAll(formula, kitchen);
  const frozen = plan.from === 'freezer';
  const fits = (frozen ? null : plan.fits) ?? (formula.tins ? fitTins(formula, formula.tins, kitchen) : []);
  const whole: Parts = {
    formula,
    kitchen,
    lines: w.lines,
    all,
    family: w.family,
    method: w.methods.chosen,
    batterG: w.totals.batterG,
    lift: w.lift,
    flourG: w.totals.flourG,
    fits,
    ...shared(work, fits, plan.oven ?? kitchen.ovens[0]),
    plan: frozen ? [] : (plan.marks ?? plan.prediction?.plan ?? []),
    predicted: frozen ? null : (plan.minutes ?? plan.prediction?.minutes ?? null),
    ...(plan.oven && { oven: plan.oven }),
    work,
    amounts: amountsFor(work, all, kitchen),
  };
  const p = frozen ? onlyFrozen(whole) : whole;
  const pre = work.filter((o) => o.phase === 'ahead' || o.phase === 'mix' || o.phase === 'shape');
  const out: Step[] = [];
  const filling = fillingsOf(pre, fits);
  let bowl: typeof pre = [];
  const close = (): void => {
    if (bowl.length > 0) out.push(...beforeOven(bowl, p, filling));
    bowl = [];
  };
  const oven = pre.filter((o) => o.verb === 'heat');
  const tins = pre.filter((o) => o.verb === 'grease' || o.verb === 'line');
  for (const o of pre) {
    if (!READY.has(o.verb) || (o.verb === 'weigh' && o.by === 'baker')) {
      bowl.push(o);
      continue;
    }
    if (o === oven[0] || o === tins[0] || o.verb === 'weigh' || o.verb === 'take from the cold') close();
    if (o === oven[0]) out.push(ovenOn(oven, p));
    else if (o === tins[0]) out.push(tinsReady(tins, p));
    else if (o.verb === 'weigh') out.push(weighIn(o, p));
    else if (o.verb === 'take from the cold') out.push(takeOut(o, p));
  }
  close();
  const list = [
    ...out,
    ...baking(
      work.filter((o) => o.phase === 'oven'),
      p,
    ),
    ...after(work, p),
  ];
  const once = list.filter((s, i) => list.findIndex((x) => x.id === s.id) === i);
  return (frozen ? fromFreezer(once, p) : once).map((s) => inUnits(s, kitchen));
}

/** A step in the kitchen's units; the baker's own words stay as they are. */
function inUnits(s: Step, kitchen: Kitchen): Step {
  const { detail, looks, wrong, wanted, caution, called, marks } = s;
  const shown = toldAll(kitchen, { detail, looks, wrong, wanted, caution, marks, ...(called !== undefined && { called }) }); // prettier-ignore
  return { ...s, ...shown, words: s.own ? s.words : told(kitchen, s.words) };
}
