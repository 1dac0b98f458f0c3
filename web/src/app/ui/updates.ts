import { Injectable, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { SwUpdate } from '@angular/service-worker';
import { filter, fromEvent, interval, merge } from 'rxjs';
import { kinds } from '../data/kinds';
import { LiveDocument } from '../data/live-document';
import { Store } from '../data/store';

const HOUR_MS = 3_600_000;

/** Says when a newer Orvin is ready. Nothing reloads by itself. */
@Injectable({ providedIn: 'root' })
export class Updates {
  private readonly sw = inject(SwUpdate);
  // the record alone: what it means is not needed for this
  private readonly making = new LiveDocument(inject(Store), kinds.making);
  readonly ready = signal(false);
  /** Whether something is being made: it goes on after a reload, but nobody wants to look away now. */
  readonly baking = computed(() => this.making.value() !== null);
  /** What is being made, by its first bake. */
  readonly made = computed(() => {
    const bakes = this.making.value()?.bakes ?? [];
    return bakes[0] ? { id: bakes[0].id, titles: bakes.map((b) => b.formula.title) } : null;
  });

  constructor() {
    this.sw.versionUpdates
      .pipe(
        filter((e) => e.type === 'VERSION_READY'),
        takeUntilDestroyed(),
      )
      .subscribe(() => this.ready.set(true));
    // a tab may stand open for days, and only a page that is loaded asks by itself
    merge(interval(HOUR_MS), fromEvent(document, 'visibilitychange').pipe(filter(() => !document.hidden)))
      .pipe(
        filter(() => this.sw.isEnabled),
        takeUntilDestroyed(),
      )
      .subscribe(() => void this.sw.checkForUpdate().catch(() => false));
  }

  apply(): void {
    location.reload();
  }
}
