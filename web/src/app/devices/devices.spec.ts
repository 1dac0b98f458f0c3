import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Devices } from './devices';

/** Waits for what the database has to tell. */
async function told(what: () => boolean): Promise<void> {
  for (let i = 0; i < 200 && !what(); i++) {
    TestBed.tick();
    await new Promise((r) => setTimeout(r, 20));
  }
  expect(what()).toBeTrue();
}

describe('which devices a kitchen has', () => {
  let store: Store;
  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    store = await openKitchen();
  });
  afterEach(() => closeKitchen(store));
  const key = async (): Promise<unknown> => (await store.database.meta.get('devices'))?.value;

  it('none, until simulated ones are taken; the choice stays with the kitchen, under a key of its own', async () => {
    const devices = TestBed.inject(Devices);
    devices.here.set(true);
    await told(() => !devices.trying());
    expect([devices.scale(), devices.probe()]).toEqual([null, null]);
    await devices.tryOut(true);
    await told(() => devices.trying() && devices.scale() !== null);
    expect(devices.scale()?.simulated && devices.probe()?.simulated).toBeTrue();
    const first = await key();
    await devices.tryOut(false);
    await told(() => devices.scale() === null);
    await devices.tryOut(true);
    await told(() => devices.scale() !== null);
    expect(await key()).not.toEqual(first);
  });

  it('are listened to only while somebody is at the counter', async () => {
    const devices = TestBed.inject(Devices);
    await devices.tryOut(true);
    await told(() => devices.trying());
    expect(devices.scale()).toBeNull();
    devices.here.set(true);
    await told(() => devices.scale() !== null);
    // nobody is at the other end here: they are looked for, and by hand it goes on
    expect(devices.scaleLink()).toBe('looking');
    expect(devices.weight()).toBeNull();
    devices.here.set(false);
    await told(() => devices.scale() === null);
  });
});
