import { Injectable, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import {
  bakeInputOf,
  fitTins,
  fitWith,
  same,
  scale,
  SAMPLES,
  statedSetting,
  withRange,
  type BakeInput,
  type BakePrediction,
  type Formula,
  type Kitchen,
  type KnownBake,
  type Sharing,
  type TinFit,
  type TinUse,
  type Together,
} from '@orvin/core';
import { combineLatest, concat, distinctUntilChanged, forkJoin, map, of, switchMap, type Observable } from 'rxjs';
import { Compute } from '../compute/compute';
import type { Outcome } from '../compute/pool';
import { Desk } from './desk';
import { Learning } from './learning';

/** The formula in some tins: scaled, divided, and what the bake model needs to know of each. */
export interface Placed {
  readonly formula: Formula;
  readonly factor: number;
  readonly eggs: readonly { readonly itemId: string; readonly words: string }[];
  readonly leavener: string | null;
  readonly fits: readonly TinFit[];
  readonly inputs: readonly BakeInput[];
}

export function place(
  f: Formula,
  tins: readonly TinUse[],
  kitchen: Kitchen,
  rescale: boolean,
  sharing: Sharing = 'fill',
): Placed {
  const scaled = rescale
    ? scale(f, { by: 'tins', tins }, kitchen)
    : { formula: f, factor: 1, eggs: [], leavener: null };
  const fits = fitTins(scaled.formula, tins, kitchen, sharing);
  return {
    formula: scaled.formula,
    factor: scaled.factor,
    eggs: scaled.eggs,
    leavener: scaled.leavener,
    fits,
    inputs: fits.map((fit) => bakeInputOf(scaled.formula, fit, kitchen)),
  };
}

/** The bake that a formula's stated time speaks of, in its own tin; null when it states none. */
export function statedOf(f: Formula, kitchen: Kitchen): KnownBake | null {
  const bake = statedSetting(f.bake);
  const fit = f.tins ? fitTins(f, f.tins, kitchen)[0] : undefined;
  if (!bake?.minutes || !fit) return null;
  return {
    input: { ...bakeInputOf({ ...f, bake }, fit, kitchen), batterG: bake.batterG ?? fit.batterG },
    minutes: Math.sqrt(bake.minutes.early * bake.minutes.late),
    kind: 'stated',
  };
}

/**
 * The bake of the formula in hand, in its own tins and in those it is being fitted to, predicted in workers. It follows
 * what is stored, not what is being pulled: no view shows a bake while a bar is pulled.
 */
@Injectable({ providedIn: 'root' })
export class Bakery {
  private readonly desk = inject(Desk);
  private readonly compute = inject(Compute);
  private readonly learning = inject(Learning);
  /** The kitchen with what the log has taught of it, as declared until that is known. */
  private readonly kitchen = computed(() => this.learning.kitchen() ?? this.desk.kitchen(), { equal: same });

  readonly own = computed<Placed | null>(() => {
    const f = this.desk.formula();
    return f?.tins && f.tins.length > 0 ? place(f, f.tins, this.kitchen(), false) : null;
  });
  readonly targetTins = computed<readonly TinUse[]>(() => this.desk.plan().tins ?? this.desk.formula()?.tins ?? []);
  readonly sharing = computed(() => this.desk.plan().sharing ?? 'fill');
  private readonly divided = computed<Placed | null>(
    () => {
      const f = this.desk.formula();
      const tins = this.targetTins();
      const sharing = this.sharing();
      return f && tins.length > 0 ? place(f, tins, this.kitchen(), true, sharing === 'depth' ? 'depth' : 'fill') : null;
    },
    { equal: same },
  );
  /** How the batter is divided so that all tins are done together; null unless that is wanted, and until it is known. */
  readonly together = toSignal(
    toObservable(
      computed(() => {
        const p = this.divided();
        return p && p.inputs.length > 1 && this.sharing() === 'together' ? p.inputs : null;
      }),
    ).pipe(
      switchMap((inputs) =>
        inputs === null
          ? of(null)
          : this.compute
              .run('alike', 'alike', inputs, this.kitchen(), this.stated())
              .pipe(map((o) => (o.ok ? o.value : null))),
      ),
    ),
    { initialValue: null as Together | null },
  );
  readonly target = computed<Placed | null>(() => {
    const p = this.divided();
    const t = this.together();
    if (!p) return null;
    const fits = t && t.grams.length === p.fits.length ? refitted(p, t.grams, this.kitchen()) : p.fits;
    const ovenReachedC = this.desk.plan().ovenReachedC;
    const inputs = fits.map((fit) => ({
      ...bakeInputOf(p.formula, fit, this.kitchen()),
      ...this.where(),
      ...(ovenReachedC !== undefined && { ovenReachedC }),
    }));
    return { ...p, fits, inputs };
  });

  /** The oven and the place in it that are meant for the formula in hand. */
  private readonly where = computed<Pick<BakeInput, 'ovenId' | 'rack'>>(
    () => {
      const { ovenId, rack } = this.desk.plan();
      return { ...(ovenId !== undefined && { ovenId }), ...(rack && { rack }) };
    },
    { equal: same },
  );
  /** What the formula's stated time speaks of. */
  readonly stated = computed(
    () => {
      const f = this.desk.formula();
      return f ? statedOf(f, this.desk.kitchen()) : null;
    },
    { equal: same },
  );

  private readonly wanted = signal('');
  /** Which of several kinds of tin is looked at: its bake is shown, followed and logged. */
  readonly shown = computed(() =>
    Math.max(
      0,
      this.targetTins().findIndex((u) => u.tin.id === this.wanted()),
    ),
  );
  readonly shownFit = computed<TinFit | null>(() => this.target()?.fits[this.shown()] ?? null);
  private readonly targetInput = computed(() => this.target()?.inputs[this.shown()] ?? null);
  readonly targetBake = this.predicted('target', this.targetInput);
  private readonly ownInput = computed(() => {
    const input = this.own()?.inputs[0];
    return input ? { ...input, ...this.where() } : null;
  });
  /** While the formula stands in its own tin both are one bake, and it is worked out once. */
  private readonly alone = computed(() => same(this.ownInput(), this.targetInput()));
  private readonly ownApart = this.predicted('own', () => (this.alone() ? null : this.ownInput()));
  readonly ownBake = computed(() => (this.alone() ? this.targetBake() : this.ownApart()));
  /** The bakes of the tins beside it, in the same oven; a short plan of each is enough. */
  readonly beside = toSignal(
    toObservable(
      computed((): readonly BakeInput[] => {
        if (!this.learning.kitchen()) return [];
        return this.target()?.inputs.filter((_, i) => i !== this.shown()) ?? [];
      }),
    ).pipe(
      distinctUntilChanged<readonly BakeInput[]>(same),
      switchMap((inputs) =>
        inputs.length === 0
          ? of([] as Outcome<BakePrediction>[])
          : combineLatest(
              inputs.map((input, i) =>
                this.compute.run(`beside-${i}`, 'predict', input, this.kitchen(), this.stated()),
              ),
            ),
      ),
    ),
    { initialValue: [] as Outcome<BakePrediction>[] },
  );

  /** Looks at one kind of several tins. */
  show(tinId: string): void {
    this.wanted.set(tinId);
  }

  private predicted(channel: string, input: () => BakeInput | null) {
    const request = computed(
      () => {
        const i = input();
        const kitchen = this.learning.kitchen();
        return i && kitchen ? { input: { ...i, section: true }, kitchen, stated: this.stated() } : null;
      },
      { equal: same },
    );
    return toSignal(
      toObservable(request).pipe(
        distinctUntilChanged(),
        switchMap((r) =>
          r === null
            ? of(null)
            : this.compute
                .run(channel, 'predict', r.input, r.kitchen, r.stated)
                .pipe(
                  switchMap((o) =>
                    o.ok && o.value.minutes.likely > 0
                      ? concat(of(o), this.ranged(channel, r.input, r.kitchen, o.value))
                      : of(o),
                  ),
                ),
        ),
      ),
      { initialValue: null as Outcome<BakePrediction> | null },
    );
  }

  /** The same bake with the range that samples give, spread over the workers. */
  private ranged(
    channel: string,
    input: BakeInput,
    kitchen: Kitchen,
    p: BakePrediction,
  ): Observable<Outcome<BakePrediction>> {
    const asked = { ...input, ...(p.calibration && { calibration: p.calibration }) };
    const parts = Math.max(1, this.compute.size);
    const each = Math.ceil(SAMPLES / parts);
    return forkJoin(
      Array.from({ length: parts }, (_, i) =>
        this.compute.run(
          `${channel}-range-${i}`,
          'sample',
          asked,
          kitchen,
          i * each,
          Math.min(SAMPLES, (i + 1) * each),
        ),
      ),
    ).pipe(
      map((all) => ({
        ok: true as const,
        value: withRange(
          p,
          all.flatMap((o) => (o.ok ? o.value : [])),
          asked,
          kitchen,
        ),
      })),
    );
  }
}

/** The tins with other weights in them. */
export function refitted(p: Placed, grams: readonly number[], kitchen: Kitchen): TinFit[] {
  return p.fits.map((fit, i) => fitWith(p.formula, fit, grams[i] ?? fit.batterG, kitchen));
}
