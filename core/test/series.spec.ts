import fc from 'fast-check';
import {
  allItems,
  differences,
  judgeSeries,
  orderFor,
  planSeries,
  type Factor,
  type Liking,
  type Series,
} from '../src/index.js';
import { dice } from './support/strange-oven.js';
import { demo, demoKitchen } from './support/make.js';

const kitchen = demoKitchen();
const f = demo('parsnip-and-ginger-muffins');
const sugar = allItems(f).find((i) => i.ingredient === 'light-brown-sugar')?.id ?? '';
const bySugar: Factor = { kind: 'amount', itemId: sugar, times: [1, 0.7] };
const byHeat: Factor = { kind: 'oven', ovenC: [190, 175] };
const plan = (factors: readonly Factor[], seed = 5, share = 0.5): Series => planSeries(f, factors, { share, seed, id: 's', at: 1 }, kitchen); // prettier-ignore

describe('a series of small batches', () => {
  it('has every level once, small, blind, in an order of chance, the same for the same seed', () => {
    fc.assert(
      fc.property(fc.nat(5000), (seed) => {
        const s = plan([bySugar, byHeat], seed);
        expect(s.batches.map((b) => b.levels.join('')).sort()).toEqual(['00', '01', '10', '11']);
        const labels = s.batches.map((b) => b.label);
        expect(new Set(labels.map((l) => l[0])).size).toBe(4);
        for (const l of labels) expect(l).toMatch(/^[1-9]{3}$/);
        expect(plan([bySugar, byHeat], seed)).toEqual(s);
        for (const b of s.batches) {
          const [small, whole] = [allItems(b.formula), allItems(f)].map((x) => x.reduce((sum, i) => sum + i.grams, 0));
          expect((small ?? 0) / (whole ?? 1)).toBeGreaterThan(0.42);
          expect((small ?? 0) / (whole ?? 1)).toBeLessThan(0.56);
        }
      }),
      { numRuns: 30 },
    );
    const orders = new Set(Array.from({ length: 20 }, (_, seed) => plan([bySugar, byHeat], seed).batches.map((b) => b.levels.join('')).join(' '))); // prettier-ignore
    expect(orders.size).toBeGreaterThan(6);
  });

  it('varies nothing but its factors', () => {
    const s = plan([bySugar], 3, 1);
    const [a, b] = [...s.batches].sort((x, y) => (x.levels[0] as number) - (y.levels[0] as number));
    expect(differences(f, a?.formula ?? f)).toEqual([]);
    expect(differences(a?.formula ?? f, b?.formula ?? f).map((d) => d.itemId)).toEqual([sugar]);
  });

  it('refuses what would not be one', () => {
    expect(() => plan([])).toThrowError(/two to four/);
    expect(() => plan([{ kind: 'oven', ovenC: [180] }])).toThrowError(/two to four/);
    expect(() => plan([{ kind: 'oven', ovenC: [160, 170, 180] }, bySugar])).toThrowError(/two to four/);
    expect(() => plan([{ kind: 'amount', itemId: 'nothing', times: [1, 2] }])).toThrowError(/no line/);
  });

  it('lets each taster begin with another', () => {
    const s = plan([bySugar, byHeat]);
    const firsts = [0, 1, 2, 3].map((t) => orderFor(s, t)[0]);
    expect(new Set(firsts).size).toBe(4);
  });

  const tasted = (s: Series, tasters: number, liking: (levels: readonly number[], t: number) => number): Series => ({
    ...s,
    tasters: Array.from({ length: tasters }, (_, t) => ({
      name: `t${t}`,
      likes: Object.fromEntries(
        s.batches.map((b) => [b.label, Math.max(1, Math.min(9, Math.round(liking(b.levels, t)))) as Liking]),
      ),
    })),
  });

  it('says nothing of one tasting, and something of many that agree; a taster who likes all of it says no more', () => {
    const s = plan([bySugar]);
    const better = (levels: readonly number[]): number => (levels[0] === 0 ? 7 : 5);
    const [one, many] = [judgeSeries(tasted(s, 1, better)), judgeSeries(tasted(s, 8, better))];
    expect(one.contrasts[0]?.words).toContain('Too little to tell');
    expect(many.contrasts[0]?.better).toBeLessThan(0.1);
    expect(many.contrasts[0]?.words).toContain('liked better');
    const shifted = judgeSeries(tasted(s, 8, (l, t) => better(l) + (t % 2)));
    expect(shifted.contrasts[0]?.by).toBeCloseTo(many.contrasts[0]?.by ?? 0, 6);
    expect(judgeSeries(s).contrasts).toEqual([]);
    // who did not taste all of them is not counted
    const part = { ...tasted(s, 8, better), tasters: [...tasted(s, 8, better).tasters, { name: 'late', likes: {} }] };
    expect(judgeSeries(part).contrasts).toEqual(many.contrasts);
  });

  it('is as sure as it ought to be: 80 % ranges hold about 80 % of true effects', () => {
    const d = dice(99);
    let held = 0;
    const n = 300;
    for (let k = 0; k < n; k++) {
      const s = plan([bySugar], k);
      const effect = d.normal(1);
      const batch = [d.normal(0.5), d.normal(0.5)];
      const c = judgeSeries({
        ...s,
        tasters: Array.from({ length: 5 }, (_, t) => ({
          name: `t${t}`,
          likes: Object.fromEntries(s.batches.map((b) => [b.label, (5 + (b.levels[0] === 1 ? effect : 0) + (batch[b.levels[0] as number] ?? 0) + d.normal(1.2)) as Liking])), // prettier-ignore
        })),
      }).contrasts[0];
      if (c && effect >= c.low && effect <= c.high) held++;
    }
    expect(held / n).toBeGreaterThan(0.7);
    expect(held / n).toBeLessThan(0.9);
  });
});
