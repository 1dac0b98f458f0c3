import type { Tin } from '../formula/types.js';
import { areaAt, heightFor, outlineOf, type Outline } from '../tin/geometry.js';
import { browningRate, DARK, IN_TIN, type Browning } from './browning.js';
import { boxGrid, roundGrid, type Grid } from './grid.js';
import { linings, materials, parameters as p } from './materials.js';
import { airAfter, airAtStart, covers, stageAt, type Cover, type OvenStage } from './oven.js';
import { airPressure, evaporationFor, heatCapacity, matrixConductivity, tabulate, type SurfaceLaw } from './physics.js';
import { middleCell, readOut, surfaces } from './readings.js';
import {
  begin,
  end,
  fork,
  rimRowOf,
  setWalls,
  step,
  temperatureOf,
  type Model,
  type State,
  type Wall,
  type Walls,
} from './state.js';
import { cupSides, TRAY_M2 } from './tray.js';
import { recorder, type Sample, type Section } from './record.js';

/** One bake, with everything that the model needs to know. */
export interface Setup {
  readonly tin: Tin;
  /** Batter in the tin, all its cups together, g. */
  readonly batterG: number;
  readonly densityGPerMl: number;
  readonly rise: number;
  /** Mass fractions of all water (flour's own too) and of fat. */
  readonly water: number;
  readonly fat: number;
  readonly startC: number;
  readonly doneC: number;
  readonly stages: readonly OvenStage[];
  /** What the oven has really reached when the tin goes in, °C; the dial when it is left out. */
  readonly reachedC?: number;
  /** The tin when it is filled, °C; as the batter when it is left out. */
  readonly tinC?: number;
  readonly fan: boolean;
  readonly altitudeM: number;
  readonly roomC: number;
  /** How much sooner than an ordinary crust this one colours. */
  readonly pace: number;
  /** Factor on all heat transfer: an oven's speed, learned or calibrated. */
  readonly speed: number;
  /** Factors on convection and on the tin's emissivity; 1 is the material's own. */
  readonly convection?: number;
  readonly emissivity?: number;
  /** Factor on what vapour carries through the pores. */
  readonly vapour?: number;
  /** Cells and step relative to the standard resolution; 1 is within 2 % of the converged time. */
  readonly resolution?: number;
}

/** How much of a bake is wanted: only its time, or what follows it too. */
export interface Wanted {
  /** Stop when done: no carry-over, and the curve ends there. */
  readonly untilDone?: boolean;
  /** Keep the temperatures through the middle as it goes. */
  readonly section?: boolean;
}

export interface Run {
  /** Minutes until the middle is done; null when it never is within `MAX_S`. */
  readonly doneMin: number | null;
  readonly curve: readonly Sample[];
  /** After it was taken out when done: the middle's course in the room, until it falls. */
  readonly after: readonly { readonly s: number; readonly centreC: number }[];
  /** How much the middle still gains outside the oven, K. */
  readonly carryK: number;
  readonly browning: Browning;
  /** When the top gets dark, min; null when it does not while baking. */
  readonly topDarkMin: number | null;
  readonly lossPct: number;
  readonly batterMm: number;
  readonly section: Section | null;
}

const MAX_S = 6 * 3600;

