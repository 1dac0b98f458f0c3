import { fitTins, bakeInputOf, type BakeInput } from '../src/index.js';
import { curvesOf } from '../src/bake/curves.js';
import { evenNormal } from '../src/bake/even.js';
import { PER_BAKE, plainCurve, type PlainBody } from '../src/bake/plain-body.js';
import { demo, demoKitchen } from './support/make.js';

const plate: PlainBody = { dimensions: 1, aroundC: 103, biot: 1e6, vapour: 0, startC: 20, skinC: 20, doneC: 95 };

/** A plate, cylinder or ball whose surface is held at one temperature: the first term of its series, from which its middle soon is not told apart. */
const series = { 1: [1.2732, 2.4674], 2: [1.6021, 5.7832], 3: [2, 9.8696] } as const;

describe('a body that only conducts', () => {
  it('warms as the series for a plate, a cylinder and a ball have it', () => {
    for (const dimensions of [1, 2, 3] as const) {
      const curve = plainCurve({ ...plate, dimensions });
      const [c1, root] = series[dimensions];
      const left = (c: number): number => (103 - c) / (103 - 20);
      // the time of the series until the middle is at 95 °C
      const end = Math.log(c1 / left(95)) / root;
      for (const u of [0.4, 0.6, 0.8])
        expect(left(curve?.centreC[u * PER_BAKE] ?? NaN)).withContext(`${dimensions} ${u}`).toBeCloseTo(c1 * Math.exp(-root * u * end), 1); // prettier-ignore
    }
  });

  it('starts at its start, is done at 1, never cools, and is never done where it cannot be', () => {
    for (const vapour of [0, 2])
      for (const biot of [1, 50]) {
        const c = plainCurve({ ...plate, aroundC: 150, biot, vapour });
        expect(c?.centreC[0]).toBe(20);
        expect(c?.centreC[PER_BAKE]).toBeCloseTo(95, 0);
        c?.centreC.slice(1).forEach((x, i) => expect(x).toBeGreaterThanOrEqual((c.centreC[i] as number) - 1e-9));
      }
    expect(plainCurve({ ...plate, aroundC: 90 })).toBeNull();
  });
});

describe('the curves that a crumb may draw', () => {
  const kitchen = demoKitchen();
  const inputOf = (id: string): BakeInput => {
    const f = demo(id);
    const fit = fitTins(f, f.tins ?? [], kitchen)[0];
    if (!fit) throw new Error(id);
    return bakeInputOf(f, fit, kitchen);
  };

  it('all run from the batter to done, and are together as likely as certain', () => {
    for (const id of ['oat-and-rhubarb-muffins', 'maize-and-chive-skillet-bread']) {
      const all = curvesOf(inputOf(id), kitchen);
      expect(all?.list.length).toBeGreaterThan(40);
      expect(all?.list.reduce((s, c) => s + Math.exp(-c.cost), 0)).toBeCloseTo(1, 6);
      for (const c of all?.list ?? []) {
        expect(c.centreC[0]).toBeCloseTo(all?.list[0]?.centreC[0] ?? NaN, 0);
        expect(Math.abs((c.centreC[PER_BAKE] as number) - (all?.list[0]?.centreC[PER_BAKE] as number))).toBeLessThan(2);
        expect(c.meanC[PER_BAKE / 2]).toBeGreaterThan(c.centreC[PER_BAKE / 2] as number);
      }
    }
  });

  it('take less time in a hotter oven and with faster heat', () => {
    const all = curvesOf(inputOf('buckwheat-cocoa-squares'), kitchen);
    expect(all?.perK).toBeLessThan(0);
    expect(all?.perSpeed).toBeLessThan(0);
    expect(all?.perSpeed).toBeGreaterThan(-1.2);
  });
});

describe('evenly spread normal points', () => {
  it('have the mean and width of a normal distribution in each dimension, and none is another', () => {
    for (const d of [0, 3, 7] as const) {
      const all = Array.from({ length: 200 }, (_, i) => evenNormal(i, d));
      const mean = all.reduce((a, b) => a + b, 0) / 200;
      expect(Math.abs(mean)).toBeLessThan(0.1);
      expect(Math.sqrt(all.reduce((a, b) => a + (b - mean) ** 2, 0) / 200)).toBeCloseTo(1, 0);
    }
    const apart = Array.from({ length: 200 }, (_, i) => evenNormal(i, 0) * evenNormal(i, 7)).reduce((a, b) => a + b, 0);
    expect(Math.abs(apart / 200)).toBeLessThan(0.15);
  });
});
