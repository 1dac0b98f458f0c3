import { allItems, defaultKitchen, readRecipe, type GroupRole } from '../src/index.js';
import { durations } from '../src/text/durations.js';
import { sizesIn } from '../src/text/lengths.js';
import { sentencesIn } from '../src/text/sentences.js';
import { misspelt } from '../src/recipe/match.js';
import { originOf } from '../src/recipe/origin.js';
import { toldIn } from '../src/recipe/prose.js';

const told = (text: string): string[] =>
  toldIn(text, defaultKitchen, false).map((t) => `${t.text.replace(/\s+/g, ' ')}${t.role ? ` [${t.role}]` : ''}`);

describe('what sentences tell', () => {
  it('is each amount with its food, before or behind it', () => {
    const cases: [string, string[]][] = [
      ['Rub 80 g butter into 250 g of plain flour.', ['80 g butter', '250 g plain flour']],
      ['The butter, a hundred and ten grams, goes in next.', ['a hundred and ten grams butter']],
      [
        'You want two cups of flour, a teaspoon of soda and a pinch of salt.',
        ['two cups flour', 'a teaspoon soda', 'a pinch salt'],
      ],
      ['Four ounces of treacle and four of syrup.', ['Four ounces treacle', 'four oz syrup']],
      [
        'Six ounces each of butter, sugar and self-raising flour.',
        ['Six ounces butter', 'Six ounces sugar', 'Six ounces self-raising flour'],
      ],
      ['200 g butter and the same of sugar.', ['200 g butter', '200 g sugar']],
      ['One cup of sugar, no wait, make that three quarters.', ['three quarters cup sugar']],
      ['Three and a half, no, four cups of flour.', ['four cups flour']],
      ['Grate the zest of two lemons.', ['zest of two lemons']],
      ['Beat in an egg.', ['1 egg']],
      ['Pour in 150 ml of milk, then a further 50 ml of water.', ['150 ml milk', '50 ml water']],
      [
        'For the icing beat 100 g butter with 200 g icing sugar.',
        ['100 g butter [icing]', '200 g icing sugar [icing]'],
      ],
      ['Bake at 180 °C for 30 minutes in a 20 cm tin, cut in 12.', []],
      ['We were 14 people and it took 2 hours.', []],
      ['Beat in the eggs one at a time.', []],
    ];
    for (const [text, want] of cases) expect(told(text)).withContext(text).toEqual(want);
  });

  it('beside a list is only what the list lacks, and it is asked about', () => {
    const draft = readRecipe(
      'Buns\n\n250 g flour\n60 g sugar\n80 g butter\n1 tsp baking powder\n\nRub in. Mix with 120 ml milk, and fold in half of the sugar. Bake at 200 °C for 15 minutes.',
    );
    const milk = allItems(draft.formula).find((i) => i.ingredient === 'milk');
    expect(milk?.grams).toBeCloseTo(123.6, 1);
    expect(draft.doubts.filter((d) => d.kind === 'told').map((d) => d.itemId)).toEqual([milk?.id ?? '']);
    expect(allItems(draft.formula).filter((i) => i.ingredient === 'white-sugar').length).toBe(1);
  });

  it('puts apart what the method only spreads, scatters or pours over', () => {
    const draft = readRecipe(
      'Layer cake\n\n200 g butter\n200 g caster sugar\n4 eggs\n200 g self-raising flour\n100 g jam\n20 g flaked almonds\n\nCream the butter and sugar. Beat in the eggs. Fold in the flour. Scatter the almonds over one of the cakes. Bake at 180 °C for 25 minutes in two 20 cm tins. Sandwich with the jam.',
    );
    const roleOf = (id: string): GroupRole | undefined =>
      draft.formula.groups.find((g) => g.items.some((i) => i.ingredient === id))?.role;
    expect(roleOf('jam')).toBe('filling');
    expect(roleOf('almond')).toBe('top');
    expect(['fat-sugar', 'batter']).toContain(roleOf('caster-sugar') ?? '');
  });
});

