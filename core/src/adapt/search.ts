import type { Formula } from '../formula/types.js';
import { weigh, type Weighed } from '../balance/weigh.js';
import { formulaWith, type Bowl, type Move } from './bowl.js';
import {
  combine,
  constant,
  minus,
  plus,
  scaled,
  term,
  valueOf,
  type Limits,
  type Linear,
  type Solver,
} from './linear.js';
import { modelOf, type BandRow, type Model, type Weights } from './model.js';
import { tidy } from '../quantity/steps.js';
import type { Wish } from './types.js';
import { isMet, rowsOf, stockLimits } from './wishes.js';

/** A weighed solution. */
export interface Found {
  readonly kind: 'found';
  readonly formula: Formula;
  /** Weight of each line of the bowl. */
  readonly grams: readonly number[];
  readonly weighed: Weighed;
  readonly touched: readonly number[];
  /** Every wish is met, by the full assessment. */
  readonly met: boolean;
}

export interface Terms {
  readonly wishes: readonly Wish[];
  readonly weights: Weights;
  /** The straying may not rise above this; left out, it is only kept small. */
  readonly maxStray?: number;
  /** Bands that may not be further outside than this (in widths), by id. */
  readonly bandLimit?: ReadonlyMap<BandRow['id'], number>;
  /** Wishes bend, at this cost for a whole unit, instead of having to hold. */
  readonly bending?: number;
  /** Sets of lines that may not all be touched again, for another way. */
  readonly notAgain?: readonly (readonly number[])[];
}

export type Searched = Found | { readonly kind: 'infeasible' } | { readonly kind: 'limit' };

/** Linearised once, and then looked at again from where the solution was, so often. */
const PASSES = 4;
/** What the full assessment may find above what the programme said. */
const SURPRISE = 0.02;

/**
 * Weighs, linearises, solves, weighs the solution in full, and does so again from there until the two agree. The stock
 * of the kitchen holds in every search.
 */
export function search(bowl: Bowl, asked: Terms, solver: Solver, limits: Limits): Searched {
  const terms: Terms = { ...asked, wishes: [...asked.wishes, ...stockLimits(bowl, asked.wishes)] };
  let at = bowl.start;
  let grams: readonly number[] = bowl.moves.map((m) => m.fixedG ?? m.fromG);
  let best: Found | null = null;
  for (let pass = 0; pass < PASSES; pass++) {
    const rough = programmeOf(bowl, at, terms, grams);
    const first = rough.programme.solve(solver, limits);
    if (first.kind !== 'solved') return best ?? first;
    const quick = roundedOff(bowl, rough, first.values, terms);
    if (quick) return quick;
    // the same again with whole steps, for the lines that it touches
    const fine = programmeOf(bowl, at, terms, grams, stepsOf(bowl, first.values));
    const second = fine.programme.solve(solver, limits);
    const all = second.kind === 'solved' ? null : programmeOf(bowl, at, terms, grams, new Map());
    const third = all?.programme.solve(solver, limits);
    const model = third?.kind === 'solved' && all ? all : fine;
    const answer = third ?? second;
    if (answer.kind !== 'solved') return best ?? answer;
    grams = gramsIn(bowl, model, answer.values);
    const found = weighedUp(bowl, grams, terms.wishes);
    const { weighed } = found;
    const said = saidOf(model, answer.values);
    const agrees = weighed.stray <= said + spared(bowl) + SURPRISE && (found.met || terms.bending !== undefined);
    if (!best || better(found, best)) best = found;
    if (agrees) return found;
    at = weighed;
  }
  return best ?? { kind: 'limit' };
}

/** Whether anything could hold at all, steps aside: one quick programme, from where the bowl starts. */
export function feasible(bowl: Bowl, terms: Terms, solver: Solver, limits: Limits): boolean {
  const grams = bowl.moves.map((m) => m.fixedG ?? m.fromG);
  return programmeOf(bowl, bowl.start, terms, grams).programme.solve(solver, limits).kind !== 'infeasible';
}

const gramsIn = (bowl: Bowl, model: Model, values: ReadonlyMap<string, number>): number[] =>
  bowl.moves.map((_, i) => tidy(Math.max(0, valueOf(model.amount(i), values))));
/** How far outside the ranges it may stay, as it was before. */
const spared = (bowl: Bowl): number => [...(bowl.excused?.values() ?? [])].reduce((s, x) => s + x, 0);
/** The straying as the programme sees it. */
const saidOf = (model: Model, values: ReadonlyMap<string, number>): number =>
  model.bands.reduce((s, b) => s + (values.get(b.slack) ?? 0), 0);

/** Weighs up a solution in full. */
function weighedUp(bowl: Bowl, grams: readonly number[], wishes: readonly Wish[]): Found {
  const formula = formulaWith(bowl, grams);
  const weighed = weigh(formula, bowl.kitchen);
  const moved = (m: Move, i: number): boolean =>
    Math.abs((grams[i] ?? 0) - m.line.item.grams) > 0.005 && (m.fixedG === null || m.fixedG !== m.line.grams);
  return {
    kind: 'found',
    formula,
    grams,
    weighed,
    touched: bowl.moves.flatMap((m, i) => (moved(m, i) ? [i] : [])),
    met: wishes.every((w) => isMet(w, formula, weighed, bowl.kitchen, bowl.formula)),
  };
}

/** A touch that costs no more than this need not be weighed against what it is for. */
const LIGHTLY = 0.7;
/** A change of less than this share of a line is let go where nothing hangs on it. */
const SLIGHT = 0.05;

/**
 * The first answer with each line put on its nearest step, and slight changes let go where the full assessment does not
 * miss them; null where that leaves more to mend than the answer did, or breaks a wish.
 */
