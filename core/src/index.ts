/**
 * `@orvin/core`: the computation of Orvin. Pure functions over plain values; no clock, no randomness, no I/O.
 * docs/core.md lists what each part does; docs/science has the equations and their sources.
 */
import { giveJudgement, judgementData } from './judgement.js';

export * from './working.js';
export * from './reading.js';
// these bring a solver of their own
export { adapt, compose, rebalance, substitute } from './adapt/in-node.js';

// a program in Node has no first screen to draw
giveJudgement(judgementData);
