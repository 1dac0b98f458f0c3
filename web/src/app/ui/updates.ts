import { Injectable, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { SwUpdate } from '@angular/service-worker';
import { filter } from 'rxjs';
import { kinds } from '../data/kinds';
import { LiveDocument } from '../data/live-document';
import { Store } from '../data/store';

/** Says when a newer Orvin is ready. Nothing reloads by itself. */
@Injectable({ providedIn: 'root' })
export class Updates {
  private readonly sw = inject(SwUpdate);
  // the record alone: what it means is not needed for this
  private readonly making = new LiveDocument(inject(Store), kinds.making);
  readonly ready = signal(false);
  /** Whether something is being made: it goes on after a reload, but nobody wants to look away now. */
  readonly baking = computed(() => this.making.value() !== null);

  constructor() {
    this.sw.versionUpdates
      .pipe(
        filter((e) => e.type === 'VERSION_READY'),
        takeUntilDestroyed(),
      )
      .subscribe(() => this.ready.set(true));
  }

  apply(): void {
    location.reload();
  }
}
