import { TestBed, type ComponentFixture } from '@angular/core/testing';
import {
  allItems,
  applyChanges,
  assess,
  families,
  readRecipe,
  type Assessment,
  type FamilyId,
  type Formula,
} from '@orvin/core';
import type { Type } from '@angular/core';
import { LedgerDrawing } from './ledger';
import { LiftDrawing } from './lift';
import { Ranges } from './ranges';

const base: Formula = readRecipe(
  'Muffins\n250 g flour\n30 g cocoa\n2 eggs\n120 g sugar\n80 g oil\n200 g yogurt\n40 g honey\n8 g baking powder\n3 g baking soda\n3 g salt',
).formula;

/** Formulas from starved to absurd: every leavener and liquid at nothing, as is, and far too much, in several families. */
function* formulas(): Generator<[string, Formula]> {
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

async function show<T>(
  component: Type<T>,
  assessment: Assessment,
  before: Assessment | null = null,
): Promise<ComponentFixture<T>> {
  const fixture = TestBed.createComponent(component);
  fixture.componentRef.setInput('assessment', assessment);
  fixture.componentRef.setInput('before', before);
  await fixture.whenStable();
  return fixture;
}
const host = <T>(f: ComponentFixture<T>): HTMLElement => f.nativeElement as HTMLElement;
const num = (e: Element, name: string): number => Number(e.getAttribute(name));

describe('the lift drawing', () => {
  it('keeps its layers in the tin, in order, and its labels apart, whatever is in the bowl', async () => {
    for (const [name, f] of formulas()) {
      const a = assess(f);
      const fixture = await show(LiftDrawing, a, assess(base));
      const svg = host(fixture).querySelector('svg') as SVGElement;
      const layers = [...svg.querySelectorAll('rect.gas')];
      for (const l of layers) {
        expect(num(l, 'y')).withContext(name).toBeGreaterThanOrEqual(0);
        expect(num(l, 'height')).withContext(name).toBeGreaterThan(0);
        expect(num(l, 'width')).withContext(name).toBeGreaterThan(200);
      }
      const tops = layers.map((l) => num(l, 'y'));
      expect(tops)
        .withContext(name)
        .toEqual([...tops].sort((x, y) => y - x));
      const labels = [...svg.querySelectorAll('text:not(.in):not(.edge-text)')]
        .map((t) => num(t, 'y'))
        .sort((x, y) => x - y);
      for (let i = 1; i < labels.length; i++)
        expect((labels[i] ?? 0) - (labels[i - 1] ?? 0))
          .withContext(name)
          .toBeGreaterThanOrEqual(15);
      expect(svg.innerHTML)
        .withContext(name)
        .not.toMatch(/NaN|undefined|Infinity/);
      fixture.destroy();
    }
  });

  it('says in a table what it shows', async () => {
    const a = assess(base);
    const rows = host(await show(LiftDrawing, a)).querySelectorAll('table tr');
    expect(rows.length).toBe(a.lift.bySource.length);
    expect(rows[0]?.textContent).toMatch(/in the (bowl|oven)/);
  });
});

describe('the soda ledger', () => {
  it('stays in its frame and names what is left over', async () => {
    for (const [name, f] of formulas()) {
      const a = assess(f);
      const el = host(await show(LedgerDrawing, a));
      for (const r of el.querySelectorAll('svg rect')) {
        expect(num(r, 'x')).withContext(name).toBeGreaterThanOrEqual(0);
        expect(num(r, 'x') + num(r, 'width'))
          .withContext(name)
          .toBeLessThanOrEqual(620);
      }
      expect(el.innerHTML)
        .withContext(name)
        .not.toMatch(/NaN|undefined|Infinity/);
      const left = el.querySelector('.side b')?.textContent ?? '';
      const grams = (a.ledger.leftSodaGPer100gBatter.typical * a.totals.batterG) / 100;
      expect(left.includes('soda left over'))
        .withContext(name)
        .toBe(grams > 0.05);
    }
  });

  it('shows what was left before a change', async () => {
    const soda = allItems(base).find((i) => i.ingredient === 'baking-soda');
    const more = assess(applyChanges(base, [{ itemId: soda?.id ?? '', grams: 12 }]));
    expect(host(await show(LedgerDrawing, assess(base), more)).querySelector('.side')?.textContent).toMatch(
      /was [\d.]+ g left/,
    );
  });
});

describe('the balance lines', () => {
  it('mark what is outside, in every family, and can each be asked why', async () => {
    for (const family of families) {
      const a = assess({ ...base, family: family.id });
      const el = host(await show(Ranges, a));
      const lines = [...el.querySelectorAll('button.line')];
      expect(lines.length).toBe(5);
      const out = lines.filter((l) => l.querySelector('.at.out')).map((l) => l.querySelector('.m')?.textContent ?? '');
      const outside = a.verdicts
        .filter(
          (v) => ['fat', 'sugar', 'egg', 'water', 'salt'].includes(v.id) && v.state !== 'ok' && v.severity !== 'note',
        )
        .map((v) => v.id);
      expect(out.sort()).withContext(family.id).toEqual(outside.sort());
      expect(lines.every((l) => l.getAttribute('aria-label')?.endsWith('why?'))).toBeTrue();
    }
  });
});
