import { units } from '../ui/words';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { lengthIn, outlineOf, type TinFit } from '@orvin/core';

const WIDE = 240;
const HIGH = 130;

/** A cake in section with what is spread on it, to scale; pulling upwards makes it thicker. */
@Component({
  selector: 'orvin-cake-section',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + wide + ' ' + high"
      role="img"
      [attr.aria-label]="label()"
      (pointerdown)="grab($event)"
    >
      @if (swirl()) {
        @for (x of [40, 120, 200]; track x) {
          <path
            class="crumb"
            [attr.d]="'M' + (x - 20) + ' 70 L' + (x + 20) + ' 70 L' + (x + 15) + ' 112 L' + (x - 15) + ' 112 Z'"
          />
          <path
            class="icing"
            [attr.d]="'M' + (x - 24) + ' 70 q2 -14 10 -16 q-2 -10 8 -14 q4 -8 6 -14 q2 6 6 14 q10 4 8 14 q8 2 10 16 Z'"
          />
        }
      } @else {
        <rect
          class="icing"
          [attr.x]="g().x - g().s"
          [attr.y]="g().y - g().t"
          [attr.width]="g().w + 2 * g().s"
          [attr.height]="g().h + g().t"
          rx="3"
        />
        @for (l of g().layers; track l) {
          <rect class="crumb" [attr.x]="g().x" [attr.y]="l" [attr.width]="g().w" [attr.height]="g().layer" />
        }
        <line
          class="base"
          [attr.x1]="g().x - 14"
          [attr.x2]="g().x + g().w + 14"
          [attr.y1]="g().y + g().h"
          [attr.y2]="g().y + g().h"
        />
      }
    </svg>
  `,
  styles: `
    svg {
      width: 100%;
      max-width: 22rem;
      cursor: ns-resize;
      touch-action: none;
    }
    .crumb {
      fill: var(--crust);
      stroke: var(--ink);
      stroke-width: 0.6;
    }
    .icing {
      fill: var(--enamel-2);
      stroke: var(--rim);
      stroke-width: 1.4;
    }
    .base {
      stroke: var(--rim);
      stroke-width: 3;
      stroke-linecap: round;
    }
  `,
})
export class CakeSection {
  readonly fit = input.required<TinFit>();
  readonly layers = input(1);
  readonly between = input(0);
  readonly top = input(0);
  readonly sides = input(0);
  readonly swirl = input(false);
  /** By how much thicker it was pulled, in shares of the usual. */
  readonly thicker = output<number>();
  protected readonly wide = WIDE;
  protected readonly high = HIGH;

  protected readonly g = computed(() => {
    const fit = this.fit();
    const o = outlineOf(fit.tin);
    const n = this.layers();
    const mm = { w: o.top + 2 * this.sides(), h: n * fit.edgeMm + (n - 1) * this.between() + this.top() };
    const k = Math.min((WIDE - 34) / mm.w, (HIGH - 16) / mm.h);
    const layer = fit.edgeMm * k;
    const h = (n * fit.edgeMm + (n - 1) * this.between()) * k;
    const w = o.top * k;
    const y = HIGH - 6 - h;
    return {
      x: (WIDE - w) / 2,
      y,
      w,
      h,
      layer,
      s: this.sides() * k,
      t: this.top() * k,
      layers: Array.from({ length: n }, (_, i) => y + i * (layer + this.between() * k)),
    };
  });
  protected readonly label = computed(
    () =>
      `${this.layers() > 1 ? `${this.layers()} layers` : 'the cake'} in section; ${lengthIn(units().display, this.top())} on top`,
  );

  protected grab(e: PointerEvent): void {
    const el = e.currentTarget as SVGElement;
    el.setPointerCapture(e.pointerId);
    let last = e.clientY;
    const move = (m: PointerEvent): void => {
      const steps = Math.trunc((last - m.clientY) / 8);
      if (steps === 0) return;
      last -= steps * 8;
      this.thicker.emit(steps / 10);
    };
    const over = new AbortController();
    el.addEventListener('pointermove', move, { signal: over.signal });
    for (const end of ['pointerup', 'pointercancel'] as const)
      el.addEventListener(end, () => over.abort(), { signal: over.signal });
  }
}
