import { Injectable, inject } from '@angular/core';
import type { BakeRecord } from '@orvin/core';
import { firstValueFrom } from 'rxjs';
import { Shrinking } from '../compute/shrinking';
import { newId } from '../data/ids';
import { kinds } from '../data/kinds';
import { Notices } from '../data/notices';
import type { PhotoRecord, ThumbRecord } from '../data/records';
import { RoomWatch } from '../data/room';
import { Store } from '../data/store';

const PICTURES = /^image\/(?:jpeg|png|webp|avif|gif|bmp|heic|heif)$/;
/** Larger files are no photo of a cake. */
const MOST_BYTES = 60e6;

/** Changes to what is in the log: how a bake came out, its photos, whether it counts. Each can be undone. */
@Injectable({ providedIn: 'root' })
export class Journal {
  private readonly store = inject(Store);
  private readonly notices = inject(Notices);
  private readonly room = inject(RoomWatch);
  private readonly shrinking = inject(Shrinking);

  change(bake: BakeRecord, label: string, next: Partial<BakeRecord>): Promise<boolean> {
    return this.store.change(kinds.bake, bake.id, label, bake, { ...bake, ...next });
  }

  /** What was found; a figure that is `undefined` is taken away. */
  found(
    bake: BakeRecord,
    label: string,
    next: { [K in keyof NonNullable<BakeRecord['result']>]?: NonNullable<BakeRecord['result']>[K] | undefined },
  ): Promise<boolean> {
    const result = Object.fromEntries(Object.entries({ ...bake.result, ...next }).filter(([, v]) => v !== undefined));
    return this.change(bake, label, { result });
  }

  async remove(bake: BakeRecord): Promise<void> {
    // its photos stay until the log is tidied, so that it can be put back whole
    await this.store.change(kinds.bake, bake.id, `remove ${bake.title}`, bake, null);
    this.notices.say('The bake is out of the log, and what it taught with it.', {
      label: 'put it back',
      // as a step of its own: another bake may have been logged since
      run: () => void this.store.change(kinds.bake, bake.id, `put back ${bake.title}`, null, bake),
    });
  }

  /** Makes photos small and adds them to a bake; says which could not be read. Resolves to how many were added. */
  async addPhotos(bake: BakeRecord, files: readonly File[]): Promise<number> {
    const ids: string[] = [];
    const made: (readonly [PhotoRecord, ThumbRecord])[] = [];
    for (const file of files) {
      if (!PICTURES.test(file.type) || file.size > MOST_BYTES) {
        this.notices.problem(
          `“${file.name}” is not a photo that can be kept.`,
          'Take a JPEG, PNG or WebP file of up to 60 MB.',
        );
        continue;
      }
      const o = await firstValueFrom(this.shrinking.run(`shrink:${file.name}:${ids.length}`, 'shrink', file));
      if (!o.ok) {
        this.notices.problem(
          `“${file.name}” could not be read as a picture.`,
          'Open it in a photo program and save it as JPEG, then try again.',
        );
        continue;
      }
      const id = newId();
      made.push([
        { id, bakeId: bake.id, ...o.value.photo },
        { id, bakeId: bake.id, type: o.value.thumb.type, bytes: o.value.thumb.bytes },
      ]);
      ids.push(id);
    }
    if (ids.length === 0) return 0;
    // with the bake that names them, or not at all: what nothing names is tidied away
    const label = ids.length === 1 ? 'add a photo' : `add ${ids.length} photos`;
    const named = (now: BakeRecord | null): BakeRecord | null =>
      now && { ...now, photos: [...(now.photos ?? []), ...ids] };
    const done = await this.store.edit(kinds.bake, bake.id, label, named, {
      along: async (w, _now, next) => {
        for (const [photo, thumb] of made) await w.photo(photo, thumb);
        return next;
      },
    });
    void this.room.look();
    return done ? ids.length : 0;
  }
}
