import type { TinMaterial } from '../formula/types.js';

/**
 * How a tin's wall takes up heat: emissivity of the outside, heat capacity J/m2K, resistance m2K/W between outside and
 * batter. Emissivities are typical of the surface kind, not of one maker's tin; light metal is the fitted reference.
 */
export interface Material {
  readonly eps: number;
  readonly capacity: number;
  readonly resistance: number;
}

export const materials: Readonly<Record<TinMaterial, Material>> = {
  'light metal': { eps: 0.6, capacity: 2200, resistance: 0 },
  'shiny metal': { eps: 0.3, capacity: 2200, resistance: 0 },
  'dark metal': { eps: 0.9, capacity: 2600, resistance: 0 },
  glass: { eps: 0.9, capacity: 9000, resistance: 0.005 },
  ceramic: { eps: 0.85, capacity: 13000, resistance: 0.006 },
  silicone: { eps: 0.85, capacity: 2600, resistance: 0.008 },
  'cast iron': { eps: 0.9, capacity: 17000, resistance: 0 },
  // free-form pieces stand on an ordinary tray
  none: { eps: 0.6, capacity: 2200, resistance: 0.001 },
};

/**
 * Parameters of the model. `fitted` were adjusted on the table of home-baking times in docs/science/bake.md; the others
 * are literature values or judgements, with their ranges there.
 */
export const parameters = {
  kS: 0.33,
  aw: 0.93,
  beta: 0.35,
  boilableWater: 0.3,
  matrixDensity: 1230,
  hcStill: 5,
  hcFan: 14,
  epsTop: 0.9,
  ovenDroopK: 40,
  ovenRecoveryS: 300,
  innerFace: 0.6,
  /** Fitted: weakening of the oven's heat with the tin's size, (0.2 m / sqrt(area))^n. */
  sizeExponent: 0.2,
  /** Fitted: kg/m2 lost by which a surface's evaporation has halved. */
  mc: 0.138,
} as const;
