import { simulate } from '../../src/bake/run.js';
import { setupOf } from '../../src/bake/setup.js';
import type { BakeInput } from '../../src/index.js';

/** A time this near, in ln, is met. */
const NEAR = 0.004;
/** −d ln(time) / d ln(heat transfer), typical of tins. */
const USUAL = 0.55;

/** The factor on heat transfer with which the model bakes a tin in so many minutes; null when none between 0.35 and 2.8 does. */
export function speedFor(input: BakeInput, minutes: number): number | null {
  const at = (log: number): number => {
    const min = simulate({ ...setupOf(input), speed: Math.exp(log), resolution: 0.7 }, { untilDone: true }).doneMin;
    return Math.log((min ?? 1e4) / minutes);
  };
  let [x0, f0] = [0, at(0)];
  if (Math.abs(f0) < NEAR) return 1;
  let x1 = Math.max(-0.8, Math.min(0.8, f0 / USUAL));
  for (let i = 0; i < 8 && Math.abs(x1) < 1.03; i++) {
    const f1 = at(x1);
    if (Math.abs(f1) < NEAR) return Math.exp(x1);
    const slope = (f1 - f0) / (x1 - x0);
    [x0, f0, x1] = [x1, f1, x1 - f1 / (slope < -0.15 && slope > -2 ? slope : -USUAL)];
  }
  return null;
}
