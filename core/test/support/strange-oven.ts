import type { BakeInput, Kitchen, ProbeReading } from '../../src/index.js';
import { setupOf } from '../../src/bake/setup.js';
import { parameters } from '../../src/bake/materials.js';
import { simulate } from '../../src/bake/run.js';

/** A generator of its own for each seed; even, 0 to 1. */
export function dice(seed: number): { even: (a: number, b: number) => number; normal: (sd: number) => number } {
  let x = (seed * 2654435761 + 12345) >>> 0;
  const next = (): number => {
    x = (Math.imul(x ^ (x >>> 15), 2246822519) + 0x9e3779b9) >>> 0;
    x ^= x >>> 13;
    return ((Math.imul(x, 3266489917) >>> 0) % 1_000_003) / 1_000_003;
  };
  for (let i = 0; i < 5; i++) next();
  return {
    even: (a, b) => a + (b - a) * next(),
    normal: (sd) =>
      sd *
      (next() + next() + next() + next() + next() + next() + next() + next() + next() + next() + next() + next() - 6),
  };
}

export interface ProbedBake {
  readonly readings: readonly ProbeReading[];
  readonly doneMin: number;
  readonly biasC: number;
}

const SHELLS = 12;
/** Water in a sweet crumb boils here, °C. */
const BOILS_C = 103;

interface Strange {
  /** 0 slab, 1 cylinder, 2 sphere. */
  readonly shape: 0 | 1 | 2;
  readonly radiusM: number;
  readonly setC: number;
  readonly biasC: number;
  readonly swingK: number;
  readonly periodS: number;
  readonly doors: readonly number[];
  readonly startC: number;
  readonly doneC: number;
  readonly boost: number;
  readonly h: number;
  /** What the outermost shells are at when it goes in: a tin that was heated empty has warmed them. */
  readonly skinC: number;
}

/** Temperatures of shells each ten seconds until an hour after the middle is done: nothing of the bake model is in it. */
function bakeShells(o: Strange): { rows: number[][]; air: number[]; doneS: number } {
  const dr = o.radiusM / SHELLS;
  const T = new Array<number>(SHELLS).fill(o.startC);
  T[SHELLS - 1] = T[SHELLS - 2] = o.skinC;
  const rows: number[][] = [];
  const air: number[] = [];
  let doneS = Infinity;
  let loss = 45;
  // explicit steps have to be short for thin shells
  const dt = 10 / Math.ceil(10 / Math.min(2, (0.2 * dr * dr) / ((0.42 * (1 + o.boost)) / 2.9e6)));
  for (let n = 0; n * dt < 4 * 3600 && n * dt < doneS + 300; n++) {
    const s = n * dt;
    for (const d of o.doors) if (s >= d && s < d + dt) loss = 70;
    loss *= Math.exp(-dt / 110);
    const a = o.setC + o.biasC + o.swingK * Math.sin((2 * Math.PI * s) / o.periodS) - loss;
    const mean = T.reduce((x, y) => x + y, 0) / SHELLS;
    // rise as a step of temperature, not a band: porous crumb conducts less, steam through it carries more
    const porous = 1 / (1 + 0.8 / (1 + Math.exp(-(mean - 62) / 5)));
    const k = (t: number): number => 0.42 * porous * (1 + o.boost * Math.pow(Math.max(0, t) / 100, 3));
    const flux = new Array<number>(SHELLS + 1).fill(0);
    for (let i = 1; i < SHELLS; i++) {
      const [p, q] = [T[i - 1] as number, T[i] as number];
      flux[i] = ((k((p + q) / 2) * (q - p)) / dr) * Math.pow(i * dr, o.shape);
    }
    const skin = T[SHELLS - 1] as number;
    // a wet skin gives off much of what it gets above boiling
    flux[SHELLS] = (o.h * (a - skin) - (skin > 99 ? 11 * (skin - 99) : 0)) * Math.pow(o.radiusM, o.shape);
    for (let i = 0; i < SHELLS; i++) {
      const volume = (Math.pow((i + 1) * dr, o.shape + 1) - Math.pow(i * dr, o.shape + 1)) / (o.shape + 1);
      const cp = 2.9e6 * (1 + (Math.abs((T[i] as number) - 68) < 9 ? 0.25 : 0));
      const next = (T[i] as number) + (dt * ((flux[i + 1] as number) - (flux[i] as number))) / (cp * volume);
      // wet crumb boils off what would heat it further; the crust dries
      T[i] = i < SHELLS - 2 ? Math.min(next, BOILS_C) : next;
    }
    if (doneS === Infinity && (T[0] as number) >= o.doneC) doneS = s;
    if (Math.abs(s / 10 - Math.round(s / 10)) * 10 < dt / 2) {
      rows.push([...T]);
      air.push(a);
    }
  }
  return { rows, air, doneS };
}

