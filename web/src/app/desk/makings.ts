import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import {
  alarmsOf,
  asFrozen,
  counting,
  doneTasks,
  fitTins,
  heldEven,
  nextFirst,
  scale,
  standingOfBake,
  steps,
  takesBack,
  timeOf,
  type BakeRecord,
  type CounterPlan,
  type DayPlan,
  type Happening,
  type Kitchen,
  type MadeBake,
  type Making,
  type Outcome,
  type Standing,
  type Step,
} from '@orvin/core';
import { formats } from '../data/formats';
import { kinds } from '../data/kinds';
import { LiveDocument } from '../data/live-document';
import { Notices } from '../data/notices';
import { asLogged, Store } from '../data/store';
import type { Writing } from '../data/writing';
import { recordOf } from './bake-record';
import { Desk } from './desk';
import { WallClock } from './wall-clock';
import { newId } from '../data/ids';

type Without<T> = T extends unknown ? Omit<T, 'at'> : never;
/** A happening before it has its instant. */
export type Now = Without<Happening>;

const HAND = 'what was in hand at the counter';
/** Kinds of steps that are a moment in passing: they are done before the work they would fall into. */
const MOMENTS = new Set<Step['kind']>(['take out', 'oven on']);

/** What is being made at the counter: stored with each happening, followed from every tab, taken up again after a reload. */
@Injectable({ providedIn: 'root' })
export class Makings {
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  private readonly notices = inject(Notices);
  private readonly wall = inject(WallClock);
  private readonly doc = new LiveDocument(this.store, kinds.making);
  /** The kitchen whose making has been read and checked. */
  private readonly checked = signal<string | null>(null);

  /** True once the database has been asked. */
  readonly ready = computed(() => this.doc.ready() && this.checked() === this.store.name());
  readonly making = computed<Making | null>(() => (this.ready() ? this.doc.value() : null));
  /** The steps of each bake, in the order of the day. */
  readonly lists = computed<ReadonlyMap<string, readonly Step[]>>(() => {
    const kitchen = this.desk.kitchen();
    return new Map(
      (this.making()?.bakes ?? []).map((b) => {
        const list = steps(b.formula, planFor(b, kitchen), kitchen);
        const at = new Map((b.order ?? []).map((id, i) => [id, i]));
        return [b.id, [...list].sort((x, y) => (at.get(x.id) ?? 1e3) - (at.get(y.id) ?? 1e3))];
      }),
    );
  });
  readonly standings = computed<readonly Standing[]>(() => {
    const m = this.making();
    return (m?.bakes ?? []).map((b) => standingOfBake(b, this.lists().get(b.id) ?? [], m?.happenings ?? []));
  });
  readonly alarms = computed(() => {
    const m = this.making();
    return m ? alarmsOf(m, this.lists()) : [];
  });
  readonly done = computed<Readonly<Record<string, number>>>(() => {
    const m = this.making();
    return m ? doneTasks(m, this.lists()) : {};
  });

  /** What the clock of what is in hand shows, ms: the real time, unless it runs faster for trying out. */
  now(): number {
    const back = this.wall.setBack();
    const making = this.making();
    if (back > 0 && making) this.goOnEvenly(making, back);
    return timeOf(this.making(), this.wall.now());
  }

  /** The device's clock was set back: what is being made goes on by its own, in every tab and after a reload. */
  private goOnEvenly(making: Making, back: number): void {
    const real = this.wall.now();
    const at = timeOf(making, real + back);
    void this.write((m) => m && heldEven(m, real, at));
    this.notices.say('The clock of this device was set back; the timers go on as they were.', undefined, 'clock');
  }

  /** Lets the clock of what is in hand run so many times as fast from now on. */
  async pace(pace: number): Promise<void> {
    const real = this.wall.now();
    await this.write((m) => m && { ...m, clock: { realAt: real, at: timeOf(m, real), pace } });
  }

  constructor() {
    effect(() => {
      const db = this.store.name();
      if (db !== null && this.doc.ready() && untracked(this.checked) !== db)
        void this.check(db, untracked(this.doc.value));
    });
  }

  /** What a kitchen had in hand is looked through once; what cannot be read is kept in the bin. */
  private async check(db: string, value: Making | null): Promise<void> {
    if (value !== null) {
      const { checkMaking } = await formats();
      if (!checkMaking(value).ok && this.store.name() === db) {
        await this.store.write('what was in hand', (w) =>
          w.aside(kinds.making, 'making', HAND, 'it could not be read'),
        );
        this.notices.problem(
          'What was in hand at the counter cannot be read.',
          'It is kept in the bin (Larder, Your data); begin again from the step you are at.',
        );
      }
    }
    this.checked.set(db);
  }

  /** Begins to make some bakes, in the order that the day's plan has their steps. */
  async begin(bakes: readonly MadeBake[], plan: DayPlan | null): Promise<void> {
    const kitchen = this.desk.kitchen();
    const ordered = bakes.map((b): MadeBake => ({
      ...b,
      order: orderOf(steps(b.formula, planFor(b, kitchen), kitchen), b.id, plan),
    }));
    const making: Making = { id: newId(), beganAt: Date.now(), bakes: ordered, happenings: [] };
    await this.write(() => making);
  }

