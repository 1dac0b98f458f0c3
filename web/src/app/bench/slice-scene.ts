import type { Slice } from '@orvin/core';

/** The drawing, in its own units: the slice stands on `floor`, as wide as `width` at its base. */
export const SLICE = { left: 22, width: 196, floor: 118, top: 8, right: 240, height: 130 } as const;
/** Pixels to a millimetre at most, so that a scone does not stand like a tower. */
const MOST_SCALE = 2;
/** Pores and pieces drawn at most. */
const PORES = 84;
const PIECES = 18;

export interface Dot {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}
export interface Scene {
  /** Outline of the slice, and as it would usually stand. */
  readonly outline: string;
  readonly usual: string;
  readonly wall: string;
  readonly rimY: number | null;
  readonly batterY: number;
  readonly pores: readonly Dot[];
  readonly pieces: readonly Dot[];
  /** Top of the damp streak at the base. */
  readonly streakY: number;
  readonly crack: string;
  readonly crumb: string;
  readonly crust: string;
}

/** Low-discrepancy numbers, 0 to 1: the same pores in the same places while a line is pulled. */
function halton(n: number, base: number): number {
  let out = 0;
  for (let f = 1 / base, i = n; i > 0; f /= base, i = Math.floor(i / base)) out += f * (i % base);
  return out;
}

const mix = (a: readonly number[], b: readonly number[], t: number): string =>
  `rgb(${a.map((v, i) => Math.round(v + ((b[i] ?? v) - v) * Math.max(0, Math.min(1, t)))).join(' ')})`;
// what a crumb and a crust look like, by eye
const CRUMB = { light: [247, 232, 203], dark: [92, 56, 38] } as const;
const CRUST = { pale: [236, 212, 164], usual: [190, 128, 66], dark: [94, 53, 30] } as const;
const crustOf = (index: number, shade: number): string => {
  const at = Math.max(-1, Math.min(1, index + 0.5 * shade));
  return at < 0 ? mix(CRUST.usual, CRUST.pale, -at) : mix(CRUST.usual, CRUST.dark, at);
};

/** @param reach mm that the scale must take in, so that what was and what is stand on one scale */
export function sceneOf(s: Slice, reach = 0): Scene {
  const G = SLICE;
  const tall = Math.max(reach, s.crownMm.high, s.usualCrownMm, s.rimMm ?? 0, s.edgeMm);
  const k = Math.min(MOST_SCALE, (G.floor - G.top) / Math.max(tall, 1));
  const y = (mm: number): number => G.floor - k * mm;
  const middle = G.left + G.width / 2;
  // walls lean out as the tin's do; what stands by itself rounds off at its foot
  const flare = Math.max(0, Math.min(18, (G.width * (s.topMm - s.baseMm)) / Math.max(s.topMm, 1) / 2));
  const half = G.width / 2 - flare;
  const side = (mm: number): number => half + (s.rimMm ? (flare * Math.min(mm, 1.2 * s.rimMm)) / s.rimMm : 0);
  const shape = (edge: number, crown: number): string => {
    const [e, w] = [y(edge), side(edge)];
    const up = 2 * y(crown) - e;
    const foot = s.free ? 6 : 0;
    return `M${middle - half + foot} ${G.floor} Q${middle - half - foot} ${G.floor} ${middle - w} ${e} Q${middle} ${up} ${middle + w} ${e} Q${middle + half + foot} ${G.floor} ${middle + half - foot} ${G.floor} Z`;
  };
  const topAt = (x: number): number => {
    const t = (x - middle) / Math.max(side(s.edgeMm), 1);
    return y(s.edgeMm) + (y(s.crownMm.typical) - y(s.edgeMm)) * (1 - t * t);
  };
  const within = (n: number, pad: number, sunk = 0): { x: number; y: number } => {
    const x = middle + (halton(n, 2) * 2 - 1) * (half - 4 - pad);
    const [from, to] = [topAt(x) + 5 + pad, G.floor - 3 - pad];
    const down = halton(n, 3);
    return { x, y: from + Math.max(0, to - from) * (down + sunk * (1 - down) * 0.85) };
  };
  const { cracks, streak, pieces, crust } = s.seen;
  const streakY = G.floor - streak.value * 0.4 * k * s.batterMm;
  const open = 0.55 + 0.45 * s.openness;
  const pores = Array.from({ length: PORES }, (_, i): Dot => {
    const p = within(i + 1, 0);
    const big = halton(i + 1, 5);
    const r = (0.5 + 2.3 * open * big * big) * (p.y > streakY ? 0.3 : 1);
    return { ...p, r };
  });
  const count = s.pieces < 0.01 ? 0 : Math.round(4 + Math.min(1, 2.2 * s.pieces) * (PIECES - 4));
  const bits = Array.from({ length: count }, (_, i): Dot => {
    const r = 2.6 + 1.8 * halton(i + 1, 7);
    return { ...within(i + 5, r, pieces.value), r };
  });
  const wide = 5 + 26 * cracks.value;
  const deep = 3 + 9 * cracks.value;
  const crack =
    cracks.value < 0.25
      ? ''
      : `M${middle - wide} ${topAt(middle - wide)} L${middle - wide * 0.45} ${topAt(middle) + deep} L${middle - wide * 0.1} ${topAt(middle) + deep * 0.45} L${middle + wide * 0.35} ${topAt(middle) + deep * 0.9} L${middle + wide} ${topAt(middle + wide)}`;
  const [baseX, rimX] = [half + 3, half + flare + 3];
  return {
    outline: shape(s.edgeMm, s.crownMm.typical),
    usual: shape(s.usualEdgeMm, s.usualCrownMm),
    wall:
      s.rimMm === null
        ? ''
        : `M${middle - rimX} ${y(s.rimMm)} L${middle - baseX} ${G.floor + 3} H${middle + baseX} L${middle + rimX} ${y(s.rimMm)}`,
    rimY: s.rimMm === null ? null : y(s.rimMm),
    batterY: y(s.batterMm),
    pores,
    pieces: bits,
    streakY,
    crack,
    crumb: mix(CRUMB.light, CRUMB.dark, s.shade),
    crust: crustOf(crust.value, s.shade),
  };
}
