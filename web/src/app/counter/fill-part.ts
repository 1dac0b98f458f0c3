import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { TinFit } from '@orvin/core';
import { FollowScale } from './follow-scale';
import { PourBar } from './pour-bar';
import { grams } from './weigh-part';

/** Dividing the batter: one tin or cup after another, by the scale. */
@Component({
  selector: 'orvin-fill-part',
  imports: [PourBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="kind">
      fill, {{ one() }} {{ filled().length + 1 }} of {{ count() }}
      @if (scale.simulated()) {
        <span class="mark">simulated scale</span>
      }
    </p>
    @if (scale.asks()) {
      <p class="amount ask">{{ tray() ? 'Tray' : 'Tin' }} on the scale?</p>
      <h1>then {{ grams(wantedG()) }} into {{ count() > 1 ? 'each ' + one() : 'it' }}</h1>
      <p class="measured">it shows {{ grams(scale.grossG() ?? 0) }} now; that will count as nothing</p>
    } @else if (scale.settling()) {
      <p class="amount ask">a moment…</p>
      <p class="measured">the scale settles</p>
    } @else {
      <p class="amount" [class.right]="right()" [class.over]="missing() < -within()">
        {{ big()[0] }} <small>{{ big()[1] }}</small>
      </p>
      <h1>{{ fit().tin.name }}{{ count() > 1 ? ', ' + one() + ' ' + (filled().length + 1) : '' }}</h1>
      <orvin-pour-bar [inG]="scale.inG()" [wantedG]="wantedG()" [within]="within()" />
      <p class="measured">
        <b>{{ grams(scale.inG(), scale.stepG()) }}</b> of {{ grams(wantedG()) }} in
        @if (scale.words() !== '') {
          <em>{{ scale.words() }}</em>
        }
      </p>
    }
    @if (filled().length > 0) {
      <p class="measured">so far {{ sofar() }}</p>
    }
  `,
  styleUrl: './weigh-part.scss',
})
export class FillPart {
  readonly fit = input.required<TinFit>();
  readonly filled = input.required<readonly number[]>();
  protected readonly scale = inject(FollowScale);
  protected readonly wantedG = computed(() => this.fit().perCupG);
  protected readonly tray = computed(() => (this.fit().tin.cups ?? 1) > 1);
  protected readonly one = computed(() => (this.tray() ? 'cup' : 'tin'));
  protected readonly count = computed(() => places(this.fit()));
  protected readonly within = computed(() => Math.max(0.02 * this.wantedG(), this.scale.toleranceG() / 2));
  protected readonly missing = computed(() => this.wantedG() - this.scale.inG());
  protected readonly right = computed(() => Math.abs(this.missing()) <= this.within());
  protected readonly big = computed(() => {
    const m = this.missing();
    const by = grams(Math.abs(m), this.scale.stepG());
    return this.right() ? ['right', ''] : [by, m > 0 ? 'more' : 'too much'];
  });
  protected readonly sofar = computed(() =>
    this.filled()
      .slice(-6)
      .map((g) => grams(g, this.scale.stepG()))
      .join(', '),
  );
  protected readonly grams = grams;
}

/** Tins, or cups of tins, that a fit fills one after another. */
export const places = (fit: TinFit): number => fit.count * (fit.tin.cups ?? 1);
