import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { Dexie } from 'dexie';
import { Kitchens } from '../data/kitchens';
import { kinds } from '../data/kinds';
import { Store } from '../data/store';
import { bakeOf, logged } from '../data/testing/kitchen';
import { OwnData } from './own-data';

describe('the baker’s own data', () => {
  let store: Store;
  let kitchens: Kitchens;
  let fixture: ComponentFixture<OwnData>;
  const host = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const words = (of: string): string[] => [...host().querySelectorAll(of)].map((e) => (e.textContent ?? '').replaceAll(/\s+/g, ' ').trim()); // prettier-ignore
  const until = async (is: () => boolean): Promise<void> => {
    for (let i = 0; i < 500 && !is(); i++) {
      await new Promise((r) => setTimeout(r, 10));
      await fixture.whenStable();
    }
    expect(is())
      .withContext(host().textContent ?? '')
      .toBeTrue();
  };
  const press = (label: RegExp): void => {
    const all = [...host().querySelectorAll('button')];
    const it = all.find((b) => label.test(b.getAttribute('aria-label') ?? b.textContent?.trim() ?? ''));
    expect(it).withContext(String(label)).toBeDefined();
    it?.click();
  };

  beforeEach(async () => {
    TestBed.inject(Store).close();
    await Promise.all(
      (await Dexie.getDatabaseNames()).filter((n) => n.startsWith('orvin')).map((n) => Dexie.delete(n)),
    );
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({ providers: [provideRouter([{ path: '**', children: [] }])] });
    [store, kitchens] = [TestBed.inject(Store), TestBed.inject(Kitchens)];
    await kitchens.startEmpty('Ours');
    fixture = TestBed.createComponent(OwnData);
    await fixture.whenStable();
  });
  afterEach(async () => {
    fixture.destroy();
    await store.settled();
    store.close();
  });

  it('tells bakes of one formula apart in the bin, and puts back the one that was pressed', async () => {
    const [day, other] = [Date.UTC(2026, 10, 3, 12), Date.UTC(2026, 10, 9, 12)];
    for (const [id, at, minutes] of [['a', day, 18], ['b', other, 21]] as const) {
      await logged(store, bakeOf(id, { at, minutes }));
      await store.change(kinds.bake, id, 'away', bakeOf(id, { at, minutes }), null);
    } // prettier-ignore
    await until(() => words('.bin li').length === 2);
    press(/^Put back Oat scones, bake of 9 Nov, 21 min$/);
    await until(() => words('.bin li').length === 1);
    expect((await store.database.bakes.toArray()).map((b) => b.id)).toEqual(['b']);
    press(/^Remove Oat scones, bake of 3 Nov, 18 min for good$/);
    await until(() => words('[role=alertdialog]').length === 1);
    expect(words('[role=alertdialog]')[0]).toContain('bake of 3 Nov');
    press(/^keep it$/);
    await fixture.whenStable();
    expect(await store.database.bin.count()).toBe(1);
    press(/^empty the bin…$/);
    await fixture.whenStable();
    press(/^remove it for good$/);
    await until(() => words('.bin li').length === 0);
    expect(await store.database.bin.count()).toBe(0);
  });

  it('says of kitchens that are called the same when each was begun, and which is open', async () => {
    expect(words('.own ul li')).toEqual(['Ours open']);
    await kitchens.startEmpty('Ours');
    await until(() => words('.own ul li').length === 2);
    const [one, two] = words('.own ul li');
    expect([one, two].filter((l) => /open, begun \d+ \w+, \d\d:\d\d$/.test(l ?? '')).length).toBe(1);
    expect([one, two].filter((l) => /^open Ours begun \d+ \w+, \d\d:\d\d$/.test(l ?? '')).length).toBe(1);
  });

  it('a kitchen that is cleared is in the bin; there is another, and it can be taken back or removed for good', async () => {
    const first = kitchens.current()?.db;
    press(/^clear this kitchen…$/);
    await fixture.whenStable();
    press(/^clear it$/);
    await until(() => words('.bin li').length === 1);
    expect(kitchens.current()?.db).not.toBe(first);
    press(/^Put back Ours$/);
    await until(() => kitchens.current()?.db === first);
    await until(() => words('.bin li').length === 0);
    expect(words('.own ul li').sort()).toEqual(['Ours open', 'open My kitchen']);
  });
});
