import { type Formula } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';

/** Creamed, with hardly any powder: it lives on air. */
export const demoPound: Formula = {
  ...readRecipe(
    'Pound cake\n200 g butter\n200 g caster sugar\n4 eggs\n200 g plain flour\n1/4 tsp baking powder\nCream the butter and sugar until pale and fluffy.\nBeat in the eggs one at a time.\nFold in the flour.',
  ).formula,
  family: 'pound-cake',
};
