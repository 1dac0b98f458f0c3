import { Injectable } from '@angular/core';
import { releaseProxy, wrap, type Remote } from 'comlink';
import { Observable } from 'rxjs';
import type { JobName, Jobs } from './jobs';

export type Outcome<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly words: string };

interface Hand {
  readonly worker: Worker;
  readonly jobs: Remote<Jobs>;
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

/**
 * A pool of workers with typed jobs. On one channel the latest request wins: an older one that waits is dropped, one
 * that runs is not listened to any more. A worker that crashes is replaced and its job tried once more; a second crash
 * becomes a value to show. Unsubscribing cancels.
 */
@Injectable({ providedIn: 'root' })
export class Compute {
  private readonly size = Math.max(1, (navigator.hardwareConcurrency || 2) - 1);
  private readonly hands: Hand[] = [];
  private waiting: Task[] = [];
  private nextId = 1;
  private readonly latest = new Map<string, number>();
  /** Made a property so that a test can put a worker that crashes in its place. */
  makeWorker = (): Worker => new Worker(new URL('./compute.worker', import.meta.url), { type: 'module' });

  run<K extends JobName>(
    channel: string,
    job: K,
    ...args: Parameters<Jobs[K]>
  ): Observable<Outcome<ReturnType<Jobs[K]>>> {
    return new Observable((subscriber) => {
      const id = this.nextId++;
      this.latest.set(channel, id);
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
          const call = hand.jobs[job] as unknown as (...a: Parameters<Jobs[K]>) => Promise<ReturnType<Jobs[K]>>;
          const value = await call(...args);
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
        this.waiting = this.waiting.filter((t) => t !== task);
      };
    });
  }

  private pump(): void {
    while (this.waiting.length > 0) {
      const hand = this.hands.find((h) => !h.busy) ?? (this.hands.length < this.size ? this.hire() : null);
      if (!hand) return;
      const task = this.waiting.shift();
      if (task) void this.work(hand, task);
    }
  }

  private hire(): Hand {
    const worker = this.makeWorker();
    const hand: Hand = { worker, jobs: wrap<Jobs>(worker), busy: false, fail: null };
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
