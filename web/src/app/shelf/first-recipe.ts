import { kitchenPlace, type Kitchen } from '@orvin/core';

const inOunces = `Apple oat muffins

1 1/2 cups all-purpose flour
3/4 cup rolled oats
1/2 cup packed light brown sugar
2 teaspoons baking powder
1/2 teaspoon baking soda
1/2 teaspoon salt
1 teaspoon ground cinnamon
1 cup buttermilk
1/3 cup vegetable oil
1 large egg
1 cup diced apple

Heat the oven to 400F and line a 12-cup muffin pan with papers.
Whisk the dry ingredients in a large bowl. In another, whisk the buttermilk, oil and egg.
Pour the wet into the dry, stir until just combined, and fold in the apple.
Fill the cups two thirds full and bake 18 to 20 minutes, until the tops spring back. Cool 5 minutes in the pan.`;

const inGrams = `Apple oat muffins

200 g plain flour
60 g rolled oats
100 g light brown sugar
2 tsp baking powder
1/2 tsp bicarbonate of soda
1/2 tsp salt
1 tsp ground cinnamon
240 ml buttermilk
80 ml sunflower oil
1 egg
120 g diced apple

Heat the oven to 200C (180C fan, gas 6) and line a 12-hole muffin tray with papers.
Whisk the dry ingredients in a large bowl. In another, whisk the buttermilk, oil and egg.
Pour the wet into the dry, stir until just combined, and fold in the apple.
Fill the cases two thirds full and bake for 18 to 20 minutes, until the tops spring back. Cool for 5 minutes in the tin.`;

const inCups = `Apple oat muffins

1 1/2 cups plain flour
3/4 cup rolled oats
1/2 cup brown sugar, packed
2 teaspoons baking powder
1/2 teaspoon bicarb soda
1/2 teaspoon salt
1 teaspoon ground cinnamon
1 cup buttermilk
1/3 cup vegetable oil
1 egg
1 cup diced apple

Heat the oven to 200C (180C fan-forced) and line a 12-hole muffin tray with papers.
Whisk the dry ingredients in a large bowl. In another, whisk the buttermilk, oil and egg.
Pour the wet into the dry, stir until just combined, and fold in the apple.
Fill the holes two thirds full and bake for 18 to 20 minutes, until the tops spring back. Cool for 5 minutes in the tin.`;

const inIndia = `Eggless jaggery cake

1 1/2 cups maida
1/2 cup atta
3/4 cup powdered jaggery
1 tsp baking powder
1/2 tsp baking soda
1/4 tsp elaichi powder
a pinch of salt
1 cup curd
1/2 cup oil
1/4 cup milk

Preheat the oven to 180C and grease a 7 inch round tin.
Whisk the curd, jaggery, oil and milk until smooth. Sieve in the dry ingredients and fold until no flour shows.
Pour into the tin at once and bake for 35 to 40 minutes, until a skewer comes out clean. Cool 10 minutes in the tin.`;

/** A recipe of Orvin's own to try reading with, as somebody would write it down where the kitchen is. */
export function recipeFor(kitchen: Kitchen): string {
  const place = kitchenPlace(kitchen.locale.place);
  if (place?.id === 'in') return inIndia;
  if (kitchen.display.weight === 'oz' || place?.id === 'ca') return inOunces;
  return place?.id === 'au' || place?.id === 'nz' ? inCups : inGrams;
}
