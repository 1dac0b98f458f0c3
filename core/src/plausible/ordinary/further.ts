/**
 * Ordinary formulas of our own of kinds that were not there, written after recipes of strangers had been called unusual:
 * batters for the griddle, the waffle iron, hot fat and the steamer; cakes of eggs beaten with sugar that butter and milk
 * enrich; sponges mixed in one bowl with powder beside self-raising flour; sweet maize cakes; quark doughs; ground almonds
 * with soda; oats alone; loaves of three things. They are part of the ground, and of no figure in docs/science/judgement.md.
 * Columns: see formulas.ts; a way of mixing with `griddle`, `fat` or `steam` behind it is heated so.
 */
export const further = `
free | US | pancakes | muffin, griddle | plain-flour 195, baking-powder 13, white-sugar 15, salt 2, milk 300, egg 53, butter 40
free | US | buttermilk pancakes | muffin, griddle | plain-flour 250, white-sugar 25, baking-powder 9, baking-soda 2.5, salt 3, buttermilk 490, egg 100, butter 57
free | US | fluffy pancakes | muffin, griddle | plain-flour 200, baking-powder 15, white-sugar 20, salt 2, milk 290, egg 53, butter 38
free | US | wholemeal pancakes | muffin, griddle | wholemeal-flour 120, plain-flour 125, baking-powder 9, baking-soda 1.5, salt 2, light-brown-sugar 25, buttermilk 430, egg 100, neutral-oil 28
free | US | blueberry griddle cakes with sour cream | muffin, griddle | plain-flour 185, baking-powder 7, baking-soda 2.5, salt 3, white-sugar 38, sour-cream 120, milk 240, egg 100, butter 43, fold-in: blueberry 150
free | CA | thin milk pancakes with powder | muffin, griddle | plain-flour 250, baking-powder 9, salt 3, white-sugar 25, milk 480, egg 100, butter 30
free | UK | drop scones | muffin, griddle | self-raising-flour 225, baking-powder 4.5, caster-sugar 40, salt 1, egg 55, milk 290
free | UK | scotch pancakes with butter | muffin, griddle | self-raising-flour 175, baking-powder 4.5, caster-sugar 40, egg 57, milk 200, butter 15
free | UK | american-style pancakes | muffin, griddle | self-raising-flour 200, baking-powder 7, caster-sugar 13, salt 1, egg 165, milk 200, butter 25
free | UK | banana pancakes with self-raising flour | muffin, griddle | self-raising-flour 200, banana 180, egg 110, milk 190, butter 25, baking-powder 4
free | AU | pikelets | muffin, griddle | self-raising-flour 150, caster-sugar 38, egg 53, milk 185
free | NZ | pikelets with soda | muffin, griddle | self-raising-flour 150, baking-soda 1.3, salt 1, caster-sugar 50, egg 53, milk 170
free | NZ | pikelets with golden syrup | muffin, griddle | plain-flour 130, baking-powder 5, white-sugar 38, egg 53, milk 140, golden-syrup 20
free | AU | ricotta hotcakes | muffin, griddle | self-raising-flour 150, ricotta 250, milk 190, egg 165, caster-sugar 25, butter 20
free | JP | hotcakes | muffin, griddle | cake-flour 150, baking-powder 6, caster-sugar 35, egg 50, milk 120, neutral-oil 13
free | JP | souffle pancakes | whisked, griddle | egg 110, caster-sugar 28, milk 25, cake-flour 35, baking-powder 1.5
free | JP | dorayaki rounds | whisked, griddle | egg 110, caster-sugar 100, honey 20, cake-flour 120, baking-powder 2, water 35
free | DE | kefir pancakes | muffin, griddle | kefir 500, egg 110, plain-flour 280, white-sugar 25, baking-soda 3, salt 3, neutral-oil 30
free | RU | oladi with kefir | muffin, griddle | kefir 500, egg 53, plain-flour 330, white-sugar 38, baking-soda 4, salt 3
free | PL | racuchy with apple and powder | muffin, griddle | plain-flour 250, milk 200, egg 106, white-sugar 30, baking-powder 8, apple 300
free | IN | eggless pancakes | muffin, griddle | plain-flour 130, baking-powder 5, white-sugar 25, milk 220, butter 20, salt 1
free | US | oat and banana pancakes | muffin, griddle | rolled-oats 100, banana 200, egg 106, baking-powder 4, cinnamon 1, milk 60
free | US | cottage cheese pancakes | muffin, griddle | cottage-cheese 225, egg 159, plain-flour 65, baking-powder 3, white-sugar 13, salt 1
free | US | buckwheat pancakes | muffin, griddle | buckwheat-flour 120, plain-flour 60, baking-powder 5, baking-soda 2.5, salt 3, white-sugar 25, buttermilk 400, egg 53, butter 42
free | UK | vegan pancakes | muffin, griddle | self-raising-flour 250, baking-powder 4.5, caster-sugar 25, soy-drink 350, neutral-oil 20, salt 1
free/maize-bread | US | corn griddle cakes | muffin, griddle | maize-meal 120, plain-flour 125, baking-powder 9, salt 4, white-sugar 20, milk 320, egg 100, butter 42
free/scone | UK | Welsh cakes | rub-in, griddle | self-raising-flour 225, butter 110, caster-sugar 85, mixed-spice 1, egg 50, fold-in: currants 70
free/scone | UK | Welsh cakes with lard | rub-in, griddle | plain-flour 225, baking-powder 4, butter 50, lard 50, caster-sugar 75, mixed-spice 1, egg 55, milk 10, fold-in: currants 60
free/scone | UK | singing hinny | rub-in, griddle | plain-flour 350, baking-powder 6, salt 3, lard 50, butter 50, caster-sugar 25, milk 140, fold-in: currants 100
free/scone | UK | griddle scones with soda | rub-in, griddle | plain-flour 225, baking-soda 2.5, cream-of-tartar 5, salt 2, butter 25, caster-sugar 20, milk 150
free/soda-bread | IE | griddle farls | one-bowl, griddle | plain-flour 300, baking-soda 4, salt 3, buttermilk 270
free/scone | IE | potato bread for the griddle | rub-in, griddle | mashed-potato 450, plain-flour 110, butter 30, salt 4, baking-powder 2
free | IE | boxty with powder | muffin, griddle | mashed-potato 400, plain-flour 150, baking-powder 4, salt 4, egg 53, milk 220
free/soda-bread | IN | yogurt flatbreads | one-bowl, griddle | self-raising-flour 250, yogurt 250, salt 3
free/soda-bread | UK | two-ingredient flatbreads with strained yogurt | one-bowl, griddle | self-raising-flour 300, yogurt-strained 280, baking-powder 2, salt 3
free/soda-bread | MX | flour tortillas with powder | rub-in, griddle | plain-flour 300, baking-powder 5, salt 5, lard 50, water 170
free | MA | semolina griddle bread | one-bowl, griddle | semolina 350, butter 100, milk 160, white-sugar 25, baking-powder 8, salt 3
free/butter-cake-lean | DE | waffles | creaming, griddle | butter 125, white-sugar 100, vanilla-sugar 8, egg 159, plain-flour 250, baking-powder 5, milk 200, salt 1
free/butter-cake-lean | DE | heart waffles with much milk | creaming, griddle | butter 125, white-sugar 90, egg 165, plain-flour 250, baking-powder 8, milk 300, salt 1
free/butter-cake-lean | NO | cardamom waffles | muffin, griddle | egg 159, white-sugar 100, plain-flour 240, milk 400, butter 120, baking-powder 6, cardamom 2
free | US | waffles | muffin, griddle | plain-flour 240, white-sugar 13, baking-powder 16, salt 2, egg 100, milk 420, neutral-oil 110, vanilla-extract 3
free | US | buttermilk waffles | muffin, griddle | plain-flour 250, white-sugar 25, baking-powder 7, baking-soda 2.5, salt 3, buttermilk 490, egg 106, butter 85
free | US | crisp waffles with cornstarch | muffin, griddle | plain-flour 105, maize-starch 28, baking-powder 2.5, baking-soda 1.2, salt 3, buttermilk 235, neutral-oil 65, egg 53, white-sugar 10
free/butter-cake-lean | BE | waffles with powder and beaten whites | whisked, griddle | plain-flour 250, baking-powder 8, white-sugar 50, vanilla-sugar 8, egg 165, milk 350, butter 110, salt 2
free | SE | crisp waffles, no egg | muffin, griddle | plain-flour 180, baking-powder 9, salt 2, milk 400, butter 100
free | HK | egg waffles | muffin, griddle | plain-flour 140, tapioca-starch 28, baking-powder 7, custard-powder 8, egg 110, white-sugar 140, evaporated-milk 28, water 140, neutral-oil 28
free/scone | US | cake doughnuts | muffin, fat | plain-flour 430, baking-powder 14, salt 5, nutmeg 1, egg 100, white-sugar 200, butter 42, milk 240
free/scone | US | old-fashioned sour cream doughnuts | creaming, fat | cake-flour 255, baking-powder 7, salt 5, nutmeg 1, white-sugar 115, butter 28, egg-yolk 36, sour-cream 150
free/scone | US | buttermilk doughnuts | muffin, fat | plain-flour 440, baking-powder 7, baking-soda 5, salt 6, nutmeg 1, white-sugar 200, egg 106, buttermilk 245, butter 57
free/scone | US | apple cider doughnuts | creaming, fat | plain-flour 435, baking-powder 9, baking-soda 2.5, salt 4, cinnamon 3, white-sugar 200, butter 57, egg 106, cider 120, buttermilk 120
free/scone | US | potato doughnuts | muffin, fat | mashed-potato 200, plain-flour 440, baking-powder 16, salt 6, white-sugar 200, egg 106, milk 120, butter 42
free | US | hush puppies | muffin, fat | maize-meal 200, plain-flour 65, baking-powder 5, baking-soda 2.5, salt 5, white-sugar 13, egg 53, buttermilk 245, onion 60
free | US | corn fritters | muffin, fat | plain-flour 125, baking-powder 5, salt 3, white-sugar 13, egg 106, milk 80, sweetcorn 250, butter 14
free | US | apple fritters | muffin, fat | plain-flour 190, baking-powder 9, salt 3, white-sugar 50, cinnamon 2, egg 106, milk 120, butter 28, fold-in: apple 250
free | US | funnel cake | muffin, fat | plain-flour 310, baking-powder 7, salt 3, white-sugar 50, egg 100, milk 360, butter 28
free | IT | ricotta fritters | muffin, fat | ricotta 250, egg 106, plain-flour 125, white-sugar 50, baking-powder 8, citrus-zest 3, salt 1
free | DE | quark balls | muffin, fat | quark 250, egg 159, white-sugar 100, plain-flour 250, baking-powder 8, salt 1
free/scone | TT | fried bakes | rub-in, fat | plain-flour 250, baking-powder 9, salt 3, white-sugar 13, butter 28, water 160
free/scone | JM | fried dumplings | rub-in, fat | plain-flour 250, baking-powder 7, salt 3, butter 28, water 140, white-sugar 6
free/scone | KE | mandazi with powder | muffin, fat | plain-flour 400, baking-powder 8, cardamom 2, white-sugar 80, egg 53, coconut-milk 190, butter 25, salt 1
free/scone | US | fry bread | one-bowl, fat | plain-flour 310, baking-powder 12, salt 4, water 230
free | TR | yogurt lokma-like fritters with soda | muffin, fat | yogurt 250, egg 106, plain-flour 280, baking-soda 3, white-sugar 40, salt 2
equal-weight-sponge/free | UK | steamed syrup sponge pudding | creaming, steam | butter 175, caster-sugar 175, egg 165, self-raising-flour 175, milk 30, citrus-zest 3
equal-weight-sponge/free | UK | steamed jam sponge pudding | creaming, steam | butter 110, caster-sugar 110, egg 110, self-raising-flour 170, milk 30
treacle-cake/free | UK | steamed ginger pudding | creaming, steam | butter 110, light-brown-sugar 110, egg 110, self-raising-flour 175, ginger-ground 4, golden-syrup 60, milk 45
chocolate-cake/free | UK | steamed chocolate pudding | creaming, steam | butter 110, caster-sugar 110, egg 110, self-raising-flour 150, cocoa-alkalised 25, milk 30
free | UK | steamed suet pudding with fruit | one-bowl, steam | self-raising-flour 170, suet 85, caster-sugar 60, milk 130, salt 1, fold-in: currants 110
free | UK | jam roly-poly | one-bowl, steam | self-raising-flour 225, suet 110, salt 1, water 145
free/scone | UK | suet dumplings | one-bowl, steam | self-raising-flour 110, suet 55, salt 1, water 75
fruit-cake-light/free | UK | clootie dumpling | one-bowl, steam | self-raising-flour 350, suet 125, light-brown-sugar 175, mixed-spice 8, egg 53, milk 200, treacle 30, breadcrumbs 85, fold-in: mixed-dried-fruit 280
tea-loaf/soda-loaf | US | steamed brown bread | one-bowl, steam | rye-flour 52, maize-meal 75, wholemeal-flour 60, baking-soda 4, salt 3, treacle 110, buttermilk 245, fold-in: raisins 70
tea-loaf/soda-loaf | US | steamed brown bread without fruit | one-bowl, steam | rye-flour 105, maize-meal 150, wholemeal-flour 120, baking-soda 8, salt 5, treacle 240, buttermilk 480
free/scone | US | dumplings for a stew | one-bowl, steam | plain-flour 190, baking-powder 9, salt 3, butter 28, milk 180
free | PH | puto | one-bowl, steam | plain-flour 280, white-sugar 150, baking-powder 16, egg 53, milk 360
free | PH | puto of rice flour with coconut milk | one-bowl, steam | rice-flour 300, white-sugar 150, baking-powder 14, coconut-milk 360, egg 53
free | CN | ma lai gao | whisked, steam | egg 212, light-brown-sugar 150, plain-flour 170, evaporated-milk 80, neutral-oil 60, baking-powder 8, baking-soda 1.5
free | CN | steamed rice-flour fortune cakes | one-bowl, steam | plain-flour 160, rice-flour 50, white-sugar 110, water 170, baking-powder 12, neutral-oil 20
free | JP | steamed cakes with milk | one-bowl, steam | cake-flour 120, caster-sugar 45, baking-powder 6, egg 50, milk 90, neutral-oil 15
free | IN | steamed gram-flour cake with soda and lemon | one-bowl, steam | chickpea-flour 150, semolina 10, white-sugar 12, salt 4, turmeric 0.5, lemon-juice 20, baking-soda 4, neutral-oil 15, water 200
free | VN | steamed banana and coconut cakes | one-bowl, steam | plain-flour 150, coconut-milk 150, white-sugar 90, baking-powder 6, banana 250
oil-cake/chocolate-cake | UK | chocolate mug cake | one-bowl, microwave | self-raising-flour 32, caster-sugar 45, cocoa-alkalised 12, egg 50, milk 45, neutral-oil 40
oil-cake/chocolate-cake | US | cocoa mug cake, no egg | one-bowl, microwave | plain-flour 32, white-sugar 40, cocoa-natural 11, baking-powder 1.2, salt 0.5, milk 60, neutral-oil 27
oil-cake | US | vanilla mug cake | one-bowl, microwave | plain-flour 32, white-sugar 25, baking-powder 1.2, milk 45, butter 14, vanilla-extract 2
butter-cake-lean/free | SE | sockerkaka | whisked | egg 106, white-sugar 180, butter 50, milk 100, plain-flour 180, baking-powder 6, citrus-zest 3
butter-cake-high-ratio/free | SE | sugar cake with three eggs | whisked | egg 159, white-sugar 250, plain-flour 180, baking-powder 8, butter 75, milk 100, vanilla-sugar 4
butter-cake-high-ratio/free | SE | lemon sugar cake in a ring | whisked | egg 159, white-sugar 255, butter 50, milk 100, plain-flour 165, baking-powder 8, citrus-zest 5
butter-cake-high-ratio/free | SE | tiger cake with milk | whisked | egg 159, white-sugar 210, butter 125, milk 100, plain-flour 190, baking-powder 7, cocoa-natural 8
butter-cake-lean/free | SE | saffron sugar cake | whisked | egg 106, white-sugar 170, butter 100, milk 100, plain-flour 180, baking-powder 6, saffron 0.5
butter-cake-lean/free | FI | coffee bread cake, whisked | whisked | egg 165, white-sugar 170, plain-flour 180, baking-powder 7, butter 100, milk 100, cardamom 3
butter-cake-high-ratio/free | NO | tray cake with milk and melted butter | whisked | egg 212, white-sugar 350, plain-flour 300, baking-powder 11, butter 125, milk 200
butter-cake-lean/free | DK | coconut-topped tray sponge | whisked | egg 159, white-sugar 250, plain-flour 250, baking-powder 9, butter 50, milk 200, vanilla-sugar 6
butter-cake-high-ratio/free | US | hot milk cake | whisked | egg 212, white-sugar 400, plain-flour 250, baking-powder 10, milk 300, butter 140, vanilla-extract 5
butter-cake-high-ratio/free | US | hot milk sponge, small | whisked | egg 100, white-sugar 200, plain-flour 125, baking-powder 5, salt 1.5, milk 120, butter 28
butter-cake-lean/free | NZ | three-minute sponge with butter and milk | whisked | egg 159, caster-sugar 150, plain-flour 150, baking-powder 8, butter 50, milk 30
butter-cake-high-ratio/free | IN | hot milk cake | whisked | egg 165, caster-sugar 200, plain-flour 190, baking-powder 6, butter 85, milk 150, salt 1
butter-cake-lean/oil-cake | IT | breakfast ring with milk | whisked | egg 165, white-sugar 200, plain-flour 300, baking-powder 16, milk 120, butter 100, citrus-zest 3
oil-cake | IT | ring cake with oil and water | whisked | egg 165, white-sugar 220, plain-flour 250, baking-powder 16, neutral-oil 120, water 130
oil-cake | MA | orange ring cake | whisked | egg 212, white-sugar 230, neutral-oil 110, orange-juice 190, plain-flour 310, baking-powder 15, citrus-zest 6, salt 1
oil-cake | MA | meskouta with yogurt | whisked | egg 212, white-sugar 220, yogurt 125, neutral-oil 130, plain-flour 270, baking-powder 14, citrus-zest 4
oil-cake | TR | tea-time ring with milk | whisked | egg 159, white-sugar 230, neutral-oil 160, milk 200, plain-flour 330, baking-powder 10
oil-cake | BR | blender orange cake | one-bowl | egg 200, white-sugar 360, neutral-oil 165, orange-juice 240, plain-flour 300, baking-powder 13
oil-cake | BR | blender carrot cake | one-bowl | carrot 300, egg 212, white-sugar 380, neutral-oil 190, plain-flour 310, baking-powder 14
maize-bread/oil-cake | BR | blender maize cake | one-bowl | egg 159, white-sugar 380, neutral-oil 115, milk 370, maize-meal 280, plain-flour 125, baking-powder 14, salt 1
maize-bread/oil-cake | BR | fuba cake with flour | one-bowl | egg 150, white-sugar 320, neutral-oil 110, milk 245, maize-meal 220, plain-flour 190, baking-powder 14
maize-bread/oil-cake | BR | creamy maize cake with cheese | one-bowl | egg 212, white-sugar 400, milk 980, maize-meal 190, plain-flour 30, butter 40, baking-powder 13, parmesan 60
maize-bread/oil-cake | BR | tinned sweetcorn cake | one-bowl | sweetcorn 200, egg 159, white-sugar 280, neutral-oil 90, milk 200, maize-meal 200, baking-powder 13
maize-bread/butter-cake-lean | PT | broa cake of maize and honey | creaming | maize-meal 250, plain-flour 125, white-sugar 220, honey 60, egg 212, butter 120, milk 200, baking-powder 10
maize-bread/butter-cake-lean | IT | polenta cake with flour | creaming | butter 180, white-sugar 200, egg 165, maize-meal 150, plain-flour 150, baking-powder 12, milk 60, citrus-zest 3
equal-weight-sponge | UK | pineapple upside-down sponge | one-bowl | butter 105, caster-sugar 100, egg 110, self-raising-flour 105, baking-powder 4, vanilla-extract 3, milk 25
equal-weight-sponge | UK | all-in-one fairy cakes with powder | one-bowl | spread 110, caster-sugar 110, egg 110, self-raising-flour 110, baking-powder 3
equal-weight-sponge | UK | all-in-one sandwich, two teaspoons | one-bowl | butter 225, caster-sugar 225, egg 220, self-raising-flour 225, baking-powder 9
equal-weight-sponge | UK | small all-in-one sponge | one-bowl | spread 115, caster-sugar 115, egg 110, self-raising-flour 115, baking-powder 4.5, milk 15
equal-weight-sponge/butter-cake-lean | UK | all-in-one traybake | one-bowl | spread 225, caster-sugar 225, self-raising-flour 275, baking-powder 9, egg 220, milk 60
equal-weight-sponge/chocolate-cake | UK | all-in-one chocolate traybake | one-bowl | cocoa-alkalised 45, water 90, spread 225, caster-sugar 225, self-raising-flour 275, baking-powder 9, egg 220, milk 60
equal-weight-sponge | UK | rhubarb upside-down sponge | one-bowl | butter 125, light-brown-sugar 125, egg 110, self-raising-flour 125, baking-powder 4.5, milk 15
equal-weight-sponge/butter-cake-lean | UK | lemon sponge with powder | one-bowl | butter 175, caster-sugar 175, egg 165, self-raising-flour 175, baking-powder 6, milk 30, citrus-zest 4
equal-weight-sponge | AU | easy cup cakes, one bowl | one-bowl | butter 125, caster-sugar 165, egg 106, self-raising-flour 190, milk 60, vanilla-extract 4
butter-cake-high-ratio | US | pineapple upside-down cake | creaming | butter 85, white-sugar 200, egg 53, plain-flour 190, baking-powder 7, salt 2, milk 125
oil-cake/free | DE | quark and oil dough for a fruit tray | one-bowl | quark 150, milk 90, neutral-oil 90, white-sugar 75, plain-flour 300, baking-powder 16, salt 1
oil-cake/free | DE | quark and oil dough | one-bowl | quark 200, milk 80, neutral-oil 100, white-sugar 90, vanilla-sugar 8, plain-flour 400, baking-powder 16, salt 1
free/scone | DE | quark and oil dough for rolls | one-bowl | quark 250, milk 80, neutral-oil 80, plain-flour 450, baking-powder 18, salt 6
oil-cake/free | AT | quark and oil dough with egg | one-bowl | quark 150, milk 60, egg 53, neutral-oil 80, white-sugar 80, plain-flour 300, baking-powder 16
butter-cake-lean | DE | cup cake with sour cream | one-bowl | cream-whipping 200, white-sugar 200, egg 159, plain-flour 250, baking-powder 12, neutral-oil 60
muffin/free | US | almond flour muffins with soda | muffin | ground-almond 250, baking-soda 2.5, salt 1.5, egg 159, honey 85, coconut-oil 55, lemon-juice 10, vanilla-extract 4
muffin/free | US | almond flour blueberry muffins | muffin | ground-almond 240, baking-soda 2.5, salt 1, egg 159, maple-syrup 80, butter 40, vanilla-extract 5, fold-in: blueberry 140
muffin/free | US | almond flour banana muffins | muffin | ground-almond 240, banana 230, egg 159, baking-soda 3, salt 1, maple-syrup 40, cinnamon 2
quick-bread/free | US | almond flour sandwich loaf | one-bowl | ground-almond 280, ground-flax 25, baking-soda 3, salt 3, egg 265, honey 20, vinegar 15, coconut-oil 28
scone/free | US | almond flour scones | one-bowl | ground-almond 230, baking-soda 2, salt 1, egg 53, honey 40, fold-in: dried-cranberry 50
biscuit/free | US | almond flour drop biscuits | one-bowl | ground-almond 220, baking-powder 8, salt 3, egg 106, butter 60
free | UK | boiled orange and almond cake | whisked | ground-almond 250, white-sugar 250, egg 318, baking-powder 4.5, orange-juice 300
free | UK | lemon polenta cake without gluten | creaming | butter 190, caster-sugar 190, ground-almond 210, maize-meal 90, baking-powder 5, egg 165, citrus-zest 6
free | UK | lemon, almond and polenta squares | creaming | butter 225, caster-sugar 225, ground-almond 225, maize-meal 115, baking-powder 4, egg 165, citrus-zest 6, lemon-juice 20
muffin | US | banana oat muffins without flour | muffin | rolled-oats 200, banana 300, egg 106, yogurt 120, baking-powder 6, baking-soda 2, cinnamon 2, honey 60
muffin | US | oat muffins with banana and quark, no sugar | muffin | rolled-oats 200, banana 300, egg 106, quark 150, baking-powder 8, cinnamon 2, fold-in: dark-chocolate 50
free/muffin | US | baked oats | one-bowl | rolled-oats 50, banana 100, egg 53, baking-powder 2, milk 60, maple-syrup 15
soda-loaf | IE | porridge loaf | one-bowl | rolled-oats 320, yogurt 500, egg 53, baking-soda 8, salt 4, milk 30, fold-in: mixed-seeds 30
soda-loaf | IE | porridge loaf with treacle | one-bowl | rolled-oats 350, yogurt 500, egg 53, baking-soda 9, salt 5, treacle 20, olive-oil 14
soda-loaf/quick-bread | AU | beer bread with self-raising flour | one-bowl | self-raising-flour 375, stout 355, salt 3, white-sugar 25
soda-loaf/quick-bread | US | beer bread | one-bowl | plain-flour 375, baking-powder 14, salt 6, white-sugar 50, stout 355, butter 57
soda-loaf/quick-bread | AU | ice-cream loaf | one-bowl | self-raising-flour 195, ice-cream 270
quick-bread/oil-cake | UK | mayonnaise muffins | muffin | self-raising-flour 250, mayonnaise 60, milk 240, caster-sugar 13
scone | AU | lemonade scones | one-bowl | self-raising-flour 450, cream-whipping 250, lemonade 250, caster-sugar 20, salt 1
scone | AU | lemonade scones, small | one-bowl | self-raising-flour 300, cream-whipping 180, lemonade 180
scone | AU | pumpkin scones | creaming | butter 25, caster-sugar 90, egg 53, pumpkin-puree 240, self-raising-flour 300, salt 1
scone | AU | pumpkin scones, little butter | creaming | butter 30, caster-sugar 75, egg 53, pumpkin-puree 235, self-raising-flour 280, salt 1
scone | AU | date scones with cream | one-bowl | self-raising-flour 300, cream-whipping 150, milk 100, caster-sugar 25, fold-in: dates 120
tea-loaf/fruit-cake-light | AU | three-ingredient fruit loaf with iced coffee | one-bowl | mixed-dried-fruit 1000, milk 600, instant-coffee 4, white-sugar 30, self-raising-flour 300
butter-cake-high-ratio | IN | eggless sponge with condensed milk | melt-and-stir | plain-flour 200, condensed-milk 380, baking-powder 6, baking-soda 2.5, butter 100, milk 150, vinegar 15, vanilla-extract 4
butter-cake-high-ratio | IN | eggless condensed milk cake with soda water | melt-and-stir | plain-flour 140, condensed-milk 200, baking-powder 4.5, baking-soda 2, butter 60, soda-water 80, vanilla-extract 4
butter-cake-lean | IN | mawa cake | creaming | butter 100, khoya 150, caster-sugar 200, egg 110, plain-flour 180, baking-powder 5, cardamom 1, milk 120
oil-cake | IN | eggless atta and jaggery cake | one-bowl | wholemeal-flour 180, jaggery 140, yogurt 180, neutral-oil 80, milk 100, baking-powder 5, baking-soda 2.5, cardamom 1
quick-bread | TT | sweet coconut bread | melt-and-stir | plain-flour 500, fresh-coconut 200, light-brown-sugar 200, baking-powder 14, salt 3, cinnamon 3, egg 53, evaporated-milk 380, butter 115, fold-in: raisins 75
quick-bread | JM | spiced bun with stout and powder | melt-and-stir | plain-flour 400, baking-powder 14, light-brown-sugar 200, stout 240, honey 40, egg 53, butter 28, mixed-spice 4, cinnamon 3, fold-in: raisins 200
butter-cake-lean/quick-bread | JM | coconut toto | melt-and-stir | plain-flour 250, baking-powder 7, light-brown-sugar 180, fresh-coconut 160, butter 85, egg 53, milk 160, mixed-spice 2
oil-cake/treacle-cake | US | honey cake with coffee and spirit | one-bowl | plain-flour 430, baking-powder 13, baking-soda 4, salt 3, cinnamon 8, neutral-oil 220, honey 340, white-sugar 300, light-brown-sugar 105, egg 159, coffee 240, orange-juice 120, spirit 55
treacle-cake/tea-loaf | NL | breakfast spice loaf of rye | melt-and-stir | rye-flour 250, dark-brown-sugar 150, honey 100, milk 250, baking-powder 12, mixed-spice 6, salt 1
treacle-cake/tea-loaf | NL | spice loaf with self-raising flour and syrup | melt-and-stir | self-raising-flour 250, dark-brown-sugar 150, golden-syrup 60, milk 200, mixed-spice 8, salt 1
treacle-cake | UK | parkin with treacle and egg | melt-and-stir | butter 100, dark-brown-sugar 100, treacle 60, golden-syrup 180, oatmeal 120, self-raising-flour 190, baking-powder 4, ginger-ground 8, mixed-spice 3, egg 110, milk 30
treacle-cake | UK | parkin without egg | melt-and-stir | plain-flour 225, oatmeal 225, light-brown-sugar 110, treacle 225, butter 110, milk 150, baking-soda 4, ginger-ground 6
butter-cake-high-ratio/free | ZA | malva pudding | whisked | caster-sugar 200, egg 106, jam 20, plain-flour 150, baking-soda 4, salt 1, butter 28, vinegar 5, milk 125
free/butter-cake-high-ratio | US | batter cobbler | one-bowl | plain-flour 125, white-sugar 200, baking-powder 9, salt 1, milk 245, butter 115
free/butter-cake-high-ratio | UK | lemon surprise pudding | creaming | butter 60, caster-sugar 150, egg 165, self-raising-flour 50, milk 280, lemon-juice 80, citrus-zest 4
butter-cake-high-ratio/chocolate-cake | UK | self-saucing chocolate pudding | one-bowl | self-raising-flour 150, caster-sugar 110, cocoa-alkalised 25, milk 150, butter 60, egg 53
butter-cake-high-ratio | UK | sticky toffee sponge | creaming | dates 200, water 200, baking-soda 5, butter 85, light-brown-sugar 150, egg 110, self-raising-flour 175
fruit-cake-light | UK | boiled fruit cake | melt-and-stir | white-sugar 200, margarine 110, water 280, baking-soda 5, mixed-spice 2, egg 106, self-raising-flour 280, fold-in: mixed-dried-fruit 420
quick-bread | FR | savoury cake with ham and cheese | one-bowl | plain-flour 180, baking-powder 11, egg 159, neutral-oil 90, milk 125, hard-cheese 100, fold-in: bacon 150, olives 75
quick-bread | FR | savoury cake with vegetables | one-bowl | plain-flour 200, baking-powder 11, egg 165, olive-oil 80, milk 110, hard-cheese 120, salt 2, fold-in: courgette 150, dried-tomato 60
oil-cake | FR | yogurt-pot cake | one-bowl | yogurt 125, white-sugar 200, plain-flour 195, neutral-oil 60, egg 159, baking-powder 11
oil-cake | FR | yogurt-pot cake with apple | one-bowl | yogurt 125, white-sugar 160, plain-flour 190, neutral-oil 58, egg 106, baking-powder 9, fold-in: apple 250
oil-cake | ES | yogurt sponge by the pot, one sachet | whisked | fruit-yogurt 125, white-sugar 212, plain-flour 200, neutral-oil 115, egg 159, baking-powder 16, citrus-zest 3
oil-cake | ES | yogurt sponge by the pot, olive oil | whisked | yogurt 125, white-sugar 200, plain-flour 225, olive-oil 110, egg 159, baking-powder 15, citrus-zest 4
oil-cake | ES | yogurt sponge with a little less oil | whisked | yogurt 125, white-sugar 170, plain-flour 240, neutral-oil 80, egg 165, baking-powder 16
oil-cake | PT | yogurt cake, three cups of flour | whisked | yogurt 125, white-sugar 220, plain-flour 210, neutral-oil 60, egg 212, baking-powder 10
oil-cake | IT | seven-pot cake with a sachet | whisked | yogurt 125, white-sugar 200, plain-flour 210, neutral-oil 105, egg 159, baking-powder 16, vanilla-sugar 6
chocolate-cake | UK | stout chocolate cake | melt-and-stir | stout 240, butter 220, cocoa-alkalised 70, caster-sugar 360, sour-cream 130, egg 110, vanilla-extract 8, plain-flour 260, baking-soda 10
chocolate-cake | IE | stout cake, smaller | melt-and-stir | stout 200, butter 200, cocoa-natural 60, caster-sugar 320, buttermilk 120, egg 110, plain-flour 220, baking-soda 8, baking-powder 2
chocolate-cake | US | hot coffee cocoa sheet cake | one-bowl | plain-flour 245, white-sugar 380, cocoa-natural 68, baking-soda 9, baking-powder 5, salt 5, buttermilk 235, neutral-oil 115, egg 106, coffee 225
chocolate-cake | US | boiling water cocoa layers | one-bowl | plain-flour 220, white-sugar 400, cocoa-natural 65, baking-soda 7, baking-powder 7, salt 5, milk 240, neutral-oil 110, egg 106, water 235
chocolate-cake | US | buttermilk cocoa layers, oil | one-bowl | plain-flour 190, white-sugar 300, cocoa-natural 60, baking-soda 7, baking-powder 4, salt 4, buttermilk 180, neutral-oil 45, egg 106, water 180
chocolate-cake | US | sheet cake with boiled butter and cocoa | melt-and-stir | butter 227, cocoa-natural 25, water 240, plain-flour 250, white-sugar 400, salt 2, buttermilk 120, egg 106, baking-soda 5
chocolate-cake | US | mayonnaise cake with hot water | one-bowl | plain-flour 250, white-sugar 200, cocoa-natural 40, baking-soda 8, mayonnaise 230, water 240, vanilla-extract 5
oil-cake | US | red velvet cupcakes with much oil | one-bowl | cake-flour 280, white-sugar 290, baking-soda 5, salt 4, cocoa-natural 6, neutral-oil 300, buttermilk 240, egg 106, vinegar 5, food-colour 15
free/equal-weight-sponge | UK | Swiss roll | whisked | egg 159, caster-sugar 75, self-raising-flour 75
free/equal-weight-sponge | UK | sponge roll with warm water | whisked | egg 212, caster-sugar 100, self-raising-flour 100, water 15
free/equal-weight-sponge | US | jelly roll with powder | whisked | egg 200, white-sugar 150, cake-flour 95, baking-powder 4, salt 1, vanilla-extract 4
free/equal-weight-sponge | DE | biscuit roll with powder | whisked | egg 212, white-sugar 100, vanilla-sugar 8, plain-flour 75, maize-starch 25, baking-powder 3
butter-cake-lean | DE | stirred cake with a whole sachet | creaming | butter 250, white-sugar 250, vanilla-sugar 8, egg 265, plain-flour 500, baking-powder 16, milk 130, salt 1
butter-cake-lean | DE | marble cake, one sachet | creaming | butter 250, white-sugar 220, egg 212, plain-flour 400, baking-powder 16, milk 130, cocoa-alkalised 15, salt 1
butter-cake-lean | DE | sunken apple cake | creaming | butter 125, white-sugar 125, vanilla-sugar 8, egg 159, plain-flour 200, baking-powder 8, milk 30, salt 1
butter-cake-lean | PL | fruit tray cake | creaming | butter 200, white-sugar 180, egg 212, plain-flour 300, baking-powder 8, milk 60
oil-cake | PL | fast yogurt cake with fruit | one-bowl | egg 159, white-sugar 180, yogurt 200, neutral-oil 120, plain-flour 320, baking-powder 12, fold-in: raspberry 200
oil-cake | TR | cake with yogurt and orange | whisked | egg 159, white-sugar 250, yogurt 200, neutral-oil 150, plain-flour 330, baking-powder 10, citrus-zest 4
oil-cake | UA | kefir tray cake with jam | one-bowl | kefir 250, egg 106, white-sugar 180, jam 240, neutral-oil 60, plain-flour 330, baking-soda 6
butter-cake-high-ratio | FI | mocha squares, cocoa tray cake | whisked | egg 212, white-sugar 340, plain-flour 360, baking-powder 12, cocoa-natural 30, butter 200, milk 200, vanilla-sugar 6
scone | UK | cheese scones with egg and milk | rub-in | self-raising-flour 350, salt 1, mustard-powder 1, butter 75, egg 53, milk 145, fold-in: hard-cheese 150
scone | UK | treacle scones with soda | rub-in | self-raising-flour 230, mixed-spice 1, baking-soda 1.8, butter 55, caster-sugar 20, treacle 45, milk 105
quick-bread | UK | date and walnut loaf, soaked dates | creaming | dates 220, water 200, baking-soda 5, butter 85, light-brown-sugar 150, egg 53, self-raising-flour 225, fold-in: walnut 60
quick-bread | US | lemon yogurt loaf with oil | one-bowl | plain-flour 195, baking-powder 8, salt 2, yogurt 235, white-sugar 190, egg 159, citrus-zest 5, neutral-oil 100
muffin | UK | feta and spinach muffins | muffin | self-raising-flour 200, baking-soda 2, egg 106, buttermilk 150, butter 70, fold-in: feta 150, spinach 100
muffin | NO | oat muffins with cottage cheese | muffin | rolled-oats 200, cottage-cheese 250, egg 212, baking-powder 7, milk 80, salt 2
chocolate-cake/quick-bread | US | chocolate courgette loaf | one-bowl | plain-flour 130, cocoa-natural 42, baking-soda 5, salt 3, egg 106, butter 50, neutral-oil 60, light-brown-sugar 165, vanilla-extract 5, courgette 220, fold-in: chocolate-chips 140
chocolate-cake/quick-bread | US | chocolate banana bread | one-bowl | plain-flour 125, cocoa-natural 45, baking-soda 5, salt 3, banana 340, butter 57, neutral-oil 55, light-brown-sugar 160, egg 53, vanilla-extract 5, fold-in: chocolate-chips 170
quick-bread/oil-cake | UK | coconut loaf to toast | one-bowl | plain-flour 300, baking-powder 9, cinnamon 3, caster-sugar 190, desiccated-coconut 140, egg 106, milk 285, vanilla-extract 4, butter 80
fruit-cake-rich/fruit-cake-light | UK | plum cake with lard and soda | creaming | plain-flour 227, butter 113, lard 113, demerara-sugar 227, egg 159, baking-soda 2.5, milk 140, fold-in: currants 227, sultana 227, mixed-peel 57
butter-cake-high-ratio | US | cup cakes by coating the flour | creaming | plain-flour 175, baking-powder 6.5, salt 1.5, caster-sugar 200, butter 113, egg 106, egg-yolk 18, sour-cream 120, milk 60, vanilla-extract 9
free/equal-weight-sponge | UK | syrup sponge for one | one-bowl, microwave | butter 25, caster-sugar 25, self-raising-flour 20, milk 25, egg-yolk 17
free/equal-weight-sponge | UK | jam sponge in a mug | one-bowl, microwave | butter 30, caster-sugar 30, self-raising-flour 32, egg 50
oil-cake/chocolate-cake | UK | chocolate sponge in a mug, microwaved | one-bowl, microwave | self-raising-flour 30, caster-sugar 50, cocoa-alkalised 10, egg 50, milk 40, neutral-oil 35
`;
