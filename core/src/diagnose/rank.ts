import type { FamilyId } from '../formula/types.js';
import { symptomIds, type SymptomId } from '../log/symptoms.js';
import { BY_CHANCE, causes, ordinary, REMARKED, type Cause } from './causes.js';
import { ECHO, echoes, type FactId, type Facts } from './facts.js';

/** A cause with how likely it is, and what each fact and symptom added to that, in nats (ln of a likelihood ratio). */
export interface Ranked {
  readonly cause: Cause;
  /** 0–1 over all causes and "nothing in particular". */
  readonly probability: number;
  readonly byFact: readonly { readonly fact: FactId; readonly weight: number }[];
  readonly bySymptom: readonly { readonly symptom: SymptomId; readonly weight: number }[];
}

/** With a fault, a fact spreads this much round its shift; without, it has a sigma of 1. */
const SPREAD = 1.4;
/** One fact can hardly decide more than this, either way. */
const MOST = { for: 4, against: -3 } as const;
/** Prior weight of "nothing in particular" against the sum of all causes. */
const NOTHING = 1.6;

/** What a fact says of a fault that shifts it: ln of how much likelier it is with the fault than without. */
export function speaksFor(z: number, shift: number): number {
  // a fault that leaves a fact alone is only spoken against by what lies far out
  if (shift === 0) return z * z > 4 ? -0.12 * (z * z - 4) : 0.15;
  const [size, towards] = [Math.abs(shift), z * Math.sign(shift)];
  // far on the other side the wider of two normals would win again; there it speaks no less against
  const at = Math.max(towards, -size / (SPREAD * SPREAD - 1));
  const llr = -((at - size) ** 2) / (2 * SPREAD * SPREAD) - Math.log(SPREAD) + (at * at) / 2;
  return Math.max(MOST.against, Math.min(MOST.for, llr));
}

/** Chance of a symptom being remarked in a sound bake of the family. */
const byChance = (s: SymptomId, family: FamilyId): number => ordinary[family]?.[s] ?? BY_CHANCE;
/** The same with a cause: by it, or by chance. */
const withCause = (s: SymptomId, cause: Cause, family: FamilyId): number =>
  1 - (1 - REMARKED * (cause.shows[s] ?? 0)) * (1 - byChance(s, family));

/** Whether a cause can be at all. */
export const canBe = (cause: Cause, family: FamilyId): boolean =>
  !cause.families || family === 'free' || cause.families.includes(family);

/**
 * Ranks all causes, as if one of them alone were at work, or nothing in particular: prior × what the symptoms say ×
 * what the facts say. `more` adds what the history says of a cause, in nats.
 */
export function rank(
  seen: readonly SymptomId[],
  facts: Facts,
  family: FamilyId,
  more: (cause: Cause) => number = () => 0,
): { ranked: readonly Ranked[]; nothing: number } {
  const possible = causes.filter((c) => canBe(c, family));
  const total = possible.reduce((s, c) => s + c.base, 0);
  const scored = possible.map((cause) => {
    const bySymptom = symptomIds.map((s) => {
      const [p, q] = [withCause(s, cause, family), byChance(s, family)];
      return { symptom: s, weight: seen.includes(s) ? Math.log(p / q) : Math.log((1 - p) / (1 - q)) };
    });
    const raw = cause.tells.flatMap(([fact, shift]) => {
      const f = facts[fact];
      return f ? [{ fact, weight: speaksFor(f.z, shift) }] : [];
    });
    const byFact = quietened(raw);
    const score =
      Math.log(cause.base / total) +
      bySymptom.reduce((s, x) => s + x.weight, 0) +
      byFact.reduce((s, x) => s + x.weight, 0) +
      more(cause);
    return { cause, score, byFact, bySymptom };
  });
  const best = Math.max(Math.log(NOTHING), ...scored.map((s) => s.score));
  const none = Math.exp(Math.log(NOTHING) - best);
  const sum = none + scored.reduce((s, x) => s + Math.exp(x.score - best), 0);
  return {
    ranked: scored
      .map(({ cause, score, byFact, bySymptom }) => ({
        cause,
        probability: Math.exp(score - best) / sum,
        byFact,
        bySymptom: bySymptom.filter((x) => seen.includes(x.symptom) || x.weight < -0.3),
      }))
      .sort((a, b) => b.probability - a.probability || (a.cause.id < b.cause.id ? -1 : 1)),
    nothing: none / sum,
  };
}

/** Facts that echo each other: the strongest in full, the rest in part. */
function quietened<T extends { readonly fact: FactId; readonly weight: number }>(list: readonly T[]): T[] {
  return list.map((x) => {
    const group = echoes.find((e) => e.includes(x.fact));
    if (!group) return x;
    const strongest = list.filter((y) => group.includes(y.fact)).sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight))[0]; // prettier-ignore
    return strongest === x ? x : { ...x, weight: ECHO * x.weight };
  });
}
