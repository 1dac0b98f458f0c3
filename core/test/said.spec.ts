import { applyChanges, assess, explain, families, ingredients, readRecipe, type Formula } from '../src/index.js';
import { relatives } from '../src/balance/family-rows.js';
import { methodRead } from '../src/balance/methods.js';
import { soapyFrom } from '../src/balance/verdicts.js';
import { ordinaryFormulas } from '../src/plausible/data.js';
import { batterOf, saidOfOrdinary } from '../src/plausible/formulas.js';
import { alongTitles, apartAt, apartOf, onlyKin } from '../src/plausible/ground.js';
import { theModel, type Model } from '../src/plausible/model.js';
import { kindsOf, titleWords, workingOf, workingRead, type Working } from '../src/plausible/said.js';
import { viewOfLines, type View } from '../src/plausible/view.js';
import { demo, demoIds, formula } from './support/make.js';

const method = (text: string): Formula => ({ ...formula([['plain-flour', 250]]), method: [{ text, itemIds: [] }] });

describe('how a batter is worked', () => {
  const cases: readonly (readonly [text: string, working: Working | null])[] = [
    ['Cream the butter and sugar until pale. Add the eggs.', 'creamed'],
    ['Beat the soft butter with the sugar, then the eggs one by one.', 'creamed'],
    ['Rub the cold butter into the flour until it looks like breadcrumbs.', 'rubbed'],
    ['Cut the lard into the flour. Stir in the milk.', 'rubbed'],
    ['Whisk the eggs with the sugar until thick and pale. Fold in the flour.', 'whisked'],
    ['Stir yolks, oil and flour smooth. Beat the whites to stiff peaks and fold them in.', 'whisked'],
    ['Whisk wet into dry, stirring only until no flour shows.', 'stirred'],
    ['Melt the butter with the syrup. Mix in the rest.', 'stirred'],
    // cream that is poured, whipped or filled with is not creaming
    ['Whisk the eggs with the sugar to the ribbon. Fold in the flour. Fill with whipped cream.', 'whisked'],
    ['Stir in the sour cream and cream cheese. Mix.', 'stirred'],
    ['Serve with cream on top. Stir all together.', 'stirred'],
    // nothing is said of the bowl
    ['Bake at 180 C for 20 minutes.', null],
    ['', null],
  ];

  it('is read from the words of the method, and is not guessed', () => {
    for (const [text, working] of cases)
      expect(workingRead(method(text)))
        .withContext(text)
        .toBe(working);
  });

  it('agrees with the way of mixing that the Bench names', () => {
    for (const id of demoIds) {
      const f = demo(id);
      const read = methodRead(f);
      if (read) expect(workingRead(f)).withContext(id).toBe(workingOf(read));
    }
    expect(workingOf('coating')).toBe('rubbed');
    expect(workingOf('one-bowl')).toBe('stirred');
  });

  it('is the family’s own mixture of ways where it is not known', () => {
    const { ground } = theModel() as Model;
    for (const shares of ground.workings) expect(shares.reduce((s, x) => s + x, 0)).toBeCloseTo(1, 9);
    const f = ordinaryFormulas()[0];
    if (!f) return;
    const known = viewOfLines(batterOf(f), saidOfOrdinary(f)) as View;
    const unknown: View = { ...known, working: null };
    const near = (v: View, family: string): number => apartOf(v, onlyKin(family as 'scone'), ground).d2[0] ?? Infinity;
    // a scone is mostly rubbed in: unknown, it lies nearer to what is rubbed than it would as a sponge
    expect(near(known, 'biscuit')).toBeCloseTo(0, 6);
    expect(near(unknown, 'biscuit')).toBeLessThan(near(unknown, 'equal-weight-sponge'));
  });
});

