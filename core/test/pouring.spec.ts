import fc from 'fast-check';
import { beginPouring, pouredNow, readScale, scaleSilent, zeroScale, type Pouring, type Weight } from '../src/index.js';

/** A scale that rests at some weights for two seconds each, moving for half a second before. */
function shown(weights: readonly number[], from = 0): { r: Weight; at: number }[] {
  let at = from;
  return weights.flatMap((grams) =>
    Array.from({ length: 25 }, (_, i) => ({
      r: { grams: i < 5 ? grams - 5 + i : grams, stable: i >= 5, over: false },
      at: (at += 100),
    })),
  );
}
function follow(
  p: Pouring,
  list: readonly { r: Weight; at: number }[],
  wanted: number,
): { p: Pouring; said: string[] } {
  const said: string[] = [];
  for (const { r, at } of list) {
    p = readScale(p, r, at);
    const now = pouredNow(p, wanted, 1, at);
    if (now !== 'wait' && said.at(-1) !== now) said.push(now);
  }
  return { p, said };
}

describe('following a scale', () => {
  it('counts what is poured from where it rested, wherever that was, and says once that it is right', () => {
    fc.assert(
      fc.property(fc.integer({ min: -3000, max: 3000 }), fc.integer({ min: 30, max: 900 }), (zero, wanted) => {
        const half = zero + Math.round(wanted / 2);
        const { p, said } = follow(beginPouring(zero), shown([zero, half, zero + wanted]), wanted);
        expect(p.inG).toBe(wanted);
        expect(said).toEqual(['right']);
      }),
    );
  });

  it('waits to be told of the bowl, so that a bowl is never taken for flour', () => {
    let { p, said } = follow(beginPouring(null), shown([0, 412]), 250);
    expect(said).toEqual([]);
    expect(p.asks).toBeTrue();
    ({ p, said } = follow(zeroScale(p, 9000), shown([412, 662], 9000), 250));
    expect(said).toEqual(['right']);
    expect(p.restG).toBe(250);
    // said as the bowl is put down: it counts from where the bowl comes to rest
    const early = follow(beginPouring(null), shown([0]), 250);
    ({ p, said } = follow(zeroScale(early.p, 2500), shown([412, 662], 2500), 250));
    expect(said).toEqual(['right']);
    expect(p.restG).toBe(250);
  });

  it('says that it is too much only when it rests so, and is right once that is taken out', () => {
    const { said } = follow(beginPouring(0), shown([0, 262, 251]), 250);
    expect(said).toEqual(['over', 'right']);
    const shaking = Array.from({ length: 60 }, (_, i) => ({ r: { grams: 262, stable: i % 4 !== 0, over: false }, at: 100 * i })); // prettier-ignore
    expect(follow(beginPouring(0), shaking, 250).said).toEqual([]);
  });

  it('loses nothing when the scale is silent and begins again from nothing', () => {
    let { p } = follow(beginPouring(400), shown([400, 540]), 262);
    p = scaleSilent(p);
    expect(p.words).toContain('140 g');
    const again = { r: { grams: 0, stable: false, over: false }, at: 8990 };
    const on = follow(p, [again, ...shown([0, 122], 9000)], 262);
    expect(on.said).toEqual(['right']);
    expect(on.p.restG).toBe(262);
    // in the middle of a pour the last word counts, with the bowl off the scale the last rest
    const moving = { r: { grams: 470, stable: false, over: false }, at: 9000 };
    expect(scaleSilent(follow(beginPouring(400), [...shown([400]), moving], 262).p).hadG).toBe(70);
    expect(scaleSilent(follow(beginPouring(400), shown([400, 500, 0]), 262).p).hadG).toBe(100);
  });

  it('knows a bowl that is lifted and put back, and counts another as empty', () => {
    const same = follow(beginPouring(400), shown([400, 500, 0, 501, 600]), 200);
    expect(same.said).toEqual(['right']);
    expect(same.p.restG).toBe(200);
    const other = follow(beginPouring(400), shown([400, 0, 250, 450]), 200);
    expect(other.said).toEqual(['right']);
    expect(other.p.words).toContain('another bowl');
    // a tin that is full makes room for the next: its weight is not a pour
    expect(follow(beginPouring(900), shown([0, 310]), 300).said).toEqual([]);
  });

  it('says nothing of an overloaded scale', () => {
    const over = Array.from({ length: 40 }, (_, i) => ({ r: { grams: 250, stable: false, over: true }, at: 100 * i }));
    const { p, said } = follow(beginPouring(0), over, 250);
    expect(said).toEqual([]);
    expect(p.words).toContain('more than the scale can carry');
  });
});
