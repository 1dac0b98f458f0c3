import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { outcomes, type BakeRecord, type Outcome, type TinUse } from '@orvin/core';
import { DateTime } from 'luxon';
import { SelectModule } from 'primeng/select';
import { Notices } from '../data/notices';
import { Store } from '../data/store';
import { recordOf } from '../desk/bake-record';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';
import { Undo } from '../ui/undo';
import { degrees, dialWords, minuteWords, tinWords } from '../ui/words';

interface Line {
  readonly bake: BakeRecord;
  readonly when: string;
  readonly words: string;
  readonly off: string;
  /** What was seen at the counter. */
  readonly seen: string;
  readonly range: { readonly left: number; readonly width: number; readonly likely: number } | null;
  readonly at: number;
}

/** What happened: bakes as they went, against what was predicted, and what that taught. */
@Component({
  selector: 'orvin-log',
  imports: [FormsModule, RouterLink, SelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './log.html',
  styleUrl: './log.scss',
})
export class Log {
  readonly id = input<string>();
  protected readonly desk = inject(Desk);
  protected readonly bakery = inject(Bakery);
  private readonly store = inject(Store);
  private readonly notices = inject(Notices);
  private readonly bakes = toSignal(this.store.bakes$, { initialValue: [] as readonly BakeRecord[] });
  protected readonly outcomes = [...outcomes];
  protected readonly only = signal(false);

  protected readonly minutes = signal('');
  protected readonly outcome = signal<Outcome>('good');
  protected readonly notes = signal('');
  protected readonly problem = signal('');

  protected readonly target = computed(() => this.bakery.shownFit());
  protected readonly predicted = computed(() => {
    const o = this.bakery.targetBake();
    if (!o?.ok || o.value.minutes.likely === 0) return null;
    const m = o.value.minutes;
    return { early: Math.round(m.early), likely: Math.round(m.likely), late: Math.round(m.late) };
  });
  protected readonly learned = computed(() => this.bakery.calibration()?.words ?? null);

  protected readonly lines = computed<readonly Line[]>(() => {
    const zone = this.desk.kitchen().locale.zone;
    const hand = this.desk.id();
    const list = this.bakes().filter((b) => !this.only() || b.formulaId === hand);
    return list.map((bake) => this.line(bake, zone));
  });
  protected readonly hasHand = computed(() => this.desk.formula() !== null);

  constructor() {
    effect(() => {
      const id = this.id();
      if (id !== undefined) void this.desk.pickUp(id);
    });
    inject(Undo).scope.set('log');
  }

  private line(bake: BakeRecord, zone: string): Line {
    const p = bake.predicted;
    const ratio = (x: number): number =>
      Math.min(100, Math.max(0, 50 + 200 * Math.log(x / (p?.likely ?? bake.minutes))));
    const off = p ? Math.round((100 * (bake.minutes - p.likely)) / p.likely) : 0;
    return {
      bake,
      when: DateTime.fromMillis(bake.at, { zone }).setLocale('en').toFormat('ccc d LLL'),
      words: outcomes.find((o) => o.id === bake.outcome)?.words ?? bake.outcome,
      off: !p
        ? 'nothing was predicted'
        : Math.abs(off) < 2
          ? 'as predicted'
          : `${Math.abs(off)} % ${off < 0 ? 'sooner' : 'later'}`,
      seen: seenWords(bake),
      range: p ? { left: ratio(p.early), width: ratio(p.late) - ratio(p.early), likely: 50 } : null,
      at: ratio(bake.minutes),
    };
  }

  protected readonly tinWords = tinWords;
  protected readonly dialWords = dialWords;
  protected about(t: TinUse): string {
    const p = this.predicted();
    return p ? `${tinWords(t)}; predicted ${minuteWords(p)}, likely ${p.likely}` : tinWords(t);
  }

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
      this.problem.set(
        `${value} minutes is far from the ${p.early}–${p.late} predicted. If it is right, press once more; it will not teach much.`,
      );
      return;
    }
    const reached = this.desk.plan().ovenReachedC;
    const bake = recordOf(this.bakery.target()?.formula ?? f, fit, this.desk.kitchen(), {
      versionId: await this.store.freeze(f, 'baked', this.desk.plan().version),
      ...(reached !== undefined && { ovenReachedC: reached }),
      at: Date.now(),
      ovenId: this.desk.kitchen().ovens[0]?.id ?? 'oven',
      predicted: p,
      minutes: value,
      outcome: this.outcome(),
      notes: this.notes().trim(),
    });
    if (!(await this.store.logBake(bake))) return;
    this.minutes.set('');
    this.notes.set('');
    this.problem.set('');
    this.outcome.set('good');
    this.notices.say('Logged. The next prediction has learned from it.');
  }

  protected async exclude(bake: BakeRecord): Promise<void> {
    const next = { ...bake, excluded: !bake.excluded };
    await this.store.commit(
      'log',
      `${next.excluded ? 'leave out' : 'count'} ${bake.title}`,
      'bakes',
      bake.id,
      bake,
      next,
    );
  }

  protected async remove(bake: BakeRecord): Promise<void> {
    await this.store.commit('log', `remove ${bake.title}`, 'bakes', bake.id, bake, null);
    this.notices.say('The bake is out of the log.', { label: 'put it back', run: () => void this.store.undo('log') });
  }
}

/** What was seen at the counter, in words; nothing for a bake that was logged by hand. */
function seenWords({ observed: o }: BakeRecord): string {
  if (!o) return '';
  const last = o.probe?.at(-1);
  const tried = o.simulated?.some((x) => x !== 'scale');
  const oven = o.ovenReadings.map((r) => `${degrees(r.ovenC)} after ${r.min} min`);
  return [
    ...(o.stoodMin !== undefined && o.stoodMin > 0 ? [`stood ${o.stoodMin} min`] : []),
    ...(oven.length > 0 ? [`thermometer ${oven.join(', ')}`] : []),
    ...(o.added.length > 0 ? [`added ${o.added.join(', ')}`] : []),
    ...(o.weighed.length > 0
      ? [`${o.weighed.length} ${o.weighed.length === 1 ? 'weight' : 'weights'} read off the scale`]
      : []),
    ...(o.filled && o.filled.length > 1
      ? [`filled with ${Math.round(Math.min(...o.filled))}–${Math.round(Math.max(...o.filled))} g`]
      : []),
    ...(last ? [`probe ${degrees(last.c)} after ${Math.round(last.min)} min`] : []),
    ...(o.simulated && o.simulated.length > 0 ? [`simulated: ${o.simulated.join(', ')}${tried ? '; teaches nothing' : ''}`] : []), // prettier-ignore
  ].join('; ');
}
