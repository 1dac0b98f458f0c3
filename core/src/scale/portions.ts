import { familyOf } from '../balance/families.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { totalsOf } from '../balance/totals.js';
import { linesOf } from '../leavening/parts.js';
import { workOf } from '../method/operations.js';
import { shared } from '../method/together.js';
import { fitTins, piecesIn } from '../tin/fit.js';

export interface Portion {
  readonly name: 'bake now' | 'freeze';
  readonly share: number;
  readonly batterG: number;
  readonly pieces: number;
  readonly words: string;
}

/** Pieces that a batch makes, and how many of them its method bakes now; the others it freezes raw. */
export function madeAndBaked(formula: Formula, kitchen: Kitchen): { readonly pieces: number; readonly now: number } {
  const fits = formula.tins ? fitTins(formula, formula.tins, kitchen) : [];
  const { away } = shared(workOf(formula, kitchen).operations, fits);
  const inTins = piecesIn(fits);
  // what is baked whole is cut into as many as the recipe says
  const pieces = inTins > 1 ? inTins : (formula.yield?.pieces ?? 1);
  return { pieces, now: pieces - (away ? (away.pieces ?? Math.round(away.share * pieces)) : 0) };
}

/**
 * Part of a batch baked now and part frozen. Shaped dough freezes raw and is baked from frozen; a batter is better
 * baked and frozen as a cake, since its leavener is half spent by the time it has thawed.
 *
 * @param nowShare share of the batter baked now, 0–1
 */
export function bakeAndFreeze(formula: Formula, nowShare: number, kitchen: Kitchen): Portion[] {
  const share = Math.min(1, Math.max(0, Number.isFinite(nowShare) ? nowShare : 1));
  const batterG = totalsOf(linesOf(formula, kitchen)).batterG;
  const { pieces } = madeAndBaked(formula, kitchen);
  const family = familyOf(formula.family);
  const shaped = family.methods[0] === 'rub-in';
  const now = Math.round(pieces * share);
  const freeze =
    pieces === 1 || share >= 1
      ? ''
      : shaped
        ? 'freeze raw on a tray, then bag; bake from frozen, a fifth to a third longer'
        : 'bake all, cool right through, freeze wrapped the same day, up to 2 months; thaw in the wrapping';
  const all: Portion[] = [
    { name: 'bake now', share, batterG: batterG * share, pieces: now, words: `${now} of ${pieces}` },
    { name: 'freeze', share: 1 - share, batterG: batterG * (1 - share), pieces: pieces - now, words: freeze },
  ];
  return all.filter((p) => p.share > 0.001);
}
