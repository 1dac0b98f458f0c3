import type { ElementRef } from '@angular/core';
import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  viewChild,
} from '@angular/core';
import { outlineOf, type Section, type TinFit } from '@orvin/core';
import { Theme } from '../ui/theme';
import { degrees } from '../ui/words';
import { contour, frameAt, risenShape, type Shape } from './isotherms';

export const W = 320;
export const H = 214;
const MARGIN = { side: 12, top: 12, floor: 10 };
/** Temperatures between the steps of colour, °C: setting begins at about 80, boiling at 100, browning at 120. */
const STEPS = [40, 60, 80, 90, 97, 105, 120] as const;

/** The section at a moment in words. */
export function sectionWords(s: Section, second: number): string {
  const { frame } = frameAt(s, second);
  const column = Array.from({ length: s.nz }, (_, z) => frame[z * s.nx] ?? 0);
  const side = frame[Math.floor(s.nz / 2) * s.nx + s.nx - 1] ?? 0;
  return `middle ${degrees(Math.min(...column))}, top ${degrees(column.at(-1) ?? 0)}, side ${degrees(side)}`;
}

/** Units of a picture for a millimetre, so that each of these tins fits into a picture of that height. */
export function scaleFor(all: readonly (readonly [Section, TinFit])[], height: number): number {
  return Math.min(
    ...all.map(([s, fit]) => {
      const o = outlineOf(fit.tin);
      const wide = 2 * Math.max(s.x.at(-1) ?? 1, o.top / 2) + 6;
      const tall = Math.max(o.free ? 0 : o.depth, fit.crownMm, 1);
      return Math.min((W - 2 * MARGIN.side) / wide, (height - MARGIN.top - MARGIN.floor) / tall);
    }),
  );
}

