import { ranked, readRecipe, settle, SLIGHT, type Doubt, type RecipeDraft } from '../src/index.js';
import { recipeCorpus } from './support/corpus.js';

const list = ['300 g plain flour', '3 tsp baking powder', '120 g caster sugar', '80 g butter', '2 eggs', '150 ml milk'];
const draftOf = (...more: string[]): RecipeDraft =>
  ranked(readRecipe(['Almond cake', '', ...list, ...more, '', 'Mix all. Bake in a 20 cm round tin at 180 °C for 40 minutes.'].join('\n'))); // prettier-ignore
const about = (d: RecipeDraft, words: string): Doubt | undefined => d.doubts.find((x) => x.words.includes(words));

describe('what a doubt would change', () => {
  it('orders doubts: what is tasted comes before what is not, and a loss before all', () => {
    const draft = draftOf('20 g walnuts or pecans', '2 cups (60 g) oats', '2 tbsp flakemeal');
    const effects = draft.doubts.map((d) => d.effect ?? -1);
    expect(effects.length).toBeGreaterThan(2);
    expect(effects).toEqual([...effects].sort((a, b) => b - a));
    expect(about(draft, 'walnuts')?.effect).toBeLessThan(SLIGHT);
    expect(about(draft, 'flakemeal')?.effect).toBeGreaterThanOrEqual(0.5);
    expect(about(draft, 'oats')?.effect).toBeGreaterThan(0.5);
    const long = ranked(readRecipe(`${list.join('\n')}\n2 tbsp flakemeal\n${'\n'.repeat(1100)}`));
    expect(long.doubts[0]?.kind).toBe('too-long');
  });

  it('changes the order alone: the same doubts, the same answers, nothing else of the draft', () => {
    for (const c of recipeCorpus().slice(0, 60)) {
      const draft = readRecipe(c.text);
      const { doubts, ...rest } = ranked(draft);
      const { doubts: before, ...same } = draft;
      expect(rest).toEqual(same);
      const plain = doubts.map(({ effect, ...d }) => {
        expect(effect).toBeGreaterThanOrEqual(0);
        return d;
      });
      expect(new Set(plain.map((d) => JSON.stringify(d)))).toEqual(new Set(before.map((d) => JSON.stringify(d))));
      expect(ranked(ranked(draft))).toEqual(ranked(draft));
    }
  });

  it('is not slight where something was taken and nothing else can be chosen, and asks what was reckoned', () => {
    const shares = ranked(
      readRecipe('Soda bread\nwhite flour 100%\nbuttermilk 70%\nsoda 1.5%\nsalt 1.5%\nBake 30 min at 220C.'),
    );
    expect(about(shares, '500 g of flour')?.effect).toBeGreaterThanOrEqual(SLIGHT);
    for (const text of [
      [...list.slice(0, 4), '1 egg made up to 300 ml with milk'].join('\n'),
      'For scones take 500 g flour, 3 tsp baking powder, 90 g butter and 1 egg made up to 300 ml with milk. Bake at 220 °C for 12 minutes.',
    ])
      expect(about(readRecipe(text), 'is taken as 250 ml of milk')?.choices.length)
        .withContext(text)
        .toBe(2);
  });

  it('stays with what is left once one is answered', () => {
    const draft = draftOf('20 g walnuts or pecans', '2 cups (60 g) oats');
    const [first, ...others] = draft.doubts;
    const left = settle(draft, first?.id ?? '', first?.likely ?? '');
    expect(left.doubts).toEqual(others);
  });
});

describe('a count of something that nobody knows', () => {
  it('in the midst of a list is a line of it and asked about, and what counts pieces or minutes is not', () => {
    for (const words of ['2 quinzes', '12 flakelets, halved', '3 of the wibbles']) {
      const draft = readRecipe(['Oat cake', '', ...list.slice(0, 3), words, ...list.slice(3)].join('\n'));
      const asked = draft.doubts.filter((d) => d.kind === 'unknown-ingredient' && d.place?.line === 5);
      expect(asked.length).withContext(words).toBe(1);
    }
    for (const words of ['12 pieces', '40 minutes', '2 tins', '24 squares', '8 servings']) {
      const draft = readRecipe(['Oat cake', '', ...list, words].join('\n'));
      expect(draft.doubts.filter((d) => d.kind === 'unknown-ingredient'))
        .withContext(words)
        .toEqual([]);
    }
  });

  it('and a tin that no oven takes is asked about with the one that is likely meant', () => {
    const of = (size: string): RecipeDraft =>
      readRecipe([...list, '', `Mix all. Bake in a ${size} tin at 180 °C for 40 minutes.`].join('\n'));
    const draft = of('220 x 30 cm');
    const [doubt] = draft.doubts.filter((d) => d.id === 'tin-huge');
    expect(doubt?.place?.line).toBe(7);
    const { tins } = settle(draft, doubt?.id ?? '', doubt?.likely ?? '').formula;
    expect(tins).toEqual(of('20 x 30 cm').formula.tins);
    expect(of('20 x 30 cm').doubts.filter((d) => d.id === 'tin-huge')).toEqual([]);
  });
});
