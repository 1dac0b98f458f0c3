import { Injectable, signal } from '@angular/core';
import type { Assessment, AssessOptions, Formula, Kitchen } from '@orvin/core';
import { assess } from '@orvin/core/first';

/** What a formula was assessed as, and under what. */
interface Judged {
  readonly kitchen: Kitchen;
  readonly locked: string;
  readonly ready: boolean;
  readonly assessment: Assessment;
}

/**
 * What formulas are judged with, fetched once the page has drawn: until it is there, assessments come without suspects
 * and spans, and what was computed from one through `assess` is computed again when it is.
 */
@Injectable({ providedIn: 'root' })
export class Judgement {
  private readonly made = signal(false);
  private fetching: Promise<void> | undefined;
  private readonly last = new WeakMap<Formula, Judged>();

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

  /** As it was assessed last, where nothing that counts has changed: what is tried and dropped again is known already. */
  assess(formula: Formula, kitchen: Kitchen, { locked = [] }: AssessOptions = {}): Assessment {
    const by = { kitchen, locked: locked.join('\n'), ready: this.ready() };
    const last = this.last.get(formula);
    if (last && last.kitchen === kitchen && last.locked === by.locked && last.ready === by.ready)
      return last.assessment;
    const assessment = assess(formula, kitchen, { locked });
    this.last.set(formula, { ...by, assessment });
    return assessment;
  }

  private async fetch(): Promise<void> {
    const { giveJudgement, judgementData, makingModel } = await import('@orvin/core/judgement');
    giveJudgement(judgementData);
    for (const _ of makingModel()) await new Promise((rest) => setTimeout(rest));
    this.made.set(true);
  }
}
