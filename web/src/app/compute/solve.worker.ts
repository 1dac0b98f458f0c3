import { adapt, compose, rebalance, substitute, type Solver } from '@orvin/core';
import { expose } from 'comlink';
import type { SolveJobs, WasmUrl } from './solve-jobs';

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

const jobs: SolveJobs = {
  rebalance: (wasm, formula, request, kitchen) =>
    rebalance(formula, request, kitchen, { solver: solverAt(wasm), cancelled: stoppable() }),
  substitute: (wasm, formula, itemId, ingredient, kitchen, options) =>
    substitute(formula, itemId, ingredient, kitchen, { ...options, solver: solverAt(wasm) }),
  adapt: (wasm, formula, preset, kitchen, options) =>
    adapt(formula, preset, kitchen, { ...options, solver: solverAt(wasm), cancelled: stoppable() }),
  compose: (wasm, wishes, kitchen) => compose(wishes, kitchen, { solver: solverAt(wasm) }),
  warm: (wasm) => solverAt(wasm).then(() => true),
};
expose(jobs);
