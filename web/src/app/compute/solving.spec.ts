import { TestBed } from '@angular/core/testing';
import { allItems, assess, defaultKitchen, isConflict, type Conflict, type Formula, type Proposal } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import { filter, firstValueFrom, interval, toArray } from 'rxjs';
import type { Outcome } from './pool';
import { Solving } from './solving';

/** Far too much soda for its acid. */
const off: Formula = readRecipe(
  'Muffins\n250 g flour\n2 eggs\n120 g sugar\n80 g oil\n200 g yogurt\n8 g baking powder\n14 g baking soda\n3 g salt',
).formula;
const yogurt = allItems(off).find((i) => i.ingredient === 'yogurt')?.id ?? '';

describe('the solving worker', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: [Solving] }));

  const value = <T>(o: Outcome<T>): T => {
    if (!o.ok) throw new Error(o.words);
    return o.value;
  };
  const list = (x: Proposal[] | Conflict): Proposal[] => {
    if (isConflict(x)) throw new Error(x.words);
    return x;
  };

  it('gives the same proposals each time, weighed as the page weighs them', async () => {
    const solving = TestBed.inject(Solving);
    const ask = async (): Promise<Proposal[]> =>
      list(value(await firstValueFrom(solving.rebalance(off, {}, defaultKitchen))));
    const [a, b] = [await ask(), await ask()];
    expect(a).toEqual(b);
    expect(a.length).toBeGreaterThan(0);
    for (const p of a) expect(assess(p.formula).merit).toBeCloseTo(p.merit, 9);
  });

  it('lets the latest wish win and works on after one was given up', async () => {
    const solving = TestBed.inject(Solving);
    const first = firstValueFrom(solving.rebalance(off, {}, defaultKitchen).pipe(toArray()));
    const second = firstValueFrom(solving.adapt(off, 'eggless', defaultKitchen).pipe(toArray()));
    expect(await first).toEqual([]);
    const [out] = await second;
    expect(out && list(value(out)).every((p) => !allItems(p.formula).some((i) => i.ingredient === 'egg'))).toBeTrue();
    // given up in the middle of it: nothing comes, and the worker is free for the next
    let came = false;
    const given = solving.rebalance(off, {}, defaultKitchen).subscribe(() => (came = true));
    await new Promise((r) => setTimeout(r, 5));
    given.unsubscribe();
    const swap = value(await firstValueFrom(solving.substitute(off, yogurt, 'buttermilk', defaultKitchen)));
    expect(allItems(swap.formula).some((i) => i.ingredient === 'buttermilk')).toBeTrue();
    expect(came).toBeFalse();
  });

  it('tries the solver beforehand where there is time, and gives that up for a wish', async () => {
    const solving = TestBed.inject(Solving);
    const tried = (): PerformanceEntryList => performance.getEntriesByName('orvin warm');
    performance.clearMeasures('orvin warm');
    solving.warm();
    solving.warm();
    await firstValueFrom(interval(25).pipe(filter(() => tried().length > 0)));
    expect(tried().length).toBe(1);
    const fresh = TestBed.runInInjectionContext(() => new Solving());
    fresh.warm();
    expect((await firstValueFrom(fresh.rebalance(off, {}, defaultKitchen))).ok).toBeTrue();
    // once there was a wish there is nothing left to try
    const before = tried().length;
    fresh.warm();
    await firstValueFrom(fresh.rebalance(off, {}, defaultKitchen));
    expect(tried().length).toBe(before);
  });

  it('makes up formulas, and says in words what it cannot', async () => {
    const solving = TestBed.inject(Solving);
    solving.warm();
    const made = list(value(await firstValueFrom(solving.compose({ family: 'scone' }, defaultKitchen))));
    expect(made[0]?.formula.family).toBe('scone');
    const none = value(
      await firstValueFrom(solving.compose({ family: 'scone', flavours: ['moon-dust'] }, defaultKitchen)),
    );
    expect(isConflict(none) && none.words).toContain('moon-dust');
  });

  it('turns a programmer’s wrong call into words, and is there for the next', async () => {
    const solving = TestBed.inject(Solving);
    const wrong = await firstValueFrom(solving.substitute(off, 'nobody', 'milk', defaultKitchen));
    expect(wrong.ok).toBeFalse();
    const right = await firstValueFrom(solving.rebalance(off, {}, defaultKitchen));
    expect(right.ok).toBeTrue();
  });
});
