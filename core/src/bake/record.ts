import type { Grid } from './grid.js';
import { sectionOf } from './readings.js';
import type { State } from './state.js';

export interface Sample {
  readonly s: number;
  readonly centreC: number;
  readonly meanC: number;
  readonly crustC: number;
}

/** Temperatures through the middle as the bake goes, and how to draw them. */
export interface Section {
  readonly nx: number;
  readonly nz: number;
  /** Distance of each column's outer edge from the axis and height of each row's top in the raw batter, mm. */
  readonly x: readonly number[];
  readonly z: readonly number[];
  /** Radius of the tube, mm; 0 without one. */
  readonly inner: number;
  readonly times: readonly number[];
  /** Risen over raw volume at each time. */
  readonly risen: readonly number[];
  /** °C; frame after frame, each row by row from the base, from the middle outwards. */
  readonly frames: Float32Array;
}

/** Takes down the curve of a bake, and the frames of its section when they are wanted. */
export function recorder(grid: Grid, wanted: boolean, innerMm: number) {
  const curve: Sample[] = [];
  const times: number[] = [];
  const risen: number[] = [];
  const frames: Float32Array[] = [];
  return {
    curve,
    at(s: number, state: State, share: number, sample: Omit<Sample, 's'>): void {
      curve.push({ s: Math.round(s), ...sample });
      if (!wanted) return;
      times.push(Math.round(s));
      risen.push(share);
      frames.push(sectionOf(state));
    },
    section(): Section | null {
      if (!wanted) return null;
      const all = new Float32Array(frames.length * grid.nx * grid.nz);
      frames.forEach((f, i) => all.set(f, i * grid.nx * grid.nz));
      const sum = (from: number, widths: readonly number[]): number[] => {
        let at = from;
        return widths.map((w) => (at += 1000 * w));
      };
      return {
        nx: grid.nx,
        nz: grid.nz,
        x: sum(innerMm, columnWidths(grid)),
        z: sum(0, [...grid.dz]),
        inner: innerMm,
        times,
        risen,
        frames: all,
      };
    },
  };
}

/** Widths of the cells along x, m: twice the way from each centre to its outer face. */
function columnWidths(grid: Grid): number[] {
  const axis = grid.axes[1];
  if (!axis) return [];
  const out: number[] = [];
  let half = axis.halfLow;
  for (let i = 0; i < axis.n; i++) {
    out.push(2 * half);
    half = (axis.gap[i] as number) - half;
  }
  return out;
}
