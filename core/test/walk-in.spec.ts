import { readFileSync } from 'node:fs';
import { allItems } from '../src/formula/formula.js';
import type { Formula, GroupRole } from '../src/formula/types.js';
import { assess, defaultKitchen, operations, planDay, readRecipe, steps } from '../src/index.js';
import { awayOf, cookedIn } from '../src/text/cooked.js';

/**
 * Recipes as they walk in: typed, dictated, copied, of many kitchens. What each is, as a baker reads it, was looked through by
 * eye: every thing with its grams, the oven, the tins, the pieces.
 */
interface WalkIn {
  readonly text: string;
  readonly title: string;
  readonly grams: Readonly<Record<string, number>>;
  readonly bake?: readonly (number | string | null)[];
  readonly tins?: readonly string[];
  readonly makes?: number;
}
const all = JSON.parse(readFileSync(new URL('./corpus/walk-in.json', import.meta.url), 'utf8')) as WalkIn[];

const MIXED: ReadonlySet<GroupRole | undefined> = new Set(['batter', 'dry', 'wet', 'fat-sugar', 'egg', 'fold-in']);
function gramsOf(f: Formula): Record<string, number> {
  const out: Record<string, number> = {};
  for (const g of f.groups)
    for (const i of g.items) {
      const key = `${MIXED.has(g.role) ? '' : `${g.role ?? ''}: `}${i.ingredient}`;
      out[key] = Math.round(10 * ((out[key] ?? 0) + i.grams)) / 10;
    }
  return out;
}
const bakeOf = ({ bake: b }: Formula): WalkIn['bake'] =>
  b && [b.ovenC, b.fan ? 'fan' : 'still', b.minutes?.early ?? null, b.minutes?.late ?? null, ...(b.stages ?? []).slice(1).map((s) => `${s.fromMin}:${s.ovenC ?? s.cover ?? ''}`)]; // prettier-ignore
const tinsOf = ({ tins }: Formula): WalkIn['tins'] =>
  tins?.map((t) => `${t.count} ${t.tin.shape}${t.tin.cups ? ` of ${t.tin.cups}` : ''} ${Math.round(t.tin.topMm)}`);

describe('Recipes that walk in', () => {
  const read = all.map((is) => ({ is, formula: readRecipe(is.text).formula }));

  it('are there', () => {
    expect(all.length).toBeGreaterThan(75);
  });

  for (const { is, formula } of read)
    it(`"${is.title}" is read whole`, () => {
      expect(gramsOf(formula)).withContext('grams').toEqual(is.grams);
      expect(bakeOf(formula)).withContext('oven').toEqual(is.bake);
      expect(tinsOf(formula)).withContext('tins').toEqual(is.tins);
      expect(formula.yield?.pieces).withContext('pieces').toEqual(is.makes);
    });

  it('go into the bowl before they go into the oven, and nothing of the batter is left standing', () => {
    for (const { is, formula } of read) {
      const work = operations(formula);
      const at = work.findIndex((o) => o.verb === 'put in');
      const batter = new Set(formula.groups.filter((g) => MIXED.has(g.role)).flatMap((g) => g.items.map((i) => i.id)));
      const late = at < 0 ? [] : work.slice(at).flatMap((o) => o.takes.filter((t) => batter.has(t.itemId) && t.share === 1).map(() => o.words)); // prettier-ignore
      const taken = new Set(work.flatMap((o) => o.takes.map((t) => t.itemId)));
      expect(late).withContext(`${is.title}: late`).toEqual([]);
      expect([...batter].filter((id) => !taken.has(id)))
        .withContext(`${is.title}: never`)
        .toEqual([]);
    }
  });

  it('are called ordinary: of a hundred hardly one is named faulty', () => {
    const faulty = read.filter(({ formula }) => assess(formula).plausible?.suspects.some((s) => s.sure === 'plain'));
    expect(faulty.map(({ is }) => is.title).length).toBeLessThan(3);
  });
});

