import { familyOf } from '../balance/families.js';
import { densityOf } from '../balance/totals.js';
import { weigh } from '../balance/weigh.js';
import type { BakeSetting, Kitchen, Oven, TinUse } from '../formula/types.js';
import { settingOf } from '../counter/from-freezer.js';
import { footprint, rackPlan } from '../tin/rack.js';
import { build, type Activity, type Built } from './build.js';
import type { Model, Resource, Use } from './orders.js';
import type { DayBake, DayOptions } from './task.js';

/** A day's activities with the network that times them; times are whole minutes from `origin`. */
export interface DayModel {
  readonly model: Model;
  readonly activities: readonly (Activity & { readonly bake: number })[];
  readonly origin: number;
  /** For each bake: the variables of `in` and `ready`, its minutes, its oven's heat, and the waiting it cannot do without. */
  readonly bakes: readonly {
    readonly into: number;
    readonly late: number;
    readonly heat: number;
    readonly need: number;
    readonly serve: number;
    /** Whether some oven holds all its tins at once. */
    readonly fits: boolean;
  }[];
  readonly ovens: readonly Oven[];
  /** The heat of each bake, as it goes in: fresh, or from the freezer. */
  readonly settings: readonly (BakeSetting | undefined)[];
}

/** Days are planned within so many minutes before serving. */
export const AHEAD_MIN = 3 * 24 * 60;
/** An oven gains and loses heat between bakes, K/min, and steadies in so many minutes; the door ajar. Judgements. */
const HEATS_K_MIN = 10;
const COOLS_K_MIN = 4;
const STEADY_MIN = 4;

/** A tin is washed and cold again after so many minutes. A judgement. */
const TIN_AGAIN_MIN = 10;
/** What is overdue is done within so many minutes from now. */
const SOON_MIN = 5;
/** Two bakes go in together when their heats differ by no more than this, K. */
const SAME_HEAT_K = 5;
/** One cooling rack, mm²; a kitchen has two unless it says otherwise. A judgement. */
const RACK_MM2 = 450 * 300;

export const changeOverMin = (fromC: number, toC: number): number =>
  Math.abs(fromC - toC) <= SAME_HEAT_K
    ? 0
    : Math.ceil(STEADY_MIN + (toC > fromC ? (toC - fromC) / HEATS_K_MIN : (fromC - toC) / COOLS_K_MIN));

const spread = (all: readonly number[]): number => (all.length === 0 ? 0 : Math.max(...all) - Math.min(...all));

/** The heat an oven has to have for a bake, as a still oven would be set, °C. */
const bakeHeat = (b: BakeSetting | undefined): number => (b?.ovenC ?? 180) + (b?.fan ? 20 : 0);

/** How many heats an oven has to be brought to, at least, for all of these. */
function clusters(heats: readonly number[]): number {
  let n = 0;
  let from = -Infinity;
  for (const h of [...heats].sort((a, b) => a - b))
    if (h > from + SAME_HEAT_K) {
      n++;
      from = h;
    }
  return n;
}

/** The same answer for the same bakes, worked out once. */
function remembered(fits: Resource['fits']): Resource['fits'] {
  const known = new Map<string, boolean>();
  return (uses) => {
    const key = uses
      .map((u) => u.bake)
      .sort((a, b) => a - b)
      .join();
    let yes = known.get(key);
    if (yes === undefined) known.set(key, (yes = fits(uses)));
    return yes;
  };
}

/** Whether some tins go into one oven at once. */
const fitsIn = (tins: readonly TinUse[], oven: Oven): boolean => rackPlan(tins, oven).left === 0;

/**
 * The network of a day. Variables are starts of activities, in whole minutes from `origin`; links are least and longest
 * distances; resources are hands, mixer, bowls, tins, cooling racks and ovens.
 *
 * @param origin instant that minute 0 stands for, ms since 1970
 * @param now minute before which nothing starts that has not started
 */
