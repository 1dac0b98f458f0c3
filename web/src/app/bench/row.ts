import type { ElementRef } from '@angular/core';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, viewChild } from '@angular/core';
import {
  asMeasured,
  heavyIn,
  roundings,
  readAmount,
  type Ingredient,
  type Item,
  type Kitchen,
  type Source,
  type Usual,
} from '@orvin/core';
import { Panels } from '../ui/panels';
import { mass, massTo, roleColour, scaleG } from '../ui/figures';
import { stepFor } from './step-for';

/** One line of the formula sheet: as measured, name, grams, baker's %, and a bar to pull over its usual range. */
@Component({
  selector: 'orvin-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './row.html',
  styleUrl: './row.scss',
  host: {
    '[class.active]': 'active()',
    '[class.changed]': 'was() !== null',
    '[class.locked]': 'locked()',
    '(pointerenter)': 'point.emit()',
    '(focusin)': 'point.emit()',
  },
})
export class Row {
  protected readonly panels = inject(Panels);
  readonly item = input.required<Item>();
  readonly ingredient = input.required<Ingredient>();
  /** Its share as shown: baker's percentage, or parts. */
  readonly share = input.required<string>();
  readonly shareKind = input<'per cent of flour' | 'parts'>('per cent of flour');
  /** Nothing but typing changes it. */
  readonly locked = input(false);
  readonly usual = input<Usual | null>(null);
  /** Whether it is the line that does not fit the rest. */
  readonly suspect = input(false);
  readonly kitchen = input.required<Kitchen>();
  readonly source = input.required<Source>();
  /** Grams before the change being dragged or tried; null when this line does not change. */
  readonly was = input<number | null>(null);
  readonly dragging = output<number>();
  readonly set = output<{ grams: number; label: string }>();
  readonly dropped = output<void>();
  readonly takeOut = output<void>();
  readonly lock = output<void>();
  /** Asked to be limited, or to be replaced. */
  readonly swap = output<void>();
  /** The line is pointed at or has the focus. */
  readonly point = output<void>();

  protected readonly active = signal(false);
  protected readonly typed = signal<string | null>(null);
  protected readonly problem = signal('');
  private readonly bar = viewChild.required<ElementRef<HTMLElement>>('bar');
  private grip: { full: number; id: number } | null = null;

  protected readonly measured = computed(() =>
    asMeasured(this.item().grams, this.ingredient(), this.kitchen().measures, this.item().form),
  );
  /** Set where rounding to this scale and these spoons would be felt in the lift. */
  protected readonly rounding = computed(() => {
    const i = this.ingredient();
    if (i.role !== 'leavener') return null;
    const r = roundings(this.item().grams, i, this.kitchen().measures, this.kitchen().display);
    if (r.warning === null) return null;
    const spoon = Math.abs(r.measured.errorPct) > Math.abs(r.weighed.errorPct);
    const off = Math.round(spoon ? r.measured.errorPct : r.weighed.errorPct);
    const by = `${off > 0 ? '+' : '−'}${Math.abs(off)} %`;
    return { words: r.warning, short: spoon ? `weigh it: spoon ${by}` : `spoon it: scale ${by}` };
  });
  protected readonly grams = computed(() => scaleG(this.item().grams));
  protected readonly unit = computed(() => this.kitchen().display.weight ?? 'g');
  protected readonly unitName = computed(() => (this.unit() === 'oz' ? 'ounces' : 'grams'));
  protected readonly wasText = computed(() => scaleG(this.was() ?? 0));
  protected readonly colour = computed(() => roleColour[this.ingredient().role]);
  protected readonly name = computed(() => {
    const i = this.ingredient();
    return i.id === 'unknown' ? this.item().words : i.name;
  });
  protected readonly full = computed(
    () => this.grip?.full ?? this.usual()?.full ?? Math.max(1, this.item().grams * 1.6),
  );
  protected readonly at = (g: number | null): number => Math.min(100, Math.max(0, (100 * (g ?? 0)) / this.full()));
  protected readonly range = computed(() => {
    const u = this.usual();
    return u && u.low !== null && u.high !== null
      ? { left: this.at(u.low), width: Math.max(1.5, this.at(u.high) - this.at(u.low)) }
      : null;
  });
  protected readonly barLabel = computed(() => {
    const u = this.usual();
    const usual = u && u.low !== null && u.high !== null ? `, usual ${scaleG(u.low)} to ${scaleG(u.high)}` : '';
    return `${this.name()}, ${this.grams()} ${this.unitName()}${usual}`;
  });

