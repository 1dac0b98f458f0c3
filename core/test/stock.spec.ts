import {
  adapt,
  allItems,
  catalogueRow,
  compose,
  defaultKitchen,
  families,
  isConflict,
  rebalance,
  substitute,
  type Conflict,
  type Formula,
  type Kitchen,
  type Proposal,
} from '../src/index.js';
import { isWholeGrain } from '../src/ingredient/kinds.js';
import { demo, demoIds } from './support/make.js';
import { size } from './support/runs.js';

const used = (f: Formula, ingredient: string): number =>
  allItems(f).reduce((s, i) => s + (i.ingredient === ingredient ? i.grams : 0), 0);
const lineOf = (f: Formula, ingredient: string): string =>
  allItems(f).find((i) => i.ingredient === ingredient)?.id ?? '';
const withStock = (stock: Readonly<Record<string, number>>): Kitchen => ({ ...defaultKitchen, stock });
const had = (x: Proposal[] | Conflict): Proposal[] => {
  if (isConflict(x)) throw new Error(x.words);
  return x;
};
const refused = (x: Proposal[] | Conflict): Conflict => {
  if (!isConflict(x)) throw new Error(`it was made: ${x[0]?.words ?? 'nothing'}`);
  return x;
};

describe('what the kitchen has', () => {
  it('is not exceeded by a line that grows, whatever is asked', async () => {
    for (const id of demoIds.slice(0, size(4, 2))) {
      const f = demo(id);
      // exactly what the formula takes of everything, so that nothing may grow
      const stock = Object.fromEntries(allItems(f).map((i) => [i.ingredient, used(f, i.ingredient)]));
      const kitchen = withStock(stock);
      const sour = ['buttermilk', 'yogurt', 'milk'].find((x) => used(f, x) > 0);
      const answers = [
        ...had(await adapt(f, 'eggless', kitchen).then((x) => (isConflict(x) ? [] : x))),
        ...had(await rebalance(f, {}, kitchen).then((x) => (isConflict(x) ? [] : x))),
        ...(sour ? [await substitute(f, lineOf(f, sour), 'kefir', kitchen)] : []),
      ];
      expect(answers.length).withContext(id).toBeGreaterThan(0);
      for (const p of answers)
        for (const [ingredient, grams] of Object.entries(stock)) {
          // what stands in for another was chosen, and comes although it has to be bought
          if (p.lines.some((l) => l.kind === 'replaced' && l.item?.ingredient === ingredient)) continue;
          if (p.lines.some((l) => l.reason.includes('stands in for'))) continue;
          expect(used(p.formula, ingredient))
            .withContext(`${id}, ${p.title}: ${ingredient}`)
            .toBeLessThan(grams + 0.01);
        }
    }
  });

  it('stands in the way by its name, where it does', async () => {
    const f = demo('cardamom-yogurt-round');
    const more = {
      wishes: [{ kind: 'change' as const, of: 'sugar' as const, byPct: 8 }],
      locked: [lineOf(f, 'plain-flour')],
    };
    expect(isConflict(await rebalance(f, more, defaultKitchen))).toBeFalse();
    const sugars = Object.fromEntries(
      allItems(f)
        .filter((i) => catalogueRow(i.ingredient).per100.sugar > 3)
        .map((i) => [i.ingredient, used(f, i.ingredient)]),
    );
    const out = refused(await rebalance(f, more, withStock(sugars)));
    expect(out.words).toContain('more sugar');
    expect(out.words).toMatch(/only \d+ g of [a-z ]+ is there/);
  });
});