function gridFor(setup: Setup, o: Outline, heightM: number): Grid {
  const mm = heightM * 1000;
  const q = setup.resolution ?? 1;
  const cells = (n: number): number => Math.max(4, Math.round(n * q));
  const wanted = setup.batterG / o.cups / setup.densityGPerMl / 1e6;
  if (o.kind === 'round') {
    const inner = o.tube / 2000;
    // one radius whose disc has the mean plan area up to the batter's surface, so that the volume is right
    const area = (areaAt(o, 0) + 4 * areaAt(o, mm / 2) + areaAt(o, mm)) / 6e6;
    const radius = Math.sqrt(area / Math.PI + inner * inner);
    const height = wanted / (Math.PI * (radius * radius - inner * inner));
    // rings and pieces that stand free are heated from more sides, and need more cells to come within 2 %
    const open = o.tube > 0 || o.free;
    return roundGrid(radius, inner, height, cells(open ? 18 : 14), cells(open ? 20 : 16), o.free ? 'open' : 'tin', q);
  }
  const t = o.depth > 0 ? Math.min(1, mm / 2 / o.depth) : 0;
  const length = (o.base + (o.top - o.base) * t) / 1000;
  const width = (o.base2 + (o.top2 - o.base2) * t) / 1000;
  const k = Math.sqrt(wanted / heightM / (length * width));
  // an oval is taken as the box of its area and its proportions
  return boxGrid(length * k, width * k, heightM, cells(8), cells(8), cells(14), q, o.free ? 'open' : 'tin');
}

/** Share of the oven that the surface sees past the rim; tin walls above it glow back, so half the blocked part counts. */
function rimView(depthBelow: number, across: number): number {
  if (depthBelow <= 0) return 1;
  const x = (2 * depthBelow) / across;
  const m = 2 + x * x;
  const seen = (m - Math.sqrt(m * m - 4)) / 2;
  return 1 - 0.5 * (1 - seen);
}

/** Cuts reach so deep into a scored top, share of its height, and their faces take so much of the oven's heat: they open as it rises, and see the oven from within a groove. Judgements. */
const SCORE_DEEP = { cross: 0.5, wedges: 0.5, slashes: 0.25 } as const;
const SCORE_LENGTHS = { cross: 2, wedges: 3, slashes: 2 } as const;
const GROOVE_SEES = 0.4;

/**
 * By how much scoring adds to the surface through which heat comes in, over that of the top and the side: both faces of each cut,
 * a width of the dough long, as the groove sees the oven.
 */
function scoredMore(tin: Setup['tin'], o: Outline, risenMm: number): number {
  if (!tin.scored || !o.free) return 1;
  const across = Math.sqrt((4 * areaAt(o, 0)) / Math.PI);
  const faces = 2 * SCORE_LENGTHS[tin.scored] * across * SCORE_DEEP[tin.scored] * risenMm;
  return 1 + (GROOVE_SEES * faces) / (areaAt(o, 0) + Math.PI * across * risenMm);
}

/** How far down a thin metal wall conducts usefully, mm: sqrt(k d / h) with k 50–200 W/mK, d 0.6 mm, h 12 W/m2K. */
const FIN_REACH_MM = 60;
/** Bare wall that counts beside thin batter, in heights of its side; what more comes down spreads into the base. A judgement. */
const FIN_MOST = 1.5;

/** The faces as they are with the batter risen `risen` times, under a cover. */
function wallsFor(
  setup: Setup,
  o: Outline,
  grid: Grid,
  g: number,
  heightMm: number,
  risen: number,
  cover: Cover,
): Walls {
  const hc = (setup.fan ? p.hcFan : p.hcStill) * (setup.convection ?? 1);
  const material = materials[setup.tin.material];
  const over = covers[cover];
  const more = scoredMore(setup.tin, o, heightMm * risen);
  const air = (view: number): SurfaceLaw => ({
    h: g * more * hc * view * over.h,
    eps: g * more * p.epsTop * view * over.eps,
    // a fan dries the surface sooner, but closes it sooner too; the film is taken as a still oven's
    evaporation: evaporationFor(g * more * p.hcStill * (setup.convection ?? 1) * view) * over.vapour,
  });
  // the bare wall above the batter is heated too and passes what it takes down to it
  const cup = setup.tin.shape === 'cup';
  const bare = o.free || cup ? 0 : Math.max(0, o.depth - heightMm * risen) / (heightMm * risen);
  const fin = 1 + material.fin * Math.min(bare, FIN_REACH_MM / (heightMm * risen), FIN_MOST);
  const metal = (share: number): Wall => ({
    law: { h: g * share * hc, eps: g * share * material.eps * (setup.emissivity ?? 1), evaporation: 0 },
    capacity: material.capacity,
    resistance: material.resistance + linings[setup.tin.lining ?? 'none'],
  });
  const view = o.free ? 1 : rimView(o.depth - heightMm * risen, Math.min(o.top, o.top2));
  const bareTop: Wall = { law: air(1), capacity: 0, resistance: 0 };
  const { above } = cutAt(grid, o.depth / risen);
  return {
    base: metal(1),
    tin: metal(cup ? cupSides(o, material.fin) : fin),
    'inner tin': metal(p.innerFace * fin),
    open: { law: air(view), capacity: 0, resistance: 0 },
    'at rim': between(metal(1), bareTop, above),
    'above rim': bareTop,
  };
}

