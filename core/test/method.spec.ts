import fc from 'fast-check';
import { asWritten, defaultKitchen, laterOf, moveOperation, operations, phases, scale, standingAsked, steps, workOf, withWords, wordedMethod, write, type Formula, type Operation } from '../src/index.js'; // prettier-ignore
import { readRecipe } from '../src/reading.js';
import { judgeMethod, wholeMethods, type HeldFact, type MethodFact } from './support/methods.js';
import { lost, outOfOrder, uneven, unsaid } from './support/method-laws.js';
import { recipeCorpus } from './support/corpus.js';
import { unseen } from './support/unseen.js';

const list = `Plum buns\n250 g plain flour\n2 tsp baking powder\n1/4 tsp salt\n100 g butter\n80 g caster sugar\n2 eggs\n120 ml milk\n150 g plums, stoned\n`;
const recipe = (method: string): Formula => readRecipe(`${list}\nMethod\n${method}`).formula;
const own = (f: Formula): Operation[] => operations(f).filter((o) => o.by === 'baker');
const told = (f: Formula): string[] => own(f).map((o) => `${o.phase}: ${o.verb}`);
let read: Formula[] | null = null;
/** Every recipe there is, read once. */
const everything = (): Formula[] =>
  (read ??= [
    ...recipeCorpus().map((r) => readRecipe(r.text).formula),
    ...wholeMethods().map((m) => readRecipe(m.text).formula),
    ...wholeMethods('voices').map((m) => readRecipe(m.text).formula),
    ...unseen('plain').map((u) => readRecipe(u.text).formula),
    ...unseen('messy').map((u) => readRecipe(u.text).formula),
  ]);

