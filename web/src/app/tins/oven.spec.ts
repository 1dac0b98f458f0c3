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
import { SectionMap } from './section-map';

const tin = (id: string): Tin => defaultKitchen.tins.find((t) => t.id === id) as Tin;
const loaf = tin('loaf-900');
const fit = fitTins(base, [{ tin: loaf, count: 1 }])[0] as TinFit;
const bake = predictBake({ ...bakeInputOf(base, fit, defaultKitchen), section: true });

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RackView, SectionMap],
  template: `
    <orvin-rack-view [uses]="uses()" [oven]="oven" />
    <orvin-section-map [section]="section" [fit]="fit" [doneS]="doneS" />
  `,
})
class Bare {
  readonly uses = signal<readonly TinUse[]>([{ tin: loaf, count: 1 }]);
  readonly oven = { id: 'o', name: 'Small oven', litres: 28, fan: true, racks: 2 };
  readonly section = bake.section as Section;
  readonly fit = fit;
  readonly doneS = bake.minutes.likely * 60;
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
    slider.value = String(Math.round(bake.minutes.likely));
    slider.dispatchEvent(new Event('input'));
    f.detectChanges();
    await f.whenStable();
    expect(middle()).toBeGreaterThan(early);
    expect(middle()).toBeCloseTo(bake.doneC, -1);
    expect(all(host(f), 'path.iso').length).toBe(7);
    const canvas = host(f).querySelector('canvas') as HTMLCanvasElement;
    const pixels = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data ?? [];
    let painted = 0;
    for (let i = 3; i < pixels.length; i += 4) if ((pixels[i] ?? 0) > 0) painted++;
    expect(painted).toBeGreaterThan(2000);
  });
});
