import { knownOf, learn, type BakeRecord, type Kitchen } from '../src/index.js';
import { timeAtPlace } from '../src/log/learn.js';
import { sigmaOf } from '../src/bake/learned.js';
import { priorSd, UNKNOWN_SD, WIDEST_SD, Z80 } from '../src/bake/priors.js';
import { sumOf } from '../src/bake/normal.js';
import { simulatedKitchen, type SimulatedKitchen } from '../test/support/kitchens.js';

/** Seeds that nothing was chosen on begin here. */
const FROM = 910_001;
const KITCHENS = 200;
const pct = (x: number): string => `${(100 * x).toFixed(1)} %`;
const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1] ?? NaN;
const rms = (list: readonly number[]): number => Math.sqrt(list.reduce((s, x) => s + x * x, 0) / list.length);

/** What the first `n` bakes foretell of the others: ln(time / foretold), ln(time / without noise), and whether it was inside. */
function foretold(k: SimulatedKitchen, n: number): { error: number; floor: number; held: boolean }[] {
  const l = learn(k.bakes.slice(0, n), k.reckoned, k.kitchen).learned;
  return k.bakes.slice(n).flatMap((b, i) => {
    const r = k.reckoned[b.id];
    if (!r) return [];
    const t = sumOf(l, timeAtPlace(b, r, k.kitchen), priorSd);
    const error = Math.log(b.minutes / r.minutes) - t.mean;
    // as predictions have it
    const sd = n === 0 ? UNKNOWN_SD : Math.min(WIDEST_SD, Math.hypot(t.sd, l.noise));
    return [{ error, floor: Math.log(b.minutes / (k.without[n + i] as number)), held: Math.abs(error) <= Z80 * sd }];
  });
}

/** What learning brings, on kitchens made by other laws than the learner's. Prints Markdown. */
export function learnStudy(kitchens = KITCHENS, from = FROM): void {
  console.log(`
## Learning from the log

${kitchens} simulated kitchens (\`core/test/support/kitchens.ts\`): an oven off by a constant (one sigma 10 K), more at high heat, and drifting 2 K from day to day; air that moves more or less (15 %); each tin its own share of the time (10 %); each batter more or less vapour (20 %); a baker who likes it more or less done (3 % in time); noise of 6 % from bake to bake; times in full minutes; a reading on a third of the bakes, half of them on the rack by a thermometer that is itself off (2 K), half in the middle (1 K). Five favourite formulas each, a quarter of the bakes in another tin than the formula's own. Times come from the bake model with these changed, not from the learner's straight lines; the learner knows none of the figures. Seeds from ${from}.
`);
  const read = Array.from({ length: kitchens }, (_, i) => simulatedKitchen(from + i, { bakes: 18, read: 1 / 3 }));
  const blind = Array.from({ length: kitchens }, (_, i) => simulatedKitchen(from + i, { bakes: 8, read: 0 }));
  console.log(
    '| bakes learned from | rms error of the next | median error | inside the 80 % range | noise floor (rms) |\n|---|---|---|---|---|',
  );
  for (const n of [0, 1, 3, 5, 8, 12]) {
    const all = read.flatMap((k) => foretold(k, n));
    console.log(
      `| ${n} | ${pct(rms(all.map((x) => x.error)))} | ${pct(median(all.map((x) => Math.abs(x.error))))} | ${pct(all.filter((x) => x.held).length / all.length)} | ${pct(rms(all.map((x) => x.floor)))} |`,
    );
  }
  const bias = (list: readonly SimulatedKitchen[], n: number): { median: number; sd: number; held: number } => {
    const errors = list.map((k) => {
      const first = k.bakes.slice(0, n);
      const b = knownOf(learn(first, k.reckoned, k.kitchen).learned, ['bias:big']);
      return { e: Math.abs(b.typical - k.biasC), held: b.low <= k.biasC && k.biasC <= b.high, sd: sigmaOf(b) };
    });
    return {
      median: median(errors.map((x) => x.e)),
      sd: median(errors.map((x) => x.sd)),
      held: errors.filter((x) => x.held).length / errors.length,
    };
  };
  console.log(
    '\n| oven bias after 8 bakes | median error | its own one sigma (median) | inside its 80 % band |\n|---|---|---|---|',
  );
  for (const [words, list] of [
    ['a reading on a third of them', read],
    ['times only', blind],
  ] as const) {
    const b = bias(list, 8);
    console.log(`| ${words} | ${b.median.toFixed(1)} K | ${b.sd.toFixed(1)} K | ${pct(b.held)} |`);
  }
  const guess = median(blind.map((k) => Math.abs(k.biasC)));
  console.log(`| nothing learned | ${guess.toFixed(1)} K | 10.0 K | |`);

  const moved = read.map((k) => {
    const first = k.bakes.slice(0, 8);
    const l = (b: readonly BakeRecord[], kitchen: Kitchen) => knownOf(learn(b, k.reckoned, kitchen).learned, ['bias:big']); // prettier-ignore
    const calm = l(first, k.kitchen);
    const wild = l(
      first.map((b, i) => (i === 4 ? { ...b, minutes: Math.round(b.minutes * 1.9) } : b)),
      k.kitchen,
    );
    return Math.abs(wild.typical - calm.typical) / (Z80 * sigmaOf(calm));
  });
  console.log(
    `\nOne of eight times nearly doubled by a slip moves the oven's bias by ${median(moved).toFixed(2)} of the half-width of its 80 % band (median), ${Math.max(...moved).toFixed(2)} at most, in ${pct(moved.filter((m) => m < 1).length / moved.length)} of kitchens by less than the band.`,
  );
}
