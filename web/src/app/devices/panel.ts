import { mass } from '../ui/figures';
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Makings } from '../desk/makings';
import { degrees } from '../ui/words';
import { Devices } from './devices';

/** What a bowl of steel weighs, g; as the simulated one. */
const BOWL_G = 412;
/** How many times as fast the kitchen's clock can run. */
const PACES = [1, 10, 60] as const;

/** The simulated scale and probe: to pour, to play the faults that real ones have, and to let time run. */
@Component({
  selector: 'orvin-devices-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './panel.html',
  styleUrl: './panel.scss',
})
export class DevicesPanel {
  /** What is to be poured still, g; null when nothing is being weighed. */
  readonly missingG = input.required<number | null>();
  readonly closed = output();
  protected readonly devices = inject(Devices);
  protected readonly makings = inject(Makings);
  protected readonly paces = PACES;
  protected readonly pace = computed(() => this.makings.making()?.clock?.pace ?? 1);
  protected readonly shows = computed(() => {
    const w = this.devices.weight();
    if (!this.devices.standing()?.scale) return 'unplugged';
    if (!w) return 'nothing yet';
    return w.over ? 'overloaded' : `${mass(w.grams).replace('-', '−')}${w.stable ? '' : ' …'}`;
  });
  protected readonly reads = computed(() => {
    const c = this.devices.degrees();
    if (!this.devices.standing()?.probe) return 'unplugged';
    return c === null ? 'nothing yet' : degrees(c);
  });
  /** Where the probe is, and what a thermometer beside it would show. */
  protected readonly where = computed(() => {
    const s = this.devices.standing();
    const rack = s?.rackC ?? null;
    return (s?.bake ? 'in the cake' : 'on the table') + (rack === null ? '' : `; the thermometer on the rack shows ${degrees(rack)}`); // prettier-ignore
  });
  protected readonly bowlG = BOWL_G;

  /** Pours as a hand does: a little off, and in some seconds. */
  protected pour(grams: number): void {
    const off = 1 + 0.008 * (2 * Math.random() - 1);
    this.devices.do({ do: 'pour', grams: grams * off, seconds: Math.min(6, 1.5 + Math.abs(grams) / 120) });
  }

  protected put(grams: number): void {
    this.devices.do({ do: 'pour', grams, seconds: 0 });
  }
}
