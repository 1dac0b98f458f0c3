import fc from 'fast-check';
import { boxGrid, roundGrid, type Grid } from '../src/bake/grid.js';
import { AXIS, BAKE, END, FACE, layoutOf } from '../src/bake/layout.js';
import { DRYING_RISE, MIN, plainTables, tabulate } from '../src/bake/physics.js';
import { enthalpy, readOut } from '../src/bake/readings.js';
import {
  begin,
  dryness,
  end,
  fork,
  heatTaken,
  setWalls,
  step,
  temperatureOf,
  type Model,
  type State,
} from '../src/bake/state.js';
import { cupSides } from '../src/bake/tray.js';
import { outlineOf, predictBake, type Tin } from '../src/index.js';
import { crumb, openTop as top, tinned as walls } from './support/heat.js';

const tables = tabulate(crumb);
const modelOf = (grid: Grid): Model => ({ grid, tables, walls, aw: 0.93, mc: 1.04, waterKgM3: 294, startC: 20 });
const small = modelOf(roundGrid(0.06, 0, 0.03, 6, 8, 'tin'));
const large = modelOf(boxGrid(0.2, 0.1, 0.06, 12, 10, 16));
const tube = modelOf(roundGrid(0.11, 0.04, 0.05, 9, 9, 'tin'));
const run = (s: State, steps: number, air = 190): State => {
  for (let i = 0; i < steps; i++) step(s, 6, air);
  return s;
};

