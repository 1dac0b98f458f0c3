import { shifted } from './cell.js';
import { DRYING_RISE, MIN } from './physics.js';
import type { AxisState, State, WallState } from './state.js';
import { couple, settle } from './walls.js';

/** Constants of this module, which the inner loop can have in its code. */
const LOWEST = MIN;
const RISE = DRYING_RISE;

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
