import { readFileSync } from 'node:fs';
import { allItems, readRecipe, type Item } from '../src/index.js';

/** Letters, interviews, cards and dictation of our own, each with what its writer means. */
interface Telling {
  readonly id: string;
  readonly text: string;
  readonly title: string;
  /** Ingredient and grams, sorted. */
  readonly items: readonly string[];
  /** Heat, early and late minutes. */
  readonly bake: readonly number[];
  readonly stages: number;
  /** Empty where the text names none, or only half. */
  readonly tin: string;
}
const tellings = JSON.parse(readFileSync(new URL('./corpus/told.json', import.meta.url), 'utf8')) as Telling[];

const weights = (items: readonly Item[]): string[] => items.map((i) => `${i.ingredient} ${Math.round(i.grams)}`).sort();

describe('a recipe as people tell it', () => {
  for (const v of tellings)
    it(`is read whole: ${v.id}`, () => {
      const f = readRecipe(v.text).formula;
      expect(weights(allItems(f))).toEqual([...v.items].sort());
      expect([f.bake?.ovenC, f.bake?.minutes?.early, f.bake?.minutes?.late]).toEqual([...v.bake]);
      expect(f.bake?.stages?.length ?? 0).toBe(v.stages);
      expect(f.title).toBe(v.title);
      if (v.tin !== '') expect((f.tins ?? []).map((t) => `${t.count} x ${t.tin.name}`).join(', ')).toBe(v.tin);
    });

  it('keeps every number of a series in one line, however it is parted', () => {
    const things = ['200 g plain flour', '3 oz butter or lard', '2 eggs', '1 tsp mixed spice', '150 ml milk', '50 g sultanas']; // prettier-ignore
    const whole = allItems(readRecipe(`Spice cake\n\n${things.join('\n')}\n\nBake at 180 °C for 40 minutes.`).formula);
    for (const mark of ['; ', ' ; ', ', ', '. ']) {
      const line = allItems(readRecipe(`Spice cake\n\n${things.join(mark)}\n\nBake at 180 °C for 40 minutes.`).formula);
      expect(weights(line)).withContext(mark).toEqual(weights(whole));
    }
  });
});
