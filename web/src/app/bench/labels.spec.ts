import type { Type } from '@angular/core';
import type { ComponentFixture } from '@angular/core/testing';
import { assess, placeOnMap, type Formula, type Kitchen } from '@orvin/core';
import { all, host } from '../ui/testing/page';
import { BeamDrawing } from './beam-drawing';
import { FamilyMap, type Neighbour } from './family-map';
import { LedgerDrawing } from './ledger';
import { LiftDrawing } from './lift';
import { show } from './testing/drawings';
import { WaterLineDrawing } from './water-line';

/** What the Bench gives the wide drawings and the narrow ones, px, at 1280 and at 1024 in the window. */
const WIDTHS = { desk: { wide: 567, narrow: 272 }, tablet: { wide: 545, narrow: 264 } } as const;

/** Words that lie over one another in a drawing; a line's box is taller than its letters. */
function touching(el: Element): string[] {
  const texts = all(el, 'text, .big').map((t) => ({
    words: t.textContent?.trim() ?? '',
    box: t.getBoundingClientRect(),
  }));
  return texts.flatMap((a, i) =>
    texts.slice(i + 1).flatMap((b) => {
      const w = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
      const h = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
      return w > 1 && h > 5 ? [`${a.words} | ${b.words}`] : [];
    }),
  );
}

describe('the words of the drawings', () => {
  let formulas: readonly Formula[];
  let kitchen: Kitchen;
  beforeAll(async () => {
    // in another face the words are of other lengths
    const file = 'url(fonts/atkinson-hyperlegible-next-latin-wght-normal.woff2)';
    document.fonts.add(await new FontFace('Atkinson Hyperlegible Next Variable', file, { weight: '200 800' }).load());
    ({ formulas, kitchen } = (await (await fetch('demo/sample.json')).json()) as {
      formulas: Formula[];
      kitchen: Kitchen;
    });
  });

  const drawn = async <T>(component: Type<T>, f: Formula, px: number, more = {}): Promise<ComponentFixture<T>> => {
    const fixture = await show(component, assess(f, kitchen), null, more);
    host(fixture).style.display = 'block';
    host(fixture).style.width = `${px}px`;
    return fixture;
  };

  for (const [name, { wide, narrow }] of Object.entries(WIDTHS))
    it(`keep clear of each other on every sample formula, at the size of a ${name}`, async () => {
      const found: string[] = [];
      for (const f of formulas) {
        const others = formulas.filter((o) => o.id !== f.id).map((o): Neighbour => ({ id: o.id, title: o.title, version: false, at: placeOnMap(o, kitchen) })); // prettier-ignore
        for (const [component, px] of [
          [LiftDrawing, wide],
          [LedgerDrawing, wide],
          [BeamDrawing, narrow],
          [WaterLineDrawing, narrow],
        ] as const) {
          const fixture = await drawn(component as Type<unknown>, f, px);
          found.push(...touching(host(fixture)).map((t) => `${f.id}: ${t}`));
          fixture.destroy();
        }
        const map = await drawn(FamilyMap, f, narrow, { others });
        for (let plane = 0; plane < 3; plane++) {
          found.push(...touching(host(map)).map((t) => `${f.id}, plane ${plane}: ${t}`));
          all(host(map), 'button').find((b) => /turn to other axes/.test(b.textContent ?? '') || /turn to other axes/.test(b.getAttribute('aria-label') ?? ''))?.dispatchEvent(new MouseEvent('click', { bubbles: true })); // prettier-ignore
          await map.whenStable();
        }
        map.destroy();
      }
      expect(formulas.length).toBeGreaterThan(10);
      expect(found).toEqual([]);
    });
});
