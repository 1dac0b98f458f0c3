import { Injectable, inject, signal } from '@angular/core';
import type { Kitchen } from '@orvin/core';
import { Desk } from '../desk/desk';

/** The one way in which the larder changes the kitchen: a labelled step that can be undone, or a problem in words. */
@Injectable({ providedIn: 'root' })
export class KitchenEdit {
  private readonly desk = inject(Desk);
  readonly kitchen = this.desk.kitchen;
  readonly problem = signal('');

  change(label: string, next: Kitchen): void {
    this.problem.set('');
    void this.desk.changeKitchen(label, next);
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
