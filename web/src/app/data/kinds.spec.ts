import { defaultKitchen, ingredientOf, type Formula, type Kitchen } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import fc from 'fast-check';
import { kindAt, kinds, rebased, scopeOf, type Kind } from './kinds';
import type { Doc, ShoppingDoc } from './records';
import { bakeOf } from './testing/kitchen';

const formula: Formula = { ...readRecipe('Scones\n300 g plain flour\n15 g baking powder').formula, id: 'scones' };
const doc: Doc = { formula, plan: {} };
const list = (...ids: string[]): ShoppingDoc => ({ bakes: ids.map((id) => ({ id, times: 1 })), basket: [] });

describe('the kinds of records', () => {
  const some: readonly (readonly [Kind<unknown>, string, unknown])[] = [
    [kinds.formula, 'scones', doc],
    [kinds.bake, 'b', bakeOf('b')],
    [kinds.kitchen, 'kitchen', defaultKitchen],
    [kinds.shopping, 'shopping', list('a')],
    [kinds.reading, 'reading', { text: 'x' }],
    [kinds.pile, 'pile:1', { text: 'x' }],
    [kinds.taking, 'taking:1', { given: { text: 'x' } }],
    [kinds.inHand, 'inHand', 'scones'],
  ] as const as never;

  it('read from a row what was put into it, and leave what else the row held', () => {
    for (const [kind, key, value] of some) {
      const row = kind.row(value, key, { revision: 4, aunt: 'Isolde' }, 17);
      expect(kind.of(row as never))
        .withContext(kind.name)
        .toEqual(value);
      expect(row)
        .withContext(kind.name)
        .toEqual(jasmine.objectContaining({ aunt: 'Isolde' }));
    }
  });

  it('are found by where their records lie', () => {
    for (const kind of [kinds.formula, kinds.bake, kinds.series, kinds.version] as const)
      expect(kindAt(kind.table, 'any').name).toBe(kind.name);
    for (const kind of [kinds.kitchen, kinds.day, kinds.shopping, kinds.making, kinds.reading] as const)
      expect(kindAt('meta', kind.only ?? '').name).toBe(kind.name);
  });

  it('say whose undo takes a change back: a formula comes and goes by the Shelf', () => {
    expect([scopeOf(kinds.formula, 'scones', false), scopeOf(kinds.formula, 'scones', true)]).toEqual(['scones', 'shelf']); // prettier-ignore
    expect([scopeOf(kinds.bake, 'b', false), scopeOf(kinds.bake, 'b', true)]).toEqual(['log', 'log']);
    expect(scopeOf(kinds.version, 'oat@2@3', false)).toBe('oat@2');
    expect(scopeOf(kinds.making, 'making', true)).toBeUndefined();
  });

  it('have their parts put back among what is there now, once', () => {
    const own = { ...ingredientOf('honey'), id: 'own-malt', name: 'Malt' };
    const whole: Kitchen = { ...defaultKitchen, ownIngredients: [own] };
    const parts = kinds.kitchen.parts?.of(whole) ?? [];
    expect(parts.length).toBe(whole.tins.length + whole.ovens.length + 1);
    for (const part of parts) {
      const name = ({ tin: 'tins', oven: 'ovens', ingredient: 'ownIngredients' } as const)[part.what] ?? 'tins';
      const without: Kitchen = { ...whole, [name]: whole[name].filter((x) => x.id !== part.id) };
      for (const now of [without, whole]) {
        const back = kinds.kitchen.parts?.back(now, part) ?? now;
        expect(new Set(back[name].map((x) => x.id))).toEqual(new Set(whole[name].map((x) => x.id)));
        expect(back[name].length).toBe(whole[name].length);
      }
    }
  });

  it('make two changes into both where they meet, whichever came first', () => {
    const amount = fc.integer({ min: 1, max: 400 });
    const set = (d: Doc, at: number, grams: number): Doc => ({
      ...d,
      formula: { ...d.formula, groups: d.formula.groups.map((g) => ({ ...g, items: g.items.map((i, n) => (n === at ? { ...i, grams } : i)) })) }, // prettier-ignore
    });
    fc.assert(
      fc.property(amount, amount, (a, b) => {
        const [one, two] = [set(doc, 0, a), set(doc, 1, b)];
        const both = set(set(doc, 0, a), 1, b);
        expect(rebased(kinds.formula, doc, one)(two)).toEqual(both);
        expect(rebased(kinds.formula, doc, two)(one)).toEqual(both);
        // what changes nothing takes nothing away
        expect(rebased(kinds.formula, doc, doc)(one)).toEqual(one);
      }),
      { numRuns: 40 },
    );
  });

  it('take what is worked out anew as it is, and a removal as one', () => {
    expect(rebased(kinds.reading, { a: 1 }, { a: 2 })({ a: 1, b: 3 })).toEqual({ a: 2 });
    expect(rebased(kinds.shopping, list('a'), null)(list('a', 'b'))).toBeNull();
    expect(rebased(kinds.shopping, null, list('a'))(null)).toEqual(list('a'));
    expect(rebased(kinds.shopping, list('a'), list('a', 'c'))(null)).toEqual(list('a', 'c'));
  });
});
