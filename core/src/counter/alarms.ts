import { isEarlyFinish, stretchesOf, stretchName } from './stretches.js';
import type { Step } from './step.js';
import { counting, standingOfBake, type Making, type Standing } from './making.js';

/** An alarm: a moment that the baker is to be told of. */
export interface Alarm {
  readonly id: string;
  readonly bakeId: string | null;
  readonly at: number;
  readonly name: string;
  readonly words: string;
  readonly heard: boolean;
  /** Of a timer that the baker set. */
  readonly own: boolean;
}

const MIN = 60_000;

/** When a waiting step began: with the step before it. */
function beganAt(list: readonly Step[], s: Standing, step: Step): number | null {
  const before = list[list.indexOf(step) - 1];
  return before ? (s.done.get(before.id) ?? null) : null;
}

/** When a step that takes time alone is over; null while it has not begun. */
export function endsAt(list: readonly Step[], s: Standing, step: Step): number | null {
  const from = beganAt(list, s, step);
  return from === null ? null : from + step.minutes.typical * MIN;
}

/** The alarms of a bake and of the baker's own timers, soonest first. */
export function alarmsOf(making: Making, lists: ReadonlyMap<string, readonly Step[]>): Alarm[] {
  const happenings = counting(making.happenings);
  const heard = new Set(happenings.flatMap((h) => (h.kind === 'heard' ? [h.alarmId] : [])));
  const off = new Set(happenings.flatMap((h) => (h.kind === 'timer off' ? [h.timerId] : [])));
  const out: Alarm[] = [];
  const add = (id: string, bakeId: string | null, at: number, name: string, words: string, own = false): void =>
    void out.push({ id, bakeId, at, name, words, heard: heard.has(id), own });
  for (const bake of making.bakes) {
    const list = lists.get(bake.id) ?? [];
    const s = standingOfBake(bake, list, happenings);
    const title = bake.formula.title;
    if (s.intoOvenAt !== null && s.outAt === null) {
      const into = s.intoOvenAt;
      const seen = s.forecast;
      // what the probe foretells takes the place of what was predicted; nothing is due before it was foretold
      const soonest = (min: number): number => (seen ? Math.max(into + min * MIN, seen.at) : into + min * MIN);
      const baked = list.find((x) => x.kind === 'bake' && !s.done.has(x.id)) ?? list.find((x) => x.kind === 'bake');
      const here = baked?.load ? `${bake.id}:load ${baked.load}` : bake.id;
      const shown = baked?.marks ?? [];
      // a list made without the prediction has the baker's own marks alone
      const marks = shown.some((m) => !m.own) ? shown : [...bake.marks, ...shown];
      for (const m of marks) {
        if (m.kind === 'carry-over') continue;
        const id = `${here}:${m.kind}:${m.atMin}`;
        if (seen && m.kind === 'out') add(id, bake.id, soonest(seen.likely), title, 'likely done, by what was read');
        else if (seen && m.kind === 'first look')
          add(id, bake.id, soonest(Math.min(seen.early, seen.likely - 1)), title, m.words);
        else add(id, bake.id, into + m.atMin * MIN, title, m.words);
      }
      if (!marks.some((m) => m.kind === 'out') && bake.minutes) {
        if (!marks.some((m) => m.kind === 'first look'))
          add(
            `${here}:look`,
            bake.id,
            soonest(0.95 * (seen ?? bake.minutes).early),
            title,
            'a first look, through the glass',
          );
        add(`${here}:out`, bake.id, soonest((seen ?? bake.minutes).likely), title, 'likely done');
      }
      for (const h of happenings)
        if (h.kind === 'not yet' && h.bakeId === bake.id && h.at >= into)
          add(`${bake.id}:again:${h.at}`, bake.id, h.at + h.minutes * MIN, title, 'look again');
    }
    for (const step of list) {
      if ((step.kind !== 'wait' && step.kind !== 'cool') || s.done.has(step.id)) continue;
      const at = endsAt(list, s, step);
      if (at !== null && list.indexOf(step) === list.findIndex((x) => !s.done.has(x.id)))
        add(
          `${bake.id}:${step.id}`,
          bake.id,
          at,
          title,
          step.kind === 'cool' ? 'cold enough to go on' : step.words.toLowerCase(),
        );
    }
  }
  for (const h of happenings)
    if (h.kind === 'timer' && !off.has(h.timerId))
      add(h.timerId, null, h.at + h.minutes * MIN, h.name, 'time is up', true);
  return out.sort((a, b) => a.at - b.at);
}

/** Of each bake, the tasks of a day's plan that are done, by id, with when they began. */
export function doneTasks(making: Making, lists: ReadonlyMap<string, readonly Step[]>): Record<string, number> {
  const out: Record<string, number> = {};
  for (const bake of making.bakes) {
    const list = lists.get(bake.id) ?? [];
    const s = standingOfBake(bake, list, making.happenings);
    const put = (kind: string, at: number): void => void (out[`${bake.id}:${kind}`] = at);
    // a stretch of work is over when its last step is
    for (const x of stretchesOf(list)) {
      const end = x.steps.at(-1);
      const at = end && x.steps.every((y) => s.done.has(y.id)) ? s.done.get(end.id) : undefined;
      if (at === undefined || !end) continue;
      const begun =
        x.kind === 'wait'
          ? (beganAt(list, s, end) ?? at)
          : at - x.steps.reduce((m, y) => m + y.minutes.typical, 0) * MIN;
      put(stretchName(x), begun);
    }
    for (const step of list) {
      const at = s.done.get(step.id);
      if (at === undefined) continue;
      const from = at - step.minutes.typical * MIN;
      if (step.id === 'take out:butter') put('butter out', at);
      else if (step.id === 'take out:eggs') put('eggs out', at);
      else if (step.id === 'take out:cold') put('freeze', at);
      else if (step.kind === 'oven on') put('oven on', at);
      else if (step.kind === 'in' || step.kind === 'out') put(step.id, at);
      else if (step.kind === 'tins' || step.kind === 'weigh' || step.kind === 'unmould' || step.kind === 'cool')
        put(step.kind, from);
      else if (step.kind === 'finish' && step.phase === 'after') {
        const kind = isEarlyFinish(step, list) ? 'soak' : 'finish';
        if (
          list
            .filter(
              (x) =>
                x.kind === 'finish' && x.phase === 'after' && (isEarlyFinish(x, list) ? 'soak' : 'finish') === kind,
            )
            .every((x) => s.done.has(x.id))
        )
          put(kind, from);
      }
    }
    if (s.done.has('in')) put('look', (s.done.get('in') ?? 0) + (bake.minutes?.early ?? 0) * MIN);
    if (!s.done.has('out')) delete out[`${bake.id}:look`];
  }
  return out;
}
