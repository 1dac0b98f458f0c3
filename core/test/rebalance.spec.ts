import fc from 'fast-check';
import {
  allItems,
  applyChanges,
  assess,
  defaultKitchen,
  families,
  ingredientFor,
  isConflict,
  isMeasurable,
  rebalance,
  withLines,
  type Conflict,
  type Formula,
  type Proposal,
  type Request,
  type Wish,
} from '../src/index.js';
import { weigh } from '../src/balance/weigh.js';
import { defaultSolver } from '../src/adapt/in-node.js';
import { balanced, sixty } from './support/disturbed.js';
import { demo, demoIds, formula } from './support/make.js';
import { every, size } from './support/runs.js';

const lineOf = (f: Formula, ingredient: string): string =>
  allItems(f).find((i) => i.ingredient === ingredient)?.id ?? '';
const proposals = (x: Proposal[] | Conflict): Proposal[] => (isConflict(x) ? fail(x.words) : x) ?? [];
function fail(words: string): Proposal[] {
  throw new Error(words);
}
const grams = (f: Formula, id: string): number => allItems(f).find((i) => i.id === id)?.grams ?? 0;

/** What every proposal must keep, whatever was asked. */
function lawful(f: Formula, p: Proposal, request: Request, context: string): void {
  const before = assess(f).merit;
  const after = assess(p.formula).merit;
  expect(after).withContext(`${context}: merit as said`).toBeCloseTo(p.merit, 6);
  if ((request.wishes ?? []).length === 0) expect(after).withContext(`${context}: merit`).toBeLessThan(before);
  const [was, is] = [weigh(f, defaultKitchen), weigh(p.formula, defaultKitchen)];
  if ((request.wishes ?? []).length > 0)
    expect(is.stray)
      .withContext(`${context}: from the ranges`)
      .toBeLessThanOrEqual(was.stray + 0.031);
  // what is wished for is had from the same batch
  if (request.wishes?.every((w) => w.kind !== 'batter' && w.kind !== 'amount')) {
    if (request.wishes.length > 0)
      expect(Math.abs(is.totals.batterG / was.totals.batterG - 1))
        .withContext(`${context}: batter`)
        .toBeLessThan(0.16);
    if (request.wishes.length > 0)
      expect(Math.abs(is.totals.flourG / was.totals.flourG - 1))
        .withContext(`${context}: flour`)
        .toBeLessThan(0.11);
  }
  for (const id of request.locked ?? [])
    expect(grams(p.formula, id)).withContext(`${context}: ${id} is locked`).toBe(grams(f, id));
  for (const l of p.lines) {
    const item = allItems(p.formula).find((i) => i.id === l.id);
    if (item)
      expect(isMeasurable(item, ingredientFor(p.formula, item), defaultKitchen))
        .withContext(`${context}: ${l.words} can be measured`)
        .toBeTrue();
    expect(l.reason).withContext(`${context}: ${l.words}`).not.toBe('');
  }
  // the lines are the whole of it: taken together they are the proposal, taken none they are nothing
  expect(
    withLines(
      f,
      p,
      p.lines.map((l) => l.id),
    ),
  ).toEqual(p.formula);
  expect(withLines(f, p, [])).toEqual(f);
}

