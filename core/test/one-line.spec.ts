import fc from 'fast-check';
import { readRecipe } from '../src/reading.js';
import { operations, type Formula } from '../src/index.js';

/** Things of a list as they are written with their amounts, and what stands behind the name where the figure is last. */
const things = [
  ['200 g plain flour', 'plain flour 200'],
  ['2 tsp baking powder', 'baking powder 2 tsp'],
  ['110 g butter', 'butter 110'],
  ['150 g caster sugar', 'caster sugar 150'],
  ['2 eggs', 'eggs 2'],
  ['120 ml milk', 'milk 120 ml'],
  ['60 g walnuts', 'walnuts 60'],
  ['80 g raisins', 'raisins 80'],
  ['1/2 tsp salt', 'salt 0.5 tsp'],
] as const;
const method = '\n\nMix everything. Bake at 180 °C for 35 minutes in a 20 cm round tin.';
const read = (list: string): string[] =>
  readRecipe(`Plum cake\n\n${list}${method}`)
    .formula.groups.flatMap((g) => g.items)
    .map((i) => `${i.ingredient} ${i.grams}`)
    .sort();
const chosen = fc.shuffledSubarray([...things], { minLength: 4 });

describe('a list in one line', () => {
  it('is the list with a line for each thing, whatever parts them', () => {
    fc.assert(
      fc.property(chosen, fc.constantFrom(', ', '; ', ' / '), (list, seam) => {
        const said = list.map(([first]) => first);
        expect(read(said.join(seam)))
          .withContext(said.join(seam))
          .toEqual(read(said.join('\n')));
      }),
      { numRuns: 60 },
    );
  });

  it('is so too with the figures behind the names', () => {
    fc.assert(
      fc.property(chosen, fc.constantFrom(', ', '; ', ' / '), (list, seam) => {
        const said = list.map(([, last]) => last);
        expect(read(said.join(seam)))
          .withContext(said.join(seam))
          .toEqual(read(said.join('\n')));
      }),
      { numRuns: 60 },
    );
  });

  it('keeps a thing that nobody knows, with its amount, where it stands', () => {
    fc.assert(
      fc.property(chosen, fc.nat(8), (list, at) => {
        const said = list.map(([first]) => first as string);
        said.splice(Math.min(at, said.length), 0, '45 g quandong paste');
        const { formula, doubts } = readRecipe(`Plum cake\n\n${said.join(', ')}${method}`);
        const [strange] = formula.groups.flatMap((g) => g.items).filter((i) => i.ingredient === 'unknown');
        expect(strange?.grams).toBe(45);
        expect(strange?.words).toBe('45 g quandong paste');
        expect(doubts.some((d) => d.kind === 'unknown-ingredient' && d.itemId === strange?.id)).toBeTrue();
      }),
      { numRuns: 30 },
    );
  });

  it('asks once where many figures have no unit, and is no list of what is in a portion', () => {
    const bare = readRecipe(`Plum cake\n\n225 butter / 225 caster sugar / 4 eggs / 250 plain flour / 2 tsp baking powder${method}`); // prettier-ignore
    expect(bare.doubts.filter((d) => d.id.endsWith('-unit')).map((d) => d.words)).toEqual([jasmine.stringMatching(/^3 figures have no unit/)]); // prettier-ignore
    const fed = readRecipe(`Plum cake\n\n200 g plain flour\n100 g butter\n2 eggs${method}\nPer slice: energy 289, fat 12, carbs 40, protein 5`); // prettier-ignore
    expect(fed.formula.groups.flatMap((g) => g.items)).toHaveSize(3);
  });
});

describe('a line of a list', () => {
  it('is no heat for its "c.", whose sugar nobody measures in so many cups', () => {
    const { formula } = readRecipe(
      `Plum cake\n\n180 g butter\n180 c. sugar\n3 eggs\n180 g self-raising flour${method}`,
    );
    const sugars = formula.groups.flatMap((g) => g.items).filter((i) => /sugar/.test(i.ingredient));
    expect(sugars.map((i) => i.grams)).toEqual([180]);
    expect(formula.bake?.ovenC).toBe(180);
  });
});

describe('what a recipe tells without a list', () => {
  const told = (text: string): Formula => readRecipe(text).formula;
  const grams = (f: Formula, id: string): number =>
    f.groups.flatMap((g) => g.items).filter((i) => i.ingredient === id).reduce((s, i) => s + i.grams, 0); // prettier-ignore

  it('weighs as much as the eggs what is to weigh the same, as the text says or else asked', () => {
    const said = 'Weigh four eggs in their shells; the same of butter, caster sugar and self-raising flour.';
    const rest = ' Cream the butter and sugar, beat in the eggs, fold in the flour. Bake at 180 for 25 minutes.';
    const own = told(`${said} Mine come to 252 g.${rest}`);
    for (const id of ['butter', 'caster-sugar', 'self-raising-flour']) expect(grams(own, id)).withContext(id).toBe(252);
    // a weight of something else says nothing of the eggs
    const other = readRecipe(`${said} The tin is 300 g.${rest}`);
    for (const id of ['butter', 'caster-sugar', 'self-raising-flour']) expect(grams(other.formula, id)).withContext(id).toBe(240); // prettier-ignore
    expect(other.doubts.filter((d) => d.id.endsWith('-reckoned'))).toHaveSize(3);
  });

  it('gives an answer the work that its question names, and none where it denies it', () => {
    const list =
      'Scones\n\n250 g self-raising flour\n60 g butter\n150 ml milk\n\nMethod\nRub the butter into the flour. Stir in the milk.\n';
    const kneads = (answer: string): string[] =>
      operations(readRecipe(`${list}Do you knead it? ${answer} Bake at 220 for 12 minutes.`).formula)
        .filter((o) => o.verb === 'knead')
        .map((o) => o.words);
    expect(kneads('Three times, no more.')).toEqual(['Knead: three times, no more.']);
    for (const no of ['No.', 'Never.', 'Not once.']) expect(kneads(no)).withContext(no).toEqual([]);
  });
});
