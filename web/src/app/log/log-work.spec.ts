import { inputBinding, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { defaultKitchen, type BakeRecord, type Formula, type Series } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import { firstValueFrom } from 'rxjs';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen, logged } from '../data/testing/kitchen';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';
import { Learning } from '../desk/learning';
import { BakeSheet } from './bake-sheet';
import { BesideBakes } from './beside-bakes';
import { SeriesPart } from './series-part';
import { Taught } from './taught';
import { record } from './testing/record';
import { kinds } from '../data/kinds';

const f: Formula = {
  ...readRecipe(
    'Loaf\n250 g flour\n2 eggs\n150 g sugar\n90 g oil\n160 g yogurt\n8 g baking powder\nBake at 175C for 55-60 minutes in a 9x5 inch loaf tin.',
  ).formula,
  id: 'loaf',
};
const loaf = (more: Partial<BakeRecord>): BakeRecord =>
  record({ formulaId: 'loaf', title: 'Loaf', family: f.family, tin: { tin: f.tins?.[0]?.tin ?? (defaultKitchen.tins[0] as never), count: 1 }, batterG: 740, ovenC: 175, ovenId: 'oven', predicted: { early: 50, likely: 57, late: 65 }, minutes: 57, rise: 1.6, densityGPerMl: 1.05, ...more }); // prettier-ignore

