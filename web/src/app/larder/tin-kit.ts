import { mass } from '../ui/figures';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  capacityIn,
  capacityOf,
  readLength,
  readTin,
  shapes,
  tinMaterials,
  tinProblems,
  typicalTareG,
  type Tin,
  type TinLining,
  type TinShape,
} from '@orvin/core';
import { TinSection } from '../ui/tin-section';
import { CommonTins } from './common-tins';
import { KitchenEdit } from './kitchen-edit';
import { Pick, type Option } from './pick';
import { shortId } from '../data/ids';
import { Shown } from '../ui/shown';

const INCH_MM = 25.4;

type Size = 'topMm' | 'top2Mm' | 'baseMm' | 'base2Mm' | 'depthMm' | 'tubeMm';
/** The tins of the kit: drawn to one scale, edited by their inside, and measured by what they hold. */
@Component({
  selector: 'orvin-tin-kit',
  imports: [CommonTins, Pick, Shown, TinSection],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './tin-kit.html',
  styleUrls: ['./larder.scss', './tin-kit.scss'],
})
export class TinKit {
  protected readonly edit = inject(KitchenEdit);
  protected readonly kitchen = this.edit.kitchen;
  protected readonly shapes = shapes.map((s) => ({ id: s.id as TinShape, name: s.name }));
  protected readonly materials = tinMaterials.map((id) => ({ id, name: id === 'none' ? 'none, on a tray' : id }));
  protected readonly linings: Option<TinLining>[] = [
    { id: 'none', name: 'nothing, greased' },
    { id: 'paper', name: 'paper' },
    { id: 'double', name: 'paper twice, and wrapped' },
  ];
  private readonly picked = signal<string | null>(null);
  /** Sizes as they stand in the fields, while they are typed and not yet kept. */
  private readonly typing = signal<Partial<Tin>>({});
  protected readonly tin = computed(
    () => this.kitchen().tins.find((t) => t.id === this.picked()) ?? this.kitchen().tins[0],
  );
  /** The tin as it would be with what is being typed: what is drawn and measured. */
  protected readonly shown = computed<Tin | undefined>(() => {
    const t = this.tin();
    return t && { ...t, ...this.typing() };
  });

  protected readonly free = computed(() => ['mound', 'slab'].includes(this.tin()?.shape ?? ''));
  protected readonly geometry = computed(() => {
    const t = this.shown();
    if (!t) return '';
    const { capacityMl: _measured, ...by } = t;
    return capacityIn(this.kitchen(), capacityOf(by));
  });
  protected readonly problems = computed(() => {
    const t = this.shown();
    return t ? tinProblems(t, this.kitchen()) : [];
  });
  protected readonly sizes = computed<readonly { id: Size; name: string }[]>(() => {
    switch (this.tin()?.shape) {
      case 'round':
      case 'cup':
        return [
          { id: 'topMm', name: 'across the rim' },
          { id: 'baseMm', name: 'across the base' },
          { id: 'depthMm', name: 'deep' },
        ];
      case 'tube':
        return [
          { id: 'topMm', name: 'across the rim' },
          { id: 'baseMm', name: 'across the base' },
          { id: 'tubeMm', name: 'tube' },
          { id: 'depthMm', name: 'deep' },
        ];
      case 'square':
        return [
          { id: 'topMm', name: 'side at the rim' },
          { id: 'baseMm', name: 'side at the base' },
          { id: 'depthMm', name: 'deep' },
        ];
      case 'mound':
      case 'slab':
        return [
          { id: 'topMm', name: 'across' },
          { id: 'depthMm', name: 'thick' },
        ];
      default:
        return [
          { id: 'topMm', name: 'long at the rim' },
          { id: 'top2Mm', name: 'wide at the rim' },
          { id: 'baseMm', name: 'long at the base' },
          { id: 'base2Mm', name: 'wide at the base' },
          { id: 'depthMm', name: 'deep' },
        ];
    }
  });

  protected readonly typical = (t: Tin): string => mass(typicalTareG(t));
  protected readonly holds = (t: Tin): string =>
    t.shape === 'mound' || t.shape === 'slab'
      ? 'on a tray'
      : capacityIn(this.kitchen(), Math.round(capacityOf(t) / 10) * 10);

  protected pick(id: string): void {
    this.typing.set({});
    this.picked.set(id);
  }

  protected set(change: Partial<Tin>, what: string): void {
    this.typing.set({});
    const t = this.tin();
    const k = this.kitchen();
    if (t)
      this.edit.change(`${t.name}: ${what}`, {
        ...k,
        tins: k.tins.map((x) => (x.id === t.id ? { ...x, ...change } : x)),
      });
  }

