import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { defaultKitchen } from '@orvin/core';
import type { WorkingRecord } from '../data/records';
import { Store } from '../data/store';
import { base } from '../ui/testing/muffins';
import { Boards } from './boards';

describe('the boards on the Shelf', () => {
  const record = (id: string, revision = 1): WorkingRecord => ({
    id,
    formula: { ...base, id },
    plan: {},
    revision,
    updatedAt: 1,
  });
  const several = ['a', 'b', 'c'].map((id) => record(id));
  const away = signal<object | null>(null);
  const kitchenOpen = signal<string | null>('one');
  let boards: Boards;
  const said = (): string[] => [...boards.weighed().keys()].sort();

  beforeEach(() => {
    away.set(null);
    kitchenOpen.set('one');
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        { provide: Store, useValue: { name: kitchenOpen } },
        { provide: Router, useValue: { currentNavigation: away } },
      ],
    });
    boards = TestBed.inject(Boards);
  });

  it('says of each what the bench would, and weighs again only what changed', async () => {
    await boards.weigh(several, defaultKitchen);
    expect(said()).toEqual(['a', 'b', 'c']);
    const before = boards.weighed();
    await boards.weigh([record('a', 2), ...several.slice(1)], defaultKitchen);
    expect(boards.weighed().get('a')).not.toBe(before.get('a'));
    expect(boards.weighed().get('a')).toEqual(before.get('a'));
    expect(boards.weighed().get('b')).toBe(before.get('b'));
  });

  it('weighs everything again for another kitchen', async () => {
    await boards.weigh(several, defaultKitchen);
    const before = boards.weighed().get('a');
    kitchenOpen.set('two');
    await boards.weigh(several, { ...defaultKitchen, altitudeM: 1800 });
    expect(boards.weighed().get('a')).not.toBe(before);
  });

  it('rests while another view is on its way, goes on after it, and leaves it once nobody looks', async () => {
    jasmine.clock().install();
    const [many, turns] = [20, 4];
    const later = async (): Promise<void> => {
      for (let i = 0; i < many; i++) {
        jasmine.clock().tick(50);
        for (let t = 0; t < turns; t++) await Promise.resolve();
      }
    };
    try {
      away.set({});
      const weighing = boards.weigh(several, defaultKitchen);
      await later();
      expect(said()).toEqual([]);
      away.set(null);
      await later();
      await weighing;
      expect(said()).toEqual(['a', 'b', 'c']);
      away.set({});
      const again = boards.weigh([...several, record('d')], defaultKitchen);
      boards.leave();
      await later();
      await again;
      expect(said()).toEqual(['a', 'b', 'c']);
    } finally {
      jasmine.clock().uninstall();
    }
  });
});