describe('work on the log', () => {
  // workers reckon, learn and diagnose for real
  let store: Store;

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([{ path: '**', children: [] }])] });
    store = await openKitchen();
    await store.change(kinds.formula, 'loaf', 'read', null, { formula: f, plan: {} });
  });
  afterEach(async () => {
    TestBed.inject(Desk).putDown();
    await store.settled();
    await closeKitchen(store);
  });

  const until = async (test: () => boolean | Promise<boolean>): Promise<boolean> => {
    for (let i = 0; i < 240; i++) {
      if (await test()) return true;
      await new Promise((r) => setTimeout(r, 50));
    }
    return false;
  };
  const stored = async (id: string): Promise<BakeRecord | undefined> => (await store.database.bakes.get(id))?.bake;
  const host = (fixture: ComponentFixture<unknown>): HTMLElement => fixture.nativeElement as HTMLElement;
  const button = (fixture: ComponentFixture<unknown>, words: string | RegExp): HTMLButtonElement =>
    [...host(fixture).querySelectorAll('button')].find((b) => (typeof words === 'string' ? b.textContent?.trim() === words : words.test(b.textContent ?? ''))) as HTMLButtonElement; // prettier-ignore

  it('names the cause of a bad bake, and makes its remedy a version that the next bake tries', async () => {
    const bad = loaf({
      id: 'bad',
      outcome: 'under',
      minutes: 44,
      result: { symptoms: ['sunk', 'gummy'], centreC: 85 },
    });
    await logged(store, bad);
    await TestBed.inject(Desk).pickUp('loaf');
    const fixture = TestBed.createComponent(BakeSheet, { bindings: [inputBinding('bake', () => bad)] });
    await fixture.whenStable();
    await expectAsync(until(async () => (await fixture.whenStable(), host(fixture).querySelector('orvin-why-bake h3') !== null))).toBeResolvedTo(true); // prettier-ignore
    const why = host(fixture).querySelector('orvin-why-bake') as HTMLElement;
    expect(why.querySelector('h3')?.textContent).toContain('taken out too soon');
    expect(why.textContent).toContain('The middle was 85 °C');
    expect(why.querySelectorAll('.evidence .for').length).toBeGreaterThan(1);
    expect(why.querySelector('.caution')?.textContent).toContain('Do not eat what is raw inside');
    button(fixture, 'try it as a new version').click();
    await expectAsync(until(async () => (await store.database.working.get('loaf'))?.plan.trial !== undefined)).toBeResolvedTo(true); // prettier-ignore
    const doc = await store.database.working.get('loaf');
    expect(doc?.plan.trial).toEqual(jasmine.objectContaining({ from: 'bad', cause: 'underbaked' }));
    expect(doc?.formula.bake?.minutes?.early).toBeGreaterThan(44);
    const versions = await firstValueFrom(store.versionsOf$('loaf'));
    expect(versions.at(-1)?.reasons).toEqual(['Against taken out too soon.']);
    expect(versions.at(-1)?.id).toBe(doc?.plan.version ?? '');
    // two steps back and the Bench has what it had
    await store.undo('loaf');
    await store.undo('loaf');
    expect((await store.database.working.get('loaf'))?.formula).toEqual(f);
    fixture.destroy();
  });

  it('sets right what was logged, each with one step back', async () => {
    const b = loaf({ id: 'b' });
    await logged(store, b);
    const shown = signal(b);
    const fixture = TestBed.createComponent(BakeSheet, { bindings: [inputBinding('bake', shown)] });
    const show = async (): Promise<void> => {
      shown.set((await stored('b')) ?? b);
      await fixture.whenStable();
    };
    await show();
    button(fixture, 'dry').click();
    await store.settled();
    await show();
    expect((await stored('b'))?.outcome).toBe('dry');
    const field = [...host(fixture).querySelectorAll('orvin-measure')].find((m) => m.textContent?.includes('Weight when out'))?.querySelector('input') as HTMLInputElement; // prettier-ignore
    field.value = '655';
    field.dispatchEvent(new Event('change'));
    await store.settled();
    await show();
    expect((await stored('b'))?.result).toEqual({ outG: 655 });
    const rack = host(fixture).querySelectorAll('select')[1] as HTMLSelectElement;
    rack.value = 'top';
    rack.dispatchEvent(new Event('change'));
    await store.settled();
    expect((await stored('b'))?.rack).toBe('top');
    for (let i = 0; i < 3; i++) await store.undo('log');
    expect(await stored('b')).toEqual(b);
    fixture.destroy();
  });

  it('asks about a time that looks like a slip, and no more once it is said to be right', async () => {
    const learning = TestBed.inject(Learning);
    for (let i = 0; i < 5; i++) await logged(store, loaf({ id: `c${i}`, at: 1000 + i, minutes: 50 }));
    await logged(store, loaf({ id: 'odd', at: 2000, minutes: 9 }));
    await expectAsync(until(() => (TestBed.tick(), learning.lesson()?.doubts.some((d) => d.bakeId === 'odd') ?? false))).toBeResolvedTo(true); // prettier-ignore
    const odd = (await stored('odd')) as BakeRecord;
    const shown = signal(odd);
    const fixture = TestBed.createComponent(BakeSheet, { bindings: [inputBinding('bake', shown)] });
    await fixture.whenStable();
    button(fixture, '9 min is right').click();
    await store.settled();
    shown.set((await stored('odd')) as BakeRecord);
    await fixture.whenStable();
    expect(host(fixture).querySelector('.doubt')).toBeNull();
    await expectAsync(until(() => (TestBed.tick(), learning.lesson()?.doubts.every((d) => d.bakeId !== 'odd') ?? false))).toBeResolvedTo(true); // prettier-ignore
    await store.undo('log');
    expect(await stored('odd')).toEqual(odd);
    fixture.destroy();
  });

  it('lays two bakes side by side: the formula line by line, and in bold what differs', async () => {
    const other = { ...f, groups: f.groups.map((g) => ({ ...g, items: g.items.map((i) => (i.ingredient.includes('sugar') ? { ...i, grams: 120 } : i)) })) }; // prettier-ignore
    const [one, two] = [await store.freeze(f, 'a'), await store.freeze(other, 'b')];
    const [x, y] = [
      loaf({ id: 'x', versionId: one, result: { marks: { taste: 3 } } }),
      loaf({ id: 'y', versionId: two, minutes: 50, result: { marks: { taste: 5 } } }),
    ];
    const fixture = TestBed.createComponent(BesideBakes, {
      bindings: [inputBinding('one', () => x), inputBinding('other', () => y)],
    });
    await expectAsync(until(async () => (await fixture.whenStable(), host(fixture).querySelector('ul li') !== null))).toBeResolvedTo(true); // prettier-ignore
    expect(host(fixture).querySelector('ul')?.textContent).toMatch(/sugar 150 → 120 g/i);
    const row = (name: string): Element | undefined => [...host(fixture).querySelectorAll('tr')].find((r) => r.querySelector('th')?.textContent === name); // prettier-ignore
    expect(row('in the oven')?.classList).toContain('differs');
    expect(row('heat')?.classList).not.toContain('differs');
    expect(row('taste')?.textContent).toContain('make it again');
    fixture.destroy();
  });

  it('draws what was learned, and learns an oven anew with one press', async () => {
    for (let i = 0; i < 6; i++) await logged(store, loaf({ id: `b${i}`, at: 1000 + i, minutes: 45 + (i % 2) }));
    const learning = TestBed.inject(Learning);
    const fixture = TestBed.createComponent(Taught);
    await expectAsync(until(async () => (await fixture.whenStable(), (learning.lesson()?.learned.keys.length ?? 0) > 0))).toBeResolvedTo(true); // prettier-ignore
    await fixture.whenStable();
    expect(host(fixture).querySelector('.oven h2')?.textContent).toMatch(/Runs about \d+ °C hot/);
    expect(host(fixture).querySelectorAll('.groups .row').length).toBeGreaterThan(1);
    expect(host(fixture).querySelectorAll('.error').length).toBe(3);
    button(fixture, /it was mended/).click();
    await expectAsync(until(async () => (await fixture.whenStable(), host(fixture).textContent?.includes('Nothing logged in it yet') ?? false))).toBeResolvedTo(true); // prettier-ignore
    button(fixture, /count the older bakes again/).click();
    await expectAsync(until(async () => (await fixture.whenStable(), /Runs about/.test(host(fixture).textContent ?? '')))).toBeResolvedTo(true); // prettier-ignore
    fixture.destroy();
  });

  it('plans small batches only from what can be read, and keeps them over a reload of the view', async () => {
    await TestBed.inject(Desk).pickUp('loaf');
    let fixture = TestBed.createComponent(SeriesPart);
    await fixture.whenStable();
    const said = (): string => host(fixture).querySelector('[role=alert]')?.textContent ?? '';
    const plan = async (): Promise<void> => {
      button(fixture, /plan \d+ batches/).click();
      await fixture.whenStable();
      await store.settled();
    };
    await plan();
    expect(said()).toContain('Choose the ingredient');
    button(fixture, 'the oven').click();
    await fixture.whenStable();
    const [, second] = [...host(fixture).querySelectorAll('.levels input')] as HTMLInputElement[];
    for (const bad of ['warm', '20']) {
      (second as HTMLInputElement).value = bad;
      (second as HTMLInputElement).dispatchEvent(new Event('input'));
      await plan();
      expect(said()).withContext(bad).toContain('cannot be read');
    }
    (second as HTMLInputElement).value = '160';
    (second as HTMLInputElement).dispatchEvent(new Event('input'));
    await plan();
    const kept = (await store.database.series.toArray()).map((r) => r.series);
    expect(kept.length).toBe(1);
    expect(kept[0]?.batches.map((b) => b.formula.bake?.ovenC).sort()).toEqual([160, 175]);
    fixture.destroy();
    fixture = TestBed.createComponent(SeriesPart);
    await expectAsync(until(async () => (await fixture.whenStable(), host(fixture).querySelector('article') !== null))).toBeResolvedTo(true); // prettier-ignore
    expect(host(fixture).querySelector('article')?.textContent).toContain('175 °C or 160 °C');
    // who tastes is told what it holds; what is thrown away comes back whole
    host(fixture).querySelector<HTMLElement>('article .head')?.click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('.table')?.textContent).toMatch(/Contains [^.]*wheat/);
    button(fixture, /remove/).click();
    await expectAsync(until(async () => (await store.database.series.count()) === 0)).toBeResolvedTo(true);
    await store.undo('log');
    expect((await store.database.series.toArray()).map((r) => r.series)).toEqual(kept);
    const broken = { ...kept[0], batches: [] } as unknown as Series;
    expect(await store.change(kinds.series, broken.id, 'break it', kept[0], broken)).toBeFalse();
    expect((await store.database.series.toArray()).map((r) => r.series)).toEqual(kept);
    fixture.destroy();
  });

  it('foretells by the oven and the place that are meant, and by the stated time until the log knows', async () => {
    const desk = TestBed.inject(Desk);
    const bakery = TestBed.inject(Bakery);
    await desk.pickUp('loaf');
    const likely = (): number => {
      const o = bakery.targetBake();
      return o?.ok ? o.value.minutes.likely : 0;
    };
    await expectAsync(until(() => likely() > 0)).toBeResolvedTo(true);
    const before = likely();
    expect(bakery.targetBake()).toEqual(jasmine.objectContaining({ ok: true }));
    for (let i = 0; i < 8; i++)
      await logged(store, loaf({ id: `t${i}`, at: 1000 + i, rack: 'top', minutes: Math.round(before * 0.8) }));
    await desk.change('on the top rack', { plan: { rack: 'top' } });
    await expectAsync(until(() => likely() < before * 0.93)).toBeResolvedTo(true);
    const onTop = likely();
    await desk.change('in the middle', { plan: {} });
    await expectAsync(until(() => likely() > onTop * 1.002)).toBeResolvedTo(true);
  });
});
