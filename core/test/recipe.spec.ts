import fc from 'fast-check';
import {
  allItems,
  applyChanges,
  assess,
  defaultKitchen,
  differences,
  type Formula,
  OrvinError,
  readRecipe,
  readRecipes,
  readTin,
  settle,
  type Item,
} from '../src/index.js';
import { oneLine } from './support/line.js';
import { demo } from './support/make.js';
import { runs } from './support/runs.js';

const pearLoaf = `Pear and rye loaf

Ingredients
1 1/2 cups (300 g) plain flour
3/4 cup rye flour
1 tsp baking soda
1 tsp baking powder
1/2 tsp salt
2 tsp ground cinnamon
2 eggs
150 g light brown sugar
1/2 cup neutral oil
3/4 cup plain yogurt
2 pears, diced
60 g walnuts, chopped

Method
1. Heat the oven to 350F. Line a 9x5 inch loaf tin.
2. Whisk the dry things. Whisk eggs, sugar, oil and yogurt, pour into the dry and stir until just combined.
3. Fold in pears and walnuts. Bake at 350F for 55-60 minutes.`;

const source = { ...defaultKitchen.measures };
const line = (text: string) =>
  oneLine(text, { ...defaultKitchen, measures: { ...defaultKitchen.measures, ...source } });

