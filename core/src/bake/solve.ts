import type { Axis, Face, Grid } from './grid.js';
import { surfaceFlux, type SurfaceLaw, type Tables } from './physics.js';

/** One kind of outer face: its law of heat, the heat capacity of the wall (J/m2K) and its resistance (m2K/W). */
export interface Wall {
  readonly law: SurfaceLaw;
  readonly capacity: number;
  readonly resistance: number;
}

export interface Model {
  readonly grid: Grid;
  readonly tables: Tables;
  readonly walls: Readonly<Record<Exclude<Face, 'symmetric'>, Wall>>;
  readonly aw: number;
  /** Water an open surface loses before its evaporation has halved, kg/m2. */
  readonly mc: number;
  readonly startC: number;
}

interface AxisState {
  readonly axis: Axis;
  readonly kirchhoff: Float64Array;
  readonly transport: Float64Array;
  readonly sideways: boolean;
  readonly starts: Int32Array;
  readonly low: WallState | null;
  readonly high: WallState | null;
}

/** Wall temperature and water lost per area at each line's end. */
interface WallState {
  readonly wall: Wall;
  readonly t: Float64Array;
  readonly lost: Float64Array;
  readonly area: Float64Array;
}

export interface State {
  readonly model: Model;
  /** Enthalpy over rho cp, K, per cell. */
  readonly theta: Float64Array;
  readonly temperature: Float64Array;
  readonly axes: readonly AxisState[];
  readonly scratch: {
    readonly a: Float64Array;
    readonly b: Float64Array;
    readonly c: Float64Array;
    readonly d: Float64Array;
    readonly s: Float64Array;
    readonly k: Float64Array;
  };
  /** Heat taken up since the start through all faces, J (over the modelled quarter, or the whole round). */
  heat: number;
  /** Water evaporated at open faces, kg. */
  vapour: number;
}

export function begin(model: Model): State {
  const { grid, tables } = model;
  const cells = grid.nx * grid.ny * grid.nz;
  const longest = Math.max(grid.nx, grid.ny, grid.nz);
  const make = (): Float64Array => new Float64Array(longest);
  return {
    model,
    theta: new Float64Array(cells).fill(model.startC),
    temperature: new Float64Array(cells).fill(model.startC),
    axes: grid.axes.map((axis) => axisState(axis, grid, tables, model)),
    scratch: { a: make(), b: make(), c: make(), d: make(), s: make(), k: make() },
    heat: 0,
    vapour: 0,
  };
}

function axisState(axis: Axis, grid: Grid, tables: Tables, model: Model): AxisState {
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
    face === 'symmetric'
      ? null
      : {
          wall: model.walls[face],
          t: new Float64Array(starts.length).fill(model.startC),
          lost: new Float64Array(starts.length),
          area: Float64Array.from(areas),
        };
  const sideways = axis.name !== 'z';
  return {
    axis,
    kirchhoff: sideways ? tables.horizontal : tables.vertical,
    transport: sideways ? tables.kHorizontal : tables.kVertical,
    sideways,
    starts: Int32Array.from(starts),
    low: side(axis.low, lows),
    high: side(axis.high, highs),
  };
}

/** Area of the face at one end of a line, m2: the end cell's volume times its face-area-over-volume. */
function endArea(axis: Axis, grid: Grid, x: number, y: number, z: number, end: number): number {
  const at = { x, y, z, [axis.name]: end };
  const volume = (grid.plan[at.y * grid.nx + at.x] as number) * (grid.dz[at.z] as number);
  return volume * ((end === 0 ? axis.areaLow : axis.areaHigh)[end] as number);
}

/** Advances by dt seconds under an oven at `oven` °C: one linearly implicit sweep along each axis. */
export function step(state: State, dt: number, oven: number): void {
  for (const a of state.axes) sweep(state, a, dt, oven);
  refresh(state);
}

