import { dryness, entry, shifted, slope, temperature, thetaOf, dryOf } from './cell';
import { Axis, Bake, End, Face, OVEN, Sink, endSize, inner, word, outer } from './layout';

/** Eliminates the walls at one end of an axis into the rows beside them, and finds where evaporation comes from. */
export function couple(bake: Bake, axis: Axis, high: bool, dt: f64, air: f64): void {
  const base = changetype<usize>(bake);
  const row = high ? i32(axis.n) - 1 : 0;
  const half = high ? axis.halfHigh : axis.halfLow;
  const areas = base + usize(high ? axis.areaHigh : axis.areaLow) + usize(row) * word;
  const scale = (load<f64>(areas) * dt) / bake.rhoCp;
  const own = changetype<Face>(base + usize(high ? axis.highFace : axis.lowFace));
  const starts = base + usize(axis.starts);
  const transport = base + usize(axis.transport);
  const lines = i32(axis.lines);
  const perRow = i32(axis.perRow);
  const sideways = perRow > 0;
  const step = usize(axis.stride);
  let at = base + usize(high ? axis.high : axis.low);
  for (let l = 0; l < lines; l++, at += endSize) {
    const end = changetype<End>(at);
    const cell = usize(load<u64>(starts + usize(l) * word)) + usize(row) * step;
    const face = sideways ? facing(bake, own, l / perRow) : own;
    const th = thetaOf(bake, cell);
    const t = temperature(bake, cell);
    const rises = slope;
    const j = usize(i32((th > bake.boils ? shifted(bake, th, dryOf(bake, cell)) : th) - bake.lowest)) * word;
    const growth = sideways ? load<f64>(base + usize(bake.phi) + j) : 1;
    const drop = face.resistance / growth;
    const g = 1 / (half / load<f64>(transport + j) + drop);
    const around = face.around > OVEN ? face.around : air;
    const ta = around + 273.15;
    const sky = bake.sigma * ta * ta * ta * ta;
    const tp = end.t;
    const ts = tp + 273.15;
    const ts3 = face.eps * bake.sigma * ts * ts * ts;
    const q = face.h * (around - tp) + face.eps * sky - ts3 * ts;
    const hw = (face.h + 4 * ts3) * growth;
    const store = (face.capacity * growth) / dt;
    const inverse = 1 / (store + hw + g);
    const p = (store * tp + q * growth + hw * tp) * inverse;
    const r = g * inverse;
    // heat into the cell: g (p + r T − T)
    end.b = scale * g * (1 - r) * rises;
    end.d = scale * g * (p - (1 - r) * (t - rises * th));
    end.p = p;
    end.r = r;
    end.g = g;
    end.drop = drop;
    end.t0 = t;
    end.slope = rises;
    end.theta0 = th;
    end.front = face.film > 0 ? i64(evaporation(bake, at, cell, row, step, face.film, q, growth, dt)) : -1;
  }
}

/** The kind of face beside a row of cells: sides that have risen over the rim stand in the open. */
function facing(bake: Bake, own: Face, row: i32): Face {
  const above = row - i32(bake.rimRow);
  if (above < 0 || bake.atRim === 0) return own;
  return changetype<Face>(changetype<usize>(bake) + usize(above === 0 ? bake.atRim : bake.aboveRim));
}

/** Sets up the evaporation from the end of one line; gives the row of the wet front. */
function evaporation(
  bake: Bake,
  at: usize,
  cell: usize,
  row: i32,
  stride: usize,
  film: f64,
  q: f64,
  growth: f64,
  dt: f64,
): i32 {
  const end = changetype<End>(at);
  // the wet front: the outermost cell that still has water
  let front = row;
  let wet = cell;
  while (front > 0 && dryness(bake, wet) > 0.98) {
    front--;
    wet -= stride;
  }
  // in series: the air film, and the crust, whose resistance grows with what has dried
  const share = growth / (1 / film + end.lost / (bake.mc * bake.stillFilm));
  // from half dry on, the front passes gradually to the next cell, so that no step shows in the heat it takes
  const both = front > 0;
  const weight = both ? min<f64>(1, 2 * (1 - dryness(bake, wet))) : 1;
  const outside = outer(at);
  const inside = inner(at);
  let all = drawn(bake, outside, wet, share * weight);
  if (both) all += drawn(bake, inside, wet - stride, share * (1 - weight));
  // no more leaves than the heat that arrives can turn to vapour; smoothly, so that steps do not chatter
  const most = (max<f64>(0, q) * growth) / outside.latent;
  const kept = all > 0 ? most / sqrt<f64>(all * all + most * most) : 0;
  book(bake, outside, wet, kept, end.area, dt);
  if (both) book(bake, inside, wet - stride, kept, end.area, dt);
  return front;
}

