import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { plainName, type StepAmount } from '@orvin/core';
import { grams } from './weigh-part';

/** What has to stand ready before anything is weighed: each a large field that is touched when it does. */
@Component({
  selector: 'orvin-set-out-part',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="kind">set out, {{ there().size }} of {{ lines().length }} ready</p>
    <ul>
      @for (l of lines(); track l.itemId) {
        <li>
          <button type="button" [attr.aria-pressed]="there().has(l.itemId)" (click)="touched.emit(l.itemId)">
            <b>{{ plain(l.name) }}</b>
            <span>{{ grams(l.grams) }}{{ l.note ? ', ' + l.note : '' }}</span>
          </button>
        </li>
      }
    </ul>
  `,
  styleUrl: './set-out-part.scss',
})
export class SetOutPart {
  readonly lines = input.required<readonly StepAmount[]>();
  readonly there = input.required<ReadonlySet<string>>();
  readonly touched = output<string>();
  protected readonly plain = plainName;
  protected readonly grams = grams;
}