function refresh(state: State): void {
  const { temperature, theta, model } = state;
  const { min, step: h, temperature: table, size } = model.tables;
  for (let i = 0; i < theta.length; i++) {
    const u = ((theta[i] as number) - min) / h;
    const j = u < 0 ? 0 : u > size - 2 ? size - 2 : u | 0;
    const lo = table[j] as number;
    temperature[i] = lo + ((table[j + 1] as number) - lo) * (u - j);
  }
}

/**
 * Solves each line of cells along one axis implicitly. Fluxes between cells are differences of the Kirchhoff integral,
 * linearised in theta, so that heat is conserved exactly; walls are eliminated into the end rows.
 */
function sweep(state: State, line: AxisState, dt: number, oven: number): void {
  const { theta, model } = state;
  const { a, b, c, d, s, k } = state.scratch;
  const { min, step: h, size, rhoCp } = model.tables;
  const { axis, kirchhoff } = line;
  const n = axis.n;
  const scale = dt / rhoCp;
  for (let l = 0; l < line.starts.length; l++) {
    const start = line.starts[l] as number;
    for (let i = 0; i < n; i++) {
      const th = theta[start + i * axis.stride] as number;
      const u = (th - min) / h;
      const j = u < 0 ? 0 : u > size - 2 ? size - 2 : u | 0;
      const lo = kirchhoff[j] as number;
      const slope = ((kirchhoff[j + 1] as number) - lo) / h;
      s[i] = slope;
      k[i] = lo + slope * h * (u - j) - slope * th;
      b[i] = 1;
      d[i] = th;
    }
    for (let i = 0; i + 1 < n; i++) {
      const g = scale / (axis.gap[i] as number);
      const out = g * (axis.areaHigh[i] as number);
      const into = g * (axis.areaLow[i + 1] as number);
      const dk = (k[i + 1] as number) - (k[i] as number);
      b[i] = (b[i] as number) + out * (s[i] as number);
      c[i] = -out * (s[i + 1] as number);
      d[i] = (d[i] as number) + out * dk;
      b[i + 1] = (b[i + 1] as number) + into * (s[i + 1] as number);
      a[i + 1] = -into * (s[i] as number);
      d[i + 1] = (d[i + 1] as number) - into * dk;
    }
    const atLow =
      line.low &&
      couple(state, line, line.low, l, start, 0, axis.halfLow, (axis.areaLow[0] as number) * scale, dt, oven);
    const last = start + (n - 1) * axis.stride;
    const atHigh =
      line.high &&
      couple(state, line, line.high, l, last, n - 1, axis.halfHigh, (axis.areaHigh[n - 1] as number) * scale, dt, oven);
    for (let i = 1; i < n; i++) {
      const m = (a[i] as number) / (b[i - 1] as number);
      b[i] = (b[i] as number) - m * (c[i - 1] as number);
      d[i] = (d[i] as number) - m * (d[i - 1] as number);
    }
    let value = (d[n - 1] as number) / (b[n - 1] as number);
    theta[last] = value;
    for (let i = n - 2; i >= 0; i--) {
      value = ((d[i] as number) - (c[i] as number) * value) / (b[i] as number);
      theta[start + i * axis.stride] = value;
    }
    if (line.low && atLow) settle(state, line.low, l, atLow, theta[start] as number, dt, oven);
    if (line.high && atHigh) settle(state, line.high, l, atHigh, theta[last] as number, dt, oven);
  }
}

interface Coupling {
  /** Wall temperature = p + r · cell temperature. */
  readonly p: number;
  readonly r: number;
  /** Cell temperature = t0 + slope · (theta − theta0). */
  readonly t0: number;
  readonly slope: number;
  readonly theta0: number;
  /** Conductance between wall and cell, W/m2K, with the growth of the side's area in it. */
  readonly g: number;
  readonly growth: number;
  readonly vapour: number;
}

