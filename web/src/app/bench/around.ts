import { Injectable, inject, signal } from '@angular/core';
import { placeOnMap, type Formula } from '@orvin/core';
import { Desk } from '../desk/desk';
import { Store } from '../data/store';
import type { Neighbour } from './family-map';

/** Formulas beyond this many are not put on the map. */
const MOST = 60;

/** A formula or a version of one, to compare with. */
export interface Candidate {
  readonly id: string;
  readonly title: string;
  readonly version: boolean;
  readonly formula: Formula;
}

/** The kitchen's other formulas and this one's earlier versions, read once when a formula is taken in hand. */
@Injectable()
export class Around {
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  readonly candidates = signal<readonly Candidate[]>([]);
  readonly neighbours = signal<readonly Neighbour[]>([]);

  async look(id: string): Promise<void> {
    const [formulas, versions] = await Promise.all([
      this.store.database.working.orderBy('updatedAt').reverse().limit(MOST).toArray(),
      this.store.database.versions.where('formulaId').equals(id).sortBy('at'),
    ]);
    const list: Candidate[] = [
      ...versions.map((v) => ({
        id: v.id,
        title: `version ${v.n}, ${v.why}`,
        version: true,
        formula: v.formula,
      })),
      ...formulas
        .filter((f) => f.id !== id)
        .map((f) => ({ id: f.id, title: f.formula.title, version: false, formula: f.formula })),
    ];
    this.candidates.set(list);
    this.neighbours.set(
      list.map((c) => ({
        id: c.id,
        title: c.title,
        version: c.version,
        at: placeOnMap(c.formula, this.desk.kitchen()),
      })),
    );
  }
}