describe('what a title says', () => {
  it('is its words, without number and each once', () => {
    expect(titleWords('Apple & apple-crumble muffins, No. 2')).toEqual(['apple', 'crumble', 'muffin']);
    expect(titleWords('Crème fraîche scones')).toEqual(['crème', 'fraîche', 'scone']);
    expect(titleWords('')).toEqual([]);
  });

  it('joins words that stand for one another', () => {
    expect(kindsOf('Egg-free cake')).toEqual(kindsOf('Vegan cake'));
    expect(kindsOf('Blondies')).toEqual(kindsOf('Walnut brownies'));
    expect(kindsOf('Lemon cake').some((k) => k > 0)).toBeFalse();
  });

  it('makes titles more alike the rarer the words are that they share', () => {
    const { ground } = theModel() as Model;
    const { titles } = ground;
    const [rare, common] = ['gingerbread', 'cake'];
    expect(titles.weight.get(rare) ?? 0).toBeGreaterThan(titles.weight.get(common) ?? 9);
    const { by, known } = alongTitles(titles, ['gingerbread']);
    expect(known).toBe(1);
    by.forEach((c, i) => {
      expect(c).toBeGreaterThanOrEqual(0);
      expect(c).toBeLessThanOrEqual(1 + 1e-9);
      expect(c > 0).toBe((titles.words[i] ?? []).includes('gingerbread'));
    });
    // a word that nobody else uses tells nothing
    expect(alongTitles(titles, ['zorblax']).known).toBe(0);
    expect(Math.max(...alongTitles(titles, ['zorblax']).by)).toBe(0);
    // each is alike to itself as far as its words are known
    const own = alongTitles(titles, titles.words[5] ?? []);
    expect(own.by[5]).toBeCloseTo(own.known, 9);
  });

  it('is part of the distance, which is the same both ways', () => {
    const { ground } = theModel() as Model;
    for (const [i, k] of [
      [0, 40],
      [7, 300],
      [120, 121],
    ] as const)
      // prettier-ignore
      expect(apartAt(i, ground).d2[k]).toBeCloseTo(apartAt(k, ground).d2[i] ?? NaN, 9);
    expect(apartAt(9, ground).d2[9]).toBeCloseTo(0, 9);
  });
});

describe('tables', () => {
  it('of families are whole: ranges in order, and each relative found among families that there are', () => {
    const ids = new Set(families.map((f) => f.id));
    for (const f of families) {
      for (const [key, r] of Object.entries(f))
        if (Array.isArray(r) && typeof r[0] === 'number' && r.length === 2)
          expect(r[0])
            .withContext(`${f.id} ${key}`)
            .toBeLessThanOrEqual(r[1] as number);
      expect(f.methods.length).toBeGreaterThan(0);
      expect(f.signs).not.toBe('');
    }
    for (const r of relatives) for (const id of r.among) expect(ids).withContext(r.name).toContain(id);
    expect(new Set(relatives.map((r) => r.name)).size).toBe(relatives.length);
  });

  it('of ingredients give kinds only where they make sense', () => {
    for (const i of ingredients) {
      if (i.gluten !== undefined) expect(i.base).withContext(i.id).toBe('flour');
      if (i.wholeGrain) expect(i.base).withContext(i.id).toBe('flour');
      if (i.fatState) expect(i.role).withContext(i.id).toBe('fat');
      if (i.kind === 'cheese' || i.kind === 'cream' || i.kind === 'sour milk')
        expect(['liquid', 'addin']).withContext(i.id).toContain(i.role);
      if (i.bulkSweetener) expect(i.per100.sugar).withContext(i.id).toBe(0);
      if (i.alcohol !== undefined) expect(i.alcohol).withContext(i.id).toBeLessThanOrEqual(0.6);
    }
  });
});

describe('a soda that is too much', () => {
  it('is brought down to what gas, soda and acid together fit, and the cure does not leave it soapy', () => {
    for (const spoons of [3, 4]) {
      const f = readRecipe(`Soda bread\n450 g plain flour\n${spoons} tsp baking soda\n1 tsp salt\n400 ml buttermilk\nMix, shape, cut a cross. Bake at 200C for 40 minutes.`).formula; // prettier-ignore
      const soda = assess(f).plausible?.suspects[0];
      expect(soda?.role).toBe('leavener');
      expect(soda?.likelyG).toBeGreaterThan(3);
      expect(soda?.likelyG).toBeLessThan(7.5);
      const [first] = assess(f).advice;
      const cured = applyChanges(f, first?.changes ?? []);
      expect(assess(cured).ledger.leftSodaGPer100gBatter.typical).toBeLessThan(soapyFrom(false));
      expect(explain(cured, 'plausible').words).not.toBe('');
    }
  });
});

describe('a pot of the house', () => {
  it('that is a weight of yogurt holds as many millilitres of all else', () => {
    const f = readRecipe('Yogurt pot cake\n1 pot yogurt (125 g)\n2 pots sugar\n3 pots flour\n1 pot oil\n3 eggs\n10 g baking powder\nMix all. Bake at 180C for 35 minutes in a 22 cm round tin.').formula; // prettier-ignore
    const grams = Object.fromEntries(f.groups.flatMap((g) => g.items).map((i) => [i.ingredient, Math.round(i.grams)]));
    expect(grams['yogurt']).toBe(125);
    expect(grams['plain-flour']).toBeGreaterThan(170);
    expect(grams['plain-flour']).toBeLessThan(220);
    expect(grams['white-sugar']).toBeLessThan(225);
    expect(grams['neutral-oil']).toBeLessThan(120);
  });
});
