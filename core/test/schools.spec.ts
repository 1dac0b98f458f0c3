import {
  allItems,
  assess,
  batterForTins,
  defaultKitchen,
  ingredients,
  scale,
  type Kitchen,
  type Tin,
} from '../src/index.js';
import { allergensOf, cautionsOf } from '../src/balance/cautions.js';
import { nutAllergens } from '../src/ingredient/diet.js';
import { formula } from './support/make.js';

const muffins = formula([
  ['plain-flour', 250],
  ['baking-powder', 10],
  ['egg', 100],
  ['milk', 200],
  ['white-sugar', 90],
  ['neutral-oil', 80],
]);
const of = (schools: Partial<Kitchen['schools']>): Kitchen => ({
  ...defaultKitchen,
  schools: { ...defaultKitchen.schools, ...schools },
});
const powder = (k: Kitchen, factor: number): number =>
  allItems(scale(muffins, { by: 'factor', factor }, k).formula).find((i) => i.ingredient === 'baking-powder')?.grams ??
  0;

describe('where bakers differ', () => {
  it('one school trims leavener above four times the batch, says so, and touches nothing else', () => {
    const [linear, trimmed] = [of({ leavenerAtScale: 'linear' }), of({ leavenerAtScale: 'trimmed' })];
    for (const factor of [0.5, 1, 3, 4]) expect(powder(trimmed, factor)).toBeCloseTo(powder(linear, factor), 9);
    for (const factor of [5, 12]) {
      expect(powder(trimmed, factor) / powder(linear, factor)).toBeGreaterThanOrEqual(0.9);
      expect(powder(trimmed, factor) / powder(linear, factor)).toBeLessThanOrEqual(0.95);
      expect(scale(muffins, { by: 'factor', factor }, trimmed).leavener).toContain('trimmed');
      expect(scale(muffins, { by: 'factor', factor }, linear).leavener).toBeNull();
      const rest = (k: Kitchen): number[] =>
        allItems(scale(muffins, { by: 'factor', factor }, k).formula)
          .filter((i) => i.ingredient !== 'baking-powder')
          .map((i) => i.grams);
      expect(rest(trimmed)).toEqual(rest(linear));
    }
  });

  it('one fills muffin cups to the brim, one to two thirds', () => {
    const tray = defaultKitchen.tins.find((t) => t.shape === 'cup') as Tin;
    const wants = (k: Kitchen): number => batterForTins(muffins, [{ tin: tray, count: 1 }], k);
    expect(wants(of({ muffinFill: 'brim' })) / wants(of({ muffinFill: 'two-thirds' }))).toBeCloseTo(0.95 / (2 / 3), 6);
  });

  it('one keeps whole eggs where near, one weighs them always', () => {
    const words = (k: Kitchen): string => scale(muffins, { by: 'factor', factor: 2 }, k).eggs[0]?.words ?? '';
    expect(words(of({ eggs: 'whole' }))).toBe('4 eggs');
    expect(words(of({ eggs: 'weighed' }))).toContain('weigh 200 g');
  });
});

describe('allergens and cautions', () => {
  const by = (id: string): ReturnType<typeof formula> =>
    formula([
      ['plain-flour', 200],
      [id, 50],
    ]);
  it('follow every ingredient that carries them, whichever it is', () => {
    for (const i of ingredients) {
      const f = by(i.id);
      for (const a of i.allergens) expect(allergensOf(f)).withContext(i.id).toContain(a);
      const nut = i.pieces && i.allergens.some((a) => nutAllergens.has(a));
      expect(cautionsOf(f).some((c) => c.id === 'nuts'))
        .withContext(i.id)
        .toBe(nut === true);
    }
    expect(assess(by('malt-vinegar')).allergens).toContain('gluten');
    expect(assess(by('peanut-oil')).allergens).toContain('peanut');
  });
  it('name drink that burns, stones that poison, and honey for babies', () => {
    const has = (id: string, caution: string): boolean => cautionsOf(by(id)).some((c) => c.id === caution);
    for (const id of ['spirit', 'liqueur', 'fortified-wine']) expect(has(id, 'alcohol')).withContext(id).toBeTrue();
    for (const id of ['plum', 'cherry', 'apricot', 'peach']) expect(has(id, 'stones')).withContext(id).toBeTrue();
    expect(has('honey', 'honey')).toBeTrue();
    expect(has('milk', 'alcohol')).toBeFalse();
  });
});
