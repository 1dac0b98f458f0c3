import type { Formula, Kitchen } from '../formula/types.js';
import { pressureRatio } from '../leavening/volume.js';
import { judge, type Judged } from '../plausible/judge.js';
import { namedSuspects, type NamedSuspect } from '../plausible/plausible.js';
import { saidOf } from '../plausible/said.js';
import { spansOf, type Spans } from '../plausible/spans.js';
import { hintOf, wholeWords } from '../plausible/words.js';
import type { Weighed } from './weigh.js';

/** Where each gauge of a weighed formula usually stands; null where there is neither flour nor nuts to judge by. */
export function spansFor(
  formula: Formula,
  { lines, totals }: Pick<Weighed, 'lines' | 'totals'>,
  kitchen: Kitchen,
): Spans | null {
  const judged = judge(lines, formula.family, saidOf(formula), kitchen);
  return judged && spansOf(judged, totals, pressureRatio(kitchen.altitudeM));
}

/** A weighed formula held against ordinary ones: where each gauge usually stands, and which line may be wrong. */
export interface Held extends Judged {
  readonly spans: Spans;
  readonly suspects: readonly NamedSuspect[];
  /** The whole in a sentence. */
  readonly words: string;
  /** Where to look first, if it is a little odd; else empty. */
  readonly hint: string;
}

/** @returns null where there is neither flour nor nuts to judge by */
export function heldAgainst(
  formula: Formula,
  w: Pick<Weighed, 'lines' | 'totals' | 'family'>,
  kitchen: Kitchen,
): Held | null {
  const judged = judge(w.lines, formula.family, saidOf(formula), kitchen);
  if (!judged) return null;
  const suspects = namedSuspects(judged, w.lines, formula, kitchen);
  return {
    ...judged,
    spans: spansOf(judged, w.totals, pressureRatio(kitchen.altitudeM)),
    suspects,
    words: wholeWords(judged.typical, suspects[0]?.sure, w.family),
    hint: hintOf(judged.typical, suspects[0]?.words),
  };
}
