import type { Kitchen, Learned, Making } from '@orvin/core';
import { defaultKitchen, takenUp } from '@orvin/core/first';
import type { KitchenFile, PhotoEntry, VersionRecord } from '@orvin/core/format';
import type { KitchenDatabase } from './database';
import { kinds, type Kind } from './kinds';
import type { PhotoRecord, ReckonedRecord, ThumbRecord, WorkingRecord } from './records';

/** What a kitchen has one of and what travels with it: its profile, the day, what is being made, the shopping list. */
const SINGLE = (Object.values(kinds) as readonly Kind<unknown>[]).flatMap((kind) => (kind.file ? [{ kind, file: kind.file }] : [])); // prettier-ignore
/** Bakes that are written at once. */
const AT_ONCE = 500;

/** A kitchen as it comes, in this device's time zone. */
export const usualKitchen = (): Kitchen => ({
  ...defaultKitchen,
  locale: { ...defaultKitchen.locale, zone: Intl.DateTimeFormat().resolvedOptions().timeZone },
});

/**
 * A kitchen's database as one file in Orvin's open format, without the photos' bytes. Here as in the worker of the
 * backup.
 * @param photos what photos are called that travel beside it
 */
export async function kitchenFileOf(
  db: KitchenDatabase,
  now: number,
  photos?: readonly PhotoEntry[],
): Promise<KitchenFile> {
  const [single, working, versions, bakes, series] = await Promise.all([
    Promise.all(SINGLE.map(({ kind, file }) => db.table(kind.table).get(file))),
    db.working.toArray(),
    db.versions.toArray(),
    db.bakes.toArray(),
    db.series.toArray(),
  ]);
  return {
    format: 'orvin.kitchen',
    version: 1,
    exportedAt: now,
    ...(Object.fromEntries(
      SINGLE.flatMap(({ kind, file }, i) => (single[i] ? [[file, kind.of(single[i] as never)]] : [])),
    ) as Pick<KitchenFile, 'kitchen'>),
    // whatever else a record holds came in with an import and goes out again; id, revision and date are this device's
    formulas: working.map(
      ({ id: _id, revision: _revision, updatedAt: _updatedAt, ...rest }) => rest as KitchenFile['formulas'][number],
    ),
    versions: versions.map(({ revision: _revision, ...v }: VersionRecord & { readonly revision?: number }) => v),
    bakes: bakes.map((b) => b.bake),
    series: series.map((s) => s.series),
    ...(photos && { photos }),
  };
}

/** What comes with a kitchen's file besides: photos, and what its log is known to teach. */
export interface Beside {
  readonly photos: readonly PhotoRecord[];
  readonly thumbs: readonly ThumbRecord[];
  readonly taught?: { readonly reckoned: readonly ReckonedRecord[]; readonly learned: Learned };
}

/** The working copies of a file's formulas, newest first. */
export const workingOf = (file: Pick<KitchenFile, 'formulas'>, now: number): WorkingRecord[] =>
  file.formulas.map((f, i) => ({ ...f, id: f.formula.id, plan: f.plan ?? {}, revision: 1, updatedAt: now - i }));

/** Fills a new database with a kitchen; what was being made goes on from where its clock stood. */
export async function fillKitchen(
  db: KitchenDatabase,
  file: Omit<KitchenFile, 'format' | 'version'>,
  now: number,
  { taught }: Pick<Beside, 'taught'> = {},
): Promise<void> {
  const loose = {
    ...file,
    ...(file.making && { making: takenUp(file.making, file.exportedAt, now) satisfies Making }),
  };
  await db.transaction('rw', [db.meta, db.working, db.versions, db.bakes, db.series], async () => {
    const put = <T>(kind: Kind<T>, value: T) =>
      db.table(kind.table).put({ ...kind.row(value, kind.only ?? '', undefined, now), revision: 1 });
    for (const { kind, file: name } of SINGLE) if (loose[name]) await put(kind, loose[name]);
    await db.working.bulkPut(workingOf(file, now));
    await db.versions.bulkPut([...file.versions]);
    for (let i = 0; i < file.bakes.length; i += AT_ONCE)
      await db.bakes.bulkPut(file.bakes.slice(i, i + AT_ONCE).map((bake) => ({ id: bake.id, bake, revision: 1 })));
    await db.series.bulkPut((file.series ?? []).map((s) => ({ id: s.id, at: s.at, series: s, revision: 1 })));
    if (taught) await put(kinds.learned, { learned: taught.learned });
  });
}

/** Puts in what no view waits for: photos, and what the model says of each bake, which could be worked out again. */
export async function fillBeside(db: KitchenDatabase, { photos, thumbs, taught }: Beside): Promise<void> {
  await db.transaction('rw', [db.photos, db.thumbs, db.reckoned], async () => {
    await db.photos.bulkPut([...photos]);
    await db.thumbs.bulkPut([...thumbs]);
    if (taught) await db.reckoned.bulkPut([...taught.reckoned]);
  });
}
