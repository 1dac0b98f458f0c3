import { familyOf } from '../balance/families.js';
import { domeOf } from '../tin/fit.js';
import type { Kitchen } from '../formula/types.js';
import { browningPace } from './browning.js';
import { doneOf, typicalComposition } from './composition.js';
import { withLayers } from './layers.js';
import type { BakeInput } from './bake-input.js';
import type { Setup } from './run.js';
import { allStages } from './stages.js';

const middle = ([a, b]: readonly [number, number]): number => (a + b) / 2;

/** What a hot tin loses while it is greased and filled, K. A judgement. */
const WHILE_FILLED_K = 30;

/** What the model needs of a bake: the kitchen's height, room and oven, the family's usual figures where none are given. */
export function setupOf(input: BakeInput, kitchen?: Kitchen): Setup {
  const family = familyOf(input.family);
  const altitudeM = kitchen?.altitudeM ?? 0;
  const oven = input.ovenId === undefined ? kitchen?.ovens[0] : kitchen?.ovens.find((o) => o.id === input.ovenId);
  const bias = (oven?.biasC ?? 0) + (input.calibration?.biasC ?? 0);
  const stages = allStages(input).map((s) => ({ ...s, ovenC: s.ovenC + bias }));
  const parts = input.composition;
  const body = withLayers(
    {
      batterG: input.batterG,
      densityGPerMl: input.densityGPerMl ?? middle(family.density),
      rise: input.rise ?? middle(family.rise),
      composition: { ...typicalComposition(input.family), ...parts },
    },
    input.layers,
  );
  return {
    tin: input.tin,
    batterG: body.batterG,
    densityGPerMl: body.densityGPerMl,
    rise: body.rise,
    water: body.composition.water,
    fat: body.composition.fat,
    sugar: body.composition.sugar ?? 0,
    startC: input.startC ?? kitchen?.roomC ?? 21,
    // water boils 1 °C lower for each 300 m, and the crumb's end point with it
    doneC: doneOf(input) - altitudeM / 300 + (input.calibration?.doneK ?? 0),
    stages,
    ...(input.ovenReachedC !== undefined && { reachedC: input.ovenReachedC + bias }),
    ...(input.hotTin && { tinC: Math.min(input.ovenC, input.ovenReachedC ?? Infinity) + bias - WHILE_FILLED_K }),
    fan: input.fan ?? false,
    ...(input.conditions && { conditions: input.conditions }),
    altitudeM,
    roomC: kitchen?.roomC ?? 21,
    dome: domeOf(family, input.tin, input.ovenC),
    coolTinMin: family.coolTinMin,
    pace: browningPace(
      parts?.sugar === undefined
        ? undefined
        : { sugar: parts.sugar, milk: parts.milk ?? 0.05, soda: parts.leftSoda ?? 0 },
    ),
    speed: input.calibration?.speed ?? 1,
    emissivity: input.calibration?.emissivity ?? 1,
  };
}
