import { END, type AxisLayout, type Ends } from './layout.js';
import { MIN, thetaAt } from './physics.js';
import { dryness, temperatureOf, vapourLost, volumeOf, type State } from './state.js';

/** Enthalpy of all cells against the start, J. */
export function enthalpy(state: State): number {
  const { tables, startC } = state.model;
  const from = thetaAt(tables, startC);
  let sum = 0;
  eachCell(state, (cell, volume) => (sum += ((state.theta[cell] as number) - from) * volume));
  return sum * tables.rhoCp;
}

function eachCell(state: State, visit: (cell: number, volume: number) => void): void {
  const { grid } = state.model;
  const plane = grid.nx * grid.ny;
  for (let z = 0; z < grid.nz; z++) for (let i = 0; i < plane; i++) visit(z * plane + i, volumeOf(grid, i, z));
}

/**
 * Where a probe for the middle is put: the coldest cell between a fifth and seven tenths of the height. Above it lies the
 * moist layer under the crust, which evaporation keeps cooler and which says little of whether the crumb has set.
 */
export function middleCell(state: State): number {
  const { grid } = state.model;
  const plane = grid.nx * grid.ny;
  const height = grid.dz.reduce((a, b) => a + b, 0);
  let cell = -1;
  let top = 0;
  for (let z = 0; z < grid.nz; z++) {
    const dz = grid.dz[z] as number;
    const middle = (top + dz / 2) / height;
    top += dz;
    if (middle < 0.2 || middle > 0.7) continue;
    for (let i = z * plane; i < (z + 1) * plane; i++)
      if (cell < 0 || (state.theta[i] as number) < (state.theta[cell] as number)) cell = i;
  }
  return cell;
}

/** Means over the batter and over its faces, °C, how far it has risen, and the water it has lost, kg. */
export interface Reading {
  readonly mean: number;
  readonly top: number;
  readonly side: number;
  readonly base: number;
  /** Risen over raw volume. */
  readonly risen: number;
  readonly lostKg: number;
}

export function readOut(state: State): Reading {
  const { grid, tables } = state.model;
  let mean = 0;
  let risen = 0;
  let boiled = 0;
  eachCell(state, (cell, volume) => {
    const t = temperatureOf(state, cell);
    mean += t * volume;
    risen += (tables.phi[(Math.min(t, tables.boils) - MIN) | 0] as number) * volume;
    boiled += (dryness(state, cell) - (state.dry[cell] as number)) * volume;
  });
  return {
    mean: mean / grid.volume,
    risen: risen / grid.volume,
    lostKg: vapourLost(state) + boiled * state.model.waterKgM3,
    ...surfaces(state),
  };
}

/** Mean temperatures of top, side and base, °C. */
export function surfaces(state: State): { top: number; side: number; base: number } {
  const [z, x] = state.layout.axes as [AxisLayout, AxisLayout];
  return { top: average(state, z.high), base: average(state, z.low), side: average(state, x.high) };
}

function average(state: State, ends: Ends | null): number {
  if (!ends) return NaN;
  const { mem } = state.room;
  let sum = 0;
  let area = 0;
  for (let at = ends.at, i = 0; i < ends.lines; i++, at += END.size) {
    sum += (mem[at + END.touching] as number) * (mem[at + END.area] as number);
    area += mem[at + END.area] as number;
  }
  return sum / area;
}

/** Temperatures through the middle, °C, row by row from the base, from the axis outwards. */
export function sectionOf(state: State): Float32Array {
  const { nx, ny, nz } = state.model.grid;
  const out = new Float32Array(nx * nz);
  for (let z = 0; z < nz; z++) for (let x = 0; x < nx; x++) out[z * nx + x] = temperatureOf(state, z * nx * ny + x);
  return out;
}
