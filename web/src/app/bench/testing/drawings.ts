import type { Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { allItems, applyChanges, type Assessment, type FamilyId, type Formula } from '@orvin/core';
import { base } from '../../ui/testing/muffins';

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

/** What no drawing may ever write into itself. */
export const NONSENSE = /NaN|undefined|Infinity/;
