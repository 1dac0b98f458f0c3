import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { money, shopSections, shopping, type ShoppingLine, heavyIn } from '@orvin/core';
import { EMPTY_LIST, kinds } from '../data/kinds';
import { LiveDocument } from '../data/live-document';
import type { ShoppingDoc, WorkingRecord } from '../data/records';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import { Pantry } from '../desk/pantry';

/** What to buy for the bakes of a day or a week: less what is there, in packs, in the order one walks the shop. */
@Component({
  selector: 'orvin-shopping',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shopping-part.html',
  styleUrl: './shopping-part.scss',
})
export class ShoppingPart {
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  private readonly pantry = inject(Pantry);
  private readonly working = toSignal(this.store.working$, { initialValue: [] as WorkingRecord[] });
  private readonly doc = new LiveDocument(this.store, kinds.shopping);
  private readonly day = new LiveDocument(this.store, kinds.day);

  protected readonly list = computed<ShoppingDoc>(() => this.doc.value() ?? EMPTY_LIST);
  protected readonly bakes = computed(() =>
    this.list().bakes.flatMap((b) => {
      const w = this.working().find((x) => x.id === b.id);
      return w ? [{ ...b, formula: w.formula }] : [];
    }),
  );
  protected readonly others = computed(() => this.working().filter((w) => !this.list().bakes.some((b) => b.id === w.id)).map((w) => ({ id: w.id, title: w.formula.title })).sort((a, b) => a.title.localeCompare(b.title))); // prettier-ignore
  /** Formulas of the day's plan that are not on the list. */
  protected readonly ofDay = computed(() => {
    return (this.day.value()?.bakes ?? []).filter((id) => !this.list().bakes.some((b) => b.id === id) && this.working().some((w) => w.id === id)); // prettier-ignore
  });
  protected readonly shop = computed(() => shopping(this.bakes().map((b) => ({ formula: b.formula, factor: b.times })), this.pantry.stock(), this.desk.kitchen())); // prettier-ignore
  protected readonly groups = computed(() =>
    shopSections
      .map((name) => ({ name, lines: this.shop().buy.filter((l) => l.section === name) }))
      .filter((g) => g.lines.length > 0),
  );
  protected readonly inBasket = computed(() => new Set(this.list().basket));
  protected readonly basketCost = computed(() => this.shop().buy.filter((l) => this.inBasket().has(l.ingredient)).reduce((s, l) => s + (l.cost ?? 0), 0)); // prettier-ignore
  protected readonly anyInBasket = computed(() => this.shop().buy.some((l) => this.inBasket().has(l.ingredient)));

  protected money(x: number): string {
    return money(x, this.desk.kitchen());
  }
  protected grams(g: number): string {
    return heavyIn(this.desk.kitchen().display, g < 1000 ? Math.round(g) : g);
  }
  protected takers(l: ShoppingLine): string {
    return l.takenBy.map((t) => (l.takenBy.length > 1 ? `${t.title} ${this.grams(t.grams)}` : t.title)).join(', ');
  }

  private change(label: string, next: ShoppingDoc): Promise<boolean> {
    return this.doc.change(label, next);
  }
  protected add(ids: readonly string[]): void {
    if (ids.length === 0) return;
    const l = this.list();
    void this.change('bakes to shop for', { ...l, bakes: [...l.bakes, ...ids.map((id) => ({ id, times: 1 }))] });
  }
  protected times(id: string, by: number): void {
    const l = this.list();
    // halves below one and full batches above
    const step = (x: number): number => (by > 0 ? (x < 1 ? 1 : x + 1) : x > 1 ? x - 1 : 0.5);
    void this.change('how many batches', { ...l, bakes: l.bakes.map((b) => (b.id === id ? { ...b, times: Math.min(40, step(b.times)) } : b)) }); // prettier-ignore
  }
  protected drop(id: string): void {
    const l = this.list();
    void this.change('a bake less to shop for', { ...l, bakes: l.bakes.filter((b) => b.id !== id) });
  }
  protected tick(l: ShoppingLine): void {
    const list = this.list();
    const basket = this.inBasket().has(l.ingredient) ? list.basket.filter((x) => x !== l.ingredient) : [...list.basket, l.ingredient]; // prettier-ignore
    void this.change(`${l.name} in the basket`, { ...list, basket });
  }
  /** What is in the basket goes into the cupboard, in full packs. */
  protected async putAway(): Promise<void> {
    const got = this.shop().buy.filter((l) => this.inBasket().has(l.ingredient));
    const grams = Object.fromEntries(got.map((l) => [l.ingredient, l.packs !== null && l.packG !== null ? l.packs * l.packG : l.buyG])); // prettier-ignore
    if (await this.pantry.bought(grams)) await this.change('empty the basket', { ...this.list(), basket: [] });
  }
  protected print(): void {
    window.print();
  }
}
