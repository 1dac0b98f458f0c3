import { computed, effect, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import type { MetaRecord } from './records';
import type { Store } from './store';

/**
 * One record of a kitchen that is changed step by step. What this tab wrote last stands until the database has told of it:
 * the next press may come before that, and must not be put onto what was there before the last.
 *
 * Made where a field of a service or a component is, since it lives as long as that.
 */
export class MetaDoc<T extends object> {
  private readonly told;
  private readonly held = signal<{ readonly db: string; readonly value: T; readonly revision: number } | null>(null);
  /** As it is, or is about to be; undefined while there is none. */
  readonly value;

  constructor(
    private readonly store: Store,
    private readonly key: string,
    /** The document whose undo takes its changes back. */
    private readonly scope: string,
  ) {
    this.told = toSignal(store.live(async (db) => ({ db: db.name, record: await db.meta.get(key) })));
    const record = computed((): MetaRecord | undefined => {
      const told = this.told();
      return told?.db === store.name() ? told?.record : undefined;
    });
    this.value = computed((): Partial<T> | undefined => {
      const held = this.held();
      return held?.db === store.name() ? held?.value : (record()?.value as Partial<T> | undefined);
    });
    effect(() => {
      const held = this.held();
      if (held && (held.db !== store.name() || (record()?.revision ?? 0) >= held.revision)) this.held.set(null);
    });
  }

  /** Shows the next state at once and stores it as one step that can be undone; resolves when it is on disk. */
  async change(label: string, next: T): Promise<void> {
    const db = this.store.database;
    const base = this.value() ?? null;
    const held = { db: db.name, value: next, revision: Infinity };
    this.held.set(held);
    await this.store.commit(this.scope, label, 'meta', this.key, base, next);
    // one that could not be stored is told of already: what is on disk is what it was
    const revision = this.store.name() === db.name ? ((await db.meta.get(this.key))?.revision ?? 0) : 0;
    if (this.held() === held) this.held.set({ ...held, revision });
  }
}
