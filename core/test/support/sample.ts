import { readFileSync } from 'node:fs';
import {
  learn,
  reckonBake,
  reckonKey,
  teaches,
  type BakeRecord,
  type Learned,
  type Reckoned,
} from '../../src/index.js';
import { demoKitchen } from './make.js';

/** What the sample kitchen's log teaches, as it is kept beside it (`npm run derive`). */
export interface Taught {
  readonly reckoned: readonly { readonly key: string; readonly value: Reckoned | null }[];
  readonly learned: Learned;
}
const demoFile = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`../../../demo/${name}`, import.meta.url), 'utf8'));

export const demoBakes = (): readonly BakeRecord[] => (demoFile('log.json') as { bakes: BakeRecord[] }).bakes;
export const keptTaught = (): Taught => demoFile('taught.json') as Taught;

/** The same, worked out anew: a few seconds. */
export function taught(): Taught {
  const kitchen = demoKitchen();
  const bakes = demoBakes().filter(teaches);
  const reckoned = new Map<string, Reckoned | null>();
  for (const b of bakes) {
    const key = reckonKey(b, kitchen);
    if (!reckoned.has(key)) reckoned.set(key, reckonBake(b, kitchen));
  }
  const of = Object.fromEntries(bakes.map((b) => [b.id, reckoned.get(reckonKey(b, kitchen)) ?? null]));
  return {
    reckoned: [...reckoned].map(([key, value]) => ({ key, value })),
    learned: learn(bakes, of, kitchen).learned,
  };
}
