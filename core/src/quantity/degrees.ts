import { toFahrenheit } from './units.js';

/** The scale that an oven's dial is marked in; °C where nothing is said. */
type Scale = 'C' | 'F' | undefined;

/** A temperature in °C in the words of an oven: `175 °C`, `347 °F`. */
export const degreesIn = (scale: Scale, c: number): string =>
  scale === 'F' ? `${Math.round(toFahrenheit(c))} °F` : `${Math.round(c)} °C`;

/** A temperature as a dial is marked: whole °C, or steps of 5 °F. */
export const dialIn = (scale: Scale, c: number): string =>
  scale === 'F' ? `${5 * Math.round(toFahrenheit(c) / 5)} °F` : `${Math.round(c)} °C`;

/** A change of the dial by `k` kelvins, in steps that dials have: `15 °C`, `25 °F`. */
export const dialStep = (scale: Scale, k: number): string =>
  scale === 'F' ? `${5 * Math.round((k * 1.8) / 5)} °F` : `${5 * Math.round(k / 5)} °C`;

/** A difference of temperature, K: `2 °C`, `4 °F`. */
export const degreesMore = (scale: Scale, k: number): string =>
  scale === 'F' ? `${Math.round(k * 1.8)} °F` : `${Math.round(k)} °C`;
