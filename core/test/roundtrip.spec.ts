import fc from 'fast-check';
import {
  allItems,
  assess,
  defaultKitchen,
  gramsOf,
  ingredients,
  readRecipe,
  scale,
  write,
  type Formula,
  type Group,
  type Item,
  type Tin,
  type WriteAs,
  type Stated,
} from '../src/index.js';
import { demo, demoIds, formula } from './support/make.js';
import { every } from './support/runs.js';

const lossy: readonly WriteAs[] = ['text', 'markdown', 'csv', 'json-ld'];
const known = ingredients.filter((i) => i.id !== 'unknown');

const someSource = fc.record({
  cupMl: fc.constantFrom(200, 236.6, 240, 250, 284),
  spoonMl: fc.constantFrom(4.93, 5, 20),
  flourHabit: fc.constantFrom('sifted', 'spooned', 'dipped', 'packed'),
  saltKind: fc.constantFrom('fine', 'coarse', 'flake'),
  eggSize: fc.constantFrom('us-l', 'eu-m', 'eu-xl'),
}) as fc.Arbitrary<Formula['source']>;

const someTin: fc.Arbitrary<Tin> = fc.record(
  {
    id: fc.constantFrom('round-20', 'loaf-900', 'tray'),
    name: fc.constantFrom('20 cm round', 'Old loaf tin, dented', '33 × 23 cm sheet', 'Ring: 2 × deep'),
    shape: fc.constantFrom('round', 'loaf', 'rect', 'cup', 'tube', 'square'),
    topMm: fc.integer({ min: 60, max: 400 }),
    top2Mm: fc.integer({ min: 60, max: 300 }),
    baseMm: fc.integer({ min: 50, max: 300 }),
    depthMm: fc.integer({ min: 20, max: 120 }),
    cups: fc.integer({ min: 1, max: 24 }),
    capacityMl: fc.integer({ min: 100, max: 4000 }),
    tareG: fc.integer({ min: 0, max: 900 }),
    material: fc.constantFrom('light metal', 'dark metal', 'glass', 'cast iron'),
  },
  { requiredKeys: ['id', 'name', 'shape', 'topMm', 'depthMm', 'material'] },
);

const amounts = fc.oneof(
  fc.integer({ min: 1, max: 900 }).map((value) => ({ value, unit: 'g' })),
  fc.constantFrom(0.25, 1 / 3, 0.5, 0.75, 1, 1.5, 2.25, 1.37).map((value) => ({ value, unit: 'cup' })),
  fc.constantFrom(0.125, 0.5, 1, 1.25, 2.5).map((value) => ({ value, unit: 'tsp' })),
  fc.constantFrom(1, 2, 3.5).map((value) => ({ value, unit: 'tbsp' })),
  fc.constantFrom<[number, number]>([1, 2], [2, 3]).map((value) => ({ value, unit: 'tbsp' })),
  fc.integer({ min: 5, max: 500 }).map((value) => ({ value, unit: 'ml' })),
  fc.constantFrom(1, 2, 6).map((value) => ({ value, unit: 'piece' })),
  fc.constantFrom(0.5, 4, 8).map((value) => ({ value, unit: 'oz' })),
);

const sentence = fc.constantFrom(
  'Whisk the flour with the baking powder.',
  'Stand for 10 minutes; it thickens.',
  'Bake.',
  'Turn out when cool, 30 minutes or so',
  'Fold in 2/3 of the fruit, keep the rest',
  'Beat 1 egg at a time into the butter!',
);

