import { Injectable } from '@angular/core';
import type { PhotoJobs } from './photo-jobs';
import { Pool } from './pool';

/** Making photos small, one after another in a worker of its own. */
@Injectable({ providedIn: 'root' })
export class Shrinking extends Pool<PhotoJobs> {
  readonly size = 1;
  makeWorker = (): Worker => new Worker(new URL('./photo.worker', import.meta.url), { type: 'module' });
}