describe('What a bake is cooked in', () => {
  const cases: readonly (readonly [title: string, method: string, is: ReturnType<typeof cookedIn>])[] = [
    ['Pikelets', 'Heat a pan over medium heat, drop in spoonfuls, cook till bubbles show, turn over.', 'griddle'],
    ['Pancakes', 'Flip when bubbles form in a hot skillet over medium heat. Keep warm in a low oven.', 'griddle'],
    ['Waffles', 'Bake in a greased waffle iron until golden.', 'griddle'],
    ['Soda farls', 'Pat out, cut in four. Dry griddle, low heat, 8 minutes each side.', 'griddle'],
    ['Doughnuts', 'Fry at 180 C, 2 minutes a side. Drain on paper.', 'fat'],
    ['Baked doughnuts', 'Pipe into a doughnut tin and bake at 180 C for 12 minutes.', 'oven'],
    ['Bacon scones', 'Fry the bacon. Rub in the butter. Bake at 200 C for 15 minutes.', 'oven'],
    ['Brown bread', 'Cover with foil and steam for 2 hours.', 'steam'],
    ['Skillet cornbread', 'Heat the skillet in the oven. Pour in, bake 25 minutes.', 'oven'],
    [
      'Upside-down cake',
      'Melt the butter in the pan over medium heat. Bake 40 minutes, turn over onto a plate.',
      'oven',
    ],
    ['Mug cake', 'Mix. Microwave on high for 90 seconds.', 'microwave'],
    ['Sponge', 'Melt the butter in the microwave on high for 30 seconds. Gas 4, 25 minutes.', 'oven'],
    ['Sponge', 'Melt the butter in the microwave on high for 30 seconds. Stir all. 180C, 35-40 min.', 'oven'],
    ['Muffins', 'Soften the leek. Fry until golden. Stir all. 20 minutes at 190 °C.', 'oven'],
    ['Drop scones', '', 'griddle'],
    ['Oven pancake', '', 'oven'],
    ['Fruit cake', 'Stir it all together.', null],
  ];
  for (const [title, method, is] of cases)
    it(`is ${String(is)} for ${title}: ${method.slice(0, 40)}`, () => {
      expect(cookedIn(title, method)).toBe(is);
    });

  it('is told, asks for no oven, and hot fat is a caution', () => {
    const fried = readRecipe(all.find((r) => /doughnuts/i.test(r.title))?.text ?? '');
    expect(fried.formula.bake).toBeUndefined();
    expect(fried.formula.tins).toBeUndefined();
    expect(fried.doubts.filter((d) => d.kind === 'no-bake').map((d) => d.words)).toEqual([jasmine.stringMatching(/hot fat/)]); // prettier-ignore
    expect(assess(fried.formula).cautions.map((c) => c.id)).toContain('fat');
    const baked = readRecipe(all.find((r) => /scones/i.test(r.title))?.text ?? '');
    expect(assess(baked.formula).cautions.map((c) => c.id)).not.toContain('fat');
  });
});

describe('At the counter, what is not baked', () => {
  const read = all.map((r) => readRecipe(r.text).formula).filter((f) => awayOf(f) !== null);

  it('is of every kind', () => {
    expect(new Set(read.map(awayOf))).toEqual(new Set(['griddle', 'fat', 'steam', 'microwave']));
  });

  it('speaks of no oven, and where it is hot fat says what to do if it burns', () => {
    for (const f of read) {
      const said = steps(f).filter((s) => ['oven on', 'in', 'bake', 'out'].includes(s.kind));
      const words = said.map((s) => `${s.words} ${s.detail ?? ''} ${s.caution ?? ''}`).join(' ');
      expect(words)
        .withContext(f.title)
        .not.toMatch(/\boven\b|\brack in the middle\b/i);
      expect(said.some((s) => /never water/.test(s.caution ?? '')))
        .withContext(f.title)
        .toBe(awayOf(f) === 'fat');
    }
  });

  it('can be planned into a day, with no oven in it', () => {
    for (const formula of read) {
      const [now, serve] = [8, 18].map((h) => Date.UTC(2026, 2, 2, h)) as [number, number];
      const { tasks, problems } = planDay([{ id: 'a', formula }], defaultKitchen, serve, now);
      expect(problems).withContext(formula.title).toEqual([]);
      const words = tasks.map((t) => `${t.words} ${t.detail}`).join(' ');
      expect(words)
        .withContext(formula.title)
        .not.toMatch(/\boven\b/i);
      const at = (kind: string): number => tasks.findIndex((t) => t.kind === kind);
      expect(at('mix')).withContext(formula.title).toBeLessThan(at('in'));
    }
  });

  it('takes its time from the baker, both sides of it', () => {
    const minutes = (title: RegExp): number | undefined =>
      steps(read.find((f) => title.test(f.title)) as Formula).find((s) => s.kind === 'bake')?.minutes?.typical;
    expect(minutes(/cake doughnuts/i)).toBeCloseTo(3, 6);
    expect(minutes(/pikelets/i)).toBeCloseTo(2, 6);
    expect(minutes(/rice-flour cakes/i)).toBeCloseTo(15, 6);
    expect(minutes(/mug cake/i)).toBeCloseTo(Math.sqrt(12), 6);
  });
});

