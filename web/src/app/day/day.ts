import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { FormsModule, type NgModel } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { laterOf, type Later, type Task } from '@orvin/core';
import type { DateTime } from 'luxon';
import { SelectModule } from 'primeng/select';
import { download } from '../data/backup';
import { DayBook } from '../desk/day-book';
import { Desk } from '../desk/desk';
import { Makings } from '../desk/makings';
import { degrees } from '../ui/words';
import { bakeLanes, ovenLanes, share, spanOf, ticksOf, type Block, type Span } from './lanes';
import { Shown } from '../ui/shown';

const MIN = 60_000;

interface Row {
  readonly task: Task;
  readonly at: string;
  readonly day: string;
  readonly letter: string;
  readonly past: boolean;
  readonly heat: boolean;
  readonly long: string;
}

const HEAT = new Set<Task['kind']>(['oven on', 'in', 'look', 'change', 'out']);

/**
 * The day back from the serving time: every bake from the fridge to the rack, the ovens' heat, what to do when. Any block
 * can be moved, and the rest follows.
 */
@Component({
  selector: 'orvin-day',
  imports: [FormsModule, RouterLink, SelectModule, Shown],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './day.html',
  styleUrl: './day.scss',
})
export class Day {
  readonly id = input.required<string>();
  protected readonly desk = inject(Desk);
  protected readonly book = inject(DayBook);
  protected readonly makings = inject(Makings);
  protected readonly problem = signal('');
  /** The task that is pointed at or has the focus. */
  protected readonly marked = signal<string | null>(null);
  private held: Span | null = null;

  protected readonly plan = this.book.plan;
  protected readonly several = computed(() => this.book.bakes().length > 1);
  private readonly span = computed<Span>(() => {
    const p = this.plan();
    const dragging = this.book.trial() !== null || this.book.serveTrial() !== null;
    // the scale holds still under the hand
    if (dragging && this.held) return this.held;
    return (this.held = p ? spanOf(p) : { from: 0, to: 1 });
  });
  protected readonly lanes = computed(() => {
    const p = this.plan();
    return p ? bakeLanes(p, this.book.bakes(), this.span()) : [];
  });
  protected readonly ovens = computed(() => {
    const p = this.plan();
    return p
      ? ovenLanes(p, this.desk.kitchen(), this.span()).map((o) => {
          const y = (c: number): number => 100 - (88 * (c - 20)) / (o.most - 20);
          const line = o.points.map((q) => `${q.x.toFixed(2)},${y(q.c).toFixed(1)}`).join(' ');
          const [a, z] = [o.points[0], o.points.at(-1)];
          return { ...o, line, area: `${a?.x ?? 0},100 ${line} ${z?.x ?? 0},100` };
        })
      : [];
  });
  protected readonly ticks = computed(() =>
    ticksOf(this.span()).map((t) => ({ left: share(t, this.span()), words: this.book.at(t).toFormat('HH:mm') })),
  );
  protected readonly nowAt = computed(() => {
    const x = share(this.book.now(), this.span());
    return x > 0 && x < 100 ? x : null;
  });
  private readonly wished = computed(() => this.book.serveTrial() ?? this.book.serveAt() ?? this.plan()?.serveAt ?? 0);
  protected readonly serveLeft = computed(() => share(this.wished(), this.span()));
  protected readonly serve = computed(() => this.book.at(this.wished()));
  protected readonly serveText = computed(() => this.serve().toFormat('HH:mm'));
  protected readonly dayText = computed(() => this.dayWords(this.serve()));
  protected readonly late = computed(() => (this.plan()?.problems ?? []).some((p) => p.id === 'late'));
  protected readonly sum = computed(() => {
    const p = this.plan();
    if (!p) return '';
    const waits =
      p.waitingMin === 0 ? 'nothing waits longer than it must' : `${p.waitingMin} minutes of waiting more than needed`;
    const start = this.book.at(p.startsAt);
    const day = this.dayWords(start) === this.dayText() ? '' : ` ${this.dayWords(start)}`;
    return `Begins${day} at ${start.toFormat('HH:mm')}; ${waits}${p.exact ? '' : `, ${p.gapMin} of them perhaps not needed`}.`;
  });

