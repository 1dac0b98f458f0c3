import { readRecipe, settle, type Doubt, type DoubtKind, type RecipeDraft } from '../src/index.js';
import { recipeTexts } from '../src/reading.js';

const list = ['300 g plain flour', '3 tsp baking powder', '120 g caster sugar', '80 g butter', '2 eggs', '150 ml milk'];
const cake = (...method: string[]): string => ['Cherry cake', '', ...list, '', ...method].join('\n');
const of = (draft: RecipeDraft, kind: DoubtKind): Doubt[] => draft.doubts.filter((d) => d.kind === kind);
const press = (draft: RecipeDraft, kind: DoubtKind, choice: string): RecipeDraft => {
  const [doubt] = of(draft, kind);
  expect(doubt?.choices.map((c) => c.id))
    .withContext(draft.doubts.map((d) => d.words).join(' | '))
    .toContain(choice);
  return doubt ? settle(draft, doubt.id, choice) : draft;
};

describe('what a text leaves open', () => {
  it('is asked where the oven is given in words only, and not where it has a figure', () => {
    const words = readRecipe(cake('Mix all. Bake in a moderate oven for 40 minutes in a 20 cm round tin.'));
    expect(words.formula.bake).toEqual({ ovenC: 180, fan: false, minutes: { early: 40, late: 40 } });
    expect(of(words, 'temperature').map((d) => d.place?.line)).toEqual([9]);
    const hotter = press(words, 'temperature', 'by10');
    expect(hotter.formula.bake).toEqual({ ovenC: 190, fan: false, minutes: { early: 40, late: 40 } });
    expect(of(hotter, 'temperature')).toEqual([]);
    const figure = readRecipe(cake('Mix all. Bake in a moderate oven, 180 °C, for 40 minutes in a 20 cm round tin.'));
    expect(of(figure, 'temperature')).toEqual([]);
  });

  it('is asked where a tin has no size, with its shape and number kept by the answer', () => {
    for (const [said, shape, count] of [
      ['a round tin', 'round', 1],
      ['two round tins', 'round', 2],
      ['a square tin', 'square', 1],
    ] as const) {
      const draft = readRecipe(cake(`Mix all and put into ${said}. Bake at 180 °C for 40 minutes.`));
      const larger = press(draft, 'tin', 'mm-230').formula.tins ?? [];
      expect(larger.map((t) => [t.tin.shape, t.tin.topMm, t.count]))
        .withContext(said)
        .toEqual([[shape, 230, count]]);
    }
    expect(of(readRecipe(cake('Bake in a 23 cm square tin at 180 °C for 40 minutes.')), 'tin')).toEqual([]);
  });

  it('is asked where a time cannot be one, and a long one at low heat can', () => {
    const at = (words: string): RecipeDraft => readRecipe(cake(`Mix all. Bake ${words} in a 20 cm round tin.`));
    for (const [words, stated, other] of [
      ['at 180 °C for 2 minutes', 2, 20],
      ['at 200 °C for 25 hours', 1500, 25],
      ['at 190 °C for 400 minutes', 400, 40],
    ] as const) {
      const draft = at(words);
      expect(draft.formula.bake?.minutes).withContext(words).toEqual({ early: stated, late: stated });
      expect(press(draft, 'time', 'other').formula.bake?.minutes)
        .withContext(words)
        .toEqual({ early: other, late: other });
    }
    for (const words of ['at 110 °C for 8 hours', 'at 150 °C for 3½ hours', 'at 230 °C for 6 minutes'])
      expect(of(at(words), 'time'))
        .withContext(words)
        .toEqual([]);
  });

  it('keeps a time whose heat is missing until the heat is told', () => {
    const draft = readRecipe(cake('Mix all. Bake for 35 minutes in a 20 cm round tin.'));
    expect(draft.formula.bake).toBeUndefined();
    const [doubt] = of(draft, 'no-bake');
    expect(doubt?.words).toContain('35 minutes');
    const [choice] = doubt?.choices ?? [];
    const told = press(draft, 'no-bake', choice?.id ?? '');
    expect(told.formula.bake?.minutes).toEqual({ early: 35, late: 35 });
  });

  it('is said where letters of a scan were read as figures, and where they were not letters stay', () => {
    const scan = readRecipe(
      'Scone cake\n\nI75 g plain flour\nl00 g sugar\n2 eggs\n\nI can leave it. Bake at 18O C for 25 min.',
    );
    expect(scan.formula.groups.flatMap((g) => g.items).map((i) => i.grams).slice(0, 2)).toEqual([175, 100]); // prettier-ignore
    expect(of(scan, 'scan')[0]?.words).toMatch(/I75 → 175.*18O → 180/);
    expect(scan.formula.method.map((m) => m.text).join(' ')).toContain('I can leave it');
    expect(of(readRecipe(cake('I can leave it overnight. Bake at 180 °C for 35 minutes.')), 'scan')).toEqual([]);
  });
});

