import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { defaultKitchen } from '@orvin/core';
import { readRecipe, settle, write } from '@orvin/core/reading';
import { kinds } from '../data/kinds';
import { Notices } from '../data/notices';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Intake } from './intake';
import { ManyIn } from './many-in';

const recipe = 'Oat squares\n200 g rolled oats\n2 cups (180 g) flour\n80 g honey\n100 g butter\n5 g baking powder';
const file = (name: string, text: string): File => new File([text], name);

describe('taking recipes in', () => {
  let intake: Intake;
  let store: Store;
  let many: ManyIn;

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([{ path: '**', children: [] }])] });
    store = await openKitchen();
    intake = TestBed.inject(Intake);
    many = TestBed.inject(ManyIn);
  });
  afterEach(async () => {
    await store.settled();
    await closeKitchen(store);
  });

  const shelf = async (): Promise<string[]> =>
    (await store.database.working.toArray()).map((w) => w.formula.title).sort();

  it('keeps a reading over a reload, with what was settled', async () => {
    await intake.read(recipe, defaultKitchen);
    const reading = intake.reading();
    const doubt = reading?.draft.doubts.find((d) => d.kind === 'disagree');
    expect(doubt).toBeDefined();
    if (!reading || !doubt) return;
    intake.hold({
      ...reading,
      draft: settle(reading.draft, doubt.id, 'weight'),
      settled: [{ words: doubt.words, choice: 'weight' }],
    });
    await new Promise((r) => setTimeout(r, 50));
    intake.reading.set(null);
    await intake.restore();
    expect(intake.reading()?.draft.doubts).toEqual(reading.draft.doubts.filter((d) => d.id !== doubt.id));
    expect(intake.reading()?.text).toBe(recipe);
  });

  it('puts the same recipe on the shelf twice without losing the first', async () => {
    const { formula } = readRecipe(recipe);
    await intake.shelve(formula);
    await intake.shelve(formula);
    expect(await shelf()).toEqual(['Oat squares', 'Oat squares']);
    expect(await store.database.versions.count()).toBe(2);
  });

  it('takes several files at once, and tells which one is wrong', async () => {
    const one = write({ ...readRecipe(recipe).formula, title: 'From JSON' }, 'json');
    await intake.files(
      [
        file('a.json', one),
        file('b.txt', recipe),
        file('c.json', '{"format":"orvin.formula","version":1'),
        file('d.json', '{"format":"orvin.formula","version":1}'),
      ],
      defaultKitchen,
    );
    // the text alone is one recipe, so it is opened for reading; the formula is on the shelf
    expect(await shelf()).toEqual(['From JSON']);
    expect(intake.reading()?.draft.formula.title).toBe('Oat squares');
    const problems = TestBed.inject(Notices)
      .list()
      .filter((n) => n.kind === 'problem')
      .map((n) => n.words);
    expect(problems.length).toBe(2);
    expect(problems[0]).toContain('c.json, line 1');
    expect(problems[1]).toContain('d.json');
  });

  const sure = (n: number): string =>
    `Plain scones ${n}\n300 g plain flour\n60 g butter\n150 ml milk\n12 g baking powder\nBake at 210 °C for 14 minutes.`;
  const several = (n: number): string =>
    Array.from({ length: n }, (_, i) => (i % 3 === 2 ? `${recipe} ${i}` : sure(i))).join('\n---\n');

  it('reads many at once: the clear ones to the shelf, the doubtful ones to a pile that can be gone through', async () => {
    await intake.files([file('many.txt', several(9))], defaultKitchen);
    const p = many.progress();
    expect([p?.done, p?.total, p?.shelved, p?.doubtful, p?.failed, p?.running]).toEqual([9, 9, 6, 3, 0, false]);
    expect((await shelf()).length).toBe(6);
    expect(await store.database.versions.count()).toBe(6);
    expect(await intake.next()).toBeTrue();
    const first = intake.reading();
    expect(first?.draft.doubts.length).toBeGreaterThan(0);
    if (first) await intake.shelve(first.draft.formula, false);
    intake.hold(null);
    await new Promise((r) => setTimeout(r, 50));
    expect(await store.database.meta.where('key').startsWith('pile:').count()).toBe(2);
  });

  it('stops between two recipes: every one stored is whole', async () => {
    const all = intake.files([file('many.txt', several(60))], defaultKitchen);
    while ((many.progress()?.done ?? 0) < 8) await new Promise((r) => setTimeout(r, 5));
    many.cancel();
    await all;
    const p = many.progress();
    expect(p?.stopped).toBeTrue();
    expect(p?.done).toBeLessThan(60);
    expect((await shelf()).length).toBe(p?.shelved ?? -1);
    expect(await store.database.versions.count()).toBe(p?.shelved ?? -1);
    expect(await store.database.meta.where('key').startsWith('pile:').count()).toBe(p?.doubtful ?? -1);
  });

  describe('while another tab is at it', () => {
    let left: { count: number; busy: boolean } = { count: 0, busy: false };
    let done: () => void;
    let other: Promise<unknown>;
    beforeEach(() => {
      const sub = many.left$.subscribe((l) => (left = l));
      other = navigator.locks.request(`${store.name()}/taking`, () => new Promise<void>((r) => (done = r)));
      void other.finally(() => sub.unsubscribe());
    });
    const until = async (is: () => boolean): Promise<void> => {
      for (let i = 0; i < 500 && !is(); i++) await new Promise((r) => setTimeout(r, 10));
      expect(is()).withContext(JSON.stringify(left)).toBeTrue();
    };

    it('what comes in waits, is not said to be cut short, and is taken in afterwards', async () => {
      const all = intake.files([file('many.txt', several(4))], defaultKitchen);
      await until(() => left.count === 4 && left.busy);
      expect(many.importing()).toBeFalse();
      expect(await shelf()).toEqual([]);
      done();
      await Promise.all([all, other]);
      expect((await shelf()).length).toBe(3);
      expect(many.progress()).toEqual(jasmine.objectContaining({ done: 4, total: 4, running: false }));
    });

    it('what that tab leaves, however it ended, is offered', async () => {
      await store.put(kinds.taking, 'taking:1', { given: { text: sure(1) }, n: 0, total: 1 });
      await until(() => left.count === 1 && left.busy);
      done();
      await other;
      const sub = many.left$.subscribe((l) => (left = l));
      await until(() => left.count === 1 && !left.busy);
      sub.unsubscribe();
      await many.goOn(defaultKitchen);
      expect(await shelf()).toEqual(['Plain scones 1']);
    });
  });

  it('takes in what another tab brings while it is at it', async () => {
    const all = intake.files([file('many.txt', several(12))], defaultKitchen);
    while ((many.progress()?.done ?? 0) < 2) await new Promise((r) => setTimeout(r, 5));
    await store.put(kinds.taking, 'taking:zz', { given: { text: sure(99) }, n: 0, total: 1 });
    await all;
    expect(await shelf()).toContain('Plain scones 99');
    expect(await store.keys('taking:')).toEqual([]);
    expect(many.progress()).toEqual(jasmine.objectContaining({ done: 13, total: 13, running: false }));
  });

  it('opens one text file for reading, and refuses one that is far too large', async () => {
    await intake.files([file('b.txt', recipe)], defaultKitchen);
    expect(intake.reading()?.draft.formula.title).toBe('Oat squares');
    const huge = file('huge.json', '');
    Object.defineProperty(huge, 'size', { value: 90_000_000 });
    await intake.files([huge], defaultKitchen);
    expect(TestBed.inject(Notices).list().at(-1)?.words).toContain('too large');
  });
});
