import { OrvinError } from '../errors.js';
import type { Solver } from './linear.js';
import type { AdaptOptions } from './types.js';

/** @throws OrvinError `bad-argument` when no solver was handed in; `@orvin/core` brings its own, see `in-node.ts` */
export async function solverOf(options: AdaptOptions): Promise<Solver> {
  if (options.solver === undefined) throw new OrvinError('bad-argument', 'A solver has to be handed in.');
  return options.solver;
}
