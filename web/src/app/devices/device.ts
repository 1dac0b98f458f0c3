import type { Weight } from '@orvin/core';
import type { Observable } from 'rxjs';

/** Whether a device is heard: being looked for, speaking, or silent though it was there. */
export type Link = 'looking' | 'live' | 'silent';

/** A kitchen device that says something again and again. A simulated one is one more of these, and always marked so. */
export interface Device<Reading> {
  readonly name: string;
  readonly simulated: boolean;
  readonly link$: Observable<Link>;
  /** Hot: readings come while somebody listens, and stop while the device is silent. */
  readonly readings$: Observable<Reading>;
}

export interface ScaleDevice extends Device<Weight> {
  /** The smallest step it shows, g. */
  readonly stepG: number;
}

/** A probe in a cake, °C. */
export interface ProbeDevice extends Device<number> {
  /** Told which bake it is in; a simulated one needs to know, a real one finds out by itself. */
  readonly stuckInto?: (bake: ProbedBake | null) => void;
}

/** What a probe is in: the bake, and for how long it has been in the oven, s. */
export interface ProbedBake {
  readonly id: string;
  readonly input: object;
  readonly elapsedS: number;
}

/** How the stand-ins' kitchen stands. */
export interface StandInState {
  readonly scale: boolean;
  readonly probe: boolean;
  readonly bake: string | null;
  /** What a thermometer on the rack would show, °C. */
  readonly rackC: number | null;
  readonly pace: number;
}
