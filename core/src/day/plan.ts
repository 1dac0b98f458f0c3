import { elsewhere } from '../counter/elsewhere.js';
import { dialFor } from '../bake/dial.js';
import { settingOf } from '../counter/from-freezer.js';
import { heatWords } from '../counter/parts.js';
import type { Problem } from '../errors.js';
import type { Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { concessionsFor, leastDelay, shortest } from './concede.js';
import { AHEAD_MIN, dayModel, nodesFor, type DayModel } from './model.js';
import { heldBy } from './network.js';
import { bestDay, type Found } from './search.js';
import type { DayBake, DayOptions, DayPlan, OvenStay, Task } from './task.js';

const MIN = 60_000;

/** What comes of a model and a day found for it. */
function tasksOf(m: DayModel, f: Found, bakes: readonly DayBake[], options: DayOptions): Task[] {
  return m.activities
    .map((a, v): Task => {
      const x = f.x[v] as number;
      const serve = m.bakes[a.bake]?.serve ?? 0;
      return {
        id: a.id,
        bakeId: bakes[a.bake]?.id ?? '',
        kind: a.kind,
        words: a.words,
        detail: a.detail,
        beforeMin: serve - x,
        minutes: a.minutes,
        startsAt: m.origin + x * MIN,
        hands: a.hands,
        movable: a.movable,
        why: options.pins?.[a.id]
          ? 'held there'
          : (heldBy(f.x, f.links, v, (w) => m.activities[w]?.kind === 'ready')[0]?.why ??
            'it is ready when it is wanted'),
        pinned: options.pins?.[a.id] !== undefined,
        done: options.done?.[a.id] !== undefined,
      };
    })
    .sort((a, b) => a.startsAt - b.startsAt || a.id.localeCompare(b.id));
}

function staysOf(m: DayModel, f: Found, bakes: readonly DayBake[]): OvenStay[] {
  const first = m.model.resources.length - m.ovens.length;
  return m.bakes
    .map((b, i): OvenStay => {
      const startsAt = m.origin + (f.x[b.into] as number) * MIN;
      const oven = m.ovens[(f.oven[i] ?? first) - first];
      const setting = m.settings[i];
      return {
        bakeId: bakes[i]?.id ?? '',
        ovenId: oven?.id ?? 'oven',
        ovenC: setting ? dialFor(setting, oven).ovenC : b.heat,
        startsAt,
        endsAt: startsAt + b.late * MIN,
      };
    })
    .sort((a, b) => a.startsAt - b.startsAt);
}

/** The dial of the oven that a bake was given, which is not always set to what its formula says. */
function ovenOnWords(t: Task, stays: readonly OvenStay[], bakes: readonly DayBake[], kitchen: Kitchen): string {
  const oven = kitchen.ovens.find((o) => o.id === stays.find((s) => s.bakeId === t.bakeId)?.ovenId);
  const b = bakes.find((x) => x.id === t.bakeId);
  if (!b || elsewhere(b.formula)) return t.words;
  const bake = settingOf(b, kitchen);
  const heat = heatWords({ formula: { ...b.formula, ...(bake && { bake }) }, kitchen, ...(oven && { oven }) });
  return kitchen.ovens.length > 1 && oven ? `${oven.name} on, ${heat}` : `Oven on, ${heat}`;
}

/** Why the first thing of a day cannot begin later: what holds it, the longest waits first. */
function reasonsFor(m: DayModel, f: Found): string {
  let first = 0;
  f.x.forEach((x, v) => {
    if (x < (f.x[first] as number)) first = v;
  });
  const path = heldBy(f.x, f.links, first, (v) => m.activities[v]?.kind === 'ready');
  return [...path]
    .filter((l) => l.min > 5)
    .sort((a, b) => b.min - a.min)
    .slice(0, 3)
    .map((l) => l.why)
    .filter((w, i, all) => all.indexOf(w) === i)
    .join('; ');
}

/**
 * Plans bakes back from the serving time: hands, mixer, bowls, tins, ovens with one heat at a time, cooling racks; waits
 * at room temperature; how long each batter may stand. In this order: on time, no limit broken, least waiting beyond
 * need, latest start, fewest heatings of an oven. The best there is for up to three bakes; for more, `gapMin` says
 * how far it may be off. Instants are ms since 1970, and minutes are elapsed ones, whatever clocks do that night.
 *
 * When the time cannot be met, the plan is for the earliest that can, a problem says what stands in the way, and
 * `concessions` what could be given way on.
 *
 * @param serveAt instant when everything is to be ready
 * @param now instant of planning; handed in, core has no clock. Nothing is planned before it but what is pinned
 */
export function planDay(
  bakes: readonly DayBake[],
  kitchen: Kitchen = defaultKitchen,
  serveAt: number,
  now: number,
  options: DayOptions = {},
): DayPlan {
  const maxNodes = options.maxNodes ?? nodesFor(bakes.length);
  if (bakes.length === 0) return nothing(serveAt);
  const problems: Problem[] = [];
  const held = Object.keys({ ...options.pins, ...options.done }).length > 0;
  // a day that nothing holds can be moved as a whole: found once without regard to now, it is often early enough
  let m = dayModel(bakes, kitchen, serveAt, held ? now : null, options);
  let f = bestDay(m.model, 'waiting first', maxNodes);
  const soonest = (now - m.origin) / MIN;
  let ideal: Found | null = null;
  if (!held && f && f.score.start < soonest) {
    ideal = shortest(bakes, kitchen, serveAt, options, maxNodes);
    m = dayModel(bakes, kitchen, serveAt, now, options);
    f = ideal && ideal.score.start >= soonest ? bestDay(m.model, 'waiting first', maxNodes, ideal) : null;
  }
  let concessions: DayPlan['concessions'] = [];
  if (!f) {
    const best = ideal ?? shortest(bakes, kitchen, serveAt, options, maxNodes);
    const free = dayModel(bakes, kitchen, serveAt, null, { ...options, pins: {}, done: {} });
    const later: readonly number[] = leastDelay(bakes, kitchen, serveAt, now, options, best);
    const most = Math.max(0, ...later);
    m = dayModel(bakes, kitchen, serveAt, now, options, later);
    f = bestDay(m.model, 'waiting first', maxNodes, best);
    if (!f) return stuck(bakes, serveAt, now, kitchen, options);
    const firstMin = best ? Math.round((now - free.origin) / MIN - best.score.start) : most;
    const what = best ? free.activities[best.x.findIndex((x) => x === best.score.start)]?.words : undefined;
    const why = best ? reasonsFor(free, best) : '';
    problems.push({
      id: 'late',
      place: 'day',
      words:
        firstMin > 0 && what
          ? `To be ready then, "${what}" should have begun ${firstMin} minutes ago.${why ? ` What takes so long: ${why}.` : ''}`
          : 'What is held in its place leaves too little time.',
      remedy: `It is planned ${most} minutes later.`,
    });
    if (options.concede !== false) concessions = concessionsFor(bakes, kitchen, serveAt, now, options, later);
  }
  const stays = staysOf(m, f, bakes);
  const tasks = tasksOf(m, f, bakes, options).map((t) =>
    t.kind === 'oven on' ? { ...t, words: ovenOnWords(t, stays, bakes, kitchen) } : t,
  );
  const readyAt = Math.max(...tasks.filter((t) => t.kind === 'ready').map((t) => t.startsAt));
  bakes.forEach((b, i) => {
    if (!m.bakes[i]?.fits)
      problems.push({
        id: `room:${b.id}`,
        place: 'day',
        words: `${b.formula.title} does not fit any oven at once.`,
        remedy: 'Bake it in two loads, each mixed by itself: plan half of it twice.',
      });
  });
  const need = m.bakes.reduce((s, b) => s + b.need, 0);
  const waiting = m.bakes.reduce((s, b) => s + b.serve, 0) - f.score.begins - need;
  return {
    tasks,
    stays,
    problems,
    serveAt: Math.max(serveAt, readyAt),
    startsAt: Math.min(...tasks.map((t) => t.startsAt)),
    waitingMin: Math.max(0, waiting),
    heatings: f.score.heatings,
    exact: f.exact,
    gapMin: Math.max(0, f.bound.begins - f.score.begins),
    nodes: f.nodes,
    concessions,
  };
}

const nothing = (serveAt: number): DayPlan => ({
  tasks: [],
  stays: [],
  problems: [],
  serveAt,
  startsAt: serveAt,
  waitingMin: 0,
  heatings: 0,
  exact: true,
  gapMin: 0,
  nodes: 0,
  concessions: [],
});

/** What is held where it is stands against itself: planned without what is held, and said. */
function stuck(
  bakes: readonly DayBake[],
  serveAt: number,
  now: number,
  kitchen: Kitchen,
  options: DayOptions,
): DayPlan {
  const { pins, ...rest } = options;
  if (!pins || Object.keys(pins).length === 0)
    return {
      ...nothing(serveAt),
      problems: [
        { id: 'none', place: 'day', words: 'No order of work was found for these bakes.', remedy: 'Leave one out.' },
      ],
    };
  const plan = planDay(bakes, kitchen, serveAt, now, { ...rest, concede: false });
  return {
    ...plan,
    problems: [
      {
        id: 'held',
        place: 'day',
        words: 'What is held in its place cannot all be kept.',
        remedy: 'It is planned as if nothing were held; let go of one of them.',
      },
      ...plan.problems,
    ],
    concessions: [{ id: 'unpin', words: 'Let go of what is held', laterMin: 0, change: { kind: 'unpin' } }],
  };
}

/** The earliest instant at which all of it can be ready when begun now. */
export function earliestServe(
  bakes: readonly DayBake[],
  kitchen: Kitchen,
  now: number,
  options: DayOptions = {},
): number {
  const m = dayModel(bakes, kitchen, now, null, { ...options, pins: {}, done: {} });
  const f = bestDay(m.model, 'start first', options.maxNodes ?? nodesFor(bakes.length));
  return f ? now + (AHEAD_MIN - f.score.start) * MIN : now;
}
