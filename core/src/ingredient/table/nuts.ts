import type { Row } from './row.js';

/** Nuts and seeds, whole, ground and as butter. Columns and basis: see row.ts. */
// prettier-ignore
export const nuts: readonly Row[] = [
  ['walnut', 'Walnuts', 'addin', [4, 65, 2.6, 15, 0.5, 6.7], 0.46, 'walnut', { piece: [1.5, 2, 2.6], pieces: true }, 'walnuts|chopped walnuts|walnut halves|walnut pieces|toasted walnuts|akhrot'],
  ['pecan', 'Pecans', 'addin', [3.5, 72, 4, 9, 0.5, 9.6], 0.46, 'pecan', { piece: [1.2, 1.6, 2.1], pieces: true }, 'pecans|chopped pecans|pecan nuts|pecan halves|toasted pecans'],
  ['almond', 'Almonds', 'addin', [4.5, 50, 4.4, 21, 4.5, 12.5], 0.5, 'almond', { piece: [1, 1.2, 1.5], pieces: true }, 'almonds|flaked almonds|sliced almonds|chopped almonds|slivered almonds|whole almonds|blanched almonds|almond flakes|badam|nibbed almonds'],
  ['hazelnut', 'Hazelnuts', 'addin', [5, 61, 4.3, 15, 2, 9.7], 0.5, 'hazelnut', { piece: [1, 1.3, 1.6], pieces: true }, 'hazelnuts|chopped hazelnuts|toasted hazelnuts|filberts|cobnuts'],
  ['pistachio', 'Pistachios', 'addin', [4.2, 45.5, 7.7, 20.2, 9, 10.5], 0.52, 'pistachio', { pieces: true }, 'pistachios|chopped pistachios|pistachio nuts|shelled pistachios|pista'],
  ['nuts', 'Mixed nuts', 'addin', [4.5, 55, 4, 17, 5, 9], 0.48, 'nuts', { pieces: true }, 'chopped nuts|mixed nuts|nut pieces|nut|mixed chopped nuts|almonds and cashews|nuts of your choice|any nuts|broken nuts|hickory nuts|black walnuts'],
  ['peanut-butter', 'Peanut butter', 'fat', [1.5, 50, 8, 24, 5, 6.5], 1.08, 'peanut', { salt: 0.9, fatState: 'paste' }, 'smooth peanut butter|crunchy peanut butter|creamy peanut butter|natural peanut butter'],
  ['sunflower-seed', 'Sunflower seeds', 'addin', [4.7, 51.5, 2.6, 20.8, 8, 8.6], 0.59, '', { pieces: true }, 'sunflower seeds|sunflower kernels'],
  ['pumpkin-seed', 'Pumpkin seeds', 'addin', [5.2, 49, 1.4, 30.2, 3, 6], 0.55, '', { pieces: true }, 'pumpkin seeds|pepitas'],
  ['sesame-seed', 'Sesame seeds', 'addin', [4.7, 49.7, 0.3, 17.7, 5, 11.8], 0.6, 'sesame', { pieces: true }, 'sesame seeds|sesame|til|black sesame'],
  ['poppy-seed', 'Poppy seeds', 'addin', [6, 41.6, 3, 18, 5.5, 19.5], 0.6, '', { pieces: true }, 'poppy seeds|khus khus|blue poppy seeds'],
  ['desiccated-coconut', 'Desiccated coconut', 'addin', [3, 63, 6.5, 6.9, 1, 16.5], 0.36, '', { drinks: 0.7, structure: 0.15 }, 'desiccated coconut|dessicated coconut|shredded coconut|unsweetened coconut|coconut|dried coconut|grated dry coconut|dry coconut|unsweetened shredded coconut|dessicated|desiccated|copra|fine coconut|coconut, desiccated|threaded coconut'],
  ['ground-hazelnut', 'Ground hazelnuts', 'addin', [5, 61, 4.3, 15, 2, 9.7], 0.4, 'hazelnut', { base: 'nut', drinks: 0.35, structure: 0.35 }, 'hazelnut flour|hazelnut meal|ground hazelnuts'],
  ['ground-walnut', 'Ground walnuts', 'addin', [4, 65, 2.6, 15, 0.5, 6.7], 0.38, 'walnut|pecan', { base: 'nut', drinks: 0.3, structure: 0.3 }, 'ground walnuts|walnut meal|ground pecans|pecan meal'],
  ['ground-pistachio', 'Ground pistachios', 'addin', [4.2, 45.5, 7.7, 20.2, 9, 10.5], 0.42, 'pistachio', { base: 'nut', drinks: 0.4, structure: 0.4 }, 'ground pistachios|pistachio flour|pistachio meal'],
  ['cashew', 'Cashews', 'addin', [5, 44, 6, 18, 21, 3.3], 0.53, 'cashew', { piece: [1.2, 1.5, 1.9], pieces: true }, 'cashews|cashew nuts|cashewnuts|kaju|cashew nut|chopped cashews'],
  ['macadamia', 'Macadamias', 'addin', [1.5, 76, 4.6, 8, 1, 8.6], 0.55, 'macadamia', { piece: [2, 2.5, 3], pieces: true }, 'macadamias|macadamia nuts|chopped macadamias'],
  ['brazil-nut', 'Brazil nuts', 'addin', [3.5, 67, 2.3, 14.3, 0.5, 7.5], 0.55, 'brazil nut', { piece: [3.5, 4.5, 5.5], pieces: true }, 'brazil nuts|brazils'],
  ['pine-nut', 'Pine nuts', 'addin', [2.3, 68, 3.6, 13.7, 1.5, 3.7], 0.55, 'pine nut', { pieces: true }, 'pine nuts|pine kernels'],
  ['peanut', 'Peanuts', 'addin', [4, 49.5, 4.5, 25, 6, 8.5], 0.6, 'peanut', { pieces: true }, 'peanuts|roasted peanuts|salted peanuts|chopped peanuts'],
  ['chestnut-puree', 'Chestnut purée', 'fruit', [60, 1.5, 12, 2.2, 18, 5], 1.05, '', { acid: [0.5, 1, 2] }, 'chestnut puree|chestnuts|cooked chestnuts|chestnut spread|vacuum-packed chestnuts'],
  ['coconut-flakes', 'Coconut flakes', 'addin', [3, 63, 6.5, 6.9, 1, 16.5], 0.22, '', { pieces: true }, 'flaked coconut|coconut chips|toasted coconut flakes|coconut shavings'],
  ['coconut-sweetened', 'Sweetened coconut', 'addin', [14, 34, 38, 3, 0.5, 9.5], 0.4, '', { drinks: 0.3, sugarCounts: true }, 'sweetened coconut|sweetened shredded coconut|sweetened flaked coconut|angel flake coconut'],
  ['linseed', 'Linseed, whole', 'addin', [7, 41, 1.6, 19, 1, 27], 0.7, '', { pieces: true, drinks: 0.3 }, 'linseeds|flaxseeds|flax seeds|flaxseed|golden linseed|flax seed|whole flaxseed|flax'],
  ['hemp-seed', 'Hemp seed', 'addin', [5, 48, 1.5, 31, 2, 5], 0.6, '', { pieces: true }, 'hemp seeds|hemp hearts|shelled hemp'],
  ['mixed-seeds', 'Mixed seeds', 'addin', [5.5, 47, 2, 23, 5.5, 13], 0.58, 'sesame', { pieces: true }, 'mixed seeds|seeds|seed mix|omega seed mix|four-seed mix|sunflower and pumpkin seeds|pumpkin and sunflower seeds|sunflower and sesame seeds|linseed and sunflower seeds'],
];