/** What would evaporate from a cell, kg/m2s, at `share` kg/m2s per Pa of what drives it. */
function drawn(bake: Bake, sink: Sink, cell: usize, share: f64): f64 {
  const t = temperature(bake, cell);
  const j = entry(bake, bake.drive, t);
  const drive = load<f64>(j) * t + load<f64>(j, 8);
  sink.rate = drive > 0 ? share * drive : 0;
  // near boiling the drive falls as it gets hotter; taken into the row that would make it unstable
  sink.slope = drive > 0 ? share * max<f64>(0, load<f64>(j)) * slope : 0;
  sink.theta0 = thetaOf(bake, cell);
  sink.latent = bake.latent0 - bake.latentFall * min<f64>(t, bake.boils);
  return sink.rate;
}

/** Puts the share `kept` of what would evaporate from a cell into its row, and no more than the cell holds. */
function book(bake: Bake, sink: Sink, cell: usize, kept: f64, area: f64, dt: f64): void {
  const water = load<f64>(changetype<usize>(bake) + usize(bake.water) + cell * word);
  const left = ((1 - dryness(bake, cell)) * water) / area / dt;
  const wanted = sink.rate * kept;
  const rises = wanted < left ? sink.slope * kept * kept * kept : 0;
  const rate = min<f64>(wanted, left);
  const k = (area * bake.waterKgM3 * dt * sink.latent) / water / bake.rhoCp;
  sink.rate = rate;
  sink.slope = rises;
  sink.b = k * rises;
  sink.d = -k * (rate - rises * sink.theta0);
}

/** Holds a cell at its tables' ends that a long step swings out of them: beyond stand other numbers. */
function hold(bake: Bake, cell: usize): void {
  const at = changetype<usize>(bake) + usize(bake.theta) + cell * word;
  const th = load<f64>(at);
  if (th < bake.lowest || th > bake.highest) store<f64>(at, th < bake.lowest ? bake.lowest : bake.highest);
}

/** Walls and booked water after the step. */
export function settle(bake: Bake, axis: Axis, high: bool, dt: f64): void {
  const base = changetype<usize>(bake);
  const starts = base + usize(axis.starts);
  const lines = i32(axis.lines);
  const stride = usize(axis.stride);
  const row = high ? usize(axis.n) - 1 : 0;
  let at = base + usize(high ? axis.high : axis.low);
  for (let l = 0; l < lines; l++, at += endSize) {
    const end = changetype<End>(at);
    const start = usize(load<u64>(starts + usize(l) * word));
    hold(bake, start + row * stride);
    if (end.front >= 0) hold(bake, start + usize(end.front) * stride);
    const t = end.t0 + end.slope * (thetaOf(bake, start + row * stride) - end.theta0);
    const tp = end.p + end.r * t;
    const q = end.g * (tp - t);
    end.t = tp;
    end.touching = tp - q * end.drop;
    bake.heat += q * end.area * dt;
    if (end.front < 0) continue;
    const front = start + usize(end.front) * stride;
    evaporate(bake, end, outer(at), front, dt);
    if (end.front > 0) evaporate(bake, end, inner(at), front - stride, dt);
  }
}

/** Books the water that a step has evaporated from a cell. */
function evaporate(bake: Bake, end: End, sink: Sink, cell: usize, dt: f64): void {
  const base = changetype<usize>(bake);
  // the rate that the row was solved with
  const rate = sink.rate + sink.slope * (thetaOf(bake, cell) - sink.theta0);
  const kg = rate * end.area * dt;
  end.lost += rate * dt;
  bake.vapour += kg;
  bake.heat -= kg * sink.latent;
  const water = load<f64>(base + usize(bake.water) + cell * word);
  store<f64>(base + usize(bake.dry) + cell * word, min<f64>(1, max<f64>(0, dryOf(bake, cell) + kg / water)));
}
