import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { allItems, assess, type Formula } from '@orvin/core';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Desk } from '../desk/desk';
import { AdviceBar } from './advice';
import { EffectLine } from './effect-line';
import { FamilyMap } from './family-map';
import { Hand } from './hand';
import { LedgerDrawing } from './ledger';
import { base, lineOf } from '../ui/testing/muffins';
import { all, host, press } from '../ui/testing/page';
import { show } from './testing/drawings';
import { kinds } from '../data/kinds';

const doc: Formula = { ...base, id: 'muffins' };

describe('the hand on the drawings', () => {
  let desk: Desk;
  let store: Store;
  let hand: Hand;

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [Hand, provideRouter([])] });
    store = await openKitchen();
    await store.change(kinds.formula, 'muffins', 'read', null, { formula: doc, plan: {} });
    desk = TestBed.inject(Desk);
    await desk.pickUp('muffins');
    hand = TestBed.inject(Hand);
  });
  afterEach(async () => {
    await store.settled();
    desk.putDown();
    await closeKitchen(store);
  });

  const grams = (ingredient: string): number =>
    allItems(desk.shown() as Formula).find((i) => i.ingredient === ingredient)?.grams ?? NaN;
  const total = (): number => allItems(desk.shown() as Formula).reduce((s, i) => s + i.grams, 0);
  const commands = async (): Promise<number> => {
    await store.settled();
    return store.database.commands.where('doc').equals('muffins').count();
  };
  const at = (x: number, type: string): PointerEvent =>
    new PointerEvent(type, { pointerId: 1, button: 0, clientX: x, clientY: 20, bubbles: true, cancelable: true });
  /** Pulls something sideways by so many pixels, in three moves. */
  function pull(el: Element, by: number, letGo = true): void {
    const target = el as SVGElement;
    target.setPointerCapture = () => undefined;
    target.releasePointerCapture = () => undefined;
    target.dispatchEvent(at(300, 'pointerdown'));
    for (const k of [0.4, 0.7, 1]) target.dispatchEvent(at(300 + k * by, 'pointermove'));
    if (letGo) target.dispatchEvent(at(300 + by, 'pointerup'));
  }
  async function ledger(): Promise<ComponentFixture<LedgerDrawing>> {
    const fixture = await show(LedgerDrawing, assess(doc), null);
    document.body.append(host(fixture));
    host(fixture).style.width = '568px';
    return fixture;
  }
  /** The segment of a line on one side; a locked one is there, but no slider. */
  const segment = (f: ComponentFixture<unknown>, label: string): Element => {
    const [name, side] = label.split(', ') as [string, string];
    return all(host(f), `.segment.${side}`).find((s) => s.textContent?.trim().startsWith(name)) as Element;
  };

  it('pulls a segment of the ledger as far as the soda it stands for, and stores it once', async () => {
    const f = await ledger();
    const soda = segment(f, 'Baking soda, soda');
    const width = Number(soda.querySelector('rect')?.getAttribute('width'));
    pull(soda, width / 2);
    expect(grams('baking-soda')).toBeCloseTo(4.5, 0);
    expect(await commands()).toBe(1);
    // acid grows to the left
    pull(segment(f, 'Plain yogurt, acid'), -40);
    expect(grams('yogurt')).toBeGreaterThan(200);
    expect(await commands()).toBe(2);
    await desk.undo();
    expect(grams('yogurt')).toBe(200);
    host(f).remove();
  });

  it('shows a pull that is not let go without storing it, and forgets it when it is lost', async () => {
    const f = await ledger();
    const soda = segment(f, 'Baking soda, soda');
    pull(soda, 60, false);
    expect(grams('baking-soda')).toBeGreaterThan(3);
    expect(desk.before()?.totals.batterG).toBeDefined();
    soda.dispatchEvent(at(360, 'lostpointercapture'));
    expect(grams('baking-soda')).toBe(3);
    expect(await commands()).toBe(0);
    host(f).remove();
  });

  it('steps what has the focus by arrow keys, coarser with Shift and finer with Alt', async () => {
    const f = await ledger();
    const yogurt = segment(f, 'Plain yogurt, acid');
    press(yogurt, 'ArrowUp');
    const one = grams('yogurt') - 200;
    expect(one).toBeGreaterThan(0);
    press(yogurt, 'ArrowDown');
    expect(grams('yogurt')).toBe(200);
    press(yogurt, 'ArrowUp', { shiftKey: true });
    expect(grams('yogurt')).toBe(200 + 5 * one);
    press(yogurt, 'ArrowDown', { altKey: true });
    expect(grams('yogurt')).toBeCloseTo(200 + 5 * one - one / 5, 6);
    host(f).remove();
  });

  it('moves nothing that is locked, by any way but typing', async () => {
    hand.toggleLock(lineOf('baking-soda'), 'Baking soda');
    hand.toggleLock(lineOf('white-sugar'), 'Sugar');
    expect(hand.locked().length).toBe(2);
    const f = await ledger();
    await f.whenStable();
    expect(segment(f, 'Baking soda, soda').getAttribute('role')).toBe('button');
    pull(segment(f, 'Baking soda, soda'), 60);
    press(segment(f, 'Baking soda, soda'), 'ArrowUp');
    expect(grams('baking-soda')).toBe(3);
    hand.move({ sugar: 90, fat: 50 }, true);
    expect(grams('white-sugar')).toBe(120);
    expect(grams('neutral-oil')).toBeGreaterThan(80);
    expect(hand.total(1600)).toBeTrue();
    expect(grams('white-sugar')).toBe(120);
    expect(total()).toBeCloseTo(1600, 0);
    // typing sets it all the same
    hand.set(lineOf('baking-soda'), 4);
    expect(grams('baking-soda')).toBe(4);
    hand.toggleLock(lineOf('baking-soda'), 'Baking soda');
    expect(hand.locked()).toEqual([lineOf('white-sugar')]);
    host(f).remove();
  });

  it('holds the total when asked to: the other lines make up for the one that changes', () => {
    const before = total();
    hand.holdTotal.set(true);
    hand.pull(lineOf('white-sugar'), 200);
    expect(total()).toBeCloseTo(before, 0);
    expect(grams('plain-flour')).toBeLessThan(250);
    hand.set(lineOf('white-sugar'), 200);
    expect(total()).toBeCloseTo(before, 0);
    expect(grams('white-sugar')).toBe(200);
  });

  it('scales to a weight with its ratios kept, or says that locked lines do not let it', () => {
    const ratio = grams('white-sugar') / grams('plain-flour');
    expect(hand.total(2000)).toBeTrue();
    expect(total()).toBeCloseTo(2000, 0);
    expect(grams('white-sugar') / grams('plain-flour')).toBeCloseTo(ratio, 3);
    for (const i of allItems(doc)) hand.toggleLock(i.id, i.words);
    expect(hand.total(900)).toBeFalse();
    expect(total()).toBeCloseTo(2000, 0);
  });

  it('moves the point of the map by keys to where it says it is', async () => {
    const f = await show(FamilyMap, assess(doc), null);
    const before = desk.assessment()?.totals.sugarPct ?? 0;
    press(host(f).querySelector('circle.point') as Element, 'ArrowRight', { shiftKey: true });
    expect(desk.assessment()?.totals.sugarPct).toBeCloseTo(before + 5, 0);
    expect(await commands()).toBe(1);
  });

  it('says what a little more of the line pointed at would do, and is silent while something is pulled', async () => {
    const fixture = TestBed.createComponent(EffectLine);
    fixture.componentRef.setInput('itemId', lineOf('neutral-oil'));
    await fixture.whenStable();
    expect(host(fixture).textContent).toMatch(/10 g more neutral oil.*tenderness \+/);
    hand.pull(lineOf('neutral-oil'), 120);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('Point at a line');
  });

  it('never says that nothing is to mend while something is', async () => {
    const fixture = TestBed.createComponent(AdviceBar);
    const said = async (): Promise<string> => {
      await fixture.whenStable();
      return host(fixture).textContent ?? '';
    };
    for (const [ingredient, to] of [
      ['baking-soda', 14],
      ['plain-flour', 0],
      ['neutral-oil', 600],
      ['yogurt', 2000],
      ['fine-salt', 40],
    ] as const) {
      const line = allItems(desk.formula() as Formula).find((i) => i.ingredient === ingredient);
      if (!line) continue;
      const was = line.grams;
      hand.set(line.id, to);
      const off = desk.assessment()?.verdicts.some((v) => v.severity !== 'note') ?? false;
      expect(off).withContext(ingredient).toBeTrue();
      expect(await said())
        .withContext(ingredient)
        .not.toContain('Nothing to mend');
      hand.set(line.id, was);
    }
  });
});
