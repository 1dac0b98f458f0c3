import { learn, reckonBake, reckonKey, teaches, type BakeRecord, type Kitchen, type Reckoned } from '@orvin/core';
import { headsOf } from '../data/bake-list';
import { KitchenDatabase } from '../data/database';
import type { ReckonedRecord } from '../data/records';
import type { Taught } from './jobs';

/** So long bakes are reckoned in one go, ms, 10 to 60 each: what somebody waits for must not wait for more of them. */
const IN_ONE_GO_MS = 150;

/** The log as it was read last, with the key of each bake's reckoning in the kitchen that was asked for. */
interface Log {
  readonly of: string;
  readonly bakes: readonly { readonly bake: BakeRecord; readonly key: string }[];
  /** What the model says, by key: as it was kept, and as it was worked out since. */
  readonly reckoned: Map<string, Reckoned | null>;
}
let log: Log | null = null;

async function logOf(db: KitchenDatabase, kitchen: Kitchen): Promise<Log> {
  const of = JSON.stringify([db.name, await headsOf(db), kitchen]);
  if (log?.of === of) return log;
  const bakes: Log['bakes'][number][] = [];
  await db.bakes.each(({ bake }) => {
    if (teaches(bake)) bakes.push({ bake, key: reckonKey(bake, kitchen) });
  });
  const kept = await db.reckoned.bulkGet([...new Set(bakes.map((b) => b.key))]);
  return (log = { of, bakes, reckoned: new Map(kept.flatMap((x) => (x ? [[x.key, x.value] as const] : []))) });
}

/**
 * What a kitchen's log teaches, read and worked out away from the page. What the model says of each bake is kept beside
 * the log; where it is not there yet, so many bakes are reckoned as fit into one go, and it is said how many are left.
 *
 * @param name of the kitchen's database; one that is gone teaches nothing
 */
export async function lessonOf(name: string, kitchen: Kitchen): Promise<Taught> {
  const db = await new KitchenDatabase(name).openedIfThere();
  if (!db) return { left: 0, lesson: null };
  try {
    const { bakes, reckoned } = await logOf(db, kitchen);
    const until = performance.now() + IN_ONE_GO_MS;
    const made: ReckonedRecord[] = [];
    for (const { bake, key } of bakes) {
      if (reckoned.has(key)) continue;
      if (performance.now() > until) break;
      const value = reckonBake(bake, kitchen);
      reckoned.set(key, value);
      made.push({ key, value });
      // a worker that never rests holds up what the page loads meanwhile
      await new Promise((rest) => setTimeout(rest));
    }
    // where there is no room to keep it, this worker remembers it
    if (made.length > 0) await db.reckoned.bulkPut(made).catch(() => undefined);
    const left = new Set(bakes.map((b) => b.key).filter((key) => !reckoned.has(key))).size;
    if (left > 0) return { left, lesson: null };
    // learned from, it is not held any longer
    log = null;
    const facts = Object.fromEntries(bakes.map(({ bake, key }) => [bake.id, reckoned.get(key) ?? null]));
    return { left, lesson: learn(bakes.map((b) => b.bake), facts, kitchen) }; // prettier-ignore
  } finally {
    db.close();
  }
}
