import { totalsOf } from '../balance/totals.js';
import { same } from '../formula/merge.js';
import type { BakeSetting, Formula, Kitchen, TinUse } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { linesOf } from '../leavening/parts.js';
import { withMethod } from '../method/correct.js';
import { withCourse } from '../method/course.js';
import { workOf } from '../method/operations.js';
import { readBaking } from './baking.js';
import { countedBy, filledAgain, shapedHere } from './by-work.js';

/** What a method's own words say of heat, time, stages and what it is baked in. */
function saidIn(formula: Formula, kitchen: Kitchen): { bake: BakeSetting | null; tins: readonly TinUse[] } {
  const work = workOf(formula, kitchen).operations;
  const lines = formula.method.map(({ text }, no) => ({ text, no, at: 0 }));
  const read = readBaking(
    lines,
    shapedHere(work, (no) => ({ no, at: 0 })),
  );
  const totals = totalsOf(linesOf(formula, kitchen));
  return {
    bake: read.bake && withCourse(read.bake, work),
    tins: countedBy(read, filledAgain(read.tins, work), totals, formula.family),
  };
}

const SETTINGS = ['ovenC', 'fan', 'minutes', 'stages'] as const;

/**
 * The formula with its method's words as edited, and with what they say of heat, time, stages and tins where the formula had
 * just what the words said before. What was set otherwise by hand, or stands elsewhere, stays.
 */
export function withWords(formula: Formula, text: string, kitchen: Kitchen = defaultKitchen): Formula {
  const next = withMethod(formula, text);
  if (same(next.method, formula.method)) return next;
  const [was, is] = [saidIn(formula, kitchen), saidIn(next, kitchen)];
  const { bake } = formula;
  const set: Record<string, unknown> = { ...bake };
  if (bake && was.bake && is.bake)
    for (const key of SETTINGS)
      if (same(bake[key], was.bake[key]) && !same(was.bake[key], is.bake[key])) {
        if (is.bake[key] === undefined) Reflect.deleteProperty(set, key);
        else set[key] = is.bake[key];
      }
  const tins = is.tins.length > 0 && same(formula.tins ?? [], was.tins) ? is.tins : formula.tins;
  const heated = bake ? (set as unknown as BakeSetting) : is.bake;
  return { ...next, ...(heated && { bake: heated }), ...(tins && { tins }) };
}