function roundedOff(bowl: Bowl, model: Model, values: ReadonlyMap<string, number>, terms: Terms): Found | null {
  if (terms.weights.touch > LIGHTLY || terms.bending !== undefined || terms.bandLimit !== undefined) return null;
  const enough = saidOf(model, values) + spared(bowl) + 0.005;
  const good = (f: Found): boolean => f.met && f.weighed.stray <= enough;
  let grams = gramsIn(bowl, model, values).map((g, i) => {
    const m = bowl.moves[i];
    return !m || m.fixedG !== null || stays(m, values, i)
      ? (m?.fixedG ?? m?.fromG ?? g)
      : tidy(Math.round(g / m.step) * m.step);
  });
  let found = weighedUp(bowl, grams, terms.wishes);
  if (!good(found)) return null;
  const slight = bowl.moves
    .map((m, i) => ({ i, by: Math.abs((grams[i] ?? 0) - m.fromG) / Math.max(m.fromG, 1e-6), m }))
    .filter(({ m, by }) => m.fixedG === null && m.candidate === null && by > 0 && by < SLIGHT);
  for (const { i, m } of slight.sort((a, b) => a.by - b.by)) {
    const without = grams.map((g, j) => (j === i ? m.fromG : g));
    const tried = weighedUp(bowl, without, terms.wishes);
    if (good(tried)) [grams, found] = [without, tried];
  }
  return found;
}

/** The programme of a search: the model, the wishes as rows, and the search's own terms. */
function programmeOf(
  bowl: Bowl,
  at: Weighed,
  terms: Terms,
  grams: readonly number[],
  about?: ReadonlyMap<number, number | null>,
): Model {
  const model = modelOf(bowl, at, terms.weights, about);
  const p = model.programme;
  let bent = 0;
  for (const wish of terms.wishes)
    for (const row of rowsOf(wish, bowl, model, grams)) {
      const give: Linear = terms.bending === undefined ? constant(0) : p.slack(`w${bent++}`, terms.bending);
      p.row(plus(row.e, scaled(give, row.sense === '>=' ? row.unit : -row.unit)), row.sense);
    }
  if (terms.bending !== undefined) {
    // or a smaller batch would pass for a smaller miss
    const g = bowl.moves.reduce((sum, m) => sum + (m.candidate ? 0 : m.line.grams), 0);
    p.row(minus(model.total('batter'), constant(1.1 * g)), '<=');
    p.row(minus(model.total('batter'), constant(0.9 * g)), '>=');
    const flourG = Math.max(1, bowl.like.totals.flourG);
    const off = p.slack('flour', (2 * terms.bending) / flourG);
    p.row(plus(model.total('flour'), scaled(constant(flourG), -1), scaled(off, -1)), '<=');
    p.row(plus(model.total('flour'), scaled(constant(flourG), -1), off), '>=');
  }
  sameBatch(bowl, model);
  if (terms.maxStray !== undefined)
    p.row(combine([...model.bands.map((b) => [term(b.slack), 1] as const), [constant(terms.maxStray), -1]]), '<=');
  for (const b of model.bands) {
    const most = terms.bandLimit?.get(b.id);
    if (most !== undefined) p.row(minus(term(b.slack), constant(most)), '<=');
  }
  for (const set of bowl.request.oneOf ?? []) {
    const some = bowl.moves.flatMap((m, i) => (set.includes(m.line.item.id) && about?.get(i) !== null ? [i] : []));
    if (some.length > 0) p.row(combine([...some.map((i) => [term(`y${i}`), 1] as const), [constant(-1), 1]]), '=');
  }
  for (const set of terms.notAgain ?? []) {
    const still = set.filter((i) => about?.get(i) !== null);
    if (still.length === set.length)
      p.row(combine([...set.map((i) => [term(`y${i}`), 1] as const), [constant(set.length - 1), -1]]), '<=');
  }
  return model;
}

/** Most that a batter, and its flour, may come to differ from what it was, as shares: beyond, it is another recipe. */
export const SAME_BATTER = 0.15;
export const SAME_FLOUR = 0.1;

function sameBatch({ keeps, moves }: Bowl, { programme: p, total }: Model): void {
  const within = (e: Linear, was: number, by: number): void => {
    p.row(plus(e, constant(-was * (1 + by))), '<=');
    p.row(plus(e, constant(-was * (1 - by))), '>=');
  };
  // what is locked or held may leave no room for more
  if (moves.every((m) => m.fixedG !== null)) return;
  within(total('batter'), keeps.batterG, SAME_BATTER);
  if (keeps.flourG !== null && keeps.flourG > 0) within(total('flour'), keeps.flourG, SAME_FLOUR);
  for (const { of, low, high } of keeps.figures) {
    p.row(plus(total(of), constant(-high)), '<=');
    p.row(plus(total(of), constant(-low)), '>=');
  }
}

/** The first answer in steps: null for a line that it leaves alone. */
function stepsOf(bowl: Bowl, values: ReadonlyMap<string, number>): ReadonlyMap<number, number | null> {
  return new Map(
    bowl.moves.flatMap((m, i): (readonly [number, number | null])[] =>
      m.fixedG !== null ? [] : [[i, stays(m, values, i) ? null : (values.get(`n${i}`) ?? 0)]],
    ),
  );
}

function stays(m: Move, values: ReadonlyMap<string, number>, i: number): boolean {
  const y = values.get(`y${i}`);
  return y === undefined ? Math.abs((values.get(`n${i}`) ?? 0) * m.step - m.fromG) < 0.5 * m.step : y < 0.5;
}

const better = (a: Found, b: Found): boolean => (a.met !== b.met ? a.met : a.weighed.stray < b.weighed.stray - 1e-9);
