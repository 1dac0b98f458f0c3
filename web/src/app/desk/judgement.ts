import { Injectable, signal } from '@angular/core';
import type { Assessment, AssessOptions, Formula, Kitchen } from '@orvin/core';
import { assess } from '@orvin/core/first';

/**
 * What formulas are judged with, fetched once the page has drawn: until it is there, assessments come without suspects
 * and spans, and what was computed from one through `assess` is computed again when it is.
 */
@Injectable({ providedIn: 'root' })
export class Judgement {
  private readonly made = signal(false);
  private fetching: Promise<void> | undefined;

  /** Resolves when formulas can be judged; made ready a few milliseconds at a time. */
  load(): Promise<void> {
    return (this.fetching ??= this.fetch().catch((e: unknown) => {
      this.fetching = undefined;
      throw e;
    }));
  }

  /** Whether formulas can be judged yet; asks for it. */
  ready(): boolean {
    void this.load().catch(() => undefined);
    return this.made();
  }

  assess(formula: Formula, kitchen: Kitchen, options?: AssessOptions): Assessment {
    this.ready();
    return assess(formula, kitchen, options);
  }

  private async fetch(): Promise<void> {
    const { giveJudgement, judgementData, makingModel } = await import('@orvin/core/judgement');
    giveJudgement(judgementData);
    for (const _ of makingModel()) await new Promise((rest) => setTimeout(rest));
    this.made.set(true);
  }
}
