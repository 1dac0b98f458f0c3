import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Estimate, Rack } from '@orvin/core';

/** How far each end of the dial reaches, K. */
const SPAN_K = 30;
const at = (k: number): number => (Math.max(-SPAN_K, Math.min(SPAN_K, k)) / SPAN_K) * 100;
const point = (k: number, r: number): string => {
  const a = ((at(k) - 90) * Math.PI) / 180;
  return `${(60 + r * Math.cos(a)).toFixed(1)} ${(62 + r * Math.sin(a)).toFixed(1)}`;
};
const arc = (from: number, to: number, r: number): string => `M${point(from, r)} A${r} ${r} 0 ${Math.abs(at(to) - at(from)) > 180 ? 1 : 0} 1 ${point(to, r)}`; // prettier-ignore

/** An oven's dial: where it is set, and where the air really is, with its band; each rack has a ring of its own. */
@Component({
  selector: 'orvin-oven-dial',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="-4 0 128 70" role="img" [attr.aria-label]="label()">
      <path class="ring" [attr.d]="ring" />
      @for (t of ticks; track t.k) {
        <path class="tick" [attr.d]="t.d" />
      }
      @for (t of ticks; track t.k) {
        <text [attr.x]="t.x" [attr.y]="t.y" [attr.text-anchor]="t.anchor">{{ t.words }}</text>
      }
      <path class="set" d="M60 62 L60 20" />
      @for (m of marks(); track m.name) {
        <path class="band" [attr.d]="m.band" />
        <circle class="now" [attr.cx]="m.x" [attr.cy]="m.y" r="3.4" />
        @if (m.name !== '') {
          <text [attr.x]="+m.x + 6" [attr.y]="+m.y + 2.6">{{ m.name }}</text>
        }
      }
      <circle class="hub" cx="60" cy="62" r="5" />
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      overflow: visible;
    }
    path {
      fill: none;
      stroke-linecap: round;
    }
    .ring {
      stroke: var(--rim);
      stroke-width: 2.4;
    }
    .tick {
      stroke: var(--rim-soft);
      stroke-width: 1.4;
    }
    .band {
      stroke: var(--heat-line);
      stroke-width: 7;
      opacity: 0.35;
    }
    .now {
      fill: var(--heat);
    }
    .set {
      stroke: var(--rim);
      stroke-width: 3.4;
    }
    .hub {
      fill: var(--rim);
    }
    text {
      font-size: 7.4px;
      fill: var(--ink-2);
    }
  `,
})
export class OvenDial {
  /** K against the dial; without a band where nothing was logged. */
  readonly off = input.required<Estimate>();
  readonly racks = input<readonly (Estimate & { readonly rack: Rack })[]>([]);
  readonly label = input('');
  protected readonly ring = arc(-SPAN_K, SPAN_K, 46);
  protected readonly ticks = [-30, -20, -10, 0, 10, 20, 30].map((k) => {
    const [x, y] = point(k, 55).split(' ') as [string, string];
    return { k, x, y, anchor: k < -5 ? 'end' : k > 5 ? 'start' : 'middle', words: k % 20 === 0 ? (k === 0 ? 'dial' : `${k > 0 ? '+' : '−'}${Math.abs(k)}`) : '', d: `M${point(k, 46)} L${point(k, k === 0 ? 51 : 49)}` };
  }); // prettier-ignore
  protected readonly marks = computed(() =>
    [{ name: '', at: this.off(), r: 38 }, ...this.racks().map((x, i) => ({ name: x.rack as string, at: x, r: 28 - 9 * i }))].map(({ name, at, r }) => {
      const [x, y] = point(at.typical, r).split(' ') as [string, string];
      return { name, x, y, band: at.bakes > 0 ? arc(at.low, at.high, r) : '' };
    }),
  ); // prettier-ignore
}