describe('a preset that cannot be had beside a wish', () => {
  const f = demo('cardamom-yogurt-round');

  it('names both, and points only at wishes that the baker made', async () => {
    const rivals = { eggless: 'egg', 'less-sugar': 'sugar' } as const;
    for (const preset of ['eggless', 'less-sugar'] as const) {
      const of = rivals[preset];
      const wishes = [
        { kind: 'measure' as const, of: 'salt' as const, min: 0.2 },
        { kind: 'measure' as const, of, min: 70, words: `plenty of ${of}` },
      ];
      const out = refused(await adapt(f, preset, defaultKitchen, { wishes }));
      expect(out.words).withContext(preset).toContain(`plenty of ${of}`);
      expect(out.words)
        .withContext(preset)
        .toContain(preset === 'eggless' ? 'without egg' : 'less sugar');
      expect(out.wishes.filter((w) => w.index !== null).map((w) => w.index))
        .withContext(preset)
        .toEqual([1]);
    }
  });

  it('points at none where only the preset itself stands in the way', async () => {
    const out = refused(await adapt(f, 'what-i-have', withStock({ salt: 100 })));
    expect(out.wishes.length).toBeGreaterThan(0);
    for (const w of out.wishes) expect(w.index).withContext(w.words).toBeNull();
  });
});

describe('what a new formula is to taste of', () => {
  const rivals: readonly (readonly [string, ...string[]])[] = [
    ['buttermilk', 'coconut-milk'],
    ['butter', 'olive-oil'],
    ['cocoa-natural', 'cocoa-alkalised'],
    ['ground-almond', 'ground-hazelnut'],
    ['lemon-juice', 'vinegar'],
    ['honey', 'maple-syrup'],
    ['rye-flour', 'oat-flour', 'buckwheat-flour'],
    ['saffron'],
  ];

  it('is all in it, where two share a place too, however small the batch', async () => {
    for (const flavours of rivals) {
      for (const batterG of [240, 1100]) {
        const out = await compose({ family: 'muffin', flavours, batterG });
        const p = isConflict(out) ? out.nearest : out[0];
        const context = `${flavours.join(' and ')}, ${batterG} g: ${isConflict(out) ? out.words : ''}`;
        expect(p).withContext(context).toBeTruthy();
        for (const id of flavours)
          expect(p ? used(p.formula, id) : 0)
            .withContext(`${context} ${id}`)
            .toBeGreaterThan(0);
      }
    }
  });

  it('is never left out in silence: what has no place, or is not there, is said', async () => {
    for (const family of families.filter((f) => f.id !== 'free').slice(0, 6)) {
      const out = refused(await compose({ family: family.id, flavours: ['egg-yolk'] }));
      expect(out.words).withContext(family.id).toContain('yolk');
      expect(out.words).withContext(family.id).toContain(family.plural);
      // and what can be had without it is there to see
      expect(out.nearest?.formula.family).toBe(family.id);
    }
    const kitchen = withStock({ 'plain-flour': 900, butter: 400, 'caster-sugar': 500, egg: 300, milk: 900 });
    const out = refused(await compose({ family: 'muffin', flavours: ['pear'], stock: true }, kitchen));
    expect(out.words).toContain('no pear');
    expect(out.wishes.map((w) => w.index)).toEqual([null, null]);
  });

  it('names what is short in stock, not something else', async () => {
    const kitchen = withStock({
      'plain-flour': 40,
      'neutral-oil': 500,
      'caster-sugar': 900,
      egg: 500,
      buttermilk: 900,
      'baking-powder': 90,
      'baking-soda': 90,
      salt: 90,
      'vanilla-extract': 50,
    });
    const out = refused(await compose({ family: 'muffin', batterG: 1000, stock: true }, kitchen));
    expect(out.words).toContain('flour');
    expect(out.words).toContain('in stock');
    expect(out.words).not.toContain('texture');
  });
});

describe('whole grain', () => {
  it('is flour ground from all of it: neither its bran, its germ nor its starch alone', () => {
    for (const id of ['wholemeal-flour', 'rolled-oats', 'rye-flour', 'buckwheat-flour', 'brown-rice-flour'])
      expect(isWholeGrain(catalogueRow(id)))
        .withContext(id)
        .toBeTrue();
    for (const id of [
      'wheat-bran',
      'oat-bran',
      'wheat-germ',
      'bran-flakes',
      'wheat-starch',
      'plain-flour',
      'malted-flour',
    ])
      expect(isWholeGrain(catalogueRow(id)))
        .withContext(id)
        .toBeFalse();
  });
});
