import { TestBed } from '@angular/core/testing';
import { KitchenDatabase } from './database';
import { kinds } from './kinds';
import { LiveDocument } from './live-document';
import { Notices } from './notices';
import type { ShoppingDoc } from './records';
import type { Store } from './store';
import { closeKitchen, openKitchen } from './testing/kitchen';
import { newId } from './ids';

describe('a record that is changed step by step', () => {
  let store: Store;
  let doc: LiveDocument<ShoppingDoc>;
  const list = (...ids: string[]): ShoppingDoc => ({ bakes: ids.map((id) => ({ id, times: 1 })), basket: [] });
  const shown = (): string => (doc.value()?.bakes ?? []).map((b) => b.id).join(' ');
  /** Adds one to what is shown at this moment, as a press does. */
  const press = (id: string): Promise<boolean> =>
    doc.change(`add ${id}`, list(...shown().split(' ').filter(Boolean), id));
  const until = async (what: () => boolean): Promise<void> => {
    for (let i = 0; i < 400 && !what(); i++) {
      TestBed.tick();
      await new Promise((r) => setTimeout(r, 10));
    }
    expect(what()).withContext(shown()).toBeTrue();
  };

  beforeEach(async () => {
    store = await openKitchen();
    doc = TestBed.runInInjectionContext(() => new LiveDocument(store, kinds.shopping));
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

  it('shows each change on top of those before, though nobody looked between one’s landing and the next', async () => {
    await press('scones');
    await until(() => shown() === 'scones');
    for (const id of ['loaf', 'muffins', 'rolls']) {
      const before = shown();
      const writing = press(id);
      // looked at while it is on its way, and not again until the next is
      await Promise.resolve();
      expect(shown()).toBe(`${before} ${id}`);
      await writing;
      const next = press(`${id}-two`);
      for (let i = 0; i < 5; i++) {
        await new Promise((r) => setTimeout(r));
        expect(shown()).toBe(`${before} ${id} ${id}-two`);
      }
      await next;
    }
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

  it('is made on what another tab wrote meanwhile, and follows it', async () => {
    await press('scones');
    const other = await new KitchenDatabase(store.database.name).opened();
    const row = await other.meta.get('shopping');
    await other.meta.put({ ...row, key: 'shopping', value: { ...list('scones'), basket: ['salt'] }, revision: 7 });
    // before this tab has been told
    await press('loaf');
    await until(() => doc.value()?.basket.length === 1);
    expect(doc.value()).toEqual({ ...list('scones', 'loaf'), basket: ['salt'] });
    await other.meta.delete('shopping');
    await until(() => doc.value() === null);
    await other.meta.put({ key: 'shopping', value: list('muffins'), revision: 1 });
    await until(() => shown() === 'muffins');
    other.close();
  });

  it('keeps on the screen, in their order, what cannot be stored; it is stored later, or taken back', async () => {
    await press('scones');
    const put = spyOn(IDBObjectStore.prototype, 'put').and.throwError(new DOMException('full', 'QuotaExceededError'));
    const add = spyOn(IDBObjectStore.prototype, 'add').and.throwError(new DOMException('full', 'QuotaExceededError'));
    expect(await press('loaf')).toBeFalse();
    expect(await press('muffins')).toBeFalse();
    expect(shown()).toBe('scones loaf muffins');
    expect(store.edits.stuck().map((e) => e.label)).toEqual(['add loaf', 'add muffins']);
    expect(TestBed.inject(Notices).list().at(-1)?.words).toContain('add muffins');
    // what is on the screen only is taken back first
    expect((await store.undo('kitchen'))?.label).toBe('add muffins');
    expect(shown()).toBe('scones loaf');
    expect(await store.storeNow()).toBeFalse();
    put.and.callThrough();
    add.and.callThrough();
    expect(await store.storeNow()).toBeTrue();
    expect(store.edits.any()).toBeFalse();
    expect((await store.database.meta.get('shopping'))?.value).toEqual(list('scones', 'loaf'));
    expect((await store.undo('kitchen'))?.label).toBe('add loaf');
    await until(() => shown() === 'scones');
  });

  it('lets what can never be stored keep nothing else from it', async () => {
    const endless = { bakes: [{ id: 'x', times: 0 }], basket: [] };
    expect(await doc.change('no batches', endless)).toBeFalse();
    expect(doc.value()).toEqual(endless);
    expect(TestBed.inject(Notices).list().at(-1)?.words).toContain('no batches');
    const formula = TestBed.inject(Notices).list().length;
    expect(await store.put(kinds.inHand, 'inHand', 'loaf')).toBeTrue();
    expect(await doc.change('two batches', { bakes: [{ id: 'x', times: 2 }], basket: [] })).toBeTrue();
    expect(TestBed.inject(Notices).list().length).toBe(formula);
    expect((await store.undo('kitchen'))?.label).toBe('no batches');
    await until(() => shown() === 'x');
  });
});
