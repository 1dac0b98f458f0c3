import type { Telling } from './fit.js';
import { roles, type SuspectRole } from './sums.js';
import { slips } from './slips.js';

/** What the clues say: log odds of each slip against none, of each role, and of any. */
export interface Told {
  readonly slips: readonly number[];
  readonly roles: Readonly<Record<SuspectRole, number>>;
  readonly any: number;
}

const logSum = (x: readonly number[]): number => {
  const most = Math.max(...x);
  return Number.isFinite(most) ? most + Math.log(x.reduce((s, v) => s + Math.exp(v - most), 0)) : -Infinity;
};

export function tell(clues: Float64Array, { classes, mean, sd, rows }: Telling): Told {
  const p = clues.length + 1;
  const x = new Float64Array(p);
  x[0] = 1;
  for (let j = 1; j < p; j++) x[j] = ((clues[j - 1] as number) - (mean[j] as number)) / (sd[j] as number);
  const score = Array.from({ length: classes }, (_, c) => {
    let s = 0;
    for (let j = 0, k = c * p; j < p; j++, k++) s += (rows[k] as number) * (x[j] as number);
    return s;
  });
  const odds = score.slice(1).map((s) => s - (score[0] as number));
  const byRole = Object.fromEntries(roles.map((r) => [r, logSum(odds.filter((_, i) => slips[i]?.role === r))]));
  return { slips: odds, roles: byRole as Told['roles'], any: logSum(odds) };
}
