import { capacityOf, commonTins, tinProblems, tinRegions, typicalTareG, predictBake, familyOf } from '../src/index.js';
import { demoKitchen } from './support/make.js';

describe('common tins', () => {
  it('are a hundred and more of four regions, each with an id of its own, and none with anything wrong', () => {
    expect(commonTins.length).toBeGreaterThanOrEqual(100);
    expect(new Set(commonTins.map((c) => c.id)).size).toBe(commonTins.length);
    for (const region of tinRegions) expect(commonTins.filter((c) => c.region === region).length).toBeGreaterThan(18);
    for (const { tin } of commonTins) expect(tinProblems(tin)).withContext(tin.name).toEqual([]);
    // what no water has measured is not called measured
    for (const { tin } of commonTins) expect(tin.capacityMl).withContext(tin.name).toBeUndefined();
    expect(
      Math.abs(
        capacityOf((commonTins.find((c) => /12-cup fluted/.test(c.tin.name)) as (typeof commonTins)[0]).tin) - 2840,
      ),
    ).toBeLessThan(20);
  });

  it('weigh what walls weigh: near what the sample kitchen’s own read on a scale', () => {
    const own = demoKitchen().tins.filter((t) => t.tareG !== undefined);
    expect(own.length).toBeGreaterThan(6);
    for (const t of own) {
      const ratio = typicalTareG(t) / (t.tareG ?? 1);
      expect(ratio).withContext(t.name).toBeGreaterThan(0.6);
      expect(ratio).withContext(t.name).toBeLessThan(1.75);
    }
    for (const { tin } of commonTins) expect(typicalTareG(tin)).withContext(tin.name).toBeGreaterThan(18);
  });

  it('bake: every one of them half full is done in a time that a baker would believe', () => {
    const family = familyOf('butter-cake-lean');
    for (const { tin } of commonTins) {
      const batterG = 0.5 * capacityOf(tin) * ((family.density[0] + family.density[1]) / 2);
      const p = predictBake({ tin, batterG, family: family.id, ovenC: 175, startC: 21 });
      expect(p.minutes.likely).withContext(tin.name).toBeGreaterThan(7);
      expect(p.minutes.likely).withContext(tin.name).toBeLessThan(130);
    }
  });
});
