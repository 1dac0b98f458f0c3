/** Speed of the searches in Node: the solver's cold start, and proposals for thirty lines of which one or two are off. */
import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import type * as Core from '../src/index.js';
import type { Formula } from '../src/index.js';
import { disturb, randomFrom } from '../test/support/disturbed.js';

/** The built core, as it ships. */
const { rebalance } = (await import(new URL('../dist/index.js', import.meta.url).href)) as typeof Core;

const cake = JSON.parse(
  readFileSync(new URL('../../demo/formulas/cardamom-yogurt-round.json', import.meta.url), 'utf8'),
) as Formula;
const more =
  'cocoa-natural rolled-oats banana apple-puree milk buttermilk lemon-juice honey treacle sour-cream walnut raisins wholemeal-flour neutral-oil blueberry ginger-ground cinnamon orange-juice carrot'.split(
    ' ',
  );
const thirty: Formula = {
  ...cake,
  groups: [
    ...cake.groups,
    {
      id: 'more',
      name: 'A little of everything',
      role: 'batter',
      items: more.map((ingredient, i) => ({
        id: `more-${i}`,
        ingredient,
        words: ingredient,
        entered: null,
        grams: 12,
      })),
    },
  ],
};

const from = performance.now();
const solver = await loadHighs();
solver.solve('Minimize\nobj: x\nSubject To\nr: x + y >= 1.5\nGeneral\nx y\nEnd', { output_flag: false });
console.log(
  `the solver's cold start, loaded and its first programme solved: ${(performance.now() - from).toFixed(0)} ms  aim < 500 ms`,
);

const random = randomFrom(3);
const times: number[] = [];
const kinds = new Map<string, number>();
let cold = 0;
for (let i = 0; i < 41; i++) {
  const { formula } = disturb(thirty, random);
  const from = performance.now();
  const out = await rebalance(formula);
  const ms = performance.now() - from;
  if (i === 0) cold = ms;
  else times.push(ms);
  const kind = Array.isArray(out) ? `${out.length} proposals` : out.why;
  kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
}
times.sort((a, b) => a - b);
const at = (q: number): string => `${(times[Math.floor(q * (times.length - 1))] ?? 0).toFixed(0)} ms`;
console.log(
  `rebalance, 30 lines, in Node: the first, before its code is compiled, ${cold.toFixed(0)} ms; then median ${at(0.5)}, 95th percentile ${at(0.95)}  aim 300, 1000; ${[...kinds].map(([k, n]) => `${n} × ${k}`).join(', ')}`,
);
