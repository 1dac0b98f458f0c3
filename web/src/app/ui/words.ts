import { computed, signal } from '@angular/core';
import type { BakeSetting, HeatScale, Kitchen, TinUse } from '@orvin/core';
import { defaultKitchen, degreesIn, degreesMore, dialIn } from '@orvin/core/first';

/** The scale that the kitchen's oven is marked in; set by the desk, followed by every view. */
export const ovenScale = signal<HeatScale>('C');

/** The kitchen whose units every view follows; set by the desk. */
export const units = signal<Pick<Kitchen, 'display' | 'measures'>>(defaultKitchen);

/** What its thermometers show: a gas oven has marks, its middle has degrees. */
export const thermometer = computed<'C' | 'F'>(() => (ovenScale() === 'F' ? 'F' : 'C'));

/** A temperature as this kitchen reads it: `175 °C`, `347 °F`. Dials in °F are marked in steps of five. */
export const degrees = (c: number, dial = false): string => (dial ? dialIn : degreesIn)(ovenScale(), c);

/** A difference of temperature as this kitchen reads it: `10 °C`, `18 °F`. */
export const degreesBy = (k: number): string => degreesMore(ovenScale(), k);

const counts = ['no', 'one', 'two', 'three', 'four', 'five', 'six'];

/** `18 cm round`, `two 18 cm rounds`; a name that cannot take a plural keeps its shape: `2 × Free-form round, 18 cm`. */
export function tinWords({ tin, count }: TinUse): string {
  if (count === 1) return tin.name;
  if (!/[a-z]$/i.test(tin.name) || /,| of | on /.test(tin.name)) return `${count} × ${tin.name}`;
  const plural = tin.name.endsWith('loaf') ? `${tin.name.slice(0, -1)}ves` : `${tin.name}s`;
  return `${counts[count] ?? count} ${plural}`;
}

export const dialWords = (b: BakeSetting): string => `${degrees(b.ovenC, true)}${b.fan ? ' fan' : ''}`;

export const minuteWords = (m: { readonly early: number; readonly late: number }): string => {
  const [a, b] = [Math.round(m.early), Math.round(m.late)];
  return a === b ? `${a} min` : `${a}–${b} min`;
};

/** `175 °C, 36–42 min`. */
export const bakeWords = (b: BakeSetting): string =>
  b.minutes ? `${dialWords(b)}, ${minuteWords(b.minutes)}` : dialWords(b);

export { capital, within } from '@orvin/core/first';
