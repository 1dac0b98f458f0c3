import { Injectable, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { switchMap } from 'rxjs';
import { Notices } from '../data/notices';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';

/** Undo and redo for whatever the present view edits: the formula in hand, the log, the kitchen, or the day. */
@Injectable({ providedIn: 'root' })
export class Undo {
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  private readonly notices = inject(Notices);
  /** `formula`, or the name of another document. */
  readonly scope = signal<'formula' | 'log' | 'kitchen' | 'day'>('formula');
  private readonly doc = computed(() => (this.scope() === 'formula' ? (this.desk.id() ?? 'none') : this.scope()));
  private readonly history = toSignal(toObservable(this.doc).pipe(switchMap((d) => this.store.history$(d))));
  readonly canUndo = computed(() => this.history()?.undo?.label ?? null);
  readonly canRedo = computed(() => this.history()?.redo?.label ?? null);

  async undo(): Promise<void> {
    const c = this.scope() === 'formula' ? await this.desk.undo() : await this.store.undo(this.doc());
    this.notices.say(c ? `Undone: ${c.label}` : 'Nothing to undo here.', undefined, 'undo');
  }

  async redo(): Promise<void> {
    const c = this.scope() === 'formula' ? await this.desk.redo() : await this.store.redo(this.doc());
    this.notices.say(c ? `Done again: ${c.label}` : 'Nothing to redo here.', undefined, 'undo');
  }
}
