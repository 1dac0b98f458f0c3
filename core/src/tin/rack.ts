import type { Oven, Tin, TinUse } from '../formula/types.js';
import { outlineOf } from './geometry.js';

/** Air that has to pass between tins, and between them and the walls, mm. General baking knowledge: about two fingers. */
const GAP_MM = 20;
const WALL_MM = 15;
/** What a rim or handle adds to the inner width, each side, mm. */
const RIM_MM = 6;
/** Inside of a 60-litre oven's rack, and the height between two racks in use, mm; other ovens by their volume. A judgement. */
const RACK_60 = { wide: 450, deep: 360, high: 330 };

export interface Placed {
  readonly tin: Tin;
  /** Which of the uses it belongs to. */
  readonly use: number;
  /** Middle of the tin on the rack and its outer extents, mm from the rack's left and front. */
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly deep: number;
}

export interface RackPlan {
  readonly wideMm: number;
  readonly deepMm: number;
  /** One entry a rack in use, from the middle of the oven. */
  readonly racks: readonly (readonly Placed[])[];
  /** Tins that find no place in the same load. */
  readonly left: number;
  readonly words: string;
}

export function rackOf(oven: Pick<Oven, 'litres' | 'rackMm'>): { wide: number; deep: number; high: number } {
  const k = Math.cbrt(Math.max(8, oven.litres) / 60);
  const [wide, deep] = oven.rackMm ?? [RACK_60.wide * k, RACK_60.deep * k];
  return { wide, deep, high: RACK_60.high * k };
}

/** Outer width and depth of a tin on the rack, mm: a tray of cups in rows, a round in its square. */
export function footprint(tin: Tin): { wide: number; deep: number } {
  const o = outlineOf(tin);
  if (o.cups > 1) {
    const columns = Math.ceil(Math.sqrt((o.cups * 4) / 3));
    const rows = Math.ceil(o.cups / columns);
    // pieces on a tray need room to spread between them, less at its edge
    if (o.free) return { wide: ((columns - 1) * 1.5 + 1.2) * o.top, deep: ((rows - 1) * 1.5 + 1.2) * o.top };
    const pitch = o.top + 12;
    return { wide: columns * pitch + 2 * RIM_MM, deep: rows * pitch + 2 * RIM_MM };
  }
  const wide = Math.max(o.top, o.base) + 2 * RIM_MM;
  return { wide, deep: (o.kind === 'round' ? Math.max(o.top, o.base) : Math.max(o.top2, o.base2)) + 2 * RIM_MM };
}

/**
 * Places tins on the oven's racks in rows, larger ones first, turned where that fits better, with air between them.
 * A plan by rows, not the best there is: it never promises a place that is not there.
 */
