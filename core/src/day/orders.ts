import { makeLatest, type Link } from './network.js';

/** A resource taken from one variable to another, each moved by so many minutes. */
export interface Use {
  readonly bake: number;
  readonly start: number;
  readonly startBy: number;
  readonly end: number;
  readonly endBy: number;
  /** True when it has begun already. */
  readonly fact?: boolean;
}

/** What can be used by some at once but not by any number. */
export interface Resource {
  readonly id: string;
  readonly name: string;
  readonly uses: readonly Use[];
  /** Whether what these bakes use may overlap; it must hold for every part of a set for which it holds. */
  readonly fits: (uses: readonly Use[]) => boolean;
  /** Minutes that have to pass after `a` before `b`, when both may not overlap; 0 when left out. */
  readonly gap?: (a: Use, b: Use) => number;
  /** True for an oven: a bake uses it only when it is baked in it. */
  readonly chosen?: boolean;
}

/** A day as times to be found, in whole minutes: each variable a start, links between them, and what is shared. */
export interface Model {
  readonly n: number;
  readonly links: readonly Link[];
  readonly lower: Int32Array;
  readonly upper: Int32Array;
  readonly resources: readonly Resource[];
  /** Places of resources in the order their conflicts are settled: what is used for longest decides most, and comes first. */
  readonly weightiest: readonly number[];
  /** For each bake, the ovens (by their place in `resources`) it can go in, the best first. */
  readonly ovens: readonly (readonly number[])[];
  /** Where each bake's own work begins: the later, the less it waits. */
  readonly begins: readonly number[];
  /** Variables whose earliest is the start of the day. */
  readonly starts: readonly number[];
  /** Heatings that no order does without: one for each heat that is wanted. */
  readonly heats: number;
  /** Hands' work of each bake from its beginning until it is in the oven: the variable it ends before, and minutes. */
  readonly fronts: readonly { readonly ends: number; readonly by: number; readonly minutes: number }[];
  /** All of hands' work. */
  readonly works: readonly { readonly start: number; readonly minutes: number }[];
  readonly people: number;
  /** One order of each bake's own work in which it never wants its hands twice. */
  readonly plain: readonly Link[];
}

/** What is better, in this order: less waiting (later beginnings in sum), a later start, fewer heatings of an oven, from cold or to another heat. */
export interface Score {
  readonly begins: number;
  readonly start: number;
  readonly heatings: number;
}
export type Order = 'waiting first' | 'start first';

/** A part of the search: some orders settled, the rest open, and the latest day that keeps them. */
export interface Node {
  readonly upper: Int32Array;
  readonly more: readonly Link[];
  /** For each bake the ovens still open to it. */
  readonly ovens: readonly (readonly number[])[];
  /** Pairs of bakes whose order in an oven is settled. */
  readonly settled: readonly string[];
  readonly score: Score;
}

export const worse = (a: Score, b: Score, order: Order): boolean => {
  const first = order === 'waiting first' ? a.begins - b.begins : a.start - b.start;
  if (first !== 0) return first < 0;
  const second = order === 'waiting first' ? a.start - b.start : a.begins - b.begins;
  return second !== 0 ? second < 0 : a.heatings > b.heatings;
};

/** Minutes of work that follow each other, each not before its release; where the last ends. */
function workEnds(works: readonly { readonly from: number; readonly minutes: number }[]): number {
  let t = -Infinity;
  for (const w of [...works].sort((a, b) => a.from - b.from)) t = Math.max(t, w.from) + w.minutes;
  return t;
}

/** Least sum of ends of works with releases on one pair of hands, as if they could be broken off: shortest rest first. */
function sumOfEnds(works: readonly { readonly from: number; readonly minutes: number }[]): number {
  const coming = [...works].sort((a, b) => a.from - b.from);
  const rest: number[] = [];
  let t = -Infinity;
  let sum = 0;
  let i = 0;
  while (i < coming.length || rest.length > 0) {
    if (rest.length === 0) t = Math.max(t, coming[i]?.from ?? t);
    while (i < coming.length && (coming[i]?.from ?? 0) <= t) rest.push(coming[i++]?.minutes ?? 0);
    rest.sort((a, b) => b - a);
    const next = coming[i]?.from ?? Infinity;
    const left = rest.pop() as number;
    if (t + left <= next) {
      t += left;
      sum += t;
    } else {
      rest.push(left - (next - t));
      t = next;
    }
  }
  return sum;
}

/**
 * What no day below a node can better: the latest day with its orders; and, looked at backwards from the end, what so
 * many hands need for the work there is (each pair counted as one that works that many times as fast).
 */
