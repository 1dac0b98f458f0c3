import type { FamilyId } from '../formula/types.js';
import type { Fitted } from './expect.js';
import type { Telling } from './fit.js';
import { batterOf, saidOfOrdinary, type Ordinary } from './formulas.js';
import { groundOf, type Ground } from './ground.js';
import { unpack, type Packed } from './packed.js';
import { slips } from './slips.js';
import { measures, viewOfLines, type Measured, type View } from './view.js';

/** All that a formula is judged with: the ordinary formulas, what was fitted to them, and how odd they look themselves. */
export interface Model {
  readonly ground: Ground;
  readonly fitted: Readonly<Record<Measured, Fitted>>;
  readonly telling: Telling;
  /** Log odds of any slip that 0, 1 … 100 % of the ordinary formulas have when they are judged by the others; falling. */
  readonly odds: readonly number[];
}

/** What `npm run fit` writes into weights.ts. */
export interface Weights {
  readonly expected: Readonly<
    Record<
      Measured,
      {
        readonly mean: number;
        readonly sd: number;
        readonly miss: number;
        readonly alpha: Packed;
        readonly misses: Packed;
      }
    >
  >;
  readonly telling: { readonly clues: number; readonly sd: Packed; readonly rows: Packed };
  readonly odds: readonly number[];
}

/** The ordinary formulas and what was fitted to them; apart from what works with them, since they are large. */
export interface JudgementData {
  readonly formulas: () => readonly Ordinary[];
  readonly weights: Weights;
}

let data: JudgementData | null = null;
let model: Model | null = null;

/** Gives what formulas are judged with, once: in Node at once, on a page when it has drawn. */
export function giveJudgement(given: JudgementData): void {
  data ??= given;
}

/** Formulas between two rests: a few milliseconds' worth. */
const STRETCH = 40;

/** Makes the model ready in stretches of a few milliseconds, so that a page can do something else between them. */
export function* makingModel(): Generator<void, void> {
  if (model || !data) return;
  const all = data.formulas();
  yield;
  const seen: { view: View; family: FamilyId }[] = [];
  for (const [i, f] of all.entries()) {
    const view = viewOfLines(batterOf(f), saidOfOrdinary(f));
    if (view) seen.push({ view, family: f.families[0] ?? 'free' });
    if (i % STRETCH === STRETCH - 1) yield;
  }
  const ground = groundOf(
    seen.map((v) => v.view),
    seen.map((v) => v.family),
  );
  yield;
  const { expected, telling: t, odds } = data.weights;
  const fitted = {} as Record<Measured, Fitted>;
  for (const m of measures) {
    const { mean, sd, miss, alpha, misses } = expected[m];
    fitted[m] = { mean, sd, miss, alpha: unpack(alpha, ground.n), misses: unpack(misses, ground.n) };
  }
  yield;
  const p = t.clues + 1;
  const classes = slips.length + 1;
  const telling = { classes, sd: unpack(t.sd, p), rows: unpack(t.rows, classes * p) };
  model = { ground, fitted, telling, odds };
}

/** The model; null until what it is made of was given. */
export function theModel(): Model | null {
  if (!model && data) for (const _ of makingModel());
  return model;
}

/** Share of the ordinary formulas that look as odd as that or odder, 0–1. */
export function oddEnough(any: number, odds: readonly number[]): number {
  let i = odds.findIndex((o) => o <= any);
  if (i < 0) return 1;
  if (i === 0) return 0;
  const [above, below] = [odds[i - 1] as number, odds[i] as number];
  i += above > below ? -(any - below) / (above - below) : 0;
  return i / (odds.length - 1);
}
