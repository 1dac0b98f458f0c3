import type { BakeSetting, Entered, FamilyId, Formula, GroupRole, Item, Source, TinUse } from '../formula/types.js';
import type { Language } from '../ingredient/names-abroad.js';
import type { RegionId } from './origin.js';
import type { PicturePlace } from './picture/written.js';

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

/** What became of a stretch of the text. */
export type Fate =
  | 'title'
  | 'heading'
  | 'line'
  | 'method'
  | 'heat'
  | 'time'
  | 'tin'
  | 'yield'
  | 'note'
  | 'story'
  | 'doubt';
/** A stretch and its fate; a finer one lies inside that of its line. */
export interface Stretch extends Place {
  readonly fate: Fate;
}

/** Where the recipe seems to be from, and what gave that away. */
export interface Origin {
  /** Id of `regions`; "other" where nothing in the text tells. */
  readonly region: RegionId;
  /** "the United States"; empty for "other". */
  readonly name: string;
  readonly because: readonly { readonly words: string; readonly place: Place }[];
}

/** What settling a doubt does to the formula. Plain data, so that drafts can be stored. */
export type Edit =
  | { readonly kind: 'keep' }
  | { readonly kind: 'amount'; readonly itemId: string; readonly grams: number; readonly entered: Entered }
  | {
      readonly kind: 'ingredient';
      readonly itemId: string;
      readonly ingredient: string;
      readonly grams: number;
      /** As it is measured then, where that is not as it was written. */
      readonly entered?: Entered;
    }
  | { readonly kind: 'drop'; readonly itemId: string }
  | { readonly kind: 'add'; readonly ingredient: string; readonly words: string }
  | { readonly kind: 'item'; readonly item: Item; readonly role?: GroupRole }
  | {
      readonly kind: 'source';
      readonly source: Source;
      readonly grams: readonly (readonly [itemId: string, grams: number])[];
    }
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
  | 'several'
  /** An amount or a name that ended nowhere. */
  | 'unplaced'
  /** No heat or time of the oven. */
  | 'no-bake'
  /** Nothing that makes a batter of the rest. */
  | 'no-flour'
  /** A time that no bake has. */
  | 'time'
  /** What a scan misread and was mended, or a number that is hard to read in a picture. */
  | 'scan';

export interface Doubt {
  readonly id: string;
  readonly place: Place | null;
  readonly kind: DoubtKind;
  readonly words: string;
  /** Id of the choice that is most likely meant. */
  readonly likely: string;
  readonly choices: readonly Choice[];
  readonly itemId?: string;
  /**
   * How far its answers lie apart in the result, by `ranked`: 1 is what a baker tastes or sees at once, under `SLIGHT`
   * next to nothing. Absent before that.
   */
  readonly effect?: number;
}

export interface RecipeDraft {
  readonly formula: Formula;
  readonly doubts: readonly Doubt[];
  /** What each value was read from, in reading order; empty when it was not read from text. */
  readonly marks?: readonly Mark[];
  /** The lines that were read, when they are not simply those of the text that was pasted. */
  readonly lines?: readonly string[];
  /** What became of every stretch of the text; absent when it was not read from text. */
  readonly account?: readonly Stretch[];
  readonly origin?: Origin;
  /** The language it seems to be in, by the names of its ingredients; absent when that is English. */
  readonly language?: Language;
  /** The families it fits best, with weights that add to at most one. */
  readonly near?: readonly { readonly id: FamilyId; readonly weight: number }[];
  /** What speaks for its family, at most three; absent when the text says its family. */
  readonly familyBecause?: readonly string[];
  /** Items whose amount was chosen in settling, so that a name chosen later leaves it. */
  readonly chosen?: readonly string[];
  /** For each line that is shown, its places in the pictures it was read from; absent when it was from none. */
  readonly pictured?: readonly (readonly PicturePlace[])[];
  /** 0–1: how much of the text was read without doubt. */
  readonly confidence: number;
}
