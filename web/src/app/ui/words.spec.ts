import { defaultKitchen, type Tin } from '@orvin/core';
import { bakeWords, capital, tinWords } from './words';

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
