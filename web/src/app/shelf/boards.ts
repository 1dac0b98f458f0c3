import { Injectable, inject, signal, type Signal } from '@angular/core';
import { Router } from '@angular/router';
import type { Formula, Kitchen, TinFit } from '@orvin/core';
import { assess, defaultKitchen, fitTins, same } from '@orvin/core/first';
import type { WorkingRecord } from '../data/records';
import { Store } from '../data/store';
import { Judgement } from '../desk/judgement';

/** What a board says of its formula once it has been weighed up. */
export interface Weighed {
  readonly verdict: string;
  readonly severity: 'ok' | 'note' | 'unusual' | 'faulty';
  readonly fit: TinFit | null;
}
interface Kept {
  readonly revision: number;
  readonly kitchen: Kitchen;
  readonly weighed: Weighed;
}

/** How long weighing may take at a stretch, ms: the page stays free for a press between two. */
const STRETCH_MS = 12;
/** How long it rests while another view is on its way, ms. */
const AWAY_MS = 50;

/**
 * Weighs up the formulas on the shelf, a few at a time after the boards are drawn, and again only those that changed.
 */
@Injectable({ providedIn: 'root' })
export class Boards {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly judgement = inject(Judgement);
  private readonly kept = new Map<string, Kept>();
  private readonly shown = signal<ReadonlyMap<string, Weighed>>(new Map());
  readonly weighed: Signal<ReadonlyMap<string, Weighed>> = this.shown.asReadonly();
  private turn = 0;
  private kitchenOf = '';
  private kitchen: Kitchen = defaultKitchen;

  /** Weighs up these, in this order; what was asked for before is left where it is. */
  async weigh(records: readonly WorkingRecord[], kitchen: Kitchen): Promise<void> {
    const turn = ++this.turn;
    const name = this.store.name() ?? '';
    // another kitchen may have formulas of the same names
    if (name !== this.kitchenOf) this.kept.clear();
    this.kitchenOf = name;
    // told of again, it is another value of the same
    if (!same(kitchen, this.kitchen)) this.kitchen = kitchen;
    this.show(records);
    // what cannot be judged is said so; how it fills its tin needs no judgement
    await this.judgement.load().catch(() => undefined);
    if (turn !== this.turn) return;
    let until = 0;
    for (const w of records) {
      const known = this.kept.get(w.id);
      if (known?.revision === w.revision && known.kitchen === this.kitchen) continue;
      if (performance.now() > until) {
        if (until > 0) this.show(records);
        do await new Promise((rest) => setTimeout(rest, this.leaving() ? AWAY_MS : 0));
        while (turn === this.turn && this.leaving());
        if (turn !== this.turn) return;
        until = performance.now() + STRETCH_MS;
      }
      this.kept.set(w.id, { revision: w.revision, kitchen: this.kitchen, weighed: weighUp(w.formula, this.kitchen) });
    }
    this.show(records);
  }

  /** Nobody looks at the boards any more: what is not weighed up yet is left. */
  leave(): void {
    this.turn++;
  }

  /** A press has been made that leads elsewhere, and goes first. */
  private leaving(): boolean {
    return this.router.currentNavigation() !== null;
  }

  private show(records: readonly WorkingRecord[]): void {
    this.shown.set(new Map(records.flatMap((w) => {
      const k = this.kept.get(w.id);
      return k ? [[w.id, k.weighed] as const] : [];
    }))); // prettier-ignore
  }
}

function weighUp(f: Formula, kitchen: Kitchen): Weighed {
  const a = assess(f, kitchen);
  const worst = [...a.verdicts].sort((x, y) => rank(y.severity) - rank(x.severity))[0];
  const fine = !worst || worst.severity === 'note';
  return {
    verdict: !fine ? (worst.short ?? worst.words) : a.plausible ? 'in balance' : 'not judged yet',
    severity: !fine ? worst.severity : a.plausible ? 'ok' : 'note',
    fit: f.tins && f.tins.length > 0 ? (fitTins(f, f.tins, kitchen)[0] ?? null) : null,
  };
}
const rank = (s: string): number => ['note', 'unusual', 'faulty'].indexOf(s);
