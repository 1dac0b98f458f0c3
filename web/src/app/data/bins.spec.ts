import { TestBed } from '@angular/core/testing';
import { defaultKitchen, ingredientOf, type BakeRecord, type Formula, type Ingredient } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import { Dexie } from 'dexie';
import { BIN_DAYS, Bins } from './bins';
import { KitchenDatabase } from './database';
import { newId } from './ids';
import { kinds } from './kinds';
import { Notices } from './notices';
import { Registry } from './registry';
import { RoomWatch } from './room';
import type { Store } from './store';
import { bakeOf, closeKitchen, logged, openKitchen } from './testing/kitchen';

const DAY = 86_400_000;
const f: Formula = {
  ...readRecipe('Oat scones\n300 g plain flour\n15 g baking powder\n60 g butter\n180 g milk').formula,
  id: 'oat',
};
const bake = (photos: readonly string[]): BakeRecord => bakeOf('b', { photos });

describe('the bin of a kitchen', () => {
  let store: Store;
  let bins: Bins;
  beforeEach(async () => {
    store = await openKitchen();
    bins = TestBed.inject(Bins);
    await store.change(kinds.formula, 'oat', 'read', null, { formula: f, plan: {} });
  });
  afterEach(() => closeKitchen(store));

  const lying = async (): Promise<string[]> => (await store.database.bin.toArray()).map((r) => `${r.what} ${r.title}`).sort(); // prettier-ignore
  const photo = (id: string): Promise<unknown> => {
    const own = { id, bakeId: 'b', type: 'image/png', bytes: new ArrayBuffer(9) };
    return store.write('a photo', (w) => w.photo({ ...own, width: 3, height: 3 }, own));
  };
  const photos = async (): Promise<string[]> => (await store.database.photos.toCollection().primaryKeys()).sort();
  const row = async (what: string) => {
    const found = (await store.database.bin.toArray()).find((r) => r.what === what);
    if (!found) throw new Error(`no ${what} in the bin`);
    return found;
  };

  it('keeps a formula that was taken away until it is put back, from there or by undo', async () => {
    const doc = { formula: f, plan: {} };
    await store.change(kinds.formula, 'oat', 'away', doc, null);
    expect(await lying()).toEqual(['formula Oat scones']);
    await store.undo('shelf');
    expect(await lying()).toEqual([]);
    await store.redo('shelf');
    expect(await bins.putBack(await row('formula'))).toBeTrue();
    expect((await store.read(kinds.formula, 'oat')).value?.formula).toEqual(f);
    expect(await lying()).toEqual([]);
    // which is a step as well, of the Shelf: its Bench is no place to take itself away
    expect(await store.undo('oat')).toBeNull();
    await store.undo('shelf');
    expect((await store.read(kinds.formula, 'oat')).value).toBeNull();
  });

  it('takes a formula that was just read away again from the Shelf, not from its Bench', async () => {
    await store.shelve({ ...f, id: 'new' }, 'as read');
    expect(await store.undo('new')).toBeNull();
    expect((await store.undo('shelf'))?.label).toContain('read');
    expect((await store.read(kinds.formula, 'new')).value).toBeNull();
    expect(await lying()).toEqual(['formula Oat scones']);
    await store.redo('shelf');
    expect((await store.read(kinds.formula, 'new')).value?.formula.id).toBe('new');
  });

  it('keeps a tin and an ingredient of one’s own, and puts each back among those that are there now', async () => {
    const own: Ingredient = { ...ingredientOf('honey'), id: 'own-malt', name: 'Malt' };
    const [tin, ...tins] = defaultKitchen.tins;
    const with_ = { ...defaultKitchen, ownIngredients: [own] };
    await store.change(kinds.kitchen, 'kitchen', 'with malt', defaultKitchen, with_);
    await store.put(kinds.kitchen, 'kitchen', { ...with_, tins, ownIngredients: [] });
    expect(await lying()).toEqual(['ingredient Malt', `tin ${tin?.name}`]);
    await bins.putBack(await row('tin'));
    const now = (await store.read(kinds.kitchen, 'kitchen')).value;
    expect(now?.tins.map((t) => t.id).sort()).toEqual(defaultKitchen.tins.map((t) => t.id).sort());
    expect(now?.ownIngredients).toEqual([]);
  });

  it('keeps the photos of what lies in it, and lets them go with it; none stays that nothing names', async () => {
    for (const id of ['p1', 'p2', 'stray']) await photo(id);
    await logged(store, bake(['p1', 'p2']));
    await store.change(kinds.bake, 'b', 'one less', bake(['p1', 'p2']), bake(['p1']));
    expect(await lying()).toEqual(['photo a photo of Oat scones']);
    await bins.tidy();
    expect(await photos()).toEqual(['p1', 'p2']);
    await store.change(kinds.bake, 'b', 'away', bake(['p1']), null);
    // a part cannot be put back before what it was a part of
    expect(await bins.putBack(await row('photo'))).toBeFalse();
    await bins.tidy();
    expect(await photos()).toEqual(['p1', 'p2']);
    expect(await bins.putBack(await row('bake'))).toBeTrue();
    expect(await bins.putBack(await row('photo'))).toBeTrue();
    expect((await store.read(kinds.bake, 'b')).value?.photos).toEqual(['p1', 'p2']);
    await store.change(kinds.bake, 'b', 'away', bake(['p1', 'p2']), null);
    await bins.tidy(Date.now() + (BIN_DAYS - 1) * DAY);
    expect(await lying()).toEqual(['bake Oat scones']);
    await bins.tidy(Date.now() + (BIN_DAYS + 1) * DAY);
    expect(await lying()).toEqual([]);
    expect(await photos()).toEqual([]);
    expect(await store.database.thumbs.count()).toBe(0);
  });

  it('gives up the oldest first when the device is nearly full, and tells before', async () => {
    const [watch, notices] = [TestBed.inject(RoomWatch), TestBed.inject(Notices)];
    let usage = 70;
    spyOn(navigator.storage, 'estimate').and.callFake(async () => ({ usage: usage * 1e6, quota: 100e6 }));
    const said = (): string => notices.list().map((n) => n.words).join(' '); // prettier-ignore
    await watch.look();
    expect(said()).not.toContain('room');
    usage = 85;
    await watch.look();
    expect(said()).toContain('85 % of the room');
    for (const id of ['one', 'two', 'three']) {
      const doc = { formula: { ...f, id, title: id }, plan: {} };
      await store.change(kinds.formula, id, 'read', null, doc);
      await store.change(kinds.formula, id, 'away', doc, null);
      await new Promise((r) => setTimeout(r, 3));
    }
    usage = 92;
    const bin = store.database.bin;
    const remove = bin.bulkDelete.bind(bin);
    spyOn(bin, 'bulkDelete').and.callFake((keys) => {
      usage -= 1.5 * keys.length;
      return remove(keys as never);
    });
    await watch.look();
    expect(await lying()).toEqual(['formula three']);
    expect(said()).toContain('gave up one, two');
  });
});

