import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { familyOf, type Assessment, type Verdict } from '@orvin/core';
import { Panels } from '../ui/panels';
import { pct } from './words';

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

/** Fat, sugar, egg, water and salt, each on its own line against the family's range. */
@Component({
  selector: 'orvin-ranges',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="label">Balance</p>
    <h2>{{ headline() }}</h2>
    <div class="lines">
      @for (r of rows(); track r.m) {
        <button type="button" class="line" (click)="panels.explain(r.m)" [attr.aria-label]="r.label">
          <span class="m">{{ r.m }}</span>
          <span class="strip" aria-hidden="true">
            <span class="zone" [style.left.%]="r.zoneLeft" [style.width.%]="r.zoneWidth"></span>
            @if (r.was !== null) {
              <span class="was" [style.left.%]="r.was"></span>
            }
            <span class="at" [class.out]="r.out" [style.left.%]="r.at"></span>
          </span>
          <span class="v" [class.faulty]="r.out">{{ r.text }}<span class="quiet"> %</span></span>
        </button>
      }
    </div>
  `,
  styles: `
    .lines {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(15rem, 1fr));
      gap: 0.1rem 2rem;
      margin-top: 0.35rem;
    }
    .line {
      display: grid;
      grid-template-columns: 3.2rem 1fr 3.4rem;
      gap: 0.5rem;
      align-items: center;
      border: 0;
      background: none;
      padding: 0.16rem 0;
      text-align: left;
      cursor: help;
      border-radius: 6px;
    }
    .line:hover {
      background: var(--enamel-2);
    }
    .strip {
      position: relative;
      height: 1.15rem;
    }
    .strip::before {
      content: '';
      position: absolute;
      left: 0;
      right: 0;
      top: 50%;
      border-top: 1.5px solid var(--hair);
    }
    .zone {
      position: absolute;
      top: 22%;
      height: 56%;
      background: var(--rim-wash);
      border-inline: 2px solid var(--rim-soft);
    }
    .at {
      position: absolute;
      top: 8%;
      height: 84%;
      width: 5px;
      margin-left: -2.5px;
      border-radius: 3px;
      background: var(--rim);
    }
    .at.out {
      background: var(--faulty);
    }
    .was {
      position: absolute;
      top: 8%;
      height: 84%;
      border-left: 2px dashed var(--ink-2);
    }
    .v {
      text-align: right;
      font-weight: 700;
      font-size: 0.95rem;
    }
    .v .quiet {
      font-weight: 450;
    }
  `,
})
export class Ranges {
  protected readonly panels = inject(Panels);
  readonly assessment = input.required<Assessment>();
  readonly before = input<Assessment | null>(null);

  protected readonly headline = computed(() => {
    const a = this.assessment();
    const off = a.verdicts.filter(
      (v): v is Verdict =>
        (measures as readonly string[]).includes(v.id) && v.state !== 'ok' && !(v.id === 'salt' && v.state === 'low'),
    );
    if (a.totals.baseG <= 0) return a.verdicts.find((v) => v.id === 'flour')?.words ?? '';
    if (off.length > 0)
      return (
        [...off].sort((x, y) => (x.severity === 'faulty' ? -1 : 0) - (y.severity === 'faulty' ? -1 : 0))[0]?.words ?? ''
      );
    const f = familyOf(a.family.id);
    return f.id === 'free'
      ? 'No family chosen, so nothing to compare with.'
      : `In balance for ${/^[aeiou]/.test(f.name) ? 'an' : 'a'} ${f.name}.`;
  });

  protected readonly rows = computed(() => {
    const a = this.assessment();
    const f = familyOf(a.family.id);
    const b = this.before();
    return measures.map((m) => {
      const [lo, hi] = f.id === 'free' ? [0, 200] : m === 'egg' && a.totals.eggPct < 0.5 ? [0, f.egg[1]] : f[m];
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
        zoneLeft: f.id === 'free' ? 0 : at(lo),
        zoneWidth: f.id === 'free' ? 0 : at(hi) - at(lo),
        text: pct(x),
        out,
        was: b && Math.abs(old - x) > 0.05 ? at(old) : null,
        label: `${m} ${pct(x)} per cent of flour${f.id === 'free' ? '' : `, usual ${pct(lo)} to ${pct(hi)}`}; why?`,
      };
    });
  });
}
