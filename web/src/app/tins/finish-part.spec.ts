import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { defaultKitchen, type Formula, type TinUse } from '@orvin/core';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Desk } from '../desk/desk';
import { base } from '../ui/testing/muffins';
import { all, host, press, until } from '../ui/testing/page';
import { FinishPart } from './finish-part';
import { kinds } from '../data/kinds';

const round: TinUse['tin'] = {
  id: 'r',
  name: '18 cm round',
  shape: 'round',
  topMm: 182,
  baseMm: 180,
  depthMm: 50,
  material: 'light metal',
};
const f: Formula = { ...base, id: 'c', family: 'oil-cake', bake: { ovenC: 175, fan: false }, tins: [{ tin: round, count: 2 }] }; // prettier-ignore

describe('finish and keep', () => {
  let store: Store;
  let fixture: ComponentFixture<FinishPart>;
  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    store = await openKitchen();
    await store.database.meta.put({ key: 'kitchen', value: { ...defaultKitchen, tins: [round] }, revision: 2 });
    await store.change(kinds.formula, 'c', 'read', null, { formula: f, plan: {} });
    await TestBed.inject(Desk).pickUp('c');
    fixture = TestBed.createComponent(FinishPart);
    await until(fixture, () => host(fixture).querySelector('.cut') !== null);
  });
  afterEach(async () => {
    fixture.destroy();
    TestBed.inject(Desk).putDown();
    await closeKitchen(store);
  });

  const button = (words: string): HTMLButtonElement => [...host(fixture).querySelectorAll('button')].find((b) => b.textContent?.includes(words)) as HTMLButtonElement; // prettier-ignore
  const text = (): string => (host(fixture).textContent ?? '').replace(/\s+/g, ' ');
  const total = (): number => Number(/about (\d+) g:/.exec(text())?.[1]);

  it('counts what two layers take, with and without the sides, thicker and thinner', async () => {
    button('Simple buttercream').click();
    await until(fixture, () => total() > 0);
    const stacked = total();
    expect(text()).toContain('between the layers');
    expect(all(host(fixture), 'orvin-cake-section .crumb').length).toBe(2);
    button('the sides too').click();
    await until(fixture, () => total() < stacked);
    const bare = total();
    button('stacked, 2 layers').click();
    await until(fixture, () => !text().includes('between the layers'));
    button('stacked, 2 layers').click();
    await until(fixture, () => total() === bare);
    const slider = host(fixture).querySelector('input[type=range]') as HTMLInputElement;
    slider.value = '2';
    slider.dispatchEvent(new Event('input'));
    await until(fixture, () => total() > 1.8 * bare);
  });

  it('is written into the formula as a group of its own, once, and can be undone', async () => {
    button('Cream-cheese frosting').click();
    await until(fixture, () => button('write it into the formula') !== undefined);
    button('write it into the formula').click();
    const desk = TestBed.inject(Desk);
    await until(fixture, () => desk.formula()?.groups.some((g) => g.id.startsWith('finish-cream-cheese')) ?? false);
    expect(desk.formula()?.groups.at(-1)?.role).toBe('icing');
    await store.settled();
    await desk.undo();
    expect(desk.formula()?.groups.some((g) => g.id.startsWith('finish'))).toBeFalse();
  });

  it('cuts it into as many pieces as are typed or stepped, and says how it keeps with what is on it', async () => {
    const field = host(fixture).querySelector('.cut input') as HTMLInputElement;
    field.value = '12';
    field.dispatchEvent(new Event('change'));
    await until(fixture, () => text().includes('12 wedges'));
    press(field, 'ArrowUp');
    await until(fixture, () => text().includes('13 wedges'));
    field.value = 'many';
    field.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    expect(field.value).toBe('13');
    expect(text()).not.toContain('fridge');
    button('Cream-cheese frosting').click();
    await until(fixture, () => text().includes('4–5 days in the fridge'));
    expect(text()).toContain('Local food-safety advice comes first');
  });
});
