import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { Formula } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import { kinds } from '../data/kinds';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Desk } from '../desk/desk';
import { MissingPart } from './missing-part';

describe('a formula that is not there', () => {
  let store: Store;
  let desk: Desk;
  let fixture: ComponentFixture<MissingPart>;
  const f: Formula = { ...readRecipe('Scones\n300 g plain flour\n15 g baking powder').formula, id: 'scones' };
  const host = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const until = async (is: () => boolean): Promise<void> => {
    for (let i = 0; i < 400 && !is(); i++) {
      await new Promise((r) => setTimeout(r, 10));
      await fixture.whenStable();
    }
    expect(is())
      .withContext(host().textContent ?? '')
      .toBeTrue();
  };

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([])] });
    store = await openKitchen();
    desk = TestBed.inject(Desk);
    await store.change(kinds.formula, 'scones', 'read', null, { formula: f, plan: {} });
    fixture = TestBed.createComponent(MissingPart);
  });
  afterEach(async () => {
    fixture.destroy();
    await closeKitchen(store);
  });

  it('is said to be so, with the way to the Shelf', async () => {
    await desk.pickUp('nobody-baked-this');
    await fixture.whenStable();
    expect(desk.missing()).toBeTrue();
    expect(host().textContent).toContain('may have been taken away');
    expect(host().querySelector('button')).toBeNull();
    expect(host().querySelector('a')?.getAttribute('href')).toBe('/shelf');
  });

  it('is put back by one press when it lies in the bin', async () => {
    await desk.pickUp('scones');
    await store.change(kinds.formula, 'scones', 'away', { formula: f, plan: {} }, null);
    await until(() => desk.missing() && host().querySelector('button') !== null);
    expect(host().textContent).toContain('Scones was taken away and lies in the bin');
    host().querySelector('button')?.click();
    await until(() => !desk.missing());
    expect(desk.formula()).toEqual(f);
    expect(await store.database.bin.count()).toBe(0);
  });
});