describe('the list of kitchens', () => {
  let registry: Registry;
  const made = new Set<string>();
  const name = (): string => {
    const n = `orvin-kitchen-test-${newId()}`;
    made.add(n);
    return n;
  };
  const entry = (db: string) => ({ id: db.slice(14), name: 'Ours', db, demo: false, createdAt: 1 });
  const fill = async (db: string): Promise<void> => {
    const k = await new KitchenDatabase(db).opened();
    await k.meta.put({ key: 'kitchen', value: { ...defaultKitchen, name: 'Found again' }, revision: 1 });
    k.close();
  };
  const there = async (db: string): Promise<boolean> => (await Dexie.getDatabaseNames()).includes(db);

  beforeEach(async () => {
    registry = TestBed.inject(Registry);
    await registry.open();
  });
  afterEach(async () => {
    for (const db of made) {
      await registry.purge(db.slice(14));
      await Dexie.delete(db);
    }
  });

  it('has a kitchen while it is filled as unfinished, and nothing of it when that fails', async () => {
    const [good, bad] = [name(), name()];
    await registry.fill(entry(good), async () => {
      expect(registry.listed().some((e) => e.db === good)).toBeFalse();
      expect((await registry.get(good.slice(14)))?.state).toBe('filling');
      await fill(good);
    });
    expect(registry.listed().some((e) => e.db === good)).toBeTrue();
    const failing = registry.fill(entry(bad), async () => {
      await fill(bad);
      throw new Error('no');
    });
    await expectAsync(failing).toBeRejected();
    expect([await there(bad), await registry.get(bad.slice(14))]).toEqual([false, undefined]);
  });

  it('finishes at the next start what was cut off, and leaves alone what another tab is at', async () => {
    const [cut, leaving, busy] = [name(), name(), name()];
    for (const [db, state] of [[cut, 'filling'], [leaving, 'leaving']] as const) {
      await fill(db);
      await registry.fill(entry(db), async () => undefined);
      await registry['db'].kitchens.put({ ...entry(db), state, since: 1 });
    } // prettier-ignore
    let done = (): void => undefined;
    const working = registry.fill(entry(busy), () => fill(busy).then(() => new Promise<void>((r) => (done = r))));
    for (let i = 0; i < 300 && !(await there(busy)); i++) await new Promise((r) => setTimeout(r, 5));
    await registry.sweep();
    expect(await Promise.all([cut, leaving, busy].map(there))).toEqual([false, false, true]);
    done();
    await working;
    expect(registry.listed().some((e) => e.db === busy)).toBeTrue();
  });

  it('leaves alone what a newer Orvin wrote, and what cannot be read now', async () => {
    const [newer, broken] = [name(), name()];
    for (const db of [newer, broken]) await fill(db);
    for (const [db, version] of [[newer, 990], [broken, 30]] as const) {
      const raised = indexedDB.open(db, version);
      await new Promise((done) => (raised.onsuccess = raised.onerror = done));
      raised.result.close();
    } // prettier-ignore
    const real = KitchenDatabase.prototype.opened;
    spyOn(KitchenDatabase.prototype, 'opened').and.callFake(function (this: KitchenDatabase) {
      return this.name === broken ? Promise.reject(new DOMException('it cannot be read', 'UnknownError')) : real.call(this);
    }); // prettier-ignore
    await registry.sweep();
    expect([await there(newer), await there(broken)]).toEqual([true, true]);
    expect(registry.binned().some((e) => e.db === newer || e.db === broken)).toBeFalse();
  });

  it('puts what nobody knew of into the bin, and what lay there long enough away', async () => {
    const [lost, empty] = [name(), name()];
    await fill(lost);
    (await new KitchenDatabase(empty).opened()).close();
    await registry.sweep();
    expect(registry.binned().find((e) => e.db === lost)?.name).toBe('Found again');
    expect(await there(empty)).toBeFalse();
    await registry.sweep(Date.now() + (BIN_DAYS - 1) * DAY);
    expect(await there(lost)).toBeTrue();
    await registry.sweep(Date.now() + (BIN_DAYS + 1) * DAY);
    expect([await there(lost), registry.binned().some((e) => e.db === lost)]).toEqual([false, false]);
  });
});
