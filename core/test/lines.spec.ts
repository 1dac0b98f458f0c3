import { defaultKitchen, type Kitchen } from '../src/index.js';
import { oneLine } from './support/line.js';

type Case = readonly [line: string, id: string, grams: number, within?: number];
const check = (cases: readonly Case[], kitchen: Kitchen = defaultKitchen): void => {
  for (const [text, id, grams, within = 1] of cases) {
    const { item, doubts } = oneLine(text, kitchen);
    expect(item.ingredient).withContext(text).toBe(id);
    expect(Math.abs(item.grams - grams))
      .withContext(`${text}: ${item.grams} g`)
      .toBeLessThanOrEqual(within);
    expect(doubts.map((d) => d.words))
      .withContext(text)
      .toEqual([]);
    expect(item.words).toBe(text.trim());
  }
};

describe('ingredient lines', () => {
  it('as written in metric kitchens', () => {
    check([
      ['250g strong white bread flour', 'bread-flour', 250],
      ['1,5 dl milk', 'milk', 154.5],
      ['0.5 kg self-raising flour', 'self-raising-flour', 500],
      ['125 g natural yoghurt, full fat', 'yogurt', 125],
      ['300 ml double cream', 'cream-double', 294],
      ['75g dark muscovado sugar', 'dark-brown-sugar', 75],
      ['1 level tsp bicarbonate of soda', 'baking-soda', 5.07, 0.1],
      ['100 g sultanas', 'sultana', 100],
      ['85 g crème fraîche', 'creme-fraiche', 85],
      ['40 g desiccated coconut', 'desiccated-coconut', 40],
      ['200 g besan', 'chickpea-flour', 200],
      ['150 g atta', 'wholemeal-flour', 150],
      ['60 g ghee, melted', 'ghee', 60],
      ['200 g thick curd', 'yogurt', 200],
    ]);
  });

  it('as written in cups', () => {
    check([
      ['2 1/4 cups all-purpose flour', 'plain-flour', 278.1],
      ['1/2 c. packed brown sugar', 'light-brown-sugar', 110.4],
      ['3/4 cup (180 ml) buttermilk', 'buttermilk', 185.4],
      ['1 cup applesauce (unsweetened)', 'apple-puree', 247.2],
      ['2 Tbsp. honey', 'honey', 42.6],
      ['1 stick unsalted butter, at room temperature', 'butter', 113.4],
      ['1/3 cup vegetable oil', 'neutral-oil', 73.6],
      ['2 teaspoons baking powder', 'baking-powder', 9.1, 0.1],
      ['¼ tsp. kosher salt', 'salt-coarse', 1.24, 0.1],
      ['1 1/2 cups old fashioned oats', 'rolled-oats', 136.8],
      ['2/3 cup sour cream', 'sour-cream', 158.4],
      ['1 cup chopped walnuts', 'walnut', 120],
      ['1 cup fresh blueberries', 'blueberry', 148.8],
      ['1/4 cup molasses', 'treacle', 85.2],
      ['a teaspoon of ground cinnamon', 'cinnamon', 2.65, 0.1],
    ]);
  });

  it('with counts, ranges and the amount behind', () => {
    check([
      ['3 eggs', 'egg', 150],
      ['Eggs: 2', 'egg', 100],
      ['2 egg whites', 'egg-white', 66],
      ['1-2 tbsp milk', 'milk', 23.2],
      ['Plain flour – 225 g', 'plain-flour', 225],
      ['Caster sugar 110g', 'caster-sugar', 110],
      ['juice of 1 lemon', 'lemon-juice', 40, 2],
      ['2 medium carrots, grated', 'carrot', 140, 5],
      ['4 oz (113 g) cream cheese', 'cream-cheese', 113.2],
      ['8 oz. butter', 'butter', 226.8],
      ['1 lb pears, diced', 'pear', 453.6],
    ]);
  });

  it('by the kitchen’s own measures', () => {
    const at = (measures: Partial<Kitchen['measures']>): Kitchen => ({
      ...defaultKitchen,
      measures: { ...defaultKitchen.measures, ...measures },
    });
    check([['1 cup milk', 'milk', 257.5]], at({ cupMl: 250 }));
    check([['1 cup plain flour', 'plain-flour', 146.5, 2]], at({ flourHabit: 'dipped' }));
    check([['2 large eggs', 'egg', 100]], at({ eggSize: 'us-l' }));
    check([['1 tsp salt', 'salt', 3.05, 0.1]], at({ saltKind: 'flake' }));
    check([['1 pint milk', 'milk', 585.3]], at({ cupMl: 284 }));
  });

  it('keep the baker’s own ingredients before the catalogue’s', () => {
    const own = {
      ...defaultKitchen,
      ownIngredients: [
        {
          id: 'own-flour',
          name: 'Mill flour',
          aliases: ['mill flour'],
          role: 'flour' as const,
          per100: { water: 12, fat: 2, sugar: 1, protein: 12, starch: 63, fibre: 10, other: 0 },
          gPerMl: 0.5,
          base: 'flour' as const,
          allergens: ['wheat'],
          basis: "from the baker's label" as const,
        },
      ],
    };
    check([['200 g mill flour', 'own-flour', 200]], own);
  });

  it('ask how heaped a heaped spoon is', () => {
    const { item, doubts } = oneLine('2 heaped tbsp ground almonds');
    expect(item.grams).toBeCloseTo(12.3, 1);
    expect(doubts[0]?.choices.map((c) => c.id)).toEqual(['rounded', 'heaped', 'level', 'high']);
  });

  it('mark what goes in whole, and what is optional', () => {
    const item = (text: string) => oneLine(text).item;
    expect(item('50 g walnuts, chopped (optional)').optional).toBeTrue();
    expect(item('100 g melted dark chocolate').pieces ?? false).toBeFalse();
    expect(item('120 g raspberries').pieces).toBeUndefined();
  });
});