function modelOf(
  bakes: readonly DayBake[],
  kitchen: Kitchen,
  origin: number,
  serveMin: readonly number[],
  now: number,
  options: DayOptions,
): DayModel {
  const built = shifted(bakes.map((b) => partsOf(b, kitchen)));
  const activities = built.flatMap((b, bake) => b.activities.map((a) => ({ ...a, bake })));
  const n = activities.length;
  const lower = new Int32Array(n).fill(Math.ceil(now));
  const upper = new Int32Array(n).fill(2 * AHEAD_MIN);
  built.forEach((b, i) => {
    upper[b.ready] = Math.floor(serveMin[i] ?? 0);
  });
  const pins = options.pins ?? {};
  const fixed = activities.map((a, v) => {
    const pin = pins[a.id];
    if (!pin) return a;
    const at = Math.round((pin.at - origin) / 60_000);
    lower[v] = at;
    upper[v] = Math.min(upper[v] as number, at);
    return a;
  });
  // what is done is a fact: it binds what follows it, and nothing binds it
  const done = activities.map((a) => options.done?.[a.id]);
  done.forEach((ms, v) => {
    if (ms === undefined) return;
    const at = Math.round((ms - origin) / 60_000);
    lower[v] = at;
    upper[v] = at;
  });
  const isDone = (v: number): boolean => done[v] !== undefined;
  const all = built.flatMap((b) => b.links);
  const links = all.filter((l) => !isDone(l.to) && (!isDone(l.from) || l.min >= 0));
  // what should follow a fact within a time does so, or as soon as it still can
  for (const l of all)
    if (isDone(l.to) && !isDone(l.from))
      upper[l.from] = Math.min(upper[l.from] as number, Math.max(Math.ceil(now) + SOON_MIN, (upper[l.to] as number) - l.min)); // prettier-ignore

  const minutesAt = (v: number): number => fixed[v]?.minutes ?? 0;
  const whole = (v: number): { start: number; startBy: number; end: number; endBy: number } => ({
    start: v,
    startBy: 0,
    end: v,
    endBy: minutesAt(v),
  });
  const at = (bake: number, v: number): Use => ({ bake, ...whole(v) });
  const people = Math.max(1, Math.floor(options.people ?? kitchen.people ?? 1));
  const most =
    (k: number) =>
    (uses: readonly Use[]): boolean =>
      uses.length <= k;
  const hands: Resource = {
    id: 'hands',
    name: people === 1 ? 'the hands have something else to do' : 'all hands have something else to do',
    uses: fixed.flatMap((a, v) => (a.hands && !isDone(v) ? [at(a.bake, v)] : [])),
    fits: most(people),
  };
  const mixer: Resource = {
    id: 'mixer',
    name: 'the mixer is in use',
    uses: built.flatMap((b, i) => b.mixers.filter((v) => !isDone(v)).map((v) => at(i, v))),
    fits: most(1),
  };
  const bowls = [...kitchen.bowls]
    .map((b) => b.ml)
    .filter((ml) => ml > 0)
    .sort((a, b) => b - a);
  const needs = bakes.map((b) => bowlNeed(b, kitchen));
  const bowl: Resource = {
    id: 'bowls',
    name: 'the bowls are in use',
    uses: built.map((b, i) => ({ bake: i, start: b.blockStart, startBy: 0, end: b.blockEndVar, endBy: b.blockEndBy })),
    // the largest need takes the largest bowl; one that is too big for all of them is mixed in parts
    fits: (uses) =>
      bowls.length === 0 ||
      (uses.length <= bowls.length &&
        [...uses]
          .map((u) => Math.min(needs[u.bake] ?? 0, bowls[0] as number))
          .sort((a, b) => b - a)
          .every((ml, i) => ml <= (bowls[i] as number))),
  };
  const tins = tinResources(bakes, built, kitchen);
  const area = bakes.map((b) => (b.formula.tins ?? []).reduce((s, t) => s + t.count * footprint(t.tin).wide * footprint(t.tin).deep, 0)); // prettier-ignore
  const racks = (kitchen.coolingRacks ?? 2) * RACK_MM2;
  const cooling: Resource = {
    id: 'racks',
    name: 'the cooling racks are full',
    uses: built.map((b, i) => ({ bake: i, start: b.rackVar, startBy: 0, end: b.rackVar, endBy: b.rackBy + (familyOf((bakes[i] as DayBake).formula.family).coolRackMin) })), // prettier-ignore
    // one bake always finds a place, however large
    fits: (uses) => uses.length < 2 || uses.reduce((s, u) => s + (area[u.bake] ?? 0), 0) <= racks,
  };
  const before = [hands, mixer, bowl, ...tins, cooling];
  const settings = bakes.map((b) => settingOf(b, kitchen));
  const heats = settings.map(bakeHeat);
  const kit: readonly Oven[] =
    kitchen.ovens.length > 0 ? kitchen.ovens : [{ id: 'oven', name: 'Oven', litres: 60, fan: false }];
  const ovens: Resource[] = kit.map((oven) => ({
    id: oven.id,
    name: `the ${oven.name.toLowerCase()} is in use`,
    chosen: true,
    uses: built.map((b, i) => ({ bake: i, start: b.into, startBy: 0, end: b.into, endBy: b.late + 2 })),
    fits: remembered(
      (uses) =>
        spread(uses.map((u) => heats[u.bake] ?? 0)) <= SAME_HEAT_K &&
        uses.every((u) => uses.length === 1 || (settings[u.bake]?.stages?.length ?? 0) === 0) &&
        (uses.length < 2 ||
          fitsIn(
            uses.flatMap((u) => (built[u.bake] as Built).together),
            oven,
          )),
    ),
    gap: (a, b) => changeOverMin(heats[a.bake] ?? 0, heats[b.bake] ?? 0),
  }));
  const may = bakes.map(
    (b, n) =>
    kit.map((oven, i) => ({ oven, i, room: fitsIn((built[n] as Built).together, oven) })).filter(({ oven }) => !b.ovenIds || b.ovenIds.includes(oven.id)), // prettier-ignore
  );
  const chosen = bakes.map((_, n) => {
    const all = may[n] ?? [];
    const room = all.filter((x) => x.room);
    // the oven of its kind first, the fan oven for a fan setting
    const fan = settings[n]?.fan ?? false;
    return (room.length > 0 ? room : all.slice(0, 1))
      .sort((x, y) => Number(x.oven.fan !== fan) - Number(y.oven.fan !== fan))
      .map(({ i }) => before.length + i);
  });
  const resources = [...before, ...ovens].map((r) => ({
    ...r,
    uses: r.uses
      .filter((u) => !isDone(u.end) || u.end === u.start)
      .map((u) => (isDone(u.start) ? { ...u, fact: true } : u)),
  }));
  return {
    model: {
      n,
      links,
      lower,
      upper,
      resources,
      weightiest: resources
        .map((r, i) => ({
          i,
          rank: r.id.startsWith('tin:') ? 0 : r.chosen ? 1 : r.id === 'hands' ? 4 : r.id === 'mixer' ? 3 : 2,
        }))
        .sort((a, b) => a.rank - b.rank)
        .map(({ i }) => i),
      ovens: chosen,
      begins: built.map((b) => b.begin),
      starts: fixed.map((_, v) => v).filter((v) => !isDone(v)),
      heats: clusters(heats),
      fronts: built
        .filter((b) => ![b.begin, b.blockStart, b.blockEndVar, b.into].some(isDone))
        .map((b) => ({ ends: b.into, by: minutesAt(b.into), minutes: b.front })),
      works: fixed.flatMap((a, v) => (a.hands && !isDone(v) ? [{ start: v, minutes: a.minutes }] : [])),
      people,
      plain: built
        .filter((b) => b.tins !== b.begin)
        .map((b) => ({ from: b.tins, to: b.begin, min: minutesAt(b.tins), why: 'the tin is got ready first' })),
    },
    activities: fixed,
    origin,
    bakes: built.map((b, i) => ({
      into: b.into,
      late: b.late,
      heat: heats[i] ?? 180,
      need: b.need,
      serve: serveMin[i] ?? 0,
      fits: (may[i] ?? []).some((x) => x.room),
    })),
    settings,
    ovens: kit,
  };
}