export function rackPlan(uses: readonly TinUse[], oven: Pick<Oven, 'litres' | 'rackMm' | 'racks'>): RackPlan {
  const rack = rackOf(oven);
  const most = Math.max(1, Math.min(2, oven.racks ?? 2));
  const all = uses
    .flatMap((u, use) =>
      Array.from({ length: Math.min(60, Math.max(0, Math.round(u.count))) }, () => ({ tin: u.tin, use })),
    )
    .flatMap((t) => traysOf(t.tin, rack).map((part) => ({ ...t, ...part })))
    .sort((a, b) => b.deep - a.deep || b.wide - a.wide);
  const racks: Placed[][] = [];
  let left = 0;
  let row = { y: WALL_MM, x: WALL_MM, deep: 0 };
  for (const t of all) {
    const fits = (): boolean => row.x + t.wide + WALL_MM <= rack.wide + 1 && row.y + t.deep + WALL_MM <= rack.deep + 1;
    if (t.wide > rack.wide || t.deep > rack.deep) {
      left++;
      continue;
    }
    if (racks.length === 0) racks.push([]);
    // a single large tin may touch the air gap: it needs the rack for itself
    const alone = t.wide + 2 * WALL_MM > rack.wide || t.deep + 2 * WALL_MM > rack.deep;
    if (alone) {
      const empty =
        racks.find((r) => r.length === 0) ?? (racks.length < most ? (racks.push([]), racks.at(-1)) : undefined);
      if (!empty) left++;
      else empty.push({ ...t, x: rack.wide / 2, y: rack.deep / 2 });
      row = { y: WALL_MM, x: Infinity, deep: Infinity };
      continue;
    }
    if (!fits()) row = { y: row.y + row.deep + GAP_MM, x: WALL_MM, deep: 0 };
    if (!fits() && racks.length < most) {
      if ((racks.at(-1) as Placed[]).length > 0) racks.push([]);
      row = { y: WALL_MM, x: WALL_MM, deep: 0 };
    }
    if (!fits()) {
      left++;
      continue;
    }
    (racks.at(-1) as Placed[]).push({
      tin: t.tin,
      use: t.use,
      wide: t.wide,
      deep: t.deep,
      x: row.x + t.wide / 2,
      y: row.y + t.deep / 2,
    });
    row = { ...row, x: row.x + t.wide + GAP_MM, deep: Math.max(row.deep, t.deep) };
  }
  return {
    wideMm: rack.wide,
    deepMm: rack.deep,
    racks: racks.map((r) => centred(r, rack)).filter((r) => r.length > 0),
    left,
    words: wordsFor(all.length, racks.filter((r) => r.length > 0).length, left),
  };
}

/** A tin as it stands on the rack; pieces of more dough than one tray takes, on several. */
function traysOf(tin: Tin, rack: { wide: number; deep: number }): { tin: Tin; wide: number; deep: number }[] {
  const o = outlineOf(tin);
  const one = turned(footprint(tin), rack);
  if (!o.free || o.cups < 2 || (one.wide <= rack.wide && one.deep <= rack.deep)) return [{ tin, ...one }];
  const along = (mm: number): number => Math.max(1, Math.floor((mm - 2 * WALL_MM - 1.2 * o.top) / (1.5 * o.top)) + 1);
  const across = (n: number): number => ((n - 1) * 1.5 + 1.2) * o.top;
  const columns = along(rack.wide);
  const each = Math.ceil(o.cups / Math.ceil(o.cups / (columns * along(rack.deep))));
  return Array.from({ length: Math.ceil(o.cups / each) }, (_, i) => {
    const n = Math.min(each, o.cups - i * each);
    return { tin: { ...tin, cups: n }, wide: across(Math.min(n, columns)), deep: across(Math.ceil(n / columns)) };
  });
}

/** A tin lies along the rack unless only the other way fits. */
function turned(
  f: { wide: number; deep: number },
  rack: { wide: number; deep: number },
): { wide: number; deep: number } {
  const fits = (a: number, b: number): boolean => a <= rack.wide && b <= rack.deep;
  const other = { wide: f.deep, deep: f.wide };
  return !fits(f.wide, f.deep) && fits(other.wide, other.deep) ? other : f;
}

/** Moves what stands on a rack to its middle, where the heat is most even. */
function centred(placed: readonly Placed[], rack: { wide: number; deep: number }): Placed[] {
  if (placed.length === 0) return [];
  const low = (f: (p: Placed) => number): number => Math.min(...placed.map(f));
  const high = (f: (p: Placed) => number): number => Math.max(...placed.map(f));
  const dx = (rack.wide - low((p) => p.x - p.wide / 2) - high((p) => p.x + p.wide / 2)) / 2;
  const dy = (rack.deep - low((p) => p.y - p.deep / 2) - high((p) => p.y + p.deep / 2)) / 2;
  return placed.map((p) => ({ ...p, x: p.x + dx, y: p.y + dy }));
}

function wordsFor(all: number, racks: number, left: number): string {
  if (all === 0) return 'nothing in the oven';
  if (left === all) return all === 1 ? 'it does not fit this oven' : 'they do not fit this oven';
  if (left > 0) return `${all - left} of ${all} fit at once; bake the rest after them`;
  return racks > 1 ? 'on two racks: swap and turn at half-time' : 'one rack, the middle one';
}
