import type { Kitchen } from '../formula/types.js';
import { AHEAD_MIN, dayModel, nodesFor } from './model.js';
import { bestDay, type Found } from './search.js';
import type { Concession, DayBake, DayOptions } from './task.js';

const MIN = 60_000;
/** Nothing is looked for later than this. */
const MOST_MIN = 2 * 24 * 60;

/** Nodes for questions of yes or no, and for wishes that are only offered. */
const FEW = 300;

/** Whether a day can be had with each bake so much later. */
function can(
  bakes: readonly DayBake[],
  kitchen: Kitchen,
  serveAt: number,
  now: number,
  options: DayOptions,
  later: readonly number[],
  hint: Found | null,
): boolean {
  const few = bakes.length <= 3 ? nodesFor(3) : FEW;
  return bestDay(dayModel(bakes, kitchen, serveAt, now, options, later).model, 'start first', few, hint, true) !== null;
}

/** The day that begins latest before serving, whatever the date; null when nothing is known of it. */
export const shortest = (
  bakes: readonly DayBake[],
  kitchen: Kitchen,
  serveAt: number,
  options: DayOptions,
  maxNodes: number,
): Found | null =>
  bestDay(dayModel(bakes, kitchen, serveAt, null, { ...options, pins: {}, done: {} }).model, 'start first', maxNodes);

/**
 * The least delay with which a day can be had, for each bake: first the same for all, then each that can be on time is.
 * Without anything pinned a day can be moved as a whole, so the shortest day tells the delay; with pins it is searched
 * by halving.
 *
 * @param oneByOne whether to look for bakes that can be on time though not all are
 */
export function leastDelay(
  bakes: readonly DayBake[],
  kitchen: Kitchen,
  serveAt: number,
  now: number,
  options: DayOptions,
  ideal: Found | null,
  oneByOne = true,
): number[] {
  const all = (l: number): number[] => bakes.map(() => l);
  const ok = (later: readonly number[]): boolean => can(bakes, kitchen, serveAt, now, options, later, ideal);
  let least = MOST_MIN;
  if (Object.keys({ ...options.pins, ...options.done }).length === 0) {
    if (ideal) least = Math.max(0, Math.ceil((now - serveAt) / MIN + AHEAD_MIN - ideal.score.start));
  } else {
    let [lo, hi] = [0, 60];
    while (hi < MOST_MIN && !ok(all(hi))) [lo, hi] = [hi, 2 * hi];
    while (hi - lo > 1) {
      const mid = Math.floor((lo + hi) / 2);
      if (ok(all(mid))) hi = mid;
      else lo = mid;
    }
    least = hi;
  }
  const each = all(least);
  for (let i = 0; oneByOne && i < bakes.length && bakes.length > 1 && least > 0; i++) {
    const was = each[i] as number;
    each[i] = 0;
    if (!ok(each)) each[i] = was;
  }
  return each;
}

/** What could be given way on, and how late it would be then; the smallest first. */
export function concessionsFor(
  bakes: readonly DayBake[],
  kitchen: Kitchen,
  serveAt: number,
  now: number,
  options: DayOptions,
  later: readonly number[],
): Concession[] {
  const most = Math.max(0, ...later);
  const out: Concession[] = [
    {
      id: 'later',
      words: `Serve ${most} minutes later`,
      laterMin: most,
      change: { kind: 'later', serveAt: serveAt + most * MIN },
    },
  ];
  const delay = (b: readonly DayBake[], o: DayOptions): number =>
    b.length === 0
      ? 0
      : Math.max(0, ...leastDelay(b, kitchen, serveAt, now, o, shortest(b, kitchen, serveAt, o, b.length <= 3 ? nodesFor(3) : FEW), false)); // prettier-ignore
  const say = (l: number): string => (l === 0 ? 'ready in time' : `${l} minutes later instead of ${most}`);
  const quick = bakes.map((b) => ({ ...b, quick: true }));
  if (bakes.some((b) => !b.quick)) {
    const l = delay(quick, options);
    if (l < most)
      out.push({
        id: 'quick',
        words: `Cut the butter in cubes, eggs in hot tap water: ${say(l)}`,
        laterMin: l,
        change: { kind: 'quick' },
      });
  }
  const people = options.people ?? kitchen.people ?? 1;
  if (bakes.length > 1 && people < 2) {
    const l = delay(bakes, { ...options, people: 2 });
    if (l < most)
      out.push({ id: 'people', words: `A second pair of hands: ${say(l)}`, laterMin: l, change: { kind: 'people', people: 2 } }); // prettier-ignore
  }
  if (bakes.length > 1 && bakes.length <= 5)
    for (const b of bakes) {
      const l = delay(
        bakes.filter((x) => x !== b),
        options,
      );
      if (l < most)
        out.push({
          id: `leave:${b.id}`,
          words: `Without ${b.formula.title}: ${say(l)}`,
          laterMin: l,
          change: { kind: 'leave out', bakeId: b.id },
        });
    }
  return out.sort((a, b) => a.laterMin - b.laterMin);
}
