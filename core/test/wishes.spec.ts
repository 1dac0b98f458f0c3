import fc from 'fast-check';
import {
  allItems,
  assess,
  catalogueRow,
  defaultKitchen,
  ingredients,
  isMeasurable,
  presets,
  stepG,
  wishWords,
  type Formula,
  type Kitchen,
  type Wish,
} from '../src/index.js';
import { isBread, jobOf } from '../src/adapt/jobs.js';
import { onStep } from '../src/quantity/steps.js';
import { flavourPct, skeletons } from '../src/adapt/table/skeletons.js';
import { standIns } from '../src/adapt/table/stand-ins.js';
import { isMet, measuredOf, pinned, shortOf, traitsOf } from '../src/adapt/wishes.js';
import { weigh } from '../src/balance/weigh.js';
import { demo } from './support/make.js';

const cake = demo('cardamom-yogurt-round');
const line = (ingredient: string): string => allItems(cake).find((i) => i.ingredient === ingredient)?.id ?? '';

describe('steps of a kitchen', () => {
  const kitchens: readonly Kitchen[] = [
    defaultKitchen,
    { ...defaultKitchen, schools: { ...defaultKitchen.schools, eggs: 'weighed' } },
    { ...defaultKitchen, measures: { ...defaultKitchen.measures, spoonMl: 4.93, eggSize: 'us-l' } },
    { ...defaultKitchen, measures: { ...defaultKitchen.measures, scaleG: 2 } },
  ];

  it('make amounts that its spoons, eggs and scale can measure, as near as a step allows', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ingredients),
        fc.double({ min: 0.2, max: 4000, noNaN: true }),
        fc.double({ min: 100, max: 5000, noNaN: true }),
        fc.constantFrom(...kitchens),
        (ingredient, grams, batterG, kitchen) => {
          const step = stepG(ingredient, grams, batterG, kitchen);
          const on = onStep(ingredient, grams, batterG, kitchen);
          expect(step).toBeGreaterThan(0);
          expect(Math.abs(on - grams)).toBeLessThanOrEqual(step / 2 + 0.01);
          expect(isMeasurable({ grams: on }, ingredient, kitchen))
            .withContext(`${ingredient.id} ${on}`)
            .toBeTrue();
        },
      ),
    );
  });

  it('are eighths of a spoon for leavener, halves of an egg, five grams of flour', () => {
    const step = (id: string, about: number): number => stepG(catalogueRow(id), about, 900, defaultKitchen);
    expect(step('baking-soda', 3)).toBeCloseTo((5 * 1.014) / 8, 6);
    expect(step('egg', 100)).toBe(25);
    expect(step('egg-white', 100)).toBeCloseTo(33, 6);
    expect(step('plain-flour', 250)).toBe(5);
    expect(step('honey', 12)).toBe(1);
    expect(step('plain-flour', 5000)).toBe(50);
    expect(isMeasurable({ grams: 21.37 }, catalogueRow('honey'), defaultKitchen)).toBeFalse();
  });
});

