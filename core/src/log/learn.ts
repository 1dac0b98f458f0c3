import type { BakeInput } from '../bake/predict.js';
import type { BakeRecord } from './types.js';

/**
 * The bakes of one oven that can teach its speed, newest first, at most eight. Under- and overbaked ones say little
 * about when it was done, and excluded ones nothing.
 */
export function teaching(bakes: readonly BakeRecord[], ovenId: string): BakeRecord[] {
  return bakes
    .filter((b) => b.ovenId === ovenId && !b.excluded && b.outcome !== 'under' && b.outcome !== 'over' && b.minutes > 0)
    .sort((a, b) => b.at - a.at)
    .slice(0, 8);
}

/** Known times for a prediction out of the log, as `BakeInput.history` wants them. */
export const historyOf = (bakes: readonly BakeRecord[]): NonNullable<BakeInput['history']> =>
  bakes.map((b) => ({ tin: b.tin.tin, batterG: b.batterG, ovenC: b.ovenC, fan: b.fan, minutes: b.minutes, kind: 'logged' as const }));
