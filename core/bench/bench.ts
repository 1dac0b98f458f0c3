/** Speed of the core, as milliseconds and as ratios to a fixed reference loop timed in the same run. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type * as Core from '../src/index.js';
import type { Formula, Tin } from '../src/index.js';
import type * as Grid from '../src/bake/grid.js';
import type * as Physics from '../src/bake/physics.js';
import type * as Run from '../src/bake/run.js';
import type * as Setups from '../src/bake/setup.js';
import type * as States from '../src/bake/state.js';
import { crumb } from '../test/support/heat.js';
import { demo } from '../test/support/make.js';

/** The built core, as it ships; the sources would be timed with the names the test runner gives every closure. */
const built = (path: string): Promise<unknown> => import(new URL(`../dist/${path}`, import.meta.url).href);
const { allItems, assess, defaultKitchen, ingredients, predictBake, readRecipe, usualRanges, write } = (await built(
  'index.js',
)) as typeof Core;
const { roundGrid } = (await built('bake/grid.js')) as typeof Grid;
const { tabulate } = (await built('bake/physics.js')) as typeof Physics;
const { simulate } = (await built('bake/run.js')) as typeof Run;
const { setupOf } = (await built('bake/setup.js')) as typeof Setups;
const { begin, step } = (await built('bake/state.js')) as typeof States;
type Setup = ReturnType<typeof setupOf>;
type Model = Parameters<typeof begin>[0];

function median(run: () => void, times: number): number {
  for (let i = 0; i < Math.min(20, times); i++) run();
  const all: number[] = [];
  for (let i = 0; i < times; i++) {
    const t = performance.now();
    run();
    all.push(performance.now() - t);
  }
  all.sort((a, b) => a - b);
  return all[Math.floor(all.length / 2)] ?? NaN;
}

/** The reference: a million dependent multiply-adds. */
let sink = 0;
const reference = median(() => {
  let x = 1;
  for (let i = 0; i < 1_000_000; i++) x = x * 1.0000001 + 1e-9;
  sink += x;
}, 25);
const line = (name: string, ms: number, aim = ''): void =>
  console.log(
    `${name.padEnd(58)} ${ms.toFixed(3).padStart(9)} ms  ${(ms / reference).toFixed(3).padStart(8)} × reference  ${aim}`,
  );

console.log(`reference loop${' '.repeat(44)} ${reference.toFixed(3).padStart(9)} ms`);

const base = demo('rye-and-pear-loaf');
const extra = ingredients.filter((i) => !['leavener', 'salt'].includes(i.role)).slice(0, 30 - allItems(base).length);
const big: Formula = {
  ...base,
  groups: [
    ...base.groups,
    {
      id: 'more',
      name: 'More',
      role: 'batter',
      items: extra.map((i, n) => ({ id: `x${n}`, ingredient: i.id, words: i.name, entered: null, grams: 12 })),
    },
  ],
};
line(
  `assess, ${allItems(big).length} ingredients, with bands and advice`,
  median(() => void assess(big), 400),
  'aim < 3 ms',
);
line(
  'usual ranges of the same',
  median(() => void usualRanges(big), 400),
);
const text = write(base, 'text');
line(
  'read a recipe of 12 ingredients',
  median(() => void readRecipe(text), 200),
  'aim < 20 ms',
);

const loaf: Tin = {
  id: 'l',
  name: 'loaf',
  shape: 'loaf',
  topMm: 222,
  top2Mm: 120,
  baseMm: 205,
  base2Mm: 104,
  depthMm: 68,
  material: 'light metal',
};
const round: Tin = {
  id: 'r',
  name: 'round',
  shape: 'round',
  topMm: 230,
  baseMm: 228,
  depthMm: 52,
  material: 'light metal',
};
const at = (tin: Tin, batterG: number): Setup =>
  setupOf({ tin, batterG, family: 'quick-bread', ovenC: 175 }, defaultKitchen);
line(
  'predictBake, likely, 23 cm round',
  median(() => void predictBake({ tin: round, batterG: 900, family: 'butter-cake-lean', ovenC: 175 }), 15),
);
line(
  'predictBake, likely, loaf',
  median(() => void predictBake({ tin: loaf, batterG: 1000, family: 'quick-bread', ovenC: 175 }), 15),
  'aim < 50 ms',
);
const coarse = simulate(at(loaf, 1000)).doneMin ?? 0;
const fine = simulate({ ...at(loaf, 1000), resolution: 2.5 }).doneMin ?? 0;
console.log(
  `loaf: ${coarse.toFixed(2)} min against ${fine.toFixed(2)} min on a grid 2.5 times as fine: ${(100 * (coarse / fine - 1)).toFixed(2)} %  aim within 2 %`,
);

const still = { h: 0, eps: 0, evaporation: 0 };
const wall = { law: still, capacity: 0, resistance: 0 };
const model: Model = {
  grid: roundGrid(0.115, 0, 0.04, 14, 16, 'symmetric'),
  tables: tabulate(crumb),
  walls: { base: wall, open: wall, tin: wall, 'inner tin': wall },
  aw: 0.93,
  mc: 1.04,
  waterKgM3: 300,
  startC: 60,
};
const state = begin(model);
const STEPS = 1500;
/** The best of many short runs on either side, taken by turns, so that a machine that slows down now and then is fair to both. */
let [ns, c]: [number, number | null] = [Infinity, null];
for (let turn = 0; turn < 6; turn++) {
  for (let run = 0; run < 6; run++) {
    const from = performance.now();
    for (let i = 0; i < STEPS; i++) step(state, 5, 180);
    ns = Math.min(ns, ((performance.now() - from) * 1e6) / (STEPS * 2 * 14 * 16));
  }
  const other = nanosecondsInC();
  if (other !== null) c = Math.min(c ?? Infinity, other);
}
console.log(
  `solver: ${ns.toFixed(2)} ns per cell update${c === null ? '; no C compiler here to compare with' : `, ${c.toFixed(2)} ns for the same loop in C -O2: ${(ns / c).toFixed(2)} times`}`,
);
const ranged = (n: number): number =>
  median(() => void predictBake({ tin: loaf, batterG: 1000, family: 'quick-bread', ovenC: 175, samples: n }), 3);
line('predictBake with a range of 32 samples, loaf, one core', ranged(32), 'aim < 2000 ms in workers');
if (sink === 0) console.log('');
await import('./adapt.js');

function nanosecondsInC(): number | null {
  const out = join(mkdtempSync(join(tmpdir(), 'orvin-')), 'sweep');
  const built = spawnSync('cc', ['-O2', '-o', out, fileURLToPath(new URL('sweep.c', import.meta.url))]);
  if (built.status !== 0) return null;
  const ran = spawnSync(out, ['3000'], { encoding: 'utf8' });
  return ran.status === 0 ? Number(ran.stdout.split(' ')[0]) : null;
}
