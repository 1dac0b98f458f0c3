import { mass } from '../ui/figures';
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { lengthIn, differences, markScales, outcomes, symptomName, type BakeRecord, weightIn } from '@orvin/core';
import { from, switchMap } from 'rxjs';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import { Photo } from '../ui/photo';
import { dateWords } from '../ui/when';
import { degrees, dialWords, tinWords } from '../ui/words';

interface Row {
  readonly name: string;
  readonly one: string;
  readonly other: string;
}

/** Two bakes side by side: what differed in the formula, in the making, and in what came of it. */
@Component({
  selector: 'orvin-beside-bakes',
  imports: [Photo],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <article class="sheet" aria-label="Two bakes side by side">
      <header>
        <p class="label">Side by side</p>
        <button type="button" class="word small" (click)="done.emit()">back to one</button>
      </header>
      <div class="pair heads">
        @for (b of pair(); track b.id) {
          <div>
            <h2>{{ b.title }}</h2>
            <p class="quiet small">{{ when(b) }}</p>
            @if (b.photos?.[0]; as p) {
              <orvin-photo [id]="p" [alt]="'Photo of ' + b.title + ', ' + when(b)" />
            }
          </div>
        }
      </div>

      <section aria-label="Formula">
        <h3>Formula</h3>
        @if (formulas(); as f) {
          @if (changes().length > 0) {
            <ul>
              @for (c of changes(); track c) {
                <li>{{ c }}</li>
              }
            </ul>
          } @else {
            <p class="quiet">
              {{ f.other ? 'The same, line for line.' : 'One of them is not on the shelf any more.' }}
            </p>
          }
        }
      </section>
      @for (g of groups(); track g.name) {
        <section [attr.aria-label]="g.name">
          <h3>{{ g.name }}</h3>
          <table>
            <thead class="visually-hidden">
              <tr>
                <th>what</th>
                <th>{{ when(one()) }}</th>
                <th>{{ when(other()) }}</th>
              </tr>
            </thead>
            <tbody>
              @for (r of g.rows; track r.name) {
                <tr [class.differs]="r.one !== r.other">
                  <th>{{ r.name }}</th>
                  <td>{{ r.one || '–' }}</td>
                  <td>{{ r.other || '–' }}</td>
                </tr>
              }
            </tbody>
          </table>
        </section>
      }
      <p class="quiet small">
        What differs is set in bold. Two bakes are two bakes: a series of small batches tells more.
      </p>
    </article>
  `,
  styles: `
    .sheet {
      padding: 0.9rem 1.2rem 1rem;
      display: grid;
      gap: 0.9rem;
    }
    header,
    .pair {
      display: grid;
      grid-template-columns: 1fr auto;
      gap: 1rem;
    }
    .heads {
      grid-template-columns: 1fr 1fr;
    }
    orvin-photo {
      height: 7rem;
      margin-top: 0.4rem;
      border-radius: var(--round-small);
    }
    h3 {
      font-size: 1rem;
      color: var(--rim);
    }
    ul {
      margin: 0.2rem 0 0;
      padding-left: 1.1rem;
    }
    table {
      width: 100%;
      border-collapse: collapse;
      table-layout: fixed;
    }
    th,
    td {
      text-align: left;
      vertical-align: top;
      padding: 0.25rem 0.6rem 0.25rem 0;
      border-top: 1px solid var(--hair);
      font-weight: 400;
      overflow-wrap: anywhere;
    }
    tbody th {
      width: 7rem;
      color: var(--ink-2);
      font-size: 0.9rem;
    }
    .differs td {
      font-weight: 700;
    }
  `,
})
export class BesideBakes {
  readonly one = input.required<BakeRecord>();
  readonly other = input.required<BakeRecord>();
  readonly done = output<void>();
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  protected readonly pair = computed(() => [this.one(), this.other()]);
  protected readonly formulas = toSignal(
    toObservable(this.pair).pipe(
      switchMap(([a, b]) =>
        from(Promise.all([this.store.formulaOf(a as BakeRecord), this.store.formulaOf(b as BakeRecord)])),
      ),
      switchMap(([one, other]) => [{ one, other }]),
    ),
  );
  protected readonly changes = computed(() => {
    const f = this.formulas();
    return f?.one && f.other ? differences(f.one, f.other, this.desk.kitchen()).map((d) => d.words) : [];
  });

  protected when(b: BakeRecord): string {
    return dateWords(b.at, this.desk.kitchen().locale.zone, 'year');
  }

  protected readonly groups = computed<readonly { name: string; rows: readonly Row[] }[]>(() => {
    const [a, b] = [this.one(), this.other()];
    const row = (name: string, of: (x: BakeRecord) => string | undefined): Row => ({ name, one: of(a) ?? '', other: of(b) ?? '' }); // prettier-ignore
    const said = (r: Row): boolean => r.one !== '' || r.other !== '';
    const oven = (x: BakeRecord): string => this.desk.kitchen().ovens.find((o) => o.id === x.ovenId)?.name ?? x.ovenId;
    const min = (x: number | undefined): string | undefined => (x === undefined ? undefined : `${x} min`);
    const mm = (x: number | undefined): string | undefined =>
      x === undefined ? undefined : lengthIn(this.desk.kitchen().display, x);
    return [
      {
        name: 'Making',
        rows: [
          row('tin', (x) => tinWords(x.tin)),
          row('batter', (x) => mass(x.batterG)),
          row('heat', (x) => dialWords({ ovenC: x.ovenC, fan: x.fan })),
          row('oven', (x) => `${oven(x)}${x.rack ? `, ${x.rack} rack` : ''}`),
          row('stood', (x) => min(x.observed?.stoodMin)),
          row('in the oven', (x) => min(x.minutes)),
          row('foretold', (x) => (x.predicted ? `${x.predicted.early}–${x.predicted.late} min` : undefined)),
          row('middle', (x) => (x.result?.centreC === undefined ? undefined : degrees(x.result.centreC))),
        ].filter(said),
      },
      {
        name: 'What came of it',
        rows: [
          row('in a word', (x) => outcomes.find((o) => o.id === x.outcome)?.words),
          ...markScales.map((s) => row(s.name.toLowerCase(), (x) => s.steps[(x.result?.marks?.[s.id] ?? 0) - 1])),
          row('wrong', (x) => x.result?.symptoms?.map(symptomName).join(', ')),
          row('height', (x) => mm(x.result?.heightMm)),
          row('water lost', (x) => (x.result?.outG === undefined ? undefined : `${(100 * (1 - x.result.outG / weightIn(x))).toFixed(1)} %`)), // prettier-ignore
          row('notes', (x) => x.notes),
        ].filter(said),
      },
    ];
  });
}
