import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { defaultKitchen, operations, type Formula } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import { WorkStrip } from './work-strip';

const round = readRecipe(
  'Soda round\n450 g plain flour\n1 tsp baking soda\n1 tsp salt\n40 g butter\n350 ml buttermilk\n60 g cheddar\n\nHeat the oven to 210C. Mix the flour, soda and salt and rub in the butter. Add half the cheese. Pour in the buttermilk. Shape it into a round and let it stand for 10 minutes. Cut a deep cross, scatter with the rest of the cheese. Bake for 40 minutes, turning it half-way. Wrap in a cloth.',
).formula;

/** The strip over a formula that takes up what is moved on it. */
async function strip(
  f: Formula,
): Promise<{ fixture: ComponentFixture<WorkStrip>; words: string[]; now: () => Formula }> {
  const fixture = TestBed.createComponent(WorkStrip);
  const words: string[] = [];
  let formula = f;
  fixture.componentRef.setInput('formula', f);
  fixture.componentRef.setInput('kitchen', defaultKitchen);
  fixture.componentInstance.moved.subscribe((m) => {
    formula = m.formula;
    words.push(m.words);
    fixture.componentRef.setInput('formula', formula);
  });
  await fixture.whenStable();
  return { fixture, words, now: () => formula };
}
const host = (x: { fixture: ComponentFixture<WorkStrip> }): HTMLElement => x.fixture.nativeElement as HTMLElement;
const pieces = (x: { fixture: ComponentFixture<WorkStrip> }, zone: string): HTMLElement[] => [...host(x).querySelectorAll<HTMLElement>(`section.${zone} .piece`)]; // prettier-ignore
const verbs = (x: { fixture: ComponentFixture<WorkStrip> }, zone: string): string[] => pieces(x, zone).map((p) => p.querySelector('.verb')?.textContent ?? ''); // prettier-ignore
const press = (at: HTMLElement, key: string, shiftKey = false): boolean => at.dispatchEvent(new KeyboardEvent('keydown', { key, shiftKey, bubbles: true, cancelable: true })); // prettier-ignore

describe('the strip of the work', () => {
  it('shows every operation once, in its place on the line, with shares, heats and times', async () => {
    const x = await strip(round);
    expect(host(x).querySelectorAll('.piece').length).toBe(operations(round).length);
    expect(verbs(x, 'before').slice(-3)).toEqual(['rest', 'score', 'sprinkle']);
    expect(verbs(x, 'in')).toEqual(['in', 'bake', 'turn', 'out']);
    const text = host(x).textContent.replace(/\s+/g, ' ');
    for (const said of ['½ Hard cheese', 'rest Hard cheese', '210 °C', '10 min', '40 min', 'half-way'])
      expect(text).toContain(said);
    // one stop for Tab in the whole of it
    expect(host(x).querySelectorAll('.piece[tabindex="0"]').length).toBe(1);
  });

  it('is gone along with the arrows, and a piece is moved with Shift held, across the oven’s door and back', async () => {
    const x = await strip(round);
    const find = (verb: string): HTMLElement => [...host(x).querySelectorAll<HTMLElement>('.piece')].find((p) => p.querySelector('.verb')?.textContent === verb) as HTMLElement; // prettier-ignore
    find('score').focus();
    press(find('score'), 'ArrowRight');
    await x.fixture.whenStable();
    expect(document.activeElement).toBe(find('sprinkle'));
    press(find('sprinkle'), 'ArrowRight', true);
    await x.fixture.whenStable();
    expect(verbs(x, 'in')).toContain('sprinkle');
    expect(document.activeElement).toBe(find('sprinkle'));
    press(find('sprinkle'), 'ArrowLeft', true);
    await x.fixture.whenStable();
    expect(verbs(x, 'before').at(-1)).toBe('sprinkle');
    expect(x.words.length).toBe(2);
    // what Orvin adds stays where it is
    const before = x.now();
    press(find('weigh'), 'ArrowRight', true);
    await x.fixture.whenStable();
    expect(x.now()).toBe(before);
  });

  it('says a chosen piece in the baker’s words, and has buttons for fingers', async () => {
    const x = await strip(round);
    pieces(x, 'before')
      .find((p) => /score/.test(p.textContent))
      ?.click();
    await x.fixture.whenStable();
    expect(host(x).querySelector('.words')?.textContent).toContain('Cut a deep cross');
    const [earlier] = host(x).querySelectorAll<HTMLButtonElement>('.moves button');
    earlier?.click();
    await x.fixture.whenStable();
    expect(verbs(x, 'before').slice(-3)).toEqual(['score', 'rest', 'sprinkle']);
  });
});
