import { assess, type Assessment, type FamilyId } from '../src/index.js';
import { formula } from './support/make.js';

/**
 * The plainest formula of each kind, made up from the ratios that every kitchen knows: what a good baker would bake
 * without a second thought must not be called faulty, and hardly ever unusual.
 */
const ordinary: readonly (readonly [
  title: string,
  family: FamilyId,
  method: string,
  items: readonly (readonly [string, number])[],
])[] = [
  [
    'buttermilk biscuits',
    'biscuit',
    'Rub the butter into the flour.',
    [
      ['plain-flour', 250],
      ['butter', 85],
      ['buttermilk', 190],
      ['baking-powder', 14],
      ['baking-soda', 1.2],
      ['salt', 5],
      ['caster-sugar', 8],
    ],
  ],
  [
    'drop biscuits',
    'drop-biscuit',
    'Rub the butter into the flour.',
    [
      ['plain-flour', 250],
      ['butter', 115],
      ['milk', 240],
      ['baking-powder', 14],
      ['salt', 5],
    ],
  ],
  [
    'plain scones',
    'scone',
    'Rub the butter into the flour.',
    [
      ['plain-flour', 225],
      ['butter', 50],
      ['caster-sugar', 25],
      ['milk', 140],
      ['baking-powder', 13],
      ['salt', 1.5],
    ],
  ],
  [
    'soda bread',
    'soda-bread',
    'Stir everything together.',
    [
      ['plain-flour', 450],
      ['buttermilk', 360],
      ['baking-soda', 5],
      ['salt', 7],
    ],
  ],
  [
    'brown soda loaf',
    'soda-loaf',
    'Stir everything together.',
    [
      ['wholemeal-flour', 350],
      ['plain-flour', 100],
      ['buttermilk', 500],
      ['baking-soda', 7],
      ['salt', 8],
      ['treacle', 20],
      ['egg', 50],
    ],
  ],
  [
    'banana bread',
    'quick-bread',
    'Cream the butter and sugar until fluffy.',
    [
      ['plain-flour', 250],
      ['butter', 115],
      ['light-brown-sugar', 165],
      ['egg', 100],
      ['banana', 340],
      ['baking-soda', 5],
      ['salt', 3],
    ],
  ],
  [
    'pumpkin loaf',
    'quick-bread',
    'Stir the wet into the dry.',
    [
      ['plain-flour', 220],
      ['white-sugar', 250],
      ['egg', 100],
      ['neutral-oil', 110],
      ['pumpkin-puree', 225],
      ['water', 80],
      ['baking-soda', 5],
      ['salt', 4],
      ['cinnamon', 3],
    ],
  ],
  [
    'courgette bread',
    'quick-bread',
    'Stir the wet into the dry.',
    [
      ['plain-flour', 250],
      ['white-sugar', 200],
      ['egg', 100],
      ['neutral-oil', 110],
      ['courgette', 250],
      ['baking-soda', 2.5],
      ['baking-powder', 2.5],
      ['salt', 3],
      ['cinnamon', 4],
      ['walnut', 60],
    ],
  ],
  [
    'blueberry muffins',
    'muffin',
    'Stir the wet into the dry.',
    [
      ['plain-flour', 250],
      ['white-sugar', 130],
      ['egg', 100],
      ['butter', 85],
      ['milk', 160],
      ['baking-powder', 10],
      ['salt', 3],
      ['blueberry', 200],
    ],
  ],
  [
    'cheese muffins',
    'muffin',
    'Stir the wet into the dry.',
    [
      ['plain-flour', 250],
      ['butter', 80],
      ['egg', 100],
      ['milk', 240],
      ['hard-cheese', 120],
      ['baking-powder', 12],
      ['salt', 3],
    ],
  ],
  [
    'maize bread',
    'maize-bread',
    'Stir the wet into the dry.',
    [
      ['maize-meal', 180],
      ['plain-flour', 120],
      ['buttermilk', 300],
      ['egg', 100],
      ['butter', 80],
      ['baking-powder', 8],
      ['baking-soda', 2.5],
      ['salt', 5],
      ['white-sugar', 30],
    ],
  ],
  [
    'equal-weight sponge',
    'equal-weight-sponge',
    'Cream the butter and sugar until pale and fluffy.',
    [
      ['self-raising-flour', 200],
      ['butter', 200],
      ['caster-sugar', 200],
      ['egg', 200],
      ['milk', 20],
    ],
  ],
  [
    'plain loaf cake for slicing',
    'pound-cake',
    'Cream the butter and sugar until pale and fluffy.',
    [
      ['plain-flour', 225],
      ['butter', 175],
      ['caster-sugar', 175],
      ['egg', 150],
      ['baking-powder', 6],
      ['milk', 30],
    ],
  ],
  [
    'cocoa cake with coffee',
    'chocolate-cake',
    'Whisk everything together.',
    [
      ['plain-flour', 220],
      ['cocoa-natural', 75],
      ['white-sugar', 400],
      ['egg', 100],
      ['neutral-oil', 110],
      ['buttermilk', 240],
      ['coffee', 240],
      ['baking-soda', 9],
      ['baking-powder', 4.5],
      ['salt', 5],
    ],
  ],
  [
    'cocoa cake with vinegar',
    'chocolate-cake',
    'Whisk everything together.',
    [
      ['plain-flour', 190],
      ['cocoa-natural', 30],
      ['white-sugar', 200],
      ['neutral-oil', 75],
      ['water', 240],
      ['vinegar', 15],
      ['baking-soda', 5],
      ['salt', 3],
    ],
  ],
  [
    'gingerbread',
    'treacle-cake',
    'Melt the butter with the treacle.',
    [
      ['plain-flour', 250],
      ['butter', 115],
      ['dark-brown-sugar', 100],
      ['treacle', 240],
      ['egg', 50],
      ['water', 240],
      ['baking-soda', 6],
      ['salt', 3],
      ['ginger-ground', 5],
      ['cinnamon', 3],
    ],
  ],
  [
    'tea loaf',
    'tea-loaf',
    'Soak the fruit, then stir everything together.',
    [
      ['self-raising-flour', 250],
      ['tea', 260],
      ['raisins', 350],
      ['light-brown-sugar', 150],
      ['egg', 50],
      ['mixed-spice', 2],
    ],
  ],
  [
    'rich fruit cake',
    'fruit-cake-rich',
    'Cream the butter and sugar until fluffy.',
    [
      ['plain-flour', 225],
      ['butter', 225],
      ['dark-brown-sugar', 225],
      ['egg', 250],
      ['ground-almond', 60],
      ['raisins', 600],
      ['treacle', 20],
      ['spirit', 60],
      ['mixed-spice', 4],
    ],
  ],
  [
    'boiled fruit cake',
    'fruit-cake-light',
    'Boil butter, sugar and fruit.',
    [
      ['self-raising-flour', 250],
      ['butter', 125],
      ['light-brown-sugar', 150],
      ['raisins', 400],
      ['water', 150],
      ['egg', 100],
      ['baking-soda', 2.5],
      ['mixed-spice', 3],
    ],
  ],
  [
    'yellow layer cake',
    'butter-cake-high-ratio',
    'Cream the butter and sugar until fluffy.',
    [
      ['cake-flour', 230],
      ['butter', 170],
      ['caster-sugar', 300],
      ['egg', 150],
      ['egg-yolk', 36],
      ['milk', 240],
      ['baking-powder', 10],
      ['salt', 4],
      ['vanilla-extract', 8],
    ],
  ],
  [
    'everyday cake',
    'butter-cake-lean',
    'Cream the butter and sugar until fluffy.',
    [
      ['plain-flour', 250],
      ['butter', 115],
      ['caster-sugar', 200],
      ['egg', 100],
      ['milk', 180],
      ['baking-powder', 10],
      ['salt', 3],
    ],
  ],
  [
    'carrot cake',
    'oil-cake',
    'Stir the wet into the dry.',
    [
      ['plain-flour', 250],
      ['white-sugar', 300],
      ['egg', 200],
      ['neutral-oil', 240],
      ['carrot', 300],
      ['baking-soda', 5],
      ['baking-powder', 4],
      ['salt', 5],
      ['cinnamon', 5],
      ['walnut', 100],
    ],
  ],
];