export function simulate(setup: Setup, wanted: Wanted = {}): Run {
  const o = outlineOf(setup.tin);
  const heightMm = heightFor(setup.tin, setup.batterG / setup.densityGPerMl);
  const grid = gridFor(setup, o, heightMm / 1000);
  const rho = setup.densityGPerMl * 1000;
  const boilable = Math.max(0.08, setup.water - p.boundWater);
  const tables = tabulate({
    kS: matrixConductivity(setup.water, setup.fat),
    beta: p.beta * (setup.vapour ?? 1),
    aw: p.aw,
    eps0: Math.min(0.4, Math.max(0.05, 1 - rho / p.matrixDensity)),
    rise: setup.rise,
    rho,
    cp: heatCapacity(setup.water, setup.fat),
    water: boilable,
    pressure: airPressure(setup.altitudeM),
  });
  const g =
    setup.speed * Math.pow(0.2 / Math.sqrt(setup.tin.shape === 'cup' ? TRAY_M2 : grid.planArea), p.sizeExponent);
  const walls = (risen: number, cover: Cover): Walls => wallsFor(setup, o, grid, g, heightMm, risen, cover);
  const model: Model = {
    grid,
    tables,
    aw: p.aw,
    mc: p.mc,
    waterKgM3: rho * boilable,
    startC: setup.startC,
    ...(setup.tinC !== undefined && { tinC: setup.tinC }),
    walls: walls(1, stageAt(setup.stages, 0).cover ?? 'none'),
  };
  const state = begin(model);
  try {
    return march(state, setup, wanted, walls, heightMm);
  } finally {
    end(state);
  }
}

/** A wall that is `share` of the second kind. */
function between(a: Wall, b: Wall, share: number): Wall {
  const mix = (x: number, y: number): number => x + (y - x) * share;
  return {
    law: {
      h: mix(a.law.h, b.law.h),
      eps: mix(a.law.eps, b.law.eps),
      evaporation: mix(a.law.evaporation, b.law.evaporation),
    },
    capacity: mix(a.capacity, b.capacity),
    resistance: mix(a.resistance, b.resistance),
  };
}

/** The row of the raw batter that a height in mm cuts, and the share of it that lies above. */
function cutAt(grid: Grid, mm: number): { row: number; above: number } {
  let top = 0;
  for (let z = 0; z < grid.nz; z++) {
    const dz = 1000 * (grid.dz[z] as number);
    if (top + dz > mm) return { row: z, above: (top + dz - mm) / dz };
    top += dz;
  }
  return { row: grid.nz, above: 0 };
}

/** A step and the next look at how far the batter has risen, s. */
const FIRST_STEP_S = 1.5;
const LONGEST_STEP_S = 20;
const STEP_GROWTH = 1.06;
const LOOK_S = 30;
/** From this far below doneness on, the middle is where it is coldest then. */
const NEARLY_K = 12;
/** The oven goes on for this much of the time after it was done, so that a curve shows what leaving it in does. */
const BEYOND = 1.12;

