import { fitTins, predictBake, bakeInputOf, defaultKitchen, type Section, type Tin, type TinFit } from '@orvin/core';
import { base } from '../ui/testing/muffins';
import { contour, frameAt, risenShape } from './isotherms';

describe('the section of a bake', () => {
  const formula = base;
  const fit = fitTins(formula, [{ tin: defaultKitchen.tins[1] as Tin, count: 1 }])[0] as TinFit;
  const bake = predictBake({ ...bakeInputOf(formula, fit, defaultKitchen), section: true });
  const section = bake.section as Section;

  it('begins even, warms from outside, and is done in the middle when it says so', () => {
    const start = frameAt(section, 0).frame;
    expect(Math.max(...start) - Math.min(...start)).toBeLessThan(1e-6);
    const done = frameAt(section, bake.minutes.likely * 60).frame;
    expect(Math.min(...done)).toBeCloseTo(bake.doneC, -1);
    const half = frameAt(section, bake.minutes.likely * 30).frame;
    expect(half[Math.floor(section.nz / 2) * section.nx]).toBeLessThan(half[section.nx - 1] ?? 0);
  });

  it('is as wide as the batter, rises, and domes in the middle', () => {
    const flat = risenShape(section, fit, 1);
    const risen = risenShape(section, fit, fit.rise);
    const edge = section.x.at(-1) ?? 0;
    expect(flat.xAt(section.nx)).toBeCloseTo(edge, 6);
    expect(flat.zAt(section.nz, 0)).toBeCloseTo(section.z.at(-1) ?? 0, 6);
    expect(risen.zAt(section.nz, 0)).toBeGreaterThan(risen.zAt(section.nz, edge));
    expect(risen.zAt(section.nz, edge)).toBeGreaterThan(flat.zAt(section.nz, edge));
  });

  it('has isotherms on both sides that lie inside it, and none for what is nowhere', () => {
    const { frame, risen } = frameAt(section, bake.minutes.likely * 40);
    const shape = risenShape(section, fit, risen);
    const lines = contour(section, frame, shape, 80);
    expect(lines.length).toBeGreaterThan(8);
    const edge = section.x.at(-1) ?? 0;
    for (const [[x, z]] of lines) {
      expect(Math.abs(x)).toBeLessThanOrEqual(edge + 1e-6);
      expect(z).toBeLessThanOrEqual(shape.zAt(section.nz, 0) + 1e-6);
    }
    expect(lines.filter(([[x]]) => x < 0).length).toBe(lines.filter(([[x]]) => x > 0).length);
    expect(contour(section, frame, shape, 400)).toEqual([]);
  });
});
