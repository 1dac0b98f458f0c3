import type { HeatScale } from '../formula/types.js';
import { toFahrenheit } from './units.js';

/** The scale that an oven's dial is marked in; °C where nothing is said. */
type Scale = HeatScale | undefined;

/** °C of a still oven by gas mark; the usual British table, quarter and half marks included. */
export const GAS_C: Readonly<Record<string, number>> = {
  '1/4': 110,
  '¼': 110,
  '1/2': 120,
  '½': 120,
  '1': 140,
  '2': 150,
  '3': 170,
  '4': 180,
  '5': 190,
  '6': 200,
  '7': 220,
  '8': 230,
  '9': 240,
  '10': 260,
};
/** Marks that dials have, coolest first. */
const MARKS = ['¼', '½', '1', '2', '3', '4', '5', '6', '7', '8', '9', '10'];
/** One mark is about 25 °F. */
const MARK_K = 14;

/** The mark whose heat is nearest. */
export const gasMark = (c: number): string =>
  MARKS.reduce((best, m) => (Math.abs((GAS_C[m] ?? 0) - c) < Math.abs((GAS_C[best] ?? 0) - c) ? m : best));

/** A temperature in °C in the words of a thermometer: `175 °C`, `347 °F`. */
export const degreesIn = (scale: Scale, c: number): string =>
  scale === 'F' ? `${Math.round(toFahrenheit(c))} °F` : `${Math.round(c)} °C`;

/** A span of temperatures: `18–20 °C`, `64–68 °F`. */
export const degreesBetween = (scale: Scale, low: number, high: number): string =>
  degreesIn(scale, high).replace(/^/, `${parseInt(degreesIn(scale, low), 10)}–`);

/** A temperature as a dial is marked: whole °C, steps of 5 °F, or gas marks. */
export const dialIn = (scale: Scale, c: number): string =>
  scale === 'gas'
    ? `gas mark ${gasMark(c)}`
    : scale === 'F'
      ? `${5 * Math.round(toFahrenheit(c) / 5)} °F`
      : `${Math.round(c)} °C`;

/** A change of the dial by `k` kelvins, in steps that dials have: `15 °C`, `25 °F`, `1 mark`. */
export function dialStep(scale: Scale, k: number): string {
  if (scale === 'F') return `${5 * Math.round((k * 1.8) / 5)} °F`;
  if (scale !== 'gas') return `${5 * Math.round(k / 5)} °C`;
  const marks = Math.max(1, Math.round(k / MARK_K));
  return marks === 1 ? '1 mark' : `${marks} marks`;
}

/** A difference of temperature, K: `2 °C`, `4 °F`. */
export const degreesMore = (scale: Scale, k: number): string =>
  scale === 'F' ? `${Math.round(k * 1.8)} °F` : `${Math.round(k)} °C`;
