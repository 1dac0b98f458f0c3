import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import {
  capacityIn,
  capacityOf,
  kitchenIn,
  kitchenPlaces,
  likelyTins,
  placeFor,
  type HeatScale,
  type KitchenPlace,
  type OvenKind,
  type Tin,
} from '@orvin/core';
import { Kitchens } from '../data/kitchens';
import { shortId } from '../data/ids';
import { Desk } from '../desk/desk';
import { TinPress } from '../ui/tin-press';
import { measuresOf } from './measures';

interface Choice<T> {
  readonly id: T;
  readonly name: string;
}

/** Where one bakes, in what oven, in which tins: a kitchen of one's own, in a minute. All of it can be changed later. */
@Component({
  selector: 'orvin-own',
  imports: [RouterLink, TinPress],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './own.html',
  styleUrl: './own.scss',
})
export class Own {
  private readonly kitchens = inject(Kitchens);
  private readonly desk = inject(Desk);
  private readonly router = inject(Router);
  protected readonly places = kitchenPlaces;
  protected readonly heats: readonly Choice<HeatScale>[] = [
    { id: 'C', name: '°C' },
    { id: 'F', name: '°F' },
    { id: 'gas', name: 'gas marks' },
  ];
  protected readonly lengths: readonly Choice<'cm' | 'in'>[] = [
    { id: 'cm', name: 'centimetres' },
    { id: 'in', name: 'inches' },
  ];
  protected readonly weights: readonly Choice<'g' | 'oz'>[] = [
    { id: 'g', name: 'grams' },
    { id: 'oz', name: 'ounces and pounds' },
  ];
  protected readonly ovens: readonly Choice<OvenKind>[] = [
    { id: 'still', name: 'top and bottom heat' },
    { id: 'fan', name: 'fan' },
    { id: 'gas', name: 'gas' },
  ];

  /** As the browser's language has it, until one is pressed. */
  protected readonly place = signal<KitchenPlace | null>(placeFor(navigator.languages));
  protected readonly guessed = signal(this.place() !== null);
  private readonly said = signal<{ heat?: HeatScale; length?: 'cm' | 'in'; weight?: 'g' | 'oz'; oven?: OvenKind }>({});
  private readonly chosen = signal<readonly string[]>([]);
  protected readonly name = signal('My kitchen');
  protected readonly making = signal(false);

  /** The kitchen as it would be with what has been said. */
  protected readonly kitchen = computed(() => {
    const place = this.place();
    if (!place) return null;
    const { heat, length, weight, oven } = this.said();
    const tins = this.tins().flatMap((t) => (t.on ? [{ ...t.tin, id: `${t.tin.id}-${shortId(4)}` }] : []));
    return kitchenIn(place, 'mine', Intl.DateTimeFormat().resolvedOptions().timeZone, {
      name: this.name().trim() === '' ? 'My kitchen' : this.name().trim(),
      tins,
      ...(heat && { temperature: heat }),
      ...(length && { length }),
      ...(weight && { weight }),
      ...(oven && { oven }),
    });
  });
  protected readonly oven = computed(() => this.said().oven ?? this.place()?.oven ?? null);
  /** What its cups, spoons and eggs are, in a line. */
  protected readonly measures = computed(() => {
    const k = this.kitchen();
    return k ? measuresOf(k) : '';
  });
  protected readonly tins = computed(() => {
    const place = this.place();
    const chosen = new Set(this.chosen());
    return place ? likelyTins(place.tins).map(({ id, tin }) => ({ id, tin, on: chosen.has(id) })) : [];
  });
  protected readonly count = computed(() => this.tins().filter((t) => t.on).length);
  protected readonly holds = (tin: Tin): string => {
    const k = this.kitchen();
    return k ? `holds ${capacityIn(k, Math.round(capacityOf(tin) / 10) * 10)}` : '';
  };

  protected live(place: KitchenPlace): void {
    this.place.set(place);
    this.guessed.set(false);
    this.said.set({});
  }

  protected say(what: Partial<{ heat: HeatScale; length: 'cm' | 'in'; weight: 'g' | 'oz'; oven: OvenKind }>): void {
    this.said.update((s) => ({ ...s, ...what }));
  }

  protected turn(id: string): void {
    this.chosen.update((all) => (all.includes(id) ? all.filter((x) => x !== id) : [...all, id]));
  }

  protected typed(e: Event): void {
    this.name.set((e.target as HTMLInputElement).value);
  }

  protected async begin(): Promise<void> {
    const kitchen = this.kitchen();
    if (!kitchen || this.making()) return;
    this.making.set(true);
    this.desk.putDown();
    const made = await this.kitchens.startOwn({ ...kitchen, id: shortId(8) });
    this.making.set(false);
    if (made) await this.router.navigate(['/shelf']);
  }
}