/** What a probe shows: not quite in the middle, the stem warmed by the oven, slow, noisy, with gaps. */
function probed(
  rows: readonly (readonly number[])[],
  air: readonly number[],
  doneS: number,
  d: ReturnType<typeof dice>,
): ProbeReading[] {
  const at = Math.floor(d.even(0, 0.36) * SHELLS);
  const stem = d.even(0, 0.035);
  const gap = d.even(0.1, 0.8) * doneS;
  let shown = rows[0]?.[at] ?? 20;
  const out: ProbeReading[] = [];
  rows.forEach((row, i) => {
    const s = 10 * i;
    const is = (1 - stem) * (row[at] as number) + stem * (air[i] as number);
    shown += (is - shown) * (1 - Math.exp(-10 / 22));
    if (s > gap && s < gap + 150) return;
    if (i % 2 === 0) out.push({ s, c: Math.round(10 * (shown + d.normal(0.4))) / 10 });
  });
  return out;
}

/**
 * A bake in an oven that is built otherwise than the predictor thinks: shells of one dimension, a thermostat that swings,
 * doors that are opened, other laws of rise and conduction. Its size is such that it would be done in the predicted
 * time but for 6 % either way, and for the oven's hidden bias.
 */
export function strangeBake(input: BakeInput, kitchen: Kitchen, seed: number): ProbedBake {
  const d = dice(seed);
  const setup = setupOf(input, kitchen);
  const nominal = simulate(setup, { section: false }).doneMin ?? 40;
  const wanted = nominal * 60 * Math.exp(d.normal(0.06));
  const shape = input.tin.shape === 'loaf' ? 1 : input.tin.shape === 'cup' || input.tin.shape === 'mound' ? 2 : 0;
  const startC = setup.startC + d.normal(1.5);
  const base: Omit<Strange, 'radiusM'> = {
    shape,
    skinC: input.hotTin ? 80 : startC,
    setC: input.ovenC,
    biasC: 0,
    swingK: d.even(2, 10),
    periodS: d.even(240, 600),
    doors: [],
    startC,
    doneC: setup.doneC,
    boost: d.even(0.8, 2.6),
    h: d.even(18, 34),
  };
  let [lo, hi] = [0.008, 0.12];
  for (let i = 0; i < 10; i++) {
    const mid = (lo + hi) / 2;
    if (bakeShells({ ...base, radiusM: mid }).doneS > wanted) hi = mid;
    else lo = mid;
  }
  const biasC = d.normal(10);
  const doors = d.even(0, 1) < 0.5 ? [] : [d.even(0.25, 0.9) * wanted];
  const run = bakeShells({ ...base, biasC, doors, radiusM: (lo + hi) / 2 });
  return { readings: probed(run.rows, run.air, run.doneS, d), doneMin: run.doneS / 60, biasC };
}

