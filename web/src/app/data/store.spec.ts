import { TestBed } from '@angular/core/testing';
import { allItems, applyChanges, defaultKitchen, type BakeRecord, type Formula } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import { checkKitchenFile } from '@orvin/core/format';
import { firstValueFrom } from 'rxjs';
import { Backup } from './backup';
import { KitchenDatabase, NewerDatabase, SCHEMA_1, SCHEMA_2, SCHEMA_3 } from './database';
import { Notices, storageTrouble } from './notices';
import type { Doc } from './records';
import { Store } from './store';
import { bakeOf, logged } from './testing/kitchen';
import { newId } from './ids';
import { kinds } from './kinds';

const base: Formula = {
  ...readRecipe('Oat scones\n300 g plain flour\n15 g baking powder\n60 g butter\n180 g milk').formula,
  id: 'oat',
};
const doc = (formula: Formula): Doc => ({ formula, plan: {} });
const grams = (f: Formula | undefined, n: number): number => (f ? (allItems(f)[n]?.grams ?? 0) : 0);
const set = (f: Formula, n: number, g: number): Formula =>
  applyChanges(f, [{ itemId: allItems(f)[n]?.id ?? '', grams: g }]);

describe('the store', () => {
  let store: Store;
  let name: string;

  beforeEach(async () => {
    name = `test-${newId()}`;
    store = TestBed.inject(Store);
    await store.open(name);
    await store.put(kinds.kitchen, 'kitchen', defaultKitchen);
    await store.change(kinds.formula, 'oat', 'read', null, doc(base));
  });
  afterEach(async () => {
    store.close();
    await new KitchenDatabase(name).delete();
  });

  const now = async (): Promise<Formula | undefined> => (await store.database.working.get('oat'))?.formula;

  it('has the browser ask before a page is left with something that is not on disk yet', async () => {
    const asks = (): boolean => {
      const leaving = new Event('beforeunload', { cancelable: true });
      // the runner takes one that it hears for a reload
      const { onbeforeunload } = window;
      window.onbeforeunload = null;
      dispatchEvent(leaving);
      window.onbeforeunload = onbeforeunload;
      return leaving.defaultPrevented;
    };
    expect(asks()).toBeFalse();
    const writing = store.change(kinds.formula, 'oat', 'more flour', doc(base), doc(set(base, 0, 320)));
    expect(asks()).toBeTrue();
    await writing;
    expect(asks()).toBeFalse();
  });

  it('undoes and redoes step by step, also after it was closed and opened again', async () => {
    const one = set(base, 0, 310);
    const two = set(one, 2, 75);
    await store.change(kinds.formula, 'oat', 'flour', doc(base), doc(one));
    await store.change(kinds.formula, 'oat', 'butter', doc(one), doc(two));
    store.close();
    await store.open(name);
    expect((await store.undo('oat'))?.label).toBe('butter');
    expect(await now()).toEqual(one);
    await store.undo('oat');
    expect(await now()).toEqual(base);
    await store.redo('oat');
    await store.redo('oat');
    expect(await now()).toEqual(two);
    expect(await store.redo('oat')).toBeNull();
  });

  it('forgets what was undone once something new is done', async () => {
    const one = set(base, 0, 310);
    await store.change(kinds.formula, 'oat', 'flour', doc(base), doc(one));
    await store.undo('oat');
    await store.change(kinds.formula, 'oat', 'milk', doc(base), doc(set(base, 3, 200)));
    expect(await store.redo('oat')).toBeNull();
    expect(grams(await now(), 3)).toBe(200);
  });

  it('merges a write that was made on an older copy, and each revision is one more', async () => {
    await store.change(kinds.formula, 'oat', 'there', doc(base), doc(set(base, 0, 333)));
    await store.change(kinds.formula, 'oat', 'here', doc(base), doc(set(base, 2, 99)));
    const f = await now();
    expect([grams(f, 0), grams(f, 2)]).toEqual([333, 99]);
    expect((await store.database.working.get('oat'))?.revision).toBe(3);
    await store.undo('oat');
    expect([grams(await now(), 0), grams(await now(), 2)]).toEqual([333, 60]);
  });

  it('undoes taking away, and brings back what there was', async () => {
    await store.change(kinds.formula, 'oat', 'away', doc(base), null);
    expect(await now()).toBeUndefined();
    await store.undo('shelf');
    expect(await now()).toEqual(base);
  });

  it('freezes a version once, and never again while nothing changed', async () => {
    const first = await store.freeze(base, 'kept');
    expect(await store.freeze(base, 'baked')).toBe(first);
    expect(await store.freeze(set(base, 0, 301), 'baked')).toBe('oat@2');
    expect((await store.database.versions.get('oat@1'))?.formula).toEqual(base);
  });

  it('keeps fields it does not know, through import and export', async () => {
    await store.database.working.put({
      id: 'oat',
      formula: { ...base, aunt: 'Isolde' } as Formula,
      plan: {},
      revision: 1,
      updatedAt: 1,
      colour: 'blue',
    } as never);
    const file = await TestBed.inject(Backup).whole();
    const entry = file.formulas[0] as unknown as { colour: string; formula: { aunt: string } };
    expect([entry.colour, entry.formula.aunt]).toEqual(['blue', 'Isolde']);
    expect(checkKitchenFile(JSON.parse(JSON.stringify(file))).ok).toBeTrue();
  });

  it('streams bakes newest first', async () => {
    const bake = (id: string, at: number): BakeRecord => bakeOf(id, { at });
    await logged(store, bake('a', 1));
    await logged(store, bake('b', 2));
    expect((await firstValueFrom(store.bakes$)).map((b) => b.id)).toEqual(['b', 'a']);
    // what changes afterwards comes too, and only that is read again
    const seen: string[][] = [];
    const sub = store.bakes$.subscribe((list) => seen.push(list.map((b) => `${b.id}${b.minutes}`)));
    const settled = async (n: number): Promise<void> => {
      for (let i = 0; i < 100 && seen.length < n; i++) await new Promise((r) => setTimeout(r, 20));
    };
    await settled(1);
    const read = spyOn(store.database.bakes, 'bulkGet').and.callThrough();
    await store.change(kinds.bake, 'a', 'right', bake('a', 1), { ...bake('a', 1), minutes: 21 });
    await settled(2);
    expect(seen.at(-1)).toEqual(['b18', 'a21']);
    expect(read.calls.allArgs().flat(2)).toEqual(['a']);
    await store.undo('log');
    await settled(3);
    expect(seen.at(-1)).toEqual(['b18', 'a18']);
    sub.unsubscribe();
  });

  it('keeps a change of the kitchen it was made in when another is opened before it is stored', async () => {
    const other = `test-${newId()}`;
    const db = await store.made(other).opened();
    const late = store.change(kinds.formula, 'oat', 'flour', doc(base), doc(set(base, 0, 311)));
    store.take(db);
    expect(await late).toBeFalse();
    expect(await store.database.working.count()).toBe(0);
    await store.open(name);
    await store.settled();
    expect(grams(await now(), 0)).toBe(311);
    expect(store.edits.any()).toBeFalse();
    await new KitchenDatabase(other).delete();
  });

  it('turns a failed write into words, and the screen goes on', async () => {
    store.database.close();
    expect(await store.change(kinds.formula, 'oat', 'x', doc(base), doc(set(base, 0, 1)))).toBeFalse();
    expect(TestBed.inject(Notices).list().at(-1)?.kind).toBe('problem');
    expect(storageTrouble(Object.assign(new Error(), { name: 'QuotaExceededError' })).words).toContain('no room');
  });
});

