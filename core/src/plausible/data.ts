import { readOrdinary, type Ordinary } from './formulas.js';
import type { JudgementData } from './model.js';
import { further } from './ordinary/further.js';
import { others } from './ordinary/others.js';
import { own } from './ordinary/own.js';
import { since } from './ordinary/since.js';
import { weights } from './weights.js';

let all: readonly Ordinary[] | null = null;

/** All formulas that are judged by, read when first asked for. */
export const ordinaryFormulas = (): readonly Ordinary[] =>
  (all ??= [
    ...readOrdinary(own, true),
    ...readOrdinary(others, false),
    ...readOrdinary(since, true, true),
    ...readOrdinary(further, true, true, true),
  ]);

export const judgementData: JudgementData = { formulas: ordinaryFormulas, weights };
