import type { BakeRecord, Formula, Kitchen, Pin, Rack, Reckoned, Series, TinUse, Trial } from '@orvin/core';
import type { Part, TableName } from './kinds';
import type { VersionRecord } from '@orvin/core/format';

/** What a formula's document holds beside the formula: the tins it is being fitted to, and the lines that are locked. */
export interface Plan {
  readonly tins?: readonly TinUse[];
  /** How unlike tins share the batter: equally full, equally deep, or so that they are done together. */
  readonly sharing?: 'fill' | 'depth' | 'together';
  /** What the oven has reached when it goes in, °C; when left out it is hot. */
  readonly ovenReachedC?: number;
  /** The oven it is meant for, and where in it; the kitchen's first, and its middle, when left out. */
  readonly ovenId?: string;
  readonly rack?: Rack;
  /** What the next bake is to show, when a diagnosis advised the formula as it stands. */
  readonly trial?: Trial;
  /** Ids of items whose weight nothing but typing changes. */
  readonly locked?: readonly string[];
  /** Id of the version that the working copy goes on from. */
  readonly version?: string;
}

/** A formula's document. */
export interface Doc {
  readonly formula: Formula;
  readonly plan: Plan;
}

/** What the baker has said of the day. Wall-clock times are of the kitchen's zone. */
export interface DayDoc {
  /** Ids of the formulas to be made. */
  readonly bakes: readonly string[];
  /** The formula in hand belongs to the day, unless it is here. */
  readonly without: readonly string[];
  /**
   * When all is to be ready; null for as soon as can be. Where the clock goes back, a time comes twice: `later` is the
   * second of them.
   */
  readonly serve: { readonly date: string; readonly time: string; readonly later?: boolean } | null;
  readonly pins: Readonly<Record<string, Pin>>;
  readonly quick: boolean;
  /** Pairs of hands; the kitchen's when left out. */
  readonly people?: number;
  /** Ids of formulas of which only what was frozen raw is baked. */
  readonly frozen: readonly string[];
}

/** What is to be bought for: formulas, how many batches of each, and the ingredients that are in the basket. */
export interface ShoppingDoc {
  readonly bakes: readonly { readonly id: string; readonly times: number }[];
  readonly basket: readonly string[];
}

/** The autosaved working copy of a formula. `revision` grows by one with each write, in whichever tab. */
export interface WorkingRecord {
  readonly id: string;
  readonly formula: Formula;
  readonly plan: Plan;
  readonly revision: number;
  readonly updatedAt: number;
}

export interface MetaRecord {
  readonly key: string;
  readonly value: unknown;
  readonly revision: number;
}

export interface BakeRow {
  readonly id: string;
  readonly bake: BakeRecord;
  readonly revision: number;
}

/** A photo of a bake, made small when it came in; the bake names it. */
export interface PhotoRecord {
  readonly id: string;
  readonly bakeId: string;
  readonly type: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: ArrayBuffer;
}

/** The same, small enough for a list. */
export interface ThumbRecord {
  readonly id: string;
  readonly bakeId: string;
  readonly type: string;
  readonly bytes: ArrayBuffer;
}

/** What the bake model says of bakes that went in alike, before anything was learned; kept since it takes a while. */
export interface ReckonedRecord {
  readonly key: string;
  readonly value: Reckoned | null;
}

/** A series of small batches. */
export interface SeriesRow {
  readonly id: string;
  readonly at: number;
  readonly series: Series;
  readonly revision: number;
}

/** One undoable change of one record; `null` stands for "not there". */
export interface Command {
  readonly seq?: number;
  /** The document it belongs to: a formula's id, `log` or `kitchen`. */
  readonly doc: string;
  readonly at: number;
  readonly label: string;
  readonly table: TableName;
  readonly key: string;
  readonly before: unknown;
  readonly after: unknown;
  /** 1 once it has been undone and can be redone. */
  readonly undone: 0 | 1;
  /** The tab that made it. */
  readonly tab?: string;
}

/** Something that was removed and can be put back, until it has lain there for `BIN_DAYS`. */
export interface BinRow {
  /** Kind and key of its record, and what of it; so that the same thing lies there once. */
  readonly id: string;
  readonly table: TableName;
  readonly key: string;
  /** A part of the record rather than all of it. */
  readonly part?: Part;
  readonly what: string;
  readonly title: string;
  readonly at: number;
  /** The whole record's value; null for a part. */
  readonly value: unknown;
}

/**
 * A kitchen of this device. One that is being filled or removed is written down as that first, so that whatever ends the
 * work half-way, the next start knows; one in the bin waits there to be taken back.
 */
export interface KitchenEntry {
  readonly id: string;
  readonly name: string;
  readonly db: string;
  readonly demo: boolean;
  readonly createdAt: number;
  readonly state?: 'filling' | 'binned' | 'leaving';
  /** Since when it is in that state, ms since 1970. */
  readonly since?: number;
}

export type { BakeRecord, Formula, Kitchen, TinUse, VersionRecord };
