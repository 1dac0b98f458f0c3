import fc from 'fast-check';
import {
  allItems,
  applyChanges,
  assess,
  beside,
  defaultKitchen,
  effectOf,
  families,
  familyOf,
  keepingTotal,
  moveTo,
  toTotal,
  type FamilyId,
  type Formula,
  type MethodStep,
} from '../src/index.js';
import { usualIndex } from '../src/balance/pulls.js';
import { demo, demoIds, formula, nested } from './support/make.js';

const anyDemo = fc.constantFrom(...demoIds).map(demo);
const step = (text: string): MethodStep => ({ text, itemIds: [] });
const cake = (more: [string, number][], family: FamilyId = 'butter-cake-lean', text?: string): Formula =>
  formula(
    [
      ['plain-flour', 250],
      ['caster-sugar', 200],
      ['butter', 120],
      ['egg', 150],
      ['milk', 150],
      ['baking-powder', 8],
      ...more,
    ],
    { family, method: text === undefined ? [] : [step(text)] },
  );
const grown = (f: Formula, ingredient: string, k: number): Formula =>
  applyChanges(
    f,
    allItems(f)
      .filter((i) => i.ingredient === ingredient)
      .map((i) => ({ itemId: i.id, grams: i.grams * k })),
  );

describe('structure against tenderness', () => {
  it('adds up from its lines, does not change with size, and leans the way bakers say', () => {
    fc.assert(
      fc.property(anyDemo, fc.double({ min: 0.3, max: 6, noNaN: true }), (f, k) => {
        const a = assess(f).beam;
        expect(a.pulls.reduce((s, p) => s + p.holds, 0)).toBeCloseTo(a.holds, 6);
        expect(a.pulls.reduce((s, p) => s + p.tenders, 0)).toBeCloseTo(a.tenders, 6);
        const big = applyChanges(
          f,
          allItems(f).map((i) => ({ itemId: i.id, grams: i.grams * k })),
        );
        expect(assess(big).beam.index).toBeCloseTo(a.index, 6);
      }),
      { numRuns: 30 },
    );
    const f = cake([]);
    const lean = (x: Formula): number => assess(x).beam.lean;
    for (const [id, sign] of [
      ['butter', 1],
      ['caster-sugar', 1],
      ['plain-flour', -1],
      ['egg', -1],
    ] as const)
      expect(Math.sign(lean(grown(f, id, 1.2)) - lean(f)))
        .withContext(id)
        .toBe(sign);
    // whites hold where yolks tender
    expect(lean(cake([['egg-white', 60]]))).toBeLessThan(lean(cake([['egg-yolk', 60]])));
  });

  it('orders the families as tenderness does: soda bread, scone, muffin, cake', () => {
    const mid = (id: FamilyId): number => usualIndex(familyOf(id)).reduce((a, b) => a + b, 0) / 2;
    const order = (['soda-bread', 'scone', 'muffin', 'butter-cake-lean', 'oil-cake'] satisfies FamilyId[]).map(mid);
    expect(order).toEqual([...order].sort((a, b) => a - b));
    for (const f of families) expect(usualIndex(f)[1]).toBeGreaterThan(usualIndex(f)[0]);
  });

  it('says so when a cake is too tender to hold itself up', () => {
    const f = grown(grown(cake([]), 'caster-sugar', 1.6), 'butter', 2.3);
    const a = assess(f);
    expect(a.verdicts.find((v) => v.id === 'structure')?.state).toBe('high');
    expect(a.verdicts.find((v) => v.id === 'structure')?.words).toMatch(/^More tender than most/);
  });
});

describe('true hydration', () => {
  it('is water less what drinks it, never more than the water', () => {
    fc.assert(
      fc.property(anyDemo, (f) => {
        const { totals: t, water } = assess(f);
        expect(t.availableG).toBeCloseTo(t.waterG - t.drunkG, 6);
        expect(water.entries.reduce((s, e) => s + e.bringsG, 0)).toBeCloseTo(t.waterG, 6);
        expect(water.entries.reduce((s, e) => s + e.drinksG, 0)).toBeCloseTo(t.drunkG, 6);
      }),
      { numRuns: 20 },
    );
  });

  it('tells bran, coconut flour and cocoa from white flour', () => {
    const left = (id: string): number => assess(cake([[id, 40]])).totals.availableG;
    expect(left('coconut-flour')).toBeLessThan(left('wheat-bran'));
    expect(left('wheat-bran')).toBeLessThan(left('wholemeal-flour'));
    expect(left('cocoa-natural')).toBeLessThan(left('wholemeal-flour'));
  });
});

