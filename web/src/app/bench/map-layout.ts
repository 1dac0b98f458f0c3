import { families, familyOf, type Axis, type Family, type FamilyId } from '@orvin/core';

/** The frame of the map, in its own units. */
export const MAP = { W: 284, H: 180, left: 30, right: 280, top: 8, bottom: 158 } as const;

export interface Domain {
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
}
export interface Spot {
  readonly x: number;
  readonly y: number;
}
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

const round = (x: number, to: number, up: boolean): number => (up ? Math.ceil(x / to) : Math.floor(x / to)) * to;

/** What the map shows: the family's own range with room around it, and the point wherever it is. */
export function domainFor(family: Family, ax: Axis, ay: Axis, at: Spot): Domain {
  const one = (range: readonly [number, number], v: number): readonly [number, number] => {
    const [lo, hi] = family.id === 'free' ? [0, 120] : range;
    const w = hi - lo;
    return [
      Math.max(0, round(Math.min(lo - 0.4 * w, v - 0.15 * w), 5, false)),
      round(Math.max(hi + 0.45 * w, v + 0.15 * w), 5, true),
    ];
  };
  return { x: one(family[ax], at.x), y: one(family[ay], at.y) };
}

export const toX = (d: Domain, v: number): number =>
  MAP.left + ((v - d.x[0]) / (d.x[1] - d.x[0])) * (MAP.right - MAP.left);
export const toY = (d: Domain, v: number): number =>
  MAP.bottom - ((v - d.y[0]) / (d.y[1] - d.y[0])) * (MAP.bottom - MAP.top);
export const fromX = (d: Domain, px: number): number =>
  d.x[0] + ((px - MAP.left) / (MAP.right - MAP.left)) * (d.x[1] - d.x[0]);
export const fromY = (d: Domain, py: number): number =>
  d.y[0] + ((MAP.bottom - py) / (MAP.bottom - MAP.top)) * (d.y[1] - d.y[0]);

/** A family's range as a box on the map, cut to the frame; null when it lies outside. */
export function boxOf(f: Family, ax: Axis, ay: Axis, d: Domain): Box | null {
  const clampX = (v: number): number => Math.min(MAP.right, Math.max(MAP.left, toX(d, v)));
  const clampY = (v: number): number => Math.min(MAP.bottom, Math.max(MAP.top, toY(d, v)));
  const [x0, x1] = [clampX(f[ax][0]), clampX(f[ax][1])];
  const [y1, y0] = [clampY(f[ay][0]), clampY(f[ay][1])];
  return x1 - x0 < 8 || y1 - y0 < 8 ? null : { x: x0, y: y0, w: x1 - x0, h: y1 - y0 };
}

/** The families next door: those nearest in the middle of their ranges, that can be seen and told from the own one. */
export function neighbours(id: FamilyId, ax: Axis, ay: Axis, d: Domain, many = 2): { family: Family; box: Box }[] {
  const own = familyOf(id);
  if (own.id === 'free') return [];
  const mid = (f: Family, a: Axis): number => (f[a][0] + f[a][1]) / 2;
  const w = (a: Axis): number => Math.max(1, own[a][1] - own[a][0]);
  const far = (f: Family): number =>
    Math.hypot((mid(f, ax) - mid(own, ax)) / w(ax), (mid(f, ay) - mid(own, ay)) / w(ay));
  return families
    .filter((f) => f.id !== 'free' && f.id !== id && far(f) > 0.25)
    .map((family) => ({ family, box: boxOf(family, ax, ay, d), far: far(family) }))
    .filter((n): n is { family: Family; box: Box; far: number } => n.box !== null)
    .sort((a, b) => a.far - b.far)
    .slice(0, many)
    .map(({ family, box }) => ({ family, box }));
}

export interface Label {
  readonly id: string;
  readonly text: string;
  /** Where it may stand, best first; the point is the left end of its baseline, or the right one for `end`. */
  readonly spots: readonly (Spot & { readonly anchor: 'start' | 'end' })[];
  /** A box its words must keep out of: a family next door is not named inside the own one. */
  readonly outside?: Box | null;
}
export interface PlacedLabel extends Spot {
  readonly id: string;
  readonly text: string;
  readonly anchor: 'start' | 'end';
}

const LETTER = 5.7;
const HEIGHT = 13;

const overlaps = (a: Box, b: Box): boolean => a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h;

export const boxAround = (l: Pick<PlacedLabel, 'text' | 'x' | 'y' | 'anchor'>): Box => {
  const w = l.text.length * LETTER + 2;
  return { x: l.anchor === 'end' ? l.x - w : l.x, y: l.y - HEIGHT + 3, w, h: HEIGHT };
};

/** Places labels in order of importance; one that finds no free spot inside the frame is left out. */
export function placeLabels(labels: readonly Label[], obstacles: readonly Box[]): PlacedLabel[] {
  const taken: Box[] = [...obstacles];
  const out: PlacedLabel[] = [];
  for (const l of labels)
    for (const s of l.spots) {
      const box = boxAround({ text: l.text, ...s });
      const inside =
        box.x >= MAP.left + 1 && box.x + box.w <= MAP.right && box.y >= MAP.top - 2 && box.y + box.h <= MAP.bottom + 1;
      if (!inside || taken.some((t) => overlaps(t, box)) || (l.outside && overlaps(l.outside, box))) continue;
      taken.push(box);
      out.push({ id: l.id, text: l.text, x: s.x, y: s.y, anchor: s.anchor });
      break;
    }
  return out;
}

/** Corners of a box, inside, for its label. */
export const cornersOf = (b: Box): Label['spots'] => [
  { x: b.x + 4, y: b.y + 12, anchor: 'start' },
  { x: b.x + b.w - 4, y: b.y + b.h - 4, anchor: 'end' },
  { x: b.x + b.w - 4, y: b.y + 12, anchor: 'end' },
  { x: b.x + 4, y: b.y + b.h - 4, anchor: 'start' },
  { x: b.x + 4, y: b.y + b.h / 2, anchor: 'start' },
  { x: b.x + b.w - 4, y: b.y + b.h / 2, anchor: 'end' },
  { x: b.x + 4, y: b.y + b.h / 3, anchor: 'start' },
  { x: b.x + b.w - 4, y: b.y + b.h / 3, anchor: 'end' },
  { x: b.x + b.w - 4, y: b.y - 4, anchor: 'end' },
  { x: b.x + b.w - 4, y: b.y + b.h + 12, anchor: 'end' },
];
/** Around a point. */
export const aroundOf = (p: Spot): Label['spots'] => [
  { x: p.x + 7, y: p.y + 4, anchor: 'start' },
  { x: p.x - 7, y: p.y + 4, anchor: 'end' },
  { x: p.x + 5, y: p.y - 6, anchor: 'start' },
  { x: p.x + 5, y: p.y + 15, anchor: 'start' },
];
