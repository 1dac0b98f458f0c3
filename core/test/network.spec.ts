import fc from 'fast-check';
import { heldBy, linksInto, makeLatest, type Link } from '../src/day/network.js';

const N = 5;
const END = 40;
const links = fc.array(
  fc.record({
    from: fc.nat(N - 1),
    to: fc.nat(N - 1),
    min: fc.integer({ min: -8, max: 8 }),
    why: fc.constant('so'),
  }),
  { maxLength: 9 },
);
const all = Array.from({ length: N }, (_, i) => i);
const bounds = (): { upper: Int32Array; lower: Int32Array } => ({
  upper: new Int32Array(N).fill(END),
  lower: new Int32Array(N).fill(0),
});
const met = (x: ArrayLike<number>, list: readonly Link[]): boolean =>
  list.every((l) => (x[l.to] as number) - (x[l.from] as number) >= l.min);

/** Lowers whatever breaks a link, a minute at a time, until nothing does; null when a time falls before the start. */
function stepByStep(list: readonly Link[]): number[] | null {
  const x = new Array<number>(N).fill(END);
  for (;;) {
    const broken = list.find((l) => (x[l.to] as number) - (x[l.from] as number) < l.min);
    if (!broken) return x;
    x[broken.from] = (x[broken.from] as number) - 1;
    if ((x[broken.from] as number) < 0) return null;
  }
}

describe('the network of a day', () => {
  it('gives the latest times that keep all links, or says that there are none', () => {
    fc.assert(
      fc.property(links, (list) => {
        const { upper, lower } = bounds();
        const ok = makeLatest(upper, lower, linksInto(N, list), [], all);
        const slow = stepByStep(list);
        expect(ok).toBe(slow !== null);
        if (slow) {
          expect([...upper]).toEqual(slow);
          expect(met(upper, list)).toBeTrue();
        }
      }),
      { numRuns: 400 },
    );
  });

  it('comes to the same when a link is added to what is found already, and sees a circle that cannot be met', () => {
    fc.assert(
      fc.property(links, fc.nat(N - 1), fc.nat(N - 1), fc.integer({ min: -8, max: 8 }), (list, from, to, min) => {
        fc.pre(from !== to);
        const { upper, lower } = bounds();
        const into = linksInto(N, list);
        if (!makeLatest(upper, lower, into, [], all)) return;
        const link = { from, to, min, why: 'added' };
        const ok = makeLatest(upper, lower, into, [link], [to], to);
        const fresh = bounds();
        expect(ok).toBe(makeLatest(fresh.upper, fresh.lower, linksInto(N, [...list, link]), [], all));
        if (ok) expect(upper).toEqual(fresh.upper);
      }),
      { numRuns: 400 },
    );
  });

  it('names what holds a time: tight links, one after another, to an end', () => {
    fc.assert(
      fc.property(links, (list) => {
        const { upper, lower } = bounds();
        if (!makeLatest(upper, lower, linksInto(N, list), [], all)) return;
        for (const v of all) {
          const path = heldBy(upper, list, v, (w) => upper[w] === END);
          // what is not held is at its end; what is held is held by a chain that adds up
          if (upper[v] === END) expect(path).toEqual([]);
          else {
            expect(path[0]?.from).toBe(v);
            expect(END - path.reduce((s, l) => s + l.min, 0)).toBe(upper[v] as number);
          }
        }
      }),
      { numRuns: 200 },
    );
  });
});
