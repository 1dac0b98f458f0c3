import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { allItems, applyChanges, assess, type Formula } from '@orvin/core';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Desk } from '../desk/desk';
import { Around } from './around';
import { BesideView } from './beside';
import { base, lineOf } from '../ui/testing/muffins';
import { all, host, num } from '../ui/testing/page';
import { demoPound } from './testing/pound';
import { kinds } from '../data/kinds';

const muffins: Formula = { ...base, id: 'muffins', title: 'Muffins' };
const pound: Formula = { ...demoPound, id: 'pound', title: 'Pound cake' };

describe('two formulas side by side', () => {
  let store: Store;
  let desk: Desk;

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([]), Around] });
    store = await openKitchen();
    for (const f of [muffins, pound]) await store.change(kinds.formula, f.id, 'read', null, { formula: f, plan: {} });
    desk = TestBed.inject(Desk);
    await desk.pickUp('muffins');
  });
  afterEach(async () => {
    await store.settled();
    desk.putDown();
    await closeKitchen(store);
  });

  async function open(): Promise<ComponentFixture<BesideView>> {
    const fixture = TestBed.createComponent(BesideView);
    fixture.componentRef.setInput('id', 'muffins');
    for (let i = 0; i < 40 && !host(fixture).querySelector('.lines'); i++) {
      await fixture.whenStable();
      await new Promise((r) => setTimeout(r, 25));
    }
    // the other formulas come from the database a little later
    for (let i = 0; i < 40 && !/ beside /.test(host(fixture).textContent ?? ''); i++) {
      await new Promise((r) => setTimeout(r, 25));
      await fixture.whenStable();
    }
    return fixture;
  }
  const cells = (el: Element, row: string): string[] =>
    all(el, '.lines tr')
      .filter((r) => r.querySelector('th')?.textContent?.trim() === row)
      .flatMap((r) => all(r, 'td').map((c) => c.textContent?.trim() ?? ''));

  it('sets the other formula beside this one, line by line, in per cent of each one’s own flour', async () => {
    const el = host(await open());
    expect(el.querySelector('.summary')?.textContent).toContain('Pound cake beside Muffins, as it is');
    expect(cells(el, 'Butter, unsalted')).toEqual(['', 'none', '200 g', '100 %', '+100']);
    expect(cells(el, 'Plain flour')).toEqual(['250 g', '100 %', '200 g', '100 %', 'same']);
    expect(cells(el, 'Baking soda')[3]).toBe('none');
    const lift = cells(el, 'lift');
    expect(lift[1]).toBe(`${assess(muffins).lift.mmolPer100gBase.typical.toFixed(1)} mmol`);
    expect(lift[3]).toBe(`${assess(pound).lift.mmolPer100gBase.typical.toFixed(1)} mmol`);
  });

  it('draws both lifts on one scale of gas and one of time', async () => {
    const el = host(await open());
    const lifts = all(el, 'orvin-lift');
    expect(lifts.length).toBe(2);
    const perMmol = lifts.map((l) => {
      const height = all(l, 'rect.gas').reduce((s, r) => s + num(r, 'height'), 0);
      return height / all(l, 'text.num').reduce((s, t) => s + num(t, 'data-mmol'), 0);
    });
    expect((perMmol[0] ?? 0) / (perMmol[1] ?? 1)).toBeCloseTo(1, 1);
    const ends = lifts.map((l) => l.querySelector('.knob')?.getAttribute('aria-valuemax'));
    expect(ends[0]).toBe(ends[1]);
  });

  it('prefers an earlier version that differs, and says how', async () => {
    await store.freeze(muffins, 'before the sugar');
    void desk.change('more sugar', { formula: applyChanges(muffins, [{ itemId: lineOf('white-sugar'), grams: 200 }]) });
    await store.settled();
    const el = host(await open());
    expect(el.querySelector('.summary')?.textContent).toContain('version 1, before the sugar');
    expect(el.querySelector('.summary')?.textContent).toContain('less sweet');
    // the same lines on either side, one of them changed
    const rows = all(el, '.lines tbody:first-of-type tr');
    expect(rows.length).toBe(allItems(muffins).length);
    const changed = rows.filter((r) => all(r, 'td').at(-1)?.textContent?.trim() !== 'same');
    expect(changed.map((r) => r.querySelector('th')?.textContent?.trim())).toEqual(['Granulated sugar']);
  });
});

describe('what stands around a formula', () => {
  it('is the rest of the kitchen and its own versions, each with its place on the map', async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([]), Around] });
    const store = await openKitchen();
    for (const f of [muffins, pound]) await store.change(kinds.formula, f.id, 'read', null, { formula: f, plan: {} });
    await store.freeze(muffins, 'kept');
    const around = TestBed.inject(Around);
    await around.look('muffins');
    expect(around.neighbours().map((n) => [n.title, n.version])).toEqual([
      ['version 1, kept', true],
      ['Pound cake', false],
    ]);
    const at = around.neighbours().find((n) => n.id === 'pound')?.at;
    const t = assess(pound).totals;
    expect(at?.fat).toBeCloseTo(t.fatPct, 9);
    expect(at?.sugar).toBeCloseTo(t.sugarPct, 9);
    expect(at?.water).toBeCloseTo(t.waterPct, 9);
    await around.look('pound');
    expect(around.neighbours().map((n) => n.title)).toEqual(['Muffins']);
    await closeKitchen(store);
  });
});
