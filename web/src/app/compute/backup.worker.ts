import { readFile, type PhotoEntry } from '@orvin/core/format';
import { expose } from 'comlink';
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { KitchenDatabase } from '../data/database';
import { fillKitchen, kitchenFileOf, usualKitchen } from '../data/kitchen-file';
import type { PhotoRecord, ThumbRecord } from '../data/records';
import { zipContent, zipDirectory } from './zip-directory';
import type { BackupJobs, BackupProgress, Restored } from './backup-jobs';

/** Photos that go through memory at once. */
const AT_ONCE = 8;
/** Parts of a zip that are joined into one piece of a blob, so that thousands of photos make few pieces. */
const JOIN_BYTES = 8e6;
const KITCHEN = 'kitchen.json';
const ENDINGS: Readonly<Record<string, string>> = { 'image/jpeg': 'jpg', 'image/webp': 'webp', 'image/png': 'png', 'image/svg+xml': 'svg' }; // prettier-ignore
/** A name that no other photo has, whatever characters its id holds. */
const fileOf = (id: string, type: string, n: number): string =>
  `photos/${n}-${id.replace(/[^\w.-]/g, '_').slice(0, 60)}.${ENDINGS[type] ?? 'bin'}`;

type Tell = (p: BackupProgress) => boolean | Promise<boolean>;

async function write(name: string, now: number, tell: Tell): Promise<Blob | null> {
  const db = new KitchenDatabase(name);
  await db.open();
  try {
    // photos that no bake names any more stay here, for undo
    const named = new Set<string>();
    await db.bakes.each((b) => b.bake.photos?.forEach((id) => named.add(id)));
    const ids = ((await db.photos.toCollection().primaryKeys()) as string[]).filter((id) => named.has(id));
    const total = ids.length + 1;
    const pieces: Blob[] = [];
    let waiting: Uint8Array[] = [];
    let bytes = 0;
    const join = (): void => {
      if (waiting.length > 0) pieces.push(new Blob(waiting as Uint8Array<ArrayBuffer>[]));
      [waiting, bytes] = [[], 0];
    };
    const zip = new Zip();
    const ended = new Promise<void>((done, fail) => {
      zip.ondata = (e, chunk, final) => {
        if (e) return fail(e);
        waiting.push(chunk);
        bytes += chunk.length;
        if (bytes > JOIN_BYTES || final) join();
        if (final) done();
      };
    });
    const entries: PhotoEntry[] = [];
    for (let i = 0; i < ids.length; i += AT_ONCE) {
      if (!(await tell({ done: i, total, words: `${i} of ${ids.length} photos` }))) return null;
      for (const p of await db.photos.bulkGet(ids.slice(i, i + AT_ONCE))) {
        if (!p) continue;
        const file = fileOf(p.id, p.type, entries.length);
        // photos are compressed already
        const part = new ZipPassThrough(file);
        zip.add(part);
        part.push(new Uint8Array(p.bytes), true);
        entries.push({ id: p.id, bakeId: p.bakeId, type: p.type, width: p.width, height: p.height, file });
      }
    }
    if (!(await tell({ done: ids.length, total, words: 'the kitchen, its formulas and the log' }))) return null;
    const part = new ZipDeflate(KITCHEN, { level: 6 });
    zip.add(part);
    part.push(new TextEncoder().encode(JSON.stringify(await kitchenFileOf(db, now, entries))), true);
    zip.end();
    await ended;
    if (!(await tell({ done: total, total, words: 'done' }))) return null;
    return new Blob(pieces, { type: 'application/zip' });
  } finally {
    db.close();
  }
}

const fail = (words: string, remedy: string): Restored => ({ ok: false, words, remedy });

async function read(file: Blob, now: number, suffix: string, tell: Tell): Promise<Restored | null> {
  const damaged = fail('This zip file breaks off or is damaged.', 'Take another copy of the backup; nothing was changed here.'); // prettier-ignore
  const directory = await zipDirectory(file).catch(() => null);
  if (!directory) return damaged;
  const kitchen = directory.find((e) => e.name === KITCHEN);
  if (!kitchen) return fail(`There is no ${KITCHEN} in this zip: it is not a backup of Orvin.`, 'Choose the file that “back up everything” made.'); // prettier-ignore
  if (!(await tell({ done: 0, total: 1, words: 'looking into the file' }))) return null;
  const text = await zipContent(file, kitchen).catch(() => null);
  if (!text) return damaged;
  const parsed = readFile(new TextDecoder().decode(text), usualKitchen());
  if (parsed.kind === 'problem') return fail(`${parsed.problems[0]?.place ?? 'The file'}: ${parsed.problems[0]?.words ?? ''}`, parsed.problems[0]?.remedy ?? ''); // prettier-ignore
  if (parsed.kind !== 'kitchen') return fail('What is in this zip is not a whole kitchen.', 'Choose the file that “back up everything” made.'); // prettier-ignore

  const k = parsed.value;
  const id = `${k.kitchen.id}-${suffix}`;
  const db = new KitchenDatabase(`orvin-kitchen-${id}`);
  await db.open();
  const away = async (): Promise<null> => {
    await db.delete();
    return null;
  };
  try {
    await fillKitchen(db, k, now);
    const entries = new Map((k.photos ?? []).map((p) => [p.file, p]));
    const inside = directory.filter((e) => entries.has(e.name));
    for (let i = 0; i < inside.length; i += AT_ONCE) {
      const words = `${i} of ${inside.length} photos`;
      if (!(await tell({ done: i + 1, total: inside.length + 1, words }))) return away();
      const batch: PhotoRecord[] = [];
      for (const e of inside.slice(i, i + AT_ONCE)) {
        const p = entries.get(e.name) as PhotoEntry;
        const bytes = await zipContent(file, e);
        if (!bytes) throw new Error(`${e.name} is damaged`);
        batch.push({ id: p.id, bakeId: p.bakeId, type: p.type, width: p.width, height: p.height, bytes: bytes.buffer });
      }
      await db.photos.bulkPut(batch);
      await db.thumbs.bulkPut(await Promise.all(batch.map(thumbOf)));
    }
    const photos = inside.length;
    db.close();
    return { ok: true, db: db.name, id, name: k.kitchen.name, photos, amiss: parsed.amiss };
  } catch (e) {
    await away();
    const full = e instanceof Error && /quota/i.test(`${e.name} ${e.message}`);
    return fail(
      full ? 'There is no room on this device for all of it.' : 'The backup could not be read to its end.',
      full ? 'Make room, or open it on another device; the kitchen that is open stays as it is.' : 'Take another copy of it; the kitchen that is open stays as it is.', // prettier-ignore
    );
  }
}

/** A small picture for lists; what cannot be drawn here is shown from its large one. */
async function thumbOf(p: PhotoRecord): Promise<ThumbRecord> {
  const own = { id: p.id, bakeId: p.bakeId, type: p.type, bytes: p.bytes };
  if (p.type === 'image/svg+xml') return own;
  try {
    const k = 176 / Math.max(p.width, p.height, 1);
    const bitmap = await createImageBitmap(new Blob([p.bytes], { type: p.type }), { resizeWidth: Math.max(1, Math.round(p.width * Math.min(1, k))), resizeQuality: 'medium' }); // prettier-ignore
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0);
    bitmap.close();
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.72 });
    return { id: p.id, bakeId: p.bakeId, type: 'image/jpeg', bytes: await blob.arrayBuffer() };
  } catch {
    return own;
  }
}

const jobs: BackupJobs = { write, read };
expose(jobs);
