import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { allItems, applyChanges, type Formula } from '@orvin/core';
import type { VersionRecord } from '../data/records';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Desk } from '../desk/desk';
import { base } from '../ui/testing/muffins';
import { all, host, until } from '../ui/testing/page';
import { treeOf } from './tree';
import { Versions } from './versions';
import { kinds } from '../data/kinds';

const cake: Formula = { ...base, id: 'cake', title: 'Cake' };
const withFlour = (grams: number): Formula => applyChanges(cake, [{ itemId: allItems(cake)[0]?.id ?? '', grams }]);
const version = (n: number, parent: number | null): VersionRecord => ({
  id: `cake@${n}`,
  formulaId: 'cake',
  n,
  at: n,
  why: `the ${n}th`,
  formula: withFlour(200 + n),
  parent: parent === null ? null : `cake@${parent}`,
});

describe('the tree of versions', () => {
  it('stands newest first, keeps a line of versions in one lane and branches into others', () => {
    const twigs = treeOf([version(1, null), version(2, 1), version(3, 1), version(4, 3), version(5, 2), version(6, 9)]);
    expect(twigs.map((t) => t.version.n)).toEqual([6, 5, 4, 3, 2, 1]);
    const lane = (n: number): number => twigs.find((t) => t.version.n === n)?.lane ?? NaN;
    // a parent that is not there is no parent
    expect(twigs[0]?.parentRow).toBeNull();
    expect(lane(5)).toBe(lane(2));
    expect(lane(4)).toBe(lane(3));
    expect(lane(5)).not.toBe(lane(4));
    // of two that come from one, the newer keeps its lane
    expect(lane(1)).toBe(lane(3));
    for (const t of twigs) if (t.parentRow !== null) expect(twigs[t.parentRow]?.lane).toBe(t.parentLane);
    // two versions of one row never share a place
    expect(new Set(twigs.map((t, row) => `${row}/${t.lane}`)).size).toBe(twigs.length);
  });
});

describe('the page of versions', () => {
  let store: Store;
  let desk: Desk;
  let fixture: ComponentFixture<Versions>;

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([{ path: '**', children: [] }])] });
    store = await openKitchen();
    await store.change(kinds.formula, 'cake', 'read', null, { formula: cake, plan: {} });
    desk = TestBed.inject(Desk);
    await desk.pickUp('cake');
    await store.freeze(cake, 'as read');
    await store.write('a version', (w) =>
      w.freeze(withFlour(300), 'more flour', 'cake@1', ['more plain flour: it holds up']),
    );
    await store.freeze(withFlour(220), 'less flour', 'cake@1');
    fixture = TestBed.createComponent(Versions);
    fixture.componentRef.setInput('id', 'cake');
    await until(fixture, () => all(host(fixture), '.tree > li').length === 3);
  });
  afterEach(async () => {
    await store.settled();
    desk.putDown();
    await closeKitchen(store);
  });
  const row = (n: number): Element => all(host(fixture), '.tree > li')[3 - n] as Element;
  const word = (n: number, label: RegExp): HTMLButtonElement =>
    all(row(n), 'button').find((b) => label.test(b.textContent ?? '')) as HTMLButtonElement;

  it('says what differs from the one each was made from, and why', () => {
    expect(row(2).textContent).toContain('Plain flour 250 → 300 g');
    expect(row(3).textContent).toContain('from version 1: Plain flour 250 → 220 g');
    expect(row(2).textContent).toContain('it holds up');
  });

  it('goes back to one without losing what stood on the Bench, as one step that can be undone', async () => {
    desk.setGrams(allItems(cake)[0]?.id ?? '', 275, 'flour');
    await until(fixture, () => /in no version yet/.test(host(fixture).textContent ?? ''));
    word(2, /go back/).click();
    await until(fixture, () => desk.plan().version === 'cake@2');
    await store.settled();
    expect(desk.formula()).toEqual(withFlour(300));
    const all = await store.database.versions.toArray();
    expect(all.some((v) => allItems(v.formula)[0]?.grams === 275)).toBeTrue();
    await desk.undo();
    expect(allItems(desk.formula() as Formula)[0]?.grams).toBe(275);
  });

  it('takes a name and a note for one, and gives them back on undo', async () => {
    word(2, /name, note/).click();
    await until(fixture, () => host(fixture).querySelector('form') !== null);
    (host(fixture).querySelector('form input') as HTMLInputElement).value = 'the firm one';
    (host(fixture).querySelector('form textarea') as HTMLTextAreaElement).value = 'stood up well';
    host(fixture).querySelector('form')?.dispatchEvent(new Event('submit'));
    await until(fixture, () => /the firm one/.test(row(2).textContent ?? ''));
    expect(row(2).textContent).toContain('stood up well');
    await store.undo('cake');
    await until(fixture, () => !/the firm one/.test(row(2).textContent ?? ''));
    expect((await store.database.versions.get('cake@2'))?.formula).toEqual(withFlour(300));
  });
});
