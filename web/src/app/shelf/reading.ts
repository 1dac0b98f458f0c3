import type { FamilyId } from '@orvin/core';
import type { PictureLine, RecipeDraft, RegionId } from '@orvin/core/reading';
import type { SmallPhoto } from '../compute/photo-jobs';

/** A doubt that was settled: with what, so that it can be settled alike after the text is corrected. */
export interface Settled {
  readonly words: string;
  readonly choice: string;
}

/** The pictures a text was read from, and what is known of each of its lines. */
export interface FromPictures {
  readonly pages: readonly SmallPhoto[];
  readonly lines: readonly PictureLine[];
}

/** What was pasted and how it was read; kept until it is put on the shelf or thrown away. */
export interface Reading {
  readonly text: string;
  readonly draft: RecipeDraft;
  readonly picture?: FromPictures;
  readonly settled: readonly Settled[];
  /** The country and the family that were chosen by hand, when they were. */
  readonly region?: RegionId;
  readonly family?: FamilyId;
  /** Set when it waits in the pile of recipes that came in together. */
  readonly pile?: string;
}

/** A text to be read, as it came. */
export type Given = Pick<Reading, 'text' | 'picture' | 'region'>;
