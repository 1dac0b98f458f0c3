import type { Making } from '../counter/making.js';
import type { Formula, Kitchen } from '../formula/types.js';
import type { Series } from '../log/series.js';
import type { BakeRecord } from '../log/types.js';

/** What Orvin's open files hold. */

export interface VersionRecord {
  readonly id: string;
  readonly formulaId: string;
  readonly n: number;
  readonly at: number;
  readonly why: string;
  readonly formula: Formula;
  /** Id of the version it was made from; the first ones have none. */
  readonly parent?: string | null;
  /** What the baker calls it, and what is remarked of it. */
  readonly name?: string;
  readonly note?: string;
  /** Why each line was changed, in the words of the proposal that was kept. */
  readonly reasons?: readonly string[];
}

/** A whole kitchen in one file. Unknown fields are kept. */
export interface KitchenFile {
  readonly format: 'orvin.kitchen';
  readonly version: 1;
  /** Instant of the export, ms since 1970. */
  readonly exportedAt: number;
  readonly kitchen: Kitchen;
  readonly formulas: readonly { readonly formula: Formula; readonly plan: { readonly tins?: Formula['tins'] } }[];
  readonly versions: readonly VersionRecord[];
  readonly bakes: readonly BakeRecord[];
  /** What the baker said of the day, and what is being made: a bake in hand travels with its kitchen. */
  readonly day?: object | null;
  readonly making?: Making | null;
  /** What is to be shopped for, and what is in the basket. */
  readonly shopping?: object | null;
  /** Series of small batches. */
  readonly series?: readonly Series[];
  /** Photos of bakes: in a zip each is a file of its own; without one they are left out, which is said. */
  readonly photos?: readonly PhotoEntry[];
}

/** A photo that travels beside a kitchen's file, by the name it has there. */
export interface PhotoEntry {
  readonly id: string;
  readonly bakeId: string;
  readonly type: string;
  readonly width: number;
  readonly height: number;
  readonly file: string;
}

/** Kinds of picture that a photo may be kept as. */
export const PHOTO_TYPES = ['image/jpeg', 'image/webp', 'image/png', 'image/svg+xml'] as const;
