/**
 * What formulas are judged with: some hundred kilobytes that a page fetches once it has drawn, and gives to the rest of
 * the core with `giveJudgement`. Until then no line is suspected and no span is shown.
 */
export { judgementData } from './plausible/data.js';
export { giveJudgement, makingModel } from './plausible/model.js';
