import { applyChanges, assess, families, type Assessment } from '@orvin/core';
import { BeamDrawing } from './beam-drawing';
import { Expect } from './expect';
import { Ranges } from './ranges';
import { base, lineOf } from '../ui/testing/muffins';
import { all, host, num } from '../ui/testing/page';
import { formulas, NONSENSE, show } from './testing/drawings';
import { WaterLineDrawing } from './water-line';

const percents = (el: Element, selector: string): number[] =>
  all(el, selector).map((e) => parseFloat((e as HTMLElement).style.left));

describe('the beam', () => {
  const MID = 178;
  /** How far the right end hangs below the left one. */
  const tilt = (el: Element): number => {
    const [, left, right] = /M\S+ (\S+) L\S+ (\S+)/.exec(el.querySelector('.beam')?.getAttribute('d') ?? '') ?? [];
    return Number(right) - Number(left);
  };

  it('tips to the side that outweighs the other for the family, and stays in its frame', async () => {
    for (const [name, f] of formulas()) {
      const a = assess(f);
      const fixture = await show(BeamDrawing, a, assess(base));
      const el = host(fixture);
      if (Math.abs(a.beam.lean) > 0.01)
        expect(Math.sign(tilt(el)))
          .withContext(name)
          .toBe(Math.sign(a.beam.lean));
      for (const g of all(el, '.pull')) {
        const bar = g.querySelector('.major');
        const [x, w] = [num(bar, 'x'), num(bar, 'width')];
        expect(x).withContext(name).toBeGreaterThanOrEqual(60);
        expect(x + w)
          .withContext(name)
          .toBeLessThanOrEqual(284);
        const pull = a.beam.pulls.find((p) => g.textContent?.includes(p.name));
        const holds = (pull?.holds ?? 0) >= (pull?.tenders ?? 0);
        expect(holds ? x + w : x)
          .withContext(`${name}, ${pull?.name}`)
          .toBeCloseTo(MID, 1);
      }
      expect(el.innerHTML).withContext(name).not.toMatch(NONSENSE);
      fixture.destroy();
    }
  });

  it('lists every pull in words, also those too small to be drawn', async () => {
    const a = assess(base);
    expect(all(host(await show(BeamDrawing, a)), 'table tr').length).toBe(a.beam.pulls.length);
  });
});

describe('the water line', () => {
  it('fills the trough to what is brought and marks what is left after drinking', async () => {
    for (const [name, f] of formulas()) {
      const a = assess(f);
      const fixture = await show(WaterLineDrawing, a);
      const el = host(fixture);
      const segments = all(el, '.segment rect');
      for (const [i, s] of segments.entries()) {
        const last = segments[i - 1];
        if (last)
          expect(Math.abs(num(s, 'x') - num(last, 'x') - num(last, 'width')))
            .withContext(name)
            .toBeLessThan(1);
        expect(num(s, 'x') + num(s, 'width'))
          .withContext(name)
          .toBeLessThanOrEqual(284.5);
      }
      const level = Number(/^M(\S+)/.exec(el.querySelector('.level')?.getAttribute('d') ?? '')?.[1] ?? 0);
      const end = segments.length > 0 ? num(segments.at(-1), 'x') + num(segments.at(-1), 'width') : 1;
      if (a.totals.baseG > 0 && a.water.drunkPct > 5 && segments.length > 0)
        expect(level).withContext(name).toBeLessThan(end);
      expect(el.innerHTML).withContext(name).not.toMatch(NONSENSE);
      fixture.destroy();
    }
  });

  it('falls when something that drinks is added, though nothing is poured out', async () => {
    const more = applyChanges(base, [{ itemId: lineOf('cocoa-natural'), grams: 80 }]);
    const levelOf = async (a: Assessment): Promise<number> =>
      Number(
        /^M(\S+)/.exec(
          host(await show(WaterLineDrawing, a))
            .querySelector('.level')
            ?.getAttribute('d') ?? '',
        )?.[1],
      );
    // but for the little that cocoa itself holds
    expect(assess(more).water.broughtPct - assess(base).water.broughtPct).toBeLessThan(2);
    expect(await levelOf(assess(more))).toBeLessThan(await levelOf(assess(base)));
  });
});

describe('the balance lines', () => {
  it('mark what is outside, in every family, and can each be asked why', async () => {
    for (const family of families) {
      const a = assess({ ...base, family: family.id });
      const fixture = await show(Ranges, a);
      const lines = all(host(fixture), 'button.line');
      expect(lines.length).toBe(5);
      const marked = (l: Element): string => l.querySelector('.v .quiet')?.textContent?.trim() ?? '';
      const out = lines.filter((l) => l.querySelector('.at.out')).map(marked);
      const outside = a.verdicts
        .filter(
          (v) => ['fat', 'sugar', 'egg', 'water', 'salt'].includes(v.id) && v.state !== 'ok' && v.severity !== 'note',
        )
        .map((v) => v.id);
      expect(out.sort()).withContext(family.id).toEqual(outside.sort());
      expect(lines.every((l) => l.getAttribute('aria-label')?.endsWith('why?'))).toBeTrue();
      fixture.destroy();
    }
  });
});

describe('the crumb to expect', () => {
  it('keeps each mark on its strip and says in words which way it leans', async () => {
    for (const [name, f] of formulas()) {
      const a = assess(f);
      if (a.totals.baseG <= 0) continue;
      const fixture = await show(Expect, a);
      const el = host(fixture);
      for (const x of percents(el, '.at')) {
        expect(x).withContext(name).toBeGreaterThanOrEqual(0);
        expect(x).withContext(name).toBeLessThanOrEqual(100);
      }
      const traits = all(el, '.trait');
      for (const [i, t] of a.texture.entries())
        expect(traits[i]?.getAttribute('aria-label')).withContext(name).toContain(t.words);
      fixture.destroy();
    }
  });
});
