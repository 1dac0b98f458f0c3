import { defaultKitchen, type Tin } from '@orvin/core';
import { readDegrees } from './reads';
import { bakeWords, capital, degrees, dialWords, ovenScale, tinWords } from './words';

const tin = (name: string): Tin => ({ ...(defaultKitchen.tins[0] as Tin), name });

describe('words for tins and heat', () => {
  it('count tins as people do', () => {
    expect(tinWords({ tin: tin('18 cm round'), count: 1 })).toBe('18 cm round');
    expect(tinWords({ tin: tin('18 cm round'), count: 2 })).toBe('two 18 cm rounds');
    expect(tinWords({ tin: tin('Glass loaf'), count: 3 })).toBe('three Glass loaves');
    expect(tinWords({ tin: tin('Free-form round, 18 cm'), count: 2 })).toBe('2 × Free-form round, 18 cm');
  });

  it('say heat and time in one breath', () => {
    expect(bakeWords({ ovenC: 176.7, fan: false })).toBe('177 °C');
    expect(bakeWords({ ovenC: 160, fan: true, minutes: { early: 36.2, late: 41.8 } })).toBe('160 °C fan, 36–42 min');
    expect(bakeWords({ ovenC: 160, fan: false, minutes: { early: 40, late: 40 } })).toBe('160 °C, 40 min');
    expect(capital('two rounds')).toBe('Two rounds');
  });
});

describe('degrees', () => {
  afterEach(() => ovenScale.set('C'));
  it('are shown and read in the kitchen’s own scale, and any scale that is said wins', () => {
    expect([degrees(180), dialWords({ ovenC: 160, fan: true })]).toEqual(['180 °C', '160 °C fan']);
    expect(readDegrees('180')).toEqual({ ovenC: 180, fan: false });
    ovenScale.set('F');
    expect([degrees(176.7, true), degrees(95)]).toEqual(['350 °F', '203 °F']);
    expect(readDegrees('350')).toEqual({ ovenC: 177, fan: false });
    expect(readDegrees('160 °C fan')).toEqual({ ovenC: 160, fan: true });
    expect(readDegrees('325 fan')).toEqual({ ovenC: 163, fan: true });
    expect(readDegrees('hot')).toBeNull();
  });
  it('that are shown are read back as the same heat', () => {
    for (const scale of ['C', 'F'] as const) {
      ovenScale.set(scale);
      for (let c = 120; c <= 250; c += 10)
        expect(Math.abs((readDegrees(degrees(c))?.ovenC ?? 0) - c))
          .withContext(`${c} ${scale}`)
          .toBeLessThanOrEqual(1);
    }
  });
});
