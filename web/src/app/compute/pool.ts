import { Injectable, type OnDestroy } from '@angular/core';
import { releaseProxy, wrap, type Remote } from 'comlink';
import { Observable } from 'rxjs';

export type Outcome<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly words: string };

/** What a worker can do by name; each takes plain values and gives one, at once or later. */
// oxlint-disable-next-line typescript/no-explicit-any -- the arguments are checked where a job is called
export type JobsOf<J> = { readonly [K in keyof J]: (...args: any[]) => unknown };

interface Hand {
  readonly worker: Worker;
  readonly jobs: Remote<Record<string, (...args: unknown[]) => unknown>>;
  busy: boolean;
  fail: ((words: string) => void) | null;
}

interface Task {
  readonly id: number;
  readonly channel: string;
  readonly run: (hand: Hand) => Promise<void>;
  readonly give: (o: Outcome<never>) => void;
  tries: number;
  cancelled: boolean;
}

const TIMEOUT_MS = 30_000;
/** Channels that begin so wait until nothing else does. */
export const LATER = 'later:';

/**
 * A pool of workers with typed jobs. On one channel the latest request wins: an older one that waits is dropped, one
 * that runs is not listened to any more. A worker that crashes is replaced and its job tried once more; a second crash
 * becomes a value to show. Unsubscribing cancels.
 */
@Injectable()
export abstract class Pool<J extends JobsOf<J>> implements OnDestroy {
  /** How many workers there are at most. */
  abstract readonly size: number;
  private readonly hands: Hand[] = [];
  private waiting: Task[] = [];
  private nextId = 1;
  private ended = false;
  private readonly latest = new Map<string, number>();
  /** Made a property so that a test can put a worker that crashes in its place. */
  abstract makeWorker: () => Worker;

  run<K extends keyof J & string>(
    channel: string,
    job: K,
    ...args: Parameters<J[K]>
  ): Observable<Outcome<Awaited<ReturnType<J[K]>>>> {
    return new Observable((subscriber) => {
      const id = this.nextId++;
      this.latest.set(channel, id);
      let running: Hand | null = null;
      const task: Task = {
        id,
        channel,
        tries: 0,
        cancelled: false,
        give: (o) => {
          if (task.cancelled || this.latest.get(channel) !== id) return subscriber.complete();
          subscriber.next(o);
          subscriber.complete();
        },
        run: async (hand) => {
          const call = hand.jobs[job] as unknown as (...a: Parameters<J[K]>) => Promise<Awaited<ReturnType<J[K]>>>;
          running = hand;
          const from = performance.now();
          const value = await call(...args);
          running = null;
          performance.measure(`orvin ${job}`, { start: from });
          task.give({ ok: true, value } as Outcome<never>);
        },
      };
      const overtaken = this.waiting.filter((t) => t.channel === channel);
      this.waiting = [...this.waiting.filter((t) => t.channel !== channel), task];
      // no longer the latest, so this only ends them
      for (const t of overtaken) t.give({ ok: false, words: 'overtaken' });
      this.pump();
      return () => {
        task.cancelled = true;
        if (running) this.stop(running.worker);
        this.waiting = this.waiting.filter((t) => t !== task);
      };
    });
  }

  /** Told when nobody waits any more for what a worker is doing; a pool whose jobs can be stopped does so. */
  protected stop(worker: Worker): void {
    void worker;
  }

  /** Has a worker stand ready, so that the first job need not wait for its script. */
  warm(): void {
    if (this.hands.length === 0 && !this.ended) this.hire();
  }

  /** Ends its workers, whatever they are doing; who waits for one is told nothing more. */
  ngOnDestroy(): void {
    this.ended = true;
    this.waiting = [];
    for (const hand of [...this.hands]) {
      this.dismiss(hand);
      hand.fail?.('ended');
    }
  }

  private pump(): void {
    while (this.waiting.length > 0 && !this.ended) {
      const hand = this.hands.find((h) => !h.busy) ?? (this.hands.length < this.size ? this.hire() : null);
      if (!hand) return;
      // what somebody looks at comes before what is worked out for later
      const at = Math.max(
        0,
        this.waiting.findIndex((t) => !t.channel.startsWith(LATER)),
      );
      const [task] = this.waiting.splice(at, 1);
      if (task) void this.work(hand, task);
    }
  }

  private hire(): Hand {
    const worker = this.makeWorker();
    const hand: Hand = {
      worker,
      jobs: wrap<Record<string, (...args: unknown[]) => unknown>>(worker),
      busy: false,
      fail: null,
    };
    // a worker that cannot start leaves its promises pending, so its error event has to be heard
    worker.addEventListener('error', (e) => {
      e.preventDefault();
      hand.fail?.('crashed');
    });
    worker.addEventListener('messageerror', () => hand.fail?.('garbled'));
    this.hands.push(hand);
    return hand;
  }

  private async work(hand: Hand, task: Task): Promise<void> {
    hand.busy = true;
    task.tries++;
    let timer: ReturnType<typeof setTimeout> | undefined;
    try {
      await Promise.race([
        task.run(hand),
        new Promise<never>((_, reject) => {
          hand.fail = reject;
          timer = setTimeout(() => reject('took too long'), TIMEOUT_MS);
        }),
      ]);
    } catch {
      if (this.ended) return;
      this.dismiss(hand);
      if (task.tries < 2 && !task.cancelled && this.latest.get(task.channel) === task.id) this.waiting.unshift(task);
      else task.give({ ok: false, words: 'The calculation failed twice. Change something to try again, or reload.' });
    } finally {
      clearTimeout(timer);
      hand.fail = null;
      hand.busy = false;
      this.pump();
    }
  }

  private dismiss(hand: Hand): void {
    const i = this.hands.indexOf(hand);
    if (i >= 0) this.hands.splice(i, 1);
    hand.jobs[releaseProxy]();
    hand.worker.terminate();
  }
}
