import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Tin } from '@orvin/core';
import { TinSection } from './tin-section';

/** No drawing is wider, px. */
const WIDEST_PX = 120;
const PX_A_MM = 0.42;

/** A tin by its picture and name, to be pressed; all of them to one scale, as far as it goes. */
@Component({
  selector: 'orvin-tin-press',
  imports: [TinSection],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button
      type="button"
      [attr.aria-label]="label() === '' ? null : label()"
      [attr.aria-pressed]="on()"
      (click)="pressed.emit(tin())"
    >
      <orvin-tin-section [tin]="tin()" [px]="px()" [label]="''" />
      <b>{{ tin().name }}</b>
      <ng-content />
    </button>
  `,
  styles: `
    :host {
      display: grid;
      height: 100%;
    }
    button {
      display: grid;
      justify-items: center;
      align-content: end;
      gap: 0.1rem;
      width: 100%;
      height: 100%;
      min-height: 6.6rem;
      padding: 0.5rem 0.3rem;
      border: 2px solid transparent;
      border-radius: 12px;
      background: none;
      color: var(--ink);
      font: inherit;
      text-align: center;
      cursor: pointer;
    }
    button:hover {
      border-color: var(--rim-soft);
      background: var(--enamel);
    }
    button[aria-pressed='true'] {
      border-color: var(--rim);
      background: var(--rim-wash);
    }
    b {
      font-weight: 600;
      font-size: 0.95rem;
    }
  `,
})
export class TinPress {
  readonly tin = input.required<Tin>();
  /** What a screen reader says instead of the name. */
  readonly label = input('');
  /** Whether it is one of those that are chosen; null where a press does something else. */
  readonly on = input<boolean | null>(null);
  readonly pressed = output<Tin>();
  protected readonly px = computed(() => Math.min(PX_A_MM, WIDEST_PX / this.tin().topMm));
}
