import type { Kitchen } from '../formula/types.js';
import { toFahrenheit } from './units.js';

const inF = (kitchen: Kitchen | undefined): boolean => kitchen?.display.temperature === 'F';

/** A temperature in °C in the words of a kitchen's dial: `175 °C`, `347 °F`; °C where no kitchen is given. */
export const degreesIn = (kitchen: Kitchen | undefined, c: number): string =>
  inF(kitchen) ? `${Math.round(toFahrenheit(c))} °F` : `${Math.round(c)} °C`;

/** A temperature as the dial is marked: whole °C, or steps of 5 °F. */
export const dialIn = (kitchen: Kitchen | undefined, c: number): string =>
  inF(kitchen) ? `${5 * Math.round(toFahrenheit(c) / 5)} °F` : `${Math.round(c)} °C`;

/** A change of the dial by `k` kelvins, in steps that dials have: `15 °C`, `25 °F`. */
export const dialStep = (kitchen: Kitchen | undefined, k: number): string =>
  inF(kitchen) ? `${5 * Math.round((k * 1.8) / 5)} °F` : `${5 * Math.round(k / 5)} °C`;

/** A small difference of temperature: `2 °C`, `4 °F`. */
export const degreesMore = (kitchen: Kitchen | undefined, k: number): string =>
  inF(kitchen) ? `${Math.round(k * 1.8)} °F` : `${Math.round(k)} °C`;
