import { DRYING_RISE, MIN } from './physics.js';
import type { State } from './state.js';

/** Constants of this module, which the loops can have in their code. */
const LOWEST = MIN;
const RISE = DRYING_RISE;

/**
 * Where a cell that has lost the share `x` of its water to evaporation stands on the tables: it boils later, by
 * `DRYING_RISE` times x, and for a shorter while.
 */
export const shifted = (theta: number, x: number, boils: number, plateau: number): number =>
  theta <= boils + RISE * x ? boils + ((theta - boils) * plateau) / RISE : theta + (plateau - RISE) * x;

/** Temperature of a cell, °C; its slope with theta goes to `probe[1]`. */
export function temperatureAt(state: State, cell: number): number {
  const { temperature, boils, plateau } = state.model.tables;
  const { probe } = state;
  const th = state.theta[cell] as number;
  if (th > boils) {
    const x = state.dry[cell] as number;
    const at = shifted(th, x, boils, plateau);
    const j = ((at - LOWEST) | 0) << 1;
    probe[1] = (temperature[j] as number) * (th <= boils + RISE * x ? plateau / RISE : 1);
    return (temperature[j] as number) * at + (temperature[j + 1] as number);
  }
  // below boiling theta is the temperature
  probe[1] = 1;
  return th;
}

/** Share of its water that a cell has lost in all, to evaporation and to boiling, 0–1. */
export function dryness(state: State, cell: number): number {
  const { boils, plateau } = state.model.tables;
  const x = state.dry[cell] as number;
  const over = (state.theta[cell] as number) - boils - RISE * x;
  return over <= 0 ? x : Math.min(1, x + over / plateau);
}
