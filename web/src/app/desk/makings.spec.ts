import { TestBed } from '@angular/core/testing';
import { defaultKitchen, fitTins, type Formula, type MadeBake } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import { Backup } from '../data/backup';
import { Notices } from '../data/notices';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { DayBook } from './day-book';
import { Makings } from './makings';
import { kinds } from '../data/kinds';

const f: Formula = {
  ...readRecipe(
    'Ginger loaf\n250 g plain flour\n2 tsp baking powder\n2 eggs\n150 g sugar\n90 g oil\n160 g yogurt\nWhisk the wet into the dry.\nBake at 175C for 50-60 minutes in a 9x5 inch loaf tin.',
  ).formula,
  id: 'loaf',
};
const bake: MadeBake = {
  id: 'loaf',
  formula: f,
  fits: fitTins(f, f.tins ?? [], defaultKitchen),
  minutes: { early: 50, likely: 54, late: 60 },
  marks: [],
  ovenId: 'oven',
};
const settle = (): Promise<void> => new Promise((r) => setTimeout(r, 80));
/** Waits for what the database has to tell; fails after ten seconds. */
async function told(what: () => boolean): Promise<void> {
  for (let i = 0; i < 125 && !what(); i++) await settle();
  expect(what()).toBeTrue();
}

describe('what is in hand at the counter', () => {
  let store: Store;
  beforeEach(async () => {
    store = await openKitchen();
    await store.change(kinds.formula, 'loaf', 'read', null, { formula: f, plan: {} });
  });
  afterEach(() => closeKitchen(store));

  it('is on disk with each step, is taken up again where it was, and goes along in the export', async () => {
    const makings = TestBed.inject(Makings);
    await told(() => makings.ready());
    await makings.begin([bake], null);
    const first = makings.standings()[0]?.step?.id ?? '';
    await makings.add({ kind: 'done', bakeId: 'loaf', stepId: first });
    const second = makings.standings()[0]?.step?.id;
    expect(second).not.toBe(first);
    // another page, opened anew
    const again = TestBed.runInInjectionContext(() => new Makings());
    await told(() => again.ready());
    expect(again.standings()[0]?.step?.id).toBe(second);
    const file = await TestBed.inject(Backup).whole();
    expect(file.making?.happenings.length).toBe(1);
  });

  it('loses nothing when two pages go on with it', async () => {
    const [a, b] = [1, 2].map(() => TestBed.runInInjectionContext(() => new Makings())) as [Makings, Makings];
    await told(() => a.ready() && b.ready());
    await a.begin([bake], null);
    await settle();
    await Promise.all(
      [0, 1, 2, 3, 4].map((i) =>
        (i % 2 ? a : b).add({ kind: 'felt', bakeId: 'loaf', stepId: 'mix:0', words: `w${i}` }),
      ),
    );
    const felt = (m: Makings): string[] => (m.standings()[0]?.felt ?? []).map((x) => x.words).sort();
    // each page is told of the other's by the database, in its own time
    await told(() => felt(a).length === 5 && felt(b).length === 5);
    for (const m of [a, b]) expect(felt(m)).toEqual(['w0', 'w1', 'w2', 'w3', 'w4']);
  });

  it('is judged into the log with what was observed, and leaves the counter', async () => {
    const makings = TestBed.inject(Makings);
    await told(() => makings.ready());
    await makings.begin([bake], null);
    const t0 = Date.now() - 3_600_000;
    const list = makings.lists().get('loaf') ?? [];
    for (const [i, s] of list.entries()) {
      if (s.kind === 'weigh')
        for (const a of s.amounts)
          await makings.add({ kind: 'weighed', bakeId: 'loaf', itemId: a.itemId, grams: a.grams + 1, by: 'scale' }, t0);
      if (s.kind === 'bake') await makings.add({ kind: 'oven', bakeId: 'loaf', ovenC: 168 }, t0 + i * 60_000 + 600_000);
      await makings.add(
        { kind: 'done', bakeId: 'loaf', stepId: s.id },
        t0 + i * 60_000 + (s.kind === 'out' ? 50 * 60_000 : 0),
      );
    }
    const record = await makings.judge('loaf', 'good', '');
    expect(record?.minutes).toBe(52);
    const stored = (await store.database.bakes.toArray())[0]?.bake;
    expect(stored?.observed?.weighed.length).toBe(6);
    expect(stored?.observed?.ovenReadings).toEqual([{ min: 11, ovenC: 168 }]);
    expect(stored?.versionId).toBe('loaf@1');
    expect(makings.making()).toBeNull();
  });

  it('grows with what was poured too much, and going back takes that back', async () => {
    const makings = TestBed.inject(Makings);
    await told(() => makings.ready());
    await makings.begin([bake], null);
    const before = fitTins(f, f.tins ?? [], defaultKitchen)[0]?.batterG ?? 0;
    const batter = (): number => (makings.making()?.bakes[0]?.fits[0]?.batterG ?? 0) / before;
    await makings.scale('loaf', 1.05);
    expect(batter()).toBeCloseTo(1.05, 2);
    expect(await makings.back()).toBe('loaf');
    expect(batter()).toBeCloseTo(1, 6);
    expect(await makings.back()).toBeNull();
  });

  it('belongs to its kitchen: another that is opened has its own', async () => {
    const makings = TestBed.inject(Makings);
    await told(() => makings.ready());
    await makings.begin([bake], null);
    const { name } = store.database;
    await openKitchen();
    await told(() => makings.ready() && makings.making() === null);
    expect((await store.database.meta.get('making'))?.value ?? null).toBeNull();
    await closeKitchen(store);
    await store.open(name);
    await told(() => makings.making()?.bakes[0]?.id === 'loaf');
  });

  it('is timed on when the clock of the device is set back, in another tab and after a reload too', async () => {
    const [a, b] = [1, 2].map(() => TestBed.runInInjectionContext(() => new Makings())) as [Makings, Makings];
    await told(() => a.ready() && b.ready());
    await a.begin([bake], null);
    await a.add({ kind: 'timer', timerId: 't', name: 'glaze', minutes: 5 });
    await told(() => b.alarms().length > 0);
    const due = a.alarms()[0]?.at ?? 0;
    const real = Date.now.bind(Date);
    a.now();
    const now = spyOn(Date, 'now').and.callFake(() => real() - 3_600_000);
    const left = (m: Makings): number => Math.round((due - m.now()) / 60_000);
    expect(left(a)).toBe(5);
    await told(() => b.making()?.clock !== undefined);
    expect(left(b)).toBe(5);
    await store.settled();
    const again = TestBed.runInInjectionContext(() => new Makings());
    await told(() => again.ready());
    expect(left(again)).toBe(5);
    now.and.callFake(real);
  });

  it('that cannot be read is kept aside and said', async () => {
    await store.database.meta.put({ key: 'making', value: { id: 'x', bakes: 'none' }, revision: 1 });
    const makings = TestBed.inject(Makings);
    await told(() => makings.ready());
    expect(makings.making()).toBeNull();
    expect((await store.database.bin.toArray()).map((r) => r.value)).toEqual([{ id: 'x', bakes: 'none' }]);
    expect(
      TestBed.inject(Notices)
        .list()
        .some((n) => n.words.includes('cannot be read')),
    ).toBeTrue();
  });

  it('and the day book keeps what was said, undoes it, and forgets a day that is over', async () => {
    const book = TestBed.inject(DayBook);
    await settle();
    await book.add('loaf');
    await book.serve(Date.now() + 5 * 3_600_000);
    await told(() => book.ids().length > 0 && book.doc().serve !== null);
    expect(book.ids()).toEqual(['loaf']);
    const said = book.doc().serve;
    await book.serve(Date.now() + 6 * 3_600_000);
    await told(() => JSON.stringify(book.doc().serve) !== JSON.stringify(said));
    await store.undo('day');
    await told(() => JSON.stringify(book.doc().serve) === JSON.stringify(said));
    book.now.set(Date.now() + 30 * 3_600_000);
    expect(book.doc().serve).toBeNull();
    expect(book.ids()).toEqual([]);
  });
});
