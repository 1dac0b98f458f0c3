import type { BakeSetting, TinUse } from '@orvin/core';

const counts = ['no', 'one', 'two', 'three', 'four', 'five', 'six'];

/** `18 cm round`, `two 18 cm rounds`; a name that cannot take a plural keeps its shape: `2 × Free-form round, 18 cm`. */
export function tinWords({ tin, count }: TinUse): string {
  if (count === 1) return tin.name;
  if (!/[a-z]$/i.test(tin.name) || tin.name.includes(',')) return `${count} × ${tin.name}`;
  const plural = tin.name.endsWith('loaf') ? `${tin.name.slice(0, -1)}ves` : `${tin.name}s`;
  return `${counts[count] ?? count} ${plural}`;
}

export const dialWords = (b: BakeSetting): string => `${Math.round(b.ovenC)} °C${b.fan ? ' fan' : ''}`;

export const minuteWords = (m: { readonly early: number; readonly late: number }): string => {
  const [a, b] = [Math.round(m.early), Math.round(m.late)];
  return a === b ? `${a} min` : `${a}–${b} min`;
};

/** `175 °C, 36–42 min`. */
export const bakeWords = (b: BakeSetting): string =>
  b.minutes ? `${dialWords(b)}, ${minuteWords(b.minutes)}` : dialWords(b);

export const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
