import type { BakeRecord, Kitchen, Learned, Making, Series, Tin } from '@orvin/core';
import { merge3, same } from '@orvin/core/first';
import type * as format from '@orvin/core/format';
import type { Checked } from '@orvin/core/format';
import type { BakeRow, DayDoc, Doc, MetaRecord, SeriesRow, ShoppingDoc, VersionRecord, WorkingRecord } from './records';

type Formats = Pick<
  typeof format,
  'checkFormula' | 'checkBake' | 'checkSeries' | 'checkKitchen' | 'checkDay' | 'checkShopping'
>;
export type TableName = 'working' | 'bakes' | 'meta' | 'versions' | 'series';

/** A thing within a record that goes into the bin by itself when it is taken out of it. */
export interface Part {
  readonly id: string;
  readonly what: string;
  readonly title: string;
  readonly value: unknown;
}

/**
 * What is known of one kind of record: where it lies, what of a row is its value, how it is checked, whose undo takes its
 * changes back, what happens when two tabs change it, what it is called in the bin, and under which name it travels in a
 * kitchen's file. Nothing else in the application knows a record's table.
 */
export interface Kind<T> {
  readonly name: string;
  readonly table: TableName;
  /** Its key where a kitchen has one of it. */
  readonly only?: string;
  /** The document whose undo takes its changes back; left out where a change is no step. */
  readonly scope?: (key: string) => string;
  /** The document whose undo takes it back where a record comes or goes as a whole; its own when left out. */
  readonly whole?: string;
  /** Whether it fits its open format; looked at before it is written. */
  check?(f: Formats, value: T): Checked<unknown>;
  /** The value in a row, as it is read today, whatever wrote it. */
  of(row: never): T;
  /** The row of a value; what the row held besides goes on with it. */
  row(value: T, key: string, was: object | undefined, now: number): object;
  /** What a change that was made on an older value comes to: both, or only this one where it is worked out anew. */
  readonly rebase: 'merged' | 'replaced';
  /** Its name in a kitchen's file, where it is one thing of its own there. */
  readonly file?: 'kitchen' | 'day' | 'making' | 'shopping';
  /** What it is in the bin; left out where nothing is kept of one that is removed. */
  readonly bin?: { readonly what: string; title(value: T): string };
  /** What lies in the bin by itself once it is taken out, and how it is put back. */
  readonly parts?: {
    of(value: T): readonly Part[];
    back(value: T, part: Part): T;
  };
  /** It is made elsewhere: where it is not there, a change of it is none. */
  readonly madeElsewhere?: true;
  /** It can be had again at any time: one that could not be written costs nothing and is not spoken of. */
  readonly spare?: true;
}

/** A record that a kitchen has one of, under its own name. */
function single<T>(
  name: string,
  more: Omit<Kind<T>, 'name' | 'table' | 'only' | 'of' | 'row'> & Partial<Pick<Kind<T>, 'of'>>,
): Kind<T> {
  return {
    name,
    table: 'meta',
    only: name,
    of: (row: MetaRecord) => row.value as T,
    row: (value, key, was) => ({ ...was, key, value }),
    ...more,
  };
}

const formula: Kind<Doc> = {
  name: 'formula',
  table: 'working',
  scope: (key) => key,
  // what is no longer there has no Bench on which to take that back
  whole: 'shelf',
  check: (f, value) => f.checkFormula(value.formula),
  of: ({ formula, plan }: WorkingRecord) => ({ formula, plan }),
  row: (value, id, was, updatedAt) => ({ ...was, ...value, id, updatedAt }),
  rebase: 'merged',
  bin: { what: 'formula', title: (d) => d.formula.title },
};

/** Of a version only what it is called can change; its formula never does. */
export type Called = Pick<VersionRecord, 'name' | 'note'>;
const version: Kind<Called> = {
  name: 'version',
  table: 'versions',
  scope: (key) => key.slice(0, key.lastIndexOf('@')),
  of: ({ name, note }: VersionRecord) => ({ name: name ?? '', note: note ?? '' }),
  row: (value, id, was) => ({ ...was, ...value, id }),
  rebase: 'merged',
  madeElsewhere: true,
};

