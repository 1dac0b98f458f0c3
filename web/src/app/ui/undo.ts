import { Injectable, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, type ActivatedRouteSnapshot } from '@angular/router';
import { filter, switchMap } from 'rxjs';
import { Notices } from '../data/notices';
import type { Command } from '../data/records';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';

/**
 * What undo takes back in a view: steps of the formula in hand, of another document, or steps that the view keeps
 * itself; nothing where a view edits nothing that is stored.
 */
export type UndoScope = 'formula' | 'shelf' | 'log' | 'kitchen' | 'day' | 'own' | 'none';

/** Steps that a view keeps itself, since they are of something that is not stored as a document. */
export interface OwnSteps {
  /** What the next undo takes back; null when there is nothing. */
  readonly label: () => string | null;
  readonly undo: () => void;
}

/** Undo and redo for whatever the present view edits. Its route says what that is, so that no view can forget to. */
@Injectable({ providedIn: 'root' })
export class Undo {
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  private readonly notices = inject(Notices);
  readonly scope = signal<UndoScope>('none');
  readonly own = signal<OwnSteps | null>(null);
  private readonly doc = computed(() => {
    const scope = this.scope();
    return scope === 'formula' ? this.desk.id() : scope === 'own' || scope === 'none' ? null : scope;
  });
  private readonly history = toSignal(toObservable(this.doc).pipe(switchMap((d) => this.store.history$(d ?? ''))));
  readonly canUndo = computed(() =>
    this.scope() === 'own' ? (this.own()?.label() ?? null) : (this.history()?.undo?.label ?? null),
  );
  readonly canRedo = computed(() => this.history()?.redo?.label ?? null);

  constructor() {
    const router = inject(Router);
    router.events
      .pipe(
        filter((e) => e instanceof NavigationEnd),
        takeUntilDestroyed(),
      )
      .subscribe(() => this.scope.set(scopeOf(router.routerState.snapshot.root)));
  }

  async undo(): Promise<void> {
    if (this.scope() === 'own') return this.undoOwn();
    const doc = this.doc();
    const c = doc === null ? null : await (this.scope() === 'formula' ? this.desk.undo() : this.store.undo(doc));
    this.say('Undone', c);
  }

  async redo(): Promise<void> {
    const doc = this.doc();
    const c = doc === null ? null : await (this.scope() === 'formula' ? this.desk.redo() : this.store.redo(doc));
    this.say('Done again', c);
  }

  private undoOwn(): void {
    const label = this.own()?.label();
    if (label) this.own()?.undo();
    this.say('Undone', label ? { label } : null);
  }

  private say(done: 'Undone' | 'Done again', step: Partial<Command> | null): void {
    const nothing = done === 'Undone' ? 'Nothing to undo here.' : 'Nothing to redo here.';
    const where = step && this.store.elsewhere(step) ? ' (made in another tab)' : '';
    this.notices.say(step ? `${done}: ${step.label}${where}` : nothing, undefined, 'undo');
  }
}

function scopeOf(route: ActivatedRouteSnapshot): UndoScope {
  let at = route;
  while (at.firstChild) at = at.firstChild;
  return (at.data['undo'] as UndoScope | undefined) ?? 'none';
}