describe('the database', () => {
  it('opens what schema version 1 stored, and lets a newer tab upgrade', async () => {
    const name = `fixture-${newId()}`;
    const { Dexie } = await import('dexie');
    const old = new Dexie(name);
    old.version(1).stores(SCHEMA_1);
    await old.table('working').put({ id: 'oat', formula: base, plan: {}, revision: 4, updatedAt: 7 });
    old.close();
    await old.open();
    await old.table('bakes').put({ id: 'b', bake: { id: 'b', formulaId: 'oat', at: 5 }, revision: 3 });
    old.close();
    let superseded = false;
    const db = await new KitchenDatabase(name, (why) => (superseded = why === 'newer')).opened();
    expect((await db.working.get('oat'))?.formula).toEqual(base);
    // the index that came with version 2 holds what was there before, and its new tables are empty
    expect(await db.bakes.orderBy('[id+revision]').keys()).toEqual([['b', 3]] as never);
    expect(await db.photos.count()).toBe(0);
    const newer = new Dexie(name);
    newer.version(4).stores({ ...SCHEMA_1, ...SCHEMA_2, ...SCHEMA_3, extra: 'id' });
    await newer.open();
    expect(superseded).toBeTrue();
    expect(await newer.table('working').count()).toBe(1);
    newer.close();
    // the old one neither opens again by itself nor when it is asked to
    await expectAsync(db.working.get('oat')).toBeRejected();
    await expectAsync(db.opened()).toBeRejectedWithError(NewerDatabase);
    await Dexie.delete(name);
  });
});
