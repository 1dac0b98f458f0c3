import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { planDay, type Task } from '@orvin/core';
import { DateTime } from 'luxon';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';
import { Undo } from '../ui/undo';

interface Shown {
  readonly task: Task;
  readonly at: string;
  readonly past: boolean;
  readonly gap: number;
}

/** The day back from the serving time: what begins when, for the formula in hand. */
@Component({
  selector: 'orvin-day',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './day.html',
  styleUrl: './day.scss',
})
export class Day {
  readonly id = input.required<string>();
  protected readonly desk = inject(Desk);
  private readonly bakery = inject(Bakery);
  private readonly zone = computed(() => this.desk.kitchen().locale.zone);
  private readonly now = signal(Date.now());
  /** Wall-clock time of serving, `HH:mm`; null until the baker says one. */
  protected readonly wish = signal<string | null>(null);

  private readonly first = computed(() => this.plan(0).tasks[0]);
  protected readonly serve = computed(() => {
    const wish = this.wish();
    const now = DateTime.fromMillis(this.now(), { zone: this.zone() });
    if (wish === null) {
      // the next full quarter of an hour that can still be met
      const lead = this.first()?.beforeMin ?? 120;
      const at = now.plus({ minutes: lead + 10 });
      return at.startOf('hour').plus({ minutes: Math.ceil(at.minute / 15) * 15 });
    }
    const [h, m] = wish.split(':').map(Number);
    const today = now.set({ hour: h ?? 12, minute: m ?? 0, second: 0, millisecond: 0 });
    return today < now ? today.plus({ days: 1 }) : today;
  });
  protected readonly serveText = computed(() => this.serve().toFormat('HH:mm'));
  protected readonly serveDay = computed(() => {
    const days = Math.round(this.serve().startOf('day').diff(DateTime.fromMillis(this.now(), { zone: this.zone() }).startOf('day'), 'days').days);
    return days === 0 ? 'today' : days === 1 ? 'tomorrow' : this.serve().toFormat('cccc');
  });
  private plan(serveAt: number) {
    const f = this.bakery.target()?.formula ?? this.desk.formula();
    const o = this.bakery.targetBake();
    const minutes = o?.ok && o.value.minutes.likely > 0 ? o.value.minutes : undefined;
    return f ? planDay([{ id: f.id, formula: f, ...(minutes && { minutes }) }], this.desk.kitchen(), serveAt, this.now()) : { tasks: [], problems: [] };
  }
  protected readonly today = computed(() => this.plan(this.serve().toMillis()));
  protected readonly tasks = computed<readonly Shown[]>(() => {
    const list = this.today().tasks;
    return list.map((task, i) => ({
      task,
      at: DateTime.fromMillis(task.startsAt, { zone: this.zone() }).toFormat('HH:mm'),
      past: task.startsAt < this.now(),
      gap: Math.min(3.2, Math.max(0, ((list[i + 1]?.startsAt ?? task.startsAt) - task.startsAt) / 60_000 / 14)),
    }));
  });

  constructor() {
    effect(() => void this.desk.pickUp(this.id()));
    inject(Undo).scope.set('formula');
    const timer = setInterval(() => this.now.set(Date.now()), 30_000);
    effect((done) => done(() => clearInterval(timer)));
  }

  protected setServe(e: Event): void {
    const v = (e.target as HTMLInputElement).value;
    if (/^\d\d:\d\d$/.test(v)) this.wish.set(v);
  }
}
