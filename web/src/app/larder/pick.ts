import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { SelectModule } from 'primeng/select';

export interface Option<T> {
  readonly id: T;
  readonly name: string;
}

/** A labelled choice in a grid of fields: the label in one column, the list in the next. */
@Component({
  selector: 'orvin-pick',
  imports: [FormsModule, SelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: ':host { display: contents; }',
  template: `
    <span [id]="key()">{{ label() }}</span>
    <p-select
      [options]="options()"
      optionLabel="name"
      optionValue="id"
      [ngModel]="value()"
      [ngModelOptions]="{ standalone: true }"
      (ngModelChange)="picked.emit($event)"
      [ariaLabelledBy]="key()"
      [filter]="options().length > 20"
      fluid
    />
  `,
})
export class Pick<T> {
  readonly label = input.required<string>();
  readonly options = input.required<Option<T>[]>();
  readonly value = input.required<T | null>();
  readonly picked = output<T>();
  protected readonly key = computed(
    () =>
      `pick-${this.label()
        .toLowerCase()
        .replace(/[^a-z]+/g, '-')}`,
  );
}
