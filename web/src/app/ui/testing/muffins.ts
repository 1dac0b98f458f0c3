import { allItems, defaultKitchen, fitTins, type Formula, type MadeBake } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';

/** A muffin batter with something of most roles in it. */
export const base: Formula = readRecipe(
  'Muffins\n250 g flour\n30 g cocoa\n2 eggs\n120 g sugar\n80 g oil\n200 g yogurt\n40 g honey\n8 g baking powder\n3 g baking soda\n3 g salt',
).formula;

/** The id of the line of an ingredient. */
export const lineOf = (ingredient: string, f: Formula = base): string =>
  allItems(f).find((i) => i.ingredient === ingredient)?.id ?? '';

const tin = defaultKitchen.tins.find((t) => t.shape === 'cup') ?? defaultKitchen.tins[0];

/** Muffins to be made, a quarter of an hour and a bit in the oven. */
export function muffinBake(id = 'm', title = 'Muffins'): MadeBake {
  const formula: Formula = { ...base, id, title, bake: { ovenC: 190, fan: false }, ...(tin && { tins: [{ tin, count: 1 }] }) }; // prettier-ignore
  return {
    id,
    formula,
    fits: fitTins(formula, formula.tins ?? [], defaultKitchen),
    minutes: { early: 17, likely: 19, late: 22 },
    marks: [
      { kind: 'first look', atMin: 16, words: 'look through the glass' },
      { kind: 'out', atMin: 19, words: 'likely done' },
    ],
    ovenId: 'oven',
  };
}
