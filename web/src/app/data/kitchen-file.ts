import type { Kitchen, Learned, Making } from '@orvin/core';
import { defaultKitchen, takenUp } from '@orvin/core/first';
import type { KitchenFile, PhotoEntry } from '@orvin/core/format';
import type { KitchenDatabase } from './database';
import type { PhotoRecord, ReckonedRecord, ThumbRecord, WorkingRecord } from './records';

/** What is kept under a name of its own and travels with its kitchen: the day, what is being made, the shopping list. */
const LOOSE = ['day', 'making', 'shopping'] as const;
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
  const [kitchen, loose, working, versions, bakes, series] = await Promise.all([
    db.meta.get('kitchen'),
    db.meta.bulkGet([...LOOSE]),
    db.working.toArray(),
    db.versions.toArray(),
    db.bakes.toArray(),
    db.series.toArray(),
  ]);
  return {
    format: 'orvin.kitchen',
    version: 1,
    exportedAt: now,
    kitchen: kitchen?.value as Kitchen,
    // whatever else a record holds came in with an import and goes out again; id, revision and date are this device's
    formulas: working.map(
      ({ id: _id, revision: _revision, updatedAt: _updatedAt, ...rest }) => rest as KitchenFile['formulas'][number],
    ),
    versions,
    bakes: bakes.map((b) => b.bake),
    series: series.map((s) => s.series),
    ...Object.fromEntries(LOOSE.flatMap((key, i) => (loose[i]?.value ? [[key, loose[i].value]] : []))),
    ...(photos && { photos }),
  };
}

/** What comes with a kitchen's file besides: photos, and what its log is known to teach. */
interface Beside {
  readonly photos: readonly PhotoRecord[];
  readonly thumbs: readonly ThumbRecord[];
  readonly taught?: { readonly reckoned: readonly ReckonedRecord[]; readonly learned: Learned };
}

/** Fills a new database with a kitchen; what was being made goes on from where its clock stood. */
export async function fillKitchen(
  db: KitchenDatabase,
  file: Omit<KitchenFile, 'format' | 'version'>,
  now: number,
  beside: Beside = { photos: [], thumbs: [] },
): Promise<void> {
  const loose = {
    ...file,
    ...(file.making && { making: takenUp(file.making, file.exportedAt, now) satisfies Making }),
  };
  await db.transaction('rw', db.tables, async () => {
    await db.meta.put({ key: 'kitchen', value: file.kitchen, revision: 1 });
    for (const key of LOOSE) if (loose[key]) await db.meta.put({ key, value: loose[key], revision: 1 });
    await db.working.bulkPut(
      file.formulas.map((f, i): WorkingRecord => ({
        ...f,
        id: f.formula.id,
        plan: f.plan ?? {},
        revision: 1,
        updatedAt: now - i,
      })),
    );
    await db.versions.bulkPut([...file.versions]);
    for (let i = 0; i < file.bakes.length; i += AT_ONCE)
      await db.bakes.bulkPut(file.bakes.slice(i, i + AT_ONCE).map((bake) => ({ id: bake.id, bake, revision: 1 })));
    await db.series.bulkPut((file.series ?? []).map((s) => ({ id: s.id, at: s.at, series: s, revision: 1 })));
    await db.photos.bulkPut([...beside.photos]);
    await db.thumbs.bulkPut([...beside.thumbs]);
    if (!beside.taught) return;
    await db.reckoned.bulkPut([...beside.taught.reckoned]);
    await db.meta.put({ key: 'learned', value: { learned: beside.taught.learned }, revision: 1 });
  });
}
