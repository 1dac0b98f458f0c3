import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { DialogModule } from 'primeng/dialog';
import { Panels } from './panels';

interface KeyRow {
  readonly keys: readonly string[];
  readonly does: string;
}

/** The sheet of keys. */
@Component({
  selector: 'orvin-keys',
  imports: [DialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      [visible]="panels.keys()"
      (visibleChange)="panels.keys.set(false)"
      [modal]="true"
      [dismissableMask]="true"
      [draggable]="false"
      closeAriaLabel="Close"
      [pt]="{ content: { tabindex: 0 } }"
      [style]="{ width: 'min(52rem, 94vw)' }"
      header="Keys"
    >
      <div class="columns">
        @for (part of parts; track part.title) {
          <section>
            <h2>{{ part.title }}</h2>
            <dl>
              @for (row of part.rows; track row.does) {
                <div>
                  <dt>
                    @for (k of row.keys; track k) {
                      <kbd>{{ k }}</kbd>
                    }
                  </dt>
                  <dd>{{ row.does }}</dd>
                </div>
              }
            </dl>
          </section>
        }
      </div>
    </p-dialog>
  `,
  styles: `
    .columns {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(17rem, 1fr));
      gap: 1.5rem 2.5rem;
    }
    dl {
      margin: 0.5rem 0 0;
    }
    dl div {
      display: grid;
      grid-template-columns: 8rem 1fr;
      gap: 0.6rem;
      padding: 0.3rem 0;
      border-top: 1px solid var(--hair);
    }
    dt {
      display: flex;
      gap: 0.25rem;
      flex-wrap: wrap;
      align-items: flex-start;
    }
    dd {
      margin: 0;
    }
  `,
})
export class KeysPanel {
  protected readonly panels = inject(Panels);
  protected readonly parts: readonly { title: string; rows: readonly KeyRow[] }[] = [
    {
      title: 'Everywhere',
      rows: [
        { keys: ['1 – 7'], does: 'go to Shelf, Bench, Tins, Day, Counter, Log, Larder' },
        { keys: ['/'], does: 'find a formula' },
        { keys: ['Ctrl', 'Z'], does: 'undo' },
        { keys: ['Ctrl', 'Shift', 'Z'], does: 'redo' },
        { keys: ['D'], does: 'light or dim' },
        { keys: ['?'], does: 'this sheet' },
        { keys: ['Esc'], does: 'close, or drop what is being tried' },
      ],
    },
    {
      title: 'On an amount',
      rows: [
        { keys: ['↑', '↓'], does: 'a sensible step more or less' },
        { keys: ['Shift', '↑'], does: 'a bigger step' },
        { keys: ['Alt', '↑'], does: 'a finer step' },
        { keys: ['Enter'], does: 'take what was typed: 240, 1 1/2 c, 2 eggs' },
        { keys: ['Esc'], does: 'leave it as it was' },
      ],
    },
    {
      title: 'Day and Counter',
      rows: [
        { keys: ['←', '→'], does: 'on a block, or the serving time: move it 5 minutes' },
        { keys: ['Shift', '→'], does: 'further; Alt by the minute' },
        { keys: ['Del'], does: 'on a block that is held: let go' },
        { keys: ['any key'], does: 'at the counter: go on; a pedal too' },
        { keys: ['⌫', '←'], does: 'at the counter: back' },
      ],
    },
    {
      title: 'Log',
      rows: [
        { keys: ['↑', '↓'], does: 'through the bakes; J and K too' },
        { keys: ['L'], does: 'log a bake of the formula in hand' },
        { keys: ['Esc'], does: 'leave the bake that is looked at' },
      ],
    },
    {
      title: 'On the Bench',
      rows: [
        { keys: ['T'], does: 'try the advice that is shown; Enter keeps it' },
        { keys: ['N'], does: 'the next piece of advice, or the next proposal' },
        { keys: ['A'], does: 'ask for something: lighter, without egg, from what I have' },
        { keys: ['←', '→'], does: 'on a bar, a segment, the map’s point or the minutes: move it' },
        { keys: ['Enter'], does: 'on a bar of an instrument: what it stands for' },
        { keys: ['L'], does: 'on a line’s bar: lock it; Delete takes it out' },
        { keys: ['H'], does: 'hold the total' },
        { keys: ['P'], does: 'parts, or per cent of flour' },
        { keys: ['R'], does: 'on a line’s bar: limit it, or replace it' },
        { keys: ['C'], does: 'compare with another' },
        { keys: ['V'], does: 'its versions' },
      ],
    },
  ];
}
