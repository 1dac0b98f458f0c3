import fc from 'fast-check';
import {
  bakeInputOf,
  calibrate,
  defaultKitchen,
  fitTins,
  knownFrom,
  predictBake,
  teaching,
  type BakeInput,
  type BakeRecord,
  type Kitchen,
  type Outcome,
} from '../src/index.js';
import { demo, demoIds, demoKitchen } from './support/make.js';

const tin = defaultKitchen.tins[0] as BakeInput['tin'];
const input: BakeInput = {
  batterG: 700,
  tin,
  family: 'butter-cake-lean',
  ovenC: 175,
  densityGPerMl: 0.9,
  rise: 1.8,
  ovenId: 'oven',
};
const bake = (more: Partial<BakeRecord>): BakeRecord => ({
  id: 'b',
  formulaId: 'f',
  versionId: null,
  title: 'Cake',
  family: 'butter-cake-lean',
  densityGPerMl: 0.9,
  rise: 1.8,
  at: 1,
  tin: { tin, count: 1 },
  batterG: 700,
  ovenId: 'oven',
  ovenC: 175,
  fan: false,
  predicted: null,
  minutes: 32,
  outcome: 'good',
  notes: '',
  ...more,
});
const likely = (calibration: BakeInput['calibration'], kitchen: Kitchen = defaultKitchen): number =>
  predictBake({ ...input, ...(calibration && { calibration }) }, kitchen).minutes.likely;

describe('what the log teaches', () => {
  it('is nothing, when a bake of any formula took just as long as was predicted', () => {
    const kitchen = demoKitchen();
    for (const id of demoIds) {
      const f = demo(id);
      const use = f.tins?.[0];
      const fit = use && fitTins(f, [use], kitchen)[0];
      if (!fit) continue;
      const asked = bakeInputOf(f, fit, kitchen);
      const asPredicted = bake({
        family: f.family,
        tin: { tin: fit.tin, count: fit.count },
        batterG: asked.batterG,
        ovenId: kitchen.ovens[0]?.id ?? '',
        ovenC: asked.ovenC,
        fan: asked.fan ?? false,
        densityGPerMl: asked.densityGPerMl,
        rise: asked.rise,
        ...(asked.composition && { composition: asked.composition }),
        ...(asked.stages && { stages: asked.stages }),
        ...(asked.hotTin && { hotTin: asked.hotTin }),
        minutes: predictBake(asked, kitchen).minutes.likely,
      });
      const learned = calibrate(knownFrom([asPredicted]), kitchen);
      expect(learned.doubts).withContext(id).toEqual([]);
      expect(Math.abs(Math.log(learned.speed)))
        .withContext(id)
        .toBeLessThan(0.03);
    }
  });

  it('takes the newest eight of this oven that came out, whatever order they stand in', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            at: fc.nat(1000),
            ovenId: fc.constantFrom('oven', 'other'),
            outcome: fc.constantFrom<Outcome>('good', 'under', 'over', 'dry'),
            excluded: fc.boolean(),
          }),
          { maxLength: 30 },
        ),
        (list) => {
          const bakes = list.map((x, i) => bake({ ...x, id: `b${i}` }));
          const taught = teaching(bakes, 'oven');
          expect(taught.length).toBeLessThanOrEqual(8);
          expect(
            taught.every((b) => b.ovenId === 'oven' && !b.excluded && b.outcome !== 'under' && b.outcome !== 'over'),
          ).toBeTrue();
          const times = taught.map((b) => b.at);
          expect(times).toEqual([...times].sort((a, b) => b - a));
          expect(teaching([...bakes].reverse(), 'oven').map((b) => b.at)).toEqual(times);
        },
      ),
    );
  });

  it('moves a prediction towards what happened, a little with one bake and most of the way with six', () => {
    const free = likely(undefined);
    const real = free * 0.88;
    const after = (n: number): number =>
      likely(
        calibrate(knownFrom(Array.from({ length: n }, (_, i) => bake({ id: `b${i}`, minutes: real }))), defaultKitchen),
      );
    const [one, six] = [after(1), after(6)];
    expect(one).toBeLessThan(free);
    expect(six).toBeLessThan(one);
    expect(Math.abs(six / real - 1)).toBeLessThan(0.03);
  });

  it('holds for other tins and formulas in the same oven', () => {
    const hot: Kitchen = {
      ...defaultKitchen,
      ovens: [{ id: 'oven', name: 'Oven', litres: 60, fan: false, biasC: 14 }],
    };
    const loaf = defaultKitchen.tins.find((t) => t.shape === 'loaf') as BakeInput['tin'];
    const other: BakeInput = { batterG: 1000, tin: loaf, family: 'quick-bread', ovenC: 175, ovenId: 'oven' };
    const truth = (x: BakeInput): number => predictBake(x, hot).minutes.likely;
    const known = calibrate(
      knownFrom(Array.from({ length: 5 }, (_, i) => bake({ id: `b${i}`, minutes: truth(input) }))),
      defaultKitchen,
    );
    const before = Math.abs(Math.log(predictBake(other, defaultKitchen).minutes.likely / truth(other)));
    const after = Math.abs(
      Math.log(predictBake({ ...other, calibration: known }, defaultKitchen).minutes.likely / truth(other)),
    );
    expect(after).toBeLessThan(before);
  });

  it('lets one wild time move it less than its own band', () => {
    const steady = Array.from({ length: 6 }, (_, i) => bake({ id: `b${i}`, minutes: likely(undefined) }));
    const calm = calibrate(knownFrom(steady), defaultKitchen);
    const shaken = calibrate(knownFrom([...steady, bake({ id: 'wild', minutes: 9 })]), defaultKitchen);
    expect(shaken.doubts.length).toBe(1);
    expect(Math.abs(Math.log(likely(shaken) / likely(calm)))).toBeLessThan(calm.timeSd);
  });

  it('narrows the range with each bake, never below what a new tin leaves open', () => {
    const sd = [0, 1, 2, 4, 8].map(
      (n) => calibrate(knownFrom(Array.from({ length: n }, (_, i) => bake({ id: `b${i}` }))), defaultKitchen).timeSd,
    );
    for (let i = 1; i < sd.length; i++) expect(sd[i]).toBeLessThan(sd[i - 1] ?? 0);
    expect(sd.at(-1)).toBeGreaterThan(0.05);
  });
});
