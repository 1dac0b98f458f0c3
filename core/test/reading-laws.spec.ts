import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { allItems, defaultKitchen, readRecipe, settle, type RecipeDraft } from '../src/index.js';
import { readHeat } from '../src/recipe/bake/course.js';
import type { Mark } from '../src/recipe/draft.js';
import { readVessels, shapedIn } from '../src/recipe/bake/vessels.js';
import { recipeCorpus } from './support/corpus.js';
import { runs } from './support/runs.js';
import { judgeUnseen, parseUnseen, unseen } from './support/unseen.js';

const rows = (file: string): [text: string, means: string][] =>
  readFileSync(new URL(`./corpus/${file}`, import.meta.url), 'utf8')
    .split('\n')
    .filter((l) => l !== '' && !l.startsWith('#'))
    .map((l) => {
      const at = l.lastIndexOf(' | ');
      return [l.slice(0, at).replace(/¦/g, '|'), l.slice(at + 3)];
    });
const line = (text: string): { text: string; no: number; at: number }[] => [{ text, no: 0, at: 0 }];

describe('endings, as people write them', () => {
  it('give heat, time and stages', () => {
    for (const [text, means] of rows('endings.txt')) {
      const b = readHeat(line(text)).bake;
      const stages = (b?.stages ?? [])
        .filter((s, i) => s.cover !== undefined || i > 0)
        .map((s) => ` ${s.fromMin}:${s.ovenC}${s.cover ?? ''}`)
        .join('');
      const time = b?.minutes ? ` ${b.minutes.early}-${b.minutes.late}` : '';
      expect(b ? `${b.ovenC}${b.fan ? ' fan' : ''}${time}${stages}` : 'none')
        .withContext(text)
        .toBe(means);
    }
  });

  it('give the tin, or the shape on the tray', () => {
    for (const [text, means] of rows('vessels.txt')) {
      const dough = shapedIn(text);
      const markOf = ({ from, to }: { from: number; to: number }): Mark => ({ line: 0, from, to, what: 'tin' });
      const use = readVessels(line(text), null, dough && { dough, markOf }).tins[0];
      const across =
        use && (use.tin.shape === 'cup' || use.tin.shape === 'slab' ? `${use.tin.cups}` : ` ${use.tin.topMm}`);
      expect(use ? `${use.count}x${use.tin.shape}${across}` : 'none')
        .withContext(text)
        .toMatch(new RegExp(`^${means}`));
    }
  });
});

describe('recipes in other voices', () => {
  it('are read whole', () => {
    const voices = readFileSync(new URL('./corpus/voices.txt', import.meta.url), 'utf8')
      .split(/^=== /m)
      .slice(1);
    for (const v of voices) {
      const { facts } = judgeUnseen(parseUnseen(v));
      expect(facts.filter((f) => !f.right).map((f) => f.words))
        .withContext(v.split('\n', 1)[0] ?? '')
        .toEqual([]);
    }
  });

  it('that were never seen keep to what was found when they were first read', () => {
    const share = (set: 'plain' | 'messy'): number => {
      const facts = unseen(set).flatMap((c) => judgeUnseen(c).facts);
      return facts.filter((f) => f.right).length / facts.length;
    };
    expect(share('plain')).toBeGreaterThanOrEqual(0.95);
    expect(share('messy')).toBeGreaterThanOrEqual(0.92);
  });
});

/** What became of a line that was put into a text: an item, a doubt, or plainly no part of the recipe. */
function fateOf(draft: RecipeDraft, words: string, ingredient: string): string {
  if (allItems(draft.formula).some((i) => i.ingredient === ingredient)) return 'item';
  const lines = draft.lines ?? [];
  const no = lines.findIndex((l) => l.includes(words));
  const told = draft.account?.find((s) => s.line === no);
  if (draft.doubts.some((d) => d.words.includes(words) || d.place?.line === no)) return 'doubt';
  return told?.fate ?? 'lost';
}