describe('rebalancing', () => {
  it('lowers the merit of sixty disturbed formulas, verified in full, and mostly leaves nothing to name', async () => {
    let put = 0;
    let named = 0;
    const tried = every(5, await sixty());
    for (const { formula: f, words } of tried) {
      const out = await rebalance(f);
      if (isConflict(out)) {
        expect(out.why).withContext(words).toBe('cannot');
        continue;
      }
      if (out.length === 0) {
        // within what advice would leave alone
        expect(assess(f).advice.filter((a) => a.sure !== 'hint'))
          .withContext(words)
          .toEqual([]);
        continue;
      }
      put++;
      expect(out.length).toBeLessThanOrEqual(3);
      expect(new Set(out.map((p) => JSON.stringify(p.formula.groups))).size)
        .withContext(words)
        .toBe(out.length);
      for (const p of out) lawful(f, p, {}, words);
      if (out[0]?.after.words !== 'in balance') named++;
    }
    expect(put).toBeGreaterThan((2 / 3) * tried.length);
    expect(named).toBeLessThan(put / 3);
  });

  it('leaves balanced formulas alone, and what it proposes too', async () => {
    const speaksUp = (x: Proposal[] | Conflict): Proposal[] => proposals(x).filter((p) => p.kind !== 'hint');
    for (const f of families)
      if (f.id !== 'free')
        expect(speaksUp(await rebalance(await balanced(f.id))))
          .withContext(f.id)
          .toEqual([]);
    for (const id of demoIds) {
      const f = demo(id);
      const out = proposals(await rebalance(f));
      if (assess(f).merit === 0) expect(out).withContext(id).toEqual([]);
      for (const p of out)
        expect(speaksUp(await rebalance(p.formula)))
          .withContext(`${id}: ${p.words}`)
          .toEqual([]);
    }
  });

  it('meets wishes without paying for them with another figure, and asks for nothing more once they are met', async () => {
    const wishes: readonly (readonly [string, Wish])[] = [
      ['cardamom-yogurt-round', { kind: 'change', of: 'sugar', byPct: -20 }],
      ['plum-and-almond-pound-cake', { kind: 'change', of: 'fat', byPct: -20 }],
      ['cheese-and-thyme-scones', { kind: 'change', of: 'sodium', byPct: -25 }],
      ['parsnip-and-ginger-muffins', { kind: 'texture', trait: 'mouth', by: 0.3 }],
      ['rye-and-pear-loaf', { kind: 'texture', trait: 'crumb', by: 0.3 }],
      ['parsnip-and-ginger-muffins', { kind: 'left-soda', min: 0.13, max: 0.22 }],
      ['parsnip-and-ginger-muffins', { kind: 'measure', of: 'wholegrain', min: 50 }],
      ['malt-and-fig-tea-loaf', { kind: 'batter', grams: 1400 }],
    ];
    for (const [id, wish] of every(2, wishes)) {
      const f = demo(id);
      const out = proposals(await rebalance(f, { wishes: [wish] }));
      expect(out.length).withContext(`${id} ${wish.kind}`).toBeGreaterThan(0);
      for (const p of out) {
        lawful(f, p, { wishes: [wish] }, `${id} ${wish.kind}`);
        // the request it carries speaks in figures, so that it can be asked again of what it made
        expect(await rebalance(p.formula, p.request))
          .withContext(`${id} ${wish.kind}: ${p.words}`)
          .toEqual([]);
      }
    }
  });

  it('keeps the batter as much as it is beside another wish, and then scales nothing', async () => {
    for (const id of ['cardamom-yogurt-round', 'rye-and-pear-loaf']) {
      const f = demo(id);
      const grams = assess(f).totals.batterG;
      const less: Wish = { kind: 'change', of: 'sugar', byPct: -25 };
      for (const p of proposals(await rebalance(f, { wishes: [less, { kind: 'batter', grams }] }))) {
        expect(Math.abs(assess(p.formula).totals.batterG / grams - 1)).toBeLessThan(0.0201);
        for (const l of p.lines) {
          expect(l.reason).not.toContain('scaled');
          expect(l.fromG).not.toBeCloseTo(l.toG, 1);
        }
      }
    }
  });

  it('never moves a locked line, goes beyond a limit or above what is in stock', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...demoIds),
        fc.nat(),
        fc.double({ min: 0.4, max: 2.5, noNaN: true }),
        fc.array(fc.nat(), { maxLength: 4 }),
        fc.double({ min: 0.3, max: 1.5, noNaN: true }),
        async (id, which, factor, locks, limit) => {
          const items = allItems(demo(id));
          const wrong = items[which % items.length];
          const f = applyChanges(demo(id), [
            { itemId: wrong?.id ?? '', grams: Math.round((wrong?.grams ?? 0) * factor) },
          ]);
          const locked = locks.map((n) => items[n % items.length]?.id ?? '');
          const bounded = items[(which + 3) % items.length];
          const maxG = Math.round((bounded?.grams ?? 0) * limit) + 1;
          const stock = Object.fromEntries(items.map((i) => [i.ingredient, Math.round(i.grams * 1.3) + 1]));
          const kitchen = { ...defaultKitchen, stock };
          const out = await rebalance(
            f,
            { locked, wishes: [{ kind: 'amount', itemId: bounded?.id ?? '', maxG }] },
            kitchen,
          );
          if (isConflict(out)) return expect(out.words).not.toBe('');
          for (const p of out) {
            for (const l of locked) expect(grams(p.formula, l)).toBe(grams(f, l));
            expect(grams(p.formula, bounded?.id ?? '')).toBeLessThanOrEqual(maxG + 0.006);
            for (const [ingredient, have] of Object.entries(stock)) {
              const of = (x: Formula): number =>
                allItems(x).reduce((s, i) => s + (i.ingredient === ingredient ? i.grams : 0), 0);
              expect(of(p.formula))
                .withContext(ingredient)
                .toBeLessThanOrEqual(Math.max(have, of(f)) + 0.006);
            }
          }
        },
      ),
      { numRuns: size(10, 5) },
    );
  });

  it('uses nothing but what is in stock when that is wished', async () => {
    const f = demo('wholemeal-seeded-soda-loaf');
    const stock = Object.fromEntries(
      allItems(f).map((i) => [i.ingredient, i.ingredient === 'buttermilk' ? 330 : 2000]),
    );
    const out = proposals(await rebalance(f, { wishes: [{ kind: 'stock' }] }, { ...defaultKitchen, stock }));
    for (const p of out) expect(grams(p.formula, lineOf(p.formula, 'buttermilk'))).toBeLessThanOrEqual(330);
  });

  it('gives the same answer each time, and another solver than its own when one is handed in', async () => {
    const f = demo('oat-and-rhubarb-muffins');
    const real = await defaultSolver();
    let asked = 0;
    const counting = { solve: (text: string, o?: Record<string, unknown>) => (asked++, real.solve(text, o)) };
    const less: Request = { wishes: [{ kind: 'change', of: 'sugar', byPct: -20 }] };
    const [a, b] = [await rebalance(f, less), await rebalance(f, less, defaultKitchen, { solver: counting })];
    expect(await rebalance(f)).toEqual(await rebalance(f));
    expect(a).toEqual(b);
    expect(asked).toBeGreaterThan(0);
  });
});

