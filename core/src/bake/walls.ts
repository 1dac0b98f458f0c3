import { MIN, SIGMA, evaporationFor, latentHeat } from './physics.js';
import { dryness, shifted, temperatureAt } from './cell.js';
import { heatTaken, vapourLost, type AxisState, type Sink, type State, type WallState } from './state.js';

const LOWEST = MIN;

/** Vapour transport of a still oven's air film, against which a crust's resistance is measured, kg/m2sPa. */
const EVAPORATION_STILL = evaporationFor(5);

/** Eliminates the walls at one end of an axis into the rows beside them, and finds where evaporation comes from. */
export function couple(state: State, line: AxisState, wall: WallState, row: number, dt: number, air: number): void {
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
  // near boiling the drive falls as it gets hotter; taken into the row that would make it unstable
  s.slope[l] = drive > 0 ? share * Math.max(0, state.drive[j] as number) * (state.probe[1] as number) : 0;
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
export function settle(state: State, line: AxisState, wall: WallState, row: number, dt: number): void {
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
