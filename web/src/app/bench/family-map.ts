import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { hasRanges, type Assessment, type Formula, type Axis } from '@orvin/core';
import { Panels } from '../ui/panels';
import { Hand } from './hand';
import {
  aroundOf,
  boxOf,
  cornersOf,
  domainFor,
  fromX,
  fromY,
  MAP,
  neighbours,
  placeLabels,
  toX,
  toY,
  type Domain,
  type Label,
  type Spot,
} from './map-layout';
import { pct } from '../ui/figures';

/** Another formula, or an earlier version of this one, on the map. */
export interface Neighbour {
  readonly id: string;
  readonly title: string;
  readonly version: boolean;
  readonly at: Readonly<Record<Axis, number>>;
}

const PLANES: readonly (readonly [x: Axis, y: Axis])[] = [
  ['sugar', 'fat'],
  ['sugar', 'water'],
  ['fat', 'egg'],
];
const percents: Readonly<Record<Axis, 'fatPct' | 'sugarPct' | 'eggPct' | 'waterPct'>> = {
  fat: 'fatPct',
  sugar: 'sugarPct',
  egg: 'eggPct',
  water: 'waterPct',
};

/**
 * Where the formula stands among its family and the families next door, with the kitchen's other formulas and its own
 * earlier versions. The point is pulled to move the formula: its sugars, fats, eggs or liquids follow together.
 */
@Component({
  selector: 'orvin-family-map',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './family-map.html',
  styleUrl: './family-map.scss',
})
export class FamilyMap {
  protected readonly hand = inject(Hand, { optional: true });
  protected readonly panels = inject(Panels);
  readonly assessment = input.required<Assessment>();
  /** The formula it shows, where that is not the one in hand. */
  readonly about = input<Formula | null>(null);
  readonly before = input<Assessment | null>(null);
  readonly others = input<readonly Neighbour[]>([]);
  protected readonly MAP = MAP;
  protected readonly pct = pct;

  private readonly plane = signal(0);
  protected readonly axes = computed(() => PLANES[this.plane()] as readonly [Axis, Axis]);
  protected readonly family = computed(() => this.assessment().family.as);
  private readonly spotOf = (a: Assessment): Spot => {
    const [x, y] = this.axes();
    return { x: a.totals[percents[x]], y: a.totals[percents[y]] };
  };
  protected readonly at = computed(() => this.spotOf(this.assessment()));
  /** Holds still while the point is pulled. */
  protected readonly domain = computed<Domain>(
    () => {
      const [x, y] = this.axes();
      return domainFor(this.family(), x, y, this.spotOf(this.before() ?? this.assessment()));
    },
    { equal: (a, b) => a.x[0] === b.x[0] && a.x[1] === b.x[1] && a.y[0] === b.y[0] && a.y[1] === b.y[1] },
  );
  protected readonly point = computed(() => this.px(this.at()));
  protected readonly wasPoint = computed(() => {
    const b = this.before();
    return b ? this.px(this.spotOf(b)) : null;
  });
  private px(s: Spot): Spot {
    const d = this.domain();
    return {
      x: Math.min(MAP.right, Math.max(MAP.left, toX(d, s.x))),
      y: Math.min(MAP.bottom, Math.max(MAP.top, toY(d, s.y))),
    };
  }

