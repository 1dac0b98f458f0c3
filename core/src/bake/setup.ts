import { familyOf } from '../balance/families.js';
import type { Kitchen } from '../formula/types.js';
import type { BakeInput } from './predict.js';
import type { Setup } from './run.js';

/** Families whose batters are tinned deep and dense, or shallow and light, take their own typical density. */
export function setupOf(input: BakeInput, kitchen?: Kitchen): Setup {
  const family = familyOf(input.family);
  const mean = ([a, b]: readonly [number, number]): number => (a + b) / 2;
  const altitudeM = kitchen?.altitudeM ?? 0;
  const oven = input.ovenId === undefined ? kitchen?.ovens[0] : kitchen?.ovens.find((o) => o.id === input.ovenId);
  const bias = oven?.biasC ?? 0;
  const stages = [{ fromMin: 0, ovenC: input.ovenC }, ...(input.stages ?? [])].map((s) => ({
    fromMin: s.fromMin,
    ovenC: s.ovenC + bias,
  }));
  return {
    tin: input.tin,
    batterG: input.batterG,
    densityGPerMl: input.densityGPerMl ?? mean(family.density),
    rise: input.rise ?? mean(family.rise),
    water: input.composition?.water ?? 0.4,
    fat: input.composition?.fat ?? 0.15,
    startC: input.startC ?? kitchen?.roomC ?? 21,
    // water boils 1 °C lower for each 300 m, and the crumb's end point with it
    doneC: mean(family.doneC) - altitudeM / 300,
    stages,
    fan: input.fan ?? false,
    altitudeM,
    speed: 1,
  };
}
