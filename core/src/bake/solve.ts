import type { Axis, Face, Grid } from './grid.js';
import {
  DRYING_RISE,
  MIN,
  SIGMA,
  evaporationFor,
  latentHeat,
  vapourDrive,
  type SurfaceLaw,
  type Tables,
} from './physics.js';

/** One kind of outer face: its law of heat, the heat capacity of the wall (J/m2K) and its resistance (m2K/W). */
export interface Wall {
  readonly law: SurfaceLaw;
  readonly capacity: number;
  readonly resistance: number;
}

/** The faces; of sides that have risen over the rim, the row it cuts and those above it. */
export type Walls = Readonly<Record<Exclude<Face, 'symmetric'>, Wall> & Partial<Record<'at rim' | 'above rim', Wall>>>;

/** Here as constants of this module, where the inner loop can have them in its code. */
const LOWEST = MIN;
const RISE = DRYING_RISE;

/** Vapour transport of a still oven's air film, against which a crust's resistance is measured, kg/m2sPa. */
const EVAPORATION_STILL = evaporationFor(5);

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
interface AxisState {
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
interface WallState {
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
interface Sink {
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
  for (let row = layout.extra; row < layout.size; row += 2) clear(mem, row);
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

const volumeOf = (grid: Grid, column: number, z: number): number =>
  (grid.plan[column] as number) * (grid.dz[z] as number);

/** Advances by dt seconds in air of `air` °C: one linearly implicit sweep along each axis. */
export function step(state: State, dt: number, air: number): void {
  for (const a of state.axes) sweep(state, a, dt, air);
}

function exchange(state: State, line: AxisState, dt: number): void {
  if (line.forDt === dt) return;
  const { axis } = line;
  for (let i = 0; i + 1 < axis.n; i++) {
    const g = dt / state.model.tables.rhoCp / (axis.gap[i] as number);
    state.mem[line.exchange + 2 * i] = g * (axis.areaHigh[i] as number);
    state.mem[line.exchange + 2 * i + 1] = g * (axis.areaLow[i + 1] as number);
  }
  line.forDt = dt;
}

/**
 * Where a cell that has lost the share `x` of its water to evaporation stands on the tables: it boils later, by
 * `DRYING_RISE` times x, and for a shorter while.
 */
const shifted = (theta: number, x: number, boils: number, plateau: number): number =>
  theta <= boils + RISE * x ? boils + ((theta - boils) * plateau) / RISE : theta + (plateau - RISE) * x;

function sweep(state: State, line: AxisState, dt: number, air: number): void {
  const { low, high, axis } = line;
  exchange(state, line, dt);
  if (low) couple(state, line, low, 0, dt, air);
  if (high) couple(state, line, high, axis.n - 1, dt, air);
  eliminate(state, line);
  if (low) settle(state, line, low, 0, dt);
  if (high) settle(state, line, high, axis.n - 1, dt);
}

/**
 * Solves each line of cells along one axis implicitly. Fluxes between cells are differences of the Kirchhoff integral,
 * linearised in theta, so that heat is conserved exactly; walls and evaporation have been eliminated into their rows.
 * Rows are made and eliminated in one pass, since that is where all the time goes.
 */
function eliminate(state: State, line: AxisState): void {
  const { mem, layout } = state;
  const { boils, plateau } = state.model.tables;
  const { starts, low, high, table, exchange } = line;
  const { n, stride } = line.axis;
  const { dry, line: pairs, extra } = layout;
  const last = n - 1;
  for (let l = 0; l < starts.length; l++) {
    if (low !== null) add(mem, extra, low.b[l] as number, low.d[l] as number);
    if (high !== null) addEnd(mem, extra, high, l, last);
    let cell = starts[l] as number;
    const th = mem[cell] as number;
    let j = table + (((th - LOWEST) | 0) << 1);
    let s = mem[j] as number;
    let k = mem[j + 1] as number;
    if (th > boils) {
      const x = mem[dry + cell] as number;
      const at = shifted(th, x, boils, plateau);
      j = table + (((at - LOWEST) | 0) << 1);
      s = (mem[j] as number) * (th <= boils + RISE * x ? plateau / RISE : 1);
      k = (mem[j + 1] as number) + (mem[j] as number) * at - s * th;
    }
    let right = th;
    let upper = 0;
    let solved = 0;
    let lower = 0;
    let inward = 0;
    for (let i = 0; i < last; i++) {
      cell += stride;
      const next = mem[cell] as number;
      let jj = table + (((next - LOWEST) | 0) << 1);
      let ss = mem[jj] as number;
      let kk = mem[jj + 1] as number;
      if (next > boils) {
        const x = mem[dry + cell] as number;
        const at = shifted(next, x, boils, plateau);
        jj = table + (((at - LOWEST) | 0) << 1);
        ss = (mem[jj] as number) * (next <= boils + RISE * x ? plateau / RISE : 1);
        kk = (mem[jj + 1] as number) + (mem[jj] as number) * at - ss * next;
      }
      const row = 2 * i;
      const out = mem[exchange + row] as number;
      const dk = kk - k;
      const m = 1 / ((mem[extra + row] as number) + (out + inward) * s - lower * upper);
      upper = out * ss * m;
      solved = (right + (mem[extra + row + 1] as number) + out * dk + lower * solved) * m;
      mem[pairs + row] = upper;
      mem[pairs + row + 1] = solved;
      inward = mem[exchange + row + 1] as number;
      lower = inward * s;
      right = next - inward * dk;
      s = ss;
      k = kk;
    }
    const end = extra + 2 * last;
    let value =
      (right + (mem[end + 1] as number) + lower * solved) / ((mem[end] as number) + inward * s - lower * upper);
    mem[cell] = value;
    for (let at = pairs + 2 * (last - 1); at >= pairs; at -= 2) {
      cell -= stride;
      value = (mem[at + 1] as number) + (mem[at] as number) * value;
      mem[cell] = value;
    }
    if (low !== null) clear(mem, extra);
    if (high !== null) clearEnd(mem, extra, high, l, last);
  }
}

/** Adds to one row of a line, and clears it again; a row that nothing is added to has diagonal 1 and right side 0. */
function add(mem: Float64Array, row: number, b: number, d: number): void {
  mem[row] = (mem[row] as number) + b;
  mem[row + 1] = (mem[row + 1] as number) + d;
}
function clear(mem: Float64Array, row: number): void {
  mem[row] = 1;
  mem[row + 1] = 0;
}
function addEnd(mem: Float64Array, extra: number, wall: WallState, l: number, last: number): void {
  add(mem, extra + 2 * last, wall.b[l] as number, wall.d[l] as number);
  const front = wall.front[l] as number;
  const [outer, inner] = wall.sinks;
  if (front >= 0) add(mem, extra + 2 * front, outer.b[l] as number, outer.d[l] as number);
  if (front > 0) add(mem, extra + 2 * front - 2, inner.b[l] as number, inner.d[l] as number);
}
function clearEnd(mem: Float64Array, extra: number, wall: WallState, l: number, last: number): void {
  clear(mem, extra + 2 * last);
  const front = wall.front[l] as number;
  if (front >= 0) clear(mem, extra + 2 * front);
  if (front > 0) clear(mem, extra + 2 * front - 2);
}

/** Temperature of a cell, °C; its slope with theta goes to `probe[1]`. */
function temperatureAt(state: State, cell: number): number {
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
function dryness(state: State, cell: number): number {
  const { boils, plateau } = state.model.tables;
  const x = state.dry[cell] as number;
  const over = (state.theta[cell] as number) - boils - RISE * x;
  return over <= 0 ? x : Math.min(1, x + over / plateau);
}

/** Eliminates the walls at one end of an axis into the rows beside them, and finds where evaporation comes from. */
function couple(state: State, line: AxisState, wall: WallState, row: number, dt: number, air: number): void {
  const { theta, dry, faces, rimRow, model } = state;
  const { phi, boils, plateau, rhoCp } = model.tables;
  const { axis, starts, transport, sideways, perRow } = line;
  const { probe } = state;
  const atLow = row === 0;
  const half = atLow ? axis.halfLow : axis.halfHigh;
  const scale = (((atLow ? axis.areaLow[0] : axis.areaHigh[row]) as number) * dt) / rhoCp;
  const ta = air + 273.15;
  const ta4 = ta * ta * ta * ta;
  const own = faces[wall.face];
  const atRim = faces['at rim'] ?? own;
  const aboveRim = faces['above rim'] ?? own;
  for (let l = 0; l < starts.length; l++) {
    const cell = (starts[l] as number) + row * axis.stride;
    const above = sideways ? ((l / perRow) | 0) - rimRow : -1;
    const kind = above < 0 ? own : above === 0 ? atRim : aboveRim;
    const h = kind[0] as number;
    const eps = kind[1] as number;
    const th = theta[cell] as number;
    const t = temperatureAt(state, cell);
    const slope = probe[1] as number;
    const at = th > boils ? shifted(th, dry[cell] as number, boils, plateau) : th;
    const j = (at - LOWEST) | 0;
    const growth = sideways ? (phi[j] as number) : 1;
    const drop = (kind[4] as number) / growth;
    const g = 1 / (half / (transport[j] as number) + drop);
    const tp = wall.t[l] as number;
    const ts = tp + 273.15;
    const ts3 = eps * SIGMA * ts * ts * ts;
    const q = h * (air - tp) + eps * SIGMA * ta4 - ts3 * ts;
    const hw = (h + 4 * ts3) * growth;
    const store = ((kind[3] as number) * growth) / dt;
    const inverse = 1 / (store + hw + g);
    const p = (store * tp + q * growth + hw * tp) * inverse;
    const r = g * inverse;
    // heat into the cell: g (p + r T − T)
    wall.b[l] = scale * g * (1 - r) * slope;
    wall.d[l] = scale * g * (p - (1 - r) * (t - slope * th));
    wall.p[l] = p;
    wall.r[l] = r;
    wall.g[l] = g;
    wall.drop[l] = drop;
    wall.t0[l] = t;
    wall.slope[l] = slope;
    wall.theta0[l] = th;
    const vapour = kind[2] as number;
    wall.front[l] = vapour > 0 ? evaporation(state, wall, l, cell, row, axis.stride, vapour, q, growth, dt) : -1;
  }
}

/** Sets up the evaporation from the end of one line; gives the row of the wet front. */
function evaporation(
  state: State,
  wall: WallState,
  l: number,
  cell: number,
  row: number,
  stride: number,
  film: number,
  q: number,
  growth: number,
  dt: number,
): number {
  // the wet front: the outermost cell that still has water
  let front = row;
  let wet = cell;
  while (front > 0 && dryness(state, wet) > 0.98) {
    front--;
    wet -= stride;
  }
  // in series: the air film, and the crust, whose resistance grows with what has dried
  const share = growth / (1 / film + (wall.lost[l] as number) / (state.model.mc * EVAPORATION_STILL));
  // from half dry on, the front passes gradually to the next cell, so that no step shows in the heat it takes
  const weight = front > 0 ? Math.min(1, 2 * (1 - dryness(state, wet))) : 1;
  const [outer, inner] = wall.sinks;
  const both = front > 0;
  const all =
    drawn(state, outer, l, wet, share * weight) +
    (both ? drawn(state, inner, l, wet - stride, share * (1 - weight)) : 0);
  // no more leaves than the heat that arrives can turn to vapour; smoothly, so that steps do not chatter
  const most = (Math.max(0, q) * growth) / (outer.latent[l] as number);
  const kept = all > 0 ? most / Math.sqrt(all * all + most * most) : 0;
  const area = wall.area[l] as number;
  book(state, outer, l, wet, kept, area, dt);
  if (both) book(state, inner, l, wet - stride, kept, area, dt);
  return front;
}

/** What would evaporate from a cell, kg/m2s, at `share` kg/m2s per Pa of what drives it. */
function drawn(state: State, s: Sink, l: number, cell: number, share: number): number {
  const t = temperatureAt(state, cell);
  const j = ((t - LOWEST) | 0) << 1;
  const drive = (state.drive[j] as number) * t + (state.drive[j + 1] as number);
  const rate = drive > 0 ? share * drive : 0;
  s.rate[l] = rate;
  s.slope[l] = drive > 0 ? share * (state.drive[j] as number) * (state.probe[1] as number) : 0;
  s.theta0[l] = state.theta[cell] as number;
  s.latent[l] = latentHeat(Math.min(t, state.model.tables.boils));
  return rate;
}

/** Puts the share `kept` of what would evaporate from a cell into its row, and no more than the cell holds. */
function book(state: State, s: Sink, l: number, cell: number, kept: number, area: number, dt: number): void {
  const { tables, waterKgM3 } = state.model;
  const water = state.water[cell] as number;
  const left = ((1 - dryness(state, cell)) * water) / area / dt;
  const wanted = (s.rate[l] as number) * kept;
  const slope = wanted < left ? (s.slope[l] as number) * kept * kept * kept : 0;
  const rate = Math.min(wanted, left);
  const k = (area * waterKgM3 * dt * (s.latent[l] as number)) / water / tables.rhoCp;
  s.rate[l] = rate;
  s.slope[l] = slope;
  s.b[l] = k * slope;
  s.d[l] = -k * (rate - slope * (s.theta0[l] as number));
}

/** Walls and booked water after the step. */
function settle(state: State, line: AxisState, wall: WallState, row: number, dt: number): void {
  const { starts, axis } = line;
  let heat = 0;
  for (let l = 0; l < starts.length; l++) {
    const start = starts[l] as number;
    const theta = state.theta[start + row * axis.stride] as number;
    const t = (wall.t0[l] as number) + (wall.slope[l] as number) * (theta - (wall.theta0[l] as number));
    const tp = (wall.p[l] as number) + (wall.r[l] as number) * t;
    const q = (wall.g[l] as number) * (tp - t);
    wall.t[l] = tp;
    wall.touching[l] = tp - q * (wall.drop[l] as number);
    heat += q * (wall.area[l] as number) * dt;
    const front = wall.front[l] as number;
    if (front < 0) continue;
    evaporate(state, wall, wall.sinks[0], l, start + front * axis.stride, dt);
    if (front > 0) evaporate(state, wall, wall.sinks[1], l, start + (front - 1) * axis.stride, dt);
  }
  state.booked[0] = heatTaken(state) + heat;
}

/** Books the water that a step has evaporated from a cell. */
function evaporate(state: State, wall: WallState, s: Sink, l: number, cell: number, dt: number): void {
  // the rate that the row was solved with
  const rate =
    (s.rate[l] as number) + (s.slope[l] as number) * ((state.theta[cell] as number) - (s.theta0[l] as number));
  const kg = rate * (wall.area[l] as number) * dt;
  wall.lost[l] = (wall.lost[l] as number) + rate * dt;
  state.booked[1] = vapourLost(state) + kg;
  state.booked[0] = heatTaken(state) - kg * (s.latent[l] as number);
  state.dry[cell] = Math.min(1, Math.max(0, (state.dry[cell] as number) + kg / (state.water[cell] as number)));
}

/** Enthalpy of all cells against the start, J. */
export function enthalpy(state: State): number {
  const { tables, startC } = state.model;
  let sum = 0;
  eachCell(state, (cell, volume) => (sum += ((state.theta[cell] as number) - startC) * volume));
  return sum * tables.rhoCp;
}

function eachCell(state: State, visit: (cell: number, volume: number) => void): void {
  const { grid } = state.model;
  const plane = grid.nx * grid.ny;
  for (let z = 0; z < grid.nz; z++) for (let i = 0; i < plane; i++) visit(z * plane + i, volumeOf(grid, i, z));
}

/** Temperature of the coldest point, °C; temperature grows with enthalpy, and what has dried is hot. */
export function coldest(state: State): number {
  const { theta } = state;
  let least = Infinity;
  for (let i = 0; i < theta.length; i++) if ((theta[i] as number) < least) least = theta[i] as number;
  return least <= state.model.tables.boils ? least : temperatureAt(state, theta.indexOf(least));
}

/** The cell that is coldest. */
export function coldestCell(state: State): number {
  let cell = 0;
  state.theta.forEach((x, i) => {
    if (x < (state.theta[cell] as number)) cell = i;
  });
  return cell;
}

/** Temperature of one cell, °C. */
export const temperatureOf = (state: State, cell: number): number => temperatureAt(state, cell);

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
    const t = temperatureAt(state, cell);
    mean += t * volume;
    risen += (tables.phi[(Math.min(t, tables.boils) - LOWEST) | 0] as number) * volume;
    boiled += (dryness(state, cell) - (state.dry[cell] as number)) * volume;
  });
  const [z, x] = state.axes as [AxisState, AxisState];
  return {
    mean: mean / grid.volume,
    risen: risen / grid.volume,
    lostKg: vapourLost(state) + boiled * state.model.waterKgM3,
    ...faces(z, x),
  };
}

/** Mean temperatures of top, side and base, °C. */
export function surfaces(state: State): { top: number; side: number; base: number } {
  const [z, x] = state.axes as [AxisState, AxisState];
  return faces(z, x);
}

const faces = (z: AxisState, x: AxisState): { top: number; side: number; base: number } => ({
  top: average(z.high),
  base: average(z.low),
  side: average(x.high),
});

function average(w: WallState | null): number {
  if (!w) return NaN;
  let sum = 0;
  let area = 0;
  for (let i = 0; i < w.t.length; i++) {
    sum += (w.touching[i] as number) * (w.area[i] as number);
    area += w.area[i] as number;
  }
  return sum / area;
}

/** Temperatures through the middle, °C, row by row from the base, from the axis outwards. */
export function sectionOf(state: State): Float32Array {
  const { nx, ny, nz } = state.model.grid;
  const out = new Float32Array(nx * nz);
  for (let z = 0; z < nz; z++) for (let x = 0; x < nx; x++) out[z * nx + x] = temperatureAt(state, z * nx * ny + x);
  return out;
}
