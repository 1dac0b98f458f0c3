import { TestBed } from '@angular/core/testing';
import type { DayPlan } from '@orvin/core';
import { DayBook } from '../desk/day-book';
import { muffinBake } from '../ui/testing/muffins';
import { press } from '../ui/testing/page';
import { AtWork } from './testing/at-work';
import { Work } from './work';

describe('the counter', () => {
  let work: AtWork;
  const bake = muffinBake();
  beforeEach(async () => (work = await AtWork.on([bake])));
  afterEach(() => work.close());

  const dones = (): number => (work.makings.making()?.happenings ?? []).filter((h) => h.kind === 'done').length;
  it('goes on by a tap, any key or a pedal, counts a double tap once, and goes back', async () => {
    work.key.click();
    work.key.click();
    await work.until(() => dones() === 1);
    await work.breath();
    press(document.body, 'PageDown');
    await work.until(() => dones() === 2);
    await work.breath();
    press(document.body, 'x');
    await work.until(() => dones() === 3 || work.text().includes('weigh, 2'));
    await work.breath();
    const n = work.makings.making()?.happenings.length ?? 0;
    press(document.body, 'Backspace');
    await work.until(() => work.makings.making()?.happenings.length === n + 1);
    // keys of the application stay what they are
    press(document.body, '3');
    press(document.body, '?');
    expect(work.makings.making()?.happenings.length).toBe(n + 1);
  });

  it('takes nothing out before the first look, and says of an alarm that was slept through how late it is', async () => {
    await work.upTo((s) => s.id === 'bake', 3);
    await work.until(() => work.text().includes('Bake at'));
    expect(work.key.disabled).toBeTrue();
    expect(work.text()).toMatch(/1[23]:\d\d/);
    // the page slept for twenty minutes
    await work.makings.putDown('m');
    await work.makings.begin([bake], null);
    await work.upTo((s) => s.id === 'bake', 23);
    await work.until(() => work.find('.alarm') !== null);
    expect(work.find('.alarm')?.textContent).toMatch(/look through the glass/);
    expect(work.find('.alarm')?.textContent).toMatch(/It was due at \d\d:\d\d, [67] min ago/);
    expect(work.key.disabled).toBeFalse();
    // heard, then the next; then it may come out
    work.key.click();
    await work.until(() => work.find('.alarm')?.textContent?.includes('likely done') ?? false);
    await work.breath();
    work.key.click();
    await work.until(() => work.find('.alarm') === null);
    expect(work.key.textContent).toContain('out it comes');
  });

  it('does not end the weighing while a line is short, last as it may be', async () => {
    await work.upTo((s) => s.id === 'weigh', 1);
    const amounts =
      work.makings
        .lists()
        .get('m')
        ?.find((s) => s.id === 'weigh')?.amounts ?? [];
    for (const a of amounts.slice(0, -1))
      await work.makings.add({ kind: 'weighed', bakeId: 'm', itemId: a.itemId, grams: a.grams, by: 'hand' });
    await work.until(() => work.text().includes(`weigh, ${amounts.length} of ${amounts.length}`));
    await work.press('the scale shows…');
    await work.until(() => work.find('orvin-keypad') !== null);
    expect(work.key.disabled).toBeTrue();
    await work.press('1');
    await work.press('take it');
    await work.until(() => work.text().includes('more'));
    expect(work.makings.standings()[0]?.step?.id).toBe('weigh');
    expect([...(work.makings.standings()[0]?.read ?? [])]).toEqual([amounts.at(-1)?.itemId ?? '']);
    await work.breath();
    work.key.click();
    await work.until(() => work.makings.standings()[0]?.step?.id !== 'weigh');
  });

  it('offers more time for the bake that rings, whichever is on the screen', async () => {
    const other = muffinBake('n', 'Second');
    await work.makings.putDown('m');
    await work.makings.begin([bake, other], null);
    await work.upTo((s) => s.id === 'bake', 16.5);
    await work.until(() => work.find('.alarm') !== null);
    // the plan may have the other for now or for later; here it is what the baker looks at
    await work.press('Second');
    await work.until(() => !!work.find('.tab.on')?.textContent?.includes('Second'));
    await work.breath();
    await work.press('not yet: 3');
    await work.until(() => (work.makings.making()?.happenings ?? []).some((h) => h.kind === 'not yet'));
    expect(work.makings.making()?.happenings.find((h) => h.kind === 'not yet')).toEqual(
      jasmine.objectContaining({ bakeId: 'm' }),
    );
    await work.until(() => work.find('.alarm') === null);
  });

  it('shows what it should look like and how to save it; what is added by feel is kept', async () => {
    const list = work.makings.lists().get('m') ?? [];
    const mix = list.find((s) => s.kind === 'mix' && s.feel.length > 0);
    await work.upTo((s) => s.id === mix?.id, 1);
    await work.press('look like this');
    await work.until(() => work.text().includes(mix?.wrong[0]?.rescue ?? '–'));
    await work.breath();
    await work.press(mix?.feel[0] ?? '');
    await work.until(() => work.makings.standings()[0]?.felt.length === 1);
    expect(work.makings.standings()[0]?.felt[0]?.words).toBe(mix?.feel[0] ?? '');
  });

  it('sets everything out first, by touch, and weighs when everything is here', async () => {
    await work.upTo((s) => s.id === 'weigh', 1);
    const lines = work.standing()?.step?.amounts ?? [];
    await work.until(() => work.text().includes(`set out, 0 of ${lines.length} ready`));
    await work.press('Cocoa');
    await work.until(() => work.text().includes('set out, 1 of'));
    expect(work.find('orvin-set-out-part [aria-pressed="true"]')?.textContent).toMatch(/cocoa/i);
    await work.press('Cocoa');
    await work.until(() => work.text().includes('set out, 0 of'));
    expect(work.key.textContent).toContain('everything is here');
    work.key.click();
    await work.until(() => work.text().includes(`weigh, 1 of ${lines.length}`));
    await work.breath();
    press(document.body, 'Backspace');
    await work.until(() => work.text().includes('set out'));
  });

  it('lets the hands go away and come back, and the next step be done first', async () => {
    const first = work.standing()?.step?.id;
    await work.press('the next one first');
    await work.until(() => work.standing()?.step?.id !== first);
    await work.breath();
    await work.press('pause');
    await work.until(() => /Paused since \d\d:\d\d/.test(work.text()));
    expect(work.key.textContent).toContain('I am back');
    await work.breath();
    const shown = work.standing()?.step?.words ?? '';
    work.key.click();
    await work.until(() => work.text().includes(shown));
    await work.breath();
    await work.press('the next one first');
    await work.until(() => work.standing()?.step?.id === first);
  });

  it('stays with the bake that is in hand, though the plan has the other first', async () => {
    // the plan as it is said here, however often it is made anew
    const task = (bakeId: string, inMin: number) => ({ bakeId, kind: 'mix', startsAt: Date.now() + 60_000 * inMin });
    const plan = { tasks: [task('m', 60), task('n', 0)] } as unknown as DayPlan;
    Object.defineProperty(TestBed.inject(DayBook), 'plan', { value: () => plan });
    await work.makings.putDown('m');
    await work.makings.begin([bake, muffinBake('n', 'Second')], null);
    for (const id of ['m', 'n']) await work.upTo((s) => s.kind === 'weigh', 0, id);
    const state = work.fixture.debugElement.injector.get(Work);
    await work.until(() => work.find('.tab.on b')?.textContent === 'Second');
    await work.press('Muffins');
    await work.breath();
    await work.press('everything is here');
    await work.until(() => work.text().includes('weigh, 1'));
    // nothing is chosen any more
    state.chosen.set(null);
    await work.breath();
    expect(work.find('.tab.on b')?.textContent).toBe('Muffins');
    expect(work.text()).toContain('weigh, 1');
    // and the page that is opened again goes on with what was begun
    await work.again();
    await work.until(() => work.find('.tab.on b')?.textContent === 'Muffins', 'the bake in hand');
    expect(work.text()).toContain('weigh, 1');
  });
});
