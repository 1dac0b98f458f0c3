import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import {
  addLine,
  allItems,
  applyChanges,
  assess,
  explain,
  families,
  plausible,
  defaultKitchen,
  readRecipe,
  settle,
  usualRanges,
  write,
  type Formula,
  type Plausibility,
  type Suspect,
} from '../src/index.js';
import { cluesOf } from '../src/plausible/clues.js';
import { expectedOf } from '../src/plausible/expect.js';
import { fitMeasures, fitTelling } from '../src/plausible/fit.js';
import { ordinaryFormulas } from '../src/plausible/data.js';
import { batterOf, readOrdinary, saidOfOrdinary, type Ordinary } from '../src/plausible/formulas.js';
import { groundOf, onlyKin } from '../src/plausible/ground.js';
import { judge, type Judged } from '../src/plausible/judge.js';
import { linesOf } from '../src/leavening/parts.js';
import { oddEnough, theModel, type Model } from '../src/plausible/model.js';
import { pack, unpack } from '../src/plausible/packed.js';
import { planted, slips } from '../src/plausible/slips.js';
import { roles, sumsOf } from '../src/plausible/sums.js';
import { tell } from '../src/plausible/tell.js';
import { figures, fromLog, measures, toLog, viewOfLines } from '../src/plausible/view.js';
import { demo, demoIds, formula } from './support/make.js';
import { runs } from './support/runs.js';

/** Formulas that nothing was fitted to; see docs/science/plausibility.md. */
const unseen = readOrdinary(readFileSync(new URL('./corpus/ordinary-test.txt', import.meta.url), 'utf8'), true);

const asFormula = (o: Ordinary, lines = batterOf(o)): Formula =>
  formula(
    lines.map((l) => [l.ingredient.id, l.grams] as const),
    { title: o.kind, family: o.families[0] ?? 'free' },
  );
const loud = (p: Plausibility): readonly Suspect[] => p.suspects.filter((s) => s.sure !== 'hint');
const share = <T>(of: readonly T[], test: (x: T) => boolean): number => of.filter(test).length / of.length;

describe('the ordinary formulas', () => {
  it('are of every family and of many countries, each with its flour or nuts, and none twice', () => {
    const all = ordinaryFormulas();
    expect(new Set(all.map((f) => f.families[0])).size).toBe(families.length);
    expect(new Set(all.map((f) => f.country)).size).toBeGreaterThan(40);
    expect(all.every((f) => viewOfLines(batterOf(f), saidOfOrdinary(f)) !== null)).toBeTrue();
    const what = (f: Ordinary): string => JSON.stringify(f.lines);
    expect(new Set(all.map(what)).size).toBe(all.length);
    expect(unseen.filter((f) => all.some((g) => what(g) === what(f)))).toEqual([]);
  });

  it('say where a line of theirs does not read', () => {
    expect(() => readOrdinary('scone | UK | plain | rub-in | plain-flour lots', true)).toThrowError(/plain-flour lots/);
    expect(() => readOrdinary('scone | UK | plain', true)).toThrowError(/Not a formula/);
  });
});