  /** Takes down that something happened, now unless another instant is said. */
  async add(what: Now, at = this.now()): Promise<void> {
    await this.write((m) => m && { ...m, happenings: [...m.happenings, { ...what, at } as Happening] });
  }

  /** Puts a bake into the log, with all that was observed, and takes it off the counter. */
  async judge(bakeId: string, outcome: Outcome, notes: string): Promise<BakeRecord | null> {
    const m = this.making();
    const b = m?.bakes.find((x) => x.id === bakeId);
    const s = this.standings().find((x) => x.id === bakeId);
    const fit = b?.fits[0];
    if (!m || !b || !fit || !s || s.intoOvenAt === null || s.outAt === null) return null;
    const filled = [...(this.lists().get(bakeId) ?? [])].filter((x) => x.kind === 'mix').at(-1);
    const mixedAt = filled ? s.done.get(filled.id) : undefined;
    const kitchen = this.desk.kitchen();
    const baked = b.from ? (asFrozen(b.formula, kitchen) ?? b.formula) : b.formula;
    const record = recordOf(baked, fit, kitchen, {
      ...(b.from && { fromFreezer: true }),
      ovenId: b.ovenId,
      predicted: b.minutes && {
        early: Math.round(b.minutes.early),
        likely: Math.round(b.minutes.likely),
        late: Math.round(b.minutes.late),
      },
      versionId: null,
      minutes: Math.round((s.outAt - s.intoOvenAt) / 6000) / 10,
      // a clock that ran ahead says nothing of when it was
      at: Math.min(s.outAt, Date.now()),
      outcome,
      notes,
    });
    const simulated = [...s.simulated, ...(m.clock && !m.clock.even ? (['clock'] as const) : [])];
    const observed: NonNullable<BakeRecord['observed']> = {
      beganAt: m.beganAt,
      intoOvenAt: s.intoOvenAt,
      // only what a scale said; a tap says no more than "it is in"
      weighed: [...s.weighed].flatMap(([itemId, grams]) => (s.read.has(itemId) ? [{ itemId, grams }] : [])),
      added: s.felt.map((f) => f.words),
      skipped: [...s.skipped],
      ovenReadings: s.ovenReadings.map((r) => ({
        min: Math.round((r.at - (s.intoOvenAt ?? r.at)) / 60_000),
        ovenC: r.ovenC,
      })),
      ...(s.probe.length > 0 && { probe: s.probe.map((r) => ({ min: Math.round((r.at - (s.intoOvenAt ?? r.at)) / 6000) / 10, c: r.c })) }), // prettier-ignore
      ...(s.filled.size > 0 && { filled: [...s.filled.values()].flat() }),
      ...(simulated.length > 0 && { simulated }),
      ...(mixedAt !== undefined && { stoodMin: Math.max(0, Math.round((s.intoOvenAt - mixedAt) / 60_000)) }),
    };
    // what a diagnosis advised for this bake has been tried with it
    const { trial, rack } = (await this.store.read(kinds.formula, b.formula.id)).value?.plan ?? {};
    const bake: BakeRecord = { ...record, observed, ...(trial && { trial }), ...(rack && { rack }) };
    // off the counter and into the log at once, or neither
    const along = async (w: Writing, _now: Making | null, next: Making | null): Promise<Making | null> => {
      const logged = await asLogged(w, bake, b.formula);
      await w.change(kinds.bake, bake.id, `log ${bake.title}`, () => logged);
      return next;
    };
    return (await this.doc.change(`log ${bake.title}`, without(bakeId), along)) ? bake : null;
  }

  /** Everything of a bake grows by a factor: too much was poured, and the rest follows. What was weighed stays. */
  async scale(bakeId: string, factor: number, what: Now = { kind: 'scaled', bakeId, factor }): Promise<void> {
    const kitchen = this.desk.kitchen();
    const real = Date.now();
    await this.write((m) =>
      m
        ? {
            ...m,
            bakes: m.bakes.map((b) => {
              if (b.id !== bakeId) return b;
              // weighed eggs: what is in the bowl decides, not whole ones
              const { formula } = scale(b.formula, { by: 'factor', factor }, { ...kitchen, schools: { ...kitchen.schools, eggs: 'weighed' } }); // prettier-ignore
              return { ...b, formula, fits: formula.tins ? fitTins(formula, formula.tins, kitchen) : [] };
            }),
            happenings: [...m.happenings, { ...what, at: timeOf(m, real) } as Happening],
          }
        : m,
    );
  }

  /** Puts the next step of a bake before the one that is to be done now; pressed again, it is as it was. */
  async nextFirst(bakeId: string): Promise<void> {
    const standing = this.standings().find((s) => s.id === bakeId);
    const order = standing && nextFirst(this.lists().get(bakeId) ?? [], standing);
    if (order) await this.write((m) => (m ? { ...m, bakes: m.bakes.map((b) => (b.id === bakeId ? { ...b, order } : b)) } : m)); // prettier-ignore
  }

