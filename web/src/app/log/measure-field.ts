import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { lengthIn, massUnit, massValue, readLength, readMass } from '@orvin/core';
import { Shown } from '../ui/shown';
import { units } from '../ui/words';

/** To a tenth of a gram or millimetre; NaN of nothing. */
const round = (x: number | null): number => (x === null ? NaN : Math.round(10 * x) / 10);

/** A figure that was measured, with its unit; empty means it was not. What cannot be one is said beside it. */
@Component({
  selector: 'orvin-measure',
  imports: [Shown],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label>
      <span>{{ name() }}</span>
      <span class="box" [class.bad]="problem() !== ''">
        <input
          inputmode="decimal"
          autocomplete="off"
          [shown]="text()"
          [attr.aria-invalid]="problem() !== ''"
          (change)="take($any($event.target).value)"
        />
        <i>{{ behind() }}</i>
      </span>
    </label>
    @if (problem() !== '') {
      <p class="faulty small" role="alert">{{ problem() }}</p>
    }
  `,
  styles: `
    label {
      display: grid;
      gap: 0.15rem;
      font-size: 0.86rem;
    }
    .box {
      display: flex;
      align-items: center;
      border: var(--line) solid var(--rim-soft);
      border-radius: var(--round-small);
      background: var(--enamel);
      padding-right: 0.55rem;
    }
    .box:focus-within {
      border-color: var(--rim);
    }
    .bad {
      border-color: var(--faulty);
    }
    input {
      width: 100%;
      min-width: 2.4rem;
      min-height: 2.1rem;
      padding: 0.2rem 0.2rem 0.2rem 0.55rem;
      border: 0;
      background: none;
      font-size: 1rem;
      font-weight: 650;
    }
    i {
      font-style: normal;
      color: var(--ink-2);
      white-space: nowrap;
    }
  `,
})
export class MeasureField {
  readonly name = input.required<string>();
  readonly unit = input('');
  /** A weight, g, or a length, mm: shown in the kitchen's unit, and read in any. */
  readonly kind = input<'plain' | 'mass' | 'length'>('plain');
  readonly value = input<number | undefined>();
  readonly low = input(0);
  readonly high = input(10_000);
  /** A figure, or `undefined` when it was taken away. */
  readonly took = output<number | undefined>();
  private readonly wrong = signal<{ readonly text: string; readonly of: number | undefined } | null>(null);
  protected readonly problem = computed(() => {
    const w = this.wrong();
    return w && w.of === this.value()
      ? `Between ${this.figure(this.low())} and ${this.worded(this.high())}, please.`
      : '';
  });
  protected readonly text = computed(() => {
    const w = this.wrong();
    return w && w.of === this.value() ? w.text : this.figure(this.value());
  });
  protected readonly behind = computed(() => {
    const { display } = units();
    return { plain: this.unit(), mass: massUnit(display), length: display.length === 'in' ? 'in' : 'mm' }[this.kind()];
  });

  /** As it stands in the field, without its unit. */
  private figure(x: number | undefined): string {
    if (x === undefined) return '';
    const { display } = units();
    if (this.kind() === 'mass') return String(massValue(display, x));
    return this.kind() === 'length' && display.length === 'in' ? lengthIn(display, x).replace(' in', '') : String(x);
  }
  private worded(x: number): string {
    return `${this.figure(x)} ${this.behind()}`.trim();
  }
  private read(text: string): number {
    const { display } = units();
    if (this.kind() === 'mass') return round(readMass(text, display));
    if (this.kind() === 'length') return round(readLength(text, display, display.length === 'in' ? 'in' : 'mm'));
    return Number(text.replace(/\s*[a-zµ°%]+$/i, ''));
  }

  protected take(text: string): void {
    const plain = text.trim().replace(',', '.');
    if (plain === '') {
      this.wrong.set(null);
      if (this.value() !== undefined) this.took.emit(undefined);
      return;
    }
    const x = this.read(plain);
    if (!Number.isFinite(x) || x < this.low() || x > this.high()) {
      this.wrong.set({ text, of: this.value() });
      return;
    }
    this.wrong.set(null);
    // what is shown is coarser than what is kept: the same words are no change
    if (x !== this.value() && this.figure(x) !== this.figure(this.value())) this.took.emit(x);
  }
}
