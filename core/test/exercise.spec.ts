import { assess, exercises, kitchenIn, kitchenPlace, sliceOf } from '../src/index.js';
import { demo, demoIds, demoKitchen } from './support/make.js';

const us = kitchenPlace('us');

describe('the exercises', () => {
  it('are twelve, each on a formula of the sample kitchen, with answers of which some are right and some wrong', () => {
    expect(exercises.length).toBe(12);
    expect(new Set(exercises.map((e) => e.id)).size).toBe(12);
    for (const e of exercises) {
      expect(demoIds).withContext(e.id).toContain(e.on);
      const t = e.of(demo(e.on), demoKitchen());
      const ids = t.choices.map((c) => c.id);
      expect(t.choices.length).withContext(e.id).toBeGreaterThan(2);
      expect(new Set(ids).size).withContext(e.id).toBe(ids.length);
      expect(new Set(t.choices.map((c) => c.words)).size)
        .withContext(e.id)
        .toBe(ids.length);
      expect(t.right.length).withContext(e.id).toBeGreaterThan(0);
      expect(t.right.length).withContext(e.id).toBeLessThan(ids.length);
      for (const r of t.right) expect(ids).withContext(e.id).toContain(r);
      expect(t.choices.every((c) => c.words.trim() !== ''))
        .withContext(e.id)
        .toBeTrue();
      expect(t.because).toMatch(/\.$/);
    }
  });

  it('what is to be found is what the core finds: the slip is among its suspects, and its slice differs', () => {
    for (const id of ['soda', 'powder', 'flour', 'dry']) {
      const e = exercises.find((x) => x.id === id);
      if (!e) throw new Error(id);
      const good = demo(e.on);
      const { formula, right } = e.of(good, demoKitchen());
      if (!formula) throw new Error(id);
      const a = assess(formula, demoKitchen());
      expect(a.plausible?.suspects.slice(0, 3).map((s) => s.itemId))
        .withContext(id)
        .toContain(right[0] ?? '');
      expect(sliceOf(formula, a, demoKitchen())?.words).withContext(id).not.toBe(sliceOf(good, assess(good, demoKitchen()), demoKitchen())?.words); // prettier-ignore
    }
  });

  it('speak in the kitchen’s units', () => {
    if (!us) throw new Error('us');
    const kitchen = kitchenIn(us, 'k', 'UTC');
    for (const e of exercises) {
      const t = e.of(demo(e.on), kitchen);
      for (const text of [t.ask, t.because, ...t.choices.map((c) => c.words)])
        expect(text)
          .withContext(e.id)
          .not.toMatch(/\d ?(?:g|ml|cm|mm|°C|m)\b/);
    }
  });
});
