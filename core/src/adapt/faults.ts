import { families } from '../balance/families.js';
import { weigh } from '../balance/weigh.js';
import type { Formula, Kitchen } from '../formula/types.js';
import type { Conflict, NamedWish, Proposal } from './types.js';

export const conflict = (
  why: Conflict['why'],
  words: string,
  wishes: readonly NamedWish[] = [],
  nearest: Proposal | null = null,
): Conflict => ({ kind: 'conflict', why, words, wishes, nearest });

/** What cannot be worked on at all, in words; null when it can. */
export function fault(formula: Formula, kitchen: Kitchen): Conflict | null {
  if (!families.some((f) => f.id === formula.family))
    return conflict('no-family', `There is no family "${formula.family}" to judge it by. Choose one on the Bench.`);
  const w = weigh(formula, kitchen);
  if (w.totals.baseG <= 0)
    return conflict(
      'no-flour',
      'No flour: nothing here can set to a crumb, and nothing can be counted against it. Add flour first.',
    );
  return null;
}
