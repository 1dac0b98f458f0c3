/** The long scientific studies. Prints Markdown that docs/science/validation.md keeps. */
import { homeTable, setupFor, type HomeCase } from '../test/support/heat.js';
import { simulate } from '../src/bake/run.js';
import { speedFor } from '../src/bake/calibrate.js';
import type { BakeInput } from '../src/index.js';
import { assess, families } from '../src/index.js';
import { demo, demoIds } from '../test/support/make.js';
import { readingStudy } from './reading.js';

const mid = (c: HomeCase): number => Math.sqrt(c.early * c.late);
const rms = (x: readonly number[]): number => Math.sqrt(x.reduce((s, e) => s + e * e, 0) / x.length);
const pct = (x: number): string => `${(100 * x).toFixed(1)} %`;

console.log('## Home-baking times\n');
console.log(
  'Stated minutes for light metal tins on the middle rack of a still oven, against the model with no calibration. Error is ln(predicted / geometric middle of the stated range).\n',
);
console.log('| case | stated | predicted | error |\n|---|---|---|---|');
const errors = homeTable.map((c) => {
  const t = simulate(setupFor(c)).doneMin ?? NaN;
  const e = Math.log(t / mid(c));
  console.log(`| ${c.name} | ${c.early}–${c.late} | ${t.toFixed(1)} | ${pct(e)} |`);
  return e;
});
console.log(
  `\nRoot mean square ${pct(rms(errors))} over ${errors.length} cases; largest ${pct(Math.max(...errors.map(Math.abs)))}.\n`,
);

console.log('## Calibrated on one tin, used on its sisters\n');
console.log(
  'One factor on heat transfer is fitted to the first tin of a kind; the others of the kind are predicted with it.\n',
);
console.log('| kind | fitted on | sisters | error before | error after |\n|---|---|---|---|---|');
for (const kind of ['layer', 'muffin', 'loaf'] as const) {
  const group = homeTable.filter((c) => c.kind === kind && c.tin.shape !== 'tube');
  const [first, ...rest] = group;
  if (!first) continue;
  const input: BakeInput = {
    batterG: first.kg * 1000,
    tin: first.tin,
    family: kind === 'muffin' ? 'muffin' : kind === 'loaf' ? 'quick-bread' : 'butter-cake-lean',
    ovenC: ((first.ovenF - 32) * 5) / 9,
    startC: 21,
  };
  const speed = fitSpeed(first);
  const before = rms(rest.map((c) => Math.log((simulate(setupFor(c)).doneMin ?? NaN) / mid(c))));
  const after = rms(rest.map((c) => Math.log((simulate({ ...setupFor(c), speed }).doneMin ?? NaN) / mid(c))));
  console.log(
    `| ${kind} | ${first.name} (speed ${speed.toFixed(2)}; through the public calibration ${(speedFor(input, mid(first)) ?? NaN).toFixed(2)}) | ${rest.length} | ${pct(before)} | ${pct(after)} |`,
  );
}

function fitSpeed(c: HomeCase): number {
  let [lo, hi] = [0.5, 2];
  for (let i = 0; i < 25; i++) {
    const x = Math.sqrt(lo * hi);
    if ((simulate({ ...setupFor(c), speed: x }).doneMin ?? 1e4) > mid(c)) lo = x;
    else hi = x;
  }
  return Math.sqrt(lo * hi);
}

console.log('\n## Resolution\n\n| case | standard | twice as fine | difference |\n|---|---|---|---|');
for (const c of homeTable.filter((x) =>
  ['9 in layer', 'muffin, hot', 'loaf 9 x 5', '13 x 9 sheet', 'scone', 'tube, 12 cup'].includes(x.name),
)) {
  const a = simulate(setupFor(c)).doneMin ?? NaN;
  const b = simulate({ ...setupFor(c), resolution: 2 }).doneMin ?? NaN;
  console.log(`| ${c.name} | ${a.toFixed(2)} | ${b.toFixed(2)} | ${pct(a / b - 1)} |`);
}

console.log(
  '\n## Sensitivities\n\nd ln t / d ln x by central differences of 5 %.\n\n| | loaf 9 x 5 | 9 in round |\n|---|---|---|',
);
const loaf = setupFor(homeTable.find((c) => c.name === 'loaf 9 x 5') as HomeCase);
const round = setupFor(homeTable.find((c) => c.name === '9 in layer') as HomeCase);
const sensitivity = (s: typeof loaf, change: (k: number) => Partial<typeof loaf>): string => {
  const t = (k: number): number => Math.log(simulate({ ...s, ...change(k) }).doneMin ?? NaN);
  return ((t(1.05) - t(0.95)) / Math.log(1.05 / 0.95)).toFixed(2);
};
const rows: [string, (s: typeof loaf) => (k: number) => Partial<typeof loaf>][] = [
  ['batter depth at constant tin', (s) => (k) => ({ batterG: s.batterG * k })],
  ['oven temperature in C', (s) => (k) => ({ stages: [{ fromMin: 0, ovenC: (s.stages[0]?.ovenC ?? 0) * k }] })],
  ['doneness temperature in C', (s) => (k) => ({ doneC: s.doneC * (1 + (k - 1) / 5) })],
  ['heat transfer (speed)', () => (k) => ({ speed: k })],
  ['rise', (s) => (k) => ({ rise: s.rise * k })],
];
for (const [name, change] of rows) {
  const fix = name.startsWith('doneness') ? 5 : 1;
  const f = (s: typeof loaf): string => (Number(sensitivity(s, change(s))) * fix).toFixed(2);
  console.log(`| ${name} | ${f(loaf)} | ${f(round)} |`);
}

console.log(
  '\n## Sample formulas\n\n| formula | family by its figures | lift (band) | left-over soda g/100 g | worst verdict |\n|---|---|---|---|---|',
);
for (const id of demoIds) {
  const f = demo(id);
  const a = assess(f);
  const worst = [...a.verdicts].sort(
    (x, y) => ['note', 'unusual', 'faulty'].indexOf(y.severity) - ['note', 'unusual', 'faulty'].indexOf(x.severity),
  )[0];
  console.log(
    `| ${f.title} | ${families.find((x) => x.id === a.family.nearest)?.name} | ${a.lift.mmolPer100gBase.typical.toFixed(1)} (${a.lift.target.map((x) => x.toFixed(0)).join('–')}) | ${a.ledger.leftSodaGPer100gBatter.typical.toFixed(2)} | ${worst?.severity} |`,
  );
}

readingStudy();
