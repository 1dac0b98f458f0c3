import type { Axis, Face, Grid } from './grid.js';
import { vapourDrive, type SurfaceLaw, type Tables } from './physics.js';

/** One kind of outer face: its law of heat, the heat capacity of the wall (J/m2K) and its resistance (m2K/W). */
export interface Wall {
  readonly law: SurfaceLaw;
  readonly capacity: number;
  readonly resistance: number;
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
}

/** What the cells of one line of an axis exchange in a step, and what stands at its ends. */
export interface AxisState {
  readonly axis: Axis;
  readonly transport: Float64Array;
  readonly sideways: boolean;
  readonly starts: Int32Array;
  /** Lines in one row of cells, for lines that lie across. */
  readonly perRow: number;
  readonly low: WallState | null;
  readonly high: WallState | null;
  /** Where in `mem` the Kirchhoff table of this axis is, and where the exchange of neighbours for steps of `forDt` s. */
  readonly table: number;
  readonly exchange: number;
  forDt: number;
}

/** One end of all lines of an axis; every array has one entry a line. */
export interface WallState {
  readonly face: Exclude<Face, 'symmetric'>;
  /** Temperature of the wall and of the crumb that touches it, °C; water lost, kg/m2; area of the face, m2. */
  readonly t: Float64Array;
  readonly touching: Float64Array;
  readonly lost: Float64Array;
  readonly area: Float64Array;
  /** What the wall adds to the row of the cell beside it in this step. */
  readonly b: Float64Array;
  readonly d: Float64Array;
  /** Wall temperature = p + r · cell temperature; conductance between the two and resistance on the way. */
  readonly p: Float64Array;
  readonly r: Float64Array;
  readonly g: Float64Array;
  readonly drop: Float64Array;
  /** Cell temperature = t0 + slope · (theta − theta0). */
  readonly t0: Float64Array;
  readonly slope: Float64Array;
  readonly theta0: Float64Array;
  /** Evaporation comes from the row `front` and, as that one dries, from the one inside it; −1 when there is none. */
  readonly front: Int32Array;
  readonly sinks: readonly [Sink, Sink];
}

/** Evaporation from one cell of every line: what it adds to the cell's row, and what has to be booked afterwards. */
export interface Sink {
  readonly b: Float64Array;
  readonly d: Float64Array;
  /** Rate before the step, kg/m2s, its slope with theta, the cell's theta then, and the latent heat, J/kg. */
  readonly rate: Float64Array;
  readonly slope: Float64Array;
  readonly theta0: Float64Array;
  readonly latent: Float64Array;
}

const sink = (n: number): Sink => ({
  b: new Float64Array(n),
  d: new Float64Array(n),
  rate: new Float64Array(n),
  slope: new Float64Array(n),
  theta0: new Float64Array(n),
  latent: new Float64Array(n),
});

function wallState(face: Exclude<Face, 'symmetric'>, areas: readonly number[], startC: number): WallState {
  const n = areas.length;
  const make = (value = 0): Float64Array => new Float64Array(n).fill(value);
  return {
    face,
    t: make(startC),
    touching: make(startC),
    lost: make(),
    area: Float64Array.from(areas),
    b: make(),
    d: make(),
    p: make(),
    r: make(),
    g: make(),
    drop: make(),
    t0: make(),
    slope: make(),
    theta0: make(),
    front: new Int32Array(n).fill(-1),
    sinks: [sink(n), sink(n)],
  };
}

/** A wall as a row of figures, which the inner loops read: h, emissivity, evaporation, capacity, resistance. */
type Figures = Float64Array;
const figures = (w: Wall): Figures => Float64Array.of(w.law.h, w.law.eps, w.law.evaporation, w.capacity, w.resistance);

interface Faces {
  readonly base: Figures;
  readonly open: Figures;
  readonly tin: Figures;
  readonly 'inner tin': Figures;
  readonly 'at rim': Figures | null;
  readonly 'above rim': Figures | null;
}

/**
 * Where things are in a state's memory. The inner loop reads and writes one array only, since every further one costs a
 * bounds check and a register at each access; that halves its time.
 */
interface Layout {
  /** Enthalpies come first, then the share of water each cell has lost to evaporation. */
  readonly dry: number;
  /** Pairs of slope and intercept of the Kirchhoff integrals. */
  readonly vertical: number;
  readonly horizontal: number;
  /** Pairs for every two neighbours of an axis: exchange of a cell with the next one, and of that one with it. */
  readonly exchange: Readonly<Record<Axis['name'], number>>;
  /** Pairs of one line's elimination, and pairs of what walls and evaporation add to its rows. */
  readonly line: number;
  readonly extra: number;
  readonly size: number;
}

function layoutOf(grid: Grid, tables: Tables): Layout {
  const cells = grid.nx * grid.ny * grid.nz;
  const longest = 2 * Math.max(grid.nx, grid.ny, grid.nz);
  const vertical = 2 * cells;
  const horizontal = vertical + tables.vertical.length;
  const x = horizontal + tables.horizontal.length;
  return {
    dry: cells,
    vertical,
    horizontal,
    exchange: { x, y: x + longest, z: x + 2 * longest },
    line: x + 3 * longest,
    extra: x + 4 * longest,
    size: x + 5 * longest,
  };
}

/**
 * The bake at one moment. Every state is made by `stateOf`, so that all have one shape and the inner loops stay
 * compiled for it.
 */
