import type { Axis, Face, Grid } from './grid.js';
import type { Tables } from './physics.js';

/** A record of numbers and whole numbers, in words of eight bytes: where each is, and from where on they are whole. */
export type Places<K extends string> = Readonly<Record<K, number>> & { readonly size: number; readonly whole: number };
const record = <A extends string, B extends string = never>(
  numbers: readonly A[],
  wholes: readonly B[] = [],
): Places<A | B> =>
  ({
    ...Object.fromEntries([...numbers, ...wholes].map((name, i) => [name, i])),
    whole: numbers.length,
    size: numbers.length + wholes.length,
  }) as Places<A | B>;

/** The records of core/kernel/layout.ts, which says what their fields are, in the same order. */
export const BAKE = record(
  [
    ...(['freezes', 'boils', 'plateau', 'rise', 'lowest', 'highest', 'rhoCp', 'mc', 'stillFilm', 'waterKgM3'] as const),
    ...(['latent0', 'latentFall', 'sigma', 'heat', 'vapour'] as const),
  ],
  [
    ...(['rimRow', 'atRim', 'aboveRim', 'theta', 'dry', 'water', 'temperature', 'drive', 'phi'] as const),
    ...(['pairs', 'extra', 'axes', 'count'] as const),
  ],
);
export const AXIS = record(
  ['halfLow', 'halfHigh', 'forDt'],
  [
    ...(['n', 'stride', 'lines', 'perRow', 'starts', 'table', 'transport', 'gap', 'areaLow', 'areaHigh'] as const),
    ...(['exchange', 'low', 'high', 'lowFace', 'highFace'] as const),
  ],
);
export const FACE = record(['h', 'eps', 'film', 'capacity', 'resistance', 'around']);
/** Of a face in the oven's air; as in core/kernel/layout.ts. */
export const OVEN = -1000;
const END_ITSELF = record(
  ['t', 'touching', 'lost', 'area', 'b', 'd', 'p', 'r', 'g', 'drop', 't0', 'slope', 'theta0'],
  ['front'],
);
const SINK = record(['b', 'd', 'rate', 'slope', 'theta0', 'latent']);
export const END = { ...END_ITSELF, size: END_ITSELF.size + 2 * SINK.size };

/** The kinds of outer faces that lie in a room, in this order. */
export const FACES = ['base', 'open', 'tin', 'inner tin', 'at rim', 'above rim'] as const;

/** Records of the ends of an axis' lines: where the first is, and how many. */
export interface Ends {
  readonly face: Exclude<Face, 'symmetric'>;
  readonly at: number;
  readonly lines: number;
}

export interface AxisLayout {
  readonly at: number;
  readonly starts: number;
  readonly gap: number;
  readonly areaLow: number;
  readonly areaHigh: number;
  readonly exchange: number;
  readonly low: Ends | null;
  readonly high: Ends | null;
}

/** Where things are in a bake's room, in numbers from its beginning; the inner loops see nothing else. */
export interface Layout {
  readonly cells: number;
  readonly theta: number;
  readonly dry: number;
  readonly water: number;
  readonly tables: Readonly<Record<(typeof TABLES)[number] | 'drive', number>>;
  readonly pairs: number;
  readonly extra: number;
  readonly rows: number;
  readonly faces: number;
  readonly axes: readonly AxisLayout[];
  readonly size: number;
}

/** The tables of the crumb that the inner loops read. */
export const TABLES = ['temperature', 'vertical', 'horizontal', 'kVertical', 'kHorizontal', 'phi'] as const;

export function layoutOf(grid: Grid, tables: Tables): Layout {
  const cells = grid.nx * grid.ny * grid.nz;
  const rows = Math.max(...grid.axes.map((a) => a.n));
  let size = BAKE.size;
  const take = (n: number): number => {
    size += n;
    return size - n;
  };
  const at = take(grid.axes.length * AXIS.size);
  const places = Object.fromEntries(TABLES.map((name) => [name, take(tables[name].length)]));
  return {
    cells,
    theta: take(cells),
    dry: take(cells),
    water: take(cells),
    tables: { ...(places as Record<(typeof TABLES)[number], number>), drive: take(2 * tables.size) },
    pairs: take(2 * rows),
    extra: take(2 * rows),
    rows,
    faces: take(FACES.length * FACE.size),
    axes: grid.axes.map((axis, i) => axisLayout(axis, cells / axis.n, at + i * AXIS.size, take)),
    size,
  };
}

function axisLayout(axis: Axis, lines: number, at: number, take: (n: number) => number): AxisLayout {
  const ends = (face: Face): Ends | null => (face === 'symmetric' ? null : { face, at: take(lines * END.size), lines });
  return {
    at,
    starts: take(lines),
    gap: take(axis.n),
    areaLow: take(axis.n),
    areaHigh: take(axis.n),
    exchange: take(2 * axis.n),
    low: ends(axis.low),
    high: ends(axis.high),
  };
}
