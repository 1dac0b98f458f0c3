import type { TinLining, TinMaterial } from '../formula/types.js';

/**
 * How a tin's wall takes up heat: emissivity of the outside, heat capacity J/m2K, resistance m2K/W between outside and
 * batter. Emissivities are typical of the surface kind, not of one maker's tin; light metal is the fitted reference.
 */
export interface Material {
  readonly eps: number;
  readonly capacity: number;
  readonly resistance: number;
  /** Share of the heat that the bare wall above the batter takes up and conducts down to it. */
  readonly fin: number;
}

export const materials: Readonly<Record<TinMaterial, Material>> = {
  'light metal': { eps: 0.6, capacity: 2200, resistance: 0, fin: 0.8 },
  'shiny metal': { eps: 0.3, capacity: 2200, resistance: 0, fin: 0.8 },
  'dark metal': { eps: 0.9, capacity: 2600, resistance: 0, fin: 0.8 },
  glass: { eps: 0.9, capacity: 9000, resistance: 0.005, fin: 0.1 },
  ceramic: { eps: 0.85, capacity: 13000, resistance: 0.006, fin: 0.1 },
  silicone: { eps: 0.85, capacity: 2600, resistance: 0.02, fin: 0 },
  'cast iron': { eps: 0.9, capacity: 17000, resistance: 0, fin: 0.8 },
  // free-form pieces stand on an ordinary tray
  none: { eps: 0.6, capacity: 2200, resistance: 0.001, fin: 0 },
};

/** Resistance that a lining adds between tin and batter, m2K/W: paper with its air, and paper in two layers with more outside. */
export const linings: Readonly<Record<TinLining, number>> = { none: 0, paper: 0.002, double: 0.012 };

/**
 * Parameters of the model. Those called fitted were adjusted on the table of home-baking times and on half of the bakes of
 * other authors (docs/science/bake.md); the others are literature values or judgements, with their ranges there.
 */
export const parameters = {
  /** Fitted: share of evaporation–condensation transport that is realised in a crumb half of whose volume is pores, 0–1. */
  beta: 0.33,
  /** Fitted: how that share falls as pores crowd out the wet walls that give and take the vapour, (2 (1 - eps))^n; at most 1 in all. */
  wetWalls: 2.7,
  /** Share of the batter's weight that is water too firmly held to boil off. */
  boundWater: 0.1,
  /** Batter without its bubbles, kg/m3. */
  matrixDensity: 1230,
  /** Fitted: convection in a still oven, W/m2K; 5 to 10 are plausible. A fan oven's is a judgement, 12 to 20. */
  hcStill: 6.5,
  hcFan: 13,
  epsTop: 0.9,
  ovenDroopK: 40,
  ovenRecoveryS: 300,
  /** Convection in a tube, share of the free oven's: the air in it hardly moves. A judgement. */
  tubeAir: 0.15,
  /** Bare wall that counts beside thin batter, in heights of its side; what more comes down spreads into the base. A judgement. */
  finMost: 1.5,
  /** Fitted: between the rims of neighbouring cups of a tray, mm; 10 to 20 are usual. */
  cupGapMm: 19,
  /** Fitted: weakening of the oven's heat with the tin's size, (0.2 m / sqrt(area))^n. */
  sizeExponent: 0.2,
  /** Fitted: kg/m2 lost by which a surface's evaporation, by 5 W/m2K, has halved. */
  mc: 0.87,
} as const;
