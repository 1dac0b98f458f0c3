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

export function tell(clues: Float64Array, { classes, sd, rows }: Telling): Told {
  const score = Array.from(rows.subarray(0, classes));
  clues.forEach((clue, j) => {
    if (clue === 0) return;
    const x = clue / (sd[j + 1] as number);
    for (let c = 0, k = (j + 1) * classes; c < classes; c++, k++)
      score[c] = (score[c] as number) + x * (rows[k] as number);
  });
  const odds = score.slice(1).map((s) => s - (score[0] as number));
  const byRole = Object.fromEntries(roles.map((r) => [r, logSum(odds.filter((_, i) => slips[i]?.role === r))]));
  return { slips: odds, roles: byRole as Told['roles'], any: logSum(odds) };
}
