import type { GroupHead } from './headings.js';

export type Kind = 'title' | 'heading' | 'ingredient' | 'method' | 'blank' | 'note' | 'story' | 'other';
/** What a line of the text is, or a part of one: a line may hold the name of a group and its list. */
export interface Classified {
  readonly kind: Kind;
  readonly text: string;
  readonly no: number;
  /** Where the text begins in its line. */
  readonly at: number;
  readonly group?: GroupHead;
  /** True for a group that ends with its line. */
  readonly inline?: boolean;
}
