import {
  adapt,
  allItems,
  applyChanges,
  compose,
  defaultKitchen,
  isConflict,
  rebalance,
  substitute,
  type Solver,
} from '@orvin/core';
import { giveJudgement, judgementData } from '@orvin/core/judgement';
import { expose } from 'comlink';
import type { SolveJobs, WasmUrl } from './solve-jobs';

giveJudgement(judgementData);

let solver: Promise<Solver> | null = null;
const solverAt = (wasm: WasmUrl): Promise<Solver> =>
  (solver ??= import('highs').then((m) => m.default({ locateFile: () => wasm }) as unknown as Promise<Solver>));

/** Counts up when nobody waits any more for what is being done. */
let stops = 0;
addEventListener('message', (e: MessageEvent) => {
  if (e.data === 'stop') stops++;
});

/** Lets messages in between two searches, and says whether one of them was to stop. */
function stoppable(): () => Promise<boolean> {
  const at = stops;
  return async () => {
    await new Promise((done) => setTimeout(done));
    return stops !== at;
  };
}

/**
 * Loads the solver and has it search once, for anything, so that the engine has compiled what a wish will run; stopped
 * as soon as there is a wish.
 */
async function warmUp(wasm: WasmUrl): Promise<boolean> {
  const options = { solver: await solverAt(wasm), cancelled: stoppable() };
  if (await options.cancelled()) return false;
  const made = await compose({ family: 'muffin' }, defaultKitchen, options);
  const formula = isConflict(made) ? null : (made[0]?.formula ?? null);
  if (formula === null || (await options.cancelled())) return false;
  const tilted = allItems(formula).map((i, n) => ({ itemId: i.id, grams: n % 2 === 0 ? i.grams * 1.6 : i.grams }));
  await rebalance(applyChanges(formula, tilted), {}, defaultKitchen, options);
  return true;
}

const jobs: SolveJobs = {
  rebalance: (wasm, formula, request, kitchen) =>
    rebalance(formula, request, kitchen, { solver: solverAt(wasm), cancelled: stoppable() }),
  substitute: (wasm, formula, itemId, ingredient, kitchen, options) =>
    substitute(formula, itemId, ingredient, kitchen, { ...options, solver: solverAt(wasm) }),
  adapt: (wasm, formula, preset, kitchen, options) =>
    adapt(formula, preset, kitchen, { ...options, solver: solverAt(wasm), cancelled: stoppable() }),
  compose: (wasm, wishes, kitchen) => compose(wishes, kitchen, { solver: solverAt(wasm) }),
  warm: warmUp,
};
expose(jobs);
