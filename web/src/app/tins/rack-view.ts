import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { outlineOf, rackPlan, type Oven, type TinUse } from '@orvin/core';

/** The oven's racks from above, to scale, with the tins on them. */
@Component({
  selector: 'orvin-rack-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (rack of plan().racks; track $index) {
      <svg
        [attr.viewBox]="'0 0 ' + plan().wideMm + ' ' + plan().deepMm"
        role="img"
        [attr.aria-label]="'Rack ' + ($index + 1) + ' from above: ' + plan().words"
      >
        <rect class="rack" x="4" y="4" [attr.width]="plan().wideMm - 8" [attr.height]="plan().deepMm - 8" rx="14" />
        <path class="rods" [attr.d]="rods()" />
        @for (p of rack; track $index) {
          @if (round(p.tin)) {
            <circle class="tin" [attr.cx]="p.x" [attr.cy]="p.y" [attr.r]="p.wide / 2 - 6" />
          } @else {
            <rect
              class="tin"
              [attr.x]="p.x - p.wide / 2 + 6"
              [attr.y]="p.y - p.deep / 2 + 6"
              [attr.width]="p.wide - 12"
              [attr.height]="p.deep - 12"
              rx="14"
            />
          }
        }
      </svg>
    }
    <p class="small" [class.faulty]="plan().left > 0">{{ oven().name }}: {{ plan().words }}</p>
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      gap: 0.35rem;
      justify-content: flex-end;
    }
    svg {
      width: 100%;
      max-height: 7.4rem;
    }
    .rack {
      fill: none;
      stroke: var(--rim-soft);
      stroke-width: 6;
    }
    .rods {
      stroke: var(--hair);
      stroke-width: 4;
    }
    .tin {
      fill: var(--batter);
      stroke: var(--rim);
      stroke-width: 8;
    }
    p {
      margin: 0;
      line-height: 1.25;
    }
  `,
})
export class RackView {
  readonly uses = input.required<readonly TinUse[]>();
  readonly oven = input.required<Oven>();
  protected readonly plan = computed(() => rackPlan(this.uses(), this.oven()));
  protected readonly rods = computed(() => {
    const { wideMm, deepMm } = this.plan();
    return Array.from({ length: 7 }, (_, i) => `M${(wideMm * (i + 1)) / 8} 8 V${deepMm - 8}`).join('');
  });
  protected readonly round = (tin: TinUse['tin']): boolean => {
    const o = outlineOf(tin);
    return o.kind === 'round' && o.cups === 1;
  };
}
