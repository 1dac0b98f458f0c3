import type { Axis, Face, Grid } from './grid.js';
import { giveBack, roomFor, type Room } from './kernel.js';
import {
  AXIS,
  BAKE,
  END,
  FACE,
  FACES,
  OVEN,
  layoutOf,
  TABLES,
  type AxisLayout,
  type Ends,
  type Layout,
  type Places,
} from './layout.js';
import { DRYING_RISE, evaporationFor, HIGHEST, latentHeat, MIN, SIGMA, thetaAt, vapourDrive } from './physics.js';
import type { SurfaceLaw, Tables } from './physics.js';

/** One kind of outer face: its law of heat, the heat capacity of the wall (J/m2K) and its resistance (m2K/W). */
export interface Wall {
  readonly law: SurfaceLaw;
  readonly capacity: number;
  readonly resistance: number;
  /** What lies around it, °C, where that is not the oven's air: water, or steam. */
  readonly aroundC?: number;
}

/** The faces; of sides that have risen over the rim, the row it cuts and those above it. */
export type Walls = Readonly<Record<Exclude<Face, 'symmetric'>, Wall> & Partial<Record<'at rim' | 'above rim', Wall>>>;

export interface Model {
  readonly grid: Grid;
  readonly tables: Tables;
  readonly walls: Walls;
  readonly aw: number;
  /** Water lost from an open face by which its evaporation has halved, kg/m2. */
  readonly mc: number;
  /** Water that can leave, kg per m3 of raw batter. */
  readonly waterKgM3: number;
  readonly startC: number;
  /** Tin walls at the start, °C, and its base where that stands on something hot; as the batter when they are left out. */
  readonly tinC?: number;
  readonly baseC?: number;
  /** Vapour in the oven's air, Pa. */
  readonly ovenVapour?: number;
}

/** Vapour transport of a still oven's air film, against which a crust's resistance is measured, kg/m2sPa. */
const EVAPORATION_STILL = evaporationFor(5);

/** The bake at one moment: its numbers lie in a room where the inner loops reach them. Ends with `end`. */
export interface State {
  readonly model: Model;
  readonly layout: Layout;
  readonly room: Room;
  /** Enthalpy over rho cp, K, per cell; a part of the room. */
  readonly theta: Float64Array;
  /** Share of its water that a cell has lost to evaporation at a surface, 0–1; a part of the room. */
  readonly dry: Float64Array;
}

/** Heat taken up since the start less what evaporation took, J, and water evaporated, kg (of the modelled part). */
export const heatTaken = (state: State): number => state.room.mem[BAKE.heat] as number;
export const vapourLost = (state: State): number => state.room.mem[BAKE.vapour] as number;

/** The row of cells that the rim cuts. */
export const rimRowOf = (state: State): number => state.room.wholes[2 * BAKE.rimRow] as number;

/** Advances by dt seconds in air of `air` °C. */
export const step = (state: State, dt: number, air: number): void => state.room.kernel.step(state.room.at, dt, air);

/** Temperature of one cell, °C, and the share of its water that it has lost in all, 0–1. */
export const temperatureOf = (state: State, cell: number): number => state.room.kernel.temperature(state.room.at, cell);
export const dryness = (state: State, cell: number): number => state.room.kernel.dryness(state.room.at, cell);

/** The walls from now on, and the row of cells that the rim cuts; rows above it have their sides in the open. */
export function setWalls(state: State, walls: Walls, rimRow: number): void {
  const { mem } = state.room;
  const { faces } = state.layout;
  FACES.forEach((face, i) => {
    const w = walls[face];
    if (w)
      mem.set(
        [w.law.h, w.law.eps, w.law.evaporation, w.capacity, w.resistance, w.aroundC ?? OVEN],
        faces + i * FACE.size,
      );
  });
  write(state.room, 0, BAKE, {
    rimRow,
    atRim: walls['at rim'] ? 8 * faceAt(state.layout, 'at rim') : 0,
    aboveRim: walls['above rim'] ? 8 * faceAt(state.layout, 'above rim') : 0,
  });
}

const faceAt = (layout: Layout, face: (typeof FACES)[number]): number => layout.faces + FACES.indexOf(face) * FACE.size;

const stateIn = (model: Model, layout: Layout, room: Room): State => ({
  model,
  layout,
  room,
  theta: room.mem.subarray(layout.theta, layout.theta + layout.cells),
  dry: room.mem.subarray(layout.dry, layout.dry + layout.cells),
});

export function begin(model: Model): State {
  const { grid, tables } = model;
  const layout = layoutOf(grid, tables);
  const room = roomFor(layout.size);
  const { mem } = room;
  mem.fill(0);
  for (const name of TABLES) mem.set(tables[name], layout.tables[name]);
  mem.set(vapourDrive(model.aw, tables.boils, model.ovenVapour), layout.tables.drive);
  // rows that nothing is added to have diagonal 1 and right side 0
  for (let row = 0; row < layout.rows; row++) mem[layout.extra + 2 * row] = 1;
  const plane = grid.nx * grid.ny;
  for (let i = 0; i < layout.cells; i++)
    mem[layout.water + i] = model.waterKgM3 * volumeOf(grid, i % plane, Math.floor(i / plane));
  writeHead(room, layout, model);
  grid.axes.forEach((axis, i) => writeAxis(room, layout, layout.axes[i] as AxisLayout, axis, model));
  const state = stateIn(model, layout, room);
  state.theta.fill(thetaAt(tables, model.startC));
  setWalls(state, model.walls, grid.nz);
  return state;
}

