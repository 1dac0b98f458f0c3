import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { explain, explainBake, explainFit, plain, type Explanation } from '@orvin/core';
import { DialogModule } from 'primeng/dialog';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';
import { Panels } from './panels';

/** The reason behind a figure: in words, as an equation with this formula's numbers, with inputs and source. */
@Component({
  selector: 'orvin-why',
  imports: [DialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      [visible]="panels.why() !== null"
      (visibleChange)="panels.why.set(null)"
      [modal]="true"
      [dismissableMask]="true"
      [draggable]="false"
      closeAriaLabel="Close"
      [pt]="{ content: { tabindex: 0 } }"
      [style]="{ width: 'min(44rem, 94vw)' }"
      header="Where this comes from"
      styleClass="why-dialog"
    >
      @if (what(); as e) {
        <p>{{ e.words }}</p>
        <p class="equation">{{ e.equation }}</p>
        @if (spread(); as b) {
          <p class="quiet">
            Likely {{ figure(b.typical) }}; four times in five between {{ figure(b.low) }} and {{ figure(b.high) }}.
          </p>
        }
        @if (e.inputs.length > 0) {
          <table>
            <caption class="visually-hidden">
              What it is made from
            </caption>
            <tbody>
              @for (i of e.inputs; track i.name) {
                <tr>
                  <th scope="row">{{ i.name }}</th>
                  <td class="figure">{{ figure(i.value) }} {{ i.unit }}</td>
                  <td class="quiet">{{ i.from }}</td>
                </tr>
              }
            </tbody>
          </table>
        }
        <p class="quiet small">{{ e.source }}</p>
      }
    </p-dialog>
  `,
  styles: `
    p + p,
    table {
      margin-top: 0.8rem;
    }
    .equation {
      padding: 0.6rem 0.8rem;
      background: var(--rim-wash);
      border-radius: var(--round-small);
      font-weight: 650;
    }
    table {
      border-collapse: collapse;
      width: 100%;
    }
    th {
      text-align: left;
      font-weight: 500;
    }
    th,
    td {
      padding: 0.3rem 0.9rem 0.3rem 0;
      border-top: 1px solid var(--hair);
      vertical-align: baseline;
    }
    table + p {
      margin-top: 0.8rem;
    }
  `,
})
export class WhyPanel {
  protected readonly panels = inject(Panels);
  private readonly desk = inject(Desk);
  private readonly bakery = inject(Bakery);
  protected readonly figure = plain;
  /** A weight that was typed is not uncertain. */
  protected readonly spread = computed(() => {
    const b = this.what()?.band;
    return b && b.high - b.low > 1e-9 ? b : null;
  });
  protected readonly what = computed<Explanation | null>(() => {
    const key = this.panels.why();
    const f = this.panels.about() ?? this.desk.shown();
    if (key === null || !f) return null;
    const fit = this.bakery.shownFit();
    const bake = this.bakery.targetBake();
    if (key === 'bake') return fit && bake?.ok ? explainBake(fit, bake.value, this.desk.kitchen()) : null;
    if (key === 'fit') return fit ? explainFit(fit, this.desk.kitchen()) : null;
    return explain(f, key, this.desk.kitchen());
  });
}
