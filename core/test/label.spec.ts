import fc from 'fast-check';
import {
  assess,
  catalogueRow,
  defaultKitchen,
  dietsOf,
  fromLabel,
  ingredients,
  type Label,
  labelProblems,
  readRecipe,
  roundings,
  write,
} from '../src/index.js';

const flour: Label = {
  name: 'Mill flour',
  energyKcal: 344,
  fatG: 1.2,
  carbohydrateG: 72.8,
  sugarsG: 0.6,
  fibreG: 2.7,
  proteinG: 10.3,
  saltG: 0,
};

describe('an own ingredient from its label', () => {
  it('is like what it is made like, and names all that it took from there', () => {
    const { ingredient, inferred, problems } = fromLabel(flour, 'mill-flour');
    expect(problems).toEqual([]);
    expect(ingredient.base).toBe('flour');
    expect(Math.abs(ingredient.per100.water - 12.4)).toBeLessThan(0.6);
    expect(ingredient.basis).toBe("from the baker's label");
    expect(inferred.map((i) => i.field)).toEqual(jasmine.arrayContaining(['water', 'density', 'acid', 'role']));
    expect(fromLabel({ ...flour, like: 'wheat-bran' }, 'x').ingredient.drinks).toBe(catalogueRow('wheat-bran').drinks);
    expect(fromLabel({ ...flour, gPerMl: 0.7 }, 'x').ingredient.gPerMl).toBe(0.7);
  });

  it('sums to 100 for any label that can be', () => {
    const label = fc
      .tuple(...[0, 1, 2, 3, 4].map(() => fc.integer({ min: 0, max: 100 })), fc.integer({ min: 0, max: 60 }))
      .map(([fat, sugars, starch, fibre, protein, water]): Label => {
        const sum = (fat ?? 0) + (sugars ?? 0) + (starch ?? 0) + (fibre ?? 0) + (protein ?? 0) + (water ?? 0) + 1;
        const part = (x: number | undefined): number => Math.round((1000 * (x ?? 0)) / sum) / 10;
        return {
          name: 'x',
          fatG: part(fat),
          carbohydrateG: part(sugars) + part(starch),
          sugarsG: part(sugars),
          fibreG: part(fibre),
          proteinG: part(protein),
        };
      });
    fc.assert(
      fc.property(label, (l) => {
        const { ingredient, problems } = fromLabel(l, 'x');
        const sum = Object.values(ingredient.per100).reduce((a, b) => a + b, 0);
        expect(sum).toBeGreaterThan(99);
        expect(sum).toBeLessThan(101);
        expect(problems).toEqual([]);
      }),
    );
  });

  it('that cannot be is said to be so, with the likely slip', () => {
    const ids = (l: Partial<Label>): string[] => labelProblems({ ...flour, ...l }).map((p) => p.id);
    expect(ids({ fatG: 30 })).toContain('sum');
    expect(ids({ sugarsG: 80 })).toContain('sugars');
    expect(ids({ energyKcal: 120 })).toEqual(['energy']);
    expect(ids({ proteinG: -1 })).toEqual(['protein']);
    expect(ids({ energyKcal: 344, carbohydrateG: 75.5, carbohydrateIncludesFibre: true })).toEqual([]);
    expect(labelProblems({ ...flour, proteinG: 140 })[0]?.remedy).toContain('per 100 g');
  });

  it('agrees with the catalogue: every row’s own label leads back to its kind', () => {
    const plain = ingredients.filter((i) => i.base === 'flour' && !i.co2Mmol && i.id !== 'plain-flour').slice(0, 25);
    for (const i of plain) {
      const c = i.per100;
      const label: Label = {
        name: i.name,
        fatG: c.fat,
        carbohydrateG: c.sugar + c.starch,
        sugarsG: c.sugar,
        fibreG: c.fibre,
        proteinG: c.protein,
        saltG: i.saltG ?? 0,
      };
      expect(fromLabel(label, 'x').ingredient.role).withContext(i.id).toBe('flour');
    }
  });
});

describe('an own ingredient in a formula', () => {
  it('travels with it in Orvin’s file, and is read by its name where the kitchen knows it', () => {
    const own = fromLabel(flour, 'mill-flour').ingredient;
    const kitchen = { ...defaultKitchen, ownIngredients: [own] };
    const { formula, doubts } = readRecipe('Loaf\n300 g mill flour\n5 g baking soda\n300 g buttermilk', kitchen);
    expect(doubts.filter((d) => d.itemId)).toEqual([]);
    expect(formula.groups.flatMap((g) => g.items).map((i) => i.ingredient)).toContain('mill-flour');
    const alone = readRecipe(write(formula, 'json', kitchen)).formula;
    expect(alone.ingredients?.map((i) => i.id)).toEqual(['mill-flour']);
    expect(assess(alone).totals.flourG).toBe(300);
  });
});

describe('diets', () => {
  it('follow from what a thing is made of', () => {
    const of = (id: string): string[] => dietsOf(catalogueRow(id));
    expect(of('butter')).toEqual(['vegetarian', 'gluten-free', 'egg-free', 'nut-free']);
    expect(of('honey')).not.toContain('vegan');
    expect(of('lard')).not.toContain('vegetarian');
    expect(of('plant-butter')).toContain('vegan');
    expect(of('rolled-oats')).not.toContain('gluten-free');
    expect(of('ground-hazelnut')).not.toContain('nut-free');
  });
});

describe('rounding to what the kitchen owns', () => {
  const gram = defaultKitchen.measures;
  it('warns where a leavener loses more than a twentieth, and says what to use', () => {
    const soda = catalogueRow('baking-soda');
    expect(roundings(2.5, soda, gram).warning).toContain('use the spoon');
    expect(roundings(2.5, soda, { ...gram, scaleG: 0.1 }).warning).toBeNull();
    expect(roundings(9, catalogueRow('baking-powder'), gram).warning).toBeNull();
    expect(roundings(240.4, catalogueRow('plain-flour'), gram).warning).toBeNull();
  });
  it('weighs to within half a step and spoons to within half an eighth', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 800, noNaN: true }),
        fc.constantFrom('baking-powder', 'plain-flour', 'milk', 'white-sugar', 'salt'),
        fc.constantFrom(1, 0.1),
        (g, id, scaleG) => {
          const r = roundings(g, catalogueRow(id), { ...gram, scaleG });
          expect(Math.abs(r.weighed.grams - g)).toBeLessThanOrEqual(scaleG / 2 + 1e-9);
          if (g > 8)
            expect(Math.abs(r.measured.errorPct)).withContext(`${g} g ${id} = ${r.measured.words}`).toBeLessThan(14);
        },
      ),
    );
  });
});
