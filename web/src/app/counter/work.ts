import { Injectable, computed, effect, inject, signal } from '@angular/core';
import {
  endsAt,
  nextFirst,
  PASSIVE,
  pausedSince,
  plainName,
  pour,
  same,
  SET_OUT,
  type Alarm,
  type MadeBake,
  type Standing,
  type Step,
} from '@orvin/core';
import { DayBook } from '../desk/day-book';
import { Makings } from '../desk/makings';
import { places as placesOf } from './fill-part';
import { FollowScale, type Wanted } from './follow-scale';
import { grams } from './weigh-part';

const MIN = 60_000;
/** A step that is planned later than this from now can wait. */
const EARLY_MS = 1.5 * MIN;
/** Less than this on the scale is nothing, g: a drop, or the scale's wandering. */
export const NOTHING_G = 5;

/** A bake's place at the counter. */
export interface Place {
  readonly bake: MadeBake;
  readonly standing: Standing;
  readonly step: Step | null;
  /** When its next thing is due. */
  readonly dueAt: number;
  readonly due: string;
  readonly where: string;
}

/** What there is to do at the counter now, of all bakes that are being made: read off what has happened, the plan and the clock. */
@Injectable()
export class Work {
  private readonly book = inject(DayBook);
  private readonly makings = inject(Makings);
  private readonly follow = inject(FollowScale);
  /** What the kitchen's clock shows, ms. */
  readonly now = signal(this.makings.now());
  /** The bake whose step is shown, when the baker has chosen one. */
  readonly chosen = signal<string | null>(null);

  readonly places = computed<readonly Place[]>(() => {
    const m = this.makings.making();
    const plan = this.book.plan();
    return (m?.bakes ?? []).flatMap((bake): Place[] => {
      const standing = this.makings.standings().find((s) => s.id === bake.id);
      if (!standing) return [];
      const step = standing.step;
      const list = this.makings.lists().get(bake.id) ?? [];
      const task = plan?.tasks.find((t) => t.bakeId === bake.id && !t.done && !/^(ready|look|change|cool)$/.test(t.kind)); // prettier-ignore
      const alarm = this.makings.alarms().find((a) => a.bakeId === bake.id && !a.heard);
      const passive = step !== null && PASSIVE.has(step.kind);
      const dueAt = step === null ? Infinity : passive ? (alarm?.at ?? endsAt(list, standing, step) ?? this.now()) : begun(standing, step) ? this.now() : (task?.startsAt ?? this.now()); // prettier-ignore
      return [{ bake, standing, step, dueAt, due: this.clock(dueAt), where: whereOf(step) }];
    });
  });
  /** The step that is shown. */
  private readonly held = signal('');
  /**
   * The bake that wants something: the chosen one, else the one whose step is shown already or was begun last, else what is
   * due first; hands' work before what waits by itself.
   */
  readonly place = computed<Place | null>(() => {
    const all = this.places();
    const chosen = all.find((p) => p.bake.id === this.chosen());
    if (chosen) return chosen;
    const open = all.filter((p) => p.step !== null);
    // a plan that is made anew does not take the work out of the hands; what nobody has begun and can wait may give way
    // after a reload, what has been begun is what was in the hands
    const last = this.makings.making()?.happenings.findLast((h) => 'bakeId' in h);
    const held =
      open.find((p) => nameOf(p) === this.held()) ??
      open.find(
        (p) => begun(p.standing, p.step) && last !== undefined && 'bakeId' in last && p.bake.id === last.bakeId,
      );
    if (held && handsOn(held.step) && (begun(held.standing, held.step) || held.dueAt - this.now() <= EARLY_MS))
      return held;
    return [...open].sort((a, b) => a.dueAt - b.dueAt)[0] ?? all[0] ?? null;
  });
  readonly step = computed(() => this.place()?.step ?? null);
  readonly passive = computed(() => {
    const s = this.step();
    return s !== null && PASSIVE.has(s.kind);
  });
  readonly next = computed<Step | null>(() => {
    const p = this.place();
    const list = p ? (this.makings.lists().get(p.bake.id) ?? []) : [];
    return p?.step ? (list.find((s) => s !== p.step && !p.standing.done.has(s.id)) ?? null) : null;
  });