describe('what was fitted', () => {
  it('follows from the formulas as they are now: else `npm run fit` is to be run again', () => {
    const { ground, fitted } = theModel() as Model;
    const again = fitMeasures(ground, ['flour']).flour;
    expect(fitted.flour.mean).toBeCloseTo(again.mean, 9);
    const most = Math.max(...again.alpha.map(Math.abs));
    again.alpha.forEach((a, i) => expect(Math.abs(a - (fitted.flour.alpha[i] ?? 0))).toBeLessThan(2e-4 * most));
  });

  it('gives each formula its own error when it is left out', () => {
    const few = ordinaryFormulas().filter((_, i) => i % 23 === 0);
    const views = few
      .map((f) => viewOfLines(batterOf(f), saidOfOrdinary(f)))
      .filter((v) => v !== null)
      .map((v) => ({ ...v, words: [] }));
    const ids = few.map((f) => f.families[0] ?? 'free');
    const all = fitMeasures(groundOf(views, ids), ['sugar']).sugar;
    // a model on the same scales, without the first: what it expects of it misses by as much
    const ground = groundOf(views, ids);
    const n = views.length;
    const rest = {
      ...ground,
      n: n - 1,
      family: ground.family.slice(1),
      is: { ...ground.is, sugar: ground.is.sugar.slice(1) },
    };
    const cut = (r: typeof ground.traits) => ({ d: r.d, at: r.at.slice(r.d), squares: r.squares.slice(1) });
    const without = {
      ...rest,
      titles: { ...ground.titles, known: ground.titles.known.slice(1), words: ground.titles.words.slice(1) },
      traits: cut(ground.traits),
      from: { ...ground.from, sugar: { ...ground.from.sugar, rows: cut(ground.from.sugar.rows) } },
    };
    const fitted = fitMeasures(without, ['sugar']).sugar;
    const zero = { ...fitted, alpha: new Float64Array(n - 1), misses: new Float64Array(n - 1) };
    const others = Object.fromEntries(measures.map((m) => [m, m === 'sugar' ? fitted : zero])) as Parameters<
      typeof expectedOf
    >[3];
    const grounds = Object.fromEntries(
      Object.entries(ground.from).map(([c, { rows, scale }]) => [c, { rows: cut(rows), scale }]),
    ) as typeof ground.from;
    const e = expectedOf(
      views[0] as (typeof views)[0],
      onlyKin(ids[0] ?? 'free'),
      { ...without, from: grounds },
      others,
    ).sugar;
    // both models take off their own mean, which a single formula hardly moves
    expect(Math.abs(Math.abs(e.is - e.mean) - (all.misses[0] ?? 0))).toBeLessThan(0.12);
  });

  it('tells classes apart that clues tell apart, and leaves a clue without meaning at nothing', () => {
    const examples = Array.from({ length: 300 }, (_, i) => {
      const slip = i % 3;
      return { clues: Float64Array.of(slip === 1 ? 2 : 0, slip === 2 ? 2 : 0, ((i * 7) % 11) / 11), slip, weight: 1 };
    });
    const telling = fitTelling(examples, 3, 0.1, 60);
    const best = (clues: Float64Array): number => {
      const odds = tell(clues, telling).slips;
      return Math.max(...odds) > 0 ? 1 + odds.indexOf(Math.max(...odds)) : 0;
    };
    expect(share(examples, (e) => best(e.clues) === e.slip)).toBe(1);
    // the third clue's weights for none and for each of the two
    for (const w of telling.rows.slice(9)) expect(Math.abs(w)).toBeLessThan(0.2);
  });

  it('is kept to a part in thirty thousand of the largest', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -50, max: 50, noNaN: true }), { minLength: 1, maxLength: 40 }), (x) => {
        const back = unpack(pack(x), x.length);
        const most = Math.max(...x.map(Math.abs));
        x.forEach((v, i) => expect(Math.abs(v - (back[i] ?? 0))).toBeLessThanOrEqual(most / 60000 + 1e-12));
      }),
      { numRuns: runs(200) },
    );
    expect(oddEnough(99, [5, 2, 0, -3])).toBe(0);
    expect(oddEnough(1, [5, 2, 0, -3])).toBeCloseTo(0.5, 9);
    expect(oddEnough(-9, [5, 2, 0, -3])).toBe(1);
  });
});

