import fc from 'fast-check';
import { addLine, allItems, assess, removeItem } from '../src/index.js';
import { demo, demoIds, formula } from './support/make.js';

describe('adding and taking out lines', () => {
  it('puts a line where it is mixed', () => {
    const f = demo('cardamom-yogurt-round');
    const groupOf = (words: string): string | undefined => {
      const added = addLine(f, words);
      return added?.formula.groups.find((g) => g.items.some((i) => i.id === added.itemId))?.name;
    };
    expect(groupOf('50 g rye flour')).toBe('Dry');
    expect(groupOf('40 g walnuts, chopped')).toBe('Fold in');
    expect(groupOf('1 egg yolk')).toBe('Beat in, one at a time');
    expect(groupOf('2 tbsp honey')).toBe('Cream together');
    expect(groupOf('3 tbsp milk')).toBe('In turns with the dry');
    expect(groupOf('1 tsp cinnamon')).toBe('Dry');
  });

  it('starts an empty formula, asks about what it does not know, and adds nothing for nothing', () => {
    const first = addLine(formula([]), '250 g plain flour');
    expect(first && assess(first.formula).totals.flourG).toBe(250);
    const odd = addLine(formula([]), '30 g moon dust');
    expect(odd?.doubts[0]?.kind).toBe('unknown-ingredient');
    expect(allItems(odd?.formula ?? formula([])).length).toBe(1);
    expect(addLine(formula([]), '   ')).toBeNull();
  });

  it('gives each line an id of its own, and taking one out undoes adding it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...demoIds),
        fc.array(fc.constantFrom('10 g salt', '2 eggs', '50 g walnuts', '1 cup milk', '5 g glimmer'), {
          minLength: 1,
          maxLength: 6,
        }),
        (id, lines) => {
          const f = demo(id);
          const added: string[] = [];
          let now = f;
          for (const words of lines) {
            const a = addLine(now, words);
            if (!a) continue;
            now = a.formula;
            added.push(a.itemId);
          }
          expect(new Set(allItems(now).map((i) => i.id)).size).toBe(allItems(now).length);
          for (const x of added) now = removeItem(now, x);
          expect(now).toEqual(f);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('leaves no method step pointing at what is gone, and no empty group', () => {
    for (const id of demoIds) {
      const f = demo(id);
      for (const item of allItems(f)) {
        const less = removeItem(f, item.id);
        expect(less.method.every((m) => !m.itemIds.includes(item.id))).toBeTrue();
        expect(less.groups.every((g) => g.items.length > 0)).toBeTrue();
        expect(allItems(less).length).toBe(allItems(f).length - 1);
      }
    }
  });
});
