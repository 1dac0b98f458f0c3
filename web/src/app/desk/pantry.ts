import { Injectable, computed, inject } from '@angular/core';
import { stockNow, type Kitchen } from '@orvin/core';
import { Desk } from './desk';
import { Learning } from './learning';

/** What is in the cupboard now: as it was counted, less what bakes have taken since. */
@Injectable({ providedIn: 'root' })
export class Pantry {
  private readonly desk = inject(Desk);
  private readonly learning = inject(Learning);
  readonly stock = computed(() => stockNow(this.desk.kitchen(), this.learning.bakes() ?? []));
  /** The kitchen with what is there now for its stock; not to be stored. */
  readonly kitchen = computed<Kitchen>(() => ({ ...this.desk.kitchen(), stock: this.stock() }));

  /** The kitchen as it is to be stored, with some amounts counted anew now; `undefined` takes one off the list. */
  counted(amounts: Readonly<Record<string, number | undefined>>): Kitchen {
    const k = this.desk.kitchen();
    const now = Date.now();
    const stock = { ...k.stock };
    const stockAt = { ...k.stockAt };
    for (const [id, g] of Object.entries(amounts)) {
      if (g === undefined) {
        delete stock[id];
        delete stockAt[id];
      } else {
        stock[id] = Math.round(10 * g) / 10;
        stockAt[id] = now;
      }
    }
    return { ...k, stock, stockAt };
  }

  /** What was bought is there now. */
  bought(grams: Readonly<Record<string, number>>): Promise<boolean> {
    const now = this.stock();
    const next = this.counted(Object.fromEntries(Object.entries(grams).map(([id, g]) => [id, (now[id] ?? 0) + g])));
    return this.desk.changeKitchen('put away the shopping', next);
  }
}
