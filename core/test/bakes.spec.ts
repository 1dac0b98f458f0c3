import { predictBake } from '../src/index.js';
import { DARK, PALE } from '../src/bake/browning.js';
import { errorOf, familyOfBake, isCut, mean, medianOf, othersBakes } from './support/bakes.js';
import { rms } from './support/heat.js';

describe('bakes of other authors, of which the fit saw none', () => {
  const test = othersBakes.filter((b) => b.half === 'test');
  const tinned = test.filter((b) => !isCut(b));
  const errors = tinned.map((b) => errorOf(b));

  it('are many, and of every shape', () => {
    expect(tinned.length).toBeGreaterThan(70);
    expect(new Set(test.map((b) => b.input.tin.shape)).size).toBeGreaterThanOrEqual(7);
  });

  it('come out within 13 % rms and 8 % in the median', () => {
    expect(rms(errors)).toBeLessThan(0.13);
    expect(medianOf(errors)).toBeLessThan(0.08);
    expect(Math.abs(mean(errors))).toBeLessThan(0.04);
  });

  it('have no shape that is early or late as a whole', () => {
    const by = new Map<string, number[]>();
    for (const b of othersBakes) by.set(b.input.tin.shape, [...(by.get(b.input.tin.shape) ?? []), errorOf(b)]);
    for (const [shape, list] of by)
      if (list.length >= 8)
        expect(Math.abs(mean(list)))
          .withContext(shape)
          .toBeLessThan(0.08);
  });

  it('meet their range about as often as it says', () => {
    const met = tinned.filter((b) => {
      const { early, late } = predictBake({ ...b.input, samples: 8 }).minutes;
      return early <= b.minutes[1] && late >= b.minutes[0];
    });
    expect(met.length / tinned.length).toBeGreaterThan(0.78);
    expect(met.length / tinned.length).toBeLessThan(0.93);
  });

  it('are golden or well browned on top, as their authors would have them; rich fruit is dark, and nothing else much', () => {
    const tops = othersBakes.map((b) => ({ family: familyOfBake(b), x: predictBake(b.input).browning.top }));
    const inOrder = tops.filter((t) => t.x >= 0.33 && t.x < DARK);
    expect(inOrder.length / tops.length).toBeGreaterThan(0.85);
    expect(tops.filter((t) => t.x < PALE).length / tops.length).toBeLessThan(0.03);
    const rich = tops.filter((t) => t.family === 'fruit-cake-rich');
    expect(rich.length).toBeGreaterThan(4);
    expect(rich.every((t) => t.x >= DARK)).toBeTrue();
    expect(tops.filter((t) => t.x >= DARK && !/^fruit-cake/.test(t.family)).length).toBe(0);
  });
});
