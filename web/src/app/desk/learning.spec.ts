import { TestBed } from '@angular/core/testing';
import { calibrationFor, knownOf, ovenOff, type BakeRecord, type Estimate, type Kitchen } from '@orvin/core';
import { Kitchens } from '../data/kitchens';
import { lessonOf } from '../compute/lesson';
import { Store } from '../data/store';
import { Dexie } from 'dexie';
import { Desk } from './desk';
import { Journal } from './journal';
import { Learning } from './learning';
import { Pantry } from './pantry';
import { kinds } from '../data/kinds';

const until = async (test: () => boolean): Promise<boolean> => {
  for (let i = 0; i < 400 && !test(); i++) {
    TestBed.tick();
    await new Promise((r) => setTimeout(r, 50));
  }
  return test();
};

describe('learning from the log of the open kitchen', () => {
  let store: Store;
  let learning: Learning;

  beforeEach(async () => {
    TestBed.inject(Store).close();
    for (const n of await Dexie.getDatabaseNames()) if (n.startsWith('orvin')) await Dexie.delete(n);
    TestBed.resetTestingModule();
    store = TestBed.inject(Store);
    await TestBed.inject(Kitchens).start();
    learning = TestBed.inject(Learning);
    learning.hurry();
    await expectAsync(until(() => learning.lesson() !== null)).toBeResolvedTo(true);
  });
  afterEach(() => store.close());

  const off = (): Estimate => ovenOff(learning.kitchen() as Kitchen, 'big');
  const bake = (id: string): BakeRecord => learning.bakes()?.find((b) => b.id === id) as BakeRecord;

  it('knows the sample oven, keeps what it worked out, and has it at once the next time', async () => {
    expect(off().typical).toBeGreaterThan(4);
    expect(off().typical).toBeLessThan(14);
    expect(learning.lesson()?.errors?.after.rms).toBeLessThan(0.7 * (learning.lesson()?.errors?.before.rms ?? 0));
    expect(learning.lesson()?.doubts.length).toBe(1);
    expect(await store.database.reckoned.count()).toBeGreaterThan(12);
    for (let i = 0; i < 40 && !(await store.database.meta.get('learned')); i++) await new Promise((r) => setTimeout(r, 50)); // prettier-ignore
    const name = store.database.name;
    const known = off();
    TestBed.resetTestingModule();
    const again = TestBed.inject(Store);
    await again.open(name);
    const next = TestBed.inject(Learning);
    // before any worker has answered
    await expectAsync(until(() => next.kitchen() !== null)).toBeResolvedTo(true);
    expect(ovenOff(next.kitchen() as Kitchen, 'big').typical).toBeCloseTo(known.typical, 6);
    again.close();
  });

  it('is worked out beside the page, a log never reckoned in several goes; a kitchen that is gone is not made anew', async () => {
    const kitchen = TestBed.inject(Desk).kitchen();
    await store.database.reckoned.clear();
    // another kitchen of the same oven is another log
    const other = { ...kitchen, roomC: kitchen.roomC + 1 };
    const left: number[] = [];
    let got = await lessonOf(store.database.name, other);
    for (; got.left > 0; got = await lessonOf(store.database.name, other)) left.push(got.left);
    expect(left.length).toBeGreaterThan(0);
    expect(left).toEqual([...new Set(left)].sort((a, b) => b - a));
    expect(got.lesson?.learned).not.toEqual(learning.lesson()?.learned);
    expect((await lessonOf(store.database.name, kitchen)).left).toBeGreaterThan(0);
    await expectAsync(lessonOf('orvin-gone', kitchen)).toBeResolvedTo({ left: 0, lesson: null });
    expect(await Dexie.exists('orvin-gone')).toBeFalse();
  });

  it('follows the log: a bake left out no longer counts, one taken back does, and an oven learned anew begins with nothing', async () => {
    const all = off();
    const journal = TestBed.inject(Journal);
    await journal.change(bake('demo-7'), 'leave out', { excluded: true });
    await expectAsync(until(() => off().bakes === all.bakes - 1)).toBeResolvedTo(true);
    await store.undo('log');
    await expectAsync(until(() => off().bakes === all.bakes)).toBeResolvedTo(true);
    expect(off().typical).toBeCloseTo(all.typical, 9);
    const kitchen = TestBed.inject(Desk).kitchen();
    await store.change(kinds.kitchen, 'kitchen', 'anew', kitchen, {
      ...kitchen,
      forgotten: { 'bias:big': Date.now() },
    });
    await expectAsync(until(() => off().bakes === 0)).toBeResolvedTo(true);
    expect(knownOf(learning.kitchen()?.learned, ['tin:loaf-900']).bakes).toBeGreaterThan(3);
    const tin = bake('demo-2').tin.tin;
    expect(calibrationFor({ ovenId: 'big', tin }, null, learning.kitchen() as Kitchen).biasC).toBeCloseTo(0, 1);
  });

  it('takes what was found as it comes, and what was measured wrongly can be taken away again', async () => {
    const journal = TestBed.inject(Journal);
    const was = learning.kitchen()?.learned;
    await journal.found(bake('demo-4'), 'height', { heightMm: 60, marks: { crumb: 3 } });
    await expectAsync(until(() => bake('demo-4').result?.heightMm === 60)).toBeResolvedTo(true);
    await journal.found(bake('demo-4'), 'no height', { heightMm: undefined });
    await expectAsync(until(() => bake('demo-4').result?.heightMm === undefined)).toBeResolvedTo(true);
    expect(bake('demo-4').result?.marks).toEqual({ crumb: 3 });
    await expectAsync(until(() => knownOf(learning.kitchen()?.learned, ['rise']).bakes === knownOf(was, ['rise']).bakes)).toBeResolvedTo(true); // prettier-ignore
  });

  it('draws the stock down by what was baked since it was counted', async () => {
    const pantry = TestBed.inject(Pantry);
    const counted = TestBed.inject(Desk).kitchen().stock['plain-flour'] ?? 0;
    const there = pantry.stock()['plain-flour'] ?? 0;
    expect(there).toBeLessThan(counted);
    await pantry.bought({ 'plain-flour': 1500 });
    await expectAsync(until(() => pantry.stock()['plain-flour'] === there + 1500)).toBeResolvedTo(true);
    // counted anew: what was baked before is in the count already
    expect(TestBed.inject(Desk).kitchen().stock['plain-flour']).toBe(there + 1500);
    await store.undo('kitchen');
    await expectAsync(until(() => pantry.stock()['plain-flour'] === there)).toBeResolvedTo(true);
  });
});
