import type { BakeInput, BakePrediction, Calibration, Kitchen, KnownBake } from '@orvin/core';
import type { RecipeDraft } from '@orvin/core/reading';

/** What a worker can do; one job in, one result out, both plain values. */
export interface Jobs {
  predict(input: BakeInput, kitchen: Kitchen): BakePrediction;
  /** Reads one recipe from any text. */
  read(text: string, kitchen: Kitchen): RecipeDraft;
  /** The texts of the recipes in a file. */
  texts(text: string): string[];
  calibrate(known: readonly KnownBake[], kitchen: Kitchen): Calibration;
}
export type JobName = keyof Jobs;
