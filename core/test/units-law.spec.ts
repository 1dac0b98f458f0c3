import fc from 'fast-check';
import {
  capacityIn,
  heightIn,
  isConflict,
  kitchenIn,
  kitchenPlaces,
  lengthIn,
  likelyTins,
  massIn,
  readCapacity,
  readDial,
  readHeight,
  readLength,
  readMass,
  readRecipe,
  readTemperature,
  rebalance,
  type Kitchen,
} from '../src/index.js';
import { dialIn, degreesIn, GAS_C } from '../src/quantity/degrees.js';
import { told } from '../src/quantity/figures.js';
import { unseenFormulas } from './support/cures.js';
import { demo, demoIds } from './support/make.js';
import { sentencesOf, stringsOf, type Sentence } from './support/sentences.js';

const kitchenOf = (id: string): Kitchen => {
  const place = kitchenPlaces.find((p) => p.id === id);
  if (!place) throw new Error(id);
  return kitchenIn(place, 'law', 'UTC', { tins: likelyTins(place.tins).map((t) => t.tin) });
};
const [us, uk, india] = [kitchenOf('us'), kitchenOf('uk'), kitchenOf('in')];

const figure = '(?<![\\p{L}\\d.,])\\d+(?:[.,]\\d+)? ?';
const grams = new RegExp(`${figure}(?:kg|g|ml)(?![\\p{L}\\d/²³]| per g)`, 'u');
const celsius = new RegExp(`${figure}°C`, 'u');
const centimetres = new RegExp(`${figure}(?:cm|mm)(?![\\p{L}\\d²³])`, 'u');
const ounces = /[\d¼-¾⅐-⅞] (?:oz|lbs?)\b/;
const fahrenheit = /\d ?°F/;
const inches = /[\d¼-¾⅐-⅞] (?:in(?! (?:baker|a|an|the|all|each|its|one|\d))|ft|inch(?:es)?)\b/;

/** Sentences with a figure that the kitchen does not know, but those of the baker's own words. */
const foreign = (list: readonly Sentence[], own: string, ...units: readonly RegExp[]): string[] =>
  list.flatMap((s) => {
    const m = units.map((u) => u.exec(s.text)).find((x) => x !== null);
    // an equation of chemistry keeps the units of chemistry
    return m && !own.includes(m[0]) && !/\b(?:mmol|meq|mg|n R T)\b/.test(s.text) ? [`${s.from}: ${s.text}`] : [];
  });

describe('every unit everywhere', () => {
  const formulas = [...demoIds.map(demo), ...unseenFormulas().slice(0, 6)];
  for (const [kitchen, name, ...units] of [
    [us, 'an American kitchen', grams, celsius, centimetres],
    [uk, 'a British kitchen', ounces, fahrenheit, inches],
    [india, 'an Indian kitchen', ounces, fahrenheit, centimetres],
  ] as const)
    it(`no sentence of the core has a unit that ${name} does not know`, () => {
      for (const f of formulas) {
        const own = JSON.stringify([f.method, f.groups, f.title, f.notes]);
        const said = sentencesOf(f, kitchen);
        expect(said.length).toBeGreaterThan(100);
        expect(foreign(said, own, ...units)).toEqual([]);
      }
    });

  it('nor does a proposal, whatever is wished for', async () => {
    const f = demo('cardamom-yogurt-round');
    const own = JSON.stringify([f.method, f.groups]);
    for (const wishes of [[{ kind: 'change', of: 'sugar', byPct: -30 }], [{ kind: 'batter', grams: 700 }]] as const) {
      const found = await rebalance(f, { wishes }, us);
      const said = isConflict(found)
        ? stringsOf('conflict', found)
        : found.flatMap((p) => stringsOf('proposal', { words: p.words, lines: p.lines }));
      expect(foreign(said, own, grams, celsius, centimetres)).toEqual([]);
    }
  });

  it('a recipe in other units is asked about, and its tins named, in the kitchen’s', () => {
    const text = `Plum cake\n\n1 cup (300 g) plain flour\n3 kg sugar\n200 g butter\n4 eggs\n2 tsp baking powder\n\nBake at 180 °C for 50 minutes in a 20 cm round tin.`;
    const read = readRecipe(text, us);
    const quoted = /“[^”]*”|"[^"]*"/g;
    const said = read.doubts.flatMap((d) => [d.words, ...d.choices.map((c) => c.words)]).map((t) => ({ from: 'doubt', text: t.replace(quoted, '') })); // prettier-ignore
    expect(said.length).toBeGreaterThan(0);
    expect(foreign(said, '', grams, celsius, centimetres)).toEqual([]);
    expect(read.formula.tins?.[0]?.tin.name).toBe('8 in round');
    expect(readRecipe(text, uk).formula.tins?.[0]?.tin.name).toBe('20 cm round');
  });

  it('whether Celsius or Fahrenheit is meant is asked in both', () => {
    const [doubt] = readRecipe('Cake\n200 g flour\n100 g sugar\n2 eggs\n1 tsp baking powder\n\nBake at 250 for 40 minutes.', us).doubts.filter((d) => d.id === 'heat'); // prettier-ignore
    const words = doubt?.choices.map((c) => c.words).join(' ') ?? '°C °F';
    expect(words).toContain('°C');
    expect(words).toContain('°F');
  });
});

