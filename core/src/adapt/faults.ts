import { families } from '../balance/families.js';
import { outside } from '../balance/verdict.js';
import { LIFT_EDGE } from '../balance/verdicts.js';
import { weigh, type Weighed } from '../balance/weigh.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { TRIFLE } from './settings.js';
import type { Conflict, NamedWish, Proposal, Request } from './types.js';

/** What is left of a merit once what advice would leave alone is taken off: lift at the very edge of its band. */
export function worth(w: Weighed): number {
  const lift = w.family.id === 'free' ? 0 : outside(w.lift.mmolPer100gBase.typical, w.lift.target);
  return w.merit - (lift <= LIFT_EDGE ? lift : 0);
}

export const conflict = (
  why: Conflict['why'],
  words: string,
  wishes: readonly NamedWish[] = [],
  nearest: Proposal | null = null,
): Conflict => ({ kind: 'conflict', why, words, wishes, nearest });

/** What cannot be worked on at all, in words; null when it can. */
export function fault(formula: Formula, request: Request, kitchen: Kitchen): Conflict | null {
  if (!families.some((f) => f.id === formula.family))
    return conflict('no-family', `There is no family "${formula.family}" to judge it by. Choose one on the Bench.`);
  const w = weigh(formula, kitchen);
  if (w.totals.baseG <= 0)
    return conflict(
      'no-flour',
      'No flour: nothing here can set to a crumb, and nothing can be counted against it. Add flour first.',
    );
  if (formula.family === 'free' && (request.wishes ?? []).length === 0 && worth(w) <= TRIFLE)
    return conflict(
      'no-family',
      'No family chosen: there are no ranges to bring it into. Choose a family, or ask for something.',
    );
  return null;
}
