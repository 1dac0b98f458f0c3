import fc from 'fast-check';
import { boxGrid, roundGrid, widths } from '../src/bake/grid.js';
import { expansion, heatCapacity, latentHeat, matrixConductivity, plainTables, tabulate } from '../src/bake/physics.js';
import { enthalpy, readOut } from '../src/bake/readings.js';
import { begin, heatTaken, step, temperatureOf, vapourLost, type Model } from '../src/bake/state.js';
import { coldest, crumb, tinned as walls } from './support/heat.js';

const size = fc.double({ min: 0.02, max: 0.3, noNaN: true });
const few = fc.integer({ min: 4, max: 30 });

describe('grids', () => {
  it('fill their shape exactly, whatever the cells', () => {
    fc.assert(
      fc.property(size, size, size, few, few, (a, b, h, n, m) => {
        const box = boxGrid(a, b, h, n, m, n);
        const sum = box.plan.reduce((s, x) => s + x, 0) * box.dz.reduce((s, x) => s + x, 0);
        expect(sum).toBeCloseTo((a * b * h) / 4, 9);
        const round = roundGrid(a, a / 3, h, n, m, 'tin');
        const ring = round.plan.reduce((s, x) => s + x, 0);
        expect(ring).toBeCloseTo(Math.PI * (a * a - (a / 3) ** 2), 9);
      }),
      { numRuns: 60 },
    );
  });

  it('are finest where heat comes in', () => {
    const both = [...widths(1, 11, 1.2, 'both')];
    expect(both[0]).toBeLessThan(both[5] ?? 0);
    expect(both[0]).toBeCloseTo(both[10] ?? 0, 12);
    const high = [...widths(1, 8, 1.2, 'high')];
    expect(high).toEqual([...high].sort((x, y) => y - x));
  });
});

describe('tables', () => {
  it('rise in temperature and in both transports, with no step back', () => {
    const t = tabulate(crumb);
    for (const table of [t.temperature, t.vertical, t.horizontal])
      for (let i = 0; i < t.size; i++) expect(table[2 * i]).toBeGreaterThan(0);
    expect(t.plateau).toBeCloseTo((0.3 * latentHeat(100)) / 2650, 6);
  });

  it('expand batter from 30 to 95 °C and no further', () => {
    expect(expansion(crumb, 20)).toBe(1);
    expect(expansion(crumb, 62.5)).toBeCloseTo(1.35, 9);
    expect(expansion(crumb, 95)).toBeCloseTo(1.7, 9);
    expect(expansion(crumb, 130)).toBeCloseTo(1.7, 9);
  });
});

describe('what a batter is made of', () => {
  it('conducts and stores heat between its parts, more of both the wetter it is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.8, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        (water, fat) => {
          const k = matrixConductivity(water, fat);
          expect(k).toBeGreaterThan(0.17);
          expect(k).toBeLessThan(0.64);
          expect(matrixConductivity(water + 0.01, fat)).toBeGreaterThan(k);
          expect(heatCapacity(water + 0.01, fat)).toBeGreaterThan(heatCapacity(water, fat));
        },
      ),
    );
    expect(matrixConductivity(0.34, 0.15)).toBeCloseTo(0.33, 2);
  });
});

const base = { aw: 0.93, mc: 1.04, waterKgM3: 0.3 * 980, startC: 20 };

describe('drying', () => {
  it('takes water from the cells beneath the crust, as much as has left, and lets the crust grow hot', () => {
    const dzs = 14;
    const s = begin({ ...base, grid: roundGrid(0.1, 0, 0.05, 8, dzs, 'tin'), tables: tabulate(crumb), walls });
    const crust = (): number => readOut(s).top;
    for (let i = 0; i < 200; i++) step(s, 6, 180);
    const early = crust();
    for (let i = 0; i < 300; i++) step(s, 6, 180);
    expect(crust()).toBeGreaterThan(early + 10);
    expect(crust()).toBeGreaterThan(115);
    let booked = 0;
    for (let z = 0; z < dzs; z++)
      for (let x = 0; x < 8; x++)
        booked +=
          (s.dry[z * 8 + x] as number) *
          base.waterKgM3 *
          (s.model.grid.plan[x] as number) *
          (s.model.grid.dz[z] as number);
    expect(booked).toBeCloseTo(vapourLost(s), 6);
    // dry on top, moist below
    expect(s.dry[(dzs - 1) * 8] as number).toBeGreaterThan(s.dry[(dzs - 5) * 8] as number);
    expect(s.dry[0]).toBe(0);
  });
});

describe('a box', () => {
  it('keeps every joule, like a round', () => {
    const model: Model = {
      grid: boxGrid(0.2, 0.1, 0.06, 7, 6, 10),
      tables: tabulate(crumb),
      walls,
      ...base,
    };
    const s = begin(model);
    for (let i = 0; i < 500; i++) step(s, 6, 180);
    expect(heatTaken(s)).toBeGreaterThan(1e4);
    expect(Math.abs(enthalpy(s) - heatTaken(s)) / heatTaken(s)).toBeLessThan(1e-9);
    expect(readOut(s).lostKg).toBeGreaterThan(vapourLost(s));
    expect(vapourLost(s)).toBeGreaterThan(0);
  });

  it('that is square heats alike along both sides, and its middle last', () => {
    const n = 8;
    const model: Model = {
      grid: boxGrid(0.2, 0.2, 0.05, n, n, 10),
      tables: tabulate(crumb),
      walls,
      ...base,
    };
    const s = begin(model);
    for (let i = 0; i < 200; i++) step(s, 5, 180);
    const at = (x: number, y: number, z: number): number => temperatureOf(s, (z * n + y) * n + x);
    // one sweep follows the other, so the sides differ by the splitting error, no more
    expect(Math.abs(at(5, 1, 5) - at(1, 5, 5))).toBeLessThan(0.3);
    expect(at(7, 0, 5)).toBeGreaterThan(at(0, 0, 5));
    expect(coldest(s)).toBeLessThan(readOut(s).mean);
  });

  it('and a round of the same depth agree in the middle while the sides are far', () => {
    const plain = plainTables(0.4, 2.5e6);
    const only: Model['walls'] = {
      ...walls,
      tin: { law: { h: 0, eps: 0, evaporation: 0 }, capacity: 0, resistance: 0 },
    };
    const run = (grid: Model['grid']): number => {
      const s = begin({ grid, tables: plain, walls: only, ...base });
      for (let i = 0; i < 200; i++) step(s, 5, 180);
      return coldest(s);
    };
    expect(run(boxGrid(0.3, 0.3, 0.04, 5, 5, 16))).toBeCloseTo(run(roundGrid(0.15, 0, 0.04, 5, 16, 'tin')), 6);
  });
});
