import {
  allItems,
  applyChanges,
  assess,
  defaultKitchen,
  isConflict,
  rebalance,
  withLines,
  type Formula,
  type Kitchen,
  type Proposal,
  type Wish,
} from '../src/index.js';
import { bowlOf, formulaWith, freshId, groupFor } from '../src/adapt/bowl.js';
import { defaultSolver } from '../src/adapt/in-node.js';
import { modelOf } from '../src/adapt/model.js';
import { valueOf, type Solver } from '../src/adapt/linear.js';
import { search } from '../src/adapt/search.js';
import { FEWEST, NEAREST } from '../src/adapt/settings.js';
import { weigh } from '../src/balance/weigh.js';
import { disturb, randomFrom } from './support/disturbed.js';
import { demo, demoIds, formula } from './support/make.js';

const limits = { maxNodes: 4000, gap: 0.01, seed: 1 };
const line = (f: Formula, ingredient: string): string => allItems(f).find((i) => i.ingredient === ingredient)?.id ?? '';
const list = (x: Awaited<ReturnType<typeof rebalance>>): Proposal[] => {
  if (isConflict(x)) throw new Error(x.words);
  return x;
};

describe('a search', () => {
  let solver: Solver;
  beforeAll(async () => {
    solver = await defaultSolver();
  });

  it('weighs its lines as they are weighed outside it, before and after', () => {
    const random = randomFrom(11);
    for (let n = 0; n < 12; n++) {
      const { formula: f, words } = disturb(demo(demoIds[n % demoIds.length] as string), random);
      const bowl = bowlOf(f, {}, defaultKitchen, []);
      const found = search(bowl, { wishes: [], weights: n % 2 === 0 ? FEWEST : NEAREST }, solver, limits);
      if (found.kind !== 'found') {
        expect(found.kind).withContext(words).toBe('found');
        continue;
      }
      expect(formulaWith(bowl, found.grams)).toEqual(found.formula);
      expect(found.weighed.stray).withContext(words).toBeCloseTo(weigh(found.formula, defaultKitchen).stray, 9);
      expect(found.weighed.stray)
        .withContext(words)
        .toBeLessThanOrEqual(weigh(f, defaultKitchen).stray + 1e-9);
      // every total is what its expression says with these weights pinned
      const pinnedBowl = { ...bowl, moves: bowl.moves.map((m, i) => ({ ...m, fixedG: found.grams[i] ?? 0 })) };
      const model = modelOf(pinnedBowl, found.weighed, FEWEST);
      const t = found.weighed.totals;
      const at = (q: Parameters<typeof model.total>[0]): number => valueOf(model.total(q), new Map());
      expect(at('flour')).toBeCloseTo(t.flourG, 6);
      expect(at('water')).toBeCloseTo(t.waterG, 6);
      expect(at('drunk')).toBeCloseTo(t.drunkG, 6);
      expect(at('fat')).toBeCloseTo(t.fatG, 6);
      expect(at('sugar')).toBeCloseTo(t.sugarG, 6);
      expect(at('batter')).toBeCloseTo(t.batterG, 6);
      expect(at('tenders')).toBeCloseTo(found.weighed.beam.tenders, 6);
      expect(at('holds')).toBeCloseTo(found.weighed.beam.holds, 6);
    }
  });

  it('touches no more lines for the fewest changes than for the nearest character', () => {
    const random = randomFrom(2);
    let fewer = 0;
    for (let n = 0; n < 10; n++) {
      const { formula: f } = disturb(demo(demoIds[(3 * n) % demoIds.length] as string), random);
      if (weigh(f, defaultKitchen).stray < 0.05) continue;
      const touched = (weights: typeof FEWEST): number => {
        const found = search(bowlOf(f, {}, defaultKitchen, []), { wishes: [], weights }, solver, limits);
        return found.kind === 'found' ? found.touched.length : NaN;
      };
      const [few, near] = [touched(FEWEST), touched(NEAREST)];
      expect(few).toBeLessThanOrEqual(near + 1);
      if (few < near) fewer++;
    }
    expect(fewer).toBeGreaterThan(2);
  });

  it('cannot reach what is not there: two wishes apart, a candidate that may not come', () => {
    const f = demo('cardamom-yogurt-round');
    const egg = line(f, 'egg');
    const apart: readonly Wish[] = [
      { kind: 'amount', itemId: egg, minG: 150 },
      { kind: 'amount', itemId: egg, maxG: 100 },
    ];
    const bowl = bowlOf(f, {}, defaultKitchen, apart);
    expect(search(bowl, { wishes: apart, weights: FEWEST }, solver, limits).kind).toBe('infeasible');
    const bent = search(bowl, { wishes: apart, weights: FEWEST, bending: 60 }, solver, limits);
    expect(bent.kind === 'found' && allItems(bent.formula).find((i) => i.id === egg)?.grams).toBeGreaterThanOrEqual(
      100,
    );
  });
});

