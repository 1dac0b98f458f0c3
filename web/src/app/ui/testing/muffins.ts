import { allItems, type Formula } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';

/** A muffin batter with something of most roles in it. */
export const base: Formula = readRecipe(
  'Muffins\n250 g flour\n30 g cocoa\n2 eggs\n120 g sugar\n80 g oil\n200 g yogurt\n40 g honey\n8 g baking powder\n3 g baking soda\n3 g salt',
).formula;

/** The id of the line of an ingredient. */
export const lineOf = (ingredient: string, f: Formula = base): string =>
  allItems(f).find((i) => i.ingredient === ingredient)?.id ?? '';
