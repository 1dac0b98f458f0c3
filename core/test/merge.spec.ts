import fc from 'fast-check';
import { allItems, applyChanges, merge3, same } from '../src/index.js';
import { demo } from './support/make.js';

const base = demo('rye-and-pear-loaf');
const ids = allItems(base).map((i) => i.id);
const edit = fc
  .tuple(fc.constantFrom(...ids), fc.integer({ min: 1, max: 500 }))
  .map(([id, g]) => applyChanges(base, [{ itemId: id, grams: g }]));

describe('merging two edits of one formula', () => {
  it('keeps a side’s edit when the other did nothing', () => {
    fc.assert(
      fc.property(edit, (e) => {
        expect(merge3(base, e, base)).toEqual(e);
        expect(merge3(base, base, e)).toEqual(e);
        expect(merge3(base, e, e)).toEqual(e);
      }),
    );
  });

  it('keeps both edits when they touch different lines', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...ids), { minLength: 2, maxLength: 2 }),
        fc.integer({ min: 501, max: 900 }),
        ([a, b], g) => {
          const mine = applyChanges(base, [{ itemId: a ?? '', grams: g }]);
          const theirs = { ...applyChanges(base, [{ itemId: b ?? '', grams: g + 1 }]), title: 'Renamed there' };
          const merged = merge3(base, mine, theirs);
          const grams = new Map(allItems(merged).map((i) => [i.id, i.grams]));
          expect([grams.get(a ?? ''), grams.get(b ?? ''), merged.title]).toEqual([g, g + 1, 'Renamed there']);
        },
      ),
    );
  });

  it('lets the later wish win on one line, and loses no line that one side added', () => {
    const id = ids[0] ?? '';
    const mine = applyChanges(base, [{ itemId: id, grams: 111 }]);
    const theirs = applyChanges(base, [{ itemId: id, grams: 222 }]);
    expect(allItems(merge3(base, mine, theirs))[0]?.grams).toBe(111);
    const [first, ...rest] = base.groups;
    const extra = { id: 'new', ingredient: 'salt', words: 'salt', entered: null, grams: 2 };
    const added = { ...base, groups: first ? [{ ...first, items: [...first.items, extra] }, ...rest] : rest };
    expect(allItems(merge3(base, mine, added)).some((i) => i.id === 'new')).toBeTrue();
    expect(allItems(merge3(base, added, mine)).some((i) => i.id === 'new')).toBeTrue();
    const removed = { ...base, groups: base.groups.slice(1) };
    expect(merge3(base, base, removed)).toEqual(removed);
  });

  it('compares by value', () => {
    fc.assert(fc.property(fc.jsonValue(), (x) => expect(same(x, JSON.parse(JSON.stringify(x)) as unknown)).toBeTrue()));
    expect(same({ a: [1, 2] }, { a: [2, 1] })).toBeFalse();
  });
});
