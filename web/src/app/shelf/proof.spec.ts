import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { defaultKitchen } from '@orvin/core';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Intake } from './intake';
import { Proof } from './proof';

const text = `Seeded scones

300 g plain flour
3 tbsp baking soda
2 cups (180 g) sugar
40 g glimmer
60 g butter
150 g milk

Bake at 180C for 14 minutes.`;

describe('the proof sheet', () => {
  let fixture: ComponentFixture<Proof>;
  let store: Store;

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([{ path: '**', children: [] }])] });
    store = await openKitchen();
    await TestBed.inject(Intake).read(text, defaultKitchen);
    fixture = TestBed.createComponent(Proof);
    await fixture.whenStable();
  });
  afterEach(async () => {
    fixture.destroy();
    await store.settled();
    await closeKitchen(store);
  });

  const host = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const doubtful = (): string[] =>
    [...host().querySelectorAll('.doubt .said')].map((e) =>
      [...e.querySelectorAll('span')]
        .map((x) => x.textContent)
        .join('')
        .trim(),
    );
  const press = async (words: string): Promise<void> => {
    const button = [...host().querySelectorAll('button')].find((b) => b.textContent?.trim() === words);
    expect(button).withContext(words).toBeDefined();
    button?.click();
    await fixture.whenStable();
  };

  it('keeps every line of the paste in its place and marks those in doubt', () => {
    const said = [...host().querySelectorAll('.said')].map((e) =>
      [...e.querySelectorAll('span')]
        .map((x) => x.textContent)
        .join('')
        .trim(),
    );
    expect(said).toEqual(text.split('\n'));
    expect(doubtful()).toEqual(['3 tbsp baking soda', '2 cups (180 g) sugar', '40 g glimmer']);
  });

  it('settles each with one press, and shows what it is read as now', async () => {
    await press('baking powder is meant');
    await press('180 g, as weighed');
    await press('not an ingredient');
    expect(doubtful()).toEqual([]);
    expect(host().querySelector('.state')?.textContent).toContain('Nothing left in doubt');
    const read = [...host().querySelectorAll('.read')].map((e) => (e.textContent ?? '').replace(/\s+/g, ' ').trim());
    expect(read.some((r) => /180 g ?Granulated sugar/.test(r)))
      .withContext(read.join())
      .toBeTrue();
    expect(read.some((r) => r.endsWith('Baking powder'))).toBeTrue();
    expect(read.join()).not.toContain('not known');
  });

  it('takes a press back, and reads a corrected line again with the rest settled as it was', async () => {
    await press('180 g, as weighed');
    await press('take back Ctrl Z');
    expect(doubtful()).toContain('2 cups (180 g) sugar');
    await press('180 g, as weighed');
    (host().querySelector('[aria-label="Correct: 40 g glimmer"]') as HTMLButtonElement).click();
    await fixture.whenStable();
    const input = host().querySelector('input.correct') as HTMLInputElement;
    input.value = '40 g sunflower seeds';
    input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    for (let i = 0; i < 100 && !TestBed.inject(Intake).reading()?.text.includes('sunflower'); i++) {
      await new Promise((r) => setTimeout(r, 20));
      await fixture.whenStable();
    }
    await fixture.whenStable();
    expect(doubtful()).toEqual(['3 tbsp baking soda']);
    expect(TestBed.inject(Intake).reading()?.text).toContain('40 g sunflower seeds');
  });

  it('underlines what each value was read from', () => {
    const of = (what: string): string[] => [...host().querySelectorAll(`.p-${what}`)].map((e) => e.textContent ?? '');
    expect(of('amount')).toEqual(jasmine.arrayContaining(['300 g', '3 tbsp', '60 g']));
    expect(of('ingredient')).toEqual(jasmine.arrayContaining(['plain flour', 'baking soda', 'butter']));
    expect(of('heat').concat(of('time'))).toEqual(['180C', '14 minutes']);
  });

  it('goes to the bench as it stands, doubts or no, and lets the reading go', async () => {
    await press('to the bench as read');
    for (let i = 0; i < 100 && TestBed.inject(Intake).reading() !== null; i++)
      await new Promise((r) => setTimeout(r, 20));
    expect(TestBed.inject(Intake).reading()).toBeNull();
    expect((await store.database.working.toArray()).map((w) => w.formula.title)).toEqual(['Seeded scones']);
    expect(await store.database.meta.get('reading')).toBeUndefined();
  });
});
