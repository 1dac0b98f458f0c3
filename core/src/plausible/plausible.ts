import { familyFor } from '../balance/families.js';
import type { FamilyId, Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { linesOf, type Line } from '../leavening/parts.js';
import { totalsOf } from '../balance/totals.js';
import { weigh } from '../balance/weigh.js';
import { familyByEvidence } from '../balance/evidence.js';
import { FAR_OFF, judge, type Judged } from './judge.js';
import { isEggless, saidOf } from './said.js';
import { acidMeant, MENDED } from './acid-meant.js';
import { NAMED, suspectsOf, type Suspect } from './suspects.js';
import { roleOf } from './sums.js';
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

/** Grams in an ounce; and the weights beyond which a large line is worth a thought: so few grams, so many for ounces. */
const OUNCE = 28.35;
const FEW = 45;
const MANY = 1200;

/** The one line in grams that was meant in ounces, or the other way, if that makes the whole ordinary; each is judged in full. */
function ouncesForGrams(j: Judged, lines: readonly Line[], formula: Formula, kitchen: Kitchen): Suspect | null {
  let best: Suspect | null = null;
  for (const line of lines) {
    const role = roleOf(line);
    const unit = line.item.entered?.unit;
    if (role === null || role === 'leavener' || role === 'salt') continue;
    const times = unit === 'g' && line.grams < FEW ? OUNCE : unit === 'oz' && line.grams > MANY ? 1 / OUNCE : null;
    if (times === null) continue;
    const likelyG = times * line.grams;
    const meant = lines.map((l) => (l === line ? { ...l, grams: likelyG } : l));
    const then = judge(meant, formula.family, saidOf(formula), kitchen);
    const gain = then ? Math.log((then.typical + 0.01) / (j.typical + 0.01)) : 0;
    if (then && then.typical >= MENDED && gain > (best?.gain ?? 0))
      best = { itemId: line.item.id, role, slip: 'unit', factor: 1 / times, likelyG, gain, sure: 'plain' };
  }
  return best;
}

/** How many times a line may be out before nothing known is like the whole. */
const SIZES = [30, 10, 4, 1 / 4, 1 / 10, 1 / 30] as const;

/** Where a formula is like nothing that is known: the one line which, so many times as large, brings it nearest to what is. */
function bySize(j: Judged, lines: readonly Line[], formula: Formula, kitchen: Kitchen): Suspect | null {
  let apart = FAR_OFF;
  let best: Suspect | null = null;
  for (const line of lines) {
    const role = roleOf(line);
    if (role === null) continue;
    for (const times of SIZES) {
      const likelyG = times * line.grams;
      const meant = lines.map((l) => (l === line ? { ...l, grams: likelyG } : l));
      const then = judge(meant, formula.family, saidOf(formula), kitchen);
      if (!then || then.apart >= apart) continue;
      apart = then.apart;
      const gain = j.apart - apart;
      best = { itemId: line.item.id, role, slip: 'times', factor: 1 / times, likelyG, gain, sure: 'plain' };
    }
  }
  return best;
}

/** The suspects with their words; a slip of the unit or of the size stands first where it alone makes the whole ordinary. */
export function namedSuspects(j: Judged, lines: readonly Line[], formula: Formula, kitchen: Kitchen): NamedSuspect[] {
  const judgedAs = familyFor(formula.family, totalsOf(lines), formula.title);
  // what its name says is not in it is not missing
  const eggless = isEggless(formula.title);
  const suspects = suspectsOf(j, lines, kitchen).filter((s) => !(eggless && s.role === 'egg' && s.slip === 'missing'));
  const far = j.apart > FAR_OFF;
  const sour = acidMeant(j, lines, suspects, formula, kitchen);
  const instead =
    sour.length === 0 && j.typical <= NAMED
      ? (ouncesForGrams(j, lines, formula, kitchen) ?? (far ? bySize(j, lines, formula, kitchen) : null))
      : null;
  const first = sour.length > 0 ? sour : instead ? [instead] : [];
  const rest = suspects.filter((s) => !first.some((x) => x.role === s.role));
  const all = first.length > 0 ? [...first, ...rest.map((s): Suspect => ({ ...s, sure: 'hint' }))] : suspects;
  return all.map((s) => {
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
