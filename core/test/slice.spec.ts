import {
  sliceChange,
  allItems,
  applyChanges,
  assess,
  defaultKitchen,
  sliceOf,
  type Formula,
  type Slice,
} from '../src/index.js';
import { demo, demoIds, formula } from './support/make.js';

const slice = (f: Formula): Slice => {
  const s = sliceOf(f, assess(f));
  if (!s) throw new Error(`no slice of ${f.title}`);
  return s;
};
const times = (f: Formula, ingredient: string, k: number): Formula => {
  const item = allItems(f).find((i) => i.ingredient === ingredient);
  return applyChanges(f, [{ itemId: item?.id ?? '', grams: (item?.grams ?? 0) * k }]);
};
const cake = demo('cardamom-yogurt-round');

describe('the slice to come', () => {
  it('stands in its tin, and every index is what its terms come to', () => {
    for (const id of demoIds) {
      const s = slice(demo(id));
      expect(s.named).withContext(id).toBeTrue();
      expect(s.crownMm.low).withContext(id).toBeLessThanOrEqual(s.crownMm.typical);
      expect(s.crownMm.high).withContext(id).toBeGreaterThanOrEqual(s.crownMm.typical);
      expect(s.crownMm.typical).withContext(id).toBeGreaterThan(s.batterMm);
      for (const x of Object.values(s.seen)) {
        expect(x.words).withContext(`${id} ${x.id}`).not.toBe('');
        if (x.id === 'height') continue;
        expect(Math.abs(x.value)).withContext(`${id} ${x.id}`).toBeLessThanOrEqual(1);
        const all = x.terms.reduce((sum, [v]) => sum + v, 0);
        const low = ['crumb', 'bite', 'mouth', 'crust'].includes(x.id) ? -1 : 0;
        expect(x.value)
          .withContext(`${id} ${x.id}`)
          .toBeCloseTo(Math.max(low, Math.min(1, all)), 9);
      }
      expect(s.words)
        .withContext(id)
        .not.toMatch(/NaN|undefined|null| mm/);
    }
  });

  it('rises with the lift, and falls back with more than it can hold', () => {
    const flat = slice(times(times(cake, 'baking-powder', 0.02), 'baking-soda', 0.02));
    const much = slice(times(cake, 'baking-powder', 3.5));
    const plain = slice(cake);
    expect(flat.crownMm.typical).toBeLessThan(0.9 * plain.crownMm.typical);
    expect(flat.seen.crumb.value).toBeLessThan(plain.seen.crumb.value);
    expect(much.seen.sinks.value).toBeGreaterThan(plain.seen.sinks.value + 0.2);
    expect(much.crownMm.typical).toBeLessThan(much.edgeMm);
    expect(much.words).toContain('sink');
  });

  it('sinks with twice the sugar, is damp at the base with too little flour, and cracks where it is stiff', () => {
    expect(slice(times(cake, 'caster-sugar', 2)).seen.sinks.value).toBeGreaterThan(0.35);
    expect(slice(times(cake, 'plain-flour', 0.6)).seen.streak.value).toBeGreaterThan(0.15);
    expect(slice(times(cake, 'plain-flour', 1.6)).seen.cracks.value).toBeGreaterThan(slice(cake).seen.cracks.value);
    expect(slice(times(cake, 'plain-flour', 0.55)).seen.pieces.value).toBeGreaterThan(0.2);
  });

  it('is told apart from another in a baker’s words, each the other way round', () => {
    const plain = slice(cake);
    expect(sliceChange(plain, plain)).toBe('much the same slice');
    const opposite: Record<string, string> = { shorter: 'taller', tighter: 'more open', firmer: 'more tender', drier: 'moister', paler: 'darker' }; // prettier-ignore
    for (const [id, factor] of [
      ['caster-sugar', 0.5],
      ['caster-sugar', 2],
      ['butter', 0.4],
      ['plain-flour', 0.6],
      ['plain-flour', 1.5],
      ['baking-powder', 0.02],
      ['baking-powder', 3.5],
      ['yogurt', 1.4],
    ] as const) {
      // prettier-ignore
      const other = slice(times(cake, id, factor));
      const [there, back] = [sliceChange(plain, other), sliceChange(other, plain)];
      for (const [less, more] of Object.entries(opposite)) {
        expect(there.includes(less)).withContext(`${id} × ${factor}: ${there} / ${back}`).toBe(back.includes(more));
        expect(there.includes(more)).withContext(`${id} × ${factor}: ${there} / ${back}`).toBe(back.includes(less));
      }
      expect(there)
        .withContext(`${id} × ${factor}`)
        .not.toMatch(/undefined|NaN| {2}/);
    }
    expect(sliceChange(plain, slice(times(cake, 'caster-sugar', 2)))).toContain('it sinks in the middle');
    // less of it is not none of it, and pieces that come in have not ceased to sink
    expect(sliceChange(slice(times(cake, 'caster-sugar', 2)), slice(times(cake, 'caster-sugar', 1.5)))).toContain(
      'it sinks less',
    );
    const bare = { ...cake, groups: cake.groups.map((g) => ({ ...g, items: g.items.filter((i) => i.ingredient !== 'pistachio') })) }; // prettier-ignore
    expect(sliceChange(slice(bare), plain)).not.toContain('pieces');
    expect(sliceChange(slice(times(cake, 'caster-sugar', 2)), plain)).toContain('it no longer sinks');
  });

  it('is as it was after scaling, but for its size', () => {
    const twice = applyChanges(
      { ...cake, tins: cake.tins?.map((t) => ({ ...t, count: 2 * t.count })) ?? [] },
      allItems(cake).map((i) => ({ itemId: i.id, grams: 2 * i.grams })),
    );
    const [a, b] = [slice(cake), slice(twice)];
    expect(b.crownMm.typical).toBeCloseTo(a.crownMm.typical, 6);
    for (const id of ['sinks', 'cracks', 'crumb', 'crust', 'streak'] as const)
      expect(b.seen[id].value).withContext(id).toBeCloseTo(a.seen[id].value, 6);
  });

  it('is drawn in a usual tin where none is named, in inches where the kitchen has them, and not of nothing', () => {
    const s = slice({ ...cake, tins: [] });
    expect(s.named).toBeFalse();
    expect(s.crownMm.typical).toBeGreaterThan(20);
    const inches = { ...defaultKitchen, display: { ...defaultKitchen.display, length: 'in' as const } };
    expect(sliceOf(cake, assess(cake), inches)?.words).toMatch(/ in /);
    const empty = formula([]);
    expect(sliceOf(empty, assess(empty))).toBeNull();
    const scones = demo('cheese-and-thyme-scones');
    expect(slice(scones).rimMm).toBeNull();
  });
});
