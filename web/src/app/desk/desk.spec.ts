import { TestBed } from '@angular/core/testing';
import {
  allItems,
  applyChanges,
  defaultKitchen,
  putBy,
  scale,
  withSetting,
  withStages,
  type BakeSetting,
  type Formula,
  type KnownBake,
  type Tin,
} from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Bakery, place, statedOf } from './bakery';
import { Desk } from './desk';
import { kinds, type Kind } from '../data/kinds';

const f: Formula = {
  ...readRecipe(
    'Cinnamon loaf\n250 g plain flour\n2 tsp baking soda\n2 eggs\n150 g sugar\n90 g oil\n160 g yogurt\nBake at 175C for 50-60 minutes in a 9x5 inch loaf tin.',
  ).formula,
  id: 'loaf',
};

describe('the desk', () => {
  let desk: Desk;
  let store: Store;

  beforeEach(async () => {
    store = await openKitchen();
    await store.change(kinds.formula, 'loaf', 'read', null, { formula: f, plan: {} });
    desk = TestBed.inject(Desk);
    await desk.pickUp('loaf');
  });
  afterEach(async () => {
    desk.putDown();
    await closeKitchen(store);
  });

  const flour = (): string => allItems(f)[0]?.id ?? '';

  it('shows a pull at once and stores it once, as one command', async () => {
    const lift = desk.assessment()?.lift.mmolPer100gBase.typical ?? 0;
    for (const grams of [260, 280, 320]) desk.drag.set([{ itemId: flour(), grams }]);
    expect(desk.assessment()?.lift.mmolPer100gBase.typical).toBeLessThan(lift);
    expect(desk.before()?.lift.mmolPer100gBase.typical).toBeCloseTo(lift, 9);
    desk.setGrams(flour(), 320, 'flour 250 → 320 g');
    await store.settled();
    expect(await store.database.commands.where('doc').equals('loaf').count()).toBe(1);
    expect((await store.database.working.get('loaf'))?.formula).toEqual(desk.formula() as Formula);
  });

  it('never shows an older state between a change and what the database tells of it, and takes over what is newer', async () => {
    const old = await store.database.working.get('loaf');
    const shown = new Set<number>();
    const look = (): unknown => shown.add(allItems(desk.formula() ?? f)[0]?.grams ?? NaN);
    const watching = setInterval(look, 0);
    for (const grams of [310, 315, 320]) {
      desk.setGrams(flour(), grams, `flour → ${grams} g`);
      look();
    }
    await store.settled();
    for (let i = 0; i < 20; i++) await new Promise((r) => setTimeout(r));
    clearInterval(watching);
    expect([...shown]).toEqual([310, 315, 320]);
    if (!old) return;
    await store.database.working.put({ ...old, revision: 99 });
    for (let i = 0; i < 100 && allItems(desk.formula() ?? f)[0]?.grams === 320; i++)
      await new Promise((r) => setTimeout(r));
    expect(desk.formula()).toEqual(old.formula);
  });

  it('takes over what was done elsewhere to the formula in hand while a change of the one before was stored', async () => {
    await store.change(kinds.formula, 'bun', 'read', null, { formula: { ...f, id: 'bun' }, plan: {} });
    const bun = await store.database.working.get('bun');
    if (!bun) return fail('no bun');
    // the loaf is being stored when the bun is taken up, and the bun changes elsewhere
    let stored = (): void => undefined;
    const writing = new Promise<void>((r) => (stored = r));
    const guarded = store.guarded.bind(store);
    spyOn(store, 'guarded').and.callFake(async (what, work) => {
      await writing;
      return guarded(what, work);
    });
    desk.setGrams(flour(), 310, 'flour → 310 g');
    await desk.pickUp('bun');
    const elsewhere = { ...f, id: 'bun', title: 'Bun from the other tab' };
    await store.database.working.put({ ...bun, formula: elsewhere, revision: bun.revision + 1 });
    await new Promise((r) => setTimeout(r, 60));
    stored();
    await store.settled();
    for (let i = 0; i < 20; i++) await new Promise((r) => setTimeout(r));
    expect(desk.formula()).toEqual(elsewhere);
  });

  it('has in hand what was asked for last, however often the other was changed', async () => {
    for (const grams of [300, 310, 320]) desk.setGrams(flour(), grams, `flour → ${grams} g`);
    await store.change(kinds.formula, 'bun', 'read', null, { formula: { ...f, id: 'bun' }, plan: {} });
    await store.settled();
    desk.putDown();
    await Promise.all([desk.pickUp('loaf'), desk.pickUp('bun')]);
    expect(desk.formula()?.id).toBe('bun');
    await Promise.all([desk.pickUp('loaf'), desk.pickUp('bun'), desk.pickUp('loaf')]);
    expect(desk.formula()?.id).toBe('loaf');
  });

  it('leaves in hand what a view takes up while it looks for what was in hand before', async () => {
    const read = store.read.bind(store);
    const asking: { kind: string | null; asked?: Promise<void> } = { kind: null };
    spyOn(store, 'read').and.callFake((async (k: Kind<unknown>, key: string) => {
      const found = await read(k, key);
      if (asking.kind === k.name) asking.asked ??= desk.pickUp('gone');
      return found;
    }) as never);
    for (const kind of ['inHand', 'formula']) {
      desk.putDown();
      asking.kind = kind;
      delete asking.asked;
      await desk.resume();
      asking.kind = null;
      await Promise.resolve(asking.asked);
      expect(asking.asked).withContext(kind).toBeDefined();
      expect(desk.id()).withContext(kind).toBe('gone');
      expect(desk.missing()).withContext(kind).toBe(true);
      expect(desk.formula()).withContext(kind).toBeNull();
    }
  });

  it('keeps of what is tried the difference, on whatever the formula has become meanwhile', async () => {
    const sugar = allItems(f)[3]?.id ?? '';
    const grams = (id: string): number | undefined => allItems(desk.formula() ?? f).find((i) => i.id === id)?.grams;
    desk.tryOut('more', 'more sugar', applyChanges(f, [{ itemId: sugar, grams: 180 }]), ['it is dull']);
    // another tab
    const row = await store.database.working.get('loaf');
    if (!row) return fail('no loaf');
    await store.database.working.put({
      ...row,
      formula: applyChanges(f, [{ itemId: flour(), grams: 280 }]),
      revision: 50,
    });
    // before or after this tab has been told
    await desk.keep();
    await store.settled();
    expect([grams(flour()), grams(sugar)]).toEqual([280, 180]);
    const versions = await store.database.versions.where('formulaId').equals('loaf').sortBy('n');
    const kept = versions.map((v) =>
      allItems(v.formula).flatMap((i) => ([flour(), sugar].includes(i.id) ? [i.grams] : [])),
    );
    // what stood there is frozen with what the other tab did, and so is what came of it
    expect(kept).toEqual([[280, 150], [280, 180]]); // prettier-ignore
    expect(desk.plan().version).toBe(versions[1]?.id);
  });

  it('stores nothing of what is tried until it is kept', async () => {
    const advice = desk.assessment()?.advice[0];
    expect(advice).toBeDefined();
    if (!advice) return;
    desk.try(advice);
    expect(desk.assessment()?.merit).toBeLessThan(desk.before()?.merit ?? 0);
    await store.settled();
    expect((await store.database.working.get('loaf'))?.formula).toEqual(f);
    desk.drop();
    expect(desk.shown()).toEqual(f);
    desk.try(advice);
    await desk.keep();
    await store.settled();
    expect((await store.database.working.get('loaf'))?.formula).not.toEqual(f);
    // what it was is a version too, and what was kept comes from it
    const [was, is] = await store.database.versions.orderBy('at').toArray();
    expect(was?.formula).toEqual(f);
    expect(is?.parent).toBe(was?.id);
    expect(is?.formula).toEqual(desk.formula() as Formula);
    expect(desk.plan().version).toBe(is?.id);
    await desk.undo();
    expect(desk.formula()).toEqual(f);
    expect(desk.plan().version).toBeUndefined();
  });

  it('says when a formula is not there', async () => {
    await desk.pickUp('nowhere');
    expect(desk.missing()).toBeTrue();
    await desk.pickUp('loaf');
    expect(desk.missing()).toBeFalse();
  });
});

