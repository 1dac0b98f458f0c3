import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { outcomes, racks, type BakeRecord, type Outcome, type Rack } from '@orvin/core';
import { Notices } from '../data/notices';
import { Store } from '../data/store';
import { recordOf } from '../desk/bake-record';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';
import { minuteWords, tinWords } from '../ui/words';

/** Logs a bake of the formula in hand in half a minute: the time, one word, and what more there is to say. */
@Component({
  selector: 'orvin-by-hand',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './by-hand.html',
  styleUrl: './by-hand.scss',
})
export class ByHand {
  readonly logged = output<BakeRecord>();
  protected readonly desk = inject(Desk);
  private readonly bakery = inject(Bakery);
  private readonly store = inject(Store);
  private readonly notices = inject(Notices);
  protected readonly outcomes = outcomes;
  protected readonly racks = racks;

  protected readonly minutes = signal('');
  protected readonly outcome = signal<Outcome>('good');
  protected readonly notes = signal('');
  protected readonly problem = signal('');
  protected readonly oven = signal<string | null>(null);
  protected readonly rack = signal<Rack | null>(null);

  protected readonly ovens = computed(() => this.desk.kitchen().ovens);
  protected readonly ovenId = computed(() => this.oven() ?? this.desk.plan().ovenId ?? this.ovens()[0]?.id ?? 'oven');
  protected readonly rackNow = computed(() => this.rack() ?? this.desk.plan().rack ?? 'middle');
  protected readonly target = computed(() => this.bakery.shownFit());
  protected readonly predicted = computed(() => {
    const o = this.bakery.targetBake();
    if (!o?.ok || o.value.minutes.likely === 0) return null;
    const m = o.value.minutes;
    return { early: Math.round(m.early), likely: Math.round(m.likely), late: Math.round(m.late) };
  });
  protected readonly about = computed(() => {
    const t = this.target();
    const p = this.predicted();
    return !t ? '' : p ? `${tinWords(t)}; ${minuteWords(p)} foretold, likely ${p.likely}` : tinWords(t);
  });
  protected readonly trial = computed(() => this.desk.plan().trial ?? null);

  protected async save(): Promise<void> {
    const f = this.desk.formula();
    const fit = this.target();
    if (!f || !fit) {
      this.problem.set('Take a formula from the Shelf and choose its tin first.');
      return;
    }
    const m = /^\s*(?:(\d+)\s*h(?:ours?)?\s*)?(\d+(?:[.,]\d+)?)?\s*(?:m|min|minutes)?\s*$/i.exec(this.minutes());
    const value = m && (m[1] || m[2]) ? Number(m[1] ?? 0) * 60 + Number((m[2] ?? '0').replace(',', '.')) : NaN;
    if (!Number.isFinite(value) || value <= 0 || value > 600) {
      this.problem.set('How many minutes was it in the oven? Type a number from 1 to 600, or 1h 10.');
      return;
    }
    const p = this.predicted();
    if (p && (value < p.likely * 0.5 || value > p.likely * 2) && this.problem() === '') {
      this.problem.set(`${value} minutes is far from the ${p.early}–${p.late} foretold. If it is right, press once more; it will not teach much.`); // prettier-ignore
      return;
    }
    const plan = this.desk.plan();
    const factor = this.bakery.target()?.factor ?? 1;
    const bake = recordOf(this.bakery.target()?.formula ?? f, fit, this.desk.kitchen(), {
      versionId: null,
      ...(plan.ovenReachedC !== undefined && { ovenReachedC: plan.ovenReachedC }),
      at: Date.now(),
      ovenId: this.ovenId(),
      ...(this.rackNow() !== 'middle' && { rack: this.rackNow() }),
      ...(Math.abs(factor - 1) > 0.01 && { factor: Math.round(1000 * factor) / 1000 }),
      ...(plan.trial && { trial: plan.trial }),
      predicted: p,
      minutes: value,
      outcome: this.outcome(),
      notes: this.notes().trim(),
    });
    if (!(await this.store.logBake(bake, f, plan.version))) return;
    this.minutes.set('');
    this.notes.set('');
    this.problem.set('');
    this.outcome.set('good');
    this.notices.say('Logged. The next prediction has learned from it.');
    this.logged.emit(bake);
  }
}