describe('mixing and temperature', () => {
  it('reads the method from the baker’s words and suggests what suits the fat', () => {
    const of = (text: string): string => assess(cake([], 'butter-cake-lean', text)).methods.chosen;
    expect(of('Cream the butter with the sugar until fluffy.')).toBe('creaming');
    expect(of('Rub the butter into the flour.')).toBe('rub-in');
    expect(of('Beat the butter into the flour and sugar until like wet sand.')).toBe('coating');
    expect(of('Melt the butter with the sugar, stir in the rest.')).toBe('melt-and-stir');
    expect(of('Pour the wet into the dry and fold until just combined.')).toBe('muffin');
    const oil = formula([
      ['plain-flour', 250],
      ['neutral-oil', 90],
      ['egg', 100],
      ['milk', 200],
      ['white-sugar', 120],
    ]);
    expect(['muffin', 'one-bowl']).toContain(assess(oil).methods.chosen);
    expect(assess(oil).methods.fits.find((m) => m.method === 'creaming')?.fit).toBe('poor');
    const wrong = { ...oil, method: [step('Cream the oil and sugar until pale and fluffy.')] };
    expect(assess(wrong).verdicts.find((v) => v.id === 'method')?.words).toMatch(/suits it/);
  });

  it('keeps the batter between the coldest and warmest thing in it, and knows that ice is colder than it looks', () => {
    const at = (words: string, roomC = 20): number =>
      assess(
        {
          ...cake([['blueberry', 200]]),
          groups: cake([['blueberry', 200]]).groups.map((g) => ({
            ...g,
            items: g.items.map((i) => (i.ingredient === 'blueberry' ? { ...i, words } : i)),
          })),
        },
        { ...defaultKitchen, roomC },
      ).batter.temperatureC;
    expect(at('200 g blueberries')).toBeCloseTo(20, 1);
    expect(at('200 g cold blueberries')).toBeLessThan(19);
    // 334 kJ/kg of ice weigh more than the 25 K down to the fridge
    expect(at('200 g cold blueberries') - at('200 g frozen blueberries')).toBeGreaterThan(5);
    expect(at('200 g frozen blueberries')).toBeGreaterThan(-18);
    expect(nested(assess(cake([])).batter.temperatureBandC)).toBeTrue();
  });

  it('warns of curdling, of hot fat on eggs and of soft fat, each with its remedy', () => {
    const creamed = cake([], 'butter-cake-lean', 'Cream butter and sugar.');
    const warnings = (f: Formula, roomC: number): string =>
      assess(f, { ...defaultKitchen, roomC })
        .verdicts.filter((v) => v.id.startsWith('warm:'))
        .map((v) => v.words)
        .join(' ');
    expect(warnings(creamed, 14)).toMatch(/curdle.*hot tap water/);
    expect(warnings(creamed, 21)).toBe('');
    const melted = {
      ...creamed,
      method: [],
      groups: creamed.groups.map((g) => ({
        ...g,
        items: g.items.map((i) => (i.ingredient === 'butter' ? { ...i, words: 'melted butter' } : i)),
      })),
    };
    expect(warnings(melted, 21)).toMatch(/below 45 °C/);
    expect(warnings({ ...creamed, method: [step('Rub the butter in.')] }, 28)).toMatch(/freeze it/);
  });
});

