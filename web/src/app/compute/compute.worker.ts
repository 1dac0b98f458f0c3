import { calibrate, predictBake } from '@orvin/core';
import { readRecipe, recipeTexts } from '@orvin/core/reading';
import { expose } from 'comlink';
import type { Jobs } from './jobs';

const jobs: Jobs = {
  predict: (input, kitchen) => predictBake(input, kitchen),
  read: (text, kitchen) => readRecipe(text, kitchen),
  texts: (text) => recipeTexts(text),
  calibrate: (known, kitchen) => calibrate(known, kitchen),
};
expose(jobs);