describe('reading a recipe', () => {
  it('reads title, lines, heat, time and tin, and leaves the contradiction in doubt', () => {
    const { formula, doubts, confidence } = readRecipe(pearLoaf);
    expect(formula.title).toBe('Pear and rye loaf');
    expect(allItems(formula).length).toBe(12);
    expect(formula.family).toBe('quick-bread');
    expect(formula.bake).toEqual({ ovenC: 177, fan: false, minutes: { early: 55, late: 60 } });
    expect(formula.tins?.[0]?.tin.shape).toBe('loaf');
    expect(doubts.map((d) => d.kind)).toEqual(['disagree']);
    expect(pearLoaf.split('\n')[doubts[0]?.place?.line ?? 0]).toContain('plain flour');
    expect(confidence).toBeLessThan(1);
    expect(formula.method.length).toBe(3);
  });

  it('settles a doubt with one choice, either way', () => {
    const draft = readRecipe(pearLoaf);
    const doubt = draft.doubts[0];
    const flourOf = (choice: string): number => allItems(settle(draft, doubt?.id ?? '', choice).formula)[0]?.grams ?? 0;
    expect(flourOf('weight')).toBe(300);
    expect(flourOf('volume')).toBeCloseTo(185.4, 1);
    expect(settle(draft, doubt?.id ?? '', 'weight').doubts).toEqual([]);
    expect(() => settle(draft, 'nothing', 'weight')).toThrowMatching(
      (e) => e instanceof OrvinError && e.code === 'unknown-doubt',
    );
  });

  it('reads lines in the orders and words people use', () => {
    const cases: [string, string, number, number][] = [
      ['240 g plain flour', 'plain-flour', 240, 0],
      ['Butter, 113 g, softened', 'butter', 113, 0],
      ['1 stick (113 g) butter, softened', 'butter', 113, 0],
      ['2 large eggs, room temperature', 'egg', 120, 1],
      ['½ cup plus 2 tablespoons milk', 'milk', 154.5, 1],
      ['1/4 cup + 1 Tbsp neutral oil', 'neutral-oil', 69, 1],
      ['200g/7oz caster sugar', 'caster-sugar', 200, 0],
      ['1 tsp bicarbonate of soda', 'baking-soda', 5.07, 0.1],
      ['3 very ripe bananas, mashed', 'banana', 345, 5],
      ['a pinch of salt', 'salt', 0.49, 0.1],
      ['2 tsp vanilla extract', 'vanilla-extract', 8.8, 0.2],
      ['1 cup vanilla yogurt', 'fruit-yogurt', 254, 2],
      ['- 1 ½ cups wholemeal flour', 'wholemeal-flour', 183.6, 2],
      ['100 ml buttermilk', 'buttermilk', 103, 0.1],
      ['1 egg yolk', 'egg-yolk', 17, 0.5],
      ['zest of 1 lemon', 'citrus-zest', 6, 0.5],
      ['1½ lb carrots, grated', 'carrot', 680.4, 0.5],
      ['2 T golden syrup', 'golden-syrup', 42.6, 0.5],
      ['85g dark chocolate chips (70 % cocoa)', 'chocolate-chips', 85, 0],
    ];
    for (const [text, id, grams, within] of cases) {
      const { item, doubts } = line(text);
      expect(item.ingredient).withContext(text).toBe(id);
      expect(Math.abs(item.grams - grams))
        .withContext(`${text}: ${item.grams}`)
        .toBeLessThanOrEqual(within + 1e-6);
      expect(doubts).withContext(text).toEqual([]);
    }
  });

  it('knows the staples by their plain names', () => {
    const names: [string, string][] = [
      ['milk', 'milk'],
      ['yogurt', 'yogurt'],
      ['butter', 'butter'],
      ['eggs', 'egg'],
      ['sugar', 'white-sugar'],
      ['brown sugar', 'light-brown-sugar'],
      ['flour', 'plain-flour'],
      ['oil', 'neutral-oil'],
      ['honey', 'honey'],
      ['cocoa', 'cocoa-natural'],
      ['buttermilk', 'buttermilk'],
      ['cream', 'cream-whipping'],
      ['oats', 'rolled-oats'],
      ['cornflour', 'maize-starch'],
      ['cornmeal', 'maize-meal'],
      ['treacle', 'treacle'],
      ['water', 'water'],
      ['cheese', 'hard-cheese'],
    ];
    for (const [name, id] of names)
      expect(line(`100 g ${name}`).item.ingredient)
        .withContext(name)
        .toBe(id);
  });

  it('asks instead of guessing', () => {
    expect(line('250 g quarkenstein').doubts[0]?.kind).toBe('unknown-ingredient');
    expect(line('baking powder').doubts[0]?.kind).toBe('no-amount');
    expect(line('2 cups (200 g) sugar').doubts[0]?.kind).toBe('disagree');
    expect(line('900 kg plain flour').doubts[0]?.kind).toBe('amount');
    expect(line('salt to taste').doubts[0]?.kind).toBe('no-amount');
    expect(line('butter for the tin').doubts).toEqual([]);
    const kinds = (text: string) => readRecipe(text).doubts.map((d) => d.kind);
    expect(kinds('Scones\n300 g flour\n3 tbsp baking soda\n60 g butter\n150 g milk')).toContain('leavener');
    expect(
      kinds(
        'Cake\n300 g flour\n200 g sugar\n3 eggs\n200 g milk\n100 g butter\n2 tsp baking powder\nBake at 300C for 40 min.',
      ),
    ).toContain('temperature');
    expect(
      kinds(
        'Cake\n900 g flour\n700 g sugar\n9 eggs\n700 g milk\n400 g butter\n2 tbsp baking powder\nBake at 180C for 40 minutes in a 20 cm round tin.',
      ),
    ).toContain('tin');
  });

  it('says in which line each doubt lies', () => {
    const text = 'Scones\n\n300 g flour\n60 g butter\n3 tbsp baking soda\n50 g glimmer\n150 g milk';
    const lines = text.split('\n');
    const at = readRecipe(text).doubts.map((d) => [d.kind, d.place ? lines[d.place.line] : null]);
    expect(at).toContain(['leavener', '3 tbsp baking soda']);
    expect(at).toContain(['unknown-ingredient', '50 g glimmer']);
  });

  it('gives a valid, empty formula and says why when there is nothing to read', () => {
    const cases: [string, string][] = [
      ['', 'empty'],
      ['   \n ', 'empty'],
      [
        'The kettle sings, the morning waits,\nand frost has drawn upon the panes\na fern that no one ever ate.',
        'no-ingredients',
      ],
      ['\u0000\u0001\u0002PNG\ufffd\ufffd\u0003\u0004 and so on', 'not-text'],
      ['{"format": "orvin.formula", "groups": [', 'broken-json'],
    ];
    for (const [text, kind] of cases) {
      const d = readRecipe(text);
      expect(d.doubts[0]?.kind)
        .withContext(kind)
        .toBe(kind as never);
      expect(d.doubts[0]?.words.length).toBeGreaterThan(30);
      expect(allItems(d.formula)).toEqual([]);
    }
  });

  it('reads the first part of a text far too long, and says so', () => {
    const d = readRecipe(`${pearLoaf}\n${'and stir once more. '.repeat(100_000)}`);
    expect(d.doubts.some((x) => x.kind === 'too-long')).toBeTrue();
    expect(allItems(d.formula).length).toBe(12);
  });

  it('never throws and always gives a formula, whatever is pasted', () => {
    const bits = fc.constantFrom(
      '1',
      '½',
      'cup',
      'g',
      'flour',
      ' ',
      '\n',
      '-',
      '(',
      ')',
      '/',
      'Bake at',
      '°',
      'tin',
      'x',
      '9',
      ',',
      'or',
      '{',
      '"',
      'tsp',
      'egg',
      '\t',
      '🥚',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(bits, { maxLength: 60 }).map((a) => a.join(' ')),
        ),
        (text) => {
          const d = readRecipe(text);
          expect(d.formula.format).toBe('orvin.formula');
          expect(allItems(d.formula).every((i) => Number.isFinite(i.grams) && i.grams >= 0)).toBeTrue();
          for (const doubt of d.doubts)
            expect(doubt.choices.some((c) => c.id === doubt.likely))
              .withContext(`${doubt.kind} ${doubt.likely}`)
              .toBeTrue();
        },
      ),
      { numRuns: runs(1500) },
    );
  });

  it('takes Orvin’s own JSON only when it is sound, and names what is not', () => {
    const f = demo('rye-and-pear-loaf');
    const paste = (change: (x: Record<string, unknown>) => void) => {
      const x = JSON.parse(JSON.stringify(f)) as Record<string, unknown>;
      change(x);
      return readRecipe(JSON.stringify(x));
    };
    expect(paste(() => undefined).formula).toEqual(f);
    const broken: [(x: Record<string, unknown>) => void, RegExp][] = [
      [(x) => (x['groups'] = [{}]), /a group or a line/],
      [(x) => (x['groups'] = [{ id: 'g', name: '', items: [{ id: 'i' }] }]), /a group or a line/],
      [(x) => (x['family'] = 'croissant'), /its family/],
      [(x) => delete x['source'], /source measures/],
      [(x) => (x['tins'] = [{ tin: {}, count: 1 }]), /a tin/],
      [(x) => (x['bake'] = 180), /its heat/],
      [(x) => (x['version'] = 9), /its version/],
    ];
    for (const [change, words] of broken) {
      const d = paste(change);
      expect(d.doubts[0]?.kind).toBe('broken-json');
      expect(d.doubts[0]?.words).toMatch(words);
      expect(() => assess(d.formula)).not.toThrow();
    }
  });

  it('reads structured recipe data and several recipes at once', () => {
    const ld = JSON.stringify({
      '@context': 'https://schema.org',
      '@graph': [
        {
          '@type': 'Recipe',
          name: 'Oat squares',
          recipeIngredient: ['200 g rolled oats', '80 g honey'],
          recipeInstructions: [{ '@type': 'HowToStep', text: 'Bake at 170C for 25 minutes.' }],
        },
      ],
    });
    const d = readRecipe(ld);
    expect(d.formula.title).toBe('Oat squares');
    expect(allItems(d.formula).map((i) => i.grams)).toEqual([200, 80]);
    expect(
      readRecipes(`${pearLoaf}\n\n---\n\nScones\n300 g flour\n15 g baking powder`).map((r) => r.formula.title),
    ).toEqual(['Pear and rye loaf', 'Scones']);
  });
});

