import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Assessment, Formula } from '@orvin/core';
import { Panels } from '../ui/panels';
import { pct } from '../ui/figures';

type Measure = 'fat' | 'sugar' | 'egg' | 'water' | 'salt';
const measures: readonly Measure[] = ['fat', 'sugar', 'egg', 'water', 'salt'];
const pctOf = (a: Assessment, m: Measure): number =>
  ({
    fat: a.totals.fatPct,
    sugar: a.totals.sugarPct,
    egg: a.totals.eggPct,
    water: a.totals.waterPct,
    salt: a.totals.saltPct,
  })[m];

/** Fat, sugar, egg, water and salt in per cent of flour, each against where bakes lie that are else like this one. */
@Component({
  selector: 'orvin-ranges',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (r of rows(); track r.m) {
      <button type="button" class="line" (click)="panels.explain(r.m, about())" [attr.aria-label]="r.label">
        <span class="v" [class.faulty]="r.out"
          ><span class="quiet">{{ r.m }}</span> {{ r.text }}</span
        >
        <span class="strip" aria-hidden="true">
          <span class="zone" [style.left.%]="r.zoneLeft" [style.width.%]="r.zoneWidth"></span>
          @if (r.was !== null) {
            <span class="was" [style.left.%]="r.was"></span>
          }
          <span class="at" [class.out]="r.out" [style.left.%]="r.at"></span>
        </span>
      </button>
    }
  `,
  styleUrl: './ranges.scss',
})
export class Ranges {
  protected readonly panels = inject(Panels);
  readonly assessment = input.required<Assessment>();
  /** The formula it shows, where that is not the one in hand. */
  readonly about = input<Formula | null>(null);
  readonly before = input<Assessment | null>(null);

  protected readonly rows = computed(() => {
    const a = this.assessment();
    const b = this.before();
    return measures.map((m) => {
      const span = a.plausible?.spans[m];
      const [lo, hi] = span ? [span.low, span.high] : [0, 200];
      const w = Math.max(hi - lo, 0.1);
      const from = Math.max(0, lo - 0.45 * w);
      const to = hi + 0.45 * w;
      const at = (x: number): number => Math.min(100, Math.max(0, (100 * (x - from)) / (to - from)));
      const x = pctOf(a, m);
      const v = a.verdicts.find((y) => y.id === m);
      const old = b ? pctOf(b, m) : x;
      const out = v !== undefined && v.state !== 'ok' && v.severity !== 'note';
      return {
        m,
        at: at(x),
        zoneLeft: span ? at(lo) : 0,
        zoneWidth: span ? at(hi) - at(lo) : 0,
        text: a.totals.flourG > 0 ? pct(x) : '–',
        out,
        was: b && Math.abs(old - x) > 0.05 ? at(old) : null,
        label: `${m} ${pct(x)} per cent of flour${span ? `, mostly ${pct(lo)} to ${pct(hi)} where all else is so` : ''}; why?`,
      };
    });
  });
}
