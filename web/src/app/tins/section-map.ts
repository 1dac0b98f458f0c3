import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import type { Section, TinFit } from '@orvin/core';
import { H, scaleFor, SectionPicture, sectionWords } from './section-picture';

/** One tin's bake: what stands in it, and the temperatures through its middle as it goes. */
export interface Sectioned {
  readonly name: string;
  readonly section: Section;
  readonly fit: TinFit;
  /** Seconds at which it is likely done. */
  readonly doneS: number;
}

/** The section of the bake at one minute, with a slider through the minutes; the tin it was before above it, to one scale. */
@Component({
  selector: 'orvin-section-map',
  imports: [SectionPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="label">Through the middle, at {{ minute() }} min</p>
    @for (p of pictures(); track p.name) {
      @if (pictures().length > 1) {
        <p class="small name" [class.quiet]="$first">{{ p.name }}{{ minute() * 60 >= p.doneS ? ', done' : '' }}</p>
      }
      <orvin-section-picture
        [section]="p.section"
        [fit]="p.fit"
        [second]="minute() * 60"
        [perMm]="scale()"
        [height]="height()"
      />
    }
    <input
      type="range"
      min="0"
      [max]="last()"
      step="1"
      [value]="minute()"
      (input)="at.set(+$any($event.target).value)"
      aria-label="Minute of the bake"
      [attr.aria-valuetext]="words()"
    />
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      min-height: 0;
    }
    orvin-section-picture {
      flex: 1;
    }
    .name {
      margin-top: 0.15rem;
      font-weight: 650;
    }
    input {
      appearance: none;
      width: 100%;
      height: 1.8rem;
      margin: 0.2rem 0 0;
      background: none;
      cursor: pointer;
    }
    input::-webkit-slider-runnable-track {
      height: 4px;
      border-radius: 2px;
      background: var(--rim-soft);
    }
    input::-webkit-slider-thumb {
      appearance: none;
      width: 1.35rem;
      height: 1.35rem;
      margin-top: calc(2px - 0.675rem);
      border-radius: 50%;
      border: 3px solid var(--heat-line);
      background: var(--enamel);
    }
    input::-moz-range-track {
      height: 4px;
      border-radius: 2px;
      background: var(--rim-soft);
    }
    input::-moz-range-thumb {
      width: 1rem;
      height: 1rem;
      border-radius: 50%;
      border: 3px solid var(--heat-line);
      background: var(--enamel);
    }
  `,
})
export class SectionMap {
  readonly shown = input.required<Sectioned>();
  readonly before = input<Sectioned | null>(null);
  protected readonly pictures = computed(() => {
    const old = this.before();
    return old ? [old, this.shown()] : [this.shown()];
  });
  protected readonly height = computed(() => (this.pictures().length > 1 ? H * 0.46 : H));
  protected readonly scale = computed(() =>
    scaleFor(
      this.pictures().map((p) => [p.section, p.fit]),
      this.height(),
    ),
  );
  protected readonly last = computed(() =>
    Math.max(...this.pictures().map((p) => Math.floor((p.section.times.at(-1) ?? 60) / 60))),
  );
  /** The minute that was chosen; it stays when the bake is worked out anew. */
  protected readonly at = signal<number | null>(null);
  protected readonly minute = computed(() =>
    Math.min(this.at() ?? Math.round((this.shown().doneS / 60) * 0.6), this.last()),
  );
  protected readonly words = computed(() => {
    const all = this.pictures();
    const each = all.map((p) => `${all.length > 1 ? `${p.name}: ` : ''}${sectionWords(p.section, this.minute() * 60)}`);
    return `At ${this.minute()} minutes: ${each.join('; ')}`;
  });
}
