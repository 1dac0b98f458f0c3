import { TestBed } from '@angular/core/testing';
import { applyChanges, allItems, defaultKitchen, type Formula, type Kitchen } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import { Notices } from '../data/notices';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Desk } from '../desk/desk';
import { Undo } from './undo';
import { kinds } from '../data/kinds';

const f: Formula = {
  ...readRecipe('Scones\n300 g flour\n15 g baking powder\n60 g butter\n170 g milk').formula,
  id: 'sc',
};

describe('undo in each view', () => {
  let store: Store;
  let undo: Undo;
  let desk: Desk;

  beforeEach(async () => {
    store = await openKitchen();
    await store.change(kinds.formula, 'sc', 'read', null, { formula: f, plan: {} });
    desk = TestBed.inject(Desk);
    await desk.pickUp('sc');
    undo = TestBed.inject(Undo);
  });
  afterEach(async () => {
    desk.putDown();
    await store.settled();
    await closeKitchen(store);
  });

  const settle = async (test: () => boolean): Promise<void> => {
    for (let i = 0; i < 100 && !test(); i++) {
      TestBed.tick();
      await new Promise((r) => setTimeout(r, 20));
    }
    expect(test()).toBeTrue();
  };
  const height = async (): Promise<number> => ((await store.database.meta.get('kitchen'))?.value as Kitchen).altitudeM;

  it('touches only what that view edits', async () => {
    void desk.change('more flour', { formula: applyChanges(f, [{ itemId: allItems(f)[0]?.id ?? '', grams: 320 }]) });
    await store.change(kinds.kitchen, 'kitchen', 'height 900', defaultKitchen, {
      ...defaultKitchen,
      altitudeM: 900,
    });
    undo.scope.set('kitchen');
    await settle(() => undo.canUndo() === 'height 900');
    await undo.undo();
    expect(await height()).toBe(0);
    expect(allItems(desk.formula() as Formula)[0]?.grams).toBe(320);
    undo.scope.set('formula');
    await settle(() => undo.canUndo() === 'more flour');
    await undo.undo();
    expect(allItems(desk.formula() as Formula)[0]?.grams).toBe(300);
    await settle(() => undo.canRedo() === 'more flour');
    await undo.redo();
    expect(allItems(desk.formula() as Formula)[0]?.grams).toBe(320);
    expect(await height()).toBe(0);
  });

  it('says what it undid, and when there is nothing', async () => {
    const said = (): string => TestBed.inject(Notices).list().at(-1)?.words ?? '';
    undo.scope.set('log');
    await undo.undo();
    expect(said()).toBe('Nothing to undo here.');
    await store.change(kinds.kitchen, 'kitchen', 'room 24', defaultKitchen, { ...defaultKitchen, roomC: 24 });
    undo.scope.set('kitchen');
    await undo.undo();
    expect(said()).toBe('Undone: room 24');
    await undo.redo();
    expect(said()).toBe('Done again: room 24');
  });

  it('refuses to store what no kitchen is, and says where it is wrong', async () => {
    const ok = await store.change(kinds.kitchen, 'kitchen', 'height', defaultKitchen, {
      ...defaultKitchen,
      altitudeM: 1e9,
    });
    expect(ok).toBeFalse();
    expect(await height()).toBe(0);
    expect(TestBed.inject(Notices).list().at(-1)?.words).toContain('altitudeM');
    const bad = applyChanges(f, [{ itemId: allItems(f)[0]?.id ?? '', grams: Number.NaN }]);
    expect(
      await store.change(kinds.formula, 'sc', 'nothing', { formula: f, plan: {} }, { formula: bad, plan: {} }),
    ).toBeFalse();
    expect((await store.database.working.get('sc'))?.formula).toEqual(f);
  });
});
