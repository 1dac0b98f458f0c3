import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { hasRanges, spoonsOf, standingAt, type Assessment, type Formula, type LiftSource } from '@orvin/core';
import { Panels } from '../ui/panels';
import { layersOf, LIFT, WALL, scaleFor, spanFor, stripOf, ticksFor } from './lift-scene';
import { pct } from '../ui/figures';
import { capital } from '../ui/words';

const said: Readonly<Record<LiftSource, string>> = {
  'soda met by acid': 'soda met by acid',
  'powder met by acid': 'powder met by acid',
  powder: 'powder itself',
  'soda split by heat': 'soda split by heat',
};

/**
 * The lift as a column of its sources against the family's band, and beside it, on the same scale, how it fares from the
 * bowl through standing to the oven. The knob under the strip is the time the batter is left to stand.
 */
@Component({
  selector: 'orvin-lift',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lift.html',
  styleUrl: './lift.scss',
})
export class LiftDrawing {
  protected readonly panels = inject(Panels);
  readonly assessment = input.required<Assessment>();
  /** The formula it shows, where that is not the one in hand. */
  readonly about = input<Formula | null>(null);
  readonly before = input<Assessment | null>(null);
  /** mmol that the scale must reach at least, so that two drawings side by side can be compared by eye. */
  readonly reach = input(0);
  /** Best-before minute that the strip of time must reach at least, for the same reason. */
  readonly waits = input(0);
  /** Minutes that the method itself lets it stand, as felt at room temperature; the knob begins there. */
  readonly asked = input(0);
  /** Minutes the batter is left to stand. */
  protected readonly stand = linkedSignal(() => this.asked());

  protected readonly G = LIFT;
  protected readonly wall = WALL;
  protected readonly pct = pct;
  /** Gas as the teaspoons of powder that would give as much. */
  protected readonly spoons = (mmol: number): string => spoonsOf(mmol * this.assessment().thumb.tspPerMmol);
  protected readonly said = said;

  protected readonly lift = computed(() => this.assessment().lift);
  protected readonly verdict = computed(() => this.assessment().verdicts.find((v) => v.id === 'lift'));
  /** A suspect in short: what fits it is said below, with the advice. */
  protected readonly words = computed(() => {
    const v = this.verdict();
    return (v?.suspect && v.short ? `${capital(v.short)}.` : v?.words)?.replace(/\?\.$/, '?') ?? 'Nothing to lift yet.';
  });
  protected readonly family = computed(() => this.assessment().family.as);
  protected readonly hasBand = computed(() => hasRanges(this.family()));

  protected readonly airMmol = computed(() => this.lift().airMmolPer100gBase.typical);
  /** The gas makes room for a column of air where there is any. */
  protected readonly gasWidth = computed(() =>
    this.airMmol() > 0.1 ? LIFT.columnWidth - LIFT.airWidth - LIFT.airGap : LIFT.columnWidth,
  );
  private readonly full = computed(() => {
    const l = this.lift();
    const b = this.before()?.lift.mmolPer100gBase.typical ?? 0;
    return scaleFor(
      Math.max(this.reach(), l.mmolPer100gBase.high, this.airMmol(), b, this.hasBand() ? l.target[1] : 0, 4) * 1.06,
    );
  });
  protected readonly y = (mmol: number): number => LIFT.floor - (mmol / this.full()) * (LIFT.floor - LIFT.top);
  protected readonly span = computed(() => spanFor(Math.max(this.waits(), this.lift().bestBeforeMin.typical)));
  protected readonly x = (min: number): number => LIFT.stand + (min / this.span()) * (LIFT.oven - LIFT.stand);

  /** Never beyond what the strip shows. */
  protected readonly min = computed(() => Math.min(this.stand(), this.span()));
  protected readonly stood = computed(() => standingAt(this.lift(), this.min()));
  protected readonly layers = computed(() => layersOf(this.lift(), this.min(), this.y));
  protected readonly strip = computed(() => stripOf(this.lift(), this.span(), this.x, this.y));
  protected readonly ticks = computed(() => ticksFor(this.span()));
  protected readonly any = computed(() => this.lift().mmolPer100gBase.typical > 0.05);