const weighed = ordinary.map(([title, family, text, items]) => ({
  title,
  a: assess(formula(items, { family, method: [{ text, itemIds: [] }] })),
}));
const of = (title: string): Assessment => weighed.find((x) => x.title === title)?.a as Assessment;
const grave = (a: Assessment): string[] => a.verdicts.filter((v) => v.severity !== 'note').map((v) => v.words);

describe('ordinary formulas', () => {
  it('are read with ingredients that the catalogue has', () => {
    for (const { title, a } of weighed) {
      expect(a.totals.batterG).withContext(title).toBeGreaterThan(300);
      expect(a.allergens.length).withContext(title).toBeGreaterThan(0);
    }
  });

  for (const { title, a } of weighed)
    it(`${title}: nothing is called faulty, and it is what it says it is`, () => {
      expect(a.verdicts.filter((v) => v.severity === 'faulty').map((v) => v.words)).toEqual([]);
      expect(a.family.nearest).toBe(a.family.id);
    });

  it('are nearly all in balance, and then get no advice but a hint', () => {
    const odd = weighed.filter(({ a }) => grave(a).length > 0);
    expect(odd.map((x) => `${x.title}: ${grave(x.a).join(' ')}`).length).toBeLessThanOrEqual(2);
    for (const { title, a } of weighed)
      if (grave(a).length === 0)
        expect(a.advice.filter((x) => x.sure !== 'hint').map((x) => x.words))
          .withContext(title)
          .toEqual([]);
  });

  it('leave as much soda as is ordinarily left, and it shows where it should', () => {
    const left = (title: string): number => of(title).ledger.leftSodaGPer100gBatter.typical;
    // soda bread 0.15–0.25, banana and pumpkin loaves more, a powder cake nothing
    expect(left('soda bread')).toBeGreaterThan(0.1);
    expect(left('soda bread')).toBeLessThan(0.3);
    expect(left('banana bread')).toBeGreaterThan(0.2);
    expect(left('pumpkin loaf')).toBeGreaterThan(left('banana bread'));
    expect(left('everyday cake')).toBe(0);
    expect(of('pumpkin loaf').crumb.pH.typical).toBeGreaterThan(of('blueberry muffins').crumb.pH.typical + 0.5);
    expect(of('cocoa cake with coffee').crumb.effects.some((e) => /cocoa turns/.test(e.words))).toBeTrue();
  });

  it('wait as long as bakers let them: soda batters least, doughs longest', () => {
    expect(of('gingerbread').lift.standMin).toBeLessThan(of('everyday cake').lift.standMin);
    expect(of('banana bread').lift.standMin).toBeLessThan(of('blueberry muffins').lift.standMin);
    expect(of('plain scones').lift.standMin).toBeGreaterThan(of('everyday cake').lift.standMin);
  });

  it('with much bran are judged wet by what the bran leaves, not by what is poured in', () => {
    const bran = assess(
      formula([
        ['plain-flour', 130],
        ['wheat-bran', 80],
        ['buttermilk', 300],
        ['egg', 50],
        ['neutral-oil', 70],
        ['light-brown-sugar', 140],
        ['baking-soda', 3.5],
        ['salt', 3],
        ['raisins', 90],
      ]),
    );
    expect(bran.totals.waterPct).toBeGreaterThan(140);
    const water = bran.verdicts.find((v) => v.id === 'water');
    expect(water?.state).toBe('ok');
    // the same water without the bran is more than such muffins have
    const none = assess(
      formula([
        ['plain-flour', 210],
        ['buttermilk', 300],
        ['egg', 50],
        ['neutral-oil', 70],
        ['light-brown-sugar', 140],
        ['baking-soda', 3.5],
        ['salt', 3],
      ]),
    );
    const usual = (x: typeof bran): number => x.plausible?.spans.water.usual ?? 0;
    expect(none.totals.waterPct / usual(none)).toBeGreaterThan(1.15 * (bran.totals.waterPct / usual(bran)));
  });
});
