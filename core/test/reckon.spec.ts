import fc from 'fast-check';
import {
  defaultKitchen,
  predictBake,
  reckon,
  reckonKey,
  type BakeInput,
  type BakeRecord,
  type Kitchen,
  type Reckoned,
} from '../src/index.js';
import { meant } from '../src/log/doubts.js';
import { timeAt } from '../src/bake/reckon.js';

const tinOf = (shape: string): BakeInput['tin'] =>
  defaultKitchen.tins.find((t) => t.shape === shape) as BakeInput['tin'];
const loaf: BakeInput = { batterG: 1100, tin: tinOf('loaf'), family: 'quick-bread', ovenC: 175 };
const round: BakeInput = { batterG: 680, tin: tinOf('round'), family: 'butter-cake-lean', ovenC: 175 };
const of = (i: BakeInput, kitchen: Kitchen = defaultKitchen): Reckoned => reckon(i, kitchen) as Reckoned;

describe('what the model says of a logged bake', () => {
  it('is its own prediction, with nothing learned, whatever was known when it was asked', () => {
    const plain = predictBake(loaf, defaultKitchen).minutes.likely;
    expect(of(loaf).minutes).toBeCloseTo(plain, 9);
    const calibration = { speed: 1.4, biasC: 12, doneK: 2, sdLog: 0.1, timeSd: 0.08, used: 5, words: '', doubts: [] };
    expect(of({ ...loaf, calibration })).toEqual(of(loaf));
    const learned = { keys: ['bias:oven'], mean: [20], cov: [[1]], bakes: [9], noise: 0.06 };
    expect(of(loaf, { ...defaultKitchen, learned })).toEqual(of(loaf));
  });

  it('has slopes that foretell what the model does: hotter, quicker, later', () => {
    for (const input of [loaf, round]) {
      const r = of(input);
      const ln = (more: Partial<BakeInput>): number => Math.log(predictBake({ ...input, ...more }, defaultKitchen).minutes.likely / r.minutes); // prettier-ignore
      expect(r.perK).toBeLessThan(0);
      expect(r.perSpeed).toBeLessThan(0);
      expect(r.perDoneK).toBeGreaterThan(0);
      expect(Math.abs(ln({ ovenC: input.ovenC + 8 }) - 8 * r.perK)).toBeLessThan(0.02);
      expect(Math.abs(ln({ ovenC: input.ovenC - 8 }) + 8 * r.perK)).toBeLessThan(0.03);
      const by = (calibration: Partial<NonNullable<BakeInput['calibration']>>): number =>
        ln({ calibration: { speed: 1, sdLog: 0.1, timeSd: 0.1, used: 1, words: '', doubts: [], ...calibration } });
      expect(Math.abs(by({ speed: 1.1 }) - Math.log(1.1) * r.perSpeed)).toBeLessThan(0.02);
      expect(Math.abs(by({ doneK: 0.8 }) - 0.8 * r.perDoneK)).toBeLessThan(0.015);
    }
    // a layer follows the oven's heat more than a loaf does
    expect(of(round).perK).toBeLessThan(of(loaf).perK);
  });

  it('has a path that only rises, and gives the minute of any warmth on it', () => {
    const { path, doneC, minutes } = of(loaf);
    for (let i = 1; i < path.length; i++) {
      expect(path[i]?.[0]).toBeGreaterThan(path[i - 1]?.[0] ?? 0);
      expect(path[i]?.[1]).toBeGreaterThanOrEqual((path[i - 1]?.[1] ?? 0) - 0.2);
    }
    expect(Math.abs((timeAt(path, doneC) ?? 0) - minutes)).toBeLessThan(0.05 * minutes);
    fc.assert(
      fc.property(
        fc.double({ min: 72, max: doneC, noNaN: true }),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        (c, more) => {
          const [a, b] = [timeAt(path, c), timeAt(path, Math.min(doneC, c + more))];
          expect(b).toBeGreaterThanOrEqual(a ?? Infinity);
        },
      ),
    );
    expect(timeAt(path, 40)).toBeNull();
    expect(timeAt(path, 130)).toBeNull();
  });

  it('is nothing for a bake that would never be done', () => {
    expect(reckon({ ...loaf, ovenC: 60 }, defaultKitchen)).toBeNull();
  });

  it('is kept by all it depends on, and by nothing else', () => {
    const b: BakeRecord = {
      id: 'a', formulaId: 'f', versionId: null, title: 'Loaf', family: 'quick-bread', densityGPerMl: 1.05, rise: 1.6, at: 5,
      tin: { tin: loaf.tin, count: 1 }, batterG: 1100, ovenId: 'oven', ovenC: 175, fan: false, predicted: null, minutes: 60, outcome: 'good', notes: '',
    }; // prettier-ignore
    const key = (more: Partial<BakeRecord> = {}, kitchen: Kitchen = defaultKitchen): string => reckonKey({ ...b, ...more }, kitchen); // prettier-ignore
    for (const same of [{ id: 'z' }, { minutes: 12 }, { notes: 'x' }, { outcome: 'sunk' }, { at: 9 }, { title: 'T' }, { formulaId: 'g' }, { rack: 'top' }] as Partial<BakeRecord>[])
      expect(key(same)).withContext(JSON.stringify(same)).toBe(key()); // prettier-ignore
    for (const other of [{ batterG: 900 }, { ovenC: 180 }, { fan: true }, { rise: 1.7 }, { densityGPerMl: 1 }, { family: 'muffin' }, { hotTin: true }, { tin: { tin: round.tin, count: 1 } }] as Partial<BakeRecord>[])
      expect(key(other)).withContext(JSON.stringify(other)).not.toBe(key()); // prettier-ignore
    expect(key({}, { ...defaultKitchen, altitudeM: 1200 })).not.toBe(key());
    const hot = { ...defaultKitchen, ovens: [{ id: 'oven', name: 'O', litres: 60, fan: false, biasC: 8 }] };
    expect(key({}, hot)).not.toBe(key());
  });
});

describe('a time that was mistyped', () => {
  it('is guessed from what fingers do: swapped figures, one too many or too few, an hour more or less', () => {
    for (const [typed, expected, likely] of [
      [73, 38, 37], [370, 37, 37], [4, 38, 40], [98, 37, 38], [8, 66, 68], [1.1, 71, 70], [421, 43, 42],
    ] as const) expect(meant(typed, expected, 0.08)).withContext(`${typed} for ${expected}`).toBe(likely); // prettier-ignore
  });

  it('is not guessed when nothing comes near, and never as something that cannot be', () => {
    expect(meant(50, 37, 0.05)).toBeNull();
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 600, noNaN: true }),
        fc.double({ min: 5, max: 180, noNaN: true }),
        (typed, expected) => {
          const m = meant(Math.round(typed), expected, 0.08);
          if (m === null) return;
          expect(Number.isInteger(m)).toBeTrue();
          expect(Math.abs(Math.log(m / expected))).toBeLessThan(0.14);
        },
      ),
    );
  });
});
