import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { Type } from '@angular/core';
import { provideRouter } from '@angular/router';
import { defaultKitchen, same, type Ingredient, type Kitchen } from '@orvin/core';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Desk } from '../desk/desk';
import { Ingredients } from './ingredients';
import { Kit } from './kit';
import { KitchenEdit } from './kitchen-edit';
import { LabelForm } from './label-form';
import { TinKit } from './tin-kit';

describe('the larder', () => {
  let store: Store;
  let fixture: ComponentFixture<unknown>;

  const show = async <T>(part: Type<T>): Promise<HTMLElement> => {
    fixture = TestBed.createComponent(part);
    await fixture.whenStable();
    return fixture.nativeElement as HTMLElement;
  };
  const kitchen = async (): Promise<Kitchen> => {
    await store.settled();
    return (await store.database.meta.get('kitchen'))?.value as Kitchen;
  };
  /** Until the page shows the kitchen as it is stored: the database tells of it in its own time. */
  const drawn = async (): Promise<void> => {
    const stored = await kitchen();
    for (let i = 0; i < 200 && !same(TestBed.inject(Desk).kitchen(), stored); i++) {
      await new Promise((r) => setTimeout(r, 10));
      await fixture.whenStable();
    }
    await new Promise((r) => setTimeout(r, 30));
    await fixture.whenStable();
  };
  const type = async (field: Element | null, value: string, event = 'change'): Promise<void> => {
    const input = field as HTMLInputElement;
    input.value = value;
    input.dispatchEvent(new Event(event));
    await drawn();
  };
  const press = async (host: HTMLElement, words: string): Promise<void> => {
    const button = [...host.querySelectorAll('button')].find((b) => b.textContent?.trim() === words);
    expect(button).withContext(words).toBeDefined();
    button?.click();
    await drawn();
  };

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([{ path: '**', children: [] }])] });
    store = await openKitchen();
    TestBed.inject(KitchenEdit);
    await new Promise((r) => setTimeout(r, 30));
  });
  afterEach(async () => {
    fixture.destroy();
    await store.settled();
    await closeKitchen(store);
  });

  it('keeps ovens, bowls and mixer as typed, and one step each to undo', async () => {
    const host = await show(Kit);
    await press(host, 'add an oven');
    await type(host.querySelectorAll('[aria-label="Name of the oven"]')[1] ?? null, 'Camp oven');
    await type(host.querySelector('[aria-label="Camp oven, litres"]'), '24');
    await type(host.querySelector('[aria-label="Camp oven, degrees hotter than its dial"]'), '-12');
    expect((await kitchen()).ovens[1]).toEqual(
      jasmine.objectContaining({ name: 'Camp oven', litres: 24, biasC: -12 }) as never,
    );
    const rack = '[aria-label="Camp oven, rack wide by deep"]';
    await type(host.querySelector(rack), '40 x 1');
    expect(host.querySelector('[role=alert]')?.textContent).toContain('no rack I can picture');
    await type(host.querySelector(rack), '16 x 13.5 in');
    expect((await kitchen()).ovens[1]?.rackMm).toEqual([406, 343]);
    await type(host.querySelector(rack), '');
    expect((await kitchen()).ovens[1]?.rackMm).toBeUndefined();
    await press(host, 'bake in this one');
    expect((await kitchen()).ovens.map((o) => o.name)).toEqual(['Camp oven', 'Oven']);
    await press(host, 'add a bowl');
    await type(host.querySelector('[aria-label="Mixer"]'), 'Hand mixer');
    await type(host.querySelector('[aria-label="Flour the mixer takes"]'), '650');
    expect((await kitchen()).mixer).toEqual({ name: 'Hand mixer', flourLimitG: 650 });
    expect((await kitchen()).bowls.length).toBe(2);
    // every step can be taken back, to the kitchen as it was
    while (await store.undo('kitchen'));
    expect(await kitchen()).toEqual(defaultKitchen);
  });

  it('refuses a figure that cannot be, says why, and keeps the old one', async () => {
    const host = await show(Kit);
    const litres = host.querySelector('[aria-label="Oven, litres"]') as HTMLInputElement;
    for (const bad of ['a lot', '2', '9000', '']) {
      await type(litres, bad);
      expect(host.querySelector('[role=alert]')?.textContent).withContext(bad).toContain('It stays 60');
      expect(litres.value).toBe('60');
    }
    expect(await kitchen()).toEqual(defaultKitchen);
    await type(litres, '72,5');
    expect(host.querySelector('[role=alert]')).toBeNull();
    expect((await kitchen()).ovens[0]?.litres).toBe(72.5);
  });

  it('lets a water fill beat the ruler, and its removal bring the ruler back', async () => {
    const host = await show(TinKit);
    const capacity = (): string => host.querySelector('.capacity b')?.textContent ?? '';
    const byRuler = capacity();
    await type(host.querySelector('#water'), '1500');
    expect(capacity()).toBe('1500 ml');
    await type(host.querySelector('#water'), '');
    expect(capacity()).toBe(byRuler);
    expect((await kitchen()).tins[0]?.capacityMl).toBeUndefined();
  });

  it('takes lengths in any unit and holds more when they grow', async () => {
    const host = await show(TinKit);
    const ml = (): number => parseFloat(host.querySelector('.capacity b')?.textContent ?? '');
    let last = 0;
    for (const [typed, mm] of [
      ['40', 40],
      ['5 cm', 50],
      ['3 in', 76.2],
    ] as const) {
      await type(host.querySelector('#size-depthMm'), typed);
      expect((await kitchen()).tins[0]?.depthMm).toBe(mm);
      expect(ml()).toBeGreaterThan(last);
      last = ml();
    }
    const kept = last;
    await type(host.querySelector('#size-depthMm'), '120', 'input');
    expect(ml()).withContext('while it is typed').toBeGreaterThan(kept);
    expect((await kitchen()).tins[0]?.depthMm).toBe(76.2);
    await type(host.querySelector('#size-depthMm'), 'deep');
    expect(ml()).toBe(kept);
    expect(host.querySelector('[role=alert]')?.textContent).toContain('no length I can read');
    expect((await kitchen()).tins[0]?.depthMm).toBe(76.2);
  });

  it('draws every ingredient by its parts, and shows those of a kind', async () => {
    const host = await show(Ingredients);
    const kinds = [...host.querySelectorAll('.kind')].map((b) => b.textContent?.trim() ?? '');
    let shown = 0;
    for (const kind of kinds.filter((k) => k !== 'In the kitchen')) {
      await press(host, kind);
      const items = [...host.querySelectorAll('.item')];
      expect(items.length).withContext(kind).toBeGreaterThan(0);
      for (const i of items)
        expect(i.querySelector('.strip')?.getAttribute('aria-label') ?? '')
          .withContext(i.textContent ?? '')
          .toMatch(/ % /);
      shown += items.length;
    }
    expect(shown).toBeGreaterThanOrEqual(200);
  });

  it('keeps an own ingredient only when its label can be', async () => {
    const host = await show(LabelForm);
    const kept: Ingredient[] = [];
    (fixture.componentInstance as LabelForm).kept.subscribe((i) => kept.push(i));
    const keep = (): HTMLButtonElement => host.querySelector('button[type=submit]') as HTMLButtonElement;
    const put = (id: string, v: string): Promise<void> => type(host.querySelector(`#own-${id}`), v, 'input');
    expect(keep().disabled).toBeTrue();
    await put('name', 'House oats');
    await put('fatG', '7');
    await put('carbohydrateG', 'sixty');
    expect(host.querySelector('[role=alert]')?.textContent).toContain('Not a number: Carbohydrate');
    await put('carbohydrateG', '58');
    await put('sugarsG', '70');
    expect(host.querySelector('[role=alert]')?.textContent).toContain('more than the 58 g carbohydrate');
    await put('sugarsG', '1');
    await put('fibreG', '<10');
    await put('proteinG', '13');
    expect(keep().disabled).toBeFalse();
    expect(host.querySelectorAll('.inferred li').length).toBeGreaterThan(2);
    await press(host, 'oats');
    host.querySelector('form')?.dispatchEvent(new Event('submit'));
    expect(kept.map((i) => [i.id, i.basis])).toEqual([['own-house-oats', "from the baker's label"]]);
  });

  it('hangs up common tins with one press, one more of the same too, and undo takes them down', async () => {
    const el = await show(TinKit);
    const before = (await kitchen()).tins;
    await press(el, 'pick from common tins');
    const shop = el.querySelector('orvin-common-tins') as HTMLElement;
    const names = (): string[] => [...shop.querySelectorAll('li b')].map((b) => b.textContent ?? '');
    const uk = names();
    expect(uk.length).toBeGreaterThan(20);
    await press(el, 'Europe');
    expect(names()).not.toEqual(uk);
    // a search looks in all kitchens
    await type(shop.querySelector('input'), 'loaf glass', 'input');
    expect(names()).toEqual(['9 × 5 in glass loaf dish']);
    const hang = (): HTMLButtonElement => shop.querySelector('li button') as HTMLButtonElement;
    hang().click();
    await drawn();
    expect(hang().textContent).toContain('you have it');
    hang().click();
    await drawn();
    const tins = (await kitchen()).tins.slice(before.length);
    expect(tins.map((t) => t.name)).toEqual(['9 × 5 in glass loaf dish', '9 × 5 in glass loaf dish']);
    expect(new Set(tins.map((t) => t.id)).size).toBe(2);
    // what it weighs nobody has weighed yet
    expect(tins.every((t) => t.tareG === undefined)).toBeTrue();
    expect((el.querySelector('#tare') as HTMLInputElement).placeholder).toContain('about');
    await type(shop.querySelector('input'), 'cauldron', 'input');
    expect(shop.textContent).toContain('No such tin');
  });
});