/** The temperatures through the middle of a tin at one moment, in steps with their isotherms named. */
@Component({
  selector: 'orvin-section-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="picture" role="img" [attr.aria-label]="words()">
      <canvas #canvas [attr.width]="W * 2" [attr.height]="height() * 2"></canvas>
      <svg [attr.viewBox]="'0 0 ' + W + ' ' + height()" aria-hidden="true">
        <path class="wall" [attr.d]="wall()" />
        @for (l of lines(); track l.c) {
          <path class="iso" [attr.d]="l.d" />
        }
        @for (l of labels(); track l.c) {
          <text class="value" [attr.x]="l.x" [attr.y]="l.y" text-anchor="middle">{{ l.words }}</text>
        }
        <circle class="probe" [attr.cx]="W / 2" [attr.cy]="middle().y" r="4.5" />
        <text class="middle" [attr.x]="W / 2 + 11" [attr.y]="middle().y + 5">{{ middle().words }}</text>
      </svg>
    </div>
  `,
  styles: `
    :host {
      display: block;
      min-height: 0;
    }
    .picture {
      display: grid;
      height: 100%;
    }
    canvas,
    svg {
      grid-area: 1 / 1;
      width: 100%;
      height: 100%;
      object-fit: contain;
      min-height: 0;
    }
    .wall {
      fill: none;
      stroke: var(--rim);
      stroke-width: 4;
      stroke-linejoin: round;
      stroke-linecap: round;
    }
    .iso {
      fill: none;
      stroke: var(--enamel);
      stroke-width: 1;
      opacity: 0.75;
    }
    text {
      font-size: 12.5px;
      fill: var(--step-ink);
      paint-order: stroke;
      stroke: color-mix(in srgb, var(--enamel) 78%, transparent);
      stroke-width: 3px;
      stroke-linejoin: round;
    }
    .middle {
      font-size: 16px;
      font-weight: 750;
    }
    .probe {
      fill: var(--enamel);
      stroke: var(--rim);
      stroke-width: 3;
    }
  `,
})
export class SectionPicture {
  readonly section = input.required<Section>();
  readonly fit = input.required<TinFit>();
  /** Seconds into the bake. */
  readonly second = input.required<number>();
  /** Units of the picture for a millimetre, and its height; 0 and 214 fit one tin into it. */
  readonly perMm = input(0);
  readonly height = input(H);
  protected readonly W = W;
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private readonly theme = inject(Theme);
  private readonly now = computed(() => frameAt(this.section(), this.second()));
  private readonly shape = computed<Shape>(() => risenShape(this.section(), this.fit(), this.now().risen));
  /** Millimetres to the picture's units; the tallest moment and the rim have to fit. */
  private readonly scale = computed(() => this.perMm() || scaleFor([[this.section(), this.fit()]], this.height()));
  private readonly spot = (x: number, z: number): [number, number] => [
    W / 2 + x * this.scale(),
    this.height() - MARGIN.floor - z * this.scale(),
  ];
  /** The model's batter has one width, the mean; here it leans on the tin's slanted wall. */
  private readonly halfAt = computed(() => {
    const o = outlineOf(this.fit().tin);
    const edge = this.section().x.at(-1) ?? 1;
    const slope = o.free ? 0 : (o.top - o.base) / 2 / Math.max(1, o.depth);
    const base = edge - slope * this.fit().batterMm * 0.5;
    return (z: number): number => base + slope * Math.min(z, o.depth);
  });
  private readonly place = (x: number, z: number): [number, number] => {
    const edge = this.section().x.at(-1) ?? 1;
    return this.spot((x * this.halfAt()(z)) / edge, z);
  };

  protected readonly wall = computed(() => {
    const o = outlineOf(this.fit().tin);
    if (o.free) return `M${MARGIN.side} ${this.height() - MARGIN.floor + 3} H${W - MARGIN.side}`;
    const at = (z: number): number => this.halfAt()(z) + 3 / this.scale();
    const corners = [
      [-at(o.depth), o.depth],
      [-at(0), 0],
      [at(0), 0],
      [at(o.depth), o.depth],
    ] as const;
    return corners
      .map(([x, z], i) => {
        const [a, b] = this.spot(x, z);
        return `${i === 0 ? 'M' : 'L'}${a.toFixed(1)} ${(b + (z === 0 ? 3 : 0)).toFixed(1)}`;
      })
      .join(' ');
  });
  protected readonly lines = computed(() =>
    STEPS.map((c) => ({
      c,
      d: contour(this.section(), this.now().frame, this.shape(), c)
        .map(([a, b]) => {
          const [p, q] = [this.place(a[0], a[1]), this.place(b[0], b[1])];
          return `M${p[0].toFixed(1)} ${p[1].toFixed(1)}L${q[0].toFixed(1)} ${q[1].toFixed(1)}`;
        })
        .join(''),
    })),
  );
  /** Whether a temperature written around a place, in the picture's units, stays off the tin: 44 wide, 18 high with its halo. */
  private roomAt([x, y]: readonly [number, number]): boolean {
    const floor = this.height() - MARGIN.floor;
    const [wall] = this.spot(-this.halfAt()((floor - y) / this.scale()), 0);
    return x > wall + 22 && y < floor - 9;
  }
  /** Each isotherm is named once, where it crosses a line from the middle to the upper left, if there is room. */
  protected readonly labels = computed(() => {
    const out: { c: number; x: number; y: number; words: string }[] = [];
    for (const c of STEPS) {
      const all = contour(this.section(), this.now().frame, this.shape(), c);
      const seen = all.map(([a]) => this.place(a[0], a[1])).filter((at) => at[0] < W / 2 - 14 && this.roomAt(at));
      const best = seen.sort((a, b) => Math.abs(a[0] - W * 0.3) - Math.abs(b[0] - W * 0.3))[0];
      if (
        best &&
        out.every((o) => Math.abs(o.x - best[0]) > 46 || Math.abs(o.y - best[1] - 4) > 15) &&
        Math.abs(best[1] - this.middle().y) > 12
      )
        out.push({ c, x: best[0], y: best[1] + 4, words: `${degrees(c)}` });
    }
    return out;
  });
  protected readonly middle = computed(() => {
    const { frame } = this.now();
    const { nx, nz } = this.section();
    let row = 0;
    for (let z = 0; z < nz; z++) if ((frame[z * nx] ?? 0) < (frame[row * nx] ?? 0)) row = z;
    const t = frame[row * nx] ?? 0;
    const z = this.shape().z[row] ?? 0;
    const below = row > 0 ? (this.shape().z[row - 1] ?? 0) : 0;
    const [, y] = this.place(0, (z + below) / 2);
    return { y, words: degrees(t), t };
  });
  protected readonly words = computed(() => sectionWords(this.section(), this.second()));

  constructor() {
    // after the canvas has its size, since setting that clears it
    afterRenderEffect(() => {
      this.theme.name();
      this.paint();
    });
  }

  private paint(): void {
    const el = this.canvas().nativeElement;
    const g = el.getContext('2d');
    if (!g) return;
    const css = getComputedStyle(el);
    const colours = Array.from({ length: STEPS.length + 1 }, (_, i) => css.getPropertyValue(`--step-${i}`).trim());
    const s = this.section();
    const { frame } = this.now();
    const shape = this.shape();
    g.setTransform(2, 0, 0, 2, 0, 0);
    g.clearRect(0, 0, W, this.height());
    // small tiles between cell centres, each in the colour of its step
    const FINE = 5;
    for (let z = 0; z < s.nz; z++)
      for (let x = 0; x < s.nx; x++)
        for (let i = 0; i < FINE; i++)
          for (let j = 0; j < FINE; j++) {
            const t = shape.sample(frame, x + (i + 0.5) / FINE - 0.5, z + (j + 0.5) / FINE - 0.5);
            const x0 = shape.xAt(x + i / FINE);
            const x1 = shape.xAt(x + (i + 1) / FINE);
            const z0 = shape.zAt(z + j / FINE, (x0 + x1) / 2);
            const z1 = shape.zAt(z + (j + 1) / FINE, (x0 + x1) / 2);
            g.fillStyle = colours[STEPS.filter((c) => t >= c).length] ?? '';
            for (const side of [-1, 1]) {
              const [a, b] = this.place(side * x0, z1);
              const [c, d] = this.place(side * x1, z0);
              g.fillRect(Math.min(a, c) - 0.3, b - 0.3, Math.abs(c - a) + 0.6, d - b + 0.6);
            }
          }
  }
}
