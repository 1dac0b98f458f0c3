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
  protected readonly problem = signal('');

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
    const days = Math.round(
      this.serve()
        .startOf('day')
        .diff(DateTime.fromMillis(this.now(), { zone: this.zone() }).startOf('day'), 'days').days,
    );
    return days === 0 ? 'today' : days === 1 ? 'tomorrow' : this.serve().toFormat('cccc');
  });
  private plan(serveAt: number) {
    const f = this.bakery.target()?.formula ?? this.desk.formula();
    const o = this.bakery.targetBake();
    const minutes = o?.ok && o.value.minutes.likely > 0 ? o.value.minutes : undefined;
    return f
      ? planDay([{ id: f.id, formula: f, ...(minutes && { minutes }) }], this.desk.kitchen(), serveAt, this.now())
      : { tasks: [], problems: [] };
  }
  protected readonly today = computed(() => this.plan(this.serve().toMillis()));
  protected readonly tasks = computed<readonly Shown[]>(() => {
    const list = this.today().tasks;
    return list.map((task, i) => ({
      task,
      at: DateTime.fromMillis(task.startsAt, { zone: this.zone() }).toFormat('HH:mm'),
      past: task.startsAt < this.now(),
      gap: Math.min(1.9, Math.max(0, ((list[i + 1]?.startsAt ?? task.startsAt) - task.startsAt) / 60_000 / 22)),
    }));
  });

  constructor() {
    effect(() => void this.desk.pickUp(this.id()));
    inject(Undo).scope.set('formula');
    const timer = setInterval(() => this.now.set(Date.now()), 30_000);
    effect((done) => done(() => clearInterval(timer)));
  }

  /** Reads 15:30, 15.30, 3:30 pm or 1530. */
  protected setServe(e: Event): void {
    const field = e.target as HTMLInputElement;
    const m = /^\s*(\d{1,2})(?:[:.h ]?(\d{2}))?\s*(am|pm)?\s*$/i.exec(field.value);
    const pm = m?.[3]?.toLowerCase();
    const hour = Number(m?.[1]) + (pm === 'pm' && Number(m?.[1]) < 12 ? 12 : pm === 'am' && m?.[1] === '12' ? -12 : 0);
    const minute = Number(m?.[2] ?? 0);
    if (m && hour < 24 && minute < 60) {
      this.problem.set('');
      this.setWish(hour * 60 + minute);
    } else this.problem.set(`"${field.value}" is no time of day. Try 15:30 or 3.30 pm; it stays ${this.serveText()}.`);
    field.value = this.serveText();
  }

  protected nudge(e: KeyboardEvent): void {
    if (e.key !== 'ArrowUp' && e.key !== 'ArrowDown') return;
    e.preventDefault();
    const s = this.serve();
    const step = e.shiftKey ? 60 : e.altKey ? 1 : 5;
    this.setWish(s.hour * 60 + s.minute + (e.key === 'ArrowUp' ? step : -step));
  }

  private setWish(minutes: number): void {
    const m = ((minutes % 1440) + 1440) % 1440;
    this.wish.set(`${String(Math.floor(m / 60)).padStart(2, '0')}:${String(m % 60).padStart(2, '0')}`);
  }
}
