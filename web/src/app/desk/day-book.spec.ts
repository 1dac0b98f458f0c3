import { TestBed } from '@angular/core/testing';
import { defaultKitchen } from '@orvin/core';
import { DateTime } from 'luxon';
import { kinds } from '../data/kinds';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { DayBook } from './day-book';

const zone = 'Europe/Dublin';
const HOUR = 3_600_000;

describe('the day’s serving time', () => {
  let store: Store;
  let book: DayBook;
  beforeEach(async () => {
    store = await openKitchen();
    await store.put(kinds.kitchen, 'kitchen', { ...defaultKitchen, locale: { ...defaultKitchen.locale, zone } });
    book = TestBed.inject(DayBook);
    for (let i = 0; i < 200 && book.at(0).zoneName !== zone; i++) await new Promise((r) => setTimeout(r, 10));
    // a morning before that night
    book.now.set(DateTime.fromISO('2026-10-24T09:00', { zone }).toMillis());
  });
  afterEach(() => closeKitchen(store));

  it('that comes twice as the clock goes back is asked about, and is then the one that was meant', async () => {
    const first = DateTime.fromISO('2026-10-25T00:30:00Z').toMillis();
    await book.serve(first);
    expect([book.twice(), book.serveAt()]).toEqual(['first', first]);
    await book.second(true);
    expect([book.twice(), book.serveAt()]).toEqual(['second', first + HOUR]);
    await store.undo('day');
    for (let i = 0; i < 200 && book.twice() !== 'first'; i++) await new Promise((r) => setTimeout(r, 10));
    expect(book.serveAt()).toBe(first);
    // pulled along the hours, it is the one it was pulled to
    await book.serve(first + HOUR);
    expect([book.twice(), book.serveAt()]).toEqual(['second', first + HOUR]);
    await book.serve(first + 2 * HOUR);
    expect(book.twice()).toBeNull();
  });
});
