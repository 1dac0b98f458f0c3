import type { KnownBake } from '../bake/calibrate.js';
import type { BakeRecord } from './types.js';

/** A simulated oven or a clock that ran faster says nothing of the kitchen's own. */
const tried = (b: BakeRecord): boolean => (b.observed?.simulated ?? []).some((x) => x !== 'scale');

/**
 * The bakes of one oven that can teach its speed, newest first, at most eight. Under- and overbaked ones say little
 * about when it was done, and excluded ones nothing.
 */
export function teaching(bakes: readonly BakeRecord[], ovenId: string): BakeRecord[] {
  return bakes
    .filter(
      (b) =>
        b.ovenId === ovenId &&
        !b.excluded &&
        !tried(b) &&
        b.outcome !== 'under' &&
        b.outcome !== 'over' &&
        b.minutes > 0,
    )
    .sort((a, b) => b.at - a.at)
    .slice(0, 8);
}

/** Known bakes out of the log, as `calibrate` wants them. */
export const knownFrom = (bakes: readonly BakeRecord[]): KnownBake[] =>
  bakes.map((b) => ({
    input: {
      family: b.family,
      tin: b.tin.tin,
      batterG: b.batterG,
      ovenC: b.ovenC,
      fan: b.fan,
      ovenId: b.ovenId,
      densityGPerMl: b.densityGPerMl,
      rise: b.rise,
      ...(b.composition && { composition: b.composition }),
      ...(b.stages && { stages: b.stages }),
      ...(b.ovenReachedC !== undefined && { ovenReachedC: b.ovenReachedC }),
      ...(b.hotTin && { hotTin: true }),
    },
    minutes: b.minutes,
    kind: 'logged' as const,
  }));
