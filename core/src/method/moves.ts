import type { WorkMove } from '../formula/types.js';
import { clauseLine } from './lines.js';
import type { Phased } from './phases.js';
import type { Phase } from './types.js';

const wordsOf = (p: Phased): string => clauseLine(p.d.clause);
const order: readonly Phase[] = ['ahead', 'mix', 'shape', 'oven', 'after', 'later'];

/** The baker's corrections over what was read: each piece that is still there goes where it was put. */
export function withMoves(list: readonly Phased[], moves: readonly WorkMove[]): Phased[] {
  const out = [...list];
  for (const m of moves) {
    const from = out.findIndex((p) => wordsOf(p) === m.words);
    if (from < 0) continue;
    const [piece] = out.splice(from, 1);
    if (!piece) continue;
    const to = m.before === null ? -1 : out.findIndex((p) => wordsOf(p) === m.before);
    // last of its phase, or where the next phase begins
    const last = out.findLastIndex((p) => order.indexOf(p.phase) <= order.indexOf(m.phase));
    out.splice(to >= 0 ? to : last + 1, 0, {
      ...piece,
      phase: m.phase,
      meanwhile: m.phase === piece.phase && piece.meanwhile,
    });
  }
  return out;
}