describe('a formula against the ordinary ones', () => {
  it('on formulas it has not seen: few are alarmed, gross slips are found, and the line is named', () => {
    const ordinary = unseen.map((o) => plausible(asFormula(o)));
    expect(share(ordinary, (p) => loud(p).length > 0)).toBeLessThanOrEqual(0.1);
    const slipped = unseen
      .filter((o) => o.families[0] !== 'free')
      .flatMap((o, n) =>
        slips
          .filter((s) => s.often > 2)
          .filter((_, k) => (k + n) % 2 === 0)
          .flatMap((slip) => {
            const lines = planted(batterOf(o), slip);
            return lines ? [{ slip, p: plausible(asFormula(o, [...lines])) }] : [];
          }),
      );
    expect(slipped.length).toBeGreaterThan(200);
    expect(share(slipped, ({ p }) => loud(p).length > 0)).toBeGreaterThan(0.8);
    expect(share(slipped, ({ p, slip }) => p.suspects[0]?.role === slip.role)).toBeGreaterThan(0.85);
    expect(share(slipped, ({ p, slip }) => p.suspects.slice(0, 3).some((s) => s.role === slip.role))).toBeGreaterThan(
      0.94,
    );
  });

  it('is judged the same in any size', () => {
    fc.assert(
      fc.property(fc.constantFrom(...unseen), fc.double({ min: 0.2, max: 8, noNaN: true }), (o, k) => {
        const one = plausible(asFormula(o));
        const many = plausible(
          asFormula(
            o,
            batterOf(o).map((l) => ({ ...l, grams: l.grams * k })),
          ),
        );
        expect(many.typical).toBeCloseTo(one.typical, 6);
        expect(many.suspects[0]?.role).toBe(one.suspects[0]?.role);
      }),
      { numRuns: runs(100) },
    );
  });

  it('is judged as before once a slip is undone, and after it is written and read', () => {
    for (const id of demoIds) {
      const f = demo(id);
      const item = allItems(f)[0];
      const twice = applyChanges(f, [{ itemId: item?.id ?? '', grams: 2 * (item?.grams ?? 0) }]);
      const back = applyChanges(twice, [{ itemId: item?.id ?? '', grams: item?.grams ?? 0 }]);
      const verdicts = (x: Formula): unknown => assess(x).verdicts.map((v) => [v.id, v.state, v.severity]);
      expect(verdicts(back)).withContext(id).toEqual(verdicts(f));
      expect(verdicts(readRecipe(write(f, 'json')).formula))
        .withContext(id)
        .toEqual(verdicts(f));
    }
  });

  it('is total, and asks for flour where there is nothing to judge by', () => {
    const empty = plausible(formula([]));
    expect([empty.typical, empty.suspects.length]).toEqual([0, 0]);
    const none = plausible(formula([['egg', 100], ['white-sugar', 100]])); // prettier-ignore
    expect([none.suspects[0]?.role, none.suspects[0]?.slip]).toEqual(['flour', 'missing']);
    expect(assess(formula([['egg', 100]])).plausible).toBeNull();
    const lone = plausible(formula([['plain-flour', 250]]));
    expect(loud(lone).length).toBeGreaterThan(0);
    for (const s of lone.suspects) expect(Number.isFinite(s.likelyG) && Number.isFinite(s.gain)).toBeTrue();
  });
});

