import { scaleUnit } from '../ui/figures';
import { DecimalPipe } from '@angular/common';
import type { OnDestroy } from '@angular/core';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  cautionsOf,
  counting,
  fitTins,
  frozenFits,
  marksOf,
  massG,
  outcomes,
  PASSIVE,
  MOST_SCALED,
  plainName,
  pour,
  SET_OUT,
  steps,
  takesBack,
  toCelsius,
  type Alarm,
  type By,
  type MadeBake,
  type Outcome,
  type Step,
} from '@orvin/core';
import { DayBook } from '../desk/day-book';
import { Desk } from '../desk/desk';
import { Makings } from '../desk/makings';
import { ovenScale } from '../ui/words';
import { Devices } from '../devices/devices';
import { DevicesPanel } from '../devices/panel';
import { Chime } from './chime';
import { FillPart, places } from './fill-part';
import { FollowScale, type Poured } from './follow-scale';
import { Keypad } from './keypad';
import { SetOutPart } from './set-out-part';
import { WaitPart, span } from './wait-part';
import { WatchProbe } from './watch-probe';
import { grams, WeighPart } from './weigh-part';
import { NOTHING_G, Work, type Place } from './work';
import { newId } from '../data/ids';

const MIN = 60_000;
/** A second tap within this is a floury finger, not a wish. */
const DOUBLE_MS = 330;
/** An alarm that is seen later than this was missed. */
const MISSED_MS = 10_000;

/**
 * Make it: one thing at a time, large enough to read across the kitchen. A knuckle on the lower half, any key or a pedal
 * goes on; all that happens is kept, so that a closed page goes on where it was.
 */
@Component({
  selector: 'orvin-counter',
  imports: [DecimalPipe, RouterLink, Keypad, DevicesPanel, FillPart, SetOutPart, WaitPart, WeighPart],
  providers: [FollowScale, WatchProbe, Work],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)', '(pointerdown)': 'touched()' },
  templateUrl: './counter.html',
  styleUrl: './counter.scss',
})
export class Counter implements OnDestroy {
  readonly id = input.required<string>();
  protected readonly desk = inject(Desk);
  protected readonly book = inject(DayBook);
  protected readonly makings = inject(Makings);
  protected readonly chime = inject(Chime);
  protected readonly devices = inject(Devices);
  protected readonly follow = inject(FollowScale);
  protected readonly probe = inject(WatchProbe);
  protected readonly outcomes = outcomes;
  protected readonly work = inject(Work);
  protected readonly help = signal(false);
  protected readonly timing = signal(false);
  protected readonly showing = signal(false);
  protected readonly asking = signal<'oven' | 'poured' | null>(null);
  protected readonly over = signal<{ readonly words: string; readonly factor: number; readonly grams: number; readonly itemId: string; readonly by: By<'scale'> } | null>(null); // prettier-ignore
  private lastTap = 0;
  /** When this page first saw each alarm due: later than its time when it slept. */
  private readonly seen = new Map<string, number>();

  protected readonly canBack = computed(() => counting(this.makings.making()?.happenings ?? []).some(takesBack));
  protected readonly ready = computed(() => {
    const p = this.book.plan();
    if (!p) return '';
    const wish = this.book.serveAt();
    const late = wish === null ? 0 : Math.round((p.serveAt - wish) / MIN);
    return `ready ${this.clock(p.serveAt)}${late > 0 ? `, ${late} min late` : ''}`;
  });

  constructor() {
    effect(() => void this.desk.pickUp(this.id()));
    this.devices.here.set(true);
    effect(() => this.follow.want(this.work.wanted()));
    this.follow.right$.subscribe((r) => void this.rested(r));
    this.follow.over$.subscribe((r) => this.restedOver(r));
    const tick = (): void => {
      const now = this.makings.now();
      for (const a of untracked(this.makings.alarms))
        if (!a.heard && a.at <= now && !this.seen.has(a.id)) this.seen.set(a.id, now);
      this.work.now.set(now);
      this.book.tick();
    };
    tick();
    const timer = setInterval(tick, 500);
    const shown = (): void => {
      tick();
      void this.chime.stayAwake(this.makings.making() !== null);
    };
    document.addEventListener('visibilitychange', shown);
    effect((done) =>
      done(() => {
        clearInterval(timer);
        document.removeEventListener('visibilitychange', shown);
      }),
    );
    const active = computed(() => this.makings.making() !== null);
    effect(() => {
      void this.chime.stayAwake(active());
    });
    const alarm = computed(() => this.work.ringing()?.id ?? null);
    effect(() => {
      const id = alarm();
      this.chime.ring(id !== null);
      const a = untracked(this.work.ringing);
      if (id !== null && a) this.chime.note(a.name, a.words);
    });
    // another step is read from its beginning
    const at = computed(() => `${this.work.place()?.bake.id ?? ''}:${this.work.step()?.id ?? ''}`);
    effect(() => {
      at();
      this.help.set(false);
      this.over.set(null);
      this.stopping.set(false);
    });
  }

