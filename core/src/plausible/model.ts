import type { FamilyId } from '../formula/types.js';
import type { Fitted } from './expect.js';
import type { Telling } from './fit.js';
import { batterOf, ordinaryFormulas } from './formulas.js';
import { groundOf, type Ground } from './ground.js';
import { unpack, type Packed } from './packed.js';
import { slips } from './slips.js';
import { measures, viewOfLines, type Measured } from './view.js';
import { weights } from './weights.js';

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
  readonly telling: { readonly clues: number; readonly mean: Packed; readonly sd: Packed; readonly rows: Packed };
  readonly odds: readonly number[];
}

let model: Model | null = null;

/** The model, made ready when first asked for (some 20 ms). */
export function theModel(): Model {
  if (model) return model;
  const views = ordinaryFormulas().flatMap((f) => {
    const view = viewOfLines(batterOf(f), f.kind);
    return view ? [{ view, family: f.families[0] as FamilyId }] : [];
  });
  const ground = groundOf(
    views.map((v) => v.view),
    views.map((v) => v.family),
  );
  const w: Weights = weights;
  const fitted = Object.fromEntries(
    measures.map((m) => {
      const { mean, sd, miss, alpha, misses } = w.expected[m];
      return [m, { mean, sd, miss, alpha: unpack(alpha, ground.n), misses: unpack(misses, ground.n) }];
    }),
  ) as Model['fitted'];
  const p = w.telling.clues + 1;
  const classes = slips.length + 1;
  const telling = {
    classes,
    mean: unpack(w.telling.mean, p),
    sd: unpack(w.telling.sd, p),
    rows: unpack(w.telling.rows, classes * p),
  };
  return (model = { ground, fitted, telling, odds: w.odds });
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
