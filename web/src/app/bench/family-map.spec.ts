import fc from 'fast-check';
import { assess, families, type Axis } from '@orvin/core';
import { FamilyMap, type Neighbour } from './family-map';
import {
  aroundOf,
  boxAround,
  boxOf,
  cornersOf,
  domainFor,
  fromX,
  fromY,
  MAP,
  neighbours,
  placeLabels,
  toX,
  toY,
} from './map-layout';
import { base } from '../ui/testing/muffins';
import { all, host, num } from '../ui/testing/page';
import { formulas, NONSENSE, show } from './testing/drawings';

const axes = fc.constantFrom<readonly [Axis, Axis]>(['sugar', 'fat'], ['sugar', 'water'], ['fat', 'egg']);
const family = fc.constantFrom(...families.filter((f) => f.id !== 'free'));
const spot = fc.record({
  x: fc.double({ min: 0, max: 250, noNaN: true }),
  y: fc.double({ min: 0, max: 250, noNaN: true }),
});
const title = fc.string({ minLength: 3, maxLength: 34 }).map((s) => s.replace(/\s/g, 'x'));

describe('the map of families', () => {
  it('goes from per cent to place and back', () => {
    fc.assert(
      fc.property(family, axes, spot, (f, [x, y], at) => {
        const d = domainFor(f, x, y, at);
        expect(fromX(d, toX(d, at.x))).toBeCloseTo(at.x, 6);
        expect(fromY(d, toY(d, at.y))).toBeCloseTo(at.y, 6);
        // wherever the formula is, it is on the map
        expect(toX(d, at.x)).toBeGreaterThanOrEqual(MAP.left);
        expect(toX(d, at.x)).toBeLessThanOrEqual(MAP.right);
        expect(toY(d, at.y)).toBeGreaterThanOrEqual(MAP.top);
        expect(toY(d, at.y)).toBeLessThanOrEqual(MAP.bottom);
      }),
    );
  });

  it('never lets two labels touch, nor one lie on the point, however crowded it is', () => {
    fc.assert(
      fc.property(family, axes, spot, fc.array(fc.tuple(spot, title), { maxLength: 30 }), (f, [x, y], at, crowd) => {
        const d = domainFor(f, x, y, at);
        const point = { x: toX(d, at.x), y: toY(d, at.y) };
        const own = boxOf(f, x, y, d);
        const obstacle = { x: point.x - 11, y: point.y - 11, w: 22, h: 22 };
        const placed = placeLabels(
          [
            ...(own ? [{ id: 'own', text: f.plural, spots: cornersOf(own) }] : []),
            ...neighbours(f.id, x, y, d).map((n) => ({
              id: n.family.id,
              text: n.family.plural,
              spots: cornersOf(n.box),
              outside: own,
            })),
            ...crowd.map(([s, text], i) => ({
              id: `d${i}`,
              text,
              spots: aroundOf({ x: toX(d, s.x), y: toY(d, s.y) }),
            })),
          ],
          [obstacle],
        );
        const boxes = [obstacle, ...placed.map(boxAround)];
        for (const [i, a] of boxes.entries())
          for (const b of boxes.slice(i + 1))
            expect(a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h).toBeFalse();
        for (const b of boxes.slice(1)) {
          expect(b.x).toBeGreaterThanOrEqual(MAP.left);
          expect(b.x + b.w).toBeLessThanOrEqual(MAP.right);
        }
      }),
    );
  });

  it('says where it is off, and only when the point is outside the family', async () => {
    for (const [name, f] of formulas()) {
      const a = assess(f);
      const fixture = await show(FamilyMap, a, assess(base));
      const el = host(fixture);
      const inside = a.verdicts.every((v) => !['sugar', 'fat'].includes(v.id) || v.severity === 'note');
      if (f.family !== 'free')
        expect(el.querySelector('h2')?.textContent?.includes('In its family')).withContext(name).toBe(inside);
      const point = el.querySelector('circle.point');
      expect(num(point, 'cx')).withContext(name).toBeGreaterThanOrEqual(MAP.left);
      expect(num(point, 'cx')).withContext(name).toBeLessThanOrEqual(MAP.right);
      expect(el.innerHTML).withContext(name).not.toMatch(NONSENSE);
      fixture.destroy();
    }
  });

  it('joins earlier versions up to now, and turns to other axes', async () => {
    const a = assess(base);
    const at = {
      fat: a.totals.fatPct + 4,
      sugar: a.totals.sugarPct - 6,
      egg: a.totals.eggPct,
      water: a.totals.waterPct,
    };
    const others: Neighbour[] = [
      { id: 'v1', title: 'version 1', version: true, at },
      { id: 'o', title: 'Another bake', version: false, at: { ...at, sugar: at.sugar + 10 } },
    ];
    const fixture = await show(FamilyMap, a, null, { others });
    const el = host(fixture);
    expect(el.querySelector('.path')?.getAttribute('d')?.match(/L/g)?.length).toBe(1);
    expect(all(el, '.dot.past').length).toBe(1);
    expect(el.querySelector('table')?.textContent).toContain('Another bake');
    const before = el.querySelector('.point')?.getAttribute('aria-label');
    (el.querySelector('button.word') as HTMLElement).click();
    await fixture.whenStable();
    expect(el.querySelector('.point')?.getAttribute('aria-label')).not.toBe(before);
    expect(el.querySelector('.point')?.getAttribute('aria-label')).toContain('water');
  });
});
