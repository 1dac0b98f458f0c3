import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { Bins } from '../data/bins';
import { kinds } from '../data/kinds';
import { Desk } from '../desk/desk';

/** Stands where a view of a formula would, when that is not in the open kitchen; puts it back when it lies in the bin. */
@Component({
  selector: 'orvin-missing',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section class="sheet">
    <h1>This formula is not in this kitchen</h1>
    @if (binned(); as row) {
      <p>{{ row.title }} was taken away and lies in the bin.</p>
    } @else {
      <p>It may have been taken away, or belong to another kitchen on this device.</p>
    }
    <div class="presses">
      @if (binned(); as row) {
        <button type="button" class="press first" (click)="bins.putBack(row)">put it back</button>
      }
      <a class="press" [class.first]="!binned()" routerLink="/shelf">To the Shelf</a>
    </div>
  </section>`,
  styles: `
    .sheet {
      padding: 2rem;
      display: grid;
      gap: 0.8rem;
      justify-items: start;
      max-width: 40rem;
    }
    .presses {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
    }
  `,
})
export class MissingPart {
  protected readonly bins = inject(Bins);
  private readonly desk = inject(Desk);
  private readonly rows = toSignal(this.bins.rows$, { initialValue: [] });
  protected readonly binned = computed(() =>
    this.rows().find((r) => r.table === kinds.formula.table && r.key === this.desk.id()),
  );
}