describe('small grammars', () => {
  it('read times as they are said', () => {
    const cases: [string, string][] = [
      ['half an hour', '30-30'],
      ['three quarters of an hour', '45-45'],
      ['an hour and ten', '70-70'],
      ['an hour, an hour and ten', '60-70'],
      ['1 hour 15 to 20 min', '75-80'],
      ['1-1½ hours', '60-90'],
      ['3 3/4 to 4 1/4 hours', '225-255'],
      ['45 min to 1 hour', '45-60'],
      ['35/40 minutes', '35-40'],
      ['1h15', '75-75'],
      ['zwei', ''],
      ['40 bis 45 Minuten', '40-45'],
      ['70 to 80 seconds', '1-1'],
      ['an hour and add the eggs', '60-60'],
      ['2 eggs and 3 cups', ''],
    ];
    for (const [text, want] of cases)
      expect(
        durations(text)
          .map((d) => `${Math.round(d.early)}-${Math.round(d.late)}`)
          .join(' '),
      )
        .withContext(text)
        .toBe(want);
  });

  it('read sizes, with fractions and without units', () => {
    const mm = (text: string): number[] => sizesIn(text).flatMap((s) => s.mm.map((x) => Math.round(x)));
    expect(mm('8½ x 4½ inch')).toEqual([216, 114]);
    expect(mm('2 x 20 cm')).toEqual([200]);
    expect(mm('9x13')).toEqual([229, 330]);
    expect(mm('a 10 in. tube')).toEqual([254]);
    expect(mm('13x9x2-inch')).toEqual([330, 229, 51]);
    expect(mm('two and a half inch cutter')).toEqual([64]);
    expect(mm('bake 30 in the oven')).toEqual([]);
  });

  it('end sentences where they end', () => {
    const of = (text: string): string[] => sentencesIn(text).map((s) => s.text.trim());
    expect(of('Bake 25 min. Cool. Eat at 1.5 m.')).toEqual(['Bake 25 min.', 'Cool.', 'Eat at 1.5 m.']);
    expect(of('Use a 10 in. tin. Reg. 6, 15 mins.')).toEqual(['Use a 10 in. tin.', 'Reg. 6, 15 mins.']);
    expect(of('Bake approx. 30 minutes; cool upside down')).toEqual(['Bake approx. 30 minutes;', 'cool upside down']);
  });
});

describe('a slip of the keyboard', () => {
  it('is near to what was meant, or is none', () => {
    expect(misspelt('bakking powder')?.id).toBe('baking-powder');
    expect(misspelt('vanila')?.id).toBe('vanilla-extract');
    expect(misspelt('floor')?.id).toBe('plain-flour');
    expect(misspelt('coffee')?.id).not.toBe('toffee-pieces');
    for (const word of ['glimmer', 'yellow', 'zorb', 'table']) expect(misspelt(word)).withContext(word).toBeNull();
  });
});

describe('where a recipe is from', () => {
  it('is told by its words, and is nowhere when they say nothing', () => {
    const of = (text: string): string => originOf(text.split('\n')).region;
    expect(of('2 cups all-purpose flour\n1 stick butter\n350 F')).toBe('us');
    expect(of('8 oz self-raising flour\n4 oz caster sugar\ngas 4')).toBe('uk');
    expect(of('450 g plain flour\n1 tsp bread soda\n350 ml buttermilk')).toBe('ie');
    expect(of('1 cup caster sugar\n2 tablespoons (40 ml) milk\n180 fan-forced')).toBe('au');
    expect(of('3 dl wheat flour\n2 tsp vanilla sugar\n1 dl milk')).toBe('eu');
    expect(of('1 cup maida\n1/2 cup curd\n1 tsp elaichi powder')).toBe('in');
    expect(of('250 ml (1 cup) sugar\n2 cups (500 mL) all-purpose flour')).toBe('ca');
    expect(of('200 g flour\n100 g sugar\n2 eggs')).toBe('other');
  });
});
