import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { Router, provideRouter } from '@angular/router';
import { allItems, assess } from '@orvin/core';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { all, host, until } from '../ui/testing/page';
import { ComposeView } from './compose';

describe('making up a formula', () => {
  let store: Store;
  let fixture: ComponentFixture<ComposeView>;

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([{ path: '**', children: [] }])] });
    store = await openKitchen();
    fixture = TestBed.createComponent(ComposeView);
  });
  afterEach(async () => {
    await store.settled();
    await closeKitchen(store);
  });
  const ask = (words: string): HTMLButtonElement =>
    all(host(fixture), '.ask').find((b) => b.textContent?.trim() === words) as HTMLButtonElement;

  it('takes shape as wishes are made, and goes to the Shelf with its first version', async () => {
    await until(fixture, () => /In balance/.test(host(fixture).textContent ?? ''));
    expect(host(fixture).textContent).toContain('Plain muffins');
    ask('egg').click();
    await until(fixture, () => !all(host(fixture), '.line').some((l) => /Egg/.test(l.textContent ?? '')));
    (all(host(fixture), 'button').find((b) => /put it on/.test(b.textContent ?? '')) as HTMLButtonElement).click();
    await until(fixture, () => TestBed.inject(Router).url.startsWith('/bench/'));
    const [record] = await store.database.working.toArray();
    expect(record && assess(record.formula).verdicts.filter((v) => v.severity !== 'note')).toEqual([]);
    expect(record?.formula.method.length).toBeGreaterThan(3);
    expect(record && allItems(record.formula).some((i) => i.ingredient === 'egg')).toBeFalse();
    expect(
      await store.database.versions
        .where('formulaId')
        .equals(record?.id ?? '')
        .count(),
    ).toBe(1);
  });

  it('says what is wrong with a number of pieces, and what is not in stock', async () => {
    await until(fixture, () => host(fixture).querySelector('.line') !== null);
    const pieces = host(fixture).querySelector('#pieces') as HTMLInputElement;
    pieces.value = 'lots';
    pieces.dispatchEvent(new Event('change'));
    await until(fixture, () =>
      /no number of pieces/.test(host(fixture).querySelector('[role=alert]')?.textContent ?? ''),
    );
    ask('what is in stock').click();
    await until(fixture, () => /in stock/.test(host(fixture).querySelector('.no')?.textContent ?? ''));
  });

  it('names a taste that has no place, beside what can be had without it, until it is taken out', async () => {
    await until(fixture, () => host(fixture).querySelector('.line') !== null);
    const view = fixture.componentInstance as unknown as { taste(f: { id: string; name: string }): void };
    view.taste({ id: 'egg-yolk', name: 'Egg yolk' });
    view.taste({ id: 'pear', name: 'Pear, diced' });
    const refused = (): string => host(fixture).querySelector('.no')?.textContent ?? '';
    await until(fixture, () => /Egg yolk has no place/.test(refused()));
    await until(fixture, () => all(host(fixture), '.line').some((l) => /pear/i.test(l.textContent ?? '')));
    (host(fixture).querySelector('[aria-label="Egg yolk; take it out again"]') as HTMLButtonElement).click();
    await until(fixture, () => refused() === '');
    expect(all(host(fixture), '.line').some((l) => /pear/i.test(l.textContent ?? ''))).toBeTrue();
  });
});
