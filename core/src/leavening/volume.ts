import { band } from '../formula/bands.js';
import type { Band } from '../formula/types.js';

/** Pa at sea level. */
export const SEA_LEVEL_PA = 101_325;
const R = 8.314;
/** Where a crumb sets, °C, and the water activity of a batter; both general knowledge. */
export const SETTING_C = band(80, 85, 90);
const WATER_ACTIVITY = 0.93;
/** mmol of CO2 that a gram of water holds at 22 °C under one atmosphere of it. */
const DISSOLVES_MMOL_PER_G = 0.036;

/** Dry air pressure at height h in metres, over that at sea level (international standard atmosphere). */
export const pressureRatio = (h: number): number => Math.pow(1 - 2.2558e-5 * Math.max(-500, Math.min(h, 6000)), 5.2559);

/** Vapour pressure of water at T °C, Pa (Antoine, 1–100 °C). */
export const vapourPa = (c: number): number => 133.322 * Math.pow(10, 8.07131 - 1730.63 / (233.426 + c));

/**
 * Volume of n mmol of dry gas in a batter at T °C, ml: water vapour shares the bubbles, so the gas has only what is left
 * of the air's pressure. Near boiling it has nothing left; the figure is held at twenty times its dry volume.
 */
export function gasMl(mmol: number, c: number, altitudeM: number): number {
  const p = SEA_LEVEL_PA * pressureRatio(altitudeM);
  const own = Math.max(p / 20, p - WATER_ACTIVITY * vapourPa(c));
  return (mmol * 1e-3 * R * (c + 273.15) * 1e6) / own;
}

/** Share of a bubble that is steam at T °C, 0–1. */
export function steamShare(c: number, altitudeM: number): number {
  return Math.min(0.95, (WATER_ACTIVITY * vapourPa(c)) / (SEA_LEVEL_PA * pressureRatio(altitudeM)));
}

/** How much less gas gives the same volume at a height, dry and with steam in the bubbles: the kitchen factor and the physics. */
export function altitudeFactors(h: number): { dry: number; wet: number } {
  const p = SEA_LEVEL_PA * pressureRatio(h);
  const steam = WATER_ACTIVITY * vapourPa(SETTING_C.typical);
  return { dry: pressureRatio(h), wet: Math.max(0.05, (p - steam) / (SEA_LEVEL_PA - steam)) };
}

/** CO2 that the water of a cold batter can keep dissolved, mmol; it comes out in the oven. Colder holds more. */
export function dissolvesMmol(waterG: number, batterC: number, altitudeM: number): number {
  const warmth = Math.exp(2400 * (1 / (batterC + 273.15) - 1 / 295.15));
  return DISSOLVES_MMOL_PER_G * waterG * warmth * pressureRatio(altitudeM);
}

/** mmol of air in a volume beaten in at 20 °C. */
export const airMmol = (ml: number, altitudeM: number): number =>
  (ml * 1e-6 * SEA_LEVEL_PA * pressureRatio(altitudeM) * 1e3) / (R * 293.15);

export interface Volume {
  /** What the gas and the air would fill at setting if nothing escaped, ml per 100 g batter. */
  readonly mlPer100gBatter: Band;
  /** Share of the bubbles that is steam then, 0–1. */
  readonly steamShare: Band;
  /** Share of the dry gas that is beaten-in air, 0–1. */
  readonly airShare: number;
}

/** Gas of the whole batter at the setting temperature, not counting what breaks out of the crumb. */
export function volumeOf(co2Mmol: Band, airMl: Band, batterG: number, altitudeM: number): Volume {
  const per = batterG > 0 ? 100 / batterG : 0;
  const at = (k: 'low' | 'typical' | 'high'): number =>
    per * gasMl(co2Mmol[k] + airMmol(airMl[k], altitudeM), SETTING_C[k], altitudeM);
  const air = airMmol(airMl.typical, altitudeM);
  const dry = co2Mmol.typical + air;
  return {
    mlPer100gBatter: { low: at('low'), typical: at('typical'), high: at('high') },
    steamShare: {
      low: steamShare(SETTING_C.low, altitudeM),
      typical: steamShare(SETTING_C.typical, altitudeM),
      high: steamShare(SETTING_C.high, altitudeM),
    },
    airShare: dry > 0 ? air / dry : 0,
  };
}
