import type { Role } from '@orvin/core';
import { scaleUnit } from '../ui/figures';

const OZ_G = 28.3495;

/** A sensible step for the arrow keys: an eighth of a teaspoon of leavener, a gram of little, five grams of much. */
export function stepFor(role: Role, grams: number, e: { shiftKey: boolean; altKey: boolean }): number {
  const base =
    // ounces: a fiftieth, a tenth, a quarter
    scaleUnit() === 'oz'
      ? OZ_G * (role === 'leavener' || role === 'salt' || role === 'flavour' ? 0.02 : grams < 60 ? 0.1 : 0.25)
      : role === 'leavener' || role === 'salt' || role === 'flavour'
        ? grams < 8
          ? 0.6
          : 1
        : grams < 30
          ? 1
          : 5;
  return e.shiftKey ? base * 5 : e.altKey ? base / 5 : base;
}
