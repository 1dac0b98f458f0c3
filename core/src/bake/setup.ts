import { familyOf } from '../balance/families.js';
import type { FamilyId, Kitchen } from '../formula/types.js';
import { browningPace } from './browning.js';
import type { BakeInput } from './predict.js';
import type { Setup } from './run.js';
import { allStages } from './stages.js';

const middle = ([a, b]: readonly [number, number]): number => (a + b) / 2;

/** Flour's own water, share of its weight, and egg's solids and fat; general knowledge. */
const FLOUR_WATER = 0.13;
const EGG = { water: 0.75, fat: 0.1 } as const;

/**
 * Mass fractions of all water and of fat in a family's ordinary batter, from the middles of its ranges; for bakes of
 * which no more is known.
 */
export function typicalComposition(id: FamilyId): { water: number; fat: number } {
  const family = familyOf(id);
  const [fat, sugar, egg, water] = [family.fat, family.sugar, family.egg, family.water].map(middle) as [
    number,
    number,
    number,
    number,
  ];
  if (!(water < 400 && fat < 400 && sugar < 400)) return { water: 0.38, fat: 0.13 };
  const all = 100 + fat + sugar + egg * (1 - EGG.water) + water + 4;
  return { water: (water + 100 * FLOUR_WATER) / all, fat: (fat + egg * EGG.fat + 1.5) / all };
}

/** What a hot tin loses while it is greased and filled, K. A judgement. */
const WHILE_FILLED_K = 30;

/** What the model needs of a bake: the kitchen's height, room and oven, the family's usual figures where none are given. */
export function setupOf(input: BakeInput, kitchen?: Kitchen): Setup {
  const family = familyOf(input.family);
  const altitudeM = kitchen?.altitudeM ?? 0;
  const oven = input.ovenId === undefined ? kitchen?.ovens[0] : kitchen?.ovens.find((o) => o.id === input.ovenId);
  const bias = (oven?.biasC ?? 0) + (input.calibration?.biasC ?? 0);
  const stages = allStages(input).map((s) => ({ ...s, ovenC: s.ovenC + bias }));
  const usual = typicalComposition(input.family);
  const parts = input.composition;
  return {
    tin: input.tin,
    batterG: input.batterG,
    densityGPerMl: input.densityGPerMl ?? middle(family.density),
    rise: input.rise ?? middle(family.rise),
    water: parts?.water ?? usual.water,
    fat: parts?.fat ?? usual.fat,
    startC: input.startC ?? kitchen?.roomC ?? 21,
    // water boils 1 °C lower for each 300 m, and the crumb's end point with it
    doneC: middle(family.doneC) - altitudeM / 300 + (input.calibration?.doneK ?? 0),
    stages,
    ...(input.ovenReachedC !== undefined && { reachedC: input.ovenReachedC + bias }),
    ...(input.hotTin && { tinC: Math.min(input.ovenC, input.ovenReachedC ?? Infinity) + bias - WHILE_FILLED_K }),
    fan: input.fan ?? false,
    altitudeM,
    roomC: kitchen?.roomC ?? 21,
    pace: browningPace(
      parts?.sugar === undefined
        ? undefined
        : { sugar: parts.sugar, milk: parts.milk ?? 0.05, soda: parts.leftSoda ?? 0 },
    ),
    speed: input.calibration?.speed ?? 1,
    emissivity: input.calibration?.emissivity ?? 1,
  };
}
