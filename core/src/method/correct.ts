import type { Formula, Kitchen, WorkMove } from '../formula/types.js';
import { workOf } from './operations.js';
import type { Phase } from './types.js';

/**
 * Puts one of the baker's operations elsewhere; the formula keeps it as a correction.
 *
 * @param before id of the operation it is to come before; null for last of the phase
 * @returns the formula unchanged when there is no such operation of the baker's
 */
export function moveOperation(
  formula: Formula,
  id: string,
  phase: Phase,
  before: string | null,
  kitchen?: Kitchen,
): Formula {
  const { operations } = workOf(formula, kitchen);
  const piece = operations.find((o) => o.id === id);
  const next = before === null ? null : (operations.find((o) => o.id === before) ?? null);
  if (!piece || next === piece) return formula;
  const move: WorkMove = { words: piece.words, phase, before: next?.words ?? null };
  return { ...formula, work: [...(formula.work ?? []).filter((m) => m.words !== piece.words), move] };
}

/** The formula with the order of its text again. */
export function asWritten(formula: Formula): Formula {
  const { work: _, ...rest } = formula;
  return rest;
}

/** The formula with its method's words as edited, a line an entry; entries that are the same keep all that is known of them. */
export function withMethod(formula: Formula, text: string): Formula {
  const had = new Map(formula.method.map((m) => [m.text, m]));
  const lines = text
    .split(/\n+/)
    .map((l) => l.trim())
    .filter((l) => l !== '');
  return { ...formula, method: lines.map((l) => had.get(l) ?? { text: l, itemIds: [] }) };
}
