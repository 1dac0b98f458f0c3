import { familyOf } from '../balance/families.js';
import { densityOf, type Totals } from '../balance/totals.js';
import type { FamilyId, TinUse } from '../formula/types.js';
import { saidLoads } from '../method/loads.js';
import { shapedDough } from '../method/shaped.js';
import type { Operation } from '../method/types.js';
import type { Baking } from './baking.js';
import type { ShapedHere } from './bake/vessels.js';

/** What the operations of a method tell of where it bakes, for whoever reads a text or reads a method's words again. */

/**
 * The dough as the method shapes it, with the way from its places to the lines of the text.
 *
 * @param lineOf the line of an entry of the method, and where in it its words begin
 */
export function shapedHere(
  work: readonly Operation[],
  lineOf: (entry: number) => { readonly no: number; readonly at: number },
): ShapedHere | null {
  const dough = shapedDough(work);
  if (!dough) return null;
  return {
    dough,
    markOf: ({ entry, from, to }) => {
      const { no, at } = lineOf(entry);
      return { line: no, from: at + from, to: at + to, what: 'tin' };
    },
  };
}

/** "I have one tin, so I fill it twice": as many fillings as loads. */
export function filledAgain(tins: readonly TinUse[], work: readonly Operation[]): readonly TinUse[] {
  const { loads, again } = saidLoads(work);
  const [one, ...others] = tins;
  return one && again && others.length === 0 && one.count === 1 ? [{ ...one, count: loads }] : tins;
}

/** The tins with the pieces counted by how much dough there is, where the words do not count them. */
export function countedBy(
  baking: Pick<Baking, 'counted'>,
  tins: readonly TinUse[],
  totals: Totals,
  family: FamilyId,
): readonly TinUse[] {
  const tray = baking.counted?.(totals.batterG / densityOf(totals, familyOf(family)));
  return tray ? [tray, ...tins.slice(1)] : tins;
}
