import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { sliceOf, type Assessment, type Formula, type Kitchen } from '@orvin/core';
import { capital } from '../ui/words';
import { sceneOf, SLICE } from './slice-scene';

/** The first sentence; figures and reasons are said below and behind "why". */
const firstOf = (words: string): string => words.split(/(?<=[.?]) /)[0] ?? words;

let slices = 0;
/** Letters from which the head and the sentence are set smaller, so that they are whole in the same space. */
const LONG_HEAD = 58;
const LONG_REST = 120;

/** The slice to come, with a sentence and a table of what it rests on: an estimate that moves as amounts are pulled. */
@Component({
  selector: 'orvin-slice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './slice.html',
  styleUrl: './slice.scss',
})
export class SliceDrawing {
  readonly formula = input.required<Formula>();
  readonly assessment = input.required<Assessment>();
  readonly kitchen = input.required<Kitchen>();
  /** What a change that is tried or pulled starts from. */
  readonly beforeFormula = input<Formula | null>(null);
  readonly before = input<Assessment | null>(null);
  /** Whether what is wrong is named, or only what will be seen. */
  readonly names = input(true);
  protected readonly open = signal(false);
  protected readonly G = SLICE;
  protected readonly LONG_HEAD = LONG_HEAD;
  protected readonly LONG_REST = LONG_REST;
  protected readonly clip = `slice-${slices++}`;

  protected readonly slice = computed(() => sliceOf(this.formula(), this.assessment(), this.kitchen()));
  private readonly old = computed(() => {
    const [f, a] = [this.beforeFormula(), this.before()];
    return f && a ? sliceOf(f, a, this.kitchen()) : null;
  });
  protected readonly scene = computed(() => {
    const s = this.slice();
    const was = this.old();
    return s && sceneOf(s, was ? Math.max(was.crownMm.high, was.edgeMm) : 0);
  });
  /** The outline that it had, on the same scale. */
  protected readonly was = computed(() => {
    const [s, was] = [this.slice(), this.old()];
    return s && was ? sceneOf(was, Math.max(s.crownMm.high, s.usualCrownMm, s.edgeMm)).outline : null;
  });
  /** The worst that is named, with all of what will be seen below it; else what will be seen, how high it stands first. */
  protected readonly told = computed(() => {
    const words = this.slice()?.words ?? '';
    const off = this.assessment().verdicts.filter((v) => v.severity !== 'note');
    const worst = off.find((v) => v.severity === 'faulty') ?? off[0];
    if (worst && this.names())
      return {
        bad: true,
        head: worst.suspect && worst.short ? `${capital(worst.short)}.`.replace(/\?\.$/, '?') : firstOf(worst.words),
        rest: words,
      };
    const [head = '', ...rest] = words.split('; ');
    const then = rest.join('; ');
    return { bad: false, head: `${head}.`, rest: then.charAt(0).toUpperCase() + then.slice(1) };
  });
  protected readonly rows = computed(() => {
    const s = this.slice();
    return s
      ? Object.values(s.seen).map(({ id, name, words, terms }) => ({
          id,
          name,
          words,
          because: terms
            .slice(0, 2)
            .map(([, w]) => w)
            .join('; '),
        }))
      : [];
  });
}
