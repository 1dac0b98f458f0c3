import { TestBed } from '@angular/core/testing';
import { defaultKitchen } from '@orvin/core';
import { KitchenDatabase } from '../database';
import { Store } from '../store';
import { newId } from '../ids';

/** The store of the spec's injector, open on a kitchen of its own that is as it comes. */
export async function openKitchen(): Promise<Store> {
  const store = TestBed.inject(Store);
  await store.open(`test-${newId()}`);
  await store.database.meta.put({ key: 'kitchen', value: defaultKitchen, revision: 1 });
  return store;
}

/** Closes the kitchen and takes it away. */
export async function closeKitchen(store: Store): Promise<void> {
  const { name } = store.database;
  store.close();
  await new KitchenDatabase(name).delete();
}
