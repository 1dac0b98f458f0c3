import { linksInto, makeLatest, type Link } from './network.js';
import {
  branches,
  changesIn,
  conflict,
  scoreOf,
  worse,
  type Model,
  type Node,
  type Order,
  type Score,
} from './orders.js';

export interface Found {
  readonly x: Int32Array;
  /** The oven of each bake, by its place in `resources`. */
  readonly oven: readonly number[];
  /** The links that settle who comes first, and all of them. */
  readonly orders: readonly Link[];
  readonly links: readonly Link[];
  readonly score: Score;
  /** True when nothing better exists. */
  readonly exact: boolean;
  /** The best that is not ruled out; the same as `score` when exact. */
  readonly bound: Score;
  readonly nodes: number;
}

const everyone = (): boolean => true;

/** What a day without conflicts really comes to. */
function scored(m: Model, node: Node): Score {
  let begins = 0;
  for (const v of m.begins) begins += node.upper[v] as number;
  let start = Infinity;
  for (const v of m.starts) start = Math.min(start, node.upper[v] as number);
  return { begins, start, heatings: changesIn(m, node).length + new Set(node.ovens.map((o) => o[0])).size };
}

/** Takes bakes in one after another, each conflict settled the best way at once; null when that leads nowhere. */
function dive(
  m: Model,
  into: readonly (readonly Link[])[],
  root: Node,
  turn: readonly number[],
  order: Order,
): Node | null {
  const taken = new Set<number>();
  let node = root;
  for (const bake of turn) {
    taken.add(bake);
    for (let left = 400; ; left--) {
      const found = conflict(m, node, (b) => taken.has(b));
      if (!found) break;
      const best = branches(m, into, node, found.resource, found.uses, order).at(-1);
      if (!best || left === 0) return null;
      node = best;
    }
  }
  return node;
}

/** Bakes wholly one after another, which can always be had when there is time enough; the first of `turn` comes last. */
function oneByOne(m: Model, into: readonly (readonly Link[])[], root: Node, turn: readonly number[]): Node | null {
  const more: Link[] = [...m.plain];
  turn.forEach((later, i) => {
    for (const earlier of turn.slice(i + 1))
      for (const [at, r] of m.resources.entries())
        for (const a of r.uses.filter((u) => u.bake === earlier))
          for (const b of r.uses.filter((u) => u.bake === later))
            if (!r.chosen || root.ovens[earlier]?.[0] === at)
              more.push({ from: a.end, to: b.start, min: a.endBy + (r.gap?.(a, b) ?? 0) - b.startBy, why: r.name });
  });
  const upper = Int32Array.from(root.upper);
  const every = Array.from({ length: m.n }, (_, i) => i);
  if (!makeLatest(upper, m.lower, into, more, every)) return null;
  const node: Node = { ...root, upper, more, ovens: root.ovens.map((o) => o.slice(0, 1)) };
  return conflict(m, node, everyone) ? null : node;
}

/** Good days to begin with: bakes taken in one after another, those that go in last first, and then with two swapped. */
function goodStart(
  m: Model,
  into: readonly (readonly Link[])[],
  root: Node,
  order: Order,
  tries: number,
): { node: Node; score: Score } | null {
  const bakes = m.ovens.map((_, i) => i);
  const late = [...bakes].sort((a, b) => (root.upper[m.begins[b] ?? 0] as number) - (root.upper[m.begins[a] ?? 0] as number)); // prettier-ignore
  let best: { node: Node; score: Score; turn: number[] } | null = null;
  const attempt = (turn: number[]): boolean => {
    const node = dive(m, into, root, turn, order) ?? (best ? null : oneByOne(m, into, root, turn));
    if (!node) return false;
    const score = scored(m, node);
    if (best && !worse(best.score, score, order)) return false;
    best = { node, score, turn };
    return true;
  };
  attempt(late);
  attempt([...late].reverse());
  let left = tries;
  for (let better = true; better && left > 0;) {
    better = false;
    const turn = (best as { turn: number[] } | null)?.turn ?? late;
    for (let i = 0; i < turn.length && left > 0; i++)
      for (let j = i + 1; j < turn.length && left > 0; j++) {
        const next = [...turn];
        [next[i], next[j]] = [turn[j] as number, turn[i] as number];
        left--;
        if (attempt(next)) better = true;
      }
  }
  return best;
}

