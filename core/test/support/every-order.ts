import type { DayModel } from '../../src/day/model.js';
import type { Score, Use } from '../../src/day/orders.js';

interface Arc {
  readonly from: number;
  readonly to: number;
  readonly min: number;
}

/** The latest times that some arcs allow, none later than `from`, by trying all arcs again and again; null when there are none. */
function latest(m: DayModel, arcs: readonly Arc[], from: Int32Array): Int32Array | null {
  const x = Int32Array.from(from);
  // times that go on falling are a circle that cannot be met
  for (let round = 0; round <= 40; round++) {
    let moved = false;
    for (const a of arcs) {
      const at = (x[a.to] as number) - a.min;
      if (at < (x[a.from] as number)) {
        x[a.from] = at;
        moved = true;
      }
    }
    if (!moved) return x.some((v, i) => v < (m.model.lower[i] as number)) ? null : x;
  }
  return null;
}

const better = (a: Score, b: Score): boolean =>
  a.begins !== b.begins ? a.begins > b.begins : a.start !== b.start ? a.start > b.start : a.heatings < b.heatings;

/**
 * The best day by trying every order of all hands' work, for one pair of hands, with every choice of ovens. An order is
 * left only when the days it could still become are all worse. It knows nothing of how the planner searches.
 */
export function bestOfEveryOrder(m: DayModel): Score | null {
  const { model } = m;
  const hands = m.activities.map((a, v) => ({ a, v })).filter(({ a }) => a.hands);
  // what has to come after what, within a bake, through any number of links
  const comesAfter = hands.map(({ v }) => reach(model.n, model.links, v));
  const ovens = model.resources.map((r, i) => ({ r, i })).filter(({ r }) => r.chosen);
  const tins = model.resources.filter((r) => r.id.startsWith('tin:'));
  const choices = model.ovens.reduce<number[][]>((all, may) => all.flatMap((c) => may.map((o) => [...c, o])), [[]]);
  let best: Score | null = null;

  const scoreOf = (x: Int32Array, heatings: number): Score => ({
    begins: model.begins.reduce((s, v) => s + (x[v] as number), 0),
    start: Math.min(...model.starts.map((v) => x[v] as number)),
    heatings,
  });

  /** Who is done with a thing before whom, as the order of hands' work has it; null when both want it at once. */
  const separate = (
    uses: readonly Use[],
    order: readonly number[],
    ends: (u: Use) => number,
    fits: (u: readonly Use[]) => boolean,
    gap: (a: Use, b: Use) => number,
  ): Arc[] | null => {
    const arcs: Arc[] = [];
    for (const [i, a] of uses.entries())
      for (const b of uses.slice(i + 1)) {
        if (fits([a, b])) continue;
        const place = (v: number): number => order.indexOf(v);
        if (place(ends(a)) < place(b.start))
          arcs.push({ from: a.end, to: b.start, min: a.endBy + gap(a, b) - b.startBy });
        else if (place(ends(b)) < place(a.start))
          arcs.push({ from: b.end, to: a.start, min: b.endBy + gap(b, a) - a.startBy });
        else return null;
      }
    return arcs;
  };

  const finish = (order: readonly number[], arcs: readonly Arc[], all: Int32Array): void => {
    const tinArcs = tins.map((r) =>
      separate(
        r.uses,
        order,
        (u) => u.end,
        r.fits,
        () => 0,
      ),
    );
    if (tinArcs.some((t) => t === null)) return;
    for (const choice of choices) {
      const outOf = (u: Use): number => m.activities.findIndex((a) => a.bake === u.bake && a.kind === 'out');
      const ovenArcs = ovens.map(({ r, i }) =>
        separate(
          r.uses.filter((u) => choice[u.bake] === i),
          order,
          outOf,
          r.fits,
          (a, b) => r.gap?.(a, b) ?? 0,
        ),
      );
      if (ovenArcs.some((o) => o === null)) continue;
      const x = latest(m, [...arcs, ...tinArcs.flatMap((t) => t ?? []), ...ovenArcs.flatMap((o) => o ?? [])], all);
      if (!x) continue;
      let heatings = new Set(choice).size;
      for (const { r, i } of ovens) {
        const list = r.uses.filter((u) => choice[u.bake] === i).sort((a, b) => (x[a.start] as number) - (x[b.start] as number)); // prettier-ignore
        heatings += list.slice(1).filter((u, k) => (r.gap?.(list[k] as Use, u) ?? 0) > 0).length;
      }
      const score = scoreOf(x, heatings);
      if (!best || better(score, best)) best = score;
    }
  };

  const walk = (order: readonly number[], arcs: readonly Arc[], from: Int32Array): void => {
    const x = latest(m, arcs, from);
    if (!x || (best && !better(scoreOf(x, model.heats), best))) return;
    if (order.length === hands.length) return finish(order, arcs, x);
    // of those left, each whose followers all have their place may come next before what is placed
    const open = hands.filter(({ v }, i) => !order.includes(v) && hands.every((h) => h.v === v || order.includes(h.v) || !comesAfter[i]?.has(h.v))); // prettier-ignore
    // filling follows mixing at once: nothing comes between
    const first = m.activities[order[0] ?? -1];
    const must = first?.kind === 'fill' ? open.filter(({ a }) => a.bake === first.bake && a.kind === 'mix') : open;
    const byTime = [...must].sort((p, q) => (x[q.v] as number) + q.a.minutes - (x[p.v] as number) - p.a.minutes);
    for (const { a, v } of byTime) {
      const next = order[0];
      walk([v, ...order], next === undefined ? arcs : [...arcs, { from: v, to: next, min: a.minutes }], x);
    }
  };
  walk([], model.links, model.upper);
  return best;
}

/** Variables that come after one, by links that do not look back. */
function reach(n: number, links: readonly Arc[], from: number): ReadonlySet<number> {
  const seen = new Set<number>();
  const todo = [from];
  for (const v of todo)
    for (const l of links)
      if (l.from === v && l.min >= 0 && !seen.has(l.to)) {
        seen.add(l.to);
        todo.push(l.to);
      }
  return n > 0 ? seen : new Set();
}
