import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { capacityOf, powders, type FlourHabit, type Kitchen, type PowderType } from '@orvin/core';
import { SelectModule } from 'primeng/select';
import { Backup } from '../data/backup';
import { Kitchens } from '../data/kitchens';
import { Notices } from '../data/notices';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import { Intake } from '../shelf/intake';
import { TinSection } from '../ui/tin-section';
import { Theme } from '../ui/theme';
import { Undo } from '../ui/undo';

/** The kitchen itself: its measures, height, oven and tins; and the data, which is the baker's own. */
@Component({
  selector: 'orvin-larder',
  imports: [FormsModule, SelectModule, TinSection],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './larder.html',
  styleUrl: './larder.scss',
})
export class Larder {
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  private readonly intake = inject(Intake);
  private readonly notices = inject(Notices);
  protected readonly kitchens = inject(Kitchens);
  protected readonly backup = inject(Backup);
  protected readonly theme = inject(Theme);
  protected readonly kitchen = this.desk.kitchen;
  protected readonly persisted = signal<boolean | null>(null);
  protected readonly clearing = signal(false);
  protected readonly capacity = (t: Kitchen['tins'][number]): string => `${Math.round(capacityOf(t) / 10) * 10} ml`;
  protected readonly cups = [
    { ml: 236.6, name: '236.6 ml, US customary' },
    { ml: 240, name: '240 ml, US label' },
    { ml: 250, name: '250 ml, metric' },
    { ml: 284, name: '284 ml, imperial' },
    { ml: 200, name: '200 ml, Japanese' },
  ];
  protected readonly habits: readonly { id: FlourHabit; name: string }[] = [
    { id: 'sifted', name: 'sifted into the cup, about 105 g' },
    { id: 'spooned', name: 'spooned and levelled, about 122 g' },
    { id: 'dipped', name: 'dipped and swept, about 145 g' },
    { id: 'packed', name: 'packed, about 160 g' },
  ];
  protected readonly powders = powders.map((p) => ({ type: p.type, name: p.name }));
  protected readonly powder = computed(() => this.kitchen().powders[0]?.type ?? 'double-acting');
  protected readonly problem = signal('');

  constructor() {
    inject(Undo).scope.set('kitchen');
    void navigator.storage?.persisted?.().then((p) => this.persisted.set(p));
  }

  private change(label: string, next: Kitchen): void {
    void this.store.commit('kitchen', label, 'meta', 'kitchen', this.kitchen(), next);
  }

  protected setCup(cupMl: number): void {
    const k = this.kitchen();
    this.change(`cup ${cupMl} ml`, { ...k, measures: { ...k.measures, cupMl } });
  }

  protected setHabit(flourHabit: FlourHabit): void {
    const k = this.kitchen();
    this.change(`flour ${flourHabit}`, { ...k, measures: { ...k.measures, flourHabit } });
  }

  protected setPowder(type: PowderType): void {
    const k = this.kitchen();
    const [first, ...rest] = k.powders;
    this.change(`powder ${type}`, {
      ...k,
      powders: [
        {
          id: first?.id ?? 'powder',
          name: powders.find((p) => p.type === type)?.name ?? type,
          type,
          strength: first?.strength ?? 'vigorous',
        },
        ...rest,
      ],
    });
  }

  protected setNumber(e: Event, field: 'altitudeM' | 'roomC', low: number, high: number, what: string): void {
    const input = e.target as HTMLInputElement;
    const value = Number(input.value.replace(',', '.'));
    const k = this.kitchen();
    if (!Number.isFinite(value) || value < low || value > high) {
      this.problem.set(`"${input.value}" is no ${what}: type a number from ${low} to ${high}. It stays ${k[field]}.`);
      input.value = String(k[field]);
      return;
    }
    this.problem.set('');
    this.change(`${what} ${value}`, { ...k, [field]: value });
  }

  protected setName(e: Event): void {
    const name = (e.target as HTMLInputElement).value.trim();
    if (name !== '') this.change(`name ${name}`, { ...this.kitchen(), name });
  }

  protected async keepSafe(): Promise<void> {
    const yes = await this.kitchens.persist();
    this.persisted.set(yes);
    this.notices.say(
      yes
        ? 'The browser will keep this kitchen, even when space gets short.'
        : 'The browser did not promise to keep it. Export a copy now and then.',
    );
  }

  protected chosen(e: Event): void {
    const input = e.target as HTMLInputElement;
    const files = [...(input.files ?? [])];
    input.value = '';
    void this.intake.files(files, this.kitchen());
  }

  protected async clear(): Promise<void> {
    const id = this.kitchens.current()?.id;
    this.clearing.set(false);
    this.desk.putDown();
    if (id) await this.kitchens.remove(id);
    this.notices.say('That kitchen is gone from this device.');
  }

  protected async empty(): Promise<void> {
    this.desk.putDown();
    await this.kitchens.startEmpty('My kitchen');
  }
}
