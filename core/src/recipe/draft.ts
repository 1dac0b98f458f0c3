import type { BakeSetting, Entered, FamilyId, Formula, TinUse } from '../formula/types.js';

/** A place in the pasted text: line number from 0, characters from–to. */
export interface Place {
  readonly line: number;
  readonly from: number;
  readonly to: number;
}

/** A stretch of the text and what it was read as. */
export interface Mark extends Place {
  readonly what: 'title' | 'group' | 'amount' | 'ingredient' | 'method' | 'heat' | 'time' | 'tin' | 'yield';
  readonly itemId?: string;
}

/** What settling a doubt does to the formula. Plain data, so that drafts can be stored. */
export type Edit =
  | { readonly kind: 'keep' }
  | { readonly kind: 'amount'; readonly itemId: string; readonly grams: number; readonly entered: Entered }
  | { readonly kind: 'ingredient'; readonly itemId: string; readonly ingredient: string; readonly grams: number }
  | { readonly kind: 'drop'; readonly itemId: string }
  | { readonly kind: 'add'; readonly ingredient: string; readonly words: string }
  | { readonly kind: 'bake'; readonly bake: BakeSetting }
  | { readonly kind: 'tins'; readonly tins: readonly TinUse[] }
  | { readonly kind: 'family'; readonly family: FamilyId };

export interface Choice {
  readonly id: string;
  readonly words: string;
  readonly edit: Edit;
}

export type DoubtKind =
  | 'disagree'
  | 'unknown-ingredient'
  | 'no-amount'
  | 'leavener'
  | 'temperature'
  | 'tin'
  | 'family'
  | 'no-ingredients'
  | 'not-text'
  | 'too-long'
  | 'broken-json'
  | 'empty'
  | 'amount'
  | 'alternative'
  | 'unused'
  | 'unlisted'
  | 'sub-recipe'
  /** An ingredient that stands in the method only. */
  | 'told'
  /** The text holds more recipes than the one that was read. */
  | 'several';

export interface Doubt {
  readonly id: string;
  readonly place: Place | null;
  readonly kind: DoubtKind;
  readonly words: string;
  /** Id of the choice that is most likely meant. */
  readonly likely: string;
  readonly choices: readonly Choice[];
  readonly itemId?: string;
}

export interface RecipeDraft {
  readonly formula: Formula;
  readonly doubts: readonly Doubt[];
  /** What each value was read from, in reading order; empty when it was not read from text. */
  readonly marks?: readonly Mark[];
  /** The lines that were read, when they are not simply those of the text that was pasted. */
  readonly lines?: readonly string[];
  /** 0–1: how much of the text was read without doubt. */
  readonly confidence: number;
}
