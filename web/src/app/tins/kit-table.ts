import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { same, type BakePrediction, type Browning, type TinUse } from '@orvin/core';
import { distinctUntilChanged, from, map, mergeMap, of, scan, startWith, switchMap } from 'rxjs';
import { Compute } from '../compute/compute';
import type { Converted, KitChoice } from '../compute/jobs';
import { Bakery } from '../desk/bakery';
import { Learning } from '../desk/learning';
import { Desk } from '../desk/desk';
import { degrees, degreesBy, minuteWords, tinWords } from '../ui/words';

interface Row {
  readonly kit: KitChoice;
  readonly converted: Converted | null;
}

/** The batter as it is in every tin of the kit: how many, how full, at which heat and how long; it prints as a page. */
@Component({
  selector: 'orvin-kit-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="head">
      <div>
        <p class="label">In every tin of the kit</p>
        <p class="quiet small">
          The batter as it is, the best tin first. The heat is the one that keeps the crust as it was.
          @if (waiting() > 0) {
            <span aria-live="polite">Working out {{ waiting() }} more…</span>
          }
        </p>
      </div>
      <button type="button" class="press not-printed" (click)="print()">print this table</button>
    </div>
    <table>
      <thead>
        <tr>
          <th scope="col">tin</th>
          <th scope="col">how it fits</th>
          <th scope="col" class="n">heat</th>
          <th scope="col" class="n">minutes</th>
          <th scope="col" class="n same">at {{ heat() }}</th>
          <th scope="col">crust</th>
        </tr>
      </thead>
      <tbody>
        @for (r of rows(); track r.kit.choice.use.tin.id) {
          <tr [class.poor]="!r.kit.choice.suits" [class.own]="r.kit.choice.use.tin.id === ownId()">
            <th scope="row">
              <button type="button" class="pick" (click)="chosen.emit(r.kit.choice.use)">
                {{ name(r.kit.choice.use) }}
              </button>
            </th>
            <td>{{ r.kit.choice.reason }}</td>
            @if (r.converted; as c) {
              @if (c.suited.likely > 0) {
                <td class="n">
                  {{ degrees(c.ovenC, true) }}
                  @if (change(r) !== '') {
                    <span class="by">{{ change(r) }}</span>
                  }
                </td>
                <td class="n strong">{{ minutes(c.suited) }}</td>
                <td class="n same">{{ minutes(c.same) }}</td>
                <td>{{ c.crust }}</td>
              } @else {
                <td colspan="4" class="quiet">{{ c.words }}</td>
              }
            } @else {
              <td colspan="4" class="quiet">…</td>
            }
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    .head {
      display: flex;
      justify-content: space-between;
      align-items: start;
      gap: 1rem;
    }
    table {
      width: 100%;
      border-collapse: collapse;
      margin-top: 0.5rem;
      font-size: 0.94rem;
    }
    th,
    td {
      text-align: left;
      padding: 0.34rem 0.7rem 0.34rem 0;
      border-top: 1px solid var(--hair);
      font-weight: 400;
      vertical-align: baseline;
    }
    thead th {
      border-top: 0;
      color: var(--ink-2);
      font-size: 0.85rem;
    }
    .n {
      text-align: right;
      white-space: nowrap;
    }
    .strong {
      font-weight: 750;
      color: var(--heat);
    }
    .same {
      color: var(--ink-2);
    }
    .by {
      color: var(--heat);
      font-size: 0.85rem;
    }
    .pick {
      border: 0;
      background: none;
      padding: 0.1rem 0;
      font-weight: 650;
      color: var(--rim);
      cursor: pointer;
      text-align: left;
      text-decoration: underline;
      text-decoration-color: var(--rim-soft);
      text-underline-offset: 3px;
    }
    .poor .pick,
    .poor td {
      color: var(--ink-2);
      font-weight: 400;
    }
    .own th::after {
      content: 'its own';
      margin-left: 0.5rem;
      font-size: 0.8rem;
      color: var(--ink-2);
    }
    @media (max-width: 720px) {
      td:nth-child(2),
      thead th:nth-child(2),
      td:nth-child(6),
      thead th:nth-child(6),
      .same {
        display: none;
      }
    }
  `,
})
export class KitTable {
  /** The bake that the crust is measured by: the formula's own. */
  readonly own = input.required<BakePrediction | null>();
  readonly chosen = output<TinUse>();
  private readonly desk = inject(Desk);
  private readonly bakery = inject(Bakery);
  private readonly learning = inject(Learning);
  private readonly compute = inject(Compute);
  protected readonly degrees = degrees;
  /** Every tin's range is as wide as the own tin's, which samples have given. */
  protected readonly minutes = (m: BakePrediction['minutes']): string => {
    const own = this.own()?.minutes;
    if (!own) return minuteWords(m);
    return minuteWords({ early: (m.likely * own.early) / own.likely, late: (m.likely * own.late) / own.likely });
  };
  protected readonly name = tinWords;
  protected readonly ownId = computed(() => this.desk.formula()?.tins?.[0]?.tin.id ?? '');
  protected readonly heat = computed(() => degrees(this.desk.formula()?.bake?.ovenC ?? 180, true));

  private readonly request = computed(
    () => {
      const formula = this.desk.formula();
      const kitchen = this.learning.kitchen();
      const own = this.own();
      const needed = (formula?.tins?.length ?? 0) > 0;
      if (!formula || !kitchen || (needed && !own)) return null;
      const wanted: Browning | null = own
        ? { top: own.browning.top, side: own.browning.side, base: own.browning.base }
        : null;
      return { formula, stated: this.bakery.stated(), wanted, kitchen };
    },
    { equal: same },
  );
  /** Rows come in as they are ready; a change of the formula starts anew. */
  protected readonly rows = toSignal(
    toObservable(this.request).pipe(
      distinctUntilChanged(),
      switchMap((r) =>
        r === null
          ? of([] as Row[])
          : this.compute.run('later:kit', 'choices', r.formula, r.kitchen.tins, r.kitchen).pipe(
              switchMap((o) => {
                const kit = o.ok ? o.value : [];
                const empty = kit.map((k): Row => ({ kit: k, converted: null }));
                return from(kit).pipe(
                  mergeMap((k, i) =>
                    this.compute
                      .run(`later:kit-${i}`, 'convert', k.input, r.wanted, r.kitchen, r.stated)
                      .pipe(map((c) => ({ i, converted: c.ok ? c.value : null }))),
                  ),
                  scan(
                    (rows, x) => rows.map((row, i) => (i === x.i ? { ...row, converted: x.converted } : row)),
                    empty,
                  ),
                  startWith(empty),
                );
              }),
            ),
      ),
    ),
    { initialValue: [] as Row[] },
  );
  protected readonly waiting = computed(() => this.rows().filter((r) => r.converted === null).length);

  protected change(r: Row): string {
    const by = Math.round((r.converted?.ovenC ?? 0) - r.kit.input.ovenC);
    return by === 0 ? '' : `${degreesBy(Math.abs(by))} ${by < 0 ? 'lower' : 'hotter'}`;
  }

  /** Prints the table alone: everything else on the page is hidden while it does. */
  protected print(): void {
    document.documentElement.dataset['print'] = 'kit';
    addEventListener('afterprint', () => delete document.documentElement.dataset['print'], { once: true });
    window.print();
  }
}
