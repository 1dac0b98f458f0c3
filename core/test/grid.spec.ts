import fc from 'fast-check';
import { boxGrid, roundGrid, widths } from '../src/bake/grid.js';
import { evaporationFor, expansion, latentHeat, plainTables, surfaceFlux, tabulate } from '../src/bake/physics.js';
import { begin, boiledShare, enthalpy, readOut, step, type Model, type Wall } from '../src/bake/solve.js';

const crumb = {
  kS: 0.33,
  beta: 0.35,
  aw: 0.93,
  eps0: 0.15,
  rise: 1.7,
  rho: 980,
  cp: 2650,
  water: 0.3,
  pressure: 101325,
};
const metal: Wall = { law: { h: 5, eps: 0.6, evaporation: 0 }, capacity: 2200, resistance: 0 };
const top: Wall = { law: { h: 5, eps: 0.9, evaporation: evaporationFor(5) }, capacity: 0, resistance: 0 };
const walls: Model['walls'] = { base: metal, tin: metal, 'inner tin': metal, open: top };
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
      for (let i = 1; i < t.size; i++) expect(table[i]).toBeGreaterThan(table[i - 1] as number);
    expect(t.plateau).toBeCloseTo((0.3 * latentHeat(100)) / 2650, 6);
  });

  it('expand batter from 30 to 95 °C and no further', () => {
    expect(expansion(crumb, 20)).toBe(1);
    expect(expansion(crumb, 62.5)).toBeCloseTo(1.35, 9);
    expect(expansion(crumb, 95)).toBeCloseTo(1.7, 9);
    expect(expansion(crumb, 130)).toBeCloseTo(1.7, 9);
  });
});

describe('surfaces', () => {
  const law = { h: 5, eps: 0.9, evaporation: evaporationFor(5) };
  it('take up less the hotter they are, with the slope they say', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 125, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (t, dried) => {
          const q = (x: number): number => surfaceFlux(law, 180, x, 0.93, dried).q;
          expect(q(t + 0.5)).toBeLessThan(q(t));
          // the slope leaves out that latent heat itself changes a little with temperature
          const slope = (q(t + 0.01) - q(t - 0.01)) / 0.02;
          expect(Math.abs(surfaceFlux(law, 180, t, 0.93, dried).slope / slope - 1)).toBeLessThan(0.06);
        },
      ),
    );
  });

  it('take up more once they have dried', () => {
    expect(surfaceFlux(law, 180, 90, 0.93, 5).q).toBeGreaterThan(surfaceFlux(law, 180, 90, 0.93, 0).q);
  });
});

describe('a box', () => {
  it('keeps every joule, like a round', () => {
    const model: Model = {
      grid: boxGrid(0.2, 0.1, 0.06, 7, 6, 10),
      tables: tabulate(crumb),
      walls,
      aw: 0.93,
      mc: 0.138,
      startC: 20,
    };
    const s = begin(model);
    for (let i = 0; i < 500; i++) step(s, 6, 180);
    expect(s.heat).toBeGreaterThan(1e4);
    expect(Math.abs(enthalpy(s) - s.heat) / s.heat).toBeLessThan(1e-9);
    expect(boiledShare(s)).toBeGreaterThan(0);
    expect(s.vapour).toBeGreaterThan(0);
  });

  it('that is square heats alike along both sides, and its middle last', () => {
    const n = 8;
    const model: Model = {
      grid: boxGrid(0.2, 0.2, 0.05, n, n, 10),
      tables: tabulate(crumb),
      walls,
      aw: 0.93,
      mc: 0.138,
      startC: 20,
    };
    const s = begin(model);
    for (let i = 0; i < 200; i++) step(s, 5, 180);
    const at = (x: number, y: number, z: number): number => s.temperature[(z * n + y) * n + x] as number;
    // one sweep follows the other, so the sides differ by the splitting error, no more
    expect(Math.abs(at(5, 1, 5) - at(1, 5, 5))).toBeLessThan(0.3);
    expect(at(7, 0, 5)).toBeGreaterThan(at(0, 0, 5));
    expect(readOut(s).coldest).toBeLessThan(readOut(s).mean);
  });

  it('and a round of the same depth agree in the middle while the sides are far', () => {
    const plain = plainTables(0.4, 2.5e6);
    const only: Model['walls'] = {
      ...walls,
      tin: { law: { h: 0, eps: 0, evaporation: 0 }, capacity: 0, resistance: 0 },
    };
    const run = (grid: Model['grid']): number => {
      const s = begin({ grid, tables: plain, walls: only, aw: 0.93, mc: 0.138, startC: 20 });
      for (let i = 0; i < 200; i++) step(s, 5, 180);
      return readOut(s).coldest;
    };
    expect(run(boxGrid(0.3, 0.3, 0.04, 5, 5, 16))).toBeCloseTo(run(roundGrid(0.15, 0, 0.04, 5, 16, 'tin')), 6);
  });
});
