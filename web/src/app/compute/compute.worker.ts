import { calibrate, predictBake } from '@orvin/core';
import { expose } from 'comlink';
import type { Jobs } from './jobs';

const jobs: Jobs = {
  predict: (input, kitchen) => predictBake(input, kitchen),
  calibrate: (known, kitchen) => calibrate(known, kitchen),
};
expose(jobs);