describe('the one line that may be wrong', () => {
  const muffins: [string, number][] = [
    ['plain-flour', 250],
    ['caster-sugar', 130],
    ['baking-powder', 10],
    ['salt', 2],
    ['egg', 100],
    ['milk', 200],
    ['butter', 90],
  ];
  const without = (id: string): Formula =>
    formula(
      muffins.filter(([i]) => i !== id),
      { title: 'Muffins' },
    );
  const withGrams = (id: string, grams: number): Formula =>
    formula(
      muffins.map(([i, g]): [string, number] => [i, i === id ? grams : g]),
      { title: 'Muffins' },
    );

  it('is none in an ordinary formula, which still says where to look first', () => {
    const p = plausible(formula(muffins, { title: 'Muffins' }));
    expect(loud(p)).toEqual([]);
    expect(p.suspects.length).toBeGreaterThan(0);
    expect(p.suspects[0]?.words).toMatch(/^If something is off/);
    expect(p.words).toMatch(/rdinary for a muffin/);
  });

  for (const [id, role, grams] of [
    ['egg', 'egg', [40, 180]],
    ['caster-sugar', 'sugar', [60, 240]],
    ['baking-powder', 'leavener', [5, 20]],
    ['butter', 'fat', [40, 180]],
  ] as const)
    it(`is what is missing: ${id}, with about how much, and once it is there all is well`, () => {
      const f = without(id);
      const s = plausible(f).suspects[0];
      expect([s?.role, s?.slip, s?.itemId]).toEqual([role, 'missing', undefined]);
      expect(s?.sure).not.toBe('hint');
      expect(s?.likelyG).toBeGreaterThan(grams[0]);
      expect(s?.likelyG).toBeLessThan(grams[1]);
      const mended = addLine(f, `${Math.round(s?.likelyG ?? 0)} g ${s?.likely?.replace(/-/g, ' ')}`);
      expect(mended && loud(plausible(mended.formula))).toEqual([]);
    });

  it('is powder that was written as soda, and soda three times', () => {
    const soda = formula(
      muffins.map(([i, g]): [string, number] => [i === 'baking-powder' ? 'baking-soda' : i, g]),
      {
        title: 'Muffins',
      },
    );
    const s = plausible(soda).suspects[0];
    expect([s?.role, s?.slip, s?.likely, s?.sure]).toEqual(['leavener', 'name', 'baking-powder', 'plain']);
    expect(s?.words).toMatch(/^Baking soda stands where baking powder is likely/);
    const thrice = plausible(withGrams('baking-powder', 30)).suspects[0];
    expect([thrice?.slip, Math.round(thrice?.factor ?? 0)]).toEqual(['times', 3]);
    expect(thrice?.likelyG).toBeCloseTo(10, 6);
  });

  it('is what soda without acid was meant to be: sour milk for sweet or water, powder, tartar; each lifts, and none where it is not missed', () => {
    const bread = (liquid: string, title = 'Soda bread', more: [string, number][] = []): Formula =>
      formula([['plain-flour', 450], ['baking-soda', 5], ['salt', 6], [liquid, 360], ...more], { title, family: 'soda-bread' }); // prettier-ignore
    const named = (f: Formula): string[] =>
      plausible(f)
        .suspects.filter((s) => s.acid)
        .map((s) => s.likely ?? '');
    expect(loud(plausible(bread('buttermilk')))).toEqual([]);
    for (const liquid of ['milk', 'water']) {
      const f = bread(liquid);
      expect(named(f)[0]).withContext(liquid).toBe('buttermilk');
      const [first] = plausible(f).suspects;
      expect(allItems(f).find((i) => i.id === first?.itemId)?.ingredient).toBe(liquid);
      const a = assess(f);
      expect(a.verdicts.find((v) => v.id === 'ledger')?.suspect?.likely).toBe('buttermilk');
      // one press: as sour as it was meant, risen as its like do, and nothing left to name
      for (const { formula: cured } of a.advice) {
        const then = assess(cured ?? f);
        expect(then.lift.mmolPer100gBase.typical).toBeGreaterThan(1.3 * a.lift.mmolPer100gBase.typical);
        expect(loud(plausible(cured ?? f))).toEqual([]);
        expect(then.merit).toBeLessThan(a.merit);
      }
    }
    expect(assess(bread('water')).advice[0]?.words).toMatch(/^Buttermilk.*it brings milk/);
    expect(assess(bread('milk')).advice[0]?.words).not.toMatch(/brings/);
    expect(named(bread('soy-drink', 'Vegan soda bread'))).not.toContain('buttermilk');
    expect(named(bread('milk', 'Soda bread', [['cream-of-tartar', 10]]))).toEqual([]);
    // dates and spice hide it, and many are made so
    expect(named(bread('water', 'Date loaf', [['dates', 250], ['butter', 60], ['light-brown-sugar', 150]]))).toEqual([]); // prettier-ignore
  });

  it('knows a line that stands twice, and a spoon of another size', () => {
    const f = formula([...muffins, ['butter', 90]], { title: 'Muffins' });
    const s = plausible(f).suspects.find((x) => x.role === 'fat');
    expect(s?.slip).toBe('twice');
    const spoons = formula(muffins, { title: 'Muffins' });
    const three = {
      ...spoons,
      groups: spoons.groups.map((g) => ({
        ...g,
        items: g.items.map((i) =>
          i.ingredient === 'baking-powder' ? { ...i, grams: 30, entered: { value: 2, unit: 'tbsp' } } : i,
        ),
      })),
    };
    expect(plausible(three).suspects[0]?.slip).toBe('unit');
    expect(plausible(three).suspects[0]?.words).toMatch(/A tablespoon for a teaspoon\?$/);
    // ounces of a list in grams, and grams of one in ounces: eight of flour, five hundred of sugar
    const of = (ingredient: string, value: number, unit: string): Suspect | undefined => {
      const grams = unit === 'oz' ? value * 28.35 : value;
      const groups = spoons.groups.map((g) => ({ ...g, items: g.items.map((i) => (i.ingredient === ingredient ? { ...i, grams, entered: { value, unit } } : i)) })); // prettier-ignore
      return plausible({ ...spoons, groups }).suspects[0];
    };
    const flour = of('plain-flour', 9, 'g');
    expect([flour?.slip, flour?.role, Math.round(flour?.likelyG ?? 0)]).toEqual(['unit', 'flour', 255]);
    const sugar = of('caster-sugar', 130, 'oz');
    expect([sugar?.slip, Math.round(sugar?.likelyG ?? 0)]).toEqual(['unit', 130]);
    // half a teaspoon of salt in a cake is tasted by nobody: neither a verdict nor a hint asks for less
    const bland = plausible({ ...spoons, title: 'Madeira cake', family: 'pound-cake' }).suspects.filter((s) => s.role === 'salt'); // prettier-ignore
    expect(bland.filter((s) => s.sure !== 'hint' || /usual/.test(s.words))).toEqual([]);
    // what is like nothing known is never called ordinary, however far out it is
    for (const grams of [8, 2, 25000]) {
      const groups = spoons.groups.map((g) => ({ ...g, items: g.items.map((i) => (i.ingredient === 'plain-flour' ? { ...i, grams } : i)) })); // prettier-ignore
      const p = plausible({ ...spoons, groups });
      expect(p.typical).withContext(`${grams} g flour`).toBeLessThan(0.03);
      // all else is a trace beside 25 kg of it
      if (grams < 100) expect(p.suspects[0]?.role).withContext(`${grams} g flour`).toBe('flour');
      expect(p.suspects[0]?.sure).not.toBe('hint');
    }
  });

  it('brings nothing of milk into what has none, and as many spoons of the other leavener', () => {
    const lean: [string, number][] = [
      ['plain-flour', 250],
      ['caster-sugar', 150],
      ['egg', 100],
      ['orange-juice', 150],
      ['baking-powder', 9],
    ];
    const fat = plausible(formula(lean, { family: 'oil-cake', title: 'Orange cake' })).suspects[0];
    expect([fat?.role, fat?.slip, fat?.likely]).toEqual(['fat', 'missing', 'neutral-oil']);
    const spooned = formula(
      muffins.map(([i, g]): [string, number] => [i === 'baking-powder' ? 'baking-soda' : i, g]),
      {
        title: 'Muffins',
      },
    );
    const asSpoons = {
      ...spooned,
      groups: spooned.groups.map((g) => ({
        ...g,
        items: g.items.map((i) => (i.ingredient === 'baking-soda' ? { ...i, entered: { value: 2, unit: 'tsp' } } : i)),
      })),
    };
    const [weighed, measured] = [plausible(spooned).suspects[0], plausible(asSpoons).suspects[0]];
    expect(weighed?.likelyG).toBe(10);
    expect(measured?.likelyG).toBeCloseTo((10 * 0.91) / 1.03, 0);
  });

  it('is judged by what the gas does where the air is thin', () => {
    const high = { ...defaultKitchen, altitudeM: 2400 };
    const less = withGrams('baking-powder', 7);
    const gas = (k: typeof high): number => {
      const { is, mean, spread } = (
        judge(linesOf(less, k), 'muffin', { title: 'Muffins', working: null, cooking: null }, k) as Judged
      ).expected.gas;
      return (is - mean) / spread;
    };
    expect(gas(high)).toBeGreaterThan(gas(defaultKitchen) + 0.5);
  });

  it('comes in with its amount when the reader is told so', () => {
    const text = `Muffins\n\n${muffins
      .filter(([i]) => i !== 'egg')
      .map(([i, g]) => `${g} g ${i.replace(/-/g, ' ')}`)
      .join('\n')}\n\nMix. Bake in a muffin tin at 200 C for 20 minutes.`;
    const draft = readRecipe(text);
    const doubt = draft.doubts.find((d) => d.id === 'without-egg');
    expect(doubt?.choices[0]?.words).toMatch(/^add \d+ eggs? \(\d+ g\)$/);
    const done = settle(draft, 'without-egg', 'fits').formula;
    const egg = allItems(done).find((i) => i.ingredient === 'egg');
    expect(egg?.grams).toBeGreaterThan(40);
    expect(egg?.entered?.value).toBe(egg?.grams);
    expect(loud(plausible(done))).toEqual([]);
  });

  it('believes a title that says what it is without', () => {
    const egg = (title: string): Plausibility => plausible({ ...without('egg'), title });
    expect(egg('Eggless muffins').typical).toBeGreaterThan(2 * egg('Muffins').typical);
  });

  it('is in the verdicts with figure and span, on the bars, and can be explained', () => {
    const f = withGrams('butter', 300);
    const a = assess(f);
    const fat = a.verdicts.find((v) => v.id === 'fat');
    expect([fat?.severity !== 'note', fat?.state, fat?.suspect?.role]).toEqual([true, 'high', 'fat']);
    expect(fat?.figure?.value).toBeGreaterThan(fat?.band?.[1] ?? Infinity);
    const bar = usualRanges(f).find((u) => u.itemId === fat?.suspect?.itemId);
    expect(bar?.high).toBeLessThan(300);
    const why = explain(f, 'plausible');
    expect(why.words).toContain(fat?.words ?? '?');
    expect(why.inputs.some((i) => i.name === 'fat' && i.value > 1)).toBeTrue();
    expect(explain(f, 'fat').band?.high).toBeCloseTo(a.plausible?.spans.fat.high ?? 0, 6);
  });

  it('moves with what it is made of: each slip changes its own measure and no other role’s', () => {
    const lines = batterOf(unseen[30] as Ordinary);
    const before = figures(sumsOf(lines));
    for (const role of ['fat', 'sugar', 'egg'] as const) {
      const slip = slips.find((s) => s.role === role && s.factor === 2);
      const after = figures(sumsOf((slip && planted(lines, slip)) ?? []));
      for (const m of ['fat', 'sugar', 'egg'] as const)
        if (m === role)
          expect(after[m])
            .withContext(role)
            .toBeGreaterThan(1.5 * before[m]);
        else
          expect(Math.abs(after[m] - before[m]))
            .withContext(`${role} ${m}`)
            .toBeLessThan(2);
    }
    for (const m of measures) expect(fromLog(m, toLog(m, before[m]))).toBeCloseTo(before[m], 6);
  });

  it('is one role of seven, each with the odds of its slips together', () => {
    const { ground, fitted, telling } = theModel() as Model;
    const view = viewOfLines(batterOf(unseen[3] as Ordinary), { title: '', working: null, cooking: null });
    const told = view && tell(cluesOf(expectedOf(view, onlyKin('biscuit'), ground, fitted)), telling);
    expect(told?.slips.length).toBe(slips.length);
    const all = roles.reduce((s, r) => s + Math.exp(told?.roles[r] ?? 0), 0);
    expect(Math.log(all)).toBeCloseTo(told?.any ?? 0, 6);
  });
});
