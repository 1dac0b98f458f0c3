import fc from 'fast-check';
import { fitRows, inverse, sumOf, without, type Row } from '../src/bake/normal.js';

const wide = (): number => 1;
const number = fc.double({ min: -3, max: 3, noNaN: true });
const row = (of: string, at: Row['at'], y: number, sd = 0.5, robust = false): Row => ({ of, at, y, sd, robust });
/** Some bakes, each with one or two rows that share an oven and have a tin of their own. */
const someRows = fc
  .array(fc.tuple(number, fc.constantFrom('tin:a', 'tin:b', 'tin:c'), fc.boolean()), { minLength: 2, maxLength: 14 })
  .map((list) =>
    list.flatMap(([y, tin, twice], i) => [
      row(`b${i}`, [['oven', 1], [tin, 0.7]], y), // prettier-ignore
      ...(twice ? [row(`b${i}`, [['oven', 1]], y / 2, 0.8)] : []),
    ]),
  );

describe('a joint fit of parameters that share', () => {
  it('is the textbook answer for one parameter: the mean, drawn towards nothing by the prior', () => {
    fc.assert(
      fc.property(fc.array(number, { minLength: 1, maxLength: 20 }), (ys) => {
        const fit = fitRows(ys.map((y, i) => row(`b${i}`, [['oven', 1]], y)), wide); // prettier-ignore
        const precision = 1 + ys.length / 0.25;
        expect(fit.mean[0]).toBeCloseTo(ys.reduce((a, b) => a + b, 0) / 0.25 / precision, 9);
        expect(fit.cov[0]?.[0]).toBeCloseTo(1 / precision, 9);
      }),
    );
  });

  it('is the same in any order, to the last digit', () => {
    fc.assert(
      fc.property(someRows, fc.nat(), (rows, seed) => {
        const turned = [...rows.slice(seed % rows.length), ...rows.slice(0, seed % rows.length)].reverse();
        const [a, b] = [fitRows(rows, wide), fitRows(turned, wide)];
        expect(b.mean).toEqual(a.mean);
        expect(b.cov).toEqual(a.cov);
      }),
    );
  });

  it('never knows less for one row more, and keeps a covariance that is one', () => {
    fc.assert(
      fc.property(someRows, (rows) => {
        const [few, all] = [fitRows(rows.slice(0, -1), wide), fitRows(rows, wide)];
        const sd = (fit: typeof all): number => sumOf(fit, [['oven', 1], ['tin:a', 1]], wide).sd; // prettier-ignore
        expect(sd(all)).toBeLessThanOrEqual(sd(few) + 1e-9);
        all.cov.forEach((line, i) =>
          line.forEach((c, j) => {
            expect(c).toBeCloseTo(all.cov[j]?.[i] ?? NaN, 9);
            expect(c * c).toBeLessThanOrEqual((line[i] ?? 0) * 1.0001 * (all.cov[j]?.[j] ?? 0) + 1e-12);
          }),
        );
      }),
    );
  });

  it('leaves one out as if it had never been there', () => {
    fc.assert(
      fc.property(someRows, (rows) => {
        const fit = fitRows(rows, wide);
        const asked = [['oven', 1], ['tin:b', -0.4], ['never seen', 2]] as const; // prettier-ignore
        for (const of of new Set(rows.map((r) => r.of))) {
          const direct = sumOf(fitRows(rows.filter((r) => r.of !== of), wide), asked, wide); // prettier-ignore
          const quick = without(fit, of, asked, wide);
          expect(quick.mean).toBeCloseTo(direct.mean, 6);
          expect(quick.sd).toBeCloseTo(direct.sd, 6);
        }
        expect(without(fit, 'nobody', asked, wide)).toEqual(sumOf(fit, asked, wide));
      }),
      { numRuns: 40 },
    );
  });

  it('tells what all share from what is one thing’s own', () => {
    // three tins: all hot by 1, one of them slow by 2 besides
    const rows = Array.from({ length: 24 }, (_, i) => {
      const tin = ['tin:a', 'tin:b', 'tin:c'][i % 3] as string;
      return row(`b${i}`, [['oven', 1], [tin, 1]], 1 + (tin === 'tin:c' ? 2 : 0), 0.3); // prettier-ignore
    });
    const fit = fitRows(rows, wide);
    const of = (key: string): number => fit.mean[fit.keys.indexOf(key)] as number;
    expect(of('tin:c') - of('tin:a')).toBeGreaterThan(1.7);
    expect(of('oven')).toBeGreaterThan(0.6);
    expect(Math.abs(of('tin:a') - of('tin:b'))).toBeLessThan(1e-9);
    // a tin that was never seen is as good as the oven alone, and less sure
    expect(sumOf(fit, [['oven', 1], ['tin:new', 1]], wide).mean).toBeCloseTo(of('oven'), 12); // prettier-ignore
    expect(sumOf(fit, [['oven', 1], ['tin:new', 1]], wide).sd).toBeGreaterThan(sumOf(fit, [['oven', 1], ['tin:a', 1]], wide).sd); // prettier-ignore
  });

  it('lets a wild row count hardly at all, but a reading always in full', () => {
    const calm = Array.from({ length: 8 }, (_, i) => row(`b${i}`, [['oven', 1]], 1, 0.2, true));
    const wild = (robust: boolean): ReturnType<typeof fitRows> => fitRows([...calm, row('wild', [['oven', 1]], 12, 0.2, robust)], wide); // prettier-ignore
    const free = fitRows(calm, wide).mean[0] as number;
    expect(Math.abs((wild(true).mean[0] as number) - free)).toBeLessThan(0.1);
    expect(Math.abs((wild(false).mean[0] as number) - free)).toBeGreaterThan(0.8);
    const at = wild(true).rows.findIndex((r) => r.of === 'wild');
    expect(wild(true).weights[at]).toBeLessThan(0.01);
    // all of them far out together are no outliers: the oven is like that
    const shifted = fitRows(calm.map((r) => ({ ...r, y: 2.4 })), wide); // prettier-ignore
    expect(shifted.mean[0]).toBeGreaterThan(2.2);
  });

  it('inverts any matrix that is positive definite', () => {
    fc.assert(
      fc.property(fc.array(fc.array(number, { minLength: 4, maxLength: 4 }), { minLength: 4, maxLength: 4 }), (m) => {
        const a = m.map((_, i) => m.map((_, j) => m.reduce((s, line) => s + (line[i] ?? 0) * (line[j] ?? 0), i === j ? 0.5 : 0))); // prettier-ignore
        const inv = inverse(a);
        a.forEach(
          (line, i) =>
          a.forEach((_, j) => expect(line.reduce((s, x, k) => s + x * (inv[k]?.[j] ?? 0), 0)).toBeCloseTo(i === j ? 1 : 0, 6)), // prettier-ignore
        );
      }),
    );
  });
});