/** A day found before, in another model of the same bakes. */
function again(
  m: Model,
  into: readonly (readonly Link[])[],
  root: Node,
  hint: Found,
): { node: Node; score: Score } | null {
  const upper = Int32Array.from(root.upper);
  const every = Array.from({ length: m.n }, (_, i) => i);
  if (!makeLatest(upper, m.lower, into, hint.orders, every)) return null;
  const node: Node = { upper, more: hint.orders, ovens: hint.oven.map((o) => [o]), settled: [], score: root.score };
  return conflict(m, node, everyone) ? null : { node, score: scored(m, node) };
}

/** Turns that are tried to begin with when there are more than three bakes. */
const TRIES = 120;

/**
 * Finds the best day. Whatever order the shared things are used in, the latest day that keeps it is known at once
 * (`makeLatest`), and it is the best with that order; so only the orders are searched. A node's latest day is a bound
 * for all below it; where it uses something twice at once, one of the uses has to come first, or another oven is taken:
 * each is a branch. When all branches are looked at or ruled out, the day found is the best there is.
 *
 * @param maxNodes nodes to look at, at most; results repeat, whatever the machine
 * @param anyWill whether to stop at the first day found
 * @param hint a day found for the same bakes with another order or another time, to begin with
 * @returns null when there is no such day
 */
export function bestDay(m: Model, order: Order, maxNodes: number, hint?: Found | null, anyWill = false): Found | null {
  const into = linksInto(m.n, m.links);
  const root = Int32Array.from(m.upper);
  if (
    !makeLatest(
      root,
      m.lower,
      into,
      [],
      Array.from({ length: m.n }, (_, i) => i),
    )
  )
    return null;
  const top: Node = { upper: root, more: [], ovens: m.ovens, settled: [], score: scoreOf(m, root) };
  const stack: Node[] = [top];
  let best: { node: Node; score: Score } | null =
    m.ovens.length > 2
      ? goodStart(m, into, top, order, m.ovens.length > 3 && !anyWill ? Math.min(TRIES, Math.ceil(maxNodes / 25)) : 0)
      : null;
  const hinted = hint ? again(m, into, top, hint) : null;
  if (hinted && (!best || worse(best.score, hinted.score, order))) best = hinted;
  let nodes = 0;
  while (stack.length > 0 && nodes < maxNodes && !(anyWill && best)) {
    const node = stack.pop() as Node;
    if (best && !worse(best.score, node.score, order)) continue;
    nodes++;
    const found = conflict(m, node, everyone);
    if (found) {
      stack.push(...branches(m, into, node, found.resource, found.uses, order));
      continue;
    }
    const changed = changesIn(m, node);
    const score = scored(m, node);
    if (!best || worse(best.score, score, order)) best = { node, score };
    // as good otherwise, with fewer heatings?
    if (score.heatings <= m.heats) continue;
    const open = changed.find((c) => !node.settled.includes(`${c.resource}:${c.a.bake}<${c.b.bake}`));
    if (open) stack.push(...branches(m, into, node, open.resource, [open.a, open.b], order));
  }
  if (!best) return null;
  const left = stack.filter((n) => worse((best as { score: Score }).score, n.score, order));
  const bound = left.reduce((b, n) => (worse(b, n.score, order) ? n.score : b), best.score);
  return {
    x: best.node.upper,
    oven: best.node.ovens.map((o) => o[0] ?? -1),
    orders: best.node.more,
    links: [...m.links, ...best.node.more],
    score: best.score,
    exact: left.length === 0,
    bound: left.length === 0 ? best.score : bound,
    nodes,
  };
}
