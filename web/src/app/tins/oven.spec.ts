import { Component, ChangeDetectionStrategy, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import {
  bakeInputOf,
  defaultKitchen,
  fitTins,
  predictBake,
  type Section,
  type Tin,
  type TinFit,
  type TinUse,
} from '@orvin/core';
import { base } from '../ui/testing/muffins';
import { all, host } from '../ui/testing/page';
import { RackView } from './rack-view';
import { SectionMap, type Sectioned } from './section-map';

const tin = (id: string): Tin => defaultKitchen.tins.find((t) => t.id === id) as Tin;
const loaf = tin('loaf-900');
const fit = fitTins(base, [{ tin: loaf, count: 1 }])[0] as TinFit;
const doneC = predictBake(bakeInputOf(base, fit, defaultKitchen)).doneC;
const sectionedOf = (fit: TinFit): Sectioned => {
  const bake = predictBake({ ...bakeInputOf(base, fit, defaultKitchen), section: true });
  return { name: fit.tin.name, section: bake.section as Section, fit, doneS: bake.minutes.likely * 60 };
};

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RackView, SectionMap],
  template: `
    <orvin-rack-view [uses]="uses()" [oven]="oven" />
    <orvin-section-map [shown]="shown" [before]="before()" />
  `,
})
class Bare {
  readonly uses = signal<readonly TinUse[]>([{ tin: loaf, count: 1 }]);
  readonly oven = { id: 'o', name: 'Small oven', litres: 28, fan: true, racks: 2 };
  readonly shown = sectionedOf(fit);
  readonly before = signal<Sectioned | null>(null);
}

describe('the oven as drawings', () => {
  it('shows every tin that fits on a rack, and says how many do not', async () => {
    const f = TestBed.createComponent(Bare);
    f.detectChanges();
    await f.whenStable();
    expect(all(host(f), 'orvin-rack-view .tin').length).toBe(1);
    f.componentInstance.uses.set([{ tin: tin('round-23'), count: 5 }]);
    f.detectChanges();
    const circles = all(host(f), 'orvin-rack-view circle').length;
    expect(circles).toBeGreaterThan(0);
    expect(circles).toBeLessThan(5);
    expect(host(f).querySelector('orvin-rack-view p')?.textContent).toContain(`${circles} of 5 fit at once`);
  });

  it('draws the section in steps, with isotherms that are named, and tells it in words', async () => {
    const f = TestBed.createComponent(Bare);
    f.detectChanges();
    await f.whenStable();
    const picture = host(f).querySelector('.picture');
    const slider = host(f).querySelector('input[type=range]') as HTMLInputElement;
    const words = (): string => picture?.getAttribute('aria-label') ?? '';
    const middle = (): number => Number(/middle (\d+)/.exec(words())?.[1]);
    slider.value = '8';
    slider.dispatchEvent(new Event('input'));
    f.detectChanges();
    const early = middle();
    slider.value = String(Math.round(f.componentInstance.shown.doneS / 60));
    slider.dispatchEvent(new Event('input'));
    f.detectChanges();
    await f.whenStable();
    expect(middle()).toBeGreaterThan(early);
    expect(Math.abs(middle() - doneC)).toBeLessThan(5);
    expect(all(host(f), 'path.iso').length).toBe(7);
    const canvas = host(f).querySelector('canvas') as HTMLCanvasElement;
    const pixels = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data ?? [];
    let painted = 0;
    for (let i = 3; i < pixels.length; i += 4) if ((pixels[i] ?? 0) > 0) painted++;
    expect(painted).toBeGreaterThan(2000);

    // the tin before stands above it, and both are drawn to one scale
    const small = fitTins(base, [{ tin: tin('round-23'), count: 1 }])[0] as TinFit;
    f.componentInstance.before.set(sectionedOf(small));
    f.detectChanges();
    await f.whenStable();
    const walls = all(host(f), 'path.wall').map((w) => (w as SVGPathElement).getBBox().width);
    expect(walls.length).toBe(2);
    expect((walls[0] ?? 0) / (walls[1] ?? 1)).toBeCloseTo(small.tin.topMm / loaf.topMm, 1);
    expect(slider.getAttribute('aria-valuetext')).toMatch(/At \d+ minutes: .*: middle .*; .*: middle/);
  });
});
