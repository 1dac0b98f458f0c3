import type { Formula, Kitchen } from '../formula/types.js';
import { linesOf } from '../leavening/parts.js';
import { workOf } from './operations.js';
import { verbs, waits } from './verbs.js';

/**
 * How much slower gas comes and goes in the fridge than in the kitchen: a reaction that doubles with each 10 K (general
 * chemistry), from 20 to 5 °C.
 */
export const COLD_PACE = Math.pow(2, -1.5);

/** What a method itself lets a batter stand, from where leavener and liquid meet until the oven. */
export interface Asked {
  /** Minutes on the clock, and of them in the cold. */
  readonly min: number;
  readonly coldMin: number;
  /** Minutes at room temperature that would cost as much gas. */
  readonly feltMin: number;
}

/** Standing that the method asks for; 0 when it goes straight in, or when nothing is said of the mixing. */
export function standingAsked(formula: Formula, kitchen?: Kitchen): Asked {
  const lines = new Map(linesOf(formula, kitchen).map((l) => [l.item.id, l.ingredient]));
  const ops = workOf(formula, kitchen).operations.filter(
    (o) => o.phase === 'ahead' || o.phase === 'mix' || o.phase === 'shape',
  );
  let leavener = false;
  let wet = false;
  let min = 0;
  let coldMin = 0;
  let waited = false;
  for (const o of ops) {
    const met = leavener && wet;
    for (const t of o.takes) {
      const i = lines.get(t.itemId);
      leavener ||= i?.leavener !== undefined || i?.co2Mmol !== undefined;
      wet ||= i !== undefined && i.per100.water > 60 && i.base === undefined;
    }
    if (!met || (o.meanwhile && o.verb === 'freeze')) continue;
    const takes = o.forMin?.typical ?? verbs[o.verb].minutes[1];
    min += takes;
    if (o.verb === 'chill' || o.verb === 'freeze' || /\bfridge\b|\brefrigerat/i.test(o.words))
      coldMin += waits(o.verb) ? takes : 0;
    waited ||= waits(o.verb);
  }
  if (!waited) return { min: 0, coldMin: 0, feltMin: 0 };
  return {
    min: Math.round(min),
    coldMin: Math.round(coldMin),
    feltMin: Math.round(min - coldMin + COLD_PACE * coldMin),
  };
}
