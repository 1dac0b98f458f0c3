import { allItems, applyChanges, families, type FamilyId, type Formula, type Kitchen } from '../../src/index.js';
import { compose } from '../../src/index.js';
import { demo, demoIds } from './make.js';

/** A reproducible stream of numbers from 0 to 1. */
export function randomFrom(seed: number): () => number {
  let s = seed >>> 0;
  return () => {
    s = (Math.imul(s, 1664525) + 1013904223) >>> 0;
    return s / 4294967296;
  };
}

/** A line that makes a difference when it is wrong. */
const matters = (f: Formula): string[] =>
  allItems(f)
    .filter((i) => i.grams > 20 || /baking-|salt/.test(i.ingredient))
    .map((i) => i.id);

/** A formula with one or two lines mistyped by a factor, as happens at a desk. */
export function disturb(f: Formula, random: () => number): { formula: Formula; words: string } {
  const ids = matters(f);
  const factors = [0.3, 0.45, 2.2, 2.8];
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const lines = random() < 0.6 ? [pick(ids)] : [pick(ids), pick(ids)];
  const changes = [...new Set(lines)].map((itemId) => {
    const item = allItems(f).find((i) => i.id === itemId);
    return { itemId, grams: Math.round((item?.grams ?? 0) * pick(factors) * 10) / 10 };
  });
  return {
    formula: applyChanges(f, changes),
    words: `${f.id}: ${changes.map((c) => `${c.itemId} to ${c.grams} g`).join(', ')}`,
  };
}

const composed = new Map<FamilyId, Promise<Formula>>();
/** A balanced formula of a family, made up from its middle. */
export const balanced = (family: FamilyId, kitchen?: Kitchen): Promise<Formula> => {
  const known = composed.get(family);
  if (known) return known;
  const made = compose({ family }, kitchen).then((p) => {
    if (!Array.isArray(p) || !p[0]) throw new Error(`no formula for ${family}`);
    return p[0].formula;
  });
  composed.set(family, made);
  return made;
};

/** Sixty formulas to put right: every family's own and the demo's, disturbed at random. */
export async function sixty(): Promise<{ formula: Formula; words: string }[]> {
  const random = randomFrom(20);
  const out: { formula: Formula; words: string }[] = [];
  for (const f of families)
    if (f.id !== 'free') for (let n = 0; n < 2; n++) out.push(disturb(await balanced(f.id), random));
  while (out.length < 60) out.push(disturb(demo(demoIds[out.length % demoIds.length] as string), random));
  return out;
}
