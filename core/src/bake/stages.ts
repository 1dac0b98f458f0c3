import { same } from '../formula/merge.js';
import type { BakeSetting, BakeStage, Stated } from '../formula/types.js';
import type { Cover } from './oven.js';

/** All stages of a bake in order, the dial first; a stage from minute 0 takes the dial's place. */
export const allStages = (b: Pick<BakeSetting, 'ovenC' | 'stages'>): BakeStage[] =>
  [{ fromMin: 0, ovenC: b.ovenC }, ...(b.stages ?? [])].sort((x, y) => x.fromMin - y.fromMin);

/** What lies over the bake when the door closes. */
export const coverAtFirst = (b: BakeSetting): Cover => b.stages?.find((s) => s.fromMin <= 0)?.cover ?? 'none';

/** Changes of heat or cover later on, in order. */
export const laterStages = (b: BakeSetting): readonly BakeStage[] =>
  (b.stages ?? []).filter((s) => s.fromMin > 0).sort((x, y) => x.fromMin - y.fromMin);

/**
 * The setting with its heat at first, the cover at first, and what changes later. A formula without either has no
 * stages; one with some begins with a stage of its own, so that the heat at first is said once.
 */
export function withStages(
  b: BakeSetting,
  cover: Cover = coverAtFirst(b),
  later: readonly BakeStage[] = laterStages(b),
): BakeSetting {
  const { stages: _stages, ...rest } = b;
  if (later.length === 0 && cover === 'none') return rest;
  const first: BakeStage = { fromMin: 0, ovenC: b.ovenC, ...(cover !== 'none' && { cover }) };
  return { ...rest, stages: [first, ...[...later].sort((x, y) => x.fromMin - y.fromMin)] };
}

/** A change to add after those that there are: foil when the top may be dark, at the heat that then holds. */
export function nextStage(b: BakeSetting, likelyMin: number): BakeStage {
  const last = laterStages(b).at(-1);
  const from = Math.max((last?.fromMin ?? 0) + 5, 5 * Math.round((0.6 * likelyMin) / 5));
  return { fromMin: from, ovenC: last?.ovenC ?? b.ovenC, cover: last ? (last.cover ?? 'none') : 'tent' };
}

/** What a time was stated for. */
const statedFor = ({ ovenC, fan, stages, hotTin, startC, conditions }: BakeSetting): Omit<BakeSetting, 'stated'> => ({
  ovenC,
  fan,
  ...(stages && { stages }),
  ...(hotTin && { hotTin }),
  ...(startC !== undefined && { startC }),
  ...(conditions && { conditions }),
});

/**
 * The setting with another heat, stages or tin. A stated time belongs to the heat it was stated for: it is put by with
 * it, goes on teaching, and comes back when the setting is what it was.
 */
export function withSetting(b: BakeSetting, by: Partial<BakeSetting>): BakeSetting {
  const { minutes, stated, hotTin, startC, conditions, ...rest } = withStages({ ...b, ...by });
  const next = {
    ...rest,
    ...(hotTin && { hotTin }),
    ...(startC !== undefined && { startC }),
    ...(conditions && { conditions }),
  };
  const known: Stated | undefined = b.minutes ? { ...statedFor(b), minutes: b.minutes } : stated;
  if (!known) return { ...next, ...(minutes && { minutes }) };
  return same(statedFor(known), statedFor(next)) && known.minutes && known.batterG === undefined
    ? { ...next, minutes: known.minutes }
    : { ...next, stated: known };
}

/** The heat and time that are known of a formula: as it is set now, or as they were stated for another setting. */
export const statedSetting = (b: BakeSetting | undefined): Stated | null =>
  b?.minutes ? b : b?.stated?.minutes ? b.stated : null;

/**
 * The setting of a formula that is scaled while its tins stay: a stated time belongs to the batter there was, `batterG`
 * in one tin, and is put by with it.
 */
export function putBy(b: BakeSetting, batterG: number): BakeSetting {
  const { minutes, stated: _was, ...rest } = b;
  return minutes ? { ...rest, stated: { ...statedFor(b), minutes, batterG } } : b;
}
