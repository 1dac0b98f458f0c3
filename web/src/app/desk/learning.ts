import { Injectable, computed, inject, untracked } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import {
  reckonKey,
  same,
  teaches,
  type BakeRecord,
  type Kitchen,
  type Learned,
  type Lesson,
  type Reckoned,
} from '@orvin/core';
import {
  ReplaySubject,
  catchError,
  concatMap,
  distinctUntilChanged,
  filter,
  from,
  map,
  merge,
  of,
  scan,
  share,
  switchMap,
  take,
  takeUntil,
  tap,
  timer,
  toArray,
  type Observable,
} from 'rxjs';
import { Compute } from '../compute/compute';
import { kinds } from '../data/kinds';
import { Store } from '../data/store';
import { Desk } from './desk';

interface Request {
  readonly db: string;
  readonly bakes: readonly BakeRecord[];
  readonly kitchen: Kitchen;
}

interface Made {
  readonly db: string;
  readonly lesson: Lesson | null;
}

/** How long predictions wait for a log that was never reckoned, ms; then the kitchen as declared must do for a while. */
const PATIENCE = 15_000;
/** What was learned last holds; whether that is still what the log says is looked into when nobody waits, ms. */
const NO_HURRY = 5000;
/** Several changes in a row are learned from once, ms. */
const TOGETHER = 30;
/** Bakes that are reckoned in one go, 10 to 60 ms each: what somebody waits for must not wait for them. */
const AT_ONCE = 3;

/**
 * What the log has taught, worked out anew in a worker after every change of the log or the kit. Every view predicts
 * with `kitchen`: the kitchen as declared, with what was learned of it.
 */
@Injectable({ providedIn: 'root' })
export class Learning {
  private readonly store = inject(Store);
  private readonly compute = inject(Compute);
  private readonly desk = inject(Desk);
  readonly bakes = toSignal(this.store.bakes$);
  /** The kitchen as declared; nothing is reckoned for one that is not known yet. */
  private readonly known = toSignal(this.store.kitchen$);

  private readonly request = computed<Request | null>(
    () => {
      const bakes = this.bakes();
      const db = this.store.name();
      const kitchen = this.known();
      // what was kept says whether there is any hurry
      return bakes === undefined || db === null || kitchen === undefined || this.kept()?.db !== db
        ? null
        : { db, bakes: bakes.filter(teaches).map(short), kitchen };
    },
    { equal: same },
  );
  private readonly kept = toSignal(
    this.store.record$(kinds.learned, 'learned').pipe(map(({ db, value }) => ({ db, kept: value }))),
  );
  private readonly made = toSignal(
    toObservable(this.request).pipe(
      filter((r) => r !== null),
      distinctUntilChanged(),
      switchMap((r, n) => {
        const soon = n > 0 || untracked(() => this.kept()?.kept ?? null) === null;
        const work = merge(timer(soon ? TOGETHER : NO_HURRY), this.wanted).pipe(
          take(1),
          switchMap(() => this.lessonOf(r)),
          map((lesson): Made => ({ db: r.db, lesson })),
          share(),
        );
        const late = timer(PATIENCE).pipe(map((): Made => ({ db: r.db, lesson: null })));
        return merge(work, late.pipe(takeUntil(work)));
      }),
      // what was learned before holds until there is something newer
      scan((was, now) => (now.lesson === null && was.db === now.db ? was : now)),
      tap(({ db, lesson }) => {
        if (lesson) void this.keep(db, lesson.learned);
      }),
    ),
  );

  /** Emits when somebody looks at what was learned. */
  private readonly wanted = new ReplaySubject<void>(1);
  /** Somebody looks at what was learned: it is worked out now, if it has not been. */
  hurry(): void {
    this.wanted.next();
  }

  /** What was learned, with what is doubted and how well it foretells; null until it is worked out. */
  readonly lesson = computed(() => {
    const m = this.made();
    return m && m.db === this.store.name() ? m.lesson : null;
  });
  /** The kitchen with what was learned of it, as declared where that takes long or fails; null while it is waited for. */
  readonly kitchen = computed<Kitchen | null>(
    () => {
      const lesson = this.lesson();
      const kept = this.kept();
      const learned = lesson?.learned ?? (kept && kept.db === this.store.name() ? kept.kept?.learned : undefined);
      const waits = this.made()?.db !== this.store.name() && (this.bakes()?.some(teaches) ?? true);
      if (!learned && waits) return null;
      return { ...this.desk.kitchen(), ...(learned && { learned }) };
    },
    { equal: same },
  );

  private lessonOf(r: Request): Observable<Lesson | null> {
    return from(this.reckoned(r)).pipe(
      switchMap((all) => all),
      switchMap((facts) => this.compute.run('later:learn', 'learn', r.bakes, facts, r.kitchen)),
      map((o) => (o.ok ? o.value : null)),
      catchError(() => of(null)),
    );
  }

  /** What the model says of each bake: as it was kept, and worked out where it is not. */
  private async reckoned(r: Request): Promise<Observable<Record<string, Reckoned | null>>> {
    const keys = r.bakes.map((b) => reckonKey(b, r.kitchen));
    const table = this.store.database.reckoned;
    const unique = [...new Set(keys)];
    const had = new Map((await table.bulkGet(unique)).flatMap((x) => (x ? [[x.key, x.value] as const] : [])));
    const missing = unique.filter((k) => !had.has(k));
    const parts = Array.from({ length: Math.ceil(missing.length / AT_ONCE) }, (_, i) => missing.slice(i * AT_ONCE, (i + 1) * AT_ONCE)); // prettier-ignore
    return from(parts).pipe(
      concatMap((part) =>
        this.compute
          .run(
            'later:reckon',
            'reckon',
            part.map((k) => r.bakes[keys.indexOf(k)] as BakeRecord),
            r.kitchen,
          )
          .pipe(
            tap((o) => {
              if (!o.ok) return;
              part.forEach((key, i) => had.set(key, o.value[i] ?? null));
              void table.bulkPut(part.map((key, i) => ({ key, value: o.value[i] ?? null }))).catch(() => undefined);
            }),
          ),
      ),
      toArray(),
      map(() => Object.fromEntries(r.bakes.map((b, i) => [b.id, had.get(keys[i] as string) ?? null]))),
    );
  }

  private async keep(db: string, learned: Learned): Promise<void> {
    if (this.store.name() !== db) return;
    if (!same(this.kept()?.kept?.learned, learned)) await this.store.put(kinds.learned, 'learned', { learned });
  }
}

/** A bake without what teaches nothing: photos, notes, and all but the last of a probe's readings. */
function short(b: BakeRecord): BakeRecord {
  const { photos: _photos, trial: _trial, experiment: _experiment, ...rest } = b;
  const probe = b.observed?.probe;
  return {
    ...rest,
    notes: '',
    ...(b.observed && {
      observed: { ...b.observed, weighed: [], added: [], ...(probe && { probe: probe.slice(-1) }) },
    }),
  };
}
