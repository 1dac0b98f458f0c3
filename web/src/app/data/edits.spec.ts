import fc from 'fast-check';
import { Edits, type Edit } from './edits';
import { kinds } from './kinds';
import type { ShoppingDoc } from './records';

/** Adds a thing to a list, in a kitchen. */
const adds = (db: string, id: string): Edit<ShoppingDoc> => ({
  db,
  kind: kinds.shopping,
  key: 'shopping',
  label: `add ${id}`,
  scope: 'kitchen',
  change: (now) => ({ bakes: now?.bakes ?? [], basket: [...(now?.basket ?? []), id] }),
});
const seen = (edits: Edits, db = 'ours'): readonly string[] => edits.over(db, kinds.shopping, 'shopping', null)?.basket ?? []; // prettier-ignore
const add = (edits: Edits, ...all: Edit<ShoppingDoc>[]): Edit[] => {
  for (const e of all) edits.add(e as Edit);
  return all as unknown as Edit[];
};

describe('what is ahead of the disk', () => {
  it('is seen in the order in which it was asked for, wherever each change is', () => {
    const where = fc.array(fc.constantFrom('waiting', 'flying', 'stuck', 'unfit'), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(where, (places) => {
        const edits = new Edits();
        const all = add(edits, ...places.map((_, i) => adds('ours', String(i))));
        places.forEach((p, i) => edits.move([all[i] as Edit], p));
        expect(seen(edits)).toEqual(places.map((_, i) => String(i)));
        expect(edits.stuck()).toEqual(all.filter((_, i) => places[i] === 'stuck' || places[i] === 'unfit'));
        // what fits no format goes into no file
        expect(seen(edits.fit())).toEqual(places.flatMap((p, i) => (p === 'stuck' ? [String(i)] : [])));
        // what is on its way, or fits no format, is not sent again
        expect(edits.take('ours')).toEqual(all.filter((_, i) => places[i] === 'waiting' || places[i] === 'stuck'));
        expect(edits.take('ours')).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  it('belongs to its kitchen', () => {
    const edits = new Edits();
    const [mine, theirs] = add(edits, adds('ours', 'salt'), adds('theirs', 'soda'));
    expect([seen(edits), seen(edits, 'theirs')]).toEqual([['salt'], ['soda']]);
    expect(edits.take('theirs')).toEqual([theirs as Edit]);
    edits.halt('ours');
    expect(edits.stuck()).toEqual([mine as Edit]);
    expect(edits.drop('theirs', 'kitchen')).toBeNull();
    edits.clear('ours');
    expect([seen(edits), edits.stuck(), edits.any()]).toEqual([[], [], true]);
  });

  it('is gone once it is on the disk, which is known from then on', () => {
    const edits = new Edits();
    const [one, two] = add(edits, adds('ours', 'salt'), adds('ours', 'soda'));
    const value: ShoppingDoc = { bakes: [], basket: ['salt'] };
    edits.move([one as Edit], 'flying');
    expect(edits.flying('ours', kinds.shopping, 'shopping')).toBeTrue();
    edits.landed([one as Edit], new Map([[one as Edit, { value, revision: 3 }]]));
    expect(edits.has(one as Edit)).toBeFalse();
    expect(edits.has(two as Edit)).toBeTrue();
    expect(edits.flying('ours', kinds.shopping, 'shopping')).toBeFalse();
    expect(edits.knownOf('ours', kinds.shopping, 'shopping')).toEqual({ value, revision: 3 });
    expect(edits.over('ours', kinds.shopping, 'shopping', value)?.basket).toEqual(['salt', 'soda']);
  });

  it('is taken back from its end, and told of only when it changes', () => {
    const edits = new Edits();
    const told: number[] = [];
    edits.stuck$.subscribe((l) => told.push(l.length));
    const all = add(edits, adds('ours', 'salt'), adds('ours', 'soda'));
    edits.move(all, 'stuck');
    edits.know('ours', kinds.inHand, 'inHand', { value: 'loaf', revision: 1 });
    expect(edits.drop('ours', 'log')).toBeNull();
    expect(edits.drop('ours', 'kitchen')?.label).toBe('add soda');
    expect(seen(edits)).toEqual(['salt']);
    expect(edits.drop('ours', 'kitchen')?.label).toBe('add salt');
    expect(edits.drop('ours', 'kitchen')).toBeNull();
    expect(told).toEqual([0, 2, 1, 0]);
  });

  it('puts what could not be stored into lists: new, changed and removed', () => {
    const edits = new Edits();
    const of = (key: string, basket: string[] | null): Edit => ({ ...adds('ours', ''), key, change: () => basket && { bakes: [], basket } }) as Edit; // prettier-ignore
    const there = ['a', 'b'].map((id): ShoppingDoc => ({ bakes: [], basket: [id] }));
    const keyOf = (d: ShoppingDoc): string => d.basket[0] ?? '';
    expect(edits.overAll('ours', kinds.shopping, there, keyOf)).toBe(there);
    const all = [of('a', null), of('b', ['b', 'more']), of('c', ['c'])];
    for (const e of all) edits.add(e);
    edits.move(all, 'stuck');
    expect(edits.overAll('ours', kinds.shopping, there, keyOf).map((d) => d.basket)).toEqual([['b', 'more'], ['c']]);
    expect(edits.overAll('theirs', kinds.shopping, there, keyOf)).toBe(there);
  });
});
