import type { Tin } from '../formula/types.js';
import { areaAt, heightFor, outlineOf } from '../tin/geometry.js';
import { boxGrid, roundGrid, type Grid } from './grid.js';
import { materials, parameters as p } from './materials.js';
import { airPressure, evaporationFor, tabulate, type SurfaceLaw } from './physics.js';
import { begin, boiledShare, readOut, step, type Model, type Wall } from './solve.js';

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
  readonly stages: readonly { readonly fromMin: number; readonly ovenC: number }[];
  readonly fan: boolean;
  readonly altitudeM: number;
  /** Factor on all heat transfer: an oven's speed, learned or calibrated. */
  readonly speed: number;
  /** Cells and step relative to the standard resolution; 1 is within 2 % of the converged time. */
  readonly resolution?: number;
  /** Stop when done; the curve then ends there. */
  readonly untilDone?: boolean;
}

export interface Sample {
  readonly s: number;
  readonly centreC: number;
  readonly meanC: number;
  readonly crustC: number;
}

export interface Run {
  /** Minutes until the coldest point is done; null when it never is within `MAX_S`. */
  readonly doneMin: number | null;
  readonly curve: readonly Sample[];
  readonly browning: { readonly top: number; readonly side: number; readonly base: number };
  /** When the top gets dark, min; null when it does not while baking. */
  readonly topBrownMin: number | null;
  readonly lossPct: number;
  readonly batterMm: number;
}

const MAX_S = 6 * 3600;

function gridFor(setup: Setup, heightM: number): Grid {
  const o = outlineOf(setup.tin);
  const mm = heightM * 1000;
  const t = o.depth > 0 ? Math.min(1, mm / 2 / o.depth) : 0;
  const q = setup.resolution ?? 1;
  const cells = (n: number): number => Math.max(4, Math.round(n * q));
  const free = o.free;
  if (o.kind === 'round') {
    const inner = o.tube / 2000;
    // one radius whose disc has the mean plan area up to the batter's surface, so that the volume is right
    const area = (areaAt(o, 0) + 4 * areaAt(o, mm / 2) + areaAt(o, mm)) / 6e6;
    const radius = Math.sqrt(area / Math.PI + inner * inner);
    const wanted = setup.batterG / o.cups / setup.densityGPerMl / 1e6;
    const height = wanted / (Math.PI * (radius * radius - inner * inner));
    return roundGrid(radius, inner, height, cells(14), cells(16), free ? 'open' : 'tin');
  }
  const length = (o.base + (o.top - o.base) * t) / 1000;
  const width = (o.base2 + (o.top2 - o.base2) * t) / 1000;
  const k = Math.sqrt(setup.batterG / o.cups / setup.densityGPerMl / 1e6 / heightM / (length * width));
  return boxGrid(length * k, width * k, heightM, cells(9), cells(9), cells(14));
}

/** Share of the oven that the surface sees past the rim; tin walls above it glow back, so half the blocked part counts. */
function rimView(depthBelow: number, across: number): number {
  if (depthBelow <= 0) return 1;
  const x = (2 * depthBelow) / across;
  const m = 2 + x * x;
  const seen = (m - Math.sqrt(m * m - 4)) / 2;
  return 1 - 0.5 * (1 - seen);
}

