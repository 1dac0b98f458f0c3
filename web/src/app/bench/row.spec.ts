import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { allItems, catalogueRow, defaultKitchen, ingredientFor, usualRanges, type Item } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import { Row } from './row';

const f = readRecipe(
  'Muffins\n250 g flour\n2 eggs\n120 g sugar\n80 g oil\n200 g yogurt\n8 g baking powder\n3 g baking soda',
).formula;
const item = (id: string): Item => allItems(f).find((i) => i.ingredient === id) as Item;

describe('a line of the sheet', () => {
  let fixture: ComponentFixture<Row>;
  let host: HTMLElement;
  let said: { grams: number; label: string }[];
  let pulled: number[];

  async function show(id: string): Promise<void> {
    fixture = TestBed.createComponent(Row);
    const i = item(id);
    fixture.componentRef.setInput('item', i);
    fixture.componentRef.setInput('ingredient', ingredientFor(f, i));
    fixture.componentRef.setInput('share', '12.3');
    fixture.componentRef.setInput(
      'usual',
      usualRanges(f).find((u) => u.itemId === i.id),
    );
    fixture.componentRef.setInput('kitchen', defaultKitchen);
    fixture.componentRef.setInput('source', f.source);
    said = [];
    pulled = [];
    fixture.componentInstance.set.subscribe((x) => said.push(x));
    fixture.componentInstance.dragging.subscribe((x) => pulled.push(x));
    host = fixture.nativeElement as HTMLElement;
    host.style.width = '560px';
    document.body.append(host);
    await fixture.whenStable();
  }
  afterEach(() => host.remove());

  const field = (): HTMLInputElement => host.querySelector('input') as HTMLInputElement;
  const bar = (): HTMLElement => host.querySelector('.bar') as HTMLElement;
  const type = async (text: string): Promise<void> => {
    field().focus();
    field().value = text;
    field().dispatchEvent(new Event('input'));
    field().dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    await fixture.whenStable();
  };
  const press = (target: HTMLElement, key: string, more: KeyboardEventInit = {}): void =>
    void target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }));

  it('takes an amount in any unit, once', async () => {
    await show('neutral-oil');
    await type('1/2 cup');
    expect(said.map((s) => s.grams)).toEqual([110.4]);
    expect(said[0]?.label).toContain('Neutral oil 80 → 110');
  });

  it('says nothing when nothing changed, and refuses nonsense in words', async () => {
    await show('neutral-oil');
    await type('80');
    expect(said).toEqual([]);
    for (const text of ['a glug', '-12', '70 kg']) {
      await type(text);
      expect(said).withContext(text).toEqual([]);
      expect(host.querySelector('[role=alert]')?.textContent).withContext(text).toContain('stays 80 g');
    }
  });

  it('steps sensibly by arrow keys: bigger with Shift, finer with Alt, never below nothing', async () => {
    await show('yogurt');
    press(field(), 'ArrowUp');
    press(field(), 'ArrowDown', { shiftKey: true });
    press(bar(), 'ArrowRight', { altKey: true });
    expect(said.map((s) => s.grams)).toEqual([205, 175, 201]);
    await show('baking-soda');
    press(bar(), 'ArrowLeft');
    press(bar(), 'ArrowLeft', { shiftKey: true });
    expect(said.map((s) => s.grams)).toEqual([2.4, 0]);
  });

  it('can be pulled: many looks, one amount, in steps fit for its size', async () => {
    await show('white-sugar');
    const box = bar().getBoundingClientRect();
    const at = (share: number): PointerEventInit => ({
      pointerId: 1,
      button: 0,
      clientX: box.left + box.width * share,
      clientY: box.top + 5,
      bubbles: true,
    });
    bar().setPointerCapture = () => undefined;
    bar().dispatchEvent(new PointerEvent('pointerdown', at(0.3)));
    for (const x of [0.4, 0.5, 0.6]) bar().dispatchEvent(new PointerEvent('pointermove', at(x)));
    bar().dispatchEvent(new PointerEvent('pointerup', at(0.6)));
    expect(pulled.length).toBe(4);
    expect(said.length).toBe(1);
    expect(said[0]?.grams).toBe(pulled.at(-1) as number);
    expect((said[0]?.grams ?? 1) % 5).toBe(0);
    expect(pulled).toEqual([...pulled].sort((a, b) => a - b));
  });

  it('tells a screen reader the weight and its usual range', async () => {
    await show('baking-powder');
    expect(bar().getAttribute('role')).toBe('slider');
    expect(bar().getAttribute('aria-valuetext')).toMatch(/Baking powder, 8 grams, usual [\d.]+ to [\d.]+/);
    expect(catalogueRow('baking-powder').name).toBe('Baking powder');
  });
});
