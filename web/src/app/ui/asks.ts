import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';

export interface AskPress {
  readonly id: string;
  readonly name: string;
  readonly title?: string;
  /** What it is called aloud, where its name alone does not say it. */
  readonly says?: string;
}

/** A row of wishes to press: some pressed, or all of them in force and each to be taken away again. */
@Component({
  selector: 'orvin-asks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (label() !== '') {
      <span class="label">{{ label() }}</span>
    }
    @for (a of asks(); track a.id) {
      <button
        type="button"
        class="ask"
        [attr.aria-pressed]="away() !== '' || on().has(a.id)"
        [attr.title]="a.title"
        [attr.aria-label]="a.says ?? (away() === '' ? null : a.name + '; ' + away())"
        (click)="pick.emit(a.id)"
      >
        {{ a.name }}{{ away() === '' ? '' : ' ✕' }}
      </button>
    }
    <ng-content />
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.3rem 0.35rem;
    }
    .label {
      width: 4.2rem;
      flex: none;
    }
  `,
})
export class Asks {
  readonly asks = input.required<readonly AskPress[]>();
  readonly label = input('');
  readonly pressed = input<Iterable<string>>([]);
  /** Where all are in force: what a press does to one, said aloud. */
  readonly away = input('');
  readonly pick = output<string>();
  protected readonly on = computed(() => new Set(this.pressed()));
}