/** A formula whose grams follow from its entered amounts, as every formula's do when it is read. */
const someFormula: fc.Arbitrary<Formula> = fc
  .record({
    source: someSource,
    title: fc.constantFrom('Tuesday loaf', 'Plum & almond cake, 2nd try', '4 o’clock muffins'),
    family: fc.constantFrom('muffin', 'quick-bread', 'scone', 'chocolate-cake', 'free') as fc.Arbitrary<
      Formula['family']
    >,
    groups: fc.array(
      fc.record({
        name: fc.constantFrom('Dry', 'Wet', 'Streusel', 'Fold in', 'For the top', 'Second bowl', 'Glaze'),
        role: fc.constantFrom('dry', 'wet', 'batter', 'fold-in', 'top', 'icing', 'egg', 'fat-sugar') as fc.Arbitrary<
          Group['role']
        >,
        items: fc.array(fc.record({ what: fc.constantFrom(...known), entered: amounts, optional: fc.boolean() }), {
          minLength: 1,
          maxLength: 5,
        }),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    method: fc.array(sentence, { maxLength: 5 }),
    bake: fc.option(
      fc.record(
        {
          ovenC: fc.integer({ min: 120, max: 240 }),
          fan: fc.boolean(),
          minutes: fc
            .tuple(fc.integer({ min: 5, max: 90 }), fc.integer({ min: 0, max: 30 }))
            .map(([a, b]) => ({ early: a, late: a + b })),
          stages: fc.constant([
            { fromMin: 0, ovenC: 220 },
            { fromMin: 12, ovenC: 180, cover: 'tent' },
          ]),
          hotTin: fc.constant(true),
          stated: fc.constantFrom<Stated>(
            { ovenC: 165, fan: true, minutes: { early: 50, late: 60 }, batterG: 812 },
            {
              ovenC: 170,
              fan: false,
              minutes: { early: 35, late: 35 },
              stages: [{ fromMin: 0, ovenC: 170, cover: 'lid' }],
            },
          ),
        },
        { requiredKeys: ['ovenC', 'fan'] },
      ),
      { nil: undefined },
    ),
    tins: fc.option(
      fc.array(fc.record({ tin: someTin, count: fc.integer({ min: 1, max: 4 }) }), { minLength: 1, maxLength: 2 }),
      { nil: undefined },
    ),
    makes: fc.option(
      fc.record({ pieces: fc.integer({ min: 1, max: 48 }), name: fc.constantFrom('muffins', 'thick slices') }),
      { nil: undefined },
    ),
  })
  .map(({ groups, method, bake, tins, makes, ...rest }): Formula => {
    let n = 0;
    return {
      format: 'orvin.formula',
      version: 1,
      id: 'f',
      ...rest,
      groups: groups.map((g, i) => ({
        id: `g${i}`,
        name: g.name,
        ...(g.role && { role: g.role }),
        items: g.items.map(({ what, entered, optional }): Item => {
          const grams = gramsOf(entered, what, rest.source);
          return {
            id: `i${n++}`,
            ingredient: what.id,
            words: what.name,
            entered: grams === null ? { value: 50, unit: 'g' } : entered,
            grams: Math.round(100 * (grams ?? 50)) / 100,
            ...(optional && { optional }),
          };
        }),
      })),
      method: method.map((text) => ({ text, itemIds: [] })),
      ...(bake && { bake }),
      ...(tins && { tins }),
      ...(makes && { yield: makes }),
    };
  });

/** What every format promises to carry. */
const carried = (f: Formula): unknown => ({
  title: f.title,
  family: f.family,
  source: f.source,
  groups: f.groups.map((g) => ({
    name: g.name,
    role: g.role,
    items: g.items.map((i) => ({
      ingredient: i.ingredient,
      grams: i.grams.toFixed(1),
      optional: i.optional ?? false,
      unit: i.entered?.unit,
      value: [i.entered?.value].flat().map((x) => x?.toFixed(2)),
    })),
  })),
  method: f.method.map((m) => m.text),
  bake: f.bake ?? null,
  tins: f.tins ?? null,
  makes: f.yield ?? null,
});

describe('a formula that is written and read again', () => {
  for (const as of lossy)
    it(`keeps title, family, measures, groups, amounts, method, heat, tins and yield as ${as}`, () => {
      fc.assert(
        fc.property(someFormula, (f) => {
          const text = write(f, as);
          const back = readRecipe(text);
          expect(carried(back.formula)).withContext(text).toEqual(carried(f));
        }),
        { numRuns: 120 },
      );
    });

  it('is the very same as Orvin JSON, fields nobody knows included', () => {
    fc.assert(
      fc.property(someFormula, fc.jsonValue(), (f, extra) => {
        const more = { ...f, later: extra } as Formula;
        expect(readRecipe(write(more, 'json')).formula as unknown).toEqual(JSON.parse(JSON.stringify(more)) as unknown);
      }),
      { numRuns: 60 },
    );
  });

  it('has the same ingredients, weighing the same, for anything in the catalogue', () => {
    for (const i of every(3, known))
      for (const as of lossy) {
        const f = formula([[i.id, 137]]);
        const back = readRecipe(write(f, as));
        expect(allItems(back.formula).map((x) => [x.ingredient, x.grams]))
          .withContext(`${i.id} as ${as}`)
          .toEqual([[i.id, 137]]);
        expect(back.doubts.filter((d) => d.itemId))
          .withContext(i.id)
          .toEqual([]);
      }
  });

  it('keeps who wrote it, what it says of itself and its times, and takes them from other hands’ JSON-LD', () => {
    const about = { by: 'Ines', description: 'Bakes 40 minutes at 200 °C, with 2 eggs to spare.', prepMinutes: 15, totalMinutes: 95 }; // prettier-ignore
    const f = { ...formula([['plain-flour', 200]]), about };
    for (const as of lossy) {
      const back = readRecipe(write(f, as)).formula;
      expect(back.about).withContext(as).toEqual(about);
      expect(back.bake).withContext(as).toBeUndefined();
      expect(back.notes).withContext(as).toBeUndefined();
      expect(allItems(back).length).withContext(as).toBe(1);
    }
    const other = { '@type': 'Recipe', name: 'Oat cake', author: [{ '@type': 'Person', name: 'Ines' }], description: about.description, prepTime: 'PT15M', totalTime: 'PT1H35M', recipeIngredient: ['200 g oats', '2 eggs'] }; // prettier-ignore
    expect(readRecipe(JSON.stringify(other)).formula.about).toEqual(about);
  });

  it('keeps notes that hold a list as notes, and what it may contain', () => {
    const f = {
      ...formula([['plain-flour', 200]]),
      notes: 'Ingredients\n100 g sugar\nFor the icing:\n50 g butter\nBake at 150 °C for 10 minutes',
      mayContain: ['nuts', 'sesame'],
    };
    for (const as of lossy) {
      const back = readRecipe(write(f, as)).formula;
      expect(allItems(back).map((i) => i.ingredient))
        .withContext(as)
        .toEqual(['plain-flour']);
      expect(back.notes).withContext(as).toBe(f.notes);
      expect(back.mayContain).withContext(as).toEqual(f.mayContain);
      expect(back.bake)
        .withContext(as)
        .toEqual(f.bake as never);
    }
  });

  it('of the sample kitchen is the same in every format, whatever the reader’s own measures', () => {
    const away = { ...defaultKitchen, measures: { ...defaultKitchen.measures, cupMl: 250, eggSize: 'us-l' as const } };
    for (const id of demoIds)
      for (const as of lossy)
        expect(carried(readRecipe(write(demo(id), as), away).formula))
          .withContext(`${id} ${as}`)
          .toEqual(carried(demo(id)));
  });

  it('is judged alike, however large the batch was written', () => {
    fc.assert(
      fc.property(someFormula, fc.integer({ min: 1, max: 5 }), (f, factor) => {
        const big = scale(f, { by: 'factor', factor }, defaultKitchen).formula;
        const back = readRecipe(write(big, 'text')).formula;
        const [a, b] = [assess(f), assess(back)];
        const near = (x: number, y: number): void =>
          expect(Math.abs(x - y)).toBeLessThanOrEqual(0.002 * Math.abs(y) + 0.5);
        near(b.totals.fatPct, a.totals.fatPct);
        near(b.totals.waterPct, a.totals.waterPct);
        near(b.lift.mmolPer100gBase.typical, a.lift.mmolPer100gBase.typical);
      }),
      { numRuns: 60 },
    );
  });
});
