import { parameters as p } from './materials.js';
import { boilingPoint, evaporationFor, latentHeat, psat, SIGMA } from './physics.js';

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

/** Air after the door was opened once more, °C. */
export const airOpened = (air: number, setC: number): number =>
  air - (p.ovenDroopK * Math.max(0, air - 20)) / Math.max(1, setC - 20);

/** A thermostat switches about so often, s. A judgement: 6 to 10 minutes. */
const SWINGS_S = 480;
/** What a swinging thermostat adds to the air after s seconds, K; it comes in from above. */
export const swingAt = (swingK: number, s: number): number => swingK * Math.cos((2 * Math.PI * s) / SWINGS_S);

/** Water of a bath when it is poured in: hot, not boiling, °C; and how slowly it follows the oven, s. Judgements. */
export const BATH_C = 80;
const BATH_S = 900;
const OVEN_AIR_PA = 2500;
/**
 * Heat that its pan takes up beside the water's own surface, as a multiple of that. A judgement: with it water settles near 80 °C at
 * 165, where bakers' thermometers read 80 to 87; general knowledge, not looked up.
 */
const PAN_TAKES = 2.3;

/** Where the water of an open bath settles in air of so many °C: what the oven gives its surface, evaporation takes. */
export function bathSettlesAt(air: number, pressure: number): number {
  let [lo, hi] = [10, boilingPoint(1, pressure)];
  const kelvin = (c: number): number => c + 273.15;
  for (let i = 0; i < 40; i++) {
    const t = (lo + hi) / 2;
    const gains = PAN_TAKES * (p.hcStill * (air - t) + 0.9 * SIGMA * (kelvin(air) ** 4 - kelvin(t) ** 4));
    const gives = evaporationFor(p.hcStill) * latentHeat(t) * (psat(t) - OVEN_AIR_PA);
    if (gains > gives) lo = t;
    else hi = t;
  }
  return (lo + hi) / 2;
}

/** The bath dt seconds later, °C: an open one nears where it settles, a covered one boils. */
export function bathAfter(bath: number, kind: 'open' | 'covered', air: number, pressure: number, dt: number): number {
  const to = kind === 'open' ? bathSettlesAt(air, pressure) : Math.min(air, boilingPoint(1, pressure));
  return bath + (to - bath) * (1 - Math.exp(-dt / BATH_S));
}
