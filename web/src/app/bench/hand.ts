import { Injectable, computed, inject, signal } from '@angular/core';
import {
  allItems,
  ingredientFor,
  keepingTotal,
  moveTo,
  toTotal,
  type Axis,
  type Change,
  type Formula,
} from '@orvin/core';
import { Desk } from '../desk/desk';
import { mass, massTo } from '../ui/figures';
import { stepFor } from './step-for';

/**
 * The hand on the drawings: every bar, segment and point of the Bench that can be pulled goes through here, so that
 * locked lines stay put and the total is held when the baker wants it held. Provided by the Bench; a drawing shown
 * without it can be read but not pulled.
 */
@Injectable()
export class Hand {
  private readonly desk = inject(Desk);
  /** Whether the batter's weight is held, so that the other lines make up for the one that changes. */
  readonly holdTotal = signal(false);
  readonly locked = computed(() => this.desk.plan().locked ?? []);

  private changes(f: Formula, change: Change): Change[] {
    return this.holdTotal() ? keepingTotal(f, change, this.locked()) : [change];
  }

  canPull(itemId: string): boolean {
    return !this.locked().includes(itemId);
  }

  /** Shows an amount without storing it. */
  pull(itemId: string, grams: number): void {
    const f = this.desk.formula();
    if (f && this.canPull(itemId)) this.desk.drag.set(this.changes(f, { itemId, grams: Math.max(0, grams) }));
  }

  /** Stores an amount, as one step that can be undone. */
  set(itemId: string, grams: number, label?: string): void {
    const f = this.desk.formula();
    const item = f && allItems(f).find((i) => i.id === itemId);
    if (!f || !item) return;
    const to = Math.max(0, Math.round(grams * 100) / 100);
    const name = ingredientFor(f, item, this.desk.kitchen()).name;
    const held = this.holdTotal() ? ', total held' : '';
    this.desk.setMany(this.changes(f, { itemId, grams: to }), (label ?? `${name} ${massTo(item.grams, to)}`) + held);
  }

  /** A key on something that stands for an item: a sensible step up or down. True when the key was taken. */
  key(itemId: string, e: KeyboardEvent): boolean {
    const up = e.key === 'ArrowUp' || e.key === 'ArrowRight';
    const down = e.key === 'ArrowDown' || e.key === 'ArrowLeft';
    const f = this.desk.formula();
    const item = f && allItems(f).find((i) => i.id === itemId);
    if ((!up && !down) || !f || !item || !this.canPull(itemId)) return false;
    const step = stepFor(ingredientFor(f, item, this.desk.kitchen()).role, item.grams, e);
    this.set(itemId, item.grams + (up ? step : -step));
    return true;
  }

  drop(): void {
    this.desk.drag.set(null);
  }

  /** Moves the formula on the map; `keep` stores it. */
  move(to: Partial<Readonly<Record<Axis, number>>>, keep: boolean): void {
    const f = this.desk.formula();
    if (!f) return;
    const changes = moveTo(f, to, this.desk.kitchen(), this.locked());
    if (!keep) this.desk.drag.set(changes);
    else {
      const words = Object.entries(to).map(([axis, pct]) => `${axis} ${Math.round(pct)} %`);
      this.desk.setMany(changes, `to ${words.join(', ')}`);
    }
  }

  /** Brings the batter to a weight with its ratios kept; false when locked lines do not let it. */
  total(grams: number): boolean {
    const f = this.desk.formula();
    const changes = f ? toTotal(f, grams, this.locked()) : [];
    if (changes.length === 0) return false;
    this.desk.setMany(changes, `batter to ${mass(Math.round(grams))}`);
    return true;
  }

  toggleLock(itemId: string, name: string): void {
    const now = this.locked();
    const off = now.includes(itemId);
    void this.desk.change(`${off ? 'unlock' : 'lock'} ${name}`, {
      plan: { ...this.desk.plan(), locked: off ? now.filter((id) => id !== itemId) : [...now, itemId] },
    });
  }
}