describe('Lines that held more than was read', () => {
  const base = 'Scones\n200 g flour\n50 g butter\n';
  const lines = (line: string): string[] =>
    allItems(readRecipe(`${base}${line}\nMix all and bake at 200 C for 20 minutes.`).formula)
      .filter((i) => !base.includes(`\n${i.words}\n`))
      .map((i) => `${i.ingredient} ${Math.round(10 * i.grams) / 10}`);
  const cases: readonly (readonly [line: string, is: readonly string[]])[] = [
    ['pinch of salt, 1/2 tsp mustard powder', ['salt 0.5', 'mustard-powder 1.1']],
    ['1 egg + milk to make 200ml', ['egg 50', 'milk 154.5']],
    ['2 eggs beaten w milk to make 1/2 pint', ['egg 100', 'milk 189.5']],
    ['bp 1.5t, soda .25t, salt .5t', ['baking-powder 6.8', 'baking-soda 1.3', 'salt 3']],
    ['zest 2 lemons, poppy 2T', ['citrus-zest 12', 'poppy-seed 18']],
    ['850ml-1L buttermilk', ['buttermilk 952.8']],
    ['150ml buttermilk (or milk soured with 2 tsp lemon juice)', ['buttermilk 154.5']],
    ['150 ml milk + 1-2 tbsp if needed', ['milk 154.5']],
    ["le zeste et le jus d'un citron", ['lemon-juice 40', 'citrus-zest 6']],
    ['zest 1 lemon + 1 orange', ['citrus-zest 6', 'citrus-zest 6']],
    ['450g strong white', ['bread-flour 450']],
    ['butter 120 | light muscovado 110 | eggs 3 (150) | salt 1', ['butter 120', 'light-brown-sugar 110', 'egg 150', 'salt 1']], // prettier-ignore
  ];
  for (const [line, is] of cases)
    it(line, () => {
      expect(lines(line).sort()).toEqual([...is].sort());
    });

  it('name nothing that only tells of a vessel, a story or what it is served with', () => {
    const ids = (text: string): string[] => allItems(readRecipe(text).formula).map((i) => i.ingredient);
    const list = '200 g flour\n100 g butter\n100 g sugar\n2 eggs\n10 g baking powder\n';
    expect(ids(`Tall loaf\n${list}Butter a 1-pound coffee can. Mix all. 180 C, 40 minutes.`)).not.toContain('coffee');
    expect(ids(`My neighbour drinks 2 cups of coffee before starting!\nPLAIN CAKE\n${list}Mix all. 180 C, 40 min.`)).not.toContain('coffee'); // prettier-ignore
    expect(ids(`Plain cake\n${list}Mix all. 180 C, 40 min.\nComments (2): "I used 300 g honey"`)).not.toContain('honey'); // prettier-ignore
    expect(ids(`Plain cake\n${list}Mix all. 180 C, 40 min. Serve with custard: 40g custard powder.`)).not.toContain('custard-powder'); // prettier-ignore
    expect(ids(`Curd buns\n${list}100 g lemon curd\nMix, dollop 1 tsp curd on each. 180 C, 20 min.`)).not.toContain('yogurt'); // prettier-ignore
  });
});