describe('what a formula lacks', () => {
  it('is brought in where nothing that is there can mend it: a leavener, a liquid, an acid', async () => {
    const flat = formula(
      [
        ['plain-flour', 250],
        ['caster-sugar', 120],
        ['egg', 100],
        ['neutral-oil', 90],
        ['milk', 220],
        ['salt', 3],
      ],
      { family: 'muffin' },
    );
    const [risen] = list(await rebalance(flat));
    expect(risen?.lines.map((l) => `${l.kind} ${l.item?.ingredient}`)).toEqual(['added baking-powder']);
    expect(risen?.lines[0]?.reason).toContain('rise');
    const soapy = formula(
      [
        ['plain-flour', 250],
        ['caster-sugar', 120],
        ['egg', 100],
        ['neutral-oil', 90],
        ['milk', 220],
        ['baking-soda', 6],
        ['salt', 3],
      ],
      { family: 'muffin' },
    );
    const out = list(await rebalance(soapy, { locked: [line(soapy, 'baking-soda')] }));
    expect(out.length).toBeGreaterThan(0);
    for (const p of out) expect(p.merit).toBeLessThan(assess(soapy).merit);
    const dry = formula(
      [
        ['plain-flour', 300],
        ['butter', 100],
        ['baking-powder', 14],
        ['salt', 4],
      ],
      { family: 'biscuit' },
    );
    const wet = list(await rebalance(dry))[0];
    expect(wet?.lines.some((l) => l.kind === 'added' && l.item?.ingredient === 'milk')).toBeTrue();
    expect(wet?.merit).toBeLessThan(1);
  });

  it('finds a place and an id of its own', () => {
    const f = demo('cardamom-yogurt-round');
    expect(groupFor(f, 'leavener', defaultKitchen)).toBe(f.groups.find((g) => g.role === 'dry')?.id ?? '');
    expect(groupFor(f, 'liquid', defaultKitchen)).toBe(f.groups.find((g) => g.role === 'wet')?.id ?? '');
    const taken = freshId(f, f.groups[0]?.items[0]?.id ?? '');
    expect(allItems(f).some((i) => i.id === taken)).toBeFalse();
  });
});

describe('a proposal', () => {
  it('taken in part is the formula with those lines and no others', async () => {
    const f = demo('cardamom-yogurt-round');
    const wishes: readonly Wish[] = [
      { kind: 'change', of: 'sugar', byPct: -25 },
      { kind: 'change', of: 'fat', byPct: -15 },
    ];
    const p = list(await rebalance(f, { wishes })).find((x) => x.lines.length > 1);
    if (!p) throw new Error('no proposal of several lines');
    for (const l of p.lines) {
      const one = withLines(f, p, [l.id]);
      const moved = allItems(one).filter((i) => i.grams !== allItems(f).find((x) => x.id === i.id)?.grams);
      expect(moved.map((i) => i.id)).toEqual([l.id]);
    }
    // changes are for whoever has only weights to set
    expect(assess(applyChanges(f, p.changes)).merit).toBeCloseTo(p.merit, 9);
  });

  it('from what is there is offered where the shelf is short, and needs nothing else', async () => {
    const f = applyChanges(demo('maize-and-chive-skillet-bread'), [
      { itemId: line(demo('maize-and-chive-skillet-bread'), 'maize-meal'), grams: 420 },
    ]);
    const stock = Object.fromEntries(allItems(f).map((i) => [i.ingredient, Math.max(1, i.grams * 1.2)]));
    const kitchen: Kitchen = { ...defaultKitchen, stock: { ...stock, buttermilk: 280 } };
    const there = list(await rebalance(f, {}, kitchen)).find((p) => p.kind === 'stock');
    if (there)
      for (const i of allItems(there.formula))
        expect(i.grams)
          .withContext(i.ingredient)
          .toBeLessThanOrEqual((kitchen.stock[i.ingredient] ?? 0) + 0.006);
    const asked = await rebalance(f, { wishes: [{ kind: 'stock' }] }, kitchen);
    for (const p of list(asked))
      for (const i of allItems(p.formula))
        expect(i.grams)
          .withContext(i.ingredient)
          .toBeLessThanOrEqual((kitchen.stock[i.ingredient] ?? 0) + 0.006);
  });

  it('is made for the kitchen it is in: other spoons, other eggs, another height', async () => {
    const f = demo('oat-and-rhubarb-muffins');
    const us: Kitchen = {
      ...defaultKitchen,
      measures: { ...defaultKitchen.measures, spoonMl: 4.93, cupMl: 236.6, eggSize: 'us-l' },
      altitudeM: 1600,
    };
    const [low] = list(await rebalance(f));
    const [high] = list(await rebalance(f, {}, us));
    expect(low && high && JSON.stringify(low.changes) !== JSON.stringify(high.changes)).toBeTrue();
    expect(high && assess(high.formula, us).merit).toBeLessThan(1);
    const lift = (p: Proposal | undefined): number => (p ? assess(p.formula, us).lift.mmolPer100gBase.typical : NaN);
    expect(lift(high)).toBeLessThan(lift(low) + 0.1);
  });
});
