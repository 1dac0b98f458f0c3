import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { defaultKitchen } from '@orvin/core';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Intake } from './intake';
import { Reader } from './reader';
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

  const until = async (done: () => boolean): Promise<void> => {
    for (let i = 0; i < 200 && !done(); i++) {
      await new Promise((r) => setTimeout(r, 20));
      await fixture.whenStable();
    }
    expect(done()).toBeTrue();
  };
  const choose = async (label: string, option: string): Promise<void> => {
    (host().querySelector(`[role=combobox][aria-labelledby="${label}"]`) as HTMLElement).click();
    const found = (): HTMLElement | undefined =>
      [...document.querySelectorAll<HTMLElement>('[role=option]')].find((o) => o.textContent?.trim() === option);
    await until(() => found() !== undefined);
    found()?.click();
    await fixture.whenStable();
  };
  const page = `Home » Cakes » Lemon squares
Jump to recipe

Lemon squares
2 cups all-purpose flour
2 large eggs
1 stick butter
1 cup sugar
2 tsp baking powder
1 cup powdered sugar

Rub the butter into the flour and bake at 350 °F for 25 minutes in a 9 inch square pan.
Mix the powdered sugar with a little water and drizzle over the top.

Comments
My dog ate it all`;
  const egg = (): string =>
    [...host().querySelectorAll('.read')].map((e) => e.textContent ?? '').find((t) => /egg/i.test(t)) ?? '';

  it('shows where a recipe is from, and what it takes its measures for changes with that, by one choice', async () => {
    await TestBed.inject(Intake).read(page, defaultKitchen);
    await fixture.whenStable();
    const origin = (): string => host().querySelector('.origin')?.textContent ?? '';
    expect(origin()).toMatch(/United States.*cup 240 ml.*all-purpose/s);
    expect(egg()).toContain('100 g');
    await choose('kind', 'pound cake');
    await choose('from', 'Australia');
    await until(() => origin().includes('cup 250 ml'));
    expect(egg()).not.toContain('100 g');
    // what was chosen stays when a line is corrected, and goes by its own press back
    (host().querySelector('[aria-label="Correct: 1 cup sugar"]') as HTMLButtonElement).click();
    await fixture.whenStable();
    const input = host().querySelector('input.correct') as HTMLInputElement;
    input.value = '1/2 cup sugar';
    input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    await until(() => TestBed.inject(Intake).reading()?.text.includes('1/2 cup sugar') === true);
    expect(origin()).toContain('cup 250 ml');
    expect(TestBed.inject(Intake).reading()?.draft.formula.family).toBe('pound-cake');
    await press('take back Ctrl Z');
    await press('take back Ctrl Z');
    expect(origin()).toContain('cup 240 ml');
    expect(egg()).toContain('100 g');
  });

  it('leaves what stands around the recipe where it was, as not used, and says what goes apart from the batter', async () => {
    await TestBed.inject(Intake).read(page, defaultKitchen);
    await fixture.whenStable();
    const left = [...host().querySelectorAll('.line')]
      .filter((l) => l.querySelector('.left'))
      .map((l) => l.querySelector('.said')?.textContent?.trim());
    expect(left).toEqual(['Home » Cakes » Lemon squares', 'Jump to recipe', 'Comments', 'My dog ate it all']);
    const apart = [...host().querySelectorAll('.read')].filter((r) => r.querySelector('.apart'));
    expect(apart.map((r) => r.querySelector('span')?.textContent ?? '').join()).toMatch(
      /^\s*(?:Icing|Powdered) sugar/i,
    );
  });

  it('says the language of a list that is in another', async () => {
    await TestBed.inject(Intake).read(
      'Kirschkuchen\n\n200 g Mehl\n100 g Zucker\n2 Eier\n100 g Butter\n\nAlles verrühren. Bei 180 °C 30 Minuten backen.',
      defaultKitchen,
    );
    await fixture.whenStable();
    expect(host().querySelector('.head')?.textContent).toContain('in German');
  });

  /** The sheet of another text. */
  const sheetOf = async (other: string): Promise<void> => {
    await TestBed.inject(Intake).read(other, defaultKitchen);
    await fixture.whenStable();
  };

  it('has the weightiest doubt first, folds away what changes next to nothing, and takes that as read with one press', async () => {
    await sheetOf(
      'Walnut cake\n\n300 g plain flour\n2 cups (180 g) sugar\n3 tsp baking powder\n120 g butter\n10 g walnuts or pecans\n6 g hazelnuts or almonds\n2 eggs\n150 ml milk\n\nMix all. Bake in a 20 cm round tin at 180 °C for 40 minutes.',
    );
    const notes = [...host().querySelectorAll('aside > .note')].map((e) => e.getAttribute('aria-label') ?? '');
    expect(notes[0]).toContain('2 cups of');
    const folded = host().querySelector<HTMLDetailsElement>('details.slight');
    expect(folded?.open).toBe(false);
    expect(folded?.querySelectorAll('.note').length).toBe(2);
    await press('take these as read');
    expect(host().querySelector('details.slight')).toBeNull();
    expect(host().querySelectorAll('aside > .note').length).toBe(notes.length);
    await press('180 g, as weighed');
    expect(host().querySelector('.state')?.textContent).toContain('Nothing left in doubt');
  });

  it('says what speaks for the family, and what became of every line', async () => {
    await sheetOf(
      'Plum muffins\nMakes 12\n\n300 g plain flour\n100 g sugar\n3 tsp baking powder\n80 ml oil\n2 eggs\n240 ml milk\n200 g plums\n\nMix all. Bake in a 12-hole muffin tin at 190 °C for 20 minutes.\n\nNotes\nThey freeze well.',
    );
    expect(host().querySelector('.facts .why')?.textContent).toContain('“muffins” in the title');
    const account = host().querySelector('.account')?.textContent ?? '';
    expect(account).toContain('7 lines of the list');
    for (const read of ['the heat', 'the time', 'the tin', 'the yield']) expect(account).toContain(read);
    expect(account).toContain('Kept beside: 1 line.');
  });

  it('takes a line that was just corrected along to the bench', async () => {
    const shelved = spyOn(TestBed.inject(Intake), 'shelveRead').and.resolveTo(true);
    const mend = host().querySelector<HTMLElement>('[aria-label="Correct: 60 g butter"]');
    mend?.click();
    await fixture.whenStable();
    const field = host().querySelector<HTMLInputElement>('input.correct');
    if (field) field.value = '75 g butter';
    field?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    [...host().querySelectorAll('button')].find((b) => b.textContent?.includes('to the bench'))?.click();
    while (!shelved.calls.any()) await new Promise((next) => setTimeout(next));
    const [formula] = shelved.calls.mostRecent().args;
    expect(formula.groups.flatMap((g) => g.items).find((i) => i.ingredient === 'butter')?.grams).toBe(75);
  });

  it('shows the picture it was read from, with the place of each line and a strip of each doubt', async () => {
    const pixel = Uint8Array.from(atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg=='), (c) => c.charCodeAt(0)); // prettier-ignore
    const intake = TestBed.inject(Intake);
    const written =
      'Plain cake\n\n300 g plain flour\n130 g sugar\n3 tsp baking powder\n2 eggs\n110 g butter\n140 ml milk';
    const lines = written.split('\n').map((line, i) => ({
      place: line === '' ? null : { page: 0, x: 0.1, y: 0.1 * i, w: 0.5, h: 0.05 },
      unsure: /^\d/.test(line)
        ? [{ from: 0, to: line.indexOf(' '), certainty: 0.8, maybe: line.startsWith('130') ? ['180'] : [] }]
        : [],
    }));
    const picture = { pages: [{ type: 'image/png', width: 100, height: 100, bytes: pixel.buffer }], lines };
    const draft = await TestBed.inject(Reader).draftOf({ text: written, picture }, defaultKitchen, 'read');
    if (!draft) throw new Error('not read');
    intake.hold({ text: written, picture, draft, settled: [] });
    await fixture.whenStable();
    expect(host().querySelectorAll('orvin-picture-beside .place').length).toBe(7);
    expect(host().querySelectorAll('orvin-picture-beside .place.doubted').length).toBe(6);
    expect(host().querySelectorAll('.note orvin-picture-strip').length).toBe(6);
    host().querySelectorAll<HTMLElement>('.place.doubted')[1]?.click();
    await fixture.whenStable();
    expect(host().querySelector('.line.lit .said')?.textContent).toContain('130 g');
    await press('180 g');
    expect([...host().querySelectorAll('.line .read')].some((l) => l.textContent?.includes('180 g'))).toBeTrue();
    // the others are looked over in the picture and taken at once
    await press('all 5 are right as read');
    expect(host().querySelectorAll('.note orvin-picture-strip').length).toBe(0);
  });
});
