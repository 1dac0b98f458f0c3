import { TestBed } from '@angular/core/testing';
import { defaultKitchen, type Formula } from '@orvin/core';
import { computed } from '@angular/core';
import { Judgement } from './judgement';

describe('what formulas are judged with', () => {
  it('is fetched once it is asked for, and what was computed without it is computed again', async () => {
    TestBed.configureTestingModule({ providers: [{ provide: Judgement, useClass: Judgement }] });
    const judgement = TestBed.inject(Judgement);
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
});
