import {
  bakedAs,
  assess,
  bakeInputOf,
  fitTins,
  usedBy,
  type BakeRecord,
  type Formula,
  type Kitchen,
  type TinFit,
} from '@orvin/core';
import { newId } from '../data/ids';

/** What is known of a bake beside its formula and its tin. */
export type Baked = Pick<BakeRecord, 'versionId' | 'ovenId' | 'predicted' | 'minutes' | 'at' | 'outcome' | 'notes'> & {
  readonly ovenReachedC?: number;
  readonly fromFreezer?: boolean;
  readonly rack?: BakeRecord['rack'];
  readonly result?: BakeRecord['result'];
  readonly factor?: number;
  readonly trial?: BakeRecord['trial'];
};

/** A bake for the log, with what the batter was like, so that it is not taken for the oven's doing. */
export function recordOf(f: Formula, fit: TinFit, kitchen: Kitchen, b: Baked): BakeRecord {
  // as reckoned, not as learned: learning starts from there again
  const plain = fitTins(f, [{ tin: fit.tin, count: fit.count }], kitchen)[0] ?? fit;
  const input = bakeInputOf(f, fit, kitchen);
  // of a batter in several kinds of tin, each takes its share
  const whole = assess(f, kitchen).totals.batterG;
  const share = whole > 0 ? Math.min(1, (fit.batterG * fit.count) / whole) : 1;
  // what was frozen was taken from stock when it was made
  const taken = b.fromFreezer ? {} : usedBy(f, share);
  const used = Object.entries(taken).map(([id, g]) => [id, Math.round(100 * g) / 100] as const);
  return {
    id: newId(),
    formulaId: f.id,
    title: f.title,
    family: f.family,
    densityGPerMl: input.densityGPerMl,
    rise: plain.rise,
    ...bakedAs(input),
    tin: { tin: fit.tin, count: fit.count },
    batterG: Math.round(fit.batterG),
    ovenC: f.bake?.ovenC ?? 180,
    fan: f.bake?.fan ?? false,
    used: Object.fromEntries(used),
    ...b,
  };
}
