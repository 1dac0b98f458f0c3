import { applyChanges, assess, type Formula, type SuspectRole } from '../src/index.js';
import { formula } from './support/make.js';

const cake: [string, number][] = [
  ['plain-flour', 250],
  ['caster-sugar', 200],
  ['butter', 120],
  ['egg', 150],
  ['milk', 150],
  ['baking-powder', 8],
  ['salt', 3],
];
const bent = (id: string, grams: number): Formula =>
  formula(
    cake.map(([i, g]): [string, number] => [i, i === id ? grams : g]),
    { family: 'butter-cake-lean' },
  );
const best = (f: Formula) => assess(f).advice[0];

describe('advice', () => {
  it('has nothing to say about a balanced formula', () => {
    expect(assess(bent('salt', 3)).advice).toEqual([]);
  });

  const faults: [what: string, ingredient: string, grams: number, role: SuspectRole, said: RegExp][] = [
    ['no powder to speak of', 'baking-powder', 0.2, 'leavener', /^More baking powder, .* it will rise as it should/],
    ['too much powder', 'baking-powder', 26, 'leavener', /^Less baking powder, .* it will not rise and fall back/],
    ['too much butter', 'butter', 360, 'fat', /^Less butter, .* less greasy/],
    ['hardly any sugar', 'caster-sugar', 25, 'sugar', /^More caster sugar, .* moister/],
    ['too much milk', 'milk', 520, 'liquid', /^Less whole milk, .* sets through the middle/],
    ['hardly any egg', 'egg', 5, 'egg', /^More egg, .* hold it up/],
    ['too much salt', 'salt', 22, 'salt', /^Less fine salt, .* not salty/],
  ];
  for (const [what, ingredient, grams, role, said] of faults)
    it(`mends ${what} and leaves the rest alone`, () => {
      const f = bent(ingredient, grams);
      const before = assess(f);
      expect(before.plausible?.suspects[0]?.role).toBe(role);
      const advice = best(f);
      expect(advice?.words).toMatch(said);
      const after = assess(applyChanges(f, advice?.changes ?? []));
      expect(after.verdicts.every((v) => v.severity === 'note')).toBeTrue();
      expect(after.plausible?.typical).toBeGreaterThan(before.plausible?.typical ?? 1);
      expect(advice?.changes.length).toBe(1);
    });

  it('names the line but is not loud where good bakers differ as much', () => {
    for (const [ingredient, grams] of [
      ['egg', 120],
      ['milk', 170],
      ['butter', 150],
      ['baking-powder', 11],
    ] as const) {
      const f = bent(ingredient, grams);
      expect(assess(f).advice).withContext(ingredient).toEqual([]);
      expect(assess(f).plausible?.suspects[0]?.sure).withContext(ingredient).toBe('hint');
    }
  });

  it('speaks in amounts that can be measured: eighths of a teaspoon, grams, five grams', () => {
    const powder = best(bent('baking-powder', 26))?.changes[0]?.grams ?? 0;
    const eighth = (5 * 0.91) / 8;
    expect(Math.abs(powder / eighth - Math.round(powder / eighth))).toBeLessThan(0.02);
    expect((best(bent('butter', 360))?.changes[0]?.grams ?? 1) % 5).toBe(0);
  });

  it('puts powder where soda stands in its place', () => {
    const f = formula(
      [
        ['plain-flour', 250],
        ['white-sugar', 150],
        ['egg', 100],
        ['neutral-oil', 90],
        ['milk', 220],
        ['baking-soda', 8],
        ['baking-powder', 1],
      ],
      { family: 'muffin' },
    );
    const a = assess(f);
    expect(a.verdicts.find((v) => v.id === 'ledger')?.severity).toBe('unusual');
    expect(a.advice[0]?.words).toMatch(/^Baking powder, .* tsp, instead of baking soda: no soda is left/);
    const after = assess(a.advice[0]?.formula ?? f);
    expect(after.ledger.leftSodaGPer100gBatter.typical).toBeLessThan(0.1);
    expect(after.lift.mmolPer100gBase.typical).toBeGreaterThan(8);
  });

  it('brings in what is missing, in a measure that can be had', () => {
    const f = formula(cake.filter(([i]) => i !== 'egg'), { family: 'butter-cake-lean' }); // prettier-ignore
    const [first] = assess(f).advice;
    expect(first?.words).toMatch(/^Add egg, .* eggs?: more to hold it up/);
    expect(assess(first?.formula ?? f).verdicts.every((v) => v.severity === 'note')).toBeTrue();
    expect(assess(f, undefined, { locked: ['i0'] }).advice.length).toBe(1);
  });
});
