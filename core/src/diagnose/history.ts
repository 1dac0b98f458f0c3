import { causeOf, type Cause } from './causes.js';
import type { SymptomId } from '../log/symptoms.js';
import type { BakeRecord } from '../log/types.js';

/** What other bakes say of a cause. */
export interface History {
  /** Nats for a cause. */
  speaks(cause: Cause): number;
  evidence(cause: Cause): { weight: number; words: string }[];
}

/** One clean bake of the same version speaks so much against a cause that lies in the formula, nats; and its most. */
const CLEAN = { each: 0.5, most: 1.8 } as const;
/** The same fault in another formula of the same oven speaks so much for the oven. */
const ELSEWHERE = { each: 0.6, most: 1.8 } as const;
/** A trial that mended it, and one that did not: ln of 0.75 over 0.3, and of 0.25 over 0.7. */
const TRIED = { mended: 0.92, not: -1.03 } as const;

const count = (n: number, what: string): string => `${n === 1 ? 'One' : n} ${what}${n === 1 ? '' : 's'}`;
const hasAny = (b: BakeRecord, seen: readonly SymptomId[]): boolean => (b.result?.symptoms ?? []).some((s) => seen.includes(s)); // prettier-ignore
/** Whether somebody looked at how it came out at all. */
const judged = (b: BakeRecord): boolean => b.result?.symptoms !== undefined || b.result?.marks !== undefined || b.outcome !== 'fine'; // prettier-ignore
const wrong = (b: BakeRecord): boolean => (b.result?.symptoms ?? []).length > 0 || ['sunk', 'dense', 'dry', 'under', 'over'].includes(b.outcome); // prettier-ignore

/**
 * What the other bakes say: the same version that came out well speaks against its formula, the same fault in other
 * formulas of the same oven for the oven, and bakes that tried a cause's remedy for or against that cause.
 */
export function historyOf(
  formulaId: string,
  bake: BakeRecord | null,
  all: readonly BakeRecord[],
  seen: readonly SymptomId[],
): History {
  const others = all.filter((b) => b.id !== bake?.id && !b.excluded && judged(b));
  const clean = others.filter((b) => b.formulaId === formulaId && !hasAny(b, seen) && !wrong(b) && b.trial === undefined && (bake === null || bake.versionId === null || b.versionId === bake.versionId)); // prettier-ignore
  const elsewhere = seen.length === 0 ? [] : others.filter((b) => b.formulaId !== formulaId && (!bake || b.ovenId === bake.ovenId) && hasAny(b, seen)); // prettier-ignore
  const trials = others.filter((b) => b.formulaId === formulaId && b.trial !== undefined);
  const lines = (cause: Cause): { weight: number; words: string }[] => {
    const out: { weight: number; words: string }[] = [];
    if (cause.kind === 'formula' && clean.length > 0)
      out.push({
        weight: -Math.min(CLEAN.most, CLEAN.each * clean.length),
        words: `${count(clean.length, 'earlier bake')} of the same formula came out well.`,
      });
    if (cause.kind === 'oven' && elsewhere.length > 0)
      out.push({
        weight: Math.min(ELSEWHERE.most, ELSEWHERE.each * elsewhere.length),
        words: `${count(elsewhere.length, 'bake')} of something else in this oven had it too.`,
      });
    for (const t of trials) {
      if (t.trial?.cause !== cause.id) continue;
      const gone = !hasAny(t, seen.length > 0 ? seen : (t.result?.symptoms ?? []));
      out.push({
        weight: gone ? TRIED.mended : TRIED.not,
        words: gone ? `It was tried: ${t.trial.words} It helped.` : `It was tried: ${t.trial.words} It did not help.`,
      });
    }
    return out;
  };
  return {
    speaks: (cause) => lines(cause).reduce((s, l) => s + l.weight, 0),
    evidence: lines,
  };
}

/** What became of an experiment: whether a later bake that tried a remedy confirmed its cause. */
export interface FollowUp {
  readonly state: 'confirmed' | 'refuted' | 'unclear';
  readonly words: string;
}

/**
 * Compares a bake that tried a remedy with the one that was diagnosed.
 * @param before the bake that was diagnosed
 * @param after the bake with the trial
 */
export function followUp(before: BakeRecord, after: BakeRecord): FollowUp {
  const cause = causeOf(after.trial?.cause ?? '');
  const name = cause?.name ?? 'the cause';
  const had = before.result?.symptoms ?? [];
  const relevant = had.filter((s) => (cause?.shows[s] ?? 0) >= 0.1);
  const looked = relevant.length > 0 ? relevant : had;
  if (looked.length === 0 || !judged(after))
    return { state: 'unclear', words: `Say how it came out: that speaks for or against ${name}.` };
  const still = looked.filter((s) => after.result?.symptoms?.includes(s));
  if (still.length === 0)
    return { state: 'confirmed', words: `It is gone: that speaks for ${name}. One more such bake would make it sure.` };
  return still.length < looked.length
    ? { state: 'unclear', words: `Some of it is gone: ${name} was perhaps not all.` }
    : { state: 'refuted', words: `It is still there: that speaks against ${name}.` };
}
