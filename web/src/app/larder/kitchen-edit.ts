import { Injectable, inject, signal } from '@angular/core';
import type { Kitchen } from '@orvin/core';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';

/** The one way in which the larder changes the kitchen: a labelled step that can be undone, or a problem in words. */
@Injectable({ providedIn: 'root' })
export class KitchenEdit {
  private readonly store = inject(Store);
  readonly kitchen = inject(Desk).kitchen;
  readonly problem = signal('');

  change(label: string, next: Kitchen): void {
    this.problem.set('');
    void this.store.commit('kitchen', label, 'meta', 'kitchen', this.kitchen(), next);
  }

  /** A typed number within bounds; otherwise says why not, puts the old figure back and gives null. */
  number(e: Event, what: string, low: number, high: number, was: number | undefined): number | null {
    const input = e.target as HTMLInputElement;
    const text = input.value.trim();
    const value = Number(text.replace(',', '.'));
    if (text === '' || !Number.isFinite(value) || value < low || value > high) {
      this.problem.set(
        `"${input.value}" is no ${what}: type a number from ${low} to ${high}. ${was === undefined ? 'Nothing was changed.' : `It stays ${was}.`}`,
      );
      input.value = was === undefined ? '' : String(was);
      return null;
    }
    this.problem.set('');
    return value;
  }
}