  protected readonly own = computed(() => {
    const [x, y] = this.axes();
    return !hasRanges(this.family()) ? null : boxOf(this.family(), x, y, this.domain());
  });
  protected readonly next = computed(() => {
    const [x, y] = this.axes();
    return neighbours(this.family().id, x, y, this.domain());
  });
  protected readonly dots = computed(() => {
    const [x, y] = this.axes();
    const d = this.domain();
    const inside = (s: Spot): boolean => s.x >= d.x[0] && s.x <= d.x[1] && s.y >= d.y[0] && s.y <= d.y[1];
    return this.others()
      .map((o) => ({ ...o, spot: { x: o.at[x], y: o.at[y] } }))
      .filter((o) => inside(o.spot))
      .map((o) => ({ ...o, ...this.px(o.spot) }));
  });
  /** Earlier versions, joined in the order they were kept, up to now. */
  protected readonly path = computed(() => {
    const past = this.dots().filter((d) => d.version);
    if (past.length === 0) return '';
    const p = this.point();
    return `M${[...past, p].map((d) => `${d.x.toFixed(1)} ${d.y.toFixed(1)}`).join(' L')}`;
  });
  /** Labels are set for where the formula stood, so that they do not jump about while it is pulled. */
  protected readonly labels = computed(() => {
    const p = this.wasPoint() ?? this.point();
    const own = this.own();
    const list: Label[] = [
      ...(own ? [{ id: 'own', text: this.family().plural, spots: cornersOf(own) }] : []),
      ...this.next().map((n) => ({ id: n.family.id, text: n.family.plural, spots: cornersOf(n.box), outside: own })),
      ...this.dots()
        .filter((d) => !d.version)
        .sort((a, b) => Math.hypot(a.x - p.x, a.y - p.y) - Math.hypot(b.x - p.x, b.y - p.y))
        .slice(0, 6)
        .map((d) => ({ id: d.id, text: d.title, spots: aroundOf(d) })),
    ];
    const dot = (s: Spot, r: number) => ({ x: s.x - r, y: s.y - r, w: 2 * r, h: 2 * r });
    return placeLabels(list, [dot(p, 11), ...this.dots().map((d) => dot(d, 4))]);
  });

  protected readonly words = computed(() => {
    const [x, y] = this.axes();
    const f = this.family();
    if (!hasRanges(f)) return 'No family to stand among';
    // as the verdicts have it, which leave a hair outside uncounted
    const off = (a: Axis): string | null => {
      const v = this.assessment().verdicts.find((x) => x.id === a);
      return !v || v.severity === 'note' ? null : v.state === 'low' ? `little ${a}` : `much ${a}`;
    };
    const said = [off(x), off(y)].filter((s): s is string => s !== null);
    return said.length === 0
      ? 'In its family'
      : `${said.join(', ').replace(/^./, (c) => c.toUpperCase())} for ${f.plural}`;
  });
  protected readonly atWords = computed(() => {
    const [x, y] = this.axes();
    return `${x} ${pct(this.at().x)} %, ${y} ${pct(this.at().y)} %`;
  });

  protected turn(): void {
    this.plane.update((i) => (i + 1) % PLANES.length);
  }

  // the point
  private gripped = false;
  private target(e: PointerEvent): Partial<Record<Axis, number>> {
    const svg = (e.currentTarget as SVGGraphicsElement).ownerSVGElement;
    const box = svg?.getBoundingClientRect();
    const [x, y] = this.axes();
    if (!box || box.width === 0) return {};
    const k = MAP.W / box.width;
    const d = this.domain();
    const clamp = (v: number, [lo, hi]: readonly [number, number]): number => Math.min(hi, Math.max(lo, v));
    const vx = clamp(fromX(d, (e.clientX - box.left) * k), d.x);
    const vy = clamp(fromY(d, (e.clientY - box.top) * k), d.y);
    return { [x]: Math.round(vx * 2) / 2, [y]: Math.round(vy * 2) / 2 };
  }
  protected grab(e: PointerEvent): void {
    if (!this.hand || e.button !== 0) return;
    e.preventDefault();
    this.gripped = true;
    const el = e.currentTarget as SVGElement;
    el.setPointerCapture(e.pointerId);
    el.focus({ preventScroll: true });
  }
  private last: Partial<Record<Axis, number>> | null = null;
  protected move(e: PointerEvent): void {
    if (!this.gripped) return;
    this.last = this.target(e);
    this.hand?.move(this.last, false);
  }
  protected release(): void {
    const to = this.last;
    this.gripped = false;
    this.last = null;
    if (to) this.hand?.move(to, true);
  }
  protected lost(): void {
    if (!this.gripped) return;
    this.gripped = false;
    this.last = null;
    this.hand?.drop();
  }
  protected key(e: KeyboardEvent): void {
    const step = e.shiftKey ? 5 : e.altKey ? 0.5 : 1;
    const dx = e.key === 'ArrowRight' ? step : e.key === 'ArrowLeft' ? -step : 0;
    const dy = e.key === 'ArrowUp' ? step : e.key === 'ArrowDown' ? -step : 0;
    if (!this.hand || (dx === 0 && dy === 0)) return;
    e.preventDefault();
    const [x, y] = this.axes();
    const to = dx !== 0 ? { [x]: Math.max(0, this.at().x + dx) } : { [y]: Math.max(0, this.at().y + dy) };
    this.hand.move(to, true);
  }
}
