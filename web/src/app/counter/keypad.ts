import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';

/** Digits large enough for a knuckle. */
@Component({
  selector: 'orvin-keypad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="pad" role="group" [attr.aria-label]="words()">
      <p class="words">{{ words() }}</p>
      <p class="value" aria-live="polite">{{ typed() === '' ? '–' : typed() }} {{ unit() }}</p>
      <div class="keys">
        @for (k of keys; track k) {
          <button type="button" (click)="press(k)" [attr.aria-label]="k === '⌫' ? 'take back' : null">{{ k }}</button>
        }
        <button type="button" class="no" (click)="gaveUp.emit()">cancel</button>
        <button type="button" class="yes" [disabled]="typed() === ''" (click)="entered.emit(+typed())">take it</button>
      </div>
    </div>
  `,
  styles: `
    .pad {
      display: grid;
      gap: 0.4rem;
      max-width: 34rem;
    }
    .words {
      font-size: 1.5rem;
      font-weight: 650;
    }
    .value {
      font-size: 2.4rem;
      font-weight: 800;
    }
    .keys {
      display: grid;
      grid-template-columns: repeat(6, 1fr);
      gap: 0.5rem;
    }
    button {
      min-height: 5rem;
      font-size: 1.9rem;
      font-weight: 750;
      border: 2px solid var(--rim-soft);
      border-radius: var(--round);
      background: var(--enamel);
      cursor: pointer;
      touch-action: manipulation;
    }
    .no,
    .yes {
      grid-column: span 3;
      font-size: 1.5rem;
    }
    .yes {
      background: var(--rim);
      color: var(--on-rim);
    }
    .yes:disabled {
      opacity: 0.45;
    }
    @media (max-width: 720px) {
      .keys {
        grid-template-columns: repeat(3, 1fr);
      }
      .no,
      .yes {
        grid-column: auto;
      }
      .yes {
        grid-column: span 2;
      }
    }
  `,
})
export class Keypad {
  readonly words = input.required<string>();
  readonly unit = input('');
  readonly entered = output<number>();
  readonly gaveUp = output();
  protected readonly typed = signal('');
  protected readonly keys = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0', '⌫'];

  protected press(k: string): void {
    this.typed.update((t) => (k === '⌫' ? t.slice(0, -1) : k === '.' && t.includes('.') ? t : (t + k).slice(0, 6)));
  }
}
