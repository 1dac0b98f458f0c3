import { computed, effect, linkedSignal, signal, untracked } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { switchMap } from 'rxjs';
import type { Edit } from './edits';
import { rebased, type Kind } from './kinds';
import type { Store, Told } from './store';

/**
 * One record in hand: shown as it will be the moment it is changed, stored as steps that can be undone, and followed from
 * every tab. Changes are kept as what they do, not as what they come to, so that they are made on whatever is there when
 * they are stored. What could not be stored stays on the screen, in its order, until it is or is undone.
 *
 * Made where a field of a service or a component is, since it lives as long as that.
 */
export class LiveDocument<T> {
  /** The key of the record in hand; null for none. */
  readonly key;
  private readonly told;
  /** As it is on the disk, as far as this tab knows. */
  private readonly base;
  /** As it is, or is about to be; null while there is none. */
  readonly value;
  /** True once the database has been asked for the record in hand. */
  readonly ready;
  private asked: Told<T> | null = null;

  constructor(
    private readonly store: Store,
    private readonly kind: Kind<T>,
  ) {
    const { edits } = store;
    this.key = signal<string | null>(kind.only ?? null);
    this.told = toSignal(toObservable(this.key).pipe(switchMap((key) => store.record$(kind, key))));
    this.base = linkedSignal<{ known: Told<T> | null; told: Told<T> | null; flying: boolean }, Told<T> | null>({
      source: () => {
        const [db, key, told] = [store.name(), this.key(), this.told()];
        if (db === null || key === null) return { known: null, told: null, flying: false };
        const known = edits.knownOf(db, kind, key);
        return {
          known: known && { db, key, ...known },
          told: told && told.db === db && told.key === key ? told : null,
          flying: edits.flying(db, kind, key),
        };
      },
      // what is told while changes are on their way may hold them or not: it is taken over once that is known. What this tab
      // wrote before them counts then, whether or not anybody has looked at it since
      computation: ({ known, told, flying }, previous) => {
        const was = previous?.value ?? null;
        const here =
          was && (known ?? told) && was.db === (known ?? told)?.db && was.key === (known ?? told)?.key ? was : null;
        return flying ? (newer(known, here) ?? told) : newer(told, known);
      },
    });
    this.value = computed<T | null>(() => {
      const [db, key] = [store.name(), this.key()];
      return db === null || key === null ? null : edits.over(db, kind, key, this.base()?.value ?? null);
    });
    this.ready = computed(() => this.base() !== null);
    effect(() => {
      const told = this.told();
      if (!told || told.db !== store.name() || told.key === null || told.key !== this.key() || told === this.asked)
        return;
      const known = edits.knownOf(told.db, kind, told.key);
      if (!known || told.revision >= known.revision || edits.flying(told.db, kind, told.key)) return;
      // it may be gone, or gone and made anew; or this was asked before what is known was written
      this.asked = told;
      untracked(() => void this.ask());
    });
  }

  private async ask(): Promise<void> {
    const key = this.key();
    if (key !== null) await this.store.know(this.kind, key).catch(() => undefined);
  }

  /** Takes another record in hand; resolves once it is known, to whether it is there. */
  async go(key: string | null): Promise<boolean> {
    this.key.set(key);
    return key !== null && (await this.store.know(this.kind, key)).value !== null;
  }

  /**
   * Shows a change at once and stores it as a step; resolves to whether it is on the disk. That it is not has been said.
   *
   * @param change the document as it is to be, seen from what is shown now; or what becomes of whatever is there
   */
  async change(
    label: string,
    change: T | null | ((now: T | null) => T | null),
    along?: Edit<T>['along'],
  ): Promise<boolean> {
    const key = this.key();
    if (key === null) return false;
    const how = typeof change === 'function' ? (change as Edit<T>['change']) : rebased(this.kind, this.value(), change);
    return this.store.edit(this.kind, key, label, how, { ...(along && { along }) });
  }
}

/** The newer of two states of a record, the first of two that are as new. */
function newer<T>(a: Told<T> | null, b: Told<T> | null): Told<T> | null {
  return a && b ? (b.revision > a.revision ? b : a) : (a ?? b);
}
