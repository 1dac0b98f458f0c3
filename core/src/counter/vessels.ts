import type { Line } from '../leavening/parts.js';
import type { Operation } from '../method/types.js';
import type { StepAmount } from './step.js';
import { isDrySugar } from '../ingredient/kinds.js';

/** In what a line is weighed in, and what it holds when that line is in, g: the scale is set to nothing once for each. */
export interface Into {
  /** One and the same for all that goes into it. */
  readonly id: string;
  readonly name: string;
  readonly totalG: number;
}

const DRY: ReadonlySet<string> = new Set(['flour', 'leavener', 'salt', 'cocoa', 'flavour']);

/** The vessel for what goes in at one operation together. */
function nameFor(lines: readonly Line[], o: Operation): string {
  if (o.takes.some((t) => t.share === 'kept back')) return 'a cup, kept back';
  if (o.phase === 'shape' || o.phase === 'after' || o.phase === 'oven')
    return lines.length > 1 ? 'a bowl for later' : 'a dish for later';
  const dry = lines.every(
    (l) => DRY.has(l.ingredient.role) || l.ingredient.base !== undefined || isDrySugar(l.ingredient),
  );
  if (lines.length === 1) return dry ? 'a dish' : lines[0]?.ingredient.role === 'liquid' ? 'a jug' : 'a dish';
  if (dry) return 'the dry bowl';
  return lines.some((l) => l.ingredient.role === 'liquid') && !lines.some((l) => l.ingredient.base === 'flour')
    ? 'a jug'
    : 'the mixing bowl';
}

/**
 * The weighing by vessel: lines that go in together are weighed in one, one on top of the other, in the order of the work.
 * Every line comes once, where the first of it goes in; what no operation takes comes last.
 */
export function byVessel(
  amounts: readonly StepAmount[],
  lines: readonly Line[],
  work: readonly Operation[],
): StepAmount[] {
  const byId = new Map(amounts.map((a) => [a.itemId, a]));
  const lineOf = new Map(lines.map((l) => [l.item.id, l]));
  const out: StepAmount[] = [];
  for (const o of work) {
    const here = o.takes.flatMap((t) => byId.get(t.itemId) ?? []);
    if (here.length === 0) continue;
    const name = nameFor(
      here.flatMap((a) => lineOf.get(a.itemId) ?? []),
      o,
    );
    let totalG = 0;
    for (const a of here) {
      byId.delete(a.itemId);
      totalG += a.grams;
      out.push({ ...a, into: { id: o.id, name, totalG } });
    }
  }
  return [...out, ...byId.values()];
}
