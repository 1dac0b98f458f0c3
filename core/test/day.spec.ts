import fc from 'fast-check';
import { defaultKitchen, planDay, softenMin } from '../src/index.js';
import { demo, demoIds } from './support/make.js';

const noon = Date.UTC(2026, 4, 9, 12);
const bakes = fc
  .uniqueArray(fc.constantFrom(...demoIds), { minLength: 1, maxLength: 3 })
  .map((ids) => ids.map((id) => ({ id, formula: demo(id) })));

describe('a day planned back from serving', () => {
  it('moves as one with the serving time, and ends at it', () => {
    fc.assert(
      fc.property(bakes, fc.integer({ min: -600, max: 600 }), (list, shift) => {
        const a = planDay(list, defaultKitchen, noon, 0).tasks;
        const b = planDay(list, defaultKitchen, noon + shift * 60_000, 0).tasks;
        expect(b.map((t) => t.startsAt - shift * 60_000)).toEqual(a.map((t) => t.startsAt));
        for (const t of a) {
          expect(t.startsAt).toBe(noon - Math.round(t.beforeMin * 60_000));
          expect(t.beforeMin).toBeGreaterThanOrEqual(0);
        }
        for (const { id } of list) expect(a.find((t) => t.id === `${id}:ready`)?.startsAt).toBe(noon);
      }),
      { numRuns: 40 },
    );
  });

  it('has the oven hot and the butter soft before they are needed', () => {
    const tasks = planDay([{ id: 'c', formula: demo('cardamom-yogurt-round') }], defaultKitchen, noon, 0).tasks;
    const at = (kind: string): number => tasks.find((t) => t.kind === kind)?.startsAt ?? NaN;
    expect(at('in') - at('oven on')).toBeGreaterThanOrEqual(15 * 60_000);
    expect(at('mix') - at('butter out')).toBe(softenMin(defaultKitchen.roomC) * 60_000);
    expect(at('in')).toBeGreaterThan(at('mix'));
    expect(at('out')).toBeGreaterThan(at('look'));
    expect(at('ready') - at('out')).toBeGreaterThan(60 * 60_000);
  });

  it('takes butter out of the fridge of a cold kitchen earlier', () => {
    expect(softenMin(14)).toBeGreaterThan(softenMin(20));
    expect(softenMin(20)).toBeGreaterThan(softenMin(26));
  });

  it('says by how much a wish is too late, and when one oven is wanted at two heats', () => {
    const late = planDay(
      [{ id: 'c', formula: demo('cardamom-yogurt-round') }],
      defaultKitchen,
      noon,
      noon - 30 * 60_000,
    );
    expect(late.problems[0]?.words).toMatch(/should have begun \d+ minutes ago/);
    const pair = [
      { id: 's', formula: demo('cheese-and-thyme-scones'), minutes: { early: 70, likely: 80, late: 90 } },
      { id: 'l', formula: demo('wholemeal-seeded-soda-loaf') },
    ];
    const clash = (ovens: typeof defaultKitchen.ovens) =>
      planDay(pair, { ...defaultKitchen, ovens }, noon, 0).problems.map((p) => p.id);
    const oven = { id: 'o', name: 'Oven', litres: 60, fan: false };
    expect(clash([oven])).toEqual(['oven:s:l']);
    expect(clash([oven, { ...oven, id: 'p' }])).toEqual([]);
  });
});
