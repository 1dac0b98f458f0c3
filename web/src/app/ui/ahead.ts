import { Injectable, inject } from '@angular/core';
import { ReplaySubject, type Observable } from 'rxjs';
import { Compute } from '../compute/compute';
import { formats } from '../data/formats';
import { Prime } from './prime';

const gathered = new ReplaySubject<void>(1);
/**
 * Emits once all that the views need has been fetched. Only then is the service worker asked for: while it takes every
 * file in, whatever a page wants of it has to wait, which at a first visit was seconds.
 */
export const allThere = (): Observable<void> => gathered;

/** From what is wanted next to what may be wanted later, and between one of those and another, ms. */
const SETTLE_MS = 6000;
const APART_MS = 400;
const rest = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/** Resolves when the page has nothing else to do; where browsers do not tell, after a while. */
const idle = (): Promise<void> =>
  new Promise((done) => {
    if ('requestIdleCallback' in window) requestIdleCallback(() => done(), { timeout: 4000 });
    else setTimeout(done, 300);
  });

/** Fetches what is likely to be wanted next, one thing after another, each in a moment in which nobody waits. */
@Injectable({ providedIn: 'root' })
export class Ahead {
  private readonly prime = inject(Prime);
  private readonly compute = inject(Compute);
  private begun = false;

  /** @param views loads each view, in the order in which they are likely to be wanted */
  async gather(views: readonly (() => unknown)[]): Promise<void> {
    if (this.begun) return;
    this.begun = true;
    const [bench, tins, ...others] = views;
    // the checks early: the first thing that is stored waits for them
    await this.fetched([bench, () => this.prime.load(), formats, tins, () => this.compute.warm()]);
    await rest(SETTLE_MS);
    await this.fetched(others, APART_MS);
    await idle();
    gathered.next();
  }

  private async fetched(things: readonly ((() => unknown) | undefined)[], apartMs = 0): Promise<void> {
    for (const thing of things) {
      if (apartMs > 0) await rest(apartMs);
      await idle();
      // one that cannot be had now is asked for again by whoever needs it
      await Promise.resolve(thing?.()).catch(() => undefined);
    }
  }
}
