import { assess, explain, hasRanges, readRecipe, settle } from '../src/index.js';
import { ordinaryFormulas } from '../src/plausible/data.js';
import { batterOf, saidOfOrdinary } from '../src/plausible/formulas.js';
import { apartOf, onlyKin } from '../src/plausible/ground.js';
import { kinshipOf, nearestFamily } from '../src/plausible/kinship.js';
import { FAR_OFF } from '../src/plausible/judge.js';
import { theModel, type Model } from '../src/plausible/model.js';
import { viewOfLines, type View } from '../src/plausible/view.js';

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

/** Recipes of our own that are relatives of a family, each with the name it is to be judged by. */
const relatives: readonly (readonly [name: string, text: string])[] = [
  ['brownie', 'Cocoa brownies\n140 g butter\n280 g sugar\n75 g cocoa\n2 eggs\n65 g flour\nMelt the butter, stir in the rest. Bake at 165C for 25 minutes in a 20 cm square tin.'],
  ['rock cake', 'Rock cakes\n250 g self-raising flour\n100 g butter\n80 g sugar\n150 g mixed dried fruit\n1 egg\n30 g milk\nRub in the butter. Bake in heaps at 190C for 18 minutes.'],
  ['rusk', 'Buttermilk rusks\n500 g self-raising flour\n1 tsp salt\n120 g sugar\n180 g butter\n250 ml buttermilk\n1 egg\nRub in the butter. Bake at 180C for 45 minutes, slice and dry overnight.'],
  ['damper', 'Campfire damper\n450 g self-raising flour\n1 tsp salt\n40 g butter\n270 ml water\nRub in the butter. Bake at 200C for 30 minutes.'],
  ['nut cake', 'Hazelnut torte\n250 g ground hazelnuts\n200 g sugar\n5 eggs\n1 tsp baking powder\nWhisk the eggs and sugar until thick. Fold in the nuts. Bake at 170C for 40 minutes in a 24 cm round tin.'],
  ['semolina cake', 'Basbousa\n400 g semolina\n150 g sugar\n250 g yogurt\n120 g butter, melted\n2 tsp baking powder\nMix. Bake at 180C for 35 minutes in a 22 cm square tin.'],
  ['chiffon cake', 'Lemon chiffon cake\n150 g cake flour\n150 g sugar\n2 tsp baking powder\n5 eggs, separated\n75 g oil\n90 ml water\nWhisk the whites to stiff peaks and fold. Bake at 165C for 55 minutes in a tube tin.'],
  ['whisked sponge', 'Whisked sponge\n4 eggs\n120 g caster sugar\n120 g flour\n1 tsp baking powder\nWhisk the eggs and sugar until thick and pale. Fold in the flour. Bake at 180C for 25 minutes in two 18 cm round tins.'],
  ['savoury muffin', 'Cheese muffins\n250 g flour\n3 tsp baking powder\n1 tsp salt\n120 g cheddar, grated\n60 g butter, melted\n1 egg\n230 ml milk\nBake at 200C for 20 minutes in a 12-hole muffin tin.'],
]; // prettier-ignore

describe('a relative of a family', () => {
  it('is judged by its own name, ranges and signs, though it is stored as the family', () => {
    for (const [name, text] of relatives) {
      const f = readRecipe(text).formula;
      const { as, id } = assess(f).family;
      expect(as.name)
        .withContext(`${text.split('\n')[0]} (${id})`)
        .toBe(name);
      expect(as.id).toBe(f.family);
      expect(hasRanges(as)).toBeTrue();
    }
    // the same amounts by another name are no rusk
    expect(assess({ ...readRecipe(relatives[2]?.[1] ?? '').formula, title: 'Scones' }).family.as.name).not.toBe('rusk');
  });

  it('whose eggs are whipped is read as whisked', () => {
    const sponge = readRecipe(relatives.find(([n]) => n === 'whisked sponge')?.[1] ?? '').formula;
    const { chosen, read, fits } = assess(sponge).methods;
    expect([chosen, read]).toEqual(['whisking', true]);
    expect(fits.find((x) => x.method === 'whisking')?.fit).toBe('good');
    expect(fits.find((x) => x.method === 'rub-in')?.fit).toBe('poor');
  });
});

describe('what a formula is by its figures', () => {
  it('is what its author calls it in most, and is said only when it plainly is another', () => {
    const all = ordinaryFormulas().filter((f) => f.families[0] !== 'free');
    const ground = (theModel() as Model).ground;
    const kin = all.filter((_, i) => i % 9 === 0).map((f) => {
      const view = viewOfLines(batterOf(f), saidOfOrdinary(f)) as View;
      const found = kinshipOf(view, apartOf(view, onlyKin(f.families[0] ?? 'free'), ground), ground);
      expect(found.apart).withContext(f.id).toBeLessThan(FAR_OFF);
      return { f, kin: found.kin };
    }); // prettier-ignore
    // each is in the ground, so that this is no score, which docs/science/plausibility.md has
    for (const { f, kin: k } of kin) {
      expect(k.reduce((s, x) => s + x.weight, 0)).toBeCloseTo(1, 9);
      expect(nearestFamily(f.families[0] ?? 'free', k).nearest)
        .withContext(f.id)
        .toBe(f.families[0] ?? 'free');
    }
    // soda bread called a muffin is soda bread; without a title it still is
    const bread = readRecipe('Bread\n450 g flour\n1 tsp baking soda\n1 1/2 tsp salt\n340 g buttermilk\nBake at 200C for 42 minutes.').formula; // prettier-ignore
    expect(assess({ ...bread, family: 'muffin' }).family.nearest).toBe('soda-bread');
    expect(assess({ ...bread, family: 'soda-bread' }).family.nearest).toBe('soda-bread');
    expect(explain({ ...bread, family: 'muffin' }, 'family').words).toContain('plainly a soda bread');
  });
});
