import {
  adapt,
  allItems,
  assess,
  defaultKitchen,
  dietsOfFormula,
  stallLabel,
  ingredientFor,
  isConflict,
  presets,
  readRecipe,
  rebalance,
  substitute,
  type Conflict,
  type Formula,
  type Proposal,
} from '../src/index.js';
import { saysItsDangers } from './support/dangers.js';
import { demo } from './support/make.js';
import { every } from './support/runs.js';

const had = (x: Proposal[] | Conflict): readonly Proposal[] => (isConflict(x) ? (x.nearest ? [x.nearest] : []) : x);
const lineOf = (f: Formula, ingredient: string): string =>
  allItems(f).find((i) => i.ingredient === ingredient)?.id ?? '';

describe('what a change could do to someone', () => {
  it('is said with a swap or a preset that brings it, beside the preset’s own cautions', async () => {
    const f = demo('cardamom-yogurt-round');
    const swap = async (from: string, to: string): Promise<string> => {
      const p = await substitute(f, lineOf(f, from), to);
      saysItsDangers(f, p);
      return p.cautions.join(' ');
    };
    expect(await swap('caster-sugar', 'honey')).toContain('12 months');
    expect(await swap('yogurt', 'soy-yogurt')).toContain('Brings soy');
    expect(await swap('yogurt', 'buttermilk')).toBe('');
    // an allergen is said though a caution of the same name was there before
    expect(await swap('pistachio', 'nuts')).toContain('Brings nuts');
    for (const preset of every(2, presets))
      for (const p of had(await adapt(f, preset.id))) {
        saysItsDangers(f, p);
        for (const c of preset.cautions) expect(p.cautions).toContain(c);
      }
  });
});

describe('the cautions of a formula', () => {
  const ids = (text: string): readonly string[] => assess(readRecipe(text).formula).cautions.map((c) => c.id);
  const base = '250 g plain flour\n150 g sugar\n100 g butter\n2 eggs\n2 tsp baking powder\n100 ml milk\n';

  it('name what is in it, part and words, and nothing that is not', () => {
    const plain = ids(`Plain cake\n${base}Bake at 180 C for 30 minutes.`);
    expect(plain).toEqual(['hot', 'raw']);
    const cases: readonly (readonly [more: string, id: string])[] = [
      ['For the icing:\n1 egg white\n200 g icing sugar\nBake at 180 C. Beat the white with the sugar and spread it.', 'raw-egg'],
      ['For the icing:\n200 g cream cheese\n60 g icing sugar\nBake at 180 C, cool, and spread.', 'chilled'],
      ['2 tbsp honey\nBake at 180 C.', 'honey'],
      ['80 g walnuts\nBake at 180 C.', 'nuts'],
      ['100 g grapes\nBake at 180 C.', 'choking'],
      ['50 g marshmallows\nBake at 180 C.', 'choking'],
      ['2 tbsp rum\nBake at 180 C.', 'alcohol'],
      ['200 ml stout\nBake at 180 C.', 'alcohol-stays'],
      ['10 bitter almonds, ground\nBake at 180 C.', 'kernels'],
      ['4 apricots, halved\nBake at 180 C.', 'stones'],
      ['a handful of wild garlic\nBake at 180 C.', 'foraged'],
      ['Bake at 180 C in a glass dish for 30 minutes.', 'glass'],
      ['Pour into jars, bake at 180 C and seal the lids while hot.', 'jars'],
      ['30 g zorblax powder\nBake at 180 C.', 'incomplete'],
    ]; // prettier-ignore
    for (const [more, id] of cases) {
      const found = ids(`Cake\n${base}${more}`);
      expect(found).withContext(more).toContain(id);
      expect(plain).not.toContain(id);
    }
    // to cook the cake does not cook its icing
    expect(ids(`Cake\n${base}For the icing:\n2 egg whites\n100 g sugar\nCook at 180 C for 30 minutes, then cool. Whisk and spread.`)).toContain('raw-egg'); // prettier-ignore
    // cooked, baked or stored is another matter
    expect(ids(`Cake\n${base}For the icing:\n2 egg whites\n100 g sugar\nWhisk over simmering water to 71 C, then cool.`)).not.toContain('raw-egg'); // prettier-ignore
    expect(ids(`Cake\n${base}1 apple, diced\nBake at 180 C.`)).not.toContain('choking');
    expect(ids(`Rusks\n${base}Bake at 180 C. They keep in a jar for weeks.`)).not.toContain('jars');
    expect(ids(`Cake\n${base}1 tsp rum extract\nBake at 180 C.`)).not.toContain('alcohol');
  });

  it('count the nuts, egg and cream that a liqueur is made of', () => {
    const of = (line: string): readonly string[] => assess(readRecipe(`Cake\n${base}${line}\nBake.`).formula).allergens;
    expect(of('2 tbsp amaretto')).toContain('almond');
    expect(of('2 tbsp hazelnut liqueur')).toContain('hazelnut');
    expect(of('2 tbsp orange liqueur')).toEqual(of(''));
    // and the label says so too: with its allergen in capitals, and in no diet that it breaks
    const cake = readRecipe(`Cake\n${base}2 tbsp amaretto\nBake at 180 C for 30 minutes.`).formula;
    expect(stallLabel(cake, defaultKitchen).ingredients).toContain('ALMOND');
    expect(dietsOfFormula(cake, defaultKitchen)).not.toContain('nut-free');
    expect(dietsOfFormula({ ...cake, groups: cake.groups.map((g) => ({ ...g, items: g.items.filter((i) => i.ingredient !== 'liqueur') })) }, defaultKitchen)).toContain('nut-free'); // prettier-ignore
  });

  it('do not see egg scrambled by boiling water that the batter cools', () => {
    const wet = `Cocoa cake\n250 g plain flour\n300 g sugar\n60 g cocoa\n2 eggs\n2 tsp baking powder\n120 ml oil\n220 ml milk\n200 ml boiling water\nMix all but the water, then stir it in. Bake at 175 C for 35 minutes.`;
    const says = (text: string): string => assess(readRecipe(text).formula).verdicts.map((v) => v.words).join(' '); // prettier-ignore
    expect(says(wet)).not.toContain('egg sets');
    expect(says(wet.replace('200 ml', '900 ml').replace('220 ml milk\n', ''))).toContain('egg sets');
  });
});