function march(
  state: State,
  setup: Setup,
  wanted: Wanted,
  walls: (risen: number, cover: Cover) => Walls,
  batterMm: number,
): Run {
  const { model } = state;
  const o = outlineOf(setup.tin);
  const rimMm = o.free ? Infinity : o.depth;
  const q = setup.resolution ?? 1;
  const record = recorder(model.grid, wanted.section ?? false, o.tube / 2);
  const browning = { top: 0, side: 0, base: 0 };
  let darkTop: number | null = null;
  let s = 0;
  let dt = FIRST_STEP_S / q;
  let air = airAtStart(stageAt(setup.stages, 0).ovenC, setup.reachedC);
  let before = setup.startC;
  let nextLook = 0;
  // a probe stays where it was coldest; later another place may be cooler still
  let middle = -1;
  const middleNow = (): number => temperatureOf(state, middle < 0 ? middleCell(state) : middle);
  let done: { s: number; browning: Browning; lossPct: number; after: Run['after'] } | null = null;
  const batterKg = (model.grid.volume * model.tables.rhoCp) / heatCapacity(setup.water, setup.fat);
  while (s < MAX_S) {
    const stage = stageAt(setup.stages, s);
    if (s >= nextLook) {
      const r = readOut(state);
      record.at(s, state, r.risen, { centreC: middleNow(), meanC: r.mean, crustC: r.top });
      setWalls(state, walls(r.risen, stage.cover ?? 'none'), cutAt(model.grid, rimMm / r.risen).row);
      nextLook += s > 3600 ? 4 * LOOK_S : LOOK_S;
    }
    air = airAfter(air, stage.ovenC, dt);
    step(state, dt, air);
    s += dt;
    const c = middleNow();
    if (middle < 0 && c > setup.doneC - NEARLY_K) middle = middleCell(state);
    if (!done) {
      const f = surfaces(state);
      const minutes = (dt / 60) * setup.pace;
      browning.top += browningRate(f.top) * minutes;
      browning.side += browningRate(f.side) * minutes * IN_TIN;
      browning.base += browningRate(f.base) * minutes * IN_TIN;
      if (darkTop === null && browning.top >= DARK) darkTop = s / 60;
      if (c >= setup.doneC) {
        const at = s - dt * ((c - setup.doneC) / Math.max(1e-9, c - before));
        done = {
          s: at,
          // the sides of a piece that stands free colour like its top
          browning: { ...browning, side: o.free ? browning.top : browning.side },
          lossPct: (100 * readOut(state).lostKg) / batterKg,
          after: wanted.untilDone ? [] : cool(state, middle, setup, walls, at),
        };
      }
    }
    before = c;
    if (done && (wanted.untilDone || s > done.s * BEYOND)) break;
    dt = Math.min(LONGEST_STEP_S / q, dt * STEP_GROWTH);
  }
  return {
    doneMin: done && done.s / 60,
    curve: record.curve,
    after: done?.after ?? [],
    carryK: Math.max(0, ...(done?.after ?? []).map((x) => x.centreC - setup.doneC)),
    browning: done?.browning ?? browning,
    topDarkMin: darkTop,
    lossPct: done?.lossPct ?? 0,
    batterMm,
    section: record.section(),
  };
}

/** The middle after the tin has left the oven, until it has begun to fall, or for a quarter of an hour. */
function cool(
  baked: State,
  middle: number,
  setup: Setup,
  walls: (risen: number, cover: Cover) => Walls,
  from: number,
): Run['after'] {
  const state = fork(baked);
  const out: { s: number; centreC: number }[] = [];
  setWalls(state, walls(setup.rise, 'none'), rimRowOf(state));
  const dt = 20 / (setup.resolution ?? 1);
  let highest = -Infinity;
  for (let s = dt; s <= 900; s += dt) {
    step(state, dt, setup.roomC);
    const centreC = temperatureOf(state, middle);
    out.push({ s: Math.round(from + s), centreC });
    highest = Math.max(highest, centreC);
    if (centreC < highest - 1) break;
  }
  end(state);
  return out;
}
