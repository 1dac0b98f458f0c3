import fc from 'fast-check';
import { allItems, assess, familyOf, readRecipe, settle, type Formula, type RecipeDraft } from '../src/index.js';

const lines = [
  '250 g plain flour',
  '2 tsp baking powder',
  '1/4 tsp salt',
  '100 g caster sugar',
  '90 g butter, melted',
  '2 eggs',
  '150 ml milk',
  '1 tsp vanilla extract',
  '120 g blueberries',
];
const method =
  'Whisk the dry things. Beat the eggs with milk, butter and vanilla, stir in and fold in the blueberries.\nBake at 190 °C for 20 minutes in a 12-hole muffin tin.';
const recipe = (list: readonly string[], more = method): string => `Blue muffins\n\n${list.join('\n')}\n\n${more}`;
const by = (f: Formula): string[] =>
  allItems(f)
    .map((i) => `${i.ingredient} ${i.grams}`)
    .sort();
const kinds = (d: RecipeDraft): string[] => d.doubts.map((x) => x.kind);
const plain = readRecipe(recipe(lines));

describe('a whole recipe', () => {
  it('is the same in whatever order its ingredients stand', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(lines, { minLength: lines.length }), (list) => {
        const { formula, doubts } = readRecipe(recipe(list));
        expect(by(formula)).toEqual(by(plain.formula));
        expect(formula.family).toBe(plain.formula.family);
        expect(doubts).toEqual([]);
        expect(assess(formula).lift.mmolPer100gBase.typical).toBeCloseTo(
          assess(plain.formula).lift.mmolPer100gBase.typical,
          9,
        );
      }),
      { numRuns: 60 },
    );
  });

  it('is the same under bullets, boxes, bold type, capitals and blank lines', () => {
    const dress = fc.constantFrom<(l: string) => string>(
      (l) => `- ${l}`,
      (l) => `* ${l}`,
      (l) => `• ${l}`,
      (l) => `▢ ${l}`,
      (l) => `[ ] ${l}`,
      (l) => `  ${l}  `,
      (l) => l.toUpperCase(),
      (l) => `${l}\n`,
      (l) => l.replace(/(\d) (g|ml)\b/, '$1$2'),
      (l) => l.replace(/ /g, '\u00a0'),
    );
    fc.assert(
      fc.property(
        dress,
        fc.constantFrom('', 'Ingredients', 'INGREDIENTS:', '## Ingredients', 'You will need'),
        (wear, heading) => {
          const { formula } = readRecipe(recipe([...(heading === '' ? [] : [heading]), ...lines.map(wear)]));
          expect(by(formula)).toEqual(by(plain.formula));
          expect(formula.bake).toEqual(plain.formula.bake);
        },
      ),
      { numRuns: 120 },
    );
  });

  it('weighs twice as much when every amount is doubled', () => {
    const doubled = [
      '500 g plain flour',
      '4 tsp baking powder',
      '1/2 tsp salt',
      '200 g caster sugar',
      '180 g butter, melted',
      '4 eggs',
      '300 ml milk',
      '2 tsp vanilla extract',
      '240 g blueberries',
    ];
    const total = (f: Formula): number => assess(f).totals.batterG;
    expect(total(readRecipe(recipe(doubled)).formula) / total(plain.formula)).toBeCloseTo(2, 3);
  });

  it('keeps every line of the list as an item in the baker’s own words, and the rest as steps or notes', () => {
    expect(
      allItems(plain.formula)
        .map((i) => i.words)
        .sort(),
    ).toEqual([...lines].sort());
    const told = readRecipe(recipe(lines, `${method}\n\nNotes\nMy aunt adds a little lemon.\nKeeps two days.`)).formula;
    expect(told.notes).toBe('My aunt adds a little lemon.\nKeeps two days.');
    expect(told.method.map((m) => m.text)).toEqual(plain.formula.method.map((m) => m.text));
  });

  it('asks about a leavener from what nobody bakes with on, never below a clear limit, and between them where the whole is odd', () => {
    const soda = (g: number): boolean =>
      kinds(
        readRecipe(recipe([...lines.filter((l) => !/powder|milk/.test(l)), '600 g buttermilk', `${g} g baking soda`])),
      ).includes('leavener');
    const asked = [0.5, 1, 2, 3, 5, 7, 7.4].map(soda);
    expect(asked).toEqual([false, false, false, false, false, false, false]);
    expect([12, 20, 40].map(soda)).toEqual([true, true, true]);
    const powder = (g: number): boolean =>
      kinds(readRecipe(recipe(lines.map((l) => (/powder/.test(l) ? `${g} g baking powder` : l))))).includes('leavener');
    expect([5, 10, 22, 34, 45].map(powder)).toEqual([false, false, false, true, true]);
  });

  it('settles a leavener to what its choice says', () => {
    const draft = readRecipe(recipe(lines.map((l) => (/powder/.test(l) ? '45 g baking powder' : l))));
    const doubt = draft.doubts.find((d) => d.kind === 'leavener');
    const after = settle(draft, doubt?.id ?? '', 'third').formula;
    expect(allItems(after).find((i) => i.ingredient === 'baking-powder')?.grams).toBe(15);
  });

  it('asks about heat beyond what its family is baked at, on either side', () => {
    const [low, high] = familyOf(plain.formula.family).ovenC;
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 259 }), (c) => {
        const asked = kinds(readRecipe(recipe(lines, method.replace('190', String(c))))).includes('temperature');
        expect(asked)
          .withContext(`${c} °C`)
          .toBe(c < low - 22 || c > high + 22);
      }),
    );
  });

  it('asks when the batter is more than the tins hold, and stops when there are enough of them', () => {
    const bake = (tins: string): string =>
      `Stir all the ingredients together.\nBake at 180 °C for 30 minutes in ${tins}.`;
    expect(kinds(readRecipe(recipe(lines, bake('a 12 cm round tin'))))).toContain('tin');
    expect(kinds(readRecipe(recipe(lines, bake('a 23 cm round tin'))))).not.toContain('tin');
    const draft = readRecipe(recipe(lines, bake('a 12 cm round tin')));
    const settled = settle(draft, 'tin', 'more');
    expect(kinds(settled)).not.toContain('tin');
    expect(settled.formula.tins?.[0]?.count).toBeGreaterThan(1);
  });

  it('keeps toppings, icings and the tin’s own butter out of the batter', () => {
    const { formula } = readRecipe(
      recipe([
        ...lines,
        'butter for the tin',
        '',
        'For the glaze:',
        '80 g icing sugar',
        '1 tbsp lemon juice',
        '',
        'Streusel topping',
        '40 g flour',
        '30 g butter',
      ]),
    );
    expect(
      formula.groups
        .filter((g) => ['icing', 'top', 'grease'].includes(g.role ?? ''))
        .map((g) => [g.role, g.items.length]),
    ).toEqual([
      ['icing', 2],
      ['top', 2],
      ['grease', 1],
    ]);
    expect(assess(formula).totals.flourG).toBe(250);
    expect(assess(formula).totals.batterG).toBeCloseTo(assess(plain.formula).totals.batterG, 6);
  });
});
