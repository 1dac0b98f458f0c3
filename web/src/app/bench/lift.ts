import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { aFamily, familyOf, type Assessment, type LiftPart } from '@orvin/core';
import { Panels } from '../ui/panels';
import { pct } from './words';

const W = 620;
const H = 200;
const LEFT = 34;
const RIGHT = 330;
const FLOOR = 193;
const BATTER = 36;
const TOP = 16;

interface Layer {
  readonly key: string;
  readonly y: number;
  readonly h: number;
  readonly kind: string;
  readonly text: string;
  readonly labelY: number;
}

const kindOf = (p: LiftPart): string =>
  p.source === 'soda split by heat' ? 'split' : p.source === 'powder' ? 'powder' : 'acid';
const said: Readonly<Record<LiftPart['source'], string>> = {
  'soda met by acid': 'soda met by acid',
  'powder met by acid': 'powder met by acid',
  powder: 'powder',
  'soda split by heat': 'soda split by heat',
};

/** The lift as a tin in section: batter, then gas by source, hatched when it comes in the bowl, against the family's band. */
@Component({
  selector: 'orvin-lift',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lift.html',
  styleUrl: './lift.scss',
})
export class LiftDrawing {
  protected readonly panels = inject(Panels);
  readonly assessment = input.required<Assessment>();
  readonly before = input<Assessment | null>(null);

  protected readonly W = W;
  protected readonly H = H;
  protected readonly LEFT = LEFT;
  protected readonly RIGHT = RIGHT;
  protected readonly FLOOR = FLOOR;
  protected readonly batterY = FLOOR - BATTER;

  protected readonly lift = computed(() => this.assessment().lift);
  protected readonly verdict = computed(() => this.assessment().verdicts.find((v) => v.id === 'lift'));
  protected readonly family = computed(() => familyOf(this.assessment().family.id));
  protected readonly hasBand = computed(() => this.family().id !== 'free');
  private readonly scale = computed(() => {
    const l = this.lift();
    const b = this.before()?.lift.mmolPer100gBase.typical ?? 0;
    const need = Math.max(l.mmolPer100gBase.high, b, this.hasBand() ? l.target[1] : 0, 4) * 1.06;
    // in steps, so that the drawing does not breathe with every gram
    const steps = [8, 12, 16, 20, 25, 30, 40, 50, 65, 80, 120, 200, 400, 1000];
    return (this.batterY - TOP) / (steps.find((s) => s >= need) ?? need);
  });
  private readonly y = (mmol: number): number => this.batterY - mmol * this.scale();

  /** Half-width of the tin's inside at a height on the drawing. */
  private readonly inset = (y: number): number => ((y - TOP) / (FLOOR - TOP)) * 12;
  protected readonly wall = `M${LEFT - 8} ${TOP - 6} L${LEFT + 6} ${FLOOR - 8} Q${LEFT + 7} ${FLOOR} ${LEFT + 15} ${FLOOR} H${RIGHT - 15} Q${RIGHT - 7} ${FLOOR} ${RIGHT - 6} ${FLOOR - 8} L${RIGHT + 8} ${TOP - 6}`;

  protected readonly layers = computed<readonly Layer[]>(() => {
    const parts = [...this.lift().bySource]
      .sort((a, b) => (a.when === b.when ? 0 : a.when === 'bowl' ? -1 : 1))
      .filter((p) => p.mmol.typical > 0.05);
    let sum = 0;
    const raw = parts.map((p) => {
      const from = this.y(sum);
      sum += p.mmol.typical;
      const to = this.y(sum);
      return {
        key: `${p.source}-${p.when}`,
        y: to,
        h: Math.max(1, from - to),
        kind: `${kindOf(p)} ${p.when}`,
        text: `${pct(p.mmol.typical)}  ${said[p.source]}, in the ${p.when}`,
        mid: (from + to) / 2,
      };
    });
    // labels from the bottom up, never closer than a line, never below the batter's own
    let last = this.batterY + 8;
    const spread = raw.map((l) => {
      last = Math.min(l.mid + 4, last - 17);
      return { ...l, labelY: last };
    });
    const over = Math.max(0, 14 - (spread.at(-1)?.labelY ?? 99));
    return spread.map((l) => ({ ...l, labelY: l.labelY + over }));
  });
  protected readonly left = (y: number): number => LEFT - 6 + this.inset(y);
  protected readonly width = (y: number): number => RIGHT - LEFT + 12 - 2 * this.inset(y);

  protected readonly topY = computed(() => this.y(this.lift().mmolPer100gBase.typical));
  protected readonly crown = computed(() => {
    const y = this.topY();
    const l = this.left(y);
    const w = this.width(y);
    return `M${l} ${y} Q${l + w / 2} ${y - 14} ${l + w} ${y}`;
  });
  protected readonly band = computed(() => {
    const [lo, hi] = this.lift().target;
    return { y: this.y(hi), h: Math.max(2, this.y(lo) - this.y(hi)), lo: this.y(lo), loText: pct(lo), hiText: pct(hi) };
  });
  protected readonly spread = computed(() => {
    const b = this.lift().mmolPer100gBase;
    return { hi: this.y(b.high), lo: this.y(b.low) };
  });
  protected readonly beforeY = computed(() => {
    const b = this.before();
    return b ? this.y(b.lift.mmolPer100gBase.typical) : null;
  });
  protected readonly total = computed(() => {
    const b = this.lift().mmolPer100gBase;
    const one = (x: number): string => (x < 99 ? String(Math.round(x * 10) / 10) : String(Math.round(x)));
    return { typical: one(b.typical), low: one(b.low), high: one(b.high) };
  });
  protected readonly air = computed(() => Math.round(this.lift().airMl.typical / 10) * 10);
  protected readonly about = computed(() => aFamily(this.family()));
  protected readonly pct = pct;
}
