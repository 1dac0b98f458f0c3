import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Assessment, Formula, Trait } from '@orvin/core';
import { Panels } from '../ui/panels';

const places: Readonly<Record<Trait['id'], string>> = {
  crumb: 'crumb',
  bite: 'bite',
  mouth: 'mouth',
  colour: 'colour',
};

/** The crumb to expect: four traits between two words each, against what is usual for the family. */
@Component({
  selector: 'orvin-expect',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (t of traits(); track t.id) {
      <button
        type="button"
        class="trait"
        (click)="panels.explain('texture:' + t.id, about())"
        [attr.aria-label]="places[t.id] + ', from ' + t.low + ' to ' + t.high + ': ' + t.words + '; why?'"
        [title]="t.because === '' ? t.words : t.words + ': ' + t.because"
      >
        <span class="ends"
          ><span [class.on]="t.index < -0.25">{{ t.low }}</span
          ><span [class.on]="t.index > 0.25">{{ t.high }}</span></span
        >
        <span class="strip" aria-hidden="true">
          <span class="usual"></span>
          @if (t.was !== null) {
            <span class="was" [style.left.%]="t.was"></span>
          }
          <span class="at" [style.left.%]="t.at"></span>
        </span>
      </button>
    }
  `,
  styleUrl: './expect.scss',
})
export class Expect {
  protected readonly panels = inject(Panels);
  readonly assessment = input.required<Assessment>();
  /** The formula it shows, where that is not the one in hand. */
  readonly about = input<Formula | null>(null);
  readonly before = input<Assessment | null>(null);
  protected readonly places = places;
  private readonly at = (index: number): number => 50 + 46 * index;
  protected readonly traits = computed(() => {
    const old = this.before()?.texture ?? [];
    return this.assessment().texture.map((t) => {
      const was = old.find((o) => o.id === t.id);
      return {
        ...t,
        at: this.at(t.index),
        was: was && Math.abs(was.index - t.index) > 0.03 ? this.at(was.index) : null,
      };
    });
  });
}
