import type { Item } from '../formula/types.js';
import type { Choice, Place } from './draft.js';

/** Where things stand in the text. */
export interface Places {
  readonly item: (id: string) => Place;
  readonly step: (n: number) => Place | null;
  /** Where the time of the oven stands. */
  readonly time: Place | null;
}

/** An amount to take instead. */
export const amountOf = (id: string, words: string, item: Item, grams: number): Choice => ({
  id,
  words: `${words}, ${grams.toFixed(1)} g`,
  edit: { kind: 'amount', itemId: item.id, grams, entered: { value: Math.round(grams * 10) / 10, unit: 'g' } },
});
export const meant: Choice = { id: 'keep', words: 'it is meant', edit: { kind: 'keep' } };
