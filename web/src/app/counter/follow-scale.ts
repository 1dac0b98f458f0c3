import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import {
  beginPouring,
  pouredNow,
  readScale,
  scaleSilent,
  tooLittleFor,
  zeroScale,
  type By,
  type Pouring,
} from '@orvin/core';
import { Subject } from 'rxjs';
import { Desk } from '../desk/desk';
import { Devices } from '../devices/devices';

/** What is to be poured now. */
export interface Wanted {
  /** Another one begins another pour. */
  readonly key: string;
  readonly grams: number;
  /** What of it is in already, g. */
  readonly hadG: number;
  /** What it goes into, or onto: for another one the baker says first that it stands on the scale. */
  readonly vessel: string;
}

/** What the scale says of it. */
export interface Poured {
  readonly key: string;
  readonly grams: number;
  readonly by: By<'scale'>;
}

/** Follows the scale while something is poured: what is in, and when it rests at the right weight, or beyond. */
@Injectable()
export class FollowScale {
  private readonly devices = inject(Devices);
  private readonly desk = inject(Desk);
  private readonly pouring = signal<Pouring>(beginPouring(null));
  private readonly wanted = signal<Wanted | null>(null);
  /** The weight that was told of last, so that it is told of once. */
  private told = '';
  private vessel = '';
  /** The pour that is followed; it goes on after a pause. */
  private begun = '';

  /** The smallest step that the scale shows, and the one that weights are judged by: the coarser of it and the kitchen's own, g. */
  readonly stepG = computed(() => this.devices.scale()?.stepG ?? this.desk.kitchen().measures.scaleG);
  readonly toleranceG = computed(() => Math.max(this.stepG(), this.desk.kitchen().measures.scaleG));
  /** Whether there is a scale at all, and whether it speaks. */
  readonly there = computed(() => this.devices.scale() !== null);
  readonly silent = computed(() => this.there() && this.devices.scaleLink() !== 'live');
  readonly tooLittle = computed(() => tooLittleFor(this.wanted()?.grams ?? 0, this.stepG()));
  readonly live = computed(() => this.there() && !this.silent() && this.wanted() !== null && !this.tooLittle());
  readonly simulated = computed(() => this.devices.scale()?.simulated ?? false);
  readonly by = computed<By<'scale'>>(() => (this.simulated() ? 'simulated scale' : 'scale'));
  readonly asks = computed(() => this.live() && this.pouring().asks);
  /** The bowl was only just put down. */
  readonly settling = computed(() => this.live() && this.pouring().settlesUntil !== null);
  readonly inG = computed(() => this.pouring().inG);
  readonly restG = computed(() => this.pouring().restG);
  readonly grossG = computed(() => this.devices.weight()?.grams ?? null);
  readonly words = computed(() => this.pouring().words);

  readonly right$ = new Subject<Poured>();
  readonly over$ = new Subject<Poured>();

  constructor() {
    effect(() => {
      const weight = this.devices.weight();
      if (weight) untracked(() => this.pouring.update((p) => readScale(p, weight, performance.now())));
      untracked(() => this.judge());
    });
    effect(() => {
      if (this.silent()) untracked(() => this.pouring.update(scaleSilent));
    });
  }

  want(next: Wanted | null): void {
    this.wanted.set(next);
    const pour = next ? `${next.key} ${next.hadG}` : this.begun;
    if (!next || this.begun === pour) return;
    this.begun = pour;
    this.told = '';
    const another = next.vessel !== this.vessel;
    this.vessel = next.vessel;
    this.pouring.update((p) => {
      if (another || p.asks) return beginPouring(null, next.hadG);
      // a vessel that was lifted in between is waited for; a scale that was silent begins where it comes back
      if (p.grossG === null) return { ...beginPouring(null, next.hadG), asks: false };
      return { ...beginPouring(p.grossG, next.hadG), emptyG: p.emptyG };
    });
  }

  /** The vessel stands on the scale: it counts from here. */
  zero(): void {
    this.told = '';
    this.pouring.update((p) => zeroScale(p, performance.now()));
  }

  private judge(): void {
    const w = this.wanted();
    const p = this.pouring();
    if (!w || !this.live()) return;
    const verdict = pouredNow(p, w.grams, this.toleranceG(), performance.now());
    const mark = `${w.key} ${verdict} ${p.since}`;
    if (verdict === 'wait' || mark === this.told) return;
    this.told = mark;
    const said = { key: w.key, grams: Math.max(0, p.restG), by: this.by() };
    if (verdict === 'right') this.right$.next(said);
    else this.over$.next(said);
  }
}
