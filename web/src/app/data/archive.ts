import { Injectable, computed, inject, signal } from '@angular/core';
import { proxy, releaseProxy, wrap } from 'comlink';
import type { BackupJobs, BackupProgress } from '../compute/backup-jobs';
import { tellAmiss } from './amiss';
import { download, fileName } from './backup';
import { Kitchens } from './kitchens';
import { Notices } from './notices';
import { Store } from './store';
import { shortId } from './ids';

/** A backup or a restore that is under way. */
export interface Running extends BackupProgress {
  readonly kind: 'backup' | 'restore';
}

/** Everything of a kitchen, photos too, into one zip file and back: with progress, and it can be stopped at any time. */
@Injectable({ providedIn: 'root' })
export class Archive {
  private readonly store = inject(Store);
  private readonly kitchens = inject(Kitchens);
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
    this.stopped = false;
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
    const made = await this.work('restore', (w, tell) => w.read(file, Date.now(), shortId(), tell));
    if (!made) {
      if (this.stopped) this.notices.say('The restore was stopped; the kitchen that was open is as it was.');
      return false;
    }
    if (!made.ok) {
      this.notices.problem(made.words, made.remedy);
      return false;
    }
    await this.kitchens.adopt({ id: made.id, name: made.name, db: made.db, demo: false, createdAt: Date.now() });
    this.notices.say(`${made.name} is restored${made.photos > 0 ? `, with ${made.photos} ${made.photos === 1 ? 'photo' : 'photos'}` : ''}. The other kitchens are still here.`); // prettier-ignore
    tellAmiss(this.notices, file instanceof File ? file.name : 'The backup', made.amiss);
    return true;
  }
}
