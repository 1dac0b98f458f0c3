import fc from 'fast-check';
import { allItems, readRecipe, readRecipes, recipeTexts } from '../src/index.js';
import { inPlain, ownMeasure } from '../src/recipe/own-measures.js';
import { rowsToLines, unshared, untabled } from '../src/recipe/shape/table.js';
import { tidy, unscanned } from '../src/recipe/shape/tidy.js';

const amounts = (text: string): string =>
  allItems(readRecipe(text).formula)
    .map((i) => `${i.ingredient} ${Math.round(i.grams)}`)
    .sort()
    .join(', ');

/** One cake in every shape below. */
const cake = 'baking-powder 9, butter 120, egg 100, milk 103, plain-flour 200, white-sugar 150';
const plain = `Plain cake

200 g plain flour
150 g sugar
120 g butter
2 eggs
100 ml milk
2 tsp baking powder

Mix and bake in a 20 cm tin at 180 °C for 40 minutes.`;

describe('the shape of a text', () => {
  const shapes: Readonly<Record<string, string>> = {
    'as typed': plain,
    'quoted mail': plain
      .split('\n')
      .map((l) => `> > ${l}`)
      .join('\n'),
    messages: `[10:01] Ann: 200 g plain flour, 150 g sugar\n[10:01] Ann: 120 g butter\n[10:02] Ben: ok\n[10:02] Ann: 2 eggs\n[10:02] Ann: 100 ml milk and 2 tsp baking powder\n[10:03] Ann: 20 cm tin, 180 °C for 40 minutes`,
    'a narrow page':
      'Plain cake\n200 g plain\nflour\n150 g\nsugar\n120 g butter\n2 eggs\n100 ml\nmilk\n2 tsp baking pow-\nder\nMix everything to a smooth batter and bake\nin a 20 cm tin at 180\n°C for 40 minutes.',
    'a scan':
      'PLAIN CAKE\n2OO g plain f1our\nI50 g sugar\nl20 g butter\n2 eggs\nl00 ml mi1k\n2 tsp baking p0wder\n2O cm tin, 18O°C, 4O minutes',
    'names and amounts in columns':
      'Plain cake\n\nPlain flour        200 g\nSugar              150 g\nButter             120 g\nEggs               2\nMilk               100 ml\nBaking powder      2 tsp\n\nMix. 20 cm tin, 180 °C, 40 minutes',
    'a list beside its method':
      'PLAIN CAKE\n\n200 g plain flour      1. Mix all in a bowl\n150 g sugar            until smooth.\n120 g butter           2. Pour in a 20 cm tin.\n2 eggs                 3. Bake at 180 °C\n100 ml milk            for 40 minutes.\n2 tsp baking powder',
    'two things in a row':
      'Plain cake\n200 g plain flour  150 g sugar\n120 g butter  2 eggs\n100 ml milk  2 tsp baking powder\n20 cm tin, 180 °C, 40 minutes',
    'a ruled table':
      'Plain cake\n\n| what | how much |\n|---|---:|\n| plain flour | 200 g |\n| sugar | 150 g |\n| butter | 120 g |\n| eggs | 2 |\n| milk | 100 ml |\n| baking powder | 2 tsp |\n\nMix. 20 cm tin, 180 °C, 40 minutes.',
    'a table with tabs':
      'Plain cake\nIngredient\tg\nPlain flour\t200\nSugar\t150\nButter\t120\nEggs\t100\nMilk\t103\nBaking powder\t9.1\n\n20 cm tin, 180 °C, 40 minutes',
    'a comma-separated file':
      'ingredient,amount,unit,notes\nplain flour,200,g,\nsugar,150,g,\nbutter,120,g,soft\neggs,2,,\nmilk,100,ml,\nbaking powder,2,tsp,\nMethod: mix. 20 cm tin. 180 °C 40 minutes,,,',
    'shares of the flour':
      'Plain cake (flour 200 g)\nflour 100 %\nsugar 75 %\nbutter 60 %\negg 50 %\nmilk 51.5 %\nbaking powder 4.55 %\n20 cm tin, 180 °C, 40 minutes',
    'JSON in a fence, with commas too many':
      '```json\n{"name":"Plain cake","recipeIngredient":["200 g plain flour","150 g sugar","120 g butter","2 eggs","100 ml milk","2 tsp baking powder",],"recipeInstructions":[{"@type":"HowToSection","itemListElement":{"@type":"HowToStep","text":"Bake in a 20 cm tin at 180 °C for 40 minutes."}}],}\n```',
    'JSON with amounts as objects':
      '{"title":"Plain cake","ingredients":[{"amount":{"value":200,"unit":"g"},"name":"plain flour"},{"quantity":150,"unit":"g","ingredient":"sugar"},{"qty":"120","measure":"g","food":"butter"},{"quantity":2,"name":"eggs"},{"quantity":100,"unit":"ml","name":"milk"},{"quantity":2,"unit":"tsp","name":"baking powder"}],"oven":{"temp":180,"unit":"C"},"steps":[{"body":"Mix, and bake in a 20 cm tin for 40 minutes."}]}',
    'JSON in groups':
      '{"title":"Plain cake","ingredientGroups":[{"name":"Dry","ingredients":["200 g plain flour","2 tsp baking powder","150 g sugar"]},{"name":"Wet","ingredients":["120 g butter","2 eggs","100 ml milk"]}],"instructions":"Mix.\\nBake in a 20 cm tin at 180 °C for 40 minutes."}',
    German:
      'Kuchen\n200 g Weizenmehl\n150 g Zucker\n120 g weiche Butter\n2 Eier\n100 ml Milch\n2 TL Backpulver\n\nAlles verrühren, in eine Springform (20 cm) füllen und bei 180 Grad 40 Minuten backen.',
    French:
      'Gâteau\n200 g de farine\n150 g de sucre\n120 g de beurre mou\n2 œufs\n100 ml de lait\n2 c. à café de levure chimique\n\nMélanger le tout. Cuire 40 minutes à 180 °C dans un moule de 20 cm.',
    Spanish:
      'Bizcocho\n200 g de harina de trigo\n150 g de azúcar\n120 g de mantequilla\n2 huevos\n100 ml de leche\n2 cucharaditas de levadura química\n\nMezclar todo. Hornear 40 minutos a 180 °C en un molde de 20 cm.',
    Italian:
      'Torta\n200 g di farina 00\n150 g di zucchero\n120 g di burro\n2 uova\n100 ml di latte\n2 cucchiaini di lievito per dolci\n\nMescolare tutto. Cuocere 40 minuti a 180 °C in uno stampo da 20 cm.',
  };
  for (const [name, text] of Object.entries(shapes))
    it(`is seen through: ${name}`, () => {
      expect(amounts(text)).toBe(cake);
      const { formula } = readRecipe(text);
      expect(formula.bake?.ovenC).toBe(180);
      expect(formula.bake?.minutes).toEqual({ early: 40, late: 40 });
      expect(formula.tins?.map((t) => `${t.count} ${t.tin.shape} ${t.tin.topMm}`)).toEqual(['1 round 200']);
    });

  it('of a plain list is left alone, letter by letter', () => {
    const line = fc.constantFrom(
      '200 g flour',
      '2 eggs',
      'pinch of salt',
      '1 cup sugar, packed',
      '½ tsp vanilla',
      '1l milk',
      'butter 100',
      '3 large eggs, beaten',
      'Cream the butter and sugar.',
      'Bake at 180 °C for 30 minutes.',
      '',
    );
    fc.assert(
      fc.property(fc.array(line, { maxLength: 14 }), (lines) => {
        expect(unshared(untabled(tidy(['Cake', ...lines]))).lines).toEqual(['Cake', ...lines]);
      }),
    );
  });
});

