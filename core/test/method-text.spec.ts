import fc from 'fast-check';
import type { Formula, Step } from '../src/index.js';
import { allItems, operations, steps } from '../src/index.js';
import { readRecipe } from '../src/reading.js';
import { feelIn } from '../src/counter/amounts.js';
import { waits } from '../src/method/verbs.js';
import { lost, unsaid } from './support/method-laws.js';
import { recipeCorpus } from './support/corpus.js';

const list = `Plum buns\n250 g plain flour\n2 tsp baking powder\n1/4 tsp salt\n100 g butter\n80 g caster sugar\n2 eggs\n120 ml milk\n150 g plums, stoned\n`;
const recipe = (method: string): Formula => readRecipe(`${list}\nMethod\n${method}`).formula;
const mixing = (f: Formula): Step[] => steps(f).filter((s) => s.kind === 'mix');
/** Likely minutes of the first wait of a method. */
const waitIn = (text: string): number | null => {
  const wait = operations(recipe(`Mix everything together. ${text}`)).find((o) => o.by === 'baker' && waits(o.verb));
  return wait?.forMin ? Math.round(wait.forMin.typical) : null;
};
const names = (s: Step | undefined): string[] => (s?.amounts ?? []).map((a) => a.name.split(',')[0] ?? '').sort();

