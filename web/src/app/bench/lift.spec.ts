import { assess } from '@orvin/core';
import { LiftDrawing } from './lift';
import { LIFT } from './lift-scene';
import { base, lineOf } from '../ui/testing/muffins';
import { all, host, num, press } from '../ui/testing/page';
import { formulas, NONSENSE, show } from './testing/drawings';
import { demoPound } from './testing/pound';

const leftLabels = (el: Element): number[] =>
  all(el, 'svg text')
    .filter((t) => !t.getAttribute('class') && num(t, 'x') === LIFT.column - 62)
    .map((t) => num(t, 'y'))
    .sort((x, y) => x - y);

/** Every figure beside the column. */
const layerFigures = (el: Element): number[] => all(el, 'svg text.num').map((t) => num(t, 'data-mmol'));
const lostIn = (el: Element): number => Number(el.querySelector('.legend')?.getAttribute('data-lost') ?? NaN);

describe('the lift drawing', () => {
  it('keeps its layers in the tin, in order, and its labels apart, whatever is in the bowl', async () => {
    for (const [name, f] of formulas()) {
      const fixture = await show(LiftDrawing, assess(f), assess(base));
      const el = host(fixture);
      const layers = all(el, 'rect.gas');
      for (const l of layers) {
        expect(num(l, 'y')).withContext(name).toBeGreaterThanOrEqual(0);
        expect(num(l, 'height')).withContext(name).toBeGreaterThan(0);
        expect(num(l, 'y') + num(l, 'height'))
          .withContext(name)
          .toBeLessThanOrEqual(LIFT.floor + 0.01);
      }
      const tops = layers.map((l) => num(l, 'y'));
      expect(tops)
        .withContext(name)
        .toEqual([...tops].sort((x, y) => y - x));
      const labels = leftLabels(el);
      expect(labels.length).withContext(name).toBe(layers.length);
      for (let i = 1; i < labels.length; i++)
        expect((labels[i] ?? 0) - (labels[i - 1] ?? 0))
          .withContext(name)
          .toBeGreaterThanOrEqual(15);
      expect(el.innerHTML).withContext(name).not.toMatch(NONSENSE);
      fixture.destroy();
    }
  });

  it('loses by standing what it no longer has: what is shown and what is lost add up to the total, at any minute', async () => {
    const a = assess(base);
    const total = a.lift.mmolPer100gBase.typical;
    const fixture = await show(LiftDrawing, a);
    const el = host(fixture);
    const knob = el.querySelector('.knob') as Element;
    let kept = total + 1;
    for (let i = 0; i < 5; i++) {
      const now = layerFigures(el).reduce((s, x) => s + x, 0);
      expect(now).toBeLessThan(kept);
      expect(Math.abs(now + lostIn(el) - total)).toBeLessThan(0.3);
      kept = now;
      press(knob, 'ArrowRight', { shiftKey: true });
      await fixture.whenStable();
      expect(knob.getAttribute('aria-valuenow')).toBe(String(5 * (i + 1)));
    }
    press(knob, 'Home');
    await fixture.whenStable();
    expect(knob.getAttribute('aria-valuenow')).toBe('0');
  });

  it('never lets the knob beyond what the strip shows, when the batter changes under it', async () => {
    const fixture = await show(LiftDrawing, assess(base));
    const knob = host(fixture).querySelector('.knob') as Element;
    press(knob, 'End');
    await fixture.whenStable();
    for (const [name, f] of formulas()) {
      fixture.componentRef.setInput('assessment', assess(f));
      await fixture.whenStable();
      expect(num(knob, 'aria-valuenow')).withContext(name).toBeLessThanOrEqual(num(knob, 'aria-valuemax'));
      const x = num(knob.querySelector('circle'), 'cx');
      expect(x).withContext(name).toBeLessThanOrEqual(LIFT.oven);
    }
  });

  it('shows beaten-in air beside the gas, taller than it in a pound cake, and none in a muffin', async () => {
    const pound = host(await show(LiftDrawing, assess(demoPound)));
    const gas = all(pound, 'rect.gas').reduce((s, r) => s + num(r, 'height'), 0);
    expect(num(pound.querySelector('.air rect'), 'height')).toBeGreaterThan(gas);
    expect(pound.querySelector('h2')?.textContent).toContain('more air than gas');
    expect(pound.querySelector('table')?.textContent).toContain('beaten-in air');
    expect(host(await show(LiftDrawing, assess(base))).querySelector('.air')).toBeNull();
  });

  it('says in a table what it shows, source by source', async () => {
    const a = assess(base);
    const rows = all(host(await show(LiftDrawing, a)), 'table tr');
    expect(rows.length).toBe(a.lift.bySource.length);
    for (const [i, s] of a.lift.bySource.entries())
      expect(rows[i]?.textContent).toContain(`${s.source}, in the ${s.when}`);
  });

  it('puts two side by side on one scale when asked to', async () => {
    const weak = assess({
      ...base,
      groups: base.groups.map((g) => ({ ...g, items: g.items.filter((i) => i.id !== lineOf('baking-soda')) })),
    });
    const heightOf = async (reach: number): Promise<number> =>
      all(host(await show(LiftDrawing, weak, null, { reach })), 'rect.gas').reduce((s, r) => s + num(r, 'height'), 0);
    expect(await heightOf(60)).toBeLessThan(0.6 * (await heightOf(0)));
  });
});