describe('letters of a scan', () => {
  it('become figures only among figures', () => {
    for (const [seen, meant] of [
      ['I75 g', '175 g'],
      ['2OO ml', '200 ml'],
      ['l/2 tsp', '1/2 tsp'],
      ['I cup oats', '1 cup oats'],
      ['f1our', 'flour'],
      ['I stir it in', 'I stir it in'],
      ['1l milk', '1l milk'],
      ['S.R. flour', 'S.R. flour'],
      ['10 lbs', '10 lbs'],
      ['500ml', '500ml'],
    ])
      expect(unscanned(seen ?? '')).toBe(meant as string);
  });
});

describe('tables', () => {
  it('give a bare figure the unit of its column, and no other', () => {
    expect(
      rowsToLines(
        ['Ingredient', 'Cups', 'Grams', 'Note'],
        [
          ['Flour', '2 cups', '250', 'sifted'],
          ['Eggs', '2', '100', ''],
          ['Milk', '1 cup', '240', ''],
          ['Total', '', '590', ''],
        ],
      ),
    ).toEqual(['2 cups Flour (250 g), sifted', '2 Eggs (100 g)', '1 cup Milk (240 g)']);
  });

  it('of shares add up to what the text says they weigh', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 5000 }), fc.integer({ min: 1, max: 120 }), (flourG, sugar) => {
        const {
          lines,
          flourG: found,
          guessed,
        } = unshared([`Buns, flour ${flourG} g`, 'flour 100 %', `sugar ${sugar} %`, 'salt 2 %']);
        expect(guessed).toBeFalse();
        expect(found).toBe(flourG);
        expect(lines[2]).toBe(`${Number(((flourG * sugar) / 100).toFixed(2))} g sugar`);
      }),
    );
    expect(
      readRecipe('Buns\nflour 100 %\nsugar 20 %\nmilk 60 %\nbaking powder 4 %')
        .doubts.map((d) => d.words)
        .join(),
    ).toContain('500 g of flour');
  });
});

