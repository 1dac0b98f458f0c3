import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { lengthIn, assess, heightFor, markScales, type BakeRecord, type Formula, weightIn } from '@orvin/core';
import { DateTime } from 'luxon';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import { Learning } from '../desk/learning';
import { dateWords } from '../ui/when';
import { LogChart, type Points } from './log-chart';

/** As many bakes as a chart can show so that each is still seen. */
const MOST = 400;

/** The log in pictures: time foretold against taken, height against lift, marks over time and versions. */
@Component({
  selector: 'orvin-pictures',
  imports: [LogChart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="tools">
      @if (hand(); as h) {
        <button type="button" class="ask" [attr.aria-pressed]="only()" (click)="only.set(!only())">only {{ h }}</button>
      }
      <span class="quiet small">{{ bakes().length }} bakes</span>
    </div>
    @if (bakes().length === 0) {
      <p class="quiet">Nothing to draw yet.</p>
    } @else {
      <div class="charts">
        <section aria-label="Times">
          <h2>Taken against foretold</h2>
          <p class="quiet small">
            On the line: as foretold. Hollow: before the log taught; filled: foretold by all other bakes.
          </p>
          <orvin-log-chart
            [sets]="times().sets"
            [xAxis]="{ title: 'foretold, min', range: times().range }"
            [yAxis]="{ title: 'taken, min', range: times().range }"
            [line]="times().line"
            [band]="0.1"
            [label]="times().words"
          />
        </section>
        <section aria-label="Marks">
          <h2>Marks over time</h2>
          <p class="quiet small">
            {{ only() ? 'Steps of the scales; the middle is best, but for taste.' : 'Taste, bake by bake.' }}
          </p>
          <orvin-log-chart
            [sets]="marks().sets"
            [xAxis]="{ title: '' }"
            [yAxis]="{ title: '', range: [0.5, 5.5], ticks: markTicks() }"
            [label]="marks().words"
          />
        </section>
        <section aria-label="Height">
          <h2>Height against lift</h2>
          <p class="quiet small">
            Measured height of the middle over the raw batter’s, against the gas of the formula.
          </p>
          @if (heights().sets.length > 0) {
            <orvin-log-chart
              [sets]="heights().sets"
              [xAxis]="{ title: 'lift, mmol a 100 g' }"
              [yAxis]="{ title: 'risen, times' }"
              [label]="heights().words"
            />
          } @else {
            <p class="quiet">No height is measured yet: hold a rule to a cut slice and note it with its bake.</p>
          }
        </section>
        <section aria-label="Water lost">
          <h2>Water lost</h2>
          <p class="quiet small">By the scale, against the time in the oven over what was foretold.</p>
          @if (losses().sets.length > 0) {
            <orvin-log-chart
              [sets]="losses().sets"
              [xAxis]="{ title: 'time over foretold', suffix: '×' }"
              [yAxis]="{ title: 'lost', suffix: ' %' }"
              [label]="losses().words"
            />
          } @else {
            <p class="quiet">Nothing was weighed when it came out yet.</p>
          }
        </section>
      </div>
    }
  `,
  styles: `
    .tools {
      display: flex;
      gap: 0.8rem;
      align-items: center;
      margin: 0.9rem 0 0.6rem;
    }
    .charts {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(28rem, 100%), 1fr));
      gap: 1.2rem 2rem;
    }
    section {
      display: grid;
      grid-template-rows: auto auto 1fr;
      min-width: 0;
    }
  `,
})
export class Pictures {
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  private readonly learning = inject(Learning);
  protected readonly only = signal(false);
  private readonly versions = toSignal(this.store.versions$, { initialValue: [] });
  private readonly working = toSignal(this.store.working$, { initialValue: [] });
  protected readonly hand = computed(() => this.desk.formula()?.title ?? null);
  protected readonly bakes = computed<readonly BakeRecord[]>(() => {
    const id = this.desk.id();
    return (this.learning.bakes() ?? []).filter((b) => !this.only() || b.formulaId === id).slice(0, MOST);
  });

  private day(b: BakeRecord): string {
    return dateWords(b.at, this.desk.kitchen().locale.zone);
  }

  protected readonly times = computed(() => {
    const errors = this.learning.lesson()?.errors;
    const ids = new Map(this.bakes().map((b) => [b.id, b]));
    const each = (errors?.each ?? []).filter((t) => ids.has(t.bakeId));
    const words = (minutes: number, id: string): string => `${ids.get(id)?.title}, ${this.day(ids.get(id) as BakeRecord)}: ${minutes} min`; // prettier-ignore
    const sets: Points[] = [
      { x: each.map((t) => t.before), y: each.map((t) => t.minutes), words: each.map((t) => words(t.minutes, t.bakeId)), colour: '--rim-soft', hollow: true, name: 'before learning' },
      { x: each.map((t) => t.after), y: each.map((t) => t.minutes), words: each.map((t) => words(t.minutes, t.bakeId)), colour: '--rim', name: 'by all other bakes' },
    ]; // prettier-ignore
    const all = each.flatMap((t) => [t.before, t.after, t.minutes]);
    const [lo, hi] = all.length > 0 ? [Math.min(...all) * 0.85, Math.max(...all) * 1.08] : [0, 60];
    return {
      sets,
      range: [lo, hi] as const,
      line: [[lo, lo], [hi, hi]] as const,
      words: `${each.length} bakes, time taken against time foretold`,
    }; // prettier-ignore
  });

  protected readonly markTicks = computed(() => {
    const taste = markScales.find((s) => s.id === 'taste');
    return this.only() ? [1, 2, 3, 4, 5].map((n) => [n, String(n)] as const) : (taste?.steps ?? []).map((w, i) => [i + 1, w] as const); // prettier-ignore
  });
  protected readonly marks = computed(() => {
    const list = [...this.bakes()].filter((b) => b.result?.marks).reverse();
    const x = list.map((b) => DateTime.fromMillis(b.at, { zone: this.desk.kitchen().locale.zone }).toFormat('yyyy-MM-dd HH:mm')); // prettier-ignore
    const n = new Map(this.versions().map((v) => [v.id, v.n]));
    const wanted = this.only() ? markScales : markScales.filter((s) => s.id === 'taste');
    const colours = { crumb: '--flour', moisture: '--liquid', crust: '--crust', taste: '--rim' } as const;
    const sets = wanted.map((s): Points => ({
      x,
      y: list.map((b) => b.result?.marks?.[s.id] ?? null),
      words: list.map((b) => `${this.day(b)}${n.has(b.versionId ?? '') ? `, version ${n.get(b.versionId ?? '')}` : ''}: ${this.only() ? s.name.toLowerCase() : b.title}, ${s.steps[(b.result?.marks?.[s.id] ?? 1) - 1]}`), // prettier-ignore
      colour: colours[s.id],
      joined: this.only(),
      ...(this.only() && { name: s.name.toLowerCase() }),
    }));
    return { sets, words: `Marks of ${list.length} bakes over time` };
  });

  /** Lift of the formula that was baked, mmol a 100 g. */
  private readonly lifts = computed(() => {
    const kitchen = this.desk.kitchen();
    const byVersion = new Map(this.versions().map((v) => [v.id, v.formula]));
    const byId = new Map(this.working().map((w) => [w.id, w.formula]));
    const known = new Map<Formula, number>();
    return (b: BakeRecord): number | null => {
      const f = byVersion.get(b.versionId ?? '') ?? byId.get(b.formulaId);
      if (!f) return null;
      if (!known.has(f)) known.set(f, assess(f, kitchen).lift.mmolPer100gBase.typical);
      return known.get(f) ?? null;
    };
  });
  protected readonly heights = computed(() => {
    const lift = this.lifts();
    const list = this.bakes().flatMap((b) => {
      const [h, x] = [b.result?.heightMm, b.result?.heightMm === undefined ? null : lift(b)];
      const raw = b.result?.heightMm === undefined ? 0 : this.rawMm(b);
      return h !== undefined && x !== null && raw > 0 ? [{ b, x, y: h / raw }] : [];
    });
    return {
      sets: list.length > 0 ? [{ x: list.map((p) => p.x), y: list.map((p) => p.y), words: list.map((p) => `${p.b.title}, ${this.day(p.b)}: ${p.y.toFixed(2)} times, ${lengthIn(this.desk.kitchen().display, p.b.result?.heightMm ?? 0)}`), colour: '--rim' }] : [], // prettier-ignore
      words: `Height of ${list.length} bakes against the lift of their formula`,
    };
  });
  protected readonly losses = computed(() => {
    const list = this.bakes().filter((b) => b.result?.outG !== undefined && b.predicted);
    return {
      sets: list.length > 0 ? [{ x: list.map((b) => b.minutes / (b.predicted?.likely ?? b.minutes)), y: list.map((b) => 100 * (1 - (b.result?.outG ?? 0) / weightIn(b))), words: list.map((b) => `${b.title}, ${this.day(b)}`), colour: '--liquid' }] : [], // prettier-ignore
      words: `Water lost by ${list.length} bakes`,
    };
  });
  private rawMm(b: BakeRecord): number {
    return heightFor(b.tin.tin, b.batterG / b.densityGPerMl);
  }
}
