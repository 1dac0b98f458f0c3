import { familyFor } from '../balance/families.js';
import type { FamilyId, Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { linesOf, type Line } from '../leavening/parts.js';
import { totalsOf } from '../balance/totals.js';
import { weigh } from '../balance/weigh.js';
import { familyByEvidence } from '../balance/evidence.js';
import { judge, type Judged } from './judge.js';
import { saidOf } from './said.js';
import { suspectsOf, type Suspect } from './suspects.js';
import { wholeWords, wordsFor } from './words.js';

/** A suspect with what is to be said of it. */
export interface NamedSuspect extends Suspect {
  readonly short: string;
  readonly words: string;
}

/** How ordinary a formula is for what it wants to be, and which of its lines would make it so if it were another. */
export interface Plausibility {
  /** Share of ordinary formulas that look as odd as this one or odder, 0–1. */
  readonly typical: number;
  /** What it may be, likeliest first. */
  readonly families: readonly { readonly id: FamilyId; readonly weight: number }[];
  /** Likeliest first. Hints are for whoever asks; the others are verdicts. */
  readonly suspects: readonly NamedSuspect[];
  /** How many ordinary formulas it was held against. */
  readonly against: number;
  /** The whole in a sentence. */
  readonly words: string;
}

export function namedSuspects(j: Judged, lines: readonly Line[], formula: Formula, kitchen: Kitchen): NamedSuspect[] {
  const judgedAs = familyFor(formula.family, totalsOf(lines), formula.title);
  return suspectsOf(j, lines, kitchen).map((s) => {
    const { short, long } = wordsFor(s, lines, judgedAs, kitchen);
    return { ...s, short, words: long };
  });
}

/**
 * Judges a formula as one whole, against ordinary ones of its family and those next to it.
 *
 * @param kitchen its powder and own ingredients; an undescribed kitchen when absent
 * @returns without flour or nuts to judge by: nothing typical, and the flour as the one suspect
 * @throws OrvinError `unknown-family` when `formula.family` is not one of `families`
 */
export function plausible(formula: Formula, kitchen: Kitchen = defaultKitchen): Plausibility {
  const lines = linesOf(formula, kitchen);
  const j = judge(lines, formula.family, saidOf(formula), kitchen);
  const w = weigh(formula, kitchen);
  const found = familyByEvidence(formula, w.totals, w.lift.mmolPer100gBase.typical, kitchen);
  const families = found.near.map(({ id, weight }) => ({ id, weight }));
  if (!j) {
    const flour: Suspect = {
      role: 'flour',
      slip: 'missing',
      factor: 0,
      likelyG: 0,
      likely: 'plain-flour',
      gain: 20,
      sure: 'plain',
    };
    const words = lines.length === 0 ? 'Nothing in the bowl yet.' : 'No flour, and nothing in its place.';
    return {
      typical: 0,
      families,
      suspects: lines.length === 0 ? [] : [{ ...flour, short: 'no flour', words }],
      against: 0,
      words,
    };
  }
  const suspects = namedSuspects(j, lines, formula, kitchen);
  return {
    typical: j.typical,
    families,
    suspects,
    against: j.against,
    words: wholeWords(j.typical, suspects[0]?.sure, w.family),
  };
}
