/**
 * Ordinary formulas of our own, written after those of others had been seen judged, for kinds that were few: bakes
 * without leavener, without egg, without fat, of nuts, semolina or maize alone. They are part of the ground, and of no
 * figure in docs/science/judgement.md: beside them others would look better judged than strangers are. Columns: see formulas.ts.
 */
export const since = `
chocolate-cake/free | US | brownies without powder | melt-and-stir | butter 170, dark-chocolate 200, white-sugar 250, egg 150, vanilla-extract 5, plain-flour 95, salt 2
chocolate-cake/free | US | cocoa brownies, no leavening | melt-and-stir | butter 140, white-sugar 280, cocoa-natural 75, salt 2, vanilla-extract 5, egg 106, plain-flour 65
chocolate-cake/free | UK | fudgy brownies | melt-and-stir | butter 185, dark-chocolate 185, egg 159, caster-sugar 275, plain-flour 85, cocoa-natural 40, fold-in: chocolate-chips 100
chocolate-cake/free | CA | walnut brownies, plain | melt-and-stir | butter 115, dark-chocolate 115, white-sugar 225, egg 106, plain-flour 100, salt 2, vanilla-extract 4, fold-in: walnut 90
free/butter-cake-high-ratio | US | blondies without powder | melt-and-stir | butter 115, light-brown-sugar 220, egg 53, vanilla-extract 5, plain-flour 125, salt 2, fold-in: white-chocolate 80
chocolate-cake | FR | fondant without leavening | melt-and-stir | dark-chocolate 200, butter 180, caster-sugar 180, egg 212, plain-flour 50
chocolate-cake/free | SE | sticky cocoa cake, no powder | melt-and-stir | butter 100, egg 106, white-sugar 270, plain-flour 90, cocoa-natural 28, vanilla-extract 4, salt 1
maize-bread | US | skillet cornbread, no sugar, all maize | melt-and-stir | maize-meal 280, baking-powder 5, baking-soda 2.5, salt 5, egg 100, buttermilk 430, lard 40
maize-bread | US | southern skillet cornbread | melt-and-stir | maize-meal 240, plain-flour 60, baking-powder 9, baking-soda 2.5, salt 5, buttermilk 400, egg 100, butter 57
maize-bread | US | hot water-scalded cornbread, eggless | melt-and-stir | maize-meal 260, water 330, buttermilk 120, baking-soda 2.5, salt 5, lard 30
maize-bread/quick-bread | ZA | sweetcorn mealie loaf | muffin | plain-flour 240, maize-meal 60, baking-powder 14, salt 4, white-sugar 40, egg 106, butter 50, sweetcorn 380, milk 40
maize-bread | ZA | mealie bread with tinned corn | one-bowl | self-raising-flour 250, salt 3, white-sugar 30, egg 106, sweetcorn 410, neutral-oil 40
maize-bread | RO | malai with cheese | one-bowl | maize-meal 250, plain-flour 80, baking-powder 10, egg 159, milk 300, neutral-oil 60, white-sugar 30, salt 3, fold-in: feta 150
maize-bread/oil-cake | GR | fasting maize cake with orange | one-bowl | maize-meal 230, plain-flour 150, baking-powder 10, baking-soda 3, white-sugar 120, orange-juice 240, water 100, olive-oil 100, cinnamon 2, fold-in: raisins 90
free/oil-cake | LB | turmeric semolina squares, eggless | one-bowl | semolina 300, plain-flour 150, turmeric 6, baking-powder 12, white-sugar 240, milk 380, neutral-oil 150
free | LB | turmeric semolina squares with water | one-bowl | semolina 250, plain-flour 200, turmeric 6, baking-powder 10, white-sugar 280, water 360, neutral-oil 120
free | EG | yogurt basbousa, no egg | one-bowl | semolina 400, white-sugar 150, yogurt 250, butter 130, baking-powder 8, desiccated-coconut 40
free | TR | revani with oil | whisked | egg 159, white-sugar 120, semolina 160, plain-flour 100, yogurt 200, neutral-oil 100, baking-powder 9, citrus-zest 3
treacle-cake/tea-loaf | FR | honey spice loaf without egg or fat | one-bowl | rye-flour 250, honey 250, milk 120, baking-powder 8, baking-soda 2, mixed-spice 5, salt 1
treacle-cake/tea-loaf | BE | honey breakfast loaf, eggless | one-bowl | plain-flour 250, rye-flour 100, honey 200, dark-brown-sugar 80, milk 220, baking-soda 5, mixed-spice 6, salt 2
treacle-cake/tea-loaf | NL | spiced rye loaf with milk | one-bowl | rye-flour 200, plain-flour 100, baking-powder 12, dark-brown-sugar 140, treacle 60, milk 260, mixed-spice 8, salt 2
treacle-cake | CH | soft tray spice cake, eggless | one-bowl | plain-flour 400, white-sugar 220, honey 80, milk 320, cream-whipping 100, baking-powder 14, cocoa-natural 10, mixed-spice 12
treacle-cake | DE | lebkuchen tray with honey and egg | melt-and-stir | honey 250, white-sugar 120, butter 80, egg 106, plain-flour 375, ground-almond 80, milk 80, baking-powder 10, mixed-spice 12, cocoa-natural 10
treacle-cake/butter-cake-high-ratio | US | molasses crumb cake with coffee | rub-in | plain-flour 380, light-brown-sugar 300, butter 170, coffee 420, treacle 300, baking-soda 9, salt 2
scone | UK | treacle scones with self-raising flour | rub-in | self-raising-flour 225, baking-soda 1, mixed-spice 2, butter 45, light-brown-sugar 25, treacle 35, milk 110, salt 1
scone | UK | treacle and ginger scones | rub-in | plain-flour 225, baking-powder 10, butter 50, treacle 45, milk 110, ginger-ground 3, caster-sugar 20, salt 1
scone | US | cream scones without butter | one-bowl | plain-flour 280, baking-powder 12, white-sugar 50, salt 3, cream-whipping 350, fold-in: dried-cranberry 70
biscuit/drop-biscuit | US | cream biscuits, no butter | one-bowl | plain-flour 250, baking-powder 12, salt 4, white-sugar 8, cream-whipping 330
biscuit/drop-biscuit | US | three-ingredient sour cream biscuits | one-bowl | self-rising-flour 240, butter 170, sour-cream 230
muffin | NZ | cheese muffins without butter | muffin | self-raising-flour 250, salt 2, fold-in: hard-cheese 180, egg 53, milk 260
muffin | AU | cheese and corn muffins, no added fat | muffin | self-raising-flour 260, salt 2, fold-in: hard-cheese 150, sweetcorn 150, egg 106, milk 230
muffin | US | fat-free bran and prune muffins | muffin | wheat-bran 80, plain-flour 150, baking-soda 4, salt 2, prune-puree 120, buttermilk 280, egg-white 66, light-brown-sugar 70
muffin | IN | eggless atta muffins with dates and curd | muffin | wholemeal-flour 180, dates 90, yogurt 180, milk 90, neutral-oil 60, jaggery 40, baking-powder 5, baking-soda 2.5, cardamom 1
muffin/chocolate-cake | US | double chocolate muffins with yogurt | muffin | plain-flour 220, cocoa-natural 50, white-sugar 190, baking-powder 8, baking-soda 2.5, salt 3, egg 106, yogurt 240, milk 110, neutral-oil 100, fold-in: chocolate-chips 150
fruit-cake-rich/free | US | whole nut and date loaf | one-bowl | plain-flour 110, white-sugar 150, baking-powder 2.5, salt 3, egg 159, vanilla-extract 5, fold-in: dates 300, brazil-nut 150, walnut 150, glace-cherry 150
fruit-cake-rich | UK | eggless Christmas cake with condensed milk | creaming | butter 150, condensed-milk 200, plain-flour 225, baking-powder 4, baking-soda 2, mixed-spice 4, milk 100, spirit 30, fold-in: mixed-dried-fruit 650, glace-cherry 80
fruit-cake-rich | UK | vegan rich fruit cake | creaming | plant-butter 175, dark-brown-sugar 160, plain-flour 260, ground-almond 60, baking-powder 5, mixed-spice 5, oat-drink 140, treacle 20, ground-flax 24, vinegar 12, orange-juice 120, fold-in: mixed-dried-fruit 700
fruit-cake-rich/free | LK | rich semolina cake | creaming | semolina 220, butter 225, caster-sugar 260, egg-yolk 100, egg-white 99, fold-in: cashew 150, raisins 200, sultana 200, ginger-stem 100, mixed-peel 120, glace-cherry 120, spirit 50, honey 20, mixed-spice 5
fruit-cake-rich | UK | dundee cake with ground almonds | creaming | butter 180, light-brown-sugar 180, egg 180, plain-flour 230, baking-powder 5, ground-almond 50, fold-in: currants 180, sultana 180, raisins 90, mixed-peel 60, glace-cherry 60, citrus-zest 4
free | IL | nut torte with matzo and potato starch | whisked | egg 318, white-sugar 210, ground-walnut 220, potato-starch 50, citrus-zest 3, lemon-juice 15, salt 0.5
free | AT | walnut torte with crumbs | whisked | egg 318, icing-sugar 180, ground-walnut 180, breadcrumbs 60, baking-powder 4, spirit 20
free | CH | carrot and hazelnut torte | whisked | egg 265, white-sugar 200, carrot 250, ground-hazelnut 250, plain-flour 60, baking-powder 8, lemon-juice 20, salt 0.5
free | DE | poppy and almond torte | whisked | egg 265, white-sugar 150, butter 150, poppy-seed 200, ground-almond 100, semolina 40, baking-powder 5
free | US | almond flour lemon cake, sweetener | one-bowl | ground-almond 280, coconut-flour 20, erythritol 140, baking-powder 8, salt 1.5, butter 115, egg 212, yogurt 80, lemon-juice 30
muffin/free | US | coconut flour muffins | one-bowl | coconut-flour 75, egg 300, honey 110, coconut-oil 75, baking-soda 2.5, salt 2, vanilla-extract 4, lemon-juice 10
muffin | US | low sugar bran muffins with sweetener | muffin | wholemeal-flour 160, oat-bran 50, erythritol 60, baking-powder 7, baking-soda 2.5, salt 2, egg 53, yogurt 150, apple-puree 200, neutral-oil 50, cinnamon 3
soda-loaf | IE | gluten-free seeded soda loaf | one-bowl | gluten-free-blend 250, buckwheat-flour 100, psyllium 20, baking-soda 5, salt 6, buttermilk 500, egg 53, fold-in: mixed-seeds 60
soda-loaf | IE | buckwheat and rice soda loaf, no egg | one-bowl | buckwheat-flour 220, brown-rice-flour 130, tapioca-starch 60, psyllium 25, baking-soda 5, salt 7, buttermilk 540, olive-oil 15
chocolate-cake/oil-cake | IN | eggless chocolate cake with curd | one-bowl | plain-flour 200, cocoa-natural 35, white-sugar 190, yogurt 240, baking-soda 2.5, baking-powder 6, neutral-oil 100, milk 110, salt 1
chocolate-cake/oil-cake | IN | cocoa cake with condensed milk and no egg | one-bowl | plain-flour 170, cocoa-natural 30, condensed-milk 395, butter 110, milk 120, baking-powder 7, baking-soda 2.5, vanilla-extract 5
chocolate-cake | US | mayonnaise cocoa cake | one-bowl | plain-flour 260, white-sugar 210, cocoa-natural 40, baking-soda 7, salt 1, mayonnaise 225, water 250, vanilla-extract 5
oil-cake | US | wholemeal honey cake with olive oil | one-bowl | wholemeal-flour 200, ground-almond 40, baking-powder 7, baking-soda 2, salt 3, egg 159, honey 210, olive-oil 110, yogurt 220, citrus-zest 4
oil-cake | US | apple cake, thick batter | one-bowl | neutral-oil 220, white-sugar 340, egg 159, plain-flour 370, baking-soda 5, salt 5, cinnamon 4, vanilla-extract 5, fold-in: apple 400, pecan 100
oil-cake | US | fresh apple and walnut cake | one-bowl | neutral-oil 180, white-sugar 300, egg 106, plain-flour 310, baking-soda 4, baking-powder 3, salt 4, cinnamon 4, fold-in: apple 350, walnut 90
oil-cake | US | pistachio and olive oil loaf | muffin | plain-flour 200, ground-pistachio 70, baking-powder 8, salt 2, white-sugar 190, egg 159, olive-oil 150, yogurt 120, citrus-zest 3
butter-cake-high-ratio | US | oat cake with brown sugar, scalded oats | creaming | rolled-oats 90, water 300, butter 115, white-sugar 200, light-brown-sugar 200, egg 106, plain-flour 190, baking-soda 5, salt 3, cinnamon 3
butter-cake-high-ratio/free | AU | caramel mud cake, part self-raising | melt-and-stir | butter 200, white-chocolate 160, light-brown-sugar 220, golden-syrup 80, milk 250, plain-flour 220, self-raising-flour 80, egg 106
butter-cake-high-ratio/chocolate-cake | AU | dense white chocolate mud cake | melt-and-stir | butter 250, white-chocolate 180, caster-sugar 320, milk 250, plain-flour 225, self-raising-flour 75, egg 106, vanilla-extract 5
fruit-cake-light/butter-cake-high-ratio | US | jam and buttermilk spice cake | creaming | butter 225, white-sugar 280, egg 159, jam 300, plain-flour 360, baking-soda 5, salt 2, mixed-spice 8, buttermilk 240, fold-in: walnut 100
butter-cake-lean/free | IT | ricotta and lemon cake | creaming | butter 110, caster-sugar 180, egg 159, ricotta 260, plain-flour 200, baking-powder 12, citrus-zest 5, salt 1
oil-cake/free | IT | ricotta cake with oil | one-bowl | ricotta 250, white-sugar 180, egg 159, neutral-oil 60, plain-flour 250, baking-powder 16, citrus-zest 4
quick-bread | IT | savoury loaf with vegetables and cheese | muffin | plain-flour 200, baking-powder 10, salt 3, egg 159, olive-oil 80, milk 110, parmesan 60, fold-in: courgette 150, dried-tomato 60
quick-bread | FR | olive and ham-less cake salé | muffin | plain-flour 180, baking-powder 11, salt 2, egg 159, olive-oil 90, milk 110, hard-cheese 100, fold-in: olives 120
free/equal-weight-sponge | UK | whisked fatless sponge, plain flour only | whisked | egg 159, caster-sugar 90, plain-flour 90
free | MX | sponge for soaking, separated eggs | whisked | egg 265, white-sugar 200, plain-flour 190, baking-powder 7, milk 80, vanilla-extract 5
free | AU | fatless sponge with cornflour | whisked | egg 212, caster-sugar 160, maize-starch 90, plain-flour 30, baking-powder 4
pound-cake | UK | seed cake with caraway | creaming | butter 150, caster-sugar 160, egg 159, plain-flour 220, baking-powder 5, caraway 6, milk 30
pound-cake | FR | quatre-quarts without powder | creaming | butter 200, caster-sugar 200, egg 200, plain-flour 200, salt 2
pound-cake | US | cold-oven cream pound cake, eggs only | creaming | butter 227, white-sugar 570, egg 318, cake-flour 330, cream-whipping 230, vanilla-extract 10, salt 3
`;
