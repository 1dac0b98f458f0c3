import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { differences, same } from '@orvin/core';
import { DateTime } from 'luxon';
import { switchMap } from 'rxjs';
import type { VersionRecord } from '../data/records';
import { kinds } from '../data/kinds';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import { Judgement } from '../desk/judgement';
import { treeOf } from './tree';

/** Height of a row of the drawing, px; each version takes so many as it needs. */
const LANE_PX = 22;

/** Every version of a formula and where it came from: what differs, why, what it is called; and the way back. */
@Component({
  selector: 'orvin-versions',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './versions.html',
  styleUrl: './versions.scss',
})
export class Versions {
  readonly id = input.required<string>();
  protected readonly desk = inject(Desk);
  private readonly judgement = inject(Judgement);
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly records = toSignal(toObservable(this.id).pipe(switchMap((id) => this.store.versionsOf$(id))), {
    initialValue: [] as readonly VersionRecord[],
  });
  protected readonly naming = signal<string | null>(null);

  protected readonly rows = computed(() => {
    const kitchen = this.desk.kitchen();
    const now = this.desk.formula();
    const twigs = treeOf(this.records());
    const byId = new Map(this.records().map((v) => [v.id, v]));
    const on = this.desk.plan().version ?? twigs[0]?.version.id;
    return twigs.map((t) => {
      const v = t.version;
      const parent = v.parent ? byId.get(v.parent) : undefined;
      const a = this.judgement.assess(v.formula, kitchen);
      const off = a.verdicts.filter((x) => x.severity !== 'note');
      return {
        ...t,
        name: v.name !== undefined && v.name !== '' ? v.name : `version ${v.n}`,
        n: v.n,
        when: DateTime.fromMillis(v.at, { zone: kitchen.locale.zone }).toFormat('d LLL, HH:mm'),
        standing: off[0] ? (off[0].short ?? off[0].words) : a.plausible ? 'in balance' : 'not judged yet',
        worst: off.some((x) => x.severity === 'faulty') ? 'faulty' : off.length > 0 ? 'unusual' : 'ok',
        from: parent ? `from ${parent.name || `version ${parent.n}`}` : '',
        changes: parent ? differences(parent.formula, v.formula, kitchen).map((d) => d.words) : [],
        here: v.id === on,
        same: now !== null && same(now, v.formula),
      };
    });
  });
  protected readonly lanes = computed(() => Math.max(1, ...this.rows().map((r) => r.lane + 1)));
  /** Whether the working copy has changes that no version has. */
  protected readonly unkept = computed(() => {
    const now = this.desk.formula();
    const on = this.rows().find((r) => r.here);
    return now && on && !on.same ? differences(on.version.formula, now, this.desk.kitchen()).map((d) => d.words) : [];
  });

  constructor() {
    effect(() => void this.desk.pickUp(this.id()));
  }

  /** Where a lane stands in the drawing, px from the left. */
  protected x(lane: number): number {
    return 12 + lane * LANE_PX;
  }
  protected width(): number {
    return 12 + this.lanes() * LANE_PX;
  }
  /** Lanes that pass a row: a child above and its parent below. */
  protected passing(row: number): readonly number[] {
    return this.rows()
      .map((r, i) => ({ r, i }))
      .filter(({ r, i }) => r.parentRow !== null && i < row && r.parentRow > row)
      .map(({ r }) => r.lane);
  }
  /** Whether the lane goes on upwards from this row: something newer was made from it. */
  protected children(row: number): readonly number[] {
    return this.rows()
      .filter((r) => r.parentRow === row)
      .map((r) => r.lane);
  }

  protected async goTo(r: { version: VersionRecord; name: string }): Promise<void> {
    await this.desk.goTo(r.version.id, `back to ${r.name}`);
    await this.router.navigate(['/bench', this.id()]);
  }

  protected async keepNow(): Promise<void> {
    const f = this.desk.formula();
    if (!f) return;
    const version = await this.store.freeze(f, 'kept as it stands', this.desk.plan().version);
    if (version !== null) void this.desk.change('keep a version', { plan: { ...this.desk.plan(), version } });
  }

  protected rename(v: VersionRecord, name: string, note: string): void {
    this.naming.set(null);
    const was = { name: v.name ?? '', note: v.note ?? '' };
    const is = { name: name.trim(), note: note.trim() };
    if (same(was, is)) return;
    void this.store.change(kinds.version, v.id, `name version ${v.n}`, was, is);
  }
}
