import { Injectable, computed, inject, signal } from '@angular/core';
import { proxy, releaseProxy, wrap } from 'comlink';
import type { BackupJobs, BackupProgress, Restored } from '../compute/backup-jobs';
import { tellAmiss } from './amiss';
import { download, fileName } from './backup';
import { shortId } from './ids';
import { Kitchens } from './kitchens';
import { Notices } from './notices';
import type { KitchenEntry } from './records';
import { PREFIX, Registry } from './registry';
import { RoomWatch } from './room';
import { Store } from './store';

/** A backup or a restore that is under way. */
export interface Running extends BackupProgress {
  readonly kind: 'backup' | 'restore';
}

/** Everything of a kitchen, photos too, into one zip file and back: with progress, and it can be stopped at any time. */
@Injectable({ providedIn: 'root' })
export class Archive {
  private readonly store = inject(Store);
  private readonly kitchens = inject(Kitchens);
  private readonly registry = inject(Registry);
  private readonly room = inject(RoomWatch);
  private readonly notices = inject(Notices);
  readonly running = signal<Running | null>(null);
  readonly busy = computed(() => this.running() !== null);
  private stopped = false;

  stop(): void {
    this.stopped = true;
  }

  /** Runs a job in a worker of its own, which ends with it; a worker that falls over is said and nothing is changed. */
  private async work<T>(
    kind: Running['kind'],
    job: (w: BackupJobs, tell: (p: BackupProgress) => boolean) => Promise<T>,
  ): Promise<T | null> {
    this.running.set({ kind, done: 0, total: 1, words: 'beginning' });
    const worker = new Worker(new URL('../compute/backup.worker', import.meta.url), { type: 'module' });
    const remote = wrap<BackupJobs>(worker);
    try {
      return await Promise.race([
        job(
          remote as unknown as BackupJobs,
          proxy((p: BackupProgress) => {
            this.running.set({ kind, ...p });
            return !this.stopped;
          }),
        ),
        new Promise<never>((_, reject) => worker.addEventListener('error', (e) => (e.preventDefault(), reject(new Error('crashed'))))), // prettier-ignore
      ]);
    } catch {
      this.notices.problem(kind === 'backup' ? 'The backup could not be made.' : 'The backup could not be read.', 'Nothing was changed. Try it once more; if it fails again, export the kitchen without photos.'); // prettier-ignore
      return null;
    } finally {
      remote[releaseProxy]();
      worker.terminate();
      this.running.set(null);
    }
  }

  /** Makes a zip of the open kitchen and hands it over as a file. */
  async backUp(): Promise<boolean> {
    this.stopped = false;
    await this.store.settled();
    const db = this.store.database.name;
    const name = this.kitchens.current()?.name ?? 'kitchen';
    const blob = await this.work('backup', (w, tell) => w.write(db, Date.now(), tell));
    if (!blob) {
      if (this.stopped) this.notices.say('The backup was stopped.');
      return false;
    }
    download(fileName(name, 'kitchen').replace(/\.json$/, '.zip'), blob);
    this.notices.say(
      `Backed up: ${(blob.size / 1e6).toFixed(blob.size < 1e7 ? 1 : 0)} MB. Keep it somewhere else than this device.`,
    );
    return true;
  }

  /** Fills a new database from a zip and only then opens it. */
  async restore(file: Blob): Promise<boolean> {
    this.stopped = false;
    const name = file instanceof File ? file.name : 'The backup';
    const id = `restored-${shortId()}`;
    const entry: KitchenEntry = { id, name, db: `${PREFIX}${id}`, demo: false, createdAt: Date.now() };
    let made: Restored | null = null;
    try {
      await this.registry.fill(entry, async () => {
        made = await this.work('restore', (w, tell) => w.read(file, Date.now(), entry.db, tell));
        // nothing of it is left then
        if (!made?.ok) throw new Unmade();
        return { name: made.name };
      });
    } catch (e) {
      const wrong = made as Restored | null;
      if (!(e instanceof Unmade)) await this.notices.trouble(e, name);
      else if (wrong && !wrong.ok) this.notices.problem(wrong.words, wrong.remedy);
      else if (this.stopped) this.notices.say('The restore was stopped; the kitchen that was open is as it was.');
      return false;
    }
    const done = made as unknown as Extract<Restored, { ok: true }>;
    if (!(await this.kitchens.enter({ ...entry, name: done.name }))) return false;
    this.notices.say(`${done.name} is restored${done.photos > 0 ? `, with ${done.photos} ${done.photos === 1 ? 'photo' : 'photos'}` : ''}. The other kitchens are still here.`); // prettier-ignore
    tellAmiss(this.notices, name, done.amiss);
    void this.room.look();
    return true;
  }
}

/** Thrown where a restore was stopped or went wrong, which is told apart from it. */
class Unmade extends Error {}
