import { TestBed } from '@angular/core/testing';
import { capacityOf, defaultKitchen, fitTins, type Tin, type TinFit } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import { hollowsOf, sectionPaths, TinSection } from './tin-section';

const f = readRecipe(
  'Loaf\n250 g flour\n2 eggs\n150 g sugar\n90 g oil\n160 g yogurt\n8 g baking powder\nBake at 175C for 55 minutes in a 9x5 inch loaf tin.',
).formula;
const fitOf = (tin: Tin): TinFit => fitTins(f, [{ tin, count: 1 }])[0] as TinFit;
const ys = (path: string): number[] =>
  [...path.matchAll(/-?\d+(?:\.\d+)? (-?\d+(?:\.\d+)?)/g)].map((m) => -Number(m[1]));

describe('a tin in section', () => {
  it('is drawn to scale: the wall as high as the tin, the batter as high as it stands', () => {
    for (const tin of defaultKitchen.tins.filter((t) => t.shape !== 'slab' && t.shape !== 'mound')) {
      const fit = fitOf(tin);
      const p = sectionPaths(fit);
      expect(Math.max(...ys(p.wall)))
        .withContext(tin.name)
        .toBeCloseTo(tin.depthMm, 0);
      expect(Math.max(...ys(p.batter)))
        .withContext(tin.name)
        .toBeCloseTo(fit.batterMm, 0);
      expect(p.height).toBeGreaterThanOrEqual(fit.crownMm - 0.1);
      expect(p.half * 2).toBeCloseTo(Math.max(tin.topMm, tin.baseMm ?? 0), 0);
      expect(capacityOf(tin)).toBeGreaterThan(0);
    }
  });

  it('stands free pieces on a tray, and draws at most three hollows of a tray', async () => {
    const slab = defaultKitchen.tins.find((t) => t.shape === 'slab') as Tin;
    expect(sectionPaths(fitOf(slab)).wall).toBe('');
    expect(hollowsOf(defaultKitchen.tins.find((t) => t.cups === 12) as Tin)).toBe(3);
    const fixture = TestBed.createComponent(TinSection);
    fixture.componentRef.setInput('tin', slab);
    fixture.componentRef.setInput('fit', fitOf(slab));
    fixture.componentRef.setInput('label', 'scones on a tray');
    await fixture.whenStable();
    const svg = (fixture.nativeElement as HTMLElement).querySelector('svg');
    expect(svg?.getAttribute('aria-label')).toBe('scones on a tray');
    expect(svg?.querySelectorAll('.batter').length).toBe(3);
    expect(svg?.querySelector('.tray')).not.toBeNull();
    fixture.componentRef.setInput('label', '');
    await fixture.whenStable();
    expect(svg?.getAttribute('aria-hidden')).toBe('true');
  });
});