  protected input(e: Event): void {
    this.typed.set((e.target as HTMLInputElement).value);
    this.problem.set('');
  }

  protected take(): void {
    const text = this.typed();
    this.typed.set(null);
    this.active.set(false);
    if (text === null || text.trim() === '' || text.trim() === this.grams()) return;
    const read = readAmount(text, this.ingredient(), { ...this.source(), ...this.kitchen().measures }, this.unit());
    if (read === null || read.grams < 0) {
      this.problem.set(
        `"${text}" is no amount I can read. Try ${scaleG(240)}, 1 1/2 c, 2 tsp or 2 eggs; it stays ${mass(this.item().grams)}.`,
      );
      return;
    }
    if (read.grams > 50_000) {
      this.problem.set(
        `${heavyIn(this.kitchen().display, read.grams)} is more than a kitchen bakes; it stays ${mass(this.item().grams)}.`,
      );
      return;
    }
    this.set.emit({
      grams: Math.round(read.grams * 100) / 100,
      label: `${this.name()} ${massTo(this.item().grams, read.grams)}`,
    });
  }

  protected keys(e: KeyboardEvent): void {
    if (e.key === 'Enter') {
      e.preventDefault();
      this.take();
      (e.target as HTMLElement).blur();
    } else if (e.key === 'Escape') {
      this.typed.set(null);
      this.problem.set('');
      (e.target as HTMLInputElement).value = this.grams();
      (e.target as HTMLElement).blur();
    } else this.nudge(e);
  }

  /** Arrow keys on the amount or on the bar; Delete on the bar takes the line out. */
  protected nudge(e: KeyboardEvent): void {
    if (e.key.toLowerCase() === 'l' && (e.target as HTMLElement).tagName !== 'INPUT' && !e.ctrlKey && !e.metaKey) {
      e.preventDefault();
      this.lock.emit();
      return;
    }
    if (e.key.toLowerCase() === 'r' && (e.target as HTMLElement).tagName !== 'INPUT' && !e.ctrlKey && !e.metaKey) {
      e.preventDefault();
      this.swap.emit();
      return;
    }
    const up = e.key === 'ArrowUp' || e.key === 'ArrowRight';
    const down = e.key === 'ArrowDown' || e.key === 'ArrowLeft';
    const onInput = (e.target as HTMLElement).tagName === 'INPUT';
    if (e.key === 'Delete' && !onInput) {
      e.preventDefault();
      this.takeOut.emit();
      return;
    }
    if ((!up && !down) || (this.locked() && !onInput) || (onInput && (e.key === 'ArrowLeft' || e.key === 'ArrowRight')))
      return;
    e.preventDefault();
    this.typed.set(null);
    const g = this.item().grams;
    const step = stepFor(this.ingredient().role, g, e);
    const grams = Math.max(0, Math.round((g + (up ? step : -step)) * 100) / 100);
    this.set.emit({ grams, label: `${this.name()} ${massTo(g, grams)}` });
  }

  protected grab(e: PointerEvent): void {
    if (e.button !== 0 || this.locked()) return;
    e.preventDefault();
    this.grip = { full: this.full(), id: e.pointerId };
    this.bar().nativeElement.setPointerCapture(e.pointerId);
    this.bar().nativeElement.focus({ preventScroll: true });
    this.pull(e);
  }

  protected pull(e: PointerEvent): void {
    if (this.grip?.id !== e.pointerId) return;
    this.dragging.emit(this.gramsAt(e));
  }

  protected release(e: PointerEvent): void {
    if (this.grip?.id !== e.pointerId) return;
    const grams = this.gramsAt(e);
    this.grip = null;
    this.set.emit({ grams, label: `${this.name()} → ${mass(grams)}` });
  }

  protected lost(): void {
    if (!this.grip) return;
    this.grip = null;
    this.dropped.emit();
  }

  private gramsAt(e: PointerEvent): number {
    const box = this.bar().nativeElement.getBoundingClientRect();
    const x = Math.min(1, Math.max(0, (e.clientX - box.left) / box.width));
    const full = this.grip?.full ?? this.full();
    const raw = x * full;
    const step = full < 12 ? 0.1 : full < 60 ? 0.5 : full < 300 ? 1 : 5;
    return Math.round(Math.round(raw / step) * step * 100) / 100;
  }
}