export function simulate(setup: Setup): Run {
  const o = outlineOf(setup.tin);
  const heightM = heightFor(setup.tin, setup.batterG / setup.densityGPerMl) / 1000;
  const grid = gridFor(setup, heightM);
  const rho = setup.densityGPerMl * 1000;
  const pressure = airPressure(setup.altitudeM);
  const cp = 4180 * setup.water + 2000 * setup.fat + 1500 * (1 - setup.water - setup.fat);
  const boilable = Math.max(0.08, setup.water - 0.1);
  const eps0 = Math.min(0.4, Math.max(0.05, 1 - rho / p.matrixDensity));
  const tables = tabulate({
    kS: p.kS,
    beta: p.beta,
    aw: p.aw,
    eps0,
    rise: setup.rise,
    rho,
    cp,
    water: boilable,
    pressure,
  });
  const size = Math.pow(0.2 / Math.sqrt(grid.planArea), p.sizeExponent);
  const g = setup.speed * size;
  const hc = setup.fan ? p.hcFan : p.hcStill;
  const material = materials[setup.tin.material];
  const shade = rimView((o.depth - heightM * 1000) * 0.6, Math.min(o.top, o.top2));
  const air = (view: number): SurfaceLaw => ({
    h: g * hc * view,
    eps: g * p.epsTop * view,
    evaporation: evaporationFor(g * hc * view),
  });
  const metal = (share: number): Wall => ({
    law: { h: g * share * hc, eps: g * share * material.eps, evaporation: 0 },
    capacity: material.capacity,
    resistance: material.resistance,
  });
  const bare: Wall = { law: air(1), capacity: 0, resistance: 0 };
  const model: Model = {
    grid,
    tables,
    aw: p.aw,
    mc: p.mc,
    startC: setup.startC,
    walls: {
      base: metal(1),
      tin: metal(1),
      'inner tin': metal(p.innerFace),
      open: o.free ? bare : { law: air(shade), capacity: 0, resistance: 0 },
    },
  };
  return march(model, setup, heightM * 1000);
}

const ovenAt = (setup: Setup, s: number): number => {
  let set = setup.stages[0]?.ovenC ?? 180;
  for (const stage of setup.stages) if (s >= stage.fromMin * 60) set = stage.ovenC;
  return set - p.ovenDroopK * Math.exp(-s / p.ovenRecoveryS);
};

/** Browning at which a crust is golden, and at which it is dark enough to cover. */
export const GOLDEN = 1;
export const DARK = 3.5;

/**
 * Browning per minute at a surface temperature: doubles every 11 K. Scaled so that a 23 cm layer baked at 175 °C ends
 * golden, at 1. A judgement.
 */
const browningRate = (t: number): number => (Number.isFinite(t) ? Math.pow(2, (t - 136) / 11) : 0);

function march(model: Model, setup: Setup, batterMm: number): Run {
  const state = begin(model);
  const q = setup.resolution ?? 1;
  const curve: Sample[] = [{ s: 0, centreC: setup.startC, meanC: setup.startC, crustC: setup.startC }];
  const browning = { top: 0, side: 0, base: 0 };
  let topBrownMin: number | null = null;
  let s = 0;
  let dt = 1.5 / q;
  let doneS: number | null = null;
  let before = setup.startC;
  let nextSample = 30;
  let atDone = { ...browning };
  let lossPct = 0;
  const longest = 14 / q;
  while (s < MAX_S) {
    step(state, dt, ovenAt(setup, s + dt / 2));
    s += dt;
    const r = readOut(state);
    if (doneS === null) {
      browning.top += (browningRate(r.top) * dt) / 60;
      browning.side += (browningRate(r.side) * dt) / 60;
      browning.base += (browningRate(r.base) * dt) / 60;
      if (topBrownMin === null && browning.top >= DARK) topBrownMin = s / 60;
    }
    if (s >= nextSample) {
      curve.push({ s: Math.round(s), centreC: r.coldest, meanC: r.mean, crustC: r.top });
      nextSample += s > 3600 ? 120 : 30;
    }
    if (doneS === null && r.coldest >= setup.doneC) {
      doneS = s - dt * ((r.coldest - setup.doneC) / Math.max(1e-9, r.coldest - before));
      atDone = { ...browning };
      lossPct = lossOf(model, state.vapour, boiledShare(state), setup);
    }
    before = r.coldest;
    if (doneS !== null && (setup.untilDone || s > doneS * 1.2)) break;
    dt = Math.min(longest, dt * 1.06);
  }
  return {
    doneMin: doneS === null ? null : doneS / 60,
    curve,
    browning: doneS === null ? browning : atDone,
    topBrownMin,
    lossPct,
    batterMm,
  };
}

function lossOf(model: Model, vapour: number, boiled: number, setup: Setup): number {
  const batterKg =
    (model.grid.volume * model.tables.rhoCp) /
    (4180 * setup.water + 2000 * setup.fat + 1500 * (1 - setup.water - setup.fat));
  return 100 * (vapour / batterKg + boiled * Math.max(0.08, setup.water - 0.1));
}