const known = new WeakMap<DayBake, { readonly kitchen: Kitchen; readonly parts: Built }>();

/** A bake's activities, worked out once: the same bake is asked about many times while a day is looked for. */
function partsOf(bake: DayBake, kitchen: Kitchen): Built {
  const had = known.get(bake);
  if (had?.kitchen === kitchen) return had.parts;
  const parts = build(bake, kitchen);
  known.set(bake, { kitchen, parts });
  return parts;
}

/** Bakes one after another in the numbering of variables. */
function shifted(all: readonly Built[]): Built[] {
  let base = 0;
  return all.map((b) => {
    const by = base;
    base += b.activities.length;
    return {
      ...b,
      links: b.links.map((l) => ({ ...l, from: l.from + by, to: l.to + by })),
      into: b.into + by,
      blockStart: b.blockStart + by,
      blockEndVar: b.blockEndVar + by,
      tins: b.tins + by,
      rackVar: b.rackVar + by,
      ready: b.ready + by,
      begin: b.begin + by,
      mixers: b.mixers.map((v) => v + by),
    };
  });
}

/** Millilitres of bowl a batter wants, with room to stir. */
function bowlNeed(b: DayBake, kitchen: Kitchen): number {
  const w = weigh(b.formula, kitchen);
  return w.totals.batterG / Math.max(0.3, densityOf(w.totals, w.family)) / 0.6;
}

