import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { outlineOf, type CutPlan, type Tin } from '@orvin/core';

/** A cake from above with the cuts that are made. */
@Component({
  selector: 'orvin-cut-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'-4 -4 ' + (g().w + 8) + ' ' + (g().h + 8)" role="img" [attr.aria-label]="cut().words">
      @if (g().round) {
        <ellipse [attr.cx]="g().w / 2" [attr.cy]="g().h / 2" [attr.rx]="g().w / 2" [attr.ry]="g().h / 2" />
        @if (g().hole > 0) {
          <circle class="hole" [attr.cx]="g().w / 2" [attr.cy]="g().h / 2" [attr.r]="g().hole" />
        }
      } @else {
        <rect [attr.width]="g().w" [attr.height]="g().h" rx="4" />
      }
      <path [attr.d]="lines()" />
    </svg>
  `,
  styles: `
    svg {
      width: 9.5rem;
      max-height: 8rem;
    }
    rect,
    ellipse {
      fill: var(--crust);
      stroke: var(--rim);
      stroke-width: 2;
      fill-opacity: 0.55;
    }
    .hole {
      fill: var(--enamel);
      stroke: var(--rim);
      stroke-width: 2;
    }
    path {
      stroke: var(--ink);
      stroke-width: 1.4;
    }
  `,
})
export class CutPicture {
  readonly tin = input.required<Tin>();
  readonly cut = input.required<CutPlan>();

  protected readonly g = computed(() => {
    const o = outlineOf(this.tin());
    const round = o.kind === 'round';
    const k = 150 / Math.max(o.top, round ? o.top : o.top2);
    return { round, w: o.top * k, h: (round ? o.top : o.top2) * k, hole: (o.tube * k) / 2 };
  });
  protected readonly lines = computed(() => {
    const { w, h, hole } = this.g();
    const c = this.cut();
    if (c.kind === 'pieces' || c.pieces < 2) return '';
    if (c.kind === 'wedges')
      return Array.from({ length: c.pieces }, (_, i) => {
        const a = (2 * Math.PI * i) / c.pieces - Math.PI / 2;
        const at = (r: number): string =>
          `${(w / 2 + r * Math.cos(a)).toFixed(1)} ${(h / 2 + r * Math.sin(a)).toFixed(1)}`;
        return `M${at(hole)} L${at(w / 2)}`;
      }).join(' ');
    const down = Array.from(
      { length: c.columns - 1 },
      (_, i) => `M${((w * (i + 1)) / c.columns).toFixed(1)} 0 V${h.toFixed(1)}`,
    );
    const across = Array.from(
      { length: c.rows - 1 },
      (_, i) => `M0 ${((h * (i + 1)) / c.rows).toFixed(1)} H${w.toFixed(1)}`,
    );
    return [...down, ...across].join(' ');
  });
}