  ngOnDestroy(): void {
    this.devices.here.set(false);
    this.chime.ring(false);
    void this.chime.stayAwake(false);
  }

  protected readonly clock = this.work.clock;
  protected readonly scale = ovenScale;
  /** What has to be minded with these ingredients, said before anything is begun. */
  protected readonly cautions = computed(() => {
    const kitchen = this.desk.kitchen();
    const all = this.book.bakes().flatMap((b) => cautionsOf(b.formula, kitchen).map((c) => c.words));
    return [...new Set(all)];
  });

  /** How late an alarm was noticed, when the screen slept through it. */
  protected readonly missed = computed(() => {
    const a = this.work.ringing();
    if (!a) return '';
    const late = (this.seen.get(a.id) ?? this.work.now()) - a.at;
    return late > MISSED_MS
      ? `It was due at ${this.clock(a.at)}, ${Math.max(1, Math.round((this.work.now() - a.at) / MIN))} min ago.`
      : '';
  });

  protected async begin(): Promise<void> {
    await this.chime.unlock();
    // the times are worked out when a formula is taken up; what comes late is not waited for long
    for (let i = 0; i < 30 && !this.book.timed(); i++) await new Promise((r) => setTimeout(r, 100));
    const plan = this.book.plan();
    const kitchen = this.desk.kitchen();
    const bakes = this.book.bakes().map((b): MadeBake => ({
      id: b.id,
      formula: b.formula,
      fits: b.from ? frozenFits(b.formula, kitchen) : b.formula.tins ? fitTins(b.formula, b.formula.tins, kitchen) : [],
      ...(b.from && { from: b.from }),
      // without a prediction the stated time still rings
      minutes: b.minutes ?? minutesIn(steps(b.formula, b.from ? { from: b.from } : {}, kitchen)),
      marks: marksOf(b.prediction),
      calibration: b.prediction?.calibration ?? null,
      ovenId: plan?.stays.find((s) => s.bakeId === b.id)?.ovenId ?? kitchen.ovens[0]?.id ?? 'oven',
    }));
    if (bakes.length === 0) return;
    if (this.book.serveAt() === null && plan) await this.book.serve(plan.serveAt);
    await this.makings.begin(bakes, plan);
  }

  protected touched(): void {
    void this.chime.unlock();
  }

  private doubled(): boolean {
    const now = performance.now();
    const doubled = now - this.lastTap < DOUBLE_MS;
    this.lastTap = now;
    return doubled;
  }

  /** What the lower half does, and any key: hears the alarm, takes in the weight, or ends the step. */
  protected async go(): Promise<void> {
    if (this.doubled() || this.asking() || this.stopping() || this.over()) return;
    const ring = this.work.ringing();
    if (ring) {
      // whoever hears that a bake may be done looks at it next
      if (this.work.ringingInOven() !== null) this.work.chosen.set(ring.bakeId);
      return this.makings.add({ kind: 'heard', alarmId: ring.id });
    }
    if (this.work.paused() !== '') return this.makings.add({ kind: 'resume' });
    const p = this.work.place();
    if (!p?.step || this.work.inert()) return;
    if (this.work.settingOut()) return this.makings.add({ kind: 'done', bakeId: p.bake.id, stepId: SET_OUT });
    if (this.follow.asks()) return this.follow.zero();
    const w = this.work.weighing();
    const wanted = this.work.wanted();
    if (w && this.work.onScale() && wanted) return this.take(w.itemId, this.follow.restG(), this.follow.by());
    if (w) return this.weigh(p.bake.id, w.itemId, w.grams, 'hand');
    if (this.work.filling() && wanted && this.follow.live() && this.follow.restG() > NOTHING_G)
      return this.rested({ key: wanted.key, grams: this.follow.restG(), by: this.follow.by() });
    await this.finish(p, 'done');
  }