describe('what goes together', () => {
  const bake = 'Mix. Bake at 180 °C for 30 minutes in a 20 cm round tin.';
  it('stays one recipe: a part below its cake is no recipe of its own, another cake is', () => {
    const below = (title: string, ...rest: string[]): number =>
      recipeTexts(['Carrot cake', '', ...list, '', bake, '', title, ...rest].join('\n')).length;
    for (const title of ['Cream cheese frosting', 'Lemon glaze', 'Caramel sauce', 'Whipped cream', 'To serve'])
      expect(
        below(title, '200 g cream cheese', '80 g butter', '100 g icing sugar', '', 'Beat for 3 minutes and spread.'),
      )
        .withContext(title)
        .toBe(1);
    expect(below('Almond muffins', '', ...list, '', 'Stir. Bake at 200 °C for 18 minutes.')).toBe(2);
  });

  it('is the time of the tin that the recipe has', () => {
    const times = '35 to 40 minutes for the loaf, 18 to 20 minutes for muffins';
    const minutes = (tin: string): unknown =>
      readRecipe(cake(`Fill ${tin}.`, `Bake at 180 °C, ${times}.`)).formula.bake?.minutes;
    expect(minutes('a 2 lb loaf tin')).toEqual({ early: 35, late: 40 });
    expect(minutes('12 muffin cups')).toEqual({ early: 18, late: 20 });
  });

  it('is the time of the tin where the second leaves its unit out, and eggs by their parts', () => {
    const muffins = readRecipe(
      cake('Bake in a 12-hole muffin tin at 180 °C: 35-40 minutes for the loaf, 18 for muffins.'),
    );
    expect(muffins.formula.bake?.minutes).toEqual({ early: 18, late: 18 });
    for (const [line, eggs] of [
      ['yolks of 5 eggs', ['egg-yolk 85']],
      ['yolks of 5, whites of 3', ['egg-yolk 85', 'egg-white 99']],
      ['the whites of two eggs', ['egg-white 66']],
    ] as const) {
      const items = readRecipe(['Cake', '', ...list.slice(0, 4), line].join('\n')).formula.groups.flatMap(
        (g) => g.items,
      );
      expect(items.filter((i) => i.ingredient.startsWith('egg')).map((i) => `${i.ingredient} ${i.grams}`))
        .withContext(line)
        .toEqual([...eggs]);
    }
  });

  it('is a method and the name in front of it, whatever amounts it repeats', () => {
    const draft = readRecipe([...cake().split('\n'), 'Method: Rub 80 g butter into the flour, add the rest. Bake 20 min at 180 °C.'].join('\n')); // prettier-ignore
    expect(draft.formula.groups.flatMap((g) => g.items).length).toBe(list.length);
    expect(draft.formula.method.map((m) => m.text).join(' ')).toMatch(/^Rub 80 g butter/);
    const named = readRecipe(['Hi-fibre loaf', '', ...list, 'Save a little milk for the top.', 'Share between two tins.', 'Bake at 180 °C for 40 minutes.'].join('\n')); // prettier-ignore
    expect(named.formula.title).toBe('Hi-fibre loaf');
    expect(named.formula.method.map((m) => m.text).join(' ')).toMatch(/^Save a little .* Share between .* Bake at/);
  });

  it('is a list and its language, and English words tell none', () => {
    const language = (...lines: string[]): string | undefined => readRecipe(['Cake', '', ...lines].join('\n')).language;
    expect(language('200 g Mehl', '120 g Zucker', '2 Eier', '100 g Butter', '1 TL Backpulver')).toBe('de');
    expect(language('200 g farine', '120 g sucre', '2 œufs', '100 g beurre')).toBe('fr');
    expect(language('200 g harina', '120 g azúcar', '2 huevos', '100 g mantequilla')).toBe('es');
    expect(language('200 g farina', '120 g zucchero', '2 uova', '100 g burro')).toBe('it');
    expect(language(...list, '100 g polenta', '50 g mascarpone')).toBeUndefined();
  });
});
