import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { defaultKitchen, withStages, type BakeRecord, type Formula } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import { firstValueFrom, filter } from 'rxjs';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';
import { Log } from './log';
import { kinds } from '../data/kinds';

const f: Formula = {
  ...readRecipe(
    'Loaf\n250 g flour\n2 eggs\n150 g sugar\n90 g oil\n160 g yogurt\n8 g baking powder\nBake at 175C for 55-60 minutes in a 9x5 inch loaf tin.',
  ).formula,
  id: 'loaf',
};

describe('logging a bake', () => {
  let fixture: ComponentFixture<Log>;
  let store: Store;

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([])] });
    store = await openKitchen();
    await store.change(kinds.formula, 'loaf', 'read', null, { formula: f, plan: {} });
    await TestBed.inject(Desk).pickUp('loaf');
    fixture = TestBed.createComponent(Log);
    fixture.componentRef.setInput('id', 'loaf');
    await fixture.whenStable();
    const bakery = TestBed.inject(Bakery);
    await expectAsync(until(() => bakery.targetBake()?.ok === true)).toBeResolvedTo(true);
    await fixture.whenStable();
  });
  afterEach(async () => {
    TestBed.inject(Desk).putDown();
    fixture.destroy();
    await store.settled();
    await closeKitchen(store);
  });

  const until = async (test: () => boolean): Promise<boolean> => {
    for (let i = 0; i < 200 && !test(); i++) await new Promise((r) => setTimeout(r, 50));
    return test();
  };
  const host = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const log = async (minutes: string): Promise<void> => {
    const field = host().querySelector('#took') as HTMLInputElement;
    field.value = minutes;
    field.dispatchEvent(new Event('input'));
    (host().querySelector('form') as HTMLFormElement).dispatchEvent(new Event('submit', { cancelable: true }));
    await fixture.whenStable();
    await store.settled();
    await fixture.whenStable();
  };
  const said = (): string => host().querySelector('[role=alert]')?.textContent?.trim() ?? '';
  const bakes = (): Promise<readonly BakeRecord[]> => firstValueFrom(store.bakes$);

  it('asks for minutes until it has some', async () => {
    for (const text of ['', 'a while', '-3', '0', '4000']) {
      await log(text);
      expect(said()).withContext(text).toContain('How many minutes');
    }
    expect(await bakes()).toEqual([]);
  });

  it('stores what was predicted beside what happened, with the version that was baked', async () => {
    await log('1h 2');
    const list = await firstValueFrom(store.bakes$.pipe(filter((b) => b.length > 0)));
    expect(list[0]?.minutes).toBe(62);
    expect(list[0]?.predicted?.likely).toBeGreaterThan(30);
    expect(list[0]?.versionId).toBe('loaf@1');
    expect(list[0]?.family).toBe(f.family);
  });

  it('keeps how it went in, for the tin that was looked at', async () => {
    const desk = TestBed.inject(Desk);
    const bakery = TestBed.inject(Bakery);
    const own = f.tins?.[0];
    const other = defaultKitchen.tins[0];
    if (!own || !other || !f.bake) return fail('the recipe names no tin');
    await desk.change('into two tins, hot, in a cold oven', {
      formula: { ...f, bake: withStages({ ...f.bake, hotTin: true }, 'tent') },
      plan: { tins: [own, { tin: other, count: 1 }], ovenReachedC: 60 },
    });
    bakery.show(other.id);
    await fixture.whenStable();
    await expectAsync(
      until(() => bakery.shownFit()?.tin.id === other.id && bakery.targetBake()?.ok === true),
    ).toBeResolvedTo(true);
    await log('70');
    if ((await bakes()).length === 0) await log('70');
    const [bake] = await firstValueFrom(store.bakes$.pipe(filter((b) => b.length > 0)));
    expect(bake?.tin.tin.id).toBe(other.id);
    expect(bake?.hotTin).toBeTrue();
    expect(bake?.ovenReachedC).toBe(60);
    expect(bake?.stages?.[0]?.cover).toBe('tent');
    expect(bake?.composition?.water).toBeGreaterThan(0.2);
  });

  it('doubts a time far from any prediction once, then believes it', async () => {
    await log('9');
    expect(said()).toContain('far from');
    expect(await bakes()).toEqual([]);
    (host().querySelector('form') as HTMLFormElement).dispatchEvent(new Event('submit', { cancelable: true }));
    expect((await firstValueFrom(store.bakes$.pipe(filter((b) => b.length > 0))))[0]?.minutes).toBe(9);
  });
});
