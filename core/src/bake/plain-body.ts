/** What a body that only conducts looks like: how it is heated, and whether it conducts better the hotter it is. */
export interface PlainBody {
  /** Dimensions from which heat comes: 1 a plate, 2 a cylinder, 3 a ball. */
  readonly dimensions: 1 | 2 | 3;
  /** What heats it, °C, through a film of this Biot number (a half thickness over a conductivity, times h). */
  readonly aroundC: number;
  readonly biot: number;
  /** Conductivity at 100 °C over that when cold, less 1: what vapour carries grows steeply with temperature. */
  readonly vapour: number;
  readonly startC: number;
  /** The outermost shell when it goes in, °C: a hot tin has warmed it. */
  readonly skinC: number;
  readonly doneC: number;
}

/** Temperatures of a bake's coldest spot and of all its crumb, each hundredth of its time until done, and on to `ON`. */
export interface Curve {
  readonly centreC: readonly number[];
  readonly meanC: readonly number[];
}
/** How far curves go on after they are done, as a share of their time. */
export const ON = 1.4;
/** Points of a curve for its time until done. */
export const PER_BAKE = 100;

const SHELLS = 12;
/** Wet crumb does not get hotter than this, °C: a judgement for sweet batters, 101 to 105. */
const WET_C = 104;
/** Explicit steps are stable below half a shell squared over the diffusivity. */
const STEP = 0.2;
const MOST_STEPS = 60_000;

/**
 * The curve of a body of one dimension that only conducts: the heat equation by explicit finite volumes (Crank, The
 * Mathematics of Diffusion, chapter 8), in its own time until the middle is done. Null when it never is.
 */
export function plainCurve(b: PlainBody): Curve | null {
  const n = b.dimensions - 1;
  const dr = 1 / SHELLS;
  const k = (t: number): number => 1 + b.vapour * Math.pow(Math.max(0, t) / 100, 3);
  const dt = (STEP * dr * dr) / k(WET_C + 10);
  const volume = Array.from({ length: SHELLS }, (_, i) => Math.pow((i + 1) * dr, n + 1) - Math.pow(i * dr, n + 1));
  const T = new Array<number>(SHELLS).fill(b.startC);
  T[SHELLS - 1] = Math.min(WET_C, b.skinC);
  const mean = (): number => volume.reduce((s, v, i) => s + v * (T[i] as number), 0);
  const rows: [number, number][] = [[b.startC, mean()]];
  let doneAt: number | null = null;
  for (let step = 1; step < MOST_STEPS && (doneAt === null || step <= ON * doneAt + 1); step++) {
    let below = 0;
    for (let i = 0; i < SHELLS; i++) {
      const t = T[i] as number;
      const next = T[i + 1];
      const above =
        next === undefined
          ? (b.aroundC - t) / (1 / b.biot + dr / 2 / k(t))
          : (k((t + next) / 2) * (next - t) * Math.pow((i + 1) * dr, n)) / dr;
      const warmer = t + ((n + 1) * dt * (above - below)) / (volume[i] as number);
      T[i] = next === undefined ? warmer : Math.min(WET_C, warmer);
      below = above;
    }
    if (doneAt === null && (T[0] as number) >= b.doneC) doneAt = step;
    rows.push([T[0] as number, mean()]);
  }
  if (doneAt === null) return null;
  const end = doneAt;
  const at = (j: 0 | 1): number[] =>
    Array.from({ length: Math.round(ON * PER_BAKE) + 1 }, (_, i) => {
      const x = (i * end) / PER_BAKE;
      const row = Math.min(rows.length - 2, Math.floor(x));
      const [p, q] = [(rows[row] as [number, number])[j], (rows[row + 1] as [number, number])[j]];
      return p + (q - p) * (x - row);
    });
  return { centreC: at(0), meanC: at(1) };
}