describe('a measure of the house', () => {
  it('is what the text says it holds, or is asked about', () => {
    const glass = 'A glass is 200 ml.\n1 glass sugar\n3 glasses flour\nhalf a glass of oil';
    const found = ownMeasure(glass);
    expect(found).toEqual({ word: 'glass', is: '200 ml', guessed: false });
    expect(found && inPlain('3 glasses flour, half a glass of oil', found)).toBe('600 ml flour, 100 ml oil');
    expect(ownMeasure('1 part butter\n2 parts sugar\n3 parts flour')?.guessed).toBeTrue();
    expect(ownMeasure('2 pots yogurt\n1 glass milk')).toBeNull();
  });
});

describe('several recipes in one text', () => {
  it('are told apart by rules or by their titles, and none is lost', () => {
    const one = (name: string, flour: number): string =>
      `${name}\n${flour} g plain flour\n80 g sugar\n90 g butter\nMix, and bake at 180 °C for 20 minutes.`;
    for (const between of ['\n\n---\n\n', '\n\n***\n\n', '\n\n']) {
      const text = [one('Oat buns', 200), one('Seed cakes', 300), one('Rye rounds', 400)].join(between);
      const flours = readRecipes(text).map((d) => allItems(d.formula)[0]?.grams);
      expect(flours).withContext(JSON.stringify(between)).toEqual([200, 300, 400]);
      expect(readRecipe(text).doubts.some((d) => d.kind === 'several')).toBeTrue();
    }
    expect(recipeTexts(plain)).toEqual([plain]);
    const grouped =
      'Cake\n200 g flour\n100 g sugar\nBake at 180 °C for 20 minutes.\n\nFor the icing\n100 g icing sugar\n20 g butter';
    expect(recipeTexts(grouped)).toEqual([grouped]);
  });
});
