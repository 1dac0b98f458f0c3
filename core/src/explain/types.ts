import type { Band } from '../formula/types.js';

export interface Explanation {
  readonly words: string;
  /** The equation with this formula's numbers in it. */
  readonly equation: string;
  readonly inputs: readonly {
    readonly name: string;
    readonly value: number;
    readonly unit: string;
    readonly from: string;
  }[];
  readonly band?: Band;
  readonly source: string;
}

export const general = 'General baking knowledge, not looked up; docs/science/balance.md';
export const chemistry = 'Stoichiometry (computed) with acid values of general knowledge; docs/science/leavening.md';
export const judgement = 'A judgement of ours, from documented sums; docs/science/balance.md';
