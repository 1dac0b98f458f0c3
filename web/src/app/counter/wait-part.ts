import { DecimalPipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { endsAt, type MadeBake, type Standing, type Step } from '@orvin/core';
import { DayBook } from '../desk/day-book';
import { Makings } from '../desk/makings';
import { degrees } from '../ui/words';
import { ProbeChart } from './probe-chart';
import { WatchProbe } from './watch-probe';

const MIN = 60_000;

/** Something that takes time alone: how long yet, and of a bake where it is and what the probe foretells. */
@Component({
  selector: 'orvin-wait-part',
  imports: [DecimalPipe, ProbeChart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wait-part.html',
  styleUrl: './wait-part.scss',
})
export class WaitPart {
  readonly bake = input.required<MadeBake>();
  readonly standing = input.required<Standing>();
  readonly step = input.required<Step>();
  /** What the kitchen's clock shows, ms. */
  readonly now = input.required<number>();
  private readonly makings = inject(Makings);
  private readonly book = inject(DayBook);
  protected readonly probe = inject(WatchProbe);

  protected readonly baking = computed(() => this.step().kind === 'bake');
  /** How long it still takes, and what is due next in it. */
  protected readonly counting = computed(() => {
    const [bake, standing, step, now] = [this.bake(), this.standing(), this.step(), this.now()];
    const next = this.makings.alarms().find((a) => a.bakeId === bake.id && a.at > now);
    const end = next?.at ?? endsAt(this.makings.lists().get(bake.id) ?? [], standing, step);
    const from = this.baking() ? standing.intoOvenAt : null;
    return {
      left: end === null ? null : Math.max(0, end - now),
      words: next?.words ?? '',
      at: end === null ? '' : this.book.at(end).toFormat('HH:mm'),
      // the clock that is shown may be a moment behind what was just pressed
      inOven: from === null ? null : Math.max(0, Math.floor((now - from) / MIN)),
    };
  });
  /** When it is likely done: by the probe, else as it was predicted. */
  protected readonly range = computed(() => this.standing().forecast ?? this.bake().minutes);
  protected readonly told = computed(() => (this.baking() ? this.probe.foretold(this.bake().id) : null));
  protected readonly readings = computed(() => {
    const into = this.standing().intoOvenAt ?? 0;
    return this.standing().probe.map((r) => ({ min: (r.at - into) / MIN, c: r.c }));
  });
  protected readonly holds = computed(() => this.probe.holder() === this.bake().id);
  protected readonly charted = computed(() => this.told() !== null && this.readings().length > 1);
  /** What is to be done when, min from the door; what is foretold takes the place of what was predicted. */
  protected readonly marks = computed(() => {
    const [m, seen] = [this.range(), this.standing().forecast];
    const at = (kind: string, predicted: number): number =>
      m && kind === 'out'
        ? m.likely
        : seen && kind === 'first look'
          ? Math.min(seen.early, seen.likely - 1)
          : predicted;
    return this.bake()
      .marks.filter((k) => k.kind !== 'carry-over')
      .map((k) => ({
        min: at(k.kind, k.atMin),
        short: markWords(k.kind, k.short),
        out: k.kind === 'out',
      }));
  });
  /** The bake as a line from the door to a little past its late end, % of its width. */
  protected readonly strip = computed(() => {
    const [m, into] = [this.range(), this.standing().intoOvenAt];
    if (!this.baking() || this.charted() || !m || into === null) return null;
    const inMin = (this.now() - into) / MIN;
    const whole = Math.max(m.late * 1.12, inMin * 1.02, (this.bake().minutes?.late ?? 0) * 1.05);
    const x = (min: number): number => (100 * min) / whole;
    const marks = this.marks().map((k) => ({ ...k, x: x(k.min) }));
    return { now: x(inMin), early: x(m.early), late: x(m.late), marks };
  });
  protected readonly degrees = degrees;
  protected readonly span = span;
}

function markWords(kind: string, short?: string): string {
  return kind === 'first look' ? 'look' : kind === 'out' ? 'likely' : kind === 'tent' ? 'foil?' : (short ?? kind);
}

/** `4:05`, `1:12:00`. */
export function span(ms: number): string {
  const s = Math.ceil(ms / 1000);
  const [h, m, r] = [Math.floor(s / 3600), Math.floor(s / 60) % 60, s % 60];
  return `${h > 0 ? `${h}:${String(m).padStart(2, '0')}` : m}:${String(r).padStart(2, '0')}`;
}
