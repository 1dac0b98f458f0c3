import { applyChanges, assess, type Formula } from '../src/index.js';
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

  const faults: [what: string, ingredient: string, grams: number, said: RegExp][] = [
    ['too little powder', 'baking-powder', 2, /^More baking powder, .* it will rise as it should/],
    ['too much powder', 'baking-powder', 26, /^Less baking powder, .* it will not dome and crack/],
    ['too much butter', 'butter', 320, /^Less butter, .* less greasy/],
    ['too little sugar', 'caster-sugar', 70, /^More caster sugar/],
    ['too much milk', 'milk', 420, /^Less whole milk, .* sets through the middle/],
    ['too little egg', 'egg', 40, /^More egg/],
    ['too much salt', 'salt', 14, /^Less fine salt, .* not salty/],
  ];
  for (const [what, ingredient, grams, said] of faults)
    it(`mends ${what} and leaves the rest alone`, () => {
      const f = bent(ingredient, grams);
      const advice = best(f);
      expect(advice?.words).toMatch(said);
      const after = applyChanges(f, advice?.changes ?? []);
      expect(assess(after).merit).toBeLessThan(assess(f).merit);
      expect(advice?.changes.length).toBe(1);
    });

  it('speaks in amounts that can be measured: eighths of a teaspoon, grams, five grams', () => {
    const powder = best(bent('baking-powder', 2))?.changes[0]?.grams ?? 0;
    const eighth = (5 * 0.91) / 8;
    expect(Math.abs(powder / eighth - Math.round(powder / eighth))).toBeLessThan(0.02);
    expect((best(bent('butter', 320))?.changes[0]?.grams ?? 1) % 5).toBe(0);
  });

  it('moves soda to its acid, and lets powder take over the lift', () => {
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
    expect(a.verdicts.find((v) => v.id === 'ledger')?.severity).toBe('faulty');
    const after = assess(applyChanges(f, a.advice[0]?.changes ?? []));
    expect(after.ledger.state).not.toBe('excess soda');
    expect(after.lift.state).toBe('ok');
  });
});