const bake: Kind<BakeRecord> = {
  name: 'bake',
  table: 'bakes',
  scope: () => 'log',
  check: (f, value) => f.checkBake(value),
  of: (row: BakeRow) => row.bake,
  row: (value, id, was) => ({ ...was, id, bake: value }),
  rebase: 'merged',
  bin: { what: 'bake', title: (b) => b.title },
  parts: {
    of: (b) => (b.photos ?? []).map((id) => ({ id, what: 'photo', title: `a photo of ${b.title}`, value: id })),
    back: (b, { id }) => ({ ...b, photos: [...(b.photos ?? []).filter((x) => x !== id), id] }),
  },
};

const series: Kind<Series> = {
  name: 'series',
  table: 'series',
  scope: () => 'log',
  check: (f, value) => f.checkSeries(value),
  of: (row: SeriesRow) => row.series,
  row: (value, id, was) => ({ ...was, id, at: value.at, series: value }),
  rebase: 'merged',
  bin: { what: 'small batches', title: (s) => s.title },
};

const kitchen = single<Kitchen>('kitchen', {
  scope: () => 'kitchen',
  check: (f, value) => f.checkKitchen(value),
  rebase: 'merged',
  file: 'kitchen',
  parts: {
    of: (k) => [
      ...k.tins.map((t) => ({ id: t.id, what: 'tin', title: t.name, value: t })),
      ...k.ovens.map((o) => ({ id: o.id, what: 'oven', title: o.name, value: o })),
      ...k.ownIngredients.map((i) => ({ id: i.id, what: 'ingredient', title: i.name, value: i })),
    ],
    back: (k, { id, what, value }) => {
      const list = ({ tin: 'tins', oven: 'ovens', ingredient: 'ownIngredients' } as const)[what as 'tin'];
      return { ...k, [list]: [...k[list].filter((x) => x.id !== id), value as Tin] };
    },
  },
});

export const EMPTY_DAY: DayDoc = { bakes: [], without: [], serve: null, pins: {}, quick: false, frozen: [] };
const day = single<DayDoc>('day', {
  scope: () => 'day',
  check: (f, value) => f.checkDay(value),
  // one of an older Orvin lacks what came later
  of: (row: MetaRecord) => ({ ...EMPTY_DAY, ...(row.value as Partial<DayDoc>) }),
  rebase: 'merged',
  file: 'day',
});

export const EMPTY_LIST: ShoppingDoc = { bakes: [], basket: [] };
const shopping = single<ShoppingDoc>('shopping', {
  scope: () => 'kitchen',
  check: (f, value) => f.checkShopping(value),
  of: (row: MetaRecord) => ({ ...EMPTY_LIST, ...(row.value as Partial<ShoppingDoc>) }),
  rebase: 'merged',
  file: 'shopping',
});

const making = single<Making>('making', {
  rebase: 'merged',
  file: 'making',
});

/** A recipe as it was read, until it is put on the shelf or thrown away; others that came in with it wait beside it. */
const reading = single<object>('reading', { rebase: 'replaced' });
const { only: _only, ...several } = reading;
const pile: Kind<object> = { ...several, name: 'pile' };
/** A recipe of many that is still to be read. */
const taking: Kind<object> = { ...several, name: 'taking' };
const devices = single<{ readonly standIns: string }>('devices', { rebase: 'replaced' });
const learned = single<{ readonly learned: Learned }>('learned', { rebase: 'replaced', spare: true });
const inHand = single<string>('inHand', { rebase: 'replaced', spare: true });

/** Every kind of record that a kitchen's database holds. */
export const kinds = { formula, version, bake, series, kitchen, day, shopping, making, reading, pile, taking, devices, learned, inHand }; // prettier-ignore

const all: readonly Kind<unknown>[] = Object.values(kinds);
/** The kind of a record by where it lies. */
export const kindAt = (table: TableName, key: string): Kind<unknown> =>
  all.find((k) => k.table === table && (k.only === undefined ? table !== 'meta' : k.only === key)) ?? pile;

/** The document whose undo takes a change of a record back; undefined where it is no step. */
export const scopeOf = (kind: Pick<Kind<never>, 'scope' | 'whole'>, key: string, whole: boolean): string | undefined =>
  (whole ? kind.whole : undefined) ?? kind.scope?.(key);

/** A change that was made on `base`, made on what is there now. */
export function rebased<T>(kind: Kind<T>, base: T | null, next: T | null): (now: T | null) => T | null {
  return (now) =>
    base === null || next === null || now === null || kind.rebase === 'replaced' || same(now, base)
      ? next
      : merge3(base, next, now);
}
