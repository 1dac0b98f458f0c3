import { allItems, ingredientFor, type Formula, type Ingredient, type Item } from '../../src/index.js';
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

/** A slip in the amount of all lines of a kind. */
interface Amiss {
  readonly name: string;
  readonly kind: Kind;
  readonly factor: number;
}
/** Lines that stand under another name, so many times as heavy, where only soda or only powder raises. */
interface Misnamed {
  readonly name: string;
  readonly is: (i: Ingredient) => boolean;
  readonly as: string;
  readonly times: number;
  readonly raisedBy: 'soda' | 'powder';
}
export type Fault = Amiss | Misnamed;
const isSour = (i: Ingredient): boolean => i.role === 'liquid' && i.kind === 'sour milk';
export const faults: readonly Fault[] = [
  { name: 'flour × 1.5', kind: 'flour', factor: 1.5 },
  { name: 'liquid half', kind: 'liquid', factor: 0.5 },
  { name: 'sugar forgotten', kind: 'sugar', factor: 0 },
  { name: 'fat forgotten', kind: 'fat', factor: 0 },
  { name: 'fat × 2', kind: 'fat', factor: 2 },
  { name: 'egg forgotten', kind: 'egg', factor: 0 },
  { name: 'leavener forgotten', kind: 'leavener', factor: 0 },
  { name: 'leavener × 3', kind: 'leavener', factor: 3 },
  { name: 'sweet milk for sour, soda alone', is: isSour, as: 'milk', times: 1, raisedBy: 'soda' },
  { name: 'powder called soda', is: (i) => i.leavener === 'powder', as: 'baking-soda', times: 1.1, raisedBy: 'powder' },
];

/** An ordinary formula as a formula. */
export const asFormula = (o: Ordinary): Formula =>
  formula(
    o.lines.filter(([, , part]) => part === 'batter' || part === 'fold-in').map(([id, grams]) => [id, grams]),
    { title: o.kind, family: o.families[0] ?? 'free' },
  );

/** The formula with a fault in all its lines of a kind; null where there is too little of it, or what has no leavener of need. */
export function planted(f: Formula, fault: Fault): Formula | null {
  if ('as' in fault) return misnamed(f, fault);
  const { kind, factor } = fault;
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

/** The formula with lines under another name; null where there is less than a part in ten (of leaveners, a hundred) of them. */
function misnamed(f: Formula, { is, as, times, raisedBy }: Misnamed): Formula | null {
  const all = f.groups.filter(isBatter).flatMap((g) => g.items.map((item) => ({ item, i: ingredientFor(f, item) })));
  const raised = all.filter(({ i }) => i.co2Mmol || i.leavener === 'soda' || i.leavener === 'powder');
  const mine = all.filter(({ i }) => is(i)).map(({ item }) => item);
  const least = raisedBy === 'powder' ? 0.005 : 0.1;
  if (mine.reduce((s, i) => s + i.grams, 0) < least * counted(f).batterG) return null;
  if (raised.length === 0 || raised.some(({ i }) => i.leavener !== raisedBy)) return null;
  const named = (i: Item): Item => {
    const grams = i.grams * times;
    return mine.includes(i) ? { ...i, ingredient: as, grams, entered: { value: grams, unit: 'g' } } : i;
  };
  return { ...f, groups: f.groups.map((g) => ({ ...g, items: g.items.map(named) })) };
}

/** Whether a cure leads back from a fault. */
export const undone = (fault: Fault, cure: Formula, was: Formula, bad: Formula, within = 0.5): boolean => {
  if (!('as' in fault)) return leadsBack(cure, was, bad, within);
  const of = (f: Formula): number => allItems(f).reduce((s, i) => s + (fault.is(ingredientFor(f, i)) ? i.grams : 0), 0);
  // under its own name again, in about its amount, and nothing else much changed
  return Math.abs(Math.log((of(cure) + 0.01) / of(was))) < Math.LN2 && apart(counted(cure), counted(was)) < 0.8;
};

/** Whether a cure leads back: within half of the fault (six tenths for advice), and the batter within a fifth. */
function leadsBack(cure: Formula, was: Formula, bad: Formula, within = 0.5): boolean {
  const [a, b] = [counted(cure), counted(was)];
  return apart(a, b) <= within * apart(counted(bad), b) && Math.abs(Math.log(a.batterG / b.batterG)) < 0.2;
}

export const batterG = (f: Formula): number => counted(f).batterG;

/** The formulas of our own that nothing was fitted to, but for those without a family. */
export const unseenFormulas = (): Formula[] =>
  readOrdinary(readFileSync(new URL('../corpus/ordinary-test.txt', import.meta.url), 'utf8'), true)
    .filter((o) => o.families[0] !== 'free')
    .map(asFormula);