describe('a sentence told in a kitchen’s units', () => {
  it('is left alone by a kitchen of grams, centimetres and °C, and told once however often it is asked', () => {
    const part = fc.constantFrom('240 g', '40–60 g', '1.5 kg', '33 × 23 cm', '8 mm', '45 °C', '20–22 °C', '300 ml', 'in all,', '“200 g”', '¼ tsp', '0.2 g in 100 g batter'); // prettier-ignore
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 5 }), (parts) => {
        const text = parts.join(' of it ');
        expect(told(uk, text)).toBe(text);
        const once = told(us, text);
        expect(told(us, once)).toBe(once);
        expect(once.includes('“200 g”')).toBe(text.includes('“200 g”'));
      }),
      { numRuns: 200 },
    );
  });

  it('keeps what it says', () => {
    expect(told(us, 'about 40–60 g in a 23 × 13 cm tin at 180 °C')).toBe(
      'about 1.4–2.1 oz in a 9 × 5 in tin at 356 °F',
    );
    expect(told(us, '1.3 g of soda to 100 g of flour')).toBe('1.3 parts of soda to 100 of flour');
    expect(told(india, '40 g, 25 mm thick, at 45 °C')).toBe('40 g, 1 in thick, at 45 °C');
    expect(told(us, '240 → 1200 g')).toBe('8.5 → 2 lb 10½ oz');
  });
});

describe('what is shown can be typed', () => {
  const d = us.display;
  const near = (a: number | null, b: number, within: number): void => {
    expect(a).not.toBeNull();
    expect(Math.abs((a ?? NaN) - b)).toBeLessThanOrEqual(within);
  };
  it('weights, lengths, heights, capacities and heats are read back as they are shown', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 5000, noNaN: true }), (x) => {
        for (const k of [us, uk]) {
          near(readMass(massIn(k.display, x), k.display), x, k === uk ? 0.51 : x < 450 ? 1.5 : x < 4500 ? 7.2 : 23);
          near(readLength(lengthIn(k.display, x), k.display), x, k === us ? 6.4 : 2.6);
          near(readHeight(heightIn(k.display, x), k.display), x, 0.51);
          near(readTemperature(degreesIn(k.display.temperature, x), k.display), x, 0.51);
        }
        near(readCapacity(capacityIn(us, 20 + x), us), 20 + x, 0.02 * x + 60);
      }),
      { numRuns: 300 },
    );
  });

  it('a bare number is in the kitchen’s unit; any other unit may be said', () => {
    near(readMass('8', d), 226.8, 0.01);
    near(readMass('8', uk.display), 8, 0);
    near(readMass('1 lb 4 oz', uk.display), 567, 0.1);
    near(readMass('2 pounds', uk.display), 907.2, 0.1);
    near(readMass('½ kg', d), 500, 0);
    near(readLength('9', d), 228.6, 0.01);
    near(readLength('1 1/2"', uk.display), 38.1, 0.01);
    near(readLength('23', uk.display), 230, 0);
    near(readHeight('5280 ft', uk.display), 1609.3, 0.1);
    near(readCapacity('2 pints', { ...uk, measures: { ...uk.measures, cupMl: 284 } }), 1136.5, 0.1);
    near(readCapacity('2 pints', us), 946.4, 0.1);
    near(readCapacity('1 katori', india), 150, 0);
    for (const bad of ['', 'some', '3 apples', '12 gg', '9 in cm']) expect(readMass(bad, d)).toBeNull();
    for (const bad of ['', '9 g', 'wide']) expect(readLength(bad, d)).toBeNull();
  });

  it('a gas mark is shown and read as the heat that it stands for', () => {
    for (const [mark, c] of Object.entries(GAS_C))
      expect(readDial(dialIn('gas', c), 'gas')?.ovenC)
        .withContext(mark)
        .toBe(c);
    expect(readDial('gas 4', 'C')?.ovenC).toBe(180);
    expect(readDial('4', 'gas')?.ovenC).toBe(180);
    expect(readDial('4', 'C')).toBeNull();
    expect(readDial('350 F', 'gas')?.ovenC).toBe(177);
  });
});