  /** When the hands went away; empty while they are there. */
  readonly paused = computed(() => {
    const since = pausedSince(this.makings.making());
    return since === null ? '' : this.clock(since);
  });
  readonly canSwap = computed(() => {
    const p = this.place();
    return p !== null && nextFirst(this.makings.lists().get(p.bake.id) ?? [], p.standing) !== null;
  });

  /** What is weighed now and what is left, while everything is weighed out; a line that is short is not done. */
  readonly lines = computed(() => {
    const p = this.place();
    return (p?.step?.kind === 'weigh' ? p.step.amounts : []).map((a) => {
      const had = p?.standing.weighed.get(a.itemId);
      return { ...a, had, open: had === undefined || pour(a.grams, had, this.follow.toleranceG()).state === 'short' };
    });
  });
  readonly toWeigh = computed(() => this.lines().filter((l) => l.open));
  readonly weighed = computed(() => this.lines().filter((l) => !l.open));
  /** Before the first line is weighed, everything is set out. */
  readonly settingOut = computed(() => {
    const p = this.place();
    return p?.step?.kind === 'weigh' && p.standing.weighed.size === 0 && !p.standing.done.has(SET_OUT);
  });
  readonly weighing = computed(() => (this.settingOut() ? null : (this.toWeigh()[0] ?? null)));

  /** The tins or cups that are filled now, and what went into those before. */
  readonly filling = computed(() => {
    const p = this.place();
    const i = p?.step?.kind === 'fill' ? Number(/^fill:(\d+)$/.exec(p.step.id)?.[1] ?? NaN) : NaN;
    const fit = p?.bake.fits[i];
    return p?.step && fit ? { fit, stepId: p.step.id, filled: p.standing.filled.get(p.step.id) ?? [] } : null;
  });
  /** What the scale is to follow. */
  readonly wanted = computed<Wanted | null>(
    () => {
      const p = this.place();
      const w = this.weighing();
      const f = this.filling();
      if (!p || this.paused() !== '') return null;
      if (w)
        return {
          key: `${p.bake.id} ${w.itemId}`,
          grams: w.grams,
          hadG: w.had ?? 0,
          vessel: `${p.bake.id} ${w.into?.id ?? 'bowl'}`,
        };
      if (!f || f.filled.length >= placesOf(f.fit)) return null;
      return {
        key: `${p.bake.id} ${f.stepId} ${f.filled.length}`,
        grams: f.fit.perCupG,
        hadG: 0,
        vessel: `${p.bake.id} ${f.stepId}`,
      };
    },
    { equal: same },
  );
  readonly missingG = computed(() => {
    const w = this.wanted();
    return w ? w.grams - (this.follow.live() ? this.follow.inG() : w.hadG) : null;
  });

  /** A step that the plan has later: what could be done instead is nothing. */
  readonly early = computed(() => {
    const p = this.place();
    const list = p ? (this.makings.lists().get(p.bake.id) ?? []) : [];
    const before = p?.step ? list[list.indexOf(p.step) - 1] : undefined;
    // what has been begun is not put off
    const begun = p?.step?.kind === before?.kind || /^(fill|in|out)$/.test(p?.step?.kind ?? '');
    return p && !begun && !this.passive() && p.dueAt - this.now() > EARLY_MS
      ? { at: p.due, left: p.dueAt - this.now() }
      : null;
  });

  /** The alarm that rings. */
  readonly ringing = computed<Alarm | null>(
    () => this.makings.alarms().find((a) => !a.heard && a.at <= this.now()) ?? null,
  );
  readonly coming = computed(() => {
    const here = this.step()?.kind === 'bake' ? this.place()?.bake.id : null;
    return this.makings.alarms().filter((a) => !a.heard && a.at > this.now() && (a.bakeId === null || a.bakeId !== here)).slice(0, 3); // prettier-ignore
  });

