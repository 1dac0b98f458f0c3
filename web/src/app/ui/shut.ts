import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Kitchens } from '../data/kitchens';
import { Registry } from '../data/registry';
import { Store, type Shut } from '../data/store';
import { Desk } from '../desk/desk';

/** Says that nothing more is written from this tab, why, and how to go on. */
@Component({
  selector: 'orvin-shut',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section class="sheet" role="alertdialog" aria-labelledby="shut-what" aria-describedby="shut-why">
    @if (why() === 'newer') {
      <h2 id="shut-what">A newer Orvin has taken {{ name() }} over</h2>
      <p id="shut-why">
        It runs in another tab, or did, and keeps the kitchen in a way that this one does not know. Nothing more is
        written from here.
      </p>
    } @else {
      <h2 id="shut-what">{{ name() }} was cleared in another tab</h2>
      <p id="shut-why">
        @if (binned()) {
          It is in the bin, with all that was stored, and can be taken back for a while. Nothing more is written from
          here.
        } @else {
          It is gone from this device. Nothing more is written from here.
        }
      </p>
    }
    @if (loose().length > 0) {
      <p class="quiet">Not stored: {{ loose().join(', ') }}.</p>
    }
    <div class="presses">
      @if (why() === 'newer') {
        <button type="button" class="press first" (click)="reload()">reload</button>
      }
      @for (k of others(); track k.id) {
        <button type="button" class="press" (click)="open(k.id)">open {{ k.name }}</button>
      }
      @if (why() === 'gone' && binned()) {
        <button type="button" class="press" (click)="takeBack()">take it back</button>
      }
    </div>
  </section>`,
  styleUrl: './shut.scss',
})
export class ShutPanel {
  readonly why = input.required<Shut>();
  private readonly store = inject(Store);
  private readonly kitchens = inject(Kitchens);
  private readonly registry = inject(Registry);
  private readonly desk = inject(Desk);
  private readonly taken = computed(() => this.kitchens.current() ?? this.kitchens.refused());
  protected readonly name = computed(() => this.taken()?.name ?? 'this kitchen');
  protected readonly others = computed(() => this.kitchens.all().filter((k) => k.id !== this.taken()?.id));
  protected readonly binned = computed(() => this.registry.binned().some((k) => k.id === this.taken()?.id));
  protected readonly loose = computed(() => this.store.edits.stuck().map((e) => e.label));

  protected reload(): void {
    location.reload();
  }

  protected open(id: string): void {
    this.desk.putDown();
    void this.kitchens.switchTo(id);
  }

  protected takeBack(): void {
    const id = this.kitchens.current()?.id;
    if (id !== undefined) void this.kitchens.takeBack(id);
  }
}
