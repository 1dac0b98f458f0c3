/*
 * The inner loops of the bake model, in AssemblyScript: they become WebAssembly, since all the time of a bake goes here
 * and a just-in-time compiler's luck would decide it otherwise. `npm run kernel` makes core/src/bake/kernel.bytes.ts of
 * it.
 */
import * as cells from './cell';
import { Axis, Bake } from './layout';
import { sweep } from './sweep';

/** Advances the bake at `base` by dt s in air of `air` °C: one linearly implicit sweep along each axis. */
export function step(base: usize, dt: f64, air: f64): void {
  const bake = changetype<Bake>(base);
  let axis = base + usize(bake.axes);
  for (let i = 0; i < i32(bake.count); i++, axis += offsetof<Axis>()) sweep(bake, changetype<Axis>(axis), dt, air);
}

/** Temperature of a cell, °C. */
export function temperature(base: usize, cell: usize): f64 {
  return cells.temperature(changetype<Bake>(base), cell);
}

/** Share of its water that a cell has lost in all, to evaporation and to boiling, 0–1. */
export function dryness(base: usize, cell: usize): f64 {
  return cells.dryness(changetype<Bake>(base), cell);
}
