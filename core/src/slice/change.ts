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
/** What happens to a slice: in the words of its index, and where it happens less, or no more. */
interface Event {
  readonly id: Seen['id'];
  /** The words of its index where nothing happens. */
  readonly calm: string;
  readonly more: (words: string) => string;
  readonly less: string;
  readonly ceases: string;
}
const EVENTS: readonly Event[] = [
  { id: 'sinks', calm: 'stands', more: (w) => `it ${w}`, less: 'it sinks less', ceases: 'it no longer sinks' },
  {
    id: 'streak',
    calm: 'even to the base',
    more: (w) => (w.startsWith('a ') ? w : `it ${w}`),
    less: 'less damp at the base',
    ceases: 'no longer damp at the base',
  },
  {
    id: 'pieces',
    calm: 'spread all through',
    more: (w) => `the pieces ${w.startsWith('sunk') ? 'sink to the base' : `lie ${w}`}`,
    less: 'the pieces sink less',
    ceases: 'the pieces no longer sink',
  },
  {
    id: 'cracks',
    calm: 'smooth',
    more: (w) => (w === 'cracked open' ? 'it cracks open' : `with ${w}`),
    less: 'it cracks less',
    ceases: 'it no longer cracks',
  },
];
/** From how much of a difference something is said to happen, of an index from 0 to 1, where its words change too. */
const HAPPENS = 0.08;

/**
 * What a change does to the slice, in a baker's words: "a shorter, drier slice, a little paler; it may sink a little".
 * Drawn from the same indices as the drawing, and as much of an estimate; "much the same slice" where no index moves enough
 * to be seen: the height by 3.5 %, others by 0.15 of their −1 to 1, what happens by 0.08 of its 0 to 1.
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
  const events = EVENTS.flatMap(({ id, calm, more, less, ceases }) => {
    const [from, to] = [was.seen[id], is.seen[id]];
    if (from.words === to.words || Math.abs(to.value - from.value) < HAPPENS) return [];
    return [to.value > from.value ? more(to.words) : to.words === calm ? ceases : less];
  });
  const slightly = little.length > 0 ? `a little ${enumerated(little)}` : '';
  const slice = much.length > 0 ? `a ${much.join(', ')} slice${slightly && `, ${slightly}`}` : slightly;
  return [slice, ...events].filter((x) => x !== '').join('; ') || 'much the same slice';
}

/** Whether a slice sinks, or is damp at its base, where it did not before, or more than it did. */
export const spoilt = (was: Slice, is: Slice): boolean =>
  (['sinks', 'streak'] as const).some(
    (id) => was.seen[id].words !== is.seen[id].words && is.seen[id].value >= was.seen[id].value + HAPPENS,
  );
