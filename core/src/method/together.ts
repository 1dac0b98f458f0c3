import type { Formula, Kitchen, Oven, TinUse } from '../formula/types.js';
import { fitTins, piecesIn, type TinFit } from '../tin/fit.js';
import { loadsOf, type Loads } from '../tin/loads.js';
import { MOST_LOADS, saidLoads, type SaidLoads } from './loads.js';
import { workOf } from './operations.js';
import { bakedNow, putAway, type PutAway } from './put-away.js';
import type { Operation } from './types.js';

/** What becomes of a shaped dough or a filled batter: what is frozen raw, and the loads in which the rest is baked. */
export interface Shared {
  readonly away: PutAway | null;
  readonly said: SaidLoads;
  readonly loads: Loads;
}

/** Shares what the tins hold between freezer and oven, and over loads, as the words say and the oven has room. */
export function shared(work: readonly Operation[], fits: readonly TinFit[], oven?: Oven): Shared {
  const away = putAway(work, piecesIn(fits), fits[0]?.tin.rounds);
  const said = saidLoads(work);
  const baked = bakedNow(fits, away);
  const loads = said.atATime === null ? said.loads : Math.ceil(piecesIn(baked) / said.atATime);
  return { away, said, loads: loadsOf(baked, Math.max(said.loads, Math.min(MOST_LOADS, loads)), oven) };
}

/** The tins and pieces of the first load: what stands in the oven at once. */
export function togetherIn(formula: Formula, kitchen: Kitchen): readonly TinUse[] {
  if (!formula.tins) return [];
  const { loads } = shared(
    workOf(formula, kitchen).operations,
    fitTins(formula, formula.tins, kitchen),
    kitchen.ovens[0],
  );
  return (loads.each[0] ?? []).map(({ tin, count }) => ({ tin, count }));
}
