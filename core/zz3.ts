import { toldIn } from './src/recipe/prose.js';
import { defaultKitchen } from './src/index.js';
import { scanAmounts } from './src/quantity/scan.js';
for (const t of ["Half a kilo of cold mash, a hundred and twenty of flour, a teaspoon of baking powder, salt, and thirty grams of butter.", "200 g spelt flour, 50 g carob powder, 1 tsp bicarbonate of soda, 150 g honey", "It is 250 g of plain yogurt, three eggs. And an orange.", "this is for the pear one. You want three pears, peel those"]) {
  console.log(t, scanAmounts(t).map((a) => [a.value, a.unit, t.slice(a.from, a.to)]));
  console.log(toldIn(t, defaultKitchen, true).map((x) => x.text + ' → ' + x.ingredient));
}
