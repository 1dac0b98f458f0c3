import { TestBed } from '@angular/core/testing';
import { defaultKitchen, type Formula } from '@orvin/core';
import { computed } from '@angular/core';
import { Judgement } from './judgement';

const formula: Formula = {
  format: 'orvin.formula',
  version: 1,
  id: 'f',
  title: 'Scones',
  family: 'scone',
  source: defaultKitchen.measures,
  groups: [
    {
      id: 'g',
      name: 'Batter',
      role: 'batter',
      items: [['plain-flour', 250], ['butter', 60], ['milk', 150], ['baking-powder', 12]].map(([id, grams], n) => ({ id: `i${n}`, ingredient: String(id), words: String(id), entered: null, grams: Number(grams) })), // prettier-ignore
    },
  ],
  method: [],
};

describe('what formulas are judged with', () => {
  it('is fetched once it is asked for, and what was computed without it is computed again', async () => {
    TestBed.configureTestingModule({ providers: [{ provide: Judgement, useClass: Judgement }] });
    const judgement = TestBed.inject(Judgement);
    let times = 0;
    const assessment = computed(() => {
      times++;
      return judgement.assess(formula, defaultKitchen);
    });
    assessment();
    expect(judgement.ready()).toBeFalse();
    await judgement.load();
    expect(assessment().plausible?.against).toBeGreaterThan(600);
    expect(times).toBe(2);
    assessment();
    expect(times).toBe(2);
  });

  it('judges a formula once under the same kitchen and locks, and anew under others', async () => {
    TestBed.configureTestingModule({ providers: [{ provide: Judgement, useClass: Judgement }] });
    const judgement = TestBed.inject(Judgement);
    await judgement.load();
    const first = judgement.assess(formula, defaultKitchen, { locked: ['i0'] });
    expect(judgement.assess(formula, defaultKitchen, { locked: ['i0'] })).toBe(first);
    expect(judgement.assess(formula, defaultKitchen)).not.toBe(first);
    const high = { ...defaultKitchen, altitudeM: 2000 };
    expect(judgement.assess(formula, high).lift.target[1]).toBeLessThan(first.lift.target[1]);
    expect(judgement.assess({ ...formula }, high)).not.toBe(judgement.assess(formula, high));
  });
});
