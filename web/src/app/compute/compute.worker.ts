import { bakeInputOf, calibrate, convertBake, divideAlike, predictBake, rankTins, sampleTimes } from '@orvin/core';
import { readRecipe, recipeTexts } from '@orvin/core/reading';
import { expose, transfer } from 'comlink';
import type { Jobs } from './jobs';

const jobs: Jobs = {
  predict: (input, kitchen) => {
    const p = predictBake(input, kitchen);
    return p.section ? transfer(p, [p.section.frames.buffer as ArrayBuffer]) : p;
  },
  sample: (input, kitchen, from, to) => sampleTimes(input, kitchen, from, to),
  choices: (formula, tins, kitchen) =>
    rankTins(formula, tins, kitchen).map((choice) => ({ choice, input: bakeInputOf(formula, choice.fit, kitchen) })),
  convert: (input, wanted, kitchen) => {
    const c = convertBake(input, wanted, kitchen);
    const { prediction, ovenC } = c.suited;
    return {
      same: c.same.minutes,
      ovenC,
      suited: prediction.minutes,
      crust: prediction.browning.words,
      words: c.words,
    };
  },
  alike: (inputs, kitchen) => divideAlike(inputs, kitchen),
  read: (text, kitchen) => readRecipe(text, kitchen),
  texts: (text) => recipeTexts(text),
  calibrate: (known, kitchen) => calibrate(known, kitchen),
};
expose(jobs);
