import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { Formula, Kitchen } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import { firstValueFrom } from 'rxjs';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Desk } from '../desk/desk';
import { LabelView } from '../label/label';
import { ShoppingPart } from './shopping-part';
import { kinds } from '../data/kinds';

const recipe = (id: string, text: string): Formula => ({ ...readRecipe(text).formula, id });
const loaf = recipe('loaf', 'Loaf\n250 g plain flour\n2 eggs\n100 g butter\n120 g caster sugar\n8 g baking powder\nBake at 175C in a 9x5 inch loaf tin.'); // prettier-ignore
const buns = recipe('buns', 'Buns\n200 g plain flour\n1 egg\n60 g butter\n150 g milk\n12 g baking powder\nMakes 8\nBake at 200C.'); // prettier-ignore

describe('shopping', () => {
  let store: Store;
  let fixture: ComponentFixture<ShoppingPart>;
  const kitchen = (): Promise<Kitchen> => firstValueFrom(store.kitchen$);

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([])] });
    store = await openKitchen();
    for (const f of [loaf, buns]) await store.change(kinds.formula, f.id, 'read', null, { formula: f, plan: {} });
    const k = await kitchen();
    await store.change(kinds.kitchen, 'kitchen', 'prices', k, {
      ...k,
      prices: { 'plain-flour': { price: 1.2, perG: 1000 }, butter: { price: 2.5, perG: 250 } },
      stock: { 'plain-flour': 300 },
      stockAt: { 'plain-flour': 1 },
    });
    fixture = TestBed.createComponent(ShoppingPart);
    await settle();
  });
  afterEach(async () => {
    fixture.destroy();
    TestBed.inject(Desk).putDown();
    await store.settled();
    await closeKitchen(store);
  });

  const settle = async (): Promise<void> => {
    for (let i = 0; i < 3; i++) {
      await fixture.whenStable();
      await store.settled();
      await new Promise((r) => setTimeout(r, 40));
    }
    await fixture.whenStable();
  };
  const host = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const add = async (id: string): Promise<void> => {
    const select = host().querySelector('select') as HTMLSelectElement;
    select.value = id;
    select.dispatchEvent(new Event('change'));
    await settle();
  };
  const line = (name: string): HTMLElement | undefined => [...host().querySelectorAll<HTMLElement>('.sheet label')].find((l) => l.textContent?.includes(name)); // prettier-ignore
  const press = async (label: string): Promise<void> => {
    (host().querySelector(`[aria-label="${label}"]`) as HTMLElement).click();
    await settle();
  };

  it('adds bakes one after another, quicker than the disk, and none is lost', async () => {
    const select = host().querySelector('select') as HTMLSelectElement;
    for (const id of ['loaf', 'buns']) {
      select.value = id;
      select.dispatchEvent(new Event('change'));
    }
    await settle();
    expect([...host().querySelectorAll('.bakes .name')].map((n) => n.textContent)).toEqual(['Loaf', 'Buns']);
    expect(((await store.database.meta.get('shopping'))?.value as { bakes: unknown[] }).bakes.length).toBe(2);
  });

  it('merges what several bakes take, less what is there, and follows how often each is made', async () => {
    await add('loaf');
    // 250 of 300 g of flour: nothing to buy
    expect(line('Plain flour')).toBeUndefined();
    await add('buns');
    expect(line('Plain flour')?.textContent).toMatch(/1 × 1 kg.*150 g short, 300 g there/s);
    expect(line('Butter')?.textContent).toContain('1 × 250 g');
    await press('More of Loaf');
    expect(line('Butter')?.textContent).toContain('2 × 250 g');
    await press('Less of Loaf');
    await press('Less of Loaf');
    expect(host().querySelector('.times b')?.textContent).toBe('½ ×');
    expect(host().querySelector('.sheet h2')?.textContent).toContain('about');
    expect(host().querySelector('.sheet header')?.textContent).toContain('Without a price');
  });

  it('puts what was bought into the cupboard in full packs, and takes it off the list', async () => {
    await add('loaf');
    const tick = line('Butter')?.querySelector('input') as HTMLInputElement;
    tick.click();
    await settle();
    ([...host().querySelectorAll('button')].find((b) => b.textContent?.includes('put the basket away')) as HTMLElement).click(); // prettier-ignore
    await settle();
    expect((await kitchen()).stock['butter']).toBe(250);
    expect((await kitchen()).stockAt?.['butter']).toBeGreaterThan(1e12);
    expect(line('Butter')).toBeUndefined();
    expect(((await store.database.meta.get('shopping'))?.value as { basket: string[] }).basket).toEqual([]);
  });

  it('costs and labels the same formula, with what it may contain kept in it', async () => {
    const label = TestBed.createComponent(LabelView);
    label.componentRef.setInput('id', 'buns');
    const text = (): string => (label.nativeElement as HTMLElement).textContent ?? '';
    for (let i = 0; i < 40 && !text().includes('Buns'); i++) {
      await label.whenStable();
      await new Promise((r) => setTimeout(r, 40));
    }
    expect(text()).toContain('no price yet');
    expect(text()).toContain('Contains: egg, gluten, milk, wheat.');
    ([...(label.nativeElement as HTMLElement).querySelectorAll('button')].find((b) => b.textContent?.trim() === 'nuts') as HTMLElement).click(); // prettier-ignore
    await label.whenStable();
    await store.settled();
    await label.whenStable();
    expect(text()).toContain('May contain: nuts.');
    expect((await store.database.working.get('buns'))?.formula.mayContain).toEqual(['nuts']);
    await store.undo('buns');
    expect((await store.database.working.get('buns'))?.formula).toEqual(buns);
    label.destroy();
  });
});
