import type { Row } from './row.js';

/** Soda, powders and acids. Columns and basis: see row.ts. */
// prettier-ignore
export const leaveners: readonly Row[] = [
  ['baking-soda', 'Baking soda', 'leavener', [0, 0, 0, 0, 0, 0], 1.014, '', { leavener: 'soda' }, 'bicarbonate of soda|bicarb|bicarb soda|bicarbonate soda|sodium bicarbonate|soda|bread soda|bi-carb|soda bicarbonate|cooking soda|bicarb of soda|meetha soda|soda bicarb|sodium bicarb|bs|natron|bicarbonate|bicarbonates|carb soda|carb of soda|bi carb|baking-soda|sodium hydrogen carbonate|soda powder|bic soda|b soda|eating soda|bisoda'],
  ['baking-powder', 'Baking powder', 'leavener', [6, 0, 0, 0, 30, 0], 0.91, '', { leavener: 'powder' }, 'double acting baking powder|double-acting baking powder|baking-powder|bp|b p|b powder|baking pdr|baking pwd|baking pwdr|b pwd|b pdr|raising powder|gluten-free baking powder|gluten free baking powder|gf baking powder|bak powder|bkg powder|bp gf|gf bp'],
  ['baking-powder-tartrate', 'Baking powder, tartrate', 'leavener', [5, 0, 0, 0, 20, 0], 0.86, '', { leavener: 'powder', powder: 'single-acting tartrate' }, 'cream of tartar baking powder|single acting baking powder|single-acting baking powder'],
  ['baking-powder-aluminium-free', 'Baking powder, aluminium-free', 'leavener', [6, 0, 0, 0, 30, 0], 0.91, '', { leavener: 'powder', powder: 'aluminium-free' }, 'aluminum-free baking powder|aluminium free baking powder|aluminum free baking powder'],
  ['cream-of-tartar', 'Cream of tartar', 'leavener', [0.2, 0, 0, 0, 0, 0.2], 0.65, '', { leavener: 'acid', acid: [525, 531, 531.4] }, 'tartar|potassium bitartrate|cream tartar|cream of tarter|crem tartar|c of t'],
  ['citric-acid', 'Citric acid', 'leavener', [0.2, 0, 0, 0, 0, 0], 0.95, '', { leavener: 'acid', acid: [1500, 1555, 1562] }, 'citric acid powder|lemon salt|sour salt'],
  ['baking-powder-low-sodium', 'Low-sodium baking powder', 'leavener', [6, 0, 0, 0, 30, 0], 0.88, '', { leavener: 'powder', powder: 'low-sodium', cautions: ['potassium'] }, 'baking powder, low-sodium|baking powder low-sodium|low-sodium baking powder|sodium-free baking powder|low sodium baking powder|salt-free baking powder'],
  ['baking-powder-home-made', 'Baking powder, home-made', 'leavener', [4, 0, 0, 0, 18, 0], 0.7, '', { leavener: 'powder', powder: 'home-made 1:2:1' }, 'home-made baking powder|homemade baking powder'],
  ['tartaric-acid', 'Tartaric acid', 'leavener', [0.2, 0, 0, 0, 0, 0], 0.98, '', { leavener: 'acid', acid: [1300, 1331, 1333] }, 'tartaric acid powder'],
  ['malic-acid', 'Malic acid', 'leavener', [0.2, 0, 0, 0, 0, 0], 0.9, '', { leavener: 'acid', acid: [1450, 1489, 1492] }, ''],
  ['ascorbic-acid', 'Vitamin C powder', 'leavener', [0.2, 0, 0, 0, 0, 0], 0.9, '', { leavener: 'acid', acid: [550, 566, 568] }, 'ascorbic acid|vitamin c'],
  ['gdl', 'Glucono delta-lactone', 'leavener', [0.2, 0, 0, 0, 0, 0], 0.75, '', { leavener: 'acid', acid: [520, 536, 561], odd: true }, 'glucono-delta-lactone|gluconolactone'],
  ['calcium-phosphate-acid', 'Monocalcium phosphate', 'leavener', [7, 0, 0, 0, 0, 0], 0.9, '', { leavener: 'acid', acid: [900, 952, 990], odd: true }, 'mcp|monocalcium phosphate|calcium acid phosphate'],
  ['sapp', 'Sodium acid pyrophosphate', 'leavener', [0.5, 0, 0, 0, 0, 0], 0.95, '', { leavener: 'acid', acid: [820, 857, 880], odd: true }, 'sodium acid pyrophosphate|disodium pyrophosphate'],
];
