import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { markScales, type MarkId, type Marks, type MarkStep } from '@orvin/core';

/** Four scales of five, each step with its word; pressed again, a mark is taken away. */
@Component({
  selector: 'orvin-marks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (s of scales; track s.id) {
      <div class="scale" role="group" [attr.aria-label]="s.name">
        <span class="name" aria-hidden="true">{{ s.name }}</span>
        <div class="rail">
          @for (word of s.steps; track word; let i = $index) {
            <button
              type="button"
              [class.on]="marks()?.[s.id] === i + 1"
              [class.best]="s.best === i + 1"
              [attr.aria-pressed]="marks()?.[s.id] === i + 1"
              (click)="press(s.id, i + 1)"
            >
              <i></i><span>{{ word }}</span>
            </button>
          }
        </div>
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.2rem;
    }
    .scale {
      display: grid;
      grid-template-columns: 4.6rem 1fr;
      align-items: center;
      gap: 0.6rem;
    }
    .name {
      font-weight: 650;
      font-size: 0.92rem;
    }
    .rail {
      position: relative;
      display: grid;
      grid-template-columns: repeat(5, 1fr);
    }
    .rail::before {
      content: '';
      position: absolute;
      left: 10%;
      right: 10%;
      top: 0.95rem;
      border-top: 2px solid var(--rim-soft);
    }
    button {
      position: relative;
      display: grid;
      justify-items: center;
      gap: 0.2rem;
      min-height: 2.9rem;
      padding: 0.35rem 0.1rem 0.2rem;
      border: 0;
      background: none;
      cursor: pointer;
      font-size: 0.8rem;
      line-height: 1.1;
      color: var(--ink-2);
    }
    i {
      width: 1.2rem;
      height: 1.2rem;
      border-radius: 50%;
      border: 2px solid var(--rim-soft);
      background: var(--enamel);
    }
    .best i {
      border-color: var(--rim);
    }
    button:hover i {
      background: var(--rim-wash);
      border-color: var(--rim);
    }
    .on {
      color: var(--ink);
      font-weight: 700;
    }
    .on i {
      background: var(--rim);
      border-color: var(--rim);
    }
  `,
})
export class MarksPart {
  readonly marks = input<Marks | undefined>();
  readonly marked = output<Marks>();
  protected readonly scales = markScales;

  protected press(id: MarkId, step: number): void {
    const { [id]: was, ...rest } = this.marks() ?? {};
    this.marked.emit(was === step ? rest : { ...rest, [id]: step as MarkStep });
  }
}