  protected setName(e: Event): void {
    const name = (e.target as HTMLInputElement).value.trim();
    if (name !== '') this.set({ name }, 'name');
  }

  /** Bare numbers are millimetres, or inches where the kitchen has those. */
  protected readonly ruler = computed(() => (this.kitchen().display.length === 'in' ? 'in' : 'mm'));
  /** A length in any unit, mm. NaN when it is none. */
  private lengthOf(text: string): number {
    return readLength(text, this.kitchen().display, this.ruler()) ?? NaN;
  }
  /** A size as it stands in its field: to a sixteenth of an inch. */
  protected sizeText(mm: number | undefined): string {
    if (mm === undefined) return '';
    return this.ruler() === 'mm' ? String(mm) : String(Math.round((16 * mm) / INCH_MM) / 16);
  }

  /** While a size is typed the drawing and the capacity follow; only Enter or leaving the field keeps it. */
  protected typeSize(e: Event, id: Size): void {
    const mm = this.lengthOf((e.target as HTMLInputElement).value);
    this.typing.set(mm > 0 && mm <= 1000 ? { [id]: mm } : {});
  }

  protected setSize(e: Event, id: Size): void {
    const input = e.target as HTMLInputElement;
    const t = this.tin();
    const mm = this.lengthOf(input.value);
    if (!t || !Number.isFinite(mm) || mm <= 0 || mm > 1000) {
      this.edit.problem.set(
        `"${input.value}" is no length I can read: ${this.ruler() === 'in' ? '8, 8 1/2, 20.3 cm' : '203, 20.3 cm, 8 in'}. It stays ${this.sizeText(t?.[id]) || 'unset'}.`,
      );
      input.value = this.sizeText(t?.[id]);
      this.typing.set({});
      return;
    }
    if (this.sizeText(mm) === this.sizeText(t[id])) return this.typing.set({});
    this.set({ [id]: Math.round(mm * 10) / 10 }, id === 'depthMm' ? 'depth' : 'size');
  }

  protected setOptional(e: Event, id: 'capacityMl' | 'tareG' | 'cups', what: string, low: number, high: number): void {
    const t = this.tin();
    const k = this.kitchen();
    if (!t) return;
    if ((e.target as HTMLInputElement).value.trim() === '') {
      const { [id]: _gone, ...rest } = t;
      this.edit.change(`${t.name}: no ${what}`, { ...k, tins: k.tins.map((x) => (x.id === t.id ? (rest as Tin) : x)) });
      return;
    }
    const value =
      id === 'cups'
        ? this.edit.number(e, what, low, high, t.cups)
        : this.edit.figure(e, id === 'tareG' ? 'mass' : 'capacity', what, low, high, t[id]);
    if (value !== null && this.edit.shown('mass', value) !== '' && value !== t[id]) this.set({ [id]: id === 'cups' ? Math.round(value) : Math.round(10 * value) / 10 }, what); // prettier-ignore
  }

  protected readonly shop = signal(false);
  /** A common tin goes up under an id of its own; what it weighs is not known until it is weighed. */
  protected hang(tin: Tin): void {
    const k = this.kitchen();
    const id = `${tin.id}-${shortId(4)}`;
    this.edit.change(`hang up ${tin.name}`, { ...k, tins: [...k.tins, { ...tin, id }] });
    this.picked.set(id);
  }

  /** A tin in words, as a recipe would name it: "9 x 5 inch loaf", "two 20 cm rounds". */
  protected add(words: HTMLInputElement): void {
    const use = readTin(
      /\b(?:tin|tray|pan|\[)/i.test(words.value) ? words.value : `a ${words.value} tin`,
      this.kitchen(),
    );
    if (!use) {
      this.edit.problem.set(
        `"${words.value}" names no tin I can picture. Say its size and shape: ${this.ruler() === 'in' ? '8 inch round, 9 x 5 inch loaf' : '20 cm round, 23 x 13 cm loaf'}, 12-hole muffin tray.`,
      );
      return;
    }
    const k = this.kitchen();
    const id = `${use.tin.id}-${shortId(4)}`;
    this.edit.change(`add ${use.tin.name}`, { ...k, tins: [...k.tins, { ...use.tin, id }] });
    this.picked.set(id);
    words.value = '';
  }

  protected remove(t: Tin): void {
    const k = this.kitchen();
    this.edit.change(`take away ${t.name}`, { ...k, tins: k.tins.filter((x) => x.id !== t.id) });
  }
}
