import { units } from '../ui/words';
import { mass, scaleUnit } from '../ui/figures';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { plainName, pour, type StepAmount } from '@orvin/core';
import { FollowScale } from './follow-scale';
import { PourBar } from './pour-bar';

/** A line to be weighed, with what of it is in already, g. */
export type Line = StepAmount & { readonly had: number | undefined };

/** Weighing: the one line that is poured now, as large as can be, with the scale's own figure when there is one. */
@Component({
  selector: 'orvin-weigh-part',
  imports: [PourBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="kind">
      weigh, {{ at() }} of {{ of() }}
      @if (scale.there() && scale.simulated()) {
        <span class="mark">simulated scale</span>
      }
    </p>
    <div class="weigh">
      <div>
        @if (scale.asks()) {
          <p class="amount ask">Bowl on the scale?</p>
          <h1>then {{ grams(line().grams) }} {{ plain(line().name) }}{{ into() ? ' into ' + into() : '' }}</h1>
          <p class="measured">it shows {{ grams(scale.grossG() ?? 0) }} now; that will count as nothing</p>
        } @else if (scale.settling()) {
          <p class="amount ask">a moment…</p>
          <h1>{{ plain(line().name) }}</h1>
          <p class="measured">the scale settles</p>
        } @else if (scale.live()) {
          <p class="amount" [class.right]="state().state === 'right'" [class.over]="state().state === 'over'">
            {{ big()[0] }} <small>{{ big()[1] }}</small>
          </p>
          <h1>{{ plain(line().name) }}</h1>
          <orvin-pour-bar [inG]="scale.inG()" [wantedG]="line().grams" [within]="within()" />
          <p class="measured">
            <b>{{ grams(scale.inG(), scale.stepG()) }}</b> of {{ grams(line().grams) }} in{{
              line().note ? ', ' + line().note : ''
            }}
            @if (scale.words() !== '') {
              <em>{{ scale.words() }}</em>
            }
          </p>
        } @else {
          <p class="amount">
            {{ grams(line().grams - sofar()) }} <small>{{ sofar() > 0 ? 'more' : '' }}</small>
          </p>
          <h1>{{ plain(line().name) }}</h1>
          <p class="measured">{{ line().measured }}{{ line().note ? ', ' + line().note : '' }}</p>
          @if (line().into; as v) {
            <p class="measured">
              into {{ v.name
              }}{{ v.totalG > line().grams + 0.05 ? ': it holds ' + grams(v.totalG) + ' when this is in' : '' }}
            </p>
          }
          @if (scale.there() && scale.silent()) {
            <p class="silent" role="status">
              The scale is silent: is it on?
              {{ scale.words() === '' ? '' : 'By its last word ' + scale.words() + '.' }} Weigh on by hand; it goes on
              by itself when it is back.
            </p>
          } @else if (scale.there() && scale.tooLittle()) {
            <p class="silent">Too little for this scale: by the spoon.</p>
          }
        }
      </div>
      <ol class="rest" [class.aside]="deciding()" aria-label="Still to weigh">
        @for (r of rest().slice(0, 5); track r.itemId) {
          <li>
            <b>{{ grams(r.grams - (r.had ?? 0)) }}</b> {{ r.name }}
            @if (r.into && r.into.id !== (rest()[$index - 1] ?? line()).into?.id) {
              <span class="quiet">into {{ r.into.name }}</span>
            }
          </li>
        }
        @if (rest().length > 5) {
          <li class="quiet">and {{ rest().length - 5 }} more</li>
        }
      </ol>
    </div>
  `,
  styleUrl: './weigh-part.scss',
})
export class WeighPart {
  readonly line = input.required<Line>();
  readonly rest = input.required<readonly Line[]>();
  readonly at = input.required<number>();
  readonly of = input.required<number>();
  /** Something else is asked first: what is still to weigh leaves the room to it on a narrow screen. */
  readonly deciding = input(false);
  protected readonly scale = inject(FollowScale);
  protected readonly state = computed(() =>
    pour(this.line().grams, this.scale.inG(), this.scale.toleranceG(), units().display),
  );
  protected readonly within = computed(() => Math.max(0.02 * this.line().grams, this.scale.toleranceG() / 2));
  protected readonly big = computed(() => {
    const { state, missingG } = this.state();
    if (state === 'right') return ['right', ''] as const;
    const by = grams(Math.abs(missingG), this.scale.stepG());
    return [by, state === 'short' ? 'more' : 'too much'] as const;
  });
  /** What is known to be in, while the scale says nothing. */
  protected readonly sofar = computed(() =>
    Math.max(this.line().had ?? 0, this.scale.silent() ? this.scale.restG() : 0),
  );
  protected readonly into = computed(() => this.line().into?.name ?? '');
  protected readonly plain = plainName;
  protected readonly grams = grams;
}

/** Grams in words: a tenth below 20 g, or to a scale's step where a scale has said so. */
export const grams = (g: number, stepG = Math.abs(g) < 20 ? 0.1 : 1): string => {
  const rounded = Math.round(Math.round(g / stepG) * stepG * 10) / 10;
  return (scaleUnit() === 'oz' ? mass(rounded) : `${rounded + 0} g`).replace('-', '−');
};