describe('tins in words', () => {
  it('are pictured as meant', () => {
    const cases: [string, string, number, number][] = [
      ['a 9 inch round tin', 'round', 229, 1],
      ['two 20 cm round tins', 'round', 200, 2],
      ['a 20cm square tin', 'square', 200, 1],
      ['a 9x5 inch loaf tin', 'loaf', 220, 1],
      ['a 33 x 23 cm tin', 'rect', 330, 1],
      ['a 12-hole muffin tray', 'cup', 70, 1],
      ['a 2 lb loaf tin', 'loaf', 222, 1],
    ];
    for (const [text, shape, top, count] of cases) {
      const use = readTin(text);
      expect(use?.tin.shape)
        .withContext(text)
        .toBe(shape as never);
      expect(use?.tin.topMm).withContext(text).toBe(top);
      expect(use?.count).withContext(text).toBe(count);
    }
    expect(readTin('stir well')).toBeNull();
  });
});

describe('differences', () => {
  it('name what changed and nothing else', () => {
    const f = demo('rye-and-pear-loaf');
    const id = allItems(f)[0]?.id ?? '';
    expect(differences(f, f)).toEqual([]);
    const d = differences(f, applyChanges(f, [{ itemId: id, grams: 175 }]));
    expect(d.map((x) => [x.kind, x.itemId, x.from, x.to])).toEqual([['amount', id, 150, 175]]);
  });

  it('tell what took the place of an ingredient on its line, be it as heavy as before', () => {
    const f = demo('rye-and-pear-loaf');
    const swapped: Formula = {
      ...f,
      groups: f.groups.map((g) => ({
        ...g,
        items: g.items.map((i) => (i.ingredient === 'rye-flour' ? { ...i, ingredient: 'spelt-flour' } : i)),
      })),
    };
    const d = differences(f, swapped);
    expect(d.map((x) => x.kind)).toEqual(['replaced']);
    expect(d[0]?.words).toMatch(/^.*[Rr]ye.* \d+ g → .*[Ss]pelt.* \d+ g$/);
  });

  it('takes another leavener in the amount that its answer names, however that was measured before', () => {
    const draft = readRecipe('Soda bread\n400 g plain flour\n100 g wholemeal flour\n1 1/4 tsp baking soda\n1 tsp salt\n400 ml milk\n\nShape a round and bake at 200C for 40 minutes.'); // prettier-ignore
    const doubt = draft.doubts.find((d) => d.kind === 'leavener');
    const answer = (name: RegExp): Item | undefined => {
      const choice = doubt?.choices.find((c) => name.test(c.words));
      if (!doubt || !choice) return undefined;
      const items = settle(draft, doubt.id, choice).formula.groups.flatMap((g) => g.items);
      return items.find((i) => name.test(i.ingredient.replace('-', ' ')));
    };
    const powder = answer(/baking powder/);
    expect(powder?.grams).toBeGreaterThan(8);
    expect(powder?.entered).toEqual({ value: powder?.grams as number, unit: 'g' });
    expect(answer(/buttermilk/)?.entered).toEqual({ value: 400, unit: 'ml' });
  });
});
