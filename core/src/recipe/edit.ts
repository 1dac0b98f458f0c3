import { groupFor } from '../formula/formula.js';
import type { Formula, Group, Item, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import type { Doubt } from './draft.js';
import { readLine } from './line.js';

/** A formula with one more line, the line's id, and what is doubtful about it. */
export interface Added {
  readonly formula: Formula;
  readonly itemId: string;
  readonly doubts: readonly Doubt[];
}

/**
 * Adds an ingredient line in the baker's words, taken in the kitchen's measures, to the group that it is mixed with.
 * Unclear lines are added as they were read, with their doubts. Null when the words hold nothing.
 */
export function addLine(formula: Formula, words: string, kitchen: Kitchen = defaultKitchen): Added | null {
  if (words.trim() === '') return null;
  const taken = new Set(formula.groups.flatMap((g) => g.items).map((i) => i.id));
  let n = taken.size + 1;
  while (taken.has(`i${n}`)) n++;
  const read = readLine(words.slice(0, 300), 0, `i${n}`, kitchen.measures, kitchen);
  const [item, ...more] = read.items as readonly [Item, ...Item[]];
  const at = groupFor(formula, item, kitchen);
  const groups: readonly Group[] =
    at < 0
      ? [
          ...formula.groups,
          { id: `g${formula.groups.length + 1}`, name: 'Batter', role: 'batter', items: [item, ...more] },
        ]
      : formula.groups.map((g, i) => (i === at ? { ...g, items: [...g.items, item, ...more] } : g));
  return { formula: { ...formula, groups }, itemId: item.id, doubts: read.doubts };
}

/** Takes a line out, and a group that it leaves empty. Method steps stop pointing at it. */
export function removeItem(formula: Formula, itemId: string): Formula {
  return {
    ...formula,
    groups: formula.groups
      .map((g) => (g.items.some((i) => i.id === itemId) ? { ...g, items: g.items.filter((i) => i.id !== itemId) } : g))
      .filter((g, n) => g.items.length > 0 || formula.groups[n]?.items.length === 0),
    method: formula.method.map((m) =>
      m.itemIds.includes(itemId) ? { ...m, itemIds: m.itemIds.filter((x) => x !== itemId) } : m,
    ),
  };
}
