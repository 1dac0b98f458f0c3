import type { Limits } from './linear.js';
import type { Weights } from './model.js';
import type { AdaptOptions } from './types.js';

/** Straying from the family's ranges (balance/weigh.ts) not worth a change. */
export const TRIFLE = 0.03;
/** Straying that cannot be told apart from none. */
export const HAIR = 1e-6;

/** As few lines as can be. */
export const FEWEST: Weights = { stray: 400, touch: 3, change: 1, character: 1.2 };
/** What it is like comes first. */
export const NEAREST: Weights = { stray: 400, touch: 0.6, change: 0.8, character: 6 };

export const limitsOf = (o: AdaptOptions): Limits => ({
  maxNodes: Math.max(1, Math.round(o.maxNodes ?? 4000)),
  gap: o.gap ?? 0.01,
  seed: o.seed ?? 1,
});

/** How a swap is judged: the character is kept, and each further line touched has to be worth it. */
export const SWAP: Weights = { stray: 400, touch: 0.9, change: 0.8, character: 6 };

/** How far a batter may be from the weight that is wished for, %, unless the wish says. */
export const BATTER_WITHIN_PCT = 2;

/** A merit that is lower by so much is worth another order. Judgement. */
export const MUCH = 0.5;
