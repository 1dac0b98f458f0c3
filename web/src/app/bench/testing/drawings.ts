import type { Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { allItems, applyChanges, type Assessment, type FamilyId, type Formula } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';

export const base: Formula = readRecipe(
  'Muffins\n250 g flour\n30 g cocoa\n2 eggs\n120 g sugar\n80 g oil\n200 g yogurt\n40 g honey\n8 g baking powder\n3 g baking soda\n3 g salt',
).formula;

/** The id of the line of an ingredient. */
export const lineOf = (ingredient: string, f: Formula = base): string =>
  allItems(f).find((i) => i.ingredient === ingredient)?.id ?? '';

/** Formulas from starved to absurd: every leavener and liquid at nothing, as is, and far too much, in several families. */
export function* formulas(): Generator<[string, Formula]> {
  const items = allItems(base).filter((i) => /soda|powder|yogurt|flour|sugar/.test(i.ingredient));
  for (const family of ['muffin', 'pound-cake', 'free'] satisfies FamilyId[])
    for (const item of items)
      for (const k of [0, 0.1, 1, 3, 12])
        yield [
          `${family} ${item.ingredient} × ${k}`,
          { ...applyChanges(base, [{ itemId: item.id, grams: item.grams * k }]), family },
        ];
  yield ['nothing at all', { ...base, groups: [] }];
}

export async function show<T>(
  component: Type<T>,
  assessment: Assessment,
  before: Assessment | null = null,
  more: Readonly<Record<string, unknown>> = {},
): Promise<ComponentFixture<T>> {
  const fixture = TestBed.createComponent(component);
  fixture.componentRef.setInput('assessment', assessment);
  fixture.componentRef.setInput('before', before);
  for (const [name, value] of Object.entries(more)) fixture.componentRef.setInput(name, value);
  await fixture.whenStable();
  return fixture;
}
export const host = <T>(f: ComponentFixture<T>): HTMLElement => f.nativeElement as HTMLElement;
export const num = (e: Element | null | undefined, name: string): number => Number(e?.getAttribute(name));
export const all = (el: Element, selector: string): Element[] => [...el.querySelectorAll(selector)];
export const press = (target: Element, key: string, more: KeyboardEventInit = {}): boolean =>
  target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }));
/** What no drawing may ever write into itself. */
export const NONSENSE = /NaN|undefined|Infinity/;
