import type { Band, PowderType, Role } from '../formula/types.js';

/**
 * Typical composition of ingredients as a home baker buys them, in grams per 100 g, with density as measured.
 *
 * Basis of every row unless it says otherwise: general knowledge, not looked up. Acid bands are those of
 * docs/science/leavening.md. The tests check that parts sum to at most 100, that energy from parts is plausible and
 * that a cup of each staple weighs what bakers expect.
 *
 * Columns: id, name, role, [water, fat, sugar, protein, starch, fibre], g per ml, allergens, more, aliases.
 */
export interface Extra {
  acid?: [number, number, number];
  piece?: [number, number, number];
  pieces?: true;
  fatCounts?: boolean;
  sugarCounts?: boolean;
  salt?: number;
  drinks?: number;
  structure?: number;
  base?: 'flour' | 'nut' | 'cocoa';
  leavener?: 'soda' | 'powder' | 'acid';
  powder?: PowderType;
  co2?: [number, number, number];
}
export type Row = [
  id: string,
  name: string,
  role: Role,
  parts: [number, number, number, number, number, number],
  gPerMl: number,
  allergens: string,
  more: Extra,
  aliases: string,
];

const flour = (more: Extra = {}): Extra => ({ base: 'flour', acid: [0.5, 0.9, 1.4], ...more });