/** A tin that two bakes want is used by one after the other. A kitchen owns as many as its largest need of one bake. */
function tinResources(bakes: readonly DayBake[], built: readonly Built[], kitchen: Kitchen): Resource[] {
  const ids = [...new Set(bakes.flatMap((b) => (b.formula.tins ?? []).map((t) => t.tin.id)))];
  return ids.flatMap((id) => {
    const need = bakes.map((b) => (b.formula.tins ?? []).filter((t) => t.tin.id === id).reduce((s, t) => s + t.count, 0)); // prettier-ignore
    const tin = bakes.flatMap((b) => b.formula.tins ?? []).find((t) => t.tin.id === id)?.tin;
    if (!tin || tin.shape === 'mound' || tin.shape === 'slab') return [];
    const owned = Math.max(1, ...need, kitchen.tins.filter((t) => t.id === id).length);
    if (need.filter((x) => x > 0).length < 2) return [];
    const uses = built.flatMap((b, i): Use[] =>
      (need[i] ?? 0) > 0
        ? [{ bake: i, start: b.tins, startBy: 0, end: b.rackVar, endBy: b.rackBy + TIN_AGAIN_MIN }]
        : [],
    );
    return [
      {
        id: `tin:${id}`,
        name: `the ${tin.name} is in use`,
        uses,
        fits: (set: readonly Use[]): boolean => set.reduce((s, u) => s + (need[u.bake] ?? 0), 0) <= owned,
      },
    ];
  });
}

/** Nodes searched, at most: exact for three bakes, a second's work for more. */
export const nodesFor = (n: number): number => (n <= 3 ? 60_000 : 2_500);

/** The model of a day that is to be ready `laterMin` after the wish, each bake at its own time; `now` in ms, or none. */
export function dayModel(
  bakes: readonly DayBake[],
  kitchen: Kitchen,
  serveAt: number,
  now: number | null,
  options: DayOptions,
  laterMin: readonly number[] = [],
): DayModel {
  const origin = serveAt - AHEAD_MIN * 60_000;
  const serve = bakes.map((b, i) => ((b.serveAt ?? serveAt) - origin) / 60_000 + (laterMin[i] ?? 0));
  return modelOf(bakes, kitchen, origin, serve, now === null ? 0 : Math.max(0, (now - origin) / 60_000), options);
}
