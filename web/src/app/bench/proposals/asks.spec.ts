import { presetOf, wishWords, defaultKitchen } from '@orvin/core';
import { base } from '../../ui/testing/muffins';
import { askOf, asks } from './asks';

describe('the presses to ask with', () => {
  const all = asks.flatMap((g) => g.asks.map((a) => ({ group: g.name, ...a })));

  it('are each a wish or a preset, found by its id, with a name that reads after its row’s', () => {
    expect(new Set(all.map((a) => a.id)).size).toBe(all.length);
    expect(new Set(all.map((a) => `${a.group} ${a.name}`)).size).toBe(all.length);
    for (const a of all) {
      expect(askOf(a.id)?.name).toBe(a.name);
      expect((a.wish === undefined) !== (a.preset === undefined))
        .withContext(a.id)
        .toBeTrue();
      expect(a.title.length).withContext(a.id).toBeGreaterThan(4);
      if (a.preset) expect(presetOf(a.preset)).withContext(a.id).toBeDefined();
      if (a.wish)
        expect(wishWords(a.wish({ lessPct: 25, batterG: 900 }), base, defaultKitchen).length)
          .withContext(a.id)
          .toBeGreaterThan(5);
    }
    expect(askOf('moonlight')).toBeUndefined();
  });

  it('stand apart from their row under a name that still makes sense', () => {
    expect(askOf('less-sugar')?.says).toBe('less sugar');
    expect(askOf('eggless')?.says).toBe('without egg');
    expect(askOf('moister')?.says).toBe('moister');
  });
});
