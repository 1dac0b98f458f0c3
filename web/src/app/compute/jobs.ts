import type { BakeInput, BakePrediction, Calibration, Kitchen, KnownBake } from '@orvin/core';

/** What a worker can do; one job in, one result out, both plain values. */
export interface Jobs {
  predict(input: BakeInput, kitchen: Kitchen): BakePrediction;
  calibrate(known: readonly KnownBake[], kitchen: Kitchen): Calibration;
}
export type JobName = keyof Jobs;