  protected readonly rows = computed<readonly Row[]>(() => {
    const bakes = this.book.bakes();
    let day = '';
    return (this.plan()?.tasks ?? [])
      .filter((t) => t.kind !== 'cool' && t.kind !== 'wait')
      .map((task): Row => {
        const at = this.book.at(task.startsAt);
        const words = this.dayWords(at);
        const fresh = words !== day && (day !== '' || words !== this.dayText());
        day = words;
        return {
          task,
          at: at.toFormat('HH:mm'),
          day: fresh ? words : '',
          letter: bakes.length > 1 ? String.fromCharCode(65 + bakes.findIndex((b) => b.id === task.bakeId)) : '',
          past: task.startsAt + task.minutes * MIN < this.book.now(),
          heat: HEAT.has(task.kind),
          long:
            task.minutes > 0 && !/^(look|change)$/.test(task.kind)
              ? `${task.minutes} min${task.hands ? '' : ', no hands'}`
              : '',
        };
      });
  });

  protected readonly later = computed(() => {
    const serve = this.serve().startOf('day');
    return this.book
      .bakes()
      .flatMap((b) =>
        laterOf(b.formula, this.desk.kitchen())
          // what is baked from the freezer now is not mixed ahead, nor left in it
          .filter((item) => b.from === undefined || (!item.fromFreezer && item.afterDays >= 0))
          .map((item) => ({
            id: b.id,
            title: b.formula.title,
            item,
            at: whenOf(item, serve),
          })),
      )
      .sort((a, b) => a.at.toMillis() - b.at.toMillis());
  });

  /** What belongs to other days than this one: before it, and after. */
  protected readonly otherDays = computed(() =>
    [
      { label: 'On a day before', items: this.later().filter((l) => l.item.afterDays < 0) },
      { label: 'In the days after', items: this.later().filter((l) => l.item.afterDays >= 0) },
    ].filter((part) => part.items.length > 0),
  );

  constructor() {
    effect(() => void this.desk.pickUp(this.id()));
    this.book.tick();
    const timer = setInterval(() => this.book.tick(), 20_000);
    effect((done) => done(() => clearInterval(timer)));
  }

  private dayWords(t: DateTime): string {
    const days = Math.round(t.startOf('day').diff(this.book.at(this.book.now()).startOf('day'), 'days').days);
    return days === 0
      ? 'today'
      : days === 1
        ? 'tomorrow'
        : days === -1
          ? 'yesterday'
          : t.setLocale('en').toFormat('cccc d LLL');
  }
  protected readonly laterWords = (t: DateTime): string => `${this.dayWords(t)}, ${t.toFormat('HH:mm')}`;
  protected readonly letterOf = (i: number): string => String.fromCharCode(65 + i);

  protected addBake(id: string, field: NgModel): void {
    void this.book.add(id);
    // it asks for another: a bake that is left out again can be chosen again
    field.control.setValue(null, { emitViewToModelChange: false });
  }

  /** Reads 15:30, 15.30, 3:30 pm, 1530; "tomorrow 9:00", "sat 15:00". */
  protected setServe(e: Event): void {
    const field = e.target as HTMLInputElement;
    const at = readWhen(field.value, this.book.at(this.book.now()), this.serve());
    if (at) {
      this.problem.set('');
      void this.book.serve(at.toMillis());
    } else
      this.problem.set(
        `"${field.value}" is no time. Try 15:30, 3.30 pm or "tomorrow 9:00"; it stays ${this.serveText()}.`,
      );
    field.value = this.serveText();
  }

  protected nudge(e: KeyboardEvent): void {
    const up = e.key === 'ArrowUp' || e.key === 'ArrowRight';
    if (!up && e.key !== 'ArrowDown' && e.key !== 'ArrowLeft') return;
    if ((e.target as HTMLElement).tagName === 'INPUT' && /Left|Right/.test(e.key)) return;
    e.preventDefault();
    const step = e.shiftKey ? 60 : e.altKey ? 1 : 5;
    void this.book.serve(this.wished() + (up ? step : -step) * MIN);
  }

  protected toDay(days: number): void {
    void this.book.serve(this.serve().plus({ days }).toMillis());
  }

