import type { Ingredient, Item, Kitchen } from '../formula/types.js';
import { densityIn, pieceGrams } from './amount.js';
import { teaspoonMl } from './units.js';

/**
 * The step in which an amount is measured in this kitchen, g: an eighth of a teaspoon of leavener, salt or spice; half
 * an egg, or a whole white or yolk (5 g where eggs are weighed); 1 g below 20 g and in small batches, 5 g, from 2 kg
 * 50 g; never finer than the scale reads.
 *
 * @param aboutG the amount it stands at, which decides how fine the step is
 * @param batterG weight of the whole batter
 */
export function stepG(ingredient: Ingredient, aboutG: number, batterG: number, kitchen: Kitchen): number {
  const { measures, schools } = kitchen;
  const scale = Math.max(0.01, measures.scaleG);
  if (ingredient.role === 'egg' && schools.eggs === 'whole') {
    const piece = pieceGrams(ingredient, measures);
    if (piece) return ingredient.id === 'egg' ? piece.typical / 2 : piece.typical;
  }
  if (ingredient.role === 'leavener' || ingredient.role === 'salt' || ingredient.role === 'flavour') {
    const eighth = (teaspoonMl(measures) * densityIn(ingredient, measures)) / 8;
    return aboutG > 60 * eighth ? Math.max(1, scale) : eighth;
  }
  const fine = aboutG < 20 || batterG < 300 ? 1 : aboutG < 2000 ? 5 : 50;
  // on a scale that reads in twos, six grams rather than five
  return Math.ceil(fine / scale - 1e-9) * scale;
}

/** The amount as it can be measured, nearest to what is wanted. */
export function onStep(ingredient: Ingredient, grams: number, batterG: number, kitchen: Kitchen): number {
  const step = stepG(ingredient, grams, batterG, kitchen);
  return tidy(Math.max(0, Math.round(grams / step)) * step);
}

/** What comes in anew, as it is measured: where eggs are whole, as whole eggs, from four tenths of one on: nobody forgets half an egg. */
export function comesInAs(ingredient: Ingredient, grams: number, batterG: number, kitchen: Kitchen): number {
  const piece = pieceGrams(ingredient, kitchen.measures)?.typical;
  const whole = ingredient.role === 'egg' && kitchen.schools.eggs === 'whole' && piece !== undefined;
  return whole && grams >= 0.4 * piece
    ? tidy(Math.max(1, Math.round(grams / piece)) * piece)
    : onStep(ingredient, grams, batterG, kitchen);
}

/** Whether an amount can be measured with this kitchen's spoons, eggs and scale. */
export function isMeasurable(item: Pick<Item, 'grams'>, ingredient: Ingredient, kitchen: Kitchen): boolean {
  const scale = Math.max(0.01, kitchen.measures.scaleG);
  const spoon = (teaspoonMl(kitchen.measures) * densityIn(ingredient, kitchen.measures)) / 8;
  const piece = pieceGrams(ingredient, kitchen.measures)?.typical ?? 0;
  const on = (step: number): boolean =>
    step > 0 && Math.abs(item.grams / step - Math.round(item.grams / step)) * step < 0.006 + 1e-4 * item.grams;
  return on(scale) || on(spoon) || (ingredient.role === 'egg' && on(piece / 2));
}

export const tidy = (g: number): number => Math.round(g * 100) / 100;
