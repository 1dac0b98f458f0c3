import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** What is in against what is wanted, as a channel that fills: the wanted weight a line, what is right about it a band. */
@Component({
  selector: 'orvin-pour-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="channel" [class.over]="inG() > wantedG() + within()">
      <span class="in" [style.width.%]="x(inG())"></span>
      <span class="right" [style.left.%]="x(wantedG() - within())" [style.width.%]="band()"></span>
      <span class="line" [style.left.%]="x(wantedG())"></span>
    </div>
  `,
  host: { role: 'meter', 'aria-valuemin': '0', '[attr.aria-valuemax]': 'wantedG()', '[attr.aria-valuenow]': 'now()', 'aria-label': 'what is in' }, // prettier-ignore
  styles: `
    :host {
      display: block;
      margin: 0.9rem 0 0.4rem;
      max-width: 70rem;
    }
    .channel {
      position: relative;
      height: 2.6rem;
      border: 3px solid var(--rim);
      border-radius: 0.4rem 0.4rem 1.3rem 1.3rem;
      background: var(--enamel);
      overflow: hidden;
    }
    .in {
      position: absolute;
      inset: 0 auto 0 0;
      background: var(--rim-soft);
    }
    .over .in {
      background: var(--heat-line);
    }
    .right {
      position: absolute;
      inset-block: 0;
      min-width: 6px;
      background: color-mix(in srgb, var(--rim) 30%, transparent);
    }
    .line {
      position: absolute;
      inset-block: 0;
      border-left: 4px solid var(--ink);
      margin-left: -2px;
    }
  `,
})
export class PourBar {
  readonly inG = input.required<number>();
  readonly wantedG = input.required<number>();
  /** How far off still counts as right, g. */
  readonly within = input.required<number>();
  protected readonly now = computed(() => Math.round(this.inG()));
  protected readonly band = computed(
    () => this.x(this.wantedG() + this.within()) - this.x(this.wantedG() - this.within()),
  );
  /** The wanted weight lies at four fifths, so that too much has room. */
  protected readonly x = (g: number): number => Math.max(0, Math.min(100, (80 * g) / Math.max(1, this.wantedG())));
}
