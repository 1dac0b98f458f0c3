import type { Kitchen } from '../formula/types.js';
import type { BakeInput } from './bake-input.js';
import type { Slopes } from './learned.js';
import { problemsOf } from './problems.js';
import { simulate } from './run.js';
import { setupOf } from './setup.js';

/** What the model says of a bake before anything was learned, and how its time would move. */
export interface Reckoned extends Slopes {
  /** Minutes until the middle is done, by the family's temperature. */
  readonly minutes: number;
  readonly doneC: number;
  /** The middle's course near the end: minutes and °C, rising. */
  readonly path: readonly (readonly [min: number, c: number])[];
  readonly batterMm: number;
  readonly lossPct: number;
}

/** Steps of the differences, K and ln. */
const STEP = { ovenC: 10, log: 0.15 } as const;
/** Differences need no finer grid. */
const COARSE = 0.6;
const FROM_C = 70;

/**
 * Runs the model four times: as it is, on a coarse grid, and there with a hotter oven and a quicker one. Null when the
 * bake is never done. Some 10 ms for a round, 60 for a loaf.
 */
export function reckon(input: BakeInput, kitchen?: Kitchen): Reckoned | null {
  const { calibration: _calibration, known: _known, ...rest } = input;
  if (problemsOf(rest, kitchen).stops.length > 0) return null;
  const setup = setupOf(rest, kitchen);
  const run = simulate(setup);
  if (run.doneMin === null) return null;
  const time = (more: Partial<typeof setup>): number | null =>
    simulate({ ...setup, ...more, resolution: COARSE }, { untilDone: true }).doneMin;
  const [free, hot, quick] = [
    time({}),
    time({ stages: setup.stages.map((s) => ({ ...s, ovenC: s.ovenC + STEP.ovenC })) }),
    time({ speed: Math.exp(STEP.log) }),
  ];
  if (free === null || hot === null || quick === null) return null;
  const path = run.curve.filter((p) => p.centreC >= FROM_C).map((p) => [p.s / 60, p.centreC] as const);
  const [low, high] = [timeAt(path, setup.doneC - 1.5), timeAt(path, setup.doneC + 1)];
  return {
    minutes: run.doneMin,
    perK: Math.log(hot / free) / STEP.ovenC,
    perSpeed: Math.log(quick / free) / STEP.log,
    perDoneK: low !== null && high !== null ? Math.log(high / low) / 2.5 : 0.022,
    doneC: setup.doneC,
    path: thin(path),
    batterMm: run.batterMm,
    lossPct: run.lossPct,
  };
}

/** Minutes at which a rising course reaches a temperature; null outside of it. */
export function timeAt(path: Reckoned['path'], c: number): number | null {
  for (let i = 1; i < path.length; i++) {
    const [a, b] = [path[i - 1] as Reckoned['path'][number], path[i] as Reckoned['path'][number]];
    if (a[1] <= c && c <= b[1] && b[1] > a[1]) return a[0] + ((b[0] - a[0]) * (c - a[1])) / (b[1] - a[1]);
  }
  return null;
}

/** About a dozen points of a course, its ends among them. */
function thin(path: Reckoned['path']): Reckoned['path'] {
  const every = Math.max(1, Math.floor(path.length / 12));
  return path
    .filter((_, i) => i % every === 0 || i === path.length - 1)
    .map(([m, c]) => [Math.round(100 * m) / 100, Math.round(100 * c) / 100] as const);
}