export interface State {
  readonly model: Model;
  /** The walls now; they change as the batter rises and as covers come and go (`setWalls`). */
  faces: Faces;
  /** The row of cells that the rim cuts; rows above it have risen over it, so that their sides stand in the open. */
  rimRow: number;
  readonly layout: Layout;
  readonly mem: Float64Array;
  /** Enthalpy over rho cp, K, per cell; a part of `mem`. */
  readonly theta: Float64Array;
  /** Share of its water that a cell has lost to evaporation at a surface, 0–1; a part of `mem`. */
  readonly dry: Float64Array;
  /** Water that a cell can lose, kg. */
  readonly water: Float64Array;
  readonly axes: readonly AxisState[];
  readonly drive: Float64Array;
  /** Room for a slope beside a temperature. */
  readonly probe: Float64Array;
  /** Heat taken up since the start less what evaporation took, J, and water evaporated, kg (of the modelled part). */
  readonly booked: Float64Array;
}

export const heatTaken = (state: State): number => state.booked[0] as number;
export const vapourLost = (state: State): number => state.booked[1] as number;

const facesOf = (w: Walls): Faces => ({
  base: figures(w.base),
  open: figures(w.open),
  tin: figures(w.tin),
  'inner tin': figures(w['inner tin']),
  'at rim': w['at rim'] ? figures(w['at rim']) : null,
  'above rim': w['above rim'] ? figures(w['above rim']) : null,
});

export function setWalls(state: State, walls: Walls, rimRow: number): void {
  state.faces = facesOf(walls);
  state.rimRow = rimRow;
}

type Parts = Omit<State, 'theta' | 'dry' | 'probe'>;

function stateOf(p: Parts): State {
  return {
    model: p.model,
    faces: p.faces,
    rimRow: p.rimRow,
    layout: p.layout,
    mem: p.mem,
    theta: p.mem.subarray(0, p.layout.dry),
    dry: p.mem.subarray(p.layout.dry, p.layout.vertical),
    water: p.water,
    axes: p.axes,
    drive: p.drive,
    probe: new Float64Array(2),
    booked: p.booked,
  };
}

export function begin(model: Model): State {
  const { grid, tables } = model;
  const layout = layoutOf(grid, tables);
  const plane = grid.nx * grid.ny;
  const mem = new Float64Array(layout.size);
  mem.fill(model.startC, 0, layout.dry);
  mem.set(tables.vertical, layout.vertical);
  mem.set(tables.horizontal, layout.horizontal);
  // rows that nothing is added to have diagonal 1 and right side 0
  for (let row = layout.extra; row < layout.size; row += 2) mem[row] = 1;
  return stateOf({
    model,
    faces: facesOf(model.walls),
    rimRow: grid.nz,
    layout,
    mem,
    water: Float64Array.from(
      { length: plane * grid.nz },
      (_, i) => model.waterKgM3 * volumeOf(grid, i % plane, Math.floor(i / plane)),
    ),
    axes: grid.axes.map((axis) => axisState(axis, grid, tables, layout, model.startC)),
    drive: vapourDrive(model.aw, tables.boils),
    booked: new Float64Array(2),
  });
}

/** A copy that goes on by itself. */
export function fork(state: State): State {
  const { grid, tables, startC } = state.model;
  return stateOf({
    ...state,
    mem: state.mem.slice(),
    booked: state.booked.slice(),
    axes: state.axes.map((from) => {
      const to = axisState(from.axis, grid, tables, state.layout, startC);
      for (const end of ['low', 'high'] as const)
        for (const key of ['t', 'touching', 'lost'] as const) if (from[end]) to[end]?.[key].set(from[end][key]);
      return to;
    }),
  });
}

function axisState(axis: Axis, grid: Grid, tables: Tables, layout: Layout, startC: number): AxisState {
  const starts: number[] = [];
  const lows: number[] = [];
  const highs: number[] = [];
  const limit = {
    x: axis.name === 'x' ? 1 : grid.nx,
    y: axis.name === 'y' ? 1 : grid.ny,
    z: axis.name === 'z' ? 1 : grid.nz,
  };
  for (let z = 0; z < limit.z; z++)
    for (let y = 0; y < limit.y; y++)
      for (let x = 0; x < limit.x; x++) {
        starts.push((z * grid.ny + y) * grid.nx + x);
        lows.push(endArea(axis, grid, x, y, z, 0));
        highs.push(endArea(axis, grid, x, y, z, axis.n - 1));
      }
  const side = (face: Face, areas: number[]): WallState | null =>
    face === 'symmetric' ? null : wallState(face, areas, startC);
  const sideways = axis.name !== 'z';
  return {
    axis,
    transport: sideways ? tables.kHorizontal : tables.kVertical,
    sideways,
    starts: Int32Array.from(starts),
    perRow: axis.name === 'x' ? grid.ny : grid.nx,
    low: side(axis.low, lows),
    high: side(axis.high, highs),
    table: sideways ? layout.horizontal : layout.vertical,
    exchange: layout.exchange[axis.name],
    forDt: NaN,
  };
}

/** Area of the face at one end of a line, m2: the end cell's volume times its face-area-over-volume. */
function endArea(axis: Axis, grid: Grid, x: number, y: number, z: number, end: number): number {
  const at = { x, y, z, [axis.name]: end };
  return volumeOf(grid, at.y * grid.nx + at.x, at.z) * ((end === 0 ? axis.areaLow : axis.areaHigh)[end] as number);
}

export const volumeOf = (grid: Grid, column: number, z: number): number =>
  (grid.plan[column] as number) * (grid.dz[z] as number);
