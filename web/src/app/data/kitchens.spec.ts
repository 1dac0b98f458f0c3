import { TestBed } from '@angular/core/testing';
import { Dexie } from 'dexie';
import { firstValueFrom } from 'rxjs';
import { Backup } from './backup';
import { Kitchens } from './kitchens';
import { Store } from './store';

describe('the kitchens on a device', () => {
  let kitchens: Kitchens;
  let store: Store;

  beforeEach(async () => {
    TestBed.inject(Store).close();
    await Promise.all(
      (await Dexie.getDatabaseNames()).filter((n) => n.startsWith('orvin')).map((n) => Dexie.delete(n)),
    );
    TestBed.resetTestingModule();
    kitchens = TestBed.inject(Kitchens);
    store = TestBed.inject(Store);
  });
  afterEach(() => store.close());

  it('begin with the sample, its dates moved to today', async () => {
    await kitchens.start();
    expect(kitchens.current()?.demo).toBeTrue();
    const bakes = await firstValueFrom(store.bakes$);
    expect(bakes.length).toBe(10);
    const newest = bakes[0]?.at ?? 0;
    expect(Date.now() - newest).toBeGreaterThan(0);
    expect(Date.now() - newest).toBeLessThan(4 * 86_400_000);
    expect((await firstValueFrom(store.working$)).length).toBe(14);
  });

  it('never mix, and open again where they were left', async () => {
    await kitchens.start();
    const sample = kitchens.current()?.id ?? '';
    await kitchens.startEmpty('Ours');
    expect((await firstValueFrom(store.working$)).length).toBe(0);
    await kitchens.switchTo(sample);
    expect((await firstValueFrom(store.working$)).length).toBe(14);
    expect(
      kitchens
        .all()
        .map((k) => k.name)
        .sort(),
    ).toEqual(['Hollin Lane', 'Ours']);
  });

  it('come back whole from their file, into a database of their own', async () => {
    await kitchens.start();
    const file = await TestBed.inject(Backup).whole();
    const before = kitchens.current()?.db;
    await kitchens.restore(JSON.parse(JSON.stringify(file)) as typeof file);
    expect(kitchens.current()?.db).not.toBe(before);
    const again = await TestBed.inject(Backup).whole();
    const sorted = (x: typeof file): unknown => ({
      ...x,
      exportedAt: 0,
      formulas: [...x.formulas].sort((a, b) => a.formula.id.localeCompare(b.formula.id)),
      bakes: [...x.bakes].sort((a, b) => a.id.localeCompare(b.id)),
    });
    expect(sorted(again)).toEqual(sorted(file));
  });

  it('leave nothing open to nobody when the last one goes', async () => {
    await kitchens.startEmpty('Only');
    await kitchens.remove(kitchens.current()?.id ?? '');
    expect(kitchens.current()?.name).toBe('My kitchen');
    expect(kitchens.all().length).toBe(1);
  });
});