  /** Takes a bake off the counter; the making ends with its last one. What was on it can be gone on with. */
  async putDown(bakeId: string): Promise<void> {
    const was = this.making();
    const title = was?.bakes.find((b) => b.id === bakeId)?.formula.title ?? '';
    const done = await this.doc.change('off the counter', without(bakeId), async (w, now, next) => {
      if (now && !next) await w.aside(kinds.making, 'making', HAND, title);
      return next;
    });
    if (done && was) this.notices.say(`${title} is off the counter; nothing of it went into the log.`, { label: 'go on with it', run: () => void this.goOn(was, bakeId) }); // prettier-ignore
  }

  /** Puts a bake back on the counter as it stood, beside whatever has been begun since. */
  private async goOn(was: Making, bakeId: string): Promise<void> {
    const bake = was.bakes.find((b) => b.id === bakeId);
    if (!bake) return;
    await this.write((m) => {
      if (m === null) return { ...was, bakes: [bake] };
      if (m.bakes.some((b) => b.id === bakeId)) return m;
      const own = was.happenings.filter((h) => isOf(h, bakeId));
      return { ...m, bakes: [...m.bakes, bake], happenings: [...m.happenings, ...own].sort((a, b) => a.at - b.at) };
    });
  }

  /** Begins a bake anew, from its first step; what had been done of it can be had back. */
  async restart(bakeId: string): Promise<void> {
    const was = this.making();
    const bake = was?.bakes.find((b) => b.id === bakeId);
    if (!was || !bake) return;
    const done = await this.write((m) => m && { ...m, happenings: m.happenings.filter((h) => !isOf(h, bakeId)) });
    if (done)
      this.notices.say(`${bake.formula.title} begins anew, from its first step.`, {
        label: 'go on where it was',
        run: () => void this.write((m) => m && { ...m, bakes: m.bakes.map((b) => (b.id === bakeId ? bake : b)), happenings: [...m.happenings.filter((h) => !isOf(h, bakeId)), ...was.happenings.filter((h) => isOf(h, bakeId))].sort((a, b) => a.at - b.at) }), // prettier-ignore
      });
  }

  /** Takes back the last step or weighing, or a scaling; the bake it was of. */
  async back(): Promise<string | null> {
    const last = counting(this.making()?.happenings ?? []).findLast(takesBack);
    if (!last || !('bakeId' in last)) return null;
    if (last.kind === 'scaled') await this.scale(last.bakeId, 1 / last.factor, { kind: 'back' });
    else await this.add({ kind: 'back' });
    return last.bakeId;
  }

  private write(change: (m: Making | null) => Making | null): Promise<boolean> {
    return this.doc.change('what was done at the counter', change);
  }
}

/** Whether something happened to that bake, or to an alarm of it. */
const isOf = (h: Happening, bakeId: string): boolean =>
  'bakeId' in h ? h.bakeId === bakeId : 'alarmId' in h && h.alarmId.startsWith(`${bakeId}:`);

/** A making less one of its bakes; nothing once that was its last. */
const without =
  (bakeId: string) =>
  (m: Making | null): Making | null => {
    const bakes = m?.bakes.filter((b) => b.id !== bakeId) ?? [];
    return m && bakes.length > 0 ? { ...m, bakes } : null;
  };

/** What is known of a bake that was begun, as its steps want it. */
const planFor = (b: MadeBake, kitchen: Kitchen): CounterPlan => {
  const oven = kitchen.ovens.find((o) => o.id === b.ovenId);
  return { fits: b.fits, marks: b.marks, minutes: b.minutes, ...(b.from && { from: b.from }), ...(oven && { oven }) };
};

/** Ids of a bake's steps by the times of the plan; moments come before the work they would fall into. */
function orderOf(list: readonly Step[], bakeId: string, plan: DayPlan | null): string[] {
  const work = (plan?.tasks ?? []).filter((t) => t.hands);
  const timeOf = (kind: string): number | undefined => {
    const t = plan?.tasks.find((x) => x.id === `${bakeId}:${kind}`);
    if (!t) return undefined;
    const during = work.find((w) => w.startsAt < t.startsAt && w.startsAt + w.minutes * 60_000 > t.startsAt);
    return during ? during.startsAt - 1 : t.startsAt;
  };
  const kindOf = (s: Step): string =>
    ({ 'take out:butter': 'butter out', 'take out:eggs': 'eggs out', 'take out:cold': 'freeze' })[s.id] ?? s.kind;
  const isEarly = (s: Step): boolean => MOMENTS.has(s.kind) || s.kind === 'tins' || s.kind === 'weigh';
  // what gets things ready stands together: before all, or after a night's wait; within, the plan says what comes first.
  // what the plan has later than the mixing, an oven or a tin, still comes before it at the counter
  const out: Step[] = [];
  let ready: Step[] = [];
  const close = (): void => {
    out.push(...ready.sort((x, y) => (timeOf(kindOf(x)) ?? 0) - (timeOf(kindOf(y)) ?? 0)));
    ready = [];
  };
  for (const s of list) {
    if (isEarly(s)) ready.push(s);
    else {
      close();
      out.push(s);
    }
  }
  close();
  return out.map((s) => s.id);
}
