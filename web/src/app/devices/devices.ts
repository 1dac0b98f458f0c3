import { Injectable, computed, effect, inject, signal, type Signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import type { Weight } from '@orvin/core';
import { distinctUntilChanged, of, switchMap, type Observable } from 'rxjs';
import { newId } from '../data/ids';
import { kinds } from '../data/kinds';
import { LiveDocument } from '../data/live-document';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import type { Link, ProbeDevice, ScaleDevice, StandInState } from './device';
import { StandIns, type Place } from './stand-ins';

/**
 * The scale and the probe of this kitchen, whatever they are. Today only simulated ones can be chosen; a real one is
 * another `ScaleDevice` or `ProbeDevice` here, and nothing else has to know.
 */
@Injectable({ providedIn: 'root' })
export class Devices {
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  private readonly stored = new LiveDocument(this.store, kinds.devices);
  /** Whether the simulated devices are wanted; kept with the kitchen. */
  readonly trying = computed(() => !!this.stored.value()?.standIns);

  private readonly standIns = computed<StandIns | null>(() => {
    const kitchen = this.kitchenKey();
    if (kitchen === null) return null;
    const address = new URL(`/devices?kitchen=${kitchen}`, location.href);
    address.protocol = address.protocol === 'https:' ? 'wss:' : 'ws:';
    const place = (): Place => {
      const { roomC, altitudeM } = this.desk.kitchen();
      return { roomC, altitudeM };
    };
    return new StandIns(address.href, place, () => this.pace());
  });
  /** Whether somebody is at the counter: devices are listened to only then. */
  readonly here = signal(false);
  private readonly kitchenKey = computed(() => (this.here() ? this.stored.value()?.standIns || null : null));

  readonly scale = computed<ScaleDevice | null>(() => this.standIns()?.scale ?? null);
  readonly probe = computed<ProbeDevice | null>(() => this.standIns()?.probe ?? null);
  readonly scaleLink = this.of(this.scale, (d) => d.link$, 'looking' as Link);
  readonly probeLink = this.of(this.probe, (d) => d.link$, 'looking' as Link);
  readonly weight = this.of(this.scale, (d) => d.readings$, null as Weight | null);
  readonly degrees = this.of(this.probe, (d) => d.readings$, null as number | null);
  readonly reached = this.of(this.standIns, (s) => s.reached$, false);
  readonly standing = this.of(this.standIns, (s) => s.state$, null as StandInState | null);
  readonly problem = this.of(this.standIns, (s) => s.problems$, '');
  /** How fast the kitchen's clock is to go, for stand-ins that go along with it. */
  readonly pace = signal(1);

  constructor() {
    effect(() => {
      if (this.reached()) this.do({ do: 'pace', pace: this.pace() });
    });
  }

  /** Wants the simulated devices, or no longer. */
  async tryOut(on: boolean): Promise<void> {
    // a key of its own, so that two browsers do not pour onto one scale
    await this.stored.change('simulated devices', on ? { standIns: newId() } : null);
  }

  /** Does something to the simulated devices. */
  do(wish: object): void {
    this.standIns()?.do(wish);
  }

  private of<D, T>(device: Signal<D | null>, pick: (d: D) => Observable<T>, none: T): Signal<T> {
    return toSignal(
      toObservable(device).pipe(
        switchMap((d) => (d ? pick(d) : of(none))),
        distinctUntilChanged(),
      ),
      { initialValue: none },
    );
  }
}
