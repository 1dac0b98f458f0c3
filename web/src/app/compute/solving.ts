import { Injectable } from '@angular/core';
import type { ComposeWishes, Conflict, Formula, Kitchen, PresetId, Proposal, Request } from '@orvin/core';
import { Subscription, defer, type Observable } from 'rxjs';
import { Pool, type Outcome } from './pool';
import type { SolveJobs } from './solve-jobs';

/** Rebalancing, substituting, adapting and composing, in one worker that keeps its solver. */
@Injectable({ providedIn: 'root' })
export class Solving extends Pool<SolveJobs> {
  readonly size = 1;
  private readonly wasm = new URL('wasm/highs.wasm', document.baseURI).href;
  makeWorker = (): Worker => new Worker(new URL('./solve.worker', import.meta.url), { type: 'module' });

  protected override stop(worker: Worker): void {
    worker.postMessage('stop');
  }

  private warming: Subscription | null = null;

  /** Loads the solver and tries it, once, so that the first wish does not wait for it. */
  override warm(): void {
    // should it fail, the first wish says so
    this.warming ??= super.run('warm', 'warm', this.wasm).subscribe();
  }

  /** A wish comes before any warming. */
  override run<K extends keyof SolveJobs & string>(
    channel: string,
    job: K,
    ...args: Parameters<SolveJobs[K]>
  ): Observable<Outcome<Awaited<ReturnType<SolveJobs[K]>>>> {
    return defer(() => {
      (this.warming ??= Subscription.EMPTY).unsubscribe();
      return super.run(channel, job, ...args);
    });
  }

  rebalance(formula: Formula, request: Request, kitchen: Kitchen): Observable<Outcome<Proposal[] | Conflict>> {
    return this.run('proposals', 'rebalance', this.wasm, formula, request, kitchen);
  }

  adapt(
    formula: Formula,
    preset: PresetId,
    kitchen: Kitchen,
    besides: Pick<Request, 'wishes' | 'locked'> = {},
  ): Observable<Outcome<Proposal[] | Conflict>> {
    return this.run('proposals', 'adapt', this.wasm, formula, preset, kitchen, besides);
  }

  substitute(
    formula: Formula,
    itemId: string,
    ingredient: string,
    kitchen: Kitchen,
    state?: 'frozen' | 'fresh',
    locked: readonly string[] = [],
  ): Observable<Outcome<Proposal>> {
    const options = { locked, ...(state && { state }) };
    return this.run(
      `swap:${itemId}:${ingredient}:${state ?? ''}`,
      'substitute',
      this.wasm,
      formula,
      itemId,
      ingredient,
      kitchen,
      options,
    );
  }

  compose(wishes: ComposeWishes, kitchen: Kitchen): Observable<Outcome<Proposal[] | Conflict>> {
    return this.run('compose', 'compose', this.wasm, wishes, kitchen);
  }
}