describe('what is left over does', () => {
  const soda = (more: [string, number][], g: number): Formula =>
    formula([
      ['plain-flour', 250],
      ['white-sugar', 120],
      ['egg', 100],
      ['milk', 200],
      ['neutral-oil', 80],
      ['baking-soda', g],
      ...more,
    ]);

  it('gives a pH band that rises with soda, falls with acid and stays one a crumb can have', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 14, noNaN: true }),
        fc.double({ min: 0, max: 120, noNaN: true }),
        (g, lemon) => {
          const p = (f: Formula) => assess(f).crumb.pH;
          const f = soda([['lemon-juice', lemon]], g);
          expect(nested(p(f))).toBeTrue();
          expect(p(f).low).toBeGreaterThan(3.5);
          expect(p(f).high).toBeLessThan(10.5);
          expect(p(soda([['lemon-juice', lemon]], g + 1)).typical).toBeGreaterThanOrEqual(p(f).typical - 1e-9);
          expect(p(soda([['lemon-juice', lemon + 10]], g)).typical).toBeLessThanOrEqual(p(f).typical + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
    for (const id of ['cardamom-yogurt-round', 'rye-and-pear-loaf'])
      expect(assess(demo(id)).crumb.pH.typical).toBeCloseTo(6.8, 0);
  });

  it('turns blueberries green, walnuts grey and cocoa dark only in an alkaline batter', () => {
    const words = (f: Formula): string =>
      assess(f)
        .crumb.effects.map((e) => e.words)
        .join('; ');
    const things: [string, number][] = [
      ['blueberry', 120],
      ['walnut', 50],
      ['cocoa-natural', 20],
      ['sunflower-seed', 30],
    ];
    const strong = words(soda(things, 7));
    for (const said of [
      /blueberries may streak blue-green/,
      /walnuts may turn grey/,
      /cocoa turns/,
      /seeds may turn green/,
      /bakes dark/,
    ])
      expect(strong).toMatch(said);
    expect(words(soda(things, 0))).not.toMatch(/green|grey|dark/);
    expect(words(soda([['lemon-juice', 60]], 0))).toMatch(/tang.*paler/);
  });

  it('counts the sodium of soda and salt by their formulas', () => {
    const s = assess(
      formula([
        ['plain-flour', 200],
        ['baking-soda', 1],
        ['salt', 1],
      ]),
    ).crumb.sodium;
    expect(s.leavenersMg).toBeCloseTo(273.7, 0);
    expect(Math.abs(s.saltMg - 393)).toBeLessThan(3);
    const of = (id: string): number =>
      assess(
        formula([
          ['plain-flour', 200],
          [id, 10],
        ]),
      ).crumb.sodium.leavenersMg;
    expect(of('baking-powder-low-sodium')).toBe(0);
    expect(of('baking-powder')).toBeGreaterThan(of('baking-powder-tartrate'));
  });
});

describe('rules of thumb', () => {
  it('stand beside the chemistry, named by school, and never count as faults', () => {
    for (const id of demoIds) {
      const a = assess(demo(id));
      const rules = a.verdicts.filter((v) => v.school !== undefined);
      expect(rules.length).withContext(id).toBeGreaterThan(0);
      expect(rules.every((v) => v.severity === 'note'))
        .withContext(id)
        .toBeTrue();
    }
    const t = assess(
      formula([
        ['plain-flour', 245],
        ['baking-powder', 11.4],
        ['milk', 200],
      ]),
    ).thumb;
    expect(t.powderTspPerCup).toBeCloseTo(1.25, 1);
    expect(t.state).toBe('ok');
    // the spoons cannot see that nothing meets this soda; the ledger does
    const bare = assess(
      formula([
        ['plain-flour', 245],
        ['baking-soda', 2.5],
        ['water', 200],
      ]),
    );
    expect(bare.thumb.state).toBe('ok');
    expect(bare.lift.state).toBe('low');
  });

  it('speak in parts, and see an equal-weight cake as one to one to one to one', () => {
    const p = assess(
      formula(
        [
          ['plain-flour', 200],
          ['butter', 200],
          ['egg', 200],
          ['caster-sugar', 200],
        ],
        { family: 'pound-cake' },
      ),
    ).parts;
    expect([p.flour, p.fat, p.egg, p.sugar]).toEqual([1, 1, 1, 1]);
  });
});

