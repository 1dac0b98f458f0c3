import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { type Formula } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Card } from './card';

const recipe = (steps: number): Formula =>
  readRecipe(
    `Seeded loaf\n300 g wholemeal flour\n100 g rye flour\n8 g baking soda\n7 g salt\n420 g buttermilk\n40 g sunflower seeds\n\nMethod\n${Array.from({ length: steps }, (_, i) => `${i + 1}. Stir the flours, soda and salt together, then the buttermilk and the seeds, and wait a moment before going on.`).join('\n')}\n\nBake at 200 °C for 45 minutes in a 900 g loaf tin.`,
  ).formula;

describe('the card', () => {
  let store: Store;
  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([{ path: '**', children: [] }])] });
    store = await openKitchen();
  });
  afterEach(async () => {
    await store.settled();
    await closeKitchen(store);
  });

  for (const [steps, fits] of [
    [2, true],
    [14, true],
    [120, false],
  ] as const)
    it(`of ${steps} steps ${fits ? 'is set in type that fits the page' : 'says that it is too long'}`, async () => {
      const id = await store.shelve(recipe(steps), 'test');
      const fixture = TestBed.createComponent(Card);
      fixture.componentRef.setInput('id', id);
      document.body.append(fixture.nativeElement as HTMLElement);
      const host = fixture.nativeElement as HTMLElement;
      for (let i = 0; i < 60 && !/point type|does not fit/.test(host.textContent ?? ''); i++) {
        await new Promise((r) => setTimeout(r, 30));
        await fixture.whenStable();
      }
      await new Promise((r) => setTimeout(r, 120));
      await fixture.whenStable();
      const within = host.querySelector('.within') as HTMLElement;
      expect(within.scrollHeight <= within.clientHeight + 1).toBe(fits);
      expect(/does not fit/.test(host.textContent ?? '')).toBe(!fits);
      expect(host.querySelector('.foot')?.textContent).toContain('Contains');
      expect(host.querySelectorAll('table tr').length).toBe(6);
      fixture.destroy();
    });
});