describe('bakes in the kernel', () => {
  it('have room of their own: taken by turns they go as they would alone', () => {
    for (const other of [small, large, tube]) {
      const alone = run(begin(small), 120);
      const [a, b] = [begin(small), begin(other)];
      for (let i = 0; i < 120; i++) {
        step(a, 6, 190);
        step(b, 9, 150);
      }
      expect([...a.theta]).toEqual([...alone.theta]);
      expect(heatTaken(a)).toBe(heatTaken(alone));
    }
  });

  it('go on by themselves after a fork, and leave no trace in the room they give back', () => {
    const first = run(begin(large), 150);
    const twin = fork(first);
    expect([...twin.theta]).toEqual([...first.theta]);
    run(first, 50, 220);
    const was = [...twin.theta];
    expect([...twin.theta]).toEqual(was);
    run(twin, 50, 220);
    expect([...twin.theta]).toEqual([...first.theta]);
    expect([...twin.dry]).toEqual([...first.dry]);
    const fresh = [...run(begin(large), 30).theta];
    for (const s of [first, twin]) end(s);
    const places = new Set<number>();
    for (let i = 0; i < 12; i++) {
      const next = begin(large);
      places.add(next.room.at);
      if (i < 3) expect([...run(next, 30).theta]).toEqual(fresh);
      end(next);
    }
    expect(places.size).toBe(1);
  });

  it('are as many as one likes, of any size', () => {
    const many = Array.from({ length: 24 }, (_, i) => begin([small, large, tube][i % 3] as Model));
    many.forEach((s, i) => run(s, 5 + i));
    many.slice(0, 3).forEach((s, k) => {
      const alone = run(begin(s.model), 5 + k);
      expect([...s.theta]).toEqual([...alone.theta]);
      expect(readOut(s)).toEqual(readOut(alone));
    });
    const huge = run(begin(modelOf(boxGrid(0.3, 0.2, 0.08, 30, 30, 40))), 2);
    expect(huge.theta.every((x) => x > 19 && x < 200)).toBeTrue();
    [...many, huge].forEach(end);
  });

  it('lie in their room without overlap, whatever the grid', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 20 }),
        fc.integer({ min: 2, max: 20 }),
        fc.integer({ min: 2, max: 20 }),
        fc.boolean(),
        (nx, ny, nz, box) => {
          const grid = box ? boxGrid(0.2, 0.1, 0.05, nx, ny, nz) : roundGrid(0.1, 0.02, 0.05, nx, nz, 'tin');
          const l = layoutOf(grid, tables);
          const spans: [number, number][] = [
            [0, BAKE.size],
            ...[l.theta, l.dry, l.water].map((at): [number, number] => [at, l.cells]),
            [l.pairs, 2 * l.rows],
            [l.extra, 2 * l.rows],
            [l.faces, 6 * FACE.size],
            ...(['temperature', 'vertical', 'horizontal', 'drive'] as const).map((t): [number, number] => [
              l.tables[t],
              2 * tables.size,
            ]),
            ...(['kVertical', 'kHorizontal', 'phi'] as const).map((t): [number, number] => [l.tables[t], tables.size]),
            ...l.axes.flatMap((a, i): [number, number][] => {
              const n = grid.axes[i]?.n ?? 0;
              const lines = l.cells / n;
              return [
                [a.at, AXIS.size],
                [a.starts, lines],
                ...[a.gap, a.areaLow, a.areaHigh].map((at): [number, number] => [at, n]),
                [a.exchange, 2 * n],
                ...[a.low, a.high].flatMap((e): [number, number][] => (e ? [[e.at, e.lines * END.size]] : [])),
              ];
            }),
          ];
          spans.sort((x, y) => x[0] - y[0]);
          spans.forEach(([at, n], i) => expect(at + n).toBeLessThanOrEqual(spans[i + 1]?.[0] ?? l.size));
        },
      ),
      { numRuns: 60 },
    );
  });

  it('read temperature and dryness as the tables and the plateau say', () => {
    const s = begin(small);
    const { boils, plateau } = tables;
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: boils + plateau + 60, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (theta, x) => {
          s.theta[3] = theta;
          s.dry[3] = x;
          // what has evaporated already boils no more: drying heats up by its share first, then the rest boils
          const drying = DRYING_RISE * x;
          const wet = Math.max(0, theta - boils - drying);
          const left = (1 - x) * plateau;
          // a plateau that is shorter by what has evaporated, and begins later
          const lost = x + Math.min(left, wet) / plateau;
          expect(dryness(s, 3)).toBeCloseTo(Math.min(1, theta > boils ? Math.max(x, lost) : x), 6);
          const t = temperatureOf(s, 3);
          if (theta <= boils) expect(t).toBeCloseTo(theta, 9);
          else {
            const at =
              wet > 0 ? theta + (plateau - DRYING_RISE) * x : boils + ((theta - boils) * plateau) / DRYING_RISE;
            const j = 2 * Math.floor(at - MIN);
            expect(t).toBeCloseTo((tables.temperature[j] ?? 0) * at + (tables.temperature[j + 1] ?? 0), 6);
            expect(t).toBeGreaterThanOrEqual(boils - 1e-9);
          }
        },
      ),
    );
  });

  it('begin with a hot tin whose heat goes into the batter, joule for joule', () => {
    const still = { law: { h: 0, eps: 0, evaporation: 0 }, capacity: 20000, resistance: 0 };
    // of a batter that does not rise: one that does climbs up more of the hot wall
    const plain = plainTables(0.4, tables.rhoCp);
    const shut: Model = {
      ...small,
      tables: plain,
      walls: { base: still, tin: still, 'inner tin': still, open: still },
      tinC: 180,
    };
    const s = run(begin(shut), 800, 20);
    // base and side are tin; the open top starts as the batter does
    const [r, h] = [0.06, 0.03];
    const metal = still.capacity * Math.PI * (r * r + 2 * r * h);
    const all = still.capacity * Math.PI * (2 * r * r + 2 * r * h) + tables.rhoCp * small.grid.volume;
    expect(readOut(s).mean).toBeCloseTo(20 + (metal * 160) / all, 0);
    expect(enthalpy(s)).toBeCloseTo(heatTaken(s), 3);
    const cold = run(begin({ ...shut, tinC: 20 }), 50, 20);
    expect(heatTaken(cold)).toBeCloseTo(0, 6);
  });

  it('keep their heat whatever the steps, long or short by turns', () => {
    for (const model of [small, large, tube]) {
      const s = begin(model);
      for (let i = 0; i < 200; i++) step(s, i % 3 === 0 ? 2 : i % 3 === 1 ? 15 : 7, i < 120 ? 200 : 150);
      expect(Math.abs(enthalpy(s) - heatTaken(s)) / heatTaken(s)).toBeLessThan(1e-9);
    }
  });

  it('stand in the open above a rim: the rows above it take what a bare top would', () => {
    const wet = begin(small);
    const bare = { ...walls, 'at rim': top, 'above rim': top };
    setWalls(wet, bare, 4);
    const tinned = begin(small);
    run(wet, 60);
    run(tinned, 60);
    const edge = (s: State, row: number): number => s.dry[row * 6 + 5] ?? 0;
    expect(edge(wet, 6)).toBeGreaterThan(0);
    expect(edge(wet, 1)).toBe(0);
    expect(edge(tinned, 6)).toBe(0);
  });
});

describe('cups of a tray', () => {
  const cup = (topMm: number, depthMm: number, cups = 12): Tin => ({
    id: 'c',
    name: 'cups',
    shape: 'cup',
    topMm,
    baseMm: 0.72 * topMm,
    depthMm,
    cups,
    material: 'light metal',
  });

  it('get less at their sides for being large or deep, more from a deck that conducts', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 100 }), fc.integer({ min: 20, max: 60 }), (topMm, depth) => {
        const sides = (t: Tin, fin = 0.8): number => cupSides(outlineOf(t), fin);
        const now = sides(cup(topMm, depth));
        expect(sides(cup(topMm, depth + 5))).toBeLessThan(now);
        expect(sides(cup(1.2 * topMm, 1.2 * depth))).toBeLessThan(now);
        expect(sides(cup(topMm, depth), 0)).toBeLessThan(now);
        expect(now).toBeGreaterThan(0);
      }),
    );
  });

  it('bake alike, however many the tray has', () => {
    const minutes = (cups: number): number =>
      predictBake({ tin: cup(70, 36, cups), batterG: 70 * cups, family: 'muffin', ovenC: 200 }).minutes.likely;
    expect(minutes(6)).toBeCloseTo(minutes(12), 6);
    expect(minutes(24)).toBeCloseTo(minutes(12), 6);
  });
});