describe('changing amounts', () => {
  const ratio = (f: Formula): number[] => {
    const g = allItems(f).map((i) => i.grams);
    return g.map((x) => x / (g[0] ?? 1));
  };
  it('brings the batter to a total with its ratios kept, locked lines apart', () => {
    fc.assert(
      fc.property(anyDemo, fc.integer({ min: 200, max: 5000 }), (f, g) => {
        const to = applyChanges(f, toTotal(f, g));
        expect(Math.abs(assess(to).totals.batterG - g)).toBeLessThan(0.2);
        ratio(to).forEach((r, i) => expect(r).toBeCloseTo(ratio(f)[i] ?? 0, 1));
        const egg = allItems(f)[0];
        const locked = applyChanges(f, toTotal(f, g + (egg?.grams ?? 0), [egg?.id ?? '']));
        expect(allItems(locked)[0]?.grams).toBe(egg?.grams);
      }),
      { numRuns: 25 },
    );
    expect(
      toTotal(
        demo('rye-and-pear-loaf'),
        100,
        allItems(demo('rye-and-pear-loaf')).map((i) => i.id),
      ),
    ).toEqual([]);
  });

  it('keeps the total while one line grows, and every weight stays a weight', () => {
    fc.assert(
      fc.property(anyDemo, fc.nat(20), fc.double({ min: 0, max: 3000, noNaN: true }), (f, n, g) => {
        const items = allItems(f);
        const item = items[n % items.length];
        if (!item) return;
        const to = applyChanges(f, keepingTotal(f, { itemId: item.id, grams: g }));
        expect(assess(to).totals.batterG).toBeCloseTo(assess(f).totals.batterG, 0);
        expect(allItems(to).every((i) => i.grams >= 0)).toBeTrue();
      }),
      { numRuns: 60 },
    );
  });

  it('moves a formula on the map to where the point was let go', () => {
    for (const id of demoIds) {
      const f = demo(id);
      const t = assess(f).totals;
      if (t.sugarPct < 20 || t.fatPct < 20) continue;
      const to = applyChanges(f, moveTo(f, { sugar: t.sugarPct + 12, fat: t.fatPct - 6 }));
      expect(Math.abs(assess(to).totals.sugarPct - t.sugarPct - 12))
        .withContext(id)
        .toBeLessThan(0.6);
      expect(Math.abs(assess(to).totals.fatPct - t.fatPct + 6))
        .withContext(id)
        .toBeLessThan(0.6);
    }
    const f = demo('cardamom-yogurt-round');
    const butter = allItems(f).find((i) => i.ingredient === 'butter')?.id ?? '';
    expect(moveTo(f, { fat: 60 }, defaultKitchen, [butter])).toEqual([]);
  });

  it('says what a little more of a line would do, as a full weighing does', () => {
    for (const id of demoIds) {
      const g = demo(id);
      const before = assess(g).lift.mmolPer100gBase.typical;
      for (const item of allItems(g)) {
        const e = effectOf(g, item.id);
        if (!e) continue;
        const after = assess(applyChanges(g, [{ itemId: item.id, grams: item.grams + e.grams }]));
        expect(after.lift.mmolPer100gBase.typical - before).toBeCloseTo(e.lift, 6);
      }
    }
    const f = demo('cardamom-yogurt-round');
    const of = (ingredient: string) => effectOf(f, allItems(f).find((i) => i.ingredient === ingredient)?.id ?? '');
    expect(of('butter')?.tender).toBeGreaterThan(0);
    expect(of('plain-flour')?.tender).toBeLessThan(0);
    expect(of('yogurt')?.water).toBeGreaterThan(0);
    expect(of('baking-powder')?.lift).toBeGreaterThan(0);
    expect(effectOf(f, 'nobody')).toBeNull();
  });

  it('leaves locked lines out of its advice', () => {
    const f = demo('oat-and-rhubarb-muffins');
    const soda = allItems(f).find((i) => i.ingredient === 'baking-soda')?.id ?? '';
    expect(assess(f).advice.some((a) => a.changes.some((c) => c.itemId === soda))).toBeTrue();
    const kept = assess(f, defaultKitchen, { locked: [soda] }).advice;
    expect(kept.some((a) => a.changes.some((c) => c.itemId === soda))).toBeFalse();
  });
});

describe('two formulas side by side', () => {
  it('line up by ingredient and by share of flour, whatever the batch', () => {
    for (const id of demoIds) {
      const f = demo(id);
      const double = applyChanges(
        f,
        allItems(f).map((i) => ({ itemId: i.id, grams: i.grams * 2 })),
      );
      const both = beside(f, double);
      expect(both.words).withContext(id).toEqual([]);
      for (const r of both.rows)
        expect(r.b?.pct)
          .withContext(r.name)
          .toBeCloseTo(r.a?.pct ?? -1, 6);
    }
  });

  it('say what is different, and mirror when turned round', () => {
    const [a, b] = [demo('cardamom-yogurt-round'), demo('plum-and-almond-pound-cake')];
    const both = beside(a, b);
    expect(both.words).toContain('rises less');
    expect(both.words.at(-1)).toMatch(/^without /);
    const back = beside(b, a);
    expect(back.words).toContain('rises more');
    expect(back.rows.length).toBe(both.rows.length);
    const lift = both.figures.find((x) => x.id === 'lift');
    expect(lift?.a).toBeCloseTo(assess(a).lift.mmolPer100gBase.typical, 9);
    expect(back.figures.find((x) => x.id === 'lift')?.b).toBe(lift?.a);
  });
});
