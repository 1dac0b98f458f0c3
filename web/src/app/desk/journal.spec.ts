import { TestBed } from '@angular/core/testing';
import { kinds } from '../data/kinds';
import { Notices } from '../data/notices';
import type { Store } from '../data/store';
import { bakeOf, closeKitchen, logged, openKitchen } from '../data/testing/kitchen';
import { Journal } from './journal';

describe('the journal', () => {
  let store: Store;
  let journal: Journal;
  beforeEach(async () => {
    store = await openKitchen();
    journal = TestBed.inject(Journal);
    await logged(store, bakeOf('first'));
  });
  afterEach(() => closeKitchen(store));
  const ids = async (): Promise<string[]> => (await store.database.bakes.toArray()).map((b) => b.id).sort();

  it('puts back the bake that was removed, whatever was logged since', async () => {
    await journal.remove(bakeOf('first'));
    const back = TestBed.inject(Notices).list().at(-1)?.action;
    await logged(store, bakeOf('second'));
    expect(await ids()).toEqual(['second']);
    expect(await store.database.bin.count()).toBe(1);
    back?.run();
    await store.settled();
    expect(await ids()).toEqual(['first', 'second']);
    expect(await store.database.bin.count()).toBe(0);
    // each is a step of its own
    await store.undo('log');
    expect(await ids()).toEqual(['second']);
    await store.undo('log');
    expect(await ids()).toEqual([]);
    await store.redo('log');
    await store.redo('log');
    expect(await ids()).toEqual(['first', 'second']);
  });

  it('takes a found figure away again by leaving it out', async () => {
    const first = async () => (await store.read(kinds.bake, 'first')).value ?? bakeOf('first');
    await journal.found(await first(), 'its middle', { centreC: 96 });
    expect((await first()).result).toEqual({ centreC: 96 });
    await journal.found(await first(), 'its middle', { centreC: undefined });
    expect((await first()).result).toEqual({});
  });

  it('says which file is no photo that can be kept, and keeps the bake as it was', async () => {
    expect(await journal.addPhotos(bakeOf('first'), [new File(['x'], 'notes.txt', { type: 'text/plain' })])).toBe(0);
    expect(TestBed.inject(Notices).list().at(-1)?.words).toContain('notes.txt');
    expect((await store.read(kinds.bake, 'first')).value).toEqual(bakeOf('first'));
  });
});
