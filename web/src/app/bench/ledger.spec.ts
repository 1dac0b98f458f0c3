import { applyChanges, assess, plain } from '@orvin/core';
import { LedgerDrawing } from './ledger';
import { base, lineOf } from '../ui/testing/muffins';
import { all, host, num } from '../ui/testing/page';
import { formulas, NONSENSE, show } from './testing/drawings';

const MID = 284;

describe('the soda ledger', () => {
  it('keeps acid left of the middle and soda right of it, inside its frame, each as long as it weighs', async () => {
    for (const [name, f] of formulas()) {
      const a = assess(f);
      const fixture = await show(LedgerDrawing, a, assess(base));
      const el = host(fixture);
      for (const s of all(el, '.segment')) {
        const r = s.querySelector('rect');
        const [x, w] = [num(r, 'x'), num(r, 'width')];
        expect(x).withContext(name).toBeGreaterThanOrEqual(0);
        expect(x + w)
          .withContext(name)
          .toBeLessThanOrEqual(568);
        if (s.classList.contains('acid'))
          expect(x + w)
            .withContext(name)
            .toBeLessThanOrEqual(MID + 0.01);
        else expect(x).withContext(name).toBeGreaterThanOrEqual(MID);
      }
      // grams and length go together, whichever side
      const rates = all(el, '.segment')
        .map((s) => ({
          w: num(s.querySelector('rect'), 'width'),
          g: Number(/(?:meet|is) ([\d.]+) g/.exec(s.textContent ?? '')?.[1]),
        }))
        .filter((s) => s.w > 20)
        .map((s) => s.w / s.g);
      for (const r of rates)
        expect(r / (rates[0] ?? 1))
          .withContext(name)
          .toBeCloseTo(1, 0.7);
      expect(el.innerHTML).withContext(name).not.toMatch(NONSENSE);
      fixture.destroy();
    }
  });

  it('names what is left over, on either side, as grams of soda, and what it will do', async () => {
    for (const [name, f] of formulas()) {
      const a = assess(f);
      const fixture = await show(LedgerDrawing, a);
      const said = host(fixture).querySelector('.side b')?.textContent ?? '';
      const grams = (a.ledger.leftSodaGPer100gBatter.typical * a.totals.batterG) / 100;
      if (grams > 0.05)
        expect(said)
          .withContext(name)
          .toBe(`${plain(grams)} g left (${Math.round(100 * a.ledger.unmetShare)} %)`);
      else
        expect(said)
          .withContext(name)
          .toMatch(/to spare|evenly met/);
      const soapy = a.crumb.effects.find((e) => e.on === 'taste');
      if (soapy)
        expect(host(fixture).querySelector('.does')?.textContent?.toLowerCase())
          .withContext(name)
          .toContain(soapy.words);
      fixture.destroy();
    }
  });

  it('shows what was left before a change, and where its bars ended', async () => {
    const more = assess(applyChanges(base, [{ itemId: lineOf('baking-soda'), grams: 12 }]));
    const el = host(await show(LedgerDrawing, assess(base), more));
    expect(el.querySelector('.side')?.textContent).toMatch(/^[\d.]+ → /);
    expect(el.querySelector('.ghost')).not.toBeNull();
    expect(host(await show(LedgerDrawing, assess(base))).querySelector('.ghost')).toBeNull();
  });

  it('keeps its scale under the hand: what is not pulled does not move', async () => {
    const yogurt = async (grams: number): Promise<number> => {
      const now = assess(applyChanges(base, [{ itemId: lineOf('baking-soda'), grams }]));
      const el = host(await show(LedgerDrawing, now, assess(base)));
      return num(all(el, '.segment.acid rect')[0], 'width');
    };
    const still = await yogurt(3);
    for (const grams of [1.5, 2.4, 3.3, 3.9])
      expect(await yogurt(grams))
        .withContext(String(grams))
        .toBe(still);
  });

  it('dashes as much soda as no acid meets', async () => {
    const lots = assess(applyChanges(base, [{ itemId: lineOf('baking-soda'), grams: 12 }]));
    const el = host(await show(LedgerDrawing, lots));
    const unmet = num(el.querySelector('.unmet'), 'width');
    const soda = all(el, '.segment.soda rect').find((r) => num(r, 'y') === 1);
    const left = (lots.ledger.leftSodaGPer100gBatter.typical * lots.totals.batterG) / 100;
    expect(unmet / num(soda, 'width')).toBeCloseTo(left / 12, 2);
  });
});
