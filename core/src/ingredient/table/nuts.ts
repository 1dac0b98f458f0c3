import type { Row } from './row.js';

/** Nuts and seeds, whole, ground and as butter. Columns and basis: see row.ts. */
// prettier-ignore
export const nuts: readonly Row[] = [
  ['walnut', 'Walnuts', 'addin', [4, 65, 2.6, 15, 0.5, 6.7], 0.46, 'walnut', { piece: [1.5, 2, 2.6], pieces: true, stains: 'grey', shop: 'nuts and dried fruit' }, 'walnuts|chopped walnuts|walnut halves|walnut pieces|toasted walnuts|akhrot'],
  ['pecan', 'Pecans', 'addin', [3.5, 72, 4, 9, 0.5, 9.6], 0.46, 'pecan', { piece: [1.2, 1.6, 2.1], pieces: true, shop: 'nuts and dried fruit' }, 'pecans|chopped pecans|pecan nuts|pecan halves|toasted pecans'],
  ['almond', 'Almonds', 'addin', [4.5, 50, 4.4, 21, 4.5, 12.5], 0.5, 'almond', { piece: [1, 1.2, 1.5], pieces: true, shop: 'nuts and dried fruit' }, 'almonds|flaked almonds|sliced almonds|chopped almonds|slivered almonds|whole almonds|blanched almonds|almond flakes|badam|nibbed almonds'],
  ['hazelnut', 'Hazelnuts', 'addin', [5, 61, 4.3, 15, 2, 9.7], 0.5, 'hazelnut', { piece: [1, 1.3, 1.6], pieces: true, shop: 'nuts and dried fruit' }, 'hazelnuts|chopped hazelnuts|toasted hazelnuts|filberts|cobnuts'],
  ['pistachio', 'Pistachios', 'addin', [4.2, 45.5, 7.7, 20.2, 9, 10.5], 0.52, 'pistachio', { pieces: true, shop: 'nuts and dried fruit' }, 'pistachios|chopped pistachios|pistachio nuts|shelled pistachios|pista'],
  ['nuts', 'Mixed nuts', 'addin', [4.5, 55, 4, 17, 5, 9], 0.48, 'nuts', { pieces: true, shop: 'nuts and dried fruit' }, 'chopped nuts|mixed nuts|nut pieces|nut|mixed chopped nuts|almonds and cashews|nuts of your choice|any nuts|broken nuts|hickory nuts|black walnuts'],
  ['peanut-butter', 'Peanut butter', 'fat', [1.5, 50, 8, 24, 5, 6.5], 1.08, 'peanut', { salt: 0.9, fatState: 'paste' }, 'smooth peanut butter|crunchy peanut butter|creamy peanut butter|natural peanut butter'],
  ['sunflower-seed', 'Sunflower seeds', 'addin', [4.7, 51.5, 2.6, 20.8, 8, 8.6], 0.59, '', { pieces: true, stains: 'green', shop: 'nuts and dried fruit' }, 'sunflower seeds|sunflower kernels'],
  ['pumpkin-seed', 'Pumpkin seeds', 'addin', [5.2, 49, 1.4, 30.2, 3, 6], 0.55, '', { pieces: true, shop: 'nuts and dried fruit' }, 'pumpkin seeds|pepitas'],
  ['sesame-seed', 'Sesame seeds', 'addin', [3.3, 43.1, 0.7, 21.7, 7.9, 17], 0.6, 'sesame', { measured: 'H011', pieces: true, shop: 'nuts and dried fruit' }, 'sesame seeds|sesame|til|black sesame'],
  ['poppy-seed', 'Poppy seeds', 'addin', [4.2, 30.4, 1.9, 20.3, 10.4, 26.7], 0.6, '', { measured: 'G032', pieces: true, shop: 'nuts and dried fruit' }, 'poppy seeds|poppy|poppyseed|poppyseeds|khus khus|blue poppy seeds'],
  ['desiccated-coconut', 'Desiccated coconut', 'addin', [4, 63.3, 6.9, 7.3, 0, 15.9], 0.36, '', { measured: 'H006', drinks: 0.7, structure: 0.15, shop: 'nuts and dried fruit' }, 'desiccated coconut|dessicated coconut|shredded coconut|unsweetened coconut|coconut|dried coconut|grated dry coconut|dry coconut|unsweetened shredded coconut|dessicated|desiccated|copra|fine coconut|coconut, desiccated|threaded coconut'],
  ['ground-hazelnut', 'Ground hazelnuts', 'addin', [5, 61, 4.3, 15, 2, 9.7], 0.4, 'hazelnut', { base: 'nut', drinks: 0.35, structure: 0.35, shop: 'nuts and dried fruit' }, 'hazelnut flour|hazelnut meal|ground hazelnuts'],
  ['ground-walnut', 'Ground walnuts', 'addin', [4, 65, 2.6, 15, 0.5, 6.7], 0.38, 'walnut|pecan', { base: 'nut', drinks: 0.3, structure: 0.3, stains: 'grey', shop: 'nuts and dried fruit' }, 'ground walnuts|walnut meal|ground pecans|pecan meal'],
  ['ground-pistachio', 'Ground pistachios', 'addin', [4.2, 45.5, 7.7, 20.2, 9, 10.5], 0.42, 'pistachio', { base: 'nut', drinks: 0.4, structure: 0.4, shop: 'nuts and dried fruit' }, 'ground pistachios|pistachio flour|pistachio meal'],
  ['cashew', 'Cashews', 'addin', [5, 44, 6, 18, 21, 3.3], 0.53, 'cashew', { piece: [1.2, 1.5, 1.9], pieces: true, shop: 'nuts and dried fruit' }, 'cashews|cashew nuts|cashewnuts|kaju|cashew nut|chopped cashews'],
  ['macadamia', 'Macadamias', 'addin', [1.5, 76, 4.6, 8, 1, 8.6], 0.55, 'macadamia', { piece: [2, 2.5, 3], pieces: true, shop: 'nuts and dried fruit' }, 'macadamias|macadamia nuts|chopped macadamias'],
  ['brazil-nut', 'Brazil nuts', 'addin', [3.5, 67, 2.3, 14.3, 0.5, 7.5], 0.55, 'brazil nut', { piece: [3.5, 4.5, 5.5], pieces: true, shop: 'nuts and dried fruit' }, 'brazil nuts|brazils'],
  ['pine-nut', 'Pine nuts', 'addin', [2.3, 68, 3.6, 13.7, 1.5, 3.7], 0.55, 'pine nut', { pieces: true, shop: 'nuts and dried fruit' }, 'pine nuts|pine kernels'],
  ['peanut', 'Peanuts', 'addin', [4, 49.5, 4.5, 25, 6, 8.5], 0.6, 'peanut', { pieces: true, shop: 'nuts and dried fruit' }, 'peanuts|roasted peanuts|salted peanuts|chopped peanuts'],
  ['chestnut-puree', 'Chestnut purée', 'fruit', [60, 1.5, 12, 2.2, 18, 5], 1.05, '', { acid: [0.5, 1, 2], shop: 'baking shelf' }, 'chestnut puree|chestnuts|cooked chestnuts|chestnut spread|vacuum-packed chestnuts'],
  ['coconut-flakes', 'Coconut flakes', 'addin', [4, 63.3, 6.9, 7.3, 0, 15.9], 0.22, '', { measured: 'H006', pieces: true, shop: 'nuts and dried fruit', cautions: ['choking'] }, 'flaked coconut|coconut chips|toasted coconut flakes|coconut shavings'],
  ['coconut-sweetened', 'Sweetened coconut', 'addin', [14, 34, 38, 3, 0.5, 9.5], 0.4, '', { drinks: 0.3, sugarCounts: true, shop: 'nuts and dried fruit' }, 'sweetened coconut|sweetened shredded coconut|sweetened flaked coconut|angel flake coconut'],
  ['linseed', 'Linseed, whole', 'addin', [5.5, 35.7, 0.6, 18.6, 7.6, 26.2], 0.7, '', { measured: 'H014', pieces: true, drinks: 0.3, shop: 'nuts and dried fruit' }, 'linseeds|flaxseeds|flax seeds|flaxseed|golden linseed|flax seed|whole flaxseed|flax'],
  ['hemp-seed', 'Hemp seed', 'addin', [5, 48, 1.5, 31, 2, 5], 0.6, '', { pieces: true, shop: 'nuts and dried fruit' }, 'hemp seeds|hemp hearts|shelled hemp'],
  ['mixed-seeds', 'Mixed seeds', 'addin', [5.5, 47, 2, 23, 5.5, 13], 0.58, 'sesame', { pieces: true, stains: 'green', shop: 'nuts and dried fruit' }, 'mixed seeds|seeds|seed mix|omega seed mix|four-seed mix|sunflower and pumpkin seeds|pumpkin and sunflower seeds|sunflower and sesame seeds|linseed and sunflower seeds'],
];
