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

/** A bake of some scones, as it is or with something else about it. */
export const bakeOf = (id: string, more: Partial<BakeRecord> = {}): BakeRecord => ({
  id,
  formulaId: 'oat',
  versionId: null,
  title: 'Oat scones',
  family: 'scone',
  densityGPerMl: 1.1,
  rise: 1.8,
  at: 1,
  tin: { tin: defaultKitchen.tins[0] as never, count: 1 },
  batterG: 500,
  ovenId: 'oven',
  ovenC: 200,
  fan: false,
  predicted: null,
  minutes: 18,
  outcome: 'good',
  notes: '',
  ...more,
});

/** Puts a bake into the log as it is. */
export const logged = (store: Store, bake: BakeRecord): Promise<boolean> =>
  store.change(kinds.bake, bake.id, `log ${bake.title}`, null, bake);