export function scoreOf(m: Model, x: Int32Array): Score {
  let begins = 0;
  for (const v of m.begins) begins += x[v] as number;
  let start = Infinity;
  for (const v of m.starts) start = Math.min(start, x[v] as number);
  const back = (at: number, minutes: number): { from: number; minutes: number } => ({
    from: -at,
    minutes: minutes / m.people,
  });
  const all = workEnds(m.works.map((w) => back((x[w.start] as number) + w.minutes, w.minutes)));
  const fronts = sumOfEnds(m.fronts.map((f) => back((x[f.ends] as number) + f.by, f.minutes)));
  return { begins: Math.min(begins, Math.floor(-fronts)), start: Math.min(start, Math.floor(-all)), heatings: m.heats };
}

/** The smallest set of uses that overlap and may not, or a pair closer than its gap; null when all is well. */
export function conflict(
  m: Model,
  node: Node,
  among: (bake: number) => boolean,
): { resource: number; uses: readonly Use[] } | null {
  const x = node.upper;
  const from = (u: Use): number => (x[u.start] as number) + u.startBy;
  const to = (u: Use): number => (x[u.end] as number) + u.endBy;
  for (const resource of m.weightiest) {
    const uses = conflictIn(m.resources[resource] as Resource, resource);
    if (uses) return { resource, uses };
  }
  return null;

  /** What begins latest is looked at first: the day is built back from its end. */
  function conflictIn(r: Resource, resource: number): readonly Use[] | null {
    const here = r.uses.filter((u) => among(u.bake) && (!r.chosen || node.ovens[u.bake]?.[0] === resource));
    if (here.length < 2) return null;
    const list = [...here].sort((a, b) => from(b) - from(a));
    for (let i = 0; i < list.length; i++) {
      const u = list[i] as Use;
      const at = from(u);
      const over = list.filter((o, j) => j >= i && from(o) <= at && to(o) > at && (o === u || to(u) > from(u)));
      if (over.length > 1 && !r.fits(over)) {
        let least = over;
        for (const o of over) {
          const less = least.filter((q) => q !== o);
          if (less.length > 1 && !r.fits(less)) least = less;
        }
        // what has happened cannot be undone
        if (!least.every((q) => q.fact)) return least;
      }
      if (!r.gap) continue;
      for (let j = i + 1; j < list.length; j++) {
        const o = list[j] as Use;
        if (!(o.fact && u.fact) && !r.fits([o, u]) && to(o) + r.gap(o, u) > at) return [o, u];
      }
    }
    return null;
  }
}

/** Neighbours in an oven that want different heats. */
export function changesIn(m: Model, node: Node): { resource: number; a: Use; b: Use }[] {
  const x = node.upper;
  return m.resources.flatMap((r, resource) => {
    if (!r.chosen) return [];
    const list = r.uses
      .filter((u) => node.ovens[u.bake]?.[0] === resource)
      .sort((a, b) => (x[a.start] as number) - (x[b.start] as number));
    return list.slice(1).flatMap((b, i) => {
      const a = list[i] as Use;
      return (r.gap?.(a, b) ?? 0) > 0 ? [{ resource, a, b }] : [];
    });
  });
}

/** The ways out of a conflict, the best last, since the stack gives the last first. */
export function branches(
  m: Model,
  into: readonly (readonly Link[])[],
  node: Node,
  resource: number,
  uses: readonly Use[],
  order: Order,
): Node[] {
  const r = m.resources[resource] as Resource;
  const out: Node[] = [];
  const pin = (ovens: Node['ovens']): Node['ovens'] =>
    r.chosen ? ovens.map((o, b) => (uses.some((u) => u.bake === b) ? [resource] : o)) : ovens;
  for (const a of uses)
    for (const b of uses) {
      if (a === b) continue;
      const settled = `${resource}:${a.bake}<${b.bake}`;
      if (r.chosen && node.settled.includes(settled)) continue;
      const min = a.endBy + (r.gap?.(a, b) ?? 0) - b.startBy;
      const link: Link = { from: a.end, to: b.start, min, why: r.name };
      const upper = Int32Array.from(node.upper);
      const more = [...node.more, link];
      if (!makeLatest(upper, m.lower, into, more, [b.start], b.start)) continue;
      out.push({
        upper,
        more,
        ovens: pin(node.ovens),
        settled: r.chosen ? [...node.settled, settled] : node.settled,
        score: scoreOf(m, upper),
      });
    }
  if (r.chosen)
    for (const u of uses) {
      const rest = (node.ovens[u.bake] ?? []).filter((o) => o !== resource);
      if (rest.length === 0) continue;
      out.push({ ...node, ovens: node.ovens.map((o, b) => (b === u.bake ? rest : o)), score: scoreOf(m, node.upper) }); // prettier-ignore
    }
  return out.sort((a, b) => (worse(a.score, b.score, order) ? -1 : worse(b.score, a.score, order) ? 1 : 0));
}
