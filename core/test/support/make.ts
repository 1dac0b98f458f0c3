import { readFileSync } from 'node:fs';
import type { Band, Formula, Item, Kitchen, MadeBake } from '../../src/index.js';
import { defaultKitchen, fitTins } from '../../src/index.js';

const source = {
  cupMl: defaultKitchen.measures.cupMl,
  spoonMl: defaultKitchen.measures.spoonMl,
  flourHabit: defaultKitchen.measures.flourHabit,
  saltKind: defaultKitchen.measures.saltKind,
  eggSize: defaultKitchen.measures.eggSize,
};

/** A formula of one batter group from `[ingredient, grams]` pairs. */
export function formula(items: readonly (readonly [string, number])[], more: Partial<Formula> = {}): Formula {
  return {
    format: 'orvin.formula',
    version: 1,
    id: 'f',
    title: 'Test batter',
    family: 'muffin',
    source,
    groups: [
      {
        id: 'g',
        name: 'Batter',
        role: 'batter',
        items: items.map(([ingredient, grams], i): Item => ({
          id: `i${i}`,
          ingredient,
          words: ingredient,
          entered: { value: grams, unit: 'g' },
          grams,
        })),
      },
    ],
    method: [],
    ...more,
  };
}

export const demo = (id: string): Formula =>
  JSON.parse(readFileSync(new URL(`../../../demo/formulas/${id}.json`, import.meta.url), 'utf8')) as Formula;

/** The kitchen of the demo data. */
export const demoKitchen = (): Kitchen =>
  JSON.parse(readFileSync(new URL('../../../demo/kitchen.json', import.meta.url), 'utf8')) as Kitchen;

export const demoIds = (
  JSON.parse(readFileSync(new URL('../../../demo/index.json', import.meta.url), 'utf8')) as { formulas: string[] }
).formulas.map((f) => f.replace(/^.*\/|\.json$/g, ''));

export const nested = (b: Band): boolean => b.low <= b.typical + 1e-9 && b.typical <= b.high + 1e-9;

/** A bake of a formula as the counter has it, with a first look at 35 and its likely end at 40 minutes. */
export const madeOf = (formula: Formula, kitchen: Kitchen, id = formula.id): MadeBake => ({
  id,
  formula,
  fits: fitTins(formula, formula.tins ?? [], kitchen),
  minutes: { early: 36, likely: 40, late: 46 },
  marks: [
    { kind: 'first look', atMin: 35, words: 'look' },
    { kind: 'out', atMin: 40, words: 'likely done' },
  ],
  ovenId: 'big',
});
