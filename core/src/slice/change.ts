import { enumerated } from '../text/plain.js';
import type { Seen, Slice } from './slice.js';

/** From how much of a difference it is said, as a little and outright: of the height its logarithm, of the rest the index. */
const HEIGHT = [0.035, 0.1] as const;
const INDEX = [0.15, 0.45] as const;

const ADJECTIVES: readonly (readonly [Seen['id'], less: string, more: string])[] = [
  ['height', 'shorter', 'taller'],
  ['crumb', 'tighter', 'more open'],
  ['bite', 'firmer', 'more tender'],
  ['mouth', 'drier', 'moister'],
  ['crust', 'paler', 'darker'],
];
/** What happens to a slice or does not: said where the word for it changes. */
const EVENTS: readonly (readonly [Seen['id'], is: (words: string) => string, no: string])[] = [
  ['sinks', (w) => `it ${w}`, 'it no longer sinks'],
  ['streak', (w) => (w.startsWith('a ') ? w : `it ${w}`), 'no longer damp at the base'],
  [
    'pieces',
    (w) => `the pieces ${w.startsWith('sunk') ? 'sink to the base' : `lie ${w}`}`,
    'the pieces no longer sink',
  ],
  ['cracks', (w) => (w === 'cracked open' ? 'it cracks open' : `with ${w}`), 'it cracks less'],
];

/**
 * What a change does to the slice, in a baker's words: "a shorter, drier slice, a little paler; it may sink a little".
 * Drawn from the same indices as the drawing, and as much of an estimate; "much the same slice" where no index moves enough
 * to be seen: the height by 3.5 %, others by 0.15 of their −1 to 1.
 */
export function sliceChange(was: Slice, is: Slice): string {
  const much: string[] = [];
  const little: string[] = [];
  for (const [id, less, more] of ADJECTIVES) {
    const [from, to] = [was.seen[id].value, is.seen[id].value];
    const by = id === 'height' ? Math.log(to / from) : to - from;
    const [some, plain] = id === 'height' ? HEIGHT : INDEX;
    if (Math.abs(by) >= some) (Math.abs(by) >= plain ? much : little).push(by < 0 ? less : more);
  }
  const events = EVENTS.flatMap(([id, happens, no]) => {
    const [from, to] = [was.seen[id], is.seen[id]];
    return from.words === to.words ? [] : [to.value > from.value ? happens(to.words) : no];
  });
  const slightly = little.length > 0 ? `a little ${enumerated(little)}` : '';
  const slice = much.length > 0 ? `a ${much.join(', ')} slice${slightly && `, ${slightly}`}` : slightly;
  return [slice, ...events].filter((x) => x !== '').join('; ') || 'much the same slice';
}

/** Whether a slice sinks, or is damp at its base, where it did not before: an index that is seen, and more by 0.08. */
export const spoilt = (was: Slice, is: Slice): boolean =>
  (['sinks', 'streak'] as const).some(
    (id) => was.seen[id].words !== is.seen[id].words && is.seen[id].value > was.seen[id].value + 0.08,
  );
