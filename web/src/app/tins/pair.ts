import { mass } from '../ui/figures';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { outlineOf, type TinFit } from '@orvin/core';
import { hollowsOf, sectionPaths } from '../ui/tin-section';
import { tinWords } from '../ui/words';

const W = 480;

interface Drawn {
  readonly x: number;
  readonly batter: string;
  readonly risen: string;
  readonly wall: string;
  readonly key: string;
}
interface Side {
  readonly title: string;
  readonly drawn: readonly Drawn[];
  readonly from: number;
  readonly to: number;
  readonly notes: readonly string[];
  readonly more: string;
}

/** The tins of now and those wanted, to one scale on the oven's rack: raw batter, rim, and where it rises to. */
@Component({
  selector: 'orvin-pair',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + W + ' ' + high()" role="img" [attr.aria-label]="label()">
      <rect class="oven" x="3" y="3" [attr.width]="W - 6" [attr.height]="high() - 6" rx="16" />
      <path class="rack" [attr.d]="'M8 ' + (floor() + 4) + ' H' + (W - 8)" />
      <path class="rods" [attr.d]="rods()" />
      @for (s of sides(); track $index) {
        @for (d of s.drawn; track d.key) {
          <g [attr.transform]="'translate(' + d.x + ' ' + floor() + ') scale(' + scale() + ')'">
            <path class="risen" [attr.d]="d.risen" />
            <path class="batter" [attr.d]="d.batter" />
            <path class="wall" [attr.d]="d.wall" />
          </g>
        }
        <text class="side" [attr.x]="(s.from + s.to) / 2" [attr.y]="floor() + 30" text-anchor="middle">
          {{ s.title }}
        </text>
        @if (s.more !== '') {
          <text class="more" [attr.x]="(s.from + s.to) / 2" [attr.y]="floor() + 45" text-anchor="middle">
            {{ s.more }}
          </text>
        }
        @for (n of s.notes; track n; let i = $index) {
          <text
            class="note"
            [class.strong]="i === 0"
            [attr.x]="(s.from + s.to) / 2"
            [attr.y]="28 + i * 19"
            text-anchor="middle"
          >
            {{ n }}
          </text>
        }
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
    }
    .oven {
      fill: color-mix(in srgb, var(--heat-wash) 45%, var(--enamel));
      stroke: var(--rim-soft);
      stroke-width: 1.5;
    }
    .rack {
      stroke: var(--ink-2);
      stroke-width: 3;
      stroke-linecap: round;
    }
    .rods {
      stroke: var(--ink-2);
      stroke-width: 3;
      stroke-linecap: round;
      stroke-dasharray: 0 22;
    }
    path {
      vector-effect: non-scaling-stroke;
      fill: none;
    }
    .batter {
      fill: var(--batter);
      stroke: var(--crust);
    }
    .risen {
      fill: color-mix(in srgb, var(--crust) 24%, transparent);
      stroke: var(--heat-line);
      stroke-width: 1.6;
      stroke-dasharray: 5 3;
    }
    .wall {
      stroke: var(--rim);
      stroke-width: 3.5;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    text {
      font-size: 14px;
      fill: var(--ink-2);
    }
    .strong {
      font-weight: 750;
      fill: var(--ink);
      font-size: 16px;
    }
    .side {
      font-weight: 600;
    }
    .more {
      font-size: 12.5px;
    }
  `,
})
export class TinPair {
  readonly own = input<readonly TinFit[]>([]);
  readonly target = input<readonly TinFit[]>([]);
  readonly differs = input(false);
  readonly label = input('');
  protected readonly W = W;
  private readonly tall = computed(() =>
    Math.max(
      1,
      ...this.lists()
        .flat()
        .map((f) => sectionPaths(f).height),
    ),
  );
  /** Where the rack is, and the height of it all: notes above the tallest tin, names under the rack. */
  protected readonly floor = computed(() => 66 + Math.max(96, this.tall() * this.scale()));
  protected readonly high = computed(() => this.floor() + (this.sides().some((s) => s.more !== '') ? 56 : 42));
  protected readonly rods = computed(() => `M20 ${this.floor() + 9} H${W - 20}`);

  private readonly lists = computed(() =>
    (this.differs() ? [this.own(), this.target()] : [this.target()]).filter((l) => l.length > 0),
  );
  /** How many tins of a list to draw, and how wide they stand together, mm. */
  private readonly spread = (fits: readonly TinFit[]): { fit: TinFit; width: number }[] =>
    fits.flatMap((fit) => {
      const { half } = sectionPaths(fit);
      const n = outlineOf(fit.tin).cups > 1 ? hollowsOf(fit.tin) : Math.min(fit.count, 3);
      return Array.from({ length: n }, () => ({ fit, width: half * 2 + 14 }));
    });
  protected readonly scale = computed(() => {
    const all = this.lists().map(this.spread);
    const groups = this.lists().flat().length;
    const wide = all.reduce((s, l) => s + l.reduce((t, x) => t + x.width, 0), 0) + 40 * (groups - 1);
    const tall = Math.max(1, ...all.flat().map((x) => sectionPaths(x.fit).height));
    return Math.min((W - 40) / Math.max(wide, 1), 185 / tall, 1.9);
  });
  protected readonly sides = computed<readonly Side[]>(() => {
    const k = this.scale();
    const all = this.lists()
      .flat()
      .map((fit) => ({ fit, stood: this.spread([fit]) }));
    const widths = all.map((a) => a.stood.reduce((t, x) => t + x.width, 0) * k);
    const gap = (W - widths.reduce((a, b) => a + b, 0)) / (all.length + 1);
    let x = gap;
    return all.map(({ fit, stood }, side) => {
      const from = x;
      const drawn = stood.map((d, i) => {
        const at = x + (d.width * k) / 2;
        x += d.width * k;
        return { x: at, ...sectionPaths(d.fit), key: `${side}-${i}` };
      });
      const to = x;
      x += gap;
      const cups = outlineOf(fit.tin).cups;
      const total = cups > 1 ? cups * fit.count : fit.count;
      const grams =
        cups > 1
          ? `${mass(Math.round(fit.perCupG))} each`
          : `${mass(Math.round(fit.batterG))}${fit.count > 1 ? ' each' : ''}`;
      const reads = fit.tinReadsG ? `with its tin ${mass(Math.round(fit.tinReadsG))}` : '';
      return {
        title: tinWords(fit),
        more: total > drawn.length ? `${drawn.length} of ${total} drawn` : '',
        drawn,
        from,
        to,
        notes: [grams, reads].filter((t) => t !== ''),
      };
    });
  });
}
