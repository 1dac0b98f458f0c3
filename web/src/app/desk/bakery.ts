import { Injectable, computed, inject } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import {
  assess,
  fitTins,
  knownFrom,
  same,
  scale,
  teaching,
  type BakeInput,
  type BakePrediction,
  type BakeRecord,
  type Calibration,
  type Formula,
  type Kitchen,
  type KnownBake,
  type TinFit,
  type TinUse,
} from '@orvin/core';
import { distinctUntilChanged, map, of, switchMap } from 'rxjs';
import { Compute } from '../compute/compute';
import type { Outcome } from '../compute/pool';
import { Store } from '../data/store';
import { Desk } from './desk';

/** The formula in some tins: scaled, divided, and what the bake model needs to know of one of them. */
export interface Placed {
  readonly formula: Formula;
  readonly factor: number;
  readonly eggs: readonly { readonly itemId: string; readonly words: string }[];
  readonly leavener: string | null;
  readonly fits: readonly TinFit[];
  readonly input: BakeInput | null;
}

const inputFor = (f: Formula, kitchen: Kitchen, fit: TinFit | undefined): BakeInput | null => {
  if (!fit) return null;
  const a = assess(f, kitchen);
  return {
    batterG: fit.batterG,
    tin: fit.tin,
    count: fit.count,
    family: f.family,
    ovenC: f.bake?.ovenC ?? 180,
    fan: f.bake?.fan ?? false,
    ...(f.bake?.stages && { stages: f.bake.stages }),
    densityGPerMl: a.batter.densityGPerMl,
    rise: fit.rise,
  };
};

export function place(f: Formula, tins: readonly TinUse[], kitchen: Kitchen, rescale: boolean): Placed {
  const scaled = rescale
    ? scale(f, { by: 'tins', tins }, kitchen)
    : { formula: f, factor: 1, eggs: [], leavener: null };
  const fits = fitTins(scaled.formula, tins, kitchen);
  return {
    formula: scaled.formula,
    factor: scaled.factor,
    eggs: scaled.eggs,
    leavener: scaled.leavener,
    fits,
    input: inputFor(scaled.formula, kitchen, fits[0]),
  };
}

/** Bakes that are known for a formula in an oven: its stated time in its own tin, and what the log holds. */
export function knownBakes(f: Formula, kitchen: Kitchen, bakes: readonly BakeRecord[]): KnownBake[] {
  const out: KnownBake[] = knownFrom(teaching(bakes, kitchen.ovens[0]?.id ?? 'oven'));
  const stated = f.bake?.minutes;
  const fit = f.tins ? fitTins(f, f.tins, kitchen)[0] : undefined;
  const input = inputFor(f, kitchen, fit);
  if (stated && input) out.push({ input, minutes: Math.sqrt(stated.early * stated.late), kind: 'stated' });
  return out;
}

/**
 * The bake of the formula in hand, in its own tins and in those it is being fitted to, predicted in workers. It follows
 * what is stored, not what is being pulled: no view shows a bake while a bar is pulled.
 */
@Injectable({ providedIn: 'root' })
export class Bakery {
  private readonly desk = inject(Desk);
  private readonly compute = inject(Compute);
  private readonly store = inject(Store);
  readonly bakes = toSignal(this.store.bakes$, { initialValue: [] as readonly BakeRecord[] });

  readonly own = computed<Placed | null>(() => {
    const f = this.desk.formula();
    return f?.tins && f.tins.length > 0 ? place(f, f.tins, this.desk.kitchen(), false) : null;
  });
  readonly targetTins = computed<readonly TinUse[]>(() => this.desk.plan().tins ?? this.desk.formula()?.tins ?? []);
  readonly target = computed<Placed | null>(() => {
    const f = this.desk.formula();
    const tins = this.targetTins();
    return f && tins.length > 0 ? place(f, tins, this.desk.kitchen(), true) : null;
  });

  private readonly known = computed(
    () => {
      const f = this.desk.formula();
      return f ? { known: knownBakes(f, this.desk.kitchen(), this.bakes()), kitchen: this.desk.kitchen() } : null;
    },
    { equal: same },
  );
  /** What known bakes say of this oven; null until it is worked out. */
  readonly calibration = toSignal(
    toObservable(this.known).pipe(
      switchMap((k) =>
        k === null
          ? of(null)
          : this.compute.run('calibrate', 'calibrate', k.known, k.kitchen).pipe(map((o) => (o.ok ? o.value : null))),
      ),
    ),
    { initialValue: null as Calibration | null },
  );

  readonly ownBake = this.predicted('own', () => this.own()?.input ?? null);
  readonly targetBake = this.predicted('target', () => this.target()?.input ?? null);

  private predicted(channel: string, input: () => BakeInput | null) {
    const request = computed(
      () => {
        const i = input();
        const calibration = this.calibration();
        return i && calibration ? { input: { ...i, calibration }, kitchen: this.desk.kitchen() } : null;
      },
      { equal: same },
    );
    return toSignal(
      toObservable(request).pipe(
        distinctUntilChanged(),
        switchMap((r) => (r === null ? of(null) : this.compute.run(channel, 'predict', r.input, r.kitchen))),
      ),
      { initialValue: null as Outcome<BakePrediction> | null },
    );
  }
}