  /** What was poured: it is in, or it is too much and the baker decides. */
  private async take(itemId: string, grams: number, by: By<'scale'>): Promise<void> {
    const p = this.work.place();
    const w = this.work.weighing();
    if (!p || w?.itemId !== itemId) return;
    const r = pour(w.grams, grams, this.follow.toleranceG(), this.desk.kitchen().display);
    if (r.state === 'over') this.over.set({ words: r.words, factor: r.factor, grams, itemId, by });
    else await this.weigh(p.bake.id, itemId, grams, by);
  }

  /** The scale rests at what is wanted: on to the next, without a touch. */
  private async rested(r: Poured): Promise<void> {
    const p = this.work.place();
    if (!p || this.work.wanted()?.key !== r.key || this.asking()) return;
    const w = this.work.weighing();
    const f = this.work.filling();
    if (w) {
      this.over.set(null);
      this.chime.tick();
      await this.weigh(p.bake.id, w.itemId, r.grams, r.by);
    } else if (f) {
      this.chime.tick();
      await this.makings.add({
        kind: 'filled',
        bakeId: p.bake.id,
        stepId: f.stepId,
        n: f.filled.length,
        grams: r.grams,
        by: r.by,
      });
      const now = this.work.place();
      if (now?.step?.id === f.stepId && f.filled.length + 1 >= places(f.fit)) await this.finish(now, 'done');
    }
  }

  private restedOver(r: Poured): void {
    const w = this.work.weighing();
    if (w && this.work.wanted()?.key === r.key && !this.asking()) void this.take(w.itemId, r.grams, r.by);
  }

  private async finish(p: Place, kind: 'done' | 'skip'): Promise<void> {
    if (!p.step) return;
    await this.makings.add({ kind, bakeId: p.bake.id, stepId: p.step.id });
    // what is due next is shown, unless the baker holds on to a bake that still has work, or one waits to be judged
    const again = this.work.places().find((x) => x.bake.id === p.bake.id);
    if (again?.step === null) this.work.chosen.set(p.bake.id);
    else if (this.work.chosen() === p.bake.id && again?.step && PASSIVE.has(again.step.kind))
      this.work.chosen.set(null);
  }

  /** Takes down what is in; when nothing is short any more, the weighing is done. */
  private async weigh(bakeId: string, itemId: string, grams: number, by: 'hand' | By<'scale'>): Promise<void> {
    await this.makings.add({ kind: 'weighed', bakeId, itemId, grams, by });
    const again = this.work.place();
    if (again?.bake.id === bakeId && again.step?.kind === 'weigh' && this.work.toWeigh().length === 0)
      await this.finish(again, 'done');
  }

  protected async back(): Promise<void> {
    if (this.doubled()) return;
    if (this.asking()) return this.asking.set(null);
    if (this.stopping()) return this.stopping.set(false);
    if (this.over()) return this.over.set(null);
    // what is taken back is shown, whichever bake it was of
    this.work.chosen.set(await this.makings.back());
  }

  protected async skip(): Promise<void> {
    const p = this.work.place();
    if (p && !this.doubled()) await this.finish(p, 'skip');
  }

  protected swap(id: string): void {
    if (!this.doubled()) this.work.chosen.set(id);
  }

  protected takeOutNow(): void {
    const p = this.work.place();
    if (p && !this.doubled()) void this.finish(p, 'done');
  }

  protected notYet(minutes: number): void {
    const ring = this.work.ringing();
    const bakeId = this.work.ringingInOven() ?? this.work.place()?.bake.id;
    if (bakeId === undefined || this.doubled()) return;
    if (ring) void this.makings.add({ kind: 'heard', alarmId: ring.id });
    void this.makings.add({ kind: 'not yet', bakeId, minutes });
    this.work.chosen.set(null);
  }

  protected felt(words: string): void {
    const p = this.work.place();
    if (p?.step && !this.doubled())
      void this.makings.add({ kind: 'felt', bakeId: p.bake.id, stepId: p.step.id, words });
  }
  protected readonly feltHere = computed(() => {
    const p = this.work.place();
    return p ? p.standing.felt.filter((f) => f.stepId === p.step?.id).map((f) => f.words) : [];
  });