/** Eliminates the wall of one line's end into the end cell's row. */
function couple(
  state: State,
  line: AxisState,
  wall: WallState,
  l: number,
  cell: number,
  row: number,
  half: number,
  scale: number,
  dt: number,
  oven: number,
): Coupling {
  const { b, d } = state.scratch;
  const { tables, aw, mc } = state.model;
  const th = state.theta[cell] as number;
  const u = (th - tables.min) / tables.step;
  const j = u < 0 ? 0 : u > tables.size - 2 ? tables.size - 2 : u | 0;
  const lo = tables.temperature[j] as number;
  const slope = ((tables.temperature[j + 1] as number) - lo) / tables.step;
  const t0 = lo + slope * tables.step * (u - j);
  const growth = line.sideways ? (tables.phi[j] as number) : 1;
  const g = 1 / (half / (line.transport[j] as number) + wall.wall.resistance / growth);
  const tp = wall.t[l] as number;
  const flux = surfaceFlux(wall.wall.law, oven, tp, aw, (wall.lost[l] as number) / mc);
  const hw = -flux.slope * growth;
  const store = (wall.wall.capacity * growth) / dt;
  const below = store + hw + g;
  const p = (store * tp + flux.q * growth + hw * tp) / below;
  const r = g / below;
  // flux into the cell: g (p + r T − T)
  const scaled = scale * g;
  b[row] = (b[row] as number) + scaled * (1 - r) * slope;
  d[row] = (d[row] as number) + scaled * (p - (1 - r) * (t0 - slope * th));
  return { p, r, t0, slope, theta0: th, g, growth, vapour: flux.vapour };
}

function settle(state: State, wall: WallState, l: number, c: Coupling, theta: number, dt: number, oven: number): void {
  const t = c.t0 + c.slope * (theta - c.theta0);
  const tp = c.p + c.r * t;
  // a wall can be no hotter than what heats it; the bound only acts when a step is coarse
  wall.t[l] = tp > oven && c.vapour > 0 ? oven : tp;
  const area = wall.area[l] as number;
  state.heat += c.g * (tp - t) * area * dt;
  if (c.vapour > 0) {
    wall.lost[l] = (wall.lost[l] as number) + c.vapour * dt;
    state.vapour += c.vapour * area * c.growth * dt;
  }
}

/** Enthalpy of all cells against the start, J. */
export function enthalpy(state: State): number {
  const { grid, tables, startC } = state.model;
  let sum = 0;
  const plane = grid.nx * grid.ny;
  for (let z = 0; z < grid.nz; z++)
    for (let i = 0; i < plane; i++)
      sum += ((state.theta[z * plane + i] as number) - startC) * (grid.plan[i] as number) * (grid.dz[z] as number);
  return sum * tables.rhoCp;
}

/** Coldest temperature and where it is, the mean, and the top's and side's surface means, °C. */
export function readOut(state: State): { coldest: number; mean: number; top: number; side: number; base: number } {
  const { grid } = state.model;
  const plane = grid.nx * grid.ny;
  let coldest = Infinity;
  let mean = 0;
  let volume = 0;
  for (let z = 0; z < grid.nz; z++)
    for (let i = 0; i < plane; i++) {
      const t = state.temperature[z * plane + i] as number;
      const v = (grid.plan[i] as number) * (grid.dz[z] as number);
      if (t < coldest) coldest = t;
      mean += t * v;
      volume += v;
    }
  const z = state.axes[0] as AxisState;
  const x = state.axes[1] as AxisState;
  return { coldest, mean: mean / volume, top: average(z.high), base: average(z.low), side: average(x.high) };
}

function average(w: WallState | null): number {
  if (!w) return NaN;
  let sum = 0;
  let area = 0;
  for (let i = 0; i < w.t.length; i++) {
    sum += (w.t[i] as number) * (w.area[i] as number);
    area += w.area[i] as number;
  }
  return sum / area;
}

/** Water boiled off inside the crumb, as a share of what could boil. */
export function boiledShare(state: State): number {
  const { grid, tables } = state.model;
  const plane = grid.nx * grid.ny;
  let sum = 0;
  for (let z = 0; z < grid.nz; z++)
    for (let i = 0; i < plane; i++) {
      const x = ((state.theta[z * plane + i] as number) - tables.boils) / tables.plateau;
      if (x > 0) sum += Math.min(1, x) * (grid.plan[i] as number) * (grid.dz[z] as number);
    }
  return sum / grid.volume;
}
