/**
 * Tells a printed sign by its likeness to signs that were drawn, for those that a text recogniser has no letter for. Both
 * are cut to their ink, laid onto the same small grid, and compared by the correlation of their greys.
 */

/** A picture's greys, row by row, 0 black to 255 white. */
export interface Greys {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/** A sign on a grid of `SIDE` by `SIDE`: the share of ink in each cell, and how broad it is by its height. */
export interface Sign {
  readonly cells: Float32Array;
  readonly broad: number;
  /** How many signs of the word stand before it. */
  readonly before: number;
}

const SIDE = 20;
/** A run of ink narrower than this share of its height is a speck or a comma's tail. */
const SPECK = 0.06;

/** The grey that best parts ink from paper: the split with the largest variance between the two (Otsu 1979). */
function threshold({ data }: Greys): number {
  const histogram = new Float64Array(256);
  for (const v of data) histogram[v] = (histogram[v] ?? 0) + 1;
  const sum = histogram.reduce((s, n, v) => s + n * v, 0);
  let [below, sumBelow, best, at] = [0, 0, -1, 128];
  for (let v = 0; v < 256; v++) {
    below += histogram[v] ?? 0;
    sumBelow += (histogram[v] ?? 0) * v;
    const above = data.length - below;
    if (below === 0 || above === 0) continue;
    const between = below * above * (sumBelow / below - (sum - sumBelow) / above) ** 2;
    if (between > best) [best, at] = [between, v];
  }
  return at;
}

interface Span {
  readonly from: number;
  readonly to: number;
}
const spans = (length: number, inked: (i: number) => boolean): Span[] => {
  const out: Span[] = [];
  for (let i = 0; i < length; i++) {
    if (!inked(i)) continue;
    const last = out.at(-1);
    if (last && last.to === i) out[out.length - 1] = { from: last.from, to: i + 1 };
    else out.push({ from: i, to: i + 1 });
  }
  return out;
};

/**
 * The signs at the end of a word, cut from its greys: the last one, the last two as one, and so on to three, since a
 * fraction may be drawn in parts.
 */
export function lastSigns(word: Greys): readonly Sign[] {
  const { width, height, data } = word;
  const dark = threshold(word);
  const ink = (x: number, y: number): boolean => (data[y * width + x] ?? 255) <= dark;
  const columns = spans(width, (x) => {
    for (let y = 0; y < height; y++) if (ink(x, y)) return true;
    return false;
  }).filter((s) => s.to - s.from > SPECK * height);
  const last = columns.at(-1);
  if (!last) return [];
  const first = Math.max(0, columns.length - 3);
  return columns
    .slice(first)
    .flatMap((c, i) => signOf(word, ink, c.from, last.to, first + i) ?? [])
    .reverse();
}

/** One sign cut to its ink. Null when there is none. */
function signOf(
  { height }: Greys,
  ink: (x: number, y: number) => boolean,
  left: number,
  right: number,
  before: number,
): Sign | null {
  const rows = spans(height, (y) => {
    for (let x = left; x < right; x++) if (ink(x, y)) return true;
    return false;
  });
  const [top, bottom] = [rows[0]?.from ?? 0, rows.at(-1)?.to ?? 0];
  const [w, h] = [right - left, bottom - top];
  if (w < 3 || h < 6) return null;
  const cells = new Float32Array(SIDE * SIDE);
  for (let i = 0; i < SIDE; i++)
    for (let j = 0; j < SIDE; j++) {
      const [x0, x1] = [left + (j * w) / SIDE, left + ((j + 1) * w) / SIDE];
      const [y0, y1] = [top + (i * h) / SIDE, top + ((i + 1) * h) / SIDE];
      let [inked, all] = [0, 0];
      for (let y = Math.floor(y0); y < Math.max(Math.floor(y0) + 1, Math.ceil(y1)); y++)
        for (let x = Math.floor(x0); x < Math.max(Math.floor(x0) + 1, Math.ceil(x1)); x++) {
          all++;
          if (ink(x, y)) inked++;
        }
      cells[i * SIDE + j] = inked / all;
    }
  return { cells: softened(cells), broad: w / h, before };
}

/** Each cell with its neighbours, so that strokes of another weight or a cell aside still meet. */
function softened(cells: Float32Array): Float32Array {
  const out = new Float32Array(cells.length);
  for (let i = 0; i < SIDE; i++)
    for (let j = 0; j < SIDE; j++) {
      let [sum, weight] = [0, 0];
      for (let di = -1; di <= 1; di++)
        for (let dj = -1; dj <= 1; dj++) {
          const [y, x] = [i + di, j + dj];
          if (y < 0 || x < 0 || y >= SIDE || x >= SIDE) continue;
          const k = (2 - Math.abs(di)) * (2 - Math.abs(dj));
          sum += k * (cells[y * SIDE + x] ?? 0);
          weight += k;
        }
      out[i * SIDE + j] = sum / weight;
    }
  return out;
}

/** How alike two signs are, −1 to 1: the correlation of their cells, less for another breadth. */
export function likeness(a: Sign, b: Sign): number {
  const mean = (s: Sign): number => s.cells.reduce((t, v) => t + v, 0) / s.cells.length;
  const [ma, mb] = [mean(a), mean(b)];
  let [ab, aa, bb] = [0, 0, 0];
  for (let i = 0; i < a.cells.length; i++) {
    const [x, y] = [(a.cells[i] ?? 0) - ma, (b.cells[i] ?? 0) - mb];
    ab += x * y;
    aa += x * x;
    bb += y * y;
  }
  return ab / Math.sqrt(Math.max(1e-9, aa * bb)) - 0.3 * Math.abs(Math.log(a.broad / b.broad));
}

/** Signs that are looked for, drawn in whatever faces there are. */
export interface Drawn {
  readonly sign: string;
  readonly drawn: Sign;
}
/** What a recogniser without fractions may have met: they, and what else it could rightly have seen there. */
export const drawnSigns = [...'½¼¾⅓⅔⅛0123456789%'];
/** How much oftener a fraction stands in recipes than a third does, as a little likeness. */
const usual: Readonly<Record<string, number>> = { '½': 0.06, '¼': 0.03, '¾': 0.02, '⅛': -0.05 };
/** Less alike than this, it may be anything; more than that, and by so much more than the next, it is sure. */
const FAINT = 0.3;
const PLAIN = 0.85;
const AHEAD = 0.06;

/**
 * The readings of a word that may end with a fraction, the likeliest first; none when it is likelier a figure or nothing
 * that was drawn. One alone is sure.
 *
 * @param word its greys, tightly cut
 * @param text as the recogniser read it, for the whole number before the fraction
 */
export function fractionReadings(word: Greys, text: string, drawn: readonly Drawn[]): readonly string[] {
  const best = new Map<string, { score: number; before: number }>();
  // what was read as a figure may be one; what was not, is none
  const figure = /^\d+$/.test(text);
  for (const sign of lastSigns(word))
    for (const d of drawn) {
      if (!figure && /[\d%]/.test(d.sign)) continue;
      const score = likeness(sign, d.drawn) + (usual[d.sign] ?? 0);
      if (score > (best.get(d.sign)?.score ?? FAINT)) best.set(d.sign, { score, before: sign.before });
    }
  const [first, ...others] = [...best].sort((a, b) => b[1].score - a[1].score);
  if (!first || /[\d%]/.test(first[0])) return [];
  const whole = (before: number): string => /^\d{0,2}/.exec(text.slice(0, before))?.[0] ?? '';
  const as = ([sign, { before }]: typeof first): string => `${whole(before)}${sign}`;
  const rest = others.filter(([sign]) => !/[\d%]/.test(sign));
  if (first[1].score > PLAIN && first[1].score - (rest[0]?.[1].score ?? 0) > AHEAD) return [as(first)];
  return [...new Set([as(first), ...rest.slice(0, 3).map(as), ...(figure ? [text] : [])])];
}
