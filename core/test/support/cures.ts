import { ingredientFor, type Formula } from '../../src/index.js';
import { isBatter } from '../../src/formula/formula.js';
import { readFileSync } from 'node:fs';
import { readOrdinary, type Ordinary } from '../../src/plausible/formulas.js';
import { formula } from './make.js';

/** What is counted of a formula, g: each of these over all lines of its batter. */
const kinds = ['flour', 'fat', 'sugar', 'egg', 'liquid', 'leavener'] as const;
type Kind = (typeof kinds)[number];

const kindOf = (f: Formula, i: Parameters<typeof ingredientFor>[1]): string => ingredientFor(f, i).role;

export interface Counted {
  readonly by: Readonly<Record<Kind, number>>;
  readonly batterG: number;
}

export function counted(f: Formula): Counted {
  const by = Object.fromEntries(kinds.map((k) => [k, 0])) as Record<Kind, number>;
  let batterG = 0;
  for (const i of f.groups.filter(isBatter).flatMap((g) => g.items)) {
    const k = kindOf(f, i) as Kind;
    if (kinds.includes(k)) by[k] += i.grams;
    batterG += i.grams;
  }
  return { by, batterG };
}

/** How far two formulas are apart: sum of |ln| over what is counted, with 5 g (0.5 g of leavener) added. */
export const apart = (a: Counted, b: Counted): number =>
  kinds.reduce((s, k) => {
    const plus = k === 'leavener' ? 0.5 : 5;
    return s + Math.abs(Math.log((a.by[k] + plus) / (b.by[k] + plus)));
  }, 0);

export interface Fault {
  readonly name: string;
  readonly kind: Kind;
  readonly factor: number;
}
export const faults: readonly Fault[] = [
  { name: 'flour × 1.5', kind: 'flour', factor: 1.5 },
  { name: 'liquid half', kind: 'liquid', factor: 0.5 },
  { name: 'sugar forgotten', kind: 'sugar', factor: 0 },
  { name: 'fat forgotten', kind: 'fat', factor: 0 },
  { name: 'fat × 2', kind: 'fat', factor: 2 },
  { name: 'egg forgotten', kind: 'egg', factor: 0 },
  { name: 'leavener forgotten', kind: 'leavener', factor: 0 },
  { name: 'leavener × 3', kind: 'leavener', factor: 3 },
];

/** An ordinary formula as a formula. */
export const asFormula = (o: Ordinary): Formula =>
  formula(
    o.lines.filter(([, , part]) => part === 'batter' || part === 'fold-in').map(([id, grams]) => [id, grams]),
    { title: o.kind, family: o.families[0] ?? 'free' },
  );

/** The formula with a fault in all its lines of a kind; null where there is too little of it, or what has no leavener of need. */
export function planted(f: Formula, { kind, factor }: Fault): Formula | null {
  const { by } = counted(f);
  const share = by[kind] / Math.max(1, by.flour);
  if (share < { leavener: 0.001, liquid: 0.35, flour: 0.25, fat: 0.25, sugar: 0.25, egg: 0.25 }[kind]) return null;
  if (kind === 'leavener' && factor === 0 && /pound-cake|fruit-cake-rich/.test(f.family)) return null;
  return {
    ...f,
    groups: f.groups.map((g) => ({
      ...g,
      items: g.items.flatMap((i) => {
        if (!isBatter(g) || kindOf(f, i) !== kind) return [i];
        const grams = i.grams * factor;
        return factor === 0 ? [] : [{ ...i, grams, entered: { value: grams, unit: 'g' } }];
      }),
    })),
  };
}

/** Whether a cure leads back: within half of the fault (six tenths for advice), and the batter within a fifth. */
export function leadsBack(cure: Formula, was: Formula, bad: Formula, within = 0.5): boolean {
  const [a, b] = [counted(cure), counted(was)];
  return apart(a, b) <= within * apart(counted(bad), b) && Math.abs(Math.log(a.batterG / b.batterG)) < 0.2;
}

export const batterG = (f: Formula): number => counted(f).batterG;

/** The formulas of our own that nothing was fitted to, but for those without a family. */
export const unseenFormulas = (): Formula[] =>
  readOrdinary(readFileSync(new URL('../corpus/ordinary-test.txt', import.meta.url), 'utf8'), true)
    .filter((o) => o.families[0] !== 'free')
    .map(asFormula);
