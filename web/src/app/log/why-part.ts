import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import { symptomName, type BakeRecord, type Diagnosis, type LikelyCause, type SymptomId } from '@orvin/core';
import { distinctUntilChanged, from, map, of, switchMap } from 'rxjs';
import { Compute } from '../compute/compute';
import { Notices } from '../data/notices';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import { Learning } from '../desk/learning';

/** What an outcome in one word says besides the symptoms that were pressed. */
const says: Partial<Record<BakeRecord['outcome'], SymptomId>> = { sunk: 'sunk', dense: 'flat', dry: 'dry' };

/** What tells that the middle may be raw. */
const RAW: readonly SymptomId[] = ['gummy', 'wet streak', 'dark outside, raw inside', 'sunk'];

/** Why it came out so: causes by how likely they are, the evidence, what would tell them apart, and the next try. */
@Component({
  selector: 'orvin-why-bake',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './why-part.html',
  styleUrl: './why-part.scss',
})
export class WhyPart {
  readonly bake = input.required<BakeRecord>();
  private readonly store = inject(Store);
  private readonly compute = inject(Compute);
  private readonly learning = inject(Learning);
  private readonly desk = inject(Desk);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  protected readonly open = signal<string | null>(null);
  protected readonly name = symptomName;

  protected readonly seen = computed<readonly SymptomId[]>(() => {
    const b = this.bake();
    const said = says[b.outcome];
    return [...new Set([...(b.result?.symptoms ?? []), ...(said ? [said] : [])])];
  });
  /** Something of it may not be baked through. */
  protected readonly raw = computed(() => this.bake().outcome === 'under' || RAW.some((s) => this.seen().includes(s)));
  private readonly request = computed(() => {
    const kitchen = this.learning.kitchen();
    return kitchen ? { bake: this.bake(), seen: this.seen(), kitchen, all: this.learning.bakes() ?? [] } : null;
  });
  protected readonly diagnosis = toSignal(
    toObservable(this.request).pipe(
      distinctUntilChanged(),
      switchMap((r) => {
        if (!r) return of(null);
        return from(this.store.formulaOf(r.bake)).pipe(
          switchMap((formula) => {
            if (!formula) return of(null);
            // of other bakes only what speaks of this one: the same formula, the same oven
            const history = r.all.filter((b) => b.formulaId === r.bake.formulaId || (b.ovenId === r.bake.ovenId && (b.result?.symptoms ?? []).length > 0)).slice(0, 200); // prettier-ignore
            return this.compute.run('diagnose', 'diagnose', { formula, bake: r.bake, history }, r.seen, r.kitchen);
          }),
          map((o) => (o?.ok ? o.value : null)),
        );
      }),
    ),
    { initialValue: null as Diagnosis | null },
  );

  protected pct(x: number): string {
    return x < 0.015 ? 'under 2 %' : x > 0.95 ? 'over 95 %' : `${Math.round(100 * x)} %`;
  }
  protected toggle(id: string): void {
    this.open.update((o) => (o === id ? null : id));
  }
  protected shown(c: LikelyCause, first: boolean): boolean {
    return this.open() === null ? first : this.open() === c.id;
  }
  /** How strongly it speaks, as one to three signs. */
  protected signs(e: { readonly for: boolean; readonly factor: number }): string {
    return (e.for ? '+' : '−').repeat(e.factor < 1.8 ? 1 : e.factor < 6 ? 2 : 3);
  }
  protected strength(factor: number): string {
    return factor < 1.6 ? 'a little' : factor < 3 ? 'somewhat' : factor < 8 ? 'much' : 'very much';
  }

  /** Makes the one change a version of its own, takes it in hand, and remembers what it is to show. */
  protected async take(c: LikelyCause): Promise<void> {
    const next = c.next;
    const b = this.bake();
    if (!next) return;
    await this.desk.pickUp(b.formulaId);
    const was = this.desk.formula();
    if (!was) {
      this.notices.problem('This formula is not on the shelf any more.', 'Undo its removal on the Shelf, or read it again.'); // prettier-ignore
      return;
    }
    const trial = { from: b.id, cause: c.id, words: next.words };
    this.desk.tryOut(`next:${c.id}`, next.words, { ...next.formula, id: was.id }, [`Against ${c.name}.`]);
    await this.desk.keep();
    await this.desk.change('what the next bake is to show', { plan: { ...this.desk.plan(), trial } });
    this.notices.say(`Kept as a version of its own. The next bake of it will show whether it was ${c.name}.`, {
      label: 'take it back',
      run: () => void this.desk.undo().then(() => this.desk.undo()),
    });
    await this.router.navigate(['/bench', b.formulaId]);
  }
}
