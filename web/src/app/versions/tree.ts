import type { VersionRecord } from '../data/records';

/** A version in its place in the tree. */
export interface Twig {
  readonly version: VersionRecord;
  /** Its lane, from the left; the newest line of versions keeps the first. */
  readonly lane: number;
  /** Row of its parent, counted from the top; null for one that nothing came before. */
  readonly parentRow: number | null;
  readonly parentLane: number;
}

/**
 * Lays versions out with the newest on top, each in a lane: a version goes on in the lane of the one it was made from
 * when it is the newest made from it; others branch off into lanes of their own.
 */
export function treeOf(versions: readonly VersionRecord[]): readonly Twig[] {
  const newestFirst = [...versions].sort((a, b) => b.n - a.n);
  const row = new Map(newestFirst.map((v, i) => [v.id, i]));
  const lane = new Map<string, number>();
  let lanes = 0;
  for (const v of newestFirst) {
    if (!lane.has(v.id)) lane.set(v.id, lanes++);
    const parent = v.parent !== undefined && v.parent !== null && row.has(v.parent) ? v.parent : null;
    if (parent !== null && !lane.has(parent)) lane.set(parent, lane.get(v.id) ?? 0);
  }
  return newestFirst.map((version) => {
    const parent = version.parent ?? null;
    const parentRow = parent === null ? null : (row.get(parent) ?? null);
    return {
      version,
      lane: lane.get(version.id) ?? 0,
      parentRow,
      parentLane: parent === null ? 0 : (lane.get(parent) ?? 0),
    };
  });
}
