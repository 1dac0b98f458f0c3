import { areaAt, capacityFactor, heightFor, outlineOf, type Outline } from '../tin/geometry.js';
import type { Setup } from './setup.js';
import { cutAt, wallsFor } from './faces.js';
import { browningRate, DARK, IN_TIN, type Browning } from './browning.js';
import { boxGrid, roundGrid, type Grid } from './grid.js';
import { parameters as p } from './materials.js';
import { airAfter, airAtStart, airOpened, BATH_C, bathAfter, stageAt, swingAt, type Cover } from './oven.js';
import { freezesAt, waterActivity } from './composition.js';
import { airPressure, heatCapacity, latentHeat, matrixConductivity, tabulate } from './physics.js';
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
  type Walls,
} from './state.js';
import { inTray, TRAY_M2 } from './tray.js';
import { recorder, type Sample, type Section } from './record.js';

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
  /** Water lost by the time it is cold, % of the batter with what lies on it. */
  readonly lossPct: number;
  readonly batterMm: number;
  readonly section: Section | null;
}

/** No bake is followed for longer, s; a loaf in a barely hot oven overnight still is. */
export const MAX_S = 12 * 3600;

function gridFor(setup: Setup, o: Outline, heightM: number): Grid {
  const mm = heightM * 1000;
  const q = setup.resolution ?? 1;
  const cells = (n: number): number => Math.max(4, Math.round(n * q));
  const wanted = setup.batterG / o.cups / setup.densityGPerMl / 1e6;
  if (o.kind === 'round') {
    const inner = o.tube / 2000;
    // one radius whose disc has the mean plan area up to the batter's surface, so that the volume is right
    const area = (capacityFactor(setup.tin) * (areaAt(o, 0) + 4 * areaAt(o, mm / 2) + areaAt(o, mm))) / 6e6;
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

export function simulate(setup: Setup, wanted: Wanted = {}): Run {
  const o = outlineOf(setup.tin);
  const heightMm = heightFor(setup.tin, setup.batterG / setup.densityGPerMl);
  const grid = gridFor(setup, o, heightMm / 1000);
  const rho = setup.densityGPerMl * 1000;
  const boilable = Math.max(0.08, setup.water - p.boundWater);
  const aw = waterActivity(setup);
  const tables = tabulate({
    kS: matrixConductivity(setup.water, setup.fat),
    beta: p.beta * (setup.vapour ?? 1),
    wetWalls: p.wetWalls,
    aw,
    eps0: Math.min(0.75, Math.max(0.05, 1 - rho / p.matrixDensity)),
    rise: setup.rise,
    rho,
    cp: heatCapacity(setup.water, setup.fat),
    water: boilable,
    pressure: airPressure(setup.altitudeM),
    freezes: freezesAt(setup),
    ice: boilable,
  });
  const g = setup.speed * Math.pow(0.2 / Math.sqrt(inTray(setup.tin) ? TRAY_M2 : grid.planArea), p.sizeExponent);
  const walls: WallsAt = (risen, cover, bathC) => wallsFor(setup, o, grid, g, heightMm, risen, cover, bathC);
  const model: Model = {
    grid,
    tables,
    aw,
    mc: p.mc,
    waterKgM3: rho * boilable,
    startC: setup.startC,
    ...(setup.tinC !== undefined && { tinC: setup.tinC }),
    ...(setup.conditions?.on && { baseC: setup.reachedC ?? stageAt(setup.stages, 0).ovenC }),
    ...(setup.conditions?.steam && { ovenVapour: STEAMED_PA }),
    walls: walls(1, stageAt(setup.stages, 0).cover ?? 'none', BATH_C),
  };
  const state = begin(model);
  try {
    return march(state, setup, wanted, walls, heightMm);
  } finally {
    end(state);
  }
}

/** A step and the next look at how far the batter has risen, s. */
const FIRST_STEP_S = 1.5;
const LONGEST_STEP_S = 20;
const STEP_GROWTH = 1.06;
const COOL_GROWTH = 1.2;
const LOOK_S = 30;
/** From this far below doneness on, the middle is where it is coldest then. */
const NEARLY_K = 12;
/** The oven goes on for this much of the time after it was done, so that a curve shows what leaving it in does. */
const BEYOND = 1.12;

type WallsAt = (risen: number, cover: Cover, bathC: number | null) => Walls;

/** Vapour over a tray of boiling water in a vented oven, Pa: a dew point near 65 °C. A judgement. */
const STEAMED_PA = 25000;

function march(state: State, setup: Setup, wanted: Wanted, walls: WallsAt, batterMm: number): Run {
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
  const { bath, swingK = 0, openedMin = [] } = setup.conditions ?? {};
  const opens = [...openedMin].sort((a, b) => a - b);
  const pressure = airPressure(setup.altitudeM);
  let bathC = BATH_C;
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
      setWalls(state, walls(r.risen, stage.cover ?? 'none', bathC), cutAt(model.grid, rimMm / r.risen).row);
      nextLook += s > 3600 ? 4 * LOOK_S : LOOK_S;
    }
    air = airAfter(air, stage.ovenC, dt);
    if (opens[0] !== undefined && s >= 60 * opens[0]) {
      air = airOpened(air, stage.ovenC);
      opens.shift();
    }
    if (bath) bathC = bathAfter(bathC, bath, air, pressure, dt);
    step(state, dt, air + swingAt(swingK, s));
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
          lossPct: (100 * readOut(state).lostKg) / batterKg + steamsOff(setup, readOut(state).mean),
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

/** Share of its heat that a bake gives off as steam while it cools on a rack, and the time in a tin, min, by which that falls by e. Judgements. */
const STEAMS = 0.22;
const KEPT_IN_MIN = 60;

/** Water that goes off on the way to the room's temperature, % of the batter: bakes are weighed cold. */
function steamsOff(setup: Setup, meanC: number): number {
  const heat = heatCapacity(setup.water, setup.fat) * Math.max(0, meanC - setup.roomC);
  return (100 * STEAMS * Math.exp(-(setup.coolTinMin ?? 10) / KEPT_IN_MIN) * heat) / latentHeat(60);
}

/** The middle after the tin has left the oven, until it has begun to fall, or for a quarter of an hour. */
function cool(baked: State, middle: number, setup: Setup, walls: WallsAt, from: number): Run['after'] {
  const state = fork(baked);
  const out: { s: number; centreC: number }[] = [];
  setWalls(state, walls(setup.rise, 'none', null), rimRowOf(state));
  const q = setup.resolution ?? 1;
  // the walls change at once; short steps at first, as when it went in, so that a thin layer does not swing
  let dt = FIRST_STEP_S / q;
  let highest = -Infinity;
  for (let s = dt; s <= 900; dt = Math.min(LONGEST_STEP_S / q, dt * COOL_GROWTH), s += dt) {
    step(state, dt, setup.roomC);
    const centreC = temperatureOf(state, middle);
    out.push({ s: Math.round(from + s), centreC });
    highest = Math.max(highest, centreC);
    if (centreC < highest - 1) break;
  }
  end(state);
  return out;
}
