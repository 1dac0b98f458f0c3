/*
 * Where the numbers of one bake are. Every field takes eight bytes, and what is called a place is a distance from
 * the bake's own beginning, in bytes, so that a bake can be copied to elsewhere as it is. core/src/bake/layout.ts knows
 * the same fields, and core/src/bake/state.ts fills them in.
 */

@unmanaged
export class Bake {
  /** Below this there is ice, °C; where boiling begins, °C; how long it lasts and how much the crumb heats up meanwhile, K; where the tables begin and end, K. */
  freezes: f64;
  boils: f64;
  plateau: f64;
  rise: f64;
  lowest: f64;
  highest: f64;
  /** J/m3K. */
  rhoCp: f64;
  /** Water lost by which an open face's evaporation has halved, kg/m2, and the vapour transport that goes by, kg/m2sPa. */
  mc: f64;
  stillFilm: f64;
  /** Water that can leave, kg/m3 of raw batter. */
  waterKgM3: f64;
  /** Latent heat, J/kg: at 0 °C, and how it falls, J/kgK. Stefan–Boltzmann constant, W/m2K4. */
  latent0: f64;
  latentFall: f64;
  sigma: f64;
  /** Taken up since the start less what evaporation took, J; evaporated, kg. */
  heat: f64;
  vapour: f64;
  /** The row of cells that the rim cuts, and places of the faces there and above it; 0 when there are none. */
  rimRow: u64;
  atRim: u64;
  aboveRim: u64;
  /** Places, for every cell: enthalpy over rho cp, K; share of its water lost to evaporation; water it can lose, kg. */
  theta: u64;
  dry: u64;
  water: u64;
  /** Places of tables over theta, an entry a kelvin: pairs of slope and intercept of temperature and of vapour's drive; expansion. */
  temperature: u64;
  drive: u64;
  phi: u64;
  /** Places of room for one line: pairs of its elimination, and of what walls and evaporation add to its rows. */
  pairs: u64;
  extra: u64;
  /** The axes, one after another, and how many. */
  axes: u64;
  count: u64;
}

@unmanaged
export class Axis {
  /** From the end cells' middles to their outer faces, m; the step that `exchange` is for, s. */
  halfLow: f64;
  halfHigh: f64;
  forDt: f64;
  /** Cells in a line; from one to the next; lines; lines in one row of cells, or 0 when lines are upright. */
  n: u64;
  stride: u64;
  lines: u64;
  perRow: u64;
  /** Place of the numbers of the lines' first cells. */
  starts: u64;
  /** Places of tables: pairs of the Kirchhoff integral, and the coefficient of transport. */
  table: u64;
  transport: u64;
  /** Places, for every cell of a line: gap to the next, m; area over volume on its low and its high side, 1/m. */
  gap: u64;
  areaLow: u64;
  areaHigh: u64;
  /** Place of pairs for every two neighbours: exchange of a cell with the next one, and of that one with it. */
  exchange: u64;
  /** Places of the ends of its lines, 0 for a symmetric one, and of their faces. */
  low: u64;
  high: u64;
  lowFace: u64;
  highFace: u64;
}

/** Of a face in the oven's air; as in core/src/bake/layout.ts. */
export const OVEN: f64 = -1000;

/** A kind of face: W/m2K, emissivity, kg/m2sPa, J/m2K, m2K/W; and what lies around it, °C, or `OVEN` where that is the oven's air. */
@unmanaged
export class Face {
  h: f64;
  eps: f64;
  film: f64;
  capacity: f64;
  resistance: f64;
  around: f64;
}

/** The end of one line; its two sinks follow it. */
@unmanaged
export class End {
  /** Temperature of the wall and of the crumb that touches it, °C; water lost, kg/m2; area, m2. */
  t: f64;
  touching: f64;
  lost: f64;
  area: f64;
  /** What the wall adds to the diagonal and the right side of the cell beside it. */
  b: f64;
  d: f64;
  /** Wall temperature = p + r · cell temperature; conductance between the two and resistance on the way. */
  p: f64;
  r: f64;
  g: f64;
  drop: f64;
  /** Cell temperature = t0 + slope · (theta − theta0). */
  t0: f64;
  slope: f64;
  theta0: f64;
  /** Evaporation comes from the row `front` and, as that one dries, from the one inside it; −1 when there is none. */
  front: i64;
}

/** Evaporation from one cell: what it adds to the cell's row, and what has to be booked afterwards. */
@unmanaged
export class Sink {
  b: f64;
  d: f64;
  /** Rate before the step, kg/m2s, its slope with theta, the cell's theta then, and the latent heat, J/kg. */
  rate: f64;
  slope: f64;
  theta0: f64;
  latent: f64;
}

export const pair: usize = 16;
export const word: usize = 8;
export const endSize: usize = offsetof<End>() + 2 * offsetof<Sink>();

/** The sinks of an end: at the wet front, and inside it. */
export function outer(end: usize): Sink {
  return changetype<Sink>(end + offsetof<End>());
}
export function inner(end: usize): Sink {
  return changetype<Sink>(end + offsetof<End>() + offsetof<Sink>());
}