describe('wishes', () => {
  it('that speak of what is there become figures, which the formula is held against', () => {
    const relative: readonly Wish[] = [
      { kind: 'change', of: 'sugar', byPct: -25 },
      { kind: 'change', of: 'wholegrain', byPct: 10 },
      { kind: 'texture', trait: 'mouth', by: 0.3 },
      { kind: 'texture', trait: 'colour', by: -0.2 },
    ];
    const w = weigh(cake, defaultKitchen);
    const [sugar, grain, mouth, colour] = pinned(cake, { wishes: relative }, defaultKitchen).wishes ?? [];
    expect(sugar).toEqual(jasmine.objectContaining({ kind: 'measure', of: 'sugar', words: '25 % less sugar' }));
    expect(sugar?.kind === 'measure' && sugar.max).toBeCloseTo(0.75 * w.totals.sugarPct, 6);
    expect(grain?.kind === 'measure' && grain.min).toBe(0);
    expect(mouth?.kind === 'trait' && mouth.min).toBeCloseTo(traitsOf(w).mouth + 0.3, 6);
    expect(colour?.kind === 'trait' && colour.max).toBeCloseTo(traitsOf(w).colour - 0.2, 6);
    for (const wish of [sugar, mouth, colour]) if (wish) expect(isMet(wish, cake, w, defaultKitchen, cake)).toBeFalse();
    if (grain) expect(isMet(grain, cake, w, defaultKitchen, cake)).toBeTrue();
  });

  it('count what the assessment counts', () => {
    for (const id of ['cardamom-yogurt-round', 'rye-and-pear-loaf', 'cheese-and-thyme-scones']) {
      const f = demo(id);
      const a = assess(f);
      const m = measuredOf(weigh(f, defaultKitchen), defaultKitchen);
      expect(m.sodium).withContext(id).toBeCloseTo(a.crumb.sodium.mgPer100gBatter, 6);
      expect(m.fat).toBeCloseTo(a.totals.fatPct, 9);
      expect(m.wholegrain).toBeCloseTo(id === 'rye-and-pear-loaf' ? 40 : 0, 6);
      const t = traitsOf(weigh(f, defaultKitchen));
      for (const x of a.texture) expect(t[x.id]).withContext(`${id} ${x.id}`).toBeCloseTo(x.index, 9);
    }
  });

  it('have words of their own, each', () => {
    const yogurt = line('yogurt');
    const all: readonly (readonly [Wish, string])[] = [
      [{ kind: 'hold', itemId: yogurt }, 'plain yogurt stays as it is'],
      [{ kind: 'amount', itemId: yogurt, maxG: 180 }, 'at most 180 g of plain yogurt'],
      [{ kind: 'amount', itemId: yogurt, minG: 90, maxG: 180 }, '90 to 180 g of plain yogurt'],
      [{ kind: 'amount', itemId: yogurt, minG: 120, maxG: 120 }, 'exactly 120 g of plain yogurt'],
      [{ kind: 'have', ingredient: 'butter', grams: 80 }, 'only 80 g of butter is there'],
      [{ kind: 'measure', of: 'sugar', max: 60 }, 'sugar at most 60 % of the flour'],
      [{ kind: 'measure', of: 'sodium', max: 200 }, 'sodium at most 200 mg in 100 g of batter'],
      [{ kind: 'change', of: 'fat', byPct: -25 }, '25 % less fat'],
      [{ kind: 'texture', trait: 'crumb', by: 0.3 }, 'lighter, more open'],
      [{ kind: 'trait', trait: 'bite', max: -0.2 }, 'firmer'],
      [{ kind: 'lift', max: 12 }, 'lift of at most 12'],
      [{ kind: 'left-soda', min: 0.1 }, 'soda left over, for a darker crumb'],
      [{ kind: 'left-soda', max: 0.05 }, 'no soda left over'],
      [{ kind: 'batter', grams: 1200 }, '1200 g of batter'],
    ];
    for (const [wish, words] of all) expect(wishWords(wish, cake, defaultKitchen)).toBe(words);
    expect(wishWords({ kind: 'stock' }, cake, { ...defaultKitchen, stock: { butter: 10 } })).toContain(
      'not enough butter',
    );
  });

  it('see what is short: over all lines of an ingredient, water never', () => {
    const twice: Formula = {
      ...cake,
      groups: [
        ...cake.groups,
        {
          id: 'top',
          name: 'Top',
          role: 'top',
          items: [{ id: 'more', ingredient: 'butter', words: 'butter', entered: null, grams: 50 }],
        },
      ],
    };
    const stock = Object.fromEntries(allItems(cake).map((i) => [i.ingredient, i.grams]));
    expect(shortOf(cake, { ...defaultKitchen, stock })).toEqual([]);
    expect(shortOf(twice, { ...defaultKitchen, stock })).toEqual([{ ingredient: 'butter', needG: 170, haveG: 120 }]);
    const wet: Formula = {
      ...cake,
      groups: [
        { id: 'g', name: '', items: [{ id: 'w', ingredient: 'water', words: 'water', entered: null, grams: 90 }] },
      ],
    };
    expect(shortOf(wet, defaultKitchen)).toEqual([]);
  });
});

describe('the tables of stand-ins and plain formulas', () => {
  it('name only what the catalogue has, each able to do the job it is listed for', () => {
    for (const [job, list] of Object.entries(standIns))
      for (const s of list) {
        const row = catalogueRow(s.id);
        expect(s.ready).toBeGreaterThan(0);
        expect(s.ready).toBeLessThanOrEqual(1);
        for (const share of s.most ?? []) {
          expect(share).toBeGreaterThan(0);
          expect(share).toBeLessThanOrEqual(1);
        }
        expect(s.most === undefined || s.whyMost !== undefined)
          .withContext(s.id)
          .toBeTrue();
        // what weighs by fat or sugar has to have some
        if (s.per === undefined && (job === 'solid fat' || job === 'oil')) expect(row.per100.fat).toBeGreaterThan(60);
        if (s.per === undefined && (job === 'dry sugar' || job === 'syrup'))
          expect(row.per100.sugar).toBeGreaterThan(60);
      }
    for (const id of Object.keys(flavourPct)) expect(catalogueRow(id).id).toBe(id);
    for (const s of Object.values(skeletons))
      for (const [id] of [
        s.fat,
        ...s.sugar,
        ...(s.liquid ? [s.liquid] : []),
        ...(s.beside ?? []),
        ...(s.plainly ?? []),
      ])
        expect(catalogueRow(id).id).toBe(id);
  });

  it('know the job of nearly everything that a batter is made of', () => {
    const idle = ingredients.filter(
      (i) => ['flour', 'fat', 'sugar', 'egg', 'liquid', 'leavener', 'salt'].includes(i.role) && jobOf(i) === null,
    );
    expect(idle.map((i) => i.id)).toEqual([]);
    expect(jobOf(catalogueRow('yogurt'))).toBe('sour milk');
    expect(jobOf(catalogueRow('carrot'))).toBe('grated');
    expect(jobOf(catalogueRow('coconut-oil'))).toBe('solid fat');
    expect(isBread('soda-bread') && isBread('scone') && !isBread('quick-bread') && !isBread('muffin')).toBeTrue();
  });

  it('give every preset a name of its own and the cautions that its subject needs', () => {
    expect(new Set(presets.map((p) => p.name)).size).toBe(presets.length);
    const said = (id: string): string => presets.find((p) => p.id === id)?.cautions.join(' ') ?? '';
    expect(said('gluten-free')).toContain('Coeliacs');
    expect(said('small-child')).toMatch(/honey.*12 months.*nuts.*5 years/s);
    expect(said('nut-free')).toContain('packets');
    expect(said('lower-sodium')).toContain('doctor');
    expect(said('less-sugar')).toContain('clinician');
  });
});
