import type { Formula, Kitchen } from '../formula/types.js';
import { ledgerOf, pool, type Ledger, type Pool } from '../leavening/ledger.js';
import { liftOf, type Lift } from '../leavening/lift.js';
import { linesOf, type Line, type Scenario } from '../leavening/parts.js';
import { familyOf, type Consistency } from './families.js';
import { consistencyOf, totalsOf, type Totals } from './totals.js';
import { masks, meritOf } from './verdicts.js';

/** Everything that can be weighed up without looking for advice; what the search for advice runs on. */
export interface Weighed {
  readonly lines: readonly Line[];
  readonly totals: Totals;
  readonly lift: Lift;
  readonly ledger: Ledger;
  readonly consistency: Consistency;
  readonly masked: boolean;
  readonly merit: number;
}

export function weigh(formula: Formula, kitchen: Kitchen): Weighed {
  const family = familyOf(formula.family);
  const lines = linesOf(formula, kitchen);
  const totals = totalsOf(lines);
  const pools: Record<Scenario, Pool> = {
    low: pool(lines, 'low', kitchen),
    typical: pool(lines, 'typical', kitchen),
    high: pool(lines, 'high', kitchen),
  };
  const consistency = consistencyOf(totals);
  const lift = liftOf(pools, totals.baseG, family, consistency, totals.creamableG, kitchen.altitudeM);
  const ledger = ledgerOf(lines, pools, totals.batterG, kitchen);
  const masked = masks(lines, totals);
  return { lines, totals, lift, ledger, consistency, masked, merit: meritOf(totals, lift, ledger, family, masked) };
}
