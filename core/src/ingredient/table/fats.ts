import type { Row } from './row.js';

/** Fats and oils. Columns and basis: see row.ts. */
// prettier-ignore
export const fats: readonly Row[] = [
  ['butter', 'Butter, unsalted', 'fat', [16.2, 81.3, 0.6, 0.8, 0, 0], 0.959, 'milk', { acid: [0, 0.3, 0.6], fatState: 'firm', shop: 'chilled' }, 'unsalted butter|sweet butter|melted butter|soft butter|cold butter|butter unsalted|browned butter|brown butter|white butter|makkhan|real butter|good butter|dairy butter|butr|batter butter'],
  ['butter-salted', 'Butter, salted', 'fat', [15.8, 80.5, 0.6, 0.8, 0, 0], 0.959, 'milk', { salt: 1.7, acid: [0, 0.3, 0.6], fatState: 'firm', shop: 'chilled' }, 'salted butter|slightly salted butter'],
  ['ghee', 'Ghee', 'fat', [0.2, 99.6, 0, 0, 0, 0], 0.91, 'milk', { fatState: 'firm', shop: 'chilled' }, 'clarified butter|desi ghee'],
  ['margarine', 'Baking block', 'fat', [17, 80, 0.3, 0.3, 0, 0], 0.95, 'milk', { salt: 1.2, fatState: 'firm', shop: 'chilled' }, 'margarine|baking margarine|block margarine|hard margarine|marg|marge|oleo|oleomargarine|margerine|stick margarine|cake margarine|dalda|vanaspati'],
  ['spread', 'Baking spread, 70 %', 'fat', [28, 70, 0.3, 0.3, 0, 0], 0.95, 'milk', { salt: 1.2, fatState: 'firm', shop: 'chilled' }, 'baking spread|soft margarine|sunflower spread'],
  ['neutral-oil', 'Neutral oil', 'fat', [0, 100, 0, 0, 0, 0], 0.92, '', { fatState: 'oil' }, 'oil|vegetable oil|sunflower oil|rapeseed oil|canola oil|corn oil|neutral-flavoured oil|neutral oil|cooking oil|flavourless oil|flavorless oil|odourless oil|refined oil|light oil|grapeseed oil|safflower oil|avocado oil|salad oil|rice bran oil|neutral-flavored oil|mild oil'],
  ['olive-oil', 'Olive oil', 'fat', [0, 100, 0, 0, 0, 0], 0.915, '', { fatState: 'oil' }, 'extra virgin olive oil|light olive oil|extra-virgin olive oil|fruity olive oil'],
  ['coconut-oil', 'Coconut oil', 'fat', [0, 100, 0, 0, 0, 0], 0.92, '', { fatState: 'firm' }, 'melted coconut oil|refined coconut oil|virgin coconut oil|copha|solid coconut fat|solidified coconut oil|coconut fat|palmin'],
  ['lard', 'Lard', 'fat', [0, 99.8, 0, 0, 0, 0], 0.9, '', { fatState: 'firm', shop: 'chilled' }, 'dripping|beef dripping|pork fat|bacon fat|bacon grease|bacon drippings|bacon dripping|drippings|beef fat|rendered fat'],
  ['shortening', 'Vegetable shortening', 'fat', [0, 100, 0, 0, 0, 0], 0.84, '', { fatState: 'firm' }, 'shortening|vegetable shortening|white vegetable fat|vegetable fat|white fat|solid vegetable fat|vanaspati'],
  ['suet', 'Suet, shredded', 'fat', [1.5, 86, 0, 0.5, 11.5, 0.5], 0.55, 'wheat', { from: 'meat', fatState: 'firm', shop: 'chilled', odd: true }, 'beef suet|shredded suet|vegetable suet|suet'],
  ['plant-butter', 'Plant block', 'fat', [20, 78, 0.3, 0.2, 0, 0], 0.95, '', { salt: 1.2, fatState: 'firm', shop: 'chilled' }, 'plant block|vegan butter|plant butter|vegan block|dairy-free butter|dairy-free block|vegan margarine|plant-based butter|non-dairy butter|vegan baking block|dairy-free spread|dairy free margarine'],
  ['spread-light', 'Light spread, 40 %', 'fat', [57, 40, 0.5, 0.3, 0.8, 0], 0.97, 'milk', { salt: 1.2, fatState: 'firm', shop: 'chilled', odd: true }, 'light spread|low-fat spread|half-fat butter|reduced-fat spread|light butter'],
  ['peanut-oil', 'Peanut oil', 'fat', [0, 100, 0, 0, 0, 0], 0.915, 'peanut', { fatState: 'oil' }, 'groundnut oil|arachis oil'],
  ['soybean-oil', 'Soybean oil', 'fat', [0, 100, 0, 0, 0, 0], 0.92, 'soy', { fatState: 'oil' }, 'soya oil|soy oil'],
  ['nut-oil', 'Nut oil', 'fat', [0, 100, 0, 0, 0, 0], 0.92, 'nuts', { fatState: 'oil' }, 'walnut oil|hazelnut oil|almond oil'],
  ['sesame-oil', 'Sesame oil', 'fat', [0, 100, 0, 0, 0, 0], 0.92, 'sesame', { fatState: 'oil', odd: true }, 'gingelly oil|toasted sesame oil'],
  ['mustard-oil', 'Mustard oil', 'fat', [0, 100, 0, 0, 0, 0], 0.91, 'mustard', { fatState: 'oil', odd: true }, ''],
  ['tahini', 'Tahini', 'fat', [2.5, 55, 0.8, 20, 7, 10], 1.02, 'sesame', { fatState: 'paste' }, 'sesame paste|light tahini|runny tahini'],
  ['almond-butter', 'Almond butter', 'fat', [1.6, 55.5, 4.4, 21, 4.5, 10.3], 1.05, 'almond|nuts', { fatState: 'paste' }, 'nut butter|cashew butter|hazelnut butter'],
  ['mayonnaise', 'Mayonnaise', 'fat', [18, 77, 1.2, 1.2, 0.3, 0], 0.95, 'egg|mustard', { acid: [3, 5, 8], salt: 1.3, fatState: 'paste', odd: true }, 'mayo'],
];
