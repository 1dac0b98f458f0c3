import { Bake, word, pair } from './layout';

/** How fast the temperature that `temperature` gave last rises with theta. */
export let slope: f64 = 0;

/**
 * Where a cell that has lost the share `x` of its water to evaporation stands on the tables: it boils later, by `rise`
 * times x, and for a shorter while.
 */
export function shifted(bake: Bake, theta: f64, x: f64): f64 {
  return theta <= bake.boils + bake.rise * x
    ? bake.boils + ((theta - bake.boils) * bake.plateau) / bake.rise
    : theta + (bake.plateau - bake.rise) * x;
}

/** How much faster than on the table a cell that has lost the share x goes along it while it dries. */
export function steep(bake: Bake, theta: f64, x: f64): f64 {
  return theta <= bake.boils + bake.rise * x ? bake.plateau / bake.rise : 1;
}

/** Place in a table of pairs. */
export function entry(bake: Bake, table: u64, at: f64): usize {
  return changetype<usize>(bake) + usize(table) + usize(i32(at - bake.lowest)) * pair;
}

/** A cell's theta, K, and the share of its water that evaporation has taken. */
export function thetaOf(bake: Bake, cell: usize): f64 {
  return load<f64>(changetype<usize>(bake) + usize(bake.theta) + cell * word);
}
export function dryOf(bake: Bake, cell: usize): f64 {
  return load<f64>(changetype<usize>(bake) + usize(bake.dry) + cell * word);
}

/** Temperature of a cell, °C. */
export function temperature(bake: Bake, cell: usize): f64 {
  const th = thetaOf(bake, cell);
  // between ice and boiling theta is the temperature
  slope = 1;
  if (th <= bake.boils) {
    if (th >= bake.freezes) return th;
    const ice = entry(bake, bake.temperature, th);
    slope = load<f64>(ice);
    return slope * th + load<f64>(ice, 8);
  }
  const x = dryOf(bake, cell);
  const at = shifted(bake, th, x);
  const j = entry(bake, bake.temperature, at);
  slope = load<f64>(j) * steep(bake, th, x);
  return load<f64>(j) * at + load<f64>(j, 8);
}

/** Share of its water that a cell has lost in all, to evaporation and to boiling, 0–1. */
export function dryness(bake: Bake, cell: usize): f64 {
  const x = dryOf(bake, cell);
  const over = thetaOf(bake, cell) - bake.boils - bake.rise * x;
  return over <= 0 ? x : min<f64>(1, x + over / bake.plateau);
}