describe('the work of a recipe', () => {
  it('holds on whole methods that nothing was tuned on, at least as well as when last published', () => {
    const all = new Map<MethodFact, HeldFact[]>();
    for (const m of wholeMethods()) for (const f of judgeMethod(m).facts) all.set(f.kind, [...(all.get(f.kind) ?? []), f]); // prettier-ignore
    const share = (k: MethodFact): number => {
      const facts = all.get(k) ?? [];
      return facts.filter((f) => f.right).length / facts.length;
    };
    // docs/science/method.md has the figures; these are a little below them
    for (const [kind, least] of [
      ['done, in order', 0.92],
      ['phase', 0.95],
      ['takes', 0.9],
      ['minutes', 0.95],
      ['heat', 0.92],
    ] as const)
      expect(share(kind)).withContext(kind).toBeGreaterThanOrEqual(least);
  });

  it('holds on recipes as people tell them, list and work, as well as when last published', () => {
    const facts = wholeMethods('voices').flatMap((m) => judgeMethod(m).facts);
    const share = (of: (f: HeldFact) => boolean): number =>
      facts.filter((f) => of(f) && f.right).length / facts.filter(of).length;
    expect(share((f) => f.kind === 'amount')).toBeGreaterThanOrEqual(0.93);
    expect(share((f) => f.kind === 'done, in order')).toBeGreaterThanOrEqual(0.8);
    expect(share(() => true)).toBeGreaterThanOrEqual(0.88);
  });

  it('leaves no word of a method without an operation or a named remark, and no line without its place', () => {
    let judged = 0;
    for (const f of everything()) {
      if (f.method.length === 0) continue;
      judged++;
      expect(unsaid(f)).withContext(f.title).toBe('');
      expect(lost(f, steps(f)))
        .withContext(f.title)
        .toEqual([]);
      expect(uneven(f)).withContext(f.title).toEqual([]);
      const ops = operations(f);
      expect(outOfOrder(ops)).withContext(f.title).toEqual([]);
      expect(new Set(ops.map((o) => o.id)).size)
        .withContext(f.title)
        .toBe(ops.length);
    }
    expect(judged).toBeGreaterThan(120);
  });

  it('stays in its order when the amounts are scaled, and reads back from a written card', () => {
    for (const m of wholeMethods()) {
      const f = readRecipe(m.text).formula;
      const twice = scale(f, { by: 'factor', factor: 2 }).formula;
      expect(operations(twice).map((o) => o.id)).withContext(m.id).toEqual(operations(f).map((o) => o.id)); // prettier-ignore
      const back = readRecipe(write(f, 'text')).formula;
      expect(told(back)).withContext(m.id).toEqual(told(f));
    }
  });

  it('goes on over a line that broke off in the middle of the bake', () => {
    const bakes = own(recipe('Rub the butter into the flour. Stir in everything else. Bake in a 900 g loaf tin\nat 180 °C for 50 minutes.')).filter((o) => o.verb === 'bake'); // prettier-ignore
    expect(bakes.map((o) => [o.heatC, o.forMin?.typical])).toEqual([[180, 50]]);
  });

  it('goes on as the text does, whatever small words join it', () => {
    const acts = [
      ['rub the butter into the flour', 'rub in'],
      ['stir in the sugar', 'mix'],
      ['fold in the plums', 'fold'],
      ['scrape it into the tin', 'fill'],
      ['level the top', 'level'],
      ['scatter with sugar', 'sprinkle'],
    ] as const;
    const joins = [', then ', ' and ', ' and then ', '. Then ', '; ', ', '];
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...joins), { minLength: 5, maxLength: 5 }), fc.boolean(), (between, we) => {
        const text = acts.map(([words], i) => `${i > 0 ? between[i - 1] : ''}${we && i > 0 && / $/.test(between[i - 1] ?? '') ? 'you ' : ''}${words}`).join(''); // prettier-ignore
        const sentences = text.replace(/(^|\. )(\w)/g, (_, a: string, b: string) => a + b.toUpperCase());
        expect(own(recipe(`${sentences}.`)).map((o) => o.verb)).withContext(sentences).toEqual(acts.map(([, v]) => v)); // prettier-ignore
      }),
      { numRuns: 60 },
    );
  });

  it('says where in the text each thing stands, and never throws on any text', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(
            ...'bake cover 30 minutes until , . ; : and then the tin half rest of flour it in on off oven 180C while before ( ) cut cross - don’t let cool'.split(
              ' ',
            ),
          ),
          { maxLength: 30 },
        ),
        (words) => {
          // prettier-ignore
          const f: Formula = { ...recipe('Mix.'), method: [{ text: words.join(' '), itemIds: [] }] };
          for (const o of workOf(f).operations) {
            const { place } = o;
            expect(place && f.method[place.entry]?.text.slice(place.from, place.to)).toBeTruthy();
          }
          expect(steps(f).length).toBeGreaterThan(4);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('can be printed with what goes in beside its words, of which none is lost', () => {
    for (const f of everything()) {
      const worded = wordedMethod(f, defaultKitchen);
      expect(worded.map((e) => e.map((w) => w.text).join(''))).withContext(f.title).toEqual(f.method.map((m) => m.text)); // prettier-ignore
    }
    const f = recipe('Rub the butter into the flour. Stir in half the sugar, then the eggs. Scatter with the rest of the sugar and bake at 190C.'); // prettier-ignore
    const beside = wordedMethod(f, defaultKitchen)[0]?.map((w) => `${w.text} [${w.amounts.map((a) => Math.round(a.grams)).join()}]`); // prettier-ignore
    expect(beside?.slice(0, 2)).toEqual([
      'Rub the butter into the flour [100,250,9,1]',
      '. Stir in half the sugar [40]',
    ]);
  });

  it('knows the rest without a name by what is kept back before it, and the fruit by its kind', () => {
    const f = recipe('Rub the butter into the flour. Add the sugar and fruit. Keep back a spoonful of egg and milk. Mix the rest in to a soft dough. Pat out, cut 8 rounds and brush with the egg kept back. Bake at 200C for 12 minutes.'); // prettier-ignore
    const id = (ingredient: string): string => f.groups.flatMap((g) => g.items).find((i) => i.ingredient === ingredient)?.id ?? ''; // prettier-ignore
    const takes = (what: string): string[] => own(f).filter((o) => o.takes.some((t) => t.itemId === id(what))).map((o) => o.words); // prettier-ignore
    expect(takes('egg')[0]).toBe('Mix the rest in to a soft dough.');
    expect(takes('milk')[0]).toBe('Mix the rest in to a soft dough.');
    expect(takes('plum')).toEqual(['Add the sugar and fruit.']);
  });

  it('takes nothing in where the words only tell when it is done', () => {
    const f = recipe('Whisk the dry things. Whisk the eggs, sugar and milk. Pour wet into dry and stir until no flour shows. Melt the butter until the butter foams and fold it in.'); // prettier-ignore
    const flour = f.groups.flatMap((g) => g.items).find((i) => i.ingredient === 'plain-flour')?.id;
    expect(own(f).filter((o) => o.takes.some((t) => t.itemId === flour)).map((o) => o.words)).toEqual(['Whisk the dry things.']); // prettier-ignore
  });

  it('gives heat, time, stages and tins anew when its words are changed, and leaves what was set by hand', () => {
    const f = recipe('Mix everything. Scrape into a 20 cm round tin. Bake at 180C for 40 minutes.');
    const words = (from: string, to: string): string => f.method.map((m) => m.text.replace(from, to)).join('\n');
    expect(withWords(f, words('40 minutes', '45 to 50 minutes')).bake).toEqual({ ovenC: 180, fan: false, minutes: { early: 45, late: 50 } }); // prettier-ignore
    expect(withWords(f, words('180C', '170C')).bake?.ovenC).toBe(170);
    expect(withWords(f, words('20 cm round tin', '2 lb loaf tin')).tins?.map((t) => t.tin.shape)).toEqual(['loaf']);
    const staged = withWords(f, words('for 40 minutes', 'for 20 minutes, then lower to 160C for 25 minutes more'));
    expect(staged.bake?.stages?.map((s) => s.ovenC)).toEqual([180, 160]);
    expect(withWords(staged, f.method.map((m) => m.text).join('\n'))).toEqual(f);
    const byHand: Formula = { ...f, bake: { ovenC: 165, fan: true, minutes: { early: 40, late: 40 } } };
    expect(withWords(byHand, words('180C', '190C')).bake).toEqual(byHand.bake);
    expect(withWords(byHand, words('40 minutes', '45 minutes')).bake?.minutes).toEqual({ early: 45, late: 45 });
    expect(withWords(f, f.method.map((m) => m.text).join('\n'))).toEqual(f);
  });

  it('knows before, in and after: stage by stage, meanwhile, the day before, from the freezer', () => {
    const f = recipe(
      'The night before, whisk the flour, baking powder and salt. In the morning heat the oven to 200C. Rub in the butter and stir in the sugar, eggs and milk. Shape it into a round, put it on a tray and cut a deep cross in it. Let it rest for 10 minutes. Meanwhile chop the plums. Cover with foil and bake for 30 minutes, take the foil off and bake for 15 minutes more. As soon as it comes out brush it with milk. Cool on a rack for 20 minutes, wrap it and keep it for two days before cutting.',
    );
    const at = (verb: string): Operation | undefined => own(f).find((o) => o.verb === verb);
    expect(at('whisk')?.phase).toBe('ahead');
    expect(at('rest')?.forMin?.typical).toBe(10);
    expect(at('chop')?.meanwhile).toBeTrue();
    expect(at('uncover')?.phase).toBe('oven');
    expect(at('brush')?.phase).toBe('after');
    expect(own(f).find((o) => o.verb === 'keep')?.days).toBe(2);
    const bake = steps(f).find((s) => s.kind === 'bake');
    expect(bake?.marks.find((m) => /foil off/.test(m.words))?.atMin).toBe(30);
    expect(bake?.minutes.typical).toBe(45);
  });

  it('takes a correction, keeps it with the formula whatever else is edited, and gives it back', () => {
    const f = recipe('Rub the butter into the flour. Stir in the milk. Scatter the plums over. Bake for 30 minutes.');
    const scatter = own(f).find((o) => o.verb === 'sprinkle') as Operation;
    const moved = moveOperation(f, scatter.id, 'after', null);
    expect(own(moved).find((o) => o.verb === 'sprinkle')?.phase).toBe('after');
    expect(own(moved).at(-1)?.verb).toBe('sprinkle');
    expect(uneven(moved)).toEqual([]);
    // other words changed, this piece still there
    const edited = { ...moved, method: [{ ...f.method[0], text: `Sift the flour. ${f.method[0]?.text}` }] } as Formula;
    expect(own(edited).find((o) => o.verb === 'sprinkle')?.phase).toBe('after');
    expect(told(asWritten(moved))).toEqual(told(f));
    fc.assert(
      fc.property(fc.nat(), fc.constantFrom(...phases), fc.option(fc.nat()), (n, phase, before) => {
        const ops = own(f);
        const piece = ops[n % ops.length] as Operation;
        const to = before === null ? null : (ops[before % ops.length]?.id ?? null);
        const g = moveOperation(f, piece.id, phase, to);
        expect(own(g).map((o) => o.id).sort()).toEqual(ops.map((o) => o.id).sort()); // prettier-ignore
        expect(uneven(g)).toEqual([]);
        expect(outOfOrder(operations(g))).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  it('says how long the method lets a batter stand once soda meets liquid, and counts the cold for less', () => {
    const stand = (rest: string): number => standingAsked(recipe(`Whisk flour, baking powder, salt and sugar. Stir in the eggs, milk and melted butter. ${rest} Spoon into the tin and bake for 30 minutes.`)).feltMin; // prettier-ignore
    expect(stand('')).toBe(0);
    expect(stand('Let it rest for 20 minutes.')).toBeGreaterThanOrEqual(20);
    expect(stand('Let it rest for 20 minutes.')).toBeLessThan(26);
    const cold = stand('Chill it for 60 minutes.');
    expect(cold).toBeGreaterThan(18);
    expect(cold).toBeLessThan(40);
    // soaking before the powder goes in is no standing
    expect(standingAsked(recipe('Soak the plums in the milk for 30 minutes. Stir in the flour, baking powder, eggs and butter. Spoon into the tin and bake.')).feltMin).toBe(0); // prettier-ignore
  });

  it('takes hands for a moment to put half away, not the hours it freezes; the other half waits as long as it is said', () => {
    const f = recipe('Rub the butter into the flour, baking powder and salt. Stir in the milk. Cut 12 squares. Freeze half of them on a tray. Chill the others for 15 minutes. Bake at 220C for 14 minutes. From frozen, bake at 200C for 20 minutes.'); // prettier-ignore
    const made = steps(f);
    const away = made.find((s) => /^Freeze half/.test(s.words));
    expect(away?.hands).toBeTrue();
    expect(away?.minutes.typical).toBeLessThan(5);
    expect(made.find((s) => s.kind === 'wait')?.minutes.typical).toBe(15);
    expect(made.find((s) => s.kind === 'bake')?.minutes.typical).toBe(14);
    expect(laterOf(f).find((l) => l.id === 'frozen')?.detail).toContain('From frozen');
  });
});
