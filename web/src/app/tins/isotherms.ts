import type { Section, TinFit } from '@orvin/core';

export interface Frame {
  readonly frame: Float32Array;
  readonly risen: number;
}

/** Temperatures at a second of the bake, between the frames that were kept. */
export function frameAt(s: Section, second: number): Frame {
  const size = s.nx * s.nz;
  let i = s.times.findIndex((t) => t >= second);
  if (i < 0) i = s.times.length - 1;
  const before = Math.max(0, i - 1);
  const [a, b] = [s.times[before] ?? 0, s.times[i] ?? 0];
  const share = b > a ? Math.min(1, Math.max(0, (second - a) / (b - a))) : 0;
  const frame = new Float32Array(size);
  for (let k = 0; k < size; k++) {
    const from = s.frames[before * size + k] ?? 0;
    frame[k] = from + ((s.frames[i * size + k] ?? 0) - from) * share;
  }
  const r = s.risen[before] ?? 1;
  return { frame, risen: r + ((s.risen[i] ?? r) - r) * share };
}

/** Where cells stand when the batter has risen, mm from the axis and above the base. */
export interface Shape {
  /** Height of each row's top at the axis. */
  readonly z: readonly number[];
  /** From a place in columns (0 at the axis, nx at the edge) to mm. */
  xAt(column: number): number;
  /** From a place in rows to mm, at a distance x from the axis: the crown stands higher than the edge. */
  zAt(row: number, x: number): number;
  /** Temperature at a place in cells, by the four centres around it. */
  sample(frame: Float32Array, column: number, row: number): number;
}

export function risenShape(s: Section, fit: TinFit, risen: number): Shape {
  const edge = s.x.at(-1) ?? 1;
  const full = Math.max(1e-6, fit.rise - 1);
  // the dome grows as the batter rises, half of it above the mean and half below
  const dome = ((fit.crownMm - fit.edgeMm) / 2) * Math.min(1, Math.max(0, (risen - 1) / full));
  const height = (s.z.at(-1) ?? 1) * risen;
  const xs = [s.inner, ...s.x];
  const zs = [0, ...s.z];
  const along = (list: readonly number[], at: number): number => {
    const i = Math.min(list.length - 2, Math.max(0, Math.floor(at)));
    const [a, b] = [list[i] ?? 0, list[i + 1] ?? 0];
    return a + (b - a) * (at - i);
  };
  const zAt = (row: number, x: number): number => {
    const r = s.inner > 0 ? (2 * (x - s.inner)) / Math.max(1e-6, edge - s.inner) - 1 : x / edge;
    const lift = 1 + (dome / Math.max(1e-6, height)) * (1 - 2 * r * r);
    return along(zs, row) * risen * lift;
  };
  const middle = s.inner > 0 ? (s.inner + edge) / 2 : 0;
  return {
    z: s.z.map((_, i) => zAt(i + 1, middle)),
    xAt: (column) => along(xs, column),
    zAt,
    sample: (frame, column, row) => {
      const c = Math.min(s.nx - 1, Math.max(0, column));
      const r = Math.min(s.nz - 1, Math.max(0, row));
      const [i, j] = [Math.min(s.nx - 2, Math.floor(c)), Math.min(s.nz - 2, Math.floor(r))];
      const [u, v] = [c - i, r - j];
      const at = (x: number, z: number): number => frame[z * s.nx + x] ?? 0;
      return (
        at(i, j) * (1 - u) * (1 - v) +
        at(i + 1, j) * u * (1 - v) +
        at(i, j + 1) * (1 - u) * v +
        at(i + 1, j + 1) * u * v
      );
    },
  };
}

type Point = readonly [number, number];

/** The isotherm of `c`, °C, as short lines in mm on both sides of the axis (marching squares between cell centres). */
export function contour(s: Section, frame: Float32Array, shape: Shape, c: number): [Point, Point][] {
  const out: [Point, Point][] = [];
  const t = (x: number, z: number): number => shape.sample(frame, x, z);
  const point = (x: number, z: number): Point => {
    const mm = shape.xAt(x + 0.5);
    return [mm, shape.zAt(z + 0.5, mm)];
  };
  for (let z = -1; z < s.nz; z++)
    for (let x = -1; x < s.nx; x++) {
      const corners = [
        [Math.max(-0.5, x), Math.max(-0.5, z)],
        [Math.min(s.nx - 0.5, x + 1), Math.max(-0.5, z)],
        [Math.min(s.nx - 0.5, x + 1), Math.min(s.nz - 0.5, z + 1)],
        [Math.max(-0.5, x), Math.min(s.nz - 0.5, z + 1)],
      ] as const;
      const values = corners.map(([a, b]) => t(a, b) - c);
      const crossed: Point[] = [];
      for (let e = 0; e < 4; e++) {
        const [a, b] = [values[e] ?? 0, values[(e + 1) % 4] ?? 0];
        if (a < 0 === b < 0) continue;
        const share = a / (a - b);
        const [p, q] = [corners[e] as readonly [number, number], corners[(e + 1) % 4] as readonly [number, number]];
        crossed.push(point(p[0] + (q[0] - p[0]) * share, p[1] + (q[1] - p[1]) * share));
      }
      if (crossed.length >= 2) {
        const [p, q] = [crossed[0] as Point, crossed[1] as Point];
        out.push(
          [p, q],
          [
            [-p[0], p[1]],
            [-q[0], q[1]],
          ],
        );
      }
    }
  return out;
}