/** Gives back the state's room; it must not be used again. */
export const end = (state: State): void => giveBack(state.room);

/** A copy that goes on by itself. */
export function fork(state: State): State {
  const room = roomFor(state.layout.size);
  room.mem.set(state.room.mem.subarray(0, state.layout.size));
  return stateIn(state.model, state.layout, room);
}

/** Writes fields of the record at a place; of whole numbers, which are not negative, the lower half of their word. */
function write<K extends string>(room: Room, at: number, places: Places<K>, values: Partial<Record<K, number>>): void {
  for (const [name, value] of Object.entries<number | undefined>(values)) {
    const field = places[name as K];
    if (field < places.whole) room.mem[at + field] = value ?? 0;
    else room.wholes[2 * (at + field)] = value ?? 0;
  }
}

function writeHead(room: Room, layout: Layout, model: Model): void {
  const { freezes, boils, plateau, rhoCp } = model.tables;
  write(room, 0, BAKE, {
    freezes,
    boils,
    plateau,
    rise: DRYING_RISE,
    lowest: MIN,
    // a dried cell stands further along the tables by up to the plateau
    highest: HIGHEST - plateau,
    rhoCp,
    mc: model.mc,
    stillFilm: EVAPORATION_STILL,
    waterKgM3: model.waterKgM3,
    latent0: latentHeat(0),
    latentFall: latentHeat(0) - latentHeat(1),
    sigma: SIGMA,
    theta: 8 * layout.theta,
    dry: 8 * layout.dry,
    water: 8 * layout.water,
    temperature: 8 * layout.tables.temperature,
    drive: 8 * layout.tables.drive,
    phi: 8 * layout.tables.phi,
    pairs: 8 * layout.pairs,
    extra: 8 * layout.extra,
    axes: 8 * (layout.axes[0]?.at ?? 0),
    count: layout.axes.length,
  });
}

function writeAxis(room: Room, layout: Layout, to: AxisLayout, axis: Axis, model: Model): void {
  const { grid, startC } = model;
  const sideways = axis.name !== 'z';
  const { vertical, horizontal, kVertical, kHorizontal } = layout.tables;
  const lines = linesOf(axis, grid);
  const last = axis.n - 1;
  const ends = (e: Ends | null, row: number): void => {
    if (!e) return;
    const area = (row === 0 ? axis.areaLow : axis.areaHigh)[row] as number;
    lines.forEach((start, l) =>
      write(room, e.at + l * END.size, END, {
        t: e.face === 'open' ? startC : ((e.face === 'base' ? model.baseC : undefined) ?? model.tinC ?? startC),
        touching: startC,
        area: area * cellVolume(grid, start + row * axis.stride),
      }),
    );
  };
  ends(to.low, 0);
  ends(to.high, last);
  lines.forEach((start, l) => (room.wholes[2 * (to.starts + l)] = start));
  room.mem.set(axis.gap, to.gap);
  room.mem.set(axis.areaLow, to.areaLow);
  room.mem.set(axis.areaHigh, to.areaHigh);
  write(room, to.at, AXIS, {
    n: axis.n,
    stride: axis.stride,
    lines: lines.length,
    perRow: sideways ? (axis.name === 'x' ? grid.ny : grid.nx) : 0,
    starts: 8 * to.starts,
    table: 8 * (sideways ? horizontal : vertical),
    transport: 8 * (sideways ? kHorizontal : kVertical),
    gap: 8 * to.gap,
    areaLow: 8 * to.areaLow,
    areaHigh: 8 * to.areaHigh,
    halfLow: axis.halfLow,
    halfHigh: axis.halfHigh,
    exchange: 8 * to.exchange,
    forDt: NaN,
    low: 8 * (to.low?.at ?? 0),
    high: 8 * (to.high?.at ?? 0),
    lowFace: 8 * (to.low ? faceAt(layout, to.low.face) : 0),
    highFace: 8 * (to.high ? faceAt(layout, to.high.face) : 0),
  });
}

/** The first cells of an axis' lines, in the order of the cells. */
function linesOf(axis: Axis, grid: Grid): number[] {
  const along = { x: grid.nx, y: grid.ny, z: grid.nz, [axis.name]: 1 };
  const starts: number[] = [];
  for (let z = 0; z < along.z; z++)
    for (let y = 0; y < along.y; y++) for (let x = 0; x < along.x; x++) starts.push((z * grid.ny + y) * grid.nx + x);
  return starts;
}

export const volumeOf = (grid: Grid, column: number, z: number): number =>
  (grid.plan[column] as number) * (grid.dz[z] as number);

function cellVolume(grid: Grid, cell: number): number {
  const plane = grid.nx * grid.ny;
  return volumeOf(grid, cell % plane, Math.floor(cell / plane));
}