  /** The hands go away: nothing of theirs is asked for, what takes time alone rings all the same. */
  protected pause(): void {
    if (!this.doubled()) void this.makings.add({ kind: 'pause' });
  }

  protected swapSteps(): void {
    const p = this.work.place();
    if (p && !this.doubled()) void this.makings.nextFirst(p.bake.id);
  }

  protected there(itemId: string): void {
    const p = this.work.place();
    if (p) void this.makings.add({ kind: 'there', bakeId: p.bake.id, itemId });
  }

  protected timer(minutes: number): void {
    this.timing.set(false);
    if (!this.doubled()) void this.makings.add({ kind: 'timer', timerId: newId(), name: `${minutes} min`, minutes });
  }

  protected stop(a: Alarm): void {
    if (a.own && !this.doubled()) void this.makings.add({ kind: 'timer off', timerId: a.id });
  }

  protected readonly weighs = scaleUnit;

  /** A number from the keypad: what the thermometer reads, or what was poured. */
  protected entered(value: number): void {
    const p = this.work.place();
    const what = this.asking();
    this.asking.set(null);
    if (!p) return;
    if (what === 'oven') {
      const ovenC = ovenScale() === 'F' ? Math.round(toCelsius(value)) : value;
      void this.makings.add({ kind: 'oven', bakeId: p.bake.id, ovenC });
    }
    const w = this.work.weighing();
    if (what !== 'poured' || !w) return;
    void this.take(w.itemId, massG(this.desk.kitchen().display, value), 'scale');
  }

  protected tookOut(): void {
    const o = this.over();
    const w = this.work.weighing();
    this.over.set(null);
    const p = this.work.place();
    if (o && w && p && !this.doubled()) void this.weigh(p.bake.id, o.itemId, w.grams, 'hand');
  }

  protected leaveIt(): void {
    const o = this.over();
    const p = this.work.place();
    this.over.set(null);
    if (o && p && !this.doubled()) void this.weigh(p.bake.id, o.itemId, o.grams, o.by);
  }

  protected scaleAll(): void {
    const o = this.over();
    const p = this.work.place();
    this.over.set(null);
    if (!o || !p || this.doubled()) return;
    void this.makings.scale(p.bake.id, o.factor).then(() => this.weigh(p.bake.id, o.itemId, o.grams, o.by));
  }

  protected async judge(outcome: Outcome): Promise<void> {
    const p = this.work.place();
    if (!p || this.doubled()) return;
    const logged = await this.makings.judge(p.bake.id, outcome, '');
    if (logged) await this.book.finished(p.bake.id);
    this.work.chosen.set(null);
  }

  /** Asked whether a bake is to end here. */
  protected readonly stopping = signal(false);
  protected async restart(): Promise<void> {
    const p = this.work.place();
    if (!p || this.doubled()) return;
    this.stopping.set(false);
    await this.makings.restart(p.bake.id);
    this.work.chosen.set(p.bake.id);
  }

  protected toNow(): void {
    if (!this.doubled()) void this.book.toNow();
  }

  protected async putDown(): Promise<void> {
    const p = this.work.place();
    if (!p || this.doubled()) return;
    this.stopping.set(false);
    await this.makings.putDown(p.bake.id);
    this.work.chosen.set(null);
  }

  protected key(e: KeyboardEvent): void {
    if (!this.makings.making() || e.defaultPrevented || e.ctrlKey || e.metaKey || e.altKey) return;
    const target = e.target as HTMLElement;
    if (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
    if (/^(Tab|Shift|Escape|CapsLock|F\d+|[0-9/?dD])$/.test(e.key)) return;
    // a button that has the focus is pressed by its own keys
    if (target.tagName === 'BUTTON' && (e.key === ' ' || e.key === 'Enter')) return;
    e.preventDefault();
    if (e.repeat) return;
    void this.chime.unlock();
    if (/^(Backspace|Delete|ArrowLeft|ArrowUp|PageUp|Home)$/.test(e.key)) void this.back();
    else void this.go();
  }

  protected readonly span = span;
  protected readonly plain = plainName;
  protected readonly mostScaled = MOST_SCALED;
  protected readonly grams = grams;
}

/** Minutes of the bake among some steps. */
function minutesIn(list: readonly Step[]): MadeBake['minutes'] {
  const m = list.find((s) => s.kind === 'bake')?.minutes;
  return m ? { early: m.low, likely: m.typical, late: m.high } : null;
}
