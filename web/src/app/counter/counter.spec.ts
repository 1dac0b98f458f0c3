import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import { defaultKitchen, fitTins, type Formula, type MadeBake } from '@orvin/core';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Makings } from '../desk/makings';
import { base } from '../ui/testing/muffins';
import { host, press, until } from '../ui/testing/page';
import { Counter } from './counter';

const tin = defaultKitchen.tins.find((t) => t.shape === 'cup') ?? defaultKitchen.tins[0];
const f: Formula = { ...base, id: 'm', bake: { ovenC: 190, fan: false }, ...(tin && { tins: [{ tin, count: 1 }] }) };
const bake: MadeBake = {
  id: 'm',
  formula: f,
  fits: fitTins(f, f.tins ?? [], defaultKitchen),
  minutes: { early: 17, likely: 19, late: 22 },
  marks: [
    { kind: 'first look', atMin: 16, words: 'look through the glass' },
    { kind: 'out', atMin: 19, words: 'likely done' },
  ],
  ovenId: 'oven',
};

describe('the counter', () => {
  let store: Store;
  let fixture: ComponentFixture<Counter>;
  let makings: Makings;

  beforeEach(async () => {
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideRouter([]),
        provideServiceWorker('none.js', { enabled: false }),
      ],
    });
    store = await openKitchen();
    await store.commit('m', 'read', 'working', 'm', null, { formula: f, plan: {} });
    makings = TestBed.inject(Makings);
    for (let i = 0; i < 100 && !makings.ready(); i++) await new Promise((r) => setTimeout(r, 20));
    await makings.begin([bake], null);
    fixture = TestBed.createComponent(Counter);
    fixture.componentRef.setInput('id', 'm');
    await until(fixture, () => host(fixture).querySelector('.goKey') !== null);
  });
  afterEach(async () => {
    fixture.destroy();
    await closeKitchen(store);
  });

  const text = (): string => host(fixture).querySelector('section.now')?.textContent ?? '';
  const key = (): HTMLButtonElement => host(fixture).querySelector('.goKey') as HTMLButtonElement;
  const dones = (): number => (makings.making()?.happenings ?? []).filter((h) => h.kind === 'done').length;
  const wait = (): Promise<void> => new Promise((r) => setTimeout(r, 350));
  /** All up to a step, as if it had been done so many minutes ago. */
  async function upTo(stepId: string, agoMin: number): Promise<void> {
    const list = makings.lists().get('m') ?? [];
    const at = Date.now() - agoMin * 60_000;
    for (const s of list.slice(
      0,
      list.findIndex((x) => x.id === stepId),
    ))
      await makings.add({ kind: 'done', bakeId: 'm', stepId: s.id }, at);
    await until(fixture, () => makings.standings()[0]?.step?.id === stepId);
  }

  it('goes on by a tap, any key or a pedal, counts a double tap once, and goes back', async () => {
    key().click();
    key().click();
    await until(fixture, () => dones() === 1);
    await wait();
    press(document.body, 'PageDown');
    await until(fixture, () => dones() === 2);
    await wait();
    press(document.body, 'x');
    await until(fixture, () => dones() === 3 || text().includes('weigh, 2'));
    await wait();
    const n = makings.making()?.happenings.length ?? 0;
    press(document.body, 'Backspace');
    await until(fixture, () => makings.making()?.happenings.length === n + 1);
    // keys of the application stay what they are
    press(document.body, '3');
    press(document.body, '?');
    expect(makings.making()?.happenings.length).toBe(n + 1);
  });

  it('takes nothing out before the first look, and says of an alarm that was slept through how late it is', async () => {
    await upTo('bake', 3);
    await until(fixture, () => text().includes('Bake at'));
    expect(key().disabled).toBeTrue();
    expect(text()).toMatch(/1[23]:\d\d/);
    // the page slept for twenty minutes
    const shift = makings.making();
    await makings.putDown('m');
    await makings.begin([bake], null);
    await upTo('bake', 23);
    await until(fixture, () => host(fixture).querySelector('.alarm') !== null);
    expect(host(fixture).querySelector('.alarm')?.textContent).toMatch(/look through the glass/);
    expect(host(fixture).querySelector('.alarm')?.textContent).toMatch(/It was due at \d\d:\d\d, [67] min ago/);
    expect(key().disabled).toBeFalse();
    expect(shift).not.toBeNull();
    // heard, then the next; then it may come out
    key().click();
    await until(fixture, () => host(fixture).querySelector('.alarm')?.textContent?.includes('likely done') ?? false);
    await wait();
    key().click();
    await until(fixture, () => host(fixture).querySelector('.alarm') === null);
    expect(key().textContent).toContain('out it comes');
  });

  it('does not end the weighing while a line is short, last as it may be', async () => {
    await upTo('weigh', 1);
    const amounts =
      makings
        .lists()
        .get('m')
        ?.find((s) => s.id === 'weigh')?.amounts ?? [];
    for (const a of amounts.slice(0, -1))
      await makings.add({ kind: 'weighed', bakeId: 'm', itemId: a.itemId, grams: a.grams, by: 'hand' });
    await until(fixture, () => text().includes(`weigh, ${amounts.length} of ${amounts.length}`));
    const pad = (words: string): HTMLButtonElement => [...host(fixture).querySelectorAll('button')].find((b) => b.textContent?.trim() === words) as HTMLButtonElement; // prettier-ignore
    pad('the scale shows…').click();
    await until(fixture, () => host(fixture).querySelector('orvin-keypad') !== null);
    expect(key().disabled).toBeTrue();
    pad('1').click();
    await until(fixture, () => !pad('take it').disabled);
    pad('take it').click();
    await until(fixture, () => text().includes('more'));
    expect(makings.standings()[0]?.step?.id).toBe('weigh');
    expect([...(makings.standings()[0]?.read ?? [])]).toEqual([amounts.at(-1)?.itemId ?? '']);
    await wait();
    key().click();
    await until(fixture, () => makings.standings()[0]?.step?.id !== 'weigh');
  });

  it('offers more time for the bake that rings, whichever is on the screen', async () => {
    const other: MadeBake = { ...bake, id: 'n', formula: { ...f, id: 'n', title: 'Second' } };
    await makings.putDown('m');
    await makings.begin([bake, other], null);
    await upTo('bake', 16.5);
    await until(fixture, () => host(fixture).querySelector('.alarm') !== null);
    const later = [...host(fixture).querySelectorAll('button')].find((b) => b.textContent?.includes('not yet: 3'));
    later?.click();
    await until(fixture, () => (makings.making()?.happenings ?? []).some((h) => h.kind === 'not yet'));
    expect(makings.making()?.happenings.find((h) => h.kind === 'not yet')).toEqual(
      jasmine.objectContaining({ bakeId: 'm' }),
    );
    await until(fixture, () => host(fixture).querySelector('.alarm') === null);
    expect(host(fixture).querySelector('.tab.on')?.textContent).toContain('Second');
  });

  it('shows what it should look like and how to save it; what is added by feel is kept', async () => {
    const list = makings.lists().get('m') ?? [];
    const mix = list.find((s) => s.kind === 'mix' && s.feel.length > 0);
    await upTo(mix?.id ?? '', 1);
    const button = (words: string): HTMLButtonElement => [...host(fixture).querySelectorAll<HTMLButtonElement>('.acts button')].find((b) => b.textContent?.includes(words)) as HTMLButtonElement; // prettier-ignore
    await until(fixture, () => button('look like this') !== undefined);
    button('look like this').click();
    await until(fixture, () => text().includes(mix?.wrong[0]?.rescue ?? '–'));
    await wait();
    button(mix?.feel[0] ?? '').click();
    await until(fixture, () => makings.standings()[0]?.felt.length === 1);
    expect(makings.standings()[0]?.felt[0]?.words).toBe(mix?.feel[0] ?? '');
  });
});
