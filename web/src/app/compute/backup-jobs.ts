import type { Problem } from '@orvin/core';

/** How far a backup or a restore has come. */
export interface BackupProgress {
  readonly done: number;
  readonly total: number;
  readonly words: string;
}

/** What a restore has read, when the database is filled; or what was wrong with the file. */
export type Restored =
  | {
      readonly ok: true;
      readonly name: string;
      readonly photos: number;
      /** What was left out of it or set to what is usual. */
      readonly amiss: readonly Problem[];
    }
  | { readonly ok: false; readonly words: string; readonly remedy: string };

/** Everything of a kitchen into one zip and back, in a worker: hundreds of megabytes never stand in memory at once. */
export interface BackupJobs {
  /**
   * @param tell is told how far it is; when it answers false the work stops and nothing is handed over
   */
  write(db: string, now: number, tell: (p: BackupProgress) => boolean | Promise<boolean>): Promise<Blob | null>;
  /**
   * Fills a new database of a name; null when it was stopped. Whoever asked removes what there is of it when it was stopped
   * or went wrong.
   */
  read(
    file: Blob,
    now: number,
    db: string,
    tell: (p: BackupProgress) => boolean | Promise<boolean>,
  ): Promise<Restored | null>;
}
