/** Recipes as they stand on cards, in books and on screens; invented for trying out how well pictures are read. */
export const cards: readonly string[] = [
  `Carrot tray cake

250 g plain flour
2 tsp baking powder
½ tsp bicarbonate of soda
1 tsp ground cinnamon
180 g light brown sugar
3 eggs
200 ml sunflower oil
300 g carrots, grated

Heat the oven to 180°C. Whisk the eggs, sugar and oil.
Fold in the flour, baking powder, soda and cinnamon, then the carrots.
Bake in a 20 x 30 cm tin for 35 minutes.`,

  `Buttermilk biscuits

2 cups all-purpose flour
1 tbsp baking powder
1/4 tsp baking soda
3/4 tsp salt
6 tbsp cold butter
1 cup buttermilk

Preheat oven to 450F. Rub butter into flour mixture, stir in
buttermilk, pat out 3/4 inch thick and cut into 8 rounds.
Bake 12-15 min on a baking sheet.`,

  `Honey bread

1½ cups all-purpose flour
2¼ tsp baking powder
½ tsp baking soda
¾ cup milk
⅓ cup honey
⅔ cup sugar
¼ tsp salt
1 egg
2½ tbsp oil

Bake at 350°F for 45–50 minutes in an 8½ x 4½ inch loaf tin.`,

  `FRUIT SCONES (makes 8)

8 oz self-raising flour
1 level tsp baking powder
2 oz butter
1 oz caster sugar
3 oz sultanas
1 egg
¼ pint milk

Rub the butter into the flour and baking powder. Stir in the sugar
and sultanas. Beat the egg with the milk and mix to a soft dough.
Roll out 1 inch thick, cut 2½ inch rounds. Bake at gas 7 for 12 mins.`,

  `Lemon drizzle loaf

175 g butter, softened
175 g caster sugar
3 large eggs
200 g self-raising flour
1 tsp baking powder
zest of 2 lemons
3 tbsp milk

For the drizzle
juice of 2 lemons
85 g granulated sugar

Beat everything together and put into a lined 900 g loaf tin.
Bake at 160°C fan for 45-50 minutes. Spoon the drizzle over while hot.`,

  `Brown soda bread

350 g wholemeal flour
150 g plain flour
1 tsp bread soda
1 tsp salt
400 ml buttermilk
1 tbsp treacle

Mix the flours, soda and salt. Add the buttermilk and treacle.
Shape into a round, cut a deep cross.
Bake at 200 C for 40 minutes on a baking sheet.`,

  `Banana oat muffins
Makes 12

3 ripe bananas, mashed
1/3 cup vegetable oil
1/2 cup brown sugar
1 egg
1 tsp vanilla extract
1 1/2 cups flour
1 cup rolled oats
1 tsp baking powder
1 tsp baking soda
1/2 tsp salt

Oven 375 F. Mix bananas, oil, sugar, egg and vanilla. Stir in the
dry ingredients. Fill a 12-cup muffin tin. Bake 18-20 minutes.`,

  `Cocoa squares

120 g plain flour
40 g cocoa powder
1 tsp baking powder
¼ tsp salt
150 g butter, melted
225 g caster sugar
2 eggs
1 tsp vanilla extract

Whisk the sugar, eggs and vanilla into the butter. Sift in the flour,
cocoa, baking powder and salt. Bake in a 20 cm square tin
at 170 °C for 25 to 30 minutes.`,

  `Corn bread

1 cup cornmeal
1 cup plain flour
2 tbsp sugar
1 tbsp baking powder
½ tsp salt
2 eggs
1¼ cups milk
⅓ cup melted butter

Stir the dry things together, then the eggs, milk and butter.
Bake in a 9 inch square pan at 400°F, 20-25 min.`,

  `Apple and walnut cake

275 g plain flour
2½ tsp baking powder
1½ tsp mixed spice
150 g butter
160 g demerara sugar
2 eggs
90 ml milk
350 g apples, peeled and diced
60 g walnuts, chopped

Rub the butter into the flour, baking powder and spice.
Stir in everything else. Bake in a 23 cm round tin
at 180°C for 1 hour 10 minutes.`,
];

/** The same kind, on which nothing was tuned: they were written after the last change of the reader of pictures. */
export const fresh: readonly string[] = [
  `Oat and raisin scones

225 g plain flour
75 g rolled oats
3 tsp baking powder
50 g light muscovado sugar
75 g cold butter
80 g raisins
160 ml milk
1 egg, to glaze

Rub the butter into the flour, oats and baking powder. Stir in
the sugar and raisins, then the milk. Pat out 3 cm thick, cut 8
rounds of 6 cm. Bake at 210°C for 15 minutes on a baking sheet.`,

  `SPICE CAKE

2¼ cups cake flour
1½ tsp baking powder
½ tsp baking soda
1 tsp cinnamon
¼ tsp cloves
¾ cup shortening
1⅓ cups brown sugar
3 eggs
1 cup buttermilk

Cream shortening and sugar, beat in eggs. Add dry ingredients
alternately with buttermilk. Two 9 inch round pans, 350°F,
25 to 30 minutes.`,

  `Beer bread

375 g self-raising flour
30 g caster sugar
1 tsp salt
375 ml beer
40 g butter, melted

Stir the flour, sugar, salt and beer to a sticky dough.
Scrape into a 2 lb loaf tin, pour the butter over.
Bake for 50-60 minutes at 180°C / 160°C fan.`,

  `Courgette muffins
Makes 10

200 g wholemeal flour
2 tsp baking powder
½ tsp salt
120 g feta, crumbled
200 g courgette, grated
2 eggs
150 ml plain yoghurt
60 ml olive oil
2 tbsp chopped dill

Mix the wet into the dry, fold in feta, courgette and dill.
Fill 10 muffin cases. Bake 22 minutes at 195°C.`,

  `Nan's parkin

6 oz plain flour
6 oz medium oatmeal
2 tsp ground ginger
1 tsp bicarbonate of soda
4 oz butter
4 oz dark brown sugar
8 oz golden syrup
¼ pint milk
1 egg

Melt butter, sugar and syrup. Stir into the dry things with
the milk and egg. Pour into a 9 inch square tin.
Gas mark 3 for 1 hour.`,
];
