import { shifted, steep } from './cell';
import { Axis, Bake, End, endSize, inner, word, outer, pair } from './layout';
import { couple, settle } from './walls';

/** One linearly implicit sweep over all lines of an axis, dt s in air of `air` °C. */
export function sweep(bake: Bake, axis: Axis, dt: f64, air: f64): void {
  if (axis.forDt !== dt) prepare(bake, axis, dt);
  if (axis.low > 0) couple(bake, axis, false, dt, air);
  if (axis.high > 0) couple(bake, axis, true, dt, air);
  eliminate(bake, axis);
  if (axis.low > 0) settle(bake, axis, false, dt);
  if (axis.high > 0) settle(bake, axis, true, dt);
}

/** What neighbours exchange in a step of dt s. */
function prepare(bake: Bake, axis: Axis, dt: f64): void {
  const base = changetype<usize>(bake);
  const between = base + usize(axis.exchange);
  for (let i: usize = 0; i + 1 < usize(axis.n); i++) {
    const g = dt / bake.rhoCp / load<f64>(base + usize(axis.gap) + i * word);
    store<f64>(between + i * pair, g * load<f64>(base + usize(axis.areaHigh) + i * word));
    store<f64>(between + i * pair, g * load<f64>(base + usize(axis.areaLow) + (i + 1) * word), 8);
  }
  axis.forDt = dt;
}

function eliminate(bake: Bake, axis: Axis): void {
  const base = changetype<usize>(bake);
  const starts = base + usize(axis.starts);
  const extra = base + usize(bake.extra);
  const last = extra + (usize(axis.n) - 1) * pair;
  const lines = i32(axis.lines);
  let low = axis.low > 0 ? base + usize(axis.low) : 0;
  let high = axis.high > 0 ? base + usize(axis.high) : 0;
  for (let l = 0; l < lines; l++) {
    if (low) add(extra, changetype<End>(low).b, changetype<End>(low).d);
    if (high) addHigh(extra, last, high, 1);
    line(bake, axis, usize(load<u64>(starts + usize(l) * word)), extra, last);
    if (low) {
      clear(extra);
      low += endSize;
    }
    if (high) {
      addHigh(extra, last, high, 0);
      high += endSize;
    }
  }
}

/** Adds to one row of a line, or clears it again; a row that nothing is added to has diagonal 1 and right side 0. */
function add(row: usize, b: f64, d: f64): void {
  store<f64>(row, load<f64>(row) + b);
  store<f64>(row, load<f64>(row, 8) + d, 8);
}
function clear(row: usize): void {
  store<f64>(row, 1);
  store<f64>(row, 0, 8);
}
function addHigh(extra: usize, last: usize, at: usize, adds: i32): void {
  const end = changetype<End>(at);
  put(last, adds, end.b, end.d);
  if (end.front < 0) return;
  const front = extra + usize(end.front) * pair;
  put(front, adds, outer(at).b, outer(at).d);
  if (end.front > 0) put(front - pair, adds, inner(at).b, inner(at).d);
}
function put(row: usize, adds: i32, b: f64, d: f64): void {
  if (adds) add(row, b, d);
  else clear(row);
}

/**
 * Solves one line of cells implicitly. Fluxes between cells are differences of the Kirchhoff integral, linearised in
 * theta, so that heat is conserved exactly. Rows are made and eliminated in one pass, since that is where the time goes.
 */
function line(bake: Bake, axis: Axis, first: usize, extra: usize, last: usize): void {
  const base = changetype<usize>(bake);
  const table = base + usize(axis.table);
  const pairs = base + usize(bake.pairs);
  const stride = usize(axis.stride) * word;
  const boils = bake.boils;
  const lowest = bake.lowest;
  let cell = base + usize(bake.theta) + first * word;
  const th = load<f64>(cell);
  const j = table + usize(i32(th - lowest)) * pair;
  let s = load<f64>(j);
  let k = load<f64>(j, 8);
  if (th > boils) {
    boiling(bake, table, cell, 0, 0, cell + stride, load<f64>(usize(axis.exchange) + base));
    s = slope;
    k = intercept;
  }
  let right = th;
  let upper: f64 = 0;
  let solved: f64 = 0;
  let lower: f64 = 0;
  let inward: f64 = 0;
  let here = pairs;
  let between = base + usize(axis.exchange);
  let row = extra;
  while (row < last) {
    cell += stride;
    const next = load<f64>(cell);
    const jj = table + usize(i32(next - lowest)) * pair;
    let ss = load<f64>(jj);
    let kk = load<f64>(jj, 8);
    if (next > boils) {
      const after = row + pair < last ? cell + stride : 0;
      boiling(bake, table, cell, cell - stride, load<f64>(between, 8), after, after ? load<f64>(between + pair) : 0);
      ss = slope;
      kk = intercept;
    }
    const out = load<f64>(between);
    const dk = kk - k;
    const m = 1 / (load<f64>(row) + (out + inward) * s - lower * upper);
    upper = out * ss * m;
    solved = (right + load<f64>(row, 8) + out * dk + lower * solved) * m;
    store<f64>(here, upper);
    store<f64>(here, solved, 8);
    inward = load<f64>(between, 8);
    lower = inward * s;
    right = next - inward * dk;
    s = ss;
    k = kk;
    here += pair;
    between += pair;
    row += pair;
  }
  let value = (right + load<f64>(row, 8) + lower * solved) / (load<f64>(row) + inward * s - lower * upper);
  store<f64>(cell, value);
  while (here > pairs) {
    here -= pair;
    cell -= stride;
    value = load<f64>(here, 8) + load<f64>(here) * value;
    store<f64>(cell, value);
  }
}

/** Kirchhoff integral at theta of a cell that has lost the share x of its water to evaporation, W/m. */
function kirchhoff(bake: Bake, table: usize, theta: f64, x: f64): f64 {
  const at = theta > bake.boils ? shifted(bake, theta, x) : theta;
  const j = table + usize(i32(at - bake.lowest)) * pair;
  return load<f64>(j) * at + load<f64>(j, 8);
}

/** What `boiling` found: the integral is about `slope` · theta + `intercept`. */
let slope: f64 = 0;
let intercept: f64 = 0;

/**
 * The Kirchhoff integral of a boiling cell, linearised. While it boils its temperature hardly changes, so the tangent
 * would let a neighbour draw from it without end; a cell that the exchange with its neighbours `before` and `after` (0
 * for none) is about to stop, or to dry out, goes by the slope it will have then.
 */
function boiling(bake: Bake, table: usize, cell: usize, before: usize, inward: f64, after: usize, outward: f64): void {
  const dry = usize(bake.dry - bake.theta);
  const th = load<f64>(cell);
  const x = load<f64>(cell + dry);
  const value = kirchhoff(bake, table, th, x);
  let to = th;
  if (before) to += inward * (kirchhoff(bake, table, load<f64>(before), load<f64>(before + dry)) - value);
  if (after) to += outward * (kirchhoff(bake, table, load<f64>(after), load<f64>(after + dry)) - value);
  const ends = bake.boils + bake.plateau;
  if (th < ends && to < bake.boils) slope = load<f64>(table + (usize(i32(bake.boils - bake.lowest)) - 1) * pair);
  else if (th < ends && to > ends) slope = load<f64>(table + (usize(i32(ends - bake.lowest)) + 1) * pair);
  else {
    const at = shifted(bake, th, x);
    slope = load<f64>(table + usize(i32(at - bake.lowest)) * pair) * steep(bake, th, x);
  }
  intercept = value - slope * th;
}