  readonly doneWords = computed(() => {
    const s = this.step();
    const w = this.weighing();
    if (this.ringing()) return 'heard';
    if (this.paused() !== '') return 'I am back';
    if (!s) return '';
    if (this.settingOut()) return 'everything is here';
    if (this.follow.asks()) return this.filling() ? 'it stands there, empty' : 'the bowl stands there';
    if (w && this.follow.live()) return this.onScale() ? `take ${grams(this.follow.restG())}` : 'in, weighed elsewhere';
    if (w) return `${plainName(w.name)} is in`;
    if (this.filling() && this.follow.live()) return this.follow.restG() > NOTHING_G ? `take ${grams(this.follow.restG())}` : 'that was all'; // prettier-ignore
    if (s.kind === 'bake') return this.canTakeOut() ? 'it is done: out it comes' : 'it bakes';
    const say: Partial<Record<Step['kind'], string>> = { 'take out': 'it is out', 'oven on': 'it is on', tins: 'ready', in: 'it is in', out: 'it is out', unmould: 'it is out', wait: 'long enough', cool: 'cold enough', keep: 'put away' }; // prettier-ignore
    return say[s.kind] ?? 'done';
  });
  /** What comes after it. */
  readonly then = computed(() => {
    const after = this.toWeigh()[this.settingOut() ? 0 : 1];
    const f = this.filling();
    if (after) return `${grams(after.grams)} ${plainName(after.name)}`;
    if (f && this.follow.live() && f.filled.length + 1 < placesOf(f.fit))
      return `${grams(f.fit.perCupG)} into the next`;
    return this.next()?.words ?? '';
  });
  /** Whether what rests on the scale is enough to be taken: right, or too much. */
  readonly onScale = computed(() => {
    const w = this.weighing();
    return (
      w !== null && this.follow.live() && pour(w.grams, this.follow.restG(), this.follow.toleranceG()).state !== 'short'
    );
  });
  /** The lower half takes nothing out of the oven before the first look is due. */
  readonly canTakeOut = computed(() => {
    const p = this.place();
    if (p?.step?.kind !== 'bake' || p.standing.intoOvenAt === null) return true;
    const look =
      p.standing.forecast?.early ??
      p.bake.marks.find((m) => m.kind === 'first look')?.atMin ??
      p.bake.minutes?.early ??
      10;
    return this.now() >= p.standing.intoOvenAt + look * MIN;
  });
  readonly inert = computed(
    () => !this.ringing() && this.paused() === '' && this.step()?.kind === 'bake' && !this.canTakeOut(),
  );
  /** The bake whose alarm rings, while it is in the oven. */
  readonly ringingInOven = computed(() => {
    const a = this.ringing();
    const p = this.places().find((x) => x.bake.id === a?.bakeId);
    return p?.step?.kind === 'bake' ? p.bake.id : null;
  });

  constructor() {
    effect(() => this.held.set(nameOf(this.place())));
  }

  readonly clock = (ms: number): string => (Number.isFinite(ms) ? this.book.at(ms).toFormat('HH:mm') : '');
}

const nameOf = (p: Place | null): string => `${p?.bake.id ?? ''}:${p?.step?.id ?? ''}`;
const handsOn = (step: Step | null): boolean => step !== null && !PASSIVE.has(step.kind);

/** Whether something of the step has been done already. */
function begun(s: Standing, step: Step | null): boolean {
  if (step?.kind === 'weigh') return s.weighed.size > 0 || s.there.size > 0 || s.done.has(SET_OUT);
  return step?.kind === 'fill' && (s.filled.get(step.id)?.length ?? 0) > 0;
}

function whereOf(step: Step | null): string {
  if (!step) return 'finished';
  const words: Partial<Record<Step['kind'], string>> = {
    bake: 'in the oven',
    cool: 'cooling',
    wait: step.words.toLowerCase(),
    weigh: 'to weigh',
    mix: 'to mix',
    fill: 'to fill',
    in: 'into the oven',
    out: 'out of the oven',
    unmould: 'out of its tin',
  };
  return words[step.kind] ?? 'get ready';
}
