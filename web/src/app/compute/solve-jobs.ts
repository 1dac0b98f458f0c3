import type {
  ComposeWishes,
  Conflict,
  Formula,
  Kitchen,
  PresetId,
  PresetOptions,
  Proposal,
  Request,
  SubstituteOptions,
} from '@orvin/core';

/** Where the solver's compiled part is served; worked out on the page, since a worker has another base. */
export type WasmUrl = string;

/** What the solving worker can do. */
export interface SolveJobs {
  rebalance(wasm: WasmUrl, formula: Formula, request: Request, kitchen: Kitchen): Promise<Proposal[] | Conflict>;
  substitute(
    wasm: WasmUrl,
    formula: Formula,
    itemId: string,
    ingredient: string,
    kitchen: Kitchen,
    options: Pick<SubstituteOptions, 'state' | 'locked'>,
  ): Promise<Proposal>;
  adapt(
    wasm: WasmUrl,
    formula: Formula,
    preset: PresetId,
    kitchen: Kitchen,
    options: Pick<PresetOptions, 'wishes' | 'locked'>,
  ): Promise<Proposal[] | Conflict>;
  compose(wasm: WasmUrl, wishes: ComposeWishes, kitchen: Kitchen): Promise<Proposal[] | Conflict>;
  /** Loads the solver and tries it, so that the first wish does not wait for it. True where it was not stopped before. */
  warm(wasm: WasmUrl): Promise<boolean>;
}
