import fc from 'fast-check';
import { combine, constant, minus, plus, Programme, scaled, term, valueOf, type Solver } from '../src/adapt/linear.js';
import { defaultSolver } from '../src/adapt/in-node.js';

const limits = { maxNodes: 4000, gap: 1e-6, seed: 1 };
const coefficient = fc.integer({ min: -9, max: 9 });

describe('linear expressions', () => {
  it('add, scale and subtract as numbers do', () => {
    const any = fc
      .tuple(fc.double({ min: -50, max: 50, noNaN: true }), coefficient, coefficient)
      .map(([c, x, y]) => plus(constant(c), scaled(term('x'), x), scaled(term('y'), y)));
    const values = new Map([
      ['x', 3.5],
      ['y', -2],
    ]);
    fc.assert(
      fc.property(any, any, fc.double({ min: -5, max: 5, noNaN: true }), (a, b, k) => {
        const at = (e: typeof a): number => valueOf(e, values);
        expect(at(plus(a, b))).toBeCloseTo(at(a) + at(b), 9);
        expect(at(minus(a, b))).toBeCloseTo(at(a) - at(b), 9);
        expect(at(scaled(a, k))).toBeCloseTo(k * at(a), 9);
        expect(
          at(
            combine([
              [a, 2],
              [b, -3],
            ]),
          ),
        ).toBeCloseTo(2 * at(a) - 3 * at(b), 9);
      }),
    );
  });
});

describe('a programme', () => {
  let solver: Solver;
  beforeAll(async () => {
    solver = await defaultSolver();
  });

  it('finds what trying every whole number finds, and says so when there is nothing to find', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(coefficient, coefficient, coefficient, fc.integer({ min: -20, max: 20 })), {
          minLength: 1,
          maxLength: 4,
        }),
        fc.tuple(coefficient, coefficient, coefficient),
        (rows, costs) => {
          const p = new Programme();
          const [x, y, z] = ['x', 'y', 'z'].map((n) => p.variable(n, 0, 5, true)) as [
            ReturnType<typeof term>,
            ReturnType<typeof term>,
            ReturnType<typeof term>,
          ];
          ['x', 'y', 'z'].forEach((n, i) => p.cost(n, costs[i] as number));
          for (const [a, b, c, most] of rows)
            p.row(plus(scaled(x, a), scaled(y, b), scaled(z, c), constant(-most)), '<=');
          let best = Infinity;
          for (let i = 0; i <= 5; i++)
            for (let j = 0; j <= 5; j++)
              for (let k = 0; k <= 5; k++)
                if (rows.every(([a, b, c, most]) => a * i + b * j + c * k <= most))
                  best = Math.min(best, costs[0] * i + costs[1] * j + costs[2] * k);
          const answer = p.solve(solver, limits);
          if (best === Infinity) return expect(answer.kind).toBe('infeasible');
          if (answer.kind !== 'solved') return expect(answer.kind).toBe('solved');
          const at = (n: string): number => answer.values.get(n) ?? NaN;
          expect(costs[0] * at('x') + costs[1] * at('y') + costs[2] * at('z')).toBeCloseTo(best, 6);
          for (const [a, b, c, most] of rows)
            expect(a * at('x') + b * at('y') + c * at('z')).toBeLessThanOrEqual(most + 1e-6);
        },
      ),
      { numRuns: 80 },
    );
  });

  it('is impossible when a row without variables does not hold, and not otherwise', () => {
    const with0 = (c: number, sense: '<=' | '>=' | '='): string => {
      const p = new Programme();
      p.variable('x', 0, 1);
      p.row(constant(c), sense);
      return p.solve(solver, limits).kind;
    };
    expect(with0(-1, '<=')).toBe('solved');
    expect(with0(1, '<=')).toBe('infeasible');
    expect(with0(1, '>=')).toBe('solved');
    expect(with0(0, '=')).toBe('solved');
    expect(with0(0.5, '=')).toBe('infeasible');
  });

  it('writes lines that a reader takes, however many lines and however small the figures', () => {
    const p = new Programme();
    const all = Array.from({ length: 60 }, (_, i) => p.variable(`v${i}`, 0, 10, i % 2 === 0));
    p.row(minus(plus(...all.map((v, i) => scaled(v, 1 / (i + 1)))), constant(1e-4)), '>=');
    p.row(minus(plus(...all), constant(12_345.678)), '<=');
    all.forEach((_, i) => p.cost(`v${i}`, 1 + i / 7));
    expect(
      Math.max(
        ...p
          .text()
          .split('\n')
          .map((l) => l.length),
      ),
    ).toBeLessThan(560);
    expect(p.solve(solver, limits).kind).toBe('solved');
  });

  it('uses an answer that was cut short only when it keeps every row', () => {
    const p = new Programme();
    p.row(minus(p.variable('x', 0, 9, true), constant(3)), '>=');
    const cut = (x: number | undefined): ReturnType<Programme['solve']> => {
      const columns: Record<string, { Primal?: number }> = x === undefined ? {} : { x: { Primal: x } };
      return p.solve({ solve: () => ({ Status: 'Reached node limit', Columns: columns }) }, limits);
    };
    expect(cut(4)).toEqual({ kind: 'solved', values: new Map([['x', 4]]), proven: false });
    expect(cut(2).kind).toBe('limit');
    expect(cut(12).kind).toBe('limit');
    expect(cut(undefined).kind).toBe('limit');
    expect(cut(NaN).kind).toBe('limit');
  });
});
