import fc from 'fast-check';
import { readTin, tinWords, type Tin } from '../src/index.js';
import { ovenLine, readOvenLine } from '../src/recipe/cards.js';
import { readHeat, type HeatRead } from '../src/recipe/bake/course.js';

const read = (...lines: string[]): HeatRead => readHeat(lines.map((text, no) => ({ text, no, at: 0 })));
const said = (...lines: string[]): string => {
  const b = read(...lines).bake;
  if (!b) return 'nothing';
  const stages = (b.stages ?? []).slice(1).map((s) => `, ${s.ovenC} from ${s.fromMin}`);
  return `${b.ovenC}${b.fan ? ' fan' : ''}${b.minutes ? ` ${b.minutes.early}-${b.minutes.late}` : ''}${stages.join('')}`;
};

describe('heat and time in words', () => {
  it('are read in either scale, by gas mark, for a fan, and as people say them', () => {
    const cases: [string[], string][] = [
      [['Bake at 350°F (180°C) for 25-30 minutes.'], '180 25-30'],
      [
        ['Preheat the oven to 180C/160C fan/gas 4.', 'Bake for 45 min to 1 hour, then cool for 10 minutes.'],
        '180 45-60',
      ],
      [['Heat oven to 200C (fan).', 'Bake for about 1 hr 10 min until a pick comes out clean'], '200 fan 70-70'],
      [['Gas mark 4. Bake 1¼ hours'], '180 75-75'],
      [['Preheat oven to 425. Bake 15 to 18 minutes.'], '218 15-18'],
      [['Bake in a moderate oven (180 degrees) for an hour and a quarter'], '180 75-75'],
      [['cook for 1-1½ hours at 150 C'], '150 60-90'],
      [['fan oven 160: bake 40 min'], '160 fan 40-40'],
      [['Heat the oven to 160°C fan. Bake for 35 minutes, turning after 20 minutes.'], '160 fan 35-35'],
      [['Baking time: 50 minutes. Temperature: 175 °C'], '175 50-50'],
      [['bake at three hundred and fifty'], '177'],
      [['Chill for 30 minutes. Serves 12. Keeps 3 days.'], 'nothing'],
      [['hot oven 220 12-15 mins'], '220 12-15'],
    ];
    for (const [lines, want] of cases)
      expect(said(...lines))
        .withContext(lines.join(' | '))
        .toBe(want);
  });

  it('come in stages, which add up', () => {
    expect(said('Bake 20 min at 220, then 160 for 25.')).toBe('220 45-45, 160 from 20');
    expect(said('Bake at 220 °C for 10 minutes, reduce to 180 °C and bake 30-35 minutes more.')).toBe(
      '220 40-45, 180 from 10',
    );
    expect(said('Oven 230 °C. Bake for 15 minutes.', 'Turn down to 200 °C and bake for 25 minutes.')).toBe(
      '230 40-40, 200 from 15',
    );
  });

  it('that cannot be what they say are asked about', () => {
    expect(read('Bake at 350 °C for 20 minutes').doubt?.likely).toBe('F');
    expect(read('Bake at 180 °F for 20 minutes').doubt).not.toBeNull();
    expect(read('Bake at 180 °C (450 °F) for 20 minutes').doubt).not.toBeNull();
    expect(read('Bake at 180 °C (350 °F) for 20 minutes').doubt).toBeNull();
    expect(read('Bake at 250 for 20 minutes').doubt).not.toBeNull();
  });

  it('are marked where they stand', () => {
    const line = 'Then bake at 180 °C for 25-30 minutes in the middle.';
    const { marks } = read(line);
    expect(marks.map((m) => [m.what, line.slice(m.from, m.to)])).toEqual([
      ['heat', '180 °C'],
      ['time', '25-30 minutes'],
    ]);
  });

  it('mean the same in Celsius and Fahrenheit, before or after the time', () => {
    fc.assert(
      fc.property(fc.integer({ min: 140, max: 250 }), fc.integer({ min: 5, max: 120 }), (c, min) => {
        const f = Math.round((c * 9) / 5 + 32);
        const direct = read(`Bake at ${c} °C for ${min} minutes.`).bake;
        for (const other of [
          `Bake for ${min} minutes at ${c} °C.`,
          `Bake at ${f} °F for ${min} min.`,
          `Preheat the oven to ${f}°F. Bake ${min} minutes.`,
        ]) {
          const b = read(other).bake;
          expect(Math.abs((b?.ovenC ?? 0) - (direct?.ovenC ?? 0)))
            .withContext(other)
            .toBeLessThanOrEqual(1);
          expect(b?.minutes).withContext(other).toEqual({ early: min, late: min });
        }
      }),
      { numRuns: 200 },
    );
  });

  it('are written and read back on a card', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 260 }),
        fc.boolean(),
        fc.integer({ min: 1, max: 90 }),
        fc.integer({ min: 0, max: 40 }),
        (ovenC, fan, early, more) => {
          const bake = { ovenC, fan, minutes: { early, late: early + more } };
          expect(readOvenLine(ovenLine(bake))).toEqual(bake);
        },
      ),
    );
    expect(readOvenLine('Oven: hot')).toBeNull();
  });
});

describe('tins in words', () => {
  const of = (words: string): [string, number, number] => {
    const t = readTin(words);
    return [t?.tin.shape ?? 'none', Math.round(t?.tin.topMm ?? 0), t?.count ?? 0];
  };

  it('are pictured whatever stands around them', () => {
    const cases: [string, string, number, number][] = [
      ['Grease two 9-inch round cake pans.', 'round', 229, 2],
      ['Heat to gas 3 and line a 2lb loaf tin.', 'loaf', 222, 1],
      ['Grease & flour two 8x4 pans.', 'loaf', 195, 2],
      ['Line an 18cm deep square tin.', 'square', 180, 1],
      ['Line a 30 x 20cm traybake tin.', 'rect', 300, 1],
      ['a 12-hole muffin tin', 'cup', 70, 1],
      ['in a 24 cm tube pan', 'tube', 240, 1],
      ['Pat out 2.5 cm thick and stamp out with a 6 cm cutter.', 'slab', 60, 1],
      ['Shape into a round about 18 cm across on a floured tray', 'mound', 180, 1],
      ['Turn into a lined 20cm round tin.', 'round', 200, 1],
      ['Bake for 40 minutes.', 'none', 0, 0],
    ];
    for (const [words, shape, mm, count] of cases) {
      const [s, top, n] = of(words);
      expect([s, n]).withContext(words).toEqual([shape, count]);
      expect(Math.abs(top - mm))
        .withContext(`${words}: ${top}`)
        .toBeLessThanOrEqual(2);
    }
  });

  it('are the same in inches and in centimetres', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 14 }), fc.constantFrom('round', 'square'), (inch, shape) => {
        const a = of(`a ${inch} inch ${shape} tin`);
        const b = of(`a ${(inch * 2.54).toFixed(1)} cm ${shape} tin`);
        expect(a[0]).toBe(b[0]);
        expect(Math.abs(a[1] - b[1])).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('that were measured are written and read back to the last figure', () => {
    const tin: Tin = {
      id: 'old-ring',
      name: 'Ring, dented',
      shape: 'tube',
      topMm: 240.5,
      baseMm: 215,
      depthMm: 85,
      tubeMm: 70,
      capacityMl: 2450,
      tareG: 420,
      material: 'dark metal',
    };
    expect(readTin(`Bake it in: ${tinWords({ tin, count: 3 })}`)).toEqual({ tin, count: 3 });
  });
});
