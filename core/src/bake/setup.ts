import { familyOf } from '../balance/families.js';
import { domeOf } from '../tin/dome.js';
import type { BakeConditions, Kitchen, Tin } from '../formula/types.js';
import type { OvenStage } from './oven.js';
import { browningPace } from './browning.js';
import { doneOf, setsAtC, typicalComposition } from './composition.js';
import { withLayers } from './layers.js';
import type { BakeInput, BatterParts } from './bake-input.js';
import { allStages } from './stages.js';

/** One bake, with everything that the model needs to know. */
export interface Setup {
  readonly tin: Tin;
  /** Batter in the tin, all its cups together, g. */
  readonly batterG: number;
  readonly densityGPerMl: number;
  readonly rise: number;
  /** Mass fractions of all water (flour's own too) and of fat. */
  readonly water: number;
  readonly fat: number;
  /** Mass fraction of sugar, for its hold on water. */
  readonly sugar: number;
  readonly startC: number;
  readonly doneC: number;
  readonly stages: readonly OvenStage[];
  /** What the oven has really reached when the tin goes in, °C; the dial when it is left out. */
  readonly reachedC?: number;
  /** The tin when it is filled, °C; as the batter when it is left out. */
  readonly tinC?: number;
  readonly fan: boolean;
  readonly conditions?: BakeConditions;
  readonly altitudeM: number;
  readonly roomC: number;
  /** Share of its rise by which the crown stands over the mean. */
  readonly dome?: number;
  /** How long it stays in its tin to cool, min: what stands free steams off more. */
  readonly coolTinMin?: number;
  /** How much sooner than an ordinary crust this one colours. */
  readonly pace: number;
  /** Factor on all heat transfer: an oven's speed, learned or calibrated. */
  readonly speed: number;
  /** Factors on convection and on the tin's emissivity; 1 is the material's own. */
  readonly convection?: number;
  readonly emissivity?: number;
  /** Factor on what vapour carries through the pores. */
  readonly vapour?: number;
  /** Cells and step relative to the standard resolution; 1 is within 2 % of the converged time. */
  readonly resolution?: number;
}

const middle = ([a, b]: readonly [number, number]): number => (a + b) / 2;

/** What a hot tin loses while it is greased and filled, K. A judgement. */
const WHILE_FILLED_K = 30;

/** In open water a crumb is baked until it has set, and so many kelvins more: hotter it never gets there. A judgement. */
const SET_AND_K = 4;

/** When the middle is done, °C: as its formula is, or in open water once it has set. */
const doneIn = (input: BakeInput, parts: BatterParts): number =>
  input.conditions?.bath === 'open' ? Math.min(doneOf(input), setsAtC(parts) + SET_AND_K) : doneOf(input);

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
    doneC: doneIn(input, body.composition) - altitudeM / 300 + (input.calibration?.doneK ?? 0),
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