/** A bake as the model itself has it, in an oven with a hidden bias and pace. */
export function matchedBake(input: BakeInput, kitchen: Kitchen, seed: number): ProbedBake {
  const d = dice(seed);
  const biasC = d.normal(10);
  const calibration = {
    speed: Math.exp(d.normal(0.12)),
    biasC,
    sdLog: 0.2,
    timeSd: 0.1,
    used: 0,
    words: '',
    doubts: [],
  };
  const run = simulate(setupOf({ ...input, calibration }, kitchen), { section: false });
  const off = d.even(0, 0.3);
  const readings = run.curve
    .filter((_, i) => i % 2 === 0)
    .map((x) => ({ s: x.s, c: Math.round(10 * ((1 - off) * x.centreC + off * x.meanC + d.normal(0.5))) / 10 }));
  return { readings, doneMin: run.doneMin ?? 0, biasC };
}

/**
 * A bake of the same body, but with other laws: more or less vapour through the pores, another conductivity, another rise,
 * another share of radiation; in an oven with a swinging thermostat, an opened door and a hidden bias, read by a probe off
 * the middle as in `strangeBake`.
 */
export function alteredBake(input: BakeInput, kitchen: Kitchen, seed: number): ProbedBake {
  const d = dice(seed);
  const biasC = d.normal(10);
  const usual = setupOf(input, kitchen);
  const nominal = simulate(usual, { untilDone: true }).doneMin ?? 40;
  const [swing, period] = [d.even(2, 10), d.even(4, 10)];
  const door = d.even(0, 1) < 0.5 ? null : d.even(0.25, 0.9) * nominal;
  const stages = Array.from({ length: 60 }, (_, i) => (i * period) / 2)
    .concat(door === null ? [] : [door, door + 0.7])
    .sort((a, b) => a - b)
    .map((fromMin) => {
      const up = Math.floor((2 * fromMin) / period + 1e-9) % 2 === 0 ? 1 : -1;
      const open = door !== null && fromMin >= door && fromMin < door + 0.7;
      return { fromMin, ovenC: input.ovenC + biasC + up * swing - (open ? 60 : 0) };
    });
  const laws = parameters as { -readonly [K in keyof typeof parameters]: number };
  const was = { ...laws };
  laws.beta *= Math.exp(d.normal(0.35));
  laws.epsTop *= Math.exp(d.normal(0.1));
  const other = {
    ...usual,
    startC: usual.startC + d.normal(1.5),
    rise: 1 + (usual.rise - 1) * Math.exp(d.normal(0.25)),
    water: usual.water + d.normal(0.03),
    fat: Math.max(0.01, usual.fat + d.normal(0.03)),
    convection: Math.exp(d.normal(0.2)),
    emissivity: Math.exp(d.normal(0.15)),
  };
  // whatever the laws, at the dial's heat it is done in the predicted time but for 6 %
  const wanted = nominal * Math.exp(d.normal(0.06));
  let speed = usual.speed;
  for (let i = 0; i < 5; i++) {
    const min = simulate({ ...other, speed }, { untilDone: true }).doneMin ?? nominal;
    speed *= (min / wanted) ** 1.2;
  }
  const run = simulate({ ...other, speed, stages }, { section: false });
  Object.assign(laws, was);
  const [off, doneS] = [d.even(0, 0.3), 60 * (run.doneMin ?? 0)];
  const rows: number[][] = [];
  const air: number[] = [];
  let k = 0;
  for (let s = 0; s <= doneS; s += 10) {
    while (k < run.curve.length - 2 && (run.curve[k + 1]?.s ?? 0) < s) k++;
    const [a, b] = [run.curve[k], run.curve[k + 1]];
    if (!a || !b) break;
    const at = (x: typeof a): number => (1 - off) * x.centreC + off * x.meanC;
    rows.push(new Array<number>(SHELLS).fill(at(a) + ((at(b) - at(a)) * (s - a.s)) / Math.max(1, b.s - a.s)));
    air.push(input.ovenC + biasC + swing * Math.sin((2 * Math.PI * s) / (60 * period)));
  }
  return { readings: probed(rows, air, doneS, d), doneMin: run.doneMin ?? 0, biasC };
}