describe('a method as bakers write it', () => {
  it('asks for a wait in many ways, and baking or beating is none', () => {
    for (const [text, min] of [
      ['Leave to stand for 10 minutes.', 10],
      ['Chill the dough half an hour.', 30],
      ['Let the batter rest for 1 hour.', 60],
      ['Soak the oats in the milk for fifteen minutes', 15],
      ['Pour the tea over and leave overnight.', 600],
      ['Leave until barely warm, then beat in the eggs.', 15],
      ['Freeze for 20 min.', 20],
      ['Bake for 40 minutes.', null],
      ['Beat for five minutes until pale.', null],
      ['Wrap and keep for two days before cutting.', null],
      ['Stir it in.', null],
      ['Leave for 0 minutes.', null],
    ] as const)
      expect(waitIn(text)).withContext(text).toBe(min);
  });

  it('leaves things to feel: a splash more, flour for the board, to taste', () => {
    expect(feelIn('Add a splash more milk if it seems dry.')).toEqual(['a splash more milk if it seems dry']);
    expect(feelIn('Knead on a board with flour for dusting.')).toEqual(['flour for dusting']);
    expect(feelIn('Add a little of the milk.')).toEqual([]);
    expect(feelIn('Bake it.')).toEqual([]);
  });

  it('names a line in the step it goes into, whatever its plural, and groups by their kind', () => {
    const f = recipe('1. Cream the butter and sugar until pale.\n2. Beat in the eggs.\n3. Fold in the flour, baking powder and salt by turns with the milk.\n4. Fold in the plums, spoon into a lined tin and bake.'); // prettier-ignore
    const [cream, eggs, dry, fold] = mixing(f);
    expect(names(cream)).toEqual(['Butter', 'Caster sugar']);
    expect(names(eggs)).toEqual(['Egg']);
    expect(names(dry)).toEqual(['Baking powder', 'Fine salt', 'Plain flour', 'Whole milk']);
    expect(names(fold)).toEqual(['Plum']);
    expect(cream?.wanted).toContain('18–20 °C');
    expect(eggs?.wrong.some((r) => /curdled/.test(r.sign))).toBeTrue();
    expect(dry?.looks).toContain('combined');
  });

  it('does not take advice about warmth, or a spoonful of something, for adding it', () => {
    const f = recipe('1. Have the butter, eggs and milk at room temperature.\n2. Cream butter and sugar until fluffy.\n3. Beat in the eggs with a spoonful of the flour.\n4. Fold in flour, baking powder, salt and milk.\n5. Fold in the plums and bake.'); // prettier-ignore
    const at = (name: string): string => mixing(f).find((s) => names(s).includes(name))?.words ?? '';
    expect(at('Butter')).toContain('Cream');
    expect(at('Egg')).toContain('Beat in the eggs');
    const flour = mixing(f).flatMap((s) => s.amounts.filter((a) => a.name === 'Plain flour'));
    expect(flour.map((a) => a.part)).toEqual(['some of it', 'the rest']);
    expect(steps(f).find((s) => s.kind === 'take out')?.detail).toContain('at room temperature');
  });

  it('says what to keep back for later', () => {
    const f = recipe('1. Rub the butter into flour, baking powder, salt and sugar.\n2. Stir in the milk and most of the eggs.\n3. Press the plums on top, brush with the rest of the egg and bake.'); // prettier-ignore
    const egg = mixing(f).flatMap((s) => s.amounts).find((a) => a.name === 'Egg'); // prettier-ignore
    expect(egg?.keepBack).toContain('rest of the egg');
    expect(mixing(f).flatMap((s) => s.amounts).find((a) => a.name === 'Whole milk')?.keepBack).toBeNull(); // prettier-ignore
  });

  it('is taken apart where one paragraph says it all, and a remark stays with what it is about', () => {
    const f = recipe('Cream the butter and sugar until pale. Beat in the eggs. A little curdling is no harm. Fold in the flour, baking powder and salt with the milk. Fold in the plums. Spoon into a lined tin. Bake for 30 minutes until golden.'); // prettier-ignore
    expect(steps(f).filter((s) => s.own).map((s) => s.words)).toEqual([
      'Cream the butter and sugar until pale.',
      'Beat in the eggs.',
      'Fold in the flour, baking powder and salt with the milk.',
      'Fold in the plums.',
      'Spoon into a lined tin.',
    ]); // prettier-ignore
    expect(steps(f).find((s) => s.words === 'Beat in the eggs.')?.detail).toBe('A little curdling is no harm.');
  });

  it('waits where it says so alone, bakes as it says, and finishes after the oven what comes after it', () => {
    const f = recipe('1. Rub the butter into flour, baking powder, salt and sugar.\n2. Stir in the eggs and milk.\n3. Chill the dough for 20 minutes.\n4. Roll out, cut into rounds and lay on the tray.\n5. Bake for 15 minutes until golden.\n6. Split, and spread with plums.\n7. Keep two days in a tin.'); // prettier-ignore
    const made = steps(f);
    const kinds = made.filter((s) => s.own).map((s) => s.kind); // prettier-ignore
    expect(kinds).toEqual(['mix', 'mix', 'wait', 'fill', 'fill', 'fill', 'finish', 'finish', 'keep']);
    expect(made.find((s) => s.kind === 'wait')?.minutes.typical).toBe(20);
    expect(made.find((s) => s.kind === 'bake')?.detail).toContain('until golden');
    expect(made.filter((s) => s.kind === 'finish').flatMap(names)).toEqual(['Plum']);
  });

  it('is followed however it is broken up: each line goes in once, each sentence is said', () => {
    const parts = [
      'Cream the butter and sugar until pale.',
      'Beat in the eggs one at a time.',
      'Sift the flour over.',
      'Stir in the milk.',
      'Fold in the plums.',
      'Leave it for ten minutes.',
      'Brush the tops with milk.',
      'Dust it with sugar and serve.',
      'Spoon into the tin and bake until firm.',
      'Wrap it and keep a day before cutting.',
    ];
    fc.assert(
      fc.property(fc.shuffledSubarray(parts, { minLength: 1 }), fc.nat(3), (some, joined) => {
        const text = some.map((t, i) => `${i <= joined ? '' : '\n'}${t}`).join(' ');
        const f = recipe(text);
        const made = steps(f);
        const ids = made.filter((s) => /^(mix|wait|fill|finish|keep)$/.test(s.kind)).flatMap((s) => s.amounts.map((a) => a.itemId)).sort(); // prettier-ignore
        expect([...new Set(ids)]).withContext(text).toEqual(allItems(f).map((i) => i.id).sort()); // prettier-ignore
        expect(unsaid(f)).withContext(text).toBe('');
        expect(lost(f, made)).withContext(text).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  it('loses no sentence and no line of the recipes that the reader is tried on', () => {
    let read = 0;
    for (const { text, style } of recipeCorpus()) {
      const f = readRecipe(text).formula;
      if (f.method.length === 0) continue;
      read++;
      const made = steps(f);
      expect(unsaid(f)).withContext(`${style}, ${f.title}`).toBe('');
      expect(lost(f, made)).withContext(`${style}, ${f.title}`).toEqual([]);
      const of = (kinds: RegExp): string[] => made.filter((s) => kinds.test(s.kind)).flatMap((s) => s.amounts.map((a) => a.itemId)).sort(); // prettier-ignore
      const all = allItems(f).map((i) => i.id).sort(); // prettier-ignore
      expect(of(/^weigh$/))
        .withContext(f.title)
        .toEqual(all);
      expect([...new Set(of(/^(tins|mix|wait|fill|finish|keep)$/))])
        .withContext(`${style}, ${f.title}`)
        .toEqual(all);
      expect(new Set(made.map((s) => s.id)).size)
        .withContext(f.title)
        .toBe(made.length);
    }
    expect(read).toBeGreaterThan(20);
  });
});