describe('the bakery', () => {
  it('scales to the tins asked for and divides all the batter', () => {
    const tin = { id: 'r', name: '18 cm', shape: 'round', topMm: 180, depthMm: 50, material: 'light metal' } as const;
    const p = place(f, [{ tin, count: 2 }], defaultKitchen, true);
    const total = allItems(p.formula).reduce((s, i) => s + i.grams, 0);
    expect(p.fits.reduce((s, x) => s + x.batterG * x.count, 0)).toBeCloseTo(total, 6);
    expect(p.inputs[0]?.batterG).toBeCloseTo(total / 2, 6);
    expect(place(f, f.tins ?? [], defaultKitchen, false).factor).toBe(1);
  });

  it('takes a stated time for what it was stated for, whatever the dial and the batter are now', () => {
    const of = (g: Formula): KnownBake | null => statedOf(g, defaultKitchen);
    const bake = f.bake as BakeSetting;
    const was = of(f);
    expect(was?.minutes).toBeCloseTo(Math.sqrt(50 * 60), 6);
    const turned = of({ ...f, bake: withSetting(bake, { ovenC: 150, hotTin: true }) });
    expect(turned).toEqual(was);
    const under = withStages({ ...bake, minutes: { early: 58, late: 66 } }, 'lid');
    expect(of({ ...f, bake: under })?.input.stages?.[0]?.cover).toBe('lid');
    // half the batter in the same tin: the time still speaks of the whole
    const whole = was?.input.batterG ?? 0;
    const half = scale({ ...f, bake: putBy(bake, whole) }, { by: 'factor', factor: 0.5 }).formula;
    expect(of(half)?.input.batterG).toBe(whole);
    expect(of({ ...f, bake: { ovenC: 175, fan: false } })).toBeNull();
  });

  it('follows the tin that is looked at, with the oven as it is when it goes in', async () => {
    const store = await openKitchen();
    const [a, b] = [defaultKitchen.tins[0], defaultKitchen.tins[1]] as [Tin, Tin];
    const tins = [
      { tin: a, count: 1 },
      { tin: b, count: 1 },
    ];
    await store.change(kinds.formula, 'loaf', 'read', null, { formula: f, plan: { tins, ovenReachedC: 90 } });
    const [desk, bakery] = [TestBed.inject(Desk), TestBed.inject(Bakery)];
    await desk.pickUp('loaf');
    expect(bakery.target()?.inputs.map((i) => i.ovenReachedC)).toEqual([90, 90]);
    expect(bakery.shownFit()?.tin.id).toBe(a.id);
    bakery.show(b.id);
    expect(bakery.shownFit()?.tin.id).toBe(b.id);
    // one that is taken out is no longer looked at
    desk.setTins([{ tin: a, count: 1 }]);
    expect(bakery.shownFit()?.tin.id).toBe(a.id);
    desk.putDown();
    await store.settled();
    await closeKitchen(store);
  });
});