describe('a recipe', () => {
  const texts = recipeCorpus()
    .map((r) => r.text)
    .filter((t) => !/^\s*[<{[]/.test(t));

  it('loses no line, wherever it stands', () => {
    fc.assert(
      fc.property(fc.constantFrom(...texts), fc.nat(40), (text, at) => {
        const lines = text.trim().split('\n');
        const no = Math.min(lines.length, 1 + (at % lines.length));
        // a wide space is not what was pasted, so the lines that were read come back with the draft
        const put = [...lines.slice(0, no), '77 g pine nuts', ...lines.slice(no), '', ' '.repeat(60)].join('\n');
        expect(['item', 'doubt', 'note', 'story', 'method'])
          .withContext(put)
          .toContain(fateOf(readRecipe(put), '77 g pine nuts', 'pine-nut'));
      }),
      { numRuns: runs(600) },
    );
  });

  it('loses no amount of a sentence, however it is said', () => {
    const sayings = [
      (food: string) => `Stir in 35 g of ${food}.`,
      (food: string) => `Fold through two tablespoons of ${food} at the end.`,
      (food: string) => `Add the ${food}, 35 g, and mix.`,
      (food: string) => `Then mix in a tin of ${food}.`,
    ];
    const foods = [['pistachios', 'pistachio'], ['poppy seeds', 'poppy-seed'], ['dried apricots', 'dried-apricot'], ['lychees', '']] as const; // prettier-ignore
    fc.assert(
      fc.property(
        fc.constantFrom(...recipeCorpus()),
        fc.constantFrom(...sayings),
        fc.constantFrom(...foods),
        (c, say, [food, id]) => {
          const before = readRecipe(c.text);
          // where a method has begun, and nothing is told apart from it
          const at = before.marks?.findLast((m) => m.what === 'method')?.line;
          fc.pre(at !== undefined && before.lines === undefined && !c.text.toLowerCase().includes(food));
          const lines = c.text.split(/\r\n?|\n/);
          lines.splice((at ?? 0) + 1, 0, say(food));
          const fate = fateOf(readRecipe(lines.join('\n')), food, id || 'unknown');
          expect(['item', 'doubt'])
            .withContext(`${say(food)} in ${lines[0]}`)
            .toContain(fate);
        },
      ),
      { numRuns: runs(600) },
    );
  });

  it('is not changed by what a page has around it', () => {
    const page = `Oat rounds\n\nIngredients\n200 g plain flour\n90 g butter\n60 g sugar\n100 g oats\n1 tsp baking powder\n80 ml milk\n\nMethod\nRub in, mix, pat out, cut rounds. Bake at 190 °C for 15 minutes.`;
    const plain = readRecipe(page).formula;
    const around = fc.constantFrom(
      'Jump to recipe',
      '★ 4.8 (312)',
      'We made 3 batches of 200 g at 170 C.',
      'Print · Pin it',
      'Published: May 3',
    );
    const below = fc.constantFrom(
      'Pat: I used 2 cups of sugar and 3 eggs.',
      'Baked mine 40 minutes at 150 C.',
      'Five stars, 12 out of 10!',
    );
    fc.assert(
      fc.property(fc.array(around, { maxLength: 3 }), fc.array(below, { maxLength: 3 }), (a, b) => {
        const [title = '', ...rest] = page.split('\n');
        const { formula } = readRecipe([title, ...a, ...rest, '', 'Comments', ...b].join('\n'));
        expect(formula.groups).toEqual(plain.groups);
        expect(formula.bake).toEqual(plain.bake);
        expect(formula.tins).toEqual(plain.tins);
      }),
      { numRuns: runs(300) },
    );
  });

  it('weighs eggs and cups as where it is from, unless its baker knows better', () => {
    const egg = (draft: RecipeDraft): number => allItems(draft.formula).find((i) => i.ingredient === 'egg')?.grams ?? 0;
    const american =
      'Cake\n2 cups all-purpose flour\n1 stick butter\n3 large eggs\n1 cup sugar\nBake at 350°F for 30 minutes.';
    expect(egg(readRecipe(american))).toBe(150);
    expect(readRecipe(american).origin?.because.map((b) => b.words)).toContain('all-purpose');
    expect(egg(readRecipe(american, defaultKitchen, { region: 'uk' }))).toBe(180);
    expect(egg(readRecipe('Cake\n200 g flour\n3 large eggs\n100 g sugar\n180 °C 30 min'))).toBe(180);
    const pint = (text: string): number =>
      allItems(readRecipe(text).formula).find((i) => i.ingredient === 'milk')?.grams ?? 0;
    expect(pint('Loaf\n1 lb plain flour\n1/2 pint milk\nGas 4, 40 min')).toBeCloseTo(292.7, 0);
  });

  it('keeps an amount that was chosen when its name is chosen afterwards, and asks nothing twice', () => {
    const draft = readRecipe('Cake\n200 g flour\n2 heaped tsp bakking powder\n100 g sugar\n2 eggs');
    const heap = draft.doubts.find((d) => d.kind === 'amount');
    const name = draft.doubts.find((d) => d.kind === 'unknown-ingredient');
    if (!heap || !name) throw new Error('the line should be asked about twice');
    const once = settle(draft, heap.id, heap.likely);
    const grams = allItems(once.formula).find((i) => i.id === heap.itemId)?.grams;
    const both = settle(once, name.id, name.likely);
    expect(allItems(both.formula).find((i) => i.id === heap.itemId)?.grams).toBe(grams as number);
    expect(both.doubts.filter((d) => d.itemId === heap.itemId)).toEqual([]);
  });

  it('asks for what every bake has, and about what cannot be', () => {
    const kinds = (text: string): string[] => readRecipe(text).doubts.map((d) => d.kind);
    expect(
      kinds('Cake\n\n200 g flour\n100 g sugar\n100 g butter\n2 eggs\n\nCream, fold in, and bake until golden.'),
    ).toContain('no-bake');
    expect(
      kinds('Cake\n\n200 g sugar\n100 g butter\n2 eggs\n\nCream, fold in, and bake at 180 °C for 30 minutes.'),
    ).toContain('no-flour');
    expect(kinds('Cake\n\n100 g flour\n39 kg butter\n2 eggs\n\nBake at 180 °C for 30 minutes.')).toContain('amount');
    expect(
      kinds(
        'Buns\n200 g flour\n50 g sugar\n5 g soda\n200 C 12 min\n\n***\n\nTarts\n100 g butter\n200 g flour\n180 C 20 min',
      ),
    ).toContain('several');
  });
});
