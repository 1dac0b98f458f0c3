import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import { bakeInputOf, probeIn, type BakeInput, type MadeBake, type Standing } from '@orvin/core';
import { map, mergeMap, tap } from 'rxjs';
import { Compute } from '../compute/compute';
import type { Foretold } from '../compute/jobs';
import { Desk } from '../desk/desk';
import { Makings } from '../desk/makings';
import { Devices } from '../devices/devices';

/** A reading is kept each so many seconds of the kitchen's clock. */
const KEEP_S = 30;
/** A forecast is kept when it has moved by this, min, and the probe has read so often, or a thermometer was looked at. */
const MOVED_MIN = 0.5;
const ENOUGH = 4;

/** A bake in the oven, and what has been read of it. */
interface Watched {
  readonly bake: MadeBake;
  readonly standing: Standing;
  readonly input: BakeInput;
}

/** Takes down what the probe reads, and what it foretells. */
@Injectable()
export class WatchProbe {
  private readonly makings = inject(Makings);
  private readonly devices = inject(Devices);
  private readonly desk = inject(Desk);
  private readonly compute = inject(Compute);

  /** The bake that the probe is in. */
  readonly holder = computed(() => {
    const m = this.makings.making();
    return m ? probeIn(m, this.makings.standings()) : null;
  });
  readonly there = computed(() => this.devices.probe() !== null);
  readonly silent = computed(() => this.there() && this.devices.probeLink() !== 'live');
  readonly simulated = computed(() => this.devices.probe()?.simulated ?? false);
  readonly degrees = computed(() => (this.silent() ? null : this.devices.degrees()));
  private readonly forecasts = signal<ReadonlyMap<string, Foretold>>(new Map());

  /** The bakes that are in the oven. */
  private readonly inOven = computed<readonly Watched[]>(() =>
    (this.makings.making()?.bakes ?? []).flatMap((bake): Watched[] => {
      const standing = this.makings.standings().find((s) => s.id === bake.id);
      const fit = bake.fits[0];
      if (!standing || !fit || standing.intoOvenAt === null || standing.outAt !== null) return [];
      const input = bakeInputOf(bake.formula, fit, this.desk.kitchen());
      return [{ bake, standing, input: { ...input, ...(bake.calibration && { calibration: bake.calibration }) } }];
    }),
  );

  constructor() {
    // what goes in while the probe is free has it, until the baker says otherwise
    effect(() => {
      const free = this.holder() === null && this.there() && !this.silent();
      const last = this.inOven().at(-1);
      const had = this.makings.making()?.happenings.some((h) => h.kind === 'probe in' && h.bakeId === last?.bake.id);
      if (free && last && !had && this.inOven().length === 1) untracked(() => void this.stick(last.bake.id));
    });
    // a simulated probe has to be told what it is in
    const told = computed(() => {
      const w = this.inOven().find((x) => x.bake.id === this.holder());
      return w ? `${w.bake.id} ${w.standing.intoOvenAt}` : '';
    });
    effect(() => {
      const id = told();
      const probe = this.devices.probe();
      // what is in hand has to be known first, lest a cake be taken out by a page that only begins
      if (!probe?.stuckInto || !this.devices.reached() || !this.makings.ready()) return;
      const w = untracked(() => this.inOven().find((x) => x.bake.id === this.holder()));
      const since = w?.standing.intoOvenAt ?? null;
      if (!w || since === null) return probe.stuckInto(null);
      probe.stuckInto({ id, input: w.input, elapsedS: Math.max(0, (this.makings.now() - since) / 1000) });
    });
    effect(() => this.devices.pace.set(this.makings.making()?.clock?.pace ?? 1));
    effect(() => {
      const c = this.devices.degrees();
      if (c !== null) untracked(() => this.keep(c));
    });
    this.foretell();
  }

  /** The probe is put into a bake. */
  stick(bakeId: string): Promise<void> {
    return this.makings.add({ kind: 'probe in', bakeId });
  }

  foretold(bakeId: string): Foretold | null {
    return this.forecasts().get(bakeId) ?? null;
  }

  private keep(c: number): void {
    const w = this.inOven().find((x) => x.bake.id === this.holder());
    if (!w) return;
    const last = w.standing.probe.at(-1);
    const pace = this.makings.making()?.clock?.pace ?? 1;
    if (last && this.makings.now() - last.at < Math.max(KEEP_S, pace) * 1000) return;
    void this.makings.add({
      kind: 'probe',
      bakeId: w.bake.id,
      c,
      by: this.simulated() ? 'simulated probe' : 'probe',
    });
  }

  /** Works out anew what is foretold of a bake whenever something has been read of it; of ice the model knows nothing. */
  private foretell(): void {
    const asked = computed(() => this.inOven().filter((w) => w.bake.from === undefined).map((w) => this.readOf(w)).filter((a) => a.count > 0)); // prettier-ignore
    const known = new Map<string, string>();
    toObservable(asked)
      .pipe(
        mergeMap((all) => all.filter((a) => known.get(a.id) !== a.name)),
        tap((a) => known.set(a.id, a.name)),
        mergeMap((a) =>
          this.compute
            .run(`probe-${a.id}`, 'forecast', a.input, this.desk.kitchen(), a.readings, a.rack)
            .pipe(map((o) => ({ a, told: o.ok ? o.value : null }))),
        ),
      )
      .subscribe(({ a, told }) => told && this.heard(a.id, told, a.rack.length));
  }

  /** What has been read of a bake, s from its door: by the probe in it, and of its oven whatever bake was looked at. */
  private readOf(w: Watched) {
    const s = (at: number): number => (at - (w.standing.intoOvenAt ?? at)) / 1000;
    const readings = w.standing.probe.map((r) => ({ s: s(r.at), c: r.c }));
    const rack = this.inOven()
      .filter((x) => x.bake.ovenId === w.bake.ovenId)
      .flatMap((x) => x.standing.ovenReadings)
      .map((r) => ({ s: s(r.at), ovenC: r.ovenC }))
      .filter((r) => r.s >= 0);
    const count = readings.length + rack.length;
    return { id: w.bake.id, name: `${w.standing.intoOvenAt} ${count}`, count, input: w.input, readings, rack };
  }

  private heard(bakeId: string, told: Foretold, rack: number): void {
    this.forecasts.update((all) => new Map(all).set(bakeId, told));
    const f = told.forecast;
    const last = this.makings.standings().find((s) => s.id === bakeId)?.forecast;
    const { low: early, typical: likely, high: late } = f.minutes;
    const moved = !last || Math.max(Math.abs(last.likely - likely), Math.abs(last.early - early), Math.abs(last.late - late)) > MOVED_MIN; // prettier-ignore
    if ((f.used >= ENOUGH || rack > 0) && moved)
      void this.makings.add({ kind: 'forecast', bakeId, early, likely, late });
  }
}
