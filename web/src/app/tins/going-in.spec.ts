import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { fitTins, laterStages, type BakeSetting, type Formula, type Tin, type TinFit, type TinUse } from '@orvin/core';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Desk } from '../desk/desk';
import { base } from '../ui/testing/muffins';
import { all, host } from '../ui/testing/page';
import { ovenScale } from '../ui/words';
import { HeatSteps } from './heat-steps';
import { SlabCut } from './slab-cut';
import { kinds } from '../data/kinds';

const bake: BakeSetting = { ovenC: 190, fan: false, minutes: { early: 20, late: 24 } };
const f: Formula = { ...base, id: 'muffins', bake };

describe('how a bake goes in', () => {
  let store: Store;
  let desk: Desk;
  let fixture: ComponentFixture<unknown>;
  const page = (): HTMLElement => host(fixture);
  const settle = async (): Promise<void> => {
    await store.settled();
    await new Promise((r) => setTimeout(r, 20));
    await fixture.whenStable();
  };
  const enter = async (label: string, value: string): Promise<void> => {
    const field = page().querySelector(`[aria-label="${label}"]`) as HTMLInputElement | null;
    expect(field).withContext(label).not.toBeNull();
    if (!field) return;
    field.value = value;
    field.dispatchEvent(
      new Event(field.tagName === 'INPUT' && field.autocomplete === '' ? 'input' : 'change', { bubbles: true }),
    );
    field.dispatchEvent(new Event('change', { bubbles: true }));
    await settle();
  };
  const press = async (words: string): Promise<void> => {
    const button = all(page(), 'button').find((b) => b.textContent?.trim() === words) as HTMLButtonElement | undefined;
    expect(button).withContext(words).toBeDefined();
    button?.click();
    await settle();
  };
  const now = (): BakeSetting => desk.formula()?.bake ?? bake;

  beforeEach(async () => {
    store = await openKitchen();
    await store.change(kinds.formula, 'muffins', 'read', null, { formula: f, plan: {} });
    desk = TestBed.inject(Desk);
    await desk.pickUp('muffins');
    fixture = TestBed.createComponent(HeatSteps);
    await fixture.whenStable();
    await press('change');
  });
  afterEach(async () => {
    fixture.destroy();
    ovenScale.set('C');
    desk.putDown();
    await closeKitchen(store);
  });

  it('comes from the cold, stands in water or on a stone, over steam, under another tray: asked for, said, one step each', async () => {
    expect(page().querySelector('[aria-label="What it stands on or in"]')).toBeNull();
    await press('from the cold, in water, in steam, on stone, other trays');
    await enter('The batter when it goes in', 'freezer');
    await enter('What it stands on or in', 'stone');
    await enter('What it stands on or in', 'steamed');
    await enter('The oven’s air', 'steam');
    // two racks in use ask for it, and no more once it is said
    fixture.componentRef.setInput('stacked', true);
    await settle();
    await press('under the other');
    expect(page().querySelector('.stacked')).toBeNull();
    await enter('How the air moves', 'gentle');
    await enter('Minutes after which the door is opened', '20 12');
    expect(now().startC).toBe(-18);
    expect(now().conditions).toEqual({
      bath: 'covered',
      steam: true,
      shaded: 'above',
      airflow: 0.5,
      openedMin: [12, 20],
    });
    expect(page().textContent).toContain(
      'from the freezer; covered over hot water; over a tray of boiling water; in gently moving air; under another tray; door opened after 12 and 20 min',
    );
    await enter('Minutes after which the door is opened', '0');
    expect(page().querySelector('[role=alert]')?.textContent).toContain('It stays at 12, 20.');
    await enter('Minutes after which the door is opened', '');
    expect(now().conditions?.openedMin).toBeUndefined();
    // the time was stated for a plain bake, and is kept for that
    expect(now().stated).toEqual(bake);
    await enter('The batter when it goes in', '');
    expect(now().startC).toBeUndefined();
    let steps = 0;
    while (await store.undo('muffins')) steps++;
    expect(steps).toBe(9);
    expect(now()).toEqual(bake);
  });

  it('is said in a sentence, and every part of it is one step to take back', async () => {
    expect(page().textContent).toContain('Into a hot oven; tin cold');
    await enter('The tin when it is filled', 'hot');
    await enter('Over it at first', 'lid');
    await press('then change heat or cover');
    await enter('Over it after 25 minutes', 'none');
    await enter('The oven when it goes in', 'warming');
    expect(now().hotTin).toBeTrue();
    expect(now().stages?.[0]).toEqual({ fromMin: 0, ovenC: 190, cover: 'lid' });
    expect(page().textContent).toContain(
      'Into an oven at 100 °C; tin heated empty first; a lid over it; after 25 min 190 °C, uncovered',
    );
    // the time was stated without all that, and is kept for that
    expect(now().minutes).toBeUndefined();
    expect(now().stated).toEqual(bake);
    let steps = 0;
    while (await store.undo('muffins')) steps++;
    await settle();
    expect(steps).toBe(5);
    expect(now()).toEqual(bake);
  });

  it('refuses what no oven does, in words, and keeps what stood', async () => {
    await enter('The oven when it goes in', 'warming');
    await enter('What the oven has reached', '250');
    expect(page().querySelector('[role=alert]')?.textContent).toContain(
      'it cannot have reached 250 °C. It stays at 100 °C',
    );
    expect(desk.plan().ovenReachedC).toBe(100);
    await enter('What the oven has reached', '0');
    await enter('What the oven has reached', '80');
    expect(desk.plan().ovenReachedC).toBe(80);
    await press('then change heat or cover');
    await press('and then');
    expect(laterStages(now()).map((s) => s.fromMin)).toEqual([25, 30]);
    const minute = all(page(), 'input[type=number]')[1] as HTMLInputElement;
    minute.value = '25';
    minute.dispatchEvent(new Event('change', { bubbles: true }));
    await settle();
    expect(page().querySelector('[role=alert]')?.textContent).toContain(
      'a change after 25 minutes already. This one stays at 30',
    );
    expect(minute.value).toBe('30');
    expect(laterStages(now()).map((s) => s.fromMin)).toEqual([25, 30]);
  });

  it('reads and shows the dial of an American oven', async () => {
    ovenScale.set('F');
    await press('then change heat or cover');
    await enter('Heat after 25 minutes', '325');
    expect(laterStages(now())[0]?.ovenC).toBe(163);
    // a thermometer's reading is shown as it was typed, not as a dial is marked
    await enter('The oven when it goes in', 'warming');
    await enter('What the oven has reached', '203');
    expect(page().textContent).toContain('Into an oven at 203 °F');
    expect(page().textContent).toContain('after 25 min 325 °F, loose foil over it');
  });

  it('cuts a slab as it is told, and passes the pieces on only when they are others', async () => {
    const slab: Tin = {
      id: 's',
      name: '8 cut rounds, 6 cm',
      shape: 'slab',
      topMm: 60,
      baseMm: 60,
      depthMm: 25,
      cups: 8,
      material: 'none',
    };
    const fit = fitTins(base, [{ tin: slab, count: 1 }])[0] as TinFit;
    fixture.destroy();
    const cutting = TestBed.createComponent(SlabCut);
    fixture = cutting;
    cutting.componentRef.setInput('fit', fit);
    const chosen: TinUse[] = [];
    cutting.componentInstance.chosen.subscribe((u) => chosen.push(u));
    await fixture.whenStable();
    const typed = async (label: string, value: string): Promise<void> => {
      const field = page().querySelector(`[aria-label="${label}"]`) as HTMLInputElement;
      field.value = value;
      field.dispatchEvent(new Event('input', { bubbles: true }));
      await fixture.whenStable();
    };
    await enter('Shape of the pieces', 'squares');
    await typed('Size in cm', '5');
    await typed('Thickness in mm', '20');
    expect(page().textContent).toMatch(/Rolled 20 mm thick it cuts into \d+, \d+ g each/);
    await press('cut it so');
    const tin = chosen[0]?.tin as Tin;
    expect(tin.name).toMatch(/^\d+ squares of 5 cm$/);
    expect(Math.abs((tin.cups ?? 0) * tin.depthMm * tin.topMm ** 2 - 8 * 25 * 60 ** 2)).toBeLessThan(2000);
    // the pieces come back as what stands in the fields, with nothing left to press
    cutting.componentRef.setInput('fit', fitTins({ ...base, tins: [] }, [{ tin, count: 1 }])[0]);
    await fixture.whenStable();
    expect((page().querySelector('[aria-label="Size in cm"]') as HTMLInputElement).value).toBe('5');
    await enter('Shape of the pieces', 'wedges');
    await typed('Wedges of a round', 'many');
    expect(page().textContent).toContain('a round makes 2 to 24 wedges');
    expect(all(page(), 'button').length).toBe(0);
    await typed('Wedges of a round', '6');
    expect(page().textContent).toMatch(/\d+ wedges of \d+ g/);
    await typed('Thickness in mm', '900');
    expect(page().textContent).toContain('between 5 and 80 mm thick');
    expect(all(page(), 'button').length).toBe(0);
  });
});