describe('less sodium', () => {
  const quarter = { wishes: [{ kind: 'change', of: 'sodium', byPct: -25 }] } as const;

  it('may come from a powder with potassium, which leaves the salt for the taste, and is cautioned', async () => {
    for (const id of ['cheese-and-thyme-scones', 'rye-and-pear-loaf', 'maize-and-chive-skillet-bread']) {
      const f = demo(id);
      const all = had(await rebalance(f, quarter));
      const salt = (x: Formula): number => allItems(x).find((i) => i.ingredient === 'salt')?.grams ?? 0;
      const other = all.find((p) => allItems(p.formula).some((i) => i.ingredient === 'baking-powder-low-sodium'));
      expect(other).withContext(id).toBeDefined();
      if (!other) continue;
      expect(all[0]?.lines.length).toBe(1);
      expect(salt(other.formula)).toBeGreaterThan(salt(all[0]?.formula as Formula));
      expect(other.merit).toBeLessThanOrEqual(assess(f).merit);
      expect(other.cautions.join(' ')).toContain('potassium');
      expect(all[0]?.cautions.join(' ')).toContain('doctor');
      expect(all[0]?.cautions.join(' ')).not.toContain('potassium');
      // once it is in, it is not offered again
      const again = had(await rebalance(other.formula, quarter));
      for (const p of again)
        expect(
          p.lines.some((l) => l.kind === 'added' && l.item?.ingredient === 'baking-powder-low-sodium'),
        ).toBeFalse();
    }
  });

  it('and less sugar defer to whoever set the diet, however they are asked for', async () => {
    const f = demo('cardamom-yogurt-round');
    for (const p of had(await rebalance(f, { wishes: [{ kind: 'change', of: 'sugar', byPct: -10 }] })))
      expect(p.cautions.join(' ')).toContain('diabetes');
    for (const p of had(await rebalance(f, { wishes: [{ kind: 'change', of: 'fat', byPct: -10 }] })))
      expect(p.cautions).toEqual([]);
  });

  it('never calls for it where no powder lifts', async () => {
    const f = demo('wholemeal-seeded-soda-loaf');
    expect(allItems(f).some((i) => ingredientFor(f, i).leavener === 'powder')).toBeFalse();
    for (const p of had(await rebalance(f, quarter)))
      expect(p.lines.some((l) => l.item?.ingredient === 'baking-powder-low-sodium')).toBeFalse();
  });
});
