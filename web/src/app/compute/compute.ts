import { Injectable } from '@angular/core';
import type { Jobs } from './jobs';
import { Pool } from './pool';

/** Baking, reading and calibrating, on all cores but one. */
@Injectable({ providedIn: 'root' })
export class Compute extends Pool<Jobs> {
  readonly size = Math.max(1, (navigator.hardwareConcurrency || 2) - 1);
  makeWorker = (): Worker => new Worker(new URL('./compute.worker', import.meta.url), { type: 'module' });
}
