import { TestBed } from '@angular/core/testing';
import { allItems, applyChanges, assess, defaultKitchen, sliceOf, type Formula } from '@orvin/core';
import { base } from '../ui/testing/muffins';
import { all, host } from '../ui/testing/page';
import { formulas, NONSENSE } from './testing/drawings';
import { SliceDrawing } from './slice';
import { sceneOf, SLICE } from './slice-scene';

async function shown(f: Formula, was: Formula | null = null) {
  const fixture = TestBed.createComponent(SliceDrawing);
  fixture.componentRef.setInput('formula', f);
  fixture.componentRef.setInput('assessment', assess(f));
  fixture.componentRef.setInput('kitchen', defaultKitchen);
  fixture.componentRef.setInput('beforeFormula', was);
  fixture.componentRef.setInput('before', was && assess(was));
  await fixture.whenStable();
  return { fixture, el: host(fixture) };
}
const times = (ingredient: string, k: number): Formula =>
  applyChanges(
    base,
    allItems(base)
      .filter((i) => i.ingredient === ingredient)
      .map((i) => ({ itemId: i.id, grams: i.grams * k })),
  );

describe('the slice to come', () => {
  it('stays within its picture, whatever is in the bowl', async () => {
    for (const [name, f] of formulas()) {
      const s = sliceOf(f, assess(f));
      if (!s) continue;
      const c = sceneOf(s);
      for (const p of [...c.pores, ...c.pieces]) {
        expect(p.x).withContext(name).toBeGreaterThan(0);
        expect(p.x).withContext(name).toBeLessThan(SLICE.right);
        expect(p.y).withContext(name).toBeLessThanOrEqual(SLICE.floor);
        expect(p.r).withContext(name).toBeGreaterThan(0);
      }
      for (const d of [c.outline, c.usual, c.wall, c.crack]) expect(d).withContext(name).not.toMatch(NONSENSE);
      const { fixture, el } = await shown(f);
      expect(el.innerHTML).withContext(name).not.toMatch(NONSENSE);
      expect(el.querySelector('svg')?.getAttribute('aria-label')).withContext(name).toContain(s.words);
      fixture.destroy();
    }
  });

  it('opens its pores with more gas, in the same places, and shows beside it how it was', async () => {
    const more = times('baking-powder', 1.6);
    const [a, b] = [sliceOf(base, assess(base)), sliceOf(more, assess(more))];
    if (!a || !b) throw new Error('no slice');
    const [was, is] = [sceneOf(a), sceneOf(b)];
    expect(is.pores.map((p) => p.x)).toEqual(was.pores.map((p) => p.x));
    const size = (c: typeof was): number => c.pores.reduce((sum, p) => sum + p.r, 0);
    expect(size(is)).toBeGreaterThan(size(was));
    const { fixture, el } = await shown(more, base);
    expect(el.textContent).toContain('as it was');
    expect(el.querySelector('path.usual')?.getAttribute('d')).not.toBe(
      el.querySelector('path.crust')?.getAttribute('d'),
    );
    fixture.destroy();
  });

  it('draws a close kind closer than an open one, where each is as open as its kind usually is', () => {
    const pores = (family: Formula['family']): number => {
      const f = { ...base, family };
      const s = sliceOf(f, assess(f));
      if (!s) throw new Error('no slice');
      const same = { ...s, openness: s.openness - 0.4 * s.seen.crumb.value };
      return sceneOf(same).pores.reduce((sum, p) => sum + p.r, 0);
    };
    expect(pores('pound-cake')).toBeLessThan(pores('quick-bread'));
    expect(pores('quick-bread')).toBeLessThan(pores('equal-weight-sponge'));
  });

  it('has its head and its sentence whole: the first sentence of what is wrong, smaller where it is long', async () => {
    const soda = times('baking-powder', 0.05);
    const soapy: Formula = {
      ...soda,
      groups: soda.groups.map((g, n) =>
        n > 0
          ? g
          : {
              ...g,
              items: [...g.items, { id: 'soda', ingredient: 'baking-soda', words: 'soda', entered: null, grams: 14 }],
            },
      ),
    };
    for (const f of [soapy, times('butter', 3), times('plain-flour', 0.5)]) {
      const { fixture, el } = await shown(f);
      const head = el.querySelector('h2');
      expect(head?.textContent?.replace('Slice to come', '').match(/[.?](\s|$)/g)?.length).toBe(1);
      const said = el.querySelector<HTMLElement>('.told p');
      expect(said?.title).toBe(said?.textContent?.trim());
      for (const x of [head, said])
        if (x)
          expect(x.scrollHeight)
            .withContext(x.textContent ?? '')
            .toBeLessThanOrEqual(x.clientHeight + 2);
      fixture.destroy();
    }
  });

  it('names the line that is wrong, and lists what it rests on for whoever asks', async () => {
    const bad = times('baking-powder', 4);
    const { fixture, el } = await shown(bad);
    expect(el.querySelector('h2')?.textContent).toMatch(/baking powder/i);
    el.querySelector<HTMLButtonElement>('button')?.click();
    await fixture.whenStable();
    expect(all(el, 'th').map((th) => th.textContent)).toEqual([
      'Height',
      'Middle',
      'Top',
      'Crumb',
      'Bite',
      'To eat',
      'Crust',
      'Base',
      'Pieces',
    ]);
    fixture.destroy();
  });
});
