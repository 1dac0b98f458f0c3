/**
 * A grid in coordinates of the raw batter, so that it never moves while the batter rises. Round shapes are
 * axisymmetric (x = radius, one cell in y); boxes are a quarter (x, y from the middle). z goes up from the base.
 * Cells are finer towards heated faces.
 */
export interface Grid {
  readonly nx: number;
  readonly ny: number;
  readonly nz: number;
  /** Cell volumes by (x, y) column per unit height, m2; and heights, m. */
  readonly plan: Float64Array;
  readonly dz: Float64Array;
  readonly axes: readonly Axis[];
  readonly volume: number;
  readonly planArea: number;
}

/** What a face at the end of an axis is. */
export type Face = 'symmetric' | 'tin' | 'inner tin' | 'open' | 'base';

export interface Axis {
  readonly name: 'x' | 'y' | 'z';
  readonly n: number;
  /** Distance of cells in the flat array along this axis. */
  readonly stride: number;
  /** Distance between neighbouring cell centres; entry n-1 unused, m. */
  readonly gap: Float64Array;
  /** From the centre of the first and last cell to its outer face, m. */
  readonly halfLow: number;
  readonly halfHigh: number;
  /** Face area over cell width, per cell, low and high side; the cell's other extents cancel against its volume. */
  readonly areaLow: Float64Array;
  readonly areaHigh: Float64Array;
  readonly low: Face;
  readonly high: Face;
}

/** Widths of n cells over a length, shrinking geometrically toward the heated end(s). */
export function widths(length: number, n: number, ratio: number, fine: 'high' | 'both'): Float64Array {
  const w = new Float64Array(n);
  let sum = 0;
  for (let i = 0; i < n; i++) {
    const fromFine = fine === 'high' ? n - 1 - i : Math.min(i, n - 1 - i);
    w[i] = Math.pow(ratio, fromFine);
    sum += w[i] as number;
  }
  for (let i = 0; i < n; i++) w[i] = ((w[i] as number) * length) / sum;
  return w;
}

/** One straight axis of cells of width w: face area over volume is one over the width on either side. */
function straight(name: 'x' | 'y' | 'z', w: Float64Array, stride: number, low: Face, high: Face): Axis {
  const n = w.length;
  const gap = new Float64Array(n);
  const areaLow = new Float64Array(n);
  const areaHigh = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const wi = w[i] as number;
    gap[i] = i + 1 < n ? (wi + (w[i + 1] as number)) / 2 : 0;
    areaLow[i] = areaHigh[i] = 1 / wi;
  }
  return {
    name,
    n,
    stride,
    gap,
    halfLow: (w[0] as number) / 2,
    halfHigh: (w[n - 1] as number) / 2,
    areaLow,
    areaHigh,
    low,
    high,
  };
}

/**
 * Grid of a round shape, lengths in m, of nr by nz cells. With `finer` times as many cells as usual, neighbours differ by
 * as much less, so that every cell is split and none shrinks to nothing.
 */
export function roundGrid(
  radius: number,
  inner: number,
  height: number,
  nr: number,
  nz: number,
  side: Face,
  finer = 1,
): Grid {
  const wr = widths(radius - inner, nr, Math.pow(inner > 0 ? 1.12 : 1.1, 1 / finer), inner > 0 ? 'both' : 'high');
  const dz = widths(height, nz, Math.pow(1.14, 1 / finer), 'both');
  const plan = new Float64Array(nr);
  const gap = new Float64Array(nr);
  const areaLow = new Float64Array(nr);
  const areaHigh = new Float64Array(nr);
  let r = inner;
  for (let i = 0; i < nr; i++) {
    const w = wr[i] as number;
    const next = r + w;
    plan[i] = Math.PI * (next * next - r * r);
    areaLow[i] = (2 * Math.PI * r) / (plan[i] as number);
    areaHigh[i] = (2 * Math.PI * next) / (plan[i] as number);
    gap[i] = i + 1 < nr ? (w + (wr[i + 1] as number)) / 2 : 0;
    r = next;
  }
  const x: Axis = {
    name: 'x',
    n: nr,
    stride: 1,
    gap,
    halfLow: (wr[0] as number) / 2,
    halfHigh: (wr[nr - 1] as number) / 2,
    areaLow,
    areaHigh,
    low: inner > 0 ? 'inner tin' : 'symmetric',
    high: side,
  };
  const area = Math.PI * (radius * radius - inner * inner);
  return {
    nx: nr,
    ny: 1,
    nz,
    plan,
    dz,
    axes: [straight('z', dz, nr, 'base', 'open'), x],
    volume: area * height,
    planArea: area,
  };
}

/** Grid of a quarter box, lengths of the whole in m; `finer` as of `roundGrid`. */
export function boxGrid(
  length: number,
  width: number,
  height: number,
  nx: number,
  ny: number,
  nz: number,
  finer = 1,
  side: Face = 'tin',
): Grid {
  const wx = widths(length / 2, nx, Math.pow(1.18, 1 / finer), 'high');
  const wy = widths(width / 2, ny, Math.pow(1.18, 1 / finer), 'high');
  const dz = widths(height, nz, Math.pow(1.14, 1 / finer), 'both');
  const plan = new Float64Array(nx * ny);
  for (let j = 0; j < ny; j++) for (let i = 0; i < nx; i++) plan[j * nx + i] = (wx[i] as number) * (wy[j] as number);
  return {
    nx,
    ny,
    nz,
    plan,
    dz,
    axes: [
      straight('z', dz, nx * ny, 'base', 'open'),
      straight('x', wx, 1, 'symmetric', side),
      straight('y', wy, nx, 'symmetric', side),
    ],
    volume: (length * width * height) / 4,
    planArea: length * width,
  };
}
