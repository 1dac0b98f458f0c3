import { TestBed } from '@angular/core/testing';
import { defaultKitchen, type BakeRecord } from '@orvin/core';
import { KitchenDatabase } from '../database';
import { kinds } from '../kinds';
import { Store } from '../store';
import { newId } from '../ids';

/** The store of the spec's injector, open on a kitchen of its own that is as it comes. */
export async function openKitchen(): Promise<Store> {
  const store = TestBed.inject(Store);
  await store.open(`test-${newId()}`);
  await store.put(kinds.kitchen, 'kitchen', defaultKitchen);
  return store;
}

/** Closes the kitchen and takes it away. */
export async function closeKitchen(store: Store): Promise<void> {
  const { name } = store.database;
  store.close();
  await new KitchenDatabase(name).delete();
}

/** Puts a bake into the log as it is. */
export const logged = (store: Store, bake: BakeRecord): Promise<boolean> =>
  store.change(kinds.bake, bake.id, `log ${bake.title}`, null, bake);
