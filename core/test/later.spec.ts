import type { Formula, FamilyId } from '../src/index.js';
import { families, laterOf } from '../src/index.js';
import { formula, demo, demoIds, demoKitchen } from './support/make.js';

const kitchen = demoKitchen();
const fruitCake = (): Formula =>
  formula(
    [
      ['plain-flour', 225],
      ['butter', 200],
      ['dark-brown-sugar', 200],
      ['egg', 200],
      ['raisin', 600],
    ],
    { family: 'fruit-cake-rich', title: 'Rich cake' },
  );

describe('the days after a bake', () => {
  it('feed a rich fruit cake by either school, each with its share and its caution', () => {
    const often = laterOf(fruitCake(), kitchen);
    const seldom = laterOf(fruitCake(), kitchen, { feeding: 'more and seldom' });
    expect(often.length).toBe(6);
    // twice a week for three weeks
    expect(often.map((l) => l.afterDays)).toEqual([1, 4, 8, 11, 15, 18]);
    expect(seldom.map((l) => l.afterDays)).toEqual([1, 11, 21, 31, 41]);
    for (const l of [...often, ...seldom]) {
      expect(l.caution).toContain('flame');
      const [lo, hi] = [...l.detail.matchAll(/\d+/g)].map((m) => Number(m[0]));
      expect(lo).toBeLessThan(hi ?? 0);
    }
    const grams = (l: typeof often): number => Number(/(\d+) g of spirit/.exec(l[0]?.detail ?? '')?.[1]);
    expect(grams(seldom)).toBeGreaterThan(grams(often));
  });

  it('come in their order, at an hour a person is awake, and end before a cake is past it', () => {
    for (const id of demoIds) {
      const list = laterOf(demo(id), kitchen);
      expect(list.map((l) => l.afterDays)).toEqual([...list.map((l) => l.afterDays)].sort((a, b) => a - b));
      for (const l of list) {
        expect(l.hour).toBeGreaterThanOrEqual(7);
        expect(l.hour).toBeLessThanOrEqual(22);
      }
      expect(new Set(list.map((l) => l.id)).size).toBe(list.length);
    }
  });

  it('keep a loaf for as long as its method asks, and count its days from then', () => {
    const tea = laterOf(demo('malt-and-fig-tea-loaf'), kitchen);
    expect(tea.find((l) => l.id === 'best')?.afterDays).toBe(1);
    expect(tea.find((l) => l.id === 'wrap')?.afterDays).toBe(0);
    const ginger = laterOf(demo('spelt-stout-gingerbread'), kitchen);
    expect(ginger.find((l) => l.id === 'best')?.afterDays).toBe(2);
    expect(ginger.find((l) => l.id === 'last')?.afterDays).toBeGreaterThan(5);
    for (const [words, days] of [
      ['keep a week before cutting', 7],
      ['wrap it and keep 3 days', 3],
      ['eat at once', 0],
    ] as const) {
      // prettier-ignore
      const f = { ...demo('rye-and-pear-loaf'), method: [{ text: `Bake; ${words}.`, itemIds: [] }] };
      expect(laterOf(f, kitchen).find((l) => l.id === 'best')?.afterDays ?? 0)
        .withContext(words)
        .toBe(days);
    }
  });

  it('frost a cold cake the next day, and thaw what was frozen', () => {
    const f = demo('cardamom-yogurt-round');
    const icing = { id: 'i', name: 'Icing', role: 'icing' as const, items: [] };
    expect(laterOf({ ...f, groups: [...f.groups, icing] }, kitchen).find((l) => l.id === 'frost')?.afterDays).toBe(1);
    const frozen = laterOf(f, kitchen, { frozen: true });
    expect(frozen.map((l) => l.id)).toEqual(['freeze', 'thaw']);
    expect(frozen[1]?.caution).toContain('Local');
  });

  it('say something of every family, or nothing where nothing is known', () => {
    for (const { id } of families)
      for (const l of laterOf({ ...fruitCake(), family: id as FamilyId }, kitchen)) {
        expect(l.words).not.toContain('undefined');
        expect(l.detail.length).toBeGreaterThan(5);
      }
  });
});
