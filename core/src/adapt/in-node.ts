/**
 * The searches with the solver of the `highs` package where none is handed in: what `@orvin/core` exports. Apart, so
 * that a page, which solves in a worker with a solver of its own, does not carry it.
 */
import { adapt as adaptWith } from './adapt.js';
import { compose as composeWith } from './compose.js';
import type { Solver } from './linear.js';
import { rebalance as rebalanceWith } from './rebalance.js';
import { substitute as substituteWith } from './substitute.js';

let loaded: Promise<Solver> | null = null;

/** The `highs` package, loaded when it is first needed. */
export const defaultSolver = (): Promise<Solver> =>
  (loaded ??= import('highs').then((m) => m.default() as unknown as Promise<Solver>));

const withSolver = <O extends { readonly solver?: Solver | Promise<Solver> }>(options: O | undefined): O => ({
  ...(options as O),
  solver: options?.solver ?? defaultSolver(),
});

/** {@inheritDoc rebalanceWith} */
export const rebalance: typeof rebalanceWith = (formula, request, kitchen, options) =>
  rebalanceWith(formula, request, kitchen, withSolver(options));
/** {@inheritDoc substituteWith} */
export const substitute: typeof substituteWith = (formula, itemId, ingredient, kitchen, options) =>
  substituteWith(formula, itemId, ingredient, kitchen, withSolver(options));
/** {@inheritDoc adaptWith} */
export const adapt: typeof adaptWith = (formula, presetId, kitchen, options) =>
  adaptWith(formula, presetId, kitchen, withSolver(options));
/** {@inheritDoc composeWith} */
export const compose: typeof composeWith = (wishes, kitchen, options) =>
  composeWith(wishes, kitchen, withSolver(options));
