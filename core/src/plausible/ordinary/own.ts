/** Ordinary formulas of many countries, weighed by the hand that made Orvin. Columns: see formulas.ts. */
export const own = `
biscuit | US | flaky buttermilk biscuits | rub-in | plain-flour 312, baking-powder 11.5, baking-soda 1.3, salt 6, white-sugar 8, butter 113, buttermilk 240
biscuit | US | lard biscuits | rub-in | plain-flour 250, baking-powder 13.8, salt 4.5, lard 64, milk 180
biscuit | US | cream cheese biscuits | rub-in | plain-flour 250, baking-powder 9.2, baking-soda 1.3, salt 4.5, white-sugar 12, butter 57, cream-cheese 113, buttermilk 160
biscuit | US | angel-light laminated biscuits | rub-in | plain-flour 375, baking-powder 18, baking-soda 2.5, white-sugar 25, salt 9, butter 170, buttermilk 300
biscuit | US | beaten soda biscuits | rub-in | plain-flour 250, baking-soda 2.5, salt 3, shortening 72, buttermilk 182
biscuit | US | whole wheat honey biscuits | rub-in | wholemeal-flour 120, plain-flour 125, baking-powder 13.8, salt 4.5, butter 85, milk 170, honey 21
biscuit | US | cheese biscuits, rolled | rub-in | plain-flour 250, baking-powder 13.8, salt 3, chilli-powder 0.5, butter 71, milk 185, fold-in: hard-cheese 85
biscuit | CA | tea biscuits | rub-in | plain-flour 280, baking-powder 18, white-sugar 25, salt 4, butter 85, milk 190
biscuit | US | sour cream biscuits | rub-in | plain-flour 250, baking-powder 11.5, baking-soda 1.3, salt 4.5, butter 57, sour-cream 235
biscuit | US | self-rising flour biscuits | rub-in | self-rising-flour 250, shortening 48, buttermilk 180
biscuit | US | two-ingredient cream biscuits | one-bowl | self-rising-flour 250, cream-whipping 240
biscuit | US | cathead biscuits | rub-in | self-rising-flour 310, lard 51, butter 28, buttermilk 270
biscuit | US | cornmeal biscuits | rub-in | plain-flour 190, maize-meal 70, baking-powder 13.8, salt 4.5, white-sugar 12, butter 85, buttermilk 195
biscuit | US | vegan flaky biscuits | rub-in | plain-flour 250, baking-powder 13.8, salt 4.5, plant-butter 85, soy-drink 170, vinegar 15
biscuit | US | gluten-free rolled biscuits | rub-in | gluten-free-blend 280, baking-powder 14, baking-soda 1.2, xanthan 1.5, salt 3, white-sugar 12, butter 100, buttermilk 180, egg 50
biscuit | US | pumpkin biscuits | rub-in | plain-flour 280, baking-powder 13.8, baking-soda 1.2, salt 4.5, light-brown-sugar 40, cinnamon 2.6, butter 100, pumpkin-puree 160, buttermilk 90
biscuit | US | shortcake rounds | rub-in | plain-flour 250, white-sugar 38, baking-powder 13.8, salt 3, butter 100, egg 50, cream-whipping 120
biscuit | US | bacon scallion biscuits | rub-in | plain-flour 312, baking-powder 14, baking-soda 2.5, salt 4.5, butter 113, buttermilk 250, fold-in: bacon 80, spring-onion 30
biscuit | AR | tortas salted biscuits with baking powder | rub-in | plain-flour 500, baking-powder 15, salt 10, lard 120, milk 230
biscuit | DE | quark dough rolls, rolled out | one-bowl | plain-flour 300, baking-powder 14, quark 150, milk 80, neutral-oil 70, white-sugar 20, salt 4
drop-biscuit | US | rosemary parmesan drops | rub-in | plain-flour 250, baking-powder 11.5, baking-soda 1.3, salt 4, black-pepper 1, butter 85, buttermilk 260, fold-in: parmesan 50, herbs 3
drop-biscuit | US | plain drop biscuits | rub-in | plain-flour 250, baking-powder 13.8, salt 3, white-sugar 8, shortening 64, milk 240
drop-biscuit | US | olive oil drop biscuits | one-bowl | plain-flour 250, baking-powder 13.8, salt 4, olive-oil 72, milk 240
drop-biscuit | US | cobbler topping drops | rub-in | plain-flour 190, white-sugar 50, baking-powder 6.9, salt 2, butter 85, buttermilk 180
drop-biscuit | US | oat drop biscuits | rub-in | plain-flour 190, rolled-oats 45, baking-powder 11.5, salt 3, light-brown-sugar 27, butter 71, milk 210
drop-biscuit | US | whole wheat yogurt drops | rub-in | wholemeal-flour 240, baking-powder 11.5, baking-soda 1.3, salt 4, butter 71, yogurt 180, milk 90
drop-biscuit | US | cream drop biscuits | one-bowl | plain-flour 250, baking-powder 13.8, salt 3, white-sugar 12, cream-whipping 320
drop-biscuit | US | sweet corn drop biscuits | rub-in | plain-flour 190, maize-meal 70, baking-powder 11.5, salt 4.5, white-sugar 25, butter 85, buttermilk 240, fold-in: sweetcorn 110
drop-biscuit | US | vegan drop biscuits | one-bowl | plain-flour 250, baking-powder 13.8, salt 4, neutral-oil 72, oat-drink 245, vinegar 15
drop-biscuit | US | almond flour drop biscuits with butter | one-bowl | ground-almond 220, baking-powder 7, salt 3, butter 57, egg 100, yogurt-strained 60
drop-biscuit | DE | quick quark rolls, spooned | one-bowl | plain-flour 250, baking-powder 13, quark 250, egg 53, salt 5, white-sugar 5
drop-biscuit | US | chive and sour cream drops | melt-and-stir | plain-flour 250, baking-powder 11.5, baking-soda 1.3, salt 4.5, butter 85, sour-cream 160, milk 130, herbs 6
drop-biscuit | CA | dumpling-style drop biscuits | rub-in | plain-flour 190, baking-powder 9.2, salt 3, butter 43, milk 165
scone | UK | plain scones | rub-in | self-raising-flour 225, butter 55, caster-sugar 25, milk 150, salt 1
scone | UK | fruit scones | rub-in | self-raising-flour 350, baking-powder 4, butter 85, caster-sugar 45, milk 175, lemon-juice 5, fold-in: sultana 75
scone | UK | buttermilk scones | rub-in | self-raising-flour 225, butter 75, caster-sugar 40, egg 55, buttermilk 55, salt 0.5
scone | UK | cheese scones | rub-in | self-raising-flour 225, baking-powder 4, butter 55, milk 100, egg 50, mustard-powder 2, salt 1, fold-in: hard-cheese 120
scone | UK | wholemeal date scones | rub-in | wholemeal-flour 115, plain-flour 115, baking-powder 13, butter 60, light-brown-sugar 40, milk 150, fold-in: dates 80
scone | UK | treacle scones | rub-in | plain-flour 225, baking-soda 2.5, cream-of-tartar 5, butter 50, caster-sugar 25, treacle 40, milk 105, mixed-spice 2
scone | AU | lemonade and cream scones | one-bowl | self-raising-flour 450, cream-whipping 250, lemonade 250, salt 1
scone | AU | date scones | rub-in | self-raising-flour 300, butter 60, caster-sugar 40, milk 190, fold-in: dates 120
scone | NZ | cheese and chive scones | rub-in | plain-flour 375, baking-powder 22, butter 50, salt 3, milk 330, fold-in: hard-cheese 140, herbs 8
scone | US | blueberry wedge scones | rub-in | plain-flour 250, white-sugar 75, baking-powder 11.5, salt 3, butter 113, cream-whipping 120, egg 50, fold-in: blueberry 150
scone | US | oat maple scones | rub-in | plain-flour 190, rolled-oats 90, baking-powder 11.5, salt 3, butter 113, maple-syrup 80, egg 50, cream-whipping 90
scone | US | lemon glaze scones | rub-in | plain-flour 280, white-sugar 80, baking-powder 13.8, salt 3, citrus-zest 6, butter 113, sour-cream 120, egg 50, milk 30, icing: icing-sugar 120, lemon-juice 25
scone | US | chocolate chip scones | rub-in | plain-flour 280, white-sugar 67, baking-powder 13.8, salt 3, butter 100, egg 50, buttermilk 150, fold-in: chocolate-chips 130
scone | IE | rich tea scones | rub-in | plain-flour 450, baking-powder 18, butter 115, caster-sugar 50, egg 110, milk 180, salt 1, fold-in: raisins 80
scone | UK | vegan scones | rub-in | self-raising-flour 350, baking-powder 4, plant-butter 95, caster-sugar 40, soy-drink 170, lemon-juice 15
scone | UK | gluten-free scones | rub-in | gluten-free-self-raising 250, xanthan 1.5, baking-powder 4, butter 75, caster-sugar 30, egg 55, milk 100, yogurt 40
scone | UK | potato scones, oven baked | rub-in | plain-flour 150, mashed-potato 150, baking-powder 8, butter 50, salt 3, milk 60
scone | UK | yogurt scones | rub-in | self-raising-flour 300, butter 75, caster-sugar 40, yogurt 180, milk 20
scone | ZA | buttermilk scones with oil | one-bowl | plain-flour 500, baking-powder 25, white-sugar 65, salt 3, neutral-oil 125, egg 55, buttermilk 290
scone | JP | breakfast scones, little sugar | rub-in | cake-flour 200, baking-powder 8, caster-sugar 25, butter 60, milk 80, yogurt 30
scone | SE | weekday scones | rub-in | plain-flour 300, baking-powder 12, salt 3, butter 75, milk 206
scone | FI | rye scones | rub-in | plain-flour 180, rye-flour 80, baking-powder 10, salt 3, butter 75, kefir 206
scone | UK | cherry almond scones | rub-in | self-raising-flour 200, ground-almond 50, baking-powder 3, butter 50, caster-sugar 40, milk 120, egg 25, fold-in: glace-cherry 80
scone | US | pumpkin spice scones | rub-in | plain-flour 280, light-brown-sugar 80, baking-powder 11.5, salt 3, cinnamon 4, butter 113, pumpkin-puree 120, cream-whipping 60, egg 50
scone | AU | pumpkin scones with butter | creaming | butter 30, caster-sugar 80, egg 55, pumpkin-puree 250, self-raising-flour 300, milk 20
soda-bread | IE | white soda bread | one-bowl | plain-flour 450, baking-soda 5, salt 6, buttermilk 350
soda-bread | IE | brown soda bread, round | one-bowl | wholemeal-flour 225, plain-flour 225, baking-soda 5, salt 6, buttermilk 400
soda-bread | IE | spotted dog | rub-in | plain-flour 450, baking-soda 4.6, salt 5, caster-sugar 30, egg 55, buttermilk 320, fold-in: sultana 110
soda-bread | IE | oat and treacle soda bread | one-bowl | wholemeal-flour 250, plain-flour 150, rolled-oats 60, baking-soda 5, salt 6, treacle 25, buttermilk 380
soda-bread | IE | seeded soda cob | one-bowl | wholemeal-flour 300, plain-flour 150, baking-soda 5, salt 7, butter 25, buttermilk 400, fold-in: mixed-seeds 70
soda-bread | UK | cheese and onion soda bread | one-bowl | plain-flour 400, baking-soda 5, salt 6, butter 30, buttermilk 310, fold-in: hard-cheese 100, spring-onion 40
soda-bread | UK | yogurt soda bread | one-bowl | plain-flour 350, wholemeal-flour 100, baking-soda 5, salt 7, yogurt 250, milk 120
soda-bread | UK | vegan soda bread | one-bowl | plain-flour 250, wholemeal-flour 200, baking-soda 5, salt 7, oat-drink 360, lemon-juice 22
soda-bread | US | skillet raisin soda bread | rub-in | plain-flour 375, white-sugar 50, baking-powder 4.6, baking-soda 3.8, salt 5, butter 57, egg 50, buttermilk 270, fold-in: raisins 110, caraway 4
soda-bread | US | olive rosemary soda bread | one-bowl | plain-flour 440, baking-soda 5, salt 6, olive-oil 27, buttermilk 345, fold-in: olives 90, herbs 3
soda-bread | AU | damper | rub-in | self-raising-flour 450, butter 80, salt 3, milk 185, water 60
soda-bread | SE | quick round bread with sour milk | one-bowl | plain-flour 360, rye-flour 110, baking-soda 6, salt 6, kefir 400
soda-bread | PL | soda bread with kefir | one-bowl | plain-flour 400, wholemeal-flour 100, baking-soda 6, salt 8, kefir 410
soda-bread | UK | farls from the griddle | one-bowl | plain-flour 250, baking-soda 3, salt 3, buttermilk 220
soda-bread | CA | baked bannock | rub-in | plain-flour 375, baking-powder 18, salt 5, lard 40, water 270
soda-bread | NO | quick spelt round | one-bowl | wholemeal-spelt-flour 250, plain-flour 250, baking-powder 12, baking-soda 3, salt 7, kefir 400, honey 15
soda-bread | MT | potato soda bread | one-bowl | plain-flour 350, mashed-potato 200, baking-soda 5, salt 6, buttermilk 220
soda-loaf | IE | wheaten loaf | one-bowl | wholemeal-flour 350, plain-flour 100, oat-bran 25, baking-soda 6, salt 6, light-brown-sugar 12, buttermilk 500
soda-loaf | IE | oat loaf, yogurt and oats | one-bowl | rolled-oats 350, yogurt 500, egg 55, baking-soda 7, salt 3, milk 30, fold-in: mixed-seeds 40
soda-loaf | IE | brown loaf, wet | one-bowl | wholemeal-flour 400, plain-flour 60, wheat-germ 20, baking-soda 5, salt 6, egg 55, neutral-oil 14, buttermilk 430
soda-loaf | UK | stout and treacle soda loaf | one-bowl | wholemeal-flour 300, plain-flour 150, baking-soda 6, salt 6, treacle 60, stout 250, buttermilk 150
soda-loaf | UK | beer bread, tinned | one-bowl | self-raising-flour 400, salt 5, caster-sugar 25, stout 330, top: butter 30
soda-loaf | DE | quick rye loaf with buttermilk | one-bowl | rye-flour 250, wholemeal-flour 250, baking-powder 16, baking-soda 3, salt 10, buttermilk 500, honey 15, fold-in: sunflower-seed 60
soda-loaf | SE | filmjolk rye loaf | one-bowl | rye-flour 220, plain-flour 240, baking-soda 8, salt 8, kefir 515, golden-syrup 100, fold-in: linseed 40
soda-loaf | US | whole wheat quick sandwich bread | one-bowl | wholemeal-flour 300, plain-flour 60, baking-powder 4.6, baking-soda 5, salt 6, honey 40, egg 50, neutral-oil 27, buttermilk 360
soda-loaf | US | steamed-style brown bread, baked | one-bowl | rye-flour 100, wholemeal-flour 120, maize-meal 140, baking-soda 7.5, salt 6, buttermilk 484, treacle 165
soda-loaf | US | seven grain quick loaf | one-bowl | wholemeal-flour 200, plain-flour 120, rolled-oats 60, baking-soda 5, baking-powder 4.6, salt 6, honey 60, yogurt 245, milk 240, fold-in: mixed-seeds 50
soda-loaf | ZA | health bread with yogurt | one-bowl | wholemeal-flour 500, baking-soda 5, salt 7, honey 40, yogurt 500, milk 60, fold-in: sunflower-seed 60
soda-loaf | NZ | oat and bran loaf | one-bowl | wholemeal-flour 260, plain-flour 120, oat-bran 50, baking-soda 5, baking-powder 4, salt 6, golden-syrup 40, yogurt 400, milk 130
muffin | US | plain breakfast muffins | muffin | plain-flour 250, white-sugar 100, baking-powder 13.8, salt 3, egg 50, milk 240, neutral-oil 54
muffin | US | blueberry muffins, creamed | creaming | butter 113, white-sugar 200, egg 100, plain-flour 250, baking-powder 9.2, salt 3, milk 120, vanilla-extract 4.2, fold-in: blueberry 370
muffin | US | banana muffins | muffin | plain-flour 190, baking-soda 5, baking-powder 4.6, salt 3, banana 340, white-sugar 150, egg 50, butter 75
muffin | US | corn-free lemon poppy muffins | muffin | plain-flour 250, white-sugar 150, baking-powder 9.2, baking-soda 1.3, salt 3, yogurt 245, egg 100, butter 113, citrus-zest 8, poppy-seed 18
muffin | US | pumpkin muffins | muffin | plain-flour 219, white-sugar 200, baking-soda 5, salt 3, cinnamon 4, pumpkin-puree 245, egg 100, neutral-oil 108, water 60
muffin | US | apple streusel muffins | muffin | plain-flour 250, light-brown-sugar 140, baking-powder 9.2, baking-soda 2.5, salt 3, cinnamon 4, egg 100, buttermilk 180, butter 85, fold-in: apple 180, top: plain-flour 45, light-brown-sugar 54, butter 43
muffin | US | morning carrot muffins | muffin | plain-flour 250, white-sugar 220, baking-soda 10, cinnamon 5, salt 3, egg 150, neutral-oil 215, vanilla-extract 8, fold-in: carrot 220, raisins 75, walnut 58, coconut-sweetened 45, apple 120
muffin | US | six week bran muffins | muffin | bran-flakes 210, plain-flour 310, white-sugar 300, baking-soda 12, salt 6, buttermilk 480, egg 100, neutral-oil 108
muffin | US | oat honey muffins | muffin | rolled-oats 90, buttermilk 240, wholemeal-flour 125, baking-powder 4.6, baking-soda 2.5, salt 3, egg 50, honey 85, neutral-oil 54
muffin | US | chocolate chip muffins | muffin | plain-flour 280, white-sugar 150, baking-powder 11.5, salt 3, egg 100, milk 200, neutral-oil 108, vanilla-extract 4.2, fold-in: chocolate-chips 170
muffin | US | jumbo cinnamon streusel muffins | muffin | plain-flour 375, white-sugar 260, baking-powder 18, salt 6, egg 100, milk 320, neutral-oil 160, vanilla-extract 8
muffin | US | cheddar corn muffins with little maize | muffin | plain-flour 220, maize-meal 50, baking-powder 11.5, salt 4, white-sugar 25, egg 100, milk 240, butter 57, fold-in: hard-cheese 113
muffin | US | vegan blueberry muffins | muffin | plain-flour 280, white-sugar 150, baking-powder 11.5, salt 3, soy-drink 240, neutral-oil 80, vinegar 15, vanilla-extract 4, fold-in: blueberry 190
muffin | US | vegan banana oat muffins | muffin | banana 300, maple-syrup 80, neutral-oil 54, plant-drink 120, rolled-oats 90, plain-flour 160, baking-powder 7, baking-soda 2.5, salt 2, cinnamon 2.6
muffin | US | gluten-free lemon muffins | muffin | gluten-free-blend 280, xanthan 1.5, white-sugar 150, baking-powder 11.5, salt 3, egg 100, milk 200, neutral-oil 90, citrus-zest 6
muffin | US | almond flour berry muffins | muffin | ground-almond 240, baking-powder 5, salt 2, egg 150, honey 110, butter 43, fold-in: blueberry 130
muffin | UK | blueberry muffins, metric | muffin | self-raising-flour 300, caster-sugar 125, baking-powder 2, egg 110, milk 175, butter 100, fold-in: blueberry 200
muffin | UK | double choc muffins | muffin | self-raising-flour 250, cocoa-natural 25, caster-sugar 175, baking-powder 5, egg 110, milk 175, neutral-oil 100, yogurt 100, fold-in: dark-chocolate 150
muffin | UK | courgette and feta muffins | muffin | self-raising-flour 225, egg 110, milk 150, olive-oil 60, salt 2, black-pepper 0.5, fold-in: courgette 180, feta 100
muffin | UK | raspberry white chocolate muffins | muffin | plain-flour 300, baking-powder 12, caster-sugar 150, egg 57, milk 225, butter 85, fold-in: raspberry 150, white-chocolate 100
muffin | AU | apple bran muffins | muffin | wheat-bran 60, milk 250, self-raising-flour 220, light-brown-sugar 120, cinnamon 2.5, egg 55, neutral-oil 80, fold-in: apple 200
muffin | AU | savoury bacon and corn muffins | muffin | self-raising-flour 300, egg 110, milk 200, butter 80, salt 2, fold-in: bacon 100, sweetcorn 130, hard-cheese 100
muffin | NZ | feijoa-style pear muffins | muffin | plain-flour 260, baking-powder 16, caster-sugar 130, cinnamon 3, egg 55, milk 190, butter 75, fold-in: pear 250
muffin | NZ | pumpkin feta muffins | muffin | plain-flour 300, baking-powder 16, salt 3, egg 110, milk 190, olive-oil 55, pumpkin-puree 150, fold-in: feta 120, pumpkin-seed 30
muffin | DE | stirred yogurt muffins | muffin | plain-flour 250, baking-powder 9, baking-soda 1.5, white-sugar 120, egg 53, neutral-oil 80, yogurt 250, salt 0.5, fold-in: blueberry 200
muffin | DE | chocolate muffins with oil | muffin | plain-flour 250, cocoa-natural 30, baking-powder 10, white-sugar 150, egg 106, neutral-oil 100, milk 200, salt 0.5, fold-in: dark-chocolate 100
muffin | FR | olive and goat cheese muffins | one-bowl | plain-flour 180, baking-powder 9, egg 150, milk 100, olive-oil 60, salt 2, fold-in: feta 100, olives 80
muffin | IN | eggless vanilla muffins | muffin | plain-flour 190, baking-powder 4.5, baking-soda 2.5, caster-sugar 130, yogurt 180, neutral-oil 80, milk 60, vanilla-extract 4, salt 0.5
muffin | JP | plain cup muffins | creaming | butter 80, caster-sugar 80, egg 100, cake-flour 150, baking-powder 5, milk 60
muffin | BR | banana oat flourless muffins | one-bowl | banana 250, egg 106, oat-flour 130, baking-powder 8, cinnamon 3, fold-in: raisins 40
muffin | UK | sugarless baby banana muffins | muffin | self-raising-flour 150, banana 200, egg 55, neutral-oil 30, milk 80
muffin | US | high protein yogurt muffins | muffin | oat-flour 180, baking-powder 9.2, baking-soda 1.3, salt 2, yogurt-strained 245, egg 100, maple-syrup 80, fold-in: blueberry 140
muffin | US | gingerbread muffins | muffin | plain-flour 250, ginger-ground 5, cinnamon 3, baking-soda 3.8, baking-powder 4.6, salt 3, dark-brown-sugar 110, treacle 110, egg 50, buttermilk 180, butter 85
muffin | CA | maple pecan muffins | muffin | plain-flour 220, wholemeal-flour 60, baking-powder 11.5, salt 3, maple-syrup 160, egg 100, milk 120, butter 85, fold-in: pecan 80
quick-bread | US | classic banana bread | muffin | banana 340, butter 75, white-sugar 150, egg 50, vanilla-extract 4.2, baking-soda 5, salt 1.5, plain-flour 190
quick-bread | US | sour cream banana loaf | creaming | butter 113, white-sugar 200, egg 100, banana 300, sour-cream 118, plain-flour 219, baking-soda 5, salt 3, vanilla-extract 4
quick-bread | US | zucchini bread | muffin | plain-flour 375, white-sugar 400, baking-soda 5, baking-powder 4.6, salt 6, cinnamon 8, egg 150, neutral-oil 215, vanilla-extract 12, fold-in: courgette 300, walnut 110
quick-bread | US | zucchini bread, lighter | muffin | plain-flour 190, wholemeal-flour 60, light-brown-sugar 160, baking-soda 2.5, baking-powder 4.6, salt 3, cinnamon 4, egg 100, yogurt 120, neutral-oil 72, courgette 220
quick-bread | US | pumpkin bread | muffin | plain-flour 219, white-sugar 250, baking-soda 5, baking-powder 2.3, salt 4.5, mixed-spice 5, pumpkin-puree 245, egg 100, neutral-oil 108, water 80
quick-bread | US | lemon poppy bread | muffin | plain-flour 250, white-sugar 200, baking-powder 7, baking-soda 1.3, salt 3, egg 100, buttermilk 240, neutral-oil 90, citrus-zest 8, poppy-seed 18
quick-bread | US | date nut bread | one-bowl | dates 225, water 237, baking-soda 5, butter 57, light-brown-sugar 160, egg 50, plain-flour 220, salt 3, fold-in: walnut 110
quick-bread | US | apple bread | muffin | plain-flour 250, white-sugar 200, baking-powder 4.6, baking-soda 2.5, salt 3, cinnamon 4, egg 100, neutral-oil 108, yogurt 80, fold-in: apple 250, pecan 60
quick-bread | US | poppy seed almond bread | muffin | plain-flour 375, white-sugar 450, baking-powder 7, salt 9, egg 150, milk 360, neutral-oil 240, poppy-seed 14, almond-extract 6, vanilla-extract 6
quick-bread | US | beer cheese bread | one-bowl | plain-flour 375, baking-powder 13.8, white-sugar 25, salt 6, stout 355, fold-in: hard-cheese 150, top: butter 43
quick-bread | US | sun-dried tomato feta loaf | muffin | plain-flour 280, baking-powder 11.5, baking-soda 1.3, salt 4, egg 100, buttermilk 280, olive-oil 60, fold-in: feta 120, dried-tomato 60, herbs 6
quick-bread | US | eggnog-style spice loaf | muffin | plain-flour 280, white-sugar 180, baking-powder 9.2, salt 3, nutmeg 2, egg 100, milk 220, cream-whipping 60, butter 85, spirit 14
quick-bread | US | vegan banana bread | muffin | banana 360, light-brown-sugar 140, neutral-oil 72, oat-drink 60, plain-flour 220, baking-soda 5, baking-powder 2.3, salt 3, cinnamon 2.6, vinegar 7, fold-in: walnut 60
quick-bread | US | peanut butter bread | muffin | plain-flour 250, white-sugar 100, baking-powder 13.8, salt 3, peanut-butter 190, milk 300, egg 50
quick-bread | US | gluten-free banana bread | muffin | gluten-free-blend 240, xanthan 1.5, baking-soda 5, salt 3, banana 340, egg 100, light-brown-sugar 140, neutral-oil 90
quick-bread | US | almond flour banana bread | one-bowl | ground-almond 250, baking-soda 3, salt 2, banana 300, egg 150, honey 60, butter 43
quick-bread | UK | banana loaf | creaming | butter 100, caster-sugar 140, egg 110, self-raising-flour 225, baking-powder 4, banana 225, milk 25
quick-bread | UK | courgette loaf with oil | muffin | self-raising-flour 250, light-brown-sugar 180, egg 165, neutral-oil 175, mixed-spice 3, baking-soda 2, courgette 250, fold-in: walnut 60
quick-bread | UK | cheese and herb loaf | muffin | self-raising-flour 300, mustard-powder 3, salt 3, egg 110, milk 180, butter 75, fold-in: hard-cheese 150, herbs 10
quick-bread | AU | banana bread with wholemeal | muffin | self-raising-flour 175, self-raising-wholemeal 100, light-brown-sugar 140, cinnamon 2, egg 110, buttermilk 125, butter 50, banana 350
quick-bread | AU | pumpkin and date loaf | muffin | self-raising-flour 225, light-brown-sugar 110, mixed-spice 3, egg 55, milk 90, butter 60, pumpkin-puree 180, fold-in: dates 120
quick-bread | FR | savoury cake with tuna-like filling, olives | one-bowl | plain-flour 200, baking-powder 11, egg 165, olive-oil 90, milk 120, salt 2, fold-in: olives 120, hard-cheese 100
quick-bread | FR | leek and cheese cake | one-bowl | plain-flour 180, baking-powder 11, egg 160, neutral-oil 80, yogurt 125, salt 3, fold-in: onion 150, hard-cheese 120
quick-bread | IN | eggless banana walnut bread | muffin | banana 300, jaggery 120, neutral-oil 75, yogurt 80, wholemeal-flour 200, baking-powder 4.5, baking-soda 3, cinnamon 2, fold-in: walnut 50
quick-bread | JM | banana bread with rum | creaming | butter 115, light-brown-sugar 150, egg 110, banana 330, plain-flour 250, baking-powder 9, baking-soda 2, nutmeg 2, vanilla-extract 4, spirit 15, salt 2
quick-bread | BB | sweet coconut bread | rub-in | plain-flour 450, baking-powder 14, salt 3, white-sugar 180, butter 115, egg 55, milk 160, fresh-coconut 200, fold-in: raisins 90, almond-extract 4
quick-bread | PH | banana bread, oily | muffin | plain-flour 250, white-sugar 180, baking-soda 5, baking-powder 4.6, salt 2, egg 110, neutral-oil 130, banana 350
tea-loaf | UK | tea bread | one-bowl | tea 300, light-brown-sugar 175, egg 55, self-raising-flour 275, mixed-spice 2, fold-in: mixed-dried-fruit 350
tea-loaf | IE | barm-less brack | one-bowl | tea 280, light-brown-sugar 150, egg 57, self-raising-flour 225, mixed-spice 3, fold-in: sultana 200, raisins 150
tea-loaf | UK | malt loaf | one-bowl | malt-extract 175, dark-brown-sugar 85, tea 150, egg 110, plain-flour 250, baking-powder 5, baking-soda 2.5, fold-in: mixed-dried-fruit 300
tea-loaf | UK | bran loaf, by the cup | one-bowl | bran-flakes 75, caster-sugar 150, milk 280, self-raising-flour 150, fold-in: mixed-dried-fruit 270
tea-loaf | UK | apricot and almond tea loaf | one-bowl | tea 200, light-brown-sugar 110, egg 55, self-raising-flour 230, fold-in: dried-apricot 200, almond 50
tea-loaf | UK | date and walnut loaf | rub-in | self-raising-flour 225, butter 50, light-brown-sugar 110, egg 55, milk 90, baking-soda 1.5, fold-in: dates 150, walnut 60
tea-loaf | AU | boiled raisin tea loaf | melt-and-stir | water 250, butter 30, white-sugar 150, baking-soda 2.5, self-raising-flour 280, egg 55, fold-in: raisins 200
tea-loaf | NZ | bran and date loaf | one-bowl | wheat-bran 50, milk 250, light-brown-sugar 110, plain-flour 190, baking-powder 8, baking-soda 2.5, fold-in: dates 180
tea-loaf | NZ | apricot loaf with condensed-free milk | one-bowl | self-raising-flour 260, caster-sugar 100, milk 280, golden-syrup 30, fold-in: dried-apricot 200
tea-loaf | UK | chai fruit loaf | one-bowl | tea 270, light-brown-sugar 120, egg 60, wholemeal-flour 120, plain-flour 130, baking-powder 12, cardamom 2, fold-in: raisins 250
tea-loaf | UK | vegan tea loaf | one-bowl | tea 320, light-brown-sugar 150, self-raising-flour 300, mixed-spice 3, fold-in: mixed-dried-fruit 350
tea-loaf | WLS | ginger bara-like tea bread | one-bowl | tea 250, dark-brown-sugar 120, egg 57, self-raising-flour 260, ginger-ground 3, fold-in: sultana 250, ginger-stem 60
tea-loaf | US | prune bread | one-bowl | prune 200, water 240, baking-soda 5, white-sugar 150, butter 30, egg 50, plain-flour 250, salt 3
maize-bread | US | cast-iron cornbread, no sugar | muffin | maize-meal 300, baking-powder 9.2, baking-soda 1.3, salt 6, egg 100, buttermilk 420, butter 57
maize-bread | US | sweet cornbread squares | muffin | plain-flour 160, maize-meal 130, white-sugar 130, baking-powder 16, salt 6, egg 50, milk 240, neutral-oil 72
maize-bread | US | buttermilk cornbread, half and half | muffin | plain-flour 125, maize-meal 140, white-sugar 50, baking-powder 4.6, baking-soda 2.5, salt 4.5, egg 100, buttermilk 320, butter 85
maize-bread | US | corn sticks | muffin | maize-meal 210, plain-flour 62, baking-powder 9.2, salt 4.5, white-sugar 12, egg 100, milk 300, lard 38
maize-bread | US | creamed corn cornbread | one-bowl | maize-meal 160, plain-flour 60, baking-powder 9.2, salt 5, egg 100, sour-cream 235, neutral-oil 90, fold-in: sweetcorn 240
maize-bread | US | brown butter honey cornbread | muffin | maize-meal 160, plain-flour 125, baking-powder 11.5, baking-soda 1.3, salt 5, honey 85, butter 113, egg 100, buttermilk 300
maize-bread | US | vegan cornbread | muffin | maize-meal 160, plain-flour 125, white-sugar 50, baking-powder 13.8, salt 4, soy-drink 300, vinegar 15, neutral-oil 72
maize-bread | US | gluten-free all-maize muffins | muffin | maize-meal 240, baking-powder 11.5, salt 4, honey 60, egg 100, yogurt 180, milk 120, butter 70
maize-bread | US | spoon-like soft cornbread with little flour | muffin | maize-meal 140, plain-flour 30, baking-powder 7, salt 4.5, egg 150, milk 360, butter 43
maize-bread | US | cornmeal griddle-cake batter, baked | muffin | maize-meal 150, plain-flour 125, baking-powder 9.2, baking-soda 2.5, salt 4, white-sugar 25, egg 50, buttermilk 360, neutral-oil 40
maize-bread | MX | pan de elote with masa-free maize | one-bowl | sweetcorn 450, maize-meal 70, plain-flour 90, baking-powder 9, condensed-milk 200, egg 150, butter 100, salt 2
maize-bread | PY | sopa-style maize bread with cheese | one-bowl | maize-meal 300, baking-powder 8, egg 150, milk 300, neutral-oil 80, onion 150, salt 4, fold-in: feta 200
maize-bread | HR | sweet zlevka | one-bowl | maize-meal 220, plain-flour 100, baking-powder 8, white-sugar 100, egg 110, kefir 300, sour-cream 150, neutral-oil 70, salt 2
maize-bread | RS | proja with mineral water | one-bowl | maize-meal 240, plain-flour 150, baking-powder 12, salt 7, egg 150, neutral-oil 100, yogurt 250, soda-water 100
maize-bread | PT | maize and yogurt bread, quick | one-bowl | maize-meal 200, plain-flour 150, baking-powder 10, white-sugar 40, egg 110, yogurt 250, milk 60, olive-oil 60, salt 4
maize-bread | ZA | mealie loaf, cream-style | one-bowl | sweetcorn 400, maize-meal 100, plain-flour 130, baking-powder 12, egg 110, butter 50, white-sugar 30, salt 5, milk 60
maize-bread | IT | polenta cornbread with olive oil | muffin | maize-meal 175, plain-flour 125, baking-powder 12, salt 4, egg 110, milk 280, olive-oil 70, honey 30
treacle-cake | UK | sticky gingerbread | melt-and-stir | plain-flour 225, baking-soda 5, ginger-ground 5, cinnamon 2, butter 115, dark-brown-sugar 115, treacle 115, golden-syrup 115, egg 55, milk 150
treacle-cake | UK | ginger loaf with syrup | melt-and-stir | self-raising-flour 225, baking-soda 2.5, ginger-ground 6, mixed-spice 3, butter 100, light-brown-sugar 100, golden-syrup 150, egg 55, milk 200
treacle-cake | UK | parkin | melt-and-stir | oatmeal 225, self-raising-flour 110, ginger-ground 5, baking-soda 3, butter 110, dark-brown-sugar 110, golden-syrup 110, treacle 60, egg 55, milk 60, salt 1
treacle-cake | UK | oat parkin, eggless | melt-and-stir | plain-flour 150, oatmeal 150, baking-soda 4, ginger-ground 5, butter 75, dark-brown-sugar 100, treacle 150, milk 150
treacle-cake | US | dark molasses gingerbread | creaming | butter 113, light-brown-sugar 110, egg 50, treacle 330, plain-flour 312, baking-soda 7.5, ginger-ground 5, cinnamon 3, salt 3, water 240
treacle-cake | US | hot water gingerbread | melt-and-stir | plain-flour 250, white-sugar 100, baking-soda 5, ginger-ground 4, cinnamon 3, salt 3, treacle 165, neutral-oil 108, egg 50, water 180
treacle-cake | US | old fashioned sour milk gingerbread | creaming | shortening 95, white-sugar 100, egg 50, treacle 220, plain-flour 280, baking-soda 5, ginger-ground 4, salt 3, milk-soured 200
treacle-cake | US | vegan ginger cake | melt-and-stir | plain-flour 280, baking-soda 5, baking-powder 4.6, ginger-ground 6, cinnamon 3, salt 2, light-brown-sugar 140, treacle 165, neutral-oil 90, oat-drink 220, vinegar 15
treacle-cake | UK | syrup sponge, tray | melt-and-stir | butter 150, golden-syrup 250, light-brown-sugar 90, self-raising-flour 300, egg 110, milk 150, salt 1
treacle-cake | NL | spice breakfast cake with honey | one-bowl | rye-flour 125, self-raising-flour 125, honey 150, dark-brown-sugar 75, milk 200, egg 53, cinnamon 4, cloves 1, salt 1
treacle-cake | FR | honey spice loaf | melt-and-stir | plain-flour 250, honey 250, milk 120, baking-powder 11, light-brown-sugar 50, egg 53, butter 50, cinnamon 3, ginger-ground 2
treacle-cake | PL | piernik, stirred | melt-and-stir | plain-flour 350, honey 250, white-sugar 120, butter 120, egg 159, milk 200, baking-soda 6, cocoa-natural 15, mixed-spice 10
treacle-cake | RU | honey kovrizhka, fatless | one-bowl | plain-flour 330, honey 150, white-sugar 150, tea 200, neutral-oil 60, baking-soda 5, cinnamon 3, cocoa-natural 10, fold-in: walnut 60, raisins 60
treacle-cake | DK | brown cake in a long tin | melt-and-stir | plain-flour 300, dark-brown-sugar 200, honey 100, kefir 300, butter 100, egg 55, baking-soda 5, cinnamon 5, cloves 2
treacle-cake | SE | soft pepparkaka | creaming | butter 100, white-sugar 210, egg 110, sour-cream 200, plain-flour 210, baking-soda 4, ginger-ground 3, cinnamon 4, cloves 2, fold-in: jam 60
treacle-cake | DE | honey cake from the tray | melt-and-stir | honey 300, butter 100, white-sugar 75, egg 106, plain-flour 450, baking-powder 16, mixed-spice 10, cocoa-natural 10, milk 125, fold-in: almond 100, mixed-peel 50
treacle-cake | ZA | ginger loaf, buttermilk | creaming | butter 125, light-brown-sugar 125, golden-syrup 180, egg 110, plain-flour 280, baking-soda 6, ginger-ground 8, buttermilk 180
treacle-cake | AU | golden syrup loaf | melt-and-stir | self-raising-flour 250, butter 60, golden-syrup 200, light-brown-sugar 60, milk 200, egg 55, baking-soda 2
treacle-cake | GB | Irish treacle loaf, cake-like | melt-and-stir | plain-flour 275, baking-soda 3, ginger-ground 3, butter 60, treacle 120, light-brown-sugar 60, buttermilk 180, egg 57, fold-in: sultana 80
butter-cake-lean | UK | cut-and-come-again cake | creaming | butter 115, caster-sugar 115, egg 110, self-raising-flour 225, milk 75
butter-cake-lean | UK | cherry cake | creaming | butter 150, caster-sugar 150, egg 165, self-raising-flour 200, ground-almond 50, milk 20, fold-in: glace-cherry 200
butter-cake-lean | UK | seed cake | creaming | butter 125, caster-sugar 125, egg 110, self-raising-flour 200, ground-almond 30, caraway 6, milk 45
butter-cake-lean | UK | Dorset-style apple cake | rub-in | self-raising-flour 225, butter 110, light-brown-sugar 110, egg 55, milk 60, cinnamon 2, fold-in: apple 250, sultana 50
butter-cake-lean | UK | coffee and walnut loaf, lean | creaming | butter 120, light-brown-sugar 120, egg 110, self-raising-flour 180, instant-coffee 5, milk 60, fold-in: walnut 60
butter-cake-lean | US | busy-day yellow cake | creaming | butter 75, white-sugar 150, egg 50, plain-flour 190, baking-powder 9.2, salt 2, milk 160, vanilla-extract 4
butter-cake-lean | US | crumb-top coffee cake | creaming | butter 113, white-sugar 200, egg 100, plain-flour 250, baking-powder 6.9, baking-soda 2.5, salt 3, sour-cream 235, vanilla-extract 4, top: light-brown-sugar 110, plain-flour 60, butter 57, cinnamon 4
butter-cake-lean | US | blueberry buckle | creaming | butter 57, white-sugar 150, egg 50, plain-flour 250, baking-powder 9.2, salt 3, milk 120, fold-in: blueberry 300, top: white-sugar 100, plain-flour 42, butter 57
butter-cake-lean | US | one-egg cake | creaming | shortening 50, white-sugar 150, egg 50, cake-flour 200, baking-powder 9.2, salt 2, milk 160
butter-cake-lean | DE | lemon cake in the loaf tin | creaming | butter 200, white-sugar 180, egg 212, plain-flour 300, baking-powder 9, lemon-juice 40, citrus-zest 6, milk 60, salt 0.5
butter-cake-lean | DE | apple cake, sunk | creaming | butter 125, white-sugar 125, egg 159, plain-flour 200, baking-powder 8, milk 20, salt 0.5, citrus-zest 3, top: apple 600
butter-cake-lean | DE | poppy seed crumb-less sheet | creaming | butter 150, white-sugar 150, egg 159, plain-flour 250, baking-powder 10, milk 100, poppy-seed 100
butter-cake-lean | AT | apricot tray cake | creaming | butter 150, white-sugar 150, egg 200, plain-flour 250, baking-powder 8, milk 60, salt 0.5, top: apricot 700
butter-cake-lean | CH | carrot-free hazelnut loaf | creaming | butter 150, white-sugar 180, egg 159, ground-hazelnut 150, plain-flour 200, baking-powder 10, milk 100
butter-cake-lean | SE | cardamom sugar cake | whisked | egg 106, white-sugar 180, butter 75, milk 103, plain-flour 150, baking-powder 7, cardamom 3
butter-cake-lean | NO | apple cake, stirred | creaming | butter 125, white-sugar 130, egg 110, plain-flour 150, baking-powder 5, milk 50, top: apple 300, cinnamon 3
butter-cake-lean | DK | dream cake base | whisked | egg 159, white-sugar 225, butter 75, milk 150, plain-flour 225, baking-powder 9, vanilla-sugar 4, top: butter 100, light-brown-sugar 200, coconut-flakes 100, milk 50
butter-cake-lean | FI | Tiger cake | creaming | butter 200, white-sugar 180, egg 159, plain-flour 240, baking-powder 7, milk 60, cocoa-natural 12
butter-cake-lean | RU | sour cream cake | whisked | egg 159, white-sugar 180, sour-cream 200, butter 60, plain-flour 240, baking-soda 3, salt 1
butter-cake-lean | UA | apple sharlotka-like butter cake | whisked | egg 159, white-sugar 150, butter 60, plain-flour 160, baking-powder 5, fold-in: apple 400
butter-cake-lean | IT | ring cake, ciambella | whisked | egg 165, white-sugar 180, butter 100, milk 100, plain-flour 300, baking-powder 16, citrus-zest 4
butter-cake-lean | IT | apple cake of many apples | whisked | egg 110, white-sugar 140, butter 80, milk 80, plain-flour 200, baking-powder 12, citrus-zest 4, fold-in: apple 600
butter-cake-lean | ES | sponge loaf with butter, quick | whisked | egg 165, white-sugar 150, butter 100, milk 80, plain-flour 200, baking-powder 10
butter-cake-lean | IN | butter cake for tea | creaming | butter 125, caster-sugar 150, egg 150, plain-flour 190, baking-powder 6, milk 60, vanilla-extract 4
butter-cake-lean | LK | love-less butter cake | creaming | butter 200, caster-sugar 200, egg 200, plain-flour 250, baking-powder 8, milk 60, vanilla-extract 5
butter-cake-lean | PH | mamon-less butter loaf | creaming | butter 150, white-sugar 180, egg 150, plain-flour 240, baking-powder 7, milk 120, salt 2
butter-cake-lean | KE | plain tea cake | creaming | margarine 150, white-sugar 150, egg 150, plain-flour 300, baking-powder 8, milk 120, citrus-zest 3
butter-cake-lean | AU | butter tea cake with cinnamon top | creaming | butter 60, caster-sugar 110, egg 55, self-raising-flour 150, milk 80, vanilla-extract 4, top: butter 15, caster-sugar 15, cinnamon 2
butter-cake-lean | AU | basic butter cake | creaming | butter 125, caster-sugar 165, egg 110, self-raising-flour 225, milk 125, vanilla-extract 4
butter-cake-lean | UK | vegan almond traybake | creaming | plant-butter 150, caster-sugar 150, self-raising-flour 225, ground-almond 50, soy-drink 200, vinegar 10, baking-powder 4
butter-cake-lean | UK | gluten-free lemon polenta cake | creaming | butter 200, caster-sugar 200, ground-almond 200, maize-meal 100, baking-powder 6, egg 165, citrus-zest 6
butter-cake-high-ratio | US | yellow layer cake | creaming | butter 170, white-sugar 350, egg 150, cake-flour 300, baking-powder 13.8, salt 4.5, milk 270, vanilla-extract 8
butter-cake-high-ratio | US | yellow cake, yolk rich | coating | cake-flour 225, white-sugar 250, baking-powder 9, salt 3, butter 145, egg-yolk 108, milk 180, vanilla-extract 6
butter-cake-high-ratio | US | birthday white cake | creaming | butter 113, shortening 50, white-sugar 350, egg-white 165, plain-flour 280, baking-powder 11.5, salt 4, buttermilk 270, vanilla-extract 8
butter-cake-high-ratio | US | vanilla cupcakes | creaming | butter 113, white-sugar 200, egg 100, plain-flour 190, baking-powder 6.9, salt 3, milk 120, vanilla-extract 8
butter-cake-high-ratio | US | spice layer cake | creaming | butter 170, light-brown-sugar 300, egg 150, plain-flour 280, baking-powder 6.9, baking-soda 3, salt 4, cinnamon 5, buttermilk 270
butter-cake-high-ratio | US | coconut layer cake | creaming | butter 170, white-sugar 340, egg 200, cake-flour 300, baking-powder 11.5, salt 4, coconut-milk 240, coconut-sweetened 60
butter-cake-high-ratio | US | hot milk cake | whisked | egg 200, white-sugar 400, plain-flour 280, baking-powder 9.2, salt 3, milk 300, butter 140, vanilla-extract 8
butter-cake-high-ratio | US | lemon layer cake | creaming | butter 170, white-sugar 300, egg 200, cake-flour 270, baking-powder 9, salt 3, buttermilk 200, lemon-juice 40, citrus-zest 8
butter-cake-high-ratio | US | pineapple upside-down cake | creaming | butter 85, white-sugar 150, egg 50, plain-flour 160, baking-powder 6.9, salt 2, milk 120, top: butter 57, light-brown-sugar 110, pineapple 300
butter-cake-high-ratio | US | banana layer cake | creaming | butter 113, white-sugar 300, egg 100, plain-flour 270, baking-soda 5, baking-powder 3, salt 3, banana 300, buttermilk 150
butter-cake-high-ratio | US | strawberry cake with purée | creaming | butter 170, white-sugar 330, egg-white 132, cake-flour 300, baking-powder 11, salt 3, berry-puree 180, milk 120
butter-cake-high-ratio | US | caramel cake layers | creaming | butter 227, white-sugar 400, egg 200, cake-flour 340, baking-powder 11.5, salt 3, milk 240
butter-cake-high-ratio | US | self-rising vanilla cake | creaming | butter 227, white-sugar 400, egg 200, self-rising-flour 190, plain-flour 155, milk 240, vanilla-extract 4
butter-cake-high-ratio | US | sour cream coffee bundt | creaming | butter 170, white-sugar 300, egg 150, plain-flour 280, baking-powder 6.9, baking-soda 2.5, salt 3, sour-cream 350
butter-cake-high-ratio | US | vegan vanilla cake with plant butter | creaming | plant-butter 115, caster-sugar 280, plain-flour 280, baking-powder 9, baking-soda 2.5, salt 3, soy-drink 290, vinegar 15, vanilla-extract 8
butter-cake-high-ratio | US | gluten-free yellow cake | creaming | butter 115, white-sugar 260, egg 150, gluten-free-blend 260, xanthan 1.5, baking-powder 9, salt 3, milk 220
butter-cake-high-ratio | PH | yellow chiffon-less cake | creaming | margarine 150, white-sugar 280, egg 150, cake-flour 250, baking-powder 9, evaporated-milk 180, salt 2
butter-cake-high-ratio | AU | sticky date pudding cake | creaming | dates 250, water 300, baking-soda 5, butter 60, light-brown-sugar 165, egg 110, self-raising-flour 180
butter-cake-high-ratio | UK | toffee pudding traybake | creaming | dates 200, water 250, baking-soda 5, butter 85, dark-brown-sugar 175, egg 110, self-raising-flour 175
butter-cake-high-ratio | BR | milk-soaked vanilla cake | creaming | butter 100, white-sugar 300, egg 159, plain-flour 270, baking-powder 13, milk 240
equal-weight-sponge | UK | Victoria sandwich | creaming | butter 200, caster-sugar 200, egg 200, self-raising-flour 200, baking-powder 4, milk 15
equal-weight-sponge | UK | all-in-one sponge with soft spread | one-bowl | spread 225, caster-sugar 225, egg 228, self-raising-flour 225, baking-powder 8
equal-weight-sponge | UK | fairy cakes | creaming | butter 110, caster-sugar 110, egg 110, self-raising-flour 110, milk 15
equal-weight-sponge | UK | lemon drizzle traybake | one-bowl | butter 225, caster-sugar 225, egg 228, self-raising-flour 275, baking-powder 8, milk 60, citrus-zest 8, soak: white-sugar 175, lemon-juice 60
equal-weight-sponge | UK | coffee walnut sandwich | creaming | butter 175, caster-sugar 175, egg 171, self-raising-flour 175, baking-powder 4, instant-coffee 5, water 15, fold-in: walnut 60
equal-weight-sponge | UK | chocolate-free marble sponge | creaming | butter 225, caster-sugar 225, egg 220, self-raising-flour 225, milk 45, cocoa-natural 15
equal-weight-sponge | UK | orange sponge | creaming | butter 170, caster-sugar 170, egg 165, self-raising-flour 170, citrus-zest 5, orange-juice 20
equal-weight-sponge | UK | rose raspberry sponge | creaming | butter 175, caster-sugar 175, egg 171, self-raising-flour 150, ground-almond 40, flower-water 5, fold-in: raspberry 150
equal-weight-sponge | UK | gluten-free sponge | creaming | butter 200, caster-sugar 200, egg 220, gluten-free-self-raising 200, xanthan 1, baking-powder 4, milk 30
equal-weight-sponge | UK | vegan sandwich sponge | creaming | plant-butter 150, caster-sugar 200, self-raising-flour 260, baking-powder 6, soy-drink 240, vinegar 15, vanilla-extract 5
equal-weight-sponge | IE | butterfly buns | creaming | butter 125, caster-sugar 125, egg 110, self-raising-flour 150, milk 15
equal-weight-sponge | FR | quatre-quarts with baking powder | creaming | butter 200, white-sugar 200, egg 200, plain-flour 200, baking-powder 6, salt 1
equal-weight-sponge | FR | lemon weekend-like loaf | creaming | butter 150, white-sugar 170, egg 160, plain-flour 170, baking-powder 5, citrus-zest 5, lemon-juice 30
equal-weight-sponge | DE | eight-egg-weight cake | creaming | butter 250, white-sugar 250, egg 265, plain-flour 250, baking-powder 8, salt 0.5
equal-weight-sponge | JP | pound-style four equal loaf | creaming | butter 100, caster-sugar 100, egg 100, cake-flour 100, baking-powder 2
equal-weight-sponge | SE | sandwich cake in a round tin | creaming | butter 175, white-sugar 180, egg 165, plain-flour 180, baking-powder 6, milk 30
equal-weight-sponge | AU | jam sponge slab | creaming | butter 185, caster-sugar 185, egg 165, self-raising-flour 185, milk 40
pound-cake | US | old pound cake, no leavener | creaming | butter 454, white-sugar 450, egg 450, plain-flour 450, vanilla-extract 8, salt 3
pound-cake | US | cream cheese pound cake | creaming | butter 340, cream-cheese 227, white-sugar 600, egg 300, plain-flour 375, salt 3, vanilla-extract 8
pound-cake | US | buttermilk pound cake | creaming | butter 227, white-sugar 500, egg 200, plain-flour 375, baking-soda 2.5, salt 3, buttermilk 240
pound-cake | US | whipping cream pound cake | creaming | butter 227, white-sugar 600, egg 300, cake-flour 340, cream-whipping 240, vanilla-extract 8, salt 2
pound-cake | US | lemon pound loaf | creaming | butter 170, white-sugar 250, egg 200, plain-flour 220, baking-powder 2.3, salt 3, citrus-zest 8, lemon-juice 30, milk 30
pound-cake | US | brown sugar pound cake | creaming | butter 340, light-brown-sugar 430, white-sugar 100, egg 250, plain-flour 375, baking-powder 4.6, salt 3, milk 240
pound-cake | US | chocolate-swirl pound loaf | creaming | butter 227, white-sugar 270, egg 200, plain-flour 240, baking-powder 3, salt 3, milk 60, cocoa-natural 15
pound-cake | UK | Madeira cake | creaming | butter 175, caster-sugar 175, egg 171, self-raising-flour 250, citrus-zest 3, milk 30
pound-cake | UK | lemon drizzle loaf | creaming | butter 225, caster-sugar 225, egg 220, self-raising-flour 225, citrus-zest 4, soak: lemon-juice 45, caster-sugar 85
pound-cake | UK | almond Madeira | creaming | butter 200, caster-sugar 200, egg 200, plain-flour 200, ground-almond 75, baking-powder 4, almond-extract 2
pound-cake | UK | Madeira for tiers | creaming | butter 350, caster-sugar 350, egg 342, self-raising-flour 350, plain-flour 175, citrus-zest 4
pound-cake | DE | sand cake with starch | creaming | butter 250, white-sugar 250, egg 212, plain-flour 125, maize-starch 125, baking-powder 4, salt 0.5, vanilla-sugar 8
pound-cake | DE | eggnog liqueur bundt | whisked | egg 265, icing-sugar 250, neutral-oil 250, liqueur 250, plain-flour 125, maize-starch 125, baking-powder 12
pound-cake | FR | raisin and rum cake | creaming | butter 175, white-sugar 125, egg 165, plain-flour 250, baking-powder 5, spirit 50, fold-in: raisins 120
pound-cake | FR | yogurt-free lemon cake with cream | whisked | egg 250, caster-sugar 300, cream-double 130, plain-flour 240, baking-powder 4.5, butter 90, citrus-zest 8, spirit 20
pound-cake | IT | margherita with starch | whisked | egg 250, caster-sugar 150, butter 150, plain-flour 100, potato-starch 100, baking-powder 6
pound-cake | JP | matcha-like tea pound | creaming | butter 120, caster-sugar 110, egg 110, cake-flour 110, tea-leaves 6, baking-powder 2
pound-cake | BR | maize starch cake | creaming | butter 150, white-sugar 250, egg 200, maize-starch 200, plain-flour 60, baking-powder 10, coconut-milk 100
pound-cake | AR | vanilla budin | creaming | butter 150, white-sugar 200, egg 159, plain-flour 250, baking-powder 10, milk 100, vanilla-extract 5
pound-cake | MY | marble butter cake | creaming | butter 250, caster-sugar 200, egg 240, plain-flour 200, baking-powder 4, milk 60, cocoa-natural 10
pound-cake | HK | rich butter loaf with milk powder | creaming | butter 180, caster-sugar 150, egg 165, cake-flour 160, milk-powder 20, baking-powder 3
pound-cake | LK | ribbon cake | creaming | butter 225, caster-sugar 225, egg 200, plain-flour 225, baking-powder 6, milk 60, vanilla-extract 5
oil-cake | US | carrot layer cake | muffin | plain-flour 280, white-sugar 300, light-brown-sugar 100, baking-powder 9, baking-soda 5, salt 4, cinnamon 5, egg 200, neutral-oil 240, fold-in: carrot 340, walnut 110
oil-cake | US | hummingbird cake | muffin | plain-flour 375, white-sugar 400, baking-soda 5, salt 6, cinnamon 3, egg 150, neutral-oil 240, banana 340, fold-in: pineapple 230, pecan 110
oil-cake | US | applesauce oil sheet | one-bowl | plain-flour 310, white-sugar 250, baking-soda 5, salt 3, cinnamon 4, apple-puree 370, neutral-oil 108, egg 100
oil-cake | US | vegan vanilla cupcakes | one-bowl | plain-flour 220, white-sugar 200, baking-powder 5, baking-soda 2.5, salt 3, soy-drink 240, vinegar 15, neutral-oil 72, vanilla-extract 8
oil-cake | US | pumpkin bars | one-bowl | plain-flour 250, white-sugar 330, baking-powder 9.2, baking-soda 5, salt 3, cinnamon 5, egg 200, neutral-oil 215, pumpkin-puree 425
oil-cake | US | red velvet cake, oil | one-bowl | plain-flour 312, white-sugar 300, cocoa-natural 10, baking-soda 5, salt 5, egg 100, buttermilk 240, neutral-oil 325, vinegar 5, food-colour 28
oil-cake | US | lemon olive oil cake | whisked | plain-flour 220, white-sugar 250, baking-powder 5, baking-soda 1.3, salt 4, egg 150, milk 240, olive-oil 215, citrus-zest 8, lemon-juice 30
oil-cake | US | sweet potato bundt | one-bowl | plain-flour 375, white-sugar 400, baking-powder 9, baking-soda 2.5, salt 4, egg 200, neutral-oil 240, sweet-potato 480, cinnamon 5
oil-cake | FR | yogurt pot cake | one-bowl | yogurt 125, white-sugar 200, egg 159, plain-flour 200, baking-powder 11, neutral-oil 75, vanilla-sugar 8
oil-cake | FR | yogurt cake, richer in oil | one-bowl | yogurt 125, white-sugar 220, egg 150, plain-flour 210, baking-powder 9, neutral-oil 110, citrus-zest 3
oil-cake | ES | bizcocho of yogurt | whisked | yogurt 125, white-sugar 250, egg 165, plain-flour 220, baking-powder 16, neutral-oil 110, citrus-zest 3
oil-cake | ES | olive oil and orange cake | whisked | egg 165, white-sugar 200, olive-oil 130, orange-juice 130, plain-flour 250, baking-powder 14, citrus-zest 5
oil-cake | PT | orange oil cake | whisked | egg 220, white-sugar 250, neutral-oil 120, orange-juice 150, plain-flour 250, baking-powder 10
oil-cake | IT | seven-jar yogurt cake | one-bowl | yogurt 125, white-sugar 220, neutral-oil 110, plain-flour 240, maize-starch 40, egg 165, baking-powder 16
oil-cake | IT | water cake, no egg | one-bowl | plain-flour 250, white-sugar 180, water 250, neutral-oil 70, baking-powder 16, citrus-zest 4
oil-cake | IT | carrot almond cake with oil | one-bowl | carrot 250, egg 150, white-sugar 180, neutral-oil 100, plain-flour 200, ground-almond 100, baking-powder 14
oil-cake | GR | orange yogurt olive oil cake | whisked | egg 165, white-sugar 220, olive-oil 140, yogurt 200, orange-juice 80, plain-flour 300, baking-powder 14, baking-soda 1.5
oil-cake | GR | Lenten cinnamon cake | one-bowl | plain-flour 350, white-sugar 200, olive-oil 150, orange-juice 250, baking-powder 8, baking-soda 4, cinnamon 5, fold-in: walnut 80, raisins 80
oil-cake | TR | cup cake with yogurt and oil | whisked | egg 159, white-sugar 200, neutral-oil 150, yogurt 200, plain-flour 300, baking-powder 10, vanilla-sugar 5
oil-cake | TR | cinnamon walnut cake | whisked | egg 159, white-sugar 200, neutral-oil 120, milk 200, plain-flour 280, baking-powder 10, cinnamon 5, fold-in: walnut 90
oil-cake | LB | orange oil bundt | one-bowl | plain-flour 300, white-sugar 250, egg 165, neutral-oil 160, orange-juice 200, baking-powder 12
oil-cake | IL | apple oil cake | one-bowl | egg 159, white-sugar 220, neutral-oil 160, orange-juice 60, plain-flour 280, baking-powder 10, fold-in: apple 400, cinnamon 4
oil-cake | IL | carrot cake in a loaf tin | one-bowl | egg 110, white-sugar 200, neutral-oil 150, plain-flour 200, baking-powder 7, baking-soda 2, cinnamon 3, carrot 220, fold-in: walnut 50
oil-cake | MA | yogurt meskouta | whisked | egg 212, white-sugar 200, neutral-oil 120, yogurt 125, plain-flour 230, baking-powder 12
oil-cake | BR | orange blender cake | one-bowl | egg 159, white-sugar 300, neutral-oil 140, orange-juice 200, plain-flour 280, baking-powder 13
oil-cake | BR | wet maize flour cake, sweet | one-bowl | egg 159, white-sugar 200, neutral-oil 120, milk 240, maize-meal 150, plain-flour 100, baking-powder 13
oil-cake | BR | banana cake whole oats | one-bowl | banana 320, egg 159, neutral-oil 90, light-brown-sugar 120, rolled-oats 130, plain-flour 100, baking-powder 12, cinnamon 3
oil-cake | IN | eggless curd vanilla sponge | one-bowl | plain-flour 190, caster-sugar 160, yogurt 245, baking-soda 2.5, baking-powder 5, neutral-oil 108, vanilla-extract 5
oil-cake | IN | eggless condensed milk oil cake | one-bowl | condensed-milk 200, plain-flour 150, neutral-oil 70, baking-powder 4.5, baking-soda 2, milk 130, vinegar 5
oil-cake | IN | semolina cake, eggless | one-bowl | semolina 250, yogurt 200, white-sugar 150, milk 150, neutral-oil 80, baking-powder 5, baking-soda 1.5, cardamom 2
oil-cake | NG | oil cake with nutmeg | whisked | egg 220, white-sugar 200, neutral-oil 180, plain-flour 350, baking-powder 9, milk 130, nutmeg 2
oil-cake | CN | soft yogurt oil cake | whisked | egg 200, caster-sugar 90, neutral-oil 60, yogurt 120, cake-flour 110, baking-powder 4
oil-cake | DE | mineral water lemon sheet | whisked | egg 212, white-sugar 250, neutral-oil 200, soda-water 200, plain-flour 300, baking-powder 14, citrus-zest 5
oil-cake | DE | carrot sheet with nuts | whisked | egg 212, white-sugar 200, neutral-oil 180, carrot 300, ground-hazelnut 200, plain-flour 200, baking-powder 12
oil-cake | PL | apple and oil cake | whisked | egg 159, white-sugar 200, neutral-oil 150, plain-flour 250, baking-powder 6, baking-soda 2, cinnamon 4, fold-in: apple 450, walnut 60
oil-cake | UK | carrot traybake | one-bowl | self-raising-flour 200, light-brown-sugar 175, egg 165, neutral-oil 175, baking-soda 4, cinnamon 3, citrus-zest 3, fold-in: carrot 160, raisins 90
oil-cake | UK | vegan lemon drizzle, oil | one-bowl | self-raising-flour 275, caster-sugar 200, baking-powder 4, neutral-oil 100, water 170, lemon-juice 45, citrus-zest 4
oil-cake | UK | gluten-free olive oil clementine cake | whisked | egg 200, caster-sugar 200, olive-oil 130, ground-almond 180, gluten-free-blend 90, baking-powder 6, orange-juice 90
oil-cake | AU | vegan carrot cake | one-bowl | plain-flour 260, light-brown-sugar 180, baking-powder 8, baking-soda 3, cinnamon 4, salt 2, neutral-oil 120, soy-drink 190, vinegar 15, fold-in: carrot 250, walnut 70
chocolate-cake | US | black coffee chocolate cake | one-bowl | plain-flour 219, white-sugar 400, cocoa-natural 75, baking-soda 7.5, baking-powder 7, salt 6, egg 100, buttermilk 240, neutral-oil 108, coffee 240, vanilla-extract 8
chocolate-cake | US | devil's food, creamed | creaming | butter 170, white-sugar 350, egg 150, plain-flour 250, cocoa-natural 65, baking-soda 6, salt 3, buttermilk 300
chocolate-cake | US | red devil's food, old | creaming | shortening 95, white-sugar 300, egg 100, cake-flour 230, cocoa-natural 45, baking-soda 6, salt 3, milk-soured 240, water 80
chocolate-cake | US | mayonnaise chocolate cake | one-bowl | plain-flour 250, white-sugar 200, cocoa-natural 35, baking-soda 7.5, salt 1, mayonnaise 220, water 240, vanilla-extract 4
chocolate-cake | US | chocolate cupcakes | one-bowl | plain-flour 125, white-sugar 200, cocoa-natural 40, baking-powder 3.5, baking-soda 2.5, salt 2, egg 50, milk 120, neutral-oil 54, water 120
chocolate-cake | US | vegan chocolate layer | one-bowl | plain-flour 312, white-sugar 350, cocoa-natural 65, baking-soda 8, salt 4, coffee 400, neutral-oil 130, vinegar 28, vanilla-extract 8
chocolate-cake | US | buttermilk cocoa sheet | melt-and-stir | plain-flour 250, white-sugar 400, baking-soda 5, salt 2, butter 227, cocoa-natural 25, water 240, buttermilk 120, egg 100
chocolate-cake | US | chocolate zucchini cake | creaming | butter 113, neutral-oil 108, white-sugar 350, egg 100, plain-flour 312, cocoa-natural 40, baking-soda 5, buttermilk 120, fold-in: courgette 280
chocolate-cake | US | gluten-free cocoa cake | one-bowl | gluten-free-blend 220, xanthan 1.5, white-sugar 350, cocoa-natural 70, baking-powder 5, baking-soda 5, salt 3, egg 100, milk 240, neutral-oil 108, water 200
chocolate-cake | US | German-style chocolate layers | creaming | butter 227, white-sugar 400, egg 200, dark-chocolate 113, water 120, plain-flour 280, baking-soda 5, salt 3, buttermilk 240
chocolate-cake | UK | chocolate sandwich, cocoa paste | creaming | butter 175, caster-sugar 175, egg 171, self-raising-flour 140, cocoa-natural 40, baking-powder 6, milk 45
chocolate-cake | UK | chocolate fudge traybake | one-bowl | spread 225, light-brown-sugar 225, egg 228, self-raising-flour 190, cocoa-natural 45, baking-powder 6, milk 60
chocolate-cake | UK | stout chocolate cake | melt-and-stir | stout 250, butter 250, cocoa-alkalised 75, caster-sugar 400, sour-cream 140, egg 110, plain-flour 275, baking-soda 10, vanilla-extract 10
chocolate-cake | UK | chocolate cake with oil and syrup | one-bowl | self-raising-flour 175, cocoa-natural 30, baking-soda 4, caster-sugar 150, golden-syrup 40, egg 110, neutral-oil 150, milk 150
chocolate-cake | AU | chocolate mud cake | melt-and-stir | butter 250, dark-chocolate 200, caster-sugar 380, coffee 330, plain-flour 190, self-raising-flour 60, cocoa-natural 40, egg 110
chocolate-cake | AU | moist one-pot chocolate cake | melt-and-stir | water 375, caster-sugar 400, butter 180, cocoa-natural 35, baking-soda 3, self-raising-flour 300, egg 165
chocolate-cake | AU | white chocolate mud cake | melt-and-stir | butter 250, white-chocolate 180, caster-sugar 330, milk 250, plain-flour 220, self-raising-flour 110, egg 110
chocolate-cake | DE | chocolate bundt | creaming | butter 200, white-sugar 200, egg 212, plain-flour 250, cocoa-alkalised 40, baking-powder 12, milk 150, dark-chocolate 80
chocolate-cake | AT | nut chocolate bundt | creaming | butter 180, icing-sugar 180, egg 240, dark-chocolate 100, ground-hazelnut 120, plain-flour 120, baking-powder 6, milk 60
chocolate-cake | FR | chocolate loaf cake | creaming | butter 175, white-sugar 200, egg 212, plain-flour 180, cocoa-alkalised 40, baking-powder 8, milk 100, ground-almond 50
chocolate-cake | FR | fondant chocolate cake with a little flour | melt-and-stir | dark-chocolate 200, butter 150, white-sugar 150, egg 200, plain-flour 60, baking-powder 3
chocolate-cake | ES | chocolate yogurt cake | one-bowl | yogurt 125, white-sugar 220, egg 165, neutral-oil 110, plain-flour 180, cocoa-natural 45, baking-powder 14
chocolate-cake | BR | wet cocoa blender cake | one-bowl | egg 159, white-sugar 300, neutral-oil 150, milk 240, plain-flour 240, cocoa-natural 60, baking-powder 13
chocolate-cake | RU | chocolate kefir cake | one-bowl | kefir 250, egg 106, white-sugar 200, neutral-oil 80, plain-flour 230, cocoa-natural 40, baking-soda 5
chocolate-cake | PL | murzynek | melt-and-stir | butter 200, white-sugar 250, cocoa-natural 40, milk 120, egg 212, plain-flour 260, baking-powder 9
chocolate-cake | IN | eggless cocoa cake with condensed milk | one-bowl | plain-flour 160, cocoa-natural 35, baking-powder 5, baking-soda 2.5, condensed-milk 200, butter 85, milk 150, white-sugar 30
chocolate-cake | SE | soft cocoa tray | whisked | egg 159, white-sugar 310, butter 150, milk 206, plain-flour 270, cocoa-natural 35, baking-powder 10
chocolate-cake | JP | gateau-like cocoa loaf | creaming | butter 100, caster-sugar 110, egg 110, cake-flour 80, cocoa-alkalised 25, baking-powder 3, milk 30
chocolate-cake | US | flour-poor brownies, cakey | melt-and-stir | butter 113, white-sugar 250, egg 100, cocoa-natural 60, plain-flour 95, baking-powder 2.3, salt 2, milk 30, fold-in: walnut 60
fruit-cake-rich | UK | Christmas cake | creaming | butter 225, dark-brown-sugar 225, egg 220, plain-flour 225, mixed-spice 5, ground-almond 50, treacle 20, spirit 60, fold-in: currants 350, sultana 250, raisins 250, glace-cherry 100, mixed-peel 100
fruit-cake-rich | UK | wedding tier fruit cake | creaming | butter 350, dark-brown-sugar 350, egg 342, plain-flour 400, mixed-spice 8, nutmeg 2, treacle 30, spirit 75, fold-in: currants 625, sultana 225, raisins 225, glace-cherry 150, mixed-peel 100, almond 100
fruit-cake-rich | UK | Dundee cake | creaming | butter 175, caster-sugar 175, egg 171, plain-flour 225, baking-powder 4, ground-almond 35, citrus-zest 4, milk 20, fold-in: currants 175, sultana 175, glace-cherry 50, mixed-peel 50, top: almond 60
fruit-cake-rich | UK | boozy last-minute rich cake | melt-and-stir | butter 175, dark-brown-sugar 200, spirit 100, orange-juice 100, egg 165, plain-flour 200, ground-almond 85, baking-powder 2, mixed-spice 5, fold-in: mixed-dried-fruit 1000
fruit-cake-rich | IE | Christmas cake with whiskey | creaming | butter 225, light-brown-sugar 225, egg 285, plain-flour 280, mixed-spice 5, ground-almond 60, spirit 70, citrus-zest 6, fold-in: sultana 350, raisins 350, currants 150, glace-cherry 100, mixed-peel 100
fruit-cake-rich | AU | rich boiled celebration cake | melt-and-stir | butter 250, dark-brown-sugar 250, spirit 120, water 120, baking-soda 2.5, egg 220, plain-flour 200, self-raising-flour 100, mixed-spice 4, fold-in: mixed-dried-fruit 1000
fruit-cake-rich | JM | black cake | creaming | butter 225, dark-brown-sugar 225, egg 275, plain-flour 225, baking-powder 5, caramel 60, fortified-wine 150, spirit 100, mixed-spice 5, fold-in: prune 250, raisins 300, currants 200, glace-cherry 100, mixed-peel 50
fruit-cake-rich | CA | dark fruitcake | creaming | butter 227, dark-brown-sugar 220, egg 250, treacle 80, plain-flour 250, baking-soda 2.5, cinnamon 4, spirit 60, fold-in: raisins 450, currants 225, dates 200, mixed-peel 150, glace-cherry 200, almond 150
fruit-cake-rich | US | white fruitcake | creaming | butter 227, white-sugar 225, egg 250, plain-flour 250, baking-powder 3, salt 2, spirit 60, fold-in: glace-cherry 350, mixed-peel 150, sultana 200, pecan 350, pineapple 200
fruit-cake-rich | NZ | easy three-ingredient-like rich cake | one-bowl | mixed-dried-fruit 1000, milk 600, self-raising-flour 300
fruit-cake-rich | NZ | sherry fruit cake | creaming | butter 250, light-brown-sugar 250, egg 275, plain-flour 325, baking-powder 3, mixed-spice 4, fortified-wine 120, fold-in: mixed-dried-fruit 1200, almond 100
fruit-cake-rich | UK | gluten-free Christmas cake | creaming | butter 200, dark-brown-sugar 200, egg 220, gluten-free-blend 175, ground-almond 100, xanthan 1, mixed-spice 5, treacle 20, spirit 60, fold-in: mixed-dried-fruit 900, glace-cherry 100
fruit-cake-rich | IN | plum cake with soaked fruit | creaming | butter 200, light-brown-sugar 180, egg 200, plain-flour 200, baking-powder 4, cinnamon 2, caramel 80, spirit 80, fold-in: raisins 250, dates 100, mixed-peel 100, cashew 80
fruit-cake-rich | UK | golden simnel-like cake | creaming | butter 200, caster-sugar 200, egg 200, plain-flour 200, ground-almond 50, baking-powder 2, citrus-zest 5, fold-in: sultana 300, dried-apricot 150, glace-cherry 100, mixed-peel 75
fruit-cake-light | UK | farmhouse fruit cake | rub-in | self-raising-flour 350, butter 175, caster-sugar 175, egg 110, milk 120, mixed-spice 4, fold-in: mixed-dried-fruit 350
fruit-cake-light | UK | boiled fruit cake | melt-and-stir | water 280, butter 115, light-brown-sugar 170, mixed-spice 4, baking-soda 5, self-raising-flour 280, egg 110, fold-in: mixed-dried-fruit 350
fruit-cake-light | UK | sultana cake | creaming | butter 175, caster-sugar 175, egg 171, plain-flour 250, baking-powder 6, milk 40, fold-in: sultana 300
fruit-cake-light | UK | cherry and almond cake | creaming | butter 200, caster-sugar 200, egg 200, self-raising-flour 200, ground-almond 100, fold-in: glace-cherry 250
fruit-cake-light | UK | vinegar cake, eggless | rub-in | plain-flour 450, butter 225, light-brown-sugar 225, milk 280, vinegar 45, baking-soda 5, fold-in: sultana 225, raisins 225
fruit-cake-light | UK | wartime-like eggless fruit cake | melt-and-stir | self-raising-flour 280, tea 280, margarine 85, light-brown-sugar 85, baking-soda 2.5, mixed-spice 3, fold-in: mixed-dried-fruit 200
fruit-cake-light | UK | apricot and brandy cake | creaming | butter 200, caster-sugar 180, egg 200, self-raising-flour 250, spirit 45, fold-in: dried-apricot 250, almond 60
fruit-cake-light | IE | porter cake, lighter | rub-in | plain-flour 350, butter 170, light-brown-sugar 170, baking-powder 4, mixed-spice 4, stout 200, egg 165, fold-in: sultana 300, raisins 150, mixed-peel 60
fruit-cake-light | AU | pumpkin fruit cake | creaming | butter 125, caster-sugar 200, golden-syrup 20, egg 110, pumpkin-puree 240, self-raising-flour 300, fold-in: mixed-dried-fruit 500
fruit-cake-light | AU | sultana butter cake | creaming | butter 220, caster-sugar 200, egg 165, plain-flour 260, self-raising-flour 40, milk 60, fold-in: sultana 350
fruit-cake-light | US | raisin spice cake | creaming | butter 113, light-brown-sugar 215, egg 100, plain-flour 250, baking-soda 5, salt 3, cinnamon 4, buttermilk 240, fold-in: raisins 220, walnut 110
fruit-cake-light | US | boiled raisin depression cake | melt-and-stir | raisins 300, water 475, light-brown-sugar 215, shortening 95, cinnamon 4, salt 3, plain-flour 280, baking-soda 5, baking-powder 4.6
fruit-cake-light | US | fresh date orange cake | creaming | butter 113, white-sugar 200, egg 100, plain-flour 280, baking-soda 5, buttermilk 200, citrus-zest 6, fold-in: dates 200, pecan 80
fruit-cake-light | PL | keks with fruit | creaming | butter 200, white-sugar 180, egg 265, plain-flour 300, baking-powder 8, fold-in: raisins 120, mixed-peel 80, walnut 80, dried-apricot 80
fruit-cake-light | RU | stolichny raisin keks | creaming | butter 175, white-sugar 175, egg 150, plain-flour 240, baking-powder 4, fold-in: raisins 175
fruit-cake-light | IT | raisin and pine nut plumcake | creaming | butter 150, white-sugar 150, egg 165, plain-flour 200, potato-starch 50, baking-powder 9, milk 50, fold-in: raisins 120, pine-nut 40
fruit-cake-light | FR | English-style cake with rum | creaming | butter 200, white-sugar 170, egg 212, plain-flour 260, baking-powder 7, spirit 40, fold-in: raisins 120, glace-cherry 120, mixed-peel 60
fruit-cake-light | IN | eggless tutti frutti cake | one-bowl | plain-flour 190, caster-sugar 130, yogurt 185, neutral-oil 90, milk 60, baking-powder 4.5, baking-soda 2.5, fold-in: mixed-peel 110
free | UK | rock cakes | rub-in | self-raising-flour 225, butter 110, caster-sugar 75, mixed-spice 2, egg 57, milk 20, fold-in: mixed-dried-fruit 110
free | UK | coconut buns | rub-in | self-raising-flour 225, butter 85, caster-sugar 85, egg 57, milk 45, fold-in: desiccated-coconut 60
free | UK | whisked sponge with a little powder | whisked | egg 171, caster-sugar 90, plain-flour 90, baking-powder 1
free | UK | flapjack-free oat squares | melt-and-stir | butter 120, light-brown-sugar 120, golden-syrup 60, rolled-oats 150, self-raising-flour 100, egg 55
free | US | chiffon cake, lemon | whisked | cake-flour 225, white-sugar 300, baking-powder 13.8, salt 5, neutral-oil 108, egg-yolk 108, water 180, citrus-zest 8, egg-white 240, cream-of-tartar 1.6
free | US | brownies with baking powder | melt-and-stir | butter 113, unsweetened-chocolate 56, white-sugar 200, egg 100, plain-flour 95, baking-powder 2.3, salt 1.5, fold-in: walnut 55
free | US | blondies, plain | melt-and-stir | butter 113, light-brown-sugar 215, egg 50, plain-flour 125, baking-powder 2.3, salt 2, vanilla-extract 4
free | US | hot milk sponge | whisked | egg 150, white-sugar 200, cake-flour 115, baking-powder 4.6, salt 1, milk 90, butter 14
free | US | scottish-style oven pancake bread | muffin | plain-flour 150, baking-powder 6, egg 150, milk 240, butter 30, salt 2, white-sugar 20
free | ZA | buttermilk rusks, plain | rub-in | self-raising-flour 1000, butter 250, white-sugar 200, salt 8, egg 110, buttermilk 500
free | AU | campfire damper with sugar | rub-in | self-raising-flour 300, butter 30, caster-sugar 20, salt 2, milk 180
free | AU | lamington sponge | whisked | egg 330, caster-sugar 160, self-raising-flour 130, maize-starch 40, butter 15, water 45
free | GR | revani with yogurt | whisked | egg 165, white-sugar 180, neutral-oil 120, yogurt 200, semolina 200, plain-flour 150, baking-powder 12, soak: white-sugar 400, water 400
free | TR | semolina revani | whisked | egg 159, white-sugar 150, yogurt 200, neutral-oil 100, semolina 160, plain-flour 110, baking-powder 10, soak: white-sugar 450, water 500
free | EG | basbousa | one-bowl | semolina 350, white-sugar 150, yogurt 250, butter 120, baking-powder 6, coconut-flakes 40, soak: white-sugar 300, water 240
free | LB | namoura, eggless | one-bowl | semolina 400, white-sugar 200, yogurt 300, butter 100, baking-powder 5, baking-soda 2
free | IN | rava cake with egg | one-bowl | semolina 200, white-sugar 150, egg 150, butter 100, milk 80, baking-powder 5
free | ES | santiago-like almond cake with powder | whisked | ground-almond 250, white-sugar 250, egg 250, citrus-zest 4, baking-powder 2
free | PT | almond and carrot cake | whisked | ground-almond 200, carrot 250, white-sugar 180, egg 200, baking-powder 4, maize-starch 30
free | CH | carrot nut torte | whisked | egg 265, white-sugar 220, carrot 250, ground-almond 250, plain-flour 60, baking-powder 6, lemon-juice 15
free | AT | poppy torte without flour | whisked | egg 250, butter 120, icing-sugar 140, poppy-seed 200, ground-hazelnut 80, baking-powder 4
free | DE | hazelnut sponge with powder | whisked | egg 265, white-sugar 200, ground-hazelnut 200, plain-flour 50, baking-powder 5
free | JP | honey castella, powdered | whisked | egg 250, caster-sugar 130, honey 40, bread-flour 120, milk 25, baking-powder 2
free | SG | pandan-like chiffon | whisked | egg-yolk 90, egg-white 190, caster-sugar 120, neutral-oil 50, coconut-milk 80, cake-flour 110, baking-powder 3
free | PH | puto-like steamed cakes, baked | one-bowl | rice-flour 240, white-sugar 150, baking-powder 13, coconut-milk 240, water 120, egg 55
free | BR | pao-like cassava cake with grated coconut | one-bowl | cassava-flour 250, white-sugar 220, egg 159, coconut-milk 250, butter 80, baking-powder 8
free | SE | sticky cocoa cake with little powder | melt-and-stir | butter 100, white-sugar 210, egg 106, plain-flour 90, cocoa-natural 25, vanilla-sugar 4, baking-powder 1
free | US | almond flour cake | whisked | ground-almond 240, egg 200, honey 120, olive-oil 50, baking-powder 5, salt 2, citrus-zest 4
free | US | coconut flour cupcakes | one-bowl | coconut-flour 60, egg 250, honey 120, coconut-oil 80, baking-soda 2.5, salt 2, vanilla-extract 4
free | IT | chestnut flour cake | one-bowl | chestnut-flour 250, water 250, white-sugar 80, olive-oil 60, baking-powder 10, egg 110, fold-in: pine-nut 30
`;
