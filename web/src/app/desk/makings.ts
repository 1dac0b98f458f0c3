import { Injectable, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  alarmsOf,
  doneTasks,
  fitTins,
  scale,
  standingOfBake,
  steps,
  type BakeRecord,
  type DayPlan,
  type Happening,
  type MadeBake,
  type Making,
  type Outcome,
  type Standing,
  type Step,
} from '@orvin/core';
import { Notices } from '../data/notices';
import { formats, Store } from '../data/store';
import { recordOf } from './bake-record';
import { Desk } from './desk';

type Without<T> = T extends unknown ? Omit<T, 'at'> : never;
/** A happening before it has its instant. */
export type Now = Without<Happening>;

/** Kinds of steps that are a moment in passing: they are done before the work they would fall into. */
const MOMENTS = new Set<Step['kind']>(['take out', 'oven on']);

/** What is being made at the counter: stored with each happening, followed from every tab, taken up again after a reload. */
@Injectable({ providedIn: 'root' })
export class Makings {
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  private readonly notices = inject(Notices);
  private readonly stored = toSignal(this.store.live((db) => db.meta.get('making')));
  /** What this tab knows before the database tells. */
  private readonly ahead = signal<Making | null | undefined>(undefined);

  /** True once the database has been asked. */
  readonly ready = signal(false);
  readonly making = computed<Making | null>(() => {
    const ahead = this.ahead();
    const stored = (this.stored()?.value ?? null) as Making | null;
    if (ahead === undefined || stored?.id !== ahead?.id) return ahead ?? stored;
    return ahead && stored && stored.happenings.length > ahead.happenings.length ? stored : ahead;
  });
  /** The steps of each bake, in the order of the day. */
  readonly lists = computed<ReadonlyMap<string, readonly Step[]>>(() => {
    const kitchen = this.desk.kitchen();
    return new Map(
      (this.making()?.bakes ?? []).map((b) => {
        const list = steps(b.formula, { fits: b.fits }, kitchen).map((s) => (s.kind === 'bake' && b.minutes ? { ...s, marks: b.marks, minutes: { low: b.minutes.early, typical: b.minutes.likely, high: b.minutes.late } } : s)); // prettier-ignore
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

  constructor() {
    void this.load();
  }

  private async load(): Promise<void> {
    const db = this.store.database;
    const kept = (await db.meta.get('making'))?.value ?? null;
    if (kept !== null) {
      const { checkMaking } = await formats();
      const checked = checkMaking(kept);
      if (!checked.ok) {
        await db.meta.put({ key: 'making:unread', value: kept, revision: 1 });
        await db.meta.put({ key: 'making', value: null, revision: 1 });
        this.notices.problem(
          'What was in hand at the counter cannot be read.',
          'It is kept aside; begin again from the step you are at.',
        );
      } else if (this.ahead() === undefined) this.ahead.set(checked.value);
    }
    this.ready.set(true);
  }

  /** Begins to make some bakes, in the order that the day's plan has their steps. */
  async begin(bakes: readonly MadeBake[], plan: DayPlan | null): Promise<void> {
    const kitchen = this.desk.kitchen();
    const ordered = bakes.map((b): MadeBake => ({
      ...b,
      order: orderOf(steps(b.formula, { fits: b.fits }, kitchen), b.id, plan),
    }));
    await this.write(() => ({ id: crypto.randomUUID(), beganAt: Date.now(), bakes: ordered, happenings: [] }));
  }

  /** Takes down that something happened, now unless another instant is said. */
  async add(what: Now, at = Date.now()): Promise<void> {
    await this.write((m) => (m ? { ...m, happenings: [...m.happenings, { ...what, at } as Happening] } : m));
  }

  /** Puts a bake into the log, with all that was observed, and takes it off the counter. */
  async judge(bakeId: string, outcome: Outcome, notes: string): Promise<BakeRecord | null> {
    const m = this.making();
    const b = m?.bakes.find((x) => x.id === bakeId);
    const s = this.standings().find((x) => x.id === bakeId);
    const fit = b?.fits[0];
    if (!m || !b || !fit || !s || s.intoOvenAt === null || s.outAt === null) return null;
    const versionId = await this.store.freeze(b.formula, 'baked');
    const filled = [...(this.lists().get(bakeId) ?? [])].filter((x) => x.kind === 'mix').at(-1);
    const mixedAt = filled ? s.done.get(filled.id) : undefined;
    const record = recordOf(b.formula, fit, this.desk.kitchen(), {
      ovenId: b.ovenId,
      predicted: b.minutes && {
        early: Math.round(b.minutes.early),
        likely: Math.round(b.minutes.likely),
        late: Math.round(b.minutes.late),
      },
      versionId,
      minutes: Math.round((s.outAt - s.intoOvenAt) / 6000) / 10,
      at: s.outAt,
      outcome,
      notes,
    });
    const observed: NonNullable<BakeRecord['observed']> = {
      beganAt: m.beganAt,
      intoOvenAt: s.intoOvenAt,
      weighed: [...s.weighed].map(([itemId, grams]) => ({ itemId, grams })),
      added: s.felt.map((f) => f.words),
      skipped: [...s.skipped],
      ovenReadings: s.ovenReadings.map((r) => ({
        min: Math.round((r.at - (s.intoOvenAt ?? r.at)) / 60_000),
        ovenC: r.ovenC,
      })),
      ...(mixedAt !== undefined && { stoodMin: Math.max(0, Math.round((s.intoOvenAt - mixedAt) / 60_000)) }),
    };
    if (!(await this.store.logBake({ ...record, observed }))) return null;
    await this.putDown(bakeId);
    return record;
  }

  /** Everything of a bake grows by a factor: too much was poured, and the rest follows. What was weighed stays. */
  async scale(bakeId: string, factor: number): Promise<void> {
    const kitchen = this.desk.kitchen();
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
            happenings: [...m.happenings, { kind: 'scaled', bakeId, factor, at: Date.now() }],
          }
        : m,
    );
  }

  /** Takes a bake off the counter; the making ends with its last one. */
  async putDown(bakeId: string): Promise<void> {
    await this.write((m) => {
      const bakes = m?.bakes.filter((b) => b.id !== bakeId) ?? [];
      return m && bakes.length > 0 ? { ...m, bakes } : null;
    });
  }

  /** Changes the stored making by what is stored, in one transaction, so that two tabs do not undo one another. */
  private async write(change: (m: Making | null) => Making | null): Promise<void> {
    this.ahead.set(change(this.making()));
    const db = this.store.database;
    await db.transaction('rw', db.meta, async () => {
      const now = await db.meta.get('making');
      const next = change((now?.value ?? null) as Making | null);
      this.ahead.set(next);
      await db.meta.put({ key: 'making', value: next, revision: (now?.revision ?? 0) + 1 });
    });
  }
}

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
  const early = list.filter((s) => MOMENTS.has(s.kind) || s.kind === 'tins' || s.kind === 'weigh');
  const sorted = [...early].sort((a, b) => (timeOf(kindOf(a)) ?? 0) - (timeOf(kindOf(b)) ?? 0));
  // what the plan has later than the mixing, an oven or a tin, still comes before it at the counter
  return [...sorted, ...list.filter((s) => !early.includes(s))].map((s) => s.id);
}
