import { readFile, type PhotoEntry } from '@orvin/core/format';
import type { Problem } from '@orvin/core';
import { expose } from 'comlink';
import { KitchenDatabase } from '../data/database';
import { estimate } from '../data/estimate';
import { fillKitchen, kitchenFileOf, usualKitchen } from '../data/kitchen-file';
import type { PhotoRecord, ThumbRecord } from '../data/records';
import type { BackupJobs, BackupProgress, Restored } from './backup-jobs';
import { ZipMaker, openZip, type Unread } from './zip';

/** Photos that go through memory at once. */
const AT_ONCE = 8;
/** More than any kitchen's text takes, and any photo, bytes: a small zip can unpack to a thousand times its size. */
const MOST_TEXT = 90e6;
const MOST_PHOTO = 60e6;
const KITCHEN = 'kitchen.json';
const ENDINGS: Readonly<Record<string, string>> = { 'image/jpeg': 'jpg', 'image/webp': 'webp', 'image/png': 'png', 'image/svg+xml': 'svg' }; // prettier-ignore
/** A name that no other photo has, whatever characters its id holds. */
const fileOf = (id: string, type: string, n: number): string =>
  `photos/${n}-${id.replace(/[^\w.-]/g, '_').slice(0, 60)}.${ENDINGS[type] ?? 'bin'}`;

type Tell = (p: BackupProgress) => boolean | Promise<boolean>;

async function write(name: string, now: number, tell: Tell): Promise<Blob | null> {
  const db = await new KitchenDatabase(name).opened();
  try {
    // photos that no bake names any more stay here, for undo
    const named = new Set<string>();
    await db.bakes.each((b) => b.bake.photos?.forEach((id) => named.add(id)));
    const ids = ((await db.photos.toCollection().primaryKeys()) as string[]).filter((id) => named.has(id));
    const total = ids.length + 1;
    const zip = new ZipMaker();
    const entries: PhotoEntry[] = [];
    for (let i = 0; i < ids.length; i += AT_ONCE) {
      if (!(await tell({ done: i, total, words: `${i} of ${ids.length} photos` }))) return null;
      for (const p of await db.photos.bulkGet(ids.slice(i, i + AT_ONCE))) {
        if (!p) continue;
        const file = fileOf(p.id, p.type, entries.length);
        await zip.add(file, new Uint8Array(p.bytes), true);
        entries.push({ id: p.id, bakeId: p.bakeId, type: p.type, width: p.width, height: p.height, file });
      }
    }
    if (!(await tell({ done: ids.length, total, words: 'the kitchen, its formulas and the log' }))) return null;
    await zip.add(KITCHEN, new TextEncoder().encode(JSON.stringify(await kitchenFileOf(db, now, entries))), false);
    const blob = await zip.done();
    return (await tell({ done: total, total, words: 'done' })) ? blob : null;
  } finally {
    db.close();
  }
}

const fail = (words: string, remedy: string): Restored => ({ ok: false, words, remedy });
const WRONG: Readonly<Record<Unread, string>> = {
  missing: 'is not in the zip',
  'too large': `is larger than ${MOST_PHOTO / 1e6} MB`,
  damaged: 'is damaged',
  taken: 'is named for another photo as well',
};
const NO_ROOM = fail('There is no room on this device for all of it.', 'Make room, or open it on another device; the kitchen that is open stays as it is.'); // prettier-ignore

async function read(file: Blob, now: number, name: string, tell: Tell): Promise<Restored | null> {
  const damaged = fail('This zip file breaks off or is damaged.', 'Take another copy of the backup; nothing was changed here.'); // prettier-ignore
  const zip = await openZip(file);
  if (!zip) return damaged;
  if (!(await tell({ done: 0, total: 1, words: 'looking into the file' }))) return null;
  const text = await zip.read(KITCHEN, MOST_TEXT);
  if ('wrong' in text) {
    if (text.wrong === 'missing') return fail(`There is no ${KITCHEN} in this zip: it is not a backup of Orvin.`, 'Choose the file that “back up everything” made.'); // prettier-ignore
    if (text.wrong === 'too large') return fail(`The ${KITCHEN} in this zip unpacks to more than ${MOST_TEXT / 1e6} MB: it is no kitchen.`, 'Choose the file that “back up everything” made.'); // prettier-ignore
    return damaged;
  }
  const parsed = readFile(new TextDecoder().decode(text.bytes), usualKitchen());
  if (parsed.kind === 'problem') return fail(`${parsed.problems[0]?.place ?? 'The file'}: ${parsed.problems[0]?.words ?? ''}`, parsed.problems[0]?.remedy ?? ''); // prettier-ignore
  if (parsed.kind !== 'kitchen') return fail('What is in this zip is not a whole kitchen.', 'Choose the file that “back up everything” made.'); // prettier-ignore

  const k = parsed.value;
  // told before anything of it is unpacked
  const room = await estimate();
  const photoBytes = zip.sizeOf([...new Set((k.photos ?? []).map((p) => p.file))]);
  if (room && photoBytes > room.quota - room.usage) return NO_ROOM;
  const db = await new KitchenDatabase(name).opened();
  try {
    await fillKitchen(db, k, now);
    const wanted = k.photos ?? [];
    const amiss: Problem[] = [...parsed.amiss];
    let photos = 0;
    for (let i = 0; i < wanted.length; i += AT_ONCE) {
      const words = `${i} of ${wanted.length} photos`;
      if (!(await tell({ done: i + 1, total: wanted.length + 1, words }))) return null;
      const batch: PhotoRecord[] = [];
      for (const p of wanted.slice(i, i + AT_ONCE)) {
        const content = await zip.read(p.file, MOST_PHOTO);
        if ('wrong' in content) amiss.push({ id: `photo-${content.wrong}`, place: p.file, words: `this photo of ${titleOf(k.bakes, p)} ${WRONG[content.wrong]}.`, remedy: 'Take it from another backup, if there is one.' }); // prettier-ignore
        else batch.push({ id: p.id, bakeId: p.bakeId, type: p.type, width: p.width, height: p.height, bytes: content.bytes.buffer }); // prettier-ignore
      }
      photos += batch.length;
      await db.photos.bulkPut(batch);
      await db.thumbs.bulkPut(await Promise.all(batch.map(thumbOf)));
    }
    return { ok: true, name: k.kitchen.name, photos, amiss };
  } catch (e) {
    const full = e instanceof Error && /quota/i.test(`${e.name} ${e.message}`);
    return full ? NO_ROOM : fail('The backup could not be read to its end.', 'Take another copy of it; the kitchen that is open stays as it is.'); // prettier-ignore
  } finally {
    db.close();
  }
}

const titleOf = (bakes: readonly { readonly id: string; readonly title: string }[], p: PhotoEntry): string =>
  bakes.find((b) => b.id === p.bakeId)?.title ?? 'a bake';
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
