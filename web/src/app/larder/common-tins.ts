import { units } from '../ui/words';
import { mass } from '../ui/figures';
import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import {
  capacityIn,
  capacityOf,
  commonTins,
  kitchenPlace,
  tinRegions,
  typicalTareG,
  type Tin,
  type TinRegion,
} from '@orvin/core';
import { TinPress } from '../ui/tin-press';
import { KitchenEdit } from './kitchen-edit';

/** So many are shown of a search that finds many. */
const MOST = 48;

/** Common tins by name and picture, to be hung up with one press; their sizes are a beginning. */
@Component({
  selector: 'orvin-common-tins',
  imports: [TinPress],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <div class="places" role="group" aria-label="Whose tins">
        @for (r of regions; track r) {
          <button type="button" class="press" [attr.aria-pressed]="r === region()" (click)="region.set(r)">
            {{ r }}
          </button>
        }
      </div>
      <label class="visually-hidden" for="find-tin">Find a tin</label>
      <input
        id="find-tin"
        class="field"
        type="search"
        [placeholder]="
          'find: loaf, ' +
          (regions.indexOf(region()) === 1 || regions.indexOf(region()) === 3 ? '9 in' : '23 cm') +
          ', muffin'
        "
        autocomplete="off"
        [value]="asked()"
        (input)="asked.set($any($event.target).value)"
      />
    </div>
    <ul>
      @for (t of found(); track t.id) {
        <li>
          <orvin-tin-press
            [tin]="t.tin"
            [label]="(t.hung ? 'Hang up one more: ' : 'Hang up: ') + t.tin.name"
            (pressed)="hang.emit($event)"
          >
            <span class="quiet small">{{ t.words }}</span>
            @if (t.hung) {
              <span class="small have">you have it</span>
            }
          </orvin-tin-press>
        </li>
      } @empty {
        <li class="quiet">No such tin here. Say it in words below, with its size.</li>
      }
    </ul>
    <p class="quiet small">
      Inside sizes as shops sell them, by general knowledge: hold a rule to yours, and weigh it. A press hangs one up;
      undo takes it down.
    </p>
  `,
  styles: `
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6rem;
      align-items: center;
    }
    .places {
      display: flex;
      flex-wrap: wrap;
      gap: 0.35rem;
    }
    .places .press {
      min-height: 2.2rem;
      padding: 0.2rem 0.8rem;
    }
    .places .press[aria-pressed='true'] {
      background: var(--rim);
      color: var(--enamel);
    }
    .field {
      flex: 1 1 12rem;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(9.4rem, 1fr));
      gap: 0.3rem;
      align-items: stretch;
      max-height: 27rem;
      margin: 0.6rem 0 0.4rem;
      padding: 0;
      list-style: none;
      overflow-y: auto;
    }
    li {
      padding: 0;
    }
    .have {
      color: var(--rim);
    }
  `,
})
export class CommonTins {
  readonly hang = output<Tin>();
  private readonly edit = inject(KitchenEdit);
  protected readonly regions = tinRegions;
  protected readonly region = signal<TinRegion>(
    kitchenPlace(this.edit.kitchen().locale.place)?.tins ?? 'UK and Ireland',
  );
  protected readonly asked = signal('');

  protected readonly found = computed(() => {
    const words = this.asked().toLowerCase().split(/\s+/).filter((w) => w !== ''); // prettier-ignore
    const names = new Set(this.edit.kitchen().tins.map((t) => t.name));
    // a search looks everywhere
    return commonTins
      .filter((c) => (words.length === 0 ? c.region === this.region() : words.every((w) => said(c.tin).includes(w))))
      .slice(0, MOST)
      .map(({ id, tin }) => ({ id, tin, hung: names.has(tin.name), words: wordsOf(tin) })); // prettier-ignore
  });
}

const said = (t: Tin): string => `${t.name} ${t.shape} ${t.material}`.toLowerCase();
const wordsOf = (t: Tin): string =>
  `${capacityIn(units(), Math.round(capacityOf(t) / 10) * 10)}${t.material === 'light metal' ? '' : `, ${t.material}`}, about ${mass(typicalTareG(t))}`;
