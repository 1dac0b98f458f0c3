import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Tin, TinFit } from '@orvin/core';
import { outlineOf } from '@orvin/core/first';

export interface Corner {
  readonly x: number;
  readonly y: number;
}

const path = (points: readonly Corner[]): string =>
  points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join(' ');

/** Half-width of a hollow at height z above its base, mm. */
function halfWidth(o: ReturnType<typeof outlineOf>, z: number): number {
  const t = o.depth > 0 ? Math.min(z / o.depth, 1) : 0;
  return (o.base + (o.top - o.base) * t) / 2;
}

/** One hollow's section, drawn to scale: wall, raw batter, and where it will have risen to. Units are millimetres. */
export function sectionPaths(fit: TinFit): {
  wall: string;
  batter: string;
  risen: string;
  half: number;
  height: number;
} {
  const o = outlineOf(fit.tin);
  const half = Math.max(halfWidth(o, 0), halfWidth(o, o.depth));
  const level = fit.batterMm;
  const edge = fit.edgeMm;
  const crown = fit.crownMm;
  const free = o.free;
  const at = (z: number): number => (free ? half : halfWidth(o, Math.min(z, o.depth)));
  const wall = free
    ? ''
    : path([
        { x: -halfWidth(o, o.depth), y: -o.depth },
        { x: -halfWidth(o, 0), y: 0 },
        { x: halfWidth(o, 0), y: 0 },
        { x: halfWidth(o, o.depth), y: -o.depth },
      ]);
  const batter = `${path([
    { x: -at(level), y: -level },
    { x: -at(0), y: 0 },
    { x: at(0), y: 0 },
    { x: at(level), y: -level },
  ])} Z`;
  const e = at(edge);
  // a parabola whose top is the crown
  const control = 2 * crown - edge;
  const sides =
    edge > o.depth && !free
      ? `L${(-at(o.depth)).toFixed(1)} ${-o.depth} L${(-e).toFixed(1)} ${(-edge).toFixed(1)}`
      : `L${(-e).toFixed(1)} ${(-edge).toFixed(1)}`;
  const risen = `M${(-at(level)).toFixed(1)} ${(-level).toFixed(1)} ${sides} Q0 ${(-control).toFixed(1)} ${e.toFixed(1)} ${(-edge).toFixed(1)} L${at(level).toFixed(1)} ${(-level).toFixed(1)} Z`;
  return { wall, batter, risen, half, height: Math.max(o.depth, crown) };
}

/** How many hollows of a tin to draw side by side. */
export const hollowsOf = (tin: Tin): number => Math.min(3, Math.max(1, Math.round(tin.cups ?? 1)));

/** A tin in section with its batter, as large as its box allows or at a given scale. */
@Component({
  selector: 'orvin-tin-section',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="box()"
      [attr.width]="px() ? width() * px()! : null"
      [attr.height]="px() ? height() * px()! : null"
      preserveAspectRatio="xMidYMax meet"
      [attr.role]="label() === '' ? null : 'img'"
      [attr.aria-hidden]="label() === '' ? true : null"
      [attr.aria-label]="label() === '' ? null : label()"
    >
      @for (x of shifts(); track x) {
        <g [attr.transform]="'translate(' + x + ' 0)'">
          @if (paths(); as p) {
            @if (fit()) {
              <path class="risen" [attr.d]="p.risen" />
              <path class="batter" [attr.d]="p.batter" />
            }
            <path class="wall" [attr.d]="p.wall" />
          }
        </g>
      }
      @if (free()) {
        <line class="tray" [attr.x1]="-width() / 2 + 2" [attr.x2]="width() / 2 - 2" y1="2" y2="2" />
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      max-width: 100%;
      overflow: visible;
    }
    .batter {
      fill: var(--batter);
      stroke: var(--crust);
      stroke-width: 1;
      vector-effect: non-scaling-stroke;
    }
    .risen {
      fill: color-mix(in srgb, var(--crust) 24%, transparent);
      stroke: var(--heat-line);
      stroke-width: 1.5;
      stroke-dasharray: 4 3;
      vector-effect: non-scaling-stroke;
    }
    .wall {
      fill: none;
      stroke: var(--rim);
      stroke-width: 3;
      stroke-linejoin: round;
      stroke-linecap: round;
      vector-effect: non-scaling-stroke;
    }
    .tray {
      stroke: var(--rim);
      stroke-width: 3;
      stroke-linecap: round;
      vector-effect: non-scaling-stroke;
    }
  `,
})
export class TinSection {
  readonly tin = input.required<Tin>();
  /** With it the batter is drawn; without, the empty tin. */
  readonly fit = input<TinFit | null>(null);
  readonly px = input<number | null>(null);
  readonly label = input('');

  private readonly o = computed(() => outlineOf(this.tin()));
  protected readonly free = computed(() => this.o().free);
  private readonly empty = computed<TinFit>(() => ({ tin: this.tin(), batterMm: 0, edgeMm: 0, crownMm: 0 }) as TinFit);
  protected readonly paths = computed(() => sectionPaths(this.fit() ?? this.empty()));
  private readonly hollows = computed(() => hollowsOf(this.tin()));
  private readonly pitch = computed(() => this.paths().half * 2 + 8);
  protected readonly width = computed(() => this.pitch() * this.hollows() + 4);
  protected readonly height = computed(() => this.paths().height + 8);
  protected readonly shifts = computed(() =>
    Array.from({ length: this.hollows() }, (_, i) => (i - (this.hollows() - 1) / 2) * this.pitch()),
  );
  protected readonly box = computed(
    () => `${-this.width() / 2} ${-this.height() + 4} ${this.width()} ${this.height()}`,
  );
}
