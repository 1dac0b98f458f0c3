import type { Solver } from './linear.js';

let loaded: Promise<Solver> | null = null;

/** The solver that the `highs` package brings, loaded when it is first needed; used where none is handed in. */
export const defaultSolver = (): Promise<Solver> =>
  (loaded ??= import('highs').then((m) => m.default() as unknown as Promise<Solver>));
