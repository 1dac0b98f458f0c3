import { defaultKitchen, type Doubt, type Item, type Kitchen } from '../../src/index.js';
import { readLine } from '../../src/recipe/line.js';

/** One line read by itself: its first item, all of them, and the doubts. */
export function oneLine(
  text: string,
  kitchen: Kitchen = defaultKitchen,
): { readonly item: Item; readonly items: readonly Item[]; readonly doubts: readonly Doubt[] } {
  const { items, doubts } = readLine(text, 0, 'i', kitchen.measures, kitchen);
  return { item: items[0] as Item, items, doubts };
}
