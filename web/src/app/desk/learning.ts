import { Injectable, computed, inject, untracked } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { same, teaches, type Kitchen, type Learned, type Lesson } from '@orvin/core';
import {
  EMPTY,
  ReplaySubject,
  catchError,
  distinctUntilChanged,
  expand,
  filter,
  last,
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
  type Observable,
} from 'rxjs';
import { Compute } from '../compute/compute';
import { headsOf } from '../data/bake-list';
import { kinds } from '../data/kinds';
import { Store } from '../data/store';
import { Desk } from './desk';

interface Request {
  readonly db: string;
  /** Which bakes the log has, in which revision. */
  readonly heads: string;
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

  /** The log on the disk, by name of its database: what a worker will read. */
  private readonly heads = toSignal(
    this.store.live(async (db) => ({ db: db.name, heads: JSON.stringify(await headsOf(db)) })),
  );

  private readonly request = computed<Request | null>(
    () => {
      const log = this.heads();
      const db = this.store.name();
      const kitchen = this.known();
      // what was kept says whether there is any hurry
      return log?.db !== db || db === null || kitchen === undefined || this.kept()?.db !== db
        ? null
        : { ...log, db, kitchen };
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

  /** A worker reads the log itself; a log that was never reckoned is worked through in several goes. */
  private lessonOf(r: Request): Observable<Lesson | null> {
    const next = () => this.compute.run('later:learn', 'lesson', r.db, r.kitchen);
    return next().pipe(
      expand((o) => (o.ok && o.value.left > 0 ? next() : EMPTY)),
      last(null, null),
      map((o) => (o?.ok ? o.value.lesson : null)),
      catchError(() => of(null)),
    );
  }

  private async keep(db: string, learned: Learned): Promise<void> {
    if (this.store.name() !== db) return;
    if (!same(this.kept()?.kept?.learned, learned)) await this.store.put(kinds.learned, 'learned', { learned });
  }
}
