import { TestBed } from '@angular/core/testing';
import { KitchenDatabase } from './database';
import { MetaDoc } from './meta-doc';
import type { Store } from './store';
import { closeKitchen, openKitchen } from './testing/kitchen';
import { newId } from './ids';

interface List {
  readonly bakes: readonly { readonly id: string; readonly times: number }[];
  readonly basket: readonly string[];
}

describe('a record that is changed step by step', () => {
  let store: Store;
  let doc: MetaDoc<List>;
  const list = (...ids: string[]): List => ({ bakes: ids.map((id) => ({ id, times: 1 })), basket: [] });
  const shown = (): string => (doc.value()?.bakes ?? []).map((b) => b.id).join(' ');
  /** Adds one to what is shown at this moment, as a press does. */
  const press = (id: string): Promise<void> => doc.change(`add ${id}`, list(...shown().split(' ').filter(Boolean), id));
  const until = async (what: () => boolean): Promise<void> => {
    for (let i = 0; i < 400 && !what(); i++) {
      TestBed.tick();
      await new Promise((r) => setTimeout(r, 10));
    }
    expect(what()).withContext(shown()).toBeTrue();
  };

  beforeEach(async () => {
    store = await openKitchen();
    doc = TestBed.runInInjectionContext(() => new MetaDoc<List>(store, 'shopping', 'kitchen'));
  });
  afterEach(() => closeKitchen(store));

  it('loses no press, however soon one follows another or the end of its writing', async () => {
    await Promise.all([press('scones'), press('loaf')]);
    expect(shown()).toBe('scones loaf');
    // the writing is over, and the database may not have told of it
    await press('muffins');
    expect(shown()).toBe('scones loaf muffins');
    await until(() => shown() === 'scones loaf muffins');
    expect((await store.database.meta.get('shopping'))?.value).toEqual(list('scones', 'loaf', 'muffins'));
  });

  it('shows what undo leaves, down to nothing at all', async () => {
    await press('scones');
    await press('loaf');
    await until(() => shown() === 'scones loaf');
    await store.undo('kitchen');
    await until(() => shown() === 'scones');
    await store.undo('kitchen');
    await until(() => shown() === '');
  });

  it('belongs to its kitchen', async () => {
    const [mine, other] = [store.database.name, `test-${newId()}`];
    await press('scones');
    await store.open(other);
    await until(() => shown() === '');
    await press('loaf');
    expect((await store.database.meta.get('shopping'))?.value).toEqual(list('loaf'));
    await store.open(mine);
    await until(() => shown() === 'scones');
    await new KitchenDatabase(other).delete();
  });
});
