import { familyFor } from '../balance/families.js';
import { weigh } from '../balance/weigh.js';
import type { BakePrediction } from '../bake/predict.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { fitTins, type TinFit } from '../tin/fit.js';
import { shareLines } from './amounts.js';
import { matchMethod } from './match.js';
import { mixing } from './mix.js';
import { stages as stagesOf } from './mixing.js';
import { after, baking } from './oven.js';
import type { Parts } from './parts.js';
import { getReady, takeOut } from './ready.js';
import type { Step } from './step.js';

/** What the steps are for: the tins as they are filled, and the bake as it is predicted. */
export interface CounterPlan {
  /** Of the formula in its tins, from `fitTins`; worked out from the formula's own tins when left out. */
  readonly fits?: readonly TinFit[];
  readonly prediction?: BakePrediction | null;
}

/**
 * The full list of steps of a formula: what to take out, the oven, the tins, weighing, the mixing in the baker's own
 * words with the amounts that go in, waits, filling, the bake with what to do when, cooling, finishing, keeping. Amounts
 * are the formula's as it stands: hand in the scaled one.
 */
export function steps(formula: Formula, plan: CounterPlan = {}, kitchen: Kitchen = defaultKitchen): Step[] {
  const w = weigh(formula, kitchen);
  const family = familyFor(formula.family, w.totals);
  const { method, entries: all } = matchMethod(formula, w.lines, w.totals, family);
  const entries = all.filter((e) => !e.heats);
  const roles = new Map(formula.groups.flatMap((g) => g.items.map((i) => [i.id, g.role ?? 'batter'] as const)));
  const p: Parts = {
    formula,
    kitchen,
    lines: w.lines,
    family,
    batterG: w.totals.batterG,
    flourG: w.totals.flourG,
    fatPct: w.totals.fatPct,
    fits: plan.fits ?? (formula.tins ? fitTins(formula, formula.tins, kitchen) : []),
    prediction: plan.prediction ?? null,
    entries,
    shares: shareLines(w.lines, roles, entries, kitchen),
    heats: all
      .filter((e) => e.heats)
      .map((e) => e.text)
      .join(' '),
    stages: stagesOf[method],
    rubbed: method === 'rub-in',
    creamed: method === 'creaming',
  };
  return [...takeOut(p), ...getReady(p), ...mixing(p), ...baking(p), ...after(p)];
}