  /** Pulls a block, or the serving time, along the hours. */
  protected grab(e: PointerEvent, task: Task | null): void {
    const lane = (e.currentTarget as HTMLElement).closest('.lane') as HTMLElement | null;
    if (!lane || e.button !== 0 || (task && !task.movable)) return;
    const el = e.currentTarget as HTMLElement;
    el.setPointerCapture(e.pointerId);
    const span = this.span();
    const perPx = (span.to - span.from) / lane.getBoundingClientRect().width;
    const start = task ? task.startsAt : this.wished();
    const x0 = e.clientX;
    let at = start;
    const move = (m: PointerEvent): void => {
      const by = Math.round(((m.clientX - x0) * perPx) / MIN);
      if (Math.abs(m.clientX - x0) < 4 && at === start) return;
      at = start + by * MIN;
      if (task) this.book.trial.set({ [task.id]: { at } });
      else this.book.serveTrial.set(Math.round(at / (5 * MIN)) * 5 * MIN);
    };
    const over = new AbortController();
    const end = (ok: boolean): void => {
      over.abort();
      if (!ok || at === start) {
        this.book.trial.set(null);
        this.book.serveTrial.set(null);
      } else if (task) void this.book.pin(task.id, at, task.words);
      else void this.book.serve(Math.round(at / (5 * MIN)) * 5 * MIN);
    };
    el.addEventListener('pointermove', move, { signal: over.signal });
    el.addEventListener('pointerup', () => end(true), { signal: over.signal });
    el.addEventListener('pointercancel', () => end(false), { signal: over.signal });
  }

  protected blockKey(e: KeyboardEvent, b: Block): void {
    const t = b.task;
    if ((e.key === 'Delete' || e.key === 'Backspace') && t.pinned) {
      e.preventDefault();
      void this.book.unpin(t.id);
    }
    if ((e.key !== 'ArrowLeft' && e.key !== 'ArrowRight') || !t.movable) return;
    e.preventDefault();
    const step = e.shiftKey ? 15 : e.altKey ? 1 : 5;
    // presses may follow one another before the plan has
    const from = this.book.doc().pins[t.id]?.at ?? t.startsAt;
    void this.book.pin(t.id, from + (e.key === 'ArrowRight' ? step : -step) * MIN, t.words);
  }

  protected readonly blockWords = (b: Block): string =>
    `${b.task.words}, ${this.book.at(b.task.startsAt).toFormat('HH:mm')}, ${b.task.minutes} minutes${b.task.pinned ? ', held there' : ''}`;

  protected async calendar(): Promise<void> {
    const p = this.plan();
    if (!p) return;
    const { calendarOf } = await import('./calendar');
    const text = calendarOf(p, this.book.bakes(), this.later(), (ms) => this.book.at(ms));
    download(`baking-${this.serve().toISODate() ?? 'day'}.ics`, text, 'text/calendar');
  }

  protected readonly heatWords = (c: number): string => degrees(c, true);
  protected readonly isPinned = (t: Task): boolean => t.pinned;

  protected print(): void {
    window.print();
  }
}

/** Later days are counted on the calendar, at the hour that the wall clock shows. */
const whenOf = (l: Later, serve: DateTime): DateTime => serve.plus({ days: l.afterDays }).set({ hour: l.hour });

const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

/** A typed time: today's, or tomorrow's when it is past; a day may stand before it. Null when it is none. */
export function readWhen(text: string, now: DateTime, was: DateTime): DateTime | null {
  const m =
    /^\s*(today|tomorrow|mon|tue|wed|thu|fri|sat|sun)?[a-z]*\s*(\d{1,2})(?:[:.h ]?(\d{2}))?\s*(am|pm)?\s*$/i.exec(text);
  if (!m) return null;
  const pm = m[4]?.toLowerCase();
  const hour = Number(m[2]) + (pm === 'pm' && Number(m[2]) < 12 ? 12 : pm === 'am' && m[2] === '12' ? -12 : 0);
  const minute = Number(m[3] ?? 0);
  if (hour > 23 || minute > 59) return null;
  const set = (d: DateTime): DateTime => d.set({ hour, minute, second: 0, millisecond: 0 });
  const day = m[1]?.toLowerCase();
  if (day === 'today') return set(now);
  if (day === 'tomorrow') return set(now.plus({ days: 1 }));
  if (day !== undefined) return set(now.plus({ days: (WEEKDAYS.indexOf(day) + 1 - now.weekday + 7) % 7 }));
  const same = set(was);
  if (same > now) return same;
  const today = set(now);
  return today > now ? today : today.plus({ days: 1 });
}