describe('what cannot be had', () => {
  const muffins = demo('oat-and-rhubarb-muffins');
  const cake = demo('cardamom-yogurt-round');

  it('is named as the smallest set of wishes, and can be had without them', async () => {
    const yogurt = lineOf(cake, 'yogurt');
    const hard: readonly Request[] = [
      {
        wishes: [
          { kind: 'change', of: 'fat', byPct: -10 },
          { kind: 'amount', itemId: yogurt, minG: 250 },
          { kind: 'amount', itemId: yogurt, maxG: 180 },
        ],
      },
      { wishes: [{ kind: 'change', of: 'sugar', byPct: -60 }] },
      {
        wishes: [{ kind: 'change', of: 'sugar', byPct: -25 }],
        locked: [lineOf(cake, 'caster-sugar'), lineOf(cake, 'plain-flour')],
      },
      {
        wishes: [
          { kind: 'measure', of: 'egg', min: 40 },
          { kind: 'amount', itemId: lineOf(cake, 'egg'), maxG: 80 },
          { kind: 'hold', itemId: lineOf(cake, 'plain-flour') },
        ],
      },
    ];
    for (const request of every(2, hard)) {
      const out = await rebalance(cake, request);
      if (!isConflict(out)) throw new Error(`had: ${out.map((p) => p.words).join(' / ')}`);
      expect(out.why).toBe('wishes');
      expect(out.wishes.length).toBeGreaterThan(0);
      for (const w of out.wishes) expect(out.words).toContain(w.words);
      const named = new Set(out.wishes.map((w) => w.index));
      const eased: Request = {
        wishes: (request.wishes ?? []).filter((_, i) => !named.has(i)),
        locked: (request.locked ?? []).filter((id) => !out.wishes.some((w) => w.index === null && w.itemId === id)),
      };
      expect(isConflict(await rebalance(cake, eased)))
        .withContext(out.words)
        .toBeFalse();
      // and none of those named is there for nothing
      if (out.wishes.length > 1)
        for (const w of out.wishes.filter((x) => x.index !== null)) {
          const one: Request = { ...request, wishes: (request.wishes ?? []).filter((_, i) => i !== w.index) };
          expect(isConflict(await rebalance(cake, one)))
            .withContext(`without ${w.words}`)
            .toBeFalse();
        }
      if (out.nearest)
        expect(weigh(out.nearest.formula, defaultKitchen).stray).toBeLessThanOrEqual(
          weigh(cake, defaultKitchen).stray + 0.061,
        );
    }
  });

  it('is said in words: all locked, no flour, no family, a search cut short, a search stopped', async () => {
    const said = async (...args: Parameters<typeof rebalance>): Promise<Conflict> => {
      const out = await rebalance(...args);
      if (!isConflict(out)) throw new Error('no conflict');
      expect(out.words.length).toBeGreaterThan(20);
      return out;
    };
    const locked = await said(muffins, { locked: allItems(muffins).map((i) => i.id) });
    expect(locked.why).toBe('locked');
    const opened = locked.wishes.map((w) => w.itemId);
    const rest = allItems(muffins)
      .map((i) => i.id)
      .filter((id) => !opened.includes(id));
    expect(isConflict(await rebalance(muffins, { locked: rest }))).toBeFalse();

    expect(
      (
        await said(
          formula([
            ['butter', 100],
            ['egg', 100],
          ]),
        )
      ).why,
    ).toBe('no-flour');
    expect((await said({ ...cake, family: 'nonsense' as 'free' })).words).toContain('nonsense');
    const less: Request = { wishes: [{ kind: 'change', of: 'sugar', byPct: -20 }] };
    const stuck = { solve: () => ({ Status: 'Reached node limit', Columns: {} }) };
    const short = await said(muffins, less, defaultKitchen, { solver: stuck, maxNodes: 3 });
    expect(short.why).toBe('limit');
    expect(short.words).toContain('3 steps');
    expect((await said(muffins, less, defaultKitchen, { cancelled: () => true })).why).toBe('cancelled');
    // without a family there is still what is asked for
    const free = proposals(
      await rebalance({ ...cake, family: 'free' }, { wishes: [{ kind: 'change', of: 'sugar', byPct: -25 }] }),
    );
    expect(free.length).toBeGreaterThan(0);
  });
});
