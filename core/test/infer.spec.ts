import { readRecipe, settle } from '../src/index.js';

/** Short recipes of our own, each with the family a baker would put it in. */
const cases: readonly (readonly [family: string, text: string])[] = [
  [
    'biscuit',
    'Buttermilk biscuits\n300 g flour\n4 tsp baking powder\n1 tsp salt\n110 g cold butter\n190 g buttermilk\nRub the butter in. Bake at 220C for 14 minutes.',
  ],
  [
    'drop-biscuit',
    'Black pepper drop biscuits\n250 g flour\n3 tsp baking powder\n1/2 tsp salt\n1 tsp black pepper\n80 g butter\n230 g milk\nBake at 215C for 15 minutes.',
  ],
  [
    'scone',
    'Currant scones\n300 g flour\n3 tsp baking powder\n40 g caster sugar\n70 g butter\n1 egg\n130 g milk\n80 g currants\nRub in the butter. Bake at 210C for 13 minutes.',
  ],
  [
    'soda-bread',
    'White soda bread\n450 g flour\n1 tsp baking soda\n1 1/2 tsp salt\n340 g buttermilk\nBake at 200C for 42 minutes.',
  ],
  [
    'soda-loaf',
    'Wet brown soda loaf\n300 g wholemeal flour\n100 g flour\n1 tsp baking soda\n1 tsp salt\n400 g buttermilk\nBake at 195C for 48 minutes in a 2 lb loaf tin.',
  ],
  [
    'muffin',
    'Bran and raisin muffins\n180 g flour\n50 g wheat bran\n2 tsp baking powder\n1/4 tsp baking soda\n90 g brown sugar\n1 egg\n1 egg white\n70 g oil\n250 g buttermilk\n80 g raisins\nBake at 200C for 18 minutes in a 12-hole muffin tin.',
  ],
  [
    'quick-bread',
    'Banana and walnut bread\n230 g flour\n1 tsp baking soda\n140 g brown sugar\n2 eggs\n100 g butter\n320 g ripe bananas, mashed\n50 g walnuts\nBake at 170C for 60 minutes in a 9x5 inch loaf tin.',
  ],
  [
    'tea-loaf',
    'Malt and fig tea loaf\n250 g self-raising flour\n100 g malt extract\n60 g brown sugar\n1 egg\n230 g strong tea\n150 g dried figs\nBake at 165C for 60 minutes in a 2 lb loaf tin.',
  ],
  [
    'maize-bread',
    'Skillet maize bread\n150 g cornmeal\n120 g flour\n3 tsp baking powder\n1 tsp salt\n40 g sugar\n2 eggs\n300 g buttermilk\n60 g butter\nBake at 210C for 24 minutes.',
  ],
  [
    'treacle-cake',
    'Spelt stout gingerbread\n250 g spelt flour\n1 tsp baking soda\n1 tbsp ground ginger\n120 g butter\n110 g dark brown sugar\n160 g treacle\n1 egg\n180 g stout\nBake at 165C for 45 minutes.',
  ],
  [
    'pound-cake',
    'Plum and almond pound cake\n250 g butter\n250 g caster sugar\n4 eggs\n220 g flour\n40 g ground almonds\n1/2 tsp baking powder\nCream butter and sugar. Bake at 160C for 65 minutes in a 2 lb loaf tin.',
  ],
  [
    'equal-weight-sponge',
    'Plain sponge sandwich\n200 g butter\n200 g caster sugar\n4 eggs\n200 g flour\n2 tsp baking powder\n2 tbsp milk\nCream butter and sugar. Bake at 175C for 24 minutes in two 20 cm round tins.',
  ],
  [
    'chocolate-cake',
    'Dark cocoa cake\n170 g flour\n60 g cocoa\n1 tsp baking powder\n1/2 tsp baking soda\n270 g sugar\n2 eggs\n120 g oil\n220 g buttermilk\n120 g hot coffee\nBake at 170C for 38 minutes in a 23 cm round tin.',
  ],
];

describe('the family of a recipe that was just read', () => {
  it('is the one a baker would name', () => {
    const wrong = cases
      .filter(([family, text]) => readRecipe(text).formula.family !== family)
      .map(([family, text]) => `${family}: ${text.split('\n')[0]} → ${readRecipe(text).formula.family}`);
    expect(wrong).toEqual([]);
  });

  it('is asked about when the figures fit several, and a settled answer is kept', () => {
    const draft = readRecipe(
      'Bake of the day\n250 g flour\n140 g sugar\n110 g butter\n2 eggs\n200 g milk\n9 g baking powder\n2 g salt',
    );
    const doubt = draft.doubts.find((d) => d.kind === 'family');
    expect(doubt?.choices.length).toBeGreaterThan(2);
    expect(settle(draft, doubt?.id ?? '', 'muffin').formula.family).toBe('muffin');
  });
});