  protected readonly band = computed(() => {
    const [lo, hi] = this.lift().target;
    return {
      y: this.y(hi),
      h: Math.max(2, this.y(lo) - this.y(hi)),
      lo: this.y(lo),
      edge: `M${LIFT.column - 4} ${this.y(hi)} H${LIFT.end} M${LIFT.column - 4} ${this.y(lo)} H${LIFT.end}`,
      loText: this.spoons(lo).replace(' tsp', ''),
      hiText: this.spoons(hi).replace(' tsp', ''),
    };
  });
  protected readonly lost = computed(() => {
    const s = this.stood();
    return { y: this.y(s.kept + s.lost), h: this.y(s.kept) - this.y(s.kept + s.lost), mmol: s.lost };
  });
  /** How far the lift may be off, up and down. */
  protected readonly whisker = computed(() => {
    const b = this.lift().mmolPer100gBase;
    const k = b.typical > 0 ? this.stood().kept / b.typical : 1;
    const x = LIFT.column + this.gasWidth() - 14;
    const [hi, lo] = [this.y(b.high * k), this.y(b.low * k)];
    return `M${x} ${hi} V${lo} m-4 0 h8 M${x - 4} ${hi} h8`;
  });
  protected readonly beforeY = computed(() => {
    const b = this.before();
    return b ? this.y(standingAt(b.lift, this.min()).kept) : null;
  });
  /** Where the strip's two parts can say what they are, clear of every line; null where there is no room. */
  protected readonly inside = computed(() => {
    const span = this.span();
    const end = standingAt(this.lift(), span);
    const held = this.y(0) - this.y(end.held);
    // the words reach to about seven tenths of the strip: below the lower dotted line there, above what is held
    const low = this.lift().standing.find((p) => p.min >= span * 0.72)?.mmol.low ?? 0;
    const most = Math.max(...[0.1, 0.25, 0.4, 0.55, 0.7].map((k) => standingAt(this.lift(), span * k).held));
    const [top, bottom] = [this.y(low), this.y(most)];
    return {
      held: held > 17 ? this.y(end.held / 2) + 4 : null,
      coming: bottom - top > 15 ? (top + bottom) / 2 + 4 : null,
    };
  });
  /** Where the flag of the best-before minute stands; null when it is in no hurry. */
  protected readonly flag = computed(() => {
    const b = this.lift().bestBeforeMin;
    if (!this.any() || b.typical >= 119 || this.lift().state === 'low') return null;
    const x = this.x(b.typical);
    const left = x > 434;
    // to the left of its flag there is less room, before the line where standing begins
    const words =
      b.typical < 4
        ? 'bake at once'
        : `${left && x < 470 ? 'by' : 'best before'} ${Math.round(b.low)}–${Math.round(b.high)} min`;
    return { x, words, anchor: left ? 'end' : 'start', textX: left ? x - 5 : x + 5 };
  });
  /** Half of how far the lift may be off, where it shows in spoons. */
  private giveOrTake(): string {
    const b = this.lift().mmolPer100gBase;
    const by = this.spoons((b.high - b.low) / 2);
    return by.endsWith('tsp') && !by.startsWith('0') ? `± ${by.replace(' tsp', '')}` : '';
  }
  /** The figure in the corner: before losses, or what is left after standing. */
  protected readonly figure = computed(() => {
    const b = this.lift().mmolPer100gBase;
    if (this.min() === 0)
      return { typical: this.spoons(b.typical), give: this.giveOrTake(), range: 'of powder’s worth of gas' };
    return { typical: this.spoons(this.stood().kept), give: '', range: `left of ${this.spoons(b.typical)}` };
  });
  protected readonly standWords = computed(() => {
    const s = this.stood();
    if (this.min() === 0)
      return s.lost > 0.05
        ? `${this.spoons(s.lost)} lost in mixing; pull the knob to let it wait`
        : 'straight into the oven; pull the knob to let it wait';
    const why = this.asked() > 0 && this.min() === Math.min(this.asked(), this.span()) ? ', as the method has it' : '';
    return `${this.min()} min standing${why}: ${this.spoons(s.lost)} lost`;
  });
  /** Air and steam beside the gas, in one breath. */
  protected readonly beside = computed(() => {
    const l = this.lift();
    const air = Math.round(l.airMl.typical / 10) * 10;
    const share = Math.round(l.volume.steamShare.typical * 100);
    return air > 0 ? `beaten-in air ${air} ml, bubbles ${share} % steam` : `bubbles ${share} % steam`;
  });

  // the knob
  private gripped = false;
  protected grab(e: PointerEvent): void {
    if (e.button !== 0) return;
    e.preventDefault();
    this.gripped = true;
    const knob = e.currentTarget as SVGElement;
    knob.setPointerCapture(e.pointerId);
    knob.focus({ preventScroll: true });
    this.slide(e);
  }
  protected slide(e: PointerEvent): void {
    if (!this.gripped) return;
    const svg = (e.currentTarget as SVGGraphicsElement).ownerSVGElement;
    const box = svg?.getBoundingClientRect();
    if (!box || box.width === 0) return;
    const at = ((e.clientX - box.left) / box.width) * LIFT.W;
    const raw = ((at - LIFT.stand) / (LIFT.oven - LIFT.stand)) * this.span();
    this.stand.set(Math.round(Math.min(this.span(), Math.max(0, raw))));
  }
  protected release(): void {
    this.gripped = false;
  }
  protected key(e: KeyboardEvent): void {
    const step = e.shiftKey ? 5 : 1;
    const by: Record<string, number> = { ArrowRight: step, ArrowUp: step, ArrowLeft: -step, ArrowDown: -step };
    const to = e.key === 'Home' ? 0 : e.key === 'End' ? this.span() : this.min() + (by[e.key] ?? NaN);
    if (!Number.isFinite(to)) return;
    e.preventDefault();
    e.stopPropagation();
    this.stand.set(Math.min(this.span(), Math.max(0, to)));
  }
}