// prettier-ignore
export const rows: readonly Row[] = [
  // flours, meals and starches
  ['plain-flour', 'Plain flour', 'flour', [12.5, 1.2, 0.6, 10.3, 72.2, 2.7], 0.515, 'wheat', flour(), 'flour|all-purpose flour|all purpose flour|ap flour|white flour|plain white flour|maida|wheat flour'],
  ['bread-flour', 'Bread flour', 'flour', [12.5, 1.4, 0.6, 12.8, 69.3, 2.9], 0.53, 'wheat', flour({ drinks: 0.03 }), 'strong flour|strong white flour|strong white bread flour'],
  ['cake-flour', 'Cake flour', 'flour', [12.5, 0.9, 0.5, 8.4, 75, 2.2], 0.48, 'wheat', flour(), 'soft flour|sponge flour|pastry flour|low protein flour'],
  ['self-raising-flour', 'Self-raising flour', 'flour', [12.5, 1.2, 0.6, 10, 70.8, 2.7], 0.515, 'wheat', flour({ co2: [10, 12.5, 15] }), 'self raising flour|sr flour|self-raising white flour'],
  ['self-rising-flour', 'Self-rising flour, salted', 'flour', [12, 1.1, 0.6, 9, 70.5, 2.6], 0.5, 'wheat', flour({ co2: [10, 12.5, 15], salt: 1.75 }), 'self rising flour'],
  ['wholemeal-flour', 'Wholemeal flour', 'flour', [12, 2.2, 1, 12.2, 60, 10.8], 0.51, 'wheat', flour({ acid: [1.5, 2.5, 3.5], drinks: 0.08 }), 'whole wheat flour|wholewheat flour|whole-wheat flour|whole meal flour|wholemeal wheat flour|atta|atta flour|graham flour'],
  ['spelt-flour', 'Spelt flour', 'flour', [12, 2.3, 1, 13, 62.5, 7.5], 0.48, 'wheat', flour({ acid: [1, 1.8, 2.8], drinks: 0.03 }), 'white spelt flour|wholegrain spelt flour|spelt'],
  ['rye-flour', 'Rye flour', 'flour', [12, 1.7, 1.2, 9, 60, 14.5], 0.46, 'rye', flour({ acid: [1.5, 2.5, 3.5], drinks: 0.12 }), 'dark rye flour|light rye flour|wholegrain rye flour|rye'],
  ['barley-flour', 'Barley flour', 'flour', [12, 2, 0.8, 10.5, 62, 11], 0.5, 'barley', flour({ acid: [1, 1.8, 2.8], drinks: 0.08 }), 'barley meal'],
  ['oat-flour', 'Oat flour', 'flour', [9, 7, 1, 13, 57.5, 10], 0.4, 'oats', flour({ acid: [1, 1.5, 2.5], drinks: 0.12 }), 'ground oats|oatmeal flour'],
  ['rolled-oats', 'Rolled oats', 'flour', [9.5, 7, 1, 13, 56.5, 10], 0.38, 'oats', flour({ acid: [1, 1.5, 2.5], drinks: 0.15 }), 'oats|porridge oats|old fashioned oats|quick oats|oatmeal'],
  ['buckwheat-flour', 'Buckwheat flour', 'flour', [11.5, 3, 1.5, 12.3, 61, 8.5], 0.51, '', flour({ acid: [1, 1.8, 2.8], drinks: 0.08 }), 'buckwheat'],
  ['millet-flour', 'Millet flour', 'flour', [10, 4, 1, 11, 66, 6], 0.5, '', flour({ drinks: 0.05 }), 'bajra flour'],
  ['rice-flour', 'Rice flour', 'flour', [12, 1.2, 0.2, 6.5, 77, 2.2], 0.62, '', flour({ acid: [0.3, 0.6, 1] }), 'ground rice|white rice flour|brown rice flour'],
  ['chickpea-flour', 'Chickpea flour', 'flour', [10, 6.5, 8, 22, 40, 10.5], 0.39, '', flour({ acid: [1.5, 2.5, 4] }), 'gram flour|besan'],
  ['maize-meal', 'Maize meal', 'flour', [11.5, 3.5, 0.8, 8, 68, 7], 0.62, '', flour({ acid: [0.6, 1, 1.6], drinks: 0.1 }), 'cornmeal|corn meal|yellow cornmeal|polenta|maize flour|fine polenta|masa'],
  ['semolina', 'Semolina', 'flour', [12.5, 1.1, 0.6, 12, 69, 3.9], 0.7, 'wheat', flour({ drinks: 0.05 }), 'sooji|rava|fine semolina'],
  ['maize-starch', 'Maize starch', 'flour', [12, 0.1, 0, 0.3, 86.6, 0.9], 0.54, '', flour({ acid: [0, 0.1, 0.3] }), 'cornstarch|corn starch|cornflour|corn flour'],
  ['potato-starch', 'Potato starch', 'flour', [17, 0.1, 0, 0.2, 82.3, 0.2], 0.68, '', flour({ acid: [0, 0.1, 0.3] }), 'potato flour'],
  ['tapioca-starch', 'Tapioca starch', 'flour', [12, 0, 0, 0.2, 87.2, 0.5], 0.51, '', flour({ acid: [0, 0.1, 0.3] }), 'tapioca flour|cassava starch'],
  ['wheat-bran', 'Wheat bran', 'flour', [9.5, 4.5, 1, 15.5, 21.5, 43], 0.25, 'wheat', flour({ acid: [1.5, 2.5, 4], drinks: 0.9 }), 'bran|oat bran'],
  ['ground-almond', 'Ground almonds', 'addin', [5, 51, 4.5, 21, 4.5, 11], 0.41, 'almond', { base: 'nut', drinks: 0.4, structure: 0.4 }, 'almond flour|almond meal|ground almond'],
  ['coconut-flour', 'Coconut flour', 'flour', [6, 14, 8, 19, 11, 38], 0.47, '', flour({ drinks: 2.5 }), ''],

  // cocoa and chocolate
  ['cocoa-natural', 'Cocoa, natural', 'cocoa', [4, 13, 1.5, 20, 20, 32], 0.36, '', { base: 'cocoa', acid: [20, 30, 45], drinks: 0.7, structure: 0.5 }, 'cocoa|cocoa powder|natural cocoa|unsweetened cocoa|unsweetened cocoa powder|natural cocoa powder'],
  ['cocoa-alkalised', 'Cocoa, alkalised', 'cocoa', [4, 13, 1.5, 19, 19, 32], 0.36, '', { base: 'cocoa', acid: [-8, 0, 4], drinks: 0.7, structure: 0.5 }, 'dutch process cocoa|dutch-process cocoa|dutched cocoa|alkalised cocoa|alkalized cocoa|dark cocoa'],
  ['dark-chocolate', 'Dark chocolate', 'addin', [1, 40, 33, 7.5, 4, 10.5], 0.72, 'soy', { acid: [3, 6, 10], fatCounts: true, sugarCounts: true }, 'chocolate|plain chocolate|bittersweet chocolate|semisweet chocolate|melted chocolate|melted dark chocolate'],
  ['chocolate-chips', 'Chocolate chips', 'addin', [1, 32, 50, 5, 3, 6.5], 0.72, 'soy|milk', { acid: [3, 6, 10], pieces: true }, 'chocolate chip|dark chocolate chips|milk chocolate chips|semisweet chocolate chips|chocolate chunks'],

  // sugars and syrups
  ['white-sugar', 'Granulated sugar', 'sugar', [0, 0, 99.9, 0, 0, 0], 0.845, '', {}, 'sugar|granulated sugar|white granulated sugar|white sugar|cane sugar'],
  ['caster-sugar', 'Caster sugar', 'sugar', [0, 0, 99.9, 0, 0, 0], 0.86, '', {}, 'castor sugar|superfine sugar|golden caster sugar'],
  ['light-brown-sugar', 'Light brown sugar', 'sugar', [1.5, 0, 96.5, 0.1, 0, 0], 0.92, '', { acid: [0.3, 0.6, 1] }, 'brown sugar|soft brown sugar|soft light brown sugar|light muscovado sugar|packed brown sugar|light muscovado'],
  ['dark-brown-sugar', 'Dark brown sugar', 'sugar', [2, 0, 95, 0.2, 0, 0], 0.93, '', { acid: [0.6, 1, 1.6] }, 'soft dark brown sugar|dark muscovado sugar|muscovado|dark muscovado|muscovado sugar'],
  ['demerara-sugar', 'Demerara sugar', 'sugar', [0.5, 0, 98.8, 0, 0, 0], 0.9, '', { acid: [0.2, 0.4, 0.8] }, 'turbinado sugar|raw sugar|demerara'],
  ['jaggery', 'Jaggery', 'sugar', [4, 0, 92, 0.5, 0, 0], 0.85, '', { acid: [0.6, 1, 1.8] }, 'palm sugar|gur|coconut sugar'],
  ['icing-sugar', 'Icing sugar', 'sugar', [0.4, 0, 97, 0, 2.5, 0], 0.5, '', {}, 'powdered sugar|confectioners sugar|confectioners\' sugar'],
  ['honey', 'Honey', 'sugar', [17.5, 0, 81, 0.3, 0, 0.1], 1.42, '', { acid: [1.5, 3, 5] }, 'runny honey|clear honey'],
  ['golden-syrup', 'Golden syrup', 'sugar', [18, 0, 80, 0.2, 0, 0], 1.42, '', { acid: [0.5, 1, 2] }, 'light treacle|corn syrup|glucose syrup'],
  ['treacle', 'Treacle', 'sugar', [21, 0, 73, 0.5, 0, 0], 1.42, '', { acid: [8, 14, 20] }, 'black treacle|molasses|dark molasses|unsulphured molasses'],
  ['maple-syrup', 'Maple syrup', 'sugar', [32.5, 0, 66.5, 0, 0, 0], 1.32, '', { acid: [0.3, 0.7, 1.5] }, 'maple'],
  ['malt-extract', 'Malt extract', 'sugar', [20, 0, 72, 5, 2, 0], 1.4, 'barley', { acid: [3, 5, 8] }, 'malt syrup|barley malt|barley malt extract|barley malt syrup'],

  // fats
  ['butter', 'Butter, unsalted', 'fat', [16.2, 81.3, 0.6, 0.8, 0, 0], 0.959, 'milk', { acid: [0, 0.3, 0.6] }, 'unsalted butter|sweet butter|melted butter|soft butter|cold butter'],
  ['butter-salted', 'Butter, salted', 'fat', [15.8, 80.5, 0.6, 0.8, 0, 0], 0.959, 'milk', { salt: 1.7, acid: [0, 0.3, 0.6] }, 'salted butter|slightly salted butter'],
  ['ghee', 'Ghee', 'fat', [0.2, 99.6, 0, 0, 0, 0], 0.91, 'milk', {}, 'clarified butter'],
  ['margarine', 'Baking block', 'fat', [17, 80, 0.3, 0.3, 0, 0], 0.95, 'milk', { salt: 1.2 }, 'margarine|baking margarine|vegan butter|plant butter'],
  ['spread', 'Baking spread, 70 %', 'fat', [28, 70, 0.3, 0.3, 0, 0], 0.95, 'milk', { salt: 1.2 }, 'baking spread|soft margarine|sunflower spread'],
  ['neutral-oil', 'Neutral oil', 'fat', [0, 100, 0, 0, 0, 0], 0.92, '', {}, 'oil|vegetable oil|sunflower oil|rapeseed oil|canola oil|corn oil|neutral-flavoured oil|cooking oil'],
  ['olive-oil', 'Olive oil', 'fat', [0, 100, 0, 0, 0, 0], 0.915, '', {}, 'extra virgin olive oil|light olive oil'],
  ['coconut-oil', 'Coconut oil', 'fat', [0, 100, 0, 0, 0, 0], 0.92, '', {}, 'melted coconut oil'],
  ['lard', 'Lard', 'fat', [0, 99.8, 0, 0, 0, 0], 0.9, '', {}, 'shortening|vegetable shortening|dripping|suet'],

  // dairy and plant milks
  ['milk', 'Whole milk', 'liquid', [87.7, 3.6, 4.8, 3.3, 0, 0], 1.03, 'milk', { acid: [0.3, 0.6, 1] }, 'milk|full fat milk|full-fat milk|whole milk|warm milk|fresh milk'],
  ['milk-semi', 'Semi-skimmed milk', 'liquid', [89.4, 1.7, 4.8, 3.4, 0, 0], 1.03, 'milk', { acid: [0.3, 0.6, 1] }, 'semi skimmed milk|2% milk|low fat milk|low-fat milk|lowfat milk'],
  ['milk-skimmed', 'Skimmed milk', 'liquid', [90.8, 0.2, 4.9, 3.4, 0, 0], 1.035, 'milk', { acid: [0.3, 0.6, 1] }, 'skim milk|fat free milk|skimmed milk|nonfat milk'],
  ['milk-soured', 'Milk soured with lemon or vinegar', 'liquid', [87.9, 3.4, 4.7, 3.1, 0, 0], 1.03, 'milk', { acid: [4, 5, 6] }, 'sour milk|soured milk'],
  ['milk-powder', 'Dried milk', 'liquid', [3, 1, 52, 36, 0, 0], 0.5, 'milk', { acid: [4, 6, 9] }, 'dried milk|milk powder|skimmed milk powder|dry milk'],
  ['condensed-milk', 'Sweetened condensed milk', 'sugar', [27, 8.7, 54.5, 8, 0, 0], 1.3, 'milk', { fatCounts: true }, 'condensed milk'],
  ['buttermilk', 'Buttermilk', 'liquid', [90.3, 0.8, 4.6, 3.4, 0, 0], 1.03, 'milk', { acid: [7, 9, 11] }, 'cultured buttermilk|low-fat buttermilk'],
  ['yogurt', 'Plain yogurt', 'liquid', [86.8, 3.4, 4.7, 4, 0, 0], 1.035, 'milk', { acid: [9, 11, 14] }, 'yogurt|yoghurt|plain yogurt|plain yoghurt|natural yogurt|natural yoghurt|curd|dahi|whole milk yogurt'],
  ['yogurt-strained', 'Strained yogurt', 'liquid', [80, 5, 4, 9.5, 0, 0], 1.05, 'milk', { acid: [11, 13, 16] }, 'greek yogurt|greek yoghurt|greek-style yogurt|thick yogurt|skyr|hung curd'],
  ['kefir', 'Kefir', 'liquid', [88.5, 3.2, 4, 3.3, 0, 0], 1.03, 'milk', { acid: [7, 9, 11] }, 'milk kefir'],
  ['whey', 'Whey from yogurt', 'liquid', [93.5, 0.2, 4.6, 0.8, 0, 0], 1.025, 'milk', { acid: [5, 7, 9] }, 'whey'],
  ['sour-cream', 'Sour cream', 'liquid', [71.5, 19.5, 3.5, 2.8, 0, 0], 0.99, 'milk', { acid: [6, 7.5, 9], fatCounts: true }, 'soured cream'],
  ['creme-fraiche', 'Crème fraîche', 'liquid', [61, 33, 2.7, 2.4, 0, 0], 0.99, 'milk', { acid: [5, 6, 8], fatCounts: true }, 'creme fraiche'],
  ['cream-double', 'Double cream', 'liquid', [47.5, 47.5, 2.7, 1.7, 0, 0], 0.98, 'milk', { acid: [0.2, 0.5, 0.8], fatCounts: true }, 'double cream|heavy cream'],
  ['cream-whipping', 'Whipping cream', 'liquid', [58, 36, 3, 2.1, 0, 0], 0.99, 'milk', { acid: [0.2, 0.5, 0.8], fatCounts: true }, 'cream|whipping cream|heavy whipping cream|single cream'],
  ['cream-cheese', 'Cream cheese', 'liquid', [54, 33, 4, 6, 0, 0], 0.98, 'milk', { acid: [6, 8, 11], fatCounts: true, salt: 0.8 }, 'soft cheese|full-fat cream cheese'],
  ['cottage-cheese', 'Cottage cheese', 'liquid', [79, 4.3, 3, 11.5, 0, 0], 0.95, 'milk', { acid: [6, 8, 11], salt: 0.8 }, 'ricotta|quark|paneer'],
  ['hard-cheese', 'Hard cheese, grated', 'addin', [37, 33.5, 0.5, 25, 0, 0], 0.47, 'milk', { salt: 1.8, pieces: true }, 'cheese|cheddar|grated cheese|mature cheese|strong cheese|grated hard cheese|parmesan|hard cheese'],
  ['oat-drink', 'Oat drink', 'liquid', [90, 1.5, 4, 1, 2.5, 0.8], 1.03, 'oats', { acid: [0.1, 0.3, 0.6], sugarCounts: true }, 'oat milk'],
  ['soy-drink', 'Soy drink', 'liquid', [91, 1.9, 2, 3.4, 0.5, 0.6], 1.03, 'soy', { acid: [0.2, 0.5, 0.9], sugarCounts: true }, 'soya milk|soy milk|soya drink'],
  ['almond-drink', 'Almond drink', 'liquid', [96, 1.2, 1.2, 0.5, 0.3, 0.3], 1.01, 'almond', { acid: [0, 0.2, 0.5], sugarCounts: true }, 'almond milk|nut milk|rice milk|plant milk|non-dairy milk'],
  ['coconut-milk', 'Coconut milk', 'liquid', [71, 21, 3, 2.2, 1.2, 0.6], 1, '', { acid: [0.3, 0.6, 1.2], fatCounts: true }, 'canned coconut milk|tinned coconut milk|coconut cream'],

  // eggs and replacers
  ['egg', 'Egg', 'egg', [76, 9.7, 0.4, 12.6, 0, 0], 1.03, 'egg', { piece: [44, 50, 60], acid: [-0.3, 0, 0.3] }, 'eggs|whole egg|whole eggs|hens egg|beaten egg|beaten eggs'],
  ['egg-white', 'Egg white', 'egg', [87.8, 0.2, 0.7, 10.6, 0, 0], 1.035, 'egg', { piece: [30, 33, 38], acid: [-1.5, -1, -0.5] }, 'egg whites|whites'],
  ['egg-yolk', 'Egg yolk', 'egg', [51.5, 29, 0.6, 16, 0, 0], 1.03, 'egg', { piece: [14, 17, 20], acid: [0.5, 1, 2] }, 'egg yolks|yolks|yolk'],
  ['aquafaba', 'Aquafaba', 'liquid', [94, 0.2, 1, 1.3, 2.5, 0.3], 1.02, '', {}, 'chickpea water|chickpea liquid'],
  ['ground-flax', 'Ground flax seed', 'addin', [7, 41, 1.6, 19, 1, 27], 0.45, '', { drinks: 3, structure: 0.5 }, 'flaxseed meal|flax meal|ground flaxseed|linseed|ground linseed|flaxseed|chia seeds'],
  ['psyllium', 'Psyllium husk', 'addin', [7, 0.5, 0, 2, 2, 85], 0.35, '', { drinks: 12, structure: 1 }, 'psyllium husks|psyllium powder'],
  ['xanthan', 'Xanthan gum', 'addin', [11, 0, 0, 3, 0, 80], 0.55, '', { drinks: 10, structure: 2 }, 'xanthan'],

  // fruit and vegetables that meet the batter
  ['banana', 'Ripe banana, mashed', 'fruit', [75, 0.3, 16.5, 1.1, 3.5, 2.6], 0.95, '', { piece: [90, 115, 140], acid: [3, 5, 7] }, 'bananas|mashed banana|mashed bananas|ripe bananas|overripe bananas'],
  ['apple-puree', 'Apple purée', 'fruit', [87.5, 0.1, 10, 0.2, 0.3, 1.3], 1.03, '', { acid: [4, 6.5, 9] }, 'applesauce|apple sauce|unsweetened applesauce|apple puree|apple purée'],
  ['pumpkin-puree', 'Pumpkin purée', 'fruit', [90, 0.3, 3.3, 1.1, 2, 2.8], 1.03, '', { acid: [1, 2, 3] }, 'pumpkin puree|pumpkin|squash puree|canned pumpkin|pumpkin purée|squash'],
  ['carrot', 'Carrot, grated', 'fruit', [88.5, 0.2, 4.8, 0.9, 1.5, 2.8], 0.46, '', { piece: [50, 70, 110], acid: [0.8, 1.5, 2.5] }, 'carrots|grated carrot|grated carrots|shredded carrots'],
  ['courgette', 'Courgette, grated', 'fruit', [94.5, 0.3, 2.2, 1.2, 0.2, 1], 0.55, '', { piece: [150, 200, 260], acid: [0.6, 1, 2] }, 'zucchini|courgettes|grated courgette|grated zucchini|marrow'],
  ['parsnip', 'Parsnip, grated', 'fruit', [79.5, 0.3, 4.8, 1.5, 8.5, 4.6], 0.46, '', { piece: [70, 110, 160], acid: [1, 2, 3] }, 'parsnips|grated parsnip|grated parsnips'],
  ['beetroot', 'Beetroot, grated', 'fruit', [87.5, 0.2, 7, 1.6, 0, 2.8], 0.55, '', { piece: [70, 100, 150], acid: [1, 2, 3] }, 'beets|beet|grated beetroot|cooked beetroot'],
  ['sweet-potato', 'Sweet potato, mashed', 'fruit', [78, 0.1, 5.5, 1.6, 10.5, 3], 1.03, '', { piece: [110, 150, 220], acid: [1, 2, 3] }, 'mashed sweet potato|sweet potatoes'],
  ['lemon-juice', 'Lemon juice', 'acid', [91, 0.2, 2.5, 0.4, 0, 0.3], 1.03, '', { piece: [30, 40, 55], acid: [70, 85, 95] }, 'lemon juice|juice of lemon|lemon'],
  ['lime-juice', 'Lime juice', 'acid', [91, 0.1, 1.7, 0.4, 0, 0.3], 1.03, '', { piece: [20, 28, 38], acid: [70, 85, 95] }, 'lime juice|juice of lime|lime'],
  ['orange-juice', 'Orange juice', 'liquid', [88.5, 0.2, 8.5, 0.7, 0, 0.2], 1.04, '', { piece: [60, 80, 110], acid: [9, 13, 17] }, 'juice of orange|orange juice|orange'],
  ['vinegar', 'White vinegar, 5 %', 'acid', [94.5, 0, 0.1, 0, 0, 0], 1.01, '', { acid: [80, 83, 86] }, 'vinegar|white vinegar|cider vinegar|apple cider vinegar|wine vinegar|distilled vinegar'],

  // pieces
  ['apple', 'Apple, diced', 'fruit', [85.5, 0.2, 10.4, 0.3, 0.5, 2.2], 0.5, '', { piece: [90, 120, 160], acid: [4, 6.5, 9], pieces: true }, 'apples|diced apple|cooking apple|cooking apples|chopped apple|grated apple'],
  ['pear', 'Pear, diced', 'fruit', [84, 0.1, 9.8, 0.4, 0.2, 3.1], 0.65, '', { piece: [110, 150, 190], acid: [2, 3.5, 5], pieces: true }, 'pears|diced pear|diced pears|firm pears|ripe pears'],
  ['plum', 'Plum, stoned', 'fruit', [87, 0.3, 9.5, 0.7, 0, 1.5], 0.65, '', { piece: [45, 60, 80], acid: [12, 18, 26], pieces: true }, 'plums|damsons|apricots|peach|peaches'],
  ['rhubarb', 'Rhubarb, diced', 'fruit', [94, 0.2, 1.1, 0.9, 0.2, 1.8], 0.52, '', { acid: [18, 25, 32], pieces: true }, 'diced rhubarb|chopped rhubarb|rhubarb stalks'],
  ['blueberry', 'Blueberries', 'fruit', [84.2, 0.3, 10, 0.7, 0.1, 2.4], 0.62, '', { acid: [6, 11, 16], pieces: true }, 'blueberries|bilberries|fresh blueberries|frozen blueberries'],
  ['raspberry', 'Raspberries', 'fruit', [86, 0.6, 4.5, 1.2, 0, 6.5], 0.52, '', { acid: [16, 22, 28], pieces: true }, 'raspberries|blackberries|strawberries|mixed berries|berries'],
  ['cranberry', 'Cranberries', 'fruit', [87.3, 0.1, 4.3, 0.4, 0, 3.6], 0.42, '', { acid: [28, 33, 40], pieces: true }, 'cranberries|redcurrants|blackcurrants|currants, fresh'],
  ['cherry', 'Cherries, stoned', 'fruit', [82.3, 0.2, 12.8, 1.1, 0, 2.1], 0.65, '', { acid: [8, 12, 16], pieces: true }, 'cherries|sour cherries'],
  ['pineapple', 'Pineapple, crushed', 'fruit', [86, 0.1, 10.5, 0.5, 0, 1.4], 1, '', { acid: [7, 11, 15] }, 'crushed pineapple|pineapple'],
  ['raisins', 'Raisins', 'fruit', [15.5, 0.5, 65, 3, 2, 4.5], 0.62, 'sulphites', { pieces: true, acid: [15, 22, 30] }, 'sultanas|currants|mixed dried fruit|dried fruit|raisin|dried cranberries|mixed peel|candied peel|glace cherries'],
  ['dried-fig', 'Dried figs', 'fruit', [30, 0.9, 48, 3.3, 5, 9.8], 0.63, 'sulphites', { piece: [8, 12, 20], pieces: true, acid: [6, 10, 15] }, 'dried figs|figs|dried apricots|prunes'],
  ['dates', 'Dates', 'fruit', [20.5, 0.4, 63.5, 2.5, 3, 8], 0.63, '', { piece: [7, 9, 20], pieces: true, acid: [3, 5, 8] }, 'date|medjool dates|chopped dates|stoned dates'],
  ['ginger-stem', 'Stem ginger', 'addin', [28, 0.2, 66, 0.2, 1, 1.5], 0.8, '', { pieces: true }, 'stem ginger|crystallised ginger|candied ginger'],
  ['fresh-ginger', 'Fresh ginger, grated', 'flavour', [79, 0.8, 1.7, 1.8, 14, 2], 0.95, '', {}, 'grated ginger|ginger root'],

  // nuts and seeds
  ['walnut', 'Walnuts', 'addin', [4, 65, 2.6, 15, 0.5, 6.7], 0.46, 'walnut', { pieces: true }, 'walnuts|chopped walnuts'],
  ['pecan', 'Pecans', 'addin', [3.5, 72, 4, 9, 0.5, 9.6], 0.46, 'pecan', { pieces: true }, 'pecans|chopped pecans'],
  ['almond', 'Almonds', 'addin', [4.5, 50, 4.4, 21, 4.5, 12.5], 0.5, 'almond', { pieces: true }, 'almonds|flaked almonds|sliced almonds|chopped almonds|slivered almonds'],
  ['hazelnut', 'Hazelnuts', 'addin', [5, 61, 4.3, 15, 2, 9.7], 0.5, 'hazelnut', { pieces: true }, 'hazelnuts|chopped hazelnuts'],
  ['pistachio', 'Pistachios', 'addin', [4.2, 45.5, 7.7, 20.2, 9, 10.5], 0.52, 'pistachio', { pieces: true }, 'pistachios|chopped pistachios|pistachio nuts'],
  ['nuts', 'Mixed nuts', 'addin', [4.5, 55, 4, 17, 5, 9], 0.48, 'nuts', { pieces: true }, 'chopped nuts|mixed nuts|cashews|cashew nuts'],
  ['peanut-butter', 'Peanut butter', 'fat', [1.5, 50, 8, 24, 5, 6.5], 1.08, 'peanut', { salt: 0.9 }, 'smooth peanut butter|peanuts'],
  ['sunflower-seed', 'Sunflower seeds', 'addin', [4.7, 51.5, 2.6, 20.8, 8, 8.6], 0.59, '', { pieces: true }, 'sunflower seeds|mixed seeds|seeds'],
  ['pumpkin-seed', 'Pumpkin seeds', 'addin', [5.2, 49, 1.4, 30.2, 3, 6], 0.55, '', { pieces: true }, 'pumpkin seeds|pepitas'],
  ['sesame-seed', 'Sesame seeds', 'addin', [4.7, 49.7, 0.3, 17.7, 5, 11.8], 0.6, 'sesame', { pieces: true }, 'sesame seeds|sesame'],
  ['poppy-seed', 'Poppy seeds', 'addin', [6, 41.6, 3, 18, 5.5, 19.5], 0.6, '', { pieces: true }, 'poppy seeds'],
  ['desiccated-coconut', 'Desiccated coconut', 'addin', [3, 63, 6.5, 6.9, 1, 16.5], 0.36, '', { drinks: 0.7, structure: 0.15 }, 'desiccated coconut|dessicated coconut|shredded coconut|unsweetened coconut|coconut'],

  // leaveners and pure acids
  ['baking-soda', 'Baking soda', 'leavener', [0, 0, 0, 0, 0, 0], 1.014, '', { leavener: 'soda' }, 'bicarbonate of soda|bicarb|bicarb soda|bicarbonate soda|sodium bicarbonate|soda|bread soda|bi-carb|soda bicarbonate|cooking soda'],
  ['baking-powder', 'Baking powder', 'leavener', [6, 0, 0, 0, 30, 0], 0.91, '', { leavener: 'powder' }, 'powder|double acting baking powder|double-acting baking powder|baking-powder'],
  ['baking-powder-tartrate', 'Baking powder, tartrate', 'leavener', [5, 0, 0, 0, 20, 0], 0.86, '', { leavener: 'powder', powder: 'single-acting tartrate' }, 'cream of tartar baking powder|single acting baking powder|single-acting baking powder'],
  ['baking-powder-aluminium-free', 'Baking powder, aluminium-free', 'leavener', [6, 0, 0, 0, 30, 0], 0.91, '', { leavener: 'powder', powder: 'aluminium-free' }, 'aluminum-free baking powder|aluminium free baking powder|aluminum free baking powder'],
  ['cream-of-tartar', 'Cream of tartar', 'leavener', [0.2, 0, 0, 0, 0, 0.2], 0.65, '', { leavener: 'acid', acid: [525, 531, 531.4] }, 'tartar|potassium bitartrate'],
  ['citric-acid', 'Citric acid', 'leavener', [0.2, 0, 0, 0, 0, 0], 0.95, '', { leavener: 'acid', acid: [1500, 1555, 1562] }, ''],

  // salt, flavour, water
  ['salt', 'Fine salt', 'salt', [0.2, 0, 0, 0, 0, 0], 1.187, '', { salt: 99.6 }, 'salt|table salt|fine salt|sea salt|fine sea salt'],
  ['salt-coarse', 'Coarse salt', 'salt', [0.3, 0, 0, 0, 0, 0], 0.99, '', { salt: 99.5 }, 'kosher salt|coarse salt|coarse sea salt'],
  ['salt-flake', 'Flake salt', 'salt', [0.5, 0, 0, 0, 0, 0], 0.61, '', { salt: 99.3 }, 'flaky salt|flaky sea salt|salt flakes|sea salt flakes'],
  ['water', 'Water', 'liquid', [100, 0, 0, 0, 0, 0], 1, '', {}, 'boiling water|warm water|hot water|cold water|tap water|ice water'],
  ['coffee', 'Brewed coffee', 'liquid', [99, 0, 0, 0.2, 0, 0.3], 1, '', { acid: [0.5, 1, 2] }, 'strong coffee|hot coffee|brewed coffee|espresso'],
  ['tea', 'Brewed tea', 'liquid', [99.6, 0, 0, 0.1, 0, 0], 1, '', { acid: [0.2, 0.4, 0.8] }, 'black tea|strong tea|cold tea|hot tea'],
  ['stout', 'Stout', 'liquid', [91, 0, 1.2, 0.5, 2.2, 0.2], 1.01, 'barley', { acid: [1.5, 2.5, 4] }, 'dark beer|ale|beer|porter'],
  ['spirit', 'Spirit, 40 %', 'flavour', [66.5, 0, 0.2, 0, 0, 0], 0.95, '', {}, 'rum|brandy|whisky|whiskey|dark rum'],
  ['vanilla-extract', 'Vanilla extract', 'flavour', [52, 0, 12, 0, 0, 0], 0.88, '', {}, 'vanilla|vanilla essence|vanilla paste|pure vanilla extract|almond extract|vanilla bean paste'],
  ['citrus-zest', 'Citrus zest', 'flavour', [80, 0.3, 4, 1.5, 0, 10.5], 0.41, '', { piece: [3, 6, 9] }, 'lemon zest|orange zest|lime zest|zest|grated zest|zest of lemon|zest of orange|zest of lime|grated lemon rind'],
  ['cinnamon', 'Cinnamon, ground', 'flavour', [10, 1.2, 2.2, 4, 22, 53], 0.53, '', {}, 'ground cinnamon'],
  ['ginger-ground', 'Ginger, ground', 'flavour', [10, 4.2, 3.4, 9, 52, 14], 0.4, '', {}, 'ground ginger|ginger powder|dried ginger|ginger'],
  ['cardamom', 'Cardamom, ground', 'flavour', [8.3, 6.7, 1, 10.8, 38, 28], 0.41, '', {}, 'ground cardamom|cardamom powder|cardamon'],
  ['mixed-spice', 'Mixed spice', 'flavour', [9, 8, 5, 7, 30, 32], 0.45, '', {}, 'pumpkin pie spice|pumpkin spice|allspice|ground allspice|spice|spices'],
  ['nutmeg', 'Nutmeg', 'flavour', [6, 36, 3, 6, 25, 20], 0.46, '', {}, 'ground nutmeg|grated nutmeg|mace'],
  ['cloves', 'Cloves, ground', 'flavour', [10, 13, 2.4, 6, 28, 34], 0.44, '', {}, 'ground cloves|clove'],
  ['black-pepper', 'Black pepper', 'flavour', [12.5, 3.3, 0.6, 10.4, 38, 25.3], 0.47, '', {}, 'ground black pepper|pepper|cracked black pepper'],
  ['caraway', 'Caraway seed', 'flavour', [10, 14.6, 0.6, 19.8, 9, 38], 0.45, '', {}, 'caraway seeds|fennel seeds|cumin seeds|aniseed|fennel seed'],
  ['mustard', 'Mustard', 'flavour', [70, 7, 2, 7, 2, 6], 1.05, 'mustard', { salt: 3 }, 'english mustard|dijon mustard|mustard powder'],
  ['herbs', 'Fresh herbs', 'flavour', [85, 0.7, 1, 3.3, 1, 4], 0.2, '', {}, 'thyme|fresh thyme|chives|chopped chives|parsley|rosemary|thyme leaves|dill|sage|spring onions|spring onion'],
  ['herbs-dried', 'Dried herbs', 'flavour', [8, 7, 2, 9, 20, 37], 0.2, '', {}, 'dried thyme|dried rosemary|dried oregano|oregano|dried sage'],
];

export const bandOf = ([low, typical, high]: readonly [number, number, number]): Band => ({ low, typical, high });
