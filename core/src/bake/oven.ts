import { parameters as p } from './materials.js';

/** What lies over the open face: nothing, loose foil, or a lid (an upturned bowl over a free-form loaf). */
export type Cover = 'none' | 'tent' | 'lid';

export interface OvenStage {
  readonly fromMin: number;
  /** The dial with the oven's own bias in it, °C. */
  readonly ovenC: number;
  readonly cover?: Cover;
}

/**
 * What a cover leaves of convection, of radiation and of vapour transport. Bright foil reflects most radiation and sits
 * loosely; a lid glows at nearly the oven's heat after some minutes, and the steam stays under it. Judgements.
 */
export const covers: Readonly<Record<Cover, { readonly h: number; readonly eps: number; readonly vapour: number }>> = {
  none: { h: 1, eps: 1, vapour: 1 },
  tent: { h: 0.65, eps: 0.25, vapour: 0.7 },
  lid: { h: 0.6, eps: 0.6, vapour: 0.15 },
};

/** A home oven that heats up gains about this much, K/min. A judgement: 12 to 15 minutes from cold to 180 °C. */
const HEATING_K_MIN = 12;

export const stageAt = (stages: readonly OvenStage[], s: number): OvenStage =>
  stages.reduce((now, x) => (s >= x.fromMin * 60 ? x : now), stages[0] ?? { fromMin: 0, ovenC: 180 });

/** Air as the door closes, °C: opening it loses `ovenDroopK` of a hot oven, and less of one that was not yet hot. */
export function airAtStart(setC: number, reachedC = setC): number {
  const reached = Math.min(setC, reachedC);
  return reached - (p.ovenDroopK * Math.max(0, reached - 20)) / Math.max(1, setC - 20);
}

/** Air after dt seconds: it nears the dial exponentially, and heats no faster than the oven can. */
export function airAfter(air: number, setC: number, dt: number): number {
  const towards = (setC - air) * (1 - Math.exp(-dt / p.ovenRecoveryS));
  return air + Math.min(towards, (HEATING_K_MIN / 60) * dt);
}
