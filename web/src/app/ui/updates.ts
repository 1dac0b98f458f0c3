import { Injectable, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { SwUpdate } from '@angular/service-worker';
import { filter } from 'rxjs';

/** Says when a newer Orvin is ready. Nothing reloads by itself, and nothing is offered while a bake is in hand. */
@Injectable({ providedIn: 'root' })
export class Updates {
  private readonly sw = inject(SwUpdate);
  readonly ready = signal(false);
  readonly baking = signal(false);

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
